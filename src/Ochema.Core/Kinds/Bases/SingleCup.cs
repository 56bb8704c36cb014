using System.Text.Json.Serialization;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
namespace Ochema.Core.Kinds.Bases;

/// <summary>One cup with a stem.</summary>
[Kind("single-cup", "One suction cup", "Light and quick; rocks on thin panels, and has nothing left when it leaks.",
    Sketch = "host 60; circle 60 56 16; rect 56 22 8 22; dim stemHeight 78 22 78 42")]
public sealed record SingleCup : BaseKind
{
    [Part("Cup")]
    public Cup Cup { get; init; } = new();

    [Measure("Stem height", Dimension.Length, 0.005, 0.2, HowTo = "top of the cup to the first joint", UsualTo = 0.12)]
    public double StemHeight { get; init; } = 0.03;

    internal override BaseKind Pumped(double since, double? halfLife) => this with { Cup = (Cup)Cup.Pumped(since, halfLife) };

    [JsonIgnore]
    public override Grip Grip => Cup.Grip;

    internal override string Called(int holds, string first) => first;

    internal override IEnumerable<(string Id, string Name, BaseKind Kind)> Sizes(Catalogue stock) =>
        stock.Cups.Select(c => (c.Id, "One " + Words.Inside(c.Name), (BaseKind)(this with { Cup = Cup.Of(c) })));

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (OnLargerHold(stock) is { } larger)
            yield return new("larger-hold", "The next larger hold", larger);
        yield return new("plate-of-cups", "Four such cups under a plate", new HoldPlate { Hold = Cup });
    }

    internal override BaseKind? OnLargerHold(Catalogue stock) => Cup.Larger(stock) is Cup larger ? this with { Cup = larger } : null;

    internal override (int Least, int Most, int Now)? HoldCounts => (1, 6, 1);

    internal override BaseKind WithHolds(int count) => count == 1 ? this : new HoldPlate { Hold = Cup, Count = count };

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) =>
        own && Cup.Stance(form) is { } stance ? [stance with { Kind = this }] : [];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) => new Cup().Steps(b, path);

    public override Mount Build(RigBuilder b) => SingleHold.Build(b, Cup, "cup", StemHeight);
}

/// <summary>One hold with a stem on top.</summary>
internal static class SingleHold
{
    private const double StemDiameter = 0.016;

    /// <summary>Tapped into the stem, m (judgement, 12–20 mm).</summary>
    private const double ThreadDepth = 0.016;

    public static Mount Build(RigBuilder b, HoldKind kind, string label, double stemHeight)
    {
        var hold = kind.Build(b, b.Spot("base-hold", StationId.Base, label, b.Rig.At[0], b.Rig.At[1]));
        var top = b.Node("base", hold.Top.Position + stemHeight * hold.Top.Axis);
        var steel = b.Stock.Material("steel-1018");
        var section = Section.Of(SectionShape.Round, StemDiameter, StemDiameter, 0);
        var stem = b.Beam(StationId.Base, "stem", "stem", hold.Top.Node, top, section, steel, Structure.Vec3.UnitX);
        b.Checks.Add(new Checks.SectionStrength(b, StationId.Base, new("stem"), "Stem bends", stem));
        b.Put(Piece.Bought(new(StationId.Base, "stem"), b.Fitting("stem-16"), mass: stem.Mass), [stem]);
        b.Shape("stem", StationId.Base, "tube", [b.Point(hold.Top.Node), b.Point(top)], [StemDiameter]);
        return new Mount(top, b.Position(top), hold.Top.Axis,
            new SocketPort("Thread in the stem", null, Math.Min(ThreadDepth, 0.8 * stemHeight), steel.Id,
                Width: StemDiameter)
            { Sold = true });
    }
}
