namespace Ochema.Core.Structure.Lines;

/// <summary>
/// One elastic rope between two fixed ends, and a carriage on it at a given distance along: the rope runs through it with one tension,
/// whatever holds it there
/// (a hand line, a stop) takes what is along. What <see cref="HangingNet"/> finds for any net, found for this one in microseconds, so that
/// every load case may
/// ask anew; the two are tested against each other.
/// </summary>
/// <param name="from">One end, m.</param>
/// <param name="to">The other, m; not above or below the first.</param>
/// <param name="length">Unstretched, m.</param>
/// <param name="stiffness">EA, N.</param>
/// <param name="mass">kg per unstretched metre, more than nothing.</param>
public sealed class RopeSpan(Vec3 from, Vec3 to, double length, double stiffness, double mass)
{
    private const int Rounds = 80;

    /// <summary>Unbalanced force that counts as none, as a share of the largest there is, and what may be left where rounding leaves
    /// more.</summary>
    private const double Balanced = 1e-10;
    private const double Passable = 1e-5;

    /// <summary>Damping, as a share of the matrix's own diagonal, beyond which a step is none.</summary>
    private const double MostDamping = 1e12;

    private static readonly Vec3 Weight = new(0, 0, -9.80665);

    /// <summary>Unstretched, m.</summary>
    public double Length { get; } = length;

    /// <summary>From one end to the other, m.</summary>
    public double Chord { get; } = (to - from).Length;

    /// <summary>Point of the chord at a share of the way along, m.</summary>
    public Vec3 OnChord(double share) => from + share * (to - from);

    /// <summary>The empty rope, hanging by itself in still air.</summary>
    public RopeHung Empty()
    {
        var c = new Catenary(mass * Weight);
        c.Hang(to - from, Length, stiffness);
        return new(from, to, OnChord(0.5), c.Start, c.End, Math.Max(c.Start.Length, c.End.Length),
            Math.Sqrt(Math.Pow(c.Start.X, 2) + Math.Pow(c.Start.Y,
            2)), 0);
    }

    /// <summary>The rope with a carriage on it.</summary>
    /// <param name="share">Where it stands along the chord, 0 to 1.</param>
    /// <param name="load">What pulls at it, N; what is along the run is taken by whatever holds it there.</param>
    /// <param name="wind">On the rope, N per metre.</param>
    /// <param name="near">A neighbouring answer to begin from; null begins from the straight rope.</param>
    /// <returns>Null where no equilibrium is found.</returns>
    public RopeHung? Under(double share, Vec3 load, Vec3 wind = default, RopeHung? near = null)
    {
        var q = mass * Weight + wind;
        var at = OnChord(share);
        if (near is not null && Quick(at, load, q, near) is { } quick)
            return quick;
        var rope = new HeavyRope(q, 2) { Nodes = [0, 1, 2], Length = Length, Stiffness = stiffness };
        var places = new[] { from, at, to };
        var lengths = new[] { near?.First ?? share * Length };
        places[1] = near is { } n ? new(at.X, n.At.Y, n.At.Z) : at - 0.02 * Chord * Vec3.UnitZ;
        Span<double> gradient = stackalloc double[3];
        Span<double> step = stackalloc double[3];
        var h = new double[9];
        var (damping, least, stuck) = (0.0, double.PositiveInfinity, 0);
        rope.Hang(places, lengths);
        Gradient(rope, load, gradient);
        for (var round = 0; round < Rounds; round++)
        {
            var largest = Math.Max(load.Length, Math.Max(rope.Tensions[0].End.Length, rope.Tensions[1].Start.Length));
            var left = Math.Abs(gradient[0]) + Math.Abs(gradient[1]) + Math.Abs(gradient[2]);
            if (!double.IsFinite(left + largest))
                return null;
            stuck = left < 0.5 * least ? 0 : stuck + 1;
            least = Math.Min(left, least);
            if (left <= Balanced * largest || (stuck > 8 && left <= Passable * largest))
                return Hung(rope, places, lengths[0], load);
            Curvature(rope, h);
            if (!Damped(h, gradient, ref damping, step))
                return left <= Passable * largest ? Hung(rope, places, lengths[0], load) : null;
            // No further than a fifth of what is left of either stretch.
            var most = Math.Min(1, 0.2 * Math.Min(lengths[0], Length - lengths[0]) / Math.Max(1e-300, Math.Abs(step[2])));
            var slope = gradient[0] * step[0] + gradient[1] * step[1] + gradient[2] * step[2];
            if (!(slope < 0))
                return left <= Passable * largest ? Hung(rope, places, lengths[0], load) : null;
            var (old, oldLength) = (places[1], lengths[0]);
            for (var by = most; ; by /= 2)
            {
                places[1] = old + by * new Vec3(0, step[0], step[1]);
                lengths[0] = oldLength + by * step[2];
                rope.Hang(places, lengths);
                Gradient(rope, load, gradient);
                var now = gradient[0] * step[0] + gradient[1] * step[1] + gradient[2] * step[2];
                // The energy is convex: it falls as long as its slope does, and overshoots where the slope has turned as steep.
                if (now <= -0.9 * slope || by < 1e-6)
                    break;
            }
            damping *= 0.1;
        }
        return null;
    }

    /// <summary>A step with as much damping as makes the matrix positive; false where none does, or rounding has left no numbers.</summary>
    private static bool Damped(double[] h, ReadOnlySpan<double> gradient, ref double damping, Span<double> step)
    {
        for (; damping <= MostDamping; damping = Math.Max(10 * damping, 1e-9))
            if (Solve(h, damping * (h[0] + h[4] + h[8]), gradient, step))
                return true;
        return false;
    }

    /// <summary>
    /// From a neighbouring answer by Newton's method on the tensions at the carriage and the length up to it, in which both stretches are
    /// written out: no search within a search. Null where that does not come to rest at once; then it is hung step by step.
    /// </summary>
    private RopeHung? Quick(Vec3 at, Vec3 load, Vec3 q, RopeHung near)
    {
        const int rounds = 12;
        var rope = new Catenary(q);
        var first = near.First;
        // What the rope pulls at the carriage with: back to its first end, on to its second.
        var (back, on) = (-(near.Start - first * q), near.End + (Length - first) * q);
        var (x1, y, z, x2) = (-back.X, back.Y, back.Z, on.X);
        Span<double> one = stackalloc double[9];
        Span<double> two = stackalloc double[9];
        Span<double> m = stackalloc double[30];
        for (var round = 0; round < rounds; round++)
        {
            (back, on) = (new(-x1, y, z), new(x2, -load.Y - y, -load.Z - z));
            if (!(x1 > 0 && x2 > 0 && first > 0 && first < Length))
                return null;
            var (s1, s2) = (rope.Walk(back, first, stiffness, one), rope.Walk(on, Length - first, stiffness, two));
            var (gap, t1, t2) = (s1 - s2 - (from - to), back.Length, on.Length);
            var aside = at.X + s1.X - from.X;
            var size = Chord * 1e-10;
            if (Math.Abs(gap.X) + Math.Abs(gap.Y) + Math.Abs(gap.Z) + Math.Abs(aside) < size && Math.Abs(t1 - t2) < 1e-9 * t1)
                return Found(from - s1, back, on, first, q, load);
            // Where a stretch ends moves by a metre more of rope as it runs there.
            var (e1, e2) = (back - first * q, on - (Length - first) * q);
            var (r1, r2) = ((1 / e1.Length + 1 / stiffness) * e1, (1 / e2.Length + 1 / stiffness) * e2);
            for (var i = 0; i < 3; i++)
            {
                m[6 * i] = -one[3 * i];
                m[6 * i + 1] = one[3 * i + 1] + two[3 * i + 1];
                m[6 * i + 2] = one[3 * i + 2] + two[3 * i + 2];
                m[6 * i + 3] = -two[3 * i];
                m[6 * i + 4] = Catenary.At(r1, i) + Catenary.At(r2, i);
                m[6 * i + 5] = -Catenary.At(gap, i);
            }
            (m[18], m[19], m[20], m[21], m[22], m[23]) = (-one[0], one[1], one[2], 0, r1.X, -aside);
            (m[24], m[25], m[26], m[27], m[28], m[29]) = (x1 / t1, y / t1 - -on.Y / t2, z / t1 - -on.Z / t2, -x2 / t2, 0, t2 - t1);
            if (!Eliminate(m))
                return null;
            (x1, y, z, x2, first) = (x1 + m[5], y + m[11], z + m[17], x2 + m[23], first + m[29]);
        }
        return null;
    }

    private RopeHung Found(Vec3 place, Vec3 back, Vec3 on, double first, Vec3 q, Vec3 load)
    {
        var (start, end) = (first * q - back, on - (Length - first) * q);
        var most = Math.Max(Math.Max(start.Length, back.Length), Math.Max(on.Length, end.Length));
        return new(from, to, place, start, end, most, back.Length, first) { Held = -(load + back + on).X };
    }

    /// <summary>Solves five equations in place by elimination with the largest pivot; the answer is left in the last column.</summary>
    private static bool Eliminate(Span<double> m)
    {
        for (var c = 0; c < 5; c++)
        {
            var best = c;
            for (var r = c + 1; r < 5; r++)
                if (Math.Abs(m[6 * r + c]) > Math.Abs(m[6 * best + c]))
                    best = r;
            var pivot = m[6 * best + c];
            if (!(Math.Abs(pivot) > 1e-300) || !double.IsFinite(pivot))
                return false;
            for (var k = 0; k < 6; k++)
                (m[6 * c + k], m[6 * best + k]) = (m[6 * best + k] / pivot, c == best ? m[6 * c + k] / pivot : m[6 * c + k]);
            for (var r = 0; r < 5; r++)
                if (r != c && m[6 * r + c] is not 0 and var by)
                    for (var k = c; k < 6; k++)
                        m[6 * r + k] -= by * m[6 * c + k];
        }
        return true;
    }

    private static void Gradient(HeavyRope rope, Vec3 load, Span<double> g)
    {
        var f = load - rope.Tensions[0].End + rope.Tensions[1].Start;
        (g[0], g[1], g[2]) = (-f.Y, -f.Z, rope.Gain(0));
    }

    /// <summary>Second derivatives by the carriage's y and z and by the first stretch's length.</summary>
    private static void Curvature(HeavyRope rope, double[] h)
    {
        Array.Clear(h);
        rope.Curvature((i, j, v) =>
        {
            var (a, b) = (Own(i), Own(j));
            if (a >= 0 && b >= 0)
                h[3 * a + b] += v;
        });
    }

    private static int Own(int unknown) => unknown switch { 4 => 0, 5 => 1, 9 => 2, _ => -1 };

    /// <summary>−(H + d)⁻¹·g by Cholesky; false where it is not positive.</summary>
    private static bool Solve(double[] h, double d, ReadOnlySpan<double> g, Span<double> x)
    {
        Span<double> l = stackalloc double[9];
        h.AsSpan(0, 9).CopyTo(l);
        for (var i = 0; i < 3; i++)
            (l[4 * i], x[i]) = (l[4 * i] + d, -g[i]);
        if (!DenseCholesky.Factor(l, 3, [0, 0, 1e-300]))
            return false;
        DenseCholesky.Solve(l, 3, x);
        return double.IsFinite(x[0]) && double.IsFinite(x[1]) && double.IsFinite(x[2]);
    }

    /// <summary>What was found; null where it is beyond numbers.</summary>
    private RopeHung? Hung(HeavyRope rope, Vec3[] places, double first, Vec3 load)
    {
        var (t, u) = (rope.Tensions[0], rope.Tensions[1]);
        var most = Math.Max(Math.Max(t.Start.Length, t.End.Length), Math.Max(u.Start.Length, u.End.Length));
        return !double.IsFinite(most) ? null
            : new(from, to, places[1], t.Start, u.End, most, t.End.Length, first) { Held = -(load - t.End + u.Start).X };
    }

    /// <summary>
    /// Unstretched length, m, with which a carriage hangs at a wanted depth under the chord in the middle; null where no rope does it.
    /// </summary>
    /// <param name="share">Where it stands along the chord.</param>
    /// <param name="depth">m under the chord there.</param>
    /// <param name="load">N, down.</param>
    public static double? LengthFor(Vec3 from, Vec3 to, double stiffness, double mass, double share, double depth, double load)
    {
        var chord = (to - from).Length;
        RopeHung? near = null;
        double? Off(double length)
        {
            var span = new RopeSpan(from, to, length, stiffness, mass);
            near = span.Under(share, new(0, 0, -load), default, near is null ? null : near with { First = share * length }) ?? near;
            return near is null ? null : span.OnChord(share).Z - near.At.Z - depth;
        }
        // A longer rope hangs deeper.
        var (low, high) = (0.2 * chord, chord + 2 * depth * depth / (chord * Math.Min(share, 1 - share)) + 1e-6);
        for (var i = 0; Off(high) is { } d && d < 0; i++)
        {
            if (i > 30)
                return null;
            (low, high) = (high, high + 0.05 * chord);
        }
        if (Off(low) is not { } under || Off(high) is not { } over)
            return null;
        // So soft that the shortest of them hangs deeper already.
        if (!(under <= 0 && over >= 0))
            return null;
        // False position, the end that stays weighed half each time it does (Illinois).
        for (var i = 0; i < 80 && high - low > 1e-12 * chord; i++)
        {
            var next = i % 4 == 3 ? 0.5 * (low + high) : (low * over - high * under) / (over - under);
            if (Off(next) is not { } d)
                return null;
            if (Math.Abs(d) < 1e-9 * depth)
                return next;
            if (d < 0)
                (low, under, over) = (next, d, 0.5 * over);
            else
                (high, over, under) = (next, d, 0.5 * under);
        }
        return 0.5 * (low + high);
    }
}

/// <summary>A rope as it hangs with a carriage on it.</summary>
/// <param name="From">One end, m.</param>
/// <param name="To">The other, m.</param>
/// <param name="At">The carriage, m.</param>
/// <param name="Start">Tension at the first end, N, the way the rope runs.</param>
/// <param name="End">At the other end, N.</param>
/// <param name="Most">Largest tension, N.</param>
/// <param name="Tension">At the carriage, N; of the empty rope what is level of it.</param>
/// <param name="First">Unstretched length up to the carriage, m.</param>
public sealed record RopeHung(Vec3 From, Vec3 To, Vec3 At, Vec3 Start, Vec3 End, double Most, double Tension, double First)
{
    /// <summary>What holds the carriage in its place along the run, N; forward positive.</summary>
    public double Held { get; init; }
}
