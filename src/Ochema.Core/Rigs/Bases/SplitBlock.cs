using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs.Bases;

/// <summary>Two halves of a hard rubber block round a ring, drawn together by one bolt that is also the camera's stud.</summary>
[Kind("split-block", "Split block on a ring", "Cheap, strong, legal where cups are refused; needs a closed ring, and turns if it is not tight.",
    Caution = "Tighten with a tool, mark the bolt, look at the mark after the first run.",
    Sketch = "rect 36 18 48 17; rect 36 35 48 17; circle 48 35 7; line 70 6 70 62; dim thickness 94 18 94 52; dim width 36 66 84 66; dim holeOffset 55 58 70 58; dim stud 78 6 78 18")]
public sealed record SplitBlock : BaseKind
{
    [Measure("Block thickness, both halves", Dimension.Length, 0.015, 0.12, HowTo = "across the two halves and the ring bar, squeezed")]
    public double Thickness { get; init; } = 0.040;

    [Measure("Block width", Dimension.Length, 0.015, 0.12, HowTo = "across the bolt")]
    public double Width { get; init; } = 0.038;

    [Measure("Hole to ring bar", Dimension.Length, 0.004, 0.06, HowTo = "bolt's middle to the near side of the ring bar")]
    public double HoleOffset { get; init; } = 0.012;

    [StockChoice("Bolt", "fasteners")]
    public string Bolt { get; init; } = "1-4-20";

    [Measure("Stud above the block", Dimension.Length, 0.004, 0.06, HowTo = "block's face to the head's seat")]
    public double Stud { get; init; } = 0.012;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Ring]);

    public override Mount Build(RigBuilder b)
    {
        var thread = b.Stock.Find<Fastener>("fasteners", Bolt);
        var d = ClampParts.Diameter(b);
        var hold = ClampParts.Place(b, "base-hold", "block", Thickness / 2, Width * Width * Thickness * 1250, Width / 2, 1.5e6, 350, ClampParts.RubberFriction);
        var joint = b.Joint(new ScrewJoint
        {
            Id = "block-bolt",
            Station = "base",
            Title = "bolt through the block",
            Thread = thread,
            Means = Loosening.ToolTightMarked,
            Torque = 4,
            Layers =
            [
                ClampParts.Washer(thread), new("Lower half", LayerRole.Clearance, Thickness / 2, "rubber-hard", Width),
                new("Upper half", LayerRole.Clearance, Thickness / 2, "rubber-hard", Width), new("Clip or head", LayerRole.Blind, Stud, "al-6061-t6", 0.02),
            ],
            Load = f => f.Spring(hold.Spring),
            Axis = hold.Top.Axis,
            Friction = ClampParts.RubberFriction,
            Lever = Width / 2,
        });
        // The bolt squeezes the far half like a lever about its heel: what reaches the bar is the preload by the levers.
        var squeeze = joint.Preload * Math.Min(1, Width / 2 / (HoleOffset + d / 2));
        if (!b.HoldsGone)
            b.Checks.Add(GripTurn.Of(b, "base-hold", "Block turns on the ring", hold.Spring, b.Surface.U, FrictionGrip.Halves(squeeze, d, ClampParts.RubberFriction), "two halves squeezed round a bar, Coulomb friction", "squeeze from the bolt's preload; hard rubber 0.3–0.5, judgement"));
        b.Part("base", "Hard rubber block, bolt, washer", 0.02, 4);
        return ClampParts.Stem(b, hold.Top, Stud, Math.Sqrt(4 * thread.StressArea / Math.PI), "stem", "bolt as stud");
    }
}
