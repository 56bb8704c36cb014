using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>
/// A rig as the user designs it: the load path from the site to the camera with its helpers, and the conditions it is judged for.
/// All numbers SI. This is what files, versions and the API carry.
/// </summary>
public sealed record RigDocument
{
    /// <summary>The schema number this version writes.</summary>
    public const int CurrentSchema = 3;

    public required int Schema { get; init; }
    public required string Name { get; init; }
    public string Notes { get; init; } = "";

    /// <summary>Id of the host preset.</summary>
    public required string Host { get; init; }

    /// <summary>The panel the base stands on, as measured.</summary>
    public required Site Site { get; init; }

    /// <summary>Where the middle of the base stands on the panel: forward (or along) and left (or up) of the panel's middle, m.</summary>
    public required double[] At { get; init; }

    public required BaseKind Base { get; init; }

    /// <summary>The ways from the base to a camera: one, or two.</summary>
    public required IReadOnlyList<CameraPath> Paths { get; init; }

    /// <summary>Reach of the first path.</summary>
    [JsonIgnore]
    public ReachKind Reach { get => Paths[0].Reach; init => Paths = [Paths[0] with { Reach = value }, .. Paths.Skip(1)]; }

    /// <summary>Soft mount of the first path.</summary>
    [JsonIgnore]
    public IsolatorKind Isolator { get => Paths[0].Isolator; init => Paths = [Paths[0] with { Isolator = value }, .. Paths.Skip(1)]; }

    /// <summary>Head of the first path.</summary>
    [JsonIgnore]
    public HeadKind Head { get => Paths[0].Head; init => Paths = [Paths[0] with { Head = value }, .. Paths.Skip(1)]; }

    /// <summary>Camera of the first path.</summary>
    [JsonIgnore]
    public CameraChoice Camera { get => Paths[0].Camera; init => Paths = [Paths[0] with { Camera = value }, .. Paths.Skip(1)]; }

    /// <summary>The path of a second camera on the same base; null where there is none.</summary>
    [JsonIgnore]
    public CameraPath? Second
    {
        get => Paths.Count > 1 ? Paths[1] : null;
        init => Paths = value is null ? [Paths[0]] : [Paths[0], value];
    }

    public IReadOnlyList<BraceKind> Braces { get; init; } = [];
    public IReadOnlyList<Strap> Straps { get; init; } = [];
    public IReadOnlyList<Tether> Tethers { get; init; } = [];
    public required RunConditions Run { get; init; }

    /// <summary>Required factors the user set, by name of <see cref="FactorTable"/>; the rest follow from the consequence class.</summary>
    public IReadOnlyDictionary<string, double> Factors { get; init; } = new Dictionary<string, double>();

    /// <summary>What was found at the site and what the rules of the day say.</summary>
    public SiteSurvey Survey { get; init; } = new();

    /// <summary>Rows of the user's own that this rig is made of; null for none.</summary>
    public OwnStock? Stock { get; init; }

    /// <summary>When and how values were measured, by their path, as "base.hold.measuredPull"; null where none is known.</summary>
    public IReadOnlyDictionary<string, Taken>? Measured { get; init; }

    /// <summary>Steps of the build plan that were done or noted, by their id; null for none.</summary>
    public IReadOnlyDictionary<string, Made>? Made { get; init; }

    /// <summary>What the builder has, pays and saws with; null while nothing is said.</summary>
    public Bench? Bench { get; init; }

    /// <summary>The user's own choices for screwed joints, by joint id.</summary>
    public IReadOnlyDictionary<string, JointChoice> Joints { get; init; } = new Dictionary<string, JointChoice>();
}

/// <summary>The camera and where it looks.</summary>
public sealed record CameraChoice
{
    [StockChoice("Body", "cameras")]
    public required string Body { get; init; }

    [StockChoice("Lens", "lenses", Beside = "body")]
    [OfPicture]
    public required string Lens { get; init; }

    [Option("Held by", HowTo = "a long lens by its own foot: its weight is no load of the camera's mount")]
    [OfPicture]
    public CameraFoot Foot { get; init; }

    [StockChoice("In its shoe", "cameras", Only = MeasureReader.InShoe, None = "nothing", HowTo = "lamp, microphone, recorder")]
    [OfPicture]
    public string? Shoe { get; init; }

    [Option("What is in the shoe is", HowTo = "a loop of cord from it to the camera's eye")]
    [OfPicture]
    public ShoeLoop ShoeLoop { get; init; }

    [Measure("Zoomed to", Dimension.Length, 0.001, 1, HowTo = "of a zoom only; leave empty for where it is usually left", Measured = true,
        Chosen = true, Of = "lens")]
    [OfPicture]
    public double? FocalLength { get; init; }

    [Measure("Weighed, all on", Dimension.Mass, 0.02, 30, HowTo = "body, lens, battery, cage on a kitchen scale, the shoe empty; leave empty for the "
        + "catalogue",
        Measured = true, Of = "body,lens", UsualFrom = 0.06, UsualTo = 10, Greatest = "Greatest payload")]
    public double? Mass { get; init; }

    [Measure("In a housing rated to", Dimension.Length, 0.2, 300, HowTo = "as stamped on it, its seal looked at; leave empty without one",
        Measured = true, Chosen = true, Of = "body")]
    public double? Housing { get; init; }

    [Measure("Turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 looks ahead, 180 looks back")]
    public double Pan { get; init; }

    [Measure("Tilted up", Dimension.Angle, -1.2, 1.2, HowTo = "below the horizon is negative")]
    public double Tilt { get; init; }

    [Measure("Frames", Dimension.FrameRate, 10, 250)]
    [OfPicture]
    public double FrameRate { get; init; } = 25;

    [Measure("Exposure", Dimension.Time, 0.0001, 0.1, HowTo = "1/50 is 20 ms", UsualFrom = 0.0002, UsualTo = 0.042)]
    [OfPicture]
    public double Exposure { get; init; } = 0.02;

    [Measure("Near subject on the host", Dimension.Length, 0.2, 50, HowTo = "camera to a face behind the screen, say; leave empty when it looks far away", Measured = true)]
    [OfPicture]
    public double? Subject { get; init; }

    /// <summary>Id of somebody on the host who is the subject: how near they are follows from where the camera is; null for
    /// nobody.</summary>
    public string? Who { get; init; }

    [Measure("Worth", Dimension.Money, 0, 1e6, HowTo = "body, lens and all; from {money:1000} on one hold alone is refused",
        Measured = true, Chosen = true, Of = "body,lens")]
    public double? Worth { get; init; }

    [Option("Stabiliser", HowTo = "in the camera")]
    [OfPicture]
    public Stabiliser Stabiliser { get; init; }

    [Option("Delivered as")]
    [OfPicture]
    public Delivery Delivery { get; init; } = Delivery.Uhd;

    /// <summary>All that stands on the head, kg: weighed or as listed, with what is in the shoe.</summary>
    internal double OnScale(Catalogue stock) => (Mass ?? stock.Find<CameraRow>("cameras", Body).Mass
        + stock.Find<LensRow>("lenses", Lens).Mass)
        + (Shoe is { } shoe ? stock.Find<CameraRow>("cameras", shoe).Mass : 0);
}

/// <summary>What of camera and lens stands on the head.</summary>
public enum CameraFoot
{
    [Description("the lens's foot where it has one")]
    AsUsual,

    [Description("the camera's own foot")]
    Body,
}

/// <summary>What keeps a thing in a camera's shoe.</summary>
public enum ShoeLoop
{
    [Description("held by its shoe alone")]
    ShoeAlone,

    [Description("looped to the camera as well")]
    Looped,
}

/// <summary>Where the second path begins.</summary>
public enum SecondPlace
{
    OnTop,
    Underneath,
}

/// <summary>The camera's own stabiliser.</summary>
public enum Stabiliser
{
    AsBuiltIn,
    Off,
}

/// <summary>Size of the delivered picture: 1920 or 3840 pixels across.</summary>
public enum Delivery
{
    [Description("1920 pixels across")]
    Hd,

    [Description("3840 pixels across")]
    Uhd,
}

/// <summary>The way from the base to a camera.</summary>
public sealed record CameraPath
{
    /// <summary>What the first path of a rig is called where nobody gave it a name.</summary>
    public const string FirstId = "first";

    /// <summary>What the second is called.</summary>
    public const string SecondId = "second";

    /// <summary>Unique within the rig: "paths.[first].reach.length" is a place in a document.</summary>
    public required string Id { get; init; }

    public required ReachKind Reach { get; init; }

    /// <summary>The soft mount between reach and head; on the first path only.</summary>
    public IsolatorKind Isolator { get; init; } = new NoIsolator();

    public required HeadKind Head { get; init; }
    public required CameraChoice Camera { get; init; }

    [Option("Second camera stands", HowTo = "underneath: on the far side of the same bolt")]
    public SecondPlace Where { get; init; }

    /// <summary>Where it stands in the document.</summary>
    internal string At => $"paths.[{Id}]";
}

/// <summary>Where a strap or a brace takes hold of the rig.</summary>
public enum RigPoint
{
    BaseFrontLeft,
    BaseFrontRight,
    BaseRearLeft,
    BaseRearRight,
    BaseTop,
    ReachTop,
    HeadTop,

    [Description("soft mount top")]
    IsolatorTop,
}

/// <summary>An end on a closed point of the host.</summary>
/// <param name="Anchor">Id of the host's closed point or edge.</param>
/// <param name="T">How far along an edge, 0…1.</param>
public sealed record AnchorEnd(string Anchor, double T)
{
    /// <summary>Id of the rig's own base, for a lanyard that keeps what a clip or a pole's lock would lose.</summary>
    public const string OnRig = "rig-base";

    /// <summary>Id of the rig's own reach, close to its end: what its head or a cap would lose stays up there.</summary>
    public const string OnReach = "rig-reach";

    /// <summary>True where it ends on the rig itself.</summary>
    internal bool IsOwn => Anchor is OnRig or OnReach;
}

/// <summary>A tension-only line from the rig to a closed point of the host.</summary>
public sealed record Strap
{
    public required string Id { get; init; }

    [StockChoice("Strap", "straps")]
    public required string Stock { get; init; }

    [Measure("Pretension", Dimension.Force, 0, 2500,
        HowTo = "a ratchet makes {force:1000} to {force:2500} by hand, "
            + "a cam buckle {force:200} to {force:400}; pluck it, or a luggage scale across the middle", UsualTo = 1500)]
    public double Pretension { get; init; } = 300;

    [StockChoice("Its end is", "knots", HowTo = "what strength a knot leaves")]
    public string End { get; init; } = "sewn";

    [Option("Hooked by", HowTo = "an open hook jumps off when the strap goes slack")]
    public StrapFitting Fitting { get; init; }

    [Measure("What it ends at holds", Dimension.Force, 20, 50000,
        HowTo = "pulled on with a luggage scale; leave empty for the usual", Measured = true, Of = "to")]
    public double? AnchorHolds { get; init; }

    [Option("Over an edge", HowTo = "a sharp one halves it; pad it")]
    public StrapEdge Edge { get; init; }

    [Option("Hooked on the rig at")]
    public required RigPoint From { get; init; }

    public required AnchorEnd To { get; init; }
}

/// <summary>What a strap ends in.</summary>
public enum StrapFitting
{
    ClosedHook,
    SoftLoop,
    OpenHook,
}

/// <summary>What a strap runs over.</summary>
public enum StrapEdge
{
    None,
    Padded,
    Sharp,
}

/// <summary>A slack line that only matters after something lets go.</summary>
public sealed record Tether
{
    /// <summary>Unique among the tethers.</summary>
    public required string Id { get; init; }

    /// <summary>What another one is called: "tether", "tether-2" and so on, none of those that there are.</summary>
    internal static string FreeId(IReadOnlyList<Tether> tethers) => Words.Free("tether", id => tethers.Any(t => t.Id == id));

    [StockChoice("Tether", "straps")]
    public required string Stock { get; init; }

    [Measure("Slack", Dimension.Length, 0.01, 2, HowTo = "line longer than the way to its end; as short as aiming allows", UsualTo = 0.6)]
    public double Slack { get; init; } = 0.15;

    [Option("Tied to", HowTo = "the camera itself keeps what a clip or a head would lose")]
    public TetherPoint From { get; init; }

    [StockChoice("Its end is", "knots", HowTo = "what strength a knot leaves")]
    public string End { get; init; } = "sewn";

    [Measure("What it ends at holds", Dimension.Force, 20, 50000,
        HowTo = "pulled on with a luggage scale; leave empty for the usual", Measured = true, Of = "to")]
    public double? AnchorHolds { get; init; }

    public required AnchorEnd To { get; init; }
}

/// <summary>Where on the rig a tether is tied: it keeps what lies from there to the host.</summary>
public enum TetherPoint
{
    Camera,
    Head,
    Reach,
    SecondCamera,

    /// <summary>Where the reach stands: a loop of wire round the reach and its base.</summary>
    ReachFoot,
}

/// <summary>Where a drop would land; raises the required factors and the number of retentions.</summary>
public enum Consequence
{
    InsideHost,
    OwnGround,
    PublicWay,
    OnPeople,

    /// <summary>Water too deep to pick it up from: what falls is lost unless it floats or is tethered.</summary>
    DeepWater,
}

/// <summary>What the sun makes of the panel.</summary>
public enum Sun
{
    Shade,
    LightPanel,
    DarkPanel,
}

/// <summary>How a speed through the air is meant.</summary>
public enum Airspeed
{
    /// <summary>As aircraft read it: the speed at which air of sea level presses so hard.</summary>
    Indicated,

    /// <summary>As it is.</summary>
    True,
}

/// <summary>What the rig is judged for.</summary>
public sealed record RunConditions
{
    [Measure("Design speed", Dimension.Speed, 0, 120, UsualTo = 50)]
    public required double Speed { get; init; }

    [Option("Airspeed is", HowTo = "indicated, as the instrument reads it: high up the air is thinner and the aircraft faster than it says", Hosts = "aeroplane")]
    public Airspeed Airspeed { get; init; }

    [Measure("Head wind", Dimension.Speed, 0, 20, HowTo = "added to the speed of travel", UsualTo = 14)]
    public double HeadWind { get; init; }

    [Measure("Gusts", Dimension.Speed, 0, 20, HowTo = "on top of it; {speed:5} is a breezy day or passing a lorry", UsualTo = 14)]
    public double Gust { get; init; } = 5;

    [Measure("Air temperature", Dimension.Temperature, 243.15, 323.15, UsualFrom = 253.15, UsualTo = 318.15)]
    public double Temperature { get; init; } = 288.15;

    [Option("Sun on it", HowTo = "a dark panel in the sun reaches {temperature:343.15}, a light one {temperature:328.15}: "
            + "magnets, glue, plastic and rubber mind")]
    public Sun Sun { get; init; }

    /// <summary>Temperature of what lies in the sun, K: 55 °C for a light panel, 70 °C for a dark one (judgement, ±10 K).</summary>
    [JsonIgnore]
    public double Skin => Math.Max(Temperature, Sun switch { Sun.LightPanel => 328.15, Sun.DarkPanel => 343.15, _ => 0 });

    /// <summary>Where <see cref="Skin"/> comes from.</summary>
    [JsonIgnore]
    public string SkinSource => Sun == Sun.Shade ? "air of the day" : "a panel in the sun, judgement ±10 K";

    [Option("Rain", HowTo = "steady: 10 mm an hour; a downpour: 50. What it stands on counts as wet then")]
    public Rain Rain { get; init; }

    [Measure("Ice on it", Dimension.Length, 0, 0.05, HowTo = "all round, as it grows on a wire that day; 0 for none", UsualTo = 0.02)]
    public double Ice { get; init; }

    [Measure("Altitude", Dimension.Altitude, -400, 5000, UsualFrom = -50, UsualTo = 3500)]
    public double Altitude { get; init; }

    [Measure("Engine speed", Dimension.Rotation, 0, 15000, HowTo = "rpm; leave empty for the usual at this speed", Measured = true, Chosen = true,
        Trait = HostTrait.Engine)]
    public double? Rpm { get; init; }

    [Measure("… up to", Dimension.Rotation, 0, 15000, HowTo = "rpm; the worst from the one to the other counts", Measured = true, Chosen = true,
        Trait = HostTrait.Engine)]
    public double? RpmTo { get; init; }

    [Measure("Counterweight opposite", Dimension.Mass, 0, 200,
        HowTo = "what is fixed on the other side of the axis, scale; leave empty for what the plan asks for", UsualTo = 30, Measured = true,
        Trait = HostTrait.Balanced)]
    public double? Counterweight { get; init; }

    [Measure("Counterweight from the axis", Dimension.Length, 0.02, 5,
        HowTo = "axis to its middle; leave empty for as far out as the place of the rig", UsualTo = 2, Measured = true,
        Trait = HostTrait.Balanced)]
    public double? CounterweightAt { get; init; }

    [Option("Road, air or water")]
    public Going Road { get; init; } = Going.Average;

    [Option("A drop would land")]
    public Consequence Consequence { get; init; } = Consequence.PublicWay;
}
