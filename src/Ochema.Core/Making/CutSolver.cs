using System.Globalization;

namespace Ochema.Core.Making;

/// <summary>
/// Cuts pieces from bars at the least cost. One piece and one kerf are one item, a bar has room for its length less squaring and one kerf
/// more (the last piece may be parted off or be the bar's own end), so it is the cutting-stock problem with several stock lengths, some of
/// them few (Gilmore and Gomory 1961, 1963). The bound is the value of its relaxation by duals that hold for every filling
/// (<see cref="CutBound"/>); <see cref="CutSearch"/> closes what is between it and the best plan.
/// </summary>
public static class CutSolver
{
    /// <summary>Picometres: whole numbers, so that what fits does not hang on rounding.</summary>
    private const double Grain = 1e12;

    /// <summary>Half a nanometre: what a plan may be over.</summary>
    private const long Slack = 500;

    /// <summary>The plan.</summary>
    public static CutPlan Solve(CutTask task)
    {
        var sizes = task.Pieces.Where(p => p.Count > 0).GroupBy(p => Item(task, p.Length)).OrderByDescending(g => g.Key)
            .Select(g => new Size(g.Key, [.. g.SelectMany(p => Enumerable.Repeat(p, p.Count))])).ToList();
        if (sizes.Count == 0)
            return new([], 0, 0, true);
        var bars = task.Stock.Select((s, i) => new Bar(s, i, Room(task, s), s.Count ?? int.MaxValue)).Where(b => b.Count > 0)
            .OrderBy(b => b.Stock.Price > 0 ? 1 : 0).ThenBy(b => b.Stock.Price).ThenByDescending(b => b.Room).ThenBy(b => b.Place).ToList();
        if (TooLong(task, sizes[0], bars) is { } long1)
            return new(Finding: long1);
        // A leftover on which nothing fits, and one more of a bar than there are pieces, changes nothing.
        bars = [.. bars.Where(b => b.Room >= sizes[^1].Item).Select(b => b with { Count = Math.Min(b.Count, sizes.Sum(s => s.Count)) })];
        var search = new CutSearch(sizes, bars);
        var found = search.Run();
        if (found is null && Short(task, sizes, bars, out found) is { } finding)
            return new(Finding: finding);
        var plan = Leftovers(found!, sizes, bars);
        var cost = plan.Sum(f => bars[f.Bar].Stock.Price);
        var bound = search.Proved ? cost : Math.Min(cost, search.Bound);
        return new(Written(task, plan, sizes, bars), cost, bound, bound == cost);
    }

    private static long Item(CutTask task, double length) => (long)Math.Round((length + task.Kerf) * Grain);

    private static long Room(CutTask task, CutStock s) => (long)Math.Round((s.Length - task.Squaring + task.Kerf) * Grain) + Slack;

    private static string Mm(double m) => (m * 1000).ToString("0.###", CultureInfo.InvariantCulture) + " mm";

    private static string? TooLong(CutTask task, Size longest, List<Bar> bars)
    {
        var piece = longest.Pieces[0];
        if (bars.Count == 0)
            return $"There is no bar to cut '{piece.Id}' from.";
        var best = bars.MaxBy(b => b.Room)!;
        return best.Room >= longest.Item ? null
            : $"'{piece.Id}' is {Mm((longest.Item - best.Room + Slack) / Grain)} too long for the longest bar, '{best.Stock.Id}'"
                + (task.Squaring > 0 ? $", once its end is squared." : ".");
    }

    /// <summary>How many more bars it would take, of the longest that is not to be had without end.</summary>
    /// <returns>Null where it takes none: then it can be cut after all, as <paramref name="found"/> says.</returns>
    private static string? Short(CutTask task, List<Size> sizes, List<Bar> bars, out List<Cut>? found)
    {
        var longest = bars.Where(b => b.Room >= sizes[0].Item).MaxBy(b => b.Room)!;
        var pieces = sizes.Sum(s => s.Count);
        // The others cost nothing here: what is counted is how many more of that one.
        List<Bar> more = [.. bars.Select(b => b with { Stock = b.Stock with { Price = 0 } }),
            longest with { Stock = longest.Stock with { Price = 1 }, Count = pieces, Place = task.Stock.Count }];
        var search = new CutSearch(sizes, more);
        found = search.Run()!;
        var missing = found.Count(f => f.Bar == more.Count - 1);
        return missing == 0 ? null : $"{missing} {(missing == 1 ? "bar" : "bars")} of '{longest.Stock.Id}' "
            + $"short{(search.Proved ? "" : " at the most")}: "
            + $"what there is does not take all {pieces} pieces, with their kerfs{(task.Squaring > 0 ? " and squared ends" : "")}.";
    }

    /// <summary>Pieces go on from bars that cost to leftovers where they fit: it costs no more, and the leftover goes first.</summary>
    private static List<Cut> Leftovers(IReadOnlyList<Cut> found, List<Size> sizes, List<Bar> bars)
    {
        var plan = found.Select(f => f with { Counts = [.. f.Counts] }).ToList();
        for (var b = 0; b < bars.Count && bars[b].Stock.Price == 0; b++)
            while (plan.Count(f => f.Bar == b) < bars[b].Count && plan.Any(f => bars[f.Bar].Stock.Price > 0))
                plan.Add(new(b, new int[sizes.Count]));
        foreach (var into in plan.Where(f => bars[f.Bar].Stock.Price == 0))
            foreach (var from in plan.Where(f => bars[f.Bar].Stock.Price > 0))
                for (var s = 0; s < sizes.Count; s++)
                    while (from.Counts[s] > 0 && Used(into, sizes) + sizes[s].Item <= bars[into.Bar].Room)
                        (from.Counts[s], into.Counts[s]) = (from.Counts[s] - 1, into.Counts[s] + 1);
        return [.. plan.Where(f => f.Counts.Any(c => c > 0)).OrderBy(f => bars[f.Bar].Stock.Price > 0 ? 1 : 0)
            .ThenBy(f => bars[f.Bar].Place)];
    }

    private static long Used(Cut cut, List<Size> sizes)
    {
        long used = 0;
        for (var s = 0; s < sizes.Count; s++)
            used += cut.Counts[s] * sizes[s].Item;
        return used;
    }

    private static List<CutBar> Written(CutTask task, List<Cut> plan, List<Size> sizes, List<Bar> bars)
    {
        var next = new int[sizes.Count];
        return [.. plan.Select(f =>
        {
            var pieces = f.Counts.SelectMany((n, s) => Enumerable.Range(0, n).Select(_ => sizes[s].Pieces[next[s]++])).ToList();
            var left = bars[f.Bar].Stock.Length - task.Squaring - pieces.Sum(p => p.Length) - (pieces.Count - 1) * task.Kerf;
            return new CutBar(bars[f.Bar].Stock.Id, [.. pieces.Select(p => p.Id)], Math.Max(0, left - task.Kerf));
        })];
    }

    /// <summary>Pieces of one length.</summary>
    /// <param name="Item">Length and kerf, pm.</param>
    /// <param name="Pieces">One entry for each.</param>
    internal sealed record Size(long Item, IReadOnlyList<CutPieceWanted> Pieces)
    {
        public int Count => Pieces.Count;
    }

    /// <summary>A stock row.</summary>
    /// <param name="Place">Among the rows of the task.</param>
    /// <param name="Room">For items, pm.</param>
    internal sealed record Bar(CutStock Stock, int Place, long Room, int Count);

    /// <summary>One bar and how many of each size it gives.</summary>
    internal sealed record Cut(int Bar, int[] Counts);
}
