using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Heads;

/// <summary>What tilts the frame.</summary>
public enum TiltedBy
{
    /// <summary>By hand, held by the friction of its pivots.</summary>
    Hand,

    /// <summary>By a servo on one pivot.</summary>
    Servo,

    /// <summary>By a servo, and another over the camera's button.</summary>
    ServoAndButton,
}

/// <summary>A frame bent round the camera that tilts in a frame bent round the first.</summary>
[Kind("tilt-frame", "Tilt frame, built to the camera", "Tilts about the camera's own balance, by hand or from afar; made of two strips and two bolts.",
    Caution = "Bench trial before it goes up: through its whole swing, one picture taken. Its cable tied so that the swing does not pull "
        + "it.",
    Sketch = "line 24 64 96 64; line 24 64 24 14; line 96 64 96 14; line 36 50 84 50; line 36 50 36 14; line 84 50 84 14; circle 30 20 "
        + "4; circle 90 20 "
        + "4; rect 44 26 32 24; dim room 36 9 44 9; dim beside 84 9 96 9; dim pivots 104 20 104 50")]
public sealed record TiltFrame : HeadKind
{
    [StockChoice("Strip or board", "sections", Only = "flat,batten", HowTo = "metal is bent, boards are screwed to a box")]
    public string Bar { get; init; } = "flat-al-25x3";

    [Measure("Inside bend radius", Dimension.Length, 0.0002, 0.03, HowTo = "the rod they are bent round")]
    public double BendRadius { get; init; } = 0.014;

    [Measure("Room beside the camera", Dimension.Length, 0.001, 0.06, HowTo = "each side: a finger's, for buttons and strap eyes")]
    public double Room { get; init; } = 0.012;

    [Option("Screen", HowTo = "one that opens to the side wants its own room")]
    public ScreenState Screen { get; init; } = ScreenState.Shut;

    [Option("Tilted by")]
    public TiltedBy By { get; init; } = TiltedBy.Hand;

    [Measure("Pivots above the floor", Dimension.Length, 0.005, 0.3, HowTo = "where the camera balances; leave empty for its own centre", Measured = true)]
    public double? Pivots { get; init; }

    [Measure("Camera set back", Dimension.Length, 0, 0.12, HowTo = "on a sliding plate, until it stays at every tilt")]
    public double SetBack { get; init; }

    [Measure("Tilts hold", Dimension.Torque, 0.02, 20, HowTo = "by hand: scale × lever when it slips; a servo: as stamped at its volts, {torque:0.3} to "
        + "{torque:1.5}")]
    public double Torque { get; init; } = 0.8;

    [Measure("Room for the servo", Dimension.Length, 0, 0.12, HowTo = "between the frames, on its side")]
    public double Beside { get; init; } = 0.045;

    [Measure("Tilts each way", Dimension.Angle, 0.1, 1.57, HowTo = "from level")]
    public double Swing { get; init; } = 0.8;

    [Measure("Servos' battery", Dimension.Energy, 360, 3.6e6, HowTo = "on its label, volts × ampere-hours; four AA cells hold {energy:32400}")]
    public double Pack { get; init; } = 9 * 3600;

    [Measure("It stays up for", Dimension.Duration, 60, 86400, HowTo = "until somebody gets at its batteries again")]
    public double Up { get; init; } = 1800;

    /// <summary>What a servo that holds and now and then moves draws, one that rests on a button, and their receiver, W (judgement, 0.5–3,
    /// 0.1–0.5, 0.3–0.8).</summary>
    private const double ServoDraws = 1.2;
    private const double ButtonDraws = 0.3;
    private const double ReceiverDraws = 0.5;

    /// <summary>Strip past the middle of a pivot, m; air that what swings wants, m; nylon spacer between the frames, m
    /// (judgement).</summary>
    private const double Past = 0.012;
    private const double Air = 0.006;
    private const double Spacer = 0.006;

    /// <summary>A bolted pivot with its nylon, N·m/rad (judgement, 0.3–3 ×).</summary>
    private const double Rocking = 400;

    private const string PivotBolt = "m6";
    private const string Floor = "Floor of the inner frame";

    internal override bool TakesLensFoot => false;

    internal override bool TurnsOver => false;

    internal override bool LeavesTopFree => false;

    internal override string Row => "tilt-frame";

    internal override StackLayer? Plate(RigSetting b)
    {
        var row = b.Stock.Find<SectionRow>("sections", Bar);
        return new(Floor, LayerRole.Clearance, row.Height, row.Material, row.Width);
    }

    /// <summary>All its sizes, m, from the camera's record.</summary>
    /// <param name="Inner">Inside width of the inner frame.</param>
    /// <param name="Outer">Inside width of the outer one.</param>
    /// <param name="Up">Pivots above the floor's upper face.</param>
    /// <param name="Drop">Pivots from the outer frame's floor.</param>
    private readonly record struct Sizes(double Inner, double Outer, double Up, double Drop);

    private Sizes Of(CameraRow camera, SectionRow bar, bool hangs, bool boards)
    {
        var wide = camera.Width + (Screen == ScreenState.Open ? camera.ScreenOpen : 0) + 2 * Room;
        var up = Pivots ?? camera.CentreHeight;
        // What is beyond the pivots swings by: the camera's lower corner, or its upper one where it hangs in the frame.
        var beyond = hangs ? Math.Max(0, camera.Height - up) : up + bar.Height;
        var drop = Math.Min(beyond / Math.Max(0.05, Math.Cos(Swing)), Math.Sqrt(beyond * beyond + camera.Length * camera.Length / 4)) + Air;
        return new(wide, wide + 2 * bar.Height + 2 * Spacer + (By == TiltedBy.Hand ? 0 : Beside), up,
            Math.Max(drop, (boards ? 0 : BendRadius) + Air));
    }

    /// <summary>Flat length of a strip bent to a U, m, and the middles of its bends from either end.</summary>
    /// <param name="leg">From the inner face of its floor.</param>
    private (double Flat, double Bend) U(double inside, double leg, double thickness)
    {
        var allowance = Bend.Allowance(Math.PI / 2, BendRadius, thickness);
        return (inside + 2 * leg - 4 * BendRadius + 2 * allowance, leg - BendRadius + allowance / 2);
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        var camera = b.CameraOf(path.Camera).Body;
        var bar = b.Stock.Find<SectionRow>("sections", Bar);
        var boards = OfBoards(b);
        var s = Of(camera, bar, false, boards);
        string Size(double v) => QuantityText.Of(v, Dimension.Length);
        if (boards)
            yield return new(Work.Cut, "Saw both boxes",
                $"Inner one {Size(s.Inner)} inside: camera "
                    + $"{Size(camera.Width)}{(Screen == ScreenState.Open ? $", its open screen {Size(camera.ScreenOpen)}" : "")} and "
                        + $"twice {Size(Room)}. "
                    + $"Outer one {Size(s.Outer)} inside. Sides in pairs, clamped, holes for the pivots through both at once. Corners "
                        + $"glued and two screws "
                        + $"each, 4 × 40 mm, "
                    + "piloted: plywood splits along its edge.")
            {
                Piece = "inner-floor",
                Takes = [Supplies.Glue, "wood-screw"],
                Reads = [nameof(Room)],
                Tools = ["rule", "marker", "fine-saw", "drill", "bits", "clamps"],
                Minutes = 45,
                Wrong = "Out of square: before the glue is hard, a clamp across the longer diagonal.",
            };
        else
            yield return new(Work.Bend, "Bend both frames",
            $"Inner one {Size(s.Inner)} inside: camera "
                + $"{Size(camera.Width)}{(Screen == ScreenState.Open ? $", its open screen {Size(camera.ScreenOpen)}" : "")} and twice "
                    + $"{Size(Room)}. "
                + $"Outer one {Size(s.Outer)} inside. Bends at the marks, legs square; fingernail over the outside of each. Holes for "
                    + $"the pivots after "
                    + $"bending, both legs "
                + "clamped together, so that they are at one height.")
            {
                Piece = "inner-frame",
                Reads = [nameof(BendRadius), nameof(Room)],
                Tools = ["rule", "marker", "vice", "bending-block", "mallet", "file"],
                Minutes = 40,
                Beware = "Sprung strip: gloves.",
                Wrong = "Legs of two heights: file the longer one's hole up to a slot, a washer over it.",
            };
        yield return new(Work.Set, "Balance the camera between its pivots",
            "Pivot nuts loose, camera in as it will run, card and battery in. It must stay at every tilt: falls forward: further back; "
                + "swings like a "
                + "pendulum: pivots lower. Then the "
                + "nuts just so that it holds, nylon between, and a lock nut.")
        {
            Reads = [nameof(SetBack), nameof(Torque)],
            Tools = ["spanners", "scale"],
            Minutes = 10,
        };
        if (By != TiltedBy.Hand)
            yield return new(Work.Fit, By == TiltedBy.Servo ? "Servo on its pivot" : "Servo on its pivot, the other over the button",
                "Horn screwed to the inner frame in the middle of its travel with the camera level, servo on the outer frame. Through "
                    + "the whole swing "
                    + "by its control before "
                    + "anything goes up: no cable pulls, nothing grates."
                        + (By == TiltedBy.Servo ? "" : $" Button servo on a strip over the button, {Size(Math.Abs(camera.ButtonAcross))} "
                            + $"{(camera.ButtonAcross < 0 ? "right" : "left")} of the middle "
                        + $"and {Size(camera.ButtonBack)} behind the front: a soft pad, lifted clear at rest; one picture taken."))
            {
                Tools = ["hex-keys", "pliers"],
                Minutes = 25,
                Wrong = "It hums or creeps: out of balance, or its supply sags; a fresh battery first.",
            };
    }

    public override Mount Build(RigBuilder b, Mount from)
    {
        if (By != TiltedBy.Hand)
            b.Checks.Add(new BatteryLasts(b.Path.Head, "servos", "Servos stop before it comes down",
                ServoDraws + ReceiverDraws + (By == TiltedBy.ServoAndButton ? ButtonDraws : 0), Pack, Up,
                    "judgement, 0.8–3.5 W while it holds",
                    Origin.Measures));
        if (By != TiltedBy.Hand && b.Stock.Find<CameraRow>("cameras", b.CameraOfPath.Body) is { Lasts: not null } own)
            b.Checks.Add(new BatteryLasts(b.Path.Head, "camera", "Camera stops before it comes down", own.Draws, own.Battery, Up,
                own.Source, own.Source));
        var (row, bar) = (b.Stock.Find<HeadRow>("heads", Row), b.Stock.Find<SectionRow>("sections", Bar));
        var (section, metal) = (b.Stock.Section(Bar), b.Stock.MaterialOf(Bar));
        var camera = b.Stock.Find<CameraRow>("cameras", b.CameraOfPath.Body);
        var lens = b.Stock.Find<LensRow>("lenses", b.CameraOfPath.Lens);
        var head = b.Path.Head;
        var hangs = from.Axis.Z < -0.5;
        var axis = from.Axis.Z > 0.5 ? Vec3.UnitZ : hangs ? -Vec3.UnitZ : from.Axis;
        var up = hangs ? Vec3.UnitZ : axis;
        var (sin, cos) = Math.SinCos(b.CameraOfPath.Pan);
        var left = new Vec3(-sin, cos, 0).PerpendicularTo(axis) is { Length: > 0.3 } l ? l.Normalized() : Vec3.UnitX.PerpendicularTo(axis)
            .Normalized();
        var ahead = left.Cross(up);
        var boards = OfBoards(b);
        var s = Of(camera, bar, hangs, boards);
        var pivotsAt = from.Position + s.Drop * axis;
        var floorAt = pivotsAt - s.Up * up;
        if (!boards)
            b.Checks.Add(new BendCracks(head, new(head + "-frames"), metal, bar.Height, BendRadius));
        // Each frame as it is: two halves of a floor and two legs.
        (NodeIndex Left, NodeIndex Right, Func<CaseForces, (Vec3 Force, Vec3 Moment)> Load) Frame(
            string name, string title, NodeIndex middle, Vec3 floor, Vec3 legs, double half, double leg)
        {
            (NodeIndex End, Func<CaseForces, (Vec3 Force, Vec3 Moment)> Load) Side(string way, int side)
            {
                var corner = b.Node(b.Own($"{name}-{way}-corner"), floor + side * half * left);
                var end = b.Node(b.Own($"{name}-{way}"), floor + side * half * left + leg * legs);
                BeamPiece Part(string part, NodeIndex start, NodeIndex stop, Vec3 thin)
                {
                    var id = b.Own($"{name}-{way}-{part}");
                    var piece = b.Beam(head, id, $"{title}, {way} {part}", start, stop, section, metal, thin, density: 0);
                    b.Checks.Add(new SectionStrength(b, head, new(id), $"{Words.Capital(title)} bends, {way} {part}", piece));
                    b.Shape(id, head, "tube", [b.Point(start), b.Point(stop)], [bar.Width * 0.5]);
                    return piece;
                }
                var floorPart = Part("floor", middle, corner, up);
                var legPart = Part("leg", corner, end, left);
                if (boards)
                    b.Checks.Add(new CornerHolds(b, head, new(b.Own($"{name}-{way}-corner")), $"Corner of the {title} opens, {way}",
                        b.EndLoad(legPart.First), bar.Height, metal));
                return (end, b.EndLoad(floorPart.First));
            }
            var (one, other) = (Side("left", 1), Side("right", -1));
            return (one.End, other.End, f => (one.Load(f).Force + other.Load(f).Force, one.Load(f).Moment + other.Load(f).Moment));
        }
        var foot = b.Node(b.Own("head-lower"), from.Position);
        b.Rigid(from.Node, foot);
        var seat = b.Node(head.ToString(), floorAt);
        var outer = Frame("outer-frame", "outer frame", foot, from.Position, axis, s.Outer / 2, s.Drop);
        var inner = Frame("inner-frame", "inner frame", seat, floorAt, up, s.Inner / 2, s.Up);
        foreach (var (way, on, of) in new[] { ("left", outer.Left, inner.Left), ("right", outer.Right, inner.Right) })
        {
            // The pivot's gap is the frames' own: both ends in the middle of it.
            var gap = b.Node(b.Own($"tilt-{way}-outer"), b.Position(of));
            b.Rigid(on, gap);
            // A pivot carries forces and holds half of the torque about its own axis.
            var spring = b.SpringAlong(left, b.Own($"tilt-{way}"), gap, of, 2e6, 2e6, Rocking, Rocking);
            b.Links.Add((b.Own($"tilt-{way}"), head, $"the {way} pivot of the frame"));
            b.Checks.Add(new TurnsByFriction(b, head, new(b.Own($"tilt-{way}")), $"Frame tilts by itself, {way} pivot", spring, left, Torque
                / 2,
                By == TiltedBy.Hand ? "half of what both hold, as you set it" : "half of the servo's, as stamped"));
        }
        var aheadOf = Ahead(camera, lens) - SetBack;
        var offset = s.Up - camera.CentreHeight;
        var mass = b.CameraOfPath.Mass ?? camera.Mass + lens.Mass;
        b.Checks.Add(new TiltBalance(b, head, mass, aheadOf, offset, Swing, Torque));
        var (flatInner, flatOuter) = boards
            ? ((Flat: s.Inner + 2 * bar.Height + 2 * (s.Up + Past), Bend: 0.0),
                (Flat: s.Outer + 2 * bar.Height + 2 * (s.Drop + Past), Bend: 0.0))
            : (U(s.Inner, s.Up + Past, bar.Height), U(s.Outer, s.Drop + Past, bar.Height));
        // The camera stands in the middle: its screw is where its socket is. Strips are marked from the right.
        foreach (var (name, flat, aside, layer, joint) in new[]
        {
            ("Inner frame", flatInner, camera.SocketAcross, Floor, b.Own("camera-screw")),
                ("Outer frame", flatOuter, 0, "Outer frame's floor", (string?)null),
        })
        {
            if (boards)
            {
                Box(b, head, name, bar, metal, flat == flatInner ? (s.Inner, s.Up) : (s.Outer, s.Drop), aside, layer, joint, layer == Floor
                    ? seat : foot);
                continue;
            }
            b.Put(Piece.Cut(new(head, layer == Floor ? "inner-frame" : "outer-frame"), bar, metal, flat.Flat, what: name,
                by: layer != Floor && By != TiltedBy.Hand ? nameof(Beside) : null).Also(c => c with
                {
                    Bends = [new(flat.Bend, Math.PI / 2, BendRadius), new(c.Length - flat.Bend, Math.PI / 2, BendRadius)],
                    Holes = [new(Past, name, b.Own("tilt-pivot")), new(c.Length / 2 + aside, layer, joint),
                        new(c.Length - Past, name, b.Own("tilt-pivot"))],
                }), layer == Floor ? seat : foot);
        }
        b.Put(Piece.Bought(new(head, "hinge"), row), foot);
        if (boards)
        {
            // Two at each of the four corners of two boxes.
            b.Beside(Piece.Used(new(head, "corner-screws"), b.Fitting("wood-screw"), 16));
            b.Beside(Piece.Used(new(head, "corner-glue"), b.Fitting(Supplies.Glue)));
        }
        if (SetBack > 0)
            b.Put(Piece.Bought(new(head, "slide-plate"), b.Fitting("slide-plate")), seat);
        if (By != TiltedBy.Hand)
            b.Put(Piece.Bought(new(head, "servo"), b.Fitting("tilt-servo")), outer.Left);
        if (By == TiltedBy.ServoAndButton)
            b.Put(Piece.Bought(new(head, "button-servo"), b.Fitting("button-servo")), inner.Left);
        var bolt = b.Stock.Find<Fastener>("fasteners", PivotBolt);
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = b.Own("tilt-pivot"),
            Station = head,
            Title = "pivots of the frame",
            Thread = bolt,
            Means = Loosening.LockNut,
            Usual = 0.5,
            Screws = 2,
            Layers =
            [
                new("Outer frame", LayerRole.Clearance, bar.Height, bar.Material, bar.Width),
                new("Nylon spacer", LayerRole.Clearance, Spacer, "nylon-66", 0.012, Bought: true),
                new("Inner frame", LayerRole.Clearance, bar.Height, bar.Material, bar.Width), Hardware.Washer(bolt), Hardware.LockNut(bolt),
            ],
        }, foot);
        b.StandsOn(from, new(head + "-screw", head, "screw under the head",
            new ThroughPort("Outer frame's floor", [new("Outer frame's floor", LayerRole.Clearance, bar.Height, bar.Material, bar.Width)],
                bar.Width)
            { Bolt = "1-4-20" },
            outer.Load, bar.Width / 2, 4));
        if (Screen == ScreenState.Open && camera.ScreenOpen <= 0)
            b.Findings.Add(new ReportFinding(head,
                $"The {Words.Inside(camera.Name)} has no screen that opens, as listed: enter how far yours stands out."));
        return new Mount(seat, floorAt - SetBack * ahead, up);
    }

    /// <summary>True where it is screwed together of boards: wood does not bend round a corner.</summary>
    private bool OfBoards(RigSetting b) => b.Stock.MaterialOf(Bar).Family == MaterialFamily.Wood;

    /// <summary>A frame of boards: its floor, which goes over the ends of the sides, and the two sides.</summary>
    /// <param name="size">Inside, and its pivots over the floor, m.</param>
    private static void Box(RigBuilder b, StationId head, string name, SectionRow bar, Material wood, (double Inside, double Up) size,
        double aside,
        string layer, string? joint, NodeIndex at)
    {
        var box = name.Replace("frame", "box", StringComparison.Ordinal);
        b.Put(Piece.Cut(new(head, layer == Floor ? "inner-floor" : "outer-floor"), bar, wood, size.Inside + 2 * bar.Height,
            what: $"{box}, floor")
            .Also(c => c with { Holes = [new(c.Length / 2 + aside, layer, joint)] }), at);
        b.Put(Piece.Cut(new(head, layer == Floor ? "inner-sides" : "outer-sides"), bar, wood, size.Up + Past, 2, what: $"{box}, side")
            .Also(c => c with { Holes = [new(c.Length - Past, name, b.Own("tilt-pivot"))] }), at);
    }

    /// <summary>Centre of camera and lens ahead of the middle of its body, m.</summary>
    private static double Ahead(CameraRow camera, LensRow lens) => lens.Mass / (camera.Mass + lens.Mass) * (camera.Length + lens.Length)
        / 2;
}

/// <summary>A screen of a camera.</summary>
public enum ScreenState
{
    Shut,
    Open,
}
