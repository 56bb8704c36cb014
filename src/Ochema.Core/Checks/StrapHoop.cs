using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A strap drawn round something: its pull when tightened, and what tears at what it holds on, on its two ends: k·(T + N/(2·cos
/// γ)) ≤ B.</summary>
/// <param name="pull">It is tightened to, N; before it creeps.</param>
/// <param name="steepness">cos γ: share of its pull that presses.</param>
public sealed class StrapHoop(RigSetting b, HoldSpot spot, SpringIndex spring, StrapRow row, double pull, double steepness)
    : Check(spot.Id + ".strap", spot.Station, spot.Id, "Strap overloaded")
{
    private readonly double factor = b.Factors[FactorTable.Rope];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var off = f.Hold(spring, spot.Normal).Off;
        sheet?.Formula("{k} × ({T} + {N} ÷ (2 × {c})) ÷ {B}",
            "two ends of the strap share what tears at it; its own tightening counts whole",
                "A buckle on a corner, sun and wet.")
            .Factor(b, FactorTable.Rope).Term("T", "tightened to", pull, Dimension.Force, Origin.Measures)
                .Term("N", "pulled off by", off, Dimension.Force)
            .Term("c", "share of its pull that presses", steepness, Dimension.Ratio, "from trunk and timber, see the base's working")
            .Term("B", "breaking strength", row.BreakingStrength, Dimension.Force, row.Source);
        return Ratio(factor * (pull + off / (2 * Math.Max(0.05, steepness))), row.BreakingStrength);
    }
}
