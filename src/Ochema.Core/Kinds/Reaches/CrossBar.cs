using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A short bar across, with the head's cradle off its middle.</summary>
[Kind("cross-bar", "Cross-bar", "Sets cameras side by side, low over the base.",
    Sketch = "rect 40 56 24 10; rect 24 40 80 6; rect 78 24 16 16; dim offset 52 34 86 34; dim height 112 40 112 60")]
public sealed record CrossBar : ReachKind
{
    [Measure("Off the middle", Dimension.Length, -0.6, 0.6, HowTo = "to the left is positive")]
    public double Offset { get; init; } = 0.06;

    [Measure("Height", Dimension.Length, 0.005, 0.3, HowTo = "base to the bar's top", Greatest = "Greatest height")]
    public double Height { get; init; } = 0.02;

    [StockChoice("Bar", "sections", Only = "flat,round,round-tube,square-tube")]
    public string Section { get; init; } = "square-al-20x2";

    /// <summary>What lies beyond its two bolts, both ends together, m.</summary>
    private const double Lap = 0.06;

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Section);
        var (section, metal) = (b.Stock.Section(Section), b.Stock.MaterialOf(Section));
        var reach = b.Path.Reach;
        var foot = ClearOf(b, from);
        var left = Vec3.UnitY.PerpendicularTo(from.Axis).Normalized();
        var end = b.Node(b.Own("cross"), b.Position(foot) + Offset * left);
        (BeamIndex First, BeamPiece Piece)? bar = null;
        if (Math.Abs(Offset) > 0.004)
        {
            var piece = b.Beam(reach, b.Own("cross"), "cross-bar", foot, end, section, metal, from.Axis);
            bar = (piece.First, piece);
            b.Shape(b.Own("cross"), reach, "tube", [b.Point(foot), b.Point(end)], [row.Width]);
        }
        else
            b.Rigid(foot, end);
        var through = new ThroughPort("Cross-bar",
            [HollowWall.Through("Cross-bar", row)], row.Width);
        b.StandsOn(from, new(b.Own("cross-bar-bolt"), reach, "bolt of the cross-bar", through,
            bar is { } loaded ? b.EndLoad(loaded.First) : null, row.Width / 2));
        if (bar is { } bent)
        {
            // Bent most where its bolt goes through.
            var hole = b.Joints.Find(j => j.Id == b.Own("cross-bar-bolt"))?.Thread.ClearanceMedium ?? 0;
            b.Checks.Add(new SectionStrength(b, reach, new(b.Own("cross")), "Cross-bar bends at its bolt", bent.Piece,
                Stock.Section.Drilled(row.Shape, row.Width, row.Height, row.Wall, hole)));
        }
        b.Put(Piece.Cut(new(reach, "cross-bar"), row, metal, Math.Abs(Offset) + Lap, by: Offset > 0 ? nameof(Offset) : null)
            .Also(c => c with
            {
                Holes = [new(Lap / 2, "Cross-bar", b.Own("cross-bar-bolt")), .. Math.Abs(Offset) > 0.004
                ? [new(c.Length - Lap / 2, "Cross-bar")] : (BarHole[])[]],
            }), bar is { } beam ? [beam.Piece] : [], foot);
        return new Mount(end, b.Position(end), from.Axis, through);
    }

    private NodeIndex ClearOf(RigBuilder b, Mount from)
    {
        var foot = b.Node(b.Own("cross-foot"), from.Position + Height * from.Axis);
        b.Rigid(from.Node, foot);
        return foot;
    }
}
