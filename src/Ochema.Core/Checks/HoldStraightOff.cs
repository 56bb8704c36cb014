using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A cup or a magnet pulled straight off: k·N ≤ P.</summary>
public sealed class HoldStraightOff(RigSetting b, HoldSpot spot, SpringIndex spring, HoldGrasp grasp)
    : Check(spot.Id + ".pull", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} pulls straight off")
{
    private readonly double factor = b.Factors[grasp.PullFactor];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var n = f.Hold(spring, spot.Normal).Off;
        sheet?.Formula("{k} × {N} ÷ {P}", "force balance; " + grasp.Practice, grasp.LeavesOut)
            .Factor(b, grasp.PullFactor).Term("N", "pull", n, Dimension.Force)
                .Term("P", grasp.Name, grasp.Holding, Dimension.Force, grasp.Source);
        return grasp.Holding <= 0 ? MostUse : Ratio(factor * n, grasp.Holding);
    }
}
