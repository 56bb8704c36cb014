using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A bicycle. Origin on the ground, mid-wheelbase. Generic sizes, judgement; tube sizes as sold (25.4 and 31.8 mm bars, 27.2 mm
/// posts).</summary>
public sealed class Bicycle(string id, string name, double bar, double barHalf, double barHeight) : Host
{
    /// <summary>No springs, light: bumps are sharp.</summary>
    public static MotionProfile Riding { get; } = new()
    {
        Braking = 0.6,
        Accelerating = 0.3,
        Cornering = 0.2,
        Lean = 30 * Math.PI / 180,
        HorizontalSource = "judgement, 0.4–0.8 g; lean 20–35°",
        Bumps = [1, 2, 4, 4.5, 6],
        UsualSpeed = 20 / 3.6,
        BumpSource = "judgement, 0.6–1.5 ×",
        PulseDuration = 0.020,
        Knock = 80,
    };

    /// <summary>The rider's body is what is sprung (judgement, 0.7–1.4 ×).</summary>
    public static RoadShake Rolling { get; } = new(new QuarterCar(40, 3, 60000, 700, 90000), 1.02, null);

    private const double Half = 0.51;
    private const double Radius = 0.34;

    public override string Id => id;

    public override string Name => name;

    public override string Kind => "bicycle";

    public override string Below => "the road";
    public override Drive Drive => Drive.Travel(25);

    public override string Travel => "Handlebar from stop to stop, both brakes, pedals and front wheel turned once.";
    public override MotionProfile Motion => Riding;

    public override ShakeProfile Shake => Rolling;

    public override (double Front, double Rear, double Side) Outline => (Half + Radius, Half + Radius, barHalf + 0.02);

    public override IReadOnlyList<string> Cautions =>
    [
        "Bars turn and feet pedal through: turn and pedal once with everything fitted.",
        "A strap that comes loose winds into the spokes: tie every tail.",
    ];

    public override IReadOnlyList<KeepClear> Zones =>
    [
        new("knees", "knees and pedals", [-0.35, -0.2, 0.15], [0.12, 0.2, 0.75], "Legs come by here."),
        new("grips", "hands and brake levers, right", [0.28, -barHalf - 0.02, barHeight - 0.05], [0.5, -barHalf + 0.16, barHeight + 0.08],
            "Hands and brakes."),
        new("grips-left", "hands and brake levers, left", [0.28, barHalf - 0.16, barHeight - 0.05], [0.5, barHalf + 0.02, barHeight + 0.08],
            "Hands and brakes."),
    ];

    public override PanelSurface Surface(Site site)
    {
        var (sin, cos) = Math.SinCos(site.Slope);
        return site.Id switch
        {
            "handlebar" => HostDrawing.Along(new Vec3(0.36, 0, barHeight), Vec3.UnitY, new Vec3(sin, 0, cos), barHalf - 0.18),
            "top-tube" => HostDrawing.Along(new Vec3(0.04, 0, 0.80), new Vec3(0.99, 0, 0.1), new Vec3(0, sin, cos), 0.2),
            "seat-post" => HostDrawing.Along(new Vec3(-0.22, 0, 0.90), new Vec3(-0.3, 0, 0.95), new Vec3(-cos, sin, 0), 0.08),
            "rear-rack" => HostDrawing.Along(new Vec3(-0.58, 0, 0.74), Vec3.UnitX, Vec3.UnitZ, 0.15, 0.06),
            _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
        };
    }

    protected override IReadOnlyList<Site> MakeSites()
    {
        Site Tube(string i, string n, double d, double clear, double wall) => new()
        {
            Id = i,
            Name = n,
            Form = SiteForm.Tube,
            Material = "al-6061-t6",
            Diameter = d,
            Thickness = wall,
            ClearRadius = clear,
            CrownRadius = 30,
            Coat = 0,
            Slope = 0,
            WindFactor = 1,
        };
        return
        [
            Tube("handlebar", "Handlebar", bar, barHalf, 0.002), Tube("top-tube", "Top tube", 0.0318, 0.27, 0.0015),
                Tube("seat-post", "Seat post", 0.0272, 0.12, 0.002),
            Tube("rear-rack", "Rear rack", 0.010, 0.17, 0.005) with { Form = SiteForm.Floor },
        ];
    }

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("stem", "Handlebar stem", new Vec3(0.33, 0, barHeight - 0.04), 2000),
        HostDrawing.At("saddle-rails", "Saddle rails", new Vec3(-0.28, 0, 0.98), 1000),
        new("top-tube-left", "Top tube", [0.2, 0, 0.82], [-0.15, 0, 0.79], 2000),
        new("rack-left", "Rear rack, left", [-0.45, 0.06, 0.74], [-0.72, 0.06, 0.74]),
        new("rack-right", "Rear rack, right", [-0.45, -0.06, 0.74], [-0.72, -0.06, 0.74]),
    ];

    protected override IReadOnlyList<HostWheel> Wheels() => [new([Half, 0, Radius], Radius, 0.04), new([-Half, 0, Radius], Radius, 0.04)];

    public override Backdrop Backdrop => Backdrop.Road;

    public override IReadOnlyList<PersonFigure> People =>
        [new("rider", "the rider", new(-0.25, 0, 1.04), -0.72, new(0.12, 0, 0.80), new(-0.04, 0, 0.28), new(0.33, 0, barHeight),
            barHalf - 0.06, 0.1, true)];

    protected override IReadOnlyList<HostSurface> Drawing()
    {
        Vec3 head = new(0.30, 0, 0.86), seat = new(-0.20, 0, 0.78), crank = new(-0.06, 0, 0.28), rear = new(-Half, 0, Radius),
            front = new(Half, 0, Radius);
        return
        [
            HostDrawing.Tube("top-tube", "paint", 0.032, head, seat), HostDrawing.Tube("down", "paint", 0.04, head - 0.1 * Vec3.UnitZ,
                crank), HostDrawing.Tube("seat-tube", "paint", 0.032, seat, crank),
            HostDrawing.Tube("stays", "paint", 0.02, seat, rear), HostDrawing.Tube("chain-stays", "paint", 0.022, crank, rear),
                HostDrawing.Tube("fork", "paint", 0.03, head + 0.04 * Vec3.UnitZ, front),
            HostDrawing.Tube("seat-post", "trim", 0.027, seat, new Vec3(-0.26, 0, 0.96)),
                HostDrawing.Tube("stem", "trim", 0.03, head, new Vec3(0.36, 0, barHeight)),
            HostDrawing.Tube("handlebar", "trim", bar, new Vec3(0.32, barHalf, barHeight + 0.01), new Vec3(0.36, 0.1, barHeight),
                new Vec3(0.36, -0.1, barHeight), new Vec3(0.32, -barHalf, barHeight + 0.01)),
            HostDrawing.Body("saddle", "trim", (-0.12, 0.98, 0.02, 0.02), (-0.2, 0.98, 0.04, 0.025), (-0.36, 0.99, 0.07, 0.03),
                (-0.39, 0.99, 0.01, 0.01)),
            HostDrawing.Tube("rear-rack", "trim", 0.012, new Vec3(-0.3, 0.06, 0.74), new Vec3(-0.74, 0.06, 0.74),
                new Vec3(-0.74, -0.06, 0.74), new Vec3(-0.3, -0.06, 0.74)),
            HostDrawing.Tube("rack-leg", "trim", 0.01, rear + 0.06 * Vec3.UnitY, new Vec3(-0.55, 0.06, 0.74)),
        ];
    }
}

/// <summary>The bicycles that ship.</summary>
public sealed class BicycleFamily : HostFamily
{
    public override int Order => 4;

    public override IReadOnlyList<Host> Presets { get; } =
    [
        new Bicycle("bicycle", "Touring bicycle", 0.0254, 0.30, 1.02),
        new Bicycle("bicycle-mountain", "Mountain bicycle", 0.0318, 0.37, 1.04),
    ];
}
