using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>Rigid projections on a helmet: 5 mm outside at the most (49 CFR 571.218 S5.5, the US figure for motorcycle helmets).</summary>
public sealed class HelmetProtrusion(PartId id, double outside)
    : Check(id + ".protrusion", StationId.Base, id, "Rigid and stands out past the shell")
{
    /// <summary>Largest rigid projection, m.</summary>
    public const double Allowed = 0.005;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("{p} ÷ {a}", "49 CFR 571.218 S5.5 (rigid projections outside the shell)",
            "Other standards and events forbid any; inside the shell nothing may stand out at all.")
            .Term("p", "stands out, rigid", outside, Dimension.Length, Origin.Measures)
                .Term("a", "allowed", Allowed, Dimension.Length, "49 CFR 571.218 S5.5");
        return Ratio(outside, Allowed);
    }
}
