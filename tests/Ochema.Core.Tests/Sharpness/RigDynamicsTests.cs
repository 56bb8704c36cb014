using CsCheck;
using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Isolators;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Sharpness;

/// <summary>Jolts and shaking as loads: modes drawn together must agree with what is known of one mass, stiff rigs and close
/// pairs.</summary>
public class RigDynamicsTests
{
    private static RigMode Mode(double frequency, double damping) => new(frequency, damping, [1, 1, 1], Vec3.Zero, Vec3.Zero, []);

    [Fact] // Wilson, Der Kiureghian and Bayo 1981, table 1: ζ = 5 %, ratio 0.9 gives 0.473 (from memory, 2 %); equal modes 1
    public void ModesInStepCorrelate()
    {
        Near.Share(1, RigDynamics.Correlation(Mode(10, 0.05), Mode(10, 0.05)), 1e-12);
        Near.Share(0.473, RigDynamics.Correlation(Mode(10, 0.05), Mode(9, 0.05)), 0.02);
        Assert.True(RigDynamics.Correlation(Mode(10, 0.02), Mode(20, 0.02)) < 0.005);
    }

    [Fact]
    public void CorrelationIsSymmetricAndAtMostOne() => Gen.Select(Gen.Double[1, 100], Gen.Double[1, 100], Gen.Double[0.005, 0.3],
        Gen.Double[0.005, 0.3]).Sample((f, g, a, b) =>
    {
        var (there, back) = (RigDynamics.Correlation(Mode(f, a), Mode(g, b)), RigDynamics.Correlation(Mode(g, b), Mode(f, a)));
        Assert.Equal(there, back, 1e-9);
        Assert.InRange(there, 0, 1 + 1e-9);
    });

    [Fact]
    public void AStiffRigFeelsAJoltAsItIs()
    {
        // Its first frequency is so high that the pulse is slow: what the camera feels is the host's own.
        var stiffest = RigFiles.All.Select(r => new RigModel(r.Rig, Catalogue.Shipped)).MaxBy(m => m.Modes[0].Frequency)!;
        Assert.True(stiffest.Modes[0].Frequency > 50, $"{stiffest.Modes[0].Frequency}");
        Assert.InRange(stiffest.Dynamics!.CameraGain, 0.95, 1.6);
    }

    [Fact] // Harris: at most 1.77 times, near frequency × duration of 0.8; well below, the pulse is over before it has moved
    public void NoSingleModeGainsMoreThanTheShockSpectrum()
    {
        foreach (var (name, rig) in RigFiles.All)
        {
            var gain = new RigModel(rig, Catalogue.Shipped).Dynamics!.CameraGain;
            Assert.True(gain is > 0.02 and < 3.2, $"{name}: {gain}");
        }
    }

    [Fact]
    public void ASoftMountKeepsAJoltFromTheCamera()
    {
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        double Gain(IsolatorKind k) => new RigModel(rig with { Isolator = k }, Catalogue.Shipped).Dynamics!.CameraGain;
        Assert.True(Gain(new SpringArm()) < 0.5 * Gain(new NoIsolator()), $"{Gain(new SpringArm())} against {Gain(new NoIsolator())}");
    }

    private static (Vec3 Force, Vec3 Moment) Hold(RigDocument rig, string id, double speed)
    {
        var model = new RigModel(rig, Catalogue.Shipped);
        var c = model.Built.Host.Motion.Cases(rig.Run.Road).First(x => x.Id == id);
        // Without its weight and wind: only what moves.
        return model.Forces(model.State([]), c with { Field = Vec3.Zero, Wind = -1 }, speed)!.Spring(model.Built.Holds[0].Spring);
    }

    [Fact]
    public void ShakingGrowsWithTheRootOfTheSpeedOnARoadAndNotAtAllOnAHead()
    {
        var rig = RigFiles.CupAndArm();
        rig = rig with { Run = rig.Run with { Rpm = 0 } };
        Near.Share(Math.Sqrt(2), Hold(rig, "shaken-left", 30).Force.Length / Hold(rig, "shaken-left", 15).Force.Length, 1e-9);
        var helmet = RecipeLibrary.All.First(r => r.Id == "helmet-strap").Document;
        Near.Share(1, Hold(helmet, "shaken-up", 30).Force.Length / Hold(helmet, "shaken-up", 15).Force.Length, 1e-9);
    }

    [Fact]
    public void ShakingOneWayMirrorsTheOther()
    {
        var rig = RigFiles.CupAndArm();
        var (left, right) = (Hold(rig, "shaken-left", 20), Hold(rig, "shaken-right-4", 20));
        Assert.True((left.Force + right.Force).Length < 1e-9 * left.Force.Length);
        Assert.True((left.Moment + right.Moment).Length < 1e-9 * left.Moment.Length);
    }

    [Fact] // a mass that moves with its host: three times the root mean square of what the host does
    public void AVeryStiffRigIsShakenByItsHostAlone()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "roll-hoop").Document;
        rig = rig with { Run = rig.Run with { Rpm = 0, Speed = 15, Road = Going.Average } };
        var model = new RigModel(rig, Catalogue.Shipped);
        var shake = model.Built.Host.Shake.Random(rig.Run.Road, 15).Single();
        var grid = FrequencyGrid.Of(model.Modes);
        var rms = Math.Sqrt(FrequencyGrid.Integrate(grid, [.. grid.Select(shake.Spectrum)]));
        var up = Hold(rig, "shaken-up", 15).Force.Z;
        Assert.InRange(Math.Abs(up) / (model.Built.Mass * 3 * rms), 0.85, 1.6);
    }

    [Fact]
    public void APairOfEqualStrutsGivesTheSameEitherWayRound()
    {
        var rig = RigFiles.CupAndArm((0.24, 0.34), (0.24, -0.34));
        var turned = rig with { Braces = [.. rig.Braces.Reverse()] };
        foreach (var id in new[] { "jolt-up", "shaken-left", "shaken-forward" })
            Near.Share(Hold(rig, id, 20).Moment.Length, Hold(turned, id, 20).Moment.Length, 1e-5, id);
    }

    [Fact]
    public void ARoughRoadJoltsMoreThanASmoothOne()
    {
        var rig = RigFiles.CupAndArm();
        double Jolt(Going g) => Hold(rig with { Run = rig.Run with { Road = g } }, "jolt-up", 20).Force.Length;
        var pulse = Ochema.Core.Hosts.CarHost.Driving.Pulse;
        Near.Share(pulse[2] / pulse[0], Jolt(Going.Rough) / Jolt(Going.Smooth), 1e-9);
    }

    [Fact]
    public void AJoltCanGovernAndThenMovesTheVerdict()
    {
        // A clamp on a bicycle's frame: no springs, sharp bumps.
        var rig = RecipeLibrary.All.First(r => r.Id == "spring-clamp").Document;
        var rough = rig with { Run = rig.Run with { Road = Going.Rough } };
        var (even, uneven) = (Assessor.Assess(rig, Catalogue.Shipped), Assessor.Assess(rough, Catalogue.Shipped));
        Assert.True(uneven.Verdict.Use > even.Verdict.Use);
        Assert.True(uneven.Shock.Use > even.Shock.Use);
        Assert.Contains("g for", uneven.Shock.Text);
    }

    [Fact]
    public void PartsThatAreGoneTakeTheirShareOfTheJoltWithThem()
    {
        var rig = RigFiles.Plate(new Ochema.Core.Kinds.Holds.Cup(), 2);
        var model = new RigModel(rig, Catalogue.Shipped);
        var c = model.Built.Host.Motion.Cases(rig.Run.Road).First(x => x.Id == "jolt-up") with { Field = Vec3.Zero, Wind = -1 };
        var gone = model.Built.Holds[0].Id;
        double Pull(IReadOnlyList<string> without, int hold) => Math.Abs(model.Forces(model.State(without), c,
            20)!.Spring(model.Built.Holds[hold].Spring).Force.Z);
        // Three carry what four did; the one across from the missing one is eased.
        Assert.True(Pull([gone], 1) + Pull([gone], 2) > Pull([], 1) + Pull([], 2));
        Assert.IsType<HoldPlate>(rig.Base);
    }
}
