using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Isolators;

/// <summary>A sprung parallelogram arm, with or without a damper.</summary>
[Kind("spring-arm", "Sprung parallelogram arm", "Floats a heavy gimbal over rough roads; every lens wants its own spring setting.",
    Caution = "Loaded springs bite: unload before you unpin, fingers out of the links.",
    Sketch = "rect 14 8 6 56; line 20 20 100 20; line 20 44 100 44; rect 98 16 6 32; line 20 10 76 42; dim link 20 52 100 52; dim pivots "
        + "110 20 110 44; dim along 20 62 76 62; dim above 8 10 8 44")]
public sealed record SpringArm : IsolatorKind
{
    [Measure("Link length", Dimension.Length, 0.1, 0.8, HowTo = "pivot to pivot")]
    public double Link { get; init; } = 0.35;

    [Measure("Pivots apart", Dimension.Length, 0.03, 0.25, HowTo = "upper to lower pivot")]
    public double Pivots { get; init; } = 0.08;

    [StockChoice("Spring", "springs")]
    public string Spring { get; init; } = "ext-2-5x20";

    [Measure("Springs", Dimension.Count, 1, 6, HowTo = "side by side")]
    public double Count { get; init; } = 1;

    [Measure("Coils cut off", Dimension.Count, 0, 40, HowTo = "of each; shorter is stiffer")]
    public double Cut { get; init; }

    [Measure("Spring's point along the link", Dimension.Length, 0.03, 0.7, HowTo = "from the inner pivot")]
    public double Along { get; init; } = 0.26;

    [Measure("Spring's point above the pivot", Dimension.Length, 0.02, 0.4, HowTo = "on the inner post")]
    public double Above { get; init; } = 0.14;

    [Measure("Swing to the stop", Dimension.Angle, 0.1, 1.2, HowTo = "up or down from level")]
    public double Stop { get; init; } = 0.7;

    [Measure("Damping ratio", Dimension.Ratio, 0.01, 1, HowTo = "5 % without a damper; 30 to 50 % with one set for rough roads")]
    public double Damping { get; init; } = 0.08;

    [Measure("Turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0: the links point ahead")]
    public double Heading { get; init; }

    /// <summary>The arm as measured.</summary>
    public ParallelogramArm Arm(Catalogue stock)
    {
        var row = stock.Find<SpringRow>("springs", Spring);
        var cut = Math.Min(Math.Round(Cut), row.Coils - 5);
        return new(Link, Along, Above, Math.Round(Count) * HelicalSpring.Trimmed(row.Rate, row.Coils, cut), row.FreeLength - cut * row.Wire,
            Math.Round(Count) * row.InitialTension);
    }

    /// <summary>A link with its bearings, kg/m (judgement, 0.6–1.4).</summary>
    private const double LinkMass = 0.9;

    /// <summary>Mass of both links, kg.</summary>
    private double Links => LinkMass * Link * 2;

    /// <summary>Mass at its end: camera, lens, head and half of the links, kg.</summary>
    public double Payload(RigDocument rig, Catalogue stock) => rig.Camera.OnScale(stock) + stock.Find<HeadRow>("heads", rig.Head.Row).Mass
        + Links / 2;

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
        Damping < 0.3 ? [new("damper", "A damper on the arm, set to 40 %", this with { Damping = 0.4 }, Stiffens: false)] : [];

    internal override Stance? Stance => new(SchoolQuestion.Soft, 2, "Sprung arm", "Heavy camera with a gimbal.", this);

    /// <summary>Damping ratios of an arm: its pivots' friction alone with little, and a damper set for rough roads (common practice, no
    /// source).</summary>
    private static readonly double[] Dampings = [0.08, 0.4];

    /// <summary>An arm this near to level needs no more trimming, rad.</summary>
    private const double Level = 3 * Math.PI / 180;

    /// <summary>For each spring and number the hook point and cut that stand level with what is on the arm, the softest of them.</summary>
    internal override IEnumerable<(string Id, string Title, IsolatorKind Kind)> Tried(RigDocument rig, Catalogue stock)
    {
        var payload = Payload(rig, stock);
        foreach (var row in stock.Springs)
            foreach (var count in new[] { 1.0, 2, 3, 4 })
            {
                var level =
                    from share in Enumerable.Range(8, 12).Select(i => 0.05 * i)
                    from cut in Enumerable.Range(0, (int)Math.Min(40, row.Coils / 2) + 1)
                    let kind = this with { Spring = row.Id, Count = count, Cut = cut, Along = share * Link }
                    let arm = kind.Arm(stock)
                    let rest = arm.Rest(payload)
                    where rest is { } angle && Math.Abs(angle) < Level && arm.VerticalRate(angle) > 0
                    orderby arm.VerticalRate(rest.Value), cut
                    select kind;
                if (level.FirstOrDefault() is not { } best)
                    continue;
                foreach (var damping in Dampings)
                    yield return ($"arm-{row.Id}-{count:0}-{damping * 100:0}",
                        $"Sprung arm: {count:0} × {Words.Inside(row.Name)}, {(best.Cut > 0 ? $"{best.Cut:0} coils cut off, " : "")}"
                            + $"hooked {best.Along * 1000:0} mm along, {(damping > 0.2 ? $"damper at {damping:P0}" : "no damper")}",
                        best with { Damping = damping });
            }
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Measure, "Weigh the payload",
            "Gimbal, camera, lens, battery on a scale: with the lightest and with the heaviest lens. The spring follows from it; buy "
                + "one, not two.")
        {
            Tools = ["kitchen-scale"],
            Minutes = 5,
        },
        new(Work.Set, "Level the arm",
            "Camera on, arm let down slowly. Above level: spring one hole looser or a coil more; below: tighter. Trimming coils is for "
                + "good: half a coil at a time, the cut end bent to a new hook. Damper points by the arm's travel, not by eye.")
        {
            Reads = [nameof(Cut), nameof(Along), nameof(Above)],
            Tools = ["level", "pliers"],
            Minutes = 15,
            Crew = 2,
            Beware = "A loaded spring: hold the arm, never unhook it under load; glasses.",
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SpringRow>("springs", Spring);
        var arm = Arm(b.Stock);
        var frame = b.Fitting("arm-frame");
        var link = b.Stock.Find<SectionRow>("sections", "square-al-20x2");
        var payload = Payload(b.Rig, b.Stock);
        var rest = arm.Rest(payload);
        var angle = rest ?? (arm.LevelMass > payload ? Stop : -Stop);
        var heading = new Vec3(Math.Cos(Heading), Math.Sin(Heading), 0);
        var rate = Math.Max(50, arm.VerticalRate(Math.Clamp(angle, -Stop, Stop)));
        var end = b.Node("arm-end", from.Position + Link * (Math.Cos(angle) * heading + Math.Sin(angle) * Vec3.UnitZ));
        // The parallelogram keeps the end level: up and down it gives by its spring, every other way by its links.
        var foot = b.Node("arm-foot", b.Position(end));
        b.Rigid(from.Node, foot);
        var stiff = 3 * 69e9 * 4e-9 / Math.Pow(Link, 3) * 2;
        var spring = b.Spring("arm-spring", foot, end, [stiff * 4, stiff * 4, rate, 800, 800, 800], Damping);
        b.Links.Add(("arm-spring", StationId.Isolator, "the sprung arm"));
        b.Checks.Add(new ArmTravel(spring, rate, Link, Math.Clamp(angle, -Stop, Stop), Stop, payload));
        b.Checks.Add(new ArmLevel(arm, payload, angle, Stop));
        b.Checks.Add(new SpringStress(arm, row, Math.Round(Count), Stop));
        foreach (var f in Advice(b.Stock, arm, row, payload, rest))
            b.Findings.Add(f);
        b.Soft = rig => new SoftState(payload, -Link * Math.Sin(angle), Link * Math.Sin(Stop), Math.Sqrt(rate / payload) / (2 * Math.PI),
            angle, Link,
            Along, Above, arm.LevelMass, arm.LevelRate(payload), arm.Rate, Damper(arm, Math.Clamp(angle, -Stop, Stop), rate, payload));
        b.Put(Piece.Bought(new(StationId.Isolator, "arm"), frame,
            name: $"Parallelogram arm {QuantityText.Of(Link, Dimension.Length)}, {Words.Inside(frame.Name)}"),
            from.Node);
        b.Put(Piece.Bought(new(StationId.Isolator, "springs"), row, Math.Round(Count)), from.Node);
        b.Put(Piece.Length(new(StationId.Isolator, "links"), link, Link, LinkMass, link.PricePerMetre, Aisle.Metal, "Link of the arm:",
            nameof(Link), 2),
            end, from.Node);
        foreach (var up in new[] { 0.5, -0.5 })
            b.Shape(up > 0 ? "arm-upper" : "arm-lower", StationId.Isolator, "tube",
                [b.Point(from.Node, from.Position + up * Pivots * Vec3.UnitZ), b.Point(end, b.Position(end) + up * Pivots * Vec3.UnitZ)], [0.016]);
        b.Shape("arm-coil", StationId.Isolator, "strap", [b.Point(from.Node, from.Position + Above * Vec3.UnitZ),
            b.Point(end, from.Position + Along / Link * (b.Position(end) - from.Position))], [0.03]);
        ThroughPort Of(string post) => new(post, [new(post, LayerRole.Clearance, 0.006, "al-6061-t6", 0.05)], 0.06);
        b.StandsOn(from, new("soft-mount-screw", StationId.Isolator, "screw of the arm's inner post", Of("Arm's inner post"), f =>
            f.Spring(spring), 0.03));
        return new Mount(end, b.Position(end), from.Axis.Z < -0.5 ? -Vec3.UnitZ : Vec3.UnitZ, Of("Arm's outer post"));
    }

    /// <summary>
    /// Rate of a damper beside the spring, between the same points, that gives the damping ratio, N·s/m: 2ζ·√(k·m)·(s·L ÷ (a·c))². The
    /// damper's speed is the end's times a·c ÷ (s·L), and so is its force at the end.
    /// </summary>
    private double Damper(ParallelogramArm arm, double angle, double rate, double payload) =>
        2 * Damping * Math.Sqrt(rate * payload) * Math.Pow(arm.SpringLength(angle) * Link / (Along * Above), 2);

    private IEnumerable<ReportFinding> Advice(Catalogue stock, ParallelogramArm arm, SpringRow row, double payload, double? rest)
    {
        var degrees = (rest ?? (arm.LevelMass > payload ? Stop : -Stop)) * 180 / Math.PI;
        var frequency = Math.Sqrt(Math.Max(0, arm.VerticalRate(rest ?? 0)) / payload) / (2 * Math.PI);
        yield return new ReportFinding(StationId.Isolator,
            $"With this camera and lens the arm rests {Math.Abs(degrees):0.#}° {(degrees < 0 ? "below" : "above")} level and floats at "
                + $"{QuantityText.Of(frequency, Dimension.Frequency)}; level it carries "
                    + $"{QuantityText.Of(arm.LevelMass, Dimension.Mass)}, on it are {QuantityText.Of(payload, Dimension.Mass)}.");
        if (Math.Abs(degrees) < 4)
            yield break;
        if (degrees < 0)
        {
            // Each coil that goes makes the rest stiffer and the spring shorter.
            var n = 0;
            while (n < row.Coils * 0.6 && (this with { Cut = Cut + n }).Arm(stock).LevelMass < payload)
                n++;
            yield return new ReportFinding(StationId.Isolator,
                n < row.Coils * 0.6 ? $"To level it: cut {n} of {row.Coils - Cut:0} coils off each spring, or hook it further out."
                : "To level it: another spring beside these.");
        }
        else
            yield return new ReportFinding(StationId.Isolator,
                $"To level it: {QuantityText.Of(arm.LevelMass - payload, Dimension.Mass)} of ballast at the head, or hook the spring "
                    + $"nearer to the pivot: {QuantityText.Of(Along * payload / arm.LevelMass, Dimension.Length)} along the link.");
    }
}

/// <summary>An arm that goes to its stop on a bump.</summary>
internal sealed class ArmTravel(SpringIndex spring, double rate, double link, double rest, double stop, double payload)
    : Check("isolator.travel", StationId.Isolator, new("isolator"), "Arm hits its stop")
{
    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        // What moves it is what the case adds to the weight it rests under. It is slow: a bump of a tenth of a second is over before it has
        // followed.
        var extra = Math.Abs(f.Spring(spring).Force.Z) - payload * Loads.MotionProfile.Gravity;
        var there = link * (Math.Sin(stop) - Math.Abs(Math.Sin(rest)));
        var frequency = Math.Sqrt(rate / payload) / (2 * Math.PI);
        // A jolt and the shaking come with the arm's own movement counted in.
        var follows = f.Case.Dynamic ? 1 : Math.Min(1, Math.Pow(Math.PI * frequency * Bump, 2));
        var moves = Math.Abs(extra) / rate * follows;
        sheet?.Formula("{x} ÷ {k} × {φ} ÷ {t}",
            "linear about its rest; a pulse shorter than the period moves a soft mount by about (π·f·τ)² of the static",
                "Damping; two bumps in its own rhythm.")
            .Term("x", "more than its weight", Math.Abs(extra), Dimension.Force, Origin.Frame)
            .Term("k", "vertical rate", rate, Dimension.Stiffness, "spring, hook point and links as they stand")
            .Term("φ", "share that follows", follows, Dimension.Ratio, "pulse of 100 ms, judgement 50–150")
            .Term("t", "travel left to the stop", there, Dimension.Length, Origin.Measures);
        return Ratio(moves, there);
    }

    private const double Bump = 0.1;
}

/// <summary>A spring drawn out to the arm's lower stop: shear in the wire, by Wahl's factor, against what hard-drawn wire takes again and
/// again.</summary>
internal sealed class SpringStress(ParallelogramArm arm, SpringRow row, double count, double stop)
    : Check("isolator.spring", StationId.Isolator, new("isolator"), "Spring is drawn out too far")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var force = arm.Tension(-stop) / count;
        var index = row.CoilDiameter / row.Wire;
        var wahl = HelicalSpring.Wahl(index);
        var allowed = HelicalSpring.ShearAllowed(row.Wire);
        sheet?.Formula("{W} × 8 × {F} × {D} ÷ (π × {d}³) ÷ {τ}",
            "Wahl's factor (Shigley ch. 10); hard-drawn wire ASTM A227, 45 % of its tensile strength",
                "Hooks, which break before the coils.")
            .Term("W", "Wahl's factor", wahl, Dimension.Factor, "Shigley ch. 10")
            .Term("F", "in one spring at the lower stop", force, Dimension.Force, "rate × stretch there, with its initial tension")
            .Term("D", "coil across, middle of the wire", row.CoilDiameter, Dimension.Length, row.Source)
                .Term("d", "wire", row.Wire, Dimension.Length, row.Source)
            .Term("τ", "shear it takes", allowed, Dimension.Stress, "Shigley table 10-4, from memory")
                .Term("s", "spring's length there", arm.SpringLength(-stop), Dimension.Length, Origin.Measures);
        return Ratio(wahl * 8 * force * row.CoilDiameter / (Math.PI * Math.Pow(row.Wire, 3)), allowed);
    }
}

/// <summary>An arm that does not stand level with what is on it.</summary>
internal sealed class ArmLevel(ParallelogramArm arm, double payload, double angle, double stop)
    : Check("isolator.level", StationId.Isolator, new("isolator"), "Arm does not stand level")
{
    public override CheckSort Sort => CheckSort.Service;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        sheet?.Formula("|{θ}| ÷ {s}", "m·g·L·cos θ = T·a·c·cos θ ÷ s", "Friction in the pivots hides a few degrees.")
            .Term("θ", "angle at rest", angle, Dimension.Angle, "balance of spring and payload")
            .Term("s", "swing to the stop", stop, Dimension.Angle, Origin.Measures)
            .Term("m", "on the arm", payload, Dimension.Mass, "all from the arm to the lens")
            .Term("m0", "it carries level", arm.LevelMass, Dimension.Mass, "spring and hook point as they stand")
            .Term("k", "spring rate, all together", arm.Rate, Dimension.Stiffness, "G·d⁴ ÷ (8·D³·N), Shigley ch. 10");
        return Ratio(Math.Abs(angle), stop);
    }
}
