using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>A helmet on a head. Origin under the chin at neck height (z = 0). Generic sizes, judgement.</summary>
public sealed class Helmet(string id, string name, double shell, double liner, double breakaway, double top) : Host
{
    /// <summary>A head: quick nods and turns.</summary>
    public static MotionProfile Nodding { get; } = new()
    {
        Braking = 3,
        Accelerating = 3,
        Cornering = 2.5,
        HorizontalSource = "judgement: quick nod or turn of the head, 2–4 g",
        Bumps = [1, 1.5, 2.5],
        BumpSource = "judgement, 0.6–1.5 ×",
        Knock = 40,
        Over = new("Ride", "a smooth ride", "an average ride", "a rough ride"),
        Names = new("a quick nod down", "a quick nod up", "a quick turn to the left", "a quick turn to the right", "a jolt",
            "a knock from below"),
    };

    /// <summary>On a riding or walking body: what the spine lets through.</summary>
    public static TabulatedShake Carried { get; } =
        new("the body it rides on", [(0.3, 0.02), (1, 0.2), (2, 0.8), (4, 0.5), (8, 0.08), (16, 0.01), (40, 0.001), (200, 0.00005)], 0.7,
            0.7,
            new("the body's own bobbing", 1, 5), [0.5, 1, 2])
        {
            // The head turns against its bobbing so that it keeps pointing at about a metre ahead (Hirasaki and others 1999, walking; from
            // memory, 0.5–1.5 m).
            NodsAbout = 1.0,
        };

    private static readonly Vec3 Centre = new(0, 0, 0.20);
    private static readonly Vec3 HalfAxes = new(0.145, 0.115, 0.145);

    /// <summary>Where the neck turns, m: what a mount's lever is measured from.</summary>
    public static readonly Vec3 Neck = new(-0.02, 0, 0.02);

    public override string Id => id;

    public override string Name => name;

    public override string Kind => "helmet";

    public override Drive Drive => Drive.Travel(top);

    public override string Travel => "Strap shut; head turned, nodded and tipped as far as it goes.";
    public override MotionProfile Motion => Nodding;

    public override ShakeProfile Shake => Carried;

    public override double? BreakawayLimit => breakaway;

    public override bool Protects => true;

    public override (double Front, double Rear, double Side) Outline => (0.25, 0.25, 0.25);

    public override IReadOnlyList<string> Cautions =>
    [
        "Anything fitted to a helmet can change what it was approved for; a drilled one is a filming prop and protects nobody.",
        "It must come off in a snag before it wrenches the neck: no tether to the body, none round the neck.",
        "Branches, ropes and seat belts catch on it. The standard it was approved under and the event decide.",
    ];

    public override IReadOnlyList<KeepClear> Zones =>
    [
        new("eyes", "field of view", [0.10, -0.13, 0.12], [0.5, 0.13, 0.24], "The wearer has to see, down and to the sides too.",
            Sight: true),
        new("strap", "chin strap and ear", [-0.04, 0.10, 0.0], [0.06, 0.16, 0.13], "The strap must open with one hand."),
        new("strap-right", "chin strap and ear, right", [-0.04, -0.16, 0.0], [0.06, -0.10, 0.13], "The strap must open with one hand."),
    ];

    public override PanelSurface Surface(Site site)
    {
        var r = site.CrownRadius;
        return site.Id switch
        {
            "left-side" => new(Centre + new Vec3(0.01, HalfAxes.Y, 0.02), Vec3.UnitX, Vec3.UnitZ, Vec3.UnitY, r * 1.3, r, 0.05, 0.04),
            "right-side" => new(Centre + new Vec3(0.01, -HalfAxes.Y, 0.02), Vec3.UnitX, Vec3.UnitZ, -Vec3.UnitY, r * 1.3, r, 0.05, 0.04),
            "top" => new(Centre + new Vec3(0, 0, HalfAxes.Z), Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ, r * 1.3, r, 0.05, 0.05),
            "front" => HostDrawing.Panel(Centre + new Vec3(HalfAxes.X * 0.87, 0, HalfAxes.Z * 0.5), new Vec3(-0.5, 0, 0.866),
                new Vec3(0.866, 0, 0.5), r * 1.3, r, 0.03, 0.04),
            _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
        };
    }

    protected override IReadOnlyList<Site> MakeSites()
    {
        Site Place(string i, string n) => new()
        {
            Id = i,
            Name = n,
            Form = SiteForm.Shell,
            Material = "abs",
            Thickness = shell,
            Liner = liner,
            ClearRadius = 0.06,
            CrownRadius = 0.13,
            Coat = 0,
            Slope = 0,
            WindFactor = 1.1,
        };
        return [Place("left-side", "Left side"), Place("right-side", "Right side"), Place("top", "Top"), Place("front", "Forehead")];
    }

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("shell-left", "Strap slot in the shell, left", Centre + new Vec3(-0.06, 0.105, 0.0), 300),
        HostDrawing.At("shell-right", "Strap slot in the shell, right", Centre + new Vec3(-0.06, -0.105, 0.0), 300),
        HostDrawing.At("shell-rear", "Rear rim", Centre + new Vec3(-0.14, 0, -0.03)),
    ];

    public override Backdrop Backdrop => Backdrop.Road;

    /// <summary>A head is carried at a rider's height.</summary>
    public override double GroundHeight => -1.5;

    protected override IReadOnlyList<HostSurface> Drawing() =>
    [
        HostDrawing.Dome("shell", "paint", Centre, HalfAxes, 0, 1.75),
        HostDrawing.Dome("face", "skin", Centre - 0.02 * Vec3.UnitZ, new Vec3(0.105, 0.08, 0.14), 1.3, Math.PI),
        HostDrawing.Tube("neck", "skin", 0.12, new Vec3(-0.02, 0, 0.10), new Vec3(-0.04, 0, -0.06)),
        HostDrawing.Body("shoulders", "cloth", (0.08, -0.12, 0.10, 0.03), (0.04, -0.12, 0.24, 0.07), (-0.08, -0.12, 0.25, 0.08),
            (-0.14, -0.12, 0.10, 0.03)),
        .. Sites.Select(s => new HostSurface(s.Id, s.Id, Surface(s).Grid(7, 7))),
    ];
}

/// <summary>The helmets that ship.</summary>
public sealed class HelmetFamily : HostFamily
{
    public override int Order => 5;

    public override IReadOnlyList<Host> Presets { get; } =
    [
        new Helmet("helmet-cycling", "Cycling helmet", 0.002, 0.025, 200, 25),
        new Helmet("helmet-snow", "Snow helmet", 0.0025, 0.022, 220, 40),
        new Helmet("helmet-climbing", "Climbing helmet", 0.003, 0.020, 200, 20),
        new Helmet("helmet-motorcycle", "Motorcycle helmet", 0.004, 0.035, 250, 80),
    ];
}
