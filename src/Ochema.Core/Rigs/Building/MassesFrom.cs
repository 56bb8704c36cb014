using Ochema.Core.Responses;
namespace Ochema.Core.Rigs;

/// <summary>What hangs on a station.</summary>
internal static class MassesFrom
{
    /// <summary>Mass from a station up to its camera, kg; null for one that is on no path: all hangs there.</summary>
    public static double? Of(IEnumerable<RigPart> parts, StationId station)
    {
        var chain = RigPath.Of(station).Stations.ToList();
        var at = chain.FindIndex(s => s == station);
        return at < 0 ? null : parts.Where(p => chain.FindIndex(s => s == p.Station) is >= 0 and var i && i <= at)
            .Sum(p => p.Mass * p.Quantity);
    }
}
