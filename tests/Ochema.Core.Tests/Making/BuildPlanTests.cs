using System.Text.RegularExpressions;
using Ochema.Core.Joints;
using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Making;

/// <summary>
/// The order of work that recurs (common practice, no source): measure before cutting, dry fit before glue, what is covered goes in first,
/// tether before camera, nothing twice and nothing left over. Every recipe and demo rig.
/// </summary>
public sealed partial class BuildPlanTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    private static MakeReport Plan(string name) => Maker.Of(RigFiles.Named(name), Stock);

    [Theory]
    [MemberData(nameof(Names))]
    public void TheListIsTheRig(string name)
    {
        var (plan, b) = (Plan(name), RigAssembly.Build(RigFiles.Named(name), Stock));
        Assert.Equal(b.Mass, plan.Mass, 1e-9);
        Assert.Equal(b.Cost, plan.Cost, 1e-9);
        Assert.Equal(plan.Cost, plan.Parts.Sum(p => p.Cost), 1e-9);
        Assert.Equal(b.Parts.Sum(p => p.Quantity), plan.Parts.Sum(p => p.Quantity), 1e-9);
        // No line without a place; every piece in one place, and no more of a line at its steps than there is of it.
        Assert.All(plan.Parts, p => Assert.Equal(p.Steps.Select(s => s.Step).Order(), plan.Steps.Where(s => s.Parts.Contains(p.Id))
            .Select(s => s.Id).Order()));
        Assert.All(plan.Parts, p => Assert.Equal(p.Quantity, p.Steps.Sum(s => s.Quantity), 9));
        Assert.All(plan.Parts, p => Assert.Equal(p.Step, p.Steps[0].Step));
        Assert.Equal(b.Parts.Select(p => p.Id.ToString()).Order(), plan.Parts.SelectMany(p => p.Pieces).Select(p => p.ToString()).Order());
        // The same screw, nut or washer is one line.
        var small = plan.Parts.Where(p => p.Aisle == Aisle.Screws && p.Row is { } row && Stock.Has("fasteners", row)).ToList();
        Assert.Equal(small.Count, small.Select(p => (p.Name, p.Row)).Distinct().Count());
        Assert.True(plan.Pay >= plan.Cost - 1e-9, "bars are paid whole");
    }

    [Theory] // common practice, no source: the line is fast before what it keeps goes on, and nobody is told of one that is not there
    [MemberData(nameof(Names))]
    public void TheTetherIsOnBeforeWhatItKeeps(string name)
    {
        var (steps, b) = (Plan(name).Steps, RigAssembly.Build(RigFiles.Named(name), Stock));
        var camera = steps.Where(s => s.Work == Work.Camera).Min(s => s.Number);
        Assert.All(steps.Where(s => s.Work == Work.Tether), s => Assert.True(s.Number < camera));
        var first = steps.Where(s => s.Work == Work.Tether).Select(s => s.Number).DefaultIfEmpty(0).Min();
        // What nobody gets at later is screwed on at the bench, before the base has its place.
        var placed = steps.Where(s => s.Work == Work.Place && s.Station == "base").Select(s => s.Number).DefaultIfEmpty(0).Max();
        if (b.Tethers.Any(t => t.Choice.To.Anchor != AnchorEnd.OnReach))
            Assert.All(steps.Where(s => s.Work == Work.Fit && s.Number > placed && new[] { RigPath.First, RigPath.Second }.Any(x => x.Reach.Is(s.Station) || x.Head.Is(s.Station))),
                s => Assert.True(s.Number > first, s.Title));
        if (b.Tethers.Count == 0)
            Assert.DoesNotContain(steps.Where(s => s.Work == Work.Camera), s => s.How.Contains("tether", StringComparison.Ordinal));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void NothingIsDoneBeforeWhatMustPrecedeIt(string name)
    {
        var steps = Plan(name).Steps;
        Assert.Equal(Enumerable.Range(1, steps.Count), steps.Select(s => s.Number));
        Assert.Equal(steps.Count, steps.Select(s => s.Id).Distinct().Count());
        foreach (var s in steps)
            foreach (var before in s.After.Select(id => steps.Single(o => o.Id == id)))
            {
                Assert.True(before.Number < s.Number, $"{s.Id} is number {s.Number}, {before.Id} {before.Number}");
                Assert.True(before.Done <= s.Start + 1e-6, $"{s.Id} begins before {before.Id} is ready");
            }
        // One pair of hands.
        foreach (var (a, b) in steps.Zip(steps.Skip(1)))
            Assert.True(a.End <= b.Start + 1e-6, $"{a.Id} and {b.Id} at once");
        int First(Func<PlanStep, bool> of) => steps.Where(of).Select(s => s.Number).DefaultIfEmpty(int.MaxValue).Min();
        int Last(Func<PlanStep, bool> of) => steps.Where(of).Select(s => s.Number).DefaultIfEmpty(0).Max();
        Assert.True(Last(s => s.Work == Work.Measure) < First(s => s.Work == Work.Cut));
        Assert.True(Last(s => s.Work is >= Work.Cut and <= Work.Pad) < First(s => s.Work == Work.DryFit));
        Assert.True(Last(s => s.Work is Work.DryFit or Work.TryOn) < First(s => s.Work is Work.Glue or Work.Place));
        Assert.True(Last(s => s.Work == Work.Tether) < First(s => s.Work == Work.Camera));
        Assert.True(Last(s => s.Work is not Work.Finish and not Work.Check) < First(s => s.Work == Work.Check));
        Assert.Equal(Work.Check, steps.Last(s => s.Work != Work.Finish).Work);
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void EveryPieceIsMadeAndEveryHoleDrilled(string name)
    {
        var (plan, b) = (Plan(name), RigAssembly.Build(RigFiles.Named(name), Stock));
        var steps = plan.Steps;
        foreach (var part in b.Parts)
        {
            var line = plan.Parts.Single(p => p.Pieces.Contains(part.Id));
            var at = steps.Single(s => s.Id == line.Step);
            if (part.Sort == PieceSort.Sheet || (part is { Sort: PieceSort.Cut, Row: { } row } && Stock.Has("sections", row)))
                Assert.True(at.Work == Work.Cut, $"{part.Name} goes in at {at.Id}");
            if (part.Sheet is { Bends.Count: > 0 })
                Assert.Contains(steps, s => s.Work == Work.Bend && part.Station.Is(s.Station));
        }
        foreach (var group in plan.Cuts)
        {
            Assert.Null(group.Plan.Finding);
            Assert.Equal(group.Pieces.Sum(p => p.Count), group.Plan.Bars!.Sum(x => x.Pieces.Count));
            Assert.Contains(steps, s => s.Bars.Contains(group.Row));
        }
        foreach (var hole in plan.Holes)
        {
            // Between two folds it is drilled before the corner is sawn out to it, and so before they are bent.
            if (hole.Sort == HoleSort.Relief)
            {
                Assert.Contains(steps, s => s.Work == Work.Cut && s.How.Contains($"drill {hole.Count} ×", StringComparison.Ordinal));
                continue;
            }
            // A pin's or a ball's: its kind tells how, and how wide.
            if (hole.Sort == HoleSort.Own)
            {
                Assert.Contains(steps, s => s.Work == Work.Drill && hole.Station.Is(s.Station)
                    && new[] { Dimension.Drill, Dimension.Length }.Any(d => s.How.Contains(QuantityText.Of(hole.Diameter, d),
                        StringComparison.Ordinal)));
                continue;
            }
            Assert.Contains(steps, s => s.Work == Work.Drill && (hole.Joint.Length == 0
                ? s.Title.Contains(hole.Title, StringComparison.OrdinalIgnoreCase)
                : s.Joints.Contains(hole.Joint)));
            var fastener = Stock.Fasteners.Single(f => f.Name == hole.Thread);
            if (hole.Sort == HoleSort.Tapped)
                Assert.Equal(fastener.TapDrill, hole.Diameter, 1e-9);
            else if (hole.Sort == HoleSort.Clearance)
                Assert.True(hole.Diameter > fastener.MajorDiameter);
        }
        // A joint that is made up has a step at which that is done; a head's own screw in the camera goes with the camera.
        foreach (var joint in b.Joints.Where(j => !j.Included || j.Station.Family == "camera"))
            Assert.Contains(steps, s => s.Work is Work.Fit or Work.Place or Work.Camera or Work.Brace or Work.Glue
                && s.Joints.Contains(joint.Id));
        // What comes with its hole is nobody's to drill.
        Assert.DoesNotContain(plan.Holes, h => h.Layer is "Head's plate" or "Clamp body" or "Clamp half" or "The host's thread");
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void NoStepIsWithoutToolsWordsAndCare(string name)
    {
        var plan = Plan(name);
        foreach (var s in plan.Steps)
        {
            if (s.Work is Work.Cut or Work.Deburr or Work.Bend or Work.Drill or Work.Tap or Work.Glue or Work.Finish)
                Assert.NotEmpty(s.Tools);
            Assert.InRange(s.Minutes, 1, 240);
            Assert.InRange(s.Crew, 1, 2);
            foreach (var text in new[] { s.Title, s.How, s.Wrong }.Concat(s.Beware))
            {
                var printed = QuantityText.Print(text, UnitSystem.Inch);
                Assert.DoesNotMatch(Left(), printed);
                Assert.DoesNotContain("  ", printed);
                Assert.DoesNotContain("..", printed);
            }
            Assert.Contains(s.How[^1], ".?");
            Assert.False(s.Title.EndsWith('.'), s.Title);
            Assert.True(char.IsUpper(s.Title[0]) || char.IsDigit(s.Title[0]), s.Title);
        }
        // The drill is warned of wherever it is used.
        Assert.All(plan.Steps.Where(s => s.Tools.Any(t => t.Id == "drill")), s => Assert.Contains(s.Beware, w => w.Contains("Clamp the "
            + "part", StringComparison.Ordinal)));
        Assert.All(plan.Steps.Where(s => s.Work is Work.DryFit or Work.TryOn or Work.Check), s => Assert.True(s.HoldPoint));
    }

    [GeneratedRegex(@"\{|\}|NaN|null")]
    private static partial Regex Left();

    [Fact]
    public void WhatAKindSaysOfItselfIsInThePlan()
    {
        foreach (var (name, rig) in RigFiles.All)
        {
            var (plan, b) = (Maker.Of(rig, Stock), RigAssembly.Build(rig, Stock));
            IEnumerable<WorkStep> own =
                [.. rig.Base.Steps(b, RigPath.First), .. rig.Reach.Steps(b, RigPath.First), .. rig.Isolator.Steps(b, RigPath.First), .. rig.Head.Steps(b, RigPath.First), .. rig.Braces.SelectMany(x => x.Steps(b, RigPath.First))];
            foreach (var step in own)
                Assert.True(plan.Steps.Any(s => s.Title == step.Title && s.Work == step.Work), $"{name}: “{step.Title}” is left out");
        }
    }

    [Fact]
    public void TwoHalvesAreOneBlockBeforeTheyAreHalved()
    {
        // Trim, halve, saw the bolt, one hole through both, close on the ring (common practice, no source).
        var steps = Plan("split-block").Steps.Where(s => s.Station == "base").ToList();
        Assert.Equal([Work.Cut, Work.Cut, Work.Drill, Work.Place], steps.Select(s => s.Work));
        Assert.Contains("halve", steps[0].Title);
        Assert.Contains("bought", steps[1].How);
        Assert.Contains("through both at once", steps[2].How);
        Assert.Contains("before each run", steps[3].How);
        Assert.Single(Plan("split-block").Parts, p => p is { Name: var n, Quantity: 2 } && n.StartsWith("Half "
            + "block", StringComparison.Ordinal));
    }

    [Theory]
    [MemberData(nameof(Names))]
    public void WhatIsUsedUpIsBoughtAndNothingThatIsBoughtIsSaidTwice(string name)
    {
        var (plan, b) = (Plan(name), RigAssembly.Build(RigFiles.Named(name), Stock));
        bool Has(string row) => plan.Parts.Any(p => p.Row == row);
        bool Says(string word) => plan.Steps.Any(s => s.How.Contains(word, StringComparison.OrdinalIgnoreCase) && s.Work
            is not Work.DryFit);
        // Rubber, thread lock, paint: where a step or a joint asks for it, and nowhere else.
        Assert.Equal(b.Joints.Any(j => j.Means == Core.Joints.Loosening.ThreadLock), Has("thread-lock"));
        Assert.Equal(plan.Steps.Any(s => s.Work == Work.Finish), Has("paint-pack"));
        Assert.True(!Says("rubber washer in") || Has("rubber-washer") || Has("rubber-strip"));
        Assert.True(!Says("rubber on both jaws") && !Says("rubber all the way round") || Has("rubber-strip") || Has("hose-clamp"));
        Assert.True(!plan.Steps.Any(s => s.Work == Work.Glue) || plan.Parts.Any(p => p.Aisle == Aisle.Glue
            || p.Row == "glue-pack" || p.Row!.StartsWith("pad-", StringComparison.Ordinal)));
        // A screw that is sawn is sawn in a step; what is bought tapped is not tapped.
        foreach (var r in b.Joints.Where(j => !j.Included && j.Screw is not null).Select(j => j.Report()))
            Assert.Equal(r.CutOff > 0.0005 ? 1 : 0, plan.Steps.Count(s => s.Work == Work.Cut && s.Joints.Contains(r.Id)));
        Assert.DoesNotContain(plan.Holes, h => h.Layer == "Thread in the stem");
    }

    [Fact]
    public void GlueIsFittedDryBeforeAndLeftAloneAfter()
    {
        var plan = Plan("bar-magnets");
        var glue = plan.Steps.Single(s => s.Work == Work.Glue);
        Assert.Equal(24 * 3600, glue.Wait, 5e-7);
        Assert.Contains(plan.Steps.Single(s => s.Work == Work.DryFit).Id, glue.After);
        var on = plan.Steps.Single(s => s.Work == Work.Place);
        Assert.True(on.Start >= glue.End + 24 * 3600 - 1e-6);
        Assert.Equal(glue.Id, plan.Parts.Single(p => p.Row == "magnet-16").Step);
        Assert.True(plan.Ready > 24 * 3600);
        Assert.True(plan.HandsOn < 4 * 3600);
    }

    [Fact]
    public void WhatIsDoneIsDoneAndWhatCuresGoesOn()
    {
        // Round the clock: the nights are looked at elsewhere.
        var rig = RigFiles.Named("bar-magnets") with { Bench = new Bench { WorkFrom = 0, WorkTo = 0 } };
        var plan = Maker.Of(rig, Stock);
        var glue = plan.Steps.Single(s => s.Work == Work.Glue);
        var now = new DateTime(2026, 5, 2, 12, 0, 0, DateTimeKind.Utc);
        // Ten hours ago all up to the glue was done.
        var made = plan.Steps.Where(s => s.Number <= glue.Number).ToDictionary(s => s.Id, s => s.DoneAt("2026-05-02T02:00:00Z"));
        var later = Maker.Of(rig with { Made = made }, Stock, now: now);
        var cures = later.Steps.Single(s => s.Id == glue.Id);
        Assert.Equal((true, -10 * 3600.0, 14 * 3600.0), (cures.IsDone, cures.End, cures.Done));
        var next = later.Steps.First(s => !s.IsDone);
        Assert.Equal(14 * 3600, next.Start, 5e-7);
        Assert.Equal(later.HandsOn, 60 * later.Steps.Where(s => !s.IsDone && s.Work != Work.Finish).Sum(s => s.Minutes), 5e-7);
        Assert.Equal(14 * 3600 + later.HandsOn, later.Ready, 0.0005);
        // Numbers stay what they were.
        Assert.Equal(plan.Steps.Select(s => s.Id), later.Steps.Select(s => s.Id));
        // All done: ready now.
        var all = plan.Steps.ToDictionary(s => s.Id, s => s.DoneAt("2026-04-01T00:00:00Z"));
        Assert.Equal((0, 0), (Maker.Of(rig with { Made = all }, Stock, now: now).Ready,
            Maker.Of(rig with { Made = all }, Stock, now: now).HandsOn));
        // A clock that went back does not make it fresh again: what is done later than now is done now.
        var ahead = Maker.Of(rig with { Made = all.ToDictionary(m => m.Key, m => m.Value with { At = "2027-01-01T00:00:00Z" }) }, Stock,
            now: now);
        Assert.Equal(24 * 3600, ahead.Ready, 5e-7);
    }

    [Theory] // what the measuring sheet asks for can be entered where it says, and is what the rig then has
    [MemberData(nameof(Names))]
    public void WhatIsMeasuredGoesIntoTheRig(string name)
    {
        var rig = RigFiles.Named(name);
        var readings = Maker.Of(rig, Stock).Steps.SelectMany(s => s.Readings).ToList();
        Assert.Equal(readings.Count, readings.Select(r => r.Path).Distinct().Count());
        foreach (var r in readings)
        {
            var value = r.Minimum + (Math.Min(r.UsualTo ?? r.Maximum, r.Maximum) - r.Minimum) / 3;
            var node = System.Text.Json.Nodes.JsonNode.Parse(Core.Json.StrictJson.Write(rig))!;
            var at = node;
            var way = r.Path.Split('.');
            foreach (var step in way[..^1])
                at = step.StartsWith('[') ? at!.AsArray().Single(x => $"[{(string)x!["id"]!}]" == step) : at![step];
            at![way[^1]] = value;
            var measured = RigReader.Read(node.ToJsonString(), Stock);
            Assert.Equal(value, Maker.Of(measured, Stock).Steps.SelectMany(s => s.Readings).Single(x => x.Path == r.Path).Value!.Value, 1e-12);
        }
    }

    [Theory] // nothing goes on an aircraft or a pole under lines before the questions that must be answered are
    [InlineData("tie-down-block")]
    [InlineData("hand-pole")]
    public void WhatMustBeAnsweredIsSaidWhereItGoesOn(string name)
    {
        var rig = RigFiles.Named(name);
        var asked = Questions.Of(rig, Core.Hosts.HostLibrary.Find(rig.Host)!).Where(q => q.Answer != Core.Hosts.Answer.Yes).ToList();
        Assert.NotEmpty(asked);
        var on = Maker.Of(rig, Stock).Steps.First(s => s.Work == Work.Place);
        Assert.All(asked, q => Assert.Contains(on.Beware, t => t.EndsWith(q.Ask, StringComparison.Ordinal)));
        var yes = Core.Hosts.Answer.Yes;
        var answered = rig with { Survey = rig.Survey with { SignedOff = yes, PowerLines = yes, NobodyBelow = yes } };
        Assert.DoesNotContain(Maker.Of(answered, Stock).Steps.First(s => s.Work == Work.Place).Beware,
            t => t.StartsWith("Not before", StringComparison.Ordinal));
    }

    [Fact]
    public void AHoldPointIsNotSkipped()
    {
        var rig = RigFiles.Named("bar-magnets");
        var steps = Maker.Of(rig, Stock).Steps;
        var (dry, on, glue) = (steps.Single(s => s.Work == Work.DryFit), steps.Single(s => s.Work == Work.TryOn),
            steps.Single(s => s.Work == Work.Glue));
        Assert.All(steps.Where(s => s.Number <= dry.Number), s => Assert.Null(s.HeldBy));
        Assert.All(steps.Where(s => s.Number > dry.Number), s => Assert.Equal(dry.Id, s.HeldBy));
        var later = Maker.Of(rig with { Made = new Dictionary<string, Made> { [dry.Id] = new("2026-05-01T10:00:00Z") } }, Stock).Steps;
        Assert.Equal((null, on.Id), (later.Single(s => s.Id == on.Id).HeldBy, later.Single(s => s.Id == glue.Id).HeldBy));
    }

    [Fact]
    public void TimeInWhichGlueCuresIsUsed()
    {
        // Glue A (1 h work, 10 h cure), B on A (1 h), C apart (2 h): A, C, then B at 11 h.
        var times = Schedule.Of([3600, 3600, 7200], [36000, 0, 0], [[], [0], []], [null, null, null], new(0, 0, 0));
        Assert.Equal([(0, 3600, 39600), (39600, 43200, 43200), (3600, 10800, 10800)], times);
    }

    [Fact]
    public void AChangedMeasurementChangesPartsCutsAndHoles()
    {
        var rig = RigFiles.Named("cup-plate-riser");
        var taller = rig with { Reach = ((Core.Kinds.Reaches.Riser)rig.Reach) with { Height = 0.4, Section = "tube-al-40x2" } };
        var (was, now) = (Maker.Of(rig, Stock), Maker.Of(taller, Stock));
        Assert.Equal(0.25, was.Cuts.Single().Pieces.Single().Length, 1e-9);
        Assert.Equal(0.4, now.Cuts.Single(c => c.Row == "tube-al-40x2").Pieces.Single().Length, 1e-9);
        // A tube's plug is tapped for the screw below and for the set screw above: 8.5 for M10, 5/16 in for 3/8-16 (ISO 2306; ASME B1.1
        // practice).
        Assert.Equal(0.0085, was.Holes.Single(h => h.Joint == "reach-screw" && h.Sort == HoleSort.Tapped).Diameter, 5e-6);
        Assert.Equal(0.3125 * 0.0254, was.Holes.Single(h => h.Joint == "head-screw" && h.Sort == HoleSort.Tapped).Diameter, 5e-5);
        Assert.Equal(2, was.Steps.Count(s => s.Title.StartsWith("Pin the end plug", StringComparison.Ordinal)));
        var glued = Maker.Of(rig with { Joints = new Dictionary<string, JointChoice> { ["head-screw"] = new() { Plug = PlugKept.Glued } } },
            Stock);
        Assert.Contains(glued.Steps, s => s.Work == Work.Glue && s.Wait == 24 * 3600 && s.Joints.Contains("head-screw"));
        Assert.True(glued.Ready > was.Ready + 20 * 3600);
    }

    [Fact]
    public void APieceThatNoBarIsLongEnoughForIsRefusedInWords()
    {
        Assert.Null(Maker.Of(RigFiles.Named("hand-pole"), Stock, squaring: 0.1).Cuts[0].Plan.Finding);
        // Three metres is the longest on sale: with the squared end nothing of 3 m comes out of it.
        var long_ = Maker.Of(RigFiles.Named("rail-table") with { Base = new Core.Kinds.Bases.RailTable { Length = 3 } }, Stock);
        Assert.Contains(long_.Cuts, c => c.Plan.Finding?.Contains("too long", StringComparison.Ordinal) == true);
        Assert.True(double.IsFinite(long_.Pay));
    }

    [Fact]
    public void BothCamerasAreFittedEachWithItsOwn()
    {
        var rig = RigFiles.Named("split-block");
        var second = Core.Search.Adviser.Alternatives(rig, "second", Stock)[0].Document;
        var plan = Maker.Of(second, Stock);
        Assert.Equal(2, plan.Steps.Count(s => s.Work == Work.Camera));
        var its = RigPath.Second.Head;
        Assert.Contains(plan.Steps, s => its.Is(s.Station) || s.Parts.Any(p => plan.Parts.Single(l => l.Id == p).Station == its));
    }

    [Fact]
    public void AStepThatIsDoneIsReadStrictly()
    {
        var rig = RigFiles.Named("split-block");
        void Wrong(string path, Made made, string step = "cut.base") => Assert.Equal(path, Assert.Throws<Core.Json.DocumentException>(() =>
            RigReader.Check(rig with { Made = new Dictionary<string, Made> { [step] = made } }, Stock)).Path);
        Wrong("made.cut.base.at", new Made("yesterday"));
        Wrong("made.cut.base.at", new Made("2026-13-01T00:00:00Z"));
        Wrong("made.cut.base.note", new Made(Note: new string('x', 401)));
        Wrong("made", new Made(), "");
        var good = rig with { Made = new Dictionary<string, Made> { ["cut.base"] = new("2026-05-01T10:00:00Z", "slower") } };
        var text = Core.Json.StrictJson.Write(good);
        Assert.Equal(text, Core.Json.StrictJson.Write(RigReader.Read(text, Stock)));
        // It says nothing of the load: the same design.
        Assert.Equal(Core.Assessment.Design.KeyOf(rig), Core.Assessment.Design.KeyOf(good));
    }

    [Fact] // a table's head plate lies on its cross-bar: the head's screw is let in flush, and goes in before the plate is on the bar
    public void WhatIsCoveredLaterGoesInFirst()
    {
        var rig = RigFiles.Named("rail-table");
        var joint = RigAssembly.Build(rig, Stock).Joints.Single(j => j.Id == "head-screw");
        Assert.True(joint.First && joint.Countersunk);
        Assert.DoesNotContain(joint.Layers, l => l.Item is HardwareItem.Washer);
        Assert.Empty(joint.Report().Findings);
        Assert.Equal("Countersunk screw", joint.Report().Screw);
        var plan = Plan("rail-table");
        var (screw, bar) = (plan.Steps.Single(s => s.Work == Work.Fit && s.Joints.Contains("head-screw")),
            plan.Steps.Single(s => s.Work == Work.Fit && s.Joints.Contains("rail-clamp-bolt")));
        Assert.True(screw.Number < bar.Number);
        Assert.Equal(WorkPlace.Bench, screw.Place);
        var hole = plan.Holes.Single(h => h.Joint == "head-screw" && h.Layer == "Head plate");
        Assert.True(hole.Countersink > 0);
        Assert.Contains("countersunk", plan.Steps.Single(s => s.Work == Work.Drill && s.Joints.Contains("head-screw")).How,
            StringComparison.Ordinal);
        // With a plate of another head: a bolt from below, its nut on top.
        var through = JointMaker.Make(new ThroughPort("Plate", [new("Plate", LayerRole.Clearance, 0.008, "al-6061-t6")],
            0.1)
        { Underside = Underside.Covered },
            new ThroughPort("Foot", [new("Foot", LayerRole.Clearance, 0.005, "al-6061-t6")], 0.06), Stock).Single();
        Assert.Equal(["Plate", "Foot", "Washer", "Lock nut"], through.Layers.Select(l => l.Name));
        var stud = JointMaker.Make(new ThroughPort("Plate", [new("Plate", LayerRole.Clearance, 0.008, "al-6061-t6")],
            0.1)
        { Underside = Underside.Covered },
            new StudPort("Stud", "1-4-20", null), Stock).Single();
        Assert.Equal(LayerRole.Tapped, stud.Layers[^1].Role);
    }

    [Theory, MemberData(nameof(Names))] // under a plate on cups or magnets there is no room for a hand: what is screwed from there is on before it is placed
    public void WhatIsScrewedFromUnderAPlateIsOnBeforeThePlateIs(string name)
    {
        if (RigFiles.Named(name).Base is not Ochema.Core.Kinds.Bases.HoldPlate)
            return;
        var (plan, b) = (Plan(name), RigAssembly.Build(RigFiles.Named(name), Stock));
        var under = b.Joints.Where(j => j.Layers.Any(l => l.Name == "Plate") && j.Id is not ("spacer-bolt" or "eye-bolt")).ToList();
        Assert.NotEmpty(under);
        var placed = plan.Steps.First(s => s.Work == Work.Place).Number;
        Assert.All(under, j => Assert.True(plan.Steps.Single(s => s.Work == Work.Fit && s.Joints.Contains(j.Id)).Number < placed, j.Title));
    }

    [Theory, MemberData(nameof(Names))] // read aloud: sizes are said where one drills, a plug goes in where it is drilled, nobody puts a spanner on a set screw
    public void StepsSayWhatIsNeededWhereItIsNeeded(string name)
    {
        var plan = Plan(name);
        foreach (var s in plan.Steps.Where(s => s.Work == Work.Drill && s.Joints.Count > 0))
            foreach (var hole in plan.Holes.Where(h => s.Joints.Contains(h.Joint)))
                Assert.Contains(QuantityText.Of(hole.Diameter, Dimension.Drill), s.How, StringComparison.Ordinal);
        foreach (var plug in plan.Parts.Where(p => p.Row == "end-plug"))
            Assert.Equal(Work.Drill, plan.Steps.Single(s => s.Id == plug.Step).Work);
        foreach (var s in plan.Steps.Where(s => s.Work == Work.Fit && s.How.Contains("Set screw", StringComparison.Ordinal)))
            Assert.DoesNotContain(s.Tools, t => t.Id == "spanners");
    }
}
