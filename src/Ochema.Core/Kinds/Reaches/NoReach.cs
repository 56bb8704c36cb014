using Ochema.Core.Json;
using Ochema.Core.Rigs;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>The head straight on the base.</summary>
[Kind("none", "Nothing, head on the base", "Lowest and stiffest.")]
public sealed record NoReach : ReachKind
{
    /// <summary>Tried instead of what stands upright.</summary>
    internal static Move Instead { get; } = new("no-reach", "The head straight on the base", new NoReach());

    internal override bool Stands => false;

    public override Mount Build(RigBuilder b, Mount from) => from;
}
