namespace Ochema.Core.Structure;

/// <summary>
/// Which lines are slack. With all lines taken as springs, T_i = q_i + s_i − Σ k_i·C_ij·s_j, where s_i ≥ 0 is what a slack
/// line fails to push and C the flexibility between the lines; a line either pulls (s = 0) or is slack (T = 0).
/// This is the linear complementarity problem M·s + q/k ≥ 0, s ≥ 0, with the symmetric M = 1/k − C: a convex quadratic
/// programme, solved by an active set after Lawson and Hanson (1974, ch. 23). It cannot cycle, unlike switching lines
/// by the sign of their force; should rounding defeat it, all combinations are tried.
/// </summary>
internal static class LineComplementarity
{
    private const int MaximumTried = 12;

    /// <param name="m">M, n×n, 1/(N/m).</param>
    /// <param name="q">q/k, m.</param>
    /// <param name="flexibility">1/k of each line, m/N: what a vanishing pivot is measured against.</param>
    /// <returns>s (N), or null when no stable state exists.</returns>
    public static double[]? Solve(double[,] m, double[] q, double[] flexibility)
    {
        var n = q.Length;
        var s = new double[n];
        var (scale, least) = (0.0, 0.0);
        foreach (var v in q)
            (scale, least) = (Math.Max(scale, Math.Abs(v)), Math.Min(least, v));
        if (least >= 0)
            return s;
        var tolerance = 1e-12 * scale;
        var passive = new bool[n];
        for (var step = 0; step < 20 * n + 20; step++)
        {
            var (worst, deepest) = (-1, -tolerance);
            for (var i = 0; i < n; i++)
                if (!passive[i] && Gap(m, q, s, i) is var g && g < deepest)
                    (worst, deepest) = (i, g);
            if (worst < 0)
                return s;
            passive[worst] = true;
            for (var inner = 0; inner <= n; inner++)
            {
                var z = SolvePassive(m, q, flexibility, passive);
                if (z is null)
                    return TryAll(m, q, flexibility, tolerance);
                var alpha = 1.0;
                for (var i = 0; i < n; i++)
                    if (passive[i] && z[i] < 0)
                        alpha = Math.Min(alpha, s[i] / (s[i] - z[i]));
                for (var i = 0; i < n; i++)
                    if (passive[i])
                        s[i] += alpha * (z[i] - s[i]);
                if (alpha >= 1)
                    break;
                for (var i = 0; i < n; i++)
                    if (passive[i] && s[i] <= 1e-14 * (1 + Math.Abs(z[i])))
                        (passive[i], s[i]) = (false, 0);
            }
        }
        return TryAll(m, q, flexibility, tolerance);
    }

    private static double Gap(double[,] m, double[] q, double[] s, int i)
    {
        var g = q[i];
        for (var j = 0; j < s.Length; j++)
            g += m[i, j] * s[j];
        return g;
    }

    private static double[]? TryAll(double[,] m, double[] q, double[] flexibility, double tolerance)
    {
        var n = q.Length;
        if (n > MaximumTried)
            return null;
        for (var bits = 0; bits < 1 << n; bits++)
        {
            var passive = new bool[n];
            for (var i = 0; i < n; i++)
                passive[i] = (bits >> i & 1) != 0;
            if (SolvePassive(m, q, flexibility, passive) is { } s && s.All(v => v >= 0)
                && Enumerable.Range(0, n).All(i => passive[i] || Gap(m, q, s, i) >= -tolerance))
                return s;
        }
        return null;
    }

    /// <summary>M_PP·z = −q_P by Cholesky; null when M_PP is singular: without those lines the rest is free to move.</summary>
    private static double[]? SolvePassive(double[,] m, double[] q, double[] flexibility, bool[] passive)
    {
        var all = q.Length;
        Span<int> index = all <= DenseCholesky.Small ? stackalloc int[all] : new int[all];
        var n = 0;
        for (var i = 0; i < all; i++)
            if (passive[i])
                index[n++] = i;
        Span<double> l = n <= DenseCholesky.Small ? stackalloc double[n * n] : new double[n * n];
        Span<double> y = n <= DenseCholesky.Small ? stackalloc double[n] : new double[n];
        Span<double> least = n <= DenseCholesky.Small ? stackalloc double[n] : new double[n];
        for (var i = 0; i < n; i++)
        {
            for (var j = 0; j <= i; j++)
                l[i * n + j] = m[index[i], index[j]];
            (y[i], least[i]) = (-q[index[i]], 1e-9 * flexibility[index[i]]);
        }
        if (!DenseCholesky.Factor(l, n, least))
            return null;
        DenseCholesky.Solve(l, n, y);
        var z = new double[q.Length];
        for (var i = 0; i < n; i++)
            z[index[i]] = y[i];
        return z;
    }
}
