using Ochema.Core.Structure;

namespace Ochema.Core.Loads;

/// <summary>What a host goes over or through: road, air, water, ground.</summary>
public enum Going
{
    Smooth,
    Average,
    Rough,

    /// <summary>Gravel, cobbles: only what runs on wheels knows it.</summary>
    Track,

    /// <summary>A field.</summary>
    Field,
}

/// <summary>What a going is called for a host.</summary>
/// <param name="Label">Road, air, water, walk.</param>
/// <param name="Smooth">With its article: "a smooth road".</param>
/// <param name="Track">Null where the host knows only the first three.</param>
public sealed record GoingWords(string Label, string Smooth, string Average, string Rough, string? Track = null, string? Field = null)
{
    public string Of(Going g) => g switch
    {
        Going.Smooth => Smooth,
        Going.Average =>
        Average,
        Going.Track when Track is not null => Track,
        Going.Field when Field is not null => Field,
        _ => Rough
    };
}

/// <summary>One thing that happens to the rig.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Label">In the user's words.</param>
/// <param name="Field">Acceleration field on all masses, m/s², weight included.</param>
/// <param name="Wind">Which relative-wind direction blows (index into <see cref="MotionProfile.Yaw"/>), or −1 for none.</param>
/// <param name="Knock">Force at the camera, N.</param>
/// <param name="Jolt">Amplitude of a half-sine pulse of the host, m/s², up positive, that the rig's modes answer.</param>
/// <param name="Shaken">Axis and side of the peaks of the host's steady shaking (three times its root mean square, and its engine's
/// tremble); zero for none.</param>
/// <param name="Dunk">True when water at the host's speed meets the camera.</param>
/// <param name="Caught">Times which the field is counted already, where what is left catches a rig that drops.</param>
/// <param name="Spins">True while the host turns: it pulls outwards by the square of the speed.</param>
public sealed record RigCase(
    string Id, string Label, Vec3 Field, int Wind, Vec3 Knock, double Jolt = 0, Vec3 Shaken = default, bool Dunk = false,
        bool Spins = false,
    double Caught = 1)
{
    /// <summary>What of <see cref="Field"/> comes off the road and grows with speed, m/s², as it is at the usual speed.</summary>
    public Vec3 Bumped { get; init; }

    /// <summary>True for what goes on for minutes, not for a moment: wind and weight.</summary>
    public bool Lasts { get; init; }

    /// <summary>True where what stands behind the propeller meets its wash, too.</summary>
    public bool Wash { get; init; }

    /// <summary>True when the rig's own movement is counted in.</summary>
    public bool Dynamic => Jolt != 0 || Shaken != Vec3.Zero;

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

    /// <summary>Relative wind directions considered, rad: from ahead, 15° to either side, and across for what stands still.</summary>
    public static IReadOnlyList<double> Yaw { get; } = [0, 15 * Math.PI / 180, -15 * Math.PI / 180, Math.PI / 2, -Math.PI / 2, Math.PI];

    /// <summary>Words of the cases.</summary>
    /// <param name="Jolt">What gives a short pulse: a pothole, a slam.</param>
    public sealed record Words(string Brake, string Accelerate, string Left, string Right, string Bump, string Jolt);

    /// <summary>What it goes over.</summary>
    public GoingWords Over { get; init; } = new("Road", "a smooth road", "an average road", "a rough road", "gravel or cobbles", "a field");

    /// <summary>
    /// What acts together: one action at its full and the others at this share (the 100-40-40 rule of earthquake engineering, ASCE 4; from
    /// memory). So braking or a bend on a bump, and shaking along three axes at once.
    /// </summary>
    public const double Companion = 0.4;

    public required double Braking { get; init; }
    public required double Accelerating { get; init; }
    public required double Cornering { get; init; }
    public required string HorizontalSource { get; init; }

    /// <summary>Vertical acceleration over bumps in g on top of the weight: smooth, average, rough, and on wheels gravel and
    /// field.</summary>
    public required IReadOnlyList<double> Bumps { get; init; }

    public required string BumpSource { get; init; }

    /// <summary>Lean in a bend, rad: the weight grows by 1/cos and stays along the host's own vertical.</summary>
    public double Lean { get; init; }

    /// <summary>Half-sine pulse of the skin, g over smooth, average and rough going; the bump's own g unless said (judgement, 0.5–2
    /// ×).</summary>
    public IReadOnlyList<double> Pulse { get => pulse ?? Bumps; init => pulse = value; }

    private readonly IReadOnlyList<double>? pulse;

    /// <summary>Its duration, s (judgement: wheels 15–60 ms, hulls 50–150 ms).</summary>
    public double PulseDuration { get; init; } = 0.030;

    /// <summary>Speed that <see cref="Bumps"/> are meant at, m/s; null where speed is no matter of theirs.</summary>
    public double? UsualSpeed { get; init; }

    /// <summary>
    /// Share of <see cref="Bumps"/> at a speed: a random road shakes as the square root of speed (ISO 8608: its displacement spectrum falls
    /// as the square of the spatial frequency, so that the spectrum in time grows as the speed). Below the usual speed no less is counted.
    /// The strike at the far edge of a pothole is the same at whatever speed: a wheel of radius R falls by h = ½·g·(L/V)² into a hole of
    /// length L and is thrown up by V·√(2h/R) = L·√(g/R); so <see cref="Pulse"/> does not grow.
    /// </summary>
    /// <param name="speed">m/s.</param>
    public double BumpsAt(double speed) => UsualSpeed is { } usual && speed > usual ? Math.Sqrt(speed / usual) : 1;

    /// <summary>Height of a wave at the host over still water, m, by going: what lies below meets it at the host's speed; none on
    /// land.</summary>
    public IReadOnlyList<double> Crests { get; init; } = [];

    /// <summary>Crest of a wave at the host over still water, m; none on land.</summary>
    public double Crest(Going going) => Wet ? Crests[Index(going)] : 0;

    /// <summary>The wave of a going, in water so deep, m.</summary>
    public Wave Wave(Going going, double depth = double.PositiveInfinity) => new(Crest(going), depth);

    /// <summary>True when it floats, and the origin lies on the water line.</summary>
    public bool Wet => Crests.Count > 0;

    /// <summary>The roughest going that the host knows, up to the one asked for.</summary>
    public int Index(Going going) => Math.Min((int)going, Bumps.Count - 1);

    /// <summary>True when it stands: wind comes from all sides.</summary>
    public bool Still { get; init; }

    /// <summary>True where wind comes from all sides though it moves: what goes no faster than the wind.</summary>
    public bool AllRound { get => field || Still; init; }

    /// <summary>How it turns; null for what does not.</summary>
    public Spin? Turning { get; init; }

    public Words Names { get; init; } = new("hard braking", "pulling away hard", "left bend", "right bend", "bump", "pothole");

    /// <summary>The factors with their sources.</summary>
    public IReadOnlyList<MotionFactor> Factors =>
    [
        new("brake", Names.Brake, Braking, HorizontalSource),
        new("accelerate", Names.Accelerate, Accelerating, HorizontalSource),
        new("corner", Names.Left, Cornering, HorizontalSource),
        .. Enum.GetValues<Going>().Take(Bumps.Count)
            .Select(g => new MotionFactor("bump-" + g.ToString().ToLowerInvariant(), $"{Names.Bump}: {Over.Of(g)}", Bumps[(int)g],
                BumpSource
                + (UsualSpeed is { } usual ? $"; up to {usual * 3.6:0} km/h, by the square root of speed beyond (ISO 8608)" : ""))),
        .. Enum.GetValues<Going>().Take(Bumps.Count)
            .Select(g => new MotionFactor("jolt-" + g.ToString().ToLowerInvariant(),
                $"{Names.Jolt}, {PulseDuration * 1000:0} ms: {Over.Of(g)}",
            Pulse[(int)g], "judgement, 0.5–2 ×; half-sine pulse through the shock spectrum")),
        new("together", "the others at, when one is at its full", Companion, "100-40-40 rule (ASCE 4), from memory"),
    ];

    /// <summary>The moving cases, then the knocks at rest.</summary>
    public IReadOnlyList<RigCase> Cases(Going going)
    {
        var b = Bumps[Index(going)];
        var bump = $"{Names.Bump} on {Over.Of(going)}";
        Vec3 G(double x, double y, double z) => Gravity * new Vec3(x, y, z);
        string[] from = AllRound ? ["wind from ahead", "wind from ahead, left", "wind from ahead, right", "wind from the left",
            "wind from the right",
            "wind from behind"]
            : ["wind from ahead", "gust from the left", "gust from the right"];
        var cases = new List<RigCase>();
        for (var w = 0; w < from.Length; w++)
            cases.Add(new($"cruise-{w}", Still ? from[w] : w == 0 ? "cruising" : $"cruising, {from[w]}", G(0, 0, -1), w,
                Vec3.Zero)
            { Lasts = true });
        if (!Still)
            cases.Add(new("brake", $"{Names.Brake} to a stop", G(Braking, 0, -1), -1, Vec3.Zero));
        // Braking, pulling away and bends come with a bump, and bumps with a bend: the one full, the other at its companion's share.
        var press = Lean > 0 ? 1 / Math.Cos(Lean) : 1;
        var speed = Still ? "" : " at speed";
        foreach (var (id, way, where) in new[] { ("down", -1, $"on {A(Names.Bump)}"), ("up", 1, $"on the rebound of {A(Names.Bump)}") })
        {
            var z = way * Companion * b;
            var bumped = G(0, 0, z);
            cases.Add(new("brake-" + id, $"{Names.Brake}{speed} {where}", G(Braking, 0, z - 1), 0, Vec3.Zero) { Bumped = bumped });
            cases.Add(new("accelerate-" + id, $"{Names.Accelerate} {where}", G(-Accelerating, 0, z - 1), 0, Vec3.Zero) { Bumped = bumped });
            cases.Add(new("corner-left-" + id, $"{Names.Left} {where}, gust from the left", G(0, -Cornering, z - press), 1,
                Vec3.Zero)
            { Bumped = bumped });
            cases.Add(new("corner-right-" + id, $"{Names.Right} {where}, gust from the right", G(0, Cornering, z - press), 2,
                Vec3.Zero)
            { Bumped = bumped });
        }
        foreach (var (id, way, name) in new[] { ("bump-down", -1, bump), ("bump-up", 1, "rebound: " + bump) })
            for (var w = 0; w < 3; w++)
                cases.Add(new($"{id}-{w}", $"{name}, {from[w]}",
                    G(w == 0 ? -Companion * Accelerating : 0, w == 1 ? -Companion * Cornering
                    : w == 2 ? Companion * Cornering : 0, way * b - 1), w, Vec3.Zero)
                { Bumped = G(0, 0, way * b) });
        foreach (var (id, way) in new[] { ("up", 1), ("down", -1) })
            cases.Add(new("jolt-" + id, $"{Names.Jolt}, {id}ward", G(0, 0, -1), 0, Vec3.Zero, Jolt: way * Gravity * Pulse[Index(going)]));
        // Peaks of random shaking have no sign of their own: one axis at its full, the two others at their share, in every combination of
        // signs.
        // Fewer would favour a side: a rig and its mirror image must be judged alike.
        var ways = new[]
        {
            ("forward", Vec3.UnitX), ("back", -Vec3.UnitX), ("left", Vec3.UnitY), ("right", -Vec3.UnitY), ("up", Vec3.UnitZ),
                ("down", -Vec3.UnitZ),
        };
        foreach (var (id, axis) in ways)
        {
            var (others, n) = (ways.Where(w => w.Item2.Dot(axis) == 0).ToList(), 0);
            foreach (var (first, one) in others)
                foreach (var (second, two) in others.Where(w => w.Item2.Dot(one) == 0 && others.IndexOf(w) > others.IndexOf((first, one))))
                    cases.Add(new($"shaken-{id}{(++n > 1 ? $"-{n}" : "")}",
                        $"{(Still ? "standing" : "cruising")}, shaken {id}, {first} and {second}", G(0, 0, -1), 0, Vec3.Zero,
                        Shaken: axis + Companion * (one + two)));
        }
        if (Wet)
            cases.Add(new("dunk", "a wave over the camera", G(0, 0, -1), -1, Vec3.Zero, Dunk: true));
        if (Turning is { } spin)
        {
            cases = [.. cases.Select(c => c with { Spins = c.Id != "brake" })];
            if (spin.Tumbles)
                foreach (var (id, where, down) in new[] { ("under", "at the bottom", Vec3.UnitZ), ("down", "going down", -Vec3.UnitX), ("up", "going up",
                    Vec3.UnitX) })
                    cases.Add(new($"turn-{id}", $"turning, {where}", Gravity * down, 0, Vec3.Zero, Spins: true));
        }
        foreach (var (id, label, d) in new[] { ("back", "knock by hand from ahead", -Vec3.UnitX), ("forward", "knock by hand from behind", Vec3.UnitX), ("left", "knock by hand from the right", Vec3.UnitY), ("right", "knock by hand from the left", -Vec3.UnitY) })
            cases.Add(new("knock-" + id, label, G(0, 0, -1), -1, Knock * d));
        return cases;
    }

    /// <summary>A name with its article.</summary>
    internal static string A(string name) => name.StartsWith("a ", StringComparison.Ordinal)
        || name.StartsWith("an ", StringComparison.Ordinal) ? name : "a " + name;

    /// <summary>Unit vector the air moves along at a yaw angle, host axes (travel is forward).</summary>
    public static Vec3 WindDirection(double yaw) => new(-Math.Cos(yaw), -Math.Sin(yaw), 0);
}
