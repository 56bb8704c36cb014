using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Heads;

/// <summary>A ball head made by hand: the ball and plate of a broken one between two plates with a hole each, drawn together by four
/// screws.</summary>
[Kind("ball-in-plates", "Ball between two plates", "Out of a broken head and an offcut; strong for its price, slow to set.",
    Caution = "Wood and plastic give: draw the screws again after the first run, a mark line on each.",
    Sketch = "rect 24 52 72 8; rect 24 42 72 6; rect 24 22 72 6; circle 60 35 11; line 60 24 60 8; line 46 8 74 8; line 32 18 32 62; "
        + "line 88 18 88 62; "
        + "dim ball 108 24 108 46; dim side 24 68 96 68; dim thick 14 22 14 28")]
public sealed record BallInPlatesHead : HeadKind
{
    [StockChoice("Plates of", "materials", Only = "birch-ply,hdpe,al-6061-t6,steel-s235")]
    public string Plates { get; init; } = "birch-ply";

    [Measure("Each plate thick", Dimension.Length, 0.002, 0.03, HowTo = "calipers")]
    public double Thick { get; init; } = 0.012;

    [Measure("Plates, each side", Dimension.Length, 0.03, 0.15, HowTo = "square")]
    public double Side { get; init; } = 0.09;

    [Measure("Foot board", Dimension.Length, 0.006, 0.05, HowTo = "under both plates; the reach's screw and its nut go in here")]
    public double Foot { get; init; } = 0.018;

    [Measure("Ball across", Dimension.Length, 0.012, 0.08, HowTo = "calipers; a drawer knob, the ball of a broken head")]
    public double Ball { get; init; } = 0.03;

    [Measure("Hole in each plate", Dimension.Length, 0.006, 0.07, HowTo = "seven tenths of the ball grips evenly; its inner rim broken with sandpaper")]
    public double Hole { get; init; } = 0.021;

    [StockChoice("Screws", "fasteners")]
    public string Screw { get; init; } = "m5";

    [Measure("Screws tightened with", Dimension.Torque, 0.05, 20, HowTo = "four of them; fingers on a wing nut {torque:0.5}, a spanner {torque:3}")]
    public double Tightened { get; init; } = 0.5;

    [Measure("Ball to the camera", Dimension.Length, 0.01, 0.1, HowTo = "middle of the ball to the donor's plate")]
    public double Neck { get; init; } = 0.032;

    [Measure("Holding torque measured", Dimension.Torque, 0.2, 200,
        HowTo = "scale reading × lever when it slips; leave empty for what follows", Measured = true, Of = "plates")]
    public double? HoldingTorque { get; init; }

    internal override string Row => "ball-in-plates";

    /// <summary>A ball of metal or hard plastic on a rim of wood, plastic, metal (judgement, 0.2–0.4, 0.15–0.25, 0.12–0.2).</summary>
    private static double Friction(Material of) => of.Family switch { MaterialFamily.Wood => 0.3, MaterialFamily.Plastic => 0.2, _ => 0.15 };

    /// <summary>Preload that wood and plastic keep (judgement, 0.4–0.7), and metal.</summary>
    private static double Kept(Material of) => of.Family is MaterialFamily.Metal ? 1 : 0.5;

    /// <summary>Share of a hole over its ball past which it wedges, and under which it holds on a dot.</summary>
    private const double Widest = 0.88;
    private const double Narrowest = 0.4;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Drill, "Drill plates and foot board as one",
            $"Clamped together: four holes in the corners. Then the plates alone: {QuantityText.Of(Hole, Dimension.Length)} through the "
                + $"middle, hole saw or "
                + $"Forstner bit; "
                + "the rims that touch the ball broken with sandpaper round the ball itself. Under the plates a recess in the foot board "
                    + "for the ball's "
                    + "lower side.")
        {
            Joint = "ball-screws",
            Reads = [nameof(Hole)],
            Takes = ["donor-ball"],
            Tools = ["clamps", "drill", "bits", "hole-saw", "sandpaper"],
            Minutes = 30,
            Wrong = "The ball drops through: a new plate, the next smaller saw.",
        },
        new(Work.Set, "Aim, then draw the four screws crosswise",
            $"A little at each, round and round, to {QuantityText.Of(Tightened, Dimension.Torque)}. A mark line over each nut. Push on "
                + $"the lens by two "
                + $"fingers: it must not move.")
        {
            Reads = [nameof(Tightened)],
            Tools = ["spanners", "marker"],
            Minutes = 4,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var (of, thread, head) = (b.Stock.Material(Plates), b.Stock.Find<Fastener>("fasteners", Screw), b.Path.Head);
        var preload = Threads.Preload(Tightened, thread.MajorDiameter) * Kept(of);
        var grip = new PlateGrip(4 * preload, Ball, Hole, Friction(of));
        if (Hole > Widest * Ball)
            b.Findings.Add(new ReportFinding(head,
                $"A hole of {Holes.Size(Hole)} lets a ball of {Holes.Size(Ball)} wedge and slip through: "
                + $"{Holes.Size(0.7 * Ball)} is right.", true));
        if (Hole < Narrowest * Ball)
            b.Findings.Add(new ReportFinding(head,
                $"A hole of {Holes.Size(Hole)} holds a ball of {Holes.Size(Ball)} on a dot: {Holes.Size(0.7 * Ball)} is "
                + $"right."));
        var edge = (of.Family is MaterialFamily.Wood ? 4 : 2) * thread.MajorDiameter;
        var apart = Side - 2 * edge;
        // Screws pass beside the ball, at its corners.
        if (apart * Math.Sqrt(2) < Ball + thread.ClearanceMedium)
            b.Findings.Add(new ReportFinding(head,
                $"Plates of {Holes.Size(Side)} leave no room for screws beside a ball of {Holes.Size(Ball)}.", true));
        SheetPiece Square(double thick, bool hole) => new(Side, Side, thick, Plates, [])
        {
            LengthBy = nameof(Side),
            ThicknessBy = hole ? nameof(Thick) : nameof(Foot),
            Holes = hole ? [new(Side / 2, Side / 2, "Lower plate", b.Own("ball-screws")),
                    new(Side / 2, Side / 2, "Plate round the ball") { Own = new("ball", "Ball between its plates", Hole) }]
                : [new(Side / 2, Side / 2, "Foot board", b.Own("ball-screws")), new(Side / 2, Side / 2, "Foot board")],
        };
        RigPart[] pieces =
        [
            Piece.Sheet(new(head, "plates"), "Plate round the ball", Square(Thick, true), of, 2),
            Piece.Sheet(new(head, "foot-board"), "Foot board of the head", Square(Foot, false), of),
            Piece.Bought(new(head, "ball"), b.Fitting("donor-ball")),
        ];
        var height = Foot + Thick + grip.Gap / 2 + Neck;
        var row = b.Stock.Find<HeadRow>("heads", Row) with
        {
            Height = height,
            Mass = pieces.Sum(p => p.Quantity * p.Mass),
            HoldingTorque = grip.Torque,
            RotationalStiffness = Gives * Math.Pow(Ball / 0.03, 3),
            FrontalArea = Side * (Foot + 2 * Thick + grip.Gap),
        };
        StackLayer Layer(string name, double thick) => new(name, LayerRole.Clearance, thick, Plates, Side, Edge: edge);
        Structure.SpringIndex? spring = null;
        var seat = HeadParts.Build(b, from, row, HoldingTorque, "Ball turns between its plates",
            new ThroughPort("Foot board", [Layer("Foot board", Foot) with { Edge = Side / 2 }], Side), s =>
            {
                spring = s;
                return new BallInPlates(b, head, new(b.Own("head-joint")), s, grip);
            }, pieces);
        if (spring is { } joint)
            b.Checks.Add(new BallPlateBends(b, head, new(b.Own("head-joint")), joint, grip.Closing, apart, Side - Hole, Thick, of));
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = b.Own("ball-screws"),
            Station = head,
            Title = "screws of the ball's plates",
            Thread = thread,
            Means = Loosening.LockNut,
            Usual = Tightened,
            Layers =
            [
                Hardware.Washer(thread), Layer("Foot board", Foot), Layer("Lower plate", Thick),
                new("Gap round the ball", LayerRole.Clearance, grip.Gap, Plates, Side) { Ready = true },
                Layer("Upper plate", Thick), Hardware.Washer(thread), Hardware.LockNut(thread),
            ],
            Count = 4,
            Screws = 4,
            Places = [.. from along in new[] { -apart / 2, apart / 2 } from across in new[] { -apart / 2, apart / 2 } select (along,
                across)],
            Lever = apart / 2,
        }, seat.Node);
        return seat;
    }

    /// <summary>Give of a ball of 30 mm between wooden plates, N·m/rad (judgement, 0.5–2 ×); it grows with the cube of its size.</summary>
    private const double Gives = 350;
}
