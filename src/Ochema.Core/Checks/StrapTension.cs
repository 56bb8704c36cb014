using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A strap's tension against its strength, less what its end and an edge take: k·T ≤ B·e·s.</summary>
public sealed class StrapTension(RigSetting b, PartId id, StationId station, LineIndex line, StrapRow row, Knot end, StrapEdge edge)
    : Check(id + ".tension", station, id, "Strap overloaded")
{
    private readonly double factor = b.Factors[FactorTable.Rope];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var t = f.Tension(line);
        // A sharp edge halves webbing, a padded one costs a tenth (common practice, no source).
        var over = edge switch { StrapEdge.None => 1, StrapEdge.Padded => 0.9, _ => 0.5 };
        sheet?.Formula("{k} × {T} ÷ ({B} × {e} × {s})", "strength as for webbing and rope, less its end and edge",
            "Hooks on hooks, sun, wet knots.")
            .Factor(b, FactorTable.Rope).Term("T", "tension", t, Dimension.Force)
                .Term("B", "breaking strength", row.BreakingStrength, Dimension.Force, row.Source)
            .Term("e", $"its end: {Words.Inside(end.Name)}", end.Keeps, Dimension.Ratio, end.Source)
                .Term("s", "over an edge", over, Dimension.Ratio, "common practice, no source");
        return Ratio(factor * t, row.BreakingStrength * end.Keeps * over);
    }
}
