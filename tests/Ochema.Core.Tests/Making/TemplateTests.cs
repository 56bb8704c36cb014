using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>Flat pieces: what is measured back from the drawing is what the rig says, within 0.1 mm.</summary>
public sealed class TemplateTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    private static Template Of(RigDocument rig, string name) =>
        Maker.Of(rig, Stock).Templates.Single(t => t.Name.StartsWith(name, StringComparison.Ordinal));

    private static double Mm(XElement e, string attribute) => double.Parse(e.Attribute(attribute)!.Value.Replace("mm", ""),
        CultureInfo.InvariantCulture);

    [Theory]
    [MemberData(nameof(Names))]
    public void EveryFlatPieceIsMarkedOutAndNothingRunsOut(string name)
    {
        var plan = Maker.Of(RigFiles.Named(name), Stock);
        var bars = Kinds.RigAssembly.Build(RigFiles.Named(name), Stock).Parts
            .Where(p => p.Cut is { } cut && (p.Sheet is not null || cut.Bends.Count + cut.Holes.Count > 0))
            .Select(p => (p.Station, p.Name)).Distinct();
        Assert.Equal(plan.Parts.Where(p => p.Sort == PieceSort.Sheet || bars.Contains((p.Station, p.Name))).Select(p => p.Id),
            plan.Templates.Select(t => t.Part));
        foreach (var t in plan.Templates)
        {
            Assert.Empty(t.Faults);
            Assert.NotEmpty(t.Holes);
            // As many holes on the drawing as in the table, of all pieces alike together.
            foreach (var joint in t.Holes.GroupBy(h => (h.Joint, h.Diameter)))
                Assert.Contains(plan.Holes, h => h.Joint == joint.Key.Joint && h.Diameter == joint.Key.Diameter
                    && h.Count == joint.Count() * (h.Count > joint.Count() ? t.Quantity : 1));
        }
    }

    [Theory, MemberData(nameof(Names))] // common practice, no source: a hole's own width of metal past it, and half of it again to its middle
    public void NoHoleIsDrilledAtTheEndOfABar(string name)
    {
        foreach (var t in Maker.Of(RigFiles.Named(name), Stock).Templates)
            Assert.All(t.Holes, h => Assert.InRange(h.X, 1.5 * h.Diameter, t.Length - 1.5 * h.Diameter));
    }

    [Fact] // what ends in a clamp stands out past it: a bar of just the span falls out
    public void BarsBetweenClampsAreLongerThanTheirSpan()
    {
        double Cut(string rig, string what) => Kinds.RigAssembly.Build(RigFiles.Named(rig), Stock).Parts
            .First(p => p.Name.StartsWith(what, StringComparison.Ordinal)).Cut!.Length;
        var table = new RailTable();
        Assert.True(Cut("rail-table", "Cross-bar") > table.Apart + 0.04);
        Assert.True(Cut("rail-table", "Tube of the table") > table.PostsApart + 0.04);
        var boom = Assert.IsType<Kinds.Reaches.BoomTube>(RigFiles.Named("pan-rig").Reach);
        Assert.True(Cut("pan-rig", "Mast") > boom.Height + 0.02);
        Assert.True(Cut("pan-rig", "Boom") > boom.StickOut + 0.02);
        Assert.True(Cut("pan-rig", "Rail between") > Assert.IsType<TubeClamp>(RigFiles.Named("pan-rig").Base).Apart + 0.04);
    }

    [Fact] // the long side of a mitre of 45° on 25 mm is half the width longer than the middle line
    public void AMitredPieceIsMeasuredOverItsLongSide()
    {
        Assert.Equal(0.1625, CutPiece.LongSide(0.15, 0.025, [0, Math.PI / 4]), 1e-12);
        Assert.Equal(0.175, CutPiece.LongSide(0.15, 0.025, [-Math.PI / 4, Math.PI / 4]), 1e-12);
        Assert.Equal(0.15, CutPiece.LongSide(0.15, 0.025, []), 1e-12);
        var rig = RigFiles.Named("rail-table") with { Reach = new Kinds.Reaches.HangingBracket { Section = "tube-al-30x2" } };
        var reach = new Kinds.Reaches.HangingBracket();
        var parts = Kinds.RigAssembly.Build(rig, Stock).Parts;
        Assert.Equal(reach.Down + 0.015, parts.Single(p => p.Name.StartsWith("Drop", StringComparison.Ordinal)).Cut!.Length, 1e-9);
        // Two mitres alike are one strip each; they are bodies of paper only.
        var plan = Maker.Of(rig, Stock);
        Assert.Equal(2, plan.Wraps.Count(w => w.Lines.Count == 1));
        Assert.All(plan.Wraps, w => Assert.False(w.Flat));
        Assert.Contains("over the long side", plan.Steps.First(s => s.Title.StartsWith("Cut drop", StringComparison.Ordinal)).How,
            StringComparison.Ordinal);
    }

    [Theory] // rolled up again, the line lies in one plane, as far from square as the mitre
    [InlineData("tube-al-30x2", 0.3)]
    [InlineData("tube-al-30x2", 0.785398)]
    [InlineData("square-steel-25x2", 0.785398)]
    public void TheStripOfAMitreRollsUpIntoAPlane(string section, double angle)
    {
        var row = Stock.Find<SectionRow>("sections", section);
        var line = new PartLine("p", RigPath.First.Reach, "Arm", PieceSort.Cut, Aisle.Metal, 1, 1, 1, section, null, "s");
        var strip = Wraps.Mitre(line, 0, row, angle)!;
        var (w, points) = (row.Width, Assert.Single(strip.Lines).Points);
        var round = row.Shape != SectionShape.SquareTube;
        Assert.Equal((round ? Math.PI : 4) * w, strip.Length, 1e-9);
        Assert.Equal((0, strip.Length), (points[0][0], points[^1][0]));
        foreach (var p in points)
        {
            // How far from the long side's face, across the tube in the plane of the mitre.
            var s = p[0] / w;
            var across = round ? w / 2 * (1 - Math.Cos(2 * s)) : w * Math.Clamp(s <= 2 ? s - 0.5 : 3.5 - s, 0, 1);
            Assert.Equal(across * Math.Tan(angle), p[1], 1e-9);
            Assert.InRange(p[1], 0, strip.Width);
        }
        // And in the files.
        var dxf = Dxf(TemplateFiles.Dxf(strip)).Where(e => e.Layer == "SAW").ToList();
        Assert.Equal(points.Count - 1, dxf.Count);
        for (var i = 0; i < dxf.Count; i++)
            Assert.Equal(1000 * points[i + 1][1], dxf[i].Of[21], 0.1);
        var drawn = XDocument.Parse(TemplateFiles.Svg(strip)).Descendants().Single(e => e.Name.LocalName == "polyline")
            .Attribute("points")!.Value.Split(' ');
        var low = 12 + 1000 * strip.Width;
        Assert.Equal(points.Count, drawn.Length);
        for (var i = 0; i < drawn.Length; i++)
            Assert.Equal(1000 * points[i][1], low - double.Parse(drawn[i].Split(',')[1], CultureInfo.InvariantCulture), 0.1);
        Assert.Null(Wraps.Mitre(line, 0, Stock.Find<SectionRow>("sections", "flat-al-40x5"), angle));
    }

    [Fact] // a bent bar is laid flat: hook, shelf and leg between its bends, the shelf's hole in the middle, the shorter end bent first
    public void ABentBarIsLaidFlatWithItsTurns()
    {
        var rig = RigFiles.Named("window-slot");
        var plate = Assert.IsType<WindowSlotPlate>(rig.Base);
        var t = Of(rig, "Bent bar");
        var thick = Stock.Find<SectionRow>("sections", plate.Bar).Height;
        var bend = Bend.Allowance(Math.PI / 2, plate.BendRadius, thick);
        Assert.Equal(plate.Hook + plate.Shelf + plate.Leg + 2 * bend, t.Length, 1e-9);
        Assert.Equal([plate.Hook, plate.Shelf, plate.Leg],
            [t.Bends[0].At - bend / 2, t.Bends[1].At - t.Bends[0].At - bend, t.Length - t.Bends[1].At - bend / 2], (a, c) => Math.Abs(a - c) < 1e-9);
        Assert.Equal([1, 2], t.Bends.Select(x => x.Turn));
        Assert.Equal((t.Bends[0].At + t.Bends[1].At) / 2, Assert.Single(t.Holes).X, 1e-9);
        Assert.True(t.Flat);
        // Between the flanges there is the shelf and both inside radii.
        Assert.Equal(plate.Shelf + 2 * plate.BendRadius, BendOrder.Between(t.Bends, thick)!.Value, 1e-9);
        Assert.Null(BendOrder.Between([t.Bends[0]], thick));
        // A longer hook than leg is bent last.
        Assert.Equal([2, 1], Of(rig with { Base = plate with { Hook = 0.1, Leg = 0.05 } }, "Bent bar").Bends.Select(x => x.Turn));
    }

    [Fact] // cut long, tried, trimmed: bars are cut for the long piece, the trim comes after the trial and before the strut is set
    public void RodsOfStrutsAreCutLongAndTrimmedAfterTheTrial()
    {
        var rig = RigFiles.Named("cup-and-arm-braced");
        var plan = Maker.Of(rig, Stock);
        var rods = Kinds.RigAssembly.Build(rig, Stock).Parts.Where(p => p.Cut?.Long > 0).ToList();
        Assert.Equal(2, rods.Count);
        foreach (var rod in rods)
            Assert.Contains(plan.Cuts.SelectMany(c => c.Pieces), p => Math.Abs(p.Length - rod.Cut!.Length - rod.Cut.Long) < 1e-9);
        var (tried, trims, braces) = (plan.Steps.Single(s => s.Work == Work.TryOn), plan.Steps.Where(s => s.Work == Work.Trim).ToList(),
            plan.Steps.Where(s => s.Work == Work.Brace).ToList());
        Assert.Equal((2, 2), (trims.Count, braces.Count));
        Assert.All(trims, s => Assert.True(s.Number > tried.Number && s.After.Contains(tried.Id)));
        foreach (var brace in braces)
            Assert.Contains(trims.Single(s => s.Station == brace.Station).Id, brace.After);
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void DrawingAndTablePairByNumbersAlongThePiece(string name)
    {
        foreach (var t in Maker.Of(RigFiles.Named(name), Stock).Templates)
        {
            var byNumber = t.Holes.OrderBy(h => h.Number).ToList();
            Assert.Equal(Enumerable.Range(1, t.Holes.Count), byNumber.Select(h => h.Number));
            Assert.All(byNumber.Zip(byNumber.Skip(1)), p => Assert.True(p.First.X <= p.Second.X + 1e-5));
            // Each once on the drawing, and once with its place below it.
            var texts = XDocument.Parse(TemplateFiles.Svg(t)).Descendants().Where(e => e.Name.LocalName == "text").Select(e => e.Value)
                .ToList();
            foreach (var h in byNumber)
            {
                Assert.Single(texts, x => x == $"{h.Number}");
                Assert.Contains(string.Create(CultureInfo.InvariantCulture, $" {1000 * h.Y:0.###} across"),
                    Assert.Single(texts, x => x.StartsWith($"{h.Number}: ", StringComparison.Ordinal)));
            }
        }
        // A plate knows its front.
        if (RigFiles.Named(name).Base is Core.Kinds.Bases.HoldPlate)
            Assert.True(Maker.Of(RigFiles.Named(name), Stock).Templates.Single(t => t.Part == "base/plate").FrontAhead);
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void FilesAreTrueToATenthOfAMillimetre(string name)
    {
        foreach (var t in Maker.Of(RigFiles.Named(name), Stock).Prints)
        {
            var svg = XDocument.Parse(TemplateFiles.Svg(t)).Root!;
            // A unit of the view is a millimetre on paper.
            var view = svg.Attribute("viewBox")!.Value.Split(' ').Select(v => double.Parse(v, CultureInfo.InvariantCulture)).ToArray();
            Assert.Equal(view[2], Mm(svg, "width"), 0.0005);
            Assert.Equal(view[3], Mm(svg, "height"), 0.0005);
            var outline = svg.Descendants().Single(e => e.Attribute("id")?.Value == "outline");
            var drawn = outline.Attribute("points")!.Value.Split(' ').Select(p =>
                p.Split(',').Select(v => double.Parse(v, CultureInfo.InvariantCulture)).ToArray())
                .ToList();
            Assert.Equal(1000 * t.Length, drawn.Max(p => p[0]) - drawn.Min(p => p[0]), 0.1);
            Assert.Equal(1000 * t.Width, drawn.Max(p => p[1]) - drawn.Min(p => p[1]), 0.1);
            var circles = svg.Descendants().Where(e => e.Name.LocalName == "circle").ToList();
            var (left, low) = (drawn.Min(p => p[0]), drawn.Max(p => p[1]));
            var lines = Dxf(TemplateFiles.Dxf(t));
            var holes = lines.Where(e => e.Type == "CIRCLE").ToList();
            Assert.Equal((t.Holes.Count, t.Holes.Count), (circles.Count, holes.Count));
            for (var i = 0; i < t.Holes.Count; i++)
            {
                Assert.Equal(1000 * t.Holes[i].X, Mm(circles[i], "cx") - left, 0.1);
                Assert.Equal(1000 * t.Holes[i].Y, low - Mm(circles[i], "cy"), 0.1);
                Assert.Equal(1000 * t.Holes[i].Diameter, 2 * Mm(circles[i], "r"), 0.1);
                Assert.Equal(1000 * t.Holes[i].X, holes[i].Of[10], 0.1);
                Assert.Equal(1000 * t.Holes[i].Y, holes[i].Of[20], 0.1);
                Assert.Equal(1000 * t.Holes[i].Diameter, 2 * holes[i].Of[40], 0.1);
            }
            // The outline is closed: each line begins where the one before it ends.
            var edges = lines.Where(e => e.Type == "LINE" && e.Layer == "OUTLINE").ToList();
            Assert.Equal((t.Outline.Count, t.Outline.Count), (edges.Count, drawn.Count));
            Assert.Equal(t.Walls.Count > 0 ? 12 : 4, edges.Count);
            var rounds = lines.Where(e => e.Type == "ARC" && e.Layer == "OUTLINE").ToList();
            Assert.Equal(t.Corner > 0 ? 4 : 0, rounds.Count);
            for (var i = 0; i < edges.Count; i++)
            {
                var (to, next) = ((X: edges[i].Of[11], Y: edges[i].Of[21]),
                    (X: edges[(i + 1) % edges.Count].Of[10], Y: edges[(i + 1) % edges.Count].Of[20]));
                if (rounds.Count == 0)
                {
                    Assert.Equal(to, next);
                    Assert.Equal(edges[i].Of[10], drawn[i][0] - left, 0.1);
                    Assert.Equal(edges[i].Of[20], low - drawn[i][1], 0.1);
                    continue;
                }
                // A quarter circle goes on where the edge ends, and ends where the next begins.
                var (arc, r) = (rounds[i].Of, rounds[i].Of[40]);
                Assert.Equal(1000 * t.Corner, r, 0.01);
                Assert.Equal(90, (arc[51] - arc[50] + 360) % 360, 1e-6);
                foreach (var (angle, at) in new[] { (arc[50], to), (arc[51], next) })
                {
                    Assert.Equal(at.X, arc[10] + r * Math.Cos(angle * Math.PI / 180), 0.01);
                    Assert.Equal(at.Y, arc[20] + r * Math.Sin(angle * Math.PI / 180), 0.01);
                }
            }
            Assert.Equal(1000 * t.Length, edges.Max(e => Math.Max(e.Of[10], e.Of[11])), 0.1);
            Assert.Equal(t.Bends.Count + t.Walls.Count, lines.Count(e => e.Layer == "BENDS"));
            Assert.All(TemplateFiles.Dxf(t), c => Assert.True(c < 128));
            Assert.Contains("millimetres", TemplateFiles.Dxf(t));
            // The bar that is measured on the print.
            Assert.Contains(svg.Descendants(), e => e.Name.LocalName == "line" && Math.Abs(Mm(e, "x2") - Mm(e, "x1") - 100) < 1e-6);
        }
    }

    /// <summary>Entities of a DXF file: pairs of a group code and a value, one after the other (DXF Reference, R12).</summary>
    private static List<(string Type, string Layer, Dictionary<int, double> Of)> Dxf(string text)
    {
        var rows = text.Split("\r\n");
        var all = new List<(string Type, string Layer, Dictionary<int, double> Of)>();
        for (var i = 0; i + 1 < rows.Length; i += 2)
        {
            var (code, value) = (int.Parse(rows[i], CultureInfo.InvariantCulture), rows[i + 1]);
            if (code == 0)
                all.Add((value, "", []));
            else if (code == 8)
                all[^1] = all[^1] with { Layer = value };
            else if (code is >= 10 and < 60)
                all[^1].Of[code] = double.Parse(value, CultureInfo.InvariantCulture);
        }
        Assert.Equal("EOF", all[^1].Type);
        return all;
    }

    [Fact]
    public void APlateHasItsHolesWhereItsHoldsAre()
    {
        // 320 mm square, magnets of 88 mm: 49 mm from the edges; eyes 20 mm from the corners; the head in the middle.
        var t = Of(RigFiles.Named("magnet-plate-straps"), "Plate");
        Assert.Equal([(0.049, 0.049), (0.049, 0.271), (0.271, 0.049), (0.271, 0.271)],
            t.Holes.Where(h => h.Joint == "spacer-bolt").Select(h => (Math.Round(h.X, 6), Math.Round(h.Y, 6))).Order());
        Assert.Equal((0.16, 0.16), t.Holes.Where(h => h.Joint == "head-screw").Select(h => (Math.Round(h.X, 6), Math.Round(h.Y, 6)))
            .Single());
        Assert.Equal(4, t.Holes.Count(h => h.Joint == "eye-bolt"));
    }

    [Fact] // the tongue's fork stands on the lower bolt, so that its pin hole is as far from its end as the cheeks' is from that bolt
    public void ThePinsHoleIsMarkedOnCheeksAndTongue()
    {
        var rig = RigFiles.Named("pin-block");
        var block = (PinBlock)rig.Base;
        var (cheek, tongue) = (Of(rig, "Cheek"), Of(rig, "Tongue"));
        var (inCheek, inTongue) = (cheek.Holes.Single(h => h.Title == "pin"), tongue.Holes.Single(h => h.Title == "pin"));
        Assert.Equal(block.Pin, inCheek.Diameter);
        Assert.Equal(inTongue.X, inCheek.X - cheek.Holes.Where(h => h.Joint == "block-bolts").Max(h => h.X), 1e-9);
        // As the step says it: half the depth above the lower edge.
        Assert.Equal(block.Depth / 2, cheek.Length - inCheek.X, 1e-9);
        Assert.Equal(2, Maker.Of(rig, Stock).Holes.Single(h => h.Title == "Pin through cheeks and tongue" && h.Layer == "Cheek").Count);
    }

    [Fact]
    public void TheBallsHoleIsMarkedInBothPlates()
    {
        var rig = RigFiles.Named("roll-hoop") with { Head = new BallInPlatesHead() };
        var plate = Of(rig, "Plate round the ball");
        var hole = plate.Holes.Single(h => h.Title == "ball");
        Assert.Equal((plate.Length / 2, plate.Width / 2, new BallInPlatesHead().Hole), (hole.X, hole.Y, hole.Diameter));
        Assert.Equal("for the ball", hole.For);
        Assert.Equal(2, plate.Quantity);
    }

    [Fact]
    public void ABracketIsLongEnoughForItsScrewsItsBendAndItsLeg()
    {
        // By hand: 15 beyond, 50 apart, 10 to the bend (35 from the middle), the bend π/2·(8 + 0.4·5), the leg, 15 beyond.
        var rig = RigFiles.Named("bolted-roof");
        var bracket = (BoltedBracket)rig.Base;
        var t = Of(rig, "L-bracket");
        var bend = Math.PI / 2 * (0.008 + 0.4 * 0.005);
        Assert.Equal(0.015 + 0.050 + 0.010 + bend + bracket.Leg + 0.015, t.Length, 1e-9);
        Assert.Equal(0.015 + 0.050 + 0.010 + bend / 2, t.Bends.Single().At, 1e-9);
        Assert.Equal([0.015, 0.065], t.Holes.Where(h => h.Joint == "host-screw").Select(h => Math.Round(h.X, 9)));
        // A foot on which the last head would lie in the bend is refused with the size that it takes.
        var tight = Assessor.Assess(rig with { Base = bracket with { Foot = 0.030 } }, Stock);
        Assert.Equal(Verdict.LetsGo, tight.Verdict.Word);
        Assert.Contains(tight.Findings, f => f.Blocks && f.Text.Contains("lies in the bend", StringComparison.Ordinal));
    }

    [Fact]
    public void WhatCannotBeDrilledIsSaid()
    {
        var rig = RigFiles.Named("magnet-plate-straps");
        var small = Of(rig with { Base = ((HoldPlate)rig.Base) with { Length = 0.084, Width = 0.084 } }, "Plate");
        Assert.Contains(small.Faults, f => f.Contains("meet", StringComparison.Ordinal));
        var cradle = RigFiles.Named("bar-magnets");
        var head = (Core.Kinds.Heads.CradleHead)cradle.Head;
        Assert.Empty(Of(cradle, "Cradle").Faults);
        Assert.Equal(Of(cradle, "Cradle").Length, Of(cradle, "Cradle").Bends.Sum(b => b.At), 1e-9);
        // By hand: the wall less the bend's radius, then half the bend.
        var bend = Bend.Allowance(Math.PI / 2, head.BendRadius, head.Thickness);
        Assert.Equal(head.Wall - head.BendRadius + bend / 2, Of(cradle, "Cradle").Bends[0].At, 1e-9);
    }

    [Fact] // folded both ways: inside it is the camera and its liner, the corners are out as far as both bends reach, nothing overlaps
    public void ACradleWithLipsIsACrossWithDrilledCorners()
    {
        var rig = RigFiles.Named("bar-magnets");
        var head = (Core.Kinds.Heads.CradleHead)rig.Head;
        var body = Stock.Find<CameraRow>("cameras", rig.Camera.Body);
        var t = Of(rig, "Cradle");
        var bend = Bend.Allowance(Math.PI / 2, head.BendRadius, head.Thickness);
        // Bent up, an inside corner of 90° saves 2·R − the half of the bend on each side of its flats: between the walls there is the floor
        // and both radii.
        var floor = t.Floor;
        Assert.Equal(body.Width + 2 * head.Pad, floor.Right - floor.Left + 2 * head.BendRadius, 1e-9);
        Assert.Equal(body.Length + 2 * head.Pad, floor.High - floor.Low + 2 * head.BendRadius, 1e-9);
        Assert.Equal(head.Lip, floor.Low - bend + head.BendRadius, 1e-9);
        Assert.Equal(head.Wall, floor.Left - bend + head.BendRadius, 1e-9);
        Assert.Equal([1, 2], t.Bends.Select(x => x.Turn));
        Assert.Equal([3, 4], t.Walls.Select(x => x.Turn));
        // The hole at the end of each corner takes what both folds leave there.
        var reliefs = t.Holes.Where(h => h.Sort == HoleSort.Relief).ToList();
        Assert.Equal(4, reliefs.Count);
        Assert.All(reliefs, h => Assert.True(h.Diameter >= 2 * head.Thickness && (h.X == floor.Left || h.X == floor.Right)
            && (h.Y == floor.Low || h.Y == floor.High)));
        Assert.Empty(t.Faults);
        // Its parts: the strip that becomes floor and walls, and two lips; no more is paid for, nor weighed.
        var area = t.Length * (floor.High - floor.Low) + (floor.Right - floor.Left) * (t.Width - (floor.High - floor.Low));
        var part = Kinds.RigAssembly.Build(rig, Stock).Parts.Single(p => p.Name.StartsWith("Cradle {", StringComparison.Ordinal));
        Assert.Equal(area, part.Sheet!.Area, 1e-12);
        Assert.Equal(area * head.Thickness * Stock.Material(head.Sheet).Density, part.Mass, 1e-9);
        // A lip in the lens's way is said; one that is all bend is refused.
        IEnumerable<ReportFinding> With(double lip) => Assessor.Assess(rig with { Head = head with { Lip = lip } }, Stock).Findings;
        Assert.DoesNotContain(With(head.Lip), f => f.Text.Contains("lip", StringComparison.OrdinalIgnoreCase));
        Assert.Contains(With(0.03), f => !f.Blocks && f.Text.Contains("in the picture", StringComparison.Ordinal));
        Assert.Contains(With(0.002), f => f.Blocks && f.Text.Contains("all bend", StringComparison.Ordinal));
        // Open ends as before: a strip.
        Assert.Equal(4, Of(rig with { Head = head with { Lip = 0 } }, "Cradle").Outline.Count);
    }

    [Fact]
    public void FileNamesAreNames()
    {
        foreach (var (_, rig) in RigFiles.All)
            foreach (var t in Maker.Of(rig, Stock).Templates)
                Assert.Matches(new Regex("^[a-z0-9-]+\\.(svg|dxf)$"), TemplateFiles.FileName(t, TemplateFormat.Dxf));
    }
}
