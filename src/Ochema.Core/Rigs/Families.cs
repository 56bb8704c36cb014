using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;

using Ochema.Core.Stock;
namespace Ochema.Core.Rigs;

/// <summary>A change of one station that is worth trying: what advice, for holding and for the picture, puts in its place.</summary>
/// <param name="Id">Unique within the rig's moves.</param>
/// <param name="Title">In words.</param>
/// <param name="To">What stands there instead, of the same family.</param>
/// <param name="Stiffens">True where it makes the mount stiffer: of no use to a picture in which the host's own nodding is most of what is
/// seen.</param>
internal sealed record Move(string Id, string Title, Kind To, bool Stiffens = true);

/// <summary>A kind that stands in a rig.</summary>
public abstract record StationKind : Kind
{
    /// <summary>How it is made and fitted by hand: what is its own, beside what follows from its pieces and joints.</summary>
    /// <param name="b">The rig as built.</param>
    internal virtual IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) => [];

    /// <summary>True for what gives way slowly under a steady pull, as glue, rubber and webbing do: a proof of it is held for a
    /// minute.</summary>
    internal virtual bool GivesSlowly => false;
}

/// <summary>How the rig holds on to the panel.</summary>
[Family("base", 0)]
public abstract record BaseKind : StationKind
{
    /// <summary>Builds holds and plate; returns where the reach attaches.</summary>
    public abstract Mount Build(RigBuilder b);

    /// <summary>True where it hangs on lines: with one gone it swings over and hangs on the others, and does not fall.</summary>
    internal virtual bool Hangs => false;

    /// <summary>The same with its holds as they are some time after they were last pumped up.</summary>
    /// <inheritdoc cref="HoldKind.Pumped"/>
    internal virtual BaseKind Pumped(double since, double? halfLife) => this;

    /// <summary>The slack line that can be hung beside it, for a tether to run along; null where there is none.</summary>
    internal virtual SlackLine? HungBeside(RigSetting b) => null;

    /// <summary>What it asks of a place.</summary>
    [JsonIgnore]
    public abstract Grip Grip { get; }

    /// <summary>What the load path calls it.</summary>
    /// <param name="holds">How many holds it stands on.</param>
    /// <param name="first">Name of the first of its parts.</param>
    internal virtual string Called(int holds, string first) => InfoOf(GetType()).Label;

    /// <summary>What may be tried instead of it: other sizes of itself, its feet further apart, what grows out of it.</summary>
    internal virtual IEnumerable<Move> Moves(Stock.Catalogue stock) => [];

    /// <summary>Its sizes on the shelf, each with a name that says what it is.</summary>
    internal virtual IEnumerable<(string Id, string Name, BaseKind Kind)> Sizes(Stock.Catalogue stock) => [];

    /// <summary>The same on the next larger hold of the shelf; null when there is none, or it has no holds of the shelf.</summary>
    internal virtual BaseKind? OnLargerHold(Stock.Catalogue stock) => null;

    /// <summary>How many holds it can stand on and does: least, most, now; null where that is no question.</summary>
    internal virtual (int Least, int Most, int Now)? HoldCounts => null;

    /// <summary>The same on so many of its holds.</summary>
    internal virtual BaseKind WithHolds(int count) => this;

    /// <summary>Depth of the water that it stands in, m; infinite where nobody says.</summary>
    internal virtual double WaterDepth => double.PositiveInfinity;

    /// <summary>The answers it stands for at a place of a form; <paramref name="own"/> where it is what the rig stands on.</summary>
    internal virtual IEnumerable<Stance> Stances(Hosts.SiteForm form, bool own, Catalogue stock) => [];

    /// <summary>How much further apart feet are tried.</summary>
    internal const double Further = 4.0 / 3;
}

/// <summary>What carries the camera away from the base.</summary>
[Family("reach", 1)]
public abstract record ReachKind : StationKind
{
    /// <summary>Builds from the base's mount; returns where the head attaches.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);

    /// <summary>What may be tried instead of it.</summary>
    internal virtual IEnumerable<Move> Moves(Stock.Catalogue stock) => [];

    /// <summary>What the load path calls it.</summary>
    /// <param name="first">Name of the first of its parts; empty where it has none.</param>
    internal virtual string Called(string first) => first.Length > 0 ? first : InfoOf(GetType()).Label;

    /// <summary>False where nothing stands between base and head.</summary>
    internal virtual bool Stands => true;

    /// <summary>What keeps it on what it stands on, each by itself, in words.</summary>
    internal virtual IReadOnlyList<string> Keeps => ["its foot"];

    /// <summary>True for one that hands can hold besides its foot.</summary>
    [JsonIgnore]
    public virtual bool IsPole => false;

    /// <summary>True for what is moved by hand between pictures and bounces before it stands: how long is said then.</summary>
    internal virtual bool WaitsToSettle => false;

    /// <summary>True for what stands out so far that weed, lines and branches catch it.</summary>
    [JsonIgnore]
    public virtual bool Snags => false;

    /// <summary>The answers it stands for.</summary>
    internal virtual IEnumerable<Stance> Stances => [];

    /// <summary>How far it reaches, m, where that is so far that power lines have to be asked about; null where it is not.</summary>
    [JsonIgnore]
    public virtual double? TowardsLines => null;
}

/// <summary>What keeps shakes from the camera.</summary>
[Family("isolator", 2)]
public abstract record IsolatorKind : StationKind
{
    /// <summary>Builds from the reach's mount; returns where the head attaches.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);

    /// <summary>What may be tried instead of it.</summary>
    internal virtual IEnumerable<Move> Moves(Stock.Catalogue stock) => [];

    /// <summary>What of it is tried when a soft mount is looked for: every row, number and setting that could do.</summary>
    internal virtual IEnumerable<(string Id, string Title, IsolatorKind Kind)> Tried(RigDocument rig, Stock.Catalogue stock) => [];

    /// <summary>The answer it stands for.</summary>
    internal virtual Stance? Stance => null;

    /// <summary>True for what gives: a piece of its own, with its row and what keeps it.</summary>
    internal virtual bool Floats => true;
}

/// <summary>What turns a camera on its head, as shares of power.</summary>
/// <param name="Turning">Of its seat's turning.</param>
/// <param name="Shaking">Turning for its seat's acceleration across the axis, (rad ÷ (m/s²))².</param>
internal readonly record struct HeadPasses(double Turning, double Shaking);

/// <summary>What the camera stands on.</summary>
[Family("head", 3)]
public abstract record HeadKind : StationKind
{
    /// <summary>Builds from the reach's mount; returns the camera's seat.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);

    /// <summary>What keeps the camera on it.</summary>
    [JsonIgnore]
    public virtual IReadOnlyList<string> Keeps => ["its screw"];

    /// <summary>
    /// What keeps it on what it stands on, and the name of the piece that comes off there (null: the head itself); null where it has no
    /// such joint.
    /// </summary>
    internal virtual (string? Piece, string By)? Joins => (null, "its screw");

    /// <summary>True for what holds the camera by a lever, buckle or thumb screw alone.</summary>
    internal virtual bool IsClosedByHand => false;

    /// <summary>True for one whose own screw goes into the camera.</summary>
    [JsonIgnore]
    public virtual bool ScrewsIn => true;

    /// <summary>True for one that takes a long lens by its foot as well as a camera.</summary>
    internal virtual bool TakesLensFoot => ScrewsIn;

    /// <summary>True for one on which a camera hangs upside down where it hangs.</summary>
    internal virtual bool TurnsOver => true;

    /// <summary>True where there is room above the camera.</summary>
    internal virtual bool LeavesTopFree => true;

    /// <summary>What the camera's screw passes where it is made by hand; null where the head comes with its plate and screw.</summary>
    internal virtual StackLayer? Plate(RigSetting b) => null;

    /// <summary>Catalogue id of what it is.</summary>
    internal abstract string Row { get; }

    /// <summary>What of its seat's movement turns the camera at a frequency, Hz; rigid heads pass all turning on and add none.</summary>
    internal virtual HeadPasses Passes(double frequency) => new(1, 0);
}

/// <summary>A strut from the load path back to the host.</summary>
[Family("brace", 4)]
public abstract record BraceKind : StationKind
{
    /// <summary>Unique within the rig.</summary>
    public required string Id { get; init; }

    public abstract void Build(RigBuilder b);

    /// <summary>What it is called in a sentence: "strut".</summary>
    internal abstract string Noun { get; }

    /// <summary>What independently keeps it.</summary>
    internal virtual IReadOnlyList<string> Keeps => ["its foot", "its clamp"];

    /// <summary>Where on the host its foot stands; null for what stands on no site.</summary>
    [JsonIgnore]
    public virtual Footing? Footing => null;

    /// <summary>What is proposed where there is no brace yet, with its foot at a place of a site; null for a kind that nobody
    /// proposes.</summary>
    internal virtual BraceKind? Proposed(string id, Hosts.Site site, double[] at, Stock.Catalogue stock) => null;

    /// <summary>The same with its foot as it is some time after it was last pumped up.</summary>
    /// <inheritdoc cref="HoldKind.Pumped"/>
    internal virtual BraceKind Pumped(double since, double? halfLife) => this;

    /// <summary>The same with its foot on another site of the host.</summary>
    internal virtual BraceKind StandingOn(string site) => this;

    /// <summary>The same with its foot at another place of its site, m from the panel's middle.</summary>
    internal virtual BraceKind Standing(double[] at) => this;
}

/// <summary>The place of a foot.</summary>
/// <param name="Site">Id of the host's site.</param>
/// <param name="At">Place on it, m.</param>
/// <param name="Grip">What the foot asks of it.</param>
public sealed record Footing(string Site, double[] At, Grip Grip);

/// <summary>One hold on a panel: of a base, or the foot of a brace.</summary>
[Family("hold", 5)]
public abstract record HoldKind : StationKind
{
    /// <summary>Adds the hold's spring, body and checks at a place.</summary>
    public abstract Hold Build(RigBuilder b, HoldSpot spot);

    /// <summary>What it asks of a place.</summary>
    [JsonIgnore]
    public abstract Grip Grip { get; }

    /// <summary>What it is called among others of its kind: "cup".</summary>
    internal abstract string Noun { get; }

    /// <summary>The answer it stands for at a place of a form: a plate on it is meant.</summary>
    internal virtual Stance? Stance(Hosts.SiteForm form) => null;

    /// <summary>Outside diameter on the panel, m.</summary>
    public abstract double Diameter(Stock.Catalogue stock);

    /// <summary>The same some time after it was last pumped up; itself where nothing leaks.</summary>
    /// <param name="since">s from then to now: its own time until the next look comes on top.</param>
    /// <param name="halfLife">Of its vacuum as measured, s; null: as it was.</param>
    internal virtual HoldKind Pumped(double since, double? halfLife) => this;

    /// <summary>The same hold in the next larger size on the shelf, or null.</summary>
    public abstract HoldKind? Larger(Stock.Catalogue stock);
}
