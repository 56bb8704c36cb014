using Ochema.Core.Responses;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making.Steps;

/// <summary>Straps and tethers tied: steps that follow from pieces and joints, whatever kinds they are of (common practice, no
/// source).</summary>
internal static class TyingSteps
{
    public static StationStep Strapped(BuiltRig b, Strap strap, StationId station)
    {
        var end = b.Host.Anchors.FirstOrDefault(a => a.Id == strap.To.Anchor)?.Name ?? strap.To.Anchor;
        var by = strap.Fitting == StrapFitting.SoftLoop ? "by a soft loop" : "hook into a closed eye, keeper shut, never hook on hook";
        var edge = strap.Edge switch
        {
            StrapEdge.None => "",
            StrapEdge.Padded => " Pad where it bends over an edge.",
            _ => " It runs "
            + "over a sharp edge: pad it."
        };
        return new(station, new(Work.Strap, $"{Words.Named("Strap", strap.Id)}, {Words.To(end)}",
            $"To a part that cannot move, {by}. "
            + $"Draw to {QuantityText.Of(strap.Pretension, Dimension.Force)}, all in turn, then once more.{edge} Wind the tail up and "
                + "tie it.")
        {
            Tools = ["scale"],
            Minutes = 4,
            Beware = "A ratchet draws more than a rope holds: stop at the figure.",
            Wrong = "It "
            + "slackens: something slides or stretches; find it before you draw again."
        });
    }

    public static StationStep Tethered(TetherBuilt tether) => new(StationId.Tether, new(Work.Tether, $"{Words.Capital(tether.Name)}: on first, "
        + "off last",
        $"Made fast {Words.To(tether.Anchor.Name)} now, before anything that it keeps goes on; its other end goes to the {Of(tether)} "
            + $"itself, not to its "
            + "clip, as soon as that is there. "
            + $"{QuantityText.Of(tether.Length, Dimension.Length)} between its ends, "
            + (tether.Knot.Takes > 0 ? $"cut {QuantityText.Of(tether.Cut, Dimension.Length)}: each {Words.Inside(tether.Knot.Name)} takes "
                + $"{QuantityText.Of(tether.Knot.Allowance(tether.Row.Thickness), Dimension.Length)}, " : "")
        + (tether.Knot.Takes <= 0 && !tether.Row.HasEnds
            ? $"its ends sewn by a rigger or sailmaker, as strong as the line: no stitch by hand is that; or tie a knot and say which, "
                + "with a tail of a hand and a half, 180 mm, left at each, " : "")
        + "so short that nothing reaches wheel, road or blade. Pull on both ends.")
    { Tools = ["scissors", "lighter"], Minutes = 4 })
    { Tether = tether };

    private static string Of(TetherBuilt tether) => tether.Choice.From switch
    {
        TetherPoint.Head => "head",
        TetherPoint.Reach or TetherPoint.ReachFoot => "reach",
        TetherPoint.SecondCamera => "second camera",
        _ => "camera",
    };
}
