using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A motorcycle, alone or with a sidecar on its right. Origin on the ground, mid-wheelbase. Generic sizes, judgement.</summary>
public sealed class Motorcycle(string id, string name, bool sidecar, double bar, double tube) : Host
{
    /// <summary>It leans, so that a bend presses down and not sideways.</summary>
    public static MotionProfile Riding { get; } = new()
    {
        Braking = 0.9,
        Accelerating = 0.6,
        Cornering = 0.2,
        Lean = 40 * Math.PI / 180,
        HorizontalSource = "judgement, 0.7–1.1 g; lean 30–45°",
        Bumps = [0.7, 1.5, 3, 3.5, 4.5],
        UsualSpeed = 60 / 3.6,
        BumpSource = "judgement, 0.6–1.5 ×",
    };

    /// <summary>A sidecar outfit does not lean.</summary>
    public static MotionProfile Outfit { get; } = new()
    {
        Braking = 0.8,
        Accelerating = 0.5,
        Cornering = 0.6,
        HorizontalSource = "judgement, 0.4–0.8 g",
        Bumps = [0.7, 1.5, 2.5, 3, 4],
        UsualSpeed = 60 / 3.6,
        BumpSource = "judgement, 0.6–1.5 ×",
    };

    /// <summary>Masses, springs and a twin (judgement, 0.7–1.4 ×).</summary>
    public static RoadShake Rolling { get; } = new(new QuarterCar(105, 16, 17000, 900, 150000), 1.45, new Engine(2, 140, 1100, 2.5));

    /// <summary>With a sidecar it is heavier, and the tub hangs off the chassis away from the engine (judgement, 0.7–1.4 ×).</summary>
    public static RoadShake Hauling { get; } = new(new QuarterCar(150, 18, 22000, 1300, 160000), 1.45, new Engine(2, 140, 1100, 1.0));

    private const double Half = 0.72;
    private const double Radius = 0.31;
    private const double SidecarTrack = -1.12;
    private static readonly Vec3 Crown = new(0.40, 0, 0.98);
    private static readonly Vec3 BarMiddle = new(0.33, 0, 1.06);

    public override string Id => id;

    public override string Name => name;

    public override string Kind => sidecar ? "sidecar" : "motorcycle";

    public override string Called => "the motorcycle";

    public override string Below => "the road";
    public override Drive Drive => Drive.Travel(sidecar ? 45 : 80);

    public override string Travel => "Handlebar from stop to stop, the fork pressed down as far as it goes, brake, clutch and stand.";
    public override MotionProfile Motion => sidecar ? Outfit : Riding;

    public override ShakeProfile Shake => sidecar ? Hauling : Rolling;

    public override (double Front, double Rear, double Side) Outline =>
        (Half + Radius, Half + Radius, sidecar ? -SidecarTrack + 0.1 : 0.42);

    public override IReadOnlyList<string> Cautions =>
    [
        "Steering lock to lock with everything fitted, cables too, before the engine runs.",
        "What comes off lands in the rider's lap or under the wheel: a tether, always.",
        "The rider rides and does not operate. Local traffic rules decide what may stick out.",
    ];

    public override IReadOnlyList<KeepClear> Zones =>
    [
        new("gauges", "gauges and ignition key", [0.39, -0.10, 1.00], [0.52, 0.10, 1.14], "Key in and out, gauges in sight."),
        new("controls", "hands, levers and throttle", [0.10, -0.46, 0.98], [0.36, -0.28, 1.14], "Hands and levers, lock to lock."),
        new("controls-left", "left hand and lever", [0.10, 0.28, 0.98], [0.36, 0.46, 1.14], "Hands and levers, lock to lock."),
        new("sweep", "steering sweep over the tank", [-0.02, -0.28, 0.84], [0.24, 0.28, 0.98], "The bar comes round to here at full lock."),
        new("lamp", "head lamp", [0.5, -0.12, 0.78], [0.8, 0.12, 0.98], "A lamp that is covered is off."),
    ];

    public override PanelSurface Surface(Site site)
    {
        var (sin, cos) = Math.SinCos(site.Slope);
        return site.Id switch
        {
            "handlebar" => HostDrawing.Along(BarMiddle, Vec3.UnitY, new Vec3(sin, 0, cos), 0.24),
            "bar-bolts" => HostDrawing.Along(BarMiddle + 0.02 * Vec3.UnitZ, Vec3.UnitY, new Vec3(sin, 0, cos), 0.06),
            "crash-bar" => HostDrawing.Along(new Vec3(0.28, 0.30, 0.48), Vec3.UnitZ, new Vec3(cos, sin, 0), 0.16),
            "frame-tube" => HostDrawing.Along(new Vec3(-0.02, 0.10, 0.42), Vec3.UnitX, new Vec3(0, cos, sin), 0.22),
            "tail" => new(new Vec3(-0.72, 0, 0.86), Vec3.UnitX, Vec3.UnitY, new Vec3(-sin, 0, cos), 3, site.CrownRadius, 0.10, 0.09),
            "fairing" => HostDrawing.Panel(new Vec3(0.62, 0.16, 0.92), new Vec3(sin, 0, cos), new Vec3(0.866 * cos, 0.5, -sin), 2,
                site.CrownRadius, 0.12, 0.10),
            "sidecar-nose" => new(new Vec3(0.62, SidecarTrack + 0.42, 0.70), new Vec3(cos, 0, -sin), Vec3.UnitY, new Vec3(sin, 0, cos), 1.2,
                site.CrownRadius, 0.22, 0.24),
            "sidecar-rail" => HostDrawing.Along(new Vec3(0.05, SidecarTrack + 0.10, 0.72), Vec3.UnitX, new Vec3(0, sin, cos), 0.35),
            _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
        };
    }

    protected override IReadOnlyList<Site> MakeSites()
    {
        Site Tube(string i, string n, double d, double clear, string material = "steel-1018") => new()
        {
            Id = i,
            Name = n,
            Form = SiteForm.Tube,
            Material = material,
            Diameter = d,
            Thickness = 0.0024,
            ClearRadius = clear,
            CrownRadius = 30,
            Coat = 0,
            Slope = 0,
            WindFactor = 1.05,
        };
        Site Panel(string i, string n, string material, double t, double clear, double crown, double slope, double wind) => new()
        {
            Id = i,
            Name = n,
            Material = material,
            Thickness = t,
            ClearRadius = clear,
            CrownRadius = crown,
            Coat = 0.0001,
            Slope = slope,
            WindFactor = wind,
        };
        List<Site> list =
        [
            Tube("handlebar", "Handlebar", bar, 0.28),
            new()
            {
                Id = "bar-bolts", Name = "Bolt heads of the bar clamp", Form = SiteForm.Bolts, Material = "steel-1018", Diameter = 0.016,
                    Thickness = 0.006, ClearRadius = 0.05, CrownRadius = 30, Coat = 0.00005, Slope = 0, WindFactor = 0.9,
            },
            Tube("crash-bar", "Crash bar", tube, 0.18),
            Tube("frame-tube", "Lower frame tube", tube, 0.25),
            Panel("tail", "Tail", "composite-body", 0.003, 0.09, 1.0, 0, 0.7),
            Panel("fairing", "Fairing", "composite-body", 0.003, 0.10, 0.8, 0.3, 1.2),
        ];
        if (sidecar)
        {
            list.Add(Panel("sidecar-nose", "Sidecar nose", "steel-body", 0.0009, 0.16, 0.9, 0.35, 1.1));
            list.Add(Tube("sidecar-rail", "Sidecar grab rail", 0.022, 0.3));
        }
        return list;
    }

    protected override IReadOnlyList<Anchor> MakeAnchors()
    {
        List<Anchor> list =
        [
            new("handlebar-left", "Handlebar, left of the clamp", [BarMiddle.X, 0.06, BarMiddle.Z], [BarMiddle.X, 0.22, BarMiddle.Z], 1500),
            new("handlebar-right", "Handlebar, right of the clamp", [BarMiddle.X, -0.06, BarMiddle.Z], [BarMiddle.X, -0.22, BarMiddle.Z],
                1500),
            new("frame-left", "Frame under the tank, left", [0.15, 0.11, 0.72], [-0.25, 0.11, 0.68], 4000),
            new("frame-right", "Frame under the tank, right", [0.15, -0.11, 0.72], [-0.25, -0.11, 0.68], 4000),
            new("grab-rail", "Pillion grab rail", [-0.70, 0.12, 0.84], [-0.70, -0.12, 0.84], 2000),
        ];
        if (sidecar)
        {
            list.Add(new("sidecar-rail-left", "Sidecar rail, inner side", [0.35, SidecarTrack + 0.66, 0.70],
                [-0.3, SidecarTrack + 0.66, 0.70], 2000));
            list.Add(new("sidecar-rail-right", "Sidecar rail, outer side", [0.35, SidecarTrack + 0.12, 0.70],
                [-0.3, SidecarTrack + 0.12, 0.70], 2000));
            list.Add(HostDrawing.At("sidecar-chassis", "Sidecar chassis tube, front", new Vec3(0.85, SidecarTrack + 0.42, 0.35), 3000));
        }
        return list;
    }

    protected override IReadOnlyList<HostWheel> Wheels()
    {
        List<HostWheel> wheels = [new([Half, 0, Radius], Radius, 0.11), new([-Half, 0, Radius], Radius, 0.13)];
        if (sidecar)
            wheels.Add(new([-0.2, SidecarTrack, Radius], Radius, 0.11));
        return wheels;
    }

    public override Backdrop Backdrop => Backdrop.Road;

    public override IReadOnlyList<PersonFigure> People =>
    [
        new("rider", "the rider", new(-0.36, 0, 0.88), -0.22, new(0.06, 0, 0.80), new(-0.12, 0, 0.36), new(0.17, 0, 1.10), 0.38, 0.2, true),
        .. sidecar ? [new PersonFigure("passenger", "the passenger", new(-0.42, SidecarTrack + 0.42, 0.56), 0.25,
            new(0.05, SidecarTrack + 0.42, 0.72),
            new(0.35, SidecarTrack + 0.42, 0.5), new(0.02, SidecarTrack + 0.42, 0.86), 0.12, 0.08, true)] : (PersonFigure[])[],
    ];

    protected override IReadOnlyList<HostSurface> Drawing()
    {
        Vec3 hub = new(Half, 0, Radius);
        List<HostSurface> list =
        [
            HostDrawing.Body("tank", "paint", (0.30, 0.86, 0.02, 0.02), (0.26, 0.85, 0.13, 0.09), (0.05, 0.86, 0.15, 0.11),
                (-0.15, 0.82, 0.11, 0.08), (-0.2, 0.80, 0.02, 0.02)),
            HostDrawing.Body("seat", "trim", (-0.16, 0.77, 0.02, 0.01), (-0.2, 0.77, 0.13, 0.05), (-0.45, 0.79, 0.15, 0.05),
                (-0.68, 0.82, 0.10, 0.04), (-0.72, 0.82, 0.01, 0.01)),
            HostDrawing.Body("engine", "trim", (0.28, 0.45, 0.02, 0.02), (0.26, 0.45, 0.18, 0.16), (-0.1, 0.42, 0.20, 0.18),
                (-0.24, 0.40, 0.15, 0.14), (-0.26, 0.40, 0.01, 0.01)),
            HostDrawing.Body("lamp", "glass", (0.54, 0.90, 0.09, 0.09), (0.48, 0.90, 0.10, 0.10), (0.42, 0.90, 0.03, 0.03)),
            HostDrawing.Tube("fork-left", "trim", 0.05, hub + 0.09 * Vec3.UnitY, Crown + 0.09 * Vec3.UnitY),
            HostDrawing.Tube("fork-right", "trim", 0.05, hub - 0.09 * Vec3.UnitY, Crown - 0.09 * Vec3.UnitY),
            HostDrawing.Tube("handlebar", "trim", bar, new Vec3(0.16, 0.40, 1.08), new Vec3(0.27, 0.28, 1.12), new Vec3(0.33, 0.12, 1.06),
                BarMiddle, new Vec3(0.33, -0.12, 1.06), new Vec3(0.27, -0.28, 1.12), new Vec3(0.16, -0.40, 1.08)),
            HostDrawing.Tube("frame", "trim", 0.04, Crown - 0.06 * Vec3.UnitZ, new Vec3(-0.25, 0, 0.72), new Vec3(-0.75, 0, 0.76)),
            HostDrawing.Tube("frame-down", "trim", 0.04, Crown - 0.12 * Vec3.UnitZ, new Vec3(0.26, 0, 0.26), new Vec3(-0.2, 0, 0.24),
                new Vec3(-0.28, 0, 0.5)),
            HostDrawing.Tube("frame-tube", "trim", tube, new Vec3(0.20, 0.10, 0.42), new Vec3(-0.24, 0.10, 0.42)),
            HostDrawing.Tube("swing-left", "trim", 0.045, new Vec3(-0.26, 0.09, 0.36), new Vec3(-Half, 0.09, Radius)),
            HostDrawing.Tube("swing-right", "trim", 0.045, new Vec3(-0.26, -0.09, 0.36), new Vec3(-Half, -0.09, Radius)),
            HostDrawing.Tube("crash-bar", "trim", tube, new Vec3(0.28, 0.08, 0.66), new Vec3(0.28, 0.29, 0.62), new Vec3(0.28, 0.30, 0.48),
                new Vec3(0.28, 0.28, 0.34), new Vec3(0.28, 0.08, 0.28)),
            HostDrawing.Body("guard", "paint", (-0.5, 0.60, 0.08, 0.03), (-0.75, 0.70, 0.09, 0.03), (-0.98, 0.60, 0.07, 0.03)),
            new("tail", "tail", Surface(Sites.First(s => s.Id == "tail")).Grid()),
            new("fairing", "fairing", Surface(Sites.First(s => s.Id == "fairing")).Grid()),
        ];
        if (sidecar)
        {
            var y = SidecarTrack + 0.42;
            HostSurface Tub(params (double X, double Z, double W, double H)[] sections)
            {
                var body = HostDrawing.Body("tub", "paint", sections);
                return body with { Grid = [.. body.Grid.Select(r => r.Select(p => new[] { p[0], p[1] + y, p[2] }).ToArray())] };
            }
            list.Add(Tub((0.98, 0.55, 0.02, 0.02), (0.90, 0.55, 0.16, 0.12), (0.62, 0.52, 0.26, 0.19), (0.2, 0.52, 0.29, 0.20),
                (-0.4, 0.54, 0.28, 0.20), (-0.75, 0.58, 0.20, 0.16), (-0.82, 0.6, 0.02, 0.02)));
            list.Add(new("sidecar-nose", "sidecar-nose", Surface(Sites.First(s => s.Id == "sidecar-nose")).Grid()));
            list.Add(HostDrawing.Tube("sidecar-rail", "trim", 0.022, new Vec3(0.4, SidecarTrack + 0.10, 0.62),
                new Vec3(0.35, SidecarTrack + 0.10, 0.72), new Vec3(-0.3, SidecarTrack + 0.10, 0.72),
                    new Vec3(-0.35, SidecarTrack + 0.10, 0.62)));
            list.Add(HostDrawing.Tube("sidecar-frame", "trim", 0.04, new Vec3(0.9, y, 0.33), new Vec3(0.2, -0.12, 0.33)));
            list.Add(HostDrawing.Tube("sidecar-frame-rear", "trim", 0.04, new Vec3(-0.5, SidecarTrack, Radius),
                new Vec3(-0.3, -0.12, 0.33)));
        }
        return list;
    }
}

/// <summary>The motorcycles that ship.</summary>
public sealed class MotorcycleFamily : HostFamily
{
    public override int Order => 2;

    public override IReadOnlyList<Host> Presets { get; } =
    [
        new Motorcycle("motorcycle", "Motorcycle", false, 0.0222, 0.0254),
        new Motorcycle("motorcycle-large", "Touring motorcycle, 1 in bar", false, 0.0254, 0.0318),
        new Motorcycle("sidecar", "Motorcycle with sidecar", true, 0.0222, 0.0254),
    ];
}
