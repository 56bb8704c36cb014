using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A cup that tips about its lip: k·M ≤ (F − N)·r.</summary>
public sealed class SuctionTip(RigBuilder b, HoldSpot spot, int spring, Suction suction)
    : Check(spot.Id + ".tip", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} lifts at its lip")
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var (r, factor) = (suction.Row.LipDiameter / 2, b.Factors[FactorTable.SuctionPull]);
        var n = Math.Max(0, load.Pull);
        sheet?.Formula("{k} × {M} ÷ (({F} − {N}) × {r})", "moment about the lip on the far side", "The lip bending before it lifts.")
            .Factor(b, FactorTable.SuctionPull).Term("M", "tipping moment", load.Moment, Dimension.Torque).Suction(suction)
            .Term("N", "pull", n, Dimension.Force).Term("r", "lip radius", r, Dimension.Length, suction.Row.Source);
        return Ratio(factor * load.Moment, (suction.Force - n) * r);
    }
}
