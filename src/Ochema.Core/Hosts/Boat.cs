using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A small open boat. Origin on the water line, amidships. Generic sizes, judgement.</summary>
/// <param name="engine">Null for what is rowed or paddled.</param>
public sealed class Boat(string id, string name, double length, double beam, double freeboard, bool decked, Engine? engine) : Host
{
    /// <summary>Waves pitch and slam it; water comes over.</summary>
    public static MotionProfile Planing { get; } = new()
    {
        Braking = 0.5,
        Accelerating = 0.4,
        Cornering = 0.5,
        HorizontalSource = "judgement, 0.3–0.8 g; running aground does more",
        Bumps = [0.3, 1, 2.5],
        BumpSource = "judgement, 0.6–1.5 ×",
        Pulse = [0.5, 2, 4],
        PulseDuration = 0.080,
        Crests = [0.3, 0.7, 1.3],
        Knock = 120,
        Over = new("Water", "flat water", "a chop", "rough water"),
        Names = new("coming off the throttle", "opening the throttle", "left turn", "right turn", "wave", "slam"),
    };

    /// <summary>Paddled: slower, softer, still wet.</summary>
    public static MotionProfile Paddling { get; } = Planing with
    {
        Braking = 0.3,
        Accelerating = 0.2,
        Cornering = 0.3,
        Bumps = [0.2, 0.5, 1.5],
        Pulse = [0.3, 0.8, 2],
        Crests = [0.3, 0.6, 1.0],
        HorizontalSource = "judgement, 0.2–0.5 g: stroke and bump against the bank",
        Names = new("running against the bank", "a hard stroke", "left lean", "right lean", "wave", "slap of a wave"),
    };

    private readonly TabulatedShake shake =
        new("hull on the waves", [(0.3, 0.1), (0.7, 0.6), (1.5, 1), (3, 0.5), (6, 0.2), (12, 0.08), (30, 0.02), (200, 0.0005)], 0.5, 0.5,
            new("slap of the waves", 1, 8), [0.3, 1, 2.5])
        {
            Reference = 8,
            Growth = 1,
            NodsAbout = length / 2,
            Source = "judgement, 0.3–3 ×; grows with the speed",
            Engine = engine,
            Propeller = engine is null ? null : new Propeller(3, 0.5, 0.6),
        };

    public override string Id => id;

    public override string Name => name;

    public override string Kind => "boat";

    public override bool Snags => true;

    public override MotionProfile Motion => engine is null ? Paddling : Planing;

    public override ShakeProfile Shake => shake;

    public override Drive Drive => Drive.Travel(engine is null ? 8 : 25, "speed through the water");

    public override string Travel => "Rudder or motor from stop to stop, a paddle through its whole stroke.";

    public override (double Front, double Rear, double Side) Outline => (length / 2, length / 2, beam / 2);

    public override IReadOnlyList<string> Cautions =>
    [
        "Lifejackets on; the skipper steers and does not operate. Right of way and local boating rules decide.",
        engine is null ? "It floats or it is tethered. No line long enough to hold somebody under."
            : "It floats or it is tethered. No line long enough to reach the propeller or to hold somebody under.",
        "Salt eats plain steel and loosens aluminium: stainless, and rinse it.",
    ];

    public override IReadOnlyList<KeepClear> Zones => engine is null
        ?
        [
            .. Stroke(1), .. Stroke(-1),
            new("cockpit", "way out of the cockpit", [-0.35, -0.2, freeboard], [0.35, 0.2, freeboard + 0.35],
                "Out in a capsize, without a catch."),
        ]
        :
        [
            new("tiller", "tiller and its sweep", [-length / 2 - 0.1, -0.35, freeboard - 0.1], [-length / 2 + 0.7, 0.35, freeboard + 0.35],
                "Full helm both ways."),
            new("propeller", "outboard and propeller", [-length / 2 - 0.5, -0.25, -0.6], [-length / 2 - 0.02, 0.25, freeboard - 0.12],
                "Lines wind in here.") { Takes = true },
            new("view", "helmsman's view ahead", [0.2, -0.25, freeboard + 0.45], [length / 2, 0.25, freeboard + 0.85],
                "Swimmers and logs have to be seen.", Sight: true),
        ];

    /// <summary>
    /// A stroke: the blade goes in beside the feet and comes out beside the hip, outside the rim; the shaft and the hands pass high over
    /// the rim where the paddler sits (common practice, no source).
    /// </summary>
    private IEnumerable<KeepClear> Stroke(int side)
    {
        var (name, id) = side > 0 ? ("left", "") : ("right", "-right");
        KeepClear Box(string i, string n, double rear, double front, double inner, double outer, double low, double high, string why) =>
            new(i + id, $"{n}, {name}", [rear, side > 0 ? inner : -outer, low], [front, side > 0 ? outer : -inner, high], why)
            { Paddled = side > 0 ? Sides.Left : Sides.Right };
        yield return Box("stroke", "paddle's blade", -0.2, 0.75, beam / 2 + 0.01, beam / 2 + 0.5, -0.45, 0.35,
            "The blade comes through here.");
        yield return Box("hands", "hands and shaft of the paddle", -0.25, 0.45, 0.12, beam / 2 + 0.35,
            freeboard + 0.16, freeboard + 0.6, "Hands and shaft pass here at every stroke.");
    }

    public override IReadOnlyList<KeepClear> ZonesFor(SiteSurvey survey) => engine is not null || survey.Paddled == Sides.Both ? Zones
        : [.. Zones.Where(z => z.Paddled is null || z.Paddled == survey.Paddled)];

    public override PanelSurface Surface(Site site)
    {
        var (sin, cos) = Math.SinCos(site.Slope);
        return site.Id switch
        {
            "gear-rail" => HostDrawing.Along(new Vec3(0.25, beam / 2 - 0.06, freeboard + 0.06), Vec3.UnitX, new Vec3(0, sin, cos), 0.35),
            "gunwale" => HostDrawing.Along(new Vec3(0.1, beam / 2 - 0.02, freeboard), Vec3.UnitX, new Vec3(0, sin, cos), 0.8),
            "foredeck" => new(new Vec3(length / 2 - 0.65, 0, freeboard + 0.03), new Vec3(cos, 0, -sin), Vec3.UnitY, new Vec3(sin, 0, cos),
                6, site.CrownRadius, 0.35, 0.2),
            "transom" => HostDrawing.Along(new Vec3(-length / 2 + 0.03, -0.45, freeboard), Vec3.UnitY, Vec3.UnitZ, 0.2),
            "flush-holder" => HostDrawing.Along(Holder, Vec3.UnitX, HolderAxis, 0.01),
            // Lowered over the transom, its middle below the water line.
            "pin-pole" => HostDrawing.Along(new Vec3(-length / 2 - 0.05, 0.5 * beam - 0.25, -0.35), Vec3.UnitZ, Vec3.UnitY, PinTravel),
            "thwart" => new(new Vec3(-0.2, 0, freeboard - 0.12), Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ, 1e3, 1e3, 0.12, beam / 2 - 0.2),
            _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
        };
    }

    /// <summary>Rim of the holder that is let into the deck, and the way it points: a little back and out (common practice, no
    /// source).</summary>
    private Vec3 Holder => new(-0.75, beam / 2 - 0.15, freeboard + 0.03);
    private static readonly Vec3 HolderAxis = new Vec3(-0.26, 0.26, 0.93).Normalized();

    /// <summary>How far along the pole, either way, something may sit, m.</summary>
    private const double PinTravel = 0.9;

    protected override IReadOnlyList<Site> MakeSites()
    {
        var deck = new Site
        {
            Id = "foredeck",
            Name = "Foredeck",
            Material = "composite-body",
            Thickness = 0.004,
            ClearRadius = 0.12,
            CrownRadius = 0.9,
            Coat = 0,
            Slope = 0.08,
            WindFactor = 1.05
        };
        var rail = new Site
        {
            Id = "gear-rail",
            Name = "Gear rail, left",
            Form = SiteForm.Tube,
            Material = "stainless-304",
            Diameter = 0.0254,
            Thickness = 0.0015,
            ClearRadius = 0.2,
            CrownRadius = 30,
            Coat = 0,
            Slope = 0,
            WindFactor = 1.05
        };
        var gunwale = new Site
        {
            Id = "gunwale",
            Name = decked ? "Cockpit rim" : "Gunwale, left",
            Form = SiteForm.Edge,
            Material = decked
            ? "composite-body" : "pine",
            Diameter = decked ? 0.02 : 0.035,
            Thickness = 0.01,
            ClearRadius = 0.3,
            CrownRadius = 30,
            Coat = 0,
            Slope = 0,
            WindFactor = 1.0
        };
        return decked ? [deck, rail, gunwale, Site.Gripped("flush-holder", "Flush holder behind the seat, left", SiteForm.Bore, "abs",
            0.042, 0.004, 0.1, 1)] :
        [
            rail, gunwale, deck,
            new() { Id = "transom", Name = "Transom", Form = SiteForm.Edge, Material = "pine", Diameter = 0.04, Thickness = 0.02,
                ClearRadius = 0.4, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 0.8 },
            new() { Id = "pin-pole", Name = "Pin anchor pole", Form = SiteForm.Tube, Material = "carbon-tube", Diameter = 0.0222,
                Thickness = 0.0111, ClearRadius = 0.5, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 0.8 },
            new() { Id = "thwart", Name = "Thwart", Form = SiteForm.Floor, Material = "pine", Thickness = 0.02, ClearRadius = 0.3,
                CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 0.7 },
        ];
    }

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        new("rail-left", "Gear rail, left", [0.6, beam / 2 - 0.06, freeboard + 0.06], [-0.1, beam / 2 - 0.06, freeboard + 0.06], 1500),
        HostDrawing.At("bow-eye", "Bow eye", new Vec3(length / 2 - 0.06, 0, freeboard - 0.1), 3000),
        HostDrawing.At("stern-eye-left", "Stern eye, left", new Vec3(-length / 2 + 0.05, beam / 2 - 0.15, freeboard - 0.05), 1500),
        HostDrawing.At("stern-eye-right", "Stern eye, right", new Vec3(-length / 2 + 0.05, -beam / 2 + 0.15, freeboard - 0.05), 1500),
        HostDrawing.At("thwart-left", "Round the thwart, left", new Vec3(-0.2, beam / 2 - 0.2, freeboard - 0.12), 1500),
    ];

    public override Backdrop Backdrop => Backdrop.Water;

    public override IReadOnlyList<PersonFigure> People => decked
        ? [new("paddler", "the paddler", new(-0.15, 0, freeboard - 0.06), 0.05, new(0.42, 0, freeboard + 0.04),
            new(0.85, 0, freeboard - 0.12),
            new(0.38, 0, freeboard + 0.36), 0.3)]
        : [new("helmsman", "the helmsman", new(-length / 2 + 0.62, 0.16, freeboard + 0.06), -0.05,
            new(-length / 2 + 1.05, 0.16, freeboard + 0.10),
            new(-length / 2 + 1.1, 0.16, -0.02), new(-length / 2 + 0.8, 0, freeboard + 0.3), 0.2)];

    protected override IReadOnlyList<HostSurface> Drawing()
    {
        var (h, w, f) = (length / 2, beam / 2, freeboard);
        // The hull as strips from the keel to the gunwale, bow to stern.
        double[][] Frame(double x, double wide, double keel, double sheer) =>
            [.. Enumerable.Range(-8, 17).Select(k => -k / 8.0).Select(t => new[] { x, wide * Math.Sign(t) * Math.Sqrt(1 - Math.Pow(1 - Math.Abs(t), 2)), keel + (sheer - keel) * Math.Pow(Math.Abs(t), 2.2) })];
        List<HostSurface> list =
        [
            new("hull", "paint", [Frame(h, 0.02, f - 0.12, f + 0.08), Frame(h - 0.35, 0.55 * w, -0.05, f + 0.05),
                Frame(h * 0.4, 0.92 * w, -0.14, f + 0.01), Frame(-h * 0.3, w, -0.15, f),
                    Frame(-h + 0.02, decked ? 0.1 * w : 0.85 * w, decked ? f - 0.1 : -0.1, f)]),
            HostDrawing.Tube("gear-rail", "trim", 0.0254, new Vec3(0.62, w - 0.06, f), new Vec3(0.6, w - 0.06, f + 0.06),
                new Vec3(-0.1, w - 0.06, f + 0.06), new Vec3(-0.12, w - 0.06, f)),
            HostDrawing.Tube("gunwale", "trim", decked ? 0.02 : 0.035, new Vec3(h * 0.4, 0.9 * w, f + 0.01), new Vec3(0.1, w - 0.02, f),
                new Vec3(-h * 0.3, w - 0.02, f), new Vec3(-h + 0.05, decked ? 0.1 * w : 0.83 * w, f)),
            HostDrawing.Tube("gunwale-right", "trim", decked ? 0.02 : 0.035, new Vec3(h * 0.4, -0.9 * w, f + 0.01),
                new Vec3(0.1, -w + 0.02, f), new Vec3(-h * 0.3, -w + 0.02, f), new Vec3(-h + 0.05, decked ? -0.1 * w : -0.83 * w, f)),
            new("foredeck", "foredeck", Surface(Sites.First(s => s.Id == "foredeck")).Grid()),
        ];
        if (decked)
            list.AddRange([new("rear-deck", "paint",
                [Frame(-0.42, 0.97 * w, f + 0.03, f), Frame(-h * 0.3, 0.99 * w, f + 0.03, f), Frame(-h + 0.03, 0.1 * w, f - 0.08, f - 0.1)]),
                HostDrawing.Tube("flush-holder", "trim", 0.05, Holder - 0.2 * HolderAxis, Holder)]);
        if (decked)
            list.Add(new HostSurface("deck", "paint", [Frame(h - 0.3, 0.45 * w, f + 0.05, f), Frame(0.4, 0.9 * w, f + 0.06, f),
                Frame(0.35, 0.95 * w, f + 0.03, f)]));
        else
        {
            list.Add(HostDrawing.Tube("pin-pole", "trim", 0.0222, new Vec3(-h - 0.05, w - 0.25, f + 0.9),
                new Vec3(-h - 0.05, w - 0.25, -1.25)));
            list.Add(HostDrawing.Tube("pin-guide", "trim", 0.05, new Vec3(-h - 0.05, w - 0.25, f + 0.05),
                new Vec3(-h - 0.05, w - 0.25, f - 0.2)));
            list.Add(new HostSurface("thwart", "thwart", Surface(Sites.First(s => s.Id == "thwart")).Grid()));
            list.Add(HostDrawing.Face("floor", "trim", new(h * 0.62, 0.34 * w, 0.03), new(h * 0.62, -0.34 * w, 0.03),
                new(-h + 0.03, -0.7 * w, 0.03), new(-h + 0.03, 0.7 * w, 0.03)));
            list.Add(HostDrawing.Face("transom", "trim", new(-h + 0.02, 0.83 * w, f), new(-h + 0.02, -0.83 * w, f),
                new(-h + 0.02, -0.6 * w, -0.05), new(-h + 0.02, 0.6 * w, -0.05)));
        }
        if (engine is not null)
        {
            list.Add(HostDrawing.Body("outboard", "trim", (-h + 0.02, f + 0.22, 0.02, 0.02), (-h - 0.02, f + 0.22, 0.13, 0.16),
                (-h - 0.28, f + 0.22, 0.13, 0.14), (-h - 0.34, f + 0.22, 0.02, 0.02)));
            list.Add(HostDrawing.Tube("outboard-leg", "trim", 0.09, new Vec3(-h - 0.16, 0, f + 0.1), new Vec3(-h - 0.16, 0, -0.45)));
            list.Add(HostDrawing.Tube("tiller", "trim", 0.03, new Vec3(-h - 0.02, 0, f + 0.22), new Vec3(-h + 0.55, 0, f + 0.26)));
        }
        return list;
    }
}

/// <summary>The boats that ship.</summary>
public sealed class BoatFamily : HostFamily
{
    public override int Order => 8;

    public override IReadOnlyList<Host> Presets { get; } =
    [
        new Boat("skiff", "River skiff with outboard", 4.4, 1.5, 0.42, false, new Engine(2, 560, 900, 1)),
        new Boat("kayak", "Kayak", 4.2, 0.68, 0.26, true, null), new SailingBoat(),
    ];
}
