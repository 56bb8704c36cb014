using System.Text.Json.Serialization;
using Ochema.Core.Json;
using static Ochema.Core.Structure.DocumentNumbers;

namespace Ochema.Core.Structure.Lines;

/// <summary>A net of ropes to be hung up, all SI. Only fixed nodes are places; a free node's position is a guess that changes
/// nothing.</summary>
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
public sealed record HangRope(string Id, string From, string To, double Length, [property: JsonPropertyName("EA")] double EA,
    double Mass = 0)
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
    private const int MostStretches = 4 * MostNodes;

    /// <summary>Largest coordinate, mass and force, SI.</summary>
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
        var (nodes, ropes) = (new HashSet<string>(), new HashSet<string>());
        void Known(string? id, string path)
        {
            if (id is null || !nodes.Contains(id))
                throw new DocumentException(path, $"there is no node '{id}'");
        }
        void Fresh(HashSet<string> taken, string? id, string path)
        {
            if (!taken.Add(Name(id, path)))
                throw new DocumentException(path, $"'{id}' is used twice");
        }
        if (task.Nodes.Count == 0)
            throw new DocumentException("nodes", "needs at least one node");
        Each(task.Nodes, "nodes", (n, path) =>
        {
            Fresh(nodes, n.Id, path + ".id");
            foreach (var (v, axis) in new[] { (n.X, ".x"), (n.Y, ".y"), (n.Z, ".z") })
                Number(v, path + axis, Largest);
        }, MostNodes);
        Each(task.Ropes, "ropes", (r, path) =>
        {
            Fresh(ropes, r.Id, path + ".id");
            Known(r.From, path + ".from");
            Known(r.To, path + ".to");
            Positive(r.Length, path + ".length");
            Positive(r.EA, path + ".EA");
            NotNegative(r.Mass, path + ".mass", Largest);
            for (var i = 0; i < r.Via.Count; i++)
            {
                Known(r.Via[i], $"{path}.via[{i}]");
                if (r.Via[i] == (i == 0 ? r.From : r.Via[i - 1]) || (i == r.Via.Count - 1 && r.Via[i] == r.To))
                    throw new DocumentException($"{path}.via[{i}]", $"runs from '{r.Via[i]}' to itself");
            }
        }, MostStretches);
        if (task.Ropes.Sum(r => 1 + r.Via.Count) > MostStretches)
            throw new DocumentException("ropes", $"have more than {MostStretches} stretches between pulleys");
        Each(task.Loads, "loads", (l, path) =>
        {
            Known(l.Node, path + ".node");
            NotNegative(l.M ?? 0, path + ".m", Largest);
            if (l.F is not null)
                Vector(l.F, 3, path + ".f", Largest);
        });
        if (task.Gravity is not null)
            Vector(task.Gravity, 3, "gravity", Largest);
        if (task.Wind is not null)
            Vector(task.Wind, 3, "wind", Largest);
    }
}
