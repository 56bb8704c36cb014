using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A small sailing catamaran. Origin on the water line, between its hulls. Generic sizes, judgement.</summary>
public sealed class SailingBoat : Host
{
    /// <summary>It heels, slams into waves and stops in them.</summary>
    public static MotionProfile Sailing { get; } = Boat.Planing with
    {
        Braking = 0.6,
        Accelerating = 0.3,
        Cornering = 0.5,
        Bumps = [0.3, 0.8, 2],
        Pulse = [0.5, 1.5, 3],
        HorizontalSource = "judgement, 0.3–0.8 g: a bow that dives, heel on either side",
        Knock = 60,
        Names = new("a bow that dives", "a gust", "heeling to the right", "heeling to the left", "wave", "slam"),
    };

    private static readonly TabulatedShake Shaking =
        new("hulls on the waves", [(0.3, 0.1), (0.7, 0.6), (1.5, 0.8), (3, 0.3), (6, 0.1), (12, 0.05), (30, 0.01), (200, 0.0002)], 0.5, 0.6,
            new("slap of the waves", 1, 6), [0.3, 1, 2.5])
        {
            Reference = 8,
            Growth = 1,
            NodsAbout = Half,
            Source = "judgement, 0.3–3 ×; grows with the speed",
        };

    private const double Half = 2.6;
    private const double Apart = 1.1;
    private const double Freeboard = 0.45;
    private const double BeamAt = 0.9;

    /// <summary>Where forestay and bridle wires meet, and where the wires end at the bows.</summary>
    private static readonly Vec3 Upper = new(1.95, 0, 1.35);
    private static readonly Vec3 Bow = new(Half - 0.1, Apart, Freeboard + 0.04);

    private static readonly Vec3 Mast = new(BeamAt, 0, Freeboard + 0.1);

    public override string Id => "sailing-boat";

    public override string Name => "Sailing catamaran";

    public override string Kind => "boat";

    public override bool Snags => true;

    public override string Called => "the boat";

    public override string Below => "the water";

    public override MotionProfile Motion => Sailing;

    public override ShakeProfile Shake => Shaking;

    public override Drive Drive => Drive.Travel(15, "speed through the water");

    public override string Travel => "Helm hard over both ways, boom across, every sheet that passes.";

    public override (double Front, double Rear, double Side) Outline => (Half, Half, Apart + 0.2);

    public override IReadOnlyList<string> Cautions =>
    [
        "Lifejackets on; the helm sails and does not operate. Right of way and local boating rules decide.",
        "It floats or it is tethered. No line long enough to hold somebody under in a capsize.",
        "Salt eats plain steel and loosens aluminium: stainless, and rinse it.",
    ];

    public override IReadOnlyList<KeepClear> Zones =>
    [
        new("jib", "foresail and its sheets as it goes about", [BeamAt - 0.2, -0.9, 1.6], [Half - 0.75, 0.9, 4],
            "Cloth and ropes sweep through here at every tack."),
        new("tramp", "crew on the trampoline", [-1.1, -Apart, Freeboard + 0.05], [BeamAt - 0.1, Apart, Freeboard + 1.1],
            "People slide and jump here."),
    ];

    public override PanelSurface Surface(Site site) => site.Id switch
    {
        // What hangs there hangs below its upper shackle.
        "bridle" => HostDrawing.Along(Upper, Vec3.UnitY, -Vec3.UnitZ, 0.02),
        "front-beam" => HostDrawing.Along(new(BeamAt, 0.45, Freeboard + 0.04 + (site.Diameter ?? 0.08) / 2), Vec3.UnitY, Vec3.UnitZ, 0.35),
        "boom" => HostDrawing.Along(new(-0.4, 0, 1.35 + (site.Diameter ?? 0.055) / 2), Vec3.UnitX, Vec3.UnitZ, 0.8),
        "hull-side" => HostDrawing.Along(new(-0.4, Apart + 0.17, Freeboard), Vec3.UnitX, Vec3.UnitZ, 0.5),
        _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
    };

    protected override IReadOnlyList<Site> MakeSites() =>
    [
        new() { Id = "bridle", Name = "Bridle, below the forestay", Form = SiteForm.Bridle, Material = "stainless-304", Thickness = 0.005,
            ClearRadius = 0.5,
            CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1.1 },
        Site.Gripped("front-beam", "Front beam, left", SiteForm.Tube, "al-6061-t6", 0.08, 0.003, 0.5, 1.1),
        Site.Gripped("boom", "Boom", SiteForm.Tube, "al-6061-t6", 0.055, 0.002, 0.6, 1.1),
        Site.Gripped("hull-side", "Rim of the left hull, trapeze side", SiteForm.Edge, "composite-body", 0.02, 0.01, 0.4, 1),
    ];

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("bridle-upper", "Upper shackle of the bridle", Upper, 4000),
        HostDrawing.At("bow-left", "Bow shackle, left", Bow, 3000),
        HostDrawing.At("bow-right", "Bow shackle, right", Bow with { Y = -Apart }, 3000),
        new("front-beam", "Round the front beam", [BeamAt, 0.8, Freeboard + 0.04], [BeamAt, -0.8, Freeboard + 0.04], 3000),
        HostDrawing.At("mast-foot", "Round the mast, at its foot", Mast, 4000),
    ];

    public override Backdrop Backdrop => Backdrop.Water;

    public override IReadOnlyList<PersonFigure> People =>
    [
        new("helm", "the helm", new(-0.9, 0.85, Freeboard + 0.12), -0.05, new(-0.45, 0.75, Freeboard + 0.2),
            new(-0.3, 0.4, Freeboard + 0.12),
            new(-1.1, 0.35, Freeboard + 0.4), 0.2),
    ];

    protected override IReadOnlyList<HostSurface> Drawing()
    {
        static HostSurface Hull(string id, double y) => HostDrawing.Body(id, "paint", Shifted(y)) is var h ? h with
        {
            Grid = [.. h.Grid.Select(r => r.Select(p => new[] { p[0], p[1] + y, p[2] }).ToArray())],
        } : throw new InvalidOperationException();
        static (double, double, double, double)[] Shifted(double y) =>
        [
            (Half, 0.24, 0.01, 0.18), (Half - 0.5, 0.2, 0.09, 0.24), (1, 0.18, 0.17, 0.27), (-1.2, 0.2, 0.18, 0.25),
                (-Half, 0.28, 0.13, 0.15),
        ];
        static HostSurface Wire(string id, double d, params Vec3[] path) => HostDrawing.Tube(id, "trim", d, path);
        return
        [
            Hull("hull-left", Apart), Hull("hull-right", -Apart),
            Wire("front-beam", 0.08, new(BeamAt, Apart, Freeboard + 0.04), new(BeamAt, 0, Freeboard + 0.04),
                new(BeamAt, -Apart, Freeboard + 0.04)),
            Wire("rear-beam", 0.08, new(-1.2, Apart, Freeboard + 0.04), new(-1.2, -Apart, Freeboard + 0.04)),
            HostDrawing.Face("trampoline", "cloth", new(BeamAt, Apart, Freeboard + 0.03), new(BeamAt, -Apart, Freeboard + 0.03),
                new(-1.2, -Apart, Freeboard + 0.03), new(-1.2, Apart, Freeboard + 0.03)),
            Wire("mast", 0.09, Mast, new(BeamAt - 0.3, 0, 4), new(BeamAt - 0.7, 0, 8)),
            Wire("forestay", 0.005, Upper, new(BeamAt - 0.45, 0, 5.6)),
            Wire("bridle-left", 0.005, Upper, Bow), Wire("bridle-right", 0.005, Upper, Bow with { Y = -Apart }),
            Wire("boom", 0.055, new(BeamAt - 0.1, 0, 1.35), new(-0.4, 0, 1.35), new(-1.4, 0, 1.35)),
            HostDrawing.Face("sail", "cloth", new(BeamAt - 0.12, 0, 1.42), new(-1.35, 0.1, 1.42), new(-0.6, 0.25, 5),
                new(BeamAt - 0.7, 0, 7.9)),
            Wire("rim", 0.02, new(0.3, Apart + 0.17, Freeboard), new(-0.4, Apart + 0.17, Freeboard), new(-1.1, Apart + 0.17, Freeboard)),
        ];
    }
}
