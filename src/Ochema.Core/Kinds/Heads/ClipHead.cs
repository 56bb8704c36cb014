using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
namespace Ochema.Core.Kinds.Heads;

/// <summary>The small plastic clip of an action camera.</summary>
[Kind("clip-head", "Plastic clip", "Snaps in; often the weakest link of all, so the tether goes to the camera and not to the clip.",
    Caution = "Pull the camera out by hand before you trust it: a clip that gave once gives again.")]
public sealed record ClipHead : HeadKind
{
    [StockChoice("Clip", "heads", Only = "clip")]
    public string Stock { get; init; } = "clip-buckle";

    [Measure("Holding torque measured", Dimension.Torque, 0.05, 20,
        HowTo = "scale reading × lever when it slips; leave empty for the usual", Measured = true, Of = "stock")]
    public double? HoldingTorque { get; init; }

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool ScrewsIn => false;

    [System.Text.Json.Serialization.JsonIgnore]
    public override IReadOnlyList<string> Keeps => ["its clip"];

    internal override string Row => Stock;

    internal override (string? Piece, string By)? Joins => null;

    internal override bool IsClosedByHand => true;

    public override Mount Build(RigBuilder b, Mount from) =>
        HeadParts.Build(b, from, b.Stock.Find<HeadRow>("heads", Stock), HoldingTorque, "Clip's hinge turns",
        new BucklePort("Clip"));
}
