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
        Near.Share(2, road.BumpsAt(40) / road.BumpsAt(10), 1e-12);
        Assert.Equal(0, road.BumpsAt(0));
        Assert.Equal(road.PulseAt(60), road.PulseAt(6));
        // Crept into, it is half the strike at half the speed.
        Near.Share(0.5, road.PulseAt(1) / road.PulseAt(2), 1e-12);
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
        foreach (var v in new[] { 1.0, 2, 4, 6, 10, 20, 40 })
            Near.Share(Strike(v) / Strike(20), CarHost.Driving.PulseAt(v), 0.01, $"{v} m/s");
    }

    [Fact] // standing still nothing comes off the road; twice as fast as usual it is √2 of the bump
    public void TheFieldOfABumpGrowsInTheModel()
    {
        var model = new RigModel(RigFiles.Named("cup-plate-low-head"), Catalogue.Shipped);
        var bump = model.Builder.Host.Motion.Cases(Going.Average).First(c => c.Id == "bump-up-1");
        var usual = model.Builder.Host.Motion.UsualSpeed!.Value;
        double Up(double v) => model.Forces(model.State([]), bump, v)!.Field.Z;
        Near.Share(-MotionProfile.Gravity, Up(0), 1e-9);
        Near.Share(bump.Field.Z, Up(usual), 1e-9);
        Near.Share(Math.Sqrt(2), (Up(2 * usual) - Up(0)) / (Up(usual) - Up(0)), 1e-9);
    }
}
