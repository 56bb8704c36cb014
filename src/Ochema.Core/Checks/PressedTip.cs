using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// Something that a strap presses on its place and that tips over an edge of where it touches: k·overturning ≤ (press − pull) × distance to
/// the edge.
/// </summary>
/// <param name="corners">Where it touches, about the line of the strap, in order, m.</param>
/// <param name="pressing">What the strap presses it on with, N.</param>
public sealed class PressedTip(RigSetting b, HoldSpot spot, SpringIndex spring, string title, IReadOnlyList<Vec3> corners, double pressing,
    string source)
    : Check(spot.Id + ".pressed", spot.Station, spot.Id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        // The spring's force on the rig turned round, and the strap's press with it.
        var (force, moment) = f.Spring(spring);
        var off = Math.Max(0, -force.Dot(spot.Normal));
        var (over, back) = TipOver.Worst(corners, spot.Normal, -force - pressing * spot.Normal, -moment);
        sheet?.Formula("{k} × {O} ÷ {R}", "moments about each edge of where it touches, the worst one; what presses it on restores",
            "A strap that creeps, bark that gives.")
            .Factor(b, FactorTable.Friction).Term("O", "overturning moment", over, Dimension.Torque)
                .Term("R", "restoring moment", back, Dimension.Torque)
            .Term("P", "strap presses it on by", pressing, Dimension.Force, source).Term("N", "pulled off by", off, Dimension.Force)
            .Term("M", "moment across it", moment.PerpendicularTo(spot.Normal).Length, Dimension.Torque);
        return Ratio(factor * over, back);
    }
}
