using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A pin that is shaken out of its hole: its mass times what shakes it, against what keeps it.</summary>
/// <param name="mass">kg.</param>
/// <param name="keeps">What keeps it, N; 0 where nothing does.</param>
/// <param name="kept">What that is, in words.</param>
/// <param name="source">Where that is from.</param>
internal sealed class PinStays(RigSetting b, double mass, double keeps, string kept, string source)
    : Check("pin.stays", StationId.Base, new("pin"), "Pin walks out")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var shakes = mass * f.Field.Length;
        sheet?.Formula("{k} × {m} × {a} ÷ {F}", "inertia of the pin against what keeps it",
            "A sheet or a finger in its ring: look at it before each run.")
            .Factor(b, FactorTable.Friction).Term("m", "pin with its ring", mass, Dimension.Mass, "as listed")
            .Term("a", "what shakes it, whichever way", f.Field.Length, Dimension.Acceleration, Origin.Follows)
            .Term("F", kept, keeps, Dimension.Force, source);
        return Ratio(factor * shakes, keeps);
    }
}
