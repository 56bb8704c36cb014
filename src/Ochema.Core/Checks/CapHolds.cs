using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A cap pressed on a tube over tape, with set screws: drawn off and turned at once: k·√(N² + (T/r)²) ≤ P + B.</summary>
/// <param name="pull">It comes off at without screws, N.</param>
/// <param name="bite">What the screws add, N.</param>
/// <param name="screws">Where that comes from.</param>
/// <param name="diameter">Of the tube, m.</param>
public sealed class CapHolds(RigSetting b, StationId station, PartId id, SpringIndex spring, Vec3 axis, double pull, string source,
    double bite, string screws, double diameter)
    : Check(id + ".off", station, id, "Cap comes off the pole")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        // What presses it on does not draw it off; the spring's force on the tube points the way the cap is drawn.
        var off = Math.Max(0, force.Dot(axis));
        var turn = Math.Abs(moment.Dot(axis));
        sheet?.Formula("{k} × √({N}² + ({T} ÷ {r})²) ÷ ({P} + {B})", "one friction for both ways",
            "Heat, which softens tape and plastic; screws that have been undone a few times.")
            .Factor(b, FactorTable.Friction).Term("N", "drawn off by", off, Dimension.Force).Term("T", "turned by", turn, Dimension.Torque)
            .Term("r", "half the tube", diameter / 2, Dimension.Length, Origin.Measures)
                .Term("P", "comes off at, over tape", pull, Dimension.Force, source)
            .Term("B", "set screws bite", bite, Dimension.Force, screws);
        return Ratio(factor * Math.Sqrt(off * off + Math.Pow(turn / (diameter / 2), 2)), pull + bite);
    }
}
