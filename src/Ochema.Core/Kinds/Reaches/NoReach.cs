using Ochema.Core.Json;
using Ochema.Core.Rigs;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>The head straight on the base.</summary>
[Kind("none", "Nothing, head on the base", "Lowest and stiffest.")]
public sealed record NoReach : ReachKind
{
    public override Mount Build(RigBuilder b, Mount from) => from;
}
