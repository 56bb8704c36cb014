using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
namespace Ochema.Core.Kinds.Reaches;

/// <summary>A straight post on the base.</summary>
[Kind("riser", "Riser post", "Brings the camera up; every centimetre multiplies the tipping moment.",
    Sketch = "rect 40 60 40 6; rect 55 14 10 46; dim height 76 14 76 60")]
public sealed record Riser : ReachKind
{
    [Measure("Height", Dimension.Length, 0.02, 1.5, HowTo = "base plate to the underside of the head", Greatest = "Greatest height", UsualTo = 0.8)]
    public double Height { get; init; } = 0.2;

    [StockChoice("Post", "sections", Only = "round-tube,round,square-tube")]
    public string Section { get; init; } = "tube-al-40x2";

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Height > 0.03)
            yield return new("lower-riser", "A riser a third lower", this with { Height = Math.Max(0.02, Height * 2 / 3) });
        yield return NoReach.Instead;
    }

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Section);
        var top = Post.Build(b, from, Height, row, "riser", "Riser bends");
        var first = b.Pieces[^1].First;
        b.StandsOn(from, new(b.Own("reach-screw"), b.Path.Reach, "screw in the riser's foot", new TubePort("Riser", row),
            b.EndLoad(first), row.Width / 2));
        return top;
    }
}

/// <summary>A straight piece along the mount's axis.</summary>
internal static class Post
{
    public static Mount Build(RigBuilder b, Mount from, double height, SectionRow row, string id, string check)
    {
        var top = b.Node(b.Own(id), from.Position + height * from.Axis);
        var (section, material) = (b.Stock.Section(row.Id), b.Stock.MaterialOf(row.Id));
        var piece = b.Beam(b.Path.Reach, b.Own(id), id, from.Node, top, section, material, Vec3.UnitX);
        b.Checks.Add(new SectionStrength(b, b.Path.Reach, new(b.Own(id)), check, piece));
        b.Put(Piece.Cut(new(b.Path.Reach, "riser"), row, material, height, by: nameof(Riser.Height)), [piece]);
        b.Shape(b.Own(id), b.Path.Reach, "tube", [b.Point(from.Node), b.Point(top)], [row.Width]);
        return new Mount(top, b.Position(top), from.Axis, new TubePort(Words.Capital(id), row));
    }
}
