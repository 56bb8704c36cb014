using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A cup pulled straight off: k·N ≤ F.</summary>
public sealed class SuctionPull(RigBuilder b, HoldSpot spot, int spring, Suction suction)
    : Check(spot.Id + ".pull", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} pulls straight off")
{
    private readonly double factor = b.Factors[FactorTable.SuctionPull];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var n = Math.Max(0, f.Hold(spring, spot.Normal).Pull);
        sheet?.Formula("{k} × {N} ÷ {F}", "force balance; factor 2 after common vacuum-lifting practice (EN 13155)", "Leak-down after pumping.")
            .Factor(b, FactorTable.SuctionPull).Term("N", "pull", n, Dimension.Force).Suction(suction);
        return Ratio(factor * n, suction.Force);
    }
}
