using Ochema.Core.Loads;
using Ochema.Core.Sharpness;

namespace Ochema.Core.Assessment;

/// <summary>
/// The rig's own movement as loads on the structure: the inertia of each mode, as large as a jolt or the steady shaking of the host makes it.
/// Modes are combined by the root of the sum of squares, with the sign of the strongest; what they leave out moves with the host (Clough and
/// Penzien, "Dynamics of Structures", ch. 26; Harris' Shock and Vibration Handbook, ch. 8). A state with parts gone keeps the whole rig's modes.
/// Gusts are in the wind of the cases already.
/// </summary>
internal sealed class RigDynamics
{
    /// <summary>Unit responses that it adds: a jolt, and for each axis the host's random shaking and its engine's tremble.</summary>
    public const int Columns = 7;

    /// <summary>Modes that give less than this share of the strongest are left out.</summary>
    private const double Counts = 0.02;

    /// <summary>Peaks of random shaking taken as this many times its root mean square (three-sigma, as in Steinberg).</summary>
    private const double Peaks = 3;

    /// <summary>Speed that the shaking is computed at and scaled from, m/s; the answer at a speed must not depend on the design speed.</summary>
    private const double Reference = 15;

    private readonly int[] counted;
    private readonly double[] jolt;
    private readonly double[][] shaken;
    private readonly double[][] trembling;
    private readonly double[][] participation;
    private readonly double[] host = new double[3];
    private readonly double growth;

    public ModalResponse Modal { get; }

    /// <summary>What drives the rig at its design speed.</summary>
    public Excitations Excitations { get; }

    /// <summary>Hz.</summary>
    public double[] Frequencies { get; }

    /// <summary>Inertia of the modes that count: loads of the structure.</summary>
    public IReadOnlyList<double[]> Loads => [.. counted.Select(n => Modal.Inertia[n])];

    /// <summary>Largest acceleration of the camera in a jolt of 1 m/s², up and down.</summary>
    public double CameraGain { get; }

    public RigDynamics(RigModel model, ModalResponse modal)
    {
        Modal = modal;
        var (rig, motion, profile) = (model.Builder.Rig, model.Builder.Host.Motion, model.Builder.Host.Shake);
        var modes = modal.Modes;
        Frequencies = FrequencyGrid.Of(modes);
        Excitations = new Excitations(model, modes, rig.Run.Speed);
        var pulse = modes.Select(m => m.Participation[2] * HalfSine.Spectrum(m.Frequency * motion.PulseDuration)).ToArray();
        var (random, steady) = (new double[3][], new double[3][]);
        var shakes = profile.Random(rig.Run.Road, Reference);
        growth = shakes.Count > 0 ? shakes[0].Growth : 0;
        for (var axis = 0; axis < 3; axis++)
        {
            var all = shakes.Select(s => (Shake: s, Share: Excitations.Shares(s)[axis], Spectrum: Frequencies.Select(s.Spectrum).ToArray())).ToList();
            host[axis] = Peaks * Math.Sqrt(all.Sum(s => s.Share * s.Share * FrequencyGrid.Integrate(Frequencies, s.Spectrum)));
            random[axis] = [.. modes.Select(m => m.Participation[axis] * Peaks * m.Omega2 * Math.Sqrt(all.Sum(s => s.Share * s.Share * m.MeanSquare(Frequencies, s.Spectrum))))];
            steady[axis] = [.. modes.Select(m => m.Participation[axis] * Excitations.SteadyShares[axis] * m.Omega2 * profile.Worst(m.Frequency, m.Damping, rig.Run.Rpm))];
        }
        bool Matters(double[] weights, int n) => Math.Abs(weights[n]) > Counts * weights.Max(Math.Abs);
        counted = [.. Enumerable.Range(0, modes.Count).Where(n => Matters(pulse, n) || random.Any(r => Matters(r, n)) || steady.Any(r => Matters(r, n)))];
        double[] Of(double[] all) => [.. counted.Select(n => all[n])];
        (jolt, shaken, trembling) = (Of(pulse), [.. random.Select(Of)], [.. steady.Select(Of)]);
        participation = [.. Enumerable.Range(0, 3).Select(axis => Of([.. modes.Select(m => m.Participation[axis])]))];
        CameraGain = Math.Sqrt(pulse.Select((p, n) => Math.Pow(p * modes[n].Move.Z, 2)).Sum()) + Math.Abs(1 - modes.Sum(m => m.Participation[2] * m.Move.Z));
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

    /// <summary>The added unit responses, from those to gravity along x, y, z and to the modes' inertia.</summary>
    /// <param name="gravity">Responses to an acceleration field of 1 m/s² along each axis.</param>
    /// <param name="modes">Responses to each of <see cref="Loads"/>.</param>
    public double[][] Combine(IReadOnlyList<double[]> gravity, IReadOnlyList<double[]> modes)
    {
        var size = gravity[0].Length;
        var all = new double[Columns][];
        for (var c = 0; c < Columns; c++)
            all[c] = new double[size];
        for (var i = 0; i < size; i++)
        {
            double squares = 0, strongest = 0;
            for (var axis = 0; axis < 3; axis++)
            {
                var left = gravity[axis][i];
                for (var n = 0; n < counted.Length; n++)
                    left -= participation[axis][n] * modes[n][i];
                if (axis == 2)
                {
                    Squares(jolt, modes, i, out squares, out strongest);
                    all[0][i] = -(Math.CopySign(Math.Sqrt(squares), strongest) + left);
                }
                Squares(shaken[axis], modes, i, out squares, out strongest);
                left *= host[axis];
                all[1 + axis][i] = Math.CopySign(Math.Sqrt(squares + left * left), Math.Abs(left) > Math.Abs(strongest) ? left : strongest);
                Squares(trembling[axis], modes, i, out squares, out strongest);
                all[4 + axis][i] = Math.CopySign(Math.Sqrt(squares), strongest);
            }
        }
        return all;
    }

    private static void Squares(double[] weights, IReadOnlyList<double[]> modes, int i, out double squares, out double strongest)
    {
        (squares, strongest) = (0, 0);
        for (var n = 0; n < weights.Length; n++)
        {
            var term = weights[n] * modes[n][i];
            squares += term * term;
            if (Math.Abs(term) > Math.Abs(strongest))
                strongest = term;
        }
    }
}
