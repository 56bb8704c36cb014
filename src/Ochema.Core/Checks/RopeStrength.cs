using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A rope's tension, as it hangs in the case, against its strength less what its knots or its pulleys take: k·T ≤ B·min(e,
/// p).</summary>
/// <param name="pulley">Diameter of the pulleys that run on it, m.</param>
public sealed class RopeStrength(RigSetting b, HungRope rope, string title, Knot end, double pulley)
    : Check(rope.Id + ".parts", StationId.Base, rope.Id, title)
{
    private readonly double factor = b.Factors[FactorTable.Rope];

    public override SpringIndex? Joint => rope.Spring;

    /// <summary>
    /// Share of its strength that a rope keeps over a pulley: 1 − 0.5/√(D/d) (wire rope handbooks, from memory; taken for fibre ropes as
    /// well).
    /// </summary>
    /// <param name="pulley">m.</param>
    /// <param name="rope">m.</param>
    public static double OverPulley(double pulley, double rope) => Math.Max(0.3, 1 - 0.5 / Math.Sqrt(pulley / rope));

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (row, hung) = (rope.Row, rope.In(f));
        var keeps = Math.Min(end.Keeps, OverPulley(pulley, row.Thickness));
        sheet?.Formula("{k} × {T} ÷ ({B} × {e})",
            "elastic rope with weight and wind on it, hung anew in this case (Irvine, Cable Structures)",
                "Sun, chafe over bark, wet knots; nobody stands in its line while it is drawn.")
            .Factor(b, FactorTable.Rope).Term("T", "largest tension", hung?.Most ?? 0, Dimension.Force, "rope hung in this case")
            .Term("P", "pulls at it", rope.LoadOf(f).Length, Dimension.Force)
            .Term("g", "times what hangs on it, caught", f.IsGone(rope.Other ?? "") ? rope.Catches : 1, Dimension.Factor,
                "work of the weight as the other parts")
            .Term("B", "breaking strength", row.BreakingStrength, Dimension.Force, row.Source)
            .Term("e", $"left by its end, {Words.Inside(end.Name)}, or over the pulleys", keeps, Dimension.Ratio, end.Source);
        return hung is null ? MostUse : Ratio(factor * hung.Most, row.BreakingStrength * keeps);
    }
}
