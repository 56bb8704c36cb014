using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A locked joint that turns: k·M ≤ holding torque.</summary>
public sealed class JointTorque(RigSetting b, StationId station, PartId id, string title, SpringIndex spring, double torque, string source)
    : Check(id + ".torque", station, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var m = f.Spring(spring).Moment.Length;
        sheet?.Formula("{k} × {M} ÷ {T}", "friction joint", "Wear and grease: measure it with a scale on a lever.")
            .Factor(b, FactorTable.Friction).Term("M", "moment at the joint", m, Dimension.Torque)
                .Term("T", "holding torque", torque, Dimension.Torque, source);
        return Ratio(factor * m, torque);
    }
}
