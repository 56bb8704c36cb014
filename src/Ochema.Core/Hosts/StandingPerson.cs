using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>Somebody who stands still with the butt of a pole between their feet. Origin on the ground between the feet.
/// Judgement.</summary>
public sealed class StandingPerson : Person
{
    /// <summary>Nothing but the wind, somebody who is jostled, a branch at the top.</summary>
    public static MotionProfile Standing { get; } = new()
    {
        Braking = 0.05,
        Accelerating = 0.05,
        Cornering = 0.05,
        HorizontalSource = "judgement: whoever holds it shifts their feet, 0.02–0.1 g",
        Bumps = [0.02, 0.1, 0.3],
        BumpSource = "judgement: the butt set down again, somebody jostled, 0.5–2 ×",
        PulseDuration = 0.050,
        Still = true,
        Knock = 15,
        Over = new("Round you", "nobody near", "people walking past", "a crowd"),
        Names = new("a shift of the feet forward", "a shift back", "a shift to the left", "a shift to the right", "a nudge",
            "the butt set down"),
    };

    /// <summary>Sway of somebody standing below a hertz, and tremor of the hands at 8 to 12 Hz (levels judgement).</summary>
    public static TabulatedShake Swaying { get; } = new("sway and tremor of whoever holds it",
        [(0.3, 0.01), (1, 0.01), (3, 0.004), (8, 0.03), (12, 0.02), (20, 0.002), (60, 0.0001), (200, 0.000001)], 1, 0.3,
            new("tremor of the hands", 8, 12), [0.5, 1, 2]);

    public override string Id => "standing-still";

    public override string Name => "Held by hand, butt on the ground";

    public override MotionProfile Motion => Standing;

    public override ShakeProfile Shake => Swaying;

    public override Drive Drive => Drive.Wind(25);

    public override IReadOnlyList<string> Cautions =>
    [
        "Power lines kill through poles: stay away by 3 m (10 ft), the reach and the pole's own length; carbon and aluminium conduct.",
        "Nobody under the pole. Two put it up and take it down; it comes down in a gust and at the first thunder.",
        "No loop on the wrist: a pole that falls must not take you along.",
    ];

    /// <summary>Between the boots, below the hands.</summary>
    private static readonly Vec3 Between = Hands with { Z = 0 };

    public override PanelSurface Surface(Site site) => Sites.Any(s => s.Id == site.Id)
        ? HostDrawing.Along(Between, Vec3.UnitX, new Vec3(Math.Sin(site.Slope), 0, Math.Cos(site.Slope)), 0.3, 0.3)
        : throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host");

    protected override IReadOnlyList<Site> MakeSites() => [.. GroundForm.Places(SiteForm.Butt, " at your feet", 0.3, 1)];

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("stake-left", "Stake in the ground, left", new Vec3(0.3, 0.8, 0.02), 150),
        HostDrawing.At("stake-right", "Stake in the ground, right", new Vec3(0.3, -0.8, 0.02), 150),
    ];
}
