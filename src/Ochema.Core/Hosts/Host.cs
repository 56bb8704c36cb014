using Ochema.Core.Loads;
using Ochema.Core.Quantities;

namespace Ochema.Core.Hosts;

/// <summary>The thing that moves, or stands, and carries the rig: where it can be held, how it moves, what must stay clear.</summary>
public abstract class Host
{
    private IReadOnlyList<Site>? sites;
    private IReadOnlyList<Anchor>? anchors;
    private HostPreset? published;

    public abstract string Id { get; }

    public abstract string Name { get; }

    /// <summary>What sort of host it is: car, motorcycle, bicycle, helmet, hide.</summary>
    public abstract string Kind { get; }

    /// <summary>Where a rig on it is, as the list of recipes is grouped: "On a car".</summary>
    public virtual string Whereabouts => "On a " + Kind;

    /// <summary>What texts call it, with its article: "the car".</summary>
    public virtual string Called => "the " + Kind;

    /// <summary>How it brakes, leans and jolts.</summary>
    public abstract MotionProfile Motion { get; }

    /// <summary>What shakes it.</summary>
    public abstract ShakeProfile Shake { get; }

    /// <summary>Places to hold on to, with their preset values.</summary>
    public IReadOnlyList<Site> Sites => sites ??= MakeSites();

    /// <summary>Closed points and edges that straps and tethers may end at.</summary>
    public IReadOnlyList<Anchor> Anchors => anchors ??= MakeAnchors();

    /// <summary>What a worn or snagging host must let go at, N; null where nothing has to break away.</summary>
    public virtual double? BreakawayLimit => null;

    /// <summary>True when it protects somebody's head: holes end that.</summary>
    public virtual bool Protects => false;

    /// <summary>True where things hang or grow that catch what stands out: weed, lines, branches.</summary>
    public virtual bool Snags => false;

    /// <summary>What its propeller blows back; null where none blows on a rig.</summary>
    public virtual PropellerWash? Wash => null;

    /// <summary>The same for a rig at a site: none behind the host's skin.</summary>
    public PropellerWash? WashAt(Site site) => IsInside(site) ? null : Wash;

    /// <summary>What it is driven by along the tape.</summary>
    /// <summary>True where speed is read as indicated airspeed unless somebody says otherwise.</summary>
    public virtual bool ReadsAirspeed => false;

    public virtual Drive Drive => Drive.Travel(70);

    /// <summary>What of it moves by itself and may meet the rig: gone through with the rig on and the camera out, before anything else is
    /// tried; empty where nothing does.</summary>
    public virtual string Travel => "";

    /// <summary>How a rig on it is tried under way, one step after the other.</summary>
    public virtual IReadOnlyList<Trial> Trials => Drive.StandsStill ? Trial.Standing : Trial.Travelling;

    public abstract IReadOnlyList<string> Cautions { get; }

    /// <summary>What is said besides of a place of it.</summary>
    public virtual IReadOnlyList<string> CautionsAt(Site site) => [];

    /// <summary>What cuts it off from whatever drives it before anybody works on it, as an instruction; null where nothing does.</summary>
    public virtual string? Isolates => null;

    /// <summary>The surface of a site; <paramref name="site"/> may carry edited measures.</summary>
    public abstract PanelSurface Surface(Site site);

    /// <summary>What it has that is not asked of others.</summary>
    public IReadOnlyList<HostTrait> Traits =>
    [
        HostTrait.None,
        .. Shake.Revolutions(0) is not null ? [HostTrait.Engine] : Array.Empty<HostTrait>(),
        .. Motion.Turning is { Swings: false } ? [HostTrait.Balanced] : Array.Empty<HostTrait>(),
    ];

    /// <summary>Everything published about it.</summary>
    public HostPreset Published => published ??= new(
        Id, Name, Kind, Sites, Anchors, [.. Sites.Select(s => PanelFrame.Of(s.Id, Surface(s)))],
            [.. Drawing().Concat(People.SelectMany(p => p.Surfaces())).Select(Rounded)], Wheels(), Cautions,
            Zones, Drive, Motion.Over, Motion.Factors, Traits, Motion.Bumps.Count,
            [.. People.Select(p => new HostPerson(p.Id, p.Name, p.Head.ToArray()))], Backdrop, GroundHeight);

    /// <summary>A drawing to the millimetre: a third of the bytes.</summary>
    private static HostSurface Rounded(HostSurface s) => s with
    {
        Grid = [.. s.Grid.Select(r =>
        r.Select(p => p.Select(v => Math.Round(v, 3)).ToArray()).ToArray())]
    };

    /// <summary>Who is on it, as drawn and filmed.</summary>
    public virtual IReadOnlyList<PersonFigure> People => [];

    /// <summary>What lies round it.</summary>
    public virtual Backdrop Backdrop => Backdrop.Ground;

    /// <summary>Height of the ground or water in its axes, m.</summary>
    public virtual double GroundHeight => 0;

    /// <summary>Places that must stay free, m.</summary>
    public virtual IReadOnlyList<KeepClear> Zones => [];

    /// <summary>The same as the survey found it: which side is driven or paddled.</summary>
    public virtual IReadOnlyList<KeepClear> ZonesFor(SiteSurvey survey) => Zones;

    /// <summary>All that must stay free for a rig at a site: those places, and the heads of who is on it where nothing is between them and
    /// the rig.</summary>
    public IReadOnlyList<KeepClear> KeptClear(SiteSurvey survey, Site site) => CoversPeople && !IsInside(site) ? ZonesFor(survey)
        : [.. ZonesFor(survey), .. People.Select(p => p.Room(CoversPeople))];

    /// <summary>What stands free there and may tip with a rig on it; null where the site is part of the host itself, or fixed.</summary>
    public virtual FreeStanding? StandingAt(Site site) => null;

    /// <summary>True for a site that is behind the host's skin.</summary>
    public virtual bool IsInside(Site site) => site.Form.IsInside;

    /// <summary>True where who is on it sits behind its skin.</summary>
    public virtual bool CoversPeople => false;

    /// <summary>What is below it: "the road".</summary>
    public virtual string Below => "the ground";

    /// <summary>True when somebody the law names has to sign for what is fitted at this site.</summary>
    public virtual bool NeedsSignOff(Site site) => false;

    /// <summary>The outline that a rig may be forbidden to leave: largest |x| ahead, behind, and |y|, m.</summary>
    public abstract (double Front, double Rear, double Side) Outline { get; }

    protected abstract IReadOnlyList<Site> MakeSites();

    protected abstract IReadOnlyList<Anchor> MakeAnchors();

    protected abstract IReadOnlyList<HostSurface> Drawing();

    protected virtual IReadOnlyList<HostWheel> Wheels() => [];
}

/// <summary>Ready-made hosts of one kind. To add a kind of host is to add a file with one of these.</summary>
public abstract class HostFamily
{
    /// <summary>Order among the kinds.</summary>
    public abstract int Order { get; }

    public abstract IReadOnlyList<Host> Presets { get; }
}

/// <summary>All hosts, found by reflection once.</summary>
public static class HostLibrary
{
    public static IReadOnlyList<Host> All { get; } =
        [.. Json.KindAssemblies.Types.Where(t => !t.IsAbstract && t.IsSubclassOf(typeof(HostFamily)))
            .Select(t => (HostFamily)Activator.CreateInstance(t)!).OrderBy(f => f.Order).SelectMany(f => f.Presets)];

    /// <summary>The host with an id, or null.</summary>
    public static Host? Find(string id) => All.FirstOrDefault(h => h.Id == id);
}

/// <summary>A box, m, that the rig, its swing and its loose ends must keep out of.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Name">In the user's words: "driver's view".</param>
/// <param name="Low">Smallest x, y, z.</param>
/// <param name="High">Largest x, y, z.</param>
/// <param name="Why">What happens there.</param>
/// <param name="Sight">Only to be seen through: thin rods and straps may cross it.</param>
/// <param name="Inside">Behind the skin: nothing that hangs outside swings there.</param>
public sealed record KeepClear(string Id, string Name, double[] Low, double[] High, string Why, bool Sight = false, bool Inside = false)
{
    /// <summary>True where it takes what gets there: it turns, or the host is flown by it. A tether that lets something swing there keeps
    /// nothing.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public bool Takes { get; init; }

    /// <summary>The side of the paddle that passes there; null for what is there on whatever side is paddled.</summary>
    [System.Text.Json.Serialization.JsonIgnore]
    public Sides? Paddled { get; init; }
}
