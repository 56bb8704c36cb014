namespace Ochema.Core.Structure;

/// <summary>
/// Cholesky's factor L of a small symmetric matrix A = L·Lᵀ (Golub and Van Loan, Matrix Computations, 4.2). The numerics library has one
/// for matrices that are kept; here there are thousands of a few unknowns each, in room that is lent, and a pivot that is near nothing is
/// an answer: something can move freely.
/// </summary>
internal static class DenseCholesky
{
    /// <summary>So many unknowns fit on the stack.</summary>
    public const int Small = 24;

    /// <summary>Factors in place, row by row; the upper half is neither read nor written.</summary>
    /// <param name="a">n × n.</param>
    /// <param name="least">Pivots no larger than this are none, one each.</param>
    /// <returns>False where there is such a pivot, or a number is none.</returns>
    public static bool Factor(Span<double> a, int n, ReadOnlySpan<double> least)
    {
        for (var i = 0; i < n; i++)
        {
            var own = a.Slice(i * n, i + 1);
            for (var j = 0; j < i; j++)
            {
                var row = a.Slice(j * n, j + 1);
                var v = own[j];
                for (var k = 0; k < j; k++)
                    v -= own[k] * row[k];
                own[j] = v / row[j];
            }
            var pivot = own[i];
            for (var k = 0; k < i; k++)
                pivot -= own[k] * own[k];
            if (!(pivot > least[i]))
                return false;
            own[i] = Math.Sqrt(pivot);
        }
        return true;
    }

    /// <summary>x := A⁻¹·x from the factor.</summary>
    public static void Solve(ReadOnlySpan<double> l, int n, Span<double> x)
    {
        for (var i = 0; i < n; i++)
        {
            for (var k = 0; k < i; k++)
                x[i] -= l[i * n + k] * x[k];
            x[i] /= l[i * n + i];
        }
        for (var i = n - 1; i >= 0; i--)
        {
            for (var k = i + 1; k < n; k++)
                x[i] -= l[k * n + i] * x[k];
            x[i] /= l[i * n + i];
        }
    }
}
