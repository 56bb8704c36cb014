namespace Ochema.Core.Structure;

/// <summary>
/// A symmetric matrix stored by rows from the first nonzero column to the diagonal (skyline), with LDLᵀ factorisation
/// (Jennings, "Matrix Computation", 1977; George and Liu, "Computer Solution of Large Sparse Positive Definite Systems", 1981).
/// </summary>
internal sealed class EnvelopeMatrix
{
    private readonly int[] first;
    private readonly int[] start;
    private readonly double[] values;

    public int Size { get; }

    /// <param name="firstColumn">For every row the first column that may be nonzero (≤ the row).</param>
    public EnvelopeMatrix(int[] firstColumn)
    {
        Size = firstColumn.Length;
        first = firstColumn;
        start = new int[Size + 1];
        for (var i = 0; i < Size; i++)
            start[i + 1] = start[i] + i - first[i] + 1;
        values = new double[start[Size]];
    }

    private EnvelopeMatrix(EnvelopeMatrix other)
    {
        (Size, first, start) = (other.Size, other.first, other.start);
        values = (double[])other.values.Clone();
    }

    /// <summary>Number of stored entries.</summary>
    public int Count => values.Length;

    public EnvelopeMatrix Clone() => new(this);

    public double this[int row, int column] => column < row
        ? column < first[row] ? 0 : values[start[row] + column - first[row]]
        : row < first[column] ? 0 : values[start[column] + row - first[column]];

    /// <summary>Adds to the entry (row, column) of the lower triangle; entries above the diagonal are ignored.</summary>
    public void Add(int row, int column, double v)
    {
        if (column <= row)
            values[start[row] + column - first[row]] += v;
    }

    /// <summary>Adds <paramref name="scale"/> × another matrix of the same envelope.</summary>
    public void AddScaled(EnvelopeMatrix other, double scale)
    {
        for (var i = 0; i < values.Length; i++)
            values[i] += scale * other.values[i];
    }

    /// <summary>y = A·x.</summary>
    public void Multiply(ReadOnlySpan<double> x, Span<double> y)
    {
        y.Clear();
        for (var i = 0; i < Size; i++)
        {
            var off = values.AsSpan(start[i], i - first[i]);
            VectorMath.AddScaled(y[first[i]..i], x[i], off);
            y[i] += Dot(off, x[first[i]..i]) + values[start[i + 1] - 1] * x[i];
        }
    }

    /// <summary>
    /// Replaces the matrix by its factors. Returns −1, or the first row whose pivot has vanished relative to
    /// <paramref name="tolerance"/> × its diagonal entry: the matrix is singular there. Negative pivots are allowed when
    /// <paramref name="indefinite"/>, and counted in <paramref name="negative"/> (Sylvester's law of inertia).
    /// </summary>
    public int Factorise(double tolerance, bool indefinite, out int negative)
    {
        negative = 0;
        for (var i = 0; i < Size; i++)
        {
            var row = values.AsSpan(start[i], i - first[i] + 1);
            var fi = first[i];
            var scale = Math.Abs(row[^1]);
            // Row of L·D: g_j = a_ij − Σ g_k·l_jk
            for (var j = fi; j < i; j++)
            {
                var fj = first[j];
                var from = Math.Max(fi, fj);
                if (from >= j)
                    continue;
                var lj = values.AsSpan(start[j] + from - fj, j - from);
                row[j - fi] -= Dot(row.Slice(from - fi, j - from), lj);
            }
            var d = row[^1];
            for (var j = fi; j < i; j++)
            {
                var dj = values[start[j + 1] - 1];
                var l = row[j - fi] / dj;
                d -= l * row[j - fi];
                row[j - fi] = l;
            }
            row[^1] = d;
            if (!(Math.Abs(d) > tolerance * scale) || (!indefinite && d < 0))
                return i;
            if (d < 0)
                negative++;
        }
        return -1;
    }

    /// <summary>Solves in place with the factors.</summary>
    public void Solve(Span<double> b)
    {
        for (var i = 0; i < Size; i++)
        {
            var fi = first[i];
            b[i] -= Dot(values.AsSpan(start[i], i - fi), b[fi..i]);
        }
        for (var i = 0; i < Size; i++)
            b[i] /= values[start[i + 1] - 1];
        BackSubstitute(b, Size);
    }

    /// <summary>The motion that costs no work when <see cref="Factorise"/> stopped at <paramref name="row"/>.</summary>
    public double[] NullVector(int row)
    {
        var x = new double[Size];
        x[row] = 1;
        var fi = first[row];
        // At the stop the row holds l; entries before it are −L⁻ᵀ·l.
        for (var j = fi; j < row; j++)
            x[j] = -values[start[row] + j - fi];
        BackSubstitute(x, row);
        return x;
    }

    private void BackSubstitute(Span<double> b, int end)
    {
        for (var i = end - 1; i > 0; i--)
        {
            var bi = b[i];
            if (bi == 0)
                continue;
            var fi = first[i];
            VectorMath.AddScaled(b[fi..i], -bi, values.AsSpan(start[i], i - fi));
        }
    }

    private static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b) => VectorMath.Dot(a, b);
}
