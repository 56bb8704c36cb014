using System.Numerics;

namespace Ochema.Core.Structure;

/// <summary>Inner loops of the solver, written for the processor's vector unit.</summary>
internal static class VectorMath
{
    /// <summary>Σ aᵢ·bᵢ. The order of summation is fixed, so that the same input gives the same bits.</summary>
    public static double Dot(ReadOnlySpan<double> a, ReadOnlySpan<double> b)
    {
        var sum = 0.0;
        var i = 0;
        var w = Vector<double>.Count;
        if (a.Length >= 2 * w)
        {
            var acc = Vector<double>.Zero;
            for (; i <= a.Length - w; i += w)
                acc += new Vector<double>(a.Slice(i, w)) * new Vector<double>(b.Slice(i, w));
            sum = Vector.Sum(acc);
        }
        for (; i < a.Length; i++)
            sum += a[i] * b[i];
        return sum;
    }

    /// <summary>y += s·x.</summary>
    public static void AddScaled(Span<double> y, double s, ReadOnlySpan<double> x)
    {
        var i = 0;
        var w = Vector<double>.Count;
        var factor = new Vector<double>(s);
        for (; i <= y.Length - w; i += w)
            (new Vector<double>(y.Slice(i, w)) + factor * new Vector<double>(x.Slice(i, w))).CopyTo(y.Slice(i, w));
        for (; i < y.Length; i++)
            y[i] += s * x[i];
    }
}
