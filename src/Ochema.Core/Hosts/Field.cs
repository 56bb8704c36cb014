using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>
/// A place in the open: ground of several kinds, a post, a railing, a fence, a table and a thin edge on it. Origin on the ground; ahead is
/// where the picture is. Generic sizes, judgement.
/// </summary>
public sealed class Field : Host
{
    /// <summary>Nothing moves but the wind and whoever walks past.</summary>
    public static MotionProfile Standing { get; } = new()
    {
        Braking = 0.02,
        Accelerating = 0.02,
        Cornering = 0.02,
        HorizontalSource = "judgement: a rail that is leant on, 0.01–0.05 g",
        Bumps = [0.01, 0.05, 0.15],
        BumpSource = "judgement: footsteps near by, a door, a lorry, 0.3–3 ×",
        PulseDuration = 0.050,
        Still = true,
        Knock = 40,
        Over = new("Round it", "nobody near", "people walking past", "people at the rail"),
        Names = new("a nudge from behind", "a nudge from ahead", "a nudge from the right", "a nudge from the left", "a step beside it",
            "a foot against it"),
    };

    /// <summary>Footsteps on a floor or in the grass: 2 Hz and their harmonics, hundredths of a metre per second squared
    /// (judgement).</summary>
    private static readonly TabulatedShake Steps = new("steps near by",
        [(1, 1e-6), (2, 4e-5), (6, 2e-5), (15, 2e-5), (40, 1e-6), (200, 1e-9)], 0.5, 0.5, new("steps near by", 2, 15), [0.1, 1, 3]);

    private const double RailHeight = 1.05;
    private const double TableHeight = 0.74;

    /// <summary>Where things stand on the ground, away from all else.</summary>
    private static readonly Vec3 Spot = new(1.2, 0.5, 0);

    /// <summary>Lip of a table's board, and the thin edge that stands on it.</summary>
    private static readonly Vec3 TableEdge = new(0.4, -1.5, TableHeight);
    private static readonly Vec3 ThinEdge = new(0.15, -1.5, TableHeight + 0.35);

    public override string Id => "open-field";

    public override string Name => "Ground, posts and tables";

    public override string Kind => "field";

    public override string Whereabouts => "In the field";

    public override string Called => "the place";

    public override MotionProfile Motion => Standing;

    public override ShakeProfile Shake => Steps;

    public override Drive Drive => Drive.Wind(25);

    public override (double Front, double Rear, double Side) Outline => (2, 2, 2);

    public override IReadOnlyList<string> Cautions =>
    [
        "Where people walk it is a thing to fall over: a cone or a helper beside it.",
        "Ask before you clamp to a railing or a fence; never to one that keeps people from falling while they lean on it.",
        "Nothing on the ground where vehicles come: no mount holds against a wheel.",
    ];

    public override PanelSurface Surface(Site site) => site.Id switch
    {
        "floor" or "grass" or "sand" or "snow" => HostDrawing.Along(Spot, Vec3.UnitX,
            new Vec3(Math.Sin(site.Slope), 0, Math.Cos(site.Slope)), 0.8, 0.8),
        "post" => HostDrawing.Along(new Vec3((site.Diameter ?? 0.1) / 2, -0.6, 1.1), Vec3.UnitZ, Vec3.UnitX, 0.3),
        "railing" => HostDrawing.Along(new Vec3(0, 1.6, RailHeight + (site.Diameter ?? 0.0483) / 2), Vec3.UnitY, Vec3.UnitZ, 0.5),
        "fence" => HostDrawing.Along(new Vec3(0, -0.2, 0.95), Vec3.UnitY, Vec3.UnitZ, 0.3),
        "table" => HostDrawing.Along(TableEdge, Vec3.UnitY, Vec3.UnitZ, 0.3),
        "thin-edge" => HostDrawing.Along(ThinEdge, Vec3.UnitY, Vec3.UnitZ, 0.15),
        _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
    };

    public override FreeStanding? StandingAt(Site site) => site.Id switch
    {
        "table" => new("table", new(0.05, -1.55, 0), 0.54, 20, ["table-rail", "table-leg"]),
        // A stand of three legs on the floor: worse than the low one on a table that is drawn.
        "thin-edge" => new("stand", ThinEdge with { Z = 0 }, 0.27, 3.5, []),
        _ => null,
    };

    protected override IReadOnlyList<Site> MakeSites() =>
    [
        .. GroundForm.Places(SiteForm.Ground, "", 0.8, 0.6),
        Site.Gripped("railing", "Railing, 1-1/2 in pipe", SiteForm.Tube, "steel-s235", 0.0483, 0.0032, 0.75, 0.9),
        Site.Gripped("fence", "Fence rail", SiteForm.Edge, "pine", 0.038, 0.019, 0.6, 0.9),
        Site.Gripped("post", "Post", SiteForm.Trunk, "pine", 0.1, 0.05, 0.5, 0.9),
        Site.Gripped("table", "Table edge", SiteForm.StandingEdge, "pine", 0.028, 0.014, 0.3, 0.9),
        Site.Gripped("thin-edge", "Thin edge: stand or instrument", SiteForm.StandingEdge, "pine", 0.006, 0.003, 0.12, 0.9),
    ];

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("post-foot", "Round the post, at its foot", new Vec3(0, -0.6, 0.3), 3000),
        HostDrawing.At("post-top", "Round the post, above", new Vec3(0, -0.6, 1.4), 1000),
        HostDrawing.At("railing-post", "Round the railing's post", new Vec3(0, 2.3, 0.8), 3000),
        HostDrawing.At("railing-rail", "Round the railing", new Vec3(0, 1.3, RailHeight), 1500),
        HostDrawing.At("fence-rail", "Round the fence rail", new Vec3(0, -0.35, 0.93), 600),
        HostDrawing.At("table-rail", "Round the rail under the table", new Vec3(0.3, -1.4, TableHeight - 0.06), 400),
        HostDrawing.At("table-leg", "Round the table's leg", new Vec3(0.3, -1.25, 0.4), 400),
        HostDrawing.At("stake", "Stake in the ground", Spot + new Vec3(-0.35, 0, 0.02), 150),
    ];

    protected override IReadOnlyList<HostSurface> Drawing()
    {
        static HostSurface Board(string id, string kind, Vec3 low, Vec3 high) =>
            HostDrawing.Face(id, kind, new(low.X, low.Y, low.Z), new(high.X, low.Y, high.Z),
            new(high.X, high.Y, high.Z), new(low.X, high.Y, low.Z));
        static HostSurface Leg(string id, double x, double y) => HostDrawing.Tube(id, "bark", 0.045, new(x, y, 0),
            new(x, y, TableHeight - 0.03));
        return
        [
            HostDrawing.Dome("turf", "leaf", Spot, new(0.45, 0.4, 0.003), 0, Math.PI / 2),
            HostDrawing.Tube("post", "bark", 0.1, new(0, -0.6, 0), new(0, -0.6, 1.6)),
            HostDrawing.Tube("fence-post", "bark", 0.09, new(0, 0.1, 0), new(0, 0.1, 1.05)),
            HostDrawing.Tube("fence-rail", "bark", 0.038, new(0, -0.6, 0.93), new(0, 0.1, 0.93)),
            HostDrawing.Tube("fence-low", "bark", 0.038, new(0, -0.6, 0.45), new(0, 0.1, 0.45)),
            HostDrawing.Tube("rail", "trim", 0.0483, new(0, 0.9, RailHeight), new(0, 1.6, RailHeight), new(0, 2.3, RailHeight)),
            HostDrawing.Tube("rail-post", "trim", 0.0483, new(0, 0.9, 0), new(0, 0.9, RailHeight)),
            HostDrawing.Tube("rail-post-far", "trim", 0.0483, new(0, 2.3, 0), new(0, 2.3, RailHeight)),
            HostDrawing.Tube("rail-knee", "trim", 0.0424, new(0, 0.9, 0.55), new(0, 2.3, 0.55)),
            Board("table-top", "trim", new(-0.3, -2.0, TableHeight), new(0.4, -1.1, TableHeight)),
            Leg("table-leg-1", -0.22, -1.18), Leg("table-leg-2", 0.32, -1.18), Leg("table-leg-3", -0.22, -1.92),
                Leg("table-leg-4", 0.32, -1.92),
            HostDrawing.Face("thin-edge", "trim", new(0.15, -1.65, TableHeight), new(0.15, -1.35, TableHeight),
                new(0.15, -1.35, TableHeight + 0.35),
                new(0.15, -1.65, TableHeight + 0.35)),
        ];
    }
}

/// <summary>The places that ship.</summary>
public sealed class FieldFamily : HostFamily
{
    public override int Order => 11;

    public override IReadOnlyList<Host> Presets { get; } = [new Field()];
}
