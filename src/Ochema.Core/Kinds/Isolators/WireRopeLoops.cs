using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Isolators;

/// <summary>Wire-rope loops between reach and head.</summary>
[Kind("wire-rope-loops", "Wire-rope loops", "Damps by itself and takes knocks; big, and stiffer at small shakes.",
    Sketch = "rect 24 14 72 5; circle 38 32 13; circle 82 32 13; rect 24 45 72 5; dim spread 60 58 82 58")]
public sealed record WireRopeLoops : IsolatorKind
{
    [StockChoice("Mounts", "isolators", Only = "wire-rope")]
    public string Stock { get; init; } = "wire-rope-small";

    [Measure("How many", Dimension.Count, 2, 8, HowTo = "spread evenly round the plate")]
    public double Count { get; init; } = 4;

    [Measure("Spread", Dimension.Length, 0.015, 0.25, HowTo = "plate's middle to each mount")]
    public double Spread { get; init; } = 0.05;

    internal override IEnumerable<(string Id, string Title, IsolatorKind Kind)> Tried(RigDocument rig, Catalogue stock) =>
        SoftMount.Tried(stock, "wire-rope", (row, count, spread) => this with { Stock = row, Count = count, Spread = spread });

    internal override Stance? Stance => new(SchoolQuestion.Soft, 1, "Wire-rope loops", "A heavier camera, rough roads.", this);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Set, "Look at the loops",
            "All loops the same height under load, none on its stop. Push down by a hand's weight: it comes back.")
        {
            Minutes = 3,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from) => SoftMount.Build(b, from, b.Stock.Find<IsolatorRow>("isolators", Stock), Count,
        Spread);
}
