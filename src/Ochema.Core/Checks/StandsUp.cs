using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Something that stands by its weight and tips over an edge of its footprint: k·overturning ≤ weight × distance to the edge.</summary>
public sealed class StandsUp(RigBuilder b, HoldSpot spot, SpringIndex spring, IReadOnlyList<Vec3> corners)
    : Check(spot.Id + ".tip", spot.Station, spot.Id, "It tips over or lifts off")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        // The spring's force on the rig turned round: the rig's on the ground.
        var (force, moment) = f.Spring(spring);
        var (over, back) = TipOver.Worst(corners, spot.Normal, -force, -moment);
        sheet?.Formula("{k} × {O} ÷ {R}", "moments about each edge of the footprint, the worst one; lifted off, nothing restores", "Ground that gives, somebody who leans on it.")
            .Factor(b, FactorTable.Friction).Term("O", "overturning moment", over, Dimension.Torque).Term("R", "restoring moment", back, Dimension.Torque)
            .Term("N", "pressed down by (negative: lifted)", force.Dot(spot.Normal), Dimension.Force)
                .Term("M", "moment at the foot", moment.PerpendicularTo(spot.Normal).Length, Dimension.Torque);
        return Ratio(factor * over, back);
    }
}
