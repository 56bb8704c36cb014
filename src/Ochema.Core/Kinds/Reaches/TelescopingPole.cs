using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A rod or pole of two tubes with a lock between them, at any lean.</summary>
[Kind("pole", "Telescoping pole", "Reaches where nobody can stand; bends, whips, and its lock turns first.",
    Caution = "Joints overlapping by three diameters, locks marked; look up before it goes up.",
    Sketch = "line 22 64 66 36; line 66 36 104 12; rect 62 33 8 6; dim length 16 58 98 6; dim lean 22 64 22 30")]
public sealed record TelescopingPole : ReachKind
{
    [Measure("Drawn out to", Dimension.Length, 0.3, 7.5,
        HowTo = "foot to head; every joint still overlapping by three diameters", Greatest = "Greatest draw-out", UsualTo = 5)]
    public double Length { get; init; } = 1.2;

    [Measure("Leans", Dimension.Angle, -Math.PI, Math.PI, HowTo = "from upright, towards the heading below; past 90° it dips")]
    public double Lean { get; init; } = 0.6;

    [Measure("Towards, turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 ahead, 90 out to the left")]
    public double Heading { get; init; }

    [StockChoice("Lower tube", "sections", Only = "round-tube")]
    public string Lower { get; init; } = "tube-al-25x2";

    [StockChoice("Upper tube", "sections", Only = "round-tube")]
    public string Upper { get; init; } = "carbon-20x1-5";

    [Measure("Lock holds", Dimension.Torque, 0.5, 80, HowTo = "scale × lever when the upper tube turns in the lower; twist locks {torque:3} to {torque:8}")]
    public double LockTorque { get; init; } = 5;

    /// <summary>Play that a twist lock still takes up, m (judgement, 1–2).</summary>
    private const double MostPlay = 0.0021;

    /// <summary>Bending stiffness of an overlap with a sleeve, N·m/rad (judgement, 0.5–2 ×).</summary>
    private const double Locked = 2500;

    [Measure("Tubes overlap by", Dimension.Length, 0.02, 0.5, HowTo = "drawn out as above; leave empty for three diameters of the upper tube", Measured = true,
        Chosen = true)]
    public double? Overlap { get; init; }

    /// <summary>Overlap in diameters of the tube that slides in: less, and the lock works loose and the tubes wear oval (common practice,
    /// no source).</summary>
    private const double Diameters = 3;

    [Measure("Pushed in", Dimension.Length, 0.1, 7.5, HowTo = "foot to head, as short as it goes; leave empty where it stays as it is", UsualTo = 4)]
    public double? Shortest { get; init; }

    [Measure("Drawn right out", Dimension.Length, 0.3, 7.5, HowTo = "foot to head, each joint still overlapping by three diameters", UsualTo = 5)]
    public double? Longest { get; init; }

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool Snags => true;

    internal override IEnumerable<Stance> Stances => Shortest is not { } least || Longest is not { } most || least >= most ? [] :
    [
        new(SchoolQuestion.Reach, 0, "Pushed in", "Steady, seldom caught.", this with { Length = least }, Length <= least),
        new(SchoolQuestion.Reach, 1, "Drawn right out", "More of the host in the picture; everything droops and turns sooner.",
            this with { Length = most }, Length >= most),
    ];

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsPole => true;

    [System.Text.Json.Serialization.JsonIgnore]
    public override double? TowardsLines => Length >= Poles.LineReach ? Length : null;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Fit, "Mark and lock the extension",
            "Pull to length, twist hard, tape mark at the lock. Push on it with a body's lean: it must not creep.")
        {
            Tools = ["tapemark"],
            Minutes = 3,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var direction = Poles.Direction(from, Lean, Heading);
        var side = direction.Cross(Vec3.UnitZ) is var s && s.Length > 0.1 ? s.Normalized() : Vec3.UnitY;
        var reach = b.Path.Reach;
        var (inner, outer) = (b.Stock.Find<SectionRow>("sections", Upper), b.Stock.Find<SectionRow>("sections", Lower));
        var least = Diameters * inner.Width;
        // Both cut to one length: drawn right out they are that twice, less what is one in the other; pushed in they are as long as one.
        var farthest = Math.Max(Length, Longest ?? Length);
        var cut = (farthest + (Overlap ?? least)) / 2;
        var overlap = 2 * cut - Length;
        if (Shortest is { } pushed && pushed < cut - 1e-6 && Longest is not null)
            b.Findings.Add(new ReportFinding(reach,
                $"Two tubes that are drawn out to {Holes.Size(farthest)} are {Holes.Size(cut)} long each: pushed in it is "
                + $"no shorter than that, not {Holes.Size(pushed)}. Drawn out to {Holes.Size(2 * pushed - least)} at the most it would be."));
        if (Overlap is { } own && own < least - 1e-6)
            b.Findings.Add(new ReportFinding(reach,
                $"The tubes overlap by {Holes.Size(own)}: {Holes.Size(least)} at the least, three diameters; less works "
                + "loose in its lock."));
        if (Overlap >= Length)
            b.Findings.Add(new ReportFinding(reach, $"Drawn out to {Holes.Size(Length)} the tubes would lie all in one another: "
                + $"their overlap is {Holes.Size(Overlap.Value)}.", true));
        BeamPiece Tube(string id, string label, NodeIndex start, NodeIndex end, string stock, double begins, double seen, Hung inside)
        {
            var row = b.Stock.Find<SectionRow>("sections", stock);
            var piece = b.Beam(reach, b.Own(id), label, start, end, b.Stock.Section(stock), b.Stock.MaterialOf(stock), side,
                through: Poles.Hands(b, from, direction, begins, begins + seen));
            b.Checks.Add(new SectionStrength(b, reach, new(b.Own(id)), $"{Words.Capital(label)} bends", piece));
            b.Put(Piece.Cut(new(reach, id), row, piece.Material, cut, what: Words.Capital(label)), [piece], inside);
            b.Shape(b.Own(id), reach, "tube", [b.Point(start), b.Point(end)], [row.Width]);
            return piece;
        }
        if (PartFit.Bore(outer) - inner.Width is < -0.00005 or > MostPlay)
            b.Findings.Add(new ReportFinding(reach, inner.Width > PartFit.Bore(outer) + 0.00005
                ? $"The upper tube does not slide into the lower: {Holes.Size(inner.Width)} across, the bore is "
                    + $"{Holes.Size(PartFit.Bore(outer))}."
                : $"The upper tube rattles in the lower: {Holes.Size(inner.Width)} across, the bore is "
                    + $"{Holes.Size(PartFit.Bore(outer))}; a sleeve of tape or the next size.", inner.Width > PartFit.Bore(outer)
                        + 0.00005));
        // A tenth of it is seen of either tube at the least, whatever is entered.
        var low = Math.Clamp(cut, 0.1 * Length, 0.9 * Length);
        var middle = b.Node(b.Own("pole-lock"), from.Position + low * direction);
        var upper = b.Node(b.Own("pole-upper"), b.Position(middle));
        var below = Tube("pole-low", "lower tube", from.Node, middle, Lower, 0, low, middle);
        b.StandsOn(from, new(b.Own("reach-screw"), reach, "screw in the pole's foot", new TubePort("Lower tube", outer),
            b.EndLoad(below.First), outer.Width / 2,
            Axis: direction));
        var spring = b.Spring(b.Own("pole-lock-spring"), middle, upper, [2e7, 2e7, 2e7, Locked, Locked, Locked], 0.05);
        if (!Poles.SlidesIn(b, direction))
            b.Links.Add((b.Own("pole-lock-spring"), reach, "the pole's lock"));
        Poles.KeepClear(b, from, Length);
        var tip = b.Node(b.Own("pole-tip"), from.Position + Length * direction);
        var high = Tube("pole-high", "upper tube", upper, tip, Upper, low, Length - low, new(middle) { Offset = -overlap / 2 * direction });
        Poles.Bows(b, from, b.Own("pole-low"), [below, high], direction, Length);
        var lockRow = b.Fitting("twist-lock");
        b.Put(Piece.Bought(new(reach, "lock"), lockRow), middle);
        Poles.LockTurns(b, b.Own("pole-lock"), "Lock of the pole turns", spring, direction, LockTorque);
        return new Mount(tip, b.Position(tip), Poles.Up(from), new TubePort("Upper tube", inner));
    }
}
