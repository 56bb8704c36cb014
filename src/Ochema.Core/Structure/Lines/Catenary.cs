namespace Ochema.Core.Structure.Lines;

/// <summary>
/// A stretch of heavy elastic rope between two points: t(s) = t₀ − q·s, dx/ds = t/|t|·(1 + |t|/EA) (Irvine, "Cable Structures", 1981,
/// §1.4). The tension at its start is sought as the least of a convex function, so that any start ends at the one answer, taut or hanging
/// far down.
/// </summary>
/// <param name="q">Weight and wind, N per unstretched metre.</param>
/// <param name="near">Share of its size by which it may miss its end; rounding unless said.</param>
internal sealed class Catenary(Vec3 q, double near = 2e-15)
{
    private const int Rounds = 200;
    private readonly double weight = q.Length;
    private readonly Vec3 down = q.Normalized();
    private double across;
    private double along;
    private bool known;

    /// <summary>Tension at the start, N, the way the rope runs: what it pulls its first node with.</summary>
    public Vec3 Start { get; private set; }

    /// <summary>Tension at the end, N, the way the rope runs: it pulls its last node back with it.</summary>
    public Vec3 End => Start - Length * q;

    /// <summary>Unstretched, m.</summary>
    public double Length { get; private set; }

    /// <summary>Stiffness of the span against a movement of its ends, N/m, symmetric 3 × 3 by rows.</summary>
    public double[] Stiffness { get; } = new double[9];

    /// <summary>Where the rope goes at its end per unstretched metre: direction × (1 + strain).</summary>
    public Vec3 Running { get; private set; }

    /// <summary>Finds tensions and stiffness.</summary>
    /// <param name="span">From the first end to the second, m.</param>
    /// <param name="length">Unstretched, m.</param>
    /// <param name="stiffness">EA, N.</param>
    public void Hang(Vec3 span, double length, double stiffness)
    {
        Length = length;
        var fall = span.Dot(down);
        var flat = span - fall * down;
        var reach = flat.Length;
        // Below this the rope hangs in a line: what stands across is rounding.
        var upright = reach < 1e-12 * length;
        var side = upright ? Aside(down) : (1 / reach) * flat;
        if (upright)
            (across, along) = (0, Upright(fall, length, stiffness));
        else
            Seek(reach, fall, length, stiffness);
        known = true;
        Start = across * side + along * down;
        var end = End;
        Running = (end.Length > 0 ? 1 / end.Length + 1 / stiffness : 0) * end;
        var f = Of(Math.Max(across, 1e-12 * weight * length), along, length, stiffness);
        var det = f.HH * f.AA - f.HA * f.HA;
        var (hh, ha, aa, off) = (f.AA / det, -f.HA / det, f.HH / det, 1 / f.Off);
        var third = side.Cross(down);
        for (var i = 0; i < 3; i++)
            for (var j = 0; j < 3; j++)
                Stiffness[3 * i + j] = hh * At(side, i) * At(side, j) + aa * At(down, i) * At(down, j)
                    + ha * (At(side, i) * At(down, j) + At(down, i) * At(side, j)) + off * At(third, i) * At(third, j);
    }

    /// <summary>Where a stretch ends that begins with a tension, and how that moves with it (symmetric 3 × 3 by rows, m/N).</summary>
    /// <param name="start">N, the way it runs; not along its weight alone.</param>
    /// <param name="length">Unstretched, m.</param>
    /// <param name="stiffness">EA, N.</param>
    /// <param name="give">Nine numbers that are filled.</param>
    internal Vec3 Walk(Vec3 start, double length, double stiffness, Span<double> give)
    {
        var a = start.Dot(down);
        var level = start - a * down;
        var h = level.Length;
        var side = (1 / h) * level;
        var f = Of(h, a, length, stiffness);
        var third = side.Cross(down);
        for (var i = 0; i < 3; i++)
            for (var j = 0; j < 3; j++)
                give[3 * i + j] = f.HH * At(side, i) * At(side, j) + f.AA * At(down, i) * At(down, j)
                    + f.HA * (At(side, i) * At(down, j) + At(down, i) * At(side, j)) + f.Off * At(third, i) * At(third, j);
        return f.Reach * side + f.Fall * down;
    }

    internal static double At(Vec3 v, int i) => i switch { 0 => v.X, 1 => v.Y, _ => v.Z };

    private static Vec3 Aside(Vec3 v) => v.Cross(Math.Abs(v.X) < 0.9 ? Vec3.UnitX : Vec3.UnitY).Normalized();

    /// <summary>Start tension along the weight of a rope that hangs in a line: from one end, from the other, or as a bight between
    /// both.</summary>
    private double Upright(double fall, double length, double stiffness)
    {
        var all = weight * length;
        var bight = (fall + length + all * length / (2 * stiffness)) / (2 / weight + length / stiffness);
        if (bight > all)
            return (fall - length + all * length / (2 * stiffness)) * stiffness / length;
        return bight < 0 ? (fall + length + all * length / (2 * stiffness)) * stiffness / length : bight;
    }

    private void Seek(double reach, double fall, double length, double stiffness)
    {
        if (!known || across <= 0)
            Guess(reach, fall, length, stiffness);
        for (var round = 0; round < Rounds; round++)
        {
            var f = Of(across, along, length, stiffness);
            var (rh, ra) = (reach - f.Reach, fall - f.Fall);
            if (Math.Max(Math.Abs(rh), Math.Abs(ra)) <= near * (length + reach + Math.Abs(fall)))
                return;
            var det = f.HH * f.AA - f.HA * f.HA;
            var (ph, pa) = ((f.AA * rh - f.HA * ra) / det, (f.HH * ra - f.HA * rh) / det);
            if (!double.IsFinite(ph) || !double.IsFinite(pa))
                (ph, pa) = (rh / f.HH, ra / f.AA);
            var slope = rh * ph + ra * pa;
            var most = ph < 0 ? Math.Min(1, 0.95 * across / -ph) : 1;
            var (low, step) = (0.0, most);
            for (var cut = 0; cut < 60; cut++)
            {
                var g = Of(across + step * ph, along + step * pa, length, stiffness);
                var left = (reach - g.Reach) * ph + (fall - g.Fall) * pa;
                if (left >= -0.9 * slope)
                    break;
                step = 0.5 * (low + step);
            }
            var (oldH, oldA) = (across, along);
            (across, along) = (across + step * ph, along + step * pa);
            if (Math.Abs(across - oldH) + Math.Abs(along - oldA) <= 1e-16 * (Math.Abs(across) + Math.Abs(along)))
                return;
        }
    }

    /// <summary>As an inextensible rope hangs (λ from its slack; Peyrot and Goulois 1979), or as a straight one is drawn.</summary>
    private void Guess(double reach, double fall, double length, double stiffness)
    {
        var straight = Math.Sqrt(reach * reach + fall * fall);
        if (length > straight)
        {
            var slack = Math.Clamp(Math.Sqrt(3 * ((length * length - fall * fall) / (reach * reach) - 1)), 1e-4, 300);
            (across, along) = (0.5 * weight * reach / slack, 0.5 * weight * (length + fall / Math.Tanh(slack)));
            return;
        }
        var tension = stiffness * (straight / length - 1) + weight * length;
        (across, along) = (tension * reach / straight, tension * fall / straight + 0.5 * weight * length);
    }

    /// <summary>
    /// How far a rope gets with a start tension of h across and a along its weight, and how that grows: dh, da of each, and of a tension
    /// out of the plane. Differences are written as quotients, so that a taut light rope keeps its digits.
    /// </summary>
    private (double Reach, double Fall, double HH, double HA, double AA, double Off) Of(double h, double a, double length, double stiffness)
    {
        var (all, e) = (weight * length, a - weight * length);
        var (t0, t1) = (Math.Sqrt(h * h + a * a), Math.Sqrt(h * h + e * e));
        var fallen = length * (a + e) / (t0 + t1);
        var inverse = a * e > 0 ? Math.Asinh(all * (a + e) / (a * t1 + e * t0)) / weight : (Math.Asinh(a / h) - Math.Asinh(e / h)) / weight;
        var turned = a * e > 0 ? h * h * length * (a + e) / ((a * t1 + e * t0) * t0 * t1) : (a / t0 - e / t1) / weight;
        var elastic = length / stiffness;
        return (h * (inverse + elastic), fallen + 0.5 * (a + e) * elastic, Math.Max(inverse - turned, 0) + elastic,
            -h * fallen / (t0 * t1), turned + elastic, inverse + elastic);
    }
}
