using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making.Steps;

/// <summary>Holes drilled, tapped and recessed: steps that follow from pieces and joints, whatever kinds they are of (common practice, no
/// source).</summary>
internal static class DrillingSteps
{
    /// <summary>Drills above this are piloted, m.</summary>
    private const double Pilot = 0.006;

    /// <summary>Holes of a joint, then its threads.</summary>
    public static IEnumerable<StationStep> Drilled(ScrewJoint joint, IReadOnlyList<HoleRow> holes)
    {
        if (holes.Count == 0)
            yield break;
        var count = holes.Sum(h => h.Count);
        var pair = holes.Count > 1 && joint.Plug is null
            ? " What lies on each other is drilled as a pair, clamped, or marked through the part that is "
            + "drilled already." : "";
        var pilot = holes.Any(h => h.Diameter > Pilot) ? " Pilot at 3 mm first." : "";
        // A plug has no edge to measure from.
        var middle = joint.Plug is not { } plug ? "" : plug.Square ? " The plug's middle: both diagonals cross in it."
            : " The plug's middle: two chords by the rule, a square on the middle of each; the lines cross in it. Or print its end.";
        yield return new(joint.Station, new(Work.Drill, $"Drill {(count == 1 ? "the hole" : $"{count} holes")}, {joint.Title}",
            Sizes(holes) + $"{middle} Mark, centre-punch.{pilot}{pair} Deburr both sides.")
        {
            Joint = joint.Id,
            Tools = ["marker", "punch", "clamps", "drill", "bits", .. holes.Any(h => h.Countersink > 0) ? ["countersink"]
                : Array.Empty<string>()],
            Minutes = 4 + 3 * count,
            Wrong = "Up to 1 mm off: next clearance size up and a wide washer. More: fill it or turn the part, and drill anew.",
        })
        { Joints = [joint.Id] };
        if (holes.Where(h => h.Sort == HoleSort.Tapped).ToList() is { Count: > 0 } tapped)
            yield return new(joint.Station, new(Work.Tap, $"Tap {tapped[0].Thread}, {joint.Title}",
                $"{string.Join(" and ", tapped.Select(h => h.Layer))}: oil, straight, half a turn back for each turn; blow the chips "
                    + "out. Try the screw by fingers.")
            {
                Joint = joint.Id,
                Tools = ["vice", "tap"],
                Minutes = 5 * tapped.Sum(h => h.Count),
                Wrong = "It went in crooked: an insert, or the next thread up. A broken tap stays in: another place.",
            })
            { Joints = [joint.Id] };
    }

    /// <summary>What is drilled of each layer, in words; nothing where nothing is.</summary>
    internal static string Sizes(IReadOnlyList<HoleRow> holes) => string.Concat(holes.Select((h, i) => (i > 0 ? " " : "") + $"{h.Layer}: "
        + $"{(h.Count > 1 ? $"{h.Count} × " : "")}{QuantityText.Of(h.Diameter, Dimension.Drill)}, {h.For}"
        + (h.Countersink > 0 ? $", countersunk {QuantityText.Of(h.Countersink, Dimension.Length)} deep" : "") + Recessed(h) + "."));

    /// <summary>The recess of a hole, in words; nothing without one.</summary>
    internal static string Recessed(HoleRow h) => h.Recess <= 0 ? ""
        : $", recess {QuantityText.Of(h.RecessAcross, Dimension.Drill)} across, {QuantityText.Of(h.Recess, Dimension.Length)} deep";

    /// <summary>Holes that are of no screwed joint: for the legs of U-bolts.</summary>
    public static StationStep DrilledApart(HoleRow row) => new(row.Station,
        new(Work.Drill, $"Drill {row.Count} holes, {Words.Inside(row.Title)}",
        $"{row.Layer}: {row.Count} × {QuantityText.Of(row.Diameter, Dimension.Drill)}, clear for {row.Thread}. Lay the U-bolts on and "
            + $"mark through them. "
        + "Centre-punch, pilot at 3 mm. Deburr both sides.")
        {
            Tools = ["marker", "punch", "clamps", "drill", "bits"],
            Minutes = 4 + 3 * row.Count,
            Wrong = "A leg does not meet: open that hole by a file, not the leg.",
        });
}
