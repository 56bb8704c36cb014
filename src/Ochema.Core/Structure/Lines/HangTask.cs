using System.Text.Json.Serialization;
using Ochema.Core.Json;

namespace Ochema.Core.Structure.Lines;

/// <summary>A net of ropes to be hung up, all SI. Only fixed nodes are places; a free node's position is a guess that changes nothing.</summary>
public sealed record HangTask
{
    public required IReadOnlyList<HangNode> Nodes { get; init; }
    public required IReadOnlyList<HangRope> Ropes { get; init; }
    public IReadOnlyList<HangLoad> Loads { get; init; } = [];

    /// <summary>Acceleration field on ropes and masses, m/s²; the standard weight unless given.</summary>
    public double[]? Gravity { get; init; }

    /// <summary>Force on every rope, N per unstretched metre.</summary>
    public double[]? Wind { get; init; }
}

/// <summary>A point where ropes end, or a pulley they run over. Coordinates in m.</summary>
/// <param name="Fixed">True for what does not move.</param>
public sealed record HangNode(string Id, double X, double Y, double Z, bool Fixed = false)
{
    internal Vec3 Position => new(X, Y, Z);
}

/// <summary>A rope: carries tension alone.</summary>
/// <param name="Length">Unstretched, m.</param>
/// <param name="EA">Force per unit strain, N.</param>
/// <param name="Mass">kg per unstretched metre.</param>
public sealed record HangRope(string Id, string From, string To, double Length, [property: JsonPropertyName("EA")] double EA, double Mass = 0)
{
    /// <summary>Nodes that are pulleys without size or friction, in the order in which the rope runs over them.</summary>
    public IReadOnlyList<string> Via { get; init; } = [];
}

/// <summary>What hangs on, or pulls at, a node; several add up.</summary>
public sealed record HangLoad(string Node)
{
    /// <summary>Mass, kg.</summary>
    public double? M { get; init; }

    /// <summary>Force, N.</summary>
    public double[]? F { get; init; }
}

/// <summary>The shape that a net hangs in; only <see cref="Stable"/> and <see cref="Finding"/> where there is none.</summary>
public sealed record HangResult
{
    /// <summary>m, of every node.</summary>
    public IReadOnlyDictionary<string, double[]>? Positions { get; init; }

    public IReadOnlyDictionary<string, RopeTension>? Tensions { get; init; }

    /// <summary>What the support puts on the net at each fixed node, N.</summary>
    public IReadOnlyDictionary<string, double[]>? Reactions { get; init; }

    public required bool Stable { get; init; }

    /// <summary>Largest force left unbalanced on a free node, N.</summary>
    public double? Residual { get; init; }

    /// <summary>Why nothing hangs still.</summary>
    public string? Finding { get; init; }
}

/// <summary>Tension of a rope, N, at its two ends and where it is largest.</summary>
public sealed record RopeTension(double From, double To, double Max);

/// <summary>Reads nets and names what is wrong with them, by path.</summary>
public static class HangTaskReader
{
    private const int MostNodes = 400;
    private const double Largest = 1e9;

    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static HangTask Read(string json)
    {
        var task = StrictJson.Read<HangTask>(json);
        Check(task);
        return task;
    }

    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static void Check(HangTask task)
    {
        var (nodes, ropes) = (new Dictionary<string, HangNode>(), new HashSet<string>());
        void Known(string? id, string path)
        {
            if (id is null || !nodes.ContainsKey(id))
                throw new DocumentException(path, $"there is no node '{id}'");
        }
        if (task.Nodes.Count == 0)
            throw new DocumentException("nodes", "needs at least one node");
        Each(task.Nodes, "nodes", (n, path) =>
        {
            Number(n.X, path + ".x");
            Number(n.Y, path + ".y");
            Number(n.Z, path + ".z");
            if (string.IsNullOrWhiteSpace(n.Id))
                throw new DocumentException(path + ".id", "is empty");
            if (!nodes.TryAdd(n.Id, n))
                throw new DocumentException(path + ".id", $"'{n.Id}' is used twice");
        });
        Each(task.Ropes, "ropes", (r, path) =>
        {
            if (string.IsNullOrWhiteSpace(r.Id))
                throw new DocumentException(path + ".id", "is empty");
            if (!ropes.Add(r.Id))
                throw new DocumentException(path + ".id", $"'{r.Id}' is used twice");
            Known(r.From, path + ".from");
            Known(r.To, path + ".to");
            Positive(r.Length, path + ".length");
            Positive(r.EA, path + ".EA");
            Number(r.Mass, path + ".mass");
            if (r.Mass < 0)
                throw new DocumentException(path + ".mass", "is less than 0");
            for (var i = 0; i < r.Via.Count; i++)
            {
                Known(r.Via[i], $"{path}.via[{i}]");
                if (r.Via[i] == (i == 0 ? r.From : r.Via[i - 1]) || (i == r.Via.Count - 1 && r.Via[i] == r.To))
                    throw new DocumentException($"{path}.via[{i}]", $"runs from '{r.Via[i]}' to itself");
            }
        });
        if (task.Ropes.Sum(r => 1 + r.Via.Count) > 4 * MostNodes)
            throw new DocumentException("ropes", $"have more than {4 * MostNodes} stretches between pulleys");
        Each(task.Loads, "loads", (l, path) =>
        {
            Known(l.Node, path + ".node");
            if (l.M is { } m)
            {
                Number(m, path + ".m");
                if (m < 0)
                    throw new DocumentException(path + ".m", "is less than 0");
            }
            Vector(l.F, path + ".f");
        });
        Vector(task.Gravity, "gravity");
        Vector(task.Wind, "wind");
    }

    private static void Each<T>(IReadOnlyList<T> list, string path, Action<T, string> check)
        where T : class
    {
        if (list.Count > 4 * MostNodes || (path == "nodes" && list.Count > MostNodes))
            throw new DocumentException(path, $"has {list.Count} entries; at most {(path == "nodes" ? MostNodes : 4 * MostNodes)} are read");
        for (var i = 0; i < list.Count; i++)
            check(list[i] ?? throw new DocumentException($"{path}[{i}]", "is null"), $"{path}[{i}]");
    }

    private static void Vector(double[]? v, string path)
    {
        if (v is null)
            return;
        if (v.Length != 3)
            throw new DocumentException(path, "needs 3 numbers");
        for (var i = 0; i < 3; i++)
            Number(v[i], $"{path}[{i}]");
    }

    private static void Number(double v, string path)
    {
        if (!double.IsFinite(v) || Math.Abs(v) > Largest)
            throw new DocumentException(path, "is not a number that can be used");
    }

    private static void Positive(double v, string path)
    {
        if (!double.IsFinite(v) || v > Largest * Largest)
            throw new DocumentException(path, "is not a number that can be used");
        if (v < 1e-9)
            throw new DocumentException(path, "is not more than 0");
    }
}
