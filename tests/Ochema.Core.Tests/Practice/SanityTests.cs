using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Braces;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>What the trade knows from doing it; the computation must show it by itself. Common practice, no source.</summary>
public class SanityTests
{
    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    [Fact]
    public void ACupAndArmRocksWhereWheelsHop() => Assert.InRange(Assess(RigFiles.CupAndArm()).Frequencies[0], 8, 16);

    [Fact]
    public void OneStrutLeavesOnePlaneAlmostAsItWas()
    {
        var (none, one) = (Assess(RigFiles.CupAndArm()).Frequencies, Assess(RigFiles.CupAndArm((0.24, 0.34))).Frequencies);
        Assert.InRange(one[0] / none[0], 0.95, 1.25);
        Assert.True(one[1] > 3 * none[1], $"{one[1]} against {none[1]}");
    }

    [Fact]
    public void TwoWellSpreadStrutsMultiplyTheRockingFrequency()
    {
        // Light camera at the arm's full length: the rocking the trade complains of.
        RigDocument Long(params (double, double)[] feet) => RigFiles.CupAndArm(feet) with
        {
            Reach = new Ochema.Core.Kinds.Reaches.ArticulatedArm { Length = 0.28 },
            Camera = new CameraChoice { Body = "action", Lens = "built-in-wide", Pan = Math.PI },
        };
        var gain = Assess(Long((0.24, 0.34), (0.24, -0.34))).Frequencies[0] / Assess(Long()).Frequencies[0];
        Assert.True(gain >= 3.9, $"{gain}");
        // A heavier one gains at least threefold.
        Assert.True(Assess(RigFiles.CupAndArm((0.24, 0.34), (0.24, -0.34))).Frequencies[0] >= 3.5
            * Assess(RigFiles.CupAndArm()).Frequencies[0]);
    }

    [Fact]
    public void FourCupsUnderALowHeadSurviveOneLost()
    {
        var report = Assess(RigFiles.Tied(RigFiles.Plate(new Cup(), 2)));
        Assert.NotEqual(Verdict.LetsGo, report.Verdict.Word);
        Assert.All(report.LetGo.Where(l => l.Kind == "hold"), l => Assert.NotEqual(Verdict.LetsGo, l.Verdict));
    }

    [Fact]
    public void ATallHeavyRiserDoesNotAndTheHoldsThatLiftFirstAreNamed()
    {
        var report = Assess(RigFiles.Plate(new Cup(), 6, 0.6));
        var lost = report.LetGo.Where(l => l.Kind == "hold").ToList();
        Assert.Contains(lost, l => l.Verdict == Verdict.LetsGo);
        Assert.Contains(lost, l => l.Says.Contains("cup", StringComparison.OrdinalIgnoreCase)
            || report.Flags.Any(f => f.Title.Contains("cup", StringComparison.OrdinalIgnoreCase)));
        Assert.True(report.Verdict.Use > 2 * Assess(RigFiles.Plate(new Cup(), 2)).Verdict.Use);
    }

    [Fact]
    public void MagnetsOnThinPaintedSheetSlideLongBeforeTheyPullAndTwoStrapsSettleIt()
    {
        var bare = RigFiles.Plate(new Magnet { Stock = "magnet-48" }, 2, site: "roof");
        var report = Assess(bare);
        double Use(AssessmentReport r, string kind) => r.Checks.Where(c => c.Id.EndsWith(kind, StringComparison.Ordinal) && c.Station
            == "base").Max(c => c.Use);
        Assert.True(Use(report, ".slide") > 2 * Use(report, ".pull"), $"slide {Use(report, ".slide")}, pull {Use(report, ".pull")}");
        Assert.Equal(Verdict.LetsGo, report.Verdict.Word);
        AnchorEnd Side(string side) => new("door-frame-" + side, 0.473);
        var strapped = bare with
        {
            Straps = [new Strap { Id = "l", Stock = "ratchet-25", From = RigPoint.BaseFrontLeft, To = Side("left"), Pretension = 1200 },
                new Strap { Id = "r", Stock = "ratchet-25", From = RigPoint.BaseFrontRight, To = Side("right"), Pretension = 1200 }],
        };
        Assert.True(Use(Assess(strapped), ".slide") <= 1, $"{Use(Assess(strapped), ".slide")}");
    }

    [Fact]
    public void ATallRiserTipsMagnetsThatALowOneDoesNotStrain()
    {
        double Tip(double riser) => Assess(RigFiles.Plate(new Magnet(), 3, riser, "roof")).Checks.Where(c =>
            c.Id.EndsWith(".pull", StringComparison.Ordinal)).Max(c => c.Use);
        Assert.True(Tip(0.6) > 2 * Tip(0.05));
    }

    [Fact]
    public void ADoorPeelsAtItsUpperHoldsWhereABonnetPulls()
    {
        // Hung out on a door, standing still: the weight pulls the upper holds off and presses the lower ones.
        var rig = RigFiles.Plate(new Cup(), 4, 0.25, "door", 0) with { Straps = [] };
        var model = new RigModel(rig, Catalogue.Shipped);
        var rest = model.Forces(model.State([]), Ochema.Core.Hosts.CarHost.Driving.Cases(rig.Run.Road)[0], 0)!;
        double Pull(string label) => model.Built.Holds.Where(h => h.Label.Contains(label))
            .Average(h => rest.Hold(h.Spring, AxisOf(model, h)).Pull);
        Assert.True(Pull("upper") > 5 && Pull("lower") < -5, $"upper {Pull("upper")}, lower {Pull("lower")}");
        static Ochema.Core.Structure.Vec3 AxisOf(RigModel m, Hold h) => h.Top.Axis;
    }

    [Fact]
    public void WithTheStrapsOnLosingAllMagnetsKeepsTheRigOn()
    {
        var report = Assess(RigFiles.Named("3-roof-road-ahead"));
        Assert.NotEqual(Verdict.LetsGo, report.LetGo.Single(l => l.Kind == "straps-alone").Verdict);
        Assert.NotEqual(Verdict.LetsGo, report.LetGo.Single(l => l.Kind == "holds-alone").Verdict);
        Assert.Contains("all holds gone", report.Verdict.Text);
    }

    [Fact]
    public void AMagnetOnAluminiumIsRefused()
    {
        var rig = RigFiles.Plate(new Magnet());
        var report = Assess(rig with { Site = rig.Site with { Material = "al-body" } });
        Assert.Equal(Verdict.LetsGo, report.Verdict.Word);
        Assert.Contains(report.Findings, f => f.Blocks && f.Text.Contains("does not stick"));
    }

    [Theory]
    [InlineData(SurfaceState.Wet)]
    [InlineData(SurfaceState.Dusty)]
    [InlineData(SurfaceState.Textured)]
    public void ABadSurfaceNeverHelpsACup(SurfaceState surface)
    {
        var rig = RigFiles.Plate(new Cup(), 4, 0.2);
        Assert.True(Assess(rig with { Site = rig.Site with { Surface = surface } }).Verdict.Use > Assess(rig).Verdict.Use);
    }

    [Fact]
    public void CupsCareAboutAltitudeAndCurvature()
    {
        var rig = RigFiles.Plate(new Cup(), 5, 0.3);
        double Pull(RigDocument r) => Assess(r).Checks.Where(c => c.Id.EndsWith(".pull", StringComparison.Ordinal)).Max(c => c.Use);
        Assert.True(Pull(rig with { Run = rig.Run with { Altitude = 3000 } }) > 1.1 * Pull(rig));
        Assert.Contains(Assess(rig with { Site = rig.Site with { CrownRadius = 0.35 } }).Checks, c =>
            c.Id.EndsWith(".curvature", StringComparison.Ordinal) && c.Verdict == Verdict.LetsGo);
        var gauge = rig with { Base = new HoldPlate { Hold = new Cup { Vacuum = 70000 } }, Run = rig.Run with { Altitude = 3500 } };
        Assert.Contains(Assess(gauge).Checks, c => c.Id.EndsWith(".altitude", StringComparison.Ordinal) && c.Verdict == Verdict.LetsGo);
    }

    [Fact]
    public void AMeasuredValueBeatsTheCatalogueAndSaysSo()
    {
        var rig = RigFiles.Plate(new Magnet { MeasuredPull = 40 }, site: "roof");
        var pull = Assess(rig).Checks.First(c => c.Id == "hold-1.pull");
        Assert.Contains(pull.Working!.Terms, t => t.Symbol == "P" && t.Value == 40 && t.Source.Contains("your pull"));
    }

    [Fact]
    public void APieceWithOneRetentionIsNamedUntilATetherIsAdded()
    {
        var rig = RigFiles.CupAndArm();
        Assert.Contains(Assess(rig).Retentions, r => r.Piece == "Camera" && r.Has < r.Needs);
        var tethered = RigFiles.Tied(rig);
        Assert.DoesNotContain(Assess(tethered).Retentions, r => r.Piece == "Camera" && r.Has < r.Needs);
    }

    [Fact]
    public void AdviceIsComputedAndEachChangeGivesWhatItSays()
    {
        var advice = Adviser.Best(RigFiles.Named("1-bonnet-close-up"), Catalogue.Shipped);
        Assert.True(advice.Count >= 3);
        foreach (var c in advice)
        {
            var taken = Assess(c.Document);
            Near.Share(c.LimitSpeed ?? 70, taken.Verdict.LimitSpeed ?? 70, 0.002, c.Title);
            Assert.Equal(taken.Verdict.Word, c.Verdict);
            Near.Share(c.Mass, taken.Mass - Assess(RigFiles.Named("1-bonnet-close-up")).Mass, 1e-6, c.Title);
        }
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void BracesThatAreProposedStandOnAPanelThatTakesTheirFeet(string name)
    {
        var rig = RigFiles.Named(name);
        var host = HostLibrary.Find(rig.Host)!;
        foreach (var (_, title, changed) in Instead.Braces(rig, Catalogue.Shipped))
            foreach (var strut in changed.Braces.OfType<Strut>().Except(rig.Braces.OfType<Strut>()))
            {
                var site = host.Sites.First(s => s.Id == strut.Site);
                Assert.Equal(SiteForm.Panel, site.Form);
                Assert.Null(Survey.Refusal(strut.Foot.Grip, site, new SiteSurvey(), host, Catalogue.Shipped));
                // Within reach, and not under the base itself.
                var apart = (host.Surface(site).Point(strut.At[0], strut.At[1]) - host.Surface(rig.Site)
                    .Point(rig.At[0], rig.At[1])).Length;
                Assert.True(apart is > 0.05 and < 1.6, $"{title}: {apart:0.00} m away");
            }
    }

    [Fact]
    public void AStrutsFootThatCannotStandThereIsRefusedByName()
    {
        var rig = RigFiles.CupAndArm((0.24, 0.34));
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Blocks);
        var eye = HostLibrary.Find("estate")!.Sites.First(s => s.Form == SiteForm.Ring);
        var onARing = rig with { Braces = [.. rig.Braces.OfType<Strut>().Select(s => s with { Site = eye.Id, At = [0, 0] })] };
        Assert.Contains(Assess(onARing).Findings, f => f.Blocks && f.Station.Is("brace:strut-0") && f.Text.Contains("needs a panel"));
        var refused = rig with { Survey = rig.Survey with { MagnetSticks = Answer.No } };
        Assert.Contains(Assess(refused).Findings, f => f.Blocks && f.Text.Contains("a magnet does not stick there"));
    }

    [Fact]
    public void TheDemoTellsItsStory()
    {
        var (bare, braced) = (Assess(RigFiles.Named("1-bonnet-close-up")), Assess(RigFiles.Named("2-bonnet-close-up-braced")));
        Assert.NotEqual(Verdict.LetsGo, bare.Verdict.Word);
        Assert.Equal(Ochema.Core.Sharpness.Sharp.Unusable, bare.Sharpness.Word);
        Assert.Equal(Verdict.Holds, braced.Verdict.Word);
        Assert.Equal(Ochema.Core.Sharpness.Sharp.Sharp, braced.Sharpness.Word);
        Assert.True(braced.Verdict.LimitSpeed > 1.2 * bare.Verdict.LimitSpeed);
    }
}
