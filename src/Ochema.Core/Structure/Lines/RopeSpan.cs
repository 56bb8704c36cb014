namespace Ochema.Core.Structure.Lines;

/// <summary>
/// One elastic rope between two fixed ends, and a carriage on it at a given distance along: the rope runs through it with one tension, whatever holds it
/// there
/// (a hand line, a stop) takes what is along. What <see cref="HangingNet"/> finds for any net, found for this one in microseconds, so that every load case
/// may
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

    /// <summary>Unbalanced force that counts as none, as a share of the largest there is, and what may be left where rounding leaves more.</summary>
    private const double Balanced = 1e-10;
    private const double Passable = 1e-5;

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
        return new(from, to, OnChord(0.5), c.Start, c.End, Math.Max(c.Start.Length, c.End.Length), Math.Sqrt(Math.Pow(c.Start.X, 2) + Math.Pow(c.Start.Y,
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
            stuck = left < 0.5 * least ? 0 : stuck + 1;
            least = Math.Min(left, least);
            if (left <= Balanced * largest || (stuck > 8 && left <= Passable * largest))
                return Hung(rope, places, lengths[0], load);
            Curvature(rope, h);
            for (; ; damping = Math.Max(10 * damping, 1e-9))
                if (Solve(h, damping * (h[0] + h[4] + h[8]), gradient, step))
                    break;
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
        var a = h[0] + d;
        if (!(a > 0))
            return false;
        var l00 = Math.Sqrt(a);
        var (l10, l20) = (h[3] / l00, h[6] / l00);
        var b = h[4] + d - l10 * l10;
        if (!(b > 0))
            return false;
        var l11 = Math.Sqrt(b);
        var l21 = (h[7] - l20 * l10) / l11;
        var c = h[8] + d - l20 * l20 - l21 * l21;
        if (!(c > 1e-300))
            return false;
        var l22 = Math.Sqrt(c);
        var y0 = -g[0] / l00;
        var y1 = (-g[1] - l10 * y0) / l11;
        var y2 = (-g[2] - l20 * y0 - l21 * y1) / l22;
        x[2] = y2 / l22;
        x[1] = (y1 - l21 * x[2]) / l11;
        x[0] = (y0 - l10 * x[1] - l20 * x[2]) / l00;
        return double.IsFinite(x[0]) && double.IsFinite(x[1]) && double.IsFinite(x[2]);
    }

    private RopeHung Hung(HeavyRope rope, Vec3[] places, double first, Vec3 load)
    {
        var (t, u) = (rope.Tensions[0], rope.Tensions[1]);
        var most = Math.Max(Math.Max(t.Start.Length, t.End.Length), Math.Max(u.Start.Length, u.End.Length));
        return new(from, to, places[1], t.Start, u.End, most, t.End.Length, first) { Held = -(load - t.End + u.Start).X };
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
        double? Depth(double length)
        {
            var span = new RopeSpan(from, to, length, stiffness, mass);
            return span.Under(share, new(0, 0, -load)) is { } hung ? span.OnChord(share).Z - hung.At.Z : null;
        }
        // A longer rope hangs deeper.
        var (low, high) = (0.2 * chord, chord + 2 * depth * depth / (chord * Math.Min(share, 1 - share)) + 1e-6);
        for (var i = 0; Depth(high) is { } d && d < depth; i++)
        {
            if (i > 30)
                return null;
            (low, high) = (high, high + 0.05 * chord);
        }
        for (var i = 0; i < 60 && high - low > 1e-12 * chord; i++)
        {
            var middle = 0.5 * (low + high);
            if (Depth(middle) is not { } d)
                return null;
            (low, high) = d < depth ? (middle, high) : (low, middle);
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
