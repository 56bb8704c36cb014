using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>Links of square tube that turn on upright bolts and fold onto each other, held by friction.</summary>
[Kind("folding-arm", "Folding arm of links", "Swings anywhere on a level and folds into a bag; droops a little at each joint, and turns where the "
    + "friction is least.",
    Caution = "Let go of it slowly, and stand aside of its swing.",
    Sketch = "rect 6 56 18 8; line 14 54 52 54; line 52 46 84 32; line 84 24 108 12; circle 14 54 4; circle 52 50 4; circle 84 28 4; dim "
        + "first 14 68 52 "
        + "68; dim apart 60 46 60 54; dim past 84 44 92 44")]
public sealed record FoldingArm : ReachKind
{
    [Measure("Links", Dimension.Count, 1, 4, HowTo = "three reach round a trunk")]
    public double Links { get; init; } = 3;

    [Measure("First link", Dimension.Length, 0.05, 0.8, HowTo = "nearest the tree, bolt to bolt", Greatest = "Greatest first link", UsualTo = 0.5)]
    public double First { get; init; } = 0.305;

    [Measure("Second link", Dimension.Length, 0.05, 0.8, HowTo = "bolt to bolt; shorter than the one before by what its end needs to clear the "
        + "nut", UsualTo = 0.5)]
    public double Second { get; init; } = 0.28;

    [Measure("Third link", Dimension.Length, 0.05, 0.8, HowTo = "bolt to bolt, shorter again", UsualTo = 0.5)]
    public double Third { get; init; } = 0.255;

    [Measure("Fourth link", Dimension.Length, 0.05, 0.8, HowTo = "bolt to bolt, shorter again", UsualTo = 0.5)]
    public double Fourth { get; init; } = 0.23;

    [StockChoice("Tube", "sections", Only = "square-tube")]
    public string Tube { get; init; } = "square-steel-19-05x1-65";

    [StockChoice("Pivot bolts", "fasteners", HowTo = "through both tubes, with a lock nut")]
    public string Bolt { get; init; } = "1-4-20";

    [Measure("Tube past its bolts", Dimension.Length, 0.006, 0.04, HowTo = "bolt to the sawn end")]
    public double Past { get; init; } = 0.013;

    [Measure("Washers between links", Dimension.Length, 0.0005, 0.02, HowTo = "nylon, pressed; thicker than a bolt's head where it shall fold flat")]
    public double Apart { get; init; } = 0.006;

    [Measure("Joint nearest the tree holds", Dimension.Torque, 0.1, 60, HowTo = "scale reading × link length when it turns")]
    public double Torque { get; init; } = 6;

    [Measure("Each next joint holds, of the one before", Dimension.Ratio, 0.2, 1.5, HowTo = "loosest last, or the wrong one turns: half to two thirds")]
    public double Falls { get; init; } = 0.6;

    [Measure("First link turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 straight out from the tree")]
    public double Heading { get; init; } = 0.3;

    [Measure("Each next one turned further", Dimension.Angle, -Math.PI, Math.PI, HowTo = "left positive; past a joint's stop it lies on the one before")]
    public double Bend { get; init; } = -0.5;

    /// <summary>Nylon on steel, dry (judgement, 0.2–0.3).</summary>
    private const double Friction = 0.25;

    /// <summary>A pivot with its washers bends, and turns before it slips, N·m/rad (judgement, 0.4–2.5 ×).</summary>
    private const double Rocking = 3000;
    private const double Winding = 1500;

    /// <summary>Of its bolts in the joints' names: the first is the arm's foot.</summary>
    private const string Foot = "reach-screw";

    private int Count => (int)Math.Round(Links);

    /// <summary>Bolt to bolt, m, from the tree outwards.</summary>
    private double[] Lengths => new[] { First, Second, Third, Fourth }[..Count];

    /// <summary>What they are called in the document.</summary>
    private static readonly string[] Names = [nameof(First), nameof(Second), nameof(Third), nameof(Fourth)];

    /// <summary>What a joint holds, N·m.</summary>
    private double Holds(int joint) => Torque * Math.Pow(Falls, joint);

    /// <summary>What draws a joint together, N: friction on both of a link's faces at two thirds of half their width.</summary>
    private static double Drawn(double torque, double width) => torque / Arm(width);

    /// <summary>Torque of each N that draws a joint together, m.</summary>
    private static double Arm(double width) => 2 * Friction * width / 3;

    /// <summary>Force, N, that the link's wall bears under the bolt's washer, or its sleeve.</summary>
    private static double Bears(RigSetting b, SectionRow row, Material metal, Fastener bolt, string joint) =>
        b.Rig.Joints.TryGetValue(joint, out var own) && own.Sleeve == Answer.Yes ? HollowWall.SleeveBears(bolt)
            : HollowWall.Of(row) is { } wall ? wall.Dents(Hardware.Washer(bolt).Width, metal.YieldStrength)
            : double.PositiveInfinity;

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Count > 1)
            yield return new("fewer-links", "One link fewer", this with { Links = Count - 1 });
        yield return new("tighter-joints", "All joints a third tighter", this with { Torque = Math.Min(60, Torque * 4 / 3) });
        if (Lengths.Min() > 0.1)
            yield return new("shorter-links", "Links a quarter shorter",
                this with
                {
                    First = 0.75 * First,
                    Second = Math.Max(0.05, 0.75 * Second),
                    Third = Math.Max(0.05, 0.75 * Third),
                    Fourth = Math.Max(0.05, 0.75 * Fourth)
                });
    }

    internal override bool WaitsToSettle => true;

    internal override string Called(string first) => Count == 1 ? "Folding arm, one link" : $"Folding arm, {Count} links";

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        var lengths = Lengths;
        yield return new(Work.Drill, "Drill the links",
            "Marked by a square over the tube from the template, punched, pilot, then the size in the table through both walls, from "
                + "each side to the "
                + "middle: a bit that "
                + "runs off makes a link that stands askew.")
        {
            Joint = Foot,
            Reads = [nameof(Past)],
            Tools = ["rule", "marker", "punch", "drill", "bits", "vice", "file"],
            Minutes = 10 * Count,
            Wrong = "A hole askew: open it and sleeve it with a bush, or a new link; the nesting needs the length, not the look.",
        };
        yield return new(Work.Pad, "Bolt the links together and fold them",
            $"From the tree outwards: washer, link, nylon, link, washer, lock nut. "
                + $"{string.Join(", ", lengths.Select(l => $"{QuantityText.Of(l, Dimension.Length)}"))} from bolt to bolt. Fold it: "
                + Folding(b) + " Where the thread runs out before the nut grips, another washer under it.")
        {
            Tools = ["spanners", "rule"],
            Minutes = 10,
        };
        yield return new(Work.Set, "Tighten from the tree outwards",
            string.Join(" ", Enumerable.Range(0, Count).Select(i =>
                $"{Joint(i)}: {QuantityText.Of(Holds(i), Dimension.Torque)}, {QuantityText.Of(Holds(i) / lengths[i], Dimension.Force)} "
                    + $"on a scale at "
                    + $"the link's end.")) + " Each looser than the one "
                + "before it: else the joint at the tree turns first. Swing it all round and listen: a knock is metal on metal, another "
                    + "washer.")
        {
            Reads = [nameof(Torque), nameof(Falls)],
            Tools = ["spanners", "scale"],
            Minutes = 8,
            Beware = "Keep out of its swing; fingers out from between the links.",
        };
    }

    private string Folding(RigSetting b)
    {
        var stops = Stops(b);
        return stops.All(s => s <= 0) ? "each link lies flat on the one below, clear of its nuts."
            : string.Join(" ", stops.Select((s, i) => s <= 0 ? ""
                : $"link {i + 2} stops {QuantityText.Of(s, Dimension.Angle)} short of it.").Where(t => t.Length > 0));
    }

    /// <summary>Where each link after the first stops before it lies on the one below, rad.</summary>
    private double[] Stops(RigSetting b)
    {
        var (row, bolt, lengths) = (b.Stock.Find<SectionRow>("sections", Tube), b.Stock.Find<Fastener>("fasteners", Bolt), Lengths);
        return [.. Enumerable.Range(1, Count - 1).Select(i => FoldedLinks.Stops(bolt, lengths[i - 1], lengths[i], row.Width, Past, Apart, i
            == Count - 1))];
    }

    private static string Joint(int i) => i switch
    {
        0 => "Joint at the tree",
        1 => "Second joint",
        2 => "Third joint",
        _ =>
        "Fourth joint"
    };

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Tube);
        var (section, metal) = (b.Stock.Section(Tube), b.Stock.MaterialOf(Tube));
        var (reach, bolt, lengths) = (b.Path.Reach, b.Stock.Find<Fastener>("fasteners", Bolt), Lengths);
        var axis = from.Axis;
        var ahead = (Math.Abs(axis.X) < 0.9 ? Vec3.UnitX : b.Surface.U).PerpendicularTo(axis).Normalized();
        var out_ = b.Surface.Normal.PerpendicularTo(axis) is { Length: > 0.3 } n ? n.Normalized() : ahead;
        StackLayer Link(int i) => HollowWall.Through($"Link {i + 1}", row);
        StackLayer Nylon(double thickness) => new("Nylon washer", LayerRole.Clearance, thickness, "nylon-66", row.Width, Bought: true);
        string Screw(int joint) => joint == 0 ? Foot : b.Own($"pivot-{joint + 1}");
        var (node, at) = (from.Node, from.Position + (Apart + row.Width / 2) * axis);
        var washer = b.Fitting("nylon-washer");
        for (var i = 0; i < Count; i++)
        {
            var foot = b.Node(b.Own($"link-{i + 1}-foot"), at);
            var below = b.Node(b.Own($"pivot-{i + 1}"), at);
            b.Rigid(node, below);
            var spring = b.SpringAlong(axis, b.Own($"pivot-{i + 1}-spring"), below, foot, 2e7, 2e7, Winding, Rocking);
            var direction = out_.RotatedAbout(axis, Heading + i * Bend);
            var end = b.Node(b.Own($"link-{i + 1}"), at + lengths[i] * direction);
            var piece = b.Beam(reach, b.Own($"link-{i + 1}"), $"link {i + 1}", foot, end, section, metal, axis);
            var (pivot, title) = (b.Own($"pivot-{i + 1}"), Joint(i));
            var holds = Math.Min(Holds(i), Bears(b, row, metal, bolt, Screw(i)) * Arm(row.Width));
            var drawn = Drawn(holds, row.Width);
            if (holds < Holds(i) - 1e-9)
                b.Findings.Add(new ReportFinding(reach, $"{title}: the tube's wall dents before it is as tight as "
                    + $"{QuantityText.Of(Holds(i), Dimension.Torque)}: "
                    + $"counted as {QuantityText.Of(holds, Dimension.Torque)}. A sleeve round the bolt inside the tube lets it be drawn "
                        + $"tighter.", false));
            b.Links.Add((b.Own($"pivot-{i + 1}-spring"), reach, $"the {Words.Inside(title)}"));
            b.Checks.Add(new TurnsByFriction(b, reach, new(pivot), $"{title} turns", spring, axis, holds,
                "as you set it: scale × link when it turns"));
            b.Checks.Add(new PivotBolt(b, reach, new(pivot), $"Bolt of the {Words.Inside(title)} gives", spring, axis, bolt, drawn,
                row.Width));
            b.Checks.Add(new PivotGapes(reach, new(pivot), $"{title} gapes and droops", spring, axis, drawn, row.Width));
            b.Checks.Add(new SectionStrength(b, reach, new(b.Own($"link-{i + 1}")), $"Link {i + 1} bends", piece));
            var (own, last) = (i, i == Count - 1);
            b.Put(Piece.Cut(new(reach, $"link-{i + 1}"), row, metal, lengths[i] + 2 * Past, what: $"Link {i + 1}", by: Names[i])
                .Also(c => c with
                {
                    Holes = [new(Past, $"Link {own + 1}", Screw(own)),
                new(c.Length - Past, $"Link {own + 1}", last ? null : Screw(own + 1))]
                }), [piece], foot, end);
            b.Put(Piece.Bought(new(reach, $"washer-{i + 1}"), washer), foot);
            b.Shape(b.Own($"link-{i + 1}"), reach, "tube", [b.Point(foot), b.Point(end)], [row.Width]);
            b.Shape(pivot, reach, "joint", [b.Point(foot)], [row.Width * 1.2], axis);
            if (i == 0)
            {
                // Through a plate the pivot is its own bolt, judged above; on a stud, a ball or in a tube's plug that has to bear it.
                var ownBolt = from.Offers is ThroughPort;
                b.StandsOn(from, new(Foot, reach, "bolt of the joint at the tree",
                    new ThroughPort("Link 1", [Nylon(Apart), Link(0)], row.Width) { Bolt = Bolt }, ownBolt ? null : f => f.Spring(spring),
                        row.Width / 2,
                    Torque: ownBolt ? Threads.NutFactor * drawn * bolt.MajorDiameter : null));
            }
            else
                b.Joint(ClampParts.Through(b, $"pivot-{i + 1}", reach, $"bolt of the {Words.Inside(title)}", Bolt, Link(i),
                    Link(i - 1)) with
                {
                    Layers = [Hardware.Washer(bolt), Link(i), Nylon(Apart), Link(i - 1), Hardware.Washer(bolt), Hardware.LockNut(bolt)],
                    Usual = Threads.NutFactor * drawn * bolt.MajorDiameter,
                }, foot);
            (node, at) = (end, b.Position(end) + (Apart + row.Width) * axis);
        }
        foreach (var (stop, i) in Stops(b).Select((s, i) => (s, i)))
        {
            var folded = Math.PI - Math.Abs(Math.IEEERemainder(Bend, 2 * Math.PI));
            if (stop > 0 && folded < stop)
                b.Findings.Add(new ReportFinding(reach,
                    $"Link {i + 2} cannot lie there: it stops {QuantityText.Of(stop, Dimension.Angle)} short of the "
                    + $"link below, at a bolt's head or nut. "
                    + $"Shorter by {Holes.Size(FoldedLinks.Shorter(bolt, Past))} with {Holes.Size(FoldedLinks.Apart(bolt))} between them "
                        + $"it folds "
                        + $"flat.", true));
        }
        var top = b.Node(b.Own("arm-end"), b.Position(node) + row.Width / 2 * axis);
        b.Rigid(node, top);
        return new Mount(top, b.Position(top), axis, new ThroughPort($"Link {Count}", [Link(Count - 1)], row.Width));
    }
}
