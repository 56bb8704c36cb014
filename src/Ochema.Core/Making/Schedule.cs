namespace Ochema.Core.Making;

/// <summary>When each step is done by one person who works through the hours of the day and uses the time in which glue cures.</summary>
internal static class Schedule
{
    /// <summary>Start, hands off and ready of each step, s from the beginning; and the order in which they are begun.</summary>
    /// <param name="work">Hands on, s.</param>
    /// <param name="wait">By itself afterwards, s.</param>
    /// <param name="after">Steps before each, by index; all of them stand earlier in the list.</param>
    /// <param name="done">When hands went off those that are done, s before 0 as negative numbers; null for those to come.</param>
    /// <param name="hours">In which somebody works.</param>
    public static (double Start, double End, double Done)[] Of(
        IReadOnlyList<double> work, IReadOnlyList<double> wait, IReadOnlyList<IReadOnlyList<int>> after, IReadOnlyList<double?> done,
            WorkingHours hours)
    {
        var times = new (double Start, double End, double Done)[work.Count];
        for (var i = 0; i < times.Length; i++)
            if (done[i] is { } end)
                times[i] = (end - work[i], end, end + wait[i]);
        var left = Enumerable.Range(0, work.Count).Where(i => done[i] is null).ToList();
        var free = 0.0;
        while (left.Count > 0)
        {
            // What can begin first; of several the one that the plan names first.
            var (next, at) = (-1, double.PositiveInfinity);
            foreach (var i in left)
                if (after[i].All(a => !left.Contains(a))
                    && Math.Max(free, after[i].Select(a => times[a].Done).DefaultIfEmpty(0).Max()) is var start && start < at)
                    (next, at) = (i, start);
            var (begins, ends) = hours.Of(at, work[next]);
            times[next] = (begins, ends, ends + wait[next]);
            free = times[next].End;
            left.Remove(next);
        }
        return times;
    }
}
