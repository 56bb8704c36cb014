using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
namespace Ochema.Core.Kinds.Bases;

/// <summary>A bag of husks, beans or sand with a plate on top.</summary>
[Kind("weighted-bag", "Bag with a plate", "Lies anywhere, soaks up tremble, leaves nothing; slides and tips when anything moves.",
    Sketch = "host 60; rect 22 34 76 26; rect 40 29 40 5; dim length 22 24 98 24; dim height 106 34 106 60")]
public sealed record WeightedBag : BaseKind
{
    [Measure("Bag", Dimension.Mass, 0.2, 25, HowTo = "filled, on a kitchen scale", UsualTo = 12)]
    public double Bag { get; init; } = 4;

    [Measure("Length", Dimension.Length, 0.08, 0.6, HowTo = "as it lies")]
    public double Length { get; init; } = 0.28;

    [Measure("Width", Dimension.Length, 0.08, 0.6, HowTo = "as it lies")]
    public double Width { get; init; } = 0.20;

    [Measure("Height", Dimension.Length, 0.02, 0.3, HowTo = "as it lies, loaded")]
    public double Height { get; init; } = 0.07;

    /// <summary>Filling: stiffness per area over height, N/m per m (judgement, 0.3–3 ×).</summary>
    private const double FillModulus = 1.5e5;

    /// <summary>Plywood on top, m (judgement, 6–12 mm).</summary>
    private const double Plate = 0.009;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Floor, SiteForm.Slot, SiteForm.Ground]);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, "Lay the bag and knead it",
            "Lay it down, or over sill or edge; knead a bed for the plate, press until it does not rock. On a car: engine off.")
        {
            Minutes = 2,
            Beware = "Off the car before driving.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var k = FillModulus * Length * Width / Height;
        var hold = Standing.Build(b, "bag", Footprint.Rectangle(Length, Width), Math.Min(Length, Width) / 2, Height, k, k * Width * Width
            / 12, 0.5);
        b.Put(Piece.Bought(new(StationId.Base, "bag"), b.Fitting("bag"), mass: Bag), hold.Body);
        b.Shape("bag", StationId.Base, "plate", [b.Point(hold.Node, b.Position(hold.Node) + Height / 2 * hold.Top.Axis)],
            [Length, Width, Height], hold.Top.Axis, b.Surface.V);
        return hold.Top with
        {
            Offers = new ThroughPort("Plate on the bag",
            [new("Plate on the bag", LayerRole.Clearance, Plate, "birch-ply", 0.05)], Math.Min(Length, Width))
        };
    }
}
