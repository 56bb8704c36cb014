using Ochema.Core.Assessment;
using Ochema.Core.Joints;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>The folding arm on a trunk: what nests, what drifts, what turns first, what creeps.</summary>
public sealed class TreeTests
{
    private static RigDocument Rig => RigFiles.Named("tree-arm");

    private static FoldingArm Arm => (FoldingArm)Rig.Reach;

    private static TimberBracket Bracket => (TimberBracket)Rig.Base;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    private static double Use(AssessmentReport report, string check) => report.Checks.Single(c => c.Id == check).Use;

    [Fact] // common practice, no source: links shorter by an inch clear a quarter-inch bolt's nut half an inch from the end
    public void AnInchShorterClearsTheNut()
    {
        var bolt = Catalogue.Shipped.Find<Fastener>("fasteners", "1-4-20");
        Assert.InRange(FoldedLinks.Shorter(bolt, 0.0127), 0.018, 0.0254);
        Assert.Equal(0, FoldedLinks.Stops(bolt, 0.3302, 0.3048, 0.01905, 0.0127, 0.006, last: false));
        // Half an inch does not; nor does a thin washer let the next bolt's head by; the last link has none.
        Assert.InRange(FoldedLinks.Stops(bolt, 0.3302, 0.3175, 0.01905, 0.0127, 0.006, last: false), 0.03, 0.1);
        Assert.InRange(FoldedLinks.Stops(bolt, 0.3302, 0.3048, 0.01905, 0.0127, 0.002, last: false), 0.03, 0.1);
        Assert.Equal(0, FoldedLinks.Stops(bolt, 0.3302, 0.3048, 0.01905, 0.0127, 0.002, last: true));
        // By sight: the side of the folded link's tube and half a nut beside it, at its own length.
        Near.Share((0.01905 / 2 + Holes.AcrossCorners(bolt) / 2 + 0.001) / 0.3175,
            Math.Sin(FoldedLinks.Stops(bolt, 0.3302, 0.3175, 0.01905, 0.0127, 0.006, last: false)), 1e-9);
    }

    [Fact]
    public void AnArmFoldedPastItsStopIsRefused()
    {
        var flat = Rig with { Reach = Arm with { Bend = Math.PI } };
        Assert.DoesNotContain(Assess(flat).Findings, f => f.Blocks && f.Station.Is("reach"));
        var thin = Rig with { Reach = Arm with { Bend = Math.PI, Apart = 0.001 } };
        Assert.Contains(Assess(thin).Findings, f => f.Blocks && f.Text.Contains("Link 2 cannot lie there", StringComparison.Ordinal));
        Assert.DoesNotContain(Assess(Rig with { Reach = Arm with { Apart = 0.001 } }).Findings, f => f.Blocks && f.Station.Is("reach"));
    }

    [Fact] // common practice, no source: an arm of 0.86 m with 1 kg at its end, 3° out of plumb, turns with 0.44 N·m
    public void ALeanTurnsTheArm()
    {
        Near.Share(0.44, 1 * 9.80665 * 0.86 * Math.Sin(3 * Math.PI / 180), 0.01);
        var lean = 3 * Math.PI / 180;
        // Straight out across the lean, nothing but its own weight and the camera's.
        var arm = Arm with { Links = 1, First = 0.8, Heading = Math.PI / 2, Bend = 0 };
        var rig = Rig with
        {
            Base = Bracket with { SetOver = Rig.Site.SideLean },
            Reach = arm,
            Site = Rig.Site with { Slope = Math.Atan(Bracket.Screw / Bracket.Lever) + lean, Taper = 0 },
        };
        var model = new Analysis.RigModel(rig, Catalogue.Shipped);
        var spring = new SpringIndex(model.Built.Model.Springs.ToList().FindIndex(s => s.Id == "pivot-1-spring"));
        var forces = model.Forces(model.State([]), new("rest", "", new(0, 0, -9.80665), -1, default), 0)!;
        var axis = new Vec3(Math.Tan(lean), 0, 1).Normalized();
        var turning = Math.Abs(forces.Spring(spring).Moment.Dot(axis));
        // Mass × arm, of all that is beyond the pivot.
        var b = model.Built;
        var tube = b.Pieces.Single(p => p.Label == "link 1");
        var end = b.Mass - b.Parts.Where(p => p.Station.Is("base") || p.Station.Is("tether")).Sum(p => p.Mass * p.Quantity) - tube.Mass;
        Near.Share(9.80665 * (end * 0.8 + tube.Mass * 0.4) * Math.Sin(lean), turning, 0.1);
    }

    [Fact] // turns of the screw that cancel the lean: lever × tan(lean) ÷ pitch
    public void TheLeanIsCancelledByTurnsOfTheScrew()
    {
        var bracket = Bracket with { Screw = 0.01 };
        var leaning = Rig with { Base = bracket, Site = Rig.Site with { Slope = 0.05 + 0.0522, Taper = 0 } };
        var finding = Assert.Single(Assess(leaning).Findings, f => f.Text.Contains("out of plumb", StringComparison.Ordinal));
        // 0.2 m × (tan 0.1022 − 0.05) ÷ 1.25 mm.
        Assert.Contains("levelling screw out by 8.4 turns", finding.Text);
        var turned = leaning with { Base = bracket with { Screw = 0.01 + 8.4 * 0.00125 } };
        Assert.DoesNotContain(Assess(turned).Findings, f => f.Text.Contains("out of plumb", StringComparison.Ordinal));
        Assert.Contains(Assess(Rig with { Base = Bracket with { SetOver = 0 } }).Findings, f => f.Text.Contains("further to the "
            + "right", StringComparison.Ordinal));
    }

    [Fact] // a trunk that thins by 6 % leans its bark back by 3 %: 0.2 m × 0.03 ÷ 1.25 mm turns fewer
    public void ATaperTipsTheBarkBack()
    {
        string Turns(double taper) => Assess(Rig with
        {
            Base = Bracket with { Screw = 0.01 },
            Site = Rig.Site with { Slope = 0.1022, Taper = taper }
        })
            .Findings.Single(f => f.Text.Contains("out of plumb", StringComparison.Ordinal)).Text;
        Assert.Contains("out by 8.4 turns", Turns(0));
        Assert.Contains("out by 3.6 turns", Turns(0.06));
    }

    [Fact] // what a strap presses with draws along a cone by its half angle: T·dL/dz of a loop, shared out
    public void AStrapDrawsItsBracketToTheThinEnd()
    {
        double Slides(double taper) => Use(Assess(Rig with { Site = Rig.Site with { Taper = taper } }), "base-hold.slide");
        // k·P·tan(half angle) ÷ (μ·P), where it adds to the weight: k = 2, μ = 0.4.
        Near.Share(2 * 0.1 / 0.4, Slides(-0.2) - Slides(0), 0.1);
        // A little helps against the weight: it is not counted on. Much of it draws the bracket up.
        Near.Share(1, Slides(0.01) / Slides(0), 0.01);
        Assert.True(Slides(0.5) > Slides(0));
    }

    [Fact]
    public void EqualJointsTurnAtTheTree()
    {
        var straight = Arm with { Bend = 0, Heading = Math.PI / 2 };
        (double First, double Second, double Third) Uses(FoldingArm arm) =>
            Assess(Rig with { Reach = arm, Run = Rig.Run with { Speed = 15 } }) is var r
            ? (Use(r, "pivot-1.turn"), Use(r, "pivot-2.turn"), Use(r, "pivot-3.turn")) : default;
        var equal = Uses(straight with { Falls = 1 });
        Assert.True(equal.First > equal.Second && equal.Second > equal.Third);
        // Falling in step with what is beyond, they share it.
        var falling = Uses(straight with { Falls = 0.6 });
        Assert.InRange(falling.Second / falling.First, 0.5, 1.3);
    }

    [Fact]
    public void ACamBuckleCreepsAndAThickTrunkPressesLess()
    {
        var ratchet = Assess(Rig);
        var cam = Assess(Rig with { Base = Bracket with { Strap = "cam-25" } });
        Near.Share(Use(ratchet, "base-hold.pressed") * 0.9 / 0.7, Use(cam, "base-hold.pressed"), 0.05);
        // What creeps no longer presses; what was pulled still has to be borne by a weaker strap.
        Near.Share(Use(ratchet, "base-hold.strap") * 9 / 5, Use(cam, "base-hold.strap"), 0.01);
        var thick = Assess(Rig with { Site = Rig.Site with { Diameter = 0.8 } });
        Assert.True(Use(thick, "base-hold.slide") > 1.2 * Use(ratchet, "base-hold.slide"));
        Assert.True(Use(Assess(Rig with { Base = Bracket with { Tension = 200 } }), "base-hold.slide") > 2
            * Use(ratchet, "base-hold.slide"));
    }

    [Fact] // a stem thinner than the timber is touched by less than the timber's width
    public void AThinStemTipsSooner()
    {
        var across = Rig with { Reach = Arm with { Heading = Math.PI / 2, Bend = 0 } };
        var thin = across with { Site = across.Site with { Diameter = 0.06 } };
        Assert.True(Use(Assess(thin), "base-hold.pressed") > 1.3 * Use(Assess(across), "base-hold.pressed"));
    }

    [Fact] // on a stud or in a tube's plug the arm's foot is a joint like any other
    public void WhatTheArmStandsOnHasToBearIt()
    {
        var post = Rig with { Base = new SingleMagnet(), Host = "estate", Site = RigFiles.CupAndArm().Site, At = [0, 0], Tethers = [] };
        Assert.Contains(Assess(post).Checks, c => c.Id == "reach-screw.strength");
        Assert.DoesNotContain(Assess(Rig).Checks, c => c.Id == "reach-screw.slip");
    }

    [Fact]
    public void AfterAMoveItIsWaitedFor()
    {
        // A tenth and a half of an e-folding in each radian: 5 mm to 0.2 mm takes ln 25 of them.
        Near.Share(Math.Log(25) / (2 * Math.PI * 6 * 0.03), Settling.Time(6, 0.03), 1e-9);
        Assert.Contains(Assess(Rig).Findings, f => f.Text.Contains("wait", StringComparison.Ordinal)
            && f.Text.Contains("bounces", StringComparison.Ordinal));
        Assert.DoesNotContain(Assess(Rig with { Reach = new NoReach() }).Findings, f =>
            f.Text.Contains("bounces", StringComparison.Ordinal));
    }

    [Fact] // links of 331, 306 and 281 mm come from one bar of a metre; of 12, 13 and 14 in they do not come from 36 in
    public void TheLinksAreCutFromOneBar()
    {
        var made = Maker.Of(Rig, Catalogue.Shipped);
        var bar = Assert.Single(made.Cuts, c => c.Name.Contains("square", StringComparison.Ordinal));
        Assert.Single(bar.Plan.Bars!);
        var links = RigAssembly.Build(Rig, Catalogue.Shipped).Parts.Where(p =>
            p.Name.StartsWith("Link", StringComparison.Ordinal)).Select(p => p.Cut!).ToList();
        Assert.Equal([0.331, 0.306, 0.281], links.Select(c => Math.Round(c.Length, 6)));
        Assert.All(links, c => Assert.Equal([0.013, c.Length - 0.013], c.Holes!.Select(h => h.At), (a, z) => Math.Abs(a - z) < 1e-9));
        // Each pivot's hole is in both of its links.
        var pivots = made.Holes.GroupBy(h => h.Joint).Where(g => g.Key.StartsWith("pivot", StringComparison.Ordinal)).ToList();
        Assert.Equal(2, pivots.Count);
        Assert.All(pivots, g => Assert.Equal(2, g.Count()));
    }
}
