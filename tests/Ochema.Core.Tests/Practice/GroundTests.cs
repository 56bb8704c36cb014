using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>What stands on floor, grass, sand and snow: footprints, ground that gives, pans that tip; and what clamps beside it.</summary>
public sealed class GroundTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Pan => RigFiles.Named("ground-pan");

    private static CheckReport Check(RigDocument rig, string id) => Assessor.Assess(rig, Stock).Checks.Single(c => c.Id == id);

    private static double Use(RigDocument rig, string id) => Check(rig, id).Use;

    [Fact] // the part that a load stands in the middle of, by counting squares: what is in the circle and, mirrored about the load, still in it
    public void WhatPressesOfARoundFootIsWhatLiesRoundTheLoad()
    {
        var foot = Footprint.Round(0.2);
        foreach (var e in new[] { 0.0, 0.02, 0.05, 0.09 })
        {
            var (inside, step) = (0, 0.0005);
            for (var x = -0.1 + step / 2; x < 0.1; x += step)
                for (var y = -0.1 + step / 2; y < 0.1; y += step)
                    if (x * x + y * y < 0.01 && (2 * e - x) * (2 * e - x) + y * y < 0.01)
                        inside++;
            // Whichever way it is pushed.
            Near.Share(inside * step * step, foot.Area(e, 0), 0.02);
            Near.Share(foot.Area(e, 0), foot.Area(0.6 * e, -0.8 * e), 1e-9);
        }
        Near.Share(Math.PI * 0.01, foot.Area(0, 0), 1e-9);
        Assert.Equal(0, foot.Area(0.1, 0));
        Near.Share((0.3 - 0.1) * (0.2 - 0.04), Footprint.Rectangle(0.3, 0.2).Area(-0.05, 0.02), 1e-9);
        Assert.Equal(0, Footprint.Rectangle(0.3, 0.2).Area(0.16, 0));
    }

    [Fact] // Winkler: a spring under every bit of it, summed up
    public void GroundIsASpringUnderEveryBitOfTheFoot()
    {
        var site = Pan.Site with { Bears = 5e4 };
        var give = SiteForm.Ground.Give(site, Stock.Material("earth"), 0.1);
        var (k, upright, rocking, step) = (5e4 / 0.0254, 0.0, 0.0, 0.0005);
        for (var x = -0.1 + step / 2; x < 0.1; x += step)
            for (var y = -0.1 + step / 2; y < 0.1; y += step)
                if (x * x + y * y < 0.01)
                    (upright, rocking) = (upright + k * step * step, rocking + k * step * step * x * x);
        Near.Share(upright, give.Normal, 0.002);
        Near.Share(rocking, give.Rocking, 0.002);
    }

    [Fact] // by hand: a push at a height against the weight over the radius
    public void APanTipsWhenThePushAtItsHeightBeatsItsWeightAtTheRim()
    {
        var corners = Footprint.Round(0.2).On(Vec3.UnitX, Vec3.UnitY);
        // 30 N down, 6 N at 0.4 m: 2.4 N·m against 30 N × 0.1 m; a polygon in the circle is on the low side by one part in a hundred.
        foreach (var a in new[] { 0.0, 0.4, 1.1, 2.9 })
        {
            var push = 6 * new Vec3(Math.Cos(a), Math.Sin(a), 0);
            var use = TipOver.Ratio(corners, Vec3.UnitZ, push - 30 * Vec3.UnitZ, (0.4 * Vec3.UnitZ).Cross(push));
            Assert.InRange(use, 0.8, 0.81);
        }
    }

    [Fact] // common practice: it is the long lens, the light pan and the narrow one that go over
    public void LongLensesLightAndNarrowPansTip()
    {
        var pan = (WeightedFoot)Pan.Base;
        var usual = Use(Pan, "base-hold.tip");
        Assert.True(Use(Pan with { Base = pan with { Mass = 1 } }, "base-hold.tip") > 1.5 * usual);
        Assert.True(Use(Pan with { Base = pan with { Across = 0.12 } }, "base-hold.tip") > 1.5 * usual);
        Assert.True(Use(Pan with { Camera = Pan.Camera with { Lens = "prime-500", Foot = CameraFoot.Body } }, "base-hold.tip") > 2 * usual);
        // Half as much ballast again is what is proposed, and it does what it says.
        var small = Pan with { Base = pan with { Across = 0.12, Mass = 0.8 }, Camera = Pan.Camera with { Lens = "prime-200" } };
        var (now, advice) = (Assessor.Assess(small, Stock), Adviser.Best(small, Stock));
        Assert.Contains(advice, a => a.Id is "ballast" or "wider" && a.Use < now.Verdict.Use);
    }

    [Fact] // what stands in snow wants width: the same weight on a third of the width breaks in
    public void ASmallHeavyFootBreaksIntoSnowAndNotIntoAFloor()
    {
        RigDocument On(double bears, double across) => Pan with
        {
            Site = Pan.Site with { Bears = bears },
            Base = (WeightedFoot)Pan.Base with { Across = across, Mass = 12 },
        };
        Assert.True(Use(On(5e3, 0.12), "base-hold.bears") > 1);
        Assert.True(Use(On(5e3, 0.45), "base-hold.bears") < 0.8);
        Assert.True(Use(On(2e6, 0.12), "base-hold.bears") < 0.05);
        Assert.Equal(Verdict.LetsGo, Assessor.Assess(On(5e3, 0.12), Stock).Verdict.Word);
        // And it rocks the softer, the softer the ground.
        double Lowest(double bears) => new RigModel(On(bears, 0.23), Stock).Modes[0].Frequency;
        Assert.True(Lowest(5e3) < 0.8 * Lowest(2e6));
    }

    [Fact] // the working says whose number it is
    public void GroundGripsAsMuchAsItWasMeasured()
    {
        Assert.Equal(Use(Pan, "base-hold.slide") * 0.45 / 0.225, Use(Pan with { Site = Pan.Site with { Friction = 0.225 } },
            "base-hold.slide"), 2);
        // A floor in a car has no friction of its own to say: the foot's pad counts.
        var dash = RigFiles.Named("dashboard-pan");
        Assert.Equal(Use(dash, "base-hold.slide"), Use(dash with { Site = dash.Site with { Friction = 0.1 } }, "base-hold.slide"), 1e-9);
        Assert.DoesNotContain(Assessor.Assess(dash, Stock).Checks, c => c.Id == "base-hold.bears");
    }

    [Fact] // common practice: wet grass slides; what was tried there counts as it was read off
    public void WetGroundGripsAndBearsLessUnlessItWasTriedThere()
    {
        var wet = Pan with { Site = Pan.Site with { Surface = SurfaceState.Wet } };
        Assert.Equal(Use(Pan, "base-hold.slide") / 0.6, Use(wet, "base-hold.slide"), 5e-7);
        Assert.Equal(Use(Pan, "base-hold.bears") / 0.6, Use(wet, "base-hold.bears"), 5e-7);
        var tried = wet with
        {
            Measured = new Dictionary<string, Taken>
            {
                ["site.friction"] = new(wet.Site.Friction!.Value,
            "2026-05-02")
            }
        };
        Assert.Equal(Use(Pan, "base-hold.slide"), Use(tried, "base-hold.slide"), 5e-7);
        Assert.Equal(Use(wet, "base-hold.bears"), Use(tried, "base-hold.bears"), 5e-7);
    }

    [Theory] // every place of the field takes something that ships, and says how it holds
    [InlineData("grass", "weighted-foot")]
    [InlineData("floor", "weighted-bag")]
    [InlineData("sand", "weighted-bag")]
    [InlineData("snow", "weighted-foot")]
    [InlineData("railing", "tube-clamp")]
    [InlineData("fence", "spring-clamp")]
    [InlineData("post", "timber-bracket")]
    [InlineData("table", "spring-clamp")]
    [InlineData("thin-edge", "spring-clamp")]
    public void EveryPlaceOfTheFieldHasSomethingThatHoldsThere(string place, string kind)
    {
        var host = HostLibrary.Find("open-field")!;
        var site = host.Sites.Single(s => s.Id == place);
        var source = RecipeLibrary.All.Select(r => r.Document).First(d =>
            NamedKind(d) == kind && (d.Host == "open-field" || d.Host == "orchard-tree" || kind != "weighted-foot"));
        var rig = source with { Host = host.Id, Site = site, At = [0, 0], Straps = [], Tethers = [], Braces = [] };
        var report = Assessor.Assess(rig, Stock);
        Assert.DoesNotContain(report.Findings, f => f.Blocks);
        Assert.True(report.Checks.Count(c => c.Station == "base") >= 2);
        Assert.All(report.Checks, c => Assert.True(double.IsFinite(c.Use)));
    }

    private static string NamedKind(RigDocument rig) => Kind.InfoOf(rig.Base.GetType()).Id;
}
