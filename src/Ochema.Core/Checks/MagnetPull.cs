using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A magnet pulled straight off: k·N ≤ P.</summary>
public sealed class MagnetPull(RigBuilder b, HoldSpot spot, int spring, MagnetGrip grip)
    : Check(spot.Id + ".pull", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} pulls straight off")
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var n = Math.Max(0, f.Hold(spring, spot.Normal).Pull);
        sheet?.Formula("{k} × {N} ÷ {P}", "force balance", "Heat above the magnet's limit.")
            .Factor(b, FactorTable.Magnet).Term("N", "pull", n, Dimension.Force).Magnet(grip);
        return grip.Pull <= 0 ? MostUse : Ratio(grip.Factor * n, grip.Pull);
    }
}
