using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.LinearAlgebra.Double;

namespace Ochema.Core.Structure;

/// <summary>
/// Lanczos' method on K⁻¹·M in the inner product of M, every vector made orthogonal to all before it (Parlett, "The Symmetric Eigenvalue
/// Problem", 1980, ch. 13; shift and invert after Ericsson and Ruhe, Math. Comp. 35, 1980). Of modes that coincide exactly it finds one:
/// whoever calls counts, and asks again for what is orthogonal to those that are known (deflation; Parlett, section 5.1).
/// </summary>
internal static class Lanczos
{
    /// <summary>Steps before the first look, beyond two for each mode that is wanted; and between looks.</summary>
    private const int Further = 6;

    private const int MaximumSteps = 90;

    /// <summary>Residual of a mode in the subspace, as a share of its eigenvalue: the frequency is then right to its square.</summary>
    private const double Residual = 1e-7;

    /// <param name="factor">Factors of the stiffness.</param>
    /// <param name="m">Mass, same envelope.</param>
    /// <param name="count">How many modes are wanted.</param>
    /// <param name="known">Mass-normalised shapes that are known, none of which is found again.</param>
    /// <returns>ω² ((rad/s)²) and mass-normalised shapes, lowest first; null when fewer than that came out.</returns>
    public static (double[] Omega2, double[][] Shapes)? Lowest(EnvelopeMatrix factor, EnvelopeMatrix m, int count,
        IReadOnlyList<double[]>? known = null)
    {
        var n = m.Size;
        double[][] inertia = [.. (known ?? []).Select(s =>
        {
            var y = new double[n];
            m.Multiply(s, y);
            return y;
        })];
        var steps = Math.Min(n, MaximumSteps);
        var (v, mv) = (new List<double[]>(steps), new List<double[]>(steps));
        var (alpha, beta) = (new double[steps], new double[steps]);
        var w = Start(factor, m, inertia.Length);
        Apart(w);
        if (!Append(w))
            return null;
        var look = Math.Min(steps, 2 * count + Further);
        for (var j = 0; j < steps; j++)
        {
            w = (double[])mv[j].Clone();
            factor.Solve(w);
            alpha[j] = VectorMath.Dot(w, mv[j]);
            // Twice is enough (Kahan, in Parlett, section 6.9).
            for (var pass = 0; pass < 2; pass++)
            {
                for (var i = j; i >= 0; i--)
                    VectorMath.AddScaled(w, -VectorMath.Dot(w, mv[i]), v[i]);
                Apart(w);
            }
            var more = Append(w);
            beta[j] = more ? VectorMath.Dot(w, mv[j + 1]) : 0;
            if (more && j + 1 < look)
                continue;
            if (Converged(j + 1) is { } found)
                return found;
            if (!more)
                return null;
            look = Math.Min(steps, look + Further);
        }
        return null;

        // What is known is taken out.
        void Apart(double[] x)
        {
            for (var i = 0; i < inertia.Length; i++)
                VectorMath.AddScaled(x, -VectorMath.Dot(x, inertia[i]), known![i]);
        }

        // Scales to a unit of mass; false when nothing new is left.
        bool Append(double[] x)
        {
            var mx = new double[n];
            m.Multiply(x, mx);
            var square = VectorMath.Dot(x, mx);
            if (!(square > 0) || (alpha[0] > 0 && Math.Sqrt(square) < 1e-12 * alpha[0]))
                return false;
            var scale = 1 / Math.Sqrt(square);
            var unit = new double[n];
            VectorMath.AddScaled(unit, scale, x);
            for (var i = 0; i < n; i++)
                mx[i] *= scale;
            v.Add(unit);
            mv.Add(mx);
            return true;
        }

        (double[] Omega2, double[][] Shapes)? Converged(int size)
        {
            if (size < count)
                return null;
            var t = DenseMatrix.Create(size, size, (i, j) => i == j ? alpha[i] : Math.Abs(i - j) == 1 ? beta[Math.Min(i, j)] : 0);
            var evd = t.Evd(Symmetricity.Symmetric);
            var (values, vectors) = (evd.EigenValues, evd.EigenVectors);
            for (var k = 0; k < count; k++)
            {
                var mu = values[size - 1 - k].Real;
                if (!(mu > 1e-14 * values[size - 1].Real) || Math.Abs(beta[size - 1] * vectors[size - 1, size - 1 - k]) > Residual * mu)
                    return null;
            }
            var shapes = new double[count][];
            for (var k = 0; k < count; k++)
            {
                // M·φ, and once more K⁻¹·M: what has no mass follows the rest.
                var shape = shapes[k] = new double[n];
                for (var i = 0; i < size; i++)
                    VectorMath.AddScaled(shape, vectors[i, size - 1 - k], mv[i]);
                factor.Solve(shape);
                Apart(shape);
            }
            return ([.. Enumerable.Range(0, count).Select(k => 1 / values[size - 1 - k].Real)], NaturalModes.Normalise(m, shapes, count));
        }
    }

    /// <summary>A fixed pseudo-random load on all that has mass, so that no shape is orthogonal to it.</summary>
    /// <param name="skip">Another one for each shape that is known.</param>
    private static double[] Start(EnvelopeMatrix factor, EnvelopeMatrix m, int skip)
    {
        var x = new double[m.Size];
        var numbers = new FixedNumbers();
        for (var i = 0; i < skip; i++)
            numbers.Next();
        for (var i = 0; i < x.Length; i++)
        {
            var number = numbers.Next();
            x[i] = m[i, i] > 0 ? 0.5 + number : 0;
        }
        var y = new double[m.Size];
        m.Multiply(x, y);
        factor.Solve(y);
        return y;
    }
}
