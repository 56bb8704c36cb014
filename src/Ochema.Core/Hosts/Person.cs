using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>Somebody who holds the camera by hand or on a pole. Origin on the ground between the feet. Generic sizes, judgement.</summary>
public class Person : Host
{
    /// <summary>Steps, and wind from anywhere.</summary>
    public static MotionProfile Moving { get; } = new()
    {
        Braking = 0.4,
        Accelerating = 0.4,
        Cornering = 0.4,
        HorizontalSource = "judgement: a stumble or a quick swing, 0.3–0.6 g",
        Bumps = [0.2, 0.6, 1.5],
        BumpSource = "judgement: standing, walking, running, 0.6–1.5 ×",
        PulseDuration = 0.060,
        Still = true,
        Knock = 60,
        Over = new("Gait", "standing", "walking", "running"),
        Names = new("a stumble forward", "a swing back", "a swing to the left", "a swing to the right", "step", "heel strike"),
    };

    /// <summary>Steps near 2 Hz and what trembles at 8 to 12 Hz (gait and physiological tremor; levels judgement).</summary>
    public static TabulatedShake Walking { get; } =
        new("steps and tremor of the hands", [(0.3, 0.05), (1, 0.5), (2, 2), (4, 0.5), (8, 0.15), (12, 0.1), (20, 0.01), (60, 0.0005),
            (200, 0.00001)], 0.5, 0.5, new("steps and tremor", 1, 12), [0.12, 1, 2.5]);

    /// <summary>Between the two hands on a pole held in front, m.</summary>
    protected static readonly Vec3 Hands = new(0.32, 0, 1.15);

    public override string Id => "hand-held";

    public override string Name => "Held by hand";

    public override string Kind => "person";

    public override string Whereabouts => "In the hand";

    public override string Called => "your hands";

    public override MotionProfile Motion => Moving;

    public override ShakeProfile Shake => Walking;

    public override Drive Drive => Drive.Wind();

    public override (double Front, double Rear, double Side) Outline => (0.6, 0.4, 0.5);

    public override IReadOnlyList<string> Cautions =>
    [
        "Power lines kill through poles: stay away by 3 m (10 ft) and the pole's own length; carbon and aluminium conduct.",
        "Nobody under the pole. A helper watches while you look at the picture.",
        "A loop on the wrist for what is light; none on a pole that could pull you along.",
    ];

    public override IReadOnlyList<KeepClear> Zones => [new("face", "face", [0.05, -0.12, 1.45], [0.2, 0.12, 1.78],
        "A pole that comes back hits here.", Sight: true)];

    public override PanelSurface Surface(Site site) => site.Id switch
    {
        "two-hands" => HostDrawing.Along(Hands, Vec3.UnitX, new Vec3(Math.Sin(site.Slope), 0, Math.Cos(site.Slope)), 0.05),
        "one-hand" => HostDrawing.Along(Hands + new Vec3(0.05, -0.2, 0.05), Vec3.UnitX,
            new Vec3(Math.Sin(site.Slope), 0, Math.Cos(site.Slope)), 0.05),
        _ => throw new DocumentException("site.id", $"there is no site '{site.Id}' on this host"),
    };

    protected override IReadOnlyList<Site> MakeSites()
    {
        Site Hold(string id, string name, double radius) => new()
        {
            Id = id,
            Name = name,
            Form = SiteForm.Hand,
            Material = "pine",
            Thickness = 0.05,
            ClearRadius = radius,
            CrownRadius = 30,
            Coat = 0,
            Slope = 0.3,
            WindFactor = 1
        };
        return [Hold("two-hands", "Both hands", 0.2), Hold("one-hand", "One hand", 0.05)];
    }

    protected override IReadOnlyList<Anchor> MakeAnchors() =>
    [
        HostDrawing.At("wrist", "Wrist loop", Hands + new Vec3(0, -0.05, 0.02), 300),
        HostDrawing.At("belt", "Belt", new Vec3(0.1, 0.15, 1.0), 800),
    ];

    protected override IReadOnlyList<HostSurface> Drawing() =>
    [
        HostDrawing.Dome("head", "skin", new Vec3(0, 0, 1.66), new Vec3(0.10, 0.08, 0.13), 0, Math.PI),
        HostDrawing.Tube("neck", "skin", 0.1, new Vec3(-0.02, 0, 1.55), new Vec3(-0.02, 0, 1.42)),
        HostDrawing.Body("chest", "cloth", (0.13, 1.22, 0.10, 0.12), (0.09, 1.22, 0.19, 0.24), (0, 1.2, 0.21, 0.28),
            (-0.10, 1.22, 0.18, 0.24), (-0.13, 1.22, 0.1, 0.12)),
        HostDrawing.Tube("leg-left", "trim", 0.15, new Vec3(0, 0.1, 0.95), new Vec3(0.02, 0.11, 0.5), new Vec3(0, 0.12, 0.05)),
        HostDrawing.Tube("leg-right", "trim", 0.15, new Vec3(0, -0.1, 0.95), new Vec3(0.02, -0.11, 0.5), new Vec3(0, -0.12, 0.05)),
        HostDrawing.Tube("arm-left", "cloth", 0.08, new Vec3(0, 0.2, 1.42), new Vec3(0.02, 0.27, 1.16),
            new Vec3(Hands.X, 0.02, Hands.Z + 0.06)),
        HostDrawing.Tube("arm-right", "cloth", 0.08, new Vec3(0, -0.2, 1.42), new Vec3(0.0, -0.27, 1.12),
            new Vec3(Hands.X - 0.02, -0.02, Hands.Z - 0.08)),
    ];
}

/// <summary>The hand that ships with everyone.</summary>
public sealed class PersonFamily : HostFamily
{
    public override int Order => 9;

    public override IReadOnlyList<Host> Presets { get; } = [new Person(), new StandingPerson()];
}
