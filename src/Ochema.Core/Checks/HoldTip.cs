using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A cup that lifts at its lip or a magnet that peels at its edge: moments about the far edge, k·(M + N·r) ≤ (P + Q)·r. The factor is on
/// the pull as well as on the moment; what presses it on (Q) helps as it is.
/// </summary>
public sealed class HoldTip(RigSetting b, HoldSpot spot, SpringIndex spring, HoldGrasp grasp, string how)
    : Check(spot.Id + ".tip", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} {how}")
{
    private readonly double factor = b.Factors[grasp.PullFactor];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (load, r) = (f.Hold(spring, spot.Normal), grasp.Radius);
        sheet?.Formula("{k} × ({M} + {N} × {r}) ÷ (({P} + {Q}) × {r})", "moments about the far edge; "
            + grasp.Practice, "The edge bending before it lifts: once it is up the rest follows.")
            .Factor(b, grasp.PullFactor).Term("M", "tipping moment", load.Moment, Dimension.Torque)
                .Term("N", "pull", load.Off, Dimension.Force)
            .Term("P", grasp.Name, grasp.Holding, Dimension.Force, grasp.Source).Term("Q", "pressed on by", load.On, Dimension.Force)
            .Term("r", "radius", r, Dimension.Length, grasp.RadiusSource);
        return grasp.Holding <= 0 ? MostUse : Ratio(factor * (load.Moment + load.Off * r), (grasp.Holding + load.On) * r);
    }
}
