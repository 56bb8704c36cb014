using System.Numerics;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis;

/// <summary>A mode of the rig with what it needs for base shaking.</summary>
/// <param name="Frequency">Hz.</param>
/// <param name="Damping">Ratio.</param>
/// <param name="Participation">φᵀ·M·r for shaking along x, y, z.</param>
/// <param name="Rotation">Rotation of the camera in the mass-normalised shape, host axes.</param>
/// <param name="Move">Movement of the camera in it.</param>
internal sealed record RigMode(double Frequency, double Damping, double[] Participation, Vec3 Rotation, Vec3 Move, double[] Shape)
{
    /// <summary>1/(ω_n² − ω² + 2iζω_nω): movement of the mode for a unit force on it at ω, rad/s.</summary>
    public Complex Transfer(double w)
    {
        var n = 2 * Math.PI * Frequency;
        return 1 / new Complex(n * n - w * w, 2 * Damping * n * w);
    }

    /// <summary>Mean square movement for a unit force with a spectrum, per Hz, over frequencies, Hz: ∫|H|²·S df.</summary>
    public double MeanSquare(double[] frequencies, double[] spectrum)
    {
        var (w2, lossy) = (Omega2, 2 * Damping * 2 * Math.PI * Frequency);
        var (sum, before) = (0.0, 0.0);
        for (var i = 0; i < frequencies.Length; i++)
        {
            var w = 2 * Math.PI * frequencies[i];
            var (stiff, loss) = (w2 - w * w, lossy * w);
            var value = spectrum[i] / (stiff * stiff + loss * loss);
            if (i > 0)
                sum += 0.5 * (value + before) * (frequencies[i] - frequencies[i - 1]);
            before = value;
        }
        return sum;
    }

    /// <summary>ω_n², 1/s².</summary>
    public double Omega2 => Math.Pow(2 * Math.PI * Frequency, 2);
}

/// <summary>Modes of a rig (modal superposition; Clough and Penzien, "Dynamics of Structures", ch. 22).</summary>
internal sealed class ModalResponse
{
    private const int Count = 10;

    /// <summary>Bolted metal; wood and what flexes without a joint (judgement, 0.5–2 ×).</summary>
    private const double Metal = 0.015;
    private const double Wood = 0.03;

    public IReadOnlyList<RigMode> Modes { get; }

    /// <summary>Mass that shakes along each axis, kg: rᵀ·M·r.</summary>
    public IReadOnlyList<double> TotalMass { get; } = [0, 0, 0];

    /// <summary>Mass matrix times each shape: the inertia of a mode that moves with 1 m/s².</summary>
    public IReadOnlyList<double[]> Inertia { get; } = [];

    /// <param name="taut">Lines that carry tension at rest, and so count as springs.</param>
    public ModalResponse(RigModel model, IEnumerable<int> taut)
    {
        var (b, system) = (model.Built, model.System);
        Modes = [];
        var k = system.Stiffness(_ => true, taut);
        var factor = k.Clone();
        if (system.Factorise(factor) is not null)
            return;
        var mass = system.Mass(_ => true);
        var (omega2, shapes) = NaturalModes.Lowest(k, factor, mass, Count);
        var axes = new[] { Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ }.Select(a =>
        {
            var load = new double[system.Size];
            system.AddGravity(load, a, _ => true);
            return load;
        }).ToList();
        TotalMass = [.. Enumerable.Range(0, 3).Select(axis =>
        {
            var uniform = new double[system.Size];
            for (var i = axis; i < uniform.Length; i += 6)
                uniform[i] = 1;
            return VectorMath.Dot(uniform, axes[axis]);
        })];
        Inertia = [.. shapes.Select(s =>
        {
            var y = new double[system.Size];
            mass.Multiply(s, y);
            return y;
        })];
        var camera = system.NodeIndex(b.NodeId(b.Camera.Node));
        var wood = b.Pieces.Any(p => p.Material.Family == Stock.MaterialFamily.Wood);
        Modes = [.. shapes.Select((shape, i) =>
        {
            var f = Math.Sqrt(omega2[i]) / (2 * Math.PI);
            var (move, rotation) = system.Displacement(shape, camera);
            return new RigMode(f, DampingOf(model, shape, omega2[i], wood ? Wood : Metal), [.. axes.Select(r => VectorMath.Dot(shape, r))],
                rotation, move, shape);
        })];
    }

    /// <summary>Each spring's damping weighted by its share of the mode's strain energy; what is left is in the beams.</summary>
    private static double DampingOf(RigModel model, double[] shape, double omega2, double beams)
    {
        var total = 0.5 * omega2;
        var (inSprings, sum) = (0.0, 0.0);
        for (var s = 0; s < model.System.Model.Springs.Count; s++)
        {
            var energy = model.System.SpringEnergy(shape, s);
            inSprings += energy;
            sum += energy * model.Built.DampingOf(new(s));
        }
        return (sum + Math.Max(0, total - inSprings) * beams) / Math.Max(total, inSprings);
    }
}
