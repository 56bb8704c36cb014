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
    public double Keeps(RigBuilder b) => b.MassFrom(Choice.From switch
    {
        TetherPoint.Reach => "reach",
        TetherPoint.SecondCamera => RigPath.Second.Own("head"),
        _ => "head"
    });

    /// <summary>The fall of a mass, kg, on it.</summary>
    public TetherFall Fall(RigBuilder b, double mass) => Fall(b, mass, b.Speed);

    /// <summary>The hardest fall of a mass, kg, at the speeds up to the one that is asked about.</summary>
    public TetherFall Hardest(RigBuilder b, double mass) => Speeds(b).Select(v => Fall(b, mass, v)).MaxBy(f => f.Peak)!;

    private TetherFall Fall(RigBuilder b, double mass, double speed)
    {
        var camera = Choice.From == TetherPoint.SecondCamera ? b.SecondCamera! : b.Camera;
        var v = b.ThroughAir(speed) * b.WindFactor + b.Rig.Run.HeadWind;
        var air = 0.5 * Atmosphere.Density(b.Rig.Run.Altitude, b.Rig.Run.Temperature) * v * v;
        var push = b.Faces.Where(x => x.Node == camera.Node).Aggregate(Structure.Vec3.Zero, (sum, x) => sum + air * x.BoxForce(MotionProfile.WindDirection(0)));
        return TetherFall.Of(From, End, Length, mass, 1 / mass * push + Flung(b, speed), Row.AxialStiffness);
    }

    /// <summary>
    /// True where what comes off is on the ground before it is taut: then it keeps nothing. It may come off at any speed up to the one that is asked about.
    /// Water does not break what falls into it.
    /// </summary>
    public bool IsTooLong(RigBuilder b) => !b.Host.Motion.Wet && From.Z > b.Host.GroundHeight
        && Keeps(b) is var mass && Speeds(b).Any(v => Fall(b, mass, v).At.Z < b.Host.GroundHeight);

    /// <summary>Steps in which speeds on the way are looked at, m/s.</summary>
    private const double Step = 4;

    /// <summary>Speeds that are driven through up to the one that is asked about, m/s, that one first.</summary>
    private static IEnumerable<double> Speeds(RigBuilder b)
    {
        yield return b.Speed;
        for (var v = 0.0; v < b.Speed; v += Step)
            yield return v;
    }

    /// <summary>What pulls outwards on a host that turns, m/s², as far out as the line lets it go.</summary>
    private Structure.Vec3 Flung(RigBuilder b, double speed)
    {
        if (b.Host.Motion.Turning is not { } spin)
            return Structure.Vec3.Zero;
        var (outward, rate) = (spin.Outward(From), spin.Rate(speed));
        return rate * rate * (1 + Length / Math.Max(0.05, outward.Length)) * outward;
    }

    /// <summary>Share of what it holds that catching a mass, kg, takes, at whatever speed up to the one that is asked about it comes off.</summary>
    public double Catches(RigBuilder b, double mass, Worksheet? sheet = null)
    {
        var fall = Hardest(b, mass);
        var knot = Lashing.Knots.First(k => k.Id == Choice.End);
        var line = Row.BreakingStrength * knot.Keeps;
        var anchor = Choice.AnchorHolds ?? Anchor.Holds;
        var holds = Math.Min(line, anchor ?? line);
        var weight = mass * fall.Pull;
        sheet?.Formula("{k} × {W} × (1 + √(1 + 2 × {c} × {h} ÷ {W})) ÷ {B}",
            "energy of a free fall on a spring; it falls from its height over the anchor through the line's arc, swept back by the wind",
            "Swinging against the host; a line that is cut by an edge.")
            .Factor(b, FactorTable.TetherCatch).Term("W", "weight and drag of what falls", weight, Dimension.Force, "parts as listed, air of the day")
                .Term("h", "falls freely", fall.Drop, Dimension.Length, "height over its end and the line's arc, with drag at speed")
            .Term("c", "line's stiffness", Row.AxialStiffness / Length, Dimension.Stiffness, Row.Source)
            .Term("m", "what falls", mass, Dimension.Mass, "parts as listed, all that hangs on it")
            .Term("B", holds < line ? "what it ends at holds" : "line and its end hold", holds, Dimension.Force, holds < line
                ? Choice.AnchorHolds is { } own ? Taken.Origin(b.Rig, "your pull", "anchorHolds", own) : "judgement, 0.5–2 ×"
                    : $"{Row.Source}; {Words.Inside(knot.Name)}")
            .Term("F", "peak as it catches", fall.Peak, Dimension.Force, Origin.Follows)
            .Term("L", "line", Length, Dimension.Length, "from its knot to its end, and the slack");
        return b.Factors[FactorTable.TetherCatch] * fall.Peak / holds is var use && use < Check.MostUse ? use : Check.MostUse;
    }

    /// <summary>What it would swing to: the road or water, wheels, and places that must stay clear within its reach.</summary>
    public IEnumerable<string> SwingsTo(RigBuilder b)
    {
        const double size = 0.08;
        var reach = Length + size;
        if (End.Z - reach < 0)
            yield return b.Host.Motion.Wet ? "the water" : b.Host.Below;
        if (b.Host.Published.Wheels.Any(w => Math.Abs(Structure.Vec3.From(w.Centre).Y - End.Y) < reach + w.Width / 2
            && new Structure.Vec3(w.Centre[0] - End.X, 0, w.Centre[2] - End.Z).Length - w.Radius < reach))
            yield return "a wheel";
        foreach (var zone in b.Host.KeptClear(b.Rig.Survey, b.Rig.Site)
            .Where(z => !(z.Inside && b.Rig.Site.Form.IsOnTop) && Clearance.Distance(End, z) < reach))
            yield return "the " + zone.Name;
    }
}
