using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A magnet that tips about its edge: k·M ≤ (P − N)·d/2.</summary>
public sealed class MagnetTip(RigBuilder b, HoldSpot spot, int spring, MagnetGrip grip)
    : Check(spot.Id + ".tip", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} peels at its edge")
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var r = grip.Row.Diameter / 2;
        sheet?.Formula("{k} × {M} ÷ (({P} − {N}) × {r})", "moment about the far edge", "Once an edge is up the rest follows: a magnet gives no warning.")
            .Factor(b, FactorTable.Magnet).Term("M", "tipping moment", load.Moment, Dimension.Torque).Magnet(grip)
            .Term("N", load.Pull < 0 ? "pull (negative: pressed on)" : "pull", load.Pull, Dimension.Force).Term("r", "radius", r, Dimension.Length, grip.Row.Source);
        return grip.Pull <= 0 ? MostUse : Ratio(grip.Factor * load.Moment, (grip.Pull - load.Pull) * r);
    }
}
