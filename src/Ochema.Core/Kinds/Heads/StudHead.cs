using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Heads;

/// <summary>Stud.</summary>
[Kind("stud-head", "Stud", "Light and stiff; no way to level but the arm.")]
public sealed record StudHead : HeadKind
{
    [StockChoice("Stud", "heads", Only = "stud")]
    public string Stock { get; init; } = "stud-quarter";

    [Measure("Holding torque measured", Dimension.Torque, 0.2, 200,
        HowTo = "scale reading × lever when it slips; leave empty for the usual", Measured = true, Of = "stock")]
    public double? HoldingTorque { get; init; }

    internal override string Row => Stock;

    public override Mount Build(RigBuilder b, Mount from) => HeadParts.Build(b, from, b.Stock.Find<HeadRow>("heads", Stock), HoldingTorque,
        "Stud turns loose");
}
