using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>Whether the air of the day's altitude can give the vacuum that is counted on.</summary>
public sealed class SuctionAltitude(RigSetting b, HoldSpot spot, Suction suction)
    : Check(spot.Id + ".altitude", spot.Station, spot.Id, $"{Words.Capital(spot.Label)}: air too thin for its vacuum")
{
    /// <summary>No hand pump leaves less than a twentieth of the air behind (judgement).</summary>
    private const double Attainable = 0.95;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("{v} ÷ ({a} × {p})", "standard atmosphere, ISO 2533",
            "Pressure of the day's weather, ±3 %; driving up a pass after pumping.")
            .Term("v", "vacuum counted on", suction.Vacuum, Dimension.Pressure, suction.VacuumSource)
            .Term("a", "share a hand pump reaches", Attainable, Dimension.Ratio, "judgement")
            .Term("p", "air pressure", suction.Ambient, Dimension.Pressure, $"ISO 2533 at {b.Rig.Run.Altitude:0} m");
        return Ratio(suction.Vacuum, Attainable * suction.Ambient);
    }
}
