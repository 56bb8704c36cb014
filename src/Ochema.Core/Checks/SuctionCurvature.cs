using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>Whether the lip can follow the panel's crown: sag of a chord, d²/(8R), against what the lip follows.</summary>
public sealed class SuctionCurvature(HoldSpot spot, SuctionCupRow row)
    : Check(spot.Id + ".curvature", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} cannot follow the curve")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var radius = spot.Site.CrownRadius;
        var sag = row.Diameter * row.Diameter / (8 * radius);
        sheet?.Formula("{d}² ÷ (8 × {R}) ÷ {s}", "sag of a circular arc", "Creases, swage lines and seams: keep off them.")
            .Term("d", "cup diameter", row.Diameter, Dimension.Length, row.Source)
            .Term("R", "crown radius", radius, Dimension.Length, "place as entered")
            .Term("s", "sag the lip follows", row.CurvatureSag, Dimension.Length, "3 % of the diameter; judgement, 2–5 %");
        return Ratio(sag, row.CurvatureSag);
    }
}
