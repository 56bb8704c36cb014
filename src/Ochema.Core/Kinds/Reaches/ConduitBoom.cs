using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A straight tube bolted along what it stands on at two places, and out ahead of it.</summary>
[Kind("conduit-boom", "Straight boom along a rail", "Reaches far ahead in line; steel conduit bends before it breaks, carbon is lighter and snaps.",
    Caution = "Nobody under it, cones round it on the ground. Whatever snaps off is a spear: ductile tube.",
    Sketch = "rect 14 30 44 6; rect 14 38 96 5; line 20 26 20 46; line 52 26 52 46; dim stickOut 58 56 110 56")]
public sealed record ConduitBoom : ReachKind
{
    [StockChoice("Tube", "sections", Only = "round-tube")]
    public string Tube { get; init; } = "emt-1-2";

    [Measure("Stick-out", Dimension.Length, 0.05, 3, HowTo = "first bolt to the head", Greatest = "Greatest stick-out", UsualTo = 2)]
    public double StickOut { get; init; } = 1.2;

    /// <summary>Tube behind its rear bolt, m (common practice, no source).</summary>
    private const double Behind = 0.03;

    /// <summary>Wall of what it lies along, at its rear bolt, m (common practice, no source: angles of 3 mm).</summary>
    private const double RailWall = 0.003;

    /// <summary>Bolt through tube and rail.</summary>
    private const string Bolt = "no10-32";

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
        [new("shorter-boom", "Boom a quarter shorter", this with { StickOut = Math.Max(0.05, 0.75 * StickOut) })];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Fit, "Boom under the rail",
            "Front bolt in, the boom in line with the flight as seen from afar, then the rear bolt; lock nuts, a mark line on both. Fly "
                + "without the camera, "
                + "then with it. Cones under it on the ground.")
        {
            Joint = path.Own("boom-bolt"),
            Reads = [nameof(StickOut)],
            Tools = ["spanners", "marker", "level"],
            Minutes = 25,
            Crew = 2,
            Beware = "Nobody near the propeller, ever; nobody walks into it.",
            Wrong = "Out of line: the rear hole is opened to a slot and a wide washer put on, once.",
        },
    ];

    internal override IReadOnlyList<string> Keeps => ["its front bolt", "its rear bolt"];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Tube);
        var (section, metal) = (b.Stock.Section(Tube), b.Stock.MaterialOf(Tube));
        var reach = b.Path.Reach;
        var back = b.At(RigPoint.BaseRearLeft);
        var along = (from.Position - b.Position(back)) is { Length: > 0.05 } line ? line.Normalized() : Vec3.UnitX;
        var length = (from.Position - b.Position(back)).Length;
        var front = b.Node(b.Own("boom-front"), from.Position);
        var tip = b.Node(b.Own("boom"), from.Position + StickOut * along);
        // One bolt carries and lets it turn a little: two of them, apart, keep it straight (judgement, 0.3–3 ×).
        double[] bolt = [5e6, 5e6, 5e6, 30, 30, 30];
        var net = Section.Drilled(row.Shape, row.Width, row.Height, row.Wall, b.Stock.Find<Fastener>("fasteners", Bolt).ClearanceMedium);
        var first = b.Spring(b.Own("boom-bolt-front"), from.Node, front, bolt);
        b.Links.Add((b.Own("boom-bolt-front"), reach, "the boom's front bolt"));
        var ahead = b.Beam(reach, b.Own("boom"), "boom", front, tip, section, metal, from.Axis);
        b.Checks.Add(new SectionStrength(b, reach, new(b.Own("boom")), "Boom bends at its front bolt", ahead, net));
        b.Shape(b.Own("boom"), reach, "tube", [b.Point(front), b.Point(tip)], [row.Width]);
        var through = HollowWall.Through("Boom", row);
        b.StandsOn(from, new(b.Own("reach-screw"), reach, "front bolt of the boom",
            new ThroughPort("Boom", [through], row.Width) { Bolt = Bolt },
            f => f.Spring(first), row.Width / 2));
        var (tail, beams, end) = (0.0, new List<BeamPiece> { ahead }, front);
        if (length > 0.05)
        {
            var rear = b.Node(b.Own("boom-rear"), b.Position(back));
            var last = b.Spring(b.Own("boom-bolt-rear"), back, rear, bolt);
            // On its front bolt alone it swings: taken as off.
            b.Links.Add((b.Own("boom-bolt-rear"), reach, "the boom's rear bolt"));
            var held = b.Beam(reach, b.Own("boom-held"), "boom under the rail", rear, front, section, metal, from.Axis);
            b.Checks.Add(new SectionStrength(b, reach, new(b.Own("boom-held")), "Boom bends under the rail", held, net));
            b.Shape(b.Own("boom-held"), reach, "tube", [b.Point(rear), b.Point(front)], [row.Width]);
            b.Joint(RearBolt(b, through, last), [rear]);
            (tail, end) = (Behind, rear);
            beams.Add(held);
        }
        b.Put(Piece.Cut(new(reach, "boom"), row, metal, StickOut + length + tail, what: "Boom", by: nameof(StickOut)).Also(c => c with
        {
            Holes = [.. tail > 0 ? [new BarHole(tail, "Boom", b.Own("boom-bolt"))] : (BarHole[])[],
                new(tail + length, "Boom", b.Own("reach-screw"))],
        }), [.. beams], end);
        return new Mount(tip, b.Position(tip), along, new TubePort("Boom", row));
    }

    private static ScrewJoint RearBolt(RigBuilder b, StackLayer through, SpringIndex spring)
    {
        var thread = b.Stock.Find<Fastener>("fasteners", Bolt);
        return new()
        {
            Stock = b.Stock,
            Id = b.Own("boom-bolt"),
            Station = b.Path.Reach,
            Title = "rear bolt of the boom",
            Thread = thread,
            Means = Loosening.LockNut,
            Layers = [through, new("Rail behind", LayerRole.Clearance, RailWall, "al-6061-t6", 0.025), Hardware.Washer(thread),
                Hardware.LockNut(thread)],
            Load = f => f.Spring(spring),
            Axis = Vec3.UnitZ,
            Lever = through.Width / 2,
        };
    }
}
