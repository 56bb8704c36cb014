using CsCheck;
using Ochema.Core.Assessment;
using Ochema.Core.Loads;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>How far a tethered camera falls, and how hard it is caught: geometry by hand, energy, and a step-by-step fall.</summary>
public class TetherFallTests
{
    [Fact] // straight above its anchor it falls its height and the line's own length
    public void StraightAboveItFallsItsHeightAndTheLine()
    {
        var fall = TetherFall.Of(new(0, 0, 1.3), new(0, 0, 1), 0.35, 1, Vec3.Zero, 2e4);
        Near.Share(0.3 + 0.35, fall.Drop, 1e-12);
        Near.Share(9.80665, fall.Pull, 1e-12);
    }

    [Fact] // beside it: height over the anchor and the arc √(L² − d²)
    public void BesideItFallsItsHeightAndTheArc()
    {
        var fall = TetherFall.Of(new(0.4, 0, 1.2), new(0, 0, 1), 0.5, 1, Vec3.Zero, 2e4);
        Near.Share(0.2 + Math.Sqrt(0.25 - 0.16), fall.Drop, 1e-12);
        // Not the slack: that is 5 cm only.
        Assert.True(fall.Drop > 5 * (0.5 - Math.Sqrt(0.16 + 0.04)));
    }

    [Fact]
    public void TheLineIsTautWhereItEndsAndThePeakFollowsFromTheEnergy() =>
        Gen.Select(Gen.Double[-0.8, 0.8], Gen.Double[-0.8, 0.8], Gen.Double[-0.5, 1], Gen.Double[0.02, 0.5], Gen.Double[0.1, 6],
            Gen.Double[0, 20])
            .Sample((x, y, z, slack, mass, drag) =>
        {
            var length = new Vec3(x, y, z).Length + slack;
            var fall = TetherFall.Of(new(x, y, z), Vec3.Zero, length, mass, new(-drag, 0, 0), 1.2e4);
            Assert.Equal(length, fall.At.Length, 5e-7);
            var stretch = fall.Peak / (1.2e4 / length);
            // What falls and stretches the line has given all its energy to it.
            Assert.Equal(mass * fall.Pull * (fall.Drop + stretch), 0.5 * 1.2e4 / length * stretch * stretch, 5e-7);
        });

    [Fact] // the wind sweeps it back and makes it heavier: more drag, more force
    public void WithDragAtSpeedItIsCaughtHarder()
    {
        double Peak(double drag) => TetherFall.Of(new(0, 0, 0.3), Vec3.Zero, 0.4, 0.5, new(-drag, 0, 0), 2e4).Peak;
        Assert.True(Peak(15) > 1.05 * Peak(0));
    }

    [Fact] // Newton's second law, a hundred thousand steps, a line that only pulls
    public void AStepByStepFallIsCaughtAsHard()
    {
        const double length = 0.5, stiffness = 2e4 / length, mass = 0.8;
        var (z, v, worst) = (0.25, 0.0, 0.0);
        const double step = 1e-6;
        for (var i = 0; i < 1_000_000 && z > -1; i++)
        {
            var pull = z < -length ? stiffness * (-length - z) : 0;
            v += step * (pull / mass - 9.80665);
            z += step * v;
            worst = Math.Max(worst, pull);
            if (pull > 0 && v > 0)
                break;
        }
        Near.Share(worst, TetherFall.Of(new(0, 0, 0.25), Vec3.Zero, length, mass, Vec3.Zero, 2e4).Peak, 1e-3);
    }

    [Fact]
    public void WhereItSwingsToIsNamed()
    {
        var rig = RigFiles.Named("8-orchard-from-above");
        var low = RigFiles.Tied(RigFiles.CupAndArm());
        var onTheRoad = low with { Tethers = [low.Tethers[0] with { Slack = 1.5 }, .. low.Tethers.Skip(1)] };
        Assert.Contains(Assessor.Assess(onTheRoad, Catalogue.Shipped).Findings,
            f => f.Text.Contains("keeps nothing: what comes off swings as far as the road"));
        var roof = RigFiles.Named("magnet-plate-straps");
        Assert.DoesNotContain(Assessor.Assess(roof, Catalogue.Shipped).Findings, f => f.Text.Contains("swings as far as the road"));
        Assert.NotEmpty(rig.Tethers);
    }
}
