using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>A ball on a rail, a double socket arm, a second ball with a stud: aims any way, and holds by one knob.</summary>
[Kind("ball-arm", "Rail ball and double socket arm", "Aims any way in a second and stays on the rail; its balls turn long before anything breaks.",
    Caution = "Hand-tight is not a measure: mark ball and socket, push on the camera, look at the marks. Tether the camera to the boat "
        + "or car, not to the arm.",
    Sketch = "circle 30 58 8; line 30 50 30 42; circle 30 38 6; line 34 34 74 18; circle 78 16 6; line 78 10 78 2; dim arm 40 44 84 26; "
        + "dim ball 14 32 14 44")]
public sealed record BallArm : BaseKind
{
    [Measure("Ball across", Dimension.Length, 0.010, 0.060, HowTo = "calipers; sold as {length:0.0254} and {length:0.038}")]
    public double Ball { get; init; } = 0.0254;

    [Measure("Arm, ball to ball", Dimension.Length, 0.035, 0.4, HowTo = "middle to middle; {length:0.06} to {length:0.09} is common", UsualTo = 0.2)]
    public double Arm { get; init; } = 0.075;

    [Measure("Arm leans", Dimension.Angle, -1.5, 1.5, HowTo = "from straight off the rail, towards the heading below")]
    public double Lean { get; init; }

    [Measure("Turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 ahead, 90 to the left")]
    public double Heading { get; init; } = Math.PI / 2;

    [Measure("Knob tightened with", Dimension.Torque, 0.3, 15, HowTo = "as hard as a hand goes {torque:2} to {torque:4}", UsualTo = 8)]
    public double Knob { get; init; } = 3;

    [Measure("Ball holds, measured", Dimension.Torque, 0.2, 200,
        HowTo = "scale reading × lever when the ball slips; leave empty for what the knob gives", Measured = true)]
    public double? BallHolds { get; init; }

    [Measure("U-bolt nuts tightened with", Dimension.Torque, 0.5, 15, HowTo = "spanner, short grip {torque:3} to {torque:5}; a thin rail dents", UsualTo = 8)]
    public double Nuts { get; init; } = 3;

    [Measure("U-bolts apart", Dimension.Length, 0.02, 0.2, HowTo = "along the rail, middle to middle")]
    public double Apart { get; init; } = 0.045;

    [Measure("Smallest rail it goes on", Dimension.Length, 0.005, 0.1, HowTo = "by its U-bolts; check against the real rail")]
    public double Smallest { get; init; } = 0.019;

    [Measure("Largest rail it goes on", Dimension.Length, 0.01, 0.12, HowTo = "by its U-bolts; check against the real rail")]
    public double Largest { get; init; } = 0.032;

    [StockChoice("Stud on top", "fasteners", HowTo = "the thread it offers to the head or the reach")]
    public string Stud { get; init; } = "1-4-20";

    /// <summary>From here on a ball is of the large size.</summary>
    private const double Large = 0.030;

    /// <summary>Threads of the knob's screw and of the U-bolts.</summary>
    private const string KnobScrew = "m8";
    private const string UBolt = "m6";
    private const int Legs = 4;

    /// <summary>Friction of a rubber coat in its shells (judgement, 0.3–0.6); of U-bolts and a metal base on a rail: the clamps'
    /// own.</summary>
    private const double Rubber = 0.45;

    /// <summary>Height of the base's plate over the rail, m (judgement).</summary>
    private const double Plate = 0.008;

    /// <summary>Neck of a ball, and the arm's two shells taken as a bar, by the ball's size (judgement, 0.4–0.5 and 0.6–0.8).</summary>
    private const double Neck = 0.45;
    private const double Shells = 0.7;
    private const double Stands = 0.9;

    /// <summary>Turning of a rubber-coated ball of 38 mm under load, N·m/rad; with the square of its size (judgement, 300–1000).</summary>
    private const double Gives = 600;
    private const double GivesAt = 0.038;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Tube]);

    private BallGrip Holds(Catalogue stock) =>
        BallGrip.OfDoubleSocket(Threads.Preload(Knob, stock.Find<Fastener>("fasteners", KnobScrew).MajorDiameter), Ball, Rubber);

    private string Sized(string fitting) => Ball >= Large ? fitting + "-large" : fitting;

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Ball < Large)
            yield return new("large-ball", "Balls of 38 mm", this with { Ball = 0.038 });
        if (Arm > 0.06)
            yield return new("shorter-arm", "A double socket arm a quarter shorter", this with { Arm = Math.Max(0.05, Arm * 0.75) });
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Measure, "Measure the rail with calipers",
            "Twice, across each other, where the base will sit. U-bolts for the real size: too wide and they bottom before they grip.")
        {
            Tools = ["calipers"],
            Minutes = 3,
        },
        new(Work.Place, "Bolt the ball to the rail",
            $"Wipe the rail dry. Base under both U-bolts, nuts drawn evenly in turn, {QuantityText.Of(Nuts, Dimension.Torque)}, a second "
                + $"nut or lock nut on "
                + "each leg. Twist on the ball by hand: the base may not creep round the rail.")
        {
            Tools = ["cloth", "spanners", "marker"],
            Minutes = 8,
            Beware = "No cable, line or hose between base and rail.",
        },
        new(Work.Set, "Aim, close both balls, mark them",
            $"Balls clean and dry, no grease. Aim, then the knob as hard as {QuantityText.Of(Knob, Dimension.Torque)}: both sockets "
                + $"close at once. A mark over "
                + "ball and socket on each side. Push on the camera with two fingers: no mark may part.")
        {
            Tools = ["cloth", "marker"],
            Minutes = 4,
            Wrong = "It turns: dry the balls and tighten again; else larger balls or a shorter rod. A bar through the knob cracks the "
                + "shells.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        ClampParts.Range(b, Smallest, Largest);
        var d = ClampParts.Diameter(b);
        var thread = b.Stock.Find<Fastener>("fasteners", UBolt);
        var closing = Legs * Threads.Preload(Nuts, thread.MajorDiameter);
        var rail = b.Fitting(Sized("rail-ball"));
        var hold = ClampParts.Place(b, "base-hold", "rail base", d / 2 + Plate, Apart / 2);
        b.WhileHeld(() =>
        {
            var how = $"two U-bolts, four M6 nuts at your torque, K = {Threads.NutFactor}";
            b.Checks.Add(GripTurn.Of(b, hold.Id, "Rail base turns on the rail", hold.Spring, b.Surface.U,
                FrictionGrip.Halves(closing, d, ClampParts.Metal(b)), "U-bolts and base on a tube, Coulomb friction",
                $"{how}; friction {ClampParts.Metal(b):0.00}, judgement{b.Site.RubsWhy}"));
            b.Checks.Add(new GripPrise(b, hold.Id, "Rail base is prised off", hold.Spring, b.Surface.U, hold.Top.Axis, closing, Apart / 2,
                how));
        });
        b.Put(Piece.Bought(new(StationId.Base, "rail-ball"), rail), hold.Body);
        var (grip, arm, stud) = (Holds(b.Stock), b.Fitting(Sized("socket-arm")), b.Fitting(Sized("ball-stud")));
        var away = hold.Top.Axis;
        var side = Math.Abs(away.Z) > 0.5 ? Vec3.UnitX.RotatedAbout(Vec3.UnitZ, Heading) : Vec3.UnitZ.RotatedAbout(away, Heading);
        var along = Math.Cos(Lean) * away + Math.Sin(Lean) * side.PerpendicularTo(away).Normalized();

        var ball = ClampParts.Stem(b, hold.Top, Stands * Ball, Neck * Ball, "rail-ball-neck", "rail ball's neck");
        var socket = b.Node("lower-socket", ball.Position);
        var lower = Joint(b, ball.Node, socket, "lower-ball", "the lower ball");
        b.StandsOn(ball with { Offers = new BallPort("Rail's ball", Ball) }, new("lower-ball", StationId.Base, "lower ball",
            new BallSocketPort("Arm's lower socket", grip, BallHolds), f => f.Spring(lower), Ball / 2));

        var end = b.Node("upper-socket", ball.Position + Arm * along);
        // Sold in plastic and in metal: taken as plastic.
        var shells = b.Stock.Material("nylon-66");
        var piece = b.Beam(StationId.Base, "socket-arm", "double socket arm", socket, end,
            Section.Of(SectionShape.Round, Shells * Ball, Shells * Ball, 0),
            shells, side, density: 0);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("socket-arm"), "Double socket arm bends", piece));
        b.Put(Piece.Bought(new(StationId.Base, "arm"), arm), [piece], socket, end);
        b.Shape("socket-arm", StationId.Base, "tube", [b.Point(socket), b.Point(end)], [Shells * Ball]);

        var upperBall = b.Node("upper-ball", b.Position(end));
        var upper = Joint(b, end, upperBall, "upper-ball", "the upper ball");
        b.StandsOn(new(end, b.Position(end), along, new BallSocketPort("Arm's upper socket", grip, BallHolds)),
            new("upper-ball", StationId.Base,
            "upper ball", new BallPort("Stud's ball", Ball), f => f.Spring(upper), Ball / 2));
        b.Put(Piece.Bought(new(StationId.Base, "stud"), stud), upperBall);
        // The ball is turned until its stud stands upright, or hangs.
        var up = away.Z < -0.5 ? -Vec3.UnitZ : Vec3.UnitZ;
        var top = ClampParts.Stem(b, new(upperBall, b.Position(upperBall), up), Stands * Ball, Neck * Ball, "stud-ball-neck",
            "upper ball's neck");
        return top with { Offers = new StudPort("Ball's stud", Stud, null) };
    }

    /// <summary>A ball in its socket: where it turns, and what is seen of it.</summary>
    private SpringIndex Joint(RigBuilder b, NodeIndex from, NodeIndex to, string id, string called)
    {
        var turning = Gives * Math.Pow(Ball / GivesAt, 2);
        var spring = b.Spring(id + "-spring", from, to, [ClampParts.Stiffness, ClampParts.Stiffness, ClampParts.Stiffness, turning, turning,
            turning], 0.05);
        b.Links.Add((id + "-spring", StationId.Base, called));
        b.Shape(id, StationId.Base, "joint", [b.Point(from)], [Ball * 1.3], Vec3.UnitZ);
        return spring;
    }
}
