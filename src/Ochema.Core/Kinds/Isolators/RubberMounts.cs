using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Isolators;

/// <summary>Rubber mounts between reach and head.</summary>
[Kind("rubber-mounts", "Rubber mounts", "Takes out engine tingle; tips under tall loads, and too soft or too hard makes it worse.",
    Sketch = "rect 24 16 72 5; rect 30 21 12 22; rect 78 21 12 22; rect 24 43 72 5; dim spread 60 56 84 56; dim count 30 62 42 62")]
public sealed record RubberMounts : IsolatorKind
{
    [StockChoice("Mounts", "isolators", Only = "rubber")]
    public string Stock { get; init; } = "rubber-m6-soft";

    [Measure("How many", Dimension.Count, 2, 8, HowTo = "spread evenly round the plate")]
    public double Count { get; init; } = 4;

    [Measure("Spread", Dimension.Length, 0.015, 0.25, HowTo = "plate's middle to each mount")]
    public double Spread { get; init; } = 0.05;

    internal override IEnumerable<(string Id, string Title, IsolatorKind Kind)> Tried(RigDocument rig, Catalogue stock) =>
        SoftMount.Tried(stock, "rubber", (row, count, spread) => this with { Stock = row, Count = count, Spread = spread });

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Set, "Look at the rubbers",
            "All squeezed alike, none turned by its screw: hold the hexagon while tightening.")
        {
            Tools = ["spanners"],
            Minutes = 3,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from) => SoftMount.Build(b, from, b.Stock.Find<IsolatorRow>("isolators", Stock), Count,
        Spread);
}
