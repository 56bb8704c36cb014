using Ochema.Core.Loads;

namespace Ochema.Core.Hosts;

/// <summary>A car, van or pickup on the road.</summary>
public class CarHost(CarShape shape) : Host
{
    public CarShape Shape { get; } = shape;

    public override string Id => Shape.Id;

    public override string Name => Shape.Name;

    public override string Kind => "car";

    public override MotionProfile Motion => MotionProfile.Car;

    public override ShakeProfile Shake => ShakeProfile.Car;

    public override IReadOnlyList<KeepClear> Zones => CarPlaces.Zones(Shape);

    public override (double Front, double Rear, double Side) Outline => (Shape.Nose, -Shape.Tail, Shape.HalfWidth);

    public override IReadOnlyList<string> Cautions =>
    [
        "A camera that comes off at speed can kill. Local traffic rules decide whether anything may stand outside the outline.",
        "The driver drives and does not operate; nobody reaches for the rig while it moves.",
        "Nothing in the driver's view, over lamps or the number plate.",
    ];

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
    public override string Id => "hide-" + Shape.Id;

    public override string Name => Shape.Name + ", parked";

    public override string Kind => "hide";

    public override MotionProfile Motion => MotionProfile.Parked;

    public override ShakeProfile Shake => ShakeProfile.Parked;

    public override string SpeedName => "wind it must stand";

    public override IReadOnlyList<KeepClear> Zones => [];

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

    public override IReadOnlyList<Host> Presets { get; } = [.. Car.Shapes.Where(s => s.Id is "estate" or "van").Select(s => new HideHost(s))];
}
