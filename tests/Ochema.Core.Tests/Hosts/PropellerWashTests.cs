using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Hosts;

/// <summary>What stands behind a propeller at full throttle.</summary>
public sealed class PropellerWashTests
{
    private const double Density = 1.225;

    private static PropellerWash Air { get; } = new(new(2, 0, 1), 0.95, 2500, 90e3);

    [Fact] // momentum theory: w = √(T ÷ 2ρA) at the disc and twice that far behind; in flight T = ρA·(V + w)·2w
    public void TheDiscAddsItsThrustOverItsArea()
    {
        var disc = Math.PI * 0.95 * 0.95;
        Near.Share(2 * Math.Sqrt(2500 / (2 * Density * disc)), Air.Speed(0, Density), 1e-9);
        const double v = 50;
        var w = (Air.Speed(v, Density) - v) / 2;
        Near.Share(90e3 / v, Density * disc * (v + w) * 2 * w, 1e-9);
        // Full throttle in the climb blows faster than standing still, and less of it is the propeller's.
        Assert.True(Air.Speed(40, Density) > Air.Speed(0, Density) && Air.Pressure(40) < Air.Pressure(0));
    }

    [Fact] // at the disc half the speed it has far behind: a quarter of the pressure
    public void ItSpeedsUpBehindTheDisc()
    {
        Near.Share(0.25, Air.Share(new(2, 0.3, 1)), 1e-9);
        Assert.InRange(Air.Share(new(-4, 0.3, 1)), 0.98, 1);
        Assert.Equal(0, Air.Share(new(2.01, 0, 1)));
        Assert.Equal(0, Air.Share(new(-1, 0.7, 1.7)));
    }

    [Fact] // torque over mass flow at 0.7 R: some 110 kW at 2,400 a minute twist what is counted as 15°
    public void ItsTwistIsThatOfTheEnginesTorque()
    {
        var (torque, flow) = (110e3 / (2400 * Math.PI / 30), Density * Math.PI * 0.95 * 0.95 * Air.Speed(0, Density) / 2);
        var twist = Math.Atan(torque / (0.7 * 0.95 * flow) / Air.Speed(0, Density));
        Assert.InRange(twist, 0.7 * MotionProfile.Yaw[1], MotionProfile.Yaw[1]);
    }

    private static RigDocument At(string site)
    {
        var rig = RigFiles.Named("tie-down-block");
        return rig with
        {
            Site = HostLibrary.Find(rig.Host)!.Sites.First(s => s.Id == site),
            Run = rig.Run with { Speed = 0, HeadWind = 0, Gust = 0 }
        };
    }

    [Fact]
    public void UnderTheTailItBlowsAndUnderTheWingItDoesNot()
    {
        var (tail, wing) = (new RigModel(At("tail-ring"), Catalogue.Shipped), new RigModel(At("tie-down"), Catalogue.Shipped));
        Assert.Equal(3, tail.Cases.Count(c => c.Wash));
        Assert.DoesNotContain(wing.Cases, c => c.Wash);
        Assert.Contains(Assessor.Assess(At("tail-ring"), Catalogue.Shipped).Findings, f =>
            f.Text.Contains("propeller's wash", StringComparison.Ordinal));
        // Standing still, without wind: what the block is pushed back by is what the air does to all that stands in it.
        var b = tail.Built;
        var pushed = tail.Forces(tail.State([]), tail.Cases.First(c => c.Wash), 0)!.Spring(b.Holds.Single().Spring).Force.X;
        var air = b.Host.Wash!;
        var bodies = b.Faces.Where(f => !f.IsOnMember).Sum(f => air.Share(b.Position(f.Node)) * f.BoxForce(-Vec3.UnitX).X);
        Assert.InRange(pushed, -air.Pressure(0) * bodies, -1.6 * air.Pressure(0) * bodies);
    }

    [Fact] // behind the windscreen nothing of it blows
    public void InTheCabinItIsStill()
    {
        var rig = RigFiles.Named("cabin-tube");
        Assert.DoesNotContain(new RigModel(rig, Catalogue.Shipped).Cases, c => c.Wash);
    }

    [Fact] // a pressure ½ρV² that goes with V² is unquiet by twice the share that V is; small bodies feel nearly all of it
    public void WhatItWhirlsUpShakesThePicture()
    {
        const double speed = 45;
        var model = new RigModel(At("tail-ring"), Catalogue.Shipped);
        var dynamics = model.Dynamics!;
        dynamics.At(model, speed);
        var wash = dynamics.Excitations.Random.Where(e => e.Label == "the propeller's wash").ToList();
        Assert.Equal(2, wash.Count);
        var blows = model.Built.Host.Wash!.Speed(speed, model.Density);
        var most = Math.Pow(2 * PropellerWash.Unrest * 0.5 * model.Density * blows * blows, 2);
        Assert.InRange(FrequencyGrid.Integrate(dynamics.Frequencies, wash[0].Spectrum), 0.5 * most, most);
        Assert.All(wash, e => Assert.Contains(e.Forces, f => f != 0));
        var picture = new CameraMotion(model);
        var share = picture.Sources.Single(s => s.Label == "the propeller's wash").Spectrum;
        Assert.InRange(FrequencyGrid.Integrate(dynamics.Frequencies, share), 1e-12,
            FrequencyGrid.Integrate(dynamics.Frequencies, picture.Sum));

        var wing = new RigModel(At("tie-down"), Catalogue.Shipped);
        wing.Dynamics!.At(wing, speed);
        Assert.DoesNotContain(wing.Dynamics.Excitations.Random, e => e.Label == "the propeller's wash");
    }

    [Fact] // what a rig in it is asked is at least what it is asked without
    public void ItOnlyAdds()
    {
        var rig = At("tail-ring") with { Run = At("tail-ring").Run with { Speed = 45 } };
        var model = new RigModel(rig, Catalogue.Shipped);
        var (state, hold) = (model.State([]), model.Built.Holds.Single().Spring);
        double Back(string id) => model.Forces(state, model.Cases.Single(c => c.Id == id), 45)!.Spring(hold).Force.X;
        Assert.True(Back("wash-0") > 1.2 * Back("cruise-0") && Back("cruise-0") > 0);
        // The same load can be solved elsewhere: it is in the model document.
        var document = RigModelDocument.Of(rig, Catalogue.Shipped).Cases!.Single(c => c.Id == "wash-0");
        Near.Share(Back("wash-0"), document.Result!.SpringForces![model.Built.Holds.Single().Id.Name][0], 1e-6);
    }
}
