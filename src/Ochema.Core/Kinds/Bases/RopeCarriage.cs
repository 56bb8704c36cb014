using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>What moves a carriage along its rope.</summary>
public enum RopeDrive
{
    /// <summary>Somebody's hand on a line, out and back.</summary>
    HandLine,

    /// <summary>Its own weight, down the rope.</summary>
    Slope,
}

/// <summary>
/// A carriage of boards under pulleys on one rope or two between two anchors. The ropes are large-displacement lines: they are hung anew in
/// each case, and the
/// frame stands on their tangent.
/// </summary>
[Kind("rope-carriage", "Carriage on a rope", "Glides over what no wheel crosses; two ropes for slow and steady, one for speed.",
    Caution = "Nobody under it. Drawn to its sag, not to the ratchet's last click; the end stop tried with a bag of the same weight first.",
    Sketch = "line 4 12 60 20; line 60 20 116 12; circle 46 16 4; circle 74 16 4; rect 38 24 44 6; line 60 30 60 50; rect 48 50 24 14; "
        + "dim wheelbase 46 6 74 6; dim sag 100 12 100 20")]
public sealed record RopeCarriage : BaseKind
{
    [Measure("Ropes", Dimension.Count, 1, 2, HowTo = "two for slow and steady, one for speed")]
    public double Ropes { get; init; } = 2;

    [StockChoice("Rope", "straps", Only = "rope,cord,wire", HowTo = "what stretches little; its strength as stamped")]
    public string Rope { get; init; } = "rope-8";

    [Measure("Sag in the middle", Dimension.Length, 0.02, 4, HowTo = "with the carriage there and all on it: half the sag is twice the tension", UsualTo = 1)]
    public double Sag { get; init; } = 0.30;

    [StockChoice("Rope ends in", "knots", HowTo = "at the anchors; what strength it leaves")]
    public string End { get; init; } = "figure-eight";

    [StockChoice("Drawn by", "straps", Only = "ratchet", HowTo = "ratchet strap between rope and anchor, one for each rope")]
    public string Ratchet { get; init; } = "ratchet-25";

    [Measure("Ropes apart", Dimension.Length, 0.2, 1.2, HowTo = "middle to middle, at the carriage as at the spreader boards")]
    public double Apart { get; init; } = 0.45;

    [Measure("Pulleys apart", Dimension.Length, 0.08, 0.8, HowTo = "two on each rope, axle to axle")]
    public double Wheelbase { get; init; } = 0.20;

    [Measure("Pulley", Dimension.Length, 0.015, 0.15, HowTo = "across its groove; six times the rope at least")]
    public double Pulley { get; init; } = 0.050;

    [Measure("Pulley is stamped", Dimension.Force, 50, 20000, HowTo = "working load of one", Measured = true, UsualTo = 5000)]
    public double Stamped { get; init; } = 900;

    [StockChoice("Boards of", "sections", Only = "batten")]
    public string Timber { get; init; } = "batten-38x89";

    [Measure("Counterweight", Dimension.Mass, 0, 10, HowTo = "until it hangs level; none where the camera hangs in the middle", UsualTo = 3)]
    public double Counterweight { get; init; }

    [Measure("Counterweight behind the middle", Dimension.Length, -0.6, 0.6, HowTo = "middle to its own; ahead is negative")]
    public double Back { get; init; } = 0.15;

    [Option("Moved by")]
    public RopeDrive MovedBy { get; init; } = RopeDrive.HandLine;

    [Measure("End stop gives", Dimension.Length, 0.05, 4, HowTo = "from where it touches to where it stands, tried with a bag", UsualTo = 2)]
    public double Stop { get; init; } = 0.6;

    [StockChoice("End stop of", "straps", Only = "elastic,stretch-cord,cord")]
    public string StopCord { get; init; } = "elastic-8";

    [Measure("Stays clear below", Dimension.Length, 0, 10, HowTo = "ground, grass, what stands there", UsualTo = 3)]
    public double Clear { get; init; } = 0.3;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Rope]);

    /// <summary>Rope to the boards' middle, m (judgement: a pulley's eye and its bolt).</summary>
    private const double Drop = 0.06;

    /// <summary>Board beyond its pulleys and beam beyond its boards, m (common practice, no source).</summary>
    private const double Past = 0.04;

    /// <summary>Rope left over at each end, m, and sling round an anchor (common practice, no source).</summary>
    private const double Tail = 0.5;
    private const double Sling = 2.0;

    /// <summary>Where a run begins, from its anchor, m (common practice, no source).</summary>
    private const double Start = 1.0;

    private const string PulleyBolt = "m8";
    private const string PulleyBolts = "pulley-bolts";
    private const string BeamBolts = "carriage-bolts";

    /// <summary>Ropes do not damp much (judgement, 0.01–0.05).</summary>
    private const double Damping = 0.03;

    private bool Two => Ropes > 1.5;

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        yield return new("deeper", "A third more sag", this with { Sag = Math.Min(4, Sag * Further) }, Stiffens: false);
        if (Two)
            yield return new("wider", "Ropes a third further apart", this with { Apart = Math.Min(1.2, Apart * Further) });
        else
            yield return new("two", "A second rope beside it", this with { Ropes = 2 });
        yield return new("longer", "Pulleys a third further apart", this with { Wheelbase = Math.Min(0.8, Wheelbase * Further) });
        yield return new("stop", "An end stop that gives twice as far", this with { Stop = Math.Min(4, 2 * Stop) });
    }

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock)
    {
        if (!own)
            yield break;
        yield return new(SchoolQuestion.Ropes, 0, "Two ropes", "Slow and steady; either may part.", this with { Ropes = 2 }, Two);
        yield return new(SchoolQuestion.Ropes, 1, "One rope", "Fast and light; a slack one beside it keeps what falls.",
            this with { Ropes = 1 }, !Two);
    }

    internal override (int Least, int Most, int Now)? HoldCounts => (1, 2, Two ? 2 : 1);

    internal override BaseKind WithHolds(int count) => this with { Ropes = count };

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        string Size(double v) => QuantityText.Of(v, Dimension.Length);
        var strap = b.Stock.Find<StrapRow>("straps", Ratchet);
        yield return new(Work.Measure, "Pace out the run",
            $"Anchor to anchor by tape; height where the slings go; what stands below. Trunks thicker than a thigh, alive, no loose "
                + $"bark; posts only if "
                + $"they are "
                + $"set deep. Each anchor pulled on at that height. {Size(Clear)} stay clear under the lowest place.")
        {
            Tools = ["tape", "scale"],
            Minutes = 15,
        };
        yield return new(Work.Drill, "Drill boards as a pair",
            $"{(Two ? "Both boards clamped on each other" : "Board")}: holes for the pulleys' eyes {Size(Wheelbase)} apart, one in the "
                + $"middle{(Two ? " of the pair for the beam; the beam drilled through them" : "")}.")
        {
            Joint = PulleyBolts,
            Reads = [nameof(Wheelbase)],
            Tools = ["drill", "bits", "clamps", "marker"],
            Minutes = 20,
        };
        yield return new(Work.Fit, "Hang the pulleys",
            "Eye, board, wide washer, lock nut: only snug, so that each finds its own line. Side plates open, rope in, plates shut and "
                + "pinned.")
        {
            Joint = PulleyBolts,
            Tools = ["spanners"],
            Minutes = 10,
            Wrong = "A wheel runs askew and rubs: the bolt is too tight.",
        };
        yield return new(Work.Place, Two ? "Hang both ropes" : "Hang the rope",
            $"Pad and sling round the first anchor{(Two ? ", spreader board in it, eyes as far apart as the pulleys" : "")}. Rope "
                + $"through the carriage, "
                + $"tied off at the far end, ratchet at the near "
                + $"one. Two people. Drawn until the carriage with a bag of its weight sags {Size(Sag)} in the middle: tape against a "
                    + $"taut cord from anchor "
                    + $"to anchor"
                + $"{(Two ? ", both ropes alike" : "")}. Then stop drawing.")
        {
            Piece = "rope",
            Takes = [Supplies.StrapPad],
            Reads = [nameof(Sag)],
            Tools = ["tape", "scale", "dummy"],
            Minutes = 30,
            Crew = 2,
            Beware = "Nobody in the line of a rope that is drawn; fingers out of the ratchet.",
            Wrong = $"It will not come up: the {Words.Inside(strap.Name)} has run out of strap: rope shorter, knot tied anew.",
        };
        if (b.Tethers.Any(t => t.Anchor.Hung))
            yield return new(Work.Place, "Hang the second rope beside it, slack",
                $"Same slings, a hand's breadth above the other and to its side, tied off at both ends so that it hangs {Size(Sag)} in "
                    + $"the middle by "
                    + "itself: no ratchet. The carriage's line runs along it on its own ring; walk the carriage from end to end: the "
                        + "ring follows and "
                    + "never pulls.")
            {
                Piece = "second-rope",
                Reads = [nameof(Sag)],
                Tools = ["tape"],
                Minutes = 10,
                Crew = 2,
                Wrong = "The ring catches: the ropes cross; further apart at the ends.",
            };
        yield return new(Work.Place, "End stop at both ends",
            $"Loop of {Words.Inside(b.Stock.Find<StrapRow>("straps", StopCord).Name)} tied to the anchor, so long that the carriage "
                + $"stands before the "
                + $"boards do. Bag of the same "
                + $"weight let run into it: it gives {Size(Stop)} and does not throw it back hard.")
        {
            Reads = [nameof(Stop)],
            Tools = ["tape", "knife", "dummy"],
            Minutes = 10,
            Crew = 2,
        };
        yield return new(Work.Set, "Bring it level, then pluck the rope",
            "Camera on, level along the board: weight moved until it is. Pluck the empty rope in its middle and count its swings for ten "
                + "seconds: the "
                + "number goes "
                + "on the card. Fewer tomorrow: it has crept.")
        {
            Reads = [nameof(Back)],
            Tools = ["level"],
            Minutes = 5,
        };
    }

    internal override bool Hangs => true;

    /// <summary>The same rope once more, as deep as the one that carries.</summary>
    internal override SlackLine? HungBeside(RigSetting b) =>
        new(b.Stock.Find<StrapRow>("straps", Rope), Chord(b.Rig.Site), Sag, Lashing.Knots.First(k => k.Id == End), b.Rig.Site.EndsHold,
            Tail);

    /// <summary>Anchor to anchor, m.</summary>
    private static double Chord(Site site) => Math.Sqrt(Math.Pow(site.Span ?? 12, 2) + Math.Pow(site.Rise ?? 0, 2));

    public override Mount Build(RigBuilder b)
    {
        var (site, surface) = (b.Rig.Site, b.Surface);
        var (row, ratchet, cord) = (b.Stock.Find<StrapRow>("straps", Rope), b.Stock.Find<StrapRow>("straps", Ratchet),
            b.Stock.Find<StrapRow>("straps",
            StopCord));
        var knot = Lashing.Knots.First(k => k.Id == End);
        var timber = b.Stock.Find<SectionRow>("sections", Timber);
        var (section, wood) = (b.Stock.Section(Timber), b.Stock.MaterialOf(Timber));
        var bolt = b.Stock.Find<Fastener>("fasteners", PulleyBolt);
        var net = Section.Drilled(timber.Shape, timber.Width, timber.Height, timber.Wall, bolt.ClearanceMedium);
        var chord = Chord(site);
        var (s, _) = surface.Clamp(b.Rig.At[0], 0);
        var share = 0.5 + s / chord;
        var (near, far, here) = (surface.Origin - chord / 2 * surface.U, surface.Origin + chord / 2 * surface.U, surface.Origin + s
            * surface.U);
        var point = here - 4 * share * (1 - share) * Sag * Vec3.UnitZ;
        var boardLength = Wheelbase + 2 * Past;
        var pulley = b.Fitting("rope-pulley");
        var ropes = new List<HungRope>();
        var (hung, boards) = (new List<NodeIndex>(), new List<NodeIndex>());
        var ends = Ends(b, near, far, row, ratchet, cord, knot, chord, timber, wood);
        var names = Two ? new[] { ("rope-left", "left rope", 1.0), ("rope-right", "right rope", -1.0) } : [("rope", "rope", 0.0)];
        foreach (var (id, label, side) in names)
        {
            var aside = side * Apart / 2 * Vec3.UnitY;
            var title = Words.Capital(label);
            var node = b.Node(id, point + aside);
            var spring = b.Spring(id, node, null, new double[6], site.Damping ?? Damping);
            var board = b.Node(id + "-board", point + aside - Drop * Vec3.UnitZ);
            b.Rigid(node, board);
            boards.Add(board);
            hung.Add(node);
            var rope = new HungRope(near + aside, far + aside, share, Sag, row, b.Weather.Coat)
            {
                Id = new(id),
                Other = Two ? names.First(n => n.Item1 != id).Item1 : null,
                Spring = spring,
            };
            ropes.Add(rope);
            b.Holds.Add(new Hold(new(id), StationId.Base, label, spring, node, new Mount(board, b.Position(board), -Vec3.UnitZ))
            {
                IsLine = true,
                // With this one parted the other catches.
                Catches = () => ropes.Find(r => r.Id.Name != id)?.Catches ?? 1,
            });
            b.WhileHeld(() =>
            {
                b.Checks.Add(new RopeStrength(b, rope, $"{title} parts", knot, Pulley));
                b.Checks.Add(StationId.Base, rope.Id, rig => new RopeClearance(rope, Two ? $"Hits what is below, {label}"
                    : "Hits what is below", here.Z, Clear,
                    point.Z - Extent.Lowest(rig.Figure), Extent.Farthest(rig.Figure, point + aside)));
                b.Checks.Add(new RopePulley(rope, $"Pulley of the {label} overloaded", Wheelbase, Stamped));
                b.Checks.Add(new BoardBends(b, rope, $"Board under the {label} breaks", Wheelbase, net, wood));
                b.Checks.Add(new RopeOverdrawn(rope, $"Ratchet alone breaks the {label}", knot));
            });
            b.Shape(id, StationId.Base, "strap", [b.Point(ends[0], near + aside), b.Point(node), b.Point(ends[1], far + aside)],
                [row.Width]);
            b.Shape(id + "-board", StationId.Base, "plate", [b.Point(board)], [boardLength, timber.Width, timber.Height], Vec3.UnitZ,
                Vec3.UnitY);
            foreach (var way in new[] { -1, 1 })
                b.Shape($"{id}-pulley-{(way < 0 ? "rear" : "front")}", StationId.Base, "joint", [b.Point(node,
                    point + aside + way * Wheelbase / 2 * Vec3.UnitX + Pulley / 2 * Vec3.UnitZ)], [Pulley],
                    Vec3.UnitY);
        }
        var count = names.Length;
        b.Put(Piece.Bought(new(StationId.Base, "pulleys"), pulley, 2 * count), [.. hung.Select(n => (Hung)n)]);
        b.Put(Piece.Cut(new(StationId.Base, "boards"), timber, wood, boardLength, count, what: "Board", by: nameof(Wheelbase))
            .Also(c => c with
            {
                Holes = [new(c.Length / 2, "Board", PulleyBolts), new(c.Length / 2, Two ? "Board" : "Carriage", Two ? BeamBolts : null)],
            }), [.. boards.Select(n => new Hung(n) { PerMass = Slender(boardLength) })]);
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = PulleyBolts,
            Station = StationId.Base,
            Title = "pulleys on the boards",
            Thread = bolt,
            Means = Loosening.LockNut,
            Layers =
            [
                new("Pulley's eye", LayerRole.Clearance, 0.006, "steel-s235", 0.03) { Ready = true },
                new("Board", LayerRole.Clearance, timber.Height, timber.Material, timber.Width), Hardware.WideWasher(bolt),
                    Hardware.LockNut(bolt),
            ],
            Count = 2,
            Places = [(-Wheelbase / 2, 0), (Wheelbase / 2, 0)],
            Screws = 2 * count,
            Load = f => Worst(ropes.Where(r => !f.IsGone(r.Id)).Select(r => f.Spring(r.Spring))),
            Axis = -Vec3.UnitZ,
            Lever = Wheelbase / 2,
        }, [.. boards]);
        var mount = Two ? Beam(b, boards, timber, section, wood, net, bolt, point)
            : new Mount(boards[0], b.Position(boards[0]) - timber.Height / 2 * Vec3.UnitZ, -Vec3.UnitZ);
        if (!Two)
        {
            var under = b.Node("carriage", mount.Position);
            b.Rigid(boards[0], under);
            mount = mount with { Node = under };
        }
        Balance(b, mount, timber, section, wood);
        var anchors = ends.Select(b.NodeId).ToHashSet();
        b.WhileHeld(() =>
        {
            if (site.EndsHold is { } anchored)
                b.Checks.Add(new RopeAnchor(b, ropes, anchored));
            else
                b.Unmeasured.Add("What do the anchors hold? Pull on each along the rope, or ask who knows.");
            bool Runs(string node) => !anchors.Contains(node);
            b.Checks.Add(StationId.Base, new("end-stop"), rig => new RopeStop(rig, cord, Stop, rig.MassOf(Runs).Mass));
            b.Checks.Add(StationId.Base, new("carriage"), rig =>
            {
                var (mass, centre) = rig.MassOf(Runs);
                return new RopeLevel((mass * MotionProfile.Gravity * (centre.X - point.X), ropes.Sum(r => Nods(r, chord))
                    + Brings(mass, centre, point)));
            });
            if (MovedBy == RopeDrive.Slope)
                b.Checks.Add(StationId.Base, new("carriage"), _ => new RopeRolls(Path(ropes[0], chord)));
            b.Later(() => Settle(b, ropes, b.MassOf(Runs), point, chord, ratchet));
        });
        return mount with
        {
            Offers = new ThroughPort("Carriage", [new("Carriage", LayerRole.Clearance, timber.Height, timber.Material, timber.Width)],
            timber.Width)
        };
    }

    /// <summary>The two anchors: spreader boards, slings, and the lengths of rope between them; they stand, and weigh what is carried
    /// home.</summary>
    private IReadOnlyList<NodeIndex> Ends(RigBuilder b, Vec3 near, Vec3 far, StrapRow row, StrapRow ratchet, StrapRow cord, Knot knot,
        double chord,
        SectionRow timber, Material wood)
    {
        var count = Two ? 2 : 1;
        var rope = Math.Round(chord + 2 * (Tail + knot.Allowance(row.Thickness)), 2);
        var (atNear, atFar) = (b.Node("anchor-near", near), b.Node("anchor-far", far));
        void Lines(string piece, StrapRow line, double length, int quantity, string what) =>
            b.Put(Piece.Length(new(StationId.Base, piece), line, length, line.MassPerMetre, line.PricePerMetre, Aisle.Rigging, what,
                quantity: quantity),
                atNear, atFar);
        b.Beside(Piece.Used(new(StationId.Base, "sling-pads"), b.Fitting(Supplies.StrapPad), 2));
        Lines("rope", row, rope, count, "Rope:");
        Lines("ratchet", ratchet, Sling + 1, count, "Ratchet and sling:");
        Lines("sling", ratchet, Sling, 1, "Sling round the far anchor:");
        Lines("stop", cord, Math.Round(2 * Stop + 0.5, 2), 2, "End stop:");
        if (Two)
            b.Put(Piece.Cut(new(StationId.Base, "spreader-boards"), timber, wood, Apart + 4 * Past, 2, what: "Spreader board",
                by: nameof(Apart)),
                atNear, atFar);
        foreach (var (id, node, at) in new[] { ("anchor-near", atNear, near), ("anchor-far", atFar, far) })
        {
            b.Spring(id, node, null, [Solid, Solid, Solid, Solid, Solid, Solid]);
            var ground = new Vec3(at.X, at.Y, b.Host.GroundHeight);
            b.Shape(id, StationId.Base, "post", [b.Point(node, ground), b.Point(node, at + 0.4 * Vec3.UnitZ)], [Trunk]);
            if (Two)
                b.Shape(id + "-board", StationId.Base, "post",
                    [b.Point(node, at + (Apart / 2 + 2 * Past) * Vec3.UnitY), b.Point(node, at - (Apart / 2 + 2 * Past) * Vec3.UnitY)], [timber.Height]);
        }
        var below = b.Host.GroundHeight;
        b.Shape("keep-clear", StationId.Base, "strip", [b.Point(atNear, new(near.X, near.Y, below)),
            b.Point(atFar, new(far.X, far.Y, below))],
            [Two ? Apart + 2 * Beside : 2 * Beside]);
        return [atNear, atFar];
    }

    /// <summary>An anchor as the frame has it, N/m and N·m/rad: it stands, and shakes with nothing.</summary>
    private const double Solid = 1e8;

    /// <summary>A trunk as it is drawn, and what stays clear beside the ropes, m.</summary>
    private const double Trunk = 0.25;
    private const double Beside = 0.6;

    /// <summary>Inertia of a kilogram of a straight board about its middle, along x, m².</summary>
    private static double[] Slender(double length) => [0, length * length / 12, length * length / 12, 0, 0, 0];

    /// <summary>The beam across, below both boards; the head hangs from its middle.</summary>
    private static Mount Beam(
        RigBuilder b, List<NodeIndex> boards, SectionRow timber, Section section, Material wood, Section net, Fastener bolt, Vec3 point)
    {
        var down = -timber.Height * Vec3.UnitZ;
        var middle = b.Node("carriage-middle", point - Drop * Vec3.UnitZ + down);
        var (halves, outer) = (new List<BeamPiece>(), new List<NodeIndex>());
        for (var i = 0; i < 2; i++)
        {
            var (id, label) = i == 0 ? ("carriage-left", "left half of the beam") : ("carriage-right", "right half of the beam");
            var end = b.Node(id, b.Position(boards[i]) + down);
            b.Rigid(boards[i], end);
            var piece = b.Beam(StationId.Base, id, label, end, middle, section, wood, Vec3.UnitZ);
            halves.Add(piece);
            b.Checks.Add(new SectionStrength(b, StationId.Base, new(id), $"Beam of the carriage breaks, {(i == 0 ? "left" : "right")}",
                piece, net));
            outer.Add(end);
            b.Shape(id, StationId.Base, "plate", [b.Point(end, 0.5 * (b.Position(end) + b.Position(middle)))],
                [timber.Width, (b.Position(end) - b.Position(middle)).Length, timber.Height], Vec3.UnitZ, Vec3.UnitY);
        }
        var apart = (b.Position(boards[0]) - b.Position(boards[1])).Length;
        b.Put(Piece.Cut(new(StationId.Base, "beam"), timber, wood, apart + 2 * Past, what: "Beam across", by: nameof(Apart))
            .Also(c => c with
            {
                Holes = [new(Past, "Beam", BeamBolts), new(c.Length / 2, "Carriage"),
                new(c.Length - Past, "Beam", BeamBolts)]
            }),
            [.. halves], outer[0], outer[1]);
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = BeamBolts,
            Station = StationId.Base,
            Title = "beam under the boards",
            Thread = bolt,
            Means = Loosening.LockNut,
            Layers =
            [
                Hardware.WideWasher(bolt), new("Board", LayerRole.Clearance, timber.Height, timber.Material, timber.Width),
                new("Beam", LayerRole.Clearance, timber.Height, timber.Material, timber.Width), Hardware.WideWasher(bolt),
                    Hardware.LockNut(bolt),
            ],
            Screws = 2,
            Load = f => Worst(halves.Select(h => b.EndLoad(h.First)(f))),
            Axis = -Vec3.UnitZ,
            Lever = timber.Width / 2,
        }, [.. boards]);
        var under = b.Node("carriage", b.Position(middle) - timber.Height / 2 * Vec3.UnitZ);
        b.Rigid(middle, under);
        return new(under, b.Position(under), -Vec3.UnitZ);
    }

    private void Balance(RigBuilder b, Mount mount, SectionRow timber, Section section, Material wood)
    {
        if (Counterweight <= 0)
            return;
        var arm = b.Node("counterweight", mount.Position - Back * Vec3.UnitX);
        var piece = b.Beam(StationId.Base, "counterweight-arm", "arm of the counterweight", mount.Node, arm, section, wood, Vec3.UnitZ);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("counterweight-arm"), "Arm of the counterweight breaks", piece));
        b.Put(Piece.Own(new(StationId.Base, "counterweight"), "Counterweight", Counterweight), arm);
        b.Put(Piece.Cut(new(StationId.Base, "counterweight-arm"), timber, wood, Math.Abs(Back) + Past, what: "Arm of the counterweight"),
            [piece], arm);
        b.Shape("counterweight", StationId.Base, "magnet", [b.Point(arm)], [0.09, 0.05], Vec3.UnitZ);
        b.Shape("counterweight-arm", StationId.Base, "tube", [b.Point(mount.Node), b.Point(arm)], [timber.Height]);
    }

    /// <summary>What its two pulleys keep it from nodding by, N·m/rad: T·d·(1 + d/(L − d)), a taut line with a couple on it.</summary>
    private double Nods(HungRope rope, double chord) => (rope.Rest?.Tension ?? 0) * Wheelbase * (1 + Wheelbase / (chord - Wheelbase));

    /// <summary>What weight below the rope brings back, N·m/rad.</summary>
    private static double Brings(double mass, Vec3 centre, Vec3 point) =>
        Math.Max(0.01, mass * MotionProfile.Gravity * (point.Z - centre.Z));

    /// <summary>From where it is let go to the lowest place of its path, m: how deep, and how far along.</summary>
    private static (double Fall, double Way) Path(HungRope rope, double chord)
    {
        if (rope.Span is not { } span)
            return (0, 0);
        const int places = 24;
        // Anchors too near each other leave no run: it stands in their middle.
        var start = Math.Min(Start / chord, 0.5);
        var hung = new List<(double Share, double Height)>();
        for (var i = 0; i <= places; i++)
        {
            var share = Math.Clamp((double)i / places, start, 1 - start);
            if (span.Under(share, new(0, 0, -rope.Share)) is { } at)
                hung.Add((share, at.At.Z));
        }
        if (hung.Count == 0)
            return (0, 0);
        var (high, low) = (hung[0].Height >= hung[^1].Height ? hung[0] : hung[^1], hung.MinBy(h => h.Height));
        return (high.Height - low.Height, Math.Abs(high.Share - low.Share) * chord);
    }

    /// <summary>Hangs the ropes with what they carry, puts the frame on their tangent and says what the builder needs to know.</summary>
    private void Settle(RigBuilder b, List<HungRope> ropes, (double Mass, Vec3 Centre) moving, Vec3 point, double chord, StrapRow ratchet)
    {
        var (all, count) = (moving.Mass * MotionProfile.Gravity, ropes.Count);
        var lean = count == 1 ? 0 : Math.Clamp((moving.Centre.Y - point.Y) / Apart, -0.45, 0.45);
        for (var i = 0; i < count; i++)
        {
            var rope = ropes[i];
            rope.Settle(count == 1 ? all : all * (0.5 + (i == 0 ? lean : -lean)), all);
            if (rope.Rest is null)
            {
                b.Findings.Add(new ReportFinding(StationId.Base,
                    $"No {Words.Inside(rope.Row.Name)} hangs {Holes.Size(Sag)} deep under this weight. More "
                    + $"sag, or another rope.", true));
                b.Restate(rope.Spring, [1, 1, 1, 1, 1, 1]);
                continue;
            }
            var (along, across, upright) = rope.Tangent;
            var back = Brings(moving.Mass, moving.Centre, point) / count;
            var nods = Nods(rope, chord);
            // Along the run the hand line or the stop holds it.
            b.Restate(rope.Spring, [along + RopeWay.Stopping * all / Stop / count, across, upright, back, nods + back, nods]);
        }
        if (ropes[0] is not { Rest: { } rest, Span: { } span } first)
            return;
        if (chord < 2 * Start + Wheelbase)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"Anchors {Holes.Size(chord)} apart leave no run: it begins and ends {Holes.Size(Start)} from each, and the carriage is "
                    + $"{Holes.Size(Wheelbase)} long."));
        string Force(double v) => QuantityText.Of(v, Dimension.Force);
        var empty = span.Empty();
        // Pitch of a plucked string: (1/2L)·√(T/m).
        var pitch = Math.Sqrt(empty.Most / first.Row.MassPerMetre) / (2 * chord);
        // What a rope stretches by is known to half or twice (its row's range): so much the ratchet has to take up.
        var stretch = rest.Most * span.Length / first.Row.AxialStiffness;
        b.Findings.Add(new ReportFinding(StationId.Base,
            $"{(count == 1 ? "The rope" : "Each rope")} stands at {Force(rest.Tension)} with the carriage on it, {Force(empty.Most)} "
                + $"empty: plucked then, it "
                + $"swings {10 * pitch:0} times in ten seconds. It stretches by {Holes.Size(stretch)}, half or twice that by its make: "
                    + $"the ratchet takes up so much."));
        if (Math.Max(rest.Most, empty.Most) * b.Factors[FactorTable.Rope] > ratchet.BreakingStrength)
            b.Findings.Add(new ReportFinding(StationId.Base, $"The {Words.Inside(ratchet.Name)} is too weak to draw it: a wider one.",
                true));
        if (Pulley < 6 * first.Row.Thickness)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"Pulleys of {Holes.Size(Pulley)} wear a rope of {Holes.Size(first.Row.Thickness)}: six times "
                + $"its thickness at least."));
        if (count == 2 && span.Under(first.Place, new(0, 0, -first.Catches * all)) is { } caught)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"Should one rope part, the other catches {FormattableString.Invariant($"{first.Catches:0.0}")} times the weight, "
                    + $"{Force(caught.Most)}; the "
                    + $"carriage swings under it and comes down to "
                    + $"{Holes.Size(Math.Max(0, caught.At.Z - Extent.Farthest(b.Figure, point + Apart / 2 * Vec3.UnitY) - b.Host.GroundHeight))} over the ground."));
        if (MovedBy == RopeDrive.Slope)
        {
            var (fall, way) = Path(first, chord);
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"Let go at its high end it reaches {QuantityText.Of(RopeRolls.Speed(fall, way), Dimension.Speed)} by itself."));
        }
    }

    private static (Vec3 Force, Vec3 Moment) Worst(IEnumerable<(Vec3 Force, Vec3 Moment)> loads)
    {
        var worst = (Vec3.Zero, Vec3.Zero);
        foreach (var l in loads)
            if (l.Force.Length > worst.Item1.Length)
                worst = l;
        return worst;
    }
}
