using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Bases;

/// <summary>A flat pan or lamp foot that stands by its weight, with the thread through its middle.</summary>
[Kind("weighted-foot", "Flat pan or weighted foot", "Low, cheap, no height at all; a thin pan flexes, and a light one tips.",
    Sketch = "host 62; rect 20 34 80 4; line 20 34 20 62; line 100 34 100 62; rect 44 38 32 22; line 60 12 60 56; dim across 20 67 100 67; "
        + "dim block 84 38 84 60; dim thickness 110 34 110 38; dim recess 36 54 36 60")]
public sealed record WeightedFoot : BaseKind
{
    [Measure("Across", Dimension.Length, 0.08, 0.6, HowTo = "the pan's flat bottom, {length:0.2} to {length:0.25}", UsualTo = 0.45)]
    public double Across { get; init; } = 0.23;

    [Measure("Sheet thickness", Dimension.Length, 0.0004, 0.03, HowTo = "calipers at the rim; cast foot: its thickness")]
    public double Thickness { get; init; } = 0.0012;

    [Measure("Mass with ballast", Dimension.Mass, 0.1, 25, HowTo = "bags, plates or stones laid on it, weighed", UsualTo = 15)]
    public double Mass { get; init; } = 2;

    [Measure("Block under its middle", Dimension.Length, 0.002, 0.1,
        HowTo = "wood or plastic in the upturned pan, under its middle; no thicker than the rim is high")]
    public double Block { get; init; } = 0.020;

    [Measure("Recess for the bolt's head", Dimension.Length, 0, 0.03, HowTo = "how deep it is let into the block from below: no head may stand out")]
    public double Recess { get; init; } = 0.010;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Floor, SiteForm.Ground]);

    /// <summary>Share of a pan's width that lies flat: its edge is drawn round (judgement, 0.85–1).</summary>
    private const double Flat = 0.9;

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
    [
        new("ballast", "Half as much ballast again", this with { Mass = Math.Min(25, 1.5 * Mass) }),
        new("wider", "A pan a quarter wider", this with { Across = Math.Min(0.6, 1.25 * Across) }),
    ];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Drill, "Drill the pan upside down",
            "It stands on its rim, bottom up, the block inside under its middle: sheet alone flexes. Middle found by two lines across; "
                + "pilot, then the "
                + "size in the table through both at once, outdoors. Recess in the block from below, by hole saw or flat bit, so that "
                    + "the bolt's head sits "
                + "in it: one that stands out scratches the floor and rocks. Bolt length from the stack, not by buying three.")
        {
            Joint = "head-screw",
            Reads = [nameof(Recess)],
            Tools = ["rule", "marker", "punch", "drill", "bits", "hole-saw", "clamps", "wood-block"],
            Minutes = 20,
            Wrong = "Off the middle: the pan still stands, aim the block to the heavy side.",
        },
        new(Work.Place, "Stand it and load it",
            "On its place, ballast in, pushed at the height of the camera: it slides before it tips.")
        {
            Minutes = 3,
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var steel = b.Stock.Material("steel-s235");
        var flex = 4 * PanelStiffness.Rocking(steel, Thickness, Across / 2, 0.02);
        var hold = Standing.Build(b, "foot", Footprint.Round(Flat * Across), Flat * Across / 2, Block + Thickness, 2e5, flex, 0.4);
        b.Put(Piece.Bought(new(StationId.Base, "pan"), b.Fitting("pan"), mass: Mass,
            name: $"Pan {QuantityText.Of(Across, Dimension.Length)} with ballast"),
            hold.Body);
        b.Shape("pan", StationId.Base, "magnet", [b.Point(hold.Node)], [Across, 0.012], hold.Top.Axis);
        return hold.Top with
        {
            Offers = new ThroughPort("Pan",
            [
                // From the bolt's head upwards: it is let into the block, the pan lies on that.
                new("Block", LayerRole.Clearance, Math.Max(0.001, Block - Recess), "beech",
                    0.07) { Recess = Math.Min(Recess, Block - 0.001), Flush = true },
                new("Pan", LayerRole.Clearance, Thickness, "steel-s235", 0.08),
                new("Rubber washer", LayerRole.Soft, 0.0015, "rubber-soft", 0.016, Bought: true),
            ], 0.04),
        };
    }
}
