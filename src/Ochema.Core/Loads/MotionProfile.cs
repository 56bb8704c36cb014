using Ochema.Core.Structure;

namespace Ochema.Core.Loads;

/// <summary>Road surfaces.</summary>
public enum RoadSurface
{
    Smooth,
    Average,
    Rough,
}

/// <summary>One thing that happens to the rig.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Label">In the user's words.</param>
/// <param name="Field">Acceleration field on all masses, m/s², weight included.</param>
/// <param name="Wind">Which relative-wind direction blows (index into <see cref="MotionProfile.Yaw"/>), or −1 for none.</param>
/// <param name="Knock">Force at the camera, N.</param>
public sealed record RigCase(string Id, string Label, Vec3 Field, int Wind, Vec3 Knock)
{
    /// <summary>At rest: by hand, without wind. Judged apart from driving.</summary>
    public bool AtRest => Knock != Vec3.Zero;
}

/// <summary>An anchor of a motion profile, published with its source.</summary>
public sealed record MotionFactor(string Id, string Label, double Value, string Source);

/// <summary>What a host does to the rig, as static factors in g in the host's own axes.</summary>
public sealed record MotionProfile
{
    public const double Gravity = 9.80665;

    /// <summary>Force of a knock on the camera at rest, N (judgement: a hand 80–250; what is small or worn gets less).</summary>
    public double Knock { get; init; } = 150;

    private const string Cargo = "49 CFR 393.102; EN 12195-1";

    /// <summary>Relative wind directions considered, rad: from ahead, 15° to either side, and across for what stands still.</summary>
    public static IReadOnlyList<double> Yaw { get; } = [0, 15 * Math.PI / 180, -15 * Math.PI / 180, Math.PI / 2, -Math.PI / 2, Math.PI];

    /// <summary>A car, van or pickup.</summary>
    public static MotionProfile Car { get; } = new() { Braking = 0.8, Accelerating = 0.5, Cornering = 0.5, HorizontalSource = Cargo, Bumps = [0.5, 1, 2], BumpSource = "judgement, 0.6–1.5 ×" };

    /// <summary>A motorcycle: it leans, so that a bend presses down and not sideways.</summary>
    public static MotionProfile Motorcycle { get; } = new()
    {
        Braking = 0.9,
        Accelerating = 0.6,
        Cornering = 0.2,
        Lean = 40 * Math.PI / 180,
        HorizontalSource = "judgement, 0.7–1.1 g; lean 30–45°",
        Bumps = [0.7, 1.5, 3],
        BumpSource = "judgement, 0.6–1.5 ×",
    };

    /// <summary>A sidecar outfit: it does not lean.</summary>
    public static MotionProfile Sidecar { get; } = new()
    {
        Braking = 0.8,
        Accelerating = 0.5,
        Cornering = 0.6,
        HorizontalSource = "judgement, 0.4–0.8 g",
        Bumps = [0.7, 1.5, 2.5],
        BumpSource = "judgement, 0.6–1.5 ×",
    };

    /// <summary>A bicycle: no springs, light bumps are sharp.</summary>
    public static MotionProfile Bicycle { get; } = new()
    {
        Braking = 0.6,
        Accelerating = 0.3,
        Cornering = 0.2,
        Lean = 30 * Math.PI / 180,
        HorizontalSource = "judgement, 0.4–0.8 g; lean 20–35°",
        Bumps = [1, 2, 4],
        BumpSource = "judgement, 0.6–1.5 ×",
        Knock = 80,
    };

    /// <summary>A head: quick nods and turns.</summary>
    public static MotionProfile Head { get; } = new()
    {
        Braking = 3,
        Accelerating = 3,
        Cornering = 2.5,
        HorizontalSource = "judgement: quick nod or turn of the head, 2–4 g",
        Bumps = [1, 1.5, 2.5],
        BumpSource = "judgement, 0.6–1.5 ×",
        Knock = 40,
        Names = new("a quick nod down", "a quick nod up", "a quick turn to the left", "a quick turn to the right", "a jolt"),
    };

    /// <summary>A vehicle parked and used as a hide: wind from anywhere, rocking on its tyres, nothing else.</summary>
    public static MotionProfile Parked { get; } = new()
    {
        Braking = 0.1,
        Accelerating = 0.1,
        Cornering = 0.1,
        HorizontalSource = "judgement: somebody moving in the car, 0.05–0.15 g",
        Bumps = [0.1, 0.1, 0.1],
        BumpSource = "judgement",
        Still = true,
        Pulse = [0.1, 0.1, 0.1],
        Knock = 40,
        Names = new("the car rocking forward", "the car rocking back", "the car rocking to the left", "the car rocking to the right", "a door shut"),
    };

    /// <summary>Words of the cases.</summary>
    public sealed record Words(string Brake, string Accelerate, string Left, string Right, string Bump);

    public required double Braking { get; init; }
    public required double Accelerating { get; init; }
    public required double Cornering { get; init; }
    public required string HorizontalSource { get; init; }

    /// <summary>Vertical acceleration over bumps in g on top of the weight: smooth, average, rough.</summary>
    public required IReadOnlyList<double> Bumps { get; init; }

    public required string BumpSource { get; init; }

    /// <summary>Lean in a bend, rad: the weight grows by 1/cos and stays along the host's own vertical.</summary>
    public double Lean { get; init; }

    /// <summary>A pothole, kerb or landing: half-sine pulse of the skin, g for smooth, average and rough, and its duration, s (judgement, 0.5–2 ×).</summary>
    public IReadOnlyList<double> Pulse { get; init; } = [1, 2, 4];

    public double PulseDuration { get; init; } = 0.030;

    /// <summary>True when it stands: wind comes from all sides.</summary>
    public bool Still { get; init; }

    public Words Names { get; init; } = new("hard braking", "pulling away hard", "left bend", "right bend", "bump");

    /// <summary>The factors with their sources.</summary>
    public IReadOnlyList<MotionFactor> Factors =>
    [
        new("brake", Names.Brake, Braking, HorizontalSource),
        new("accelerate", Names.Accelerate, Accelerating, HorizontalSource),
        new("corner", Names.Left, Cornering, HorizontalSource),
        new("bump-smooth", "Bump on a smooth road", Bumps[0], BumpSource),
        new("bump-average", "Bump on an average road", Bumps[1], BumpSource),
        new("bump-rough", "Bump on a rough road", Bumps[2], BumpSource),
    ];

    /// <summary>The moving cases, then the knocks at rest.</summary>
    public IReadOnlyList<RigCase> Cases(RoadSurface surface)
    {
        var b = Bumps[(int)surface];
        var road = surface switch { RoadSurface.Smooth => "smooth", RoadSurface.Average => "average", _ => "rough" };
        var bump = Names.Bump == "bump" ? $"bump on {(road == "average" ? "an" : "a")} {road} road" : Names.Bump;
        Vec3 G(double x, double y, double z) => Gravity * new Vec3(x, y, z);
        string[] from = Still ? ["wind from ahead", "wind from ahead, left", "wind from ahead, right", "wind from the left", "wind from the right", "wind from behind"]
            : ["wind from ahead", "gust from the left", "gust from the right"];
        var cases = new List<RigCase>();
        for (var w = 0; w < from.Length; w++)
            cases.Add(new($"cruise-{w}", Still ? from[w] : w == 0 ? "cruising" : $"cruising, {from[w]}", G(0, 0, -1), w, Vec3.Zero));
        if (!Still)
            cases.Add(new("brake", $"{Names.Brake} to a stop", G(Braking, 0, -1), -1, Vec3.Zero));
        cases.Add(new("brake-wind", Still ? Names.Brake : $"{Names.Brake} at speed", G(Braking, 0, -1), 0, Vec3.Zero));
        cases.Add(new("accelerate", $"{Names.Accelerate}, wind from ahead", G(-Accelerating, 0, -1), 0, Vec3.Zero));
        var press = Lean > 0 ? 1 / Math.Cos(Lean) : 1;
        cases.Add(new("corner-left", $"{Names.Left}, gust from the left", G(0, -Cornering, -press), 1, Vec3.Zero));
        cases.Add(new("corner-right", $"{Names.Right}, gust from the right", G(0, Cornering, -press), 2, Vec3.Zero));
        for (var w = 0; w < 3; w++)
            cases.Add(new($"bump-down-{w}", $"{bump}, {from[w]}", G(0, 0, -1 - b), w, Vec3.Zero));
        for (var w = 0; w < 3; w++)
            cases.Add(new($"bump-up-{w}", $"rebound: {bump}, {from[w]}", G(0, 0, b - 1), w, Vec3.Zero));
        foreach (var (id, label, d) in new[] { ("back", "knock by hand from ahead", -Vec3.UnitX), ("forward", "knock by hand from behind", Vec3.UnitX), ("left", "knock by hand from the right", Vec3.UnitY), ("right", "knock by hand from the left", -Vec3.UnitY) })
            cases.Add(new("knock-" + id, label, G(0, 0, -1), -1, Knock * d));
        return cases;
    }

    /// <summary>Unit vector the air moves along at a yaw angle, host axes (travel is forward).</summary>
    public static Vec3 WindDirection(double yaw) => new(-Math.Cos(yaw), -Math.Sin(yaw), 0);
}
