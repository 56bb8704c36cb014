using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;

namespace Ochema.Core.Rigs;

/// <summary>
/// A bracket hung on three lines: where it hangs in each case, with all of them and with one gone. The lines meet in one point here; the
/// frame has the bracket's width.
/// </summary>
public sealed class HeldByLines
{
    private readonly HeldBy[] lines;
    private readonly StrapRow[] rows;
    private readonly string[] ids;
    private SpringIndex[] springs = [];

    /// <param name="lines">As long as they are unstretched.</param>
    /// <param name="ids">Their parts.</param>
    public HeldByLines(HeldBy[] lines, StrapRow[] rows, string[] ids) => (this.lines, this.rows, this.ids) = (lines, rows, ids);

    /// <summary>Springs of the frame that stand for them.</summary>
    internal void On(SpringIndex[] those) => springs = those;

    /// <summary>Row of a line.</summary>
    public StrapRow Row(int line) => rows[line];

    /// <summary>As it hangs under a weight at rest, N; null where nothing holds it.</summary>
    /// <param name="near">m.</param>
    public Vec3? AtRest(double weight, Vec3 near) => HeldPoint.Rest(lines, new(0, 0, -weight), near);

    /// <summary>Tension of a line, N, its way out and its span, m, with the bracket at a place.</summary>
    public (double Tension, Vec3 Way, double Span) Line(int line, Vec3 at) => lines[line].At(at);

    /// <summary>How much a line is stretched there, a share of its length; negative where it is slack.</summary>
    public double Stretch(int line, Vec3 at) => (lines[line].End - at).Length / lines[line].Length - 1;

    /// <summary>What pulls at the bracket in a case, N: all that its springs carry.</summary>
    public Vec3 LoadOf(CaseForces f)
    {
        var sum = Vec3.Zero;
        for (var i = 0; i < springs.Length; i++)
            if (!f.IsGone(ids[i]))
                sum -= f.Spring(springs[i]).Force;
        return sum;
    }

    /// <summary>Where it hangs in a case; null where nothing holds it.</summary>
    public Vec3? In(CaseForces f) => f.Once(this, static (held, forces) => new Found(held.Hang(forces))).At;

    private sealed record Found(Vec3? At);

    private Vec3? Hang(CaseForces f)
    {
        Span<HeldBy> left = stackalloc HeldBy[3];
        var n = 0;
        for (var i = 0; i < lines.Length; i++)
            if (!f.IsGone(ids[i]))
                left[n++] = lines[i];
        return HeldPoint.Rest(left[..n], LoadOf(f), lines[0].End - 0.2 * Vec3.UnitZ);
    }
}
