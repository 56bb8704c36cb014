using System.Globalization;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Bases;
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

    private static double Mm(XElement e, string attribute) => double.Parse(e.Attribute(attribute)!.Value.Replace("mm", ""), CultureInfo.InvariantCulture);

    [Theory]
    [MemberData(nameof(Names))]
    public void EveryFlatPieceIsMarkedOutAndNothingRunsOut(string name)
    {
        var plan = Maker.Of(RigFiles.Named(name), Stock);
        Assert.Equal(plan.Parts.Where(p => p.Sort == PieceSort.Sheet).Select(p => p.Id), plan.Templates.Select(t => t.Part));
        foreach (var t in plan.Templates)
        {
            Assert.Empty(t.Faults);
            Assert.NotEmpty(t.Holes);
            // As many holes on the drawing as in the table.
            foreach (var joint in t.Holes.GroupBy(h => (h.Joint, h.Diameter)))
                Assert.Contains(plan.Holes, h => h.Joint == joint.Key.Joint && h.Diameter == joint.Key.Diameter && h.Count == joint.Count());
        }
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void FilesAreTrueToATenthOfAMillimetre(string name)
    {
        foreach (var t in Maker.Of(RigFiles.Named(name), Stock).Templates)
        {
            var svg = XDocument.Parse(TemplateFiles.Svg(t)).Root!;
            // A unit of the view is a millimetre on paper.
            var view = svg.Attribute("viewBox")!.Value.Split(' ').Select(v => double.Parse(v, CultureInfo.InvariantCulture)).ToArray();
            Assert.Equal(view[2], Mm(svg, "width"), 3);
            Assert.Equal(view[3], Mm(svg, "height"), 3);
            var outline = svg.Descendants().Single(e => e.Attribute("id")?.Value == "outline");
            Assert.Equal(1000 * t.Length, Mm(outline, "width"), 0.1);
            Assert.Equal(1000 * t.Width, Mm(outline, "height"), 0.1);
            var circles = svg.Descendants().Where(e => e.Name.LocalName == "circle").ToList();
            var (left, low) = (Mm(outline, "x"), Mm(outline, "y") + Mm(outline, "height"));
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
            Assert.Equal(4, edges.Count);
            for (var i = 0; i < 4; i++)
                Assert.Equal((edges[i].Of[11], edges[i].Of[21]), (edges[(i + 1) % 4].Of[10], edges[(i + 1) % 4].Of[20]));
            Assert.Equal(1000 * t.Length, edges.Max(e => e.Of[10]), 0.1);
            Assert.Equal(t.Bends.Count, lines.Count(e => e.Layer == "BENDS"));
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
        Assert.Equal((0.16, 0.16), t.Holes.Where(h => h.Joint == "head-screw").Select(h => (Math.Round(h.X, 6), Math.Round(h.Y, 6))).Single());
        Assert.Equal(4, t.Holes.Count(h => h.Joint == "eye-bolt"));
    }

    [Fact]
    public void ABracketIsLongEnoughForItsScrewsItsBendAndItsLeg()
    {
        // By hand: 15 beyond, 50 apart, 10 to the bend (35 from the middle), the bend π/2·(8 + 0.4·5), the leg, 15 beyond.
        var rig = RigFiles.Named("bolted-roof");
        var bracket = (BoltedBracket)rig.Base;
        var t = Of(rig, "L-bracket");
        var bend = Math.PI / 2 * (0.008 + 0.4 * 0.005);
        Assert.Equal(0.015 + 0.050 + 0.010 + bend + bracket.Leg + 0.015, t.Length, 9);
        Assert.Equal(0.015 + 0.050 + 0.010 + bend / 2, t.Bends.Single().At, 9);
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
        Assert.Equal(Of(cradle, "Cradle").Length, Of(cradle, "Cradle").Bends.Sum(b => b.At), 9);
        // By hand: the wall less the bend's radius, then half the bend.
        var bend = Bend.Allowance(Math.PI / 2, head.BendRadius, head.Thickness);
        Assert.Equal(head.Wall - head.BendRadius + bend / 2, Of(cradle, "Cradle").Bends[0].At, 9);
    }

    [Fact]
    public void FileNamesAreNames()
    {
        foreach (var (_, rig) in RigFiles.All)
            foreach (var t in Maker.Of(rig, Stock).Templates)
                Assert.Matches(new Regex("^[a-z0-9-]+\\.(svg|dxf)$"), TemplateFiles.FileName(t, TemplateFormat.Dxf));
    }
}
