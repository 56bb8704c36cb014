using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A clamp that turns on its bar or slides along it: k·√((S/S₀)² + (M/M₀)²) ≤ 1, friction spent on both together.</summary>
public sealed class GripTurn(RigSetting b, PartId id, string title, SpringIndex spring, Vec3 axis, double slide, double torque, string how,
    string source)
    : Check(id + ".turn", StationId.Base, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var (s, m) = (Math.Abs(force.Dot(axis)), Math.Abs(moment.Dot(axis)));
        sheet?.Formula("{k} × √(({S} ÷ {Sc})² + ({M} ÷ {Mc})²)", how, "Oil, grease and paint that peels; vibration walks a clamp.")
            .Factor(b, FactorTable.Friction).Term("S", "slide along the bar", s, Dimension.Force)
                .Term("Sc", "friction along it", slide, Dimension.Force, source)
            .Term("M", "moment about the bar", m, Dimension.Torque).Term("Mc", "friction about it", torque, Dimension.Torque, source);
        return slide <= 0 || torque <= 0 ? MostUse : Ratio(factor * Math.Sqrt(s * s / (slide * slide) + m * m / (torque * torque)), 1);
    }

    /// <summary>With a capacity from <see cref="FrictionGrip"/>.</summary>
    public static GripTurn Of(RigSetting b, PartId id, string title, SpringIndex spring, Vec3 axis,
        (double Slide, double Torque) capacity, string how, string source) =>
        new(b, id, title, spring, axis, capacity.Slide, capacity.Torque, how, source);
}
