using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// What friction keeps from turning about an axis: a pivot about its bolt, a tube in its lock, a stub in its holder. k·|M·axis| ≤ T;
/// bending is carried by what it turns on.
/// </summary>
/// <param name="torque">That it holds, N·m.</param>
/// <param name="source">Of that torque.</param>
/// <param name="about">What it turns about.</param>
/// <param name="beyond">What the formula does not cover.</param>
/// <param name="name">Last part of its id.</param>
public sealed class TurnsByFriction(RigSetting b, StationId station, PartId id, string title, SpringIndex spring, Vec3 axis, double torque,
    string source,
    string about = "the bolt", string beyond = "Wet washers, and a lock nut that has been undone a few times.", string name = "turn")
    : Check($"{id}.{name}", station, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var m = Math.Abs(f.Spring(spring).Moment.Dot(axis));
        sheet?.Formula("{k} × {M} ÷ {T}", $"friction, moment about {about}", beyond)
            .Factor(b, FactorTable.Friction).Term("M", $"moment about {about}", m, Dimension.Torque)
            .Term("T", "it holds", torque, Dimension.Torque, source);
        return Ratio(factor * m, torque);
    }
}
