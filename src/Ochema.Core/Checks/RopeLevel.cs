using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>A carriage that hangs nose down or up: weight out of the middle against what brings it back.</summary>
/// <param name="state">Moment about the rope at rest, N·m, and what brings it back, N·m/rad.</param>
public sealed class RopeLevel((double Moment, double Stiffness) state) : Check("base.level", StationId.Base, new("carriage"),
    "Carriage hangs out of level")
{
    /// <summary>Lean that the head's own tilt takes up without a thought, rad (judgement, 2–5°).</summary>
    private const double Allowed = 3 * Math.PI / 180;

    public override bool Fixed => true;

    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (moment, stiffness) = state;
        var lean = Math.Abs(moment) / stiffness;
        sheet?.Formula("{M} ÷ {k} ÷ {a}", "balance about the rope: pulleys and what hangs below",
            "A battery or card changed; a lens that turns out.")
            .Term("M", "weight out of the middle", Math.Abs(moment), Dimension.Torque, "parts as listed")
            .Term("k", "brought back by", stiffness, Dimension.RotationalStiffness,
                "tension and spacing of the pulleys, weight below the rope")
            .Term("θ", "it leans", lean, Dimension.Angle, Origin.Follows)
                .Term("a", "of no matter", Allowed, Dimension.Angle, "judgement, 2–5°");
        return Ratio(lean, Allowed);
    }
}
