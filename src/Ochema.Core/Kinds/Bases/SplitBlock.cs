using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Bases;

/// <summary>Two halves of a hard rubber block round a ring, drawn together by one bolt that is also the camera's stud.</summary>
[Kind("split-block", "Split block on a ring", "Cheap, strong, legal where cups are refused; needs a closed ring, and turns if it is not tight.",
    Caution = "Tighten with a tool, mark the bolt, look at the mark after the first run.",
    Sketch = "rect 36 18 48 17; rect 36 35 48 17; circle 48 35 7; line 70 6 70 62; dim thickness 94 18 94 52; dim width 36 66 84 66; dim "
        + "holeOffset 55 58 70 58; dim stud 78 6 78 18")]
public sealed record SplitBlock : BaseKind
{
    [Measure("Block thickness, both halves", Dimension.Length, 0.015, 0.12, HowTo = "across the two halves and the ring bar, squeezed")]
    public double Thickness { get; init; } = 0.040;

    [Measure("Block width", Dimension.Length, 0.015, 0.12, HowTo = "across the bolt, both ways")]
    public double Width { get; init; } = 0.060;

    [Measure("Hole to ring bar", Dimension.Length, 0.004, 0.06, HowTo = "bolt's middle to the near side of the ring bar")]
    public double HoleOffset { get; init; } = 0.010;

    [StockChoice("Bolt", "fasteners")]
    public string Bolt { get; init; } = "1-4-20";

    [Measure("Stud above the block", Dimension.Length, 0.004, 0.06, HowTo = "block's face to the head's seat")]
    public double Stud { get; init; } = 0.012;

    [Measure("Socket of what is screwed on", Dimension.Length, 0.002, 0.03, HowTo = "depth of thread in the clip or head, a match down the hole")]
    public double Socket { get; init; } = 0.0055;

    /// <summary>Rubber that should stay round the bar: past its far side, and above and below it, m (common practice, no source).</summary>
    private const double Cover = 0.003;
    private const double Skin = 0.006;

    internal override bool GivesSlowly => true;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Ring]);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Cut, "Trim one side, then halve the block",
            $"Cut {QuantityText.Of(Width, Dimension.Length)} square so that it centres on the ring clear of its hinge: trim a little, "
                + "try, trim again. Then halve it along the middle of its thickness: band saw, else a hacksaw in the vice.")
        {
            Piece = "half-blocks",
            Reads = [nameof(Width)],
            Tools = ["rule", "marker", "vice", "hacksaw"],
            Minutes = 12,
            Beware = "Rubber grabs the blade: slow, both hands, glasses.",
            Wrong = "Trimmed too far: turn the block and use another side; it wants rubber round the bar all the way.",
        },
        new(Work.Drill, "One hole through both halves",
            "Both halves in the vice, faces flush. One hole of "
                + $"{QuantityText.Of(b.Stock.Find<Fastener>("fasteners", Bolt).ClearanceClose, Dimension.Drill)} through both at once, "
                + $"{QuantityText.Of(HoleOffset, Dimension.Length)} from where the ring bar will lie, so that it misses the bar.")
        {
            Joint = "block-bolt",
            Reads = [nameof(HoleOffset)],
            Tools = ["vice", "marker", "drill", "bits"],
            Minutes = 6,
            Wrong = "It meets the bar: a second hole from the other side; leave the first open.",
        },
        new(Work.Place, "Close the block on the ring",
            "Halves round the bar, bolt from below with its washer, foot or clip on the stud that stands out. Draw it until the rubber "
                + "bulges a little. Rubber relaxes: again after the first minutes, after the first fitting and before each run.")
        {
            Joint = "block-bolt",
            Tools = ["spanners", "marker"],
            Minutes = 5,
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var thread = b.Stock.Find<Fastener>("fasteners", Bolt);
        var d = ClampParts.Diameter(b);
        var rubber = b.Stock.Material("rubber-hard");
        var hold = ClampParts.Place(b, "base-hold", "block", Thickness / 2, Width / 2, 1.5e6, 350, ClampParts.Rubber(b));
        // The bolt draws the halves together between the bar on one side and the heel on the other: a lever.
        var (heel, arm) = (Width - HoleOffset - d - Cover, HoleOffset + d / 2);
        foreach (var fault in Faults(thread, d, heel))
            b.Findings.Add(new ReportFinding(StationId.Base, fault, true));
        var standOff = Stud - Socket;
        StackLayer[] between = standOff > 0.0005 ? [new("Jam nut and washers", LayerRole.Clearance, standOff, "steel-s235", 0.014,
            Bought: true, Item: HardwareItem.JamNut)] : [];
        var joint = b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "block-bolt",
            Station = StationId.Base,
            Title = "bolt through the block",
            Thread = thread,
            Means = Loosening.ToolTightMarked,
            Usual = 4,
            Layers =
            [
                Hardware.Washer(thread), new("Lower half", LayerRole.Soft, Thickness / 2, rubber.Id, Width),
                    new("Upper half", LayerRole.Soft, Thickness / 2, rubber.Id, Width),
                .. between, new("Clip or head", LayerRole.Blind, Socket, "al-6061-t6", 0.02, Thread: "1-4-20"),
            ],
            Load = f => f.Spring(hold.Spring),
            Axis = hold.Top.Axis,
            Friction = ClampParts.RubberFriction,
            Lever = Width / 2,
        }, hold.Node);
        var squeeze = joint.Preload * Math.Max(0.01, heel) / (Math.Max(0.01, heel) + arm);
        b.WhileHeld(() =>
        {
            const string source = "bolt's preload, half of it left once the rubber has relaxed, by its lever on the bar; hard rubber "
                + "0.3–0.5, judgement";
            b.Checks.Add(GripTurn.Of(b, new("base-hold"), "Block turns on the ring", hold.Spring, b.Surface.U,
                FrictionGrip.Halves(squeeze, d, ClampParts.Rubber(b)), "two halves squeezed round a bar, Coulomb friction", source
                    + b.Site.RubsWhy));
            b.Checks.Add(new GripPrise(b, new("base-hold"), "Block is prised open", hold.Spring, b.Surface.U, hold.Top.Axis, squeeze, Width
                / 3, source));
        });
        b.Put(Piece.Sheet(new(StationId.Base, "half-blocks"), "Half block", new(Width, Width, Thickness / 2, rubber.Id, [])
        {
            Holes = [new(Cover + d + HoleOffset, Width / 2, "Upper half", "block-bolt")],
        }, rubber, 2), hold.Body);
        return ClampParts.Stem(b, hold.Top, Stud, Math.Sqrt(4 * thread.StressArea / Math.PI), "stem",
            "bolt as stud") with
        { Offers = new StudPort("Bolt", Bolt, Stud, Joint: "block-bolt") };
    }

    private IEnumerable<string> Faults(Fastener thread, double d, double heel)
    {
        if (HoleOffset < thread.ClearanceClose / 2)
            yield return $"The bolt's hole meets the ring bar: its middle has to be {Holes.Size(thread.ClearanceClose / 2)} and more "
                + $"from it, it is {Holes.Size(HoleOffset)}.";
        if (heel < 1.5 * thread.MajorDiameter)
            yield return $"A block {Holes.Size(Width)} wide does not take the bar of {Holes.Size(d)} beside the bolt: it needs "
                + $"{Holes.Size(HoleOffset + d + Cover + 1.5 * thread.MajorDiameter)}.";
        if ((Thickness - d) / 2 < Skin)
            yield return $"A bar of {Holes.Size(d)} leaves {Holes.Size(Math.Max(0, (Thickness - d) / 2))} of rubber above and below it "
                + $"in a block of {Holes.Size(Thickness)}: {Holes.Size(Skin)} at the least.";
    }
}
