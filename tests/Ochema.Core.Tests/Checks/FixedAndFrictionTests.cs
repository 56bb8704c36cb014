using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Checks;

/// <summary>Checks that do not follow from a frame force, and those of friction and glue, worked out again from the catalogue's
/// rows.</summary>
public class FixedAndFrictionTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static CheckReport Check(RigDocument rig, string id) => Assessor.Assess(rig, Stock).Checks.Single(c => c.Id == id);

    /// <summary>Largest value over the driving cases of the whole rig, with jolts and shaking.</summary>
    private static double Most(RigDocument rig, Func<RigModel, CaseForces, double> value)
    {
        var model = new RigModel(rig, Stock);
        var state = model.State([]);
        return model.Built.Host.Motion.Cases(rig.Run.Road).Where(c => !c.AtRest)
            .Max(c => value(model, model.Forces(state, c, rig.Run.Speed)!));
    }

    [Theory] // sag of an arc, d²/(8R), against what the lip follows
    [InlineData(0.6)]
    [InlineData(2.5)]
    public void ACupsLipFollowsACurve(double crown)
    {
        var rig = RigFiles.CupAndArm();
        rig = rig with { Site = rig.Site with { CrownRadius = crown } };
        var row = Stock.Find<SuctionCupRow>("cups", "cup-115");
        Near.Share(row.Diameter * row.Diameter / (8 * crown) / row.CurvatureSag, Check(rig, "base-hold.curvature").Use, 1e-9);
    }

    [Fact] // ISO 2533: the air gets thinner, the vacuum counted on does not
    public void CupsLoseTheirMarginWithAltitude()
    {
        var rig = RigFiles.CupAndArm();
        // A vacuum read off the gauge at sea level needs the air of the place: 70,109 Pa at 3,000 m.
        var read = rig with { Base = new SingleCup { StemHeight = 0.03, Cup = new Cup { Vacuum = 60000 } } };
        double Use(double altitude) => Check(read with { Run = read.Run with { Altitude = altitude } }, "base-hold.altitude").Use;
        Near.Share(60000 / (0.95 * 101325), Use(0), 1e-4);
        Near.Share(60000 / (0.95 * 70109), Use(3000), 1e-3);
        double Pull(double altitude) => Check(rig with { Run = rig.Run with { Altitude = altitude, Speed = 1 } }, "base-hold.slide").Use;
        Assert.True(Pull(3000) > Pull(0), $"{Pull(3000)} against {Pull(0)}");
    }

    [Fact]
    public void AWetSurfaceSlidesAndATexturedOneDoesNotSeal()
    {
        var rig = RigFiles.CupAndArm();
        AssessmentReport On(SurfaceState s) => Assessor.Assess(rig with { Site = rig.Site with { Surface = s } }, Stock);
        double Slide(SurfaceState s) => On(s).Checks.Single(c => c.Id == "base-hold.slide").Use;
        Assert.True(Slide(SurfaceState.Wet) > Slide(SurfaceState.CleanDry));
        Assert.True(Slide(SurfaceState.Dusty) > Slide(SurfaceState.CleanDry));
        Assert.Equal(Verdict.LetsGo, On(SurfaceState.Textured).Verdict.Word);
    }

    [Fact] // friction on a tube: slide and turn share it
    public void AClampTurnsOnItsTube()
    {
        var rig = Recipe("handlebar-clamp");
        var clamp = (TubeClamp)rig.Base;
        var thread = Stock.Find<Fastener>("fasteners", "m8");
        // Torque over K·d is the squeeze of each half; both halves rub: 2·μ·P along, 2·μ·P·d/2 about.
        // Rubber that has relaxed keeps half of it.
        var squeeze = 0.5 * clamp.Torque / (0.2 * thread.MajorDiameter);
        var capacity = Ochema.Core.Joints.FrictionGrip.Halves(squeeze, rig.Site.Diameter!.Value, 0.4);
        var axis = HostLibrary.Find(rig.Host)!.Surface(rig.Site).U;
        var expected = Most(rig, (m, f) => m.Built.Holds[0].Spring is var s && f.Spring(s) is var (force, moment)
            ? 2 * Math.Sqrt(Math.Pow(force.Dot(axis) / capacity.Slide, 2) + Math.Pow(moment.Dot(axis) / capacity.Torque, 2)) : 0);
        Near.Share(expected, Check(rig, "base-hold.turn").Use, 1e-6);
        // Twice the torque on the screw, half the use.
        Near.Share(expected / 2, Check(rig with { Base = clamp with { Torque = 2 * clamp.Torque } }, "base-hold.turn").Use, 1e-6);
    }

    [Fact] // pull and shear over the area, peel by the pad's section modulus, all over its derated strength
    public void APadTearsOff()
    {
        var rig = Recipe("helmet-stuck");
        var pad = ((AdhesiveBase)rig.Base).Pad;
        var row = Stock.Find<AdhesivePadRow>("adhesives", pad.Stock);
        var normal = HostLibrary.Find(rig.Host)!.Surface(rig.Site).NormalAt(rig.At[0], rig.At[1]);
        var (area, modulus) = (row.Width * row.Height, row.Width * row.Height * row.Width / 6);
        var polar = area * Math.Sqrt(row.Width * row.Width + row.Height * row.Height) / 6;
        var worst = Most(rig, (m, f) => f.Hold(m.Built.Holds[0].Spring, normal) is var h
            ? (Math.Max(0, h.Pull) + h.Slide) / area + h.Moment / modulus + h.Twist / polar : 0);
        Near.Share(5 * worst / row.Strength, Check(rig, "base-hold.glue").Use, 1e-6);
        // Half as strong at 40 °C, two fifths on dust.
        Near.Share(2, Check(rig with { Run = rig.Run with { Temperature = 313 } }, "base-hold.glue").Use / Check(rig, "base-hold.glue").Use,
            0.05);
        Near.Share(2.5, Check(rig with { Site = rig.Site with { Surface = SurfaceState.Dusty } }, "base-hold.glue").Use
            / Check(rig, "base-hold.glue").Use, 1e-6);
    }

    [Fact] // weight times its lever about the neck
    public void ANeckCarriesMassTimesLever()
    {
        var rig = Recipe("helmet-stuck");
        double Use(double mass) => Check(rig with { Camera = rig.Camera with { Mass = mass } }, "neck.moment").Use;
        var b = RigAssembly.Build(rig with { Camera = rig.Camera with { Mass = 0.3 } }, Stock);
        var arm = Math.Sqrt(Math.Pow(b.Camera.Eye.X - Helmet.Neck.X, 2) + Math.Pow(b.Camera.Eye.Y - Helmet.Neck.Y, 2));
        Near.Share(b.Mass * 9.80665 * 0.8 * arm / 1.5, Use(0.3), 1e-9);
        Assert.True(Use(0.6) > 1.5 * Use(0.3));
    }

    [Fact]
    public void AHeadsRatingIsForStandingStill()
    {
        var rig = RigFiles.Plate(new Cup(), 2);
        var row = Stock.Find<HeadRow>("heads", ((FluidHead)rig.Head).Stock);
        Near.Share(2 / row.RatedLoad, Check(rig, "head.load").Use, 1e-9);
        Near.Share(2, Check(rig with { Camera = rig.Camera with { Mass = 4 } }, "head.load").Use / Check(rig, "head.load").Use, 1e-9);
    }

    [Fact] // half the diagonal of body and lens, with 20 mm of air all round
    public void AGimbalNeedsHalfItsCamerasDiagonal()
    {
        var rig = RigFiles.All.First(r => r.Rig.Head is GimbalHead).Rig;
        var (body, lens) = (Stock.Find<CameraRow>("cameras", rig.Camera.Body), Stock.Find<LensRow>("lenses", rig.Camera.Lens));
        var radius = Math.Sqrt(Math.Pow(0.5 * (body.Length + lens.Length) + 0.02, 2) + Math.Pow(0.5 * body.Width + 0.02, 2));
        Near.Share(radius / ((GimbalHead)rig.Head).Room, Check(rig, "head.room").Use, 1e-9);
    }

    [Fact] // ISO 1222's short socket carries a third of the screw's proof load; the seat's edge is the lever
    public void TheCamerasScrewFeelsJoltsToo()
    {
        var rig = Recipe("spring-clamp");
        double Use(Going g) => Check(rig with { Run = rig.Run with { Road = g } }, "camera.screw").Use;
        Assert.True(Use(Going.Rough) > Use(Going.Smooth));
        // A wave over it as well.
        var boat = Recipe("gear-rail-boom");
        Near.Share(4, Check(boat with { Run = boat.Run with { Speed = 10 } }, "camera.screw").Use
            / Check(boat with { Run = boat.Run with { Speed = 5 } }, "camera.screw").Use, 0.25);
    }

    [Fact] // field at the camera: the case's own where nothing moves by itself, more where it does
    public void TheFieldAtTheCameraHasTheRigsOwnMovementInIt()
    {
        var rig = RigFiles.CupAndArm();
        var model = new RigModel(rig, Stock);
        var state = model.State([]);
        foreach (var c in model.Built.Host.Motion.Cases(rig.Run.Road))
        {
            var field = model.Forces(state, c, rig.Run.Speed)!.Field;
            var own = c.Field + (model.Built.Host.Motion.BumpsAt(rig.Run.Speed) - 1) * c.Bumped;
            if (!c.Dynamic)
                Assert.True((field - own).Length < 1e-9, c.Id);
            else
                Assert.True((field - own).Length > 0.05, c.Id);
        }
        var jolt = model.Built.Host.Motion.Cases(rig.Run.Road).First(c => c.Id == "jolt-up");
        // Pressed down while the host is thrown up: at least the pulse's own share that a soft arm passes on.
        Assert.True(model.Forces(state, jolt, rig.Run.Speed)!.Field.Z < jolt.Field.Z);
    }

    [Theory]
    [InlineData(Consequence.InsideHost, 1)]
    [InlineData(Consequence.OwnGround, 1)]
    [InlineData(Consequence.PublicWay, 2)]
    [InlineData(Consequence.OnPeople, 3)]
    public void ADropsPlaceSetsHowManyRetentionsAPieceNeeds(Consequence consequence, int needs)
    {
        var rig = RigFiles.CupAndArm();
        var report = Assessor.Assess(rig with { Run = rig.Run with { Consequence = consequence } }, Stock);
        Assert.Equal(needs, report.Retentions.Single(r => r.Piece == "Camera").Needs);
        var bare = Assessor.Assess(rig with { Tethers = [], Run = rig.Run with { Consequence = consequence } }, Stock);
        // Above people what a hand has tightened does not count.
        var own = consequence == Consequence.OnPeople ? 0 : 1;
        Assert.Equal(own, bare.Retentions.Single(r => r.Piece == "Camera").Has);
        Assert.Equal(needs > 1, bare.Findings.Any(f => f.Text.StartsWith($"Camera: {own} of", StringComparison.Ordinal)));
    }
}
