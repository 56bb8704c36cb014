using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>A strap's tension against its strength: k·T ≤ breaking strength.</summary>
public sealed class StrapTension(RigBuilder b, string id, string station, int line, StrapRow row) : Check(id + ".tension", station, id, "Strap overloaded")
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var t = f.Tension(line);
        sheet?.Formula("{k} × {T} ÷ {B}", "strength as for webbing and rope", "Sharp edges, knots and hooks on hooks: an edge halves it, a knot takes a third.")
            .Factor(b, FactorTable.Rope).Term("T", "tension", t, Dimension.Force).Term("B", "breaking strength", row.BreakingStrength, Dimension.Force, row.Source);
        return Ratio(b.Factors[FactorTable.Rope] * t, row.BreakingStrength);
    }
}
