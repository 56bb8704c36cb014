using System.Buffers.Binary;
using Ochema.Core.Joints;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>Bodies to print: closed, of the right size and volume, and read back from their file.</summary>
public sealed class SolidTests
{
    public static TheoryData<string> Names => RigFiles.Names;

    private static Template Flat(IReadOnlyList<BendLine> bends, IReadOnlyList<TemplateHole> holes, double length = 0.2, double width = 0.05,
        double thick = 0.004) =>
        new("p", "base", "Piece", length, width, thick, 1, bends, holes, []);

    private static TemplateHole Hole(double x, double y, double d) => new(x, y, d, HoleSort.Clearance, "M8", "", "hole");

    /// <summary>Every edge is met by two facets, once in each direction; corners by their values as written, float32 in mm.</summary>
    private static void IsClosed(Solid solid)
    {
        static (float, float, float) Key(Vec3 v) => ((float)(1000 * v.X), (float)(1000 * v.Y), (float)(1000 * v.Z));
        var edges = new Dictionary<((float, float, float), (float, float, float)), int>();
        foreach (var f in solid.Facets)
            foreach (var (a, b) in new[] { (f.A, f.B), (f.B, f.C), (f.C, f.A) })
                edges[(Key(a), Key(b))] = edges.GetValueOrDefault((Key(a), Key(b))) + 1;
        Assert.All(edges, e =>
        {
            Assert.Equal(1, e.Value);
            Assert.True(edges.ContainsKey((e.Key.Item2, e.Key.Item1)), $"the edge {e.Key} is open");
        });
    }

    /// <summary>Area of a regular polygon of 48 corners in a circle.</summary>
    private static double Disc(double diameter) => 24 * Math.Pow(diameter / 2, 2) * Math.Sin(2 * Math.PI / 48);

    [Fact]
    public void AFlatPieceHasItsAreaTimesItsThickness()
    {
        var solid = Solid.Of(Flat([], [Hole(0.05, 0.02, 0.008), Hole(0.15, 0.03, 0.012)]));
        IsClosed(solid);
        Near.Share((0.2 * 0.05 - Disc(0.008) - Disc(0.012)) * 0.004, solid.Volume, 1e-9);
    }

    [Theory] // flats as they are, each bend a sector of a ring: w·angle·((R + t)² − R²)/2
    [InlineData(0.5, 1e-3)]
    [InlineData(1.5707963, 1e-3)]
    [InlineData(-1.5707963, 1e-3)]
    public void ABentPieceHasTheVolumeOfItsFlatsAndBends(double angle, double near)
    {
        var (r, t, w) = (0.006, 0.004, 0.05);
        var solid = Solid.Of(Flat([new(0.07, angle, r)], [Hole(0.02, 0.02, 0.008), Hole(0.18, 0.025, 0.01)]));
        IsClosed(solid);
        var flat = 0.2 - Bend.Allowance(Math.Abs(angle), r, t);
        Near.Share(flat * w * t + w * Math.Abs(angle) * ((r + t) * (r + t) - r * r) / 2 - (Disc(0.008) + Disc(0.01)) * t, solid.Volume,
            near);
    }

    [Fact] // an L of 90°: its legs outside are leg + R + t, by hand
    public void AnAngleStandsAsHighAsItsLegAndBend()
    {
        var (r, t) = (0.006, 0.004);
        var bend = Bend.Allowance(Math.PI / 2, r, t);
        var solid = Solid.Of(Flat([new(0.05 + bend / 2, Math.PI / 2, r)], [], 0.05 + bend + 0.03));
        var points = solid.Facets.SelectMany(f => new[] { f.A, f.B, f.C }).ToList();
        Near.Share(0.05 + r + t, points.Max(p => p.X) - points.Min(p => p.X), 1e-9);
        Near.Share(0.03 + r + t, points.Max(p => p.Z) - points.Min(p => p.Z), 1e-9);
        Near.Share(0.05, points.Max(p => p.Y), 1e-9);
    }

    [Theory] // a tray: floor, four walls and four bends, each as by hand; closed; outside it is as long as its floor, both radii and both walls' thickness
    [InlineData(true, true)]
    [InlineData(true, false)]
    [InlineData(false, true)]
    public void ATrayStandsUpOnAllItsSides(bool low, bool high)
    {
        var (r, t, floorX, floorY, wallX, wallY) = (0.003, 0.0015, 0.06, 0.04, 0.03, 0.008);
        var bend = Bend.Allowance(Math.PI / 2, r, t);
        BendLine At(double at) => new(at, Math.PI / 2, r);
        var (length, from) = (floorX + 2 * (wallX + bend), low ? wallY + bend : 0);
        var width = from + floorY + (high ? wallY + bend : 0);
        List<BendLine> walls = [.. low ? [At(wallY + bend / 2)] : (BendLine[])[], .. high ? [At(from + floorY + bend / 2)]
            : (BendLine[])[]];
        var hole = Hole(length / 2, from + floorY / 2, 0.0066);
        var solid = Solid.Of(Flat([At(wallX + bend / 2), At(length - wallX - bend / 2)], [hole], length, width, t) with { Walls = walls });
        IsClosed(solid);
        var corner = Math.PI / 2 * ((r + t) * (r + t) - r * r) / 2;
        Near.Share(floorX * floorY * t - Disc(0.0066) * t + 2 * floorY * (wallX * t + corner) + walls.Count * floorX * (wallY * t + corner),
            solid.Volume, 1e-3);
        var points = solid.Facets.SelectMany(f => new[] { f.A, f.B, f.C }).ToList();
        Near.Share(floorY + walls.Count * (r + t), points.Max(p => p.Y) - points.Min(p => p.Y), 1e-9);
        Near.Share(floorX + 2 * (r + t), points.Max(p => p.Z) - points.Min(p => p.Z), 1e-9);
        // Nothing stands out above the higher walls, and no lip lies below the floor: the first wall's flat is in z ≤ 0, the floor stands
        // on its bend.
        Near.Share(wallX + r + t, points.Max(p => p.X) - points.Min(p => p.X), 1e-9);
    }

    [Fact]
    public void APlugIsARingOfItsDepth()
    {
        var solid = Solid.Of(new PlugPiece("p", "reach", "End plug", 0.026, 0.020, 0.0085, "M10"));
        IsClosed(solid);
        Near.Share((Disc(0.026) - Disc(0.0085)) * 0.020, solid.Volume, 1e-9);
        Assert.Equal(-0.020, solid.Facets.Min(f => Math.Min(f.A.Z, Math.Min(f.B.Z, f.C.Z))), 1e-9);
    }

    [Fact]
    public void ThePlugOfASquareTubeIsSquare()
    {
        var solid = Solid.Of(new PlugPiece("p", "reach", "End plug", 0.021, 0.020, 0.0085, "M10") { Square = true });
        IsClosed(solid);
        Near.Share((0.021 * 0.021 - Disc(0.0085)) * 0.020, solid.Volume, 1e-9);
        var rig = RigFiles.Named("cup-plate-riser");
        var square = rig with { Reach = Assert.IsType<Ochema.Core.Kinds.Reaches.Riser>(rig.Reach) with { Section = "square-al-25x2" } };
        Assert.All(Maker.Of(square, Catalogue.Shipped).Plugs, p => Assert.True(p.Square));
        Assert.All(Maker.Of(rig, Catalogue.Shipped).Plugs, p => Assert.False(p.Square));
    }

    [Theory] // Euclid: what is drawn to find the middle crosses in it
    [InlineData(false)]
    [InlineData(true)]
    public void TheMiddleOfAPlugsEndIsWhereItsLinesCross(bool square)
    {
        var t = Centres.Of(new("p", "reach", "End plug", 0.026, 0.02, 0.0085, "M10") { Square = square });
        var finding = t.Lines.Where(l => l.Points.Count == 2).ToList();
        // Lines through the middle: two diagonals, or those square to two chords at their middles.
        var through = square ? finding : [finding[1], finding[3]];
        var (a, b) = (through[0].Points, through[1].Points);
        double Cross(double[] p, double[] q) => p[0] * q[1] - p[1] * q[0];
        double[] d1 = [a[1][0] - a[0][0], a[1][1] - a[0][1]], d2 = [b[1][0] - b[0][0], b[1][1] - b[0][1]];
        var s = Cross([b[0][0] - a[0][0], b[0][1] - a[0][1]], d2) / Cross(d1, d2);
        Assert.Equal((0.013, 0.013), (Math.Round(a[0][0] + s * d1[0], 12), Math.Round(a[0][1] + s * d1[1], 12)));
        Assert.Equal((0.013, 0.013), (t.Holes[0].X, t.Holes[0].Y));
        if (square)
            return;
        foreach (var (chord, line) in new[] { (finding[0].Points, finding[1].Points), (finding[2].Points, finding[3].Points) })
        {
            double[] along = [chord[1][0] - chord[0][0], chord[1][1] - chord[0][1]];
            Assert.Equal(0, along[0] * (line[1][0] - line[0][0]) + along[1] * (line[1][1] - line[0][1]), 1e-12);
            Assert.All(chord, p => Near.Share(0.013, Math.Sqrt(Math.Pow(p[0] - 0.013, 2) + Math.Pow(p[1] - 0.013, 2)), 1e-9));
        }
    }

    [Theory, MemberData(nameof(Names))]
    public void EveryFlatPieceAndPlugOfEveryRigIsABody(string name)
    {
        var rig = RigFiles.Named(name);
        var report = Maker.Of(rig, Catalogue.Shipped.With(rig.Stock));
        foreach (var solid in report.Templates.Select(Solid.Of).Concat(report.Plugs.Select(Solid.Of)))
        {
            IsClosed(solid);
            Assert.True(solid.Volume > 0);
            var file = SolidFile.Stl(solid);
            Assert.Equal(84 + 50 * solid.Facets.Count, file.Length);
            Assert.Equal(solid.Facets.Count, BinaryPrimitives.ReadInt32LittleEndian(file.AsSpan(80)));
            float At(int facet, int corner, int axis) => BinaryPrimitives.ReadSingleLittleEndian(file.AsSpan(84 + 50 * facet + 12 + 12
                * corner + 4 * axis));
            Near.Share(1000 * solid.Facets[^1].B.Y, At(solid.Facets.Count - 1, 1, 1), 1e-6);
            // Volume once more, from the file alone, mm³.
            var sum = 0.0;
            for (var i = 0; i < solid.Facets.Count; i++)
            {
                Vec3 P(int corner) => new(At(i, corner, 0), At(i, corner, 1), At(i, corner, 2));
                sum += P(0).Dot(P(1).Cross(P(2))) / 6;
            }
            Near.Share(1e9 * solid.Volume, sum, 1e-3);
        }
        Assert.Equal(report.Parts.Count(p => p.Row == "end-plug"), report.Plugs.Count);
    }

    [Theory, MemberData(nameof(Names))] // once round the tube; the pin's two marks are opposite each other, at the middle of the plug
    public void AStripGoesOnceRoundEachPinnedTube(string name)
    {
        var rig = RigFiles.Named(name);
        var report = Maker.Of(rig, Catalogue.Shipped.With(rig.Stock));
        var joints = Ochema.Core.Kinds.RigAssembly.Build(rig,
            Catalogue.Shipped.With(rig.Stock)).Joints.Where(j => j.Plug is { Kept: PlugKept.Pinned }).ToList();
        Assert.Equal(joints.Count, report.Wraps.Count(w => w.Part.EndsWith("-wrap", StringComparison.Ordinal)));
        // A pin right across would stand where the screw goes: each stops short of the thread, with enough of it in the plug.
        foreach (var j in joints)
        {
            var into = j.Plug!.PinDepth(j.Thread.MajorDiameter) - j.Plug.Wall;
            Assert.InRange(into, 0.0025, (j.Plug.Inside - j.Thread.MajorDiameter) / 2);
        }
        foreach (var (wrap, plug) in report.Wraps.Zip(joints.Select(j => j.Plug!)))
        {
            Near.Share((plug.Square ? 4 : Math.PI) * (plug.Inside + 2 * plug.Wall), wrap.Length, 1e-12);
            Near.Share(wrap.Length / 2, wrap.Holes[1].X - wrap.Holes[0].X, 1e-12);
            Assert.All(wrap.Holes, h => Assert.Equal((plug.Depth / 2, TubePlug.Pin), (h.Y, h.Diameter)));
            Assert.All(wrap.Holes, h => Assert.InRange(h.X, h.Diameter, wrap.Length - h.Diameter));
        }
        Assert.Equal(report.Templates.Count + report.Wraps.Count, report.Prints.Select(t => t.Part).Distinct().Count());
    }
}
