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
        var kept = Frequencies.Select(f => b.Rig.Head is GimbalHead ? PictureSpread.Stabilised(f, GimbalCorner) : 1).ToArray();
        var random = new double[3];
        var moved = new double[count];
        foreach (var group in dynamics.Excitations.Random.GroupBy(e => e.Label))
        {
            var spectrum = new double[count];
            var host = dynamics.Excitations.OfHost.FirstOrDefault(h => h.Label == group.Key);
            foreach (var e in group)
            {
                for (var i = 0; i < count; i++)
                {
                    var s = e.Spectrum[i] * kept[i];
                    var r = Respond(transfer[i], e.Forces, m => m.Rotation);
                    var (pan, tilt) = (s * Power(r, up), s * Power(r, left));
                    Pan[i] += pan;
                    Tilt[i] += tilt;
                    spectrum[i] += pan + tilt + roll * roll * s * Power(r, view);
                }
                for (var axis = 0; axis < 3; axis++)
                {
                    for (var i = 0; i < count; i++)
                        moved[i] = e.Spectrum[i] * Power(e.Host.Dot(Axes[axis]) - Math.Pow(2 * Math.PI * Frequencies[i], 2) * Along(transfer[i], e.Forces, Axes[axis]));
                    random[axis] += FrequencyGrid.Integrate(Frequencies, moved);
                }
            }
            if (host is not null)
                for (var i = 0; i < count; i++)
                {
                    var nods = host.Nodding(Frequencies[i]) * kept[i];
                    Tilt[i] += nods;
                    spectrum[i] += nods;
                }
            for (var i = 0; i < count; i++)
                Sum[i] += spectrum[i];
            sources.Add((group.Key, spectrum));
        }
        Sources = sources;
        Lines = [.. dynamics.Excitations.Steady.Select(s =>
        {
            var h = modes.Select(m => m.Transfer(2 * Math.PI * s.Shake.Frequency)).ToArray();
            var power = s.Forces.Sum(f => Respond(h, f, m => m.Rotation) is var r ? 0.5 * (Power(r, up) + Power(r, left)) : 0);
            return (s.Shake.Frequency, power * (b.Rig.Head is GimbalHead ? PictureSpread.Stabilised(s.Shake.Frequency, GimbalCorner) : 1), s.Shake.Label);
        })];
        Acceleration = [.. Axes.Select((axis, i) => Accelerates(axis, random[i]))];
    }

    /// <summary>Of the camera against the ground: what the host does, and what the rig adds.</summary>
    /// <param name="random">Mean square of what is random, (m/s²)².</param>
    private (double Rms, double Peak) Accelerates(Vec3 axis, double random)
    {
        var (steady, peaks) = (0.0, 0.0);
        foreach (var s in dynamics.Excitations.Steady)
        {
            var w = 2 * Math.PI * s.Shake.Frequency;
            var h = modes.Select(m => m.Transfer(w)).ToArray();
            var squares = s.Forces.Select((f, i) => Power((Axes[i].Dot(axis) > 0 ? s.Amplitudes[i] : 0) - w * w * Along(h, f, axis))).Sum();
            steady += squares / 2;
            peaks += Math.Sqrt(squares);
        }
        return (Math.Sqrt(random + steady), 3 * Math.Sqrt(random) + peaks);
    }

    private (Complex X, Complex Y, Complex Z) Respond(Complex[] transfer, double[] forces, Func<RigMode, Vec3> shape)
    {
        Complex x = 0, y = 0, z = 0;
        for (var n = 0; n < forces.Length; n++)
        {
            var q = forces[n] * transfer[n];
            var s = shape(modes[n]);
            (x, y, z) = (x + q * s.X, y + q * s.Y, z + q * s.Z);
        }
        return (x, y, z);
    }

    private Complex Along(Complex[] transfer, double[] forces, Vec3 axis)
    {
        Complex sum = 0;
        for (var n = 0; n < forces.Length; n++)
            sum += forces[n] * modes[n].Move.Dot(axis) * transfer[n];
        return sum;
    }

    private static double Power((Complex X, Complex Y, Complex Z) v, Vec3 axis) => Power(v.X * axis.X + v.Y * axis.Y + v.Z * axis.Z);

    private static double Power(Complex v) => v.Real * v.Real + v.Imaginary * v.Imaginary;
}
