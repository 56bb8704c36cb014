using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>More than hands can hold: F ÷ F₀ + M ÷ M₀, the couple of two hands counted.</summary>
public sealed class HandLoad(SpringIndex spring, int hands, double apart) : Check("base-hold.hand", StationId.Base, new("base-hold"), "Hands give way")
{
    /// <summary>What one hand holds for a moment, N, and its wrist, N·m (judgement, 100–200 and 5–12).</summary>
    private const double Force = 150;
    private const double Wrist = 8;

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var (most, turn) = (hands * Force, hands * Wrist + (hands == 2 ? Force * apart : 0));
        sheet?.Formula("{F} ÷ {F0} + {M} ÷ {M0}", "hands as springs with a couple between them", "Tired arms: a tenth of it for minutes. Gloves, sweat, a gust you do not see.")
            .Term("F", "force on the hands", force.Length, Dimension.Force).Term("F0", "they hold for a moment", most, Dimension.Force, "judgement, 100–200 N a hand")
            .Term("M", "moment on the hands", moment.Length, Dimension.Torque).Term("M0", "they hold for a moment", turn, Dimension.Torque, "judgement, 5–12 N·m a wrist, and the couple");
        return Ratio(force.Length / most + moment.Length / turn, 1);
    }
}
