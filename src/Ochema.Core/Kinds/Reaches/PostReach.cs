using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A post of pipe, timber or dowel on a flange.</summary>
[Kind("post", "Post on a flange", "Pipe, dowel or tube from the drawer; its foot's screws are what gives.",
    Sketch = "rect 30 58 60 5; rect 54 12 12 46; dim height 78 12 78 58; dim flange 30 67 90 67")]
public sealed record PostReach : ReachKind
{
    [Measure("Height", Dimension.Length, 0.03, 1.5, HowTo = "flange to the underside of the head", Greatest = "Greatest height", UsualTo = 0.8)]
    public double Height { get; init; } = 0.25;

    [StockChoice("Post", "sections", Only = "round-tube,round,square-tube")]
    public string Section { get; init; } = "pvc-1";

    [Measure("Flange", Dimension.Length, 0.03, 0.2, HowTo = "screw circle across")]
    public double Flange { get; init; } = 0.06;

    [StockChoice("Flange screws", "fasteners")]
    public string Screw { get; init; } = "m6";

    internal override IEnumerable<Move> Moves(Catalogue stock) => [NoReach.Instead];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Section);
        var top = Post.Build(b, from, Height, row, "post", "Post bends");
        var first = b.Pieces[^1].First;
        var flange = b.Fitting("foot-flange");
        b.Put(Piece.Bought(new(b.Path.Reach, "flange"), flange), from.Node);
        b.StandsOn(from, new(b.Own("reach-screw"), b.Path.Reach, "plate under the flange",
            new FlangePort("Flange", 0.004, Flange, 4, Screw, "flange-screw", "flange screws"), b.EndLoad(first), Flange / 2));
        return top;
    }
}
