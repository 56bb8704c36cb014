using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A ball that turns between two plates: k·M ≤ μ·F·d·tan φ, or what tips it where that is less.</summary>
internal sealed class BallInPlates(RigSetting b, StationId station, PartId id, SpringIndex spring, PlateGrip grip)
    : Check(id + ".torque", station, id, "Ball turns between its plates")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var moment = f.Spring(spring).Moment.Length;
        sheet?.Formula("{k} × {M} ÷ {T}", "a ball on the rims of two holes, Coulomb friction: μ·F·d·tan φ about the closing axis; derived",
                "Wood gives in time: draw it again after the first run. Wax and grease.")
            .Factor(b, FactorTable.Friction).Term("M", "moment at the ball", moment, Dimension.Torque)
            .Term("T", "it turns at", grip.Torque, Dimension.Torque,
                "friction × closing force × ball × tan φ, or tipping where that is less")
            .Term("mu", "friction", grip.Friction, Dimension.Factor, "judgement, 0.2–0.4")
            .Term("F", "plates drawn together by", grip.Closing, Dimension.Force, "preload of its screws, what is left in wood and plastic")
            .Term("d", "ball", grip.Ball, Dimension.Length, Origin.Measures)
            .Term("φ", "rim from the closing axis", grip.Angle, Dimension.Angle, "hole over ball");
        return Ratio(factor * moment, grip.Torque);
    }
}
