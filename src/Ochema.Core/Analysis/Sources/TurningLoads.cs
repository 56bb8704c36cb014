using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>A host that turns pulls outwards: at one radian a second each member by the distance of its middle, each mass by its
/// own.</summary>
internal sealed class TurningLoads : LoadSource
{
    private readonly BuiltRig b;
    private readonly Spin? spin;

    public TurningLoads(BuiltRig b, FrameSystem system)
    {
        (this.b, spin) = (b, b.Host.Motion.Turning);
        Vec3 Middle(BeamIndex i) => 0.5 * (b.Position(b.StartOf(i)) + b.Position(b.EndOf(i)));
        Columns = spin is not { } s ? []
            : [[.. WeightLoads.On(system, i => s.Outward(Middle(i)), (node, offset) => s.Outward(b.Position(node) + offset))]];
    }

    public override string Label => "turning";

    public override IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns { get; }

    public override Vec3 FieldOf(int column) => spin!.Outward(b.Position(b.Camera.Node));

    public override void Coefficients(RigCase c, double speed, Span<double> into)
    {
        if (c.Spins)
            into[0] = spin!.Rate(speed) * spin.Rate(speed);
    }
}
