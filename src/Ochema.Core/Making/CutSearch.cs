using Ochema.Core.Structure;
using Bar = Ochema.Core.Making.CutSolver.Bar;
using Cut = Ochema.Core.Making.CutSolver.Cut;
using Size = Ochema.Core.Making.CutSolver.Size;

namespace Ochema.Core.Making;

/// <summary>
/// Looks for the cheapest plan, bar by bar: the next bar always takes the longest piece left and as much more as it has room for, which
/// loses nothing, for what another bar holds may be moved into room that is there. First a beam of the most promising, for a plan to beat;
/// then best first (A*), whose least open cost is a bound whenever it stops.
/// </summary>
internal sealed class CutSearch(List<Size> sizes, List<Bar> bars)
{
    /// <summary>States kept side by side, and fillings of each.</summary>
    private const int Beam = 40;
    private const int BeamFillings = 40;

    /// <summary>With more pieces than this the beam is a quarter as wide: it is as many bars long.</summary>
    private const int ManyPieces = 80;

    /// <summary>Fillings looked at in all before it stays at what it has (a second or two), and of one state.</summary>
    private const int MostTried = 150_000;
    private const int MostFillings = 4000;

    /// <summary>Branches on the way to the fillings of one state, and how many count as one filling.</summary>
    private const int MostSteps = 100_000;
    private const int StepsPerFilling = 10;

    private readonly CutBound bound = new(sizes, bars);
    private readonly int plenty = sizes.Sum(s => s.Count);
    private readonly int share = sizes.Sum(s => s.Count) > ManyPieces ? 4 : 1;
    private State? best;
    private int tried;

    /// <summary>True when nothing cheaper can be.</summary>
    public bool Proved { get; private set; }

    /// <summary>Least that any plan costs.</summary>
    public double Bound { get; private set; }

    /// <param name="Left">Of each size.</param>
    /// <param name="Bins">Of each bar.</param>
    /// <param name="Least">Cost with the least for what is left.</param>
    private sealed record State(int[] Left, int[] Bins, double Cost, double Least, long Items, State? Before, Cut? Cut)
    {
        public bool Done => Items == 0;
    }

    private double BestCost => best?.Cost ?? double.PositiveInfinity;

    /// <summary>The cheapest plan found; null when none was.</summary>
    public List<Cut>? Run()
    {
        Bound = bound.Root;
        var root = new State([.. sizes.Select(s => s.Count)], [.. bars.Select(b => b.Count)], 0, Bound, sizes.Sum(s => s.Item * s.Count),
            null, null);
        AlongTheBeam(root);
        if (!Met)
            BestFirst(root);
        Proved |= Met;
        if (best is null)
            return null;
        var plan = new List<Cut>();
        for (var s = best; s.Cut is not null; s = s.Before!)
            plan.Add(s.Cut);
        return plan;
    }

    /// <summary>The best plan costs the bound, but for rounding.</summary>
    private bool Met => best is not null && BestCost <= Bound + Dust(Bound);

    private static double Dust(double cost) => double.IsFinite(cost) ? 1e-9 * Math.Max(1, cost) : 0;

    /// <summary>True where nothing cheaper than the best can come of it.</summary>
    private bool Hopeless(double least) => least >= BestCost - Dust(BestCost);

    private void AlongTheBeam(State root)
    {
        List<State> beam = [root];
        while (beam.Count > 0 && !Met)
        {
            var next = new Dictionary<string, State>();
            foreach (var state in beam)
                foreach (var child in Promising(state))
                    if (child.Done)
                        best = child.Cost < BestCost ? child : best;
                    else if (!Hopeless(child.Least) && Key(child) is var key && (!next.TryGetValue(key, out var other) || child.Cost
                        < other.Cost))
                        next[key] = child;
            // Of two that may come out the same, the one that has cut more.
            beam = [.. next.Values.OrderBy(s => s.Least).ThenBy(s => s.Items).Take(Beam / share)];
        }
    }

    /// <summary>The fillings that lose least, found by allowing more and more loss.</summary>
    private IEnumerable<State> Promising(State state)
    {
        var most = bars.Max(b => b.Stock.Price);
        List<State> list = [];
        foreach (var allowed in new[] { 0.01, 0.05, 0.2, 1 })
        {
            list = Children(state, allowed * most + 1e-9, 20 * BeamFillings / share, out _);
            if (list.Count >= BeamFillings / share)
                break;
        }
        if (list.Count == 0)
            list = Children(state, double.PositiveInfinity, 20 * BeamFillings / share, out _);
        return list.OrderBy(s => s.Least).ThenBy(s => s.Items).Take(BeamFillings / share);
    }

    private void BestFirst(State root)
    {
        tried = 0;
        var open = new PriorityQueue<State, (double Least, long Items)>();
        var seen = new Dictionary<string, double>();
        // Where fillings were left out, nothing is known but what the state itself was.
        var unseen = double.PositiveInfinity;
        open.Enqueue(root, (root.Least, root.Items));
        while (open.TryDequeue(out var state, out _))
        {
            if (Hopeless(state.Least))
            {
                Bound = Math.Max(Bound, Math.Min(unseen, BestCost));
                Proved = unseen >= BestCost;
                return;
            }
            if (tried > MostTried && best is not null || tried > 10 * MostTried)
            {
                Bound = Math.Max(Bound, Math.Min(unseen, state.Least));
                return;
            }
            var children = Children(state, double.PositiveInfinity, MostFillings, out var whole);
            foreach (var child in children)
            {
                if (child.Done)
                {
                    best = child.Cost < BestCost ? child : best;
                    continue;
                }
                var key = Key(child);
                if (Hopeless(child.Least) || (seen.TryGetValue(key, out var known) && known <= child.Cost))
                    continue;
                seen[key] = child.Cost;
                open.Enqueue(child, (child.Least, child.Items));
            }
            if (!whole)
                unseen = Math.Min(unseen, state.Least);
        }
        Bound = Math.Max(Bound, Math.Min(unseen, BestCost));
        Proved = best is not null && unseen >= BestCost;
    }

    /// <summary>What is left, and of the bars those of which there are few.</summary>
    private string Key(State s) => string.Join(',', s.Left) + '|' + string.Join(',', s.Bins.Where((_, b) => bars[b].Count < plenty));

    /// <summary>The state with one more bar, in every way that loses no more than allowed against the bound and may lead to something
    /// cheaper.</summary>
    /// <param name="whole">False where there were more than <paramref name="most"/>.</param>
    private List<State> Children(State state, double allowed, int most, out bool whole)
    {
        Asked.Still();
        var list = new List<State>();
        var (left, bins) = (state.Left, state.Bins);
        var longest = Array.FindIndex(left, n => n > 0);
        var now = state.Cost + bound.Of(left, bins);
        var spare = Math.Min(allowed, BestCost - bound.Step - now + Dust(BestCost));
        var counts = new int[left.Length];
        var (all, steps) = (true, 0);
        for (var b = 0; b < bars.Count; b++)
            // Of bars that are the same the first will do.
            if (bins[b] > 0 && bars[b].Room >= sizes[longest].Item && !Enumerable.Range(0, b).Any(o => bins[o] > 0
                && bars[o].Room == bars[b].Room && bars[o].Stock.Price == bars[b].Stock.Price))
                Fill(b, longest, bars[b].Room, bars[b].Stock.Price + bound.Toll(b));
        tried += steps / StepsPerFilling;
        whole = all;
        return list;

        void Fill(int b, int s, long room, double loss)
        {
            while (s < left.Length && (left[s] == 0 || sizes[s].Item > room))
                s++;
            if (loss - bound.MostWorth(s, room) > spare)
                return;
            if (list.Count >= most || ++steps > MostSteps)
            {
                all = false;
                return;
            }
            if (s == left.Length)
            {
                for (var i = longest; i < left.Length; i++)
                    if (counts[i] < left[i] && sizes[i].Item <= room)
                        return;
                list.Add(After(state, b, counts));
                return;
            }
            for (var n = (int)Math.Min(left[s], room / sizes[s].Item); n >= (s == longest ? 1 : 0); n--)
            {
                counts[s] = n;
                Fill(b, s + 1, room - n * sizes[s].Item, loss - n * bound.WorthOf(s));
            }
            counts[s] = 0;
        }
    }

    private State After(State state, int bar, int[] counts)
    {
        var (left, bins, items) = ((int[])state.Left.Clone(), (int[])state.Bins.Clone(), state.Items);
        for (var s = 0; s < left.Length; s++)
        {
            left[s] -= counts[s];
            items -= counts[s] * sizes[s].Item;
        }
        bins[bar]--;
        var cost = state.Cost + bars[bar].Stock.Price;
        return new(left, bins, cost, bound.Least(cost, left, bins, items), items, state, new(bar, [.. counts]));
    }
}
