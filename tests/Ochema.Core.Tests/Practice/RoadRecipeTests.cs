using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Isolators;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>What each road recipe has to bring out. Common practice, no source, unless one is named.</summary>
public class RoadRecipeTests
{
    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    private static double Use(RigDocument rig, string check) => Assess(rig).Checks.Where(c => c.Id.EndsWith(check, StringComparison.Ordinal))
        .Max(c => c.Use);

    [Theory]
    [InlineData("split-block", "block-bolt.strength,base-hold.turn,stem.strength")]
    [InlineData("rail-table", "hold-1-post.strength,front-rail-left.strength,front-clamp.torque")]
    [InlineData("pan-rig", "crossing.torque,isolator.travel,isolator.level,head.room,hold-1.turn")]
    [InlineData("bar-magnets", "left-magnet.slide,left-magnet-glue.pull,left-magnet-bar.strength,head-sheet.bend,head.band")]
    [InlineData("frame-band", "base-hold.turn,bracket-foot.strength,bracket.bend")]
    [InlineData("helmet-drilled", "shell-screw.strength,neck.moment")]
    [InlineData("helmet-stuck", "base-hold.glue,base-hold.breakaway,base-hold.curve")]
    [InlineData("window-slot", "base-hold.tip,base-hold.slide,plate.bend")]
    [InlineData("dashboard-pan", "base-hold.tip,base-hold.slide,head-screw.slip")]
    [InlineData("spring-clamp", "base-hold.turn,neck-root.torque")]
    [InlineData("window-clamp", "glass.weight,glass.pull")]
    [InlineData("bolted-roof", "host-screw.strength,host-screw.slip")]
    public void EachRecipeShowsItsWorking(string id, string checks)
    {
        var report = Assess(Recipe(id));
        foreach (var check in checks.Split(','))
        {
            var found = Assert.Single(report.Checks, c => c.Id == check);
            Assert.True(found.Working!.Terms.Count >= 2 && found.Working!.Method.Length > 5, check);
        }
        Assert.NotEqual(Verdict.LetsGo, report.Verdict.Word);
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void EveryJointOfWhatShipsIsRight(string name) =>
        Assert.All(Assess(RigFiles.Named(name)).Joints, j => Assert.True(j.Findings.All(f => !f.Blocks),
            $"{name}, {j.Title}: {string.Join("; ", j.Findings.Select(f => f.Text))}"));

    [Fact]
    public void ATighterBlockHoldsMoreAndALooseOneTurns()
    {
        RigDocument With(double torque) => Recipe("split-block") with
        {
            Joints = new Dictionary<string,
            JointChoice>
            { ["block-bolt"] = new() { Torque = torque } }
        };
        Assert.True(Use(With(1), "base-hold.turn") > 2 * Use(With(6), "base-hold.turn"));
    }

    [Fact]
    public void ABoltHeadGivesAMagnetLittleToHold()
    {
        Assert.Equal(0.25, MagnetCrossBar.HeadShare(0.0125, 0.025), 5e-7);
        Assert.Equal(1, MagnetCrossBar.HeadShare(0.03, 0.025));
        var rig = Recipe("bar-magnets");
        Assert.True(Use(rig with { Site = rig.Site with { Diameter = 0.010 } }, "left-magnet.slide")
            > Use(rig with { Site = rig.Site with { Diameter = 0.017 } }, "left-magnet.slide"));
    }

    [Fact]
    public void HotGlueInACrossBarIsRefused() =>
        Assert.Contains(Assess(Recipe("bar-magnets") with { Base = ((MagnetCrossBar)Recipe("bar-magnets").Base) with { Glue = "hot-glue" } }).Findings, f => f.Blocks && f.Text.Contains("carries nothing"));

    [Fact]
    public void ALongerStickOutTurnsTheBoom()
    {
        var rig = Recipe("pan-rig");
        RigDocument Out(double d) => rig with { Reach = ((BoomTube)rig.Reach) with { StickOut = d } };
        Assert.True(Use(Out(0.9), "crossing.torque") > 1.4 * Use(Out(0.45), "crossing.torque"));
    }

    [Fact]
    public void ALighterLensLiftsTheArmAndTheToolSaysByHowMuchAndWhatToDo()
    {
        var rig = Recipe("pan-rig");
        var light = Assess(rig with { Camera = rig.Camera with { Body = "mirrorless-small", Lens = "prime-16" } });
        Assert.Contains(light.Findings, f => f.Station.Is("isolator") && f.Text.Contains("above level"));
        Assert.Contains(light.Findings, f => f.Text.Contains("ballast"));
        var heavy = Assess(rig with { Camera = rig.Camera with { Mass = 2.4 } });
        Assert.Contains(heavy.Findings, f => f.Text.Contains("below level"));
        Assert.Contains(heavy.Findings, f => f.Text.Contains("coils off") || f.Text.Contains("another spring"));
    }

    [Theory] // a hanging gimbal, 3.5 kg, 0.06 m², Cd 1.1: about 13° at 50 km/h, 30° at 80 (common practice, no source)
    [InlineData(50, 13)]
    [InlineData(80, 30)]
    public void AHangingGimbalLeansInTheWind(double speed, double degrees)
    {
        var q = 0.5 * 1.225 * Math.Pow(speed / 3.6, 2);
        Assert.InRange(HangingLean.Angle(q, 0.06, 3.5) * 180 / Math.PI, degrees - 1, degrees + 1);
    }

    [Fact]
    public void AnUnderSlungGimbalIsCheckedForItsLean()
    {
        var rig = Recipe("rail-table") with
        {
            Reach = new HangingBracket { Out = 0.4, Down = 0.05 },
            Head = new GimbalHead { Stock = "gimbal-medium" }
        };
        Assert.Contains(Assess(rig).Checks, c => c.Id == "head.lean");
        Assert.True(Use(rig with { Run = rig.Run with { Speed = 30 } }, "head.lean")
            > Use(rig with { Run = rig.Run with { Speed = 15 } }, "head.lean"));
    }

    [Fact] // what is measured over the listed gimbal and its camera's face is frame: q·Cd·A more on the mount
    public void TheWindSeesTheGimbalsMeasuredArea()
    {
        var rig = Recipe("pan-rig");
        Vec3 Blown(double area)
        {
            var model = new RigModel(rig with { Head = (GimbalHead)rig.Head with { Area = area } }, Catalogue.Shipped);
            return model.Built.Faces.Where(f => !f.IsOnMember).Aggregate(Vec3.Zero, (sum, f) => sum + f.BoxForce(-Vec3.UnitX));
        }
        Near.Share(HangingLean.Coefficient * 0.02, (Blown(0.06) - Blown(0.04)).Length, 1e-9);
        // Less than the two of them is not believed.
        Assert.Equal(Blown(0.005), Blown(0.01));
        Assert.True(Use(rig with { Head = (GimbalHead)rig.Head with { Area = 0.08 } }, "hold-2-rail.strength") > 1.05
            * Use(rig, "hold-2-rail.strength"));
    }

    [Fact]
    public void AThinPanFlexesAndALightOneTips()
    {
        var rig = Recipe("dashboard-pan");
        RigDocument Pan(double thickness, double mass) => rig with
        {
            Base = ((WeightedFoot)rig.Base) with
            {
                Thickness = thickness,
                Mass = mass
            }
        };
        Assert.True(Assess(Pan(0.0006, 3)).Frequencies[0] < Assess(Pan(0.003, 3)).Frequencies[0]);
        Assert.True(Use(Pan(0.0012, 0.5), "base-hold.tip") > Use(Pan(0.0012, 5), "base-hold.tip"));
        Assert.Contains(Assess(rig with { Base = ((WeightedFoot)rig.Base) with { Recess = 0.002 } }).Findings, f =>
            f.Text.Contains("stands on the head"));
    }

    [Fact]
    public void SteelStaysPutWhereAluminiumTravels()
    {
        var rig = Recipe("window-slot");
        RigDocument Bar(string bar) => rig with { Base = ((WindowSlotPlate)rig.Base) with { Bar = bar, Weight = 0 } };
        Assert.True(Use(Bar("flat-al-40x5"), "base-hold.tip") > Use(Bar("flat-steel-50x6"), "base-hold.tip"));
        Assert.Contains(Assess(rig with { Base = ((WindowSlotPlate)rig.Base) with { Slot = 0.004 } }).Findings, f => f.Blocks
            && f.Text.Contains("forcing the glass"));
    }

    [Fact]
    public void AClampOnGlassIsForAParkedCarOnly()
    {
        var rig = Recipe("window-clamp");
        var road = rig with { Host = "estate", Tethers = [] };
        Assert.Contains(Assess(road).Findings, f => f.Blocks && f.Text.Contains("parked"));
    }

    [Fact]
    public void SoftMountsFloatSagAndBottom()
    {
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        double First(IsolatorKind k) => Assess(rig with { Isolator = k }).Frequencies[0];
        Assert.True(First(new ElasticCords()) < First(new WireRopeLoops()) && First(new WireRopeLoops()) < First(new RubberMounts())
            && First(new RubberMounts()) <= First(new NoIsolator()) * 1.01);
        Assert.True(Use(rig with { Isolator = new WireRopeLoops { Count = 3 } }, "isolator.travel")
            > Use(rig with { Isolator = new WireRopeLoops { Count = 8 } }, "isolator.travel"));
        Assert.True(Use(rig with { Isolator = new PendulumJoint { Centring = 20 } }, "isolator.stop")
            > Use(rig with { Isolator = new PendulumJoint { Centring = 300 } }, "isolator.stop"));
    }

    [Fact]
    public void TwoCamerasOnOneBaseHaveEachTheirPath()
    {
        var rig = Recipe("split-block") with
        {
            Second = new CameraPath
            {
                Id = CameraPath.SecondId,
                Reach = new NoReach(),
                Head = new ClipHead { Stock = "clip-steel" },
                Camera = new CameraChoice { Body = "action-cube", Lens = "built-in-wide", Pan = Math.PI },
                Where = SecondPlace.Underneath
            },
        };
        var (one, two) = (Assess(Recipe("split-block")), Assess(rig));
        Assert.True(two.Mass > one.Mass + 0.09);
        foreach (var station in new[] { "camera-2", "head-2", "reach-2" })
            Assert.Contains(two.Stations, s => s.Id == station);
        Assert.Contains(two.Retentions, r => r.Piece == "Second camera" && r.CaughtBy == "nothing" && r.Single);
        // Underneath is below the base, on top above it.
        var builder = new RigModel(rig, Catalogue.Shipped).Built;
        Assert.True(builder.SecondCamera!.Eye.Z < builder.Camera.Eye.Z - 0.03);
    }

    [Fact]
    public void SinglePointsAreNamedWithWhatCatchesThem()
    {
        var rig = Recipe("split-block");
        var tied = Assess(rig).Retentions.Single(r => r.Piece == "Camera");
        Assert.Equal("the tether", tied.CaughtBy);
        var loose = Assess(rig with { Tethers = [] });
        Assert.Contains(loose.Retentions, r => r.Piece == "Camera" && r.Single && r.By.Contains("its clip"));
        Assert.Contains(loose.Findings, f => f.Text.StartsWith("Camera: 1 of 2", StringComparison.Ordinal)
            && f.Text.Contains("A tether from the camera"));
    }

    [Fact]
    public void SchoolsStandBesideEachOtherComputed()
    {
        var schools = Schools.Of(Recipe("cup-plate-low-head"), Catalogue.Shipped);
        Assert.Equal(["hold", "straps", "soft"], schools.Select(s => s.Id));
        foreach (var s in schools)
        {
            Assert.True(s.Sides.Count >= 2);
            Assert.Single(s.Sides, x => x.Now);
            foreach (var side in s.Sides)
                Near.Share(Math.Max(0.01, Assess(side.Change.Document).Verdict.Use), Math.Max(0.01, side.Change.Use), 0.01,
                    $"{s.Id}, {side.Title}");
        }
        Assert.Contains(Schools.Of(Recipe("helmet-stuck"), Catalogue.Shipped), s => s.Sides.Any(x => x.Title.Contains("prop only")));
        Assert.Contains(Schools.Of(Recipe("window-slot"), Catalogue.Shipped), s => s.Id == "weight");
    }

    [Fact]
    public void AlternativesFollowTheSurvey()
    {
        var rig = Recipe("handlebar-clamp");
        var offered = Adviser.Alternatives(rig, "base", Catalogue.Shipped).Select(c => c.Document.Base.GetType()).ToList();
        Assert.Contains(typeof(HoseClampBracket), offered);
        Assert.DoesNotContain(typeof(HoldPlate), offered);
        Assert.NotEmpty(Adviser.Alternatives(rig, "isolator", Catalogue.Shipped));
    }

    [Fact]
    public void AnEdgeHalvesAStrapAndAKnotTakesAThird()
    {
        var rig = Recipe("magnet-plate-straps");
        RigDocument With(string end, StrapEdge edge) => rig with
        {
            Straps = [.. rig.Straps.Select(s =>
            s with { End = end, Edge = edge })]
        };
        var plain = Use(With("sewn", StrapEdge.None), "front-left.tension");
        Near.Share(2 * plain, Use(With("sewn", StrapEdge.Sharp), "front-left.tension"), 1e-6);
        Near.Share(plain / 0.65, Use(With("bowline", StrapEdge.None), "front-left.tension"), 1e-6);
        var elastic = rig with { Straps = [.. rig.Straps.Select(s => s with { Stock = "elastic-8", End = "bowline" })] };
        Assert.Contains(Assess(elastic).Findings, f => f.Blocks && f.Text.Contains("slips in elastic"));
    }

    [Fact]
    public void ACameraSocketTakesFourAndAHalfMillimetresOfScrew()
    {
        var rig = Recipe("cup-plate-low-head");
        Assert.Contains(Assess(rig).Joints, j => j.Id == "camera-screw" && j.Findings.Count == 0);
        var longer = Assess(rig with { Joints = new Dictionary<string, JointChoice> { ["camera-screw"] = new() { Length = 0.0127 } } });
        Assert.Contains(longer.Findings, f => f.Blocks && f.Text.Contains("bottoms in the socket"));
        Assert.Equal(Verdict.LetsGo, longer.Verdict.Word);
    }

    [Fact]
    public void TightBendsCrackInHardAluminium()
    {
        var rig = Recipe("frame-band");
        RigDocument Bend(string bar, double radius) => rig with
        {
            Base = ((HoseClampBracket)rig.Base) with
            {
                Bar = bar,
                BendRadius = radius
            }
        };
        Assert.True(Use(Bend("flat-al-25x3", 0.003), "bracket.bend") > 1);
        Assert.True(Use(Bend("flat-al-25x3", 0.010), "bracket.bend") <= 1);
        Assert.True(Use(Bend("flat-steel-25x3", 0.003), "bracket.bend") <= 1);
    }
}
