using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A ball that turns in its socket: k·M ≤ μ·F·d, or what the user measured.</summary>
/// <param name="load">Force (N) and moment (N·m) on it.</param>
/// <param name="measured">Torque at which it was seen to slip, N·m; null: by the grip.</param>
internal sealed class BallTurns(
    RigSetting b, StationId station, PartId id, string title, BallGrip grip, Func<CaseForces, (Vec3 Force, Vec3 Moment)> load,
        double? measured)
    : Check(id + ".turns", station, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var moment = load(f).Moment.Length;
        if (measured is { } own)
        {
            sheet?.Formula("{k} × {M} ÷ {T}", "friction joint", "Water and grease on the ball.")
                .Factor(b, FactorTable.Friction).Term("M", "moment at the ball", moment, Dimension.Torque)
                .Term("T", "holding torque", own, Dimension.Torque, Taken.Origin(b.Rig, "your measurement", "ballHolds", own));
            return Ratio(factor * moment, own);
        }
        sheet?.Formula("{k} × {M} ÷ ({mu} × {F} × {d})", "two half shells on a ring 45° from the closing axis, Coulomb friction; derived",
                "Water and grease on the ball, a rubber coat that is worn.")
            .Factor(b, FactorTable.Friction).Term("M", "moment at the ball", moment, Dimension.Torque)
            .Term("mu", "friction", grip.Friction, Dimension.Factor, "judgement, 0.3–0.6 on a rubber coat")
            .Term("F", "closed by", grip.Closing, Dimension.Force, "half of what the knob's screw draws with")
            .Term("d", "ball across", grip.Diameter, Dimension.Length, Origin.Measures);
        return Ratio(factor * moment, grip.Torque);
    }
}
