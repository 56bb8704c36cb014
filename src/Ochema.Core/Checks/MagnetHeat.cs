using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>A magnet that gets hotter than it stands: warmth above 20 °C against what its limit leaves.</summary>
public sealed class MagnetHeat(RigSetting b, HoldSpot spot, MagnetRow row)
    : Check(spot.Id + ".heat", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} gets too hot")
{
    private const double Room = 293.15;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (warm, limit) = (Math.Max(0, b.Rig.Run.Skin - Room), row.TemperatureLimit - Room);
        sheet?.Formula("{t} ÷ {l}", "past its limit a magnet loses pull for good", "A lamp or an exhaust beside it.")
            .Term("t", "panel over 20 °C", warm, Dimension.TemperatureDifference, b.Rig.Run.SkinSource)
                .Term("l", "its limit over 20 °C", limit, Dimension.TemperatureDifference, row.Source);
        return Ratio(warm, limit);
    }
}
