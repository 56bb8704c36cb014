using Ochema.Core.Analysis;
using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>What comes off the road grows with speed as it does there.</summary>
public sealed class BumpsWithSpeedTests
{
    [Fact] // ISO 8608: G(Ω) ∝ Ω⁻², so that what shakes at a frequency grows as V and its root as √V; the strike at a hole's edge does not
    public void BumpsGrowByTheRootAndPotholesDoNot()
    {
        var road = CarHost.Driving;
        Near.Share(1, road.BumpsAt(road.UsualSpeed!.Value), 1e-12);
        Near.Share(Math.Sqrt(2), road.BumpsAt(60) / road.BumpsAt(30), 1e-12);
        Assert.Equal(1, road.BumpsAt(0));
        Assert.Equal(1, Boat.Planing.BumpsAt(15));
    }

    [Fact] // a wheel of 0.3 m that falls freely into the hole and strikes its far edge, step by step
    public void TheStrikeIsThatOfAWheelThatFalls()
    {
        static double Strike(double v)
        {
            var (fall, down, t) = (0.0, 0.0, 0.0);
            for (; t < 0.6 / v && fall < 0.08; t += 1e-5)
                (fall, down) = (fall + 1e-5 * down, down + 1e-5 * 9.80665);
            fall = Math.Min(fall, 0.08);
            // The tread meets the edge at the height it has fallen: its middle is turned up along the circle about the edge.
            return v * Math.Sqrt(2 * fall / 0.3);
        }
        foreach (var v in new[] { 6.0, 10, 20, 40 })
            Near.Share(0.6 * Math.Sqrt(9.80665 / 0.3), Strike(v), 0.01, $"{v} m/s");
        Assert.True(Strike(2) < 0.5 * Strike(6));
    }

    [Fact] // twice as fast as usual it is √2 of the bump
    public void TheFieldOfABumpGrowsInTheModel()
    {
        var model = new RigModel(RigFiles.Named("cup-plate-low-head"), Catalogue.Shipped);
        var bump = model.Built.Host.Motion.Cases(Going.Average).First(c => c.Id == "bump-up-1");
        var usual = model.Built.Host.Motion.UsualSpeed!.Value;
        double Up(double v) => model.Forces(model.State([]), bump, v)!.Field.Z;
        Near.Share(bump.Field.Z, Up(0), 1e-9);
        Near.Share(bump.Field.Z, Up(usual), 1e-9);
        Near.Share(Math.Sqrt(2), (Up(2 * usual) + MotionProfile.Gravity) / (Up(usual) + MotionProfile.Gravity), 1e-9);
    }
}
