using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A tube that turns in its lock: k·|M·axis| ≤ what the lock holds; bending is carried by the overlap.</summary>
public sealed class LockTurn(RigBuilder b, StationId station, PartId id, SpringIndex spring, Vec3 axis, double torque)
    : Check(id + ".turn", station, id, "Lock of the pole turns")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var m = Math.Abs(f.Spring(spring).Moment.Dot(axis));
        sheet?.Formula("{k} × {M} ÷ {T}", "friction lock, moment about the pole", "Grit and water in the lock; a set screw through both tubes holds better.")
            .Factor(b, FactorTable.Friction).Term("M", "moment about the pole", m, Dimension.Torque)
            .Term("T", "holding torque", torque, Dimension.Torque, "as you set it; twist locks 3–8 N·m, judgement");
        return Ratio(factor * m, torque);
    }
}
