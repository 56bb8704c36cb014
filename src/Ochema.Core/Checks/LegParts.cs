using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>A line of a bridle in a case, as it hangs then: its tension against its strength and knot, k·T ≤ B·e.</summary>
/// <param name="line">Which of the three.</param>
public sealed class LegParts(RigSetting b, PartId part, string title, HeldByLines held, int line, Knot knot)
    : Check(part + ".parts", StationId.Base, part, title)
{
    private readonly double factor = b.Factors[FactorTable.Rope];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        if (held.In(f) is not { } at)
            return MostUse;
        var (row, tension) = (held.Row(line), held.Line(line, at).Tension);
        sheet?.Formula("{k} × {T} ÷ ({B} × {e})", "a point on elastic lines, hung anew in this case",
            "Chafe in the shackle, sun; a knot that works loose in elastic.")
            .Factor(b, FactorTable.Rope).Term("T", "tension", tension, Dimension.Force, "lines hung in this case")
            .Term("B", "breaking strength", row.BreakingStrength, Dimension.Force, row.Source)
            .Term("e", $"left by its {Words.Inside(knot.Name)}", knot.Keeps, Dimension.Ratio, knot.Source);
        return Ratio(factor * tension, row.BreakingStrength * knot.Keeps);
    }
}
