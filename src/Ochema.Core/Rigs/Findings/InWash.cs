using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Rigs;

/// <summary>What stands behind a propeller, in the builder's words.</summary>
internal static class InWash
{
    public static IEnumerable<ReportFinding> Findings(BuiltRig b)
    {
        if (b.Host.WashAt(b.Rig.Site) is not { } air || air.Share(b.Position(b.Camera.Node)) is not (var share and > 0))
            yield break;
        var density = Loads.Atmosphere.Density(b.Rig.Run.Altitude, b.Rig.Run.Temperature);
        yield return new ReportFinding(StationId.Site, "It stands in the propeller's wash: at full throttle on the brakes "
            + $"{QuantityText.Of(Math.Sqrt(share) * air.Speed(0, density), Dimension.Speed)} blow on it, and nothing is tried there by "
                + $"hand.");
    }
}
