using System.Numerics;
using Ochema.Core.Assessment;
using Ochema.Core.Rigs.Heads;
using Ochema.Core.Structure;

namespace Ochema.Core.Sharpness;

/// <summary>How the camera turns and shakes: spectra of what shifts the picture, source by source.</summary>
internal sealed class CameraMotion
{
    /// <summary>Below this a gimbal's motors take rotation out, Hz (judgement, 2–5).</summary>
    private const double GimbalCorner = 3;

    /// <summary>Share of its mount's turning that gets past a gimbal's bearings: friction, cables (judgement, 0.03–0.3).</summary>
    private const double Bearings = 0.1;

    /// <summary>Radius of gyration of a camera with its frame in a gimbal, m (judgement, 0.05–0.1).</summary>
    private const double Gyration = 0.07;

    private static readonly Vec3[] Axes = [Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ];

    private readonly RigDynamics dynamics;
    private readonly IReadOnlyList<RigMode> modes;

    public double[] Frequencies => dynamics.Frequencies;

    /// <summary>rad²/Hz about the camera's upright axis, and about its cross axis.</summary>
    public double[] Pan { get; }
    public double[] Tilt { get; }

    /// <summary>Rotation that shifts the picture, rad²/Hz, by what drives it.</summary>
    public IReadOnlyList<(string Label, double[] Spectrum)> Sources { get; }

    /// <summary>All of them together.</summary>
    public double[] Sum { get; }

    /// <summary>Mean square rotation, rad², of steady trembles.</summary>
    public IReadOnlyList<(double Frequency, double Power, string Label)> Lines { get; }

    /// <summary>Acceleration of the camera along the host's axes, m/s²: root mean square of all, and peak (three times the random, and the trembles).</summary>
    public IReadOnlyList<(double Rms, double Peak)> Acceleration { get; }

    public CameraMotion(RigModel model)
    {
        (dynamics, modes) = (model.Dynamics!, model.Modes);
        var b = model.Builder;
        var (up, view) = (b.Camera.Up, b.Camera.View);
        var left = up.Cross(view);
        var roll = 0.25 * b.Camera.Body.SensorWidth / b.Camera.Lens.FocalLength;
        var count = Frequencies.Length;
        (Pan, Tilt, Sum) = (new double[count], new double[count], new double[count]);
        var sources = new List<(string Label, double[] Spectrum)>();
        // Transfer of each mode at each frequency, for all sources.
        var transfer = Frequencies.Select(f => modes.Select(m => m.Transfer(2 * Math.PI * f)).ToArray()).ToArray();
        var gimbal = b.Rig.Head as GimbalHead;
        var passes = Frequencies.Select(f => Passes(gimbal, f)).ToArray();
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
                    var (r, a) = Respond(transfer[i], e.Forces, e.Host, 2 * Math.PI * Frequencies[i]);
                    var turns = passes[i];
                    var (pan, tilt) = (s * turns.Of(r, a, up, left, view), s * turns.Of(r, a, left, up, view));
                    Pan[i] += pan;
                    Tilt[i] += tilt;
                    spectrum[i] += pan + tilt + roll * roll * s * turns.Of(r, a, view, up, left);
                    (moved[0][i], moved[1][i], moved[2][i]) = (s * Power(a.X), s * Power(a.Y), s * Power(a.Z));
                }
                for (var axis = 0; axis < 3; axis++)
                    random[axis] += FrequencyGrid.Integrate(Frequencies, moved[axis]);
            }
            if (host is not null)
                for (var i = 0; i < count; i++)
                {
                    var nods = host.Nodding(Frequencies[i]) * passes[i].Turning;
                    Tilt[i] += nods;
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
            var w = 2 * Math.PI * tremble.Shake.Frequency;
            var (h, turns) = (modes.Select(m => m.Transfer(w)).ToArray(), Passes(gimbal, tremble.Shake.Frequency));
            var (power, squares) = (0.0, new double[3]);
            for (var axis = 0; axis < 3; axis++)
            {
                var (r, a) = Respond(h, tremble.Forces[axis], tremble.Amplitudes[axis] * Axes[axis], w);
                power += 0.5 * (turns.Of(r, a, up, left, view) + turns.Of(r, a, left, up, view));
                (squares[0], squares[1], squares[2]) = (squares[0] + Power(a.X), squares[1] + Power(a.Y), squares[2] + Power(a.Z));
            }
            lines.Add((tremble.Shake.Frequency, power, tremble.Shake.Label));
            for (var axis = 0; axis < 3; axis++)
            {
                steady[axis] += squares[axis] / 2;
                peaks[axis] += Math.Sqrt(squares[axis]);
            }
        }
        Lines = lines;
        Acceleration = [.. Enumerable.Range(0, 3).Select(axis => (Math.Sqrt(random[axis] + steady[axis]), 3 * Math.Sqrt(random[axis]) + peaks[axis]))];
    }

    /// <summary>What turns the camera, as shares of power: the turning of its seat, and its seat's acceleration.</summary>
    private readonly record struct Turns(double Turning, double Shaking)
    {
        /// <summary>Power of the rotation about an axis; acceleration across it counts where the balance is off.</summary>
        public double Of((Complex X, Complex Y, Complex Z) rotation, (Complex X, Complex Y, Complex Z) acceleration, Vec3 about, Vec3 across, Vec3 other) =>
            Turning * Power(rotation, about) + (Shaking == 0 ? 0 : Shaking * (Power(acceleration, across) + Power(acceleration, other)));
    }

    /// <summary>
    /// Rigid heads pass all turning on. A gimbal's bearings pass little of it, but what hangs out of balance is turned by being shaken:
    /// θ = a·e ÷ (ρ²·ω²); its motors take out what is slow.
    /// </summary>
    private static Turns Passes(GimbalHead? gimbal, double frequency)
    {
        if (gimbal is null)
            return new(1, 0);
        var fast = PictureSpread.Stabilised(frequency, GimbalCorner);
        return new(fast * Bearings * Bearings, fast * Math.Pow(gimbal.Imbalance / (Gyration * Gyration * Math.Pow(2 * Math.PI * frequency, 2)), 2));
    }

    /// <summary>Rotation, and acceleration against the ground, of the camera's seat.</summary>
    /// <param name="host">What the host does along with it.</param>
    /// <param name="w">rad/s.</param>
    private ((Complex X, Complex Y, Complex Z) Rotation, (Complex X, Complex Y, Complex Z) Acceleration) Respond(Complex[] transfer, double[] forces, Vec3 host, double w)
    {
        Complex x = 0, y = 0, z = 0, ax = 0, ay = 0, az = 0;
        for (var n = 0; n < forces.Length; n++)
        {
            var q = forces[n] * transfer[n];
            var (turn, move) = (modes[n].Rotation, modes[n].Move);
            (x, y, z) = (x + q * turn.X, y + q * turn.Y, z + q * turn.Z);
            (ax, ay, az) = (ax + q * move.X, ay + q * move.Y, az + q * move.Z);
        }
        return ((x, y, z), (host.X - w * w * ax, host.Y - w * w * ay, host.Z - w * w * az));
    }

    private static double Power((Complex X, Complex Y, Complex Z) v, Vec3 axis) => Power(v.X * axis.X + v.Y * axis.Y + v.Z * axis.Z);

    private static double Power(Complex v) => v.Real * v.Real + v.Imaginary * v.Imaginary;
}
