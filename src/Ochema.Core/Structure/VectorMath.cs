using System.Numerics;
using System.Runtime.CompilerServices;
using System.Runtime.InteropServices;

namespace Ochema.Core.Structure;

/// <summary>Inner loops of the solver, written for the processor's vector unit.</summary>
internal static class VectorMath
{
    /// <summary>Σ aᵢ·bᵢ. The order of summation is fixed, so that the same input gives the same bits.</summary>
    /// <exception cref="ArgumentException"><paramref name="b"/> is shorter than <paramref name="a"/>.</exception>
    public static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        Enough(a.Length, b.Length);
        var sum = 0.0;
        var i = 0;
        if (a.Length >= 2 * Vector<double>.Count)
        {
            var x = MemoryMarshal.Cast<double, Vector<double>>(a);
            var y = MemoryMarshal.Cast<double, Vector<double>>(b);
            var acc = Vector<double>.Zero;
            for (var v = 0; v < x.Length && v < y.Length; v++)
                acc += x[v] * y[v];
            sum = Vector.Sum(acc);
            i = x.Length * Vector<double>.Count;
        }
        for (; i < a.Length; i++)
            sum += a[i] * b[i];
        return sum;
    }

    /// <summary>y += s·x.</summary>
    /// <exception cref="ArgumentException"><paramref name="x"/> is shorter than <paramref name="y"/>.</exception>
    public static void AddScaled(Span<double> y, double s, ReadOnlySpan<double> x)
    {
        Enough(y.Length, x.Length);
        var into = MemoryMarshal.Cast<double, Vector<double>>(y);
        var from = MemoryMarshal.Cast<double, Vector<double>>(x);
        var factor = new Vector<double>(s);
        for (var v = 0; v < into.Length && v < from.Length; v++)
            into[v] += factor * from[v];
        for (var i = into.Length * Vector<double>.Count; i < y.Length; i++)
            y[i] += s * x[i];
    }

    /// <summary>
    /// y = Σ cₖ·xₖ over a stretch of columns, bit for bit what <see cref="AddScaled"/> of one after the other gives, but each column is
    /// kept in the processor while all are added: rows are read once and nothing is written in between.
    /// </summary>
    /// <param name="y">The stretch.</param>
    /// <param name="c">Factors.</param>
    /// <param name="rows">Rows.</param>
    /// <param name="at">Which row each factor is of.</param>
    /// <param name="start">First column of the stretch.</param>
    /// <exception cref="ArgumentException">A row ends before the stretch does.</exception>
    public static void Combine(Span<double> y, ReadOnlySpan<double> c, double[][] rows, ReadOnlySpan<int> at, int start)
    {
        foreach (var k in at)
            Enough(start + y.Length, rows[k].Length);
        var step = 4 * Vector<double>.Count;
        var j = 0;
        ref var into = ref MemoryMarshal.GetReference(y);
        for (; j + step <= y.Length; j += step)
        {
            var (s0, s1, s2, s3) = (Vector<double>.Zero, Vector<double>.Zero, Vector<double>.Zero, Vector<double>.Zero);
            for (var k = 0; k < at.Length; k++)
            {
                var factor = new Vector<double>(c[k]);
                ref var row = ref Unsafe.Add(ref MemoryMarshal.GetArrayDataReference(rows[at[k]]), start + j);
                s0 += factor * Vector.LoadUnsafe(ref row);
                s1 += factor * Vector.LoadUnsafe(ref row, (nuint)Vector<double>.Count);
                s2 += factor * Vector.LoadUnsafe(ref row, (nuint)(2 * Vector<double>.Count));
                s3 += factor * Vector.LoadUnsafe(ref row, (nuint)(3 * Vector<double>.Count));
            }
            ref var to = ref Unsafe.Add(ref into, j);
            s0.StoreUnsafe(ref to);
            s1.StoreUnsafe(ref to, (nuint)Vector<double>.Count);
            s2.StoreUnsafe(ref to, (nuint)(2 * Vector<double>.Count));
            s3.StoreUnsafe(ref to, (nuint)(3 * Vector<double>.Count));
        }
        for (; j < y.Length; j++)
        {
            var sum = 0.0;
            for (var k = 0; k < at.Length; k++)
                sum += c[k] * rows[at[k]][start + j];
            y[j] = sum;
        }
    }

    /// <summary>y += s·a·b, element by element.</summary>
    /// <exception cref="ArgumentException">One of the others is shorter than <paramref name="y"/>.</exception>
    public static void AddProduct(Span<double> y, double s, ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        Enough(y.Length, Math.Min(a.Length, b.Length));
        var into = MemoryMarshal.Cast<double, Vector<double>>(y);
        var x = MemoryMarshal.Cast<double, Vector<double>>(a);
        var z = MemoryMarshal.Cast<double, Vector<double>>(b);
        var factor = new Vector<double>(s);
        for (var v = 0; v < into.Length && v < x.Length && v < z.Length; v++)
            into[v] += factor * x[v] * z[v];
        for (var i = into.Length * Vector<double>.Count; i < y.Length; i++)
            y[i] += s * a[i] * b[i];
    }

    /// <summary>Puts every element of <paramref name="x"/> that is larger, signs aside, in the place of that of
    /// <paramref name="y"/>.</summary>
    /// <exception cref="ArgumentException"><paramref name="x"/> is shorter than <paramref name="y"/>.</exception>
    public static void KeepStronger(Span<double> y, ReadOnlySpan<double> x)
    {
        Enough(y.Length, x.Length);
        var into = MemoryMarshal.Cast<double, Vector<double>>(y);
        var from = MemoryMarshal.Cast<double, Vector<double>>(x);
        for (var v = 0; v < into.Length && v < from.Length; v++)
            into[v] = Vector.ConditionalSelect(Vector.GreaterThan(Vector.Abs(from[v]), Vector.Abs(into[v])), from[v], into[v]);
        for (var i = into.Length * Vector<double>.Count; i < y.Length; i++)
            if (Math.Abs(x[i]) > Math.Abs(y[i]))
                y[i] = x[i];
    }

    /// <summary>y = √(max(0, squares) + y²), with the sign of the larger of y and <paramref name="sign"/>, signs aside.</summary>
    /// <exception cref="ArgumentException">One of the others is shorter than <paramref name="y"/>.</exception>
    public static void RootOfSquares(Span<double> y, ReadOnlySpan<double> squares, ReadOnlySpan<double> sign)
    {
        Enough(y.Length, Math.Min(squares.Length, sign.Length));
        var into = MemoryMarshal.Cast<double, Vector<double>>(y);
        var q = MemoryMarshal.Cast<double, Vector<double>>(squares);
        var s = MemoryMarshal.Cast<double, Vector<double>>(sign);
        for (var v = 0; v < into.Length && v < q.Length && v < s.Length; v++)
        {
            var stronger = Vector.ConditionalSelect(Vector.GreaterThan(Vector.Abs(into[v]), Vector.Abs(s[v])), into[v], s[v]);
            var root = Vector.SquareRoot(Vector.Max(Vector<double>.Zero, q[v]) + into[v] * into[v]);
            into[v] = Vector.ConditionalSelect(Vector.LessThan(stronger, Vector<double>.Zero), -root, root);
        }
        for (var i = into.Length * Vector<double>.Count; i < y.Length; i++)
            y[i] = Math.CopySign(Math.Sqrt(Math.Max(0, squares[i]) + y[i] * y[i]), Math.Abs(y[i]) > Math.Abs(sign[i]) ? y[i] : sign[i]);
    }

    private static void Enough(int wanted, int given)
    {
        if (given < wanted)
            throw new ArgumentException($"{given} numbers where {wanted} are wanted.");
    }
}
