using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A tether that catches what falls: k·F ≤ B, with the fall of <see cref="TetherFall"/> and the weaker of line and
/// anchor.</summary>
public sealed class TetherCatch(BuiltRig b, TetherBuilt tether)
    : Check(tether.Id + ".catch", StationId.Tether, new(tether.Id), $"{tether.Name} breaks as it catches")
{
    public override bool Fixed => true;

    public override bool Reserve => true;

    /// <summary>A line that would break is one that does not count: what that means for the pieces is said there.</summary>
    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null) => tether.Catches(b, tether.Keeps(b), f.Speed, sheet);
}
