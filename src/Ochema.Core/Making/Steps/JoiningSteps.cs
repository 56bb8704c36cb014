using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making.Steps;

/// <summary>Joints put together: steps that follow from pieces and joints, whatever kinds they are of (common practice, no
/// source).</summary>
internal static class JoiningSteps
{
    /// <summary>Torque up to which fingers do, and a knob, N·m.</summary>
    private const double Fingers = 0.9;

    private const double Knob = 3;

    /// <summary>What both hands turn a tube or head on with, N·m (judgement, 3–8).</summary>
    private const double BothHands = 5;

    /// <summary>Screws that are on sale too long only, sawn off; null where none is.</summary>
    public static StationStep? Shortened(ScrewJoint joint)
    {
        if (joint.Included || joint.Screw is null)
            return null;
        var r = joint.Report();
        if (r.CutOff <= 0.0005 || r.Buy is not { } buy)
            return null;
        var count = Math.Max(joint.Count, joint.Screws);
        return new(joint.Station, new(Work.Cut, $"Saw {(count > 1 ? $"{count} screws" : "the screw")} shorter, {joint.Title}",
            $"{r.Thread}, bought {QuantityText.Of(buy, Dimension.Length)} long: {QuantityText.Of(r.Length, Dimension.Length)} stay. Run "
                + $"two nuts on first. Saw, "
                + "file the end to a chamfer, run the nuts off over it: they clean the thread.")
        {
            Joint = joint.Id,
            Tools = ["vice", "hacksaw", "file"],
            Minutes = 2 + 4 * count,
            Wrong = "Cut short: another one; the thread that is left has to grip as far as the section says.",
        })
        { Joints = [joint.Id] };
    }

    /// <summary>A joint made up.</summary>
    public static StationStep Fitted(ScrewJoint joint)
    {
        var r = joint.Report();
        var thread = r.Layers.First(l => l.Role is LayerRole.Tapped or LayerRole.Blind or LayerRole.Nut);
        var through = r.Layers.TakeWhile(l => l.Id != thread.Id).Select(l => Words.Inside(l.Name)).ToList();
        var screw = joint.Included || joint.Screw is null ? $"{r.Thread} of its own" : $"{Math.Max(joint.Count, joint.Screws)} × "
            + $"{joint.Screw} {r.Thread}, {QuantityText.Of(r.Length, Dimension.Length)}"
            + (r.CutOff > 0.0005 && r.Buy is not null ? ", sawn to that" : "");
        var way = through.Count > 0 ? $" through {string.Join(", ", through)}" : "";
        var torque = joint.TightenedWith;
        var feel = torque <= Fingers ? "hard by fingers" : torque <= Knob ? "as hard as a knob goes"
            : $"with a spanner, {QuantityText.Of(joint.Thread.AcrossFlats, Dimension.Drill)} across";
        // A set screw has nothing for a spanner: the part above is turned on it.
        var set = joint.Headless && joint.Screw is not null;
        var turn = set ? $"Half of it into the lower part by a hex key, then the part above turned on "
                + (torque <= BothHands ? $"by both hands, {QuantityText.Of(torque, Dimension.Torque)}. "
                    : $"with a strap wrench, the lower part in the vice's soft jaws, {QuantityText.Of(torque, Dimension.Torque)}: "
                        + $"hands give {QuantityText.Of(BothHands, Dimension.Torque)}. ")
            : $"By fingers for the first turns, then {QuantityText.Of(torque, Dimension.Torque)}, {feel}. ";
        return new(joint.Station, new(Work.Fit, Words.Capital(joint.Title),
            $"{screw}{way} into the {Words.Inside(thread.Name)}. {turn}"
            + $"{Words.Capital(r.LooseningSays)}." + string.Concat(r.Notes.Select(n => " " + n)))
        {
            Joint = joint.Id,
            Tools = set ? ["hex-keys", "marker"] : torque <= Knob ? ["marker"] : joint.Headless ? ["spanners", "marker"]
                : ["spanners", "torque-wrench", "marker"],
            Minutes = 3 + 2 * Math.Max(joint.Count, joint.Screws),
            Wrong = "It will not start by fingers: crooked or the wrong thread; never force it.",
        })
        { Joints = [joint.Id] };
    }

    /// <summary>What is joined without a screw.</summary>
    public static StationStep Snapped(JoinReport join) => new(join.Station, new(Work.Fit, join.Says,
        join.Sort == JoinSort.Held ? "Grip and hands dry. Pull on it and turn it: it must not slip through them."
            : "Pull on it by hand: it must not come, and the means against opening must be in.")
    { Minutes = 2 });

    public static readonly WorkStep DryFit = new(Work.DryFit, "Put it together loosely at the bench",
        "All parts, screws by fingers, nothing glued and nothing forced. Every hole meets, every thread has its turns, what swings "
            + "clears its own bolt heads.")
    {
        Minutes = 15,
        Wrong = "A hole that does not meet is filed, not forced: a joint under strain lets go first.",
    };
}
