using Ochema.Core.Making.Steps;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making;

/// <summary>
/// What each step works to: sizes of its piece, its bends and holes, what is read off at it. What was done keeps them, so that a piece that
/// was cut is never taken for one that is drawn otherwise by now.
/// </summary>
internal static class MadeMeasures
{
    /// <summary>The measures of a step, each once, as drawn now.</summary>
    /// <param name="built">What may be entered at it.</param>
    /// <param name="made">What the document says of its having been done.</param>
    public static IReadOnlyList<MadeMeasure> Of(BuiltRig b, StationStep step, IReadOnlyList<HoleRow> holes, IReadOnlyList<Reading> built,
        Made? made)
    {
        var all = new List<(string Id, string Label, Dimension Dimension, double Drawn)>();
        foreach (var r in built)
            if ((r.Value ?? r.Planned) is { } drawn)
                all.Add((r.Path, r.Label, r.Dimension, drawn));
        if (step.Part >= 0)
            all.AddRange(OfPiece(b.Parts[step.Part], step.Step.Work));
        if (step.Step.Work is Work.Drill or Work.Tap)
            foreach (var hole in holes.Where(h => step.Joints.Contains(h.Joint)))
            {
                all.Add(($"{hole.Joint}.{hole.LayerId}.drill", $"{hole.Layer}, drill", Dimension.Drill, hole.Diameter));
                all.Add(($"{hole.Joint}.{hole.LayerId}.holes", $"{hole.Layer}, holes", Dimension.Count, hole.Count));
                if (hole.Recess > 0)
                    all.Add(($"{hole.Joint}.{hole.LayerId}.recess", $"{hole.Layer}, recess", Dimension.Length, hole.Recess));
            }
        return [.. all.DistinctBy(m => m.Id).Take(Made.MostMeasures)
            .Select(m => new MadeMeasure(m.Id, m.Label, m.Dimension, m.Drawn, made?.As is { } kept && kept.TryGetValue(m.Id, out var was)
                ? was : null))];
    }

    private static IEnumerable<(string, string, Dimension, double)> OfPiece(RigPart part, Work work)
    {
        if (work is Work.Cut or Work.Trim)
        {
            yield return ($"{part.Id}.pieces", "Pieces", Dimension.Count, part.Quantity);
            if (part.Cut is { } cut)
            {
                yield return ($"{part.Id}.length", "Length", Dimension.Length, cut.Length + (work == Work.Cut ? cut.Long : 0));
                for (var i = 0; i < cut.Mitres.Length; i++)
                    yield return ($"{part.Id}.mitre-{i + 1}", $"Mitre {i + 1}", Dimension.Angle, cut.Mitres[i]);
            }
            if (part.Sheet is { } sheet)
            {
                yield return ($"{part.Id}.length", "Length", Dimension.Length, sheet.Length);
                yield return ($"{part.Id}.width", "Width", Dimension.Length, sheet.Width);
                yield return ($"{part.Id}.thickness", "Thickness", Dimension.Length, sheet.Thickness);
            }
        }
        if (work == Work.Bend)
            foreach (var (bend, n) in (part.Sheet?.Bends ?? part.Cut?.Bends ?? []).Select((x, n) => (x, n + 1)))
            {
                yield return ($"{part.Id}.bend-{n}.at", $"Bend {n} at", Dimension.Length, bend.At);
                yield return ($"{part.Id}.bend-{n}.angle", $"Bend {n}", Dimension.Angle, bend.Angle);
                yield return ($"{part.Id}.bend-{n}.radius", $"Bend {n}, radius", Dimension.Length, bend.Radius);
            }
    }
}
