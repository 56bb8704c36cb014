using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.LinearAlgebra.Double;

namespace Ochema.Core.Structure;

/// <summary>
/// The lowest natural frequencies and shapes of K·φ = ω²·M·φ by Lanczos' method (<see cref="Lanczos"/>), checked for missed modes with a
/// Sturm count. Any doubt goes to subspace iteration (Bathe and Wilson, "Numerical Methods in Finite Element Analysis", 1976, ch. 12),
/// small systems and what is doubtful there to the dense solver of MathNet.Numerics.
/// </summary>
internal static class NaturalModes
{
    private const int DenseBelow = 24;
    private const int MaximumIterations = 60;

    /// <param name="k">Stiffness, not factored; positive definite.</param>
    /// <param name="factor">Its factors.</param>
    /// <param name="m">Mass, same envelope.</param>
    /// <param name="count">How many are wanted; fewer come back when the mass has a lower rank.</param>
    /// <returns>ω² ((rad/s)²) and shapes (mass-normalised), lowest first.</returns>
    public static (double[] Omega2, double[][] Shapes) Lowest(EnvelopeMatrix k, EnvelopeMatrix factor, EnvelopeMatrix m, int count)
    {
        if (k.Size <= DenseBelow)
            return Dense(k, m, count);
        if (Found(k, factor, m, count) is { } found)
            return found;
        return Subspace(k, factor, m, count) ?? Dense(k, m, count);
    }

    /// <summary>
    /// By Lanczos' method, asked again for those that coincide with what was found until as many are there as there are; null where that
    /// fails.
    /// </summary>
    internal static (double[] Omega2, double[][] Shapes)? Found(EnvelopeMatrix k, EnvelopeMatrix factor, EnvelopeMatrix m, int count)
    {
        if (Lanczos.Lowest(factor, m, count) is not { } found)
            return null;
        for (var round = 0; round < MostRounds; round++)
        {
            if (Missed(k, m, found.Omega2) is not { } missed)
                return null;
            if (missed <= 0)
                return missed < 0 ? null : found;
            if (Lanczos.Lowest(factor, m, missed, found.Shapes) is not { } more)
                return null;
            // The lowest of both: what lies above them is of no interest, nor what coincides there.
            var all = found.Omega2.Zip(found.Shapes).Concat(more.Omega2.Zip(more.Shapes)).OrderBy(p => p.First).Take(count).ToList();
            found = ([.. all.Select(p => p.First)], [.. all.Select(p => p.Second)]);
        }
        return null;
    }

    /// <summary>Coinciding modes, one more in each round.</summary>
    private const int MostRounds = 24;

    internal static (double[] Omega2, double[][] Shapes)? Subspace(EnvelopeMatrix k, EnvelopeMatrix factor, EnvelopeMatrix m, int count)
    {
        var n = k.Size;
        var q = Math.Min(n, count + 8);
        var x = StartVectors(k, m, q);
        var mx = new double[q][];
        double[] previous = [];
        for (var iteration = 0; iteration < MaximumIterations; iteration++)
        {
            // x ← K⁻¹·M·x, then Rayleigh–Ritz on that subspace.
            for (var j = 0; j < q; j++)
            {
                mx[j] ??= new double[n];
                m.Multiply(x[j], mx[j]);
                mx[j].CopyTo(x[j], 0);
                factor.Solve(x[j]);
            }
            var kr = new DenseMatrix(q, q);
            for (var i = 0; i < q; i++)
                for (var j = 0; j <= i; j++)
                    kr[i, j] = kr[j, i] = VectorMath.Dot(x[i], mx[j]);
            var y = new double[n];
            var mr = new DenseMatrix(q, q);
            for (var j = 0; j < q; j++)
            {
                m.Multiply(x[j], y);
                for (var i = 0; i <= j; i++)
                    mr[i, j] = mr[j, i] = VectorMath.Dot(x[i], y);
            }
            if (Reduced(kr, mr) is not { } reduced)
                return null;
            var (mu, c) = reduced;
            var next = new double[q][];
            for (var j = 0; j < q; j++)
            {
                next[j] = new double[n];
                for (var i = 0; i < q; i++)
                    VectorMath.AddScaled(next[j], c[i, j], x[i]);
            }
            x = next;
            var usable = Enumerable.Range(0, count).TakeWhile(i => i < q && mu[i] > 1e-14 * mu[0]).Count();
            var omega2 = mu.Take(usable).Select(v => 1 / v).ToArray();
            if (previous.Length == usable && omega2.Zip(previous).All(p => Math.Abs(p.First - p.Second) < 1e-9 * p.First))
                return NoneMissed(k, m, omega2) ? (omega2, Normalise(m, x, usable)) : null;
            previous = omega2;
        }
        return null;
    }

    /// <summary>K_r·c = λ·M_r·c turned into M_r·c = μ·K_r·c, μ = 1/λ, largest first.</summary>
    private static (double[] Mu, Matrix<double> C)? Reduced(DenseMatrix kr, DenseMatrix mr)
    {
        var q = kr.RowCount;
        // Scaling keeps the Cholesky of the Ritz stiffness well-conditioned: the vectors differ by orders of magnitude in size.
        var scale = new double[q];
        for (var i = 0; i < q; i++)
        {
            if (!(kr[i, i] > 0))
                return null;
            scale[i] = 1 / Math.Sqrt(kr[i, i]);
        }
        var ks = DenseMatrix.Create(q, q, (i, j) => kr[i, j] * scale[i] * scale[j]);
        var ms = DenseMatrix.Create(q, q, (i, j) => mr[i, j] * scale[i] * scale[j]);
        Matrix<double> l;
        try
        {
            l = ks.Cholesky().Factor;
        }
        catch (ArgumentException)
        {
            return null;
        }
        var li = l.Inverse();
        var a = li * ms * li.Transpose();
        a = (a + a.Transpose()) * 0.5;
        var evd = a.Evd(Symmetricity.Symmetric);
        var c = li.Transpose() * evd.EigenVectors;
        var mu = new double[q];
        var cc = new DenseMatrix(q, q);
        for (var j = 0; j < q; j++)
        {
            mu[j] = evd.EigenValues[q - 1 - j].Real;
            for (var i = 0; i < q; i++)
                cc[i, j] = c[i, q - 1 - j] * scale[i];
        }
        return double.IsFinite(mu[0]) ? (mu, cc) : null;
    }

    private static bool NoneMissed(EnvelopeMatrix k, EnvelopeMatrix m, double[] omega2) => Missed(k, m, omega2) == 0;

    /// <summary>
    /// How many modes there are below the last gap among those that were found, beyond these (a Sturm count); null where it cannot be
    /// counted.
    /// </summary>
    private static int? Missed(EnvelopeMatrix k, EnvelopeMatrix m, double[] omega2)
    {
        if (omega2.Length == 0)
            return 0;
        // Count below the largest well-separated gap, so that a cluster at the cut does not matter.
        for (var i = omega2.Length - 1; i >= 1; i--)
            if (omega2[i] > omega2[i - 1] * 1.001)
            {
                var shifted = k.Clone();
                shifted.AddScaled(m, -0.5 * (omega2[i] + omega2[i - 1]));
                return shifted.Factorise(1e-14, indefinite: true, out var below) < 0 ? below - i : null;
            }
        return 0;
    }

    private static double[][] StartVectors(EnvelopeMatrix k, EnvelopeMatrix m, int q)
    {
        var n = k.Size;
        var x = new double[q][];
        for (var j = 0; j < q; j++)
            x[j] = new double[n];
        for (var i = 0; i < n; i++)
            x[0][i] = m[i, i] > 0 ? 1 : 0;
        // Unit vectors where mass is large and stiffness small, then a fixed pseudo-random filling so that no shape is orthogonal to all.
        var best = Enumerable.Range(0, n).OrderByDescending(i => m[i, i] / k[i, i]).ThenBy(i => i).ToArray();
        var numbers = new FixedNumbers();
        for (var j = 1; j < q; j++)
        {
            x[j][best[(j - 1) % n]] = 1;
            for (var i = 0; i < n; i++)
            {
                x[j][i] += (j == q - 1 ? 1.0 : 0.01) * (numbers.Next() - 0.5) * (m[i, i] > 0 ? 1 : 0);
            }
        }
        return x;
    }

    internal static double[][] Normalise(EnvelopeMatrix m, double[][] x, int count)
    {
        var y = new double[m.Size];
        for (var j = 0; j < count; j++)
        {
            m.Multiply(x[j], y);
            var s = 1 / Math.Sqrt(VectorMath.Dot(x[j], y));
            for (var i = 0; i < y.Length; i++)
                x[j][i] *= s;
        }
        return x[..count];
    }

    /// <summary>All modes by a dense symmetric eigen-solution.</summary>
    internal static (double[] Omega2, double[][] Shapes) Dense(EnvelopeMatrix k, EnvelopeMatrix m, int count)
    {
        var n = k.Size;
        var reduced = Reduced(DenseMatrix.Create(n, n, (i, j) => k[i, j]), DenseMatrix.Create(n, n, (i, j) => m[i, j]));
        if (reduced is not { } r)
            return ([], []);
        var usable = Enumerable.Range(0, Math.Min(count, n)).TakeWhile(i => r.Mu[i] > 1e-12 * r.Mu[0] && r.Mu[i] > 0).Count();
        var shapes = Enumerable.Range(0, usable).Select(j => r.C.Column(j).ToArray()).ToArray();
        return ([.. r.Mu.Take(usable).Select(v => 1 / v)], Normalise(m, shapes, usable));
    }
}
