using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A tree in the field. Origin on the ground, in the middle of its trunk. Generic sizes, judgement.</summary>
/// <param name="diameter">Of the trunk where straps go, m.</param>
/// <param name="taper">What it is thinner by, over its height.</param>
public sealed class Tree(string id, string name, double diameter, double taper) : Host
{
    /// <summary>It sways, and hands knock against what stands out from it.</summary>
    public static MotionProfile Swaying { get; } = new()
    {
        Braking = 0.05,
        Accelerating = 0.05,
        Cornering = 0.05,
        HorizontalSource = "judgement: a trunk at breast height in gusts, 0.02–0.1 g",
        Bumps = [0.05, 0.1, 0.3],
        BumpSource = "judgement: somebody steps on a root or lets a branch go, 0.5–2 ×",
        PulseDuration = 0.050,
        Still = true,
        Knock = 40,
        Over = new("Wind", "still air", "a breeze", "gusts"),
        Names = new("swaying forward", "swaying back", "swaying left", "swaying right", "a tug at a branch", "a knock on the trunk"),
    };

    /// <summary>A fruit tree sways between a third and one hertz, its trunk at breast height by millimetres (judgement).</summary>
    private static readonly TabulatedShake Sway = new("sway of the trunk",
        [(0.1, 0.0002), (0.3, 0.001), (0.6, 0.0008), (1.5, 0.0001), (5, 0.00001), (20, 3e-7), (200, 1e-10)], 1, 1,
            new("sway of the tree", 0.3, 1), [0.3, 1, 2.5])
    {
        Reference = 5,
        Growth = 2,
        Source = "judgement, 0.3–3 ×; grows with the square of the wind",
    };

    /// <summary>Where straps go round the trunk, m over the ground.</summary>
    private const double Breast = 1.35;

    /// <summary>Where a branch leaves the trunk, and which way it goes.</summary>
    private static readonly Vec3 Fork = new(0, 0.03, 1.95);
    private static readonly Vec3 Branching = new Vec3(0.25, 0.85, 0.3).Normalized();

    public override string Id => id;

    public override string Name => name;

    public override string Kind => "field";

    public override string Whereabouts => "In the field";

    public override string Called => "the tree";

    public override MotionProfile Motion => Swaying;

    public override ShakeProfile Shake => Sway;

    public override Drive Drive => Drive.Wind(25);

    public override (double Front, double Rear, double Side) Outline => (2, 2, 2);

    public override IReadOnlyList<string> Cautions =>
    [
        "Ask whose tree it is. A pad under every strap, off again the same day; nothing is screwed or nailed into it.",
        "Nobody under what hangs in it, and nobody climbs on a branch that carries it.",
        "Off and away in a thunderstorm, or when the crown begins to thrash.",
    ];

    public override PanelSurface Surface(Site site)
    {
        switch (site.Id)
        {
            case "trunk":
                // Its own line leans; the bark ahead leans back from it by half the taper.
                var own = new Vec3(Math.Tan(site.Slope), Math.Tan(site.SideLean), 1).Normalized();
                var bark = new Vec3(Math.Tan(site.Slope - TrunkForm.Flare(site)), Math.Tan(site.SideLean), 1).Normalized();
                return HostDrawing.Along(Breast * own + (site.Diameter ?? diameter) / 2 * Vec3.UnitX.PerpendicularTo(own).Normalized(),
                    bark, Vec3.UnitX, 0.5);
            case "branch":
                return HostDrawing.Along(Fork + 0.55 * Branching, Branching, Vec3.UnitZ, 0.35);
            default:
                throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host");
        }
    }

    protected override IReadOnlyList<Site> MakeSites() =>
    [
        new() { Id = "trunk", Name = "Trunk", Form = SiteForm.Trunk, Material = "living-wood", Diameter = diameter, Thickness = 0.05,
            ClearRadius = 0.5, CrownRadius = 30, Coat = 0, Slope = 0.05, SideLean = 0.03, Taper = taper, WindFactor = 0.8 },
        new() { Id = "branch", Name = "Branch, left", Form = SiteForm.Branch, Material = "living-wood", Diameter = 0.05, Thickness = 0.025,
            ClearRadius = 0.55, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 0.8 },
    ];

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("trunk-above", "Round the trunk, above", new Vec3(0.02, 0, 1.75), 5000),
        HostDrawing.At("trunk-below", "Round the trunk, below", new Vec3(0, 0, 0.6), 5000),
        HostDrawing.At("fork", "Round the fork", Fork, 3000),
    ];

    protected override IReadOnlyList<HostSurface> Drawing()
    {
        static HostSurface Limb(string limb, double from, double to, params Vec3[] path) =>
            HostDrawing.Tapered(limb, "bark", from, to, path);
        double At(double height) => diameter - taper * (height - Breast);
        var lean = new Vec3(Math.Tan(0.05), Math.Tan(0.03), 1);
        return
        [
            Limb("root", 1.5 * At(0.35), At(0.35), Vec3.Zero, 0.12 * lean, 0.35 * lean),
            Limb("trunk-low", At(0.35), At(2), 0.35 * lean, 1.2 * lean, 2 * lean),
            Limb("leader", 0.7 * diameter, 0.03, 1.95 * lean, new(0.25, -0.15, 2.6), new(0.2, -0.35, 3.3)),
            Limb("limb", 0.06, 0.02, Fork, Fork + 0.55 * Branching, Fork + 1.3 * Branching),
            Limb("limb-right", 0.07, 0.02, 2 * lean, new(-0.3, -0.6, 2.45), new(-0.4, -1.2, 2.7)),
            Limb("limb-back", 0.06, 0.02, 1.9 * lean, new(-0.7, 0.3, 2.4), new(-1.2, 0.4, 2.9)),
            HostDrawing.Dome("crown", "leaf", new(0.1, -0.3, 3.2), new(0.9, 0.8, 0.6), 0, Math.PI),
            HostDrawing.Dome("crown-left", "leaf", new(0.35, 1.2, 2.75), new(0.55, 0.5, 0.35), 0, Math.PI),
            HostDrawing.Dome("crown-back", "leaf", new(-1.1, 0.3, 3.0), new(0.6, 0.6, 0.4), 0, Math.PI),
        ];
    }
}

/// <summary>The trees that ship.</summary>
public sealed class TreeFamily : HostFamily
{
    public override int Order => 10;

    public override IReadOnlyList<Host> Presets { get; } = [new Tree("orchard-tree", "Orchard tree", 0.24, 0.012)];
}
