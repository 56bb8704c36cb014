using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis.Sources;

/// <summary>A push by hand at the camera: 1 N forward, 1 N to the left.</summary>
internal sealed class KnockLoads(BuiltRig b) : LoadSource
{
    public override string Label => "push by hand";

    public override IReadOnlyList<IReadOnlyList<PlacedLoad>> Columns { get; } =
        [[PlacedLoad.At(b.Camera.Node, Vec3.UnitX)], [PlacedLoad.At(b.Camera.Node, Vec3.UnitY)]];

    public override void Coefficients(RigCase c, double speed, Span<double> into) => (into[0], into[1]) = (c.Knock.X, c.Knock.Y);
}
