using System.Numerics;
using Ochema.Core.Assessment;
using Ochema.Core.Structure;

namespace Ochema.Core.Sharpness;

/// <summary>A mode of the rig with what it needs for base shaking.</summary>
/// <param name="Frequency">Hz.</param>
/// <param name="Damping">Ratio.</param>
/// <param name="Participation">φᵀ·M·r for shaking along x, y, z.</param>
/// <param name="Rotation">Rotation of the camera in the mass-normalised shape, host axes.</param>
/// <param name="Move">Movement of the camera in it.</param>
internal sealed record RigMode(double Frequency, double Damping, double[] Participation, Vec3 Rotation, Vec3 Move, double[] Shape);

/// <summary>Modes of a rig and its response to shaking of the host (modal superposition; Clough and Penzien, "Dynamics of Structures", ch. 22).</summary>
internal sealed class ModalResponse
{
    private const int Count = 10;

    /// <summary>Bolted metal; wood and what flexes without a joint (judgement, 0.5–2 ×).</summary>
    private const double Metal = 0.015;
    private const double Wood = 0.03;

    public IReadOnlyList<RigMode> Modes { get; }

    /// <summary>Mass that shakes up and down, kg: rᵀ·M·r.</summary>
    public double TotalMass { get; }

    public ModalResponse(RigModel model)
    {
        var b = model.Builder;
        var (frequencies, shapes) = Assessor.Frequencies(model, Count);
        var base3 = new double[3][];
        for (var i = 0; i < 3; i++)
            model.System.AddGravity(base3[i] = new double[model.System.Size], new[] { Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ }[i], _ => true);
        var uniform = new double[model.System.Size];
        for (var i = 0; i < uniform.Length; i += 6)
            uniform[i + 2] = 1;
        TotalMass = VectorMath.Dot(uniform, base3[2]);
        var camera = model.System.NodeIndex(b.NodeId(b.Camera.Node));
        var wood = b.Pieces.Count > 0 && b.Pieces.Any(p => p.Material.Family == Stock.MaterialFamily.Wood);
        Modes = [.. frequencies.Select((f, i) =>
        {
            var (move, rotation) = model.System.Displacement(shapes[i], camera);
            return new RigMode(f, DampingOf(model, shapes[i], f, wood ? Wood : Metal), [.. base3.Select(r => VectorMath.Dot(shapes[i], r))], rotation, move, shapes[i]);
        })];
    }

    /// <summary>Rotation of the camera, rad, for 1 m/s² of shaking along an axis at a frequency, host axes.</summary>
    public (Complex X, Complex Y, Complex Z) Rotation(double frequency, int axis) => Sum(frequency, axis, m => m.Rotation);

    /// <summary>Movement of the camera against the host, m, for 1 m/s² along an axis.</summary>
    public (Complex X, Complex Y, Complex Z) Move(double frequency, int axis) => Sum(frequency, axis, m => m.Move);

    private (Complex X, Complex Y, Complex Z) Sum(double frequency, int axis, Func<RigMode, Vec3> shape)
    {
        Complex x = 0, y = 0, z = 0;
        var w = 2 * Math.PI * frequency;
        foreach (var m in Modes)
        {
            var q = Transfer(m, w) * m.Participation[axis];
            var s = shape(m);
            (x, y, z) = (x + q * s.X, y + q * s.Y, z + q * s.Z);
        }
        return (x, y, z);
    }

    /// <summary>−1/(ω_n² − ω² + 2iζω_nω).</summary>
    public static Complex Transfer(RigMode m, double w)
    {
        var n = 2 * Math.PI * m.Frequency;
        return -1 / new Complex(n * n - w * w, 2 * m.Damping * n * w);
    }

    /// <summary>Each spring's damping weighted by its share of the mode's strain energy; what is left is in the beams.</summary>
    private static double DampingOf(RigModel model, double[] shape, double frequency, double beams)
    {
        var total = 0.5 * Math.Pow(2 * Math.PI * frequency, 2);
        var (inSprings, sum) = (0.0, 0.0);
        for (var s = 0; s < model.System.Model.Springs.Count; s++)
        {
            var energy = model.System.SpringEnergy(shape, s);
            inSprings += energy;
            sum += energy * model.Builder.DampingOf(s);
        }
        return (sum + Math.Max(0, total - inSprings) * beams) / Math.Max(total, inSprings);
    }
}
