using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis;

/// <summary>
/// The rig's own movement as loads on the structure: the inertia of each mode, as large as a jolt or the steady shaking of the host makes
/// it. Modes are combined by complete quadratic combination (Wilson, Der Kiureghian and Bayo 1981): the root of the sum of squares where
/// they lie apart, the plain sum where they coincide, as those of a pair of equal braces do. Stiff modes go along with what shakes them:
/// that part of each, and what the modes leave out, is added up as it is (Gupta 1990; Lindley and Yow 1980). The sign is that of the
/// stronger. A state with parts gone keeps the whole rig's modes. Gusts are
/// in the wind of the cases already.
/// </summary>
internal sealed class RigDynamics
{
    /// <summary>Unit responses that it adds: a jolt, and for each axis the host's random shaking and its engine's tremble.</summary>
    public const int Columns = 7;

    /// <summary>Modes less in step than this are taken as independent.</summary>
    private const double Apart = 0.02;

    /// <summary>Peaks of random shaking taken as this many times its root mean square (three-sigma, as in Steinberg).</summary>
    private const double Peaks = 3;

    /// <summary>Speed that the shaking is computed at and scaled from, m/s; the answer at a speed must not depend on the design
    /// speed.</summary>
    private const double Reference = 15;

    private readonly Column jolt;
    private readonly Column[] shaken;
    private readonly Column[] trembling;
    private readonly double[][] without;
    private readonly int[] every;
    private readonly double[] host = new double[3];
    private readonly double[] trembles = new double[3];
    private readonly double growth;

    public ModalResponse Modal { get; }

    /// <summary>What drives the rig at the speed that is asked about.</summary>
    public Excitations Excitations { get; private set; }

    /// <summary>Asks about another speed, m/s: what drives it is another, its modes and loads stay.</summary>
    public void At(RigModel model, double speed) => Excitations = new Excitations(model, Modal.Modes, Frequencies, speed);

    /// <summary>Largest steady tremble of the host at a speed, m/s²: the only load of a kept design that may hang on it.</summary>
    public static double Tremble(Rigs.BuiltRig b, double speed) =>
        b.Host.Shake.Steady(speed, b.Rig.Run.Rpm, b.Rig.Run.RpmTo).Select(s => s.Shake.Amplitude).DefaultIfEmpty(0).Max();

    /// <summary>Hz.</summary>
    public double[] Frequencies { get; }

    /// <summary>Inertia of the modes: loads of the structure.</summary>
    public IReadOnlyList<double[]> Loads => Modal.Inertia;

    /// <summary>Movement of the camera in each of those modes.</summary>
    public IReadOnlyList<Vec3> CameraMoves { get; }

    /// <summary>Largest acceleration of the camera in a jolt of 1 m/s², up and down.</summary>
    public double CameraGain { get; }

    public RigDynamics(RigModel model, ModalResponse modal)
    {
        Modal = modal;
        var (rig, motion, profile) = (model.Built.Rig, model.Built.Host.Motion, model.Built.Host.Shake);
        var modes = modal.Modes;
        Frequencies = FrequencyGrid.Of(modes);
        Excitations = new Excitations(model, modes, Frequencies, rig.Run.Speed);
        var pulse = modes.Select(m => m.Participation[2] * HalfSine.Spectrum(m.Frequency * motion.PulseDuration)).ToArray();
        var (random, steady, along) = (new double[3][], new double[3][], new double[3][]);
        var shakes = profile.Random(rig.Run.Road, Reference);
        growth = shakes.Count > 0 ? shakes[0].Growth : 0;
        var all = shakes.Select(s => (Shares: Excitations.Shares(s), Spectrum: Frequencies.Select(s.Spectrum).ToArray())).ToList();
        var own = all.Select(s => FrequencyGrid.Integrate(Frequencies, s.Spectrum)).ToList();
        var squares = all.Select(s => modes.Select(m => m.MeanSquare(Frequencies, s.Spectrum)).ToArray()).ToList();
        var worst = modes.Select(m => profile.Worst(m.Frequency, m.Damping, rig.Run.Rpm, rig.Run.RpmTo)).ToList();
        for (var axis = 0; axis < 3; axis++)
        {
            double Sum(Func<int, double> of) => all.Select((s, i) => s.Shares[axis] * s.Shares[axis] * of(i)).Sum();
            host[axis] = Peaks * Math.Sqrt(Sum(i => own[i]));
            random[axis] = [.. modes.Select((m, n) => m.Participation[axis] * Peaks * m.Omega2 * Math.Sqrt(Sum(i => squares[i][n])))];
            along[axis] = [.. modes.Select((m, n) =>
            {
                var (answer, below) = (m.Omega2 * Math.Sqrt(Sum(i => squares[i][n])),
                    Sum(i => FrequencyGrid.Integrate(Frequencies, all[i].Spectrum, m.Frequency)));
                return answer <= 0 || host[axis] <= 0 ? 0
                    : Math.Min(1, host[axis] / Peaks / answer) * Math.Sqrt(Math.Clamp(below / (host[axis] * host[axis] / (Peaks * Peaks)),
                        0, 1));
            })];
            trembles[axis] = Excitations.SteadyShares[axis] * Tremble(model.Built, rig.Run.Speed);
            steady[axis] = [.. modes.Select((m, n) => m.Participation[axis] * Excitations.SteadyShares[axis] * m.Omega2 * worst[n])];
        }
        // All of them: a mode that a jolt hardly stirs can have a lever a hundred times as long as the strongest.
        CameraMoves = [.. modes.Select(m => m.Move)];
        (int, double)[][] together =
            [.. modes.Select(i => modes.Select((j, n) => (n, Correlation(i, j))).Where(p => p.Item2 > Apart).ToArray())];
        (jolt, shaken, trembling) = (
            new(pulse, [.. modes.Select(m => HalfSine.InPhase(m.Frequency * motion.PulseDuration))], together),
                [.. random.Select((w, axis) => new Column(w, along[axis], together))],
                [.. steady.Select(w => new Column(w, new double[modes.Count], together))]);
        without = [.. Enumerable.Range(0, 3).Select(axis => modes.Select(m => -m.Participation[axis]).Prepend(1).ToArray())];
        every = [.. Enumerable.Range(0, modes.Count + 1)];
        CameraGain = Math.Abs(Combine([[0], [0], [1]], [.. CameraMoves.Select(m => new[] { m.Z })])[0][0]);
    }

    /// <summary>How much of each of the added unit responses a case takes at a speed, m/s.</summary>
    public void Coefficients(RigCase c, double speed, Span<double> into)
    {
        into[0] = c.Jolt;
        var grown = growth > 0 ? Math.Pow(speed / Reference, growth) : 1;
        for (var axis = 0; axis < 3; axis++)
        {
            var share = axis switch { 0 => c.Shaken.X, 1 => c.Shaken.Y, _ => c.Shaken.Z };
            (into[1 + axis], into[4 + axis]) = (share * grown, share);
        }
    }

    /// <summary>How far two modes move in step, 0…1: 8√(ζᵢζⱼ)(ζᵢ + r·ζⱼ)r^1.5 / ((1 − r²)² + 4ζᵢζⱼr(1 + r²) + 4(ζᵢ² + ζⱼ²)r²), r =
    /// fⱼ/fᵢ.</summary>
    internal static double Correlation(RigMode a, RigMode b)
    {
        var (za, zb, r) = (a.Damping, b.Damping, b.Frequency / a.Frequency);
        return 8 * Math.Sqrt(za * zb) * (za + r * zb) * r * Math.Sqrt(r)
            / ((1 - r * r) * (1 - r * r) + 4 * za * zb * r * (1 + r * r) + 4 * (za * za + zb * zb) * r * r);
    }

    /// <summary>The added unit responses, from those to gravity along x, y, z and to the modes' inertia.</summary>
    /// <param name="gravity">Responses to an acceleration field of 1 m/s² along each axis.</param>
    /// <param name="modes">Responses to each of <see cref="Loads"/>.</param>
    public double[][] Combine(double[][] gravity, double[][] modes)
    {
        var all = new double[Columns][];
        var work = new Work(gravity[0].Length);
        for (var axis = 0; axis < 3; axis++)
        {
            var left = new double[gravity[axis].Length];
            VectorMath.Combine(left, without[axis], [gravity[axis], .. modes], every, 0);
            if (axis == 2)
            {
                all[0] = jolt.Of(modes, left, 1, work);
                for (var i = 0; i < left.Length; i++)
                    all[0][i] = -all[0][i];
            }
            all[1 + axis] = shaken[axis].Of(modes, left, host[axis], work);
            all[4 + axis] = trembling[axis].Of(modes, left, trembles[axis], work);
        }
        return all;
    }

    /// <summary>Room to work in, for one response after the other.</summary>
    private sealed record Work(int Size)
    {
        public double[] Sum { get; } = new double[Size];
        public double[] Squares { get; } = new double[Size];
        public double[] Strongest { get; } = new double[Size];
    }

    /// <summary>One added response: what each mode weighs in it.</summary>
    /// <param name="Weights">For a unit of each of <see cref="Loads"/>.</param>
    /// <param name="InPhase">Share of each that goes along with what shakes it.</param>
    /// <param name="Together">For each mode, those that move in step with it, and how far.</param>
    private sealed record Column(double[] Weights, double[] InPhase, (int Mode, double Correlation)[][] Together)
    {
        private readonly int[] every = [.. Enumerable.Range(0, Weights.Length)];
        private readonly double[] apart = [.. InPhase.Select(a => Math.Sqrt(Math.Max(0, 1 - a * a)))];
        private readonly double[] along = [.. InPhase.Zip(Weights, (a, w) => a * w)];
        private readonly (int[] At, double[] C)[] together =
        [
            .. Together.Select(t => (t.Select(m => m.Mode).ToArray(),
                t.Select(m => m.Correlation * Math.Sqrt(Math.Max(0, 1 - InPhase[m.Mode] * InPhase[m.Mode])) * Weights[m.Mode]).ToArray())),
        ];

        /// <summary>
        /// One response: the parts that go along with the host, and <paramref name="scale"/> of <paramref name="left"/> which is no mode's,
        /// added up; the rest as Σᵢ Σⱼ ρᵢⱼ·rᵢ·rⱼ; the root of the sum of their squares, with the sign of the stronger.
        /// </summary>
        public double[] Of(double[][] responses, double[] left, double scale, Work work)
        {
            var all = new double[work.Size];
            VectorMath.Combine(all, along, responses, every, 0);
            if (scale != 0)
                VectorMath.AddScaled(all, scale, left);
            if (Weights.Length == 0)
                return all;
            var (sum, squares, strongest) = (work.Sum, work.Squares, work.Strongest);
            Array.Clear(squares);
            Array.Clear(strongest);
            for (var n = 0; n < Weights.Length; n++)
            {
                var own = responses[n];
                VectorMath.Combine(sum, together[n].C, responses, together[n].At, 0);
                VectorMath.AddProduct(squares, apart[n] * Weights[n], own, sum);
                VectorMath.KeepStronger(strongest, sum);
            }
            VectorMath.RootOfSquares(all, squares, strongest);
            return all;
        }
    }
}
