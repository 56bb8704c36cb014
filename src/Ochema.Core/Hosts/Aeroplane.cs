using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A high-wing light aeroplane with struts. Origin on the ground under the wing. Generic sizes, judgement.</summary>
/// <param name="chord">Of its wing, m.</param>
/// <param name="span">m.</param>
/// <param name="strut">Across, m.</param>
/// <param name="propeller">Its radius, m.</param>
/// <param name="thrust">Standing still, N.</param>
/// <param name="power">That its propeller turns into thrust, W.</param>
public sealed class Aeroplane(string id, string name, double chord, double span, double strut, double propeller, double thrust,
    double power) : Host
{
    /// <summary>Gusts and manoeuvres to the limit it is built for; wheels when it lands.</summary>
    public static MotionProfile Flying { get; } = new()
    {
        Braking = 0.5,
        Accelerating = 0.4,
        Cornering = 0.5,
        HorizontalSource = "judgement: roll-out and slips, 0.3–0.7 g",
        Bumps = [0.8, 1.5, 2.8],
        BumpSource = "14 CFR 23.337 (+3.8 g limit) in rough air; below it judgement, 0.6–1.5 ×",
        Pulse = [0.7, 1.2, 2],
        PulseDuration = 0.060,
        Knock = 100,
        Over = new("Air", "smooth air", "light turbulence", "rough air"),
        Names = new("braking on the roll-out", "opening the throttle", "slip to the left", "slip to the right", "gust", "touch-down"),
    };

    /// <summary>Skin in the air stream, a flat four and a two-blade propeller.</summary>
    public static TabulatedShake Droning { get; } =
        new("skin and wing in the air", [(0.3, 0.3), (1, 0.25), (3, 0.1), (6, 0.06), (10, 0.05), (40, 0.03), (200, 0.01)], 0.4, 0.5,
            new("turbulence on wing and skin", 2, 15), [0.5, 1, 2.5])
        {
            Reference = 45,
            Growth = 1,
            Source = "judgement, 0.3–3 ×; grows with the speed",
            Engine = new Engine(4, 51, 800, 1.2),
            Propeller = new Propeller(2, 1, 2),
        };

    private static readonly Vec3 Hub = new(2.12, 0, 1.125);

    private const double Under = 2.05;
    private const double Fuselage = 0.55;

    public override string Id => id;

    public override string Name => name;

    public override string Kind => "aeroplane";

    public override string Whereabouts => "On an " + Kind;

    public override MotionProfile Motion => Flying;

    public override ShakeProfile Shake => Droning;

    public override PropellerWash Wash { get; } = new(Hub, propeller, thrust, power);

    public override string Below => "the runway";

    public override bool NeedsSignOff(Site site) => site.Id != "cabin-tube";
    public override bool ReadsAirspeed => true;

    public override Drive Drive => Drive.Travel(100, "airspeed");

    public override string Travel => "Full travel of all controls with everything fitted, doors open and shut; nobody near the propeller.";

    public override IReadOnlyList<Trial> Trials => Trial.Flying;

    public override (double Front, double Rear, double Side) Outline => (2.2, 4.8, span / 2);

    public override IReadOnlyList<string> Cautions =>
    [
        "Anything fitted outside changes the aircraft: a licensed mechanic or the authority signs it off before it flies, and the "
            + "insurer knows.",
        "What comes off falls on people or into the tail. Bracket alone first, then with the boom, then with the camera; over open land.",
        "Propeller and controls: full travel of all controls with everything fitted; nobody near the propeller, ever.",
    ];

    public override IReadOnlyList<KeepClear> Zones =>
    [
        new("propeller", "propeller disc", [1.95, -propeller - 0.06, Hub.Z - propeller - 0.04],
            [2.35, propeller + 0.06, Hub.Z + propeller + 0.04], "It takes what touches it, and then the aeroplane.") { Takes = true },
        new("ailerons", "flap and aileron, left", [-chord / 2 - 0.2, Fuselage, Under - 0.25], [-chord / 2 + 0.30, span / 2, Under + 0.35],
            "Full travel, up and down.") { Takes = true },
        new("ailerons-right", "flap and aileron, right", [-chord / 2 - 0.2, -span / 2, Under - 0.25],
            [-chord / 2 + 0.30, -Fuselage, Under + 0.35],
            "Full travel, up and down.") { Takes = true },
        new("pitot", "pitot tube", [0.25, 3.55, Under - 0.25], [0.95, 3.75, Under], "A disturbed pitot tube lies about the airspeed."),
        new("door", "door, left", [-0.5, Fuselage, 0.85], [0.6, Fuselage + 0.25, 1.9], "It is the way out."),
        new("view", "pilot's view ahead", [0.6, -0.35, 1.45], [1.9, 0.35, 1.95], "The pilot has to see.", Sight: true),
    ];

    private static Vec3 StrutFoot => new(0.15, Fuselage, 0.95);

    /// <summary>Middle of the left wheel's fairing.</summary>
    private static readonly Vec3 FairingLeft = new(-0.34, 1.15, 0.27);

    private Vec3 StrutTop => new(0.05, 0.29 * span, Under);

    public override PanelSurface Surface(Site site)
    {
        var along = (StrutTop - StrutFoot).Normalized();
        return site.Id switch
        {
            "tie-down" => HostDrawing.Along(StrutTop + new Vec3(0, 0.12, -0.03), Vec3.UnitY, -Vec3.UnitZ, 0.01),
            "strut" => HostDrawing.Along(0.55 * StrutTop + 0.45 * StrutFoot + new Vec3(0, 0, -0.02), along,
                Vec3.UnitX.PerpendicularTo(along) - 0.2 * Vec3.UnitZ, 0.7),
            "gear-leg" => HostDrawing.Along(new Vec3(-0.25, 0.88, 0.58), new Vec3(0, 0.7, -0.7), Vec3.UnitX, 0.22),
            "wing-skin" => HostDrawing.Panel(new Vec3(0.15, 0.36 * span, Under - 0.005), Vec3.UnitX,
                new Vec3(Math.Sin(site.Slope), 0, -Math.Cos(site.Slope)), 6, site.CrownRadius, 0.30, 0.35),
            "access-row" => HostDrawing.Along(new Vec3(0.2, 0.4 * span, Under - 0.005), Vec3.UnitX, -Vec3.UnitZ, 0.55),
            "wing-tip" => HostDrawing.Panel(new Vec3(0.05, span / 2 - 0.22, Under - 0.005), Vec3.UnitX, -Vec3.UnitZ, 4, site.CrownRadius,
                0.2, 0.08),
            "tail-ring" => HostDrawing.Along(new Vec3(-4.3, 0, 1.30), Vec3.UnitX, -Vec3.UnitZ, 0.01),
            "wheel-fairing" => HostDrawing.Panel(FairingLeft + new Vec3(0, 0.13, 0.02), Vec3.UnitX, Vec3.UnitY, 1.2, site.CrownRadius, 0.15,
                0.06),
            "cabin-tube" => HostDrawing.Along(new Vec3(0.55, 0, 1.78), Vec3.UnitY, -Vec3.UnitZ, 0.4),
            _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
        };
    }

    protected override IReadOnlyList<Site> MakeSites() =>
    [
        new() { Id = "tie-down", Name = "Tie-down ring under the wing", Form = SiteForm.Ring, Material = "steel-1018", Diameter = 0.0095,
            Thickness = 0.00475, ClearRadius = 0.04, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1.0 },
        new() { Id = "strut", Name = "Wing strut", Form = SiteForm.Edge, Material = "al-6061-t6", Diameter = strut, Thickness = 0.0013,
            ClearRadius = 0.6, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1.05 },
        new() { Id = "gear-leg", Name = "Gear leg, left", Form = SiteForm.Tube, Material = "steel-1018", Diameter = 0.035,
            Thickness = 0.006, ClearRadius = 0.35, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1.05 },
        new() { Id = "wing-skin", Name = "Wing, underside", Material = "al-body", Thickness = 0.0006, ClearRadius = 0.12, CrownRadius = 2.5,
            Coat = 0.0001, Slope = 0, WindFactor = 1.0 },
        new() { Id = "access-row", Name = "Row of access screws, left wing", Form = SiteForm.AccessScrews, Material = "al-body",
            Thickness = 0.0008, ClearRadius = 0.12, CrownRadius = 30, Coat = 0.0001, Slope = 0, WindFactor = 1.0 },
        new() { Id = "wing-tip", Name = "Wing tip, left, underside", Material = "composite-body", Thickness = 0.0016, ClearRadius = 0.1,
            CrownRadius = 0.9,
            Coat = 0.0001, Slope = 0, WindFactor = 1.1 },
        new() { Id = "tail-ring", Name = "Tie-down ring under the tail", Form = SiteForm.Ring, Material = "steel-1018", Diameter = 0.0095,
            Thickness = 0.00475, ClearRadius = 0.04, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1.15 },
        new() { Id = "wheel-fairing", Name = "Wheel fairing, left", Material = "composite-body", Thickness = 0.002, ClearRadius = 0.08,
            CrownRadius = 0.35,
            Coat = 0.0001, Slope = 0, WindFactor = 1.1 },
        new() { Id = "cabin-tube", Name = "Tube behind the windscreen", Form = SiteForm.Tube, Material = "steel-1018", Diameter = 0.0222,
            Thickness = 0.0012, ClearRadius = 0.3, CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 0.2 },
    ];

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("tail-ring", "Tie-down ring, tail", new Vec3(-4.3, 0, 1.30), 5000),
        HostDrawing.At("tie-down-left", "Tie-down ring, left wing", StrutTop + new Vec3(0, 0.12, -0.03), 5000),
        HostDrawing.At("strut-top-left", "Strut fitting at the wing, left", StrutTop - 0.01 * Vec3.UnitZ, 5000),
        new("strut-left", "Round the strut, left", StrutFoot.ToArray(), StrutTop.ToArray(), 3000),
        HostDrawing.At("strut-foot-left", "Strut fitting at the fuselage, left", StrutFoot, 5000),
        HostDrawing.At("step-left", "Step bracket, left", new Vec3(-0.2, 0.62, 0.72)),
        new("seat-rail", "Seat rail in the cabin", [0.3, 0.2, 0.95], [-0.4, 0.2, 0.95], 4000),
        new("cabin-tubes", "Cabin tube", [0.55, 0.4, 1.78], [0.55, -0.4, 1.78], 2000),
    ];

    protected override IReadOnlyList<HostWheel> Wheels() =>
        [new([1.45, 0, 0.18], 0.18, 0.12), new([-0.3, 1.15, 0.2], 0.2, 0.15), new([-0.3, -1.15, 0.2], 0.2, 0.15)];

    public override Backdrop Backdrop => Backdrop.Air;

    /// <summary>Drawn low over the fields, so that they are seen to pass.</summary>
    public override double GroundHeight => -60;

    public override bool CoversPeople => true;

    public override bool IsInside(Site site) => site.Id == "cabin-tube" || base.IsInside(site);

    public override IReadOnlyList<PersonFigure> People =>
        [new("pilot", "the pilot", new(0.05, 0.25, 1.02), 0.2, new(0.52, 0.25, 1.12), new(0.9, 0.25, 0.9), new(0.5, 0.25, 1.42), 0.12)];

    protected override IReadOnlyList<HostSurface> Drawing()
    {
        HostSurface Wing(string i, double side)
        {
            // Sections along y: an aerofoil as a closed strip.
            (double X, double Z)[] foil =
            [
                (0.5, 0.02), (0.48, 0.06), (0.42, 0.10), (0.32, 0.135), (0.15, 0.155), (0, 0.145), (-0.2, 0.11), (-0.36, 0.06),
                    (-0.5, 0.02),
                (-0.36, 0.01), (-0.2, 0), (-0.1, 0), (0, 0), (0.2, 0), (0.35, 0), (0.46, 0.005), (0.5, 0.02),
            ];
            double[][] Section(double y, double c) => [.. foil.Select(p => new[] { 0.05 + p.X * c, side * y, Under + p.Z * c })];
            return new(i, "paint", [Section(0, chord), Section(span / 4, chord), Section(span / 2 - 0.15, 0.82 * chord),
                Section(span / 2, 0.4 * chord)]);
        }
        HostSurface Strut(string i, double side) => HostDrawing.Tube(i, "trim", strut,
            [.. Enumerable.Range(0, 7).Select(k => (1 - k / 6.0) * StrutFoot + k / 6.0 * StrutTop).Select(p => p with { Y = side * p.Y })]);
        HostSurface Leg(string i, double side) => HostDrawing.Tube(i, "trim", 0.04, new Vec3(-0.2, side * 0.5, 0.85),
            new Vec3(-0.3, side * 1.1, 0.25));
        List<HostSurface> list =
        [
            HostDrawing.Body("fuselage", "paint", (2.0, 1.12, 0.10, 0.10), (1.9, 1.12, 0.34, 0.30), (1.0, 1.18, 0.50, 0.42),
                (0.7, 1.30, 0.54, 0.52), (0.3, 1.45, 0.55, 0.62), (-0.7, 1.45, 0.54, 0.60), (-1.4, 1.38, 0.42, 0.42),
                    (-3.0, 1.40, 0.20, 0.22), (-4.5, 1.45, 0.06, 0.12)),
            HostDrawing.Body("screen", "glass", (0.92, 1.62, 0.30, 0.14), (0.7, 1.74, 0.45, 0.22), (0.35, 1.86, 0.50, 0.20)),
            Wing("wing-left", 1), Wing("wing-right", -1), Strut("strut", 1), Strut("strut-right", -1), Leg("gear-leg", 1),
                Leg("gear-leg-right", -1),
            HostDrawing.Dome("fairing", "paint", FairingLeft, new(0.42, 0.13, 0.19), 0, Math.PI),
            HostDrawing.Dome("fairing-right", "paint", FairingLeft with { Y = -FairingLeft.Y }, new(0.42, 0.13, 0.19), 0, Math.PI),
            HostDrawing.Tube("tail-ring", "trim", 0.0095, new(-4.27, 0, 1.36), new(-4.28, 0, 1.3), new(-4.32, 0, 1.3), new(-4.33, 0, 1.36)),
            HostDrawing.Tube("nose-leg", "trim", 0.05, new Vec3(1.45, 0, 0.9), new Vec3(1.45, 0, 0.25)),
            HostDrawing.Tube("cabin-tube", "trim", 0.0222, new Vec3(0.55, 0.42, 1.78), new Vec3(0.55, 0.14, 1.78),
                new Vec3(0.55, -0.14, 1.78), new Vec3(0.55, -0.42, 1.78)),
            HostDrawing.Face("fin", "paint", new(-4.0, 0, 1.5), new(-4.7, 0, 1.5), new(-4.8, 0, 2.55), new(-4.5, 0, 2.55)),
            HostDrawing.Face("tailplane", "paint", new(-4.0, 1.6, 1.5), new(-4.6, 1.6, 1.5), new(-4.6, -1.6, 1.5), new(-4.0, -1.6, 1.5)),
            HostDrawing.Face("propeller", "trim", new(Hub.X, propeller, Hub.Z + 0.065), new(Hub.X, propeller, Hub.Z - 0.065),
                new(Hub.X, -propeller, Hub.Z - 0.065), new(Hub.X, -propeller, Hub.Z + 0.065)),
            new("wing-skin", "wing-skin", Surface(Sites.First(s => s.Id == "wing-skin")).Grid()),
            HostDrawing.Tube("tie-down", "trim", 0.0095, StrutTop + new Vec3(0, 0.09, 0), StrutTop + new Vec3(0, 0.10, -0.03), StrutTop
                + new Vec3(0, 0.14, -0.03), StrutTop + new Vec3(0, 0.15, 0)),
        ];
        return list;
    }
}

/// <summary>The aeroplanes that ship.</summary>
public sealed class AeroplaneFamily : HostFamily
{
    public override int Order => 7;

    public override IReadOnlyList<Host> Presets { get; } =
    [
        new Aeroplane("high-wing", "High-wing light aeroplane", 1.5, 10.9, 0.045, 0.94, 2500, 90e3),
        new Aeroplane("high-wing-large", "High-wing six-seater", 1.6, 11.0, 0.05, 1.02, 4200, 165e3),
    ];
}
