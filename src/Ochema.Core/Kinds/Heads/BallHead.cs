using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Heads;

/// <summary>Ball head.</summary>
[Kind("ball-head", "Ball head", "Quick to aim; the ball creeps under a heavy, off-centre camera.")]
public sealed record BallHead : HeadKind
{
    [StockChoice("Ball head", "heads", Only = "ball")]
    public string Stock { get; init; } = "ball-40";

    [Measure("Holding torque measured", Dimension.Torque, 0.2, 200,
        HowTo = "scale reading × lever when it slips; leave empty for the usual", Measured = true, Of = "stock")]
    public double? HoldingTorque { get; init; }

    internal override string Row => Stock;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Set, "Aim and lock the ball",
            "Clean the ball dry, aim, lock hard; a mark line over ball and body. Push on the lens by two fingers: it must not move.")
        {
            Tools = ["cloth", "marker"],
            Minutes = 3,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from) => HeadParts.Build(b, from, b.Stock.Find<HeadRow>("heads", Stock), HoldingTorque,
        "Ball turns");
}
