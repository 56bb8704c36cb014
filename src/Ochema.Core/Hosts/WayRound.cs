using System.Collections.Concurrent;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>
/// How much line it takes from a point of a host to a place near it, round the bodywork: what hangs on a tether goes over the edge of a
/// panel, never through it.
/// Shortest way through cells that the host does not fill (Dijkstra's algorithm, "A note on two problems in connexion with graphs", 1959).
/// </summary>
public sealed class WayRound
{
    /// <summary>Side of a cell, m, and how far from its middle a way is looked for, m: the longest tether that is of use, and what hangs on
    /// it.</summary>
    private const double Cell = 0.08;
    internal const double Farthest = 1.9;
    private const int Half = (int)(Farthest / Cell);
    private const int Side = 2 * Half + 1;

    /// <summary>
    /// A way from cell to cell is a little longer than one through the air (at the most 1/0.95 where it goes by 26 neighbours on average,
    /// judgement).
    /// </summary>
    private const double Straighter = 0.95;

    /// <summary>How many are kept; more are worked out anew.</summary>
    private const int Kept = 128;

    private static readonly ConcurrentDictionary<string, HashSet<(int, int, int)>> Filled = new();
    private static readonly ConcurrentDictionary<(string Host, int X, int Y, int Z, int Sx, int Sy, int Sz), WayRound> Known = new();

    private readonly float[] way;
    private readonly (int X, int Y, int Z) middle;

    private WayRound(float[] way, (int, int, int) middle) => (this.way, this.middle) = (way, middle);

    /// <summary>The ways from a point of a host, m.</summary>
    /// <param name="end">Where the line ends, on the host or the rig.</param>
    /// <param name="towards">Where it comes from: on that side of the skin it leaves.</param>
    public static WayRound From(Host host, Vec3 end, Vec3 towards)
    {
        var filled = Filled.GetOrAdd(host.Id, _ => Fill(host));
        var (e, s) = (At(end), At(end));
        for (var i = 0; i <= 40; i++)
        {
            s = At(end + i / 40.0 * (towards - end));
            if (!filled.Contains(s))
                break;
        }
        if (Known.Count > Kept)
            Known.Clear();
        return Known.GetOrAdd((host.Id, e.X, e.Y, e.Z, s.X, s.Y, s.Z), _ => Search(filled, e, s));
    }

    /// <summary>Line to the nearest point of a box, m; no end where none is in reach.</summary>
    /// <param name="size">Of what hangs on it, m: it need not be there with its middle.</param>
    public double ToBox(IReadOnlyList<double> low, IReadOnlyList<double> high, double size) =>
        Least(low, high, size, p => Outside(p.X, low[0], high[0], p.Y, low[1], high[1], p.Z, low[2], high[2]) <= size + Cell / 2);

    /// <summary>Line to the tread or side of a wheel, m.</summary>
    /// <inheritdoc cref="ToBox"/>
    public double ToWheel(HostWheel wheel, double size)
    {
        var (c, r, w) = (Vec3.From(wheel.Centre), wheel.Radius, wheel.Width / 2);
        return Least([c.X - r, c.Y - w, c.Z - r], [c.X + r, c.Y + w, c.Z + r], size, p =>
        {
            var d = p - c;
            return new Vec3(0, Math.Max(0, Math.Abs(d.Y) - w), Math.Max(0, new Vec3(d.X, 0, d.Z).Length - r)).Length <= size + Cell / 2;
        }, round: true);
    }

    /// <summary>Line to the ground, m.</summary>
    /// <param name="height">Of the ground, m.</param>
    /// <inheritdoc cref="ToBox"/>
    public double ToGround(double height, double size) => Least([-1e3, -1e3, height - Cell], [1e3, 1e3, height], size, p => p.Z - height
        <= size + Cell / 2);

    /// <summary>
    /// The lowest place that a line of a length reaches, m: where what hangs on it comes to rest; of several the nearest to its end. Null
    /// where it reaches none.
    /// </summary>
    public Vec3? Lowest(double length)
    {
        if (lowest.Count > Kept)
            lowest.Clear();
        return lowest.GetOrAdd(length, Search);
    }

    /// <summary>Answers that were given: every piece beyond a joint asks for the same line.</summary>
    private readonly ConcurrentDictionary<double, Vec3?> lowest = new();

    private Vec3? Search(double length)
    {
        for (var k = 0; k < Side; k++)
        {
            var best = (Far: double.PositiveInfinity, At: Vec3.Zero);
            for (var i = 0; i < Side; i++)
                for (var j = 0; j < Side; j++)
                    if (Straighter * way[(i * Side + j) * Side + k] <= length && (i - Half) * (i - Half) + (j - Half) * (j - Half)
                        is var far && far < best.Far)
                        best = (far, Cell * new Vec3(i - Half + middle.X + 0.5, j - Half + middle.Y + 0.5, k - Half + middle.Z + 0.5));
            if (best.Far < double.PositiveInfinity)
                return best.At;
        }
        return null;
    }

    /// <summary>Answers that were given: the places of a host are asked for again at every change.</summary>
    private readonly ConcurrentDictionary<(bool Round, double, double, double, double, double, double, double), double> given = new();

    private double Least(IReadOnlyList<double> low, IReadOnlyList<double> high, double size, Func<Vec3, bool> there, bool round = false) =>
        given.GetOrAdd((round, low[0], low[1], low[2], high[0], high[1], high[2], size), _ => Search(low, high, size, there));

    private double Search(IReadOnlyList<double> low, IReadOnlyList<double> high, double size, Func<Vec3, bool> there)
    {
        (int From, int To) Range(int axis, int centre) =>
            (Math.Max(0, (int)Math.Floor((low[axis] - size) / Cell) - 1 - centre + Half),
                Math.Min(Side - 1, (int)Math.Ceiling((high[axis] + size) / Cell) + 1 - centre + Half));
        var (x, y, z) = (Range(0, middle.X), Range(1, middle.Y), Range(2, middle.Z));
        var least = float.PositiveInfinity;
        for (var i = x.From; i <= x.To; i++)
            for (var j = y.From; j <= y.To; j++)
                for (var k = z.From; k <= z.To; k++)
                    if (way[(i * Side + j) * Side + k] < least
                        && there(Cell * new Vec3(i - Half + middle.X + 0.5, j - Half + middle.Y + 0.5, k - Half + middle.Z + 0.5)))
                        least = way[(i * Side + j) * Side + k];
        return Straighter * least;
    }

    private static double Outside(double x, double x0, double x1, double y, double y0, double y1, double z, double z0, double z1)
    {
        static double Out(double v, double low, double high) => Math.Max(0, Math.Max(low - v, v - high));
        return new Vec3(Out(x, x0, x1), Out(y, y0, y1), Out(z, z0, z1)).Length;
    }

    private static (int X, int Y, int Z) At(Vec3 p) => ((int)Math.Floor(p.X / Cell), (int)Math.Floor(p.Y / Cell),
        (int)Math.Floor(p.Z / Cell));

    /// <summary>Cells that a surface of the host passes; who is on it gives way.</summary>
    private static HashSet<(int, int, int)> Fill(Host host)
    {
        var filled = new HashSet<(int, int, int)>();
        var people = host.People.SelectMany(p => p.Surfaces()).Select(s => s.Id).ToHashSet();
        foreach (var surface in host.Published.Surfaces.Where(s => !people.Contains(s.Id)))
            for (var i = 0; i + 1 < surface.Grid.Length; i++)
                for (var j = 0; j + 1 < Math.Min(surface.Grid[i].Length, surface.Grid[i + 1].Length); j++)
                {
                    var (a, b, c, d) = (Vec3.From(surface.Grid[i][j]), Vec3.From(surface.Grid[i][j + 1]),
                        Vec3.From(surface.Grid[i + 1][j]), Vec3.From(surface.Grid[i + 1][j + 1]));
                    var (m, n) = (1 + (int)(2.5 * Math.Max((b - a).Length, (d - c).Length) / Cell),
                        1 + (int)(2.5 * Math.Max((c - a).Length, (d - b).Length) / Cell));
                    for (var s = 0; s <= m; s++)
                        for (var t = 0; t <= n; t++)
                        {
                            var (u, v) = ((double)s / m, (double)t / n);
                            filled.Add(At((1 - v) * ((1 - u) * a + u * b) + v * ((1 - u) * c + u * d)));
                        }
                }
        return filled;
    }

    private static WayRound Search(HashSet<(int, int, int)> filled, (int X, int Y, int Z) middle, (int X, int Y, int Z) start)
    {
        var way = new float[Side * Side * Side];
        Array.Fill(way, float.PositiveInfinity);
        var steps = (from x in new[] { -1, 0, 1 }
                     from y in new[] { -1, 0, 1 }
                     from z in new[] { -1, 0, 1 }
                     where x != 0 || y != 0 || z != 0
                     select (x, y, z, length: (float)(Cell * Math.Sqrt(x * x + y * y + z * z)))).ToArray();
        var (sx, sy, sz) = (start.X - middle.X + Half, start.Y - middle.Y + Half, start.Z - middle.Z + Half);
        if (Math.Min(sx, Math.Min(sy, sz)) < 0 || Math.Max(sx, Math.Max(sy, sz)) >= Side)
            return new(way, middle);
        var queue = new PriorityQueue<(int X, int Y, int Z), float>();
        way[(sx * Side + sy) * Side + sz] = (float)(Cell * new Vec3(sx - Half, sy - Half, sz - Half).Length);
        queue.Enqueue((sx, sy, sz), way[(sx * Side + sy) * Side + sz]);
        // Every cell is left at most once: the queue ends.
        var left = new bool[way.Length];
        while (queue.TryDequeue(out var at, out var so))
        {
            var index = (at.X * Side + at.Y) * Side + at.Z;
            if (left[index])
                continue;
            left[index] = true;
            foreach (var (x, y, z, length) in steps)
            {
                var (nx, ny, nz) = (at.X + x, at.Y + y, at.Z + z);
                if (nx < 0 || ny < 0 || nz < 0 || nx >= Side || ny >= Side || nz >= Side)
                    continue;
                var next = (nx * Side + ny) * Side + nz;
                var far = so + length;
                if (far >= way[next] || far > Farthest || filled.Contains((nx - Half + middle.X, ny - Half + middle.Y, nz - Half
                    + middle.Z)))
                    continue;
                way[next] = far;
                queue.Enqueue((nx, ny, nz), far);
            }
        }
        return new(way, middle);
    }
}
