using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Isolators;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Sharpness;

/// <summary>What the trade sees in its footage must come out by itself. Common practice, no source.</summary>
public class PictureTests
{
    private static ShakeReport Shake(RigDocument rig) => Shaker.Of(rig, Catalogue.Shipped);

    private static double Vertical(RigDocument rig) => Shake(rig).Acceleration[2].Rms;

    private static double Number(RigDocument rig, string id) => Shake(rig).Picture.Numbers.Single(n => n.Id == id).Pixels;

    [Fact]
    public void TwoStrutsCureTheCupAndArmOneDoesNot()
    {
        var (none, one, two) = (RigFiles.CupAndArm(), RigFiles.CupAndArm((0.24, 0.34)), RigFiles.CupAndArm((0.24, 0.34), (0.24, -0.34)));
        Assert.True(Number(two, "smear") < 0.35 * Number(none, "smear"), $"{Number(two, "smear")} against {Number(none, "smear")}");
        Assert.True(Number(one, "smear") > 0.5 * Number(none, "smear"), $"{Number(one, "smear")} against {Number(none, "smear")}");
    }

    [Fact]
    public void ANearSubjectSeesTheCameraMoveAsWellAsTurn()
    {
        // The shift is turning plus movement ÷ distance, so its square is a parabola in 1 ÷ distance: three give all others.
        var rig = RecipeLibrary.All.First(r => r.Id == "cup-and-arm").Document;
        double Square(double? away) => Math.Pow(Number(rig with { Camera = rig.Camera with { Subject = away } }, "smear"), 2);
        // Far away on the host is not the background: that nods against the host as well, and is another picture.
        var (far, one, half) = (Square(50), Square(1), Square(0.5));
        var (a, c) = (1 / 50.0, 1.0);
        var curve = ((half - far) / (2 - a) - (one - far) / (c - a)) / (2 - c);
        var slope = (one - far) / (c - a) - curve * (c + a);
        far -= slope * a + curve * a * a;
        Assert.True(curve > 0, "movement alone never makes it better");
        foreach (var away in new[] { 0.2, 0.3, 2, 40 })
            Near.Share(far + slope / away + curve / (away * away), Square(away), 1e-6, $"{away} m");
        Assert.True(Square(0.2) > 1.1 * far);
    }

    [Fact]
    public void AShorterExposureLowersSmearAndNeverWobble()
    {
        var rig = RigFiles.CupAndArm();
        var brief = rig with { Camera = rig.Camera with { Exposure = 0.0025 } };
        Assert.True(Number(brief, "smear") < 0.5 * Number(rig, "smear"));
        Assert.Equal(Number(rig, "wobble"), Number(brief, "wobble"), 1e-9);
        Assert.Equal(Number(rig, "shake"), Number(brief, "shake"), 1e-9);
    }

    [Fact]
    public void AStabiliserTakesShakeAndNothingElse()
    {
        var rig = RigFiles.CupAndArm() with { Camera = new CameraChoice { Body = "action", Lens = "built-in-wide" } };
        var off = rig with { Camera = rig.Camera with { Stabiliser = Stabiliser.Off } };
        Assert.True(Number(rig, "shake") < Number(off, "shake"));
        Assert.Equal(Number(rig, "smear"), Number(off, "smear"), 1e-9);
    }

    [Theory]
    [InlineData(Going.Smooth, Going.Average)]
    [InlineData(Going.Average, Going.Rough)]
    public void ARougherRoadIsTwiceAsBadAClassAndSpeedMakesItWorse(Going better, Going worse)
    {
        var rig = RigFiles.CupAndArm() with { Host = "estate" };
        double Road(Going s, double v = 20)
        {
            var report = Shake(rig with { Run = rig.Run with { Road = s, Speed = v, Rpm = 0 } });
            var road = report.Sources.Single(x => x.Label.StartsWith("road", StringComparison.Ordinal)).Rotation;
            return Math.Sqrt(FrequencyGrid.Integrate([.. report.Frequencies], [.. road]));
        }
        Near.Share(2 * Road(better), Road(worse), 1e-6);
        Near.Share(Math.Sqrt(2) * Road(better, 15), Road(better, 30), 1e-6);
    }

    [Fact]
    public void ALongLensAndALargePictureShowMore()
    {
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        RigDocument With(string lens, Delivery d) => rig with { Camera = rig.Camera with { Lens = lens, Delivery = d } };
        Assert.True(Number(With("prime-50", Delivery.Uhd), "smear") > 1.8 * Number(With("prime-24", Delivery.Uhd), "smear"));
        Near.Share(2 * Number(With("prime-24", Delivery.Hd), "smear"), Number(With("prime-24", Delivery.Uhd), "smear"), 1e-9);
    }

    [Fact]
    public void ASoftMountTooNearTheExcitationMakesItWorse()
    {
        // The engine fires at 25 Hz: a mount tuned to it shakes the camera, one well below does not.
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        RigDocument Mount(IsolatorKind k, double rpm) => rig with
        {
            Isolator = k,
            Run = rig.Run with { Rpm = rpm, Road = Going.Smooth, Speed = 3 }
        };
        var near = Shake(Mount(new RubberMounts(), 0)).Modes[0].Frequency;
        double Smear(double rpm) => Number(Mount(new RubberMounts(), rpm), "smear");
        Assert.True(Smear(near * 30) > 2 * Smear(near * 30
            * 4), $"{Smear(near * 30)} at its own {near:0} Hz, {Smear(near * 120)} well above");
    }

    [Fact]
    public void ModesAreNamedByWhatMoves()
    {
        var names = Shake(RigFiles.CupAndArm()).Modes.Select(m => m.Name).ToList();
        Assert.Contains(names.Take(2), n => n.Contains("on the bonnet skin"));
        Assert.Contains(Shake(RecipeLibrary.All.First(r => r.Id == "pan-rig").Document).Modes.Take(3), m => m.Name.Contains("soft mount"));
        Assert.All(Shake(RigFiles.CupAndArm()).Modes, m => Assert.InRange(m.Damping, 0.005, 0.2));
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void EveryRigGetsItsThreeNumbers(string name)
    {
        var report = Shake(RigFiles.Named(name));
        Assert.Equal(["shake", "smear", "wobble"], report.Picture.Numbers.Select(n => n.Id));
        Assert.All(report.Picture.Numbers, n => Assert.True(double.IsFinite(n.Pixels) && n.Pixels > 0 && n.Low < n.Pixels && n.High
            > n.Pixels, $"{name}: {n}"));
        Assert.Equal(report.Frequencies.Count, report.Rotation.Count);
        Assert.Equal(report.Frequencies.Order(), report.Frequencies);
        Assert.Equal(1, report.Modes.Sum(m => m.Share), 5e-7);
    }

    [Theory] // lists that the interface keys by these
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NothingIsListedTwice(string name)
    {
        var (rig, shake) = (RigFiles.Named(name), Shake(RigFiles.Named(name)));
        var report = Adviser.Assess(rig, Catalogue.Shipped);
        foreach (var list in new[]
        {
            report.Cautions, [.. report.Findings.Select(f => f.Text)], [.. report.Retentions.Select(r => r.Piece)],
                [.. report.Checks.Select(c => c.Id)], [.. report.Stations.Select(s => s.Id)],
            [.. report.Advice!.Select(a => a.Id)], [.. report.LetGo.Select(l => l.Id)], [.. report.Places.Select(p => p.Kind)], [.. report.Options.Select(o => o.Kind)], [.. report.Joints.Select(j => j.Id)],
            [.. shake.Sources.Select(s => s.Label)], [.. shake.Steady.Select(s => s.Label)], [.. ShakeAdvice.Of(rig, Catalogue.Shipped).Select(a => a.Id)],
        })
            Assert.Equal(list.Distinct(), list);
    }

    [Fact]
    public void AdviceForThePictureGivesWhatItSays()
    {
        var advice = ShakeAdvice.Of(RigFiles.CupAndArm(), Catalogue.Shipped);
        Assert.True(advice.Count >= 3);
        Assert.Contains(advice, a => a.Id == "two struts");
        foreach (var a in advice)
            Near.Share(Number(a.Document, "smear"), a.Smear, 1e-6, a.Title);
    }

    [Fact]
    public void AHeavyGimbalOnATunedArmIsCalmerThanOnARigidBoom()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "pan-rig").Document with { };
        rig = rig with { Run = rig.Run with { Road = Going.Rough } };
        var rigid = rig with { Isolator = new NoIsolator() };
        var tuned = rig with { Isolator = ((SpringArm)rig.Isolator) with { Damping = 0.35 } };
        Assert.IsType<GimbalHead>(rig.Head);
        Assert.True(Vertical(tuned) < 0.6 * Vertical(rigid), $"{Vertical(tuned)} against {Vertical(rigid)}");
    }

    [Fact]
    public void AHeavyGimbalOnARigidBoomSmearsOverARoughRoadAndOnATunedArmDoesNot()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "pan-rig").Document;
        rig = rig with
        {
            Head = new GimbalHead { Stock = "gimbal-medium", Room = 0.35 },
            Camera = rig.Camera with { Mass = 2.2 },
            Reach = new Ochema.Core.Kinds.Reaches.BoomTube
            {
                Height = 0.25,
                StickOut = 0.3,
                Section = "tube-steel-48-3x3-2",
                ClampTorque = 120
            },
            Run = rig.Run with { Road = Going.Rough },
        };
        var tuned = rig with
        {
            Isolator = ((SpringArm)rig.Isolator) with
            {
                Spring = "ext-2x16",
                Count = 3,
                Along = 0.15,
                Above = 0.127,
                Stop = 0.7,
                Damping = 0.4
            }
        };
        Assert.InRange(Shake(tuned).Soft!.Angle!.Value, -0.1, 0.1);
        var rigid = Number(rig with { Isolator = new NoIsolator() }, "smear");
        Assert.True(rigid > 1.5, $"{rigid}");
        Assert.True(Number(tuned, "smear") < 1, $"{Number(tuned, "smear")}");
        // Without its damper the same arm rocks on.
        Assert.True(Number(tuned with { Isolator = ((SpringArm)tuned.Isolator) with { Damping = 0.05 } }, "smear")
            > Number(tuned, "smear"));
    }

    [Fact]
    public void AGimbalOutOfBalanceIsShakenAndABalancedOneHardly()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "pan-rig").Document;
        double Smear(double off) => Number(rig with { Head = ((GimbalHead)rig.Head) with { Imbalance = off } }, "smear");
        Assert.True(Smear(0.005) > 1.5 * Smear(0.0005), $"{Smear(0.005)} against {Smear(0.0005)}");
        // A rigid head passes on all of its seat's turning: worse than any careful gimbal.
        Assert.True(Number(rig with { Head = new FluidHead() }, "smear") > Smear(0.0015));
    }

    [Fact]
    public void TheSearchTrimsSpringsForAHeavyGimbal()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "pan-rig").Document;
        rig = rig with
        {
            Reach = new Ochema.Core.Kinds.Reaches.BoomTube
            {
                Height = 0.25,
                StickOut = 0.3,
                Section = "tube-steel-48-3x3-2",
                ClampTorque = 240
            },
            Base = ((Ochema.Core.Kinds.Bases.TubeClamp)rig.Base) with { Torque = 30, Largest = 0.06 },
        };
        var arms = IsolatorSearch.Of(rig, Catalogue.Shipped).Where(c => c.Document.Isolator is SpringArm).ToList();
        Assert.NotEmpty(arms);
        Assert.Contains(arms, a => ((SpringArm)a.Document.Isolator).Cut > 0 && a.Title.Contains("coils cut off"));
        Assert.All(arms, a => Assert.InRange(Shake(a.Document).Soft!.Angle!.Value, -0.053, 0.053));
    }

    [Fact] // by power: c·(ds/dt)² in the damper equals 2ζ√(km)·v² at the end, with ds/dθ of the spring's length taken numerically
    public void TheDampersRateFollowsFromItsLever()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "pan-rig").Document;
        var arm = (SpringArm)rig.Isolator with { Damping = 0.4 };
        var soft = Shake(rig with { Isolator = arm }).Soft!;
        var k = soft.Load * Math.Pow(2 * Math.PI * soft.Frequency, 2);
        var geometry = arm.Arm(Catalogue.Shipped);
        const double step = 1e-5;
        var angle = soft.Angle!.Value;
        var shortens = (geometry.SpringLength(angle + step) - geometry.SpringLength(angle - step)) / (2 * step);
        var rises = arm.Link * (Math.Sin(angle + step) - Math.Sin(angle - step)) / (2 * step);
        Near.Share(0.4, soft.Damper!.Value * Math.Pow(shortens / rises, 2) / (2 * Math.Sqrt(k * soft.Load)), 1e-6);
    }

    [Fact]
    public void TheSearchForASoftMountKeepsWithinTravelAndNeverBeatsItsOwnNumbers()
    {
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        var found = IsolatorSearch.Of(rig, Catalogue.Shipped);
        Assert.NotEmpty(found);
        foreach (var c in found)
        {
            Assert.InRange(c.Travel, 0, 1);
            Near.Share(Number(c.Document, "smear"), c.Smear, 1e-6, c.Title);
        }
        // Nothing soft is tried as well, so that it is never worse than stiff.
        Assert.True(found[0].Smear <= Math.Max(Number(rig, "smear"), Math.Max(Number(rig, "shake"), Number(rig, "wobble"))) * 1.0001);
    }

    [Fact]
    public void SoftMountsSagByTheirStiffnessAndFloatByTheirSag()
    {
        var report = Shake(RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2) with { Isolator = new WireRopeLoops() });
        // f = (1/2π)·√(g/δ)
        Near.Share(Math.Sqrt(9.80665 / report.Soft!.Sag) / (2 * Math.PI), report.Soft.Frequency, 1e-9);
        var arm = Shake(RecipeLibrary.All.First(r => r.Id == "pan-rig").Document).Soft!;
        Assert.InRange(arm.Angle!.Value, -0.05, 0.05);
        Near.Share(arm.Rate!.Value, arm.LevelRate!.Value, 0.05);
    }

    [Fact]
    public void AJoltGrowsWithTheRigsOwnMovement()
    {
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        var report = Assessor.Assess(rig, Catalogue.Shipped);
        Assert.Contains("reaches the camera as", report.Shock.Text);
        var worse = Assessor.Assess(rig with { Run = rig.Run with { Road = Going.Rough } }, Catalogue.Shipped);
        Assert.True(worse.Shock.Use > 1.1 * report.Shock.Use, $"{worse.Shock.Use} against {report.Shock.Use}");
    }

    [Fact] // Steinberg's bands; Shigley's line from 0.9·Su at 10³ to the endurance strength
    public void LifeByThreeBands()
    {
        var steel = Catalogue.Shipped.Material("steel-s235");
        Near.Share(1e3, Fatigue.Cycles(steel, 0.9 * steel.UltimateStrength), 1e-6);
        Assert.Equal(double.PositiveInfinity, Fatigue.Cycles(steel, 0.49 * steel.UltimateStrength));
        var aluminium = Catalogue.Shipped.Material("al-6061-t6");
        Near.Share(5e8, Fatigue.Cycles(aluminium, 0.35 * aluminium.UltimateStrength), 1e-6);
        Near.Share(1, Fatigue.Bands.Sum(b => b.Share), 0.005);
        // By hand: 20 MPa of root mean square, notch 2.5, 10 Hz.
        var damage = 0.683 / Fatigue.Cycles(aluminium, 50e6) + 0.271 / Fatigue.Cycles(aluminium, 100e6) + 0.0433
            / Fatigue.Cycles(aluminium, 150e6);
        Near.Share(Math.Min(1e6, 1 / (damage * 36000)), Fatigue.Hours(aluminium, 20e6, 10), 1e-9);
        Assert.True(Fatigue.Hours(aluminium, 60e6, 10) < 0.05 * Fatigue.Hours(aluminium, 40e6, 10) + 1);
        Assert.All(Shake(RecipeLibrary.All.First(r => r.Id == "pan-rig").Document).Members, m => Assert.True(m.Stress > 0 && m.Hours > 0));
    }

    [Fact]
    public void AShorterExposureIsAdvisedWhereThereIsOneToGain()
    {
        // Braced and stiff: what is left is quick, and goes with the time that it has.
        var rig = RigFiles.Named("cup-and-arm-braced");
        RigDocument Exposed(double seconds) => rig with { Camera = rig.Camera with { Exposure = seconds } };
        var slow = Assert.Single(ShakeAdvice.Of(Exposed(1.0 / 50), Catalogue.Shipped), a => a.Id == "exposure");
        Assert.Equal(1.0 / 200, slow.Document.Camera.Exposure, 1e-9);
        Assert.InRange(slow.Smear, 0, Number(Exposed(1.0 / 50), "smear") * 0.7);
        Assert.DoesNotContain(ShakeAdvice.Of(Exposed(1.0 / 1000), Catalogue.Shipped), a => a.Id == "exposure");
    }
}
