using Ochema.Core.Analysis;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Sharpness;

/// <summary>
/// The uses that the combined responses come to against those of the movement itself: every check looks at every moment of a jolt, and at
/// thousands of moments of random shaking, with the signs that the modes really have there.
/// </summary>
public class UsesAgainstHistoriesTests
{
    /// <summary>Checks below this are of no interest.</summary>
    private const double Small = 0.25;

    public static TheoryData<string> Rigs => RigFiles.Names;

    [Theory]
    [MemberData(nameof(Rigs))]
    public void NoUseInAJoltIsBelowThatOfItsTimeHistory(string name)
    {
        var rig = RigFiles.Named(name);
        var (model, speed) = (new RigModel(rig, Catalogue.Shipped), rig.Run.Speed);
        if (model.Dynamics is null)
            return;
        var (modes, apart, duration) = (model.Modes, model.WithModesApart(), model.Built.Host.Motion.PulseDuration);
        var jolts = model.Built.Host.Motion.Cases(rig.Run.Road).Where(c => c.Jolt != 0).ToList();
        var history = jolts.SelectMany(c => Answers(modes, duration).Select(a =>
        {
            var modal = modes.Select((m, n) => -c.Jolt * m.Participation[2] * (a.Modes[n] - a.Pulse)).ToArray();
            return model.Forces(apart, c with { Jolt = 0, Field = c.Field - c.Jolt * a.Pulse * Vec3.UnitZ }, speed, modal);
        }));
        Compare(name, model, speed, jolts, history, 1);
    }

    [Theory]
    [MemberData(nameof(Rigs))]
    public void NoUseInShakingIsBelowThatOfRandomMoments(string name)
    {
        var rig = RigFiles.Named(name);
        rig = rig with { Run = rig.Run with { Rpm = 0, RpmTo = 0 } };
        var (model, speed) = (new RigModel(rig, Catalogue.Shipped), rig.Run.Speed);
        if (model.Dynamics is null)
            return;
        var (modes, apart) = (model.Modes, model.WithModesApart());
        var shaken = model.Built.Host.Motion.Cases(rig.Run.Road).Where(c => c.Shaken != Vec3.Zero).ToList();
        var random = new Random(7);
        var axes = Enumerable.Range(0, 3).Select(axis => Covariance(model, axis, speed)).Select(Cholesky).ToList();
        var rest = shaken[0] with { Shaken = Vec3.Zero };
        const int moments = 3000;
        var history = Enumerable.Range(0, moments).Select(_ =>
        {
            var (field, modal) = (rest.Field, new double[modes.Count]);
            for (var axis = 0; axis < 3; axis++)
            {
                var drawn = Drawn(axes[axis], random);
                field += drawn[0] * (axis == 0 ? Vec3.UnitX : axis == 1 ? Vec3.UnitY : Vec3.UnitZ);
                for (var n = 0; n < modes.Count; n++)
                    modal[n] += modes[n].Participation[axis] * (drawn[1 + n] - drawn[0]);
            }
            return model.Forces(apart, rest with { Field = field }, speed, modal);
        });
        // Three times the root mean square, either way, is passed in 2.7 of a thousand moments.
        Compare(name, model, speed, shaken, history, (int)(moments * 0.0027));
    }

    [Fact] // what hangs out to one side sways like a pendulum, which a jolt upwards hardly stirs and the hands feel most
    public void TheSwayOfALeaningPoleIsInItsJolt()
    {
        var rig = RigFiles.Named("tall-pole");
        rig = rig with { Reach = (SteppedPole)rig.Reach! with { Lean = 0.1 } };
        var model = new RigModel(rig, Catalogue.Shipped);
        var hold = model.Built.Holds[0].Spring;
        double Moment(RigCase c) => model.Forces(model.State([]), c, 0)!.Spring(hold).Moment.Y;
        var sway = model.Modes.Select((m, n) => (m, n)).MaxBy(p =>
            Math.Abs(p.m.Participation[2] * model.ResponseTo(model.Dynamics!.Modal.Inertia[p.n], hold).Moment.Y));
        var least = Math.Abs(sway.m.Participation[2] * model.ResponseTo(model.Dynamics!.Modal.Inertia[sway.n], hold).Moment.Y)
            * HalfSine.Spectrum(sway.m.Frequency * model.Built.Host.Motion.PulseDuration);
        Assert.InRange(least, 0.05, 0.12);
        Assert.True(Math.Abs(Moment(new RigCase("jolt", "", Vec3.Zero, -1, Vec3.Zero, Jolt: 1))) > 0.95 * least);
    }

    private static void Compare(string name, RigModel model, double speed, List<RigCase> cases, IEnumerable<CaseForces?> history,
        int passed)
    {
        var checks = model.Built.Checks.Where(c => !c.Fixed && !c.Reserve && c.Sort == CheckSort.Strength).ToList();
        var uses = checks.ToDictionary(c => c, _ => new List<double>());
        foreach (var f in history)
            if (f is not null)
                foreach (var check in checks)
                    uses[check].Add(check.Use(f));
        var shown = cases.Select(c => model.Forces(model.State([]), c, speed)).ToList();
        foreach (var check in checks)
        {
            var exact = uses[check].OrderDescending().ElementAt(passed - 1);
            var said = shown.Max(f => f is null ? Check.MostUse : check.Use(f));
            Assert.True(exact < Small || said > 0.9 * exact, $"{name}: {check.Id} is shown at {said:0.000} and comes to {exact:0.000}");
        }
    }

    /// <summary>Acceleration that each mode answers a half-sine of one with, and the pulse, step by step (fourth-order).</summary>
    private static IEnumerable<(double[] Modes, double Pulse)> Answers(IReadOnlyList<RigMode> modes, double duration)
    {
        var slowest = modes.Min(m => m.Frequency);
        var step = Math.Min(duration / 40, 1 / (20 * modes.Max(m => m.Frequency)));
        var steps = (int)((duration + 1.2 / slowest) / step);
        var every = Math.Max(1, steps / 1500);
        var state = modes.Select(_ => (X: 0.0, V: 0.0)).ToArray();
        double Pulse(double t) => t < duration ? Math.Sin(Math.PI * t / duration) : 0;
        for (var i = 0; i < steps; i++)
        {
            for (var n = 0; n < modes.Count; n++)
            {
                var w = 2 * Math.PI * modes[n].Frequency;
                (double, double) F(double t, double x, double v) => (v, -Pulse(t) - 2 * modes[n].Damping * w * v - w * w * x);
                var (t0, x0, v0) = (i * step, state[n].X, state[n].V);
                var (a1, b1) = F(t0, x0, v0);
                var (a2, b2) = F(t0 + step / 2, x0 + step / 2 * a1, v0 + step / 2 * b1);
                var (a3, b3) = F(t0 + step / 2, x0 + step / 2 * a2, v0 + step / 2 * b2);
                var (a4, b4) = F(t0 + step, x0 + step * a3, v0 + step * b3);
                state[n] = (x0 + step / 6 * (a1 + 2 * a2 + 2 * a3 + a4), v0 + step / 6 * (b1 + 2 * b2 + 2 * b3 + b4));
            }
            if (i % every == 0)
                yield return ([.. modes.Select((m, n) => -Math.Pow(2 * Math.PI * m.Frequency, 2) * state[n].X)], Pulse((i + 1) * step));
        }
    }

    /// <summary>Covariance of the host's acceleration along an axis and of what each mode answers it with, (m/s²)².</summary>
    private static double[,] Covariance(RigModel model, int axis, double speed)
    {
        var (modes, grid, profile) = (model.Modes, model.Dynamics!.Frequencies, model.Built.Host.Shake);
        var shakes = profile.Random(model.Built.Rig.Run.Road, 15);
        var grown = shakes.Count > 0 && shakes[0].Growth > 0 ? Math.Pow(speed / 15, 2 * shakes[0].Growth) : 1;
        var size = modes.Count + 1;
        var sum = new double[size, size];
        var spectrum = grid.Select(f => grown * shakes.Sum(s => Excitations.Shares(s)[axis] is var share ? share * share * s.Spectrum(f)
            : 0)).ToArray();
        for (var k = 0; k < grid.Length; k++)
        {
            var width = ((k > 0 ? grid[k] - grid[k - 1] : 0) + (k + 1 < grid.Length ? grid[k + 1] - grid[k] : 0)) / 2;
            var answer = modes.Select(m => m.Omega2 * m.Transfer(2 * Math.PI * grid[k])).Prepend(System.Numerics.Complex.One).ToArray();
            for (var i = 0; i < size; i++)
                for (var j = 0; j < size; j++)
                    sum[i, j] += (answer[i] * System.Numerics.Complex.Conjugate(answer[j])).Real * spectrum[k] * width;
        }
        return sum;
    }

    private static double[,] Cholesky(double[,] a)
    {
        var n = a.GetLength(0);
        var l = new double[n, n];
        for (var i = 0; i < n; i++)
            for (var j = 0; j <= i; j++)
            {
                var v = a[i, j];
                for (var k = 0; k < j; k++)
                    v -= l[i, k] * l[j, k];
                l[i, j] = i == j ? Math.Sqrt(Math.Max(v, 0)) : l[j, j] > 1e-12 ? v / l[j, j] : 0;
            }
        return l;
    }

    private static double[] Drawn(double[,] l, Random random)
    {
        var n = l.GetLength(0);
        var z = Enumerable.Range(0, n).Select(_ => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble()))
            * Math.Cos(2 * Math.PI * random.NextDouble())).ToArray();
        return [.. Enumerable.Range(0, n).Select(i => Enumerable.Range(0, i + 1).Sum(k => l[i, k] * z[k]))];
    }
}
