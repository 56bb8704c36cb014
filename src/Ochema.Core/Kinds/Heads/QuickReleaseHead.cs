using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Heads;

/// <summary>A quick-release clamp with its plate.</summary>
[Kind("quick-release", "Quick-release clamp", "On and off with one hand; a lever that opens by itself is why it needs a lock and a tether.",
    Caution = "Lever shut and locked: try it with a push before every run.")]
public sealed record QuickReleaseHead : HeadKind
{
    [StockChoice("Clamp", "heads", Only = "quick-release")]
    public string Stock { get; init; } = "quick-release-50";

    [Measure("Holding torque measured", Dimension.Torque, 0.2, 60,
        HowTo = "scale reading × lever when the plate slips; leave empty for the usual", Measured = true, Of = "stock")]
    public double? HoldingTorque { get; init; }

    internal override string Row => Stock;

    internal override (string? Piece, string By)? Joins => ("Quick-release plate", "its lever");

    internal override bool IsClosedByHand => true;

    public override Mount Build(RigBuilder b, Mount from) => HeadParts.Build(b, from, b.Stock.Find<HeadRow>("heads", Stock), HoldingTorque,
        "Plate slips in its clamp");
}
