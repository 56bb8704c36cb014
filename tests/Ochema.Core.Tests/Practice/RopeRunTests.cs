using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>Carriages on ropes: tension against sag, one rope parted, end stops, what rolls by itself, and the frame on the ropes'
/// tangent.</summary>
public sealed class RopeRunTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Two => RigFiles.Named("rope-two");

    private static RigDocument One => RigFiles.Named("rope-one");

    private static RigDocument With(RigDocument rig, Func<RopeCarriage, RopeCarriage> change) =>
        rig with { Base = change((RopeCarriage)rig.Base) };

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Stock);

    private static double Use(RigDocument rig, string id) => Assess(rig).Checks.Single(c => c.Id == id).Use;

    private static double Term(RigDocument rig, string id, string symbol) =>
        Assess(rig).Checks.Single(c => c.Id == id).Working!.Terms.Single(t => t.Symbol == symbol).Value;

    /// <summary>Mass of all that runs along the rope.</summary>
    private static double Runs(RigDocument rig) =>
        RigAssembly.Build(rig, Stock).MassOf(n => !n.StartsWith("anchor-", StringComparison.Ordinal)).Mass;

    [Fact] // P·a·b/(s·L) with its own weight beside it, statics
    public void EachRopeCarriesHalfByItsSag()
    {
        var rig = With(Two, c => c with { Rope = "wire-3" });
        var half = Runs(rig) * 9.80665 / 2;
        var own = Stock.Find<StrapRow>("straps", "wire-3").MassPerMetre * 9.80665 * 12.2;
        var said = Assess(rig).Findings.First(f => f.Text.Contains("stands at", StringComparison.Ordinal)).Text;
        var tension = double.Parse(said.Split("{force:")[1].Split('}')[0], System.Globalization.CultureInfo.InvariantCulture);
        Near.Share((half * 12.2 / 4 + own * 12.2 / 8) / 0.3, tension, 0.01);
    }

    [Fact] // common practice: half the sag, twice the tension; what bends over a small pulley is weaker
    public void TighterRopesPullHarderAtRopeAndAnchor()
    {
        var tight = With(Two, c => c with { Sag = 0.15 });
        Near.Share(2, Use(tight, "rope-left.parts") / Use(Two, "rope-left.parts"), 0.1);
        Near.Share(2, Use(tight, "base.ends") / Use(Two, "base.ends"), 0.1);
        Assert.True(Use(With(Two, c => c with { Sag = 0.03 }), "base.ends") > 1);
        Assert.Equal(Verdict.LetsGo, Assess(With(Two, c => c with { Sag = 0.03 })).Verdict.Word);
        Near.Share(1 - 0.5 / Math.Sqrt(6), RopeStrength.OverPulley(0.06, 0.01), 1e-9);
        // Whoever hangs a rope twice as heavily loaded pulls twice as hard.
        var heavy = Two with { Camera = Two.Camera with { Mass = Runs(Two) + (Two.Camera.Mass ?? 0.865) } };
        Near.Share(2, Use(heavy, "rope-left.parts") / Use(Two, "rope-left.parts"), 0.15);
    }

    [Fact]
    public void AnAnchorThatNobodyAskedIsSaidAndIsNotTakenAsGood()
    {
        var known = Two with { Survey = Two.Survey with { NobodyBelow = Answer.Yes } };
        var unknown = Assess(known with { Site = known.Site with { EndsHold = null } });
        // No use of a strength that nobody knows: it is asked for.
        Assert.DoesNotContain(unknown.Checks, c => c.Id == "base.ends");
        Assert.Equal((Verdict.Tight, Why.Unanswered), (unknown.Verdict.Word, unknown.Verdict.Why));
        Assert.Contains(unknown.Verdict.Missing!, m => m.Contains("What do the anchors hold?", StringComparison.Ordinal));
        Assert.DoesNotContain(Assess(known).Verdict.Missing!, m => m.Contains("hold?", StringComparison.Ordinal));
    }

    [Fact] // work and energy, by adding up small steps of the general net
    public void TheOtherRopeCatchesWhatDrops()
    {
        var rig = Two;
        var b = RigAssembly.Build(rig, Stock);
        var all = Runs(rig) * 9.80665;
        var row = Stock.Find<StrapRow>("straps", "rope-8");
        var (from, to) = (new Vec3(-6.1, 0, 2.4), new Vec3(6.1, 0, 2.4));
        var length = RopeSpan.LengthFor(from, to, row.AxialStiffness, row.MassPerMetre, 0.5, 0.3, all / 2)!.Value;
        double Depth(double force) => 2.4 - HangingNet.Solve(new HangTask
        {
            Nodes = [new("a", from.X, from.Y, from.Z, true), new("b", to.X, to.Y, to.Z, true), new("c", 0, 0, 2)],
            Ropes = [new("r", "a", "b", length, row.AxialStiffness, row.MassPerMetre) { Via = ["c"] }],
            Loads = [new("c") { F = [0, 0, -force] }],
        }).Positions!["c"][2];
        var (work, force, depth) = (0.0, all / 2, Depth(all / 2));
        while (work >= 0)
        {
            var (next, deeper) = (force + 0.02 * all, Depth(force + 0.02 * all));
            work += (all - 0.5 * (force + next)) * (deeper - depth);
            (force, depth) = (next, deeper);
        }
        // The rope's own load in the let-go case is as many times the weight.
        var without = new RigModel(rig, Stock);
        var state = without.State(["rope-left"]);
        var check = without.Built.Checks.Single(c => c.Id == "rope-right.parts");
        var sheet = new Core.Responses.Worksheet();
        var rest = without.Forces(state, new Core.Loads.RigCase("rest", "", new(0, 0, -9.80665), -1, Vec3.Zero), 0)!;
        check.Use(rest, sheet);
        var factor = sheet.Done().Terms.Single(t => t.Symbol == "g").Value;
        Near.Share(force / all, factor, 0.03);
        Assert.InRange(factor, 1.3, 2.6);
        // All of it hangs on the one rope, and the check sees it dropped.
        Near.Share(factor * all, sheet.Done().Terms.Single(t => t.Symbol == "P").Value, 0.05);
        Assert.NotNull(b);
    }

    [Fact] // what hangs on the rope that is left is caught with it: head, beam and bolts see the same jerk
    public void WhatHangsOnTheOtherRopeIsCaughtWithIt()
    {
        var report = Assess(Two);
        double Head(string state) => report.LetGo.Single(l => l.Id == state).Uses["head"];
        Assert.True(Head("rope-left") > 1.2 * Head("intact"), $"{Head("rope-left")} against {Head("intact")}");
        // And the rope itself is not counted twice.
        Assert.InRange(report.LetGo.Single(l => l.Id == "rope-left").Uses["base"], 0.1, 0.9);
    }

    [Fact]
    public void WithOneRopePartedItSwingsLowerAndIsStillClear()
    {
        var model = new RigModel(Two, Stock);
        var check = model.Built.Checks.Single(c => c.Id == "rope-right.clear");
        var rest = new Core.Loads.RigCase("rest", "", new(0, 0, -9.80665), -1, Vec3.Zero);
        var whole = check.Use(model.Forces(model.State([]), rest, 0)!);
        var parted = check.Use(model.Forces(model.State(["rope-left"]), rest, 0)!);
        Assert.True(parted > 1.2 * whole);
        Assert.Contains(Assess(Two).LetGo, l => l.Id == "rope-left" && l.Verdict == Verdict.Tight);
        // A low rope over tall grass: clear while whole, on the ground when one parts.
        var low = With(Two, c => c with { Clear = 1.6 });
        Assert.True(Use(low, "rope-right.clear") < 1);
        Assert.Contains(Assess(low).LetGo, l => l.Id == "rope-left" && l.Verdict == Verdict.LetsGo);
        // One rope alone: nothing else keeps it on.
        Assert.Contains(Assess(One).LetGo, l => l.Id == "rope" && l.Verdict == Verdict.LetsGo);
    }

    [Fact] // a spring's peak: m·V²/s; a fall: √(2·g·h)
    public void TheStopAndTheSlopeSetItsSpeed()
    {
        var verdict = Assess(One).Verdict;
        Near.Share(Math.Sqrt(0.6 * 9.80665 * 2.2), verdict.LimitSpeed!.Value, 1e-3);
        Near.Share(verdict.LimitSpeed.Value * Math.Sqrt(0.5), Assess(With(One, c => c with { Stop = 1.1 })).Verdict.LimitSpeed!.Value,
            1e-3);
        Near.Share(Math.Sqrt(2 * 9.80665 * (0.5 - 0.02 * 6)), RopeRolls.Speed(0.5, 6), 1e-9);
        Assert.Equal(0, RopeRolls.Speed(0.1, 10));
        // Steeper rolls faster.
        double Rolls(double rise) => Term(One with { Site = One.Site with { Rise = rise } }, "base.rolls", "v");
        Assert.True(Rolls(-1.5) > Rolls(-0.4) && Rolls(-0.4) > Rolls(0));
        // Held by a hand line nobody asks.
        Assert.DoesNotContain(Assess(With(One, c => c with { MovedBy = RopeDrive.HandLine })).Checks, c => c.Id == "base.rolls");
    }

    [Fact]
    public void ACounterweightBringsItLevel()
    {
        var ahead = Two with { Reach = new Core.Kinds.Reaches.HangingBracket { Out = 0.25, Down = 0.05 } };
        var lean = Use(ahead, "base.level");
        Assert.True(lean > 2 * Use(Two, "base.level"));
        var moment = Term(ahead, "base.level", "M");
        // By hand: as much moment behind as ahead.
        var balanced = With(ahead, c => c with { Counterweight = moment / 9.80665 / 0.3, Back = 0.3 });
        Assert.True(Use(balanced, "base.level") < 0.3 * lean);
    }

    [Fact] // the general net, loaded by a little more and a little aside
    public void TheFrameStandsOnTheRopesTangent()
    {
        var model = new RigModel(Two, Stock).Built.Model;
        var half = Runs(Two) * 9.80665 / 2;
        var row = Stock.Find<StrapRow>("straps", "rope-8");
        var (from, to) = (new Vec3(-6.1, 0, 2.4), new Vec3(6.1, 0, 2.4));
        var length = RopeSpan.LengthFor(from, to, row.AxialStiffness, row.MassPerMetre, 0.5, 0.3, half)!.Value;
        // As it is, on two pulleys a wheelbase apart, from which forces hang.
        IReadOnlyDictionary<string, double[]> At(Vec3 front, Vec3 rear) => HangingNet.Solve(new HangTask
        {
            Nodes = [new("a", from.X, from.Y, from.Z, true), new("b", to.X, to.Y, to.Z, true), new("f", 0.1, 0, 2), new("r", -0.1, 0, 2)],
            Ropes =
            [
                new("rope", "a", "b", length, row.AxialStiffness, row.MassPerMetre) { Via = ["r", "f"] },
                new("board", "r", "f", 0.2, 1e7),
            ],
            // A line does not push: they are pulled apart by more than the rope draws them together by.
            Loads = [new("f") { F = (front + 2 * Vec3.UnitX).ToArray() }, new("r") { F = (rear - 2 * Vec3.UnitX).ToArray() }],
        }).Positions!;
        var down = new Vec3(0, 0, -half / 2);
        var k = model.Springs.Single(s => s.Id == "rope-left").K;
        double Middle(IReadOnlyDictionary<string, double[]> p, int axis) => (p["f"][axis] + p["r"][axis]) / 2;
        var (rest, deeper, aside) = (At(down, down), At(1.02 * down, 1.02 * down), At(down + 0.2 * Vec3.UnitY, down + 0.2 * Vec3.UnitY));
        Near.Share(0.02 * half / (Middle(rest, 2) - Middle(deeper, 2)), k[2], 0.05);
        Near.Share(0.4 / Middle(aside, 1), k[1], 0.05);
        // A couple of two forces turns it: the moment over the angle, less what its own weight brings back below the rope.
        var turned = At(down - 0.5 * Vec3.UnitZ, down + 0.5 * Vec3.UnitZ);
        var angle = (turned["r"][2] - turned["f"][2] - (rest["r"][2] - rest["f"][2])) / 0.2;
        Near.Share(0.5 * 0.2 / angle, k[5], 0.08);
        Assert.True(k[4] > k[5]);
    }

    [Fact] // what the ropes are hung with is what the linearised document's springs carry: all of the weight
    public void ItsModelDocumentCarriesAllThatRuns()
    {
        foreach (var rig in new[] { Two, One })
        {
            var cruise = RigModelDocument.Of(rig, Stock).Cases!.First(c => c.Id == "cruise-0");
            var up = cruise.Result!.SpringForces.Where(f => f.Key.StartsWith("rope", StringComparison.Ordinal)).Sum(f => f.Value[2]);
            Near.Share(Runs(rig) * 9.80665, up, 1e-3);
        }
    }

    [Fact]
    public void OneRopeOrTwoIsAskedAndComputed()
    {
        var school = Schools.Of(Two, Stock, default).Single(s => s.Id == "ropes");
        Assert.Equal(["Two ropes", "One rope"], school.Sides.Select(s => s.Title));
        // Slower limits, softer ropes: what is proposed is worth trying.
        Assert.Contains(Adviser.Best(With(One, c => c with { Stop = 1 }), Stock), a => a.Id == "stop");
    }
}
