using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>
/// Something that turns with the rig on it: a roundabout, a fan, a wheel on edge, a swing. Its axes turn with it; ahead is the way the
/// place goes. Generic sizes,
/// judgement.
/// </summary>
public sealed class Turning : Host
{
    private readonly Spin spin;
    private readonly double top;
    private readonly Vec3 place;
    private readonly Site site;
    private readonly IReadOnlyList<HostSurface> drawing;
    private readonly IReadOnlyList<Anchor> ends;

    private Turning(string id, string name, string called, Spin spin, double top, Vec3 place, Vec3 along, Vec3 normal, Site site,
        IReadOnlyList<Anchor> ends, IReadOnlyList<HostSurface> drawing)
    {
        (Id, Name, Called, this.spin, this.top, this.place, this.site, this.ends, this.drawing) = (id, name, called, spin, top, place, site,
            ends, drawing);
        (Along, Normal) = (along, normal);
        Motion = Running with { Turning = spin };
    }

    /// <inheritdoc/>
    public override string? Isolates => mains;

    private string? mains;

    private Vec3 Along { get; }

    private Vec3 Normal { get; }

    private static readonly MotionProfile Running = new()
    {
        Braking = 0.3,
        Accelerating = 0.3,
        Cornering = 0.1,
        HorizontalSource = "judgement: set going and stopped by hand, 0.1–0.5 g",
        Bumps = [0.05, 0.15, 0.4],
        BumpSource = "judgement: a bearing that knocks, somebody who jumps on, 0.3–3 ×",
        PulseDuration = 0.040,
        Knock = 60,
        Over = new("Bearing", "a smooth bearing", "a worn bearing", "a bearing that knocks"),
        Names = new("stopped by hand", "pushed off", "rocking to the left", "rocking to the right", "a knock", "a stop"),
    };

    private static readonly TabulatedShake Rumble = new("rumble of the bearing",
        [(0.3, 0.001), (1, 0.006), (4, 0.003), (12, 0.002), (40, 0.0005), (200, 1e-6)], 0.6, 0.6, new("rumble of the bearing", 1, 12), [0.3, 1, 3])
    {
        Reference = 4,
        Growth = 2,
        Source = "judgement, 0.3–3 ×; grows with the square of the speed",
    };

    public override string Id { get; }

    public override string Name { get; }

    public override string Kind => "field";

    public override string Whereabouts => "In the field";

    public override string Called { get; }

    public override MotionProfile Motion { get; }

    public override ShakeProfile Shake => Rumble;

    public override Drive Drive => Drive.Travel(top, spin.Swings ? "speed at its lowest" : "turning rate") with
    {
        PerTurn = spin.Swings ? null : 2 * Math.PI * spin.Radius,
    };

    public override string Travel => "One whole turn by hand, slowly.";

    public override (double Front, double Rear, double Side) Outline => (2, 2, 2);

    public override IReadOnlyList<string> Cautions =>
    [
        "Twice as fast pulls four times as hard. Nobody in the plane it turns in, or under it: what comes off flies on.",
        "As much weight opposite, or it walks and its bearing suffers; turned by hand once round with everything fitted.",
        "Only what is yours, and only what turns no faster than you can stop it by hand.",
    ];

    public override PanelSurface Surface(Site site) => site.Id == this.site.Id
        ? HostDrawing.Along(place, Along, Normal, 0.15)
        : throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host");

    protected override IReadOnlyList<Site> MakeSites() => [site];

    protected override IReadOnlyList<Anchor> MakeAnchors() => ends;

    protected override IReadOnlyList<HostSurface> Drawing() => drawing;

    /// <summary>A playground's roundabout: the rail on its right-hand side, as seen from the way it goes.</summary>
    public static Turning Roundabout { get; } = new("roundabout", "Roundabout", "the roundabout", new(Vec3.UnitZ, Vec3.Zero, 1.1), 7,
        new(0, -1.1, 0.86),
        Vec3.UnitX, Vec3.UnitZ, Site.Gripped("rail", "Hand rail, 42 mm pipe", SiteForm.Tube, "steel-s235", 0.0424, 0.003, 0.35, 1),
        [
            HostDrawing.At("rail-post", "Round the rail's post", new(0.4, -1.02, 0.6), 2000),
                HostDrawing.At("hub", "Round the hub", new(0, 0, 0.7), 4000),
        ],
        [
            HostDrawing.Dome("deck", "trim", new(0, 0, 0.12), new(1.2, 1.2, 0.04), 0, Math.PI),
                HostDrawing.Tube("hub", "trim", 0.12, Vec3.Zero, new(0, 0,
                0.8)),
            HostDrawing.Tube("rail", "trim", 0.0424, new(-0.55, -0.95, 0.84), new(0, -1.1, 0.84), new(0.55, -0.95, 0.84)),
            HostDrawing.Tube("rail-post", "trim", 0.0424, new(0.4, -1.02, 0.12), new(0.4, -1.02, 0.84)),
            HostDrawing.Tube("rail-post-2", "trim", 0.0424, new(-0.4, -1.02, 0.12), new(-0.4, -1.02, 0.84)),
            HostDrawing.Tube("spoke", "trim", 0.0424, new(0, 0, 0.75), new(0, -1.1, 0.84)),
        ]);

    /// <summary>A fan under a ceiling, its blade taken hold of at half a metre.</summary>
    public static Turning Fan { get; } = new("ceiling-fan", "Ceiling fan", "the fan", new(Vec3.UnitZ, new(0, 0, 2.3), 0.5), 11,
        new(0, -0.5, 2.3),
        Vec3.UnitY, -Vec3.UnitZ, Site.Gripped("blade", "Blade, half a metre out", SiteForm.Edge, "pine", 0.008, 0.004, 0.3, 1),
        [HostDrawing.At("fan-hub", "Round the fan's stem", new(0, 0, 2.4), 1000)],
        [
            HostDrawing.Tube("stem", "trim", 0.03, new(0, 0, 2.3), new(0, 0, 2.7)),
                HostDrawing.Dome("motor", "trim", new(0, 0, 2.32), new(0.12, 0.12,
                0.06), 0, Math.PI),
            .. Enumerable.Range(0, 4).Select(i =>
            {
                Vec3 At(double r, double w) => new Vec3(w, -r, 2.304).RotatedAbout(Vec3.UnitZ, i * Math.PI / 2);
                return HostDrawing.Face($"blade-{i}", "bark", At(0.14, -0.05), At(0.62, -0.07), At(0.62, 0.07), At(0.14, 0.05));
            }),
        ])
    {
        mains = "Fuse or breaker out and in your pocket, the wall switch taped over; try the switch: nothing moves. It is turned by hand "
            + "for the picture, "
            + "and the mains go back on when the camera is down and all hands are off it.",
    };

    /// <summary>A wheel on edge, on a stand: a spoke's end at the top as it is drawn.</summary>
    public static Turning Wheel { get; } = new("turning-wheel", "Wheel on edge", "the wheel",
        new(Vec3.UnitY, new(0, 0, 0.9), 0.6, Tumbles: true), 9, new(0,
        0, 1.5),
        Vec3.UnitX, Vec3.UnitZ, Site.Gripped("wheel-rim", "Rim, 25 mm tube", SiteForm.Tube, "steel-s235", 0.025, 0.002, 0.2, 1),
        [HostDrawing.At("wheel-hub", "Round the hub", new(0, 0.03, 0.9), 3000)],
        [
            HostDrawing.Tube("wheel-rim", "trim", 0.025,
                [.. Enumerable.Range(0, 25).Select(i => new Vec3(0, 0, 0.9) + (0.6 - 0.0125) * Vec3.UnitZ.RotatedAbout(Vec3.UnitY, 2 * Math.PI * i / 24))]),
            .. Enumerable.Range(0, 6).Select(i => HostDrawing.Tube($"spoke-{i}", "trim", 0.012, new Vec3(0, 0, 0.9),
                new Vec3(0, 0, 0.9) + 0.58 * Vec3.UnitZ.RotatedAbout(Vec3.UnitY, Math.PI * i / 3))),
            HostDrawing.Tube("axle", "trim", 0.03, new(0, -0.12, 0.9), new(0, 0.25, 0.9)),
                HostDrawing.Tube("stand", "trim", 0.05, new(0, 0.25, 0), new(0,
                0.25, 0.95)),
        ]);

    /// <summary>A swing at its lowest: the weight stays down in its own axes, for it swings freely.</summary>
    public static Turning Swing { get; } = new("swing", "Swing", "the swing", new(Vec3.UnitY, new(0, 0, 2.7), 2.2, Swings: true), 6,
        new(0.02, -0.2, 0.5),
        Vec3.UnitY, -Vec3.UnitZ, Site.Gripped("seat", "Seat board, from below", SiteForm.Edge, "pine", 0.03, 0.015, 0.25, 1),
        [
            HostDrawing.At("chain-left", "Chain, left", new(-0.05, 0.22, 0.9), 2000),
                HostDrawing.At("chain-right", "Chain, right", new(-0.05, -0.22, 0.9),
                2000),
        ],
        [
            HostDrawing.Face("seat", "bark", new(0.08, 0.24, 0.515), new(0.08, -0.24, 0.515), new(-0.14, -0.24, 0.515),
                new(-0.14, 0.24, 0.515)),
            HostDrawing.Tube("chain-left", "trim", 0.012, new(-0.03, 0.22, 0.52), new(0, 0.22, 2.7)),
            HostDrawing.Tube("chain-right", "trim", 0.012, new(-0.03, -0.22, 0.52), new(0, -0.22, 2.7)),
            HostDrawing.Tube("beam", "bark", 0.1, new(0, 0.8, 2.75), new(0, -0.8, 2.75)),
            HostDrawing.Tube("leg-left", "bark", 0.09, new(0.7, 0.85, 0), new(0, 0.75, 2.75), new(-0.7, 0.85, 0)),
            HostDrawing.Tube("leg-right", "bark", 0.09, new(0.7, -0.85, 0), new(0, -0.75, 2.75), new(-0.7, -0.85, 0)),
        ]);
}

/// <summary>What turns, as shipped.</summary>
public sealed class TurningFamily : HostFamily
{
    public override int Order => 13;

    public override IReadOnlyList<Host> Presets { get; } = [Turning.Roundabout, Turning.Swing, Turning.Wheel, Turning.Fan];
}
