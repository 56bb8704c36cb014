using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>What it costs, by what lies in the drawer, how things are sold and what lies about: totals follow from the lines,
/// always.</summary>
public sealed class PurseTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    private static MakeReport With(string name, Bench? bench) => Maker.Of(RigFiles.Named(name) with { Bench = bench }, Stock);

    /// <summary>Sums as a shopper would make them.</summary>
    private static void Adds(MakeReport r)
    {
        Assert.Equal(r.Parts.Sum(p => p.Cost), r.Cost, 1e-9);
        Assert.Equal(r.Parts.Sum(p => p.Pay) + r.Cuts.Sum(c => c.Plan.Cost ?? 0), r.Pay, 1e-9);
        Assert.Equal(r.Aisles.Sum(a => a.Cost), r.Cost, 1e-9);
        Assert.InRange(r.ToBuy, 0, r.Pay + 1e-9);
        Assert.All(r.Parts, p => Assert.InRange(p.Have, 0, p.Quantity));
    }

    [Theory, MemberData(nameof(Names))]
    public void EveryLineHasAKeyOfItsOwnAndAllOfItMayLieInTheDrawer(string name)
    {
        var plain = With(name, null);
        Adds(plain);
        Assert.Equal(plain.Pay, plain.ToBuy, 1e-9);
        Assert.Equal(plain.Parts.Count, plain.Parts.Select(p => p.Key).Distinct().Count());
        var lines = plain.Parts.ToDictionary(p => p.Key, _ => new BenchLine { Is = PartIs.InDrawer });
        var drawer = With(name, new() { Lines = lines });
        Adds(drawer);
        Assert.Equal(0, drawer.Pay, 1e-9);
        Assert.Equal(plain.Cost, drawer.Cost, 1e-9);
        Assert.Empty(drawer.Cuts);
        var bought = With(name, new() { Lines = plain.Parts.ToDictionary(p => p.Key, _ => new BenchLine { Is = PartIs.Bought }) });
        Assert.Equal(plain.Pay, bought.Pay, 1e-9);
        Assert.Equal(0, bought.ToBuy, 1e-9);
    }

    [Fact] // four lock nuts of a pack of ten at 2.50: 2.50 out of pocket, 1.00 used; with three in the drawer one pack still
    public void PacksAreBoughtWhole()
    {
        var nuts = With("magnet-plate-straps", null).Parts.First(p => p.Quantity == 4
            && p.Name.StartsWith("Lock nut", StringComparison.Ordinal));
        PartLine Said(double? have, double pack) => With("magnet-plate-straps",
            new() { Lines = new Dictionary<string, BenchLine> { [nuts.Key] = new() { Have = have, Price = 2.5, Pack = pack } } })
            .Parts.Single(p => p.Key == nuts.Key);
        Assert.Equal((1.0, 2.5), (Said(null, 10).Cost, Said(null, 10).Pay));
        Assert.Equal(2.5, Said(3, 10).Pay);
        Assert.Equal(0, Said(4, 10).Pay);
        Assert.Equal(5.0, Said(null, 3).Pay); // two packs of three
        Assert.True(Said(null, 10).OwnPrice);
        Assert.False(nuts.OwnPrice);
    }

    [Fact]
    public void WhatLiesAboutIsCutFirst()
    {
        var plain = With("9-skiff-ferryman", null);
        var group = plain.Cuts[0];
        var longest = group.Pieces.Max(p => p.Length);
        var offcut = new Offcut(group.Row, group.Squaring + longest + 0.001);
        var with = With("9-skiff-ferryman", new() { Offcuts = [offcut] });
        Adds(with);
        var cut = with.Cuts.Single(c => c.Row == group.Row);
        Assert.Contains(cut.Plan.Bars!, b => b.Stock == "offcut 1");
        Assert.True(cut.Plan.Cost <= group.Plan.Cost);
        // A millimetre too short once the end is squared: of no use for it.
        var shorter = With("9-skiff-ferryman", new() { Offcuts = [offcut with { Length = group.Squaring + longest - 0.001 }] });
        Assert.DoesNotContain(shorter.Cuts.Single(c => c.Row == group.Row).Plan.Bars!, b => b.Stock == "offcut 1" && b.Pieces.Any(p =>
            group.Pieces.Single(x => x.Id == p).Length == longest));
    }

    [Fact]
    public void TheSawIsTheBuildersOwn()
    {
        var report = With("9-skiff-ferryman", new() { Kerf = 0.003, Squaring = 0 });
        Assert.All(report.Cuts, c => Assert.Equal((0.003, 0.0), (c.Kerf, c.Squaring)));
        Assert.Equal(["bench.kerf", "bench.squaring"], report.Saw.Select(s => s.Path));
        Assert.Equal(0.003, report.Saw[0].Value);
        Assert.Equal(BarCuts.Hacksaw, With("9-skiff-ferryman", null).Cuts[0].Kerf);
        Assert.All(Maker.Of(RigFiles.Named("9-skiff-ferryman") with { Bench = new() { Kerf = 0.003 } }, Stock, kerf: 0.002).Cuts,
            c => Assert.Equal(0.002, c.Kerf));
    }

    [Fact]
    public void ToolsAreOwnBorrowedOrBought()
    {
        var report = With("split-block", new() { Tools = new Dictionary<string, ToolFrom> { ["drill"] = ToolFrom.Borrow } });
        Assert.Equal(ToolFrom.Borrow, report.Tools.Single(t => t.Id == "drill").From);
        Assert.All(report.Steps.SelectMany(s => s.Tools).Where(t => t.Id == "drill"), t => Assert.Equal(ToolFrom.Borrow, t.From));
        Assert.Equal(report.Steps.Count(s => s.Tools.Any(t => t.Id == "vice")), report.Tools.Single(t => t.Id == "vice").Steps);
        Assert.All(report.Tools.Where(t => t.Id != "drill"), t => Assert.Equal(ToolFrom.Own, t.From));
    }

    [Fact] // money is no load
    public void WhatIsPaidChangesNoVerdict()
    {
        var rig = RigFiles.Named("rail-table");
        var bench = new Bench
        {
            Kerf = 0.002,
            ReadyMade = 900,
            Lines = new Dictionary<string,
            BenchLine>
            { ["base x"] = new() { Price = 3 } }
        };
        Assert.Equal(Design.KeyOf(rig), Design.KeyOf(rig with { Bench = bench }));
        Assert.Equal(StrictJson.Write(Assessor.Assess(rig, Stock)), StrictJson.Write(Assessor.Assess(rig with { Bench = bench }, Stock)));
    }

    [Theory]
    [InlineData("""{"kerf":0.5}""", "bench.kerf")]
    [InlineData("""{"squaring":-0.1}""", "bench.squaring")]
    [InlineData("""{"readyMade":-1}""", "bench.readyMade")]
    [InlineData("""{"lines":{"base plate":null}}""", "bench.lines.base plate")]
    [InlineData("""{"lines":{"base plate":{"price":-2}}}""", "bench.lines.base plate.price")]
    [InlineData("""{"lines":{"base plate":{"pack":0}}}""", "bench.lines.base plate.pack")]
    [InlineData("""{"lines":{"base plate":{"is":"lost"}}}""", "bench.lines")]
    [InlineData("""{"offcuts":[{"row":"tube-of-gold","length":1}]}""", "bench.offcuts[0].row")]
    [InlineData("""{"offcuts":[{"row":"tube-al-25x2","length":0}]}""", "bench.offcuts[0].length")]
    [InlineData("""{"offcuts":[null]}""", "bench.offcuts[0]")]
    [InlineData("""{"tools":{"lathe-of-gold":"buy"}}""", "bench.tools.lathe-of-gold")]
    [InlineData("""{"wallet":3}""", "bench")]
    public void ABenchThatCannotBeIsRefusedByName(string bench, string path)
    {
        var rig = System.Text.Json.Nodes.JsonNode.Parse(StrictJson.Write(RigFiles.Named("split-block")))!.AsObject();
        rig["bench"] = System.Text.Json.Nodes.JsonNode.Parse(bench);
        var wrong = Assert.Throws<DocumentException>(() => RigReader.Read(rig.ToJsonString(), Stock));
        Assert.StartsWith(path, wrong.Path, StringComparison.Ordinal);
    }

    [Theory, MemberData(nameof(Names))] // off a donor it costs nothing and is taken off first; made for me it is paid and nobody cuts, bends or drills it
    public void HowAPartIsComeByChangesThePlan(string name)
    {
        var plain = With(name, null);
        foreach (var line in plain.Parts.Where(p => p.Sort is PieceSort.Cut or PieceSort.Sheet && p.Aisle == Aisle.Metal))
        {
            MakeReport As(PartIs how, double? price = null) =>
                With(name, new() { Lines = new Dictionary<string, BenchLine> { [line.Key] = new() { Is = how, Price = price } } });
            var (donor, made) = (As(PartIs.Donor), As(PartIs.MadeForMe, 33));
            Adds(donor);
            Adds(made);
            var strip = Assert.Single(donor.Steps, s => s.Work == Work.Strip
                && s.Title.StartsWith("Take off its donor", StringComparison.Ordinal));
            Assert.Contains("never to be plugged in again", strip.How, StringComparison.Ordinal);
            Assert.Equal(0, donor.Parts.Single(p => p.Key == line.Key).Pay, 1e-9);
            Assert.Equal(33 * Math.Ceiling(line.Quantity), made.Parts.Single(p => p.Key == line.Key).Pay, 1e-9);
            Assert.False(made.Parts.Single(p => p.Key == line.Key).ByTheBar);
            Assert.DoesNotContain(made.Cuts.SelectMany(c => c.Pieces), p => p.Id == made.Parts.Single(l => l.Key == line.Key).Id);
            // The step at which it was cut is gone, and whatever is left keeps its order.
            var cut = plain.Steps.Where(s => s.Work is Work.Cut or Work.Bend && s.Parts.Contains(line.Id)).ToList();
            Assert.Equal(plain.Steps.Count(s => s.Work == Work.Cut) - cut.Count(s => s.Work == Work.Cut),
                made.Steps.Count(s => s.Work == Work.Cut));
            foreach (var report in new[] { donor, made })
            {
                var at = report.Steps.Select((s, n) => (s.Id, n)).ToDictionary(x => x.Id, x => x.n);
                Assert.All(report.Steps, s => Assert.All(s.After, a => Assert.True(at[a] < at[s.Id])));
                Assert.Equal(plain.Parts.Select(p => p.Key).Order(), report.Parts.Select(p => p.Key).Order());
                Assert.All(report.Parts, p => Assert.Contains(report.Steps, s => s.Id == p.Step));
            }
        }
    }

    [Fact] // a plate that comes drilled is not drilled, the riser's plug still is
    public void WhatComesFinishedIsNotDrilled()
    {
        var plain = With("cup-plate-riser", null);
        var plate = plain.Parts.Single(p => p.Name.StartsWith("Plate", StringComparison.Ordinal));
        var made = With("cup-plate-riser", new()
        {
            Lines = new Dictionary<string,
            BenchLine>
            { [plate.Key] = new() { Is = PartIs.MadeForMe, Price = 40 } }
        });
        int Drills(MakeReport r, string joint) => r.Steps.Count(s => s.Work == Work.Drill && s.Joints.Contains(joint));
        Assert.Equal((1, 0), (Drills(plain, "spacer-bolt"), Drills(made, "spacer-bolt")));
        Assert.Equal((1, 1), (Drills(plain, "head-screw"), Drills(made, "head-screw")));
        // Its sizes are ordered from the same table.
        Assert.Equal(plain.Holes.Count, made.Holes.Count);
        Assert.Equal(plain.Templates.Count, made.Templates.Count);
    }

    [Fact] // by hand: 1 m of 4 mm line between two bowlines of 45 thicknesses each is cut 1.36 m long; a sewn one 1 m
    public void KnotsTakeLine()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        double Line(string end)
        {
            var b = Kinds.RigAssembly.Build(rig with { Tethers = [rig.Tethers[0] with { End = end }, .. rig.Tethers.Skip(1)] }, Stock);
            var tether = b.Tethers[0];
            Assert.Equal(Math.Round(tether.Cut, 2), b.Parts.First(p => p.Station.Is("tether")).Cut!.Length, 1e-9);
            return tether.Cut - tether.Length;
        }
        var row = Stock.Find<StrapRow>("straps", rig.Tethers[0].Stock);
        Assert.Equal(0, Line("sewn"), 1e-12);
        Assert.Equal(90 * row.Thickness, Line("bowline"), 1e-12);
        Assert.Equal(40 * row.Thickness, Line("crimp"), 1e-12);
        var step = Maker.Of(rig with { Tethers = [rig.Tethers[0] with { End = "bowline" }, .. rig.Tethers.Skip(1)] }, Stock).Steps.Single(s => s.Work == Work.Tether);
        Assert.Contains("each bowline takes", step.How, StringComparison.Ordinal);
        Assert.Equal(0.012, Stock.Find<StrapRow>("straps", "ratchet-25").Thickness);
    }
}
