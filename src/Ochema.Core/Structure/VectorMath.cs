using System.Numerics;
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

    /// <summary>Puts every element of <paramref name="x"/> that is larger, signs aside, in the place of that of <paramref name="y"/>.</summary>
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

    private static void Enough(int wanted, int given)
    {
        if (given < wanted)
            throw new ArgumentException($"{given} numbers where {wanted} are wanted.");
    }
}
