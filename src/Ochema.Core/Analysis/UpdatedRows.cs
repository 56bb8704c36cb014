using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis;

/// <summary>
/// Rows of the whole rig with something taken away: u' = u + Z·y. What is asked of them is summed from the whole rig's rows and those of
/// what went, so that a state costs no more than the few numbers y; what the modes answer is drawn together a stretch of columns at a time,
/// where somebody looks.
/// </summary>
/// <param name="rows">The whole rig's, to unit loads and then to each mode's inertia; behind them those of what went (K⁻¹U).</param>
/// <param name="units">Unit loads that are no mode's.</param>
/// <param name="modes">Modes.</param>
/// <param name="factors">y of each row: how much of each that went.</param>
/// <param name="length">Columns.</param>
internal sealed class UpdatedRows(double[][] rows, int units, int modes, double[][] factors, int length, RigDynamics? dynamics, int fields)
    : ResponseRows
{
    /// <summary>Columns that are drawn together at a time.</summary>
    private const int Stretch = 128;

    private readonly double[]?[] drawn = new double[]?[(length + Stretch - 1) / Stretch];

    public override int Count => units + (dynamics is null ? 0 : RigDynamics.Columns);

    public override ResponseSum Times(ReadOnlySpan<double> coefficients)
    {
        var n = rows.Length - units - modes;
        var own = Math.Min(units, coefficients.Length);
        var (at, c) = ResponseSum.NonZero(coefficients, own, n);
        var known = at.Length - n;
        for (var i = 0; i < n; i++)
        {
            var sum = 0.0;
            for (var k = 0; k < known; k++)
                sum += c[k] * factors[at[k]][i];
            (at[known + i], c[known + i]) = (units + modes + i, sum);
        }
        var moves = coefficients[own..];
        return moves.IndexOfAnyExcept(0) < 0 ? new ResponseSum(rows, at, c) : new Sum(this, rows, at, c, moves.ToArray());
    }

    /// <summary>The sum with what the modes answer.</summary>
    private sealed class Sum(UpdatedRows of, double[][] rows, int[] at, double[] c, double[] moves) : ResponseSum(rows, at, c)
    {
        public override void At(int start, Span<double> into)
        {
            base.At(start, into);
            for (var done = 0; done < into.Length;)
            {
                var (stretch, from) = Math.DivRem(start + done, Stretch);
                var wide = of.WideOf(stretch);
                var count = Math.Min(into.Length - done, wide - from);
                var block = of.Drawn(stretch);
                for (var k = 0; k < moves.Length; k++)
                    if (moves[k] is not 0 and var factor)
                        VectorMath.AddScaled(into.Slice(done, count), factor, block.AsSpan(k * wide + from, count));
                done += count;
            }
        }
    }

    private int WideOf(int stretch) => Math.Min(Stretch, length - stretch * Stretch);

    /// <summary>What the modes answer in a stretch of columns, one answer after the other.</summary>
    private double[] Drawn(int stretch) => drawn[stretch] ??= DrawnTogether(stretch);

    private double[] DrawnTogether(int stretch)
    {
        var (from, wide) = (stretch * Stretch, WideOf(stretch));
        var n = rows.Length - units - modes;
        var (c, at) = (new double[n + 1], new int[n + 1]);
        for (var i = 0; i < n; i++)
            at[1 + i] = units + modes + i;
        double[] Left(int row)
        {
            (c[0], at[0]) = (1, row);
            factors[row].CopyTo(c, 1);
            var columns = new double[wide];
            VectorMath.Combine(columns, c, rows, at, from);
            return columns;
        }
        var together = dynamics!.Combine([Left(fields), Left(fields + 1), Left(fields + 2)],
            [.. Enumerable.Range(units, modes).Select(Left)]);
        var block = new double[RigDynamics.Columns * wide];
        for (var k = 0; k < together.Length; k++)
            together[k].CopyTo(block, k * wide);
        return block;
    }
}
