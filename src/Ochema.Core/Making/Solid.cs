using NetTopologySuite.Geometries;
using NetTopologySuite.Triangulate.Polygon;
using Ochema.Core.Joints;
using Ochema.Core.Structure;

namespace Ochema.Core.Making;

/// <summary>A triangle of a body's skin, m, anticlockwise seen from outside.</summary>
public readonly record struct Facet(Vec3 A, Vec3 B, Vec3 C);

/// <summary>A body as its skin: closed, every edge met by two facets. For printers and for looking at.</summary>
/// <param name="Facets">In no order.</param>
public sealed record Solid(IReadOnlyList<Facet> Facets)
{
    /// <summary>Corners of a hole or round.</summary>
    private const int Corners = 48;

    /// <summary>Widest turn of a strip of a bend, rad.</summary>
    private const double Step = Math.PI / 24;

    /// <summary>m³; by the divergence theorem.</summary>
    public double Volume => Facets.Sum(f => f.A.Dot(f.B.Cross(f.C))) / 6;

    /// <summary>A flat piece, bent and with its holes as it will be: bends curl towards +z, the piece's first flat lies in z ≤ 0.</summary>
    /// <remarks>
    /// A hole that lies in a bend is left out: it is drilled after bending. So is one that runs into another, and the small ones at the
    /// ends of corners that are sawn out.
    /// </remarks>
    public static Solid Of(Template t)
    {
        var facets = new List<Facet>();
        var floor = t.Floor;
        var shape = new Folded(t.Thickness, t.Length, t.Bends);
        List<Coordinate[]> Holes(double left, double right, double low, double high) =>
            [.. Apart(t.Holes.Where(h => h.Sort != HoleSort.Relief && h.X - h.Diameter / 2 > left && h.X + h.Diameter / 2 < right
                && h.Y - h.Diameter / 2 > low && h.Y + h.Diameter / 2 < high)).Select(h => Round(h.X, h.Y, h.Diameter / 2))];
        var edges = Edges(t.Bends, t.Length, t.Thickness);
        for (var i = 0; i + 1 < edges.Count; i++)
        {
            var (from, to) = (edges[i], edges[i + 1]);
            var onFloor = from >= floor.Left - 1e-12 && to <= floor.Right + 1e-12;
            // Strips meet without a wall between them, and so do the floor and what is folded up beside it.
            bool Walled(int side) => side switch
            {
                0 => !(onFloor && floor.Low > 0),
                1 => i + 2 == edges.Count,
                2 => !(onFloor && floor.High < t.Width),
                _ => i == 0,
            };
            Prism(facets, [new(from, floor.Low), new(to, floor.Low), new(to, floor.High), new(from, floor.High)],
                Holes(from, to, floor.Low, floor.High), t.Thickness, shape.At, Walled);
        }
        Beside(t.Width, +1);
        Beside(0, -1);
        return new(facets);

        // A wall along the piece: folded from the floor's edge outwards, and put where the floor is.
        void Beside(double end, int way)
        {
            var from = way > 0 ? floor.High : floor.Low;
            var bends = t.Walls.Where(w => (w.At - from) * way > 0).Select(w => w with { At = (w.At - from) * way }).ToList();
            var deep = (end - from) * way;
            if (bends.Count == 0 || deep <= 0)
                return;
            var folded = new Folded(t.Thickness, deep, bends);
            Vec3 At(double x, double y, double down)
            {
                var local = folded.At((y - from) * way, 0, down);
                return shape.At(x, from + way * local.X, -local.Z);
            }
            var across = Edges(bends, deep, t.Thickness);
            for (var i = 0; i + 1 < across.Count; i++)
            {
                var (near, far) = (from + way * across[i], from + way * across[i + 1]);
                var (low, high) = (Math.Min(near, far), Math.Max(near, far));
                bool Walled(int side) => side switch
                {
                    0 => way < 0 && i + 2 == across.Count,
                    2 => way > 0 && i + 2 == across.Count,
                    _ =>
                    true
                };
                Prism(facets, [new(floor.Left, low), new(floor.Right, low), new(floor.Right, high), new(floor.Left, high)],
                    Holes(floor.Left, floor.Right, low, high), t.Thickness, At, Walled);
            }
        }
    }

    /// <summary>Where a flat piece is cut into strips: each bend into narrow ones.</summary>
    private static List<double> Edges(IReadOnlyList<Rigs.BendLine> bends, double length, double thickness)
    {
        List<double> edges = [0, length];
        foreach (var b in bends)
        {
            var (strips, half) = (Math.Max(1, (int)Math.Ceiling(Math.Abs(b.Angle) / Step)),
                Bend.Allowance(Math.Abs(b.Angle), b.Radius, thickness) / 2);
            edges.AddRange(Enumerable.Range(0, strips + 1).Select(i => b.At - half + 2 * half * i / strips));
        }
        return [.. edges.Order().Aggregate(new List<double>(), (kept, e) =>
        {
            if (kept.Count == 0 || e - kept[^1] > 1e-12)
                kept.Add(e);
            return kept;
        })];
    }

    /// <summary>A plug: a round or square with a hole along its middle.</summary>
    public static Solid Of(PlugPiece plug)
    {
        var facets = new List<Facet>();
        var half = plug.Diameter / 2;
        Prism(facets, plug.Square ? [new(-half, -half), new(half, -half), new(half, half), new(-half, half)] : Round(0, 0, half),
            plug.Bore > 0 ? [Round(0, 0, plug.Bore / 2)] : [], plug.Length,
            (x, y, down) => new(x, y, -down), _ => true);
        return new(facets);
    }

    /// <summary>Holes without those that run into one before them: they are one hole at the bench, and no outline.</summary>
    private static List<TemplateHole> Apart(IEnumerable<TemplateHole> holes)
    {
        var kept = new List<TemplateHole>();
        foreach (var h in holes)
            if (!kept.Exists(k => Math.Sqrt((k.X - h.X) * (k.X - h.X) + (k.Y - h.Y) * (k.Y - h.Y)) < (k.Diameter + h.Diameter) / 2 + 1e-5))
                kept.Add(h);
        return kept;
    }

    private static Coordinate[] Round(double x, double y, double radius) =>
        [.. Enumerable.Range(0, Corners).Select(i => Math.SinCos(2 * Math.PI * i / Corners))
            .Select(a => new Coordinate(x + radius * a.Cos, y + radius * a.Sin))];

    /// <summary>Adds the skin of what lies between an outline, anticlockwise, and its holes, over a thickness.</summary>
    /// <param name="at">Where a point of the flat piece is, by x, y and how far below its upper face.</param>
    /// <param name="walled">Which sides of the outline have a wall.</param>
    private static void Prism(List<Facet> facets, Coordinate[] outline, IReadOnlyList<Coordinate[]> holes, double thickness,
        Func<double, double, double, Vec3> at, Func<int, bool> walled)
    {
        static LinearRing Ring(IEnumerable<Coordinate> c) => new([.. c, c.First()]);
        var flat = PolygonTriangulator.Triangulate(new Polygon(Ring(outline), [.. holes.Select(Ring)]));
        for (var i = 0; i < flat.NumGeometries; i++)
        {
            var c = flat.GetGeometryN(i).Coordinates;
            var (p, q, r) = NetTopologySuite.Algorithm.Orientation.Index(c[0], c[1], c[2])
                == NetTopologySuite.Algorithm.OrientationIndex.CounterClockwise
                ? (c[0], c[1], c[2]) : (c[0], c[2], c[1]);
            facets.Add(new(at(p.X, p.Y, 0), at(q.X, q.Y, 0), at(r.X, r.Y, 0)));
            facets.Add(new(at(p.X, p.Y, thickness), at(r.X, r.Y, thickness), at(q.X, q.Y, thickness)));
        }
        void Wall(Coordinate a, Coordinate b)
        {
            var (up, on, low, far) = (at(a.X, a.Y, 0), at(b.X, b.Y, 0), at(a.X, a.Y, thickness), at(b.X, b.Y, thickness));
            facets.Add(new(up, low, far));
            facets.Add(new(up, far, on));
        }
        for (var i = 0; i < outline.Length; i++)
            if (walled(i))
                Wall(outline[i], outline[(i + 1) % outline.Length]);
        foreach (var hole in holes)
            for (var i = 0; i < hole.Length; i++)
                Wall(hole[(i + 1) % hole.Length], hole[i]);
    }

    /// <summary>Where points of a flat piece come to lie when it is bent; the flat length of a bend is its allowance.</summary>
    private sealed class Folded
    {
        private readonly double thickness;
        private readonly List<(double From, double To, double X, double Z, double Heading, double Angle, double Radius)> runs = [];

        public Folded(double thickness, double length, IEnumerable<Rigs.BendLine> bends)
        {
            this.thickness = thickness;
            var (at, x, z, heading) = (0.0, 0.0, 0.0, 0.0);
            void Straight(double to)
            {
                // Two bends may follow on each other.
                if (to - at < 1e-9)
                    return;
                runs.Add((at, to, x, z, heading, 0, 0));
                (x, z, at) = (x + (to - at) * Math.Cos(heading), z + (to - at) * Math.Sin(heading), to);
            }
            foreach (var b in bends.OrderBy(b => b.At))
            {
                var half = Bend.Allowance(Math.Abs(b.Angle), b.Radius, thickness) / 2;
                Straight(b.At - half);
                runs.Add((at, b.At + half, x, z, heading, b.Angle, b.Radius));
                var end = Of(runs[^1], b.At + half, 0);
                (x, z, heading, at) = (end.X, end.Z, heading + b.Angle, b.At + half);
            }
            Straight(length);
        }

        public Vec3 At(double along, double across, double down)
        {
            var first = runs.FindIndex(r => along <= r.To + 1e-12);
            var (x, z) = Of(runs[first < 0 ? runs.Count - 1 : first], along, down);
            return new(x, across, z);
        }

        private (double X, double Z) Of((double From, double To, double X, double Z, double Heading, double Angle, double Radius) run,
            double along, double down)
        {
            var s = along - run.From;
            if (run.Angle == 0)
            {
                var (sin, cos) = Math.SinCos(run.Heading);
                return (run.X + s * cos + down * sin, run.Z + s * sin - down * cos);
            }
            // About the bend's middle, on its inner side: the upper face where it curls up, the lower one where it curls down.
            var inward = run.Angle > 0 ? run.Radius : -(run.Radius + thickness);
            var (sin0, cos0) = Math.SinCos(run.Heading);
            var (mx, mz) = (run.X - inward * sin0, run.Z + inward * cos0);
            var (sin1, cos1) = Math.SinCos(run.Heading + run.Angle * s / (run.To - run.From));
            var from = inward + down;
            return (mx + from * sin1, mz - from * cos1);
        }
    }
}

/// <summary>A plug for the end of a tube, turned or printed.</summary>
/// <param name="Part">Id of its line on the list.</param>
/// <param name="Diameter">m; across flats of a square one.</param>
/// <param name="Length">m.</param>
/// <param name="Bore">Of the tap drill along its middle, m.</param>
/// <param name="Thread">That is cut in it.</param>
public sealed record PlugPiece(string Part, string Station, string Name, double Diameter, double Length, double Bore, string Thread)
{
    /// <summary>True for the plug of a square tube.</summary>
    [System.Text.Json.Serialization.JsonRequired]
    public bool Square { get; init; }
}
