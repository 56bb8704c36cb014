using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>How two parts are joined.</summary>
public enum JoinSort
{
    /// <summary>By a screw, stud or bolt.</summary>
    Screwed,

    /// <summary>By a buckle or hinge that snaps.</summary>
    Snapped,

    /// <summary>By a band, by hands.</summary>
    Held,

    /// <summary>By a socket that closes on a ball.</summary>
    Clasped,

    /// <summary>By cement in a coupler: plastic pipe to plastic pipe.</summary>
    Cemented,
}

/// <summary>A joint as the house makes it of two ports.</summary>
/// <param name="Layers">From the head, or the end that stays, towards the tip.</param>
/// <param name="Length">Of a thread that one of the parts brings with it, from under its head, m; null for a screw to be bought.</param>
/// <param name="Screw">What it is; null where the thread is part of one of the two.</param>
/// <param name="Headless">True for studs and set screws.</param>
/// <param name="Fittings">What goes between, rows of the shelf.</param>
/// <param name="Count">Screws that share the load.</param>
/// <param name="Lever">Middle of its screws to the edge, m; null: the part's own.</param>
/// <param name="Plug">Plug in a tube's end that its thread is in.</param>
public sealed record MadeJoint(
    JoinSort Sort, Fastener? Thread, IReadOnlyList<StackLayer> Layers, double? Length = null, string? Screw = "Screw",
    bool Headless = false, Loosening Means = Loosening.ToolTightMarked, IReadOnlyList<string>? Fittings = null, int Count = 1,
        double? Lever = null,
    TubePlug? Plug = null)
{
    /// <summary>True where it is made before the lower part is in its place: later nobody gets at its screw.</summary>
    public bool First { get; init; }

    /// <summary>True where the screw's head is let in.</summary>
    public bool Flush { get; init; }

    /// <summary>Where its screws go, m from their middle: along and across; null for a circle of <see cref="Lever"/>.</summary>
    public IReadOnlyList<(double Along, double Across)>? Places { get; init; }

    /// <summary>How a ball is held; null where there is none.</summary>
    public BallClasp? Clasp { get; init; }
}

/// <summary>A ball in a socket.</summary>
/// <param name="Grip">What the socket holds it with.</param>
/// <param name="Measured">Torque at which it was seen to slip, N·m.</param>
/// <param name="Misfit">Why the two do not go together, in words; null where they do.</param>
public sealed record BallClasp(BallGrip Grip, double? Measured, string? Misfit);

/// <summary>
/// Makes the joint between what a part offers above and what the next has underneath: which way the screw goes, through what, into what,
/// and what goes between where they do not fit each other. Ways of joining are common practice, no source.
/// </summary>
public static class JointMaker
{
    /// <summary>Thread taken where neither part has one.</summary>
    private const string Usual = "1-4-20";

    /// <summary>Depth of the thread in an end plug, m (judgement, 15–30 mm).</summary>
    private const double PlugDepth = 0.020;

    /// <summary>Plate that goes under a flange where there is none, m.</summary>
    public const double AdapterPlate = 0.006;
    private const double AdapterRoom = 0.080;

    /// <summary>Two U-bolts beside each other, middle to middle, m (judgement: clear of the flange's screws).</summary>
    private const double UBoltsApart = 0.024;

    /// <summary>U-bolt round a bar, and its leg beside the bar to the bar's middle beyond half its width, m (judgement).</summary>
    private const string UBolt = "m8";
    private const double UBoltAside = 0.006;

    /// <summary>
    /// What closes a single socket on a stud, where a ball is met by a part that has none: an M6 wing screw by hand, and the rubber coat's
    /// friction (judgement, 1000–2500 N and 0.3–0.6).
    /// </summary>
    private const double SocketCloses = 1500;
    private const double BallFriction = 0.45;

    /// <summary>Thread in the plastic foot of a buckle's adapter, m (judgement, 5–7 mm).</summary>
    private const double AdapterSocket = 0.006;

    /// <summary>The joint, or the joints where something of its own goes between; the first stands on the lower part.</summary>
    /// <param name="below">What the lower part offers.</param>
    /// <param name="above">What the upper part has underneath.</param>
    public static IReadOnlyList<MadeJoint> Make(Port below, Port above, Catalogue stock)
    {
        var made = Joined(below, above, stock);
        return below is ThroughPort { Underside: not Underside.Open }
            ? [made[0] with { First = made[0].Sort == JoinSort.Screwed }, .. made.Skip(1)] : made;
    }

    private static IReadOnlyList<MadeJoint> Joined(Port below, Port above, Catalogue stock)
    {
        Fastener Row(string id) => stock.Find<Fastener>("fasteners", id);
        switch (below, above)
        {
            case (BucklePort, BucklePort):
                return [new(JoinSort.Snapped, null, [])];
            case (GraspPort, TubePort):
                return [new(JoinSort.Held, null, [])];
            case (GraspPort, _):
                return Make(new StudPort(below.Name, Usual, null), above, stock);
            case (BucklePort, _):
                return With("buckle-adapter", Make(new StudPort("Buckle's adapter", Usual, 0.0065, Shouldered: true), above, stock));
            case (_, BucklePort):
                return With("buckle-adapter", Make(below, new SocketPort("Clip's adapter", Usual, AdapterSocket, "brass", Width: 0.015),
                    stock));
            case (BallPort ball, BallSocketPort socket):
                return [Clasped(ball, socket)];
            case (BallSocketPort socket, BallPort ball):
                return [Clasped(ball, socket)];
            case (BallPort ball, _):
                return [.. With("ball-socket", [Clasped(ball, new("Socket on a stud", new(SocketCloses, ball.Diameter, BallFriction)))]),
                    .. Make(new StudPort("Socket's stud", Usual, null), above, stock)];
            case (BallSocketPort socket, _):
                return [.. With("ball-stud", [Clasped(new("Ball", socket.Grip.Diameter), socket)]),
                    .. Make(new StudPort("Ball's stud", Usual, null), above, stock)];
            case (_, BallPort ball):
                return [.. Make(below, new StudPort("Socket's stud", Usual, null), stock),
                    .. With("ball-socket", [Clasped(ball, new("Socket on a stud", new(SocketCloses, ball.Diameter, BallFriction)))])];
            case (_, BallSocketPort socket):
                return [.. Make(below, new StudPort("Ball's stud", Usual, null), stock),
                    .. With("ball-stud", [Clasped(new("Ball", socket.Grip.Diameter), socket)])];
            case (TubePort lower, TubePort upper) when lower.Tube.Pipe is { } pipe && upper.Tube.Pipe == pipe
                && PipeCap.All.Any(c => c.Pipe == pipe):
                return With("pvc-coupler", [new(JoinSort.Cemented, null, [])]);
            case (TubePort tube, _):
                return Plugged(tube, Make(Plug(tube, stock), above, stock), stock);
            case (_, TubePort tube):
                return Plugged(tube, Make(below, Plug(tube, stock), stock), stock);
            case (ThroughPort plate, FlangePort flange) when plate.Room >= flange.Circle:
                StackLayer own = new(flange.Name, LayerRole.Clearance, flange.Thickness, "steel-s235", 0.04) { Ready = true };
                return [Bolted(Row(flange.Thread), [own], plate.Layers) with
                {
                    Count = flange.Screws,
                    Lever = flange.Circle / 2,
                }];
            case (ThroughPort bar, FlangePort flange):
                {
                    // A bar is too narrow for the flange: a plate on it, held by two U-bolts round it, each with a leg on either side: they
                    // go round
                    // its corners or half of its round, and do not press on a wall between.
                    var thread = Row(UBolt);
                    var plate = new StackLayer("Adapter plate", LayerRole.Clearance, AdapterPlate, "al-6061-t6", 0.05);
                    return
                    [
                        new(JoinSort.Screwed, thread, [.. bar.Layers.Select(l => l with { Bought = true, Edge = null, Hollow = null }),
                            plate,
                            Hardware.LockNut(thread) with { Item = HardwareItem.None }], Screw: null, Means: Loosening.LockNut,
                            Fittings: ["adapter-plate", "u-bolt", "u-bolt"], Count: 4, Lever: bar.Room / 2 + UBoltAside)
                        {
                            Places = [.. from along in new[] { -UBoltsApart / 2, UBoltsApart / 2 }
                                from across in new[] { -1.0, 1 }
                                select (along, across * (bar.Room / 2 + UBoltAside))],
                        },
                        .. Make(new ThroughPort("Adapter plate", [plate], 1), flange, stock),
                    ];
                }
            case (_, FlangePort):
                {
                    var adapter = new ThroughPort("Adapter plate",
                        [new("Adapter plate", LayerRole.Clearance, AdapterPlate, "al-6061-t6", 0.05)], AdapterRoom);
                    return [.. With("adapter-plate", Make(below, adapter, stock)), .. Make(adapter with { Room = 1 }, above, stock)];
                }
            case (ThroughPort { Underside: Underside.Covered } plate, SocketPort socket):
                {
                    var thread = Row(socket.Thread ?? socket.Suits);
                    return [new(JoinSort.Screwed, thread, [.. LetIn(plate, thread), Layer(socket)],
                        Screw: "Countersunk screw") { Flush = true }];
                }
            case (ThroughPort { Underside: Underside.Covered } plate, ThroughPort upper):
                {
                    var thread = Row(upper.Bolt ?? plate.Bolt ?? (upper.Room >= 0.03 && plate.Room >= 0.03 ? "m8" : "m6"));
                    return [new(JoinSort.Screwed, thread, [.. LetIn(plate, thread), .. upper.Layers, Hardware.Washer(thread),
                        Hardware.LockNut(thread)],
                        Screw: "Countersunk screw", Means: Loosening.LockNut) { Flush = true }];
                }
            case (ThroughPort { Underside: Underside.Covered, Layers: [{ Role: LayerRole.Clearance } one] }, StudPort { Length: null } stud)
                when stock.Material(one.Material).Family == MaterialFamily.Metal:
                return [new(JoinSort.Screwed, Row(stud.Thread), [Hardware.JamNut(Row(stud.Thread)), one with { Role = LayerRole.Tapped }],
                    null, null, true,
                    Means: Loosening.JamNuts)];
            case (ThroughPort plate, SocketPort socket):
                return [new(JoinSort.Screwed, Row(socket.Thread ?? socket.Suits),
                    [Under(plate, Row(socket.Thread ?? socket.Suits), stock), .. plate.Layers, Layer(socket)])];
            case (ThroughPort plate, ThroughPort upper):
                {
                    var thread = Row(upper.Bolt ?? plate.Bolt ?? (upper.Room >= 0.03 && plate.Room >= 0.03 ? "m8" : "m6"));
                    return [Bolted(thread, upper.Layers.Reverse(), plate.Layers)];
                }
            case (ThroughPort plate, StudPort { Length: null } stud):
                {
                    var thread = Row(stud.Thread);
                    return [new(JoinSort.Screwed, thread, [Hardware.JamNut(thread), Under(plate, thread, stock), .. plate.Layers,
                        Hardware.Washer(thread), Hardware.LockNut(thread)],
                    Screw: null, Headless: true, Means: Loosening.LockNut)];
                }
            case (ThroughPort { Layers: [{ Role: LayerRole.Clearance } one] },
                StudPort stud) when stock.Material(one.Material).Family == MaterialFamily.Metal:
                // A short stud on a plate: the plate is tapped for it.
                return [new(JoinSort.Screwed, Row(stud.Thread), [one with { Role = LayerRole.Tapped }], stud.Length, null, true)];
            case (ThroughPort plate, StudPort stud):
                {
                    var thread = Row(stud.Thread);
                    return With("coupling-nut", [new(JoinSort.Screwed, thread,
                        [Under(plate, thread, stock), .. plate.Layers, Hardware.CouplingNut(thread)])]);
                }
            case (StudPort stud, SocketPort socket):
                {
                    var thread = Row(stud.Thread);
                    // A plug in a tube is wider than the nut: a wide washer gives it a face to stand on.
                    StackLayer[] locked = stud.Shouldered ? [] : socket.Blind ? [Hardware.JamNut(thread)]
                        : [Hardware.JamNut(thread), Hardware.WideWasher(thread)];
                    return [new(JoinSort.Screwed, thread, [.. locked, Layer(socket)], Length: stud.Length, Screw: null, Headless: true,
                        Means: Locks(stud))];
                }
            case (StudPort stud, ThroughPort upper):
                {
                    var thread = Row(stud.Thread);
                    StackLayer[] locked = stud.Shouldered ? [] : [Hardware.JamNut(thread)];
                    return [new(JoinSort.Screwed, thread, [.. locked, .. upper.Layers, Hardware.Washer(thread), Hardware.LockNut(thread)],
                        Length: stud.Length,
                    Screw: null, Headless: true, Means: Loosening.LockNut)];
                }
            case (StudPort stud, StudPort upper):
                {
                    var (thread, other) = (Row(stud.Thread), upper.Thread);
                    return With("coupling-nut", [new(JoinSort.Screwed, thread,
                        [Hardware.JamNut(thread), Hardware.CouplingNut(Row(other))], Screw: null, Headless: true,
                    Means: Loosening.JamNuts)]);
                }
            case (SocketPort socket, SocketPort upper):
                {
                    var thread = Row(socket.Thread ?? upper.Thread ?? upper.Suits);
                    var set = Math.Min(socket.Depth, 1.5 * thread.MajorDiameter);
                    return [new(JoinSort.Screwed, thread, [Layer(socket) with { Role = LayerRole.Clearance, Thickness = set,
                        Bought = true, Tapped = socket.Thread is null }, Layer(upper)],
                    Screw: "Set screw", Headless: true, Means: Loosening.ThreadLock)];
                }
            case (SocketPort socket, ThroughPort upper):
                {
                    var thread = Row(socket.Thread ?? socket.Suits);
                    return [new(JoinSort.Screwed, thread, [Hardware.Washer(thread), .. upper.Layers.Reverse(), Layer(socket)])];
                }
            case (SocketPort socket, StudPort stud):
                {
                    var thread = Row(stud.Thread);
                    StackLayer[] locked = stud.Shouldered ? [] : [Hardware.JamNut(thread)];
                    return [new(JoinSort.Screwed, thread, [.. locked, Layer(socket)], stud.Length, null, true, Locks(stud))];
                }
            default:
                throw new InvalidOperationException($"no joint of {below.GetType().Name} and {above.GetType().Name}");
        }
    }

    private static MadeJoint Clasped(BallPort ball, BallSocketPort socket) =>
        new(JoinSort.Clasped, null, []) { Clasp = new(socket.Grip, socket.Measured, socket.Grip.Misfit(ball.Diameter)) };

    private static Loosening Locks(StudPort stud) => stud.Shouldered ? Loosening.ToolTightMarked : Loosening.JamNuts;

    /// <summary>What the head of a screw presses on: wood and rubber want it wide.</summary>
    private static StackLayer Under(ThroughPort plate, Fastener f, Catalogue stock) =>
        plate.Layers[0].Role == LayerRole.Soft || stock.Material(plate.Layers[0].Material).Family
            is MaterialFamily.Wood or MaterialFamily.Plastic
            ? Hardware.WideWasher(f) : Hardware.Washer(f);

    /// <summary>A plate with the head of a screw let in from below, flush.</summary>
    private static IEnumerable<StackLayer> LetIn(ThroughPort plate, Fastener f) =>
        plate.Layers.Select((l, i) => i == 0 ? l with { Countersink = Hardware.CountersunkDepth(f) } : l);

    private static MadeJoint Bolted(Fastener thread, IEnumerable<StackLayer> upper, IReadOnlyList<StackLayer> lower)
    {
        StackLayer[] over = [.. upper];
        // The wall of a tube wants a washer under the head.
        StackLayer[] under = over[0].Hollow is null ? [] : [Hardware.Washer(thread)];
        return new(JoinSort.Screwed, thread, [.. under, .. over, .. lower.Reverse(), Hardware.Washer(thread), Hardware.LockNut(thread)],
            Screw: "Bolt", Means: Loosening.LockNut);
    }

    private static StackLayer Layer(SocketPort socket) =>
        new(socket.Name, socket.Blind ? LayerRole.Blind : LayerRole.Tapped, socket.Depth, socket.Material, socket.Width,
            Thread: socket.Thread,
            Bought: socket.Thread is not null)
        { Ready = socket.Sold };

    /// <summary>The plug in a tube's end, tapped for what is screwed into it; in the end of a bar the thread itself.</summary>
    private static SocketPort Plug(TubePort tube, Catalogue stock)
    {
        var solid = IsSolid(tube);
        var width = solid ? tube.Tube.Width : tube.Tube.Width - 2 * tube.Tube.Wall;
        return new(solid ? $"End of the {Words.Inside(tube.Name)}" : $"End plug of the {Words.Inside(tube.Name)}", null, PlugDepth,
            solid ? stock.Material(tube.Tube.Material).Id : "al-6061-t6", false, width,
            width switch { >= 0.024 => "m10", >= 0.014 => "m8", _ => "m6" });
    }

    private static bool IsSolid(TubePort tube) => tube.Tube.Wall <= 0 || tube.Tube.Shape is SectionShape.Round;

    /// <summary>A tube's end needs a plug, kept in it; a bar is tapped itself.</summary>
    private static IReadOnlyList<MadeJoint> Plugged(TubePort tube, IReadOnlyList<MadeJoint> made, Catalogue stock) => IsSolid(tube) ? made
        : [.. With("end-plug", made).Select((m, i) => i > 0 ? m
            : m with { Plug = new TubePlug(tube.Tube.Width - 2 * tube.Tube.Wall, tube.Tube.Wall, PlugDepth,
                stock.Material(tube.Tube.Material))
            {
                Square = tube.Tube.Shape is SectionShape.SquareTube,
            } })];

    private static List<MadeJoint> With(string fitting, IReadOnlyList<MadeJoint> made) =>
        [made[0] with { Fittings = [.. made[0].Fittings ?? [], fitting] }, .. made.Skip(1)];
}
