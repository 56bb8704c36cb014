using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making.Steps;

/// <summary>What is done at the place that the rig goes to: steps that follow from pieces and joints, whatever kinds they are of (common
/// practice, no source).</summary>
internal static class PlaceSteps
{
    /// <summary>The host cut off from what drives it; null where nothing does.</summary>
    public static StationStep? Isolated(BuiltRig b) => b.Host.Isolates is not { } how ? null
        : new(StationId.Site, new(Work.LookOver, "Take it off the mains", how)
        {
            Tools = ["tape"],
            Minutes = 3,
            Beware = "Nobody works on it or turns it while the switch alone is off.",
            Piece = "mains",
        });

    /// <summary>Plates that lie behind the host's sheet; null without any.</summary>
    public static StationStep? Behind(BuiltRig b) => b.Rig.Site.PlateBehind is not > 0
        || !b.Parts.Any(p => p.Station == StationId.Site && p.Sheet is not null) ? null
        : new(StationId.Site, new(Work.Pad, "Plates behind the sheet",
            "Get at the back first: lining, wires, an airbag? Plates clean and flat, a strip of tape over each so that it cannot drop "
                + "once the magnet is off; no "
                + "edge may cut a wire. Then pull a magnet off the front with a scale, on each: the list's pull is a guess.")
        {
            Tools = ["tapemark", "scale", "cloth"],
            Minutes = 10,
            Piece = "plates",
            Wrong = "It cannot be reached, or the sheet is double: cups, straps or a clamp.",
        });

    /// <summary>What balances the rig on a host that turns; null where nothing does.</summary>
    public static StationStep? Balanced(BuiltRig b) => Counterweight.Of(b, b.MassOf(_ => true)) is not { } against ? null
        : new(StationId.Site, new(Work.Set, "Balance it: a counterweight opposite",
            $"{QuantityText.Of(against.Planned, Dimension.Mass)} on the other side of the axis, "
                + $"{QuantityText.Of(against.At, Dimension.Length)} from it: sand in "
                + "a sewn bag, tied twice round what turns; it is flung off as the camera is. Half a turn by hand, let go: it stays "
                    + "where it is left, "
                + "whichever way it lies.")
        {
            Tools = ["scale", "tape"],
            Minutes = 10,
            Piece = "counterweight",
            Wrong = "It swings back: more opposite, or farther out.",
        })
        {
            Readings =
            [
                MeasuringSteps.Of(nameof(RunConditions.Counterweight), b.Rig.Run.Counterweight),
                    MeasuringSteps.Of(nameof(RunConditions.CounterweightAt),
                    b.Rig.Run.CounterweightAt),
            ],
        };

    public static StationStep LookOver(BuiltRig b)
    {
        var asks = Questions.Of(b.Rig, b.Host).Select(q => q.Ask);
        var magnet = b.Rig.Base.Grip.Magnet ? " Try a magnet on every spot: much that looks like steel is not." : "";
        return new(StationId.Site, new(Work.LookOver, $"Look over {Words.The(b.Rig.Site.Name)}",
            b.Rig.Site.Form.LookOver + magnet + string.Concat(asks.Select(a => " " + a)))
        { Tools = ["cloth", "tape"], Minutes = 10 });
    }

    public static StationStep TryOn(BuiltRig b) => new(StationId.Site, new(Work.TryOn, $"Hold it in its place on {Words.The(b.Rig.Site.Name)}",
        "With the camera on, by hand. All that moves near it through its whole travel, and the view of whoever drives or steers: clear. "
            + "Look through the "
        + "lens. Mark feet and joints with tape and a line across, so that it comes back to the same place.")
    {
        Tools = ["tapemark", "marker"],
        Minutes = 10,
        Crew = 2,
        Wrong = "Something touches or shows: change the rig now, before glue and "
        + "paint."
    });
}
