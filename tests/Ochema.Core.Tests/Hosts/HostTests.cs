using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Hosts;

public class HostTests
{
    public static TheoryData<string> Ids => [.. HostLibrary.All.Select(h => h.Id)];

    [Theory]
    [MemberData(nameof(Ids))]
    public void EveryHostIsWholeAndInProportion(string id)
    {
        var host = HostLibrary.Find(id)!;
        var published = host.Published;
        Assert.NotEmpty(host.Cautions);
        Assert.Equal(host.Sites.Count, host.Sites.Select(s => s.Id).Distinct().Count());
        Assert.Equal(host.Anchors.Count, host.Anchors.Select(a => a.Id).Distinct().Count());
        var points = published.Surfaces.SelectMany(s => s.Grid).SelectMany(r => r).Select(Vec3.From).ToList();
        foreach (var site in host.Sites)
        {
            // A site stands on or in the drawn host, its normal is a unit vector, and it is within its own ranges.
            var surface = host.Surface(site);
            Assert.Equal(1, surface.Normal.Length, 5e-7);
            Assert.True(points.Min(p => (p - surface.Origin).Length) < 0.5, $"{id}, {site.Id} hangs in the air");
            Assert.True(!site.Form.Has.Contains(nameof(Site.Diameter)) || site.Diameter > 0, site.Id);
            Assert.Equal(0, surface.U.Dot(surface.Normal), 5e-7);
        }
        foreach (var z in host.Zones)
            Assert.All(Enumerable.Range(0, 3), i => Assert.True(z.Low[i] < z.High[i], z.Id));
        Assert.All(host.Motion.Factors, f => Assert.True(f.Value > 0 && f.Source.Length > 0));
    }

    [Theory]
    [MemberData(nameof(Ids))]
    public void EveryHostHasARecipeOrIsAVariantOfOneThatHas(string id)
    {
        // Those of the tests are not shipped.
        if (HostLibrary.Find(id) is { } host && host.GetType().Assembly == typeof(Host).Assembly)
            Assert.Contains(RecipeLibrary.All, r => r.Group == host.Whereabouts);
    }

    [Fact]
    public void WhatLeansIsPressedDownAndNotPushedAside()
    {
        RigCase Bend(MotionProfile m) => m.Cases(Going.Average).First(c => c.Id == "corner-left-down");
        Assert.True(Math.Abs(Bend(Motorcycle.Riding).Field.Y) < Math.Abs(Bend(Motorcycle.Outfit).Field.Y));
        // The lean's weight, and two fifths of a bump on top of it.
        Near.Share(MotionProfile.Gravity * (1 / Math.Cos(Motorcycle.Riding.Lean) + 0.4 * Motorcycle.Riding.Bumps[1]),
            -Bend(Motorcycle.Riding).Field.Z, 1e-9);
        Assert.Contains(HideHost.Standing.Cases(Going.Smooth), c => c.Wind == 3);
        Assert.DoesNotContain(CarHost.Driving.Cases(Going.Smooth), c => c.Wind > 2);
    }

    [Fact] // Roark table 8.1: a beam fixed at both ends, load and couple in the middle
    public void TubesGiveLikeBeamsHeldAtBothEnds()
    {
        var site = HostLibrary.Find("motorcycle")!.Sites.First(s => s.Id == "handlebar") with
        {
            Diameter = 0.022,
            Thickness = 0.011,
            ClearRadius = 0.25
        };
        var m = Catalogue.Shipped.Material(site.Material);
        var ei = m.YoungsModulus * Math.PI * Math.Pow(0.022, 4) / 64;
        var (normal, inPlane, rocking) = SiteStiffness.Of(site, m, 0.02);
        Near.Share(192 * ei / Math.Pow(0.5, 3), normal, 1e-9);
        Near.Share(normal, inPlane, 1e-9);
        Near.Share(16 * ei / 0.5, rocking, 1e-9);
    }

    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    [Theory]
    [InlineData("bonnet", "al-body", "magnet does not stick")]
    [InlineData("roof-rack", null, "round tube")]
    [InlineData("window-glass", null, "edge of raised glass")]
    public void ASiteThatCannotTakeABaseSaysWhyAndOffersWhatCan(string site, string? material, string says)
    {
        var panel = RigFiles.Panel(site);
        var rig = RigFiles.Plate(new Magnet()) with { Site = material is null ? panel : panel with { Material = material } };
        var report = Assess(rig);
        Assert.Equal(Verdict.LetsGo, report.Verdict.Word);
        var finding = Assert.Single(report.Findings, f => f.Blocks && f.Text.Contains("cannot be used here"));
        Assert.Contains(says, finding.Text);
        Assert.Contains("It takes:", finding.Text);
        Assert.Contains(report.Options, o => o.Reason is null);
        Assert.Contains(says, report.Options.First(o => o.Kind == "single-magnet").Reason);
        Assert.All(report.Options, o => Assert.NotEqual("", o.Reason));
    }

    [Fact]
    public void RulesOfTheDayStrikeOut()
    {
        var rig = RigFiles.Plate(new Cup());
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Blocks);
        Assert.Contains(Assess(rig with { Survey = new SiteSurvey { SuctionAllowed = Answer.No } }).Findings, f => f.Blocks
            && f.Text.Contains("refused"));
        Assert.Contains(Assess(rig with { Survey = new SiteSurvey { Even = Answer.No } }).Findings, f => f.Blocks
            && f.Text.Contains("crease"));
        Assert.Contains(Assess(rig with { Survey = new SiteSurvey { FreeOfOtherJobs = Answer.No } }).Findings, f => f.Blocks
            && f.Text.Contains("another job"));
        var boom = Recipe("pan-rig");
        Assert.DoesNotContain(Assess(rig with { Survey = new SiteSurvey { BeyondOutline = Answer.No } }).Findings, f =>
            f.Text.Contains("beyond the outline"));
        var wide = boom with
        {
            Reach = new Ochema.Core.Kinds.Reaches.BoomTube { StickOut = 1.4 },
            Survey = new SiteSurvey { BeyondOutline = Answer.No }
        };
        Assert.Contains(Assess(wide).Findings, f => f.Blocks && f.Text.Contains("beyond the outline"));
    }

    [Fact]
    public void ADrilledHelmetIsRefusedUnlessItIsAFilmingProp()
    {
        var rig = Recipe("helmet-drilled");
        var worn = Assess(rig with { Survey = new SiteSurvey() });
        Assert.Contains(worn.Findings, f => f.Blocks && f.Text.Contains("protects nobody"));
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Blocks);
        Assert.Contains(Assess(rig).Findings, f => f.Text.Contains("Filming prop"));
        // What stands out rigidly is judged on a worn one: 49 CFR 571.218 S5.5, 5 mm.
        Assert.Contains(worn.Checks, c => c.Id.EndsWith(".protrusion", StringComparison.Ordinal) && c.Verdict == Verdict.LetsGo);
    }

    [Fact]
    public void AWornMountHoldsInWindAndComesOffInASnag()
    {
        var rig = Recipe("helmet-strap");
        Assert.NotEqual(Verdict.LetsGo, Assess(rig).Verdict.Word);
        var stubborn = rig with { Base = ((StrapBase)rig.Base) with { Releases = 900 } };
        Assert.Contains(Assess(stubborn).Checks, c => c.Id.EndsWith(".breakaway", StringComparison.Ordinal) && c.Verdict == Verdict.LetsGo);
        var loose = rig with { Base = ((StrapBase)rig.Base) with { Tension = 6 } };
        Assert.Equal(Verdict.LetsGo, Assess(loose).Verdict.Word);
    }

    [Fact]
    public void KeepClearPlacesAreKeptClear()
    {
        var rig = RigFiles.Plate(new Cup(), 2, 0.25, site: "bonnet") with { At = [-0.3, 0.35] };
        Assert.Contains(Assess(rig).Findings, f => f.Blocks && f.Text.Contains("driver's view"));
        Assert.DoesNotContain(Assess(rig with { At = [0.1, 0] }).Findings, f => f.Blocks);
        // A thin rod may cross what is only looked through.
        var braced = Assess(RigFiles.Named("2-bonnet-close-up-braced"));
        Assert.DoesNotContain(braced.Findings, f => f.Blocks);
    }

    [Fact]
    public void ClampsAreCheckedAgainstTheRealTube()
    {
        var rig = Recipe("roll-hoop");
        var pipe = rig with { Site = rig.Site with { Diameter = 0.0603 }, Base = new TubeClamp { Smallest = 0.048, Largest = 0.0508 } };
        Assert.Contains(Assess(pipe).Findings, f => f.Blocks && f.Text.Contains("nominal sizes are names"));
    }
}
