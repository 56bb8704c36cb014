using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs.Isolators;

/// <summary>Wire-rope loops between reach and head.</summary>
[Kind("wire-rope-loops", "Wire-rope loops", "Damps by itself and takes knocks; big, and stiffer at small shakes.")]
public sealed record WireRopeLoops : IsolatorKind
{
    [StockChoice("Mounts", "isolators", Only = "wire-rope")]
    public string Stock { get; init; } = "wire-rope-small";

    [Measure("How many", Dimension.Count, 2, 8, HowTo = "spread evenly round the plate")]
    public double Count { get; init; } = 4;

    [Measure("Spread", Dimension.Length, 0.015, 0.25, HowTo = "plate's middle to each mount")]
    public double Spread { get; init; } = 0.05;

    public override Mount Build(RigBuilder b, Mount from) => SoftMount.Build(b, from, b.Stock.Find<IsolatorRow>("isolators", Stock), Count, Spread);
}
