using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// A pole that comes up and stops short: what hangs on its sleeve goes on with m·(g + V²/2s), which slides the sleeve along and bends it
/// aside by its lever.
/// </summary>
/// <param name="speed">It comes up with, m/s.</param>
/// <param name="gives">The stop gives, m.</param>
/// <param name="slides">Force at which the sleeve slides, N.</param>
/// <param name="section">Of the sleeve's pipe.</param>
/// <param name="hung">Mass with the water it carries, kg, and its distance from the pole, m.</param>
public sealed class RetractStops(
    RigSetting b, double speed, double gives, double slides, Section section, Material plastic, (double Mass, double Beside) hung)
    : Check("base.retract", StationId.Base, new("base-hold"), "Torn loose as the pole stops")
{
    private readonly double friction = b.Factors[FactorTable.Friction];
    private readonly double strength = b.Factors[FactorTable.For(plastic.Family)];

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (mass, beside) = hung;
        var jerk = MotionProfile.Gravity + speed * speed / (2 * gives);
        var (force, stress) = (mass * jerk, mass * jerk * beside / section.ModulusY);
        var (slip, bend) = (friction * force / slides, strength * stress / plastic.YieldStrength);
        sheet?.Formula("max({k} × {m} × {a} ÷ {S}, {K} × {σ} ÷ {Y})", "stopped evenly over what the stop gives",
            "A stop that rings like a bell; a pole that is let fall.")
            .Factor(b, FactorTable.Friction).Term("m", "hangs on it, with the water it carries", mass, Dimension.Mass,
                "parts as listed, added mass C_a = 1")
            .Term("a", "weight and stopping", jerk, Dimension.Acceleration, "V² ÷ 2s from your speed and stop")
            .Term("S", "sleeve slides at", slides, Dimension.Force, Origin.Follows)
            .Term("K", "required factor of the plastic", strength, Dimension.Factor, "the factors of this rig")
            .Term("σ", "bends the sleeve's pipe", stress, Dimension.Stress, Origin.Follows)
            .Term("Y", "strength", plastic.YieldStrength, Dimension.Stress, plastic.Source);
        return Math.Min(MostUse, Math.Max(slip, bend));
    }
}
