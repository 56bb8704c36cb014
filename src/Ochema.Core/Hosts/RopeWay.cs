using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>
/// Two anchors and what runs on a rope between them. Origin on the ground, below the middle of the span; ahead is along the run. Generic
/// sizes, judgement.
/// </summary>
public sealed class RopeWay : Host
{
    /// <summary>It rolls, is caught by a hand or its stop, and hangs in the wind.</summary>
    public static MotionProfile Rolling { get; } = new()
    {
        Braking = Stopping,
        Accelerating = 0.3,
        Cornering = 0.1,
        HorizontalSource = "judgement: a hand line 0.2–0.6 g, a stop of soft cord as long as it may be",
        Bumps = [0.05, 0.12, 0.35],
        BumpSource = "judgement: a pulley over a splice or knot, a hand that tugs, 0.3–3 ×",
        PulseDuration = 0.060,
        AllRound = true,
        Knock = 30,
        Over = new("Rope", "a clean rope", "a worn rope", "a rope with splices"),
        Names = new("caught by the hand line", "pulled away", "swinging left", "swinging right", "a jerk", "a splice under a pulley"),
    };

    /// <summary>What rigs here are judged for when they are stopped, g.</summary>
    public const double Stopping = 0.6;

    /// <summary>Pulls of a hand at a line and the lay of the rope under the pulleys (judgement).</summary>
    private static readonly TabulatedShake Rolls = new("rolling along the rope",
        [(0.3, 0.002), (0.8, 0.01), (2, 0.006), (6, 0.001), (15, 0.003), (40, 0.0005), (200, 1e-7)], 0.6, 0.4,
            new("pulls of the hand line", 0.5, 2), [0.3, 1, 3])
    {
        Reference = 1.5,
        Growth = 1,
        Source = "judgement, 0.3–3 ×; grows with the speed",
    };

    private const double Half = 6.1;
    private const double Height = 2.4;

    public override string Id => "rope-way";

    public override string Name => "Rope run";

    public override string Kind => "field";

    public override string Whereabouts => "In the field";

    public override string Called => "the rope";

    public override MotionProfile Motion => Rolling;

    public override ShakeProfile Shake => Rolls;

    public override Drive Drive => Drive.Travel(12, "rope speed");

    public override string Travel => "The empty carriage from end to end once, by hand line.";

    public override (double Front, double Rear, double Side) Outline => (Half, Half, 1);

    public override IReadOnlyList<string> Cautions =>
    [
        "Nobody under the rope, and nobody beside it while it is drawn: a rope that parts whips.",
        "Draw it to its sag and not to what the ratchet can do: over-tightening is how ropes break.",
        "A hand on the camera until it is past its end stop; the stop is tried with a bag of the same weight first.",
    ];

    /// <summary>Middle of the span, at the height of its ends; <see cref="Site.Rise"/> is halved on either side.</summary>
    public override PanelSurface Surface(Site site) => site.Id == "rope"
        ? HostDrawing.Along(new(0, 0, (site.Above ?? Height) + (site.Rise ?? 0) / 2), new Vec3(site.Span ?? 2 * Half, 0, site.Rise ?? 0),
            -Vec3.UnitZ,
            0.45 * (site.Span ?? 2 * Half), 0.3)
        : throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host");

    protected override IReadOnlyList<Site> MakeSites() =>
    [
        new() { Id = "rope", Name = "Rope between two trees", Form = SiteForm.Rope, Material = "living-wood", Thickness = 0.05,
            ClearRadius = 0.8,
            CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1, Span = 2 * Half, Above = Height, Rise = 0, EndsHold = 4000 },
    ];

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        // A second, slack rope above or beside the first: its hook slides along.
        new("slack-rope", "Slack second rope beside the run", [-Half, 0.35, Height + 0.1], [Half, 0.35, Height + 0.1]) { Hung = true },
    ];

    protected override IReadOnlyList<HostSurface> Drawing() =>
    [
        HostDrawing.Tube("way", "trim", 0.006, new(-Half, 0.35, Height + 0.1), new(-Half / 2, 0.35, Height - 0.02),
            new(0, 0.35, Height - 0.06),
            new(Half / 2, 0.35, Height - 0.02), new(Half, 0.35, Height + 0.1)),
    ];
}

/// <summary>The rope ways that ship.</summary>
public sealed class RopeWayFamily : HostFamily
{
    public override int Order => 12;

    public override IReadOnlyList<Host> Presets { get; } = [new RopeWay()];
}
