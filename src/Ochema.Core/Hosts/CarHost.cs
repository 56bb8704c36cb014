using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A car, van or pickup on the road.</summary>
public class CarHost(CarShape shape) : Host
{
    /// <summary>A car, van or pickup on the road.</summary>
    public static MotionProfile Driving { get; } = new()
    {
        Braking = 1.0,
        Accelerating = 0.5,
        Cornering = 0.8,
        HorizontalSource = "judgement: braking 0.8–1.1 g, bends 0.6–0.9 g on dry road; cargo securing (49 CFR 393.102, EN 12195-1: 0.8 "
            + "and 0.5 g) is the floor",
        Bumps = [0.5, 1, 2, 2.5, 3.5],
        UsualSpeed = 60 / 3.6,
        BumpSource = "judgement, 0.6–1.5 ×",
    };

    /// <summary>Masses, springs and engine of a mid-sized car (judgement, 0.7–1.4 ×).</summary>
    public static RoadShake Rolling { get; } = new(new QuarterCar(350, 42, 22000, 1500, 190000), 2.7, new Engine(4, 85, 800, 0.15));

    public CarShape Shape { get; } = shape;

    public override string Id => Shape.Id;

    public override string Name => Shape.Name;

    public override string Kind => "car";

    public override string Travel => "Steering from lock to lock, bonnet, doors and hatch, wipers; the body rocked on its springs by hand.";

    public override MotionProfile Motion => Driving;

    public override ShakeProfile Shake => Rolling;

    public override IReadOnlyList<KeepClear> Zones => CarPlaces.Zones(Shape, 1);
    public override IReadOnlyList<KeepClear> ZonesFor(SiteSurvey survey) => survey.DriverSits == Side.Right ? CarPlaces.Zones(Shape, -1)
        : Zones;
    public override string Below => "the road";
    public override Backdrop Backdrop => Backdrop.Road;

    public override bool CoversPeople => true;
    public override bool IsInside(Site site) => site.Id == "roll-hoop" || base.IsInside(site);

    public override IReadOnlyList<PersonFigure> People => [Seated("driver", "the driver", 1), Seated("passenger", "the passenger", -1)];

    /// <summary>Somebody on a front seat; the driver's hands are on the wheel.</summary>
    /// <param name="side">1 on the left, −1 on the right.</param>
    protected PersonFigure Seated(string id, string name, int side)
    {
        Vec3 hip = new(Shape.DoorRear + 0.32, side * 0.37, Shape.RoofFront.Z - 0.98);
        return new(id, name, hip, 0.38, hip + new Vec3(0.47, 0, 0.10), hip + new Vec3(0.80, 0, -0.22),
            hip + (side > 0 ? new Vec3(0.36, 0, 0.42) : new Vec3(0.28, 0, 0.12)), side > 0 ? 0.17 : 0.1);
    }

    public override (double Front, double Rear, double Side) Outline => (Shape.Nose, -Shape.Tail, Shape.HalfWidth);

    public override IReadOnlyList<string> Cautions =>
    [
        "A camera that comes off at speed can kill. Local traffic rules decide whether anything may stand outside the outline.",
        "The driver drives and does not operate; nobody reaches for the rig while it moves.",
        "Nothing in the driver's view, over lamps or the number plate.",
    ];

    public override IReadOnlyList<string> CautionsAt(Site site) => site.Id == CarPlaces.Dashboard
        ? ["An airbag may be under it: nothing lies on it while the car is driven, it would be thrown at faces."] : [];

    public override PanelSurface Surface(Site site) => Car.Surface(Shape, site);

    protected override IReadOnlyList<Site> MakeSites() => Car.Sites(Shape);

    protected override IReadOnlyList<Anchor> MakeAnchors() => Car.Anchors(Shape);

    protected override IReadOnlyList<HostSurface> Drawing() => Car.Drawing(Shape);

    protected override IReadOnlyList<HostWheel> Wheels() => Car.Wheels(Shape);
}

/// <summary>The cars that ship.</summary>
public sealed class CarFamily : HostFamily
{
    public override int Order => 1;

    public override IReadOnlyList<Host> Presets { get; } = [.. Car.Shapes.Select(s => new CarHost(s))];
}

/// <summary>A car parked as a hide: it rocks on its tyres, the wind comes from anywhere, the engine is off.</summary>
public sealed class HideHost(CarShape shape) : CarHost(shape)
{
    /// <summary>Wind from anywhere, rocking on its tyres, nothing else.</summary>
    public static MotionProfile Standing { get; } = new()
    {
        Braking = 0.1,
        Accelerating = 0.1,
        Cornering = 0.1,
        HorizontalSource = "judgement: somebody moving in the car, 0.05–0.15 g",
        Bumps = [0.1, 0.1, 0.1],
        BumpSource = "judgement",
        Still = true,
        Knock = 40,
        Over = new("Ground", "firm ground", "soft ground", "boggy ground"),
        Names = new("the car rocking forward", "the car rocking back", "the car rocking to the left", "the car rocking to the right",
            "a door shut", "a door slammed"),
    };

    /// <summary>Who sits in it rocks it on its tyres.</summary>
    public static TabulatedShake Rocking { get; } =
        new("rocking on its tyres", [(0.3, 0.0002), (1, 0.002), (2, 0.004), (4, 0.001), (10, 0.00008), (40, 0.00001), (200, 0.000001)], 0.7,
            0.7, new("rocking on its tyres", 1, 3), [0.7, 1, 1.6])
        { Source = "judgement, 0.2–5 ×" };

    public override string Id => "hide-" + Shape.Id;

    public override string Name => Shape.Name + ", parked";

    public override string Kind => "hide";

    public override string Whereabouts => "From a parked car";

    public override string Called => "the car";

    public override MotionProfile Motion => Standing;

    private readonly ParkedShake shake = new(Rocking,
        ParkedShake.Body.On(Rolling.Wheels, 2 * (shape.HalfWidth - Track), shape.Nose - shape.Tail, shape.RoofFront.Z - Sill));

    public override ShakeProfile Shake => shake;

    /// <summary>A wheel's middle inside the car's side, and its side over the ground, m (judgement).</summary>
    private const double Track = 0.12;
    private const double Sill = 0.25;

    public override string Travel => "Doors and hatch, windows up and down.";

    public override Drive Drive => Drive.Wind();

    public override IReadOnlyList<KeepClear> Zones => [];
    public override IReadOnlyList<KeepClear> ZonesFor(SiteSurvey survey) => [];
    public override string Below => "the ground";
    public override Backdrop Backdrop => Backdrop.Ground;
    public override IReadOnlyList<PersonFigure> People => [Seated("photographer", "the photographer", 1)];

    public override IReadOnlyList<string> Cautions =>
    [
        "Engine off: it shakes the picture, and the exhaust stays with you. Take the rest off before you drive away.",
        "Never lean a load on glass: it carries its own weight only.",
    ];
}

/// <summary>The parked cars that ship.</summary>
public sealed class HideFamily : HostFamily
{
    public override int Order => 6;

    public override IReadOnlyList<Host> Presets { get; } = [.. Car.Shapes.Where(s => s.Id is "estate" or "van")
        .Select(s => new HideHost(s))];
}
