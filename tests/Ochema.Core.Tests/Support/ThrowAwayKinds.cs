using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

[assembly: BringsKinds]

namespace Ochema.Core.Tests.Support;

/// <summary>A base that nobody needs: what a file of its own is enough for is tried with it.</summary>
[Kind("throw-away-base", "Brick with a bolt", "Stands by its weight.", Caution = "Mind the toes.",
    Sketch = "host 60; rect 30 30 60 30; dim brick 100 30 100 60")]
public sealed record ThrowAwayBase : BaseKind
{
    [Measure("Brick", Dimension.Mass, 0.5, 20, HowTo = "on a kitchen scale")]
    public double Brick { get; init; } = 6;

    [JsonIgnore]
    public override Grip Grip => new([SiteForm.Floor, SiteForm.Slot, new CushionForm()]);

    public override Mount Build(RigBuilder b)
    {
        var hold = Standing.Build(b, "brick", Core.Joints.Footprint.Rectangle(0.25, 0.12), 0.06, 0.065, 1e6, 4000, 0.5);
        b.Put(Piece.Own(new(StationId.Base, "piece"), "Brick", Brick), hold.Body);
        b.Shape("brick", StationId.Base, "plate", [b.Point(hold.Node)], [0.25, 0.12, 0.065], hold.Top.Axis, b.Surface.V);
        return hold.Top with { Offers = new StudPort("Bolt", "3-8-16", null) };
    }
}

/// <summary>A reach that nobody needs.</summary>
[Kind("throw-away-reach", "Broomstick", "Long and cheap.", Caution = "It whips.",
    Sketch = "rect 40 60 40 6; line 60 10 60 60; dim length 76 10 76 60")]
public sealed record ThrowAwayReach : ReachKind
{
    [Measure("Length", Dimension.Length, 0.05, 1.5, HowTo = "end to end")]
    public double Length { get; init; } = 0.2;

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
        [new("half-a-broomstick", "Half a broomstick", this with { Length = Length / 2 })];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", "dowel-20");
        var (wood, reach) = (b.Stock.MaterialOf(row.Id), b.Path.Reach);
        var top = b.Node(b.Own("broom"), from.Position + Length * from.Axis);
        var stick = b.Beam(reach, b.Own("broom"), "broomstick", from.Node, top, b.Stock.Section(row.Id), wood, Vec3.UnitX);
        b.Checks.Add(new SectionStrength(b, reach, new(b.Own("broom")), "Broomstick bends", stick));
        b.Put(Piece.Cut(new(reach, "piece"), row, wood, Length), [stick]);
        b.Shape(b.Own("broom"), reach, "tube", [b.Point(from.Node), b.Point(top)], [row.Width]);
        b.StandsOn(from, new(b.Own("broom-screw"), reach, "screw in the broomstick", new TubePort("Broomstick", row),
            b.EndLoad(stick.First), row.Width / 2));
        return new(top, b.Position(top), from.Axis, new TubePort("Broomstick", row));
    }
}

/// <summary>A place that nobody needs: a cushion, on which everything wobbles.</summary>
public sealed record CushionForm : SiteForm
{
    public override string Id => "throw-away-cushion";

    public override string Words => "a cushion";

    public override IReadOnlyList<string> Has => [nameof(Site.Coat)];

    public override SiteGive Give(Site site, Material material, double radius) => new(2e4, 2e4, 300);

    public override string Lifts(bool braced) => "take the cushion away.";
}

/// <summary>A head that nobody needs.</summary>
[Kind("throw-away-head", "Cork", "It is a cork.")]
public sealed record ThrowAwayHead : HeadKind
{
    internal override string Row => "ball-mini";

    public override Mount Build(RigBuilder b, Mount from) =>
        Core.Kinds.Heads.HeadParts.Build(b, from, b.Stock.Find<HeadRow>("heads", Row), null, "Cork turns");
}

/// <summary>A host that nobody needs: a table that is pushed along.</summary>
public sealed class ThrowAwayHost : Host
{
    public override string Id => "throw-away-table";
    public override string Name => "Tea trolley";
    public override string Kind => "trolley";
    public override MotionProfile Motion => CarHost.Driving;
    public override ShakeProfile Shake => CarHost.Rolling;
    public override Drive Drive => Drive.Travel(5);
    public override IReadOnlyList<string> Cautions => ["The tea is hot."];
    public override (double Front, double Rear, double Side) Outline => (0.5, 0.5, 0.4);

    public override PanelSurface Surface(Site site) => HostDrawing.Panel(new(0, 0, 0.8), Vec3.UnitX, Vec3.UnitZ, 1e3, 1e3, 0.4, 0.25);

    protected override IReadOnlyList<Site> MakeSites() =>
        [new() { Id = "top", Name = "Top", Form = SiteForm.Floor, Material = "steel-body", Thickness = 0.001, ClearRadius = 0.3,
            CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1 },
        new() { Id = "cushion", Name = "Cushion on it", Form = new CushionForm(), Material = "pine", Thickness = 0.05, ClearRadius = 0.3,
            CrownRadius = 30, Coat = 0, Slope = 0, WindFactor = 1 }];

    protected override IReadOnlyList<Anchor> MakeAnchors() => [HostDrawing.At("leg", "Leg of the trolley", new(0.3, 0.2, 0.7), 400)];

    protected override IReadOnlyList<HostSurface> Drawing() =>
        [HostDrawing.Face("top", "top", new(0.4, 0.25, 0.8), new(0.4, -0.25, 0.8), new(-0.4, -0.25, 0.8), new(-0.4, 0.25, 0.8))];
}

/// <summary>It ships with the tests alone.</summary>
public sealed class ThrowAwayFamily : HostFamily
{
    public override int Order => 99;

    public override IReadOnlyList<Host> Presets { get; } = [new ThrowAwayHost()];
}
