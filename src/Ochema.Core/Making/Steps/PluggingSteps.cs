using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making.Steps;

/// <summary>Ends of tubes plugged and sleeved: steps that follow from pieces and joints, whatever kinds they are of (common practice, no
/// source).</summary>
internal static class PluggingSteps
{
    /// <summary>How the plug of a tube's end is kept in it.</summary>
    public static StationStep? Plugged(ScrewJoint joint)
    {
        if (joint.Plug is not { } plug)
            return null;
        var glue = Glues.Find(TubePlug.Glue);
        return new(joint.Station, plug.Kept switch
        {
            PlugKept.Pinned => new(Work.Pad, $"Pin the end plug, {joint.Title}",
                $"Rock it in the tube first: more than a hair of play is for glue, not for a pin. Plug in "
                    + $"{QuantityText.Of(plug.Depth, Dimension.Length)} deep, its thread straight. Drill "
                    + $"{QuantityText.Of(TubePlug.Pin, Dimension.Drill)} from both sides through the wall into the plug, no deeper than "
                    + $"{QuantityText.Of(plug.PinDepth(joint.Thread.MajorDiameter), Dimension.Length)}: not into its thread, where the "
                        + $"screw goes. A short pin in each, "
                    + "filed flush.")
            {
                Tools = ["vice", "drill", "bits", "mallet", "file"],
                Minutes = 12,
                Wrong = "The pin is loose: the next pin up, not glue on it.",
            },
            PlugKept.Keyed => new(Work.Glue, $"Key and glue the end plug, {joint.Title}",
                $"Saw a slot of {QuantityText.Of(TubePlug.Pin, Dimension.Drill)} into the tube's end, "
                    + $"{QuantityText.Of(TubePlug.KeyLength, Dimension.Length)} "
                    + "long; a short pin in the plug's side, not into its thread, that just goes into the slot. "
                    + $"Dry fit: it may not turn. Then {glue.Name}: {glue.Preparation}; no glue in the thread: a greased screw keeps it "
                        + $"clear. It cures "
                    + "standing on its end.")
            {
                Tools = ["vice", "hacksaw", "file", "drill", "bits", "mallet", "sandpaper", "spirit", "mixing"],
                Minutes = 22,
                Wait = glue.Cure,
                Wrong = "The slot is too wide: a thicker pin, filed flat on two sides. Set too early: warm the tube's end to 80 °C, draw "
                    + "the "
                    + "plug, clean, again.",
            },
            PlugKept.Glued => new(Work.Glue, $"Glue the end plug, {joint.Title}",
                $"Rock it in the tube dry and note its play: epoxy fills {QuantityText.Of(TubePlug.Bridged, Dimension.Length)} a side, "
                    + $"no more. "
                    + $"{glue.Name}: {glue.Preparation}. Roughen bore and plug; no glue in the thread: a greased screw keeps it clear. It "
                    + "cures standing on its end.")
            {
                Tools = ["sandpaper", "spirit", "mixing"],
                Minutes = 12,
                Wait = glue.Cure,
                Wrong = "Set too early: warm the tube's end to 80 °C, draw the plug, clean, again.",
            },
            _ => new(Work.Pad, $"Press the end plug in, {joint.Title}", "Square in the vice, a block over its thread. Pressed in alone "
                + "it holds nothing for long: pin it.")
            { Tools = ["vice", "mallet"], Minutes = 5 },
        })
        { Joints = [joint.Id] };
    }

    /// <summary>Sleeves cut for the tubes that a screw passes; null without any.</summary>
    public static StationStep? Sleeved(ScrewJoint joint)
    {
        if (!joint.Sleeved || joint.Layers.Where(l => l.Hollow is not null).ToList() is not { Count: > 0 } tubes)
            return null;
        return new(joint.Station, new(Work.Pad, $"Cut the {(tubes.Count == 1 ? "sleeve" : "sleeves")}, {joint.Title}",
            string.Join(" ", tubes.Select(t => $"{t.Name}: {QuantityText.Of(t.Hollow!.Inside, Dimension.Length)} long, from wall to wall."))
            + " Ends square, a hair over rather than under. Slid in from the tube's end on a rod, the screw put through both walls and "
                + "the sleeve; "
            + "a drop of glue or a ball of paper holds it meanwhile.")
        {
            Tools = ["calipers", "hacksaw", "vice", "file"],
            Minutes = 6 * tubes.Count,
            Wrong = "Too short: a thin washer at one end. It must not rattle once the nut is tight.",
        })
        { Joints = [joint.Id] };
    }
}
