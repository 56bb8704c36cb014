using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A pivot held by friction that turns about its bolt: k·|M·axis| ≤ T; bending is the bolt's.</summary>
public sealed class PivotTurns(RigBuilder b, StationId station, PartId id, string title, SpringIndex spring, Vec3 axis, double torque, string source)
    : Check(id + ".turn", station, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var m = Math.Abs(f.Spring(spring).Moment.Dot(axis));
        sheet?.Formula("{k} × {M} ÷ {T}", "friction pivot, moment about its bolt", "Wet washers, and a lock nut that has been undone a few times.")
            .Factor(b, FactorTable.Friction).Term("M", "moment about the bolt", m, Dimension.Torque)
            .Term("T", "it holds", torque, Dimension.Torque, source);
        return Ratio(factor * m, torque);
    }
}
