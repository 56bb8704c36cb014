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

/// <summary>
/// Small L-brackets in a row under access screws that are there already, in up to three groups, and an angle along their legs. Each bracket
/// is a hold of its own: any one may be missing.
/// </summary>
[Kind("bracket-row", "Bracket row and rail", "Ten small brackets share what one could not carry; no new hole in the skin, and each screw a bracket thicker.",
    Caution = "Outside an aircraft nothing is fitted before a licensed mechanic or the authority has signed for it; brackets fly alone "
        + "first, then with "
        + "the rail.",
    Sketch = "host 22; rect 16 22 12 4; rect 26 22 3 20; rect 42 22 12 4; rect 52 22 3 20; rect 68 22 12 4; rect 78 22 3 20; rect 12 40 "
        + "96 6; "
        + "dim pitch 29 54 55 54; dim leg 100 22 100 42; dim ahead 81 64 108 64; dim pad 8 20 8 24")]
public sealed record BracketRow : BaseKind
{
    [Measure("Brackets in front", Dimension.Count, 1, 6, HowTo = "under neighbouring screws, at the front")]
    public double Front { get; init; } = 5;

    [Measure("In the middle", Dimension.Count, 0, 4, HowTo = "the next group")]
    public double Middle { get; init; } = 2;

    [Measure("Behind", Dimension.Count, 0, 4, HowTo = "the last group")]
    public double Rear { get; init; } = 3;

    [Measure("Screws apart", Dimension.Length, 0.025, 0.2, HowTo = "the host's own pitch, middle to middle")]
    public double Pitch { get; init; } = 0.08;

    [Measure("Between groups", Dimension.Length, 0.03, 0.5, HowTo = "last screw of one to the first of the next")]
    public double Gap { get; init; } = 0.09;

    [StockChoice("The host's screws", "fasteners", HowTo = "thread and head as they are; a gauge, not a guess")]
    public string Screw { get; init; } = "no10-32";

    [Measure("Thread in the host", Dimension.Length, 0.003, 0.03, HowTo = "nut plate or insert: a match down the hole")]
    public double HostThread { get; init; } = 0.009;

    [Measure("Pad under each", Dimension.Length, 0, 0.004, HowTo = "it spares the paint and eats as much thread")]
    public double Pad { get; init; } = 0.001;

    [StockChoice("Brackets of", "sections", Only = "flat")]
    public string Strip { get; init; } = "flat-al-25x3";

    [Measure("Leg", Dimension.Length, 0.015, 0.08, HowTo = "bend to the rail's screw")]
    public double Leg { get; init; } = 0.017;

    [Measure("Inside bend radius", Dimension.Length, 0.001, 0.03, HowTo = "generous: the block it is bent over")]
    public double BendRadius { get; init; } = 0.012;

    [StockChoice("Rail", "sections", Only = "angle")]
    public string Rail { get; init; } = "angle-al-25x3";

    [Measure("Rail ahead of the first bracket", Dimension.Length, 0.02, 0.4, HowTo = "where the boom is bolted to it")]
    public double Ahead { get; init; } = 0.06;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.AccessScrews]);

    /// <summary>Screws of the rail: countersunk No. 10, lock nuts.</summary>
    private const string RailScrew = "no10-32";

    /// <summary>A small screw between two sheets gives, N/m, and lets them rock and turn, N·m/rad (judgement, 0.3–3 ×).</summary>
    private const double ScrewGives = 5e6;
    private const double ScrewRocks = 500;
    private const double ScrewTurns = 300;

    /// <summary>Rail past its last bracket, m (common practice, no source).</summary>
    private const double Behind = 0.03;

    /// <summary>Places along the row from its middle, m, front first.</summary>
    internal IReadOnlyList<double> Places()
    {
        var at = new List<double>();
        var next = 0.0;
        foreach (var group in new[] { Front, Middle, Rear }.Select(n => (int)Math.Round(n)).Where(n => n > 0))
        {
            for (var i = 0; i < group; i++)
                at.Add(next - i * Pitch);
            next = at[^1] - Gap;
        }
        var middle = (at[0] + at[^1]) / 2;
        return [.. at.Select(s => s - middle)];
    }

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
    [
        new("more-brackets", "One more bracket in front", this with { Front = Math.Min(6, Front + 1) }),
        new("shorter-legs", "Legs a third shorter", this with { Leg = Math.Max(0.015, Leg / 1.5) }),
    ];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.LookOver, "Have it signed for first",
            "Show drawing, masses and speeds to the mechanic who signs for the aircraft, before a strip is cut. The insurer knows as "
                + "well. What they "
                + "forbid is not built.")
        {
            Tools = [],
            Minutes = 30,
            Wrong = "No signature: a mount inside the cabin.",
        },
        new(Work.Measure, "Measure the row",
            "Pitch and groups by a tape along the wing, thread and head by a gauge, from one screw taken out and put back. Nothing moves "
                + "there: flap "
                + "and aileron through their full travel, pitot tube and drains clear.")
        {
            Reads = [nameof(Pitch), nameof(Gap), nameof(HostThread)],
            Tools = ["tape", "calipers", "hex-keys"],
            Minutes = 20,
        },
        new(Work.Bend, "Bend the brackets",
            $"Over a block with a radius of {QuantityText.Of(BendRadius, Dimension.Length)}, all alike, foot and leg square. Fingernail "
                + $"over the "
                + "outside of each: no crack, or it is thrown away.")
        {
            Piece = "brackets",
            Reads = [nameof(Leg), nameof(BendRadius)],
            Tools = ["vice", "bending-block", "mallet"],
            Minutes = 40,
            Wrong = "A crack: a new strip and a larger radius.",
        },
        new(Work.Place, "Brackets under the screws, one by one",
            "One of the host's screws out, longer one with bracket and pad in, tight, before the next comes out: never two at once. Fly "
                + "with the "
                + "brackets alone.")
        {
            Joint = "host-screw",
            Reads = [nameof(Pad)],
            Tools = ["hex-keys", "torque-wrench", "marker"],
            Minutes = 40,
            Crew = 2,
            Wrong = "A nut plate turns: stop, the mechanic looks at it.",
        },
        new(Work.Drill, "Mark the rail through the legs, and drill it",
            "Legs first, at the bench. Brackets held on by two of the host's screws, rail clamped along them, the boom held on: looked "
                + "at from afar until it is in "
                + "line with the flight. Marked through the legs, off again, drilled at the bench.")
        {
            Joint = "rail-screw",
            Tools = ["marker", "punch", "clamps", "drill", "bits"],
            Minutes = 60,
            Crew = 2,
            Wrong = "A hole is off: the next leg's way, once; the rail is cheap, the skin is not.",
        },
        new(Work.Fit, "Rail along the legs",
            "All screws by fingers first, then tight from the middle outwards; lock nuts, a mark line on each. Fly again, rail alone.")
        {
            Joint = "rail-screw",
            Tools = ["hex-keys", "spanners", "marker"],
            Minutes = 30,
            Crew = 2,
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var (thread, own) = (b.Stock.Find<Fastener>("fasteners", Screw), b.Stock.Find<Fastener>("fasteners", RailScrew));
        var (strip, rail) = (b.Stock.Find<SectionRow>("sections", Strip), b.Stock.Find<SectionRow>("sections", Rail));
        var (metal, railMetal) = (b.Stock.MaterialOf(Strip), b.Stock.MaterialOf(Rail));
        var places = Places();
        var bent = new Bracket.Strip(metal, strip.Width, strip.Height, 0, Bracket.LeastFoot(0, thread), Leg, BendRadius);
        var holds = new List<Hold>();
        var stands = new List<Bracket.Stood>();
        var (onRail, springs) = (new List<NodeIndex>(), new List<SpringIndex>());
        for (var i = 0; i < places.Count; i++)
        {
            var hold = ClampParts.Place(b, $"hold-{i + 1}", $"bracket {i + 1}", strip.Height / 2, strip.Width / 2, ScrewGives, ScrewRocks,
                s: places[i]);
            holds.Add(hold);
            var stood = Bracket.Stand(b, hold.Top, hold.Id + "-leg", $"Bracket {i + 1}", bent, thread, hold.Top.Axis.Cross(b.Surface.U)
                .Normalized());
            stands.Add(stood);
            var node = b.Node(hold.Id + "-rail", b.Position(stood.End));
            springs.Add(b.Spring(hold.Id + "-rail-screw", stood.End, node,
                [ScrewGives, ScrewGives, ScrewGives, ScrewTurns, ScrewTurns, ScrewTurns]));
            onRail.Add(node);
        }
        b.Checks.Add(new BendCracks(StationId.Base, new("bracket"), metal, strip.Height, BendRadius));
        b.Put(Piece.Strip(new(StationId.Base, "brackets"), Bracket.Name,
            bent.Blank([nameof(Leg), nameof(BendRadius)], "host-screw", 1, "rail-screw"), strip,
            metal,
            places.Count, Bracket.Spare), [.. stands.SelectMany(s => s.Beams)], [.. stands.Select(s => (Hung)s.Corner)]);
        List<StackLayer> stack = [Hardware.Washer(thread), new("Bracket", LayerRole.Clearance, strip.Height, metal.Id, strip.Width,
            Edge: Bracket.Beyond)];
        if (Pad > 0)
            stack.Add(new("Pad", LayerRole.Soft, Pad, "rubber-hard", strip.Width, Bought: true));
        stack.Add(new("The host's thread", LayerRole.Blind, HostThread, "steel-1018", 0.02) { Ready = true });
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "host-screw",
            Station = StationId.Base,
            Title = "brackets on the wing",
            Thread = thread,
            Means = Loosening.LockNut,
            Layers = stack,
            Load = f => ScrewRow.Worst(f, holds),
            Axis = holds[0].Top.Axis,
            Lever = strip.Width / 2,
            Screws = places.Count,
        }, [.. holds.Select(h => h.Node)]);
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "rail-screw",
            Station = StationId.Base,
            Title = "rail on the brackets",
            Thread = own,
            Means = Loosening.LockNut,
            Layers =
            [
                new("Rail", LayerRole.Clearance, rail.Wall, railMetal.Id, rail.Width, Edge: rail.Width / 2),
                new("Bracket leg", LayerRole.Clearance, strip.Height, metal.Id, strip.Width, Edge: Bracket.Beyond), Hardware.Washer(own),
                    Hardware.LockNut(own),
            ],
            Load = f => ScrewRow.Worst(f, holds, springs),
            Axis = b.Surface.U.Cross(holds[0].Top.Axis).Normalized(),
            Lever = strip.Width / 2,
            Screws = places.Count,
        }, [.. onRail]);
        return AddRail(b, places, holds, onRail, rail, railMetal);
    }

    private Mount AddRail(RigBuilder b, IReadOnlyList<double> places, List<Hold> holds, List<NodeIndex> onRail, SectionRow rail,
        Material metal)
    {
        var (section, axis) = (b.Stock.Section(Rail), holds[0].Top.Axis);
        var front = b.Node("rail-front", b.Position(onRail[0]) + Ahead * b.Surface.U);
        List<NodeIndex> nodes = [front, .. onRail];
        var net = Section.Drilled(rail.Shape, rail.Width, rail.Height, rail.Wall,
            b.Stock.Find<Fastener>("fasteners", RailScrew).ClearanceMedium);
        var beams = new List<BeamPiece>();
        for (var i = 0; i + 1 < nodes.Count; i++)
        {
            var piece = b.Beam(StationId.Base, $"rail-{i + 1}", "rail", nodes[i], nodes[i + 1], section, metal, axis);
            beams.Add(piece);
            b.Checks.Add(new SectionStrength(b, StationId.Base, new($"rail-{i + 1}"),
                i == 0 ? "Rail bends ahead of the brackets" : "Rail bends between brackets", piece, net));
            b.Shape($"rail-{i + 1}", StationId.Base, "tube", [b.Point(nodes[i]), b.Point(nodes[i + 1])], [rail.Width]);
        }
        b.Offer(RigPoint.BaseRearLeft, onRail[^1]);
        b.Offer(RigPoint.BaseRearRight, onRail[^1]);
        b.Offer(RigPoint.BaseFrontLeft, front);
        b.Offer(RigPoint.BaseFrontRight, front);
        var length = Past + Ahead + places[0] - places[^1] + Behind;
        b.Put(Piece.Cut(new(StationId.Base, "rail"), rail, metal, length, what: "Rail", by: nameof(Ahead)).Also(c => c with
        {
            Holes = [new(Past, "Rail", "reach-screw"), .. places.Select(p =>
                new BarHole(Past + Ahead + places[0] - p, "Rail", "rail-screw"))],
        }), [.. beams], new Hung(onRail[^1]) { Share = Behind }, new Hung(front) { Share = Past });
        return new Mount(front, b.Position(front), axis, new ThroughPort("Rail",
            [new("Rail", LayerRole.Clearance, rail.Wall, metal.Id, rail.Width, Edge: rail.Width / 2)], rail.Width));
    }

    /// <summary>Rail past the boom's screw, m (common practice, no source).</summary>
    private const double Past = 0.02;
}
