using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>What came out at the bench goes into the document: verdict, cuts and templates follow, and the drawing is kept beside
/// it.</summary>
public sealed class AsBuiltTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;
    private const string Day = "2026-05-02";

    public static TheoryData<string> Names => RigFiles.Names;

    private static IEnumerable<(PlanStep Step, Reading Asked)> Asked(RigDocument rig) =>
        Maker.Of(rig, Stock).Steps.SelectMany(s => s.Built.Select(r => (s, r)));

    private static RigDocument Put(RigDocument rig, string path, double? value) => AsBuilt.Put(rig, Stock, path, value, Day);

    [Theory, MemberData(nameof(Names))]
    public void EveryValueThatComesOutGoesInIsShownAndComesOutAgain(string name)
    {
        var rig = RigFiles.Named(name);
        var asked = Asked(rig).DistinctBy(a => a.Asked.Path).ToList();
        Assert.NotEmpty(asked);
        foreach (var (step, reading) in asked)
        {
            Assert.Null(reading.Value);
            var planned = Assert.NotNull(reading.Planned);
            var value = Math.Clamp(planned * 1.02 + (planned == 0 ? 0.0001 : 0), reading.Minimum, reading.Maximum);
            if (value == planned)
                value = planned * 0.98;
            var built = Put(rig, reading.Path, value);
            var shown = Asked(built).First(a => a.Asked.Path == reading.Path).Asked;
            Assert.Equal(value, shown.Value!.Value, 1e-9);
            Assert.Equal(planned, shown.Planned!.Value, 1e-9);
            Assert.Equal(Day, built.Measured![reading.Place!].On);
            // A second reading is of the same drawing; taking it back is the drawing.
            var again = Put(built, reading.Path, planned);
            Assert.Equal(planned, Asked(again).First(a => a.Asked.Path == reading.Path).Asked.Planned!.Value, 1e-9);
            Assert.Equal(StrictJson.Write(rig), StrictJson.Write(Put(again, reading.Path, null)));
            Assert.Equal(step.Id, Asked(built).First(a => a.Asked.Path == reading.Path).Step.Id);
        }
    }

    [Theory, MemberData(nameof(Names))] // the first as the others, each under its own place
    public void EveryTethersSlackIsAskedForWhenItIsTied(string name)
    {
        var rig = RigFiles.Named(name);
        var asked = Maker.Of(rig, Stock).Steps.Where(s => s.Work == Work.Tether).Select(s => Assert.Single(s.Built)).ToList();
        Assert.Equal(rig.Tethers.Select(t => t.Slack).Order(), asked.Select(r => r.Planned!.Value).Order());
        Assert.Equal(asked.Count, asked.Select(r => r.Path).Distinct().Count());
        foreach (var r in asked)
        {
            var own = Put(rig, r.Path, r.Planned + 0.02);
            Assert.Equal(r.Planned + 0.02, Assert.Single(own.Tethers.Zip(rig.Tethers), p => p.First.Slack
                != p.Second.Slack).First.Slack);
        }
    }

    [Theory, MemberData(nameof(Names))] // a length that one measurement makes is asked for as built; found by trying each, whatever the kind says
    public void WhateverOneMeasurementMakesIsAskedForWhereItIsCut(string name)
    {
        var rig = RigFiles.Named(name);
        var parts = Kinds.RigAssembly.Build(rig, Stock).Parts;
        for (var i = 0; i < parts.Count; i++)
        {
            // A strip that is bent says what came out where it is bent.
            if (parts[i] is not { Sort: PieceSort.Cut, Sheet: null, Cut: { } cut, Row: { } row }
                || !(Stock.Has("sections", row) || Stock.Has("fasteners", row))
                || DocumentPath.Of(rig, parts[i].Station) is not { } place)
                continue;
            var drives = MeasureReader.Of(place.Kind).Where(m => m.Measure.Dimension == Dimension.Length)
                .Where(m => Math.Abs(Longer(m.Property, 1e-4) - 1e-4) < 1e-9
                    && Math.Abs(Longer(m.Property, -1e-4) + 1e-4) < 1e-9).Select(m => m.Property).ToList();
            if (cut.By is { } by)
                Assert.Equal([System.Text.Json.JsonNamingPolicy.CamelCase.ConvertName(by)], drives);
            else
                Assert.NotEqual(1, drives.Count);

            double Longer(string property, double more)
            {
                var path = $"{place.At}.{property}";
                var at = DocumentPath.ValueAt(rig, path)!.Value;
                var next = Kinds.RigAssembly.Build(DocumentPath.With(rig, Stock, path, at + more), Stock).Parts;
                return next.Count == parts.Count ? next[i].Cut!.Length - cut.Length : 0;
            }
        }
    }

    [Fact] // common practice, no source: a plug is rocked dry before the glue, and once more when it is hard
    public void APlugsPlayIsMeasuredBeforeAndAfterTheGlue()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        RigDocument Kept(PlugKept kept, double play, double? cured = null) => rig with
        {
            Joints = new Dictionary<string, JointChoice> { ["reach-screw"] = new() { Plug = kept, Play = play, PlayCured = cured } },
        };
        double Plug(RigDocument r) => Assessor.Assess(r, Stock).Checks.Single(c => c.Id == "reach-screw.plug").Use;
        IEnumerable<ReportFinding> Says(RigDocument r) => Assessor.Assess(r, Stock).Findings.Where(f =>
            f.Text.Contains("plug", StringComparison.Ordinal));
        // A film is as strong as none; half of it is left at half a millimetre a side, none beyond.
        Assert.Equal(Plug(Kept(PlugKept.Glued, 0)), Plug(Kept(PlugKept.Glued, 0.0004)), 1e-12);
        Assert.Equal(2 * Plug(Kept(PlugKept.Glued, 0)), Plug(Kept(PlugKept.Glued, 0.001)), 1e-9);
        Assert.True(Plug(Kept(PlugKept.Glued, 0.0012)) >= Responses.Check.MostUse);
        Assert.Contains(Says(Kept(PlugKept.Glued, 0.0012)), f => f.Blocks && f.Text.Contains("does not bridge", StringComparison.Ordinal));
        Assert.Contains(Says(Kept(PlugKept.Glued, 0.0004, 0.0002)), f => f.Blocks
            && f.Text.Contains("did not take", StringComparison.Ordinal));
        Assert.Contains(Says(Kept(PlugKept.Pinned, 0.0004)), f => !f.Blocks && f.Text.Contains("knocks", StringComparison.Ordinal));
        Assert.Empty(Says(Kept(PlugKept.Glued, 0.0004)));
        // Asked for at the gluing, and when the joint is made up.
        var asked = Asked(Kept(PlugKept.Glued, 0)).Where(a => a.Asked.Path.StartsWith("joints.reach-screw.play", StringComparison.Ordinal))
            .ToList();
        Assert.Equal([Work.Glue, Work.Fit], asked.Select(a => a.Step.Work));
        var built = Put(Kept(PlugKept.Glued, 0), "joints.reach-screw.play", 0.001);
        Assert.Equal(0.001, built.Joints["reach-screw"].Play);
        Assert.Equal(2 * Plug(Kept(PlugKept.Glued, 0)), Plug(built), 1e-9);
    }

    [Fact] // a riser cut 20 mm longer tips its plate more, and the bar has less left
    public void ARiserCutLongMovesTheVerdictAndTheBars()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        var (step, asked) = Asked(rig).Single(a => a.Asked.Path == "paths.[first].reach.height");
        Assert.Equal(Work.Cut, step.Work);
        var built = Put(rig, "paths.[first].reach.height", asked.Planned + 0.02);
        Assert.Equal(RiserOf(rig) + 0.02, RiserOf(built), 1e-9);
        Assert.Equal(Cut(rig) + 0.02, Cut(built), 1e-9);
        var did = Assert.IsType<BuiltEffect>(AsBuilt.Did(built, Stock));
        Assert.Equal(["paths.[first].reach.height"], did.Paths);
        Assert.Equal(Assessor.Assess(rig, Stock).Verdict.Use, did.Drawn.Use, 1e-12);
        Assert.Equal(Assessor.Assess(built, Stock).Verdict.Use, did.Built.Use, 1e-12);
        Assert.True(did.Built.Use > did.Drawn.Use + 0.002, $"{did.Drawn.Use} {did.Built.Use}");
        Assert.NotNull(did.Most);
        Assert.Null(AsBuilt.Did(rig, Stock));
        Assert.Null(AsBuilt.Did(built, Stock, ["base.length"]));

        static double RiserOf(RigDocument r) => Assert.IsType<Kinds.Reaches.Riser>(r.Reach).Height;
        static double Cut(RigDocument r) => Maker.Of(r, Stock).Cuts.SelectMany(c => c.Pieces).Single().Length;
    }

    [Fact] // what is read off is the piece, what the document has is the measurement: a stud of 50 mm is a rod of 80
    public void AStudIsReadOffAsItsRod()
    {
        var rig = RigFiles.Named("magnet-and-stud");
        var free = Assert.IsType<Kinds.Reaches.Stud>(rig.Reach).Length;
        var rod = Asked(rig).Single(a => a.Asked.Place == "paths.[first].reach.length").Asked;
        Assert.Equal("Cut to", rod.Label);
        Assert.Equal(free + 0.03, rod.Planned!.Value, 1e-9);
        var built = Put(rig, rod.Path, free + 0.04);
        Assert.Equal(free + 0.01, Assert.IsType<Kinds.Reaches.Stud>(built.Reach).Length, 1e-9);
    }

    [Fact] // a drill too wide is refused as in the drawer of the joint; and the template shows it
    public void AHoleAsDrilledIsTheJointsHole()
    {
        var rig = RigFiles.Named("magnet-plate-straps");
        var hole = Asked(rig).First(a => a.Asked.Path.EndsWith("spacer-bolt.layers.[plate].hole", StringComparison.Ordinal)).Asked;
        var built = Put(rig, hole.Path, 0.0095);
        var joint = Assessor.Assess(built, Stock).Joints.Single(j => j.Id == "spacer-bolt");
        Assert.Equal(0.0095, joint.Layers.Single(l => l.Id == "plate").Hole, 1e-9);
        Assert.Equal(4, Maker.Of(built, Stock).Templates.Single().Holes.Count(h => Math.Abs(h.Diameter - 0.0095) < 1e-9));
        var wide = Assessor.Assess(Put(rig, hole.Path, 0.02), Stock);
        Assert.Equal(Why.Refused, wide.Verdict.Why);
    }

    [Fact] // fixed fastener (ASME Y14.5): four M8 in holes of 9 mm take 0.5 mm out of place, and no more
    public void HolesOutOfPlaceAreOpenedByTwiceThat()
    {
        var rig = RigFiles.Named("magnet-plate-straps");
        const string path = "joints.spacer-bolt.layers.[plate].off";
        Assert.Contains(Asked(rig), a => a.Asked.Path == path);
        string[] Says(double off) => [.. Assessor.Assess(Put(Put(rig, path[..^3] + "hole", 0.009), path, off), Stock).Joints
            .Single(j => j.Id == "spacer-bolt").Findings.Select(f => f.Text)
                .Where(t => t.Contains("out of place", StringComparison.Ordinal))];
        Assert.Empty(Says(0.0005));
        Assert.Contains("open the holes to {drill:0.0096", Assert.Single(Says(0.0008)), StringComparison.Ordinal);
    }

    [Fact]
    public void WhatDoesNotComeOutAnywhereIsRefusedByName()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        DocumentException Refused(string path, double? value, string on = Day) =>
            Assert.Throws<DocumentException>(() => AsBuilt.Put(rig, Stock, path, value, on));
        Assert.Equal("path", Refused("run.speed", 10).Path);
        Assert.Equal("path", Refused("", 10).Path);
        Assert.Equal("value", Refused("paths.[first].reach.height", 100).Path);
        Assert.Equal("value", Refused("paths.[first].reach.height", double.NaN).Path);
        Assert.Equal("on", Refused("paths.[first].reach.height", 0.2, "yesterday").Path);
        Assert.Same(rig, Put(rig, "paths.[first].reach.height", null));
    }

    [Fact] // changed on the drawing afterwards, it is a drawing again: what was read off does not count for it
    public void ADrawingChangedAfterwardsIsADrawing()
    {
        var built = Put(RigFiles.Named("cup-plate-riser"), "paths.[first].reach.height", 0.2);
        var drawn = DocumentPath.With(built, Stock, "paths.[first].reach.height", 0.15);
        Assert.Null(AsBuilt.Did(drawn, Stock));
        var asked = Asked(drawn).Single(a => a.Asked.Path == "paths.[first].reach.height").Asked;
        Assert.Equal((null, 0.15), (asked.Value, asked.Planned));
    }

    [Fact] // a hole said of the joint as a whole gives way to the one that was drilled in a layer
    public void WhatWasDrilledInALayerSaysMoreThanWhatIsSaidOfTheJoint()
    {
        var rig = RigFiles.Named("magnet-plate-straps");
        rig = rig with { Joints = new Dictionary<string, Ochema.Core.Joints.JointChoice> { ["spacer-bolt"] = new() { Hole = 0.0088 } } };
        var path = Asked(rig).First(a => a.Asked.Path.EndsWith("spacer-bolt.layers.[plate].hole", StringComparison.Ordinal)).Asked.Path;
        var built = Put(rig, path, 0.0095);
        Assert.Equal(0.0095, Assessor.Assess(built, Stock).Joints.Single(j => j.Id == "spacer-bolt").Layers.Single(l => l.Id
            == "plate").Hole, 9);
        Assert.Equal(0.0095, Asked(built).First(a => a.Asked.Path == path).Asked.Value);
        Assert.Equal(StrictJson.Write(rig), StrictJson.Write(Put(built, path, null)));
    }

    [Fact] // rows of the user's own go along
    public void ARigOfOwnRowsIsBuiltTheSameWay()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        var own = Stock.Find<SectionRow>("sections", "tube-al-50x3") with { Id = "own-tube", Name = "My tube", Source = "measured" };
        rig = rig with
        {
            Reach = Assert.IsType<Kinds.Reaches.Riser>(rig.Reach) with { Section = "own-tube" },
            Stock = new OwnStock { Sections = [own] },
        };
        var stock = Stock.With(rig.Stock);
        var built = AsBuilt.Put(rig, stock, "paths.[first].reach.height", 0.27, Day);
        Assert.Equal(0.27, Assert.IsType<Kinds.Reaches.Riser>(built.Reach).Height);
        Assert.NotNull(AsBuilt.Did(built, stock));
    }
}
