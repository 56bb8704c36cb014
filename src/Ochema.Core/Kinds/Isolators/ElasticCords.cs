using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Isolators;

/// <summary>Elastic cords between reach and head.</summary>
[Kind("elastic-cords", "Elastic cords", "Very soft and cheap; sways, ages in the sun, and is not tied with rope's knots.",
    Sketch = "rect 14 12 92 50; rect 46 28 28 16; line 20 18 46 28; line 100 18 74 28; line 20 56 46 44; line 100 56 74 44; dim spread "
        + "60 50 74 50")]
public sealed record ElasticCords : IsolatorKind
{
    [StockChoice("Mounts", "isolators", Only = "cord")]
    public string Stock { get; init; } = "cord-8";

    [Measure("How many", Dimension.Count, 2, 8, HowTo = "spread evenly round the plate")]
    public double Count { get; init; } = 4;

    [Measure("Spread", Dimension.Length, 0.015, 0.25, HowTo = "plate's middle to each mount")]
    public double Spread { get; init; } = 0.05;

    internal override IEnumerable<(string Id, string Title, IsolatorKind Kind)> Tried(RigDocument rig, Catalogue stock) =>
        SoftMount.Tried(stock, "cord", (row, count, spread) => this with { Stock = row, Count = count, Spread = spread });

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Fit, "Knot and hang the cords",
            "Every cord the same length between knots; elastic wants its own knot or a crimp, not those used for rope. Ends sealed. "
                + "All hang before any is drawn.")
        {
            Tools = ["scissors", "lighter", "tape"],
            Minutes = 15,
            Wrong = "One longer than the others: new cord; a half-hitch slips.",
        },
    ];

    public override Mount Build(RigBuilder b, Mount from) => SoftMount.Build(b, from, b.Stock.Find<IsolatorRow>("isolators", Stock), Count,
        Spread);
}
