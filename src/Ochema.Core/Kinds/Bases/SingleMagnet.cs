using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Kinds.Bases;

/// <summary>One pot magnet with a stem.</summary>
[Kind("single-magnet", "One pot magnet", "Quick on steel; slides on thin paint-coated sheet.",
    Sketch = "host 60; rect 42 48 36 12; rect 56 22 8 26; dim stemHeight 78 22 78 48")]
public sealed record SingleMagnet : BaseKind
{
    [Part("Magnet")]
    public Magnet Magnet { get; init; } = new();

    [Measure("Stem height", Dimension.Length, 0.005, 0.2, HowTo = "top of the magnet to the first joint", UsualTo = 0.12)]
    public double StemHeight { get; init; } = 0.03;

    [JsonIgnore]
    public override Grip Grip => Magnet.Grip;

    public override Mount Build(RigBuilder b) => SingleHold.Build(b, Magnet, "magnet", StemHeight);
}
