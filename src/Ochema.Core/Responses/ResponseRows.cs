using Ochema.Core.Structure;

namespace Ochema.Core.Responses;

/// <summary>What answers each unit load of a state, one row a load, its columns as <see cref="ResponseLayout"/> says.</summary>
internal abstract class ResponseRows
{
    /// <summary>How many unit loads.</summary>
    public abstract int Count { get; }

    /// <summary>The sum of all rows, each times its coefficient, to be taken at any columns.</summary>
    /// <param name="coefficients">One a row; those that are left out at the end are none.</param>
    public abstract ResponseSum Times(ReadOnlySpan<double> coefficients);

    /// <summary>Columns of one row from a first one on.</summary>
    public double[] Row(int row, int start, int count)
    {
        var one = new double[row + 1];
        one[row] = 1;
        var columns = new double[count];
        Times(one).At(start, columns);
        return columns;
    }

    /// <summary>Rows that are there.</summary>
    public static ResponseRows Of(double[][] rows) => new Formed(rows);

    private sealed class Formed(double[][] rows) : ResponseRows
    {
        public override int Count => rows.Length;

        public override ResponseSum Times(ReadOnlySpan<double> coefficients)
        {
            var (at, c) = ResponseSum.NonZero(coefficients, coefficients.Length);
            return new(rows, at, c);
        }
    }
}

/// <summary>A sum of rows, worked out where it is asked for.</summary>
/// <param name="rows">All that there are.</param>
/// <param name="at">Which of them, each with one of <paramref name="c"/>.</param>
internal class ResponseSum(double[][] rows, int[] at, double[] c)
{
    /// <summary>Columns from a first one on.</summary>
    public virtual void At(int start, Span<double> into) => VectorMath.Combine(into, c, rows, at, start);

    /// <summary>Those of the first coefficients that are not zero, and which.</summary>
    /// <param name="room">For so many more the lists have room at their ends.</param>
    internal static (int[] At, double[] C) NonZero(ReadOnlySpan<double> coefficients, int count, int room = 0)
    {
        var n = 0;
        for (var k = 0; k < count; k++)
            if (coefficients[k] is not 0)
                n++;
        var (at, c) = (new int[n + room], new double[n + room]);
        for (int k = 0, i = 0; k < count; k++)
            if (coefficients[k] is not 0 and var factor)
                (at[i], c[i++]) = (k, factor);
        return (at, c);
    }
}
