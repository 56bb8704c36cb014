using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>On a worn host the mount must let go in a snag: what it holds against what may pull at the neck.</summary>
public sealed class BreaksAway(PartId id, double holds, double allowed, string source)
    : Check(id + ".breakaway", StationId.Base, id, "Does not let go in a snag")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("{H} ÷ {a}", "the mount must hold in wind and break away in a snag",
            "The way it is caught: a strap round the neck never lets go.")
            .Term("H", "pull it takes before it comes off", holds, Dimension.Force, source)
                .Term("a", "most that may pull at a head", allowed, Dimension.Force, "judgement, 150–300 N");
        return Ratio(holds, allowed);
    }
}
