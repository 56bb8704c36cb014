using System.Collections.Concurrent;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>A tether as built.</summary>
/// <param name="Id">Unique within the rig.</param>
/// <param name="Name">In the user's words.</param>
/// <param name="Choice">As in the document.</param>
/// <param name="From">Where it is tied, m.</param>
/// <param name="Anchor">Where it ends.</param>
/// <param name="End">That place, m.</param>
/// <param name="Length">m.</param>
public sealed record TetherBuilt(string Id, string Name, Tether Choice, Structure.Vec3 From,
    Hosts.Anchor Anchor, Structure.Vec3 End, double Length, StrapRow Row)
{
    /// <summary>What its ends are.</summary>
    public Knot Knot => Lashing.Knots.First(k => k.Id == Choice.End);

    /// <summary>Line that is cut for it, both knots counted, m.</summary>
    public double Cut => Length + 2 * Knot.Allowance(Row.Thickness);

    /// <summary>What it keeps when its own piece comes off, kg: camera and head for one tied to the camera.</summary>
    public double Keeps(BuiltRig b) => b.MassFrom(Choice.From switch
    {
        TetherPoint.Reach or TetherPoint.ReachFoot => RigPath.First.Reach,
        TetherPoint.SecondCamera => RigPath.Second.Head,
        _ => RigPath.First.Head
    });

    /// <summary>The fall of a mass, kg, on it at a speed, m/s.</summary>
    public TetherFall Fall(BuiltRig b, double mass, double speed) => falls.GetOrAdd((mass, speed), _ => Fallen(b, mass, speed));

    /// <summary>The hardest fall of a mass, kg, at the speeds up to one, m/s.</summary>
    public TetherFall Hardest(BuiltRig b, double mass, double speed) => Speeds(speed).Select(v => Fall(b, mass, v)).MaxBy(f => f.Peak)!;

    /// <summary>Falls that were worked out: each is asked for by every piece, at every speed that is looked at.</summary>
    private readonly ConcurrentDictionary<(double Mass, double Speed), TetherFall> falls = new();

    private TetherFall Fallen(BuiltRig b, double mass, double speed)
    {
        var camera = Choice.From == TetherPoint.SecondCamera ? b.SecondCamera! : b.Camera;
        var v = b.ThroughAir(speed) * b.WindFactor + b.Rig.Run.HeadWind;
        var air = 0.5 * Atmosphere.Density(b.Rig.Run.Altitude, b.Rig.Run.Temperature) * v * v;
        var push = b.Faces.Where(x => x.Node == camera.Node).Aggregate(Structure.Vec3.Zero, (sum, x) => sum + air
            * x.BoxForce(MotionProfile.WindDirection(0)));
        return TetherFall.Of(From, End, Length, mass, 1 / mass * push + Flung(b, speed), Row.AxialStiffness);
    }

    /// <summary>
    /// True where what comes off is on the ground before it is taut: then it keeps nothing. It may come off at any speed up to the one that
    /// is asked about, m/s. Water does not break what falls into it.
    /// </summary>
    public bool IsTooLong(BuiltRig b, double speed) => !b.Host.Motion.Wet && From.Z > b.Host.GroundHeight
        && Keeps(b) is var mass && Speeds(speed).Any(v => Fall(b, mass, v).At.Z < b.Host.GroundHeight);

    /// <summary>Steps in which speeds on the way are looked at, m/s.</summary>
    private const double Step = 4;

    /// <summary>Speeds that are driven through up to the one that is asked about, m/s, that one first.</summary>
    private static IEnumerable<double> Speeds(double speed)
    {
        yield return speed;
        for (var v = 0.0; v < speed; v += Step)
            yield return v;
    }

    /// <summary>What pulls outwards on a host that turns, m/s², as far out as the line lets it go.</summary>
    private Structure.Vec3 Flung(BuiltRig b, double speed)
    {
        if (b.Host.Motion.Turning is not { } spin)
            return Structure.Vec3.Zero;
        var (outward, rate) = (spin.Outward(From), spin.Rate(speed));
        return rate * rate * (1 + Length / Math.Max(0.05, outward.Length)) * outward;
    }

    /// <summary>Taken of an anchor that nobody knows, N: what a hand pulls with (judgement).</summary>
    internal const double Unknown = 200;

    /// <summary>True where it ends on the rig itself, whose strength is asked for elsewhere.</summary>
    private bool IsOwnEnd => Choice.To.Anchor is AnchorEnd.OnRig or AnchorEnd.OnReach;

    /// <summary>Share of what it holds that catching a mass, kg, takes, at whatever speed up to one, m/s, it comes off.</summary>
    public double Catches(BuiltRig b, double mass, double speed, Worksheet? sheet = null)
    {
        var fall = Hardest(b, mass, speed);
        var knot = Lashing.Knots.First(k => k.Id == Choice.End);
        var line = Row.BreakingStrength * knot.Keeps;
        var holds = Math.Min(line, Choice.AnchorHolds ?? Anchor.Holds ?? (IsOwnEnd ? line : Unknown));
        var weight = mass * fall.Pull;
        sheet?.Formula("{k} × {W} × (1 + √(1 + 2 × {c} × {h} ÷ {W})) ÷ {B}",
            "energy of a free fall on a spring; it falls from its height over the anchor through the line's arc, swept back by the wind",
            "Swinging against the host; a line that is cut by an edge.")
            .Factor(b, FactorTable.TetherCatch).Term("W", "weight and drag of what falls", weight, Dimension.Force,
                "parts as listed, air of the day")
                .Term("h", "falls freely", fall.Drop, Dimension.Length, "height over its end and the line's arc, with drag at speed")
            .Term("c", "line's stiffness", Row.AxialStiffness / Length, Dimension.Stiffness, Row.Source)
            .Term("m", "what falls", mass, Dimension.Mass, "parts as listed, all that hangs on it")
            .Term("B", holds < line ? "what it ends at holds" : "line and its end hold", holds, Dimension.Force, holds < line
                ? Choice.AnchorHolds is { } own ? Taken.Origin(b.Rig, "your pull", "anchorHolds", own)
                    : Anchor.Hung ? "a slack line pulled across its middle, by its rope, knot and anchors" : "judgement, 0.5–2 ×"
                    : $"{Row.Source}; {Words.Inside(knot.Name)}")
            .Term("F", "peak as it catches", fall.Peak, Dimension.Force, Origin.Follows)
            .Term("L", "line", Length, Dimension.Length, "from its knot to its end, and the slack");
        return b.Factors[FactorTable.TetherCatch] * fall.Peak / holds is var use && use < Check.MostUse ? use : Check.MostUse;
    }

    /// <summary>Why it keeps nothing whatever hangs on it, in words; null where it may count.</summary>
    public string? KeepsNothing(BuiltRig b, double speed) => TakenBy.Count > 0
        ? $"{Words.Inside(Name)}: what comes off swings as far as {string.Join(", ", TakenBy)}"
        : IsTooLong(b, speed) ? $"{Words.Inside(Name)}: what comes off is on {b.Host.Below} before it is taut" : null;

    /// <summary>What it would swing to, the way its line goes round the bodywork: the road or water, wheels, and places that must stay
    /// clear.</summary>
    public IReadOnlyList<SwungTo> SwingsTo(RigSetting b)
    {
        const double size = 0.08;
        // A line longer than ways are looked for is taken as going straight there.
        var way = Length + size < Hosts.WayRound.Farthest ? Hosts.WayRound.From(b.Host, End, From) : null;
        double ToBox(Hosts.KeepClear z) => way?.ToBox(z.Low, z.High, size) ?? Clearance.Distance(End, z) - size;
        double ToWheel(Hosts.HostWheel w) => way?.ToWheel(w, size) ?? new Structure.Vec3(0,
            Math.Max(0, Math.Abs(w.Centre[1] - End.Y) - w.Width / 2),
            Math.Max(0, new Structure.Vec3(w.Centre[0] - End.X, 0, w.Centre[2] - End.Z).Length - w.Radius)).Length - size;
        var found = new List<SwungTo>();
        var goes = b.Host.Motion is { Still: false, Wet: false } && b.Host.Published.Wheels.Count > 0;
        if ((way?.ToGround(b.Host.GroundHeight, size) ?? End.Z - b.Host.GroundHeight - size) < Length)
            found.Add(new(b.Host.Motion.Wet ? "the water" : b.Host.Below, Takes: goes));
        if (b.Host.Published.Wheels.Any(w => ToWheel(w) < Length))
            found.Add(new("a wheel", Takes: goes));
        found.AddRange(b.Host.KeptClear(b.Rig.Survey, b.Rig.Site)
            .Where(z => !(z.Inside && b.Rig.Site.Form.IsOnTop) && ToBox(z) < Length).Select(z => new SwungTo("the " + z.Name, z.Takes)));
        return found;
    }

    /// <summary>What would take whatever hangs on it, in words: then it keeps nothing. Empty where nothing does.</summary>
    public IReadOnlyList<string> TakenBy { get; init; } = [];
}

/// <summary>A place that what hangs on a tether swings to.</summary>
/// <param name="Name">In the user's words, with its article.</param>
/// <param name="Takes">True where it is torn off there, or takes more with it: a wheel, the road, a propeller, a control surface.</param>
public sealed record SwungTo(string Name, bool Takes);
