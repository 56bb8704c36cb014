using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>What the ratchet can do by hand against the rope with its knots: a rope that the ratchet alone can break is drawn by its sag,
/// never by the click.</summary>
public sealed class RopeOverdrawn(HungRope rope, string title, Knot end) : Check(rope.Id + ".overdrawn", StationId.Base, rope.Id, title)
{
    /// <summary>A ratchet by hand, N (judgement, 1000–2500).</summary>
    public const double ByHand = 2500;

    public override bool Fixed => true;

    public override CheckSort Sort => CheckSort.Tightening;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("{R} ÷ ({B} × {e})", "the hardest pull against what breaks", "A bar on the ratchet's handle.")
            .Term("R", "a ratchet by hand", ByHand, Dimension.Force, "judgement, 1000–2500 N")
            .Term("B", "breaking strength", rope.Row.BreakingStrength, Dimension.Force, rope.Row.Source)
            .Term("e", $"its end: {Words.Inside(end.Name)}", end.Keeps, Dimension.Ratio, end.Source);
        return Ratio(ByHand, rope.Row.BreakingStrength * end.Keeps);
    }
}
