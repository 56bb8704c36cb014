using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>More than hands can hold: F ÷ F₀ + M ÷ M₀, the couple of two hands counted.</summary>
public sealed class HandLoad(PartId id, SpringIndex spring, int hands, double apart)
    : Check(id + ".hand", StationId.Base, id, "Hands give way")
{
    /// <summary>What one hand holds for a moment, N, and its wrist, N·m (judgement, 100–200 and 5–12).</summary>
    private static readonly (double Force, double Wrist) Moment = (150, 8);

    /// <summary>The same for the minutes that a picture takes: wind and weight (judgement, 30–70 and 2–5).</summary>
    private static readonly (double Force, double Wrist) Minutes = (50, 3);

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var one = f.Case.Lasts ? Minutes : Moment;
        var (most, turn) = (hands * one.Force, hands * one.Wrist + (hands == 2 ? one.Force * apart : 0));
        var time = f.Case.Lasts ? "they hold for minutes" : "they hold for a moment";
        sheet?.Formula("{F} ÷ {F0} + {M} ÷ {M0}", "hands as springs with a couple between them",
            "Tired arms, gloves, sweat, a gust you do not see.")
            .Term("F", "force on the hands", force.Length, Dimension.Force)
            .Term("F0", time, most, Dimension.Force, f.Case.Lasts ? "judgement, 30–70 N a hand" : "judgement, 100–200 N a hand")
            .Term("M", "moment on the hands", moment.Length, Dimension.Torque)
            .Term("M0", time, turn, Dimension.Torque,
                f.Case.Lasts ? "judgement, 2–5 N·m a wrist, and the couple" : "judgement, 5–12 N·m a wrist, and the couple");
        return Ratio(force.Length / most + moment.Length / turn, 1);
    }
}
