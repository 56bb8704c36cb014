using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>Weight and motion: an acceleration of 1 m/s² along each axis on all masses.</summary>
internal sealed class WeightLoads : LoadSource
{
    private static readonly Vec3[] axes = [Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ];
    private readonly BuiltRig b;

    public WeightLoads(BuiltRig b, FrameSystem system)
    {
        this.b = b;
        Columns = [.. axes.Select(a => (IReadOnlyList<PlacedLoad>)[.. On(system, _ => a, (_, _) => a)])];
    }

    public override string Label => "weight and motion";

    public override IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns { get; }

    public override bool IsField => true;

    public override Vec3 FieldOf(int column) => axes[column];

    public override void Coefficients(RigCase c, double speed, Span<double> into)
    {
        var field = Field(c, speed);
        (into[0], into[1], into[2]) = (field.X, field.Y, field.Z);
    }

    /// <summary>Acceleration field of a case at a speed, m/s²: what comes off the road grows with it.</summary>
    public Vec3 Field(RigCase c, double speed) => c.Bumped == Vec3.Zero ? c.Field : c.Field + (b.Host.Motion.BumpsAt(speed) - 1) * c.Bumped;

    /// <summary>All masses, accelerated.</summary>
    /// <param name="member">Acceleration of a member, m/s².</param>
    /// <param name="mass">Acceleration of a mass at a node, off it by so much, m/s².</param>
    internal static IEnumerable<PlacedLoad> On(FrameSystem system, Func<BeamIndex, Vec3> member, Func<NodeIndex, Vec3, Vec3> mass)
    {
        for (var i = 0; i < system.Beams.Length; i++)
            if (system.Beams[i].Member is { Rho: > 0 } m)
                yield return PlacedLoad.Along(new(i), m.Rho * m.A * member(new(i)));
        foreach (var m in system.Model.Masses)
        {
            var (node, offset) = (new NodeIndex(system.NodeIndex(m.Node)), m.Offset is { } o ? Vec3.From(o) : Vec3.Zero);
            var force = m.M * mass(node, offset);
            yield return PlacedLoad.At(node, force, offset.Cross(force));
        }
    }
}
