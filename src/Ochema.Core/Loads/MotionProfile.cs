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

/// <summary>An anchor of the motion profile, published with its source.</summary>
public sealed record MotionFactor(string Id, string Label, double Value, string Source);

/// <summary>What the road does to a car's bodywork, as static factors.</summary>
public static class MotionProfile
{
    public const double Gravity = 9.80665;

    /// <summary>Relative wind directions considered, rad: from ahead, and 15° to either side.</summary>
    public static IReadOnlyList<double> Yaw { get; } = [0, 15 * Math.PI / 180, -15 * Math.PI / 180];

    public const double Braking = 0.8;
    public const double Accelerating = 0.5;
    public const double Cornering = 0.5;

    /// <summary>Hand force on the camera at rest, N (judgement, 80–250 N).</summary>
    public const double KnockForce = 150;

    private const string Cargo = "49 CFR 393.102; EN 12195-1";

    /// <summary>Vertical acceleration of the body over bumps, in g on top of its weight.</summary>
    public static double Bump(RoadSurface s) => s switch
    {
        RoadSurface.Smooth => 0.5,
        RoadSurface.Average => 1.0,
        _ => 2.0,
    };

    /// <summary>The factors with their sources.</summary>
    public static IReadOnlyList<MotionFactor> Factors { get; } =
    [
        new("brake", "Hard braking", Braking, Cargo),
        new("accelerate", "Pulling away, or a push from behind", Accelerating, Cargo),
        new("corner", "Cornering", Cornering, Cargo),
        new("bump-smooth", "Bump on a smooth road", 0.5, "judgement, 0.3–0.7 g"),
        new("bump-average", "Bump on an average road", 1.0, "judgement, 0.7–1.5 g"),
        new("bump-rough", "Bump on a rough road", 2.0, "judgement, 1.5–3 g"),
    ];

    /// <summary>The driving cases, then the knocks at rest.</summary>
    public static IReadOnlyList<RigCase> Cases(RoadSurface surface)
    {
        var b = Bump(surface);
        var road = surface switch { RoadSurface.Smooth => "smooth", RoadSurface.Average => "average", _ => "rough" };
        Vec3 G(double x, double y, double z) => Gravity * new Vec3(x, y, z);
        string[] from = ["wind from ahead", "gust from the left", "gust from the right"];
        var cases = new List<RigCase>();
        for (var w = 0; w < 3; w++)
            cases.Add(new($"cruise-{w}", w == 0 ? "cruising" : $"cruising, {from[w]}", G(0, 0, -1), w, Vec3.Zero));
        cases.Add(new("brake", "hard braking to a stop", G(Braking, 0, -1), -1, Vec3.Zero));
        cases.Add(new("brake-wind", "hard braking at speed", G(Braking, 0, -1), 0, Vec3.Zero));
        cases.Add(new("accelerate", "pulling away hard, wind from ahead", G(-Accelerating, 0, -1), 0, Vec3.Zero));
        cases.Add(new("corner-left", "left bend, gust from the left", G(0, -Cornering, -1), 1, Vec3.Zero));
        cases.Add(new("corner-right", "right bend, gust from the right", G(0, Cornering, -1), 2, Vec3.Zero));
        for (var w = 0; w < 3; w++)
            cases.Add(new($"bump-down-{w}", $"bump on {(road == "average" ? "an" : "a")} {road} road, {from[w]}", G(0, 0, -1 - b), w, Vec3.Zero));
        for (var w = 0; w < 3; w++)
            cases.Add(new($"bump-up-{w}", $"rebound on {(road == "average" ? "an" : "a")} {road} road, {from[w]}", G(0, 0, b - 1), w, Vec3.Zero));
        foreach (var (id, label, d) in new[] { ("back", "knock by hand from ahead", -Vec3.UnitX), ("forward", "knock by hand from behind", Vec3.UnitX), ("left", "knock by hand from the right", Vec3.UnitY), ("right", "knock by hand from the left", -Vec3.UnitY) })
            cases.Add(new("knock-" + id, label, G(0, 0, -1), -1, KnockForce * d));
        return cases;
    }

    /// <summary>Unit vector the air moves along at a yaw angle, host axes (travel is forward).</summary>
    public static Vec3 WindDirection(double yaw) => new(-Math.Cos(yaw), -Math.Sin(yaw), 0);
}
