using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Sharpness;

/// <summary>Jolts by combination of modes against the time history of the same modes, step by step (Duhamel's integral by exact
/// recurrence).</summary>
public class JoltTimeHistoryTests
{
    /// <summary>Peak over time of Σ Γₙ·qₙ(t)·aₙ + left·pulse(t), where qₙ is the absolute acceleration answer of a mode to a half-sine of
    /// one.</summary>
    private static double Peak(IReadOnlyList<RigMode> modes, double[] amplitude, double left, double duration)
    {
        var slowest = modes.Min(m => m.Frequency);
        var step = Math.Min(duration / 60, 1 / (30 * modes.Max(m => m.Frequency)));
        var steps = (int)((duration + 1.2 / slowest) / step);
        var state = modes.Select(_ => (X: 0.0, V: 0.0)).ToArray();
        var worst = 0.0;
        double Pulse(double t) => t < duration ? Math.Sin(Math.PI * t / duration) : 0;
        for (var i = 0; i < steps; i++)
        {
            var sum = left * Pulse((i + 1) * step);
            for (var n = 0; n < modes.Count; n++)
            {
                var w = 2 * Math.PI * modes[n].Frequency;
                // Relative movement: x'' + 2ζωx' + ω²x = −pulse, by a fourth-order step; absolute acceleration −(2ζωx' + ω²x).
                (double, double) F(double t, double x, double v) => (v, -Pulse(t) - 2 * modes[n].Damping * w * v - w * w * x);
                var (t0, x0, v0) = (i * step, state[n].X, state[n].V);
                var (a1, b1) = F(t0, x0, v0);
                var (a2, b2) = F(t0 + step / 2, x0 + step / 2 * a1, v0 + step / 2 * b1);
                var (a3, b3) = F(t0 + step / 2, x0 + step / 2 * a2, v0 + step / 2 * b2);
                var (a4, b4) = F(t0 + step, x0 + step * a3, v0 + step * b3);
                state[n] = (x0 + step / 6 * (a1 + 2 * a2 + 2 * a3 + a4), v0 + step / 6 * (b1 + 2 * b2 + 2 * b3 + b4));
                sum += amplitude[n] * -(w * w * state[n].X);
            }
            worst = Math.Max(worst, Math.Abs(sum));
        }
        return worst;
    }

    public static TheoryData<string> Rigs => RigFiles.Names;

    [Theory]
    [MemberData(nameof(Rigs))]
    public void ThePullAndMomentOfTheFirstHoldAreNotBelowTheTimeHistory(string name)
    {
        var rig = RigFiles.Named(name);
        var model = new RigModel(rig, Catalogue.Shipped);
        var (motion, modes) = (model.Built.Host.Motion, model.Modes);
        var hold = model.Built.Holds[0];
        // Response of the hold to each mode's inertia and to a uniform field, by the model's own statics.
        double[] At(RigCase c)
        {
            var f = model.Forces(model.State([]), c, 0)!.Spring(hold.Spring);
            return [f.Force.Z, f.Moment.X, f.Moment.Y];
        }
        var none = At(new RigCase("rest", "", Vec3.Zero, -1, Vec3.Zero));
        double[] Over(double[] a) => [.. a.Zip(none, (x, y) => x - y)];
        var field = Over(At(new RigCase("field", "", Vec3.UnitZ, -1, Vec3.Zero)));
        var shown = Over(At(new RigCase("jolt", "", Vec3.Zero, -1, Vec3.Zero, Jolt: 1)));
        var inertia = modes.Select((m, n) => model.ResponseTo(model.Dynamics!.Modal.Inertia[n], hold.Spring))
            .Select(f => new[] { f.Force.Z, f.Moment.X, f.Moment.Y }).ToList();
        for (var k = 0; k < 3; k++)
        {
            var amplitude = modes.Select((m, n) => m.Participation[2] * inertia[n][k]).ToArray();
            var exact = Peak(modes, amplitude, field[k] - amplitude.Sum(), motion.PulseDuration);
            if (exact < 0.02 * model.Built.Mass)
                continue;
            // Combined by rule: at least the history less a tenth, and no wild surplus.
            Assert.True(Math.Abs(shown[k]) > 0.9 * exact,
                $"{name}, {k}: {Math.Abs(shown[k]):0.000} shown, {exact:0.000} in the time history");
            Assert.True(Math.Abs(shown[k]) < 2.2 * exact,
                $"{name}, {k}: {Math.Abs(shown[k]):0.000} shown, {exact:0.000} in the time history");
        }
    }

    [Fact] // a stiff boom on a boat's rail goes along with the pulse: all of it, not half
    public void AStiffBoomFeelsTheWholePulse()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "gear-rail-boom").Document;
        var model = new RigModel(rig, Catalogue.Shipped);
        Assert.InRange(model.Dynamics!.CameraGain, 0.95, 1.8);
    }

    [Theory] // Lindley and Yow: none while the pulse is over before the mode has moved, all when the mode is stiff
    [InlineData(0.1, 0, 0)]
    [InlineData(0.8, 0.5, 0.65)]
    [InlineData(20, 0.9, 1)]
    public void TheShareInPhaseRisesWithStiffness(double x, double least, double most) => Assert.InRange(HalfSine.InPhase(x), least, most);
}
