using Size = Ochema.Core.Making.CutSolver.Size;

namespace Ochema.Core.Making;

/// <summary>
/// What pieces that are left cost at the least: a worth of each size and a toll of each bar of which there are few, such that no filling is
/// worth more than its bar and toll (duals of the relaxation, by column generation: Gilmore and Gomory 1961). They are made to hold for
/// every filling after the iteration, so that the bound is one whether that has converged or not.
/// </summary>
internal sealed class CutBound
{
    private const double Tolerance = 1e-9;
    private const int MostRounds = 1500;

    /// <summary>Branches of one knapsack; with more its fractional value is taken, which is no less. On the way to the duals fewer will
    /// do.</summary>
    private const int MostBranches = 200_000;
    private const int BranchesOnTheWay = 3000;

    private readonly List<Size> sizes;
    private readonly List<CutSolver.Bar> bars;
    private readonly bool[] few;
    private readonly double unit;
    private readonly double[] worth;
    private readonly double[] toll;
    private readonly double[] density;
    private readonly List<(double Cost, long Room)> covers;

    public CutBound(List<Size> sizes, List<CutSolver.Bar> bars)
    {
        (this.sizes, this.bars) = (sizes, bars);
        var plenty = sizes.Sum(s => s.Count);
        few = [.. bars.Select(b => b.Count < plenty)];
        unit = Unit(bars);
        (worth, toll) = Holding(Duals());
        density = new double[sizes.Count];
        for (var s = sizes.Count - 1; s >= 0; s--)
            density[s] = Math.Max(worth[s] / sizes[s].Item, s + 1 < sizes.Count ? density[s + 1] : 0);
        covers = Covers(bars, sizes.Sum(s => s.Item * s.Count));
        var (left, bins) = (sizes.Select(s => s.Count).ToArray(), bars.Select(b => b.Count).ToArray());
        Root = Least(0, left, bins, sizes.Sum(s => s.Item * s.Count));
    }

    /// <summary>Of all pieces from all bars.</summary>
    public double Root { get; }

    /// <summary>Least cost of what is left of each size, with so many of each bar left.</summary>
    public double Of(int[] left, int[] bins) => Math.Max(0, Rest(left, bins));

    /// <summary>Least cost of a plan that has come to a cost with so much left: by worths and tolls, and by whole bars that have room for
    /// it all.</summary>
    /// <param name="items">Length of all that is left with its kerfs, pm.</param>
    public double Least(double cost, int[] left, int[] bins, long items)
    {
        for (var b = 0; b < bins.Length; b++)
            if (bars[b].Stock.Price == 0)
                items -= few[b] ? bins[b] * bars[b].Room : items;
        var at = 0;
        for (var high = covers.Count - 1; at < high;)
        {
            var mid = (at + high) / 2;
            (at, high) = covers[mid].Room >= items ? (at, mid) : (mid + 1, high);
        }
        return Math.Max(Up(cost + Of(left, bins)), cost + covers[at].Cost);
    }

    /// <summary>What room can be had for what cost with whole bars, as many of each as wanted: each dearer one has more room, the last
    /// enough for all.</summary>
    private static List<(double Cost, long Room)> Covers(List<CutSolver.Bar> bars, long items)
    {
        var list = new List<(double Cost, long Room)> { (0, 0) };
        var sold = bars.Where(b => b.Stock.Price > 0).DistinctBy(b => (b.Room, b.Stock.Price)).ToList();
        var open = new PriorityQueue<(double Cost, long Room, int From), (double, long)>();
        open.Enqueue((0, 0, 0), (0, 0));
        // Should there be too many sums, what is known of the cheaper ones holds all the same.
        for (var n = 0; n < MostCovers && list[^1].Room < items && open.TryDequeue(out var sum, out _); n++)
        {
            if (sum.Room > list[^1].Room)
                list.Add((sum.Cost, sum.Room));
            for (var b = sum.From; b < sold.Count; b++)
                open.Enqueue((sum.Cost + sold[b].Stock.Price, sum.Room + sold[b].Room, b),
                    (sum.Cost + sold[b].Stock.Price, -sum.Room - sold[b].Room));
        }
        return list;
    }

    private const int MostCovers = 50_000;

    /// <summary>A cost that bars can add up to, no less than this.</summary>
    public double Up(double cost) => unit > 0 ? Math.Ceiling(cost / unit - 1e-7) * unit : cost;

    /// <summary>What a filling is worth.</summary>
    public double Worth(int[] counts)
    {
        var sum = 0.0;
        for (var s = 0; s < counts.Length; s++)
            sum += worth[s] * counts[s];
        return sum;
    }

    /// <summary>Of one size.</summary>
    public double WorthOf(int size) => worth[size];

    /// <summary>On a bar, beside its price.</summary>
    public double Toll(int bar) => toll[bar];

    /// <summary>The next cheaper plan is cheaper by this at the least; 0 where prices have no common measure.</summary>
    public double Step => unit * (1 - 1e-7);

    /// <summary>No more than this is worth what fits into a room of the sizes from one on.</summary>
    public double MostWorth(int from, long room) => from < density.Length ? density[from] * room : 0;

    private double Rest(int[] left, int[] bins)
    {
        var sum = Worth(left);
        for (var b = 0; b < bins.Length; b++)
            if (toll[b] > 0)
                sum -= toll[b] * bins[b];
        return sum;
    }

    /// <summary>Prices are whole numbers of this: their greatest common divisor in hundredths, or the one price there is; 0 where neither
    /// is so.</summary>
    private static double Unit(List<CutSolver.Bar> bars)
    {
        var prices = bars.Select(b => b.Stock.Price).Where(p => p > 0).Distinct().ToList();
        if (prices.Count == 1)
            return prices[0];
        long divisor = 0;
        foreach (var p in prices)
        {
            var cents = Math.Round(p * 100);
            if (cents > 1e12 || Math.Abs(p * 100 - cents) > 1e-9 * Math.Max(1, cents))
                return 0;
            for (var (a, b) = ((long)cents, divisor); ; (a, b) = (b, a % b))
                if (b == 0)
                {
                    divisor = a;
                    break;
                }
        }
        return divisor / 100.0;
    }

    /// <summary>Duals made to hold: worths scaled down until no bar of which there are plenty is worth more than its price, tolls up to
    /// what the others are.</summary>
    private (double[] Worth, double[] Toll) Holding((double[] Worth, double[] Toll) duals)
    {
        var w = duals.Worth.Select(x => Math.Max(0, x)).ToArray();
        var most = bars.Select(b => Knapsack(w, b.Room).Value).ToArray();
        var scale = 1.0;
        for (var b = 0; b < bars.Count; b++)
            if (!few[b] && most[b] * scale > bars[b].Stock.Price)
                scale = bars[b].Stock.Price / most[b];
        for (var s = 0; s < w.Length; s++)
            w[s] *= scale;
        return (w, [.. bars.Select((b, i) => few[i] ? Math.Max(0, most[i] * scale - b.Stock.Price) : 0)]);
    }

    /// <summary>Revised simplex on the fillings known so far; the most worth filling of each bar comes in until none is worth more than it
    /// costs.</summary>
    private (double[] Worth, double[] Toll) Duals()
    {
        var m = sizes.Count;
        var rows = m + bars.Count(Few);
        var rowOf = new int[bars.Count];
        for (int b = 0, r = m; b < bars.Count; b++)
            rowOf[b] = few[b] ? r++ : -1;
        var dear = 10 * bars.Max(b => b.Stock.Price) + 1;
        // To begin with every piece is bought dearly, and no bar is used.
        var inverse = new double[rows, rows];
        var cost = new double[rows];
        var x = new double[rows];
        for (var i = 0; i < rows; i++)
        {
            inverse[i, i] = 1;
            (cost[i], x[i]) = i < m ? (dear, sizes[i].Count) : (0, bars[Array.IndexOf(rowOf, i)].Count);
        }
        var y = new double[rows];
        var column = new double[rows];
        var entering = new double[rows];
        for (var round = 0; round < MostRounds; round++)
        {
            for (var r = 0; r < rows; r++)
            {
                y[r] = 0;
                for (var i = 0; i < rows; i++)
                    y[r] += cost[i] * inverse[i, r];
            }
            var (gain, price) = (Tolerance * dear, 0.0);
            Array.Clear(entering);
            var any = false;
            for (var r = 0; r < rows; r++)
                // More of a size than is wanted costs nothing; nor does a bar that is not used.
                if ((r < m ? -y[r] : y[r]) is var g && g > gain)
                {
                    (gain, price, any) = (g, 0, true);
                    Array.Clear(entering);
                    entering[r] = r < m ? -1 : 1;
                }
            var worths = y[..m];
            for (var b = 0; b < bars.Count; b++)
            {
                var (value, counts) = Knapsack(worths, bars[b].Room, BranchesOnTheWay);
                var g = value + (few[b] ? y[rowOf[b]] : 0) - bars[b].Stock.Price;
                if (g <= gain)
                    continue;
                (gain, price, any) = (g, bars[b].Stock.Price, true);
                Array.Clear(entering);
                for (var s = 0; s < m; s++)
                    entering[s] = counts[s];
                if (few[b])
                    entering[rowOf[b]] = 1;
            }
            if (!any)
                break;
            var (leaves, least) = (-1, double.PositiveInfinity);
            for (var i = 0; i < rows; i++)
            {
                column[i] = 0;
                for (var r = 0; r < rows; r++)
                    column[i] += inverse[i, r] * entering[r];
                if (column[i] > Tolerance && x[i] / column[i] < least - 1e-12)
                    (leaves, least) = (i, x[i] / column[i]);
            }
            if (leaves < 0)
                break;
            for (var i = 0; i < rows; i++)
                x[i] = i == leaves ? least : Math.Max(0, x[i] - least * column[i]);
            cost[leaves] = price;
            for (var r = 0; r < rows; r++)
                inverse[leaves, r] /= column[leaves];
            for (var i = 0; i < rows; i++)
                if (i != leaves && column[i] != 0)
                    for (var r = 0; r < rows; r++)
                        inverse[i, r] -= column[i] * inverse[leaves, r];
        }
        return (y[..m], [.. bars.Select((_, b) => few[b] ? Math.Max(0, -y[rowOf[b]]) : 0)]);

        bool Few(CutSolver.Bar b) => few[bars.IndexOf(b)];
    }

    /// <summary>The most worth that fits into a room, no more of a size than is wanted; where it branches too often, a value that is no
    /// less.</summary>
    private (double Value, int[] Counts) Knapsack(double[] value, long room, int most = MostBranches)
    {
        var order = Enumerable.Range(0, sizes.Count).Where(s => value[s] > 0).OrderByDescending(s => value[s] / sizes[s].Item).ToArray();
        var (best, bestCounts, counts, branches) = (0.0, new int[sizes.Count], new int[sizes.Count], 0);
        var fraction = Fraction(0, room);
        Branch(0, room, 0);
        return (branches > most && most == MostBranches ? fraction : best, bestCounts);

        double Fraction(int i, long left)
        {
            var sum = 0.0;
            for (; i < order.Length && left > 0; i++)
            {
                var s = order[i];
                var n = Math.Min(sizes[s].Count, (double)left / sizes[s].Item);
                sum += n * value[s];
                left -= (long)Math.Ceiling(n) * sizes[s].Item;
            }
            return sum;
        }

        void Branch(int i, long left, double sum)
        {
            if (sum > best)
            {
                best = sum;
                Array.Copy(counts, bestCounts, counts.Length);
            }
            if (i == order.Length || ++branches > most || sum + Fraction(i, left) <= best * (1 + 1e-15))
                return;
            var s = order[i];
            for (var n = (int)Math.Min(sizes[s].Count, left / sizes[s].Item); n >= 0; n--)
            {
                counts[s] = n;
                Branch(i + 1, left - n * sizes[s].Item, sum + n * value[s]);
            }
            counts[s] = 0;
        }
    }
}
