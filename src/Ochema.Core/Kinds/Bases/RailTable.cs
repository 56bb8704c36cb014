using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>How the posts of a table are cut.</summary>
public enum TableTop
{
    /// <summary>By the bubble: the tubes lie level, each post as long as the panel falls away under it.</summary>
    Level,

    /// <summary>All alike: the tubes lie along the panel.</summary>
    [Description("along the panel, posts all alike")]
    Along,
}

/// <summary>Two parallel tubes on four short posts with a hold each, a cross-bar clamped on top.</summary>
[Kind("rail-table", "Rail table on posts", "Finds four flat spots on any bonnet, takes four straps and heavy heads; big, and slow to fit.",
    Caution = "Hooks into rings, not onto hooks; tails tied. Where a cup does not seal it is a stand under the straps, no more.",
    Sketch = "host 64; rect 10 24 100 6; rect 24 30 5 20; rect 92 30 5 20; circle 26 56 8; circle 94 56 8; dim length 10 16 110 16; dim "
        + "postsApart 26 40 94 40; dim post 108 30 108 50")]
public sealed record RailTable : BaseKind
{
    [Part("Feet", Except = "pad")]
    public HoldKind Hold { get; init; } = new Cup { Stock = "cup-150" };

    [Measure("Tube length", Dimension.Length, 0.3, 2, HowTo = "from side to side", UsualTo = 1.6)]
    public double Length { get; init; } = 1.0;

    [Measure("Tubes apart", Dimension.Length, 0.15, 1.2, HowTo = "fore and aft, middle to middle")]
    public double Apart { get; init; } = 0.45;

    /// <summary>Thread of the pins of cups and magnets, and how deep it is tapped into a post, m (common practice, no source).</summary>
    private const string PinThread = "3-8-16";
    private const double PinDepth = 0.020;

    /// <summary>What the posts are sawn from.</summary>
    private const string Rod = "rod-steel-16";

    [Measure("Posts apart", Dimension.Length, 0.2, 1.9, HowTo = "from side to side: flat spots only")]
    public double PostsApart { get; init; } = 0.8;

    [Measure("Post height", Dimension.Length, 0.02, 0.4, HowTo = "hold to the tube, the shortest of the four", UsualTo = 0.25)]
    public double Post { get; init; } = 0.08;

    [Option("Table lies", HowTo = "on a panel that slopes a level one wants a length for each post")]
    public TableTop Top { get; init; }

    [StockChoice("Tubes", "sections", Only = "round-tube")]
    public string Tube { get; init; } = "tube-steel-33-7x2-6";

    [Measure("Clamps tightened with", Dimension.Torque, 0.5, 60, HowTo = "scaffold clamps by spanner {torque:20} and more")]
    public double ClampTorque { get; init; } = 20;

    /// <summary>Upright share of a panel's normal below which nothing is levelled on it: steeper than 30°.</summary>
    private const double Steepest = 0.866;

    /// <summary>Width of the plate on the cross-bar, m (judgement).</summary>
    private const double HeadPlate = 0.1;

    /// <summary>U-bolts of the head plate, along the bar, m (judgement, 60–100 mm).</summary>
    private const double UBoltsApart = 0.09;

    internal override BaseKind Pumped(double since, double? halfLife) => this with { Hold = Hold.Pumped(since, halfLife) };

    [JsonIgnore]
    public override Grip Grip => Hold.Grip;

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
        [new("spread", "Tubes a third further apart", this with { Apart = Math.Min(1.2, Apart * Further) }), .. Larger(stock)];

    internal override BaseKind? OnLargerHold(Catalogue stock) => Hold.Larger(stock) is { } larger ? this with { Hold = larger } : null;

    private IEnumerable<Move> Larger(Catalogue stock) => OnLargerHold(stock) is { } larger
        ? [new("larger-hold", "The next larger hold", larger)] : [];

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) => form != SiteForm.Panel ? []
        : [new(SchoolQuestion.Hold, 2, "Rails on posts", "Bigger feet further apart.", this, own)];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Measure, "Find four flat spots",
            "No crease, dent or gap under any cup; note where each lies from the middle. Posts may stand at different lengths along "
                + "the tubes, not off the flat.")
        {
            Tools = ["tape", "tapemark"],
            Minutes = 10,
        },
        new(Work.Drill, "Drill and tap the posts",
            $"The rods, sawn {Lengths(b)}, ends square. Drill 5/16 in on the axis, started in a lathe or drill press; tap 3/8-16 with oil, "
                + "half a turn back each turn. Pins of the cups go in there.")
        {
            Piece = "post-1",
            Reads = [nameof(Post)],
            Tools = ["hacksaw", "file", "drill", "bits", "tap", "vice"],
            Minutes = 60,
            Wrong = "Off the axis: the other end; the post stands crooked else.",
        },
        new(Work.Place, "Wash, press and pump",
            "Wash the panel with water and soap. Press and pump one cup after the other, note gauge and time, look again after ten "
                + "minutes. Where no cup seals, the table stands on its straps.")
        {
            Tools = ["cloth"],
            Minutes = 15,
            Crew = 2,
            Wrong = "A cup that does not seal: move its post along the tube.",
        },
        new(Work.Fit, "Tubes and clamps on the posts",
            $"Slide each post until the bubble is right, then clamp at {QuantityText.Of(ClampTorque, Dimension.Torque)}; cross-bar on "
                + "top, its head plate by U-bolts. A mark line over each clamp.")
        {
            Joint = "rail-clamp-bolt",
            Reads = [nameof(PostsApart), nameof(ClampTorque)],
            Takes = ["rail-clamp", "u-bolt"],
            Tools = ["level", "spanners", "torque-wrench", "marker"],
            Minutes = 25,
            Crew = 2,
        },
    ];

    private static string PostOf(PartId hold) => hold + "-post";

    /// <summary>How long which post is, where they differ.</summary>
    private static string Lengths(BuiltRig b)
    {
        var posts = b.Holds.Where(h => h.Station == StationId.Base).Select(h =>
            (Hold: h, Post: b.Pieces.FirstOrDefault(p => p.Id == PostOf(h.Id))))
            .Where(p => p.Post is not null)
            .Select(p => (Name: p.Hold.Label, Text: QuantityText.Of(Math.Round(p.Post!.Length, 4), Dimension.Length))).ToList();
        return posts.Select(p => p.Text).Distinct().Count() == 1 ? $"to {posts[0].Text}"
            : $"to {string.Join(", ", posts.Select(p => $"{p.Text} for the {p.Name}"))}; hold and post marked with their corner";
    }

    public override Mount Build(RigBuilder b)
    {
        var row = b.Stock.Find<SectionRow>("sections", Tube);
        var (section, metal) = (b.Stock.Section(Tube), b.Stock.MaterialOf(Tube));
        var surface = b.Surface;
        var normal = surface.NormalAt(b.Rig.At[0], b.Rig.At[1]);
        var forward = surface.U.PerpendicularTo(normal).Normalized();
        var left = normal.Cross(forward);
        var steel = b.Stock.MaterialOf(Rod);
        var post = Section.Of(SectionShape.Round, 0.016, 0.016, 0);
        var spots = new[] { (1, 1, "front left"), (1, -1, "front right"), (-1, 1, "rear left"), (-1, -1, "rear right") };
        var holds = spots.Select((p, i) => Hold.Build(b, b.Spot($"hold-{i + 1}", StationId.Base,
            $"{p.Item3} {(Hold is Magnet ? "magnet" : "cup")}", b.Rig.At[0] + p.Item1 * Apart / 2, b.Rig.At[1] + p.Item2 * PostsApart / 2)))
                .ToList();
        // Above the highest hold, square to the panel or upright.
        var up = Top == TableTop.Level && normal.Z > Steepest ? Vec3.UnitZ : normal;
        if (Top == TableTop.Level && up != Vec3.UnitZ)
            b.Findings.Add(new ReportFinding(StationId.Base,
                "So steep a panel takes no level table: the posts would stand in the way. It lies along the "
                + "panel."));
        (forward, left) = (forward.PerpendicularTo(up).Normalized(), up.Cross(forward.PerpendicularTo(up).Normalized()));
        var foot = surface.Point(b.Rig.At[0], b.Rig.At[1]);
        var level = holds.Max(h => (h.Top.Position - foot).Dot(up)) + Post;
        var middle = foot + level * up;
        // A post stands square to the panel under it: where it meets the level of the tubes follows.
        Vec3 TopOf(int x, int y, Mount hold) => Top == TableTop.Level && up == Vec3.UnitZ
            ? hold.Position + (level - (hold.Position - foot).Dot(up)) / hold.Axis.Dot(up) * hold.Axis
            : middle + x * Apart / 2 * forward + y * PostsApart / 2 * left;
        var at = spots.Zip(holds).ToDictionary(p => (p.First.Item1, p.First.Item2), p => TopOf(p.First.Item1, p.First.Item2, p.Second.Top));
        double Span(int x) => (at[(x, 1)] - at[(x, -1)]).Length;
        Vec3 MiddleOf(int x) => 0.5 * (at[(x, 1)] + at[(x, -1)]);
        middle = 0.5 * (MiddleOf(1) + MiddleOf(-1));
        var apart = (MiddleOf(1) - MiddleOf(-1)).Length;
        var tops = new Dictionary<(int, int), NodeIndex>();
        var tube = Math.Max(Length, Math.Max(Span(1), Span(-1)) + 2 * ClampParts.Past);
        var clampRow = b.Fitting("rail-clamp");
        var posts = new List<BeamPiece>();
        foreach (var ((x, y, name), hold) in spots.Zip(holds))
        {
            var top = tops[(x, y)] = b.Node(PostOf(hold.Id), at[(x, y)]);
            var piece = b.Beam(StationId.Base, PostOf(hold.Id), $"{name} post", hold.Top.Node, top, post, steel, forward);
            posts.Add(piece);
            b.Checks.Add(new SectionStrength(b, StationId.Base, new(PostOf(hold.Id)), $"Post bends, {name}", piece));
            b.Shape(PostOf(hold.Id), StationId.Base, "tube", [b.Point(hold.Top.Node), b.Point(top)], [0.016]);
        }
        var (rails, tubes, crosses, clamps) = (new List<NodeIndex>(), new List<BeamPiece>(), new List<BeamPiece>(), new List<NodeIndex>());
        foreach (var x in new[] { 1, -1 })
        {
            var rail = x > 0 ? "front" : "rear";
            var centre = b.Node(rail + "-rail", MiddleOf(x));
            rails.Add(centre);
            foreach (var y in new[] { 1, -1 })
            {
                var id = $"{rail}-rail-{(y > 0 ? "left" : "right")}";
                var piece = b.Beam(StationId.Base, id, $"{rail} tube", centre, tops[(x, y)], section, metal, up);
                tubes.Add(piece);
                b.Checks.Add(new SectionStrength(b, StationId.Base, new(id), $"{Words.Capital(rail)} tube bends", piece));
                b.Shape(id, StationId.Base, "tube", [b.Point(centre), b.Point(tops[(x, y)])], [row.Width]);
                b.Offer((x, y) switch
                {
                    (1, 1) => RigPoint.BaseFrontLeft,
                    (1, -1) => RigPoint.BaseFrontRight,
                    (-1, 1) =>
                    RigPoint.BaseRearLeft,
                    _ => RigPoint.BaseRearRight
                }, tops[(x, y)]);
            }
        }
        var seat = b.Node("cross-bar", middle);
        foreach (var (end, name) in rails.Zip(["front", "rear"]))
        {
            // The clamp on a rail turns by friction: a joint of its own.
            var clamp = b.Node(name + "-clamp", b.Position(end));
            var spring = b.Spring(name + "-clamp-spring", end, clamp, [1e7, 1e7, 1e7, 3000, 3000, 3000]);
            var capacity = FrictionGrip.Halves(Threads.Preload(ClampTorque, 0.010), row.Width, ClampParts.MetalFriction);
            b.Checks.Add(new JointTorque(b, StationId.Base, new(name + "-clamp"), $"Cross-bar clamp turns, {name}", spring, capacity.Torque,
                "M10 screw at your torque on bare tube, judgement 0.12–0.2"));
            var piece = b.Beam(StationId.Base, name + "-cross", "cross-bar", clamp, seat, section, metal, up);
            crosses.Add(piece);
            clamps.Add(clamp);
            b.Checks.Add(new SectionStrength(b, StationId.Base, new(name + "-cross"), "Cross-bar bends", piece));
            b.Shape(name + "-cross", StationId.Base, "tube", [b.Point(clamp), b.Point(seat)], [row.Width]);
        }
        b.Joint(ClampParts.Through(b, "rail-clamp-bolt", StationId.Base, "bolts of the rail clamps", "m10",
            new("Clamp half", LayerRole.Clearance, 0.010, "steel-s235", 0.04) { Ready = true },
            new("Other half", LayerRole.Clearance, 0.010, "steel-s235", 0.04) { Ready = true }) with
        { Usual = ClampTorque, Included = true });
        // Beyond its posts a tube only hangs there.
        b.Put(Piece.Cut(new(StationId.Base, "tubes"), row, metal, tube, 2, "Tube of the table", by: Length >= tube ? nameof(Length)
            : nameof(PostsApart)),
            [.. tubes], [.. tops.Select(t => new Hung(t.Value) { Share = tube - Span(t.Key.Item1) })]);
        b.Put(Piece.Cut(new(StationId.Base, "cross-bar"), row, metal, apart + 2 * ClampParts.Past, what: "Cross-bar",
            by: Math.Abs(apart - Apart) < 1e-6 ? nameof(Apart) : null), [.. crosses], clamps[0], clamps[1]);
        // What is cut alike is one line of the list: nothing but what adding rounds off tells those apart.
        foreach (var (piece, n) in posts.Select((p, n) => (p, n + 1)))
            b.Put(Piece.Cut(new(StationId.Base, $"post-{n}"), b.Stock.Find<SectionRow>("sections", Rod), steel, Math.Round(piece.Length, 9),
                what: "Post")
                .Also(c => c with { Tapped = new("The posts", b.Stock.Find<Fastener>("fasteners", PinThread), PinDepth) }), [piece]);
        b.Put(Piece.Bought(new(StationId.Base, "clamps"), clampRow, 6), [.. tops.Values.Concat(clamps).Select(n => (Hung)n)]);
        // What stands on it wants a flat place: a plate on the cross-bar, held by two U-bolts.
        var leg = b.Stock.Find<Fastener>("fasteners", "m8");
        var (plateLength, aside) = (0.12, row.Width / 2 + leg.MajorDiameter / 2);
        var through = new OwnHole("U-bolt", "U-bolts through the head plate", leg.ClearanceClose, leg);
        var plate = new SheetPiece(plateLength, HeadPlate, 0.008, "al-6061-t6", [])
        {
            Holes =
            [
                new(plateLength / 2, HeadPlate / 2, "Head plate"),
                .. from x in new[] { -UBoltsApart / 2, UBoltsApart / 2 }
                   from y in new[] { -aside, aside }
                   select new SheetHole(plateLength / 2 + x, HeadPlate / 2 + y, "Head plate") { Own = through },
            ],
        };
        var (aluminium, bolts) = (b.Stock.Material("al-6061-t6"), b.Fitting("u-bolt"));
        b.Put(Piece.Sheet(new(StationId.Base, "head-plate"), "Head plate", plate, aluminium), seat);
        b.Put(Piece.Bought(new(StationId.Base, "u-bolts"), bolts, 2), seat);
        return new Mount(seat, b.Position(seat), up, new ThroughPort("Head plate",
            [new("Head plate", LayerRole.Clearance, plate.Thickness, plate.Material, 0.05)], HeadPlate)
        { Underside = Underside.Covered });
    }
}
