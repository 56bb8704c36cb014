using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A gripping hold that is pulled off or prised off: k·(N + M/r) ≤ what it holds.</summary>
public sealed class HoldPullOff(RigSetting b, HoldSpot spot, SpringIndex spring, string title, string factor, double capacity, double lever,
    string source)
    : Check(spot.Id + ".pull", spot.Station, spot.Id, title)
{
    private readonly double required = b.Factors[factor];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var pull = Math.Max(0, load.Pull) + load.Moment / lever;
        sheet?.Formula("{k} × ({N} + {M} ÷ {r}) ÷ {C}", "pull, and the moment over its lever",
            "Wear, dirt and a hold that was not set right.")
            .Factor(b, factor).Term("N", "pull", Math.Max(0, load.Pull), Dimension.Force)
                .Term("M", "moment across it", load.Moment, Dimension.Torque)
            .Term("r", "lever", lever, Dimension.Length, Origin.Measures).Term("C", "what it holds", capacity, Dimension.Force, source);
        return Ratio(required * pull, capacity);
    }
}
