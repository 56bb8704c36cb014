namespace Ochema.Core.Structure;

/// <summary>A column of pieces one on the other with a load on its tip.</summary>
public static class SteppedColumn
{
    /// <summary>
    /// Load at its tip, N, under which it falls over sideways: E·I·w″ = −M solved piece by piece, clamped at its foot, or free to turn
    /// there and held sideways higher up (Timoshenko and Gere, "Theory of Elastic Stability", 2.2 and 2.12).
    /// </summary>
    /// <param name="pieces">Length, m, and bending stiffness E·I, N·m², from the foot up.</param>
    /// <param name="held">Where it is held sideways, m over its foot; null where it is clamped at its foot.</param>
    public static double Critical(IReadOnlyList<(double Length, double Stiffness)> pieces, double? held = null)
    {
        var (all, least) = (pieces.Sum(p => p.Length), pieces.Min(p => p.Stiffness));
        var (below, above) = Split(pieces, held is { } h ? Math.Clamp(h, 0.001 * all, 0.999 * all) : 0);
        // How far the tip still stands off from where the load has drawn it, for one at one: it falls over at the least load that leaves
        // nothing.
        double Tip(double load)
        {
            var (w, turn) = (1.0, 0.0);
            if (below.Count > 0)
            {
                // Between both supports M = P·(x ÷ h − w): the bow off the line from the foot to where it is held, scaled to reach that far
                // aside.
                var (u, bend) = (0.0, 1.0);
                foreach (var (length, stiffness) in below)
                    (u, bend) = Along(u, bend, load, length, stiffness);
                if (u <= 0)
                    return -1;
                turn = bend / u - 1 / below.Sum(p => p.Length);
            }
            foreach (var (length, stiffness) in above)
            {
                (w, turn) = Along(w, turn, load, length, stiffness);
                if (w <= 0)
                    return w;
            }
            return w;
        }
        // No stepped column is weaker than a plain one of its weakest piece, clamped at its foot.
        var low = 0.999 * Math.PI * Math.PI * least / (4 * all * all);
        var high = low;
        while (Tip(high) > 0)
            (low, high) = (high, 1.02 * high);
        return Bisection.Between(low, high, 60, load => Tip(load) <= 0).Low;
    }

    /// <summary>w″ = −P ÷ (E·I)·w over a length.</summary>
    private static (double W, double Turn) Along(double w, double turn, double load, double length, double stiffness)
    {
        var k = Math.Sqrt(load / stiffness);
        var (s, c) = Math.SinCos(k * length);
        return (w * c + turn * s / k, turn * c - w * k * s);
    }

    private static (List<(double Length, double Stiffness)> Below, List<(double Length, double Stiffness)> Above) Split(
        IReadOnlyList<(double Length, double Stiffness)> pieces, double at)
    {
        List<(double, double)> below = [], above = [];
        var from = 0.0;
        foreach (var (length, stiffness) in pieces)
        {
            var under = Math.Clamp(at - from, 0, length);
            if (under > 0)
                below.Add((under, stiffness));
            if (under < length)
                above.Add((length - under, stiffness));
            from += length;
        }
        return (below, above);
    }
}
