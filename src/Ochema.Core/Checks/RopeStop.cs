using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// A carriage that runs into its end stop: a cord that gives takes m·V² over its travel, as a spring does at its peak; against the cord,
/// and against the stopping that the rig is judged for.
/// </summary>
/// <param name="travel">The stop gives, m.</param>
/// <param name="moving">Mass that runs, kg.</param>
public sealed class RopeStop(RigSetting b, StrapRow cord, double travel, double moving)
    : Check("base.stop", StationId.Base, new("end-stop"), "The end stop jerks it too hard")
{
    private readonly double factor = b.Factors[FactorTable.TetherCatch];

    private readonly Knot knot = Lashing.Knots.First(k => k.Id == "double-overhand");

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (m, v) = (moving, f.Speed);
        var (jerk, peak) = (v * v / travel, m * v * v / travel);
        var most = RopeWay.Stopping * MotionProfile.Gravity;
        var strong = cord.BreakingStrength * knot.Keeps;
        sheet?.Formula("max({V}² ÷ {s} ÷ {a}, {k} × {m} × {V}² ÷ {s} ÷ {B})", "energy of a spring: its peak is m·V² ÷ travel",
            "A stop that is shorter than it was measured; a rope that is wet.")
            .Factor(b, FactorTable.TetherCatch).Term("V", "speed it runs in with", v, Dimension.Speed, Origin.Measures)
            .Term("s", "the stop gives", travel, Dimension.Length, Origin.Measures)
                .Term("m", "what runs", m, Dimension.Mass, "parts as listed")
            .Term("a", "stopping the rig is judged for", most, Dimension.Acceleration, "judgement, 0.4–0.8 g")
            .Term("B", $"the cord holds with its {Words.Inside(knot.Name)}", strong, Dimension.Force, cord.Source);
        return Math.Max(Ratio(jerk, most), Ratio(factor * peak, strong));
    }
}
