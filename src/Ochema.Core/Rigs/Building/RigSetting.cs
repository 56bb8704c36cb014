using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>What a rig is built for and of, known before its first piece: its document, the shelf, its host and place, the weather of its
/// day.</summary>
public class RigSetting
{
    /// <summary>As read.</summary>
    public RigDocument Rig { get; }

    /// <summary>The shelf, with the user's own rows.</summary>
    public Catalogue Stock { get; }

    /// <summary>Factors that its consequence asks for.</summary>
    public FactorTable Factors { get; }

    /// <summary>What it is mounted on.</summary>
    public Host Host { get; }

    /// <summary>The panel that its base stands on.</summary>
    public PanelSurface Surface { get; }

    /// <summary>The weather that reaches it.</summary>
    public Weather Weather { get; }

    /// <summary>Where it stands, as that is today.</summary>
    public Site Site { get; }

    /// <param name="factors">In place of what its consequence asks for.</param>
    /// <exception cref="DocumentException">There is no such host.</exception>
    private protected RigSetting(RigDocument rig, Catalogue stock, FactorTable? factors = null)
    {
        (Rig, Stock) = (rig, stock);
        Factors = factors ?? FactorTable.For(rig.Run.Consequence, rig.Factors);
        Host = HostLibrary.Find(rig.Host) ?? throw new DocumentException("host", $"there is no host '{rig.Host}'");
        Surface = Host.Surface(rig.Site);
        Weather = Weather.Of(rig, Host);
        Site = Weather.Today(rig.Site);
    }

    private protected RigSetting(RigSetting other) => (Rig, Stock, Factors, Host, Surface, Weather, Site) =
        (other.Rig, other.Stock, other.Factors, other.Host, other.Surface, other.Weather, other.Site);

    /// <summary>A small part of the shelf.</summary>
    public FittingRow Fitting(string id) => Stock.Find<FittingRow>("fittings", id);

    /// <summary>Share of the wind of travel that comes to its place.</summary>
    public double WindFactor => Rig.Site.WindFactor;

    /// <summary>Speed through the air, m/s, at a speed as it is asked about: faster than an aircraft's instrument says where the air is
    /// thin.</summary>
    public double ThroughAir(double speed) => !Host.ReadsAirspeed || Rig.Run.Airspeed == Airspeed.True ? speed
        : speed * Atmosphere.TrueOverIndicated(Rig.Run.Altitude, Rig.Run.Temperature);

    /// <summary>The panel of a site that stands on the host.</summary>
    internal PanelSurface SurfaceOf(string siteId) => siteId == Rig.Site.Id ? Surface : Host.Surface(Host.Sites.First(x => x.Id == siteId));

    /// <summary>A closed point of the host, m.</summary>
    /// <exception cref="DocumentException">There is no such point.</exception>
    public Structure.Vec3 Anchor(AnchorEnd end, string path)
    {
        var anchor = Host.Anchors.FirstOrDefault(a => a.Id == end.Anchor)
            ?? throw new DocumentException(path + ".anchor", $"there is no closed point '{end.Anchor}' on this host");
        return anchor.At(Math.Clamp(end.T, 0, 1));
    }
}
