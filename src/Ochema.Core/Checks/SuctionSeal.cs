using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>Whether the surface seals at all: at least a quarter of the vacuum must stay.</summary>
public sealed class SuctionSeal(HoldSpot spot, Suction suction)
    : Check(spot.Id + ".seal", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} does not seal")
{
    private const double Needed = 0.25;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("{n} ÷ {s}", "judgement: a cup that keeps less than a quarter is leaking, not holding",
            "Scratches under the lip: look at the ring.")
            .Term("n", "share of the vacuum that must stay", Needed, Dimension.Ratio, "judgement")
            .Term("s", $"share kept on a {suction.Surface.ToString().ToLowerInvariant()} surface", suction.Seal, Dimension.Ratio,
                "judgement by surface; textured plastic and wrap do not seal");
        return Ratio(Needed, suction.Seal);
    }
}
