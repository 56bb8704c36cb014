using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>How deep the lowest thing under a rope hangs in a case, against the room there is: (sag + hang) ÷ (height − what must stay
/// clear).</summary>
/// <param name="anchors">Height of the rope's chord where the carriage stands, over the ground, m.</param>
/// <param name="clear">Room that stays below, m.</param>
/// <param name="hangs">Lowest part below the rope while the carriage hangs level, m.</param>
/// <param name="swings">Farthest part from this rope: as deep as it comes when the carriage swings under this rope alone, m.</param>
public sealed class RopeClearance(HungRope rope, string title, double anchors, double clear, double hangs, double swings)
    : Check(rope.Id + ".clear", StationId.Base, rope.Id, title)
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        if (rope.In(f) is not { } hung || rope.Span is not { } span)
            return MostUse;
        var alone = f.IsGone(rope.Other ?? "");
        var (sag, below) = (anchors - hung.At.Z, alone ? swings : hangs);
        sheet?.Formula("({s} + {h}) ÷ ({a} − {c})", "rope hung in this case", "Tall grass, a helper's head, a dog.")
            .Term("s", "rope sags", sag, Dimension.Length, "rope hung in this case")
            .Term("h", alone ? "reaches below it as it swings" : "hangs below it", below, Dimension.Length, "this rig's pieces")
            .Term("a", "rope over the ground, at its ends", anchors, Dimension.Length, Origin.Measures)
            .Term("c", "stays clear", clear, Dimension.Length, Origin.Measures)
            .Term("L", "rope, unstretched", span.Length, Dimension.Length, "drawn to the sag that is wanted");
        return Ratio(sag + below, anchors - clear);
    }
}
