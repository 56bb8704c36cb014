using System.Numerics;
using Ochema.Core.Analysis;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Sharpness;

/// <summary>How the camera turns and shakes: spectra of what shifts the picture, source by source.</summary>
internal sealed class CameraMotion
{
    private static readonly Vec3[] Axes = [Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ];

    private readonly RigDynamics dynamics;
    private readonly IReadOnlyList<RigMode> modes;

    /// <summary>Rotation and movement of the camera in each mode.</summary>
    private readonly (Vec3 Rotation, Vec3 Move)[] goes;

    public double[] Frequencies => dynamics.Frequencies;

    /// <summary>Rotation that shifts the picture, rad²/Hz, by what drives it.</summary>
    public IReadOnlyList<(string Label, double[] Spectrum)> Sources { get; }

    /// <summary>The part of them that any mount there would show, however stiff: the host's own turning, rad²/Hz.</summary>
    public double[] Floor { get; }

    /// <summary>All of them together.</summary>
    public double[] Sum { get; }

    /// <summary>Mean square rotation, rad², of steady trembles.</summary>
    public IReadOnlyList<(double Frequency, double Power, string Label)> Lines { get; }

    /// <summary>Acceleration of the camera along the host's axes, m/s²: root mean square of all, and peak (three times the random, and the
    /// trembles).</summary>
    public IReadOnlyList<(double Rms, double Peak)> Acceleration { get; }

    /// <param name="second">True for the camera of the second path, which has to be there.</param>
    public CameraMotion(RigModel model, bool second = false)
    {
        (dynamics, modes) = (model.Dynamics!, model.Modes);
        var b = model.Built;
        var (camera, choice, head) = second ? (b.SecondCamera!, b.Rig.Second!.Camera, b.Rig.Second.Head)
            : (b.Camera, b.Rig.Camera, b.Rig.Head);
        var node = model.System.NodeIndex(b.NodeId(camera.Node));
        goes = second ? [.. modes.Select(m => model.System.Displacement(m.Shape, node) is var (u, turn) ? (turn, u) : default)]
            : [.. modes.Select(m => (m.Rotation, m.Move))];
        var (up, view) = (camera.Up, camera.View);
        var left = up.Cross(view);
        var roll = 0.25 * camera.Body.SensorWidth / camera.Lens.FocalLength;
        var count = Frequencies.Length;
        (Sum, Floor) = (new double[count], new double[count]);
        var sources = new List<(string Label, double[] Spectrum)>();
        // Transfer of each mode at each frequency, for all sources.
        var transfer = Frequencies.Select(f => modes.Select(m => m.Transfer(2 * Math.PI * f)).ToArray()).ToArray();
        // A camera that moves aside by x shifts what is near as a turn by x ÷ distance does: to the left with a pan, up against a turn
        // about the left.
        var near = camera.Subject is { } distance ? 1 / distance : 0;
        var passes = Frequencies.Select(f => head.Passes(f)).ToArray();
        var random = new double[3];
        var moved = new[] { new double[count], new double[count], new double[count] };
        foreach (var group in dynamics.Excitations.Random.GroupBy(e => e.Label))
        {
            var spectrum = new double[count];
            var host = dynamics.Excitations.OfHost.FirstOrDefault(h => h.Label == group.Key);
            foreach (var e in group)
            {
                for (var i = 0; i < count; i++)
                {
                    var s = e.Spectrum[i];
                    var moves = Respond(transfer[i], e.Forces, e.Host, 2 * Math.PI * Frequencies[i]);
                    var (pass, a) = (passes[i], moves.Acceleration);
                    var (pan, tilt) = (s * Turns(pass, moves, up, left, near, view), s * Turns(pass, moves, left, up, -near, view));
                    spectrum[i] += pan + tilt + roll * roll * s * Turns(pass, moves, view, up, 0, left);
                    (moved[0][i], moved[1][i], moved[2][i]) = (s * Power(a.X), s * Power(a.Y), s * Power(a.Z));
                }
                for (var axis = 0; axis < 3; axis++)
                    random[axis] += FrequencyGrid.Integrate(Frequencies, moved[axis]);
            }
            // What is on the host nods with it: its own turning shifts the background only.
            if (host is not null && near == 0)
                for (var i = 0; i < count; i++)
                {
                    var nods = host.Nodding(Frequencies[i]) * passes[i].Turning;
                    Floor[i] += nods;
                    spectrum[i] += nods;
                }
            for (var i = 0; i < count; i++)
                Sum[i] += spectrum[i];
            sources.Add((group.Key, spectrum));
        }
        Sources = sources;
        var lines = new List<(double Frequency, double Power, string Label)>();
        var (steady, peaks) = (new double[3], new double[3]);
        foreach (var tremble in dynamics.Excitations.Steady)
        {
            var (at, power, squares) = (0.0, -1.0, new double[3]);
            foreach (var f in tremble.Candidates(modes))
                if (Trembles(f) is var (p, q) && p > power)
                    (at, power, squares) = (f, p, q);
            (double Power, double[] Squares) Trembles(double f)
            {
                var w = 2 * Math.PI * f;
                var (h, pass) = (modes.Select(m => m.Transfer(w)).ToArray(), head.Passes(f));
                var (sum, moved) = (0.0, new double[3]);
                for (var axis = 0; axis < 3; axis++)
                {
                    var moves = Respond(h, tremble.Forces[axis], tremble.Amplitudes[axis] * Axes[axis], w);
                    var a = moves.Acceleration;
                    sum += 0.5 * (Turns(pass, moves, up, left, near, view) + Turns(pass, moves, left, up, -near, view));
                    (moved[0], moved[1], moved[2]) = (moved[0] + Power(a.X), moved[1] + Power(a.Y), moved[2] + Power(a.Z));
                }
                return (sum, moved);
            }
            lines.Add((at, power, tremble.Shake.Label));
            for (var axis = 0; axis < 3; axis++)
            {
                steady[axis] += squares[axis] / 2;
                peaks[axis] += Math.Sqrt(squares[axis]);
            }
        }
        Lines = lines;
        Acceleration = [.. Enumerable.Range(0, 3).Select(axis => (Math.Sqrt(random[axis] + steady[axis]), 3 * Math.Sqrt(random[axis])
            + peaks[axis]))];
    }

    /// <summary>Power of what shifts the picture about an axis; acceleration across it counts where a head is out of balance.</summary>
    /// <param name="across">Where it moves to when it shifts the picture as the turn does, times <paramref name="near"/>, 1/m.</param>
    private static double Turns(HeadPasses head, Moves m, Vec3 about, Vec3 across, double near, Vec3 other) =>
        Power(Math.Sqrt(head.Turning) * Along(m.Rotation, about) + near * Along(m.Position, across))
        + (head.Shaking == 0 ? 0 : head.Shaking * (Power(Along(m.Acceleration, across)) + Power(Along(m.Acceleration, other))));

    /// <summary>How the camera's seat goes along: rotation, rad, movement against the host, m, and acceleration against the ground,
    /// m/s².</summary>
    private readonly record struct Moves((Complex X, Complex Y, Complex Z) Rotation, (Complex X, Complex Y, Complex Z) Position,
        (Complex X, Complex Y, Complex Z) Acceleration);

    /// <param name="host">What the host does along with it.</param>
    /// <param name="w">rad/s.</param>
    private Moves Respond(Complex[] transfer, double[] forces, Vec3 host, double w)
    {
        // Real and imaginary parts apart: this is the inner loop of every picture.
        var (rotation, rotated) = (Vec3.Zero, Vec3.Zero);
        var (position, moved) = (Vec3.Zero, Vec3.Zero);
        for (var n = 0; n < forces.Length; n++)
        {
            var (real, imaginary) = (forces[n] * transfer[n].Real, forces[n] * transfer[n].Imaginary);
            var (turn, move) = goes[n];
            (rotation, rotated) = (rotation + real * turn, rotated + imaginary * turn);
            (position, moved) = (position + real * move, moved + imaginary * move);
        }
        return new(Both(rotation, rotated), Both(position, moved), Both(host - w * w * position, -w * w * moved));
    }

    private static (Complex X, Complex Y, Complex Z) Both(Vec3 real, Vec3 imaginary) =>
        (new(real.X, imaginary.X), new(real.Y, imaginary.Y), new(real.Z, imaginary.Z));

    private static Complex Along((Complex X, Complex Y, Complex Z) v, Vec3 axis) => v.X * axis.X + v.Y * axis.Y + v.Z * axis.Z;

    private static double Power(Complex v) => v.Real * v.Real + v.Imaginary * v.Imaginary;
}
