using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

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

    internal override string Called(int holds, string first) => first;

    internal override IEnumerable<(string Id, string Name, BaseKind Kind)> Sizes(Catalogue stock) =>
        stock.Magnets.Select(m => (m.Id, "One " + Words.Inside(m.Name), (BaseKind)(this with { Magnet = Magnet.Of(m) })));

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (OnLargerHold(stock) is { } larger)
            yield return new("larger-hold", "The next larger hold", larger);
        yield return new("plate-of-magnets", "Four such magnets under a plate", new HoldPlate { Hold = Magnet });
    }

    internal override BaseKind? OnLargerHold(Catalogue stock) => Magnet.Larger(stock) is Magnet larger ? this with { Magnet = larger }
        : null;

    internal override (int Least, int Most, int Now)? HoldCounts => (1, 6, 1);

    internal override BaseKind WithHolds(int count) => count == 1 ? this : new HoldPlate { Hold = Magnet, Count = count };

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) =>
        own && Magnet.Stance(form) is { } stance ? [stance with { Kind = this }] : [];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) => new Magnet().Steps(b, path);

    public override Mount Build(RigBuilder b) => SingleHold.Build(b, Magnet, "magnet", StemHeight);
}
