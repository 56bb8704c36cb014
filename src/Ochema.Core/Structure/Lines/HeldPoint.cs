namespace Ochema.Core.Structure.Lines;

/// <summary>One line from a point to a fixed end: pulls only, straight, its own weight left out.</summary>
/// <param name="End">Its fixed end, m.</param>
/// <param name="Length">Unstretched, m.</param>
/// <param name="Stiffness">EA, N.</param>
public readonly record struct HeldBy(Vec3 End, double Length, double Stiffness)
{
    /// <summary>Tension, N, and unit vector from the point to the end, for a point at a place.</summary>
    public (double Tension, Vec3 Way, double Span) At(Vec3 point)
    {
        var d = End - point;
        var span = Math.Max(d.Length, 1e-9 * Length);
        return (Math.Max(0, Stiffness * (span / Length - 1)), (1 / span) * d, span);
    }
}

/// <summary>
/// A point held by a few elastic lines: where it hangs under a load, however far that is from where it hung before. Its energy is convex,
/// so that there is one
/// answer; what no line holds has none.
/// </summary>
public static class HeldPoint
{
    private const int Rounds = 200;
    private const double Balanced = 1e-9;

    /// <summary>Where the point comes to rest, m; null where nothing holds it.</summary>
    /// <param name="lines">What is left of them.</param>
    /// <param name="load">N.</param>
    /// <param name="near">A guess; it has no say in the answer.</param>
    public static Vec3? Rest(ReadOnlySpan<HeldBy> lines, Vec3 load, Vec3 near)
    {
        if (lines.Length == 0)
            return null;
        var (at, damping) = (near, 1e-6);
        Span<double> h = stackalloc double[6];
        for (var round = 0; round < Rounds; round++)
        {
            var (force, largest) = Of(lines, load, at, h);
            if (force.Length <= Balanced * Math.Max(largest, load.Length))
                return at;
            var typical = lines[0].Stiffness / lines[0].Length;
            // Never further at a time than the lines are long: where all are slack the matrix says nothing.
            var step = Solve(h, damping * typical, force);
            if (step.Length > lines[0].Length)
                step = (lines[0].Length / step.Length) * step;
            var falls = force.Dot(step);
            var by = 1.0;
            // Convex: the energy falls as long as its slope does, and has been overshot where the slope has turned as steep.
            while (by > 1e-12 && -Of(lines, load, at + by * step, default).Force.Dot(step) > 0.8 * falls)
                by /= 2;
            at += by * step;
            damping = by >= 0.5 ? Math.Max(0.1 * damping, 1e-14) : Math.Min(10 * damping, 1);
        }
        return null;
    }

    /// <summary>Unbalanced force and largest tension; into h, if given, the tangent stiffness xx, xy, xz, yy, yz, zz.</summary>
    private static (Vec3 Force, double Largest) Of(ReadOnlySpan<HeldBy> lines, Vec3 load, Vec3 at, Span<double> h)
    {
        var (force, largest) = (load, 0.0);
        if (!h.IsEmpty)
            h.Clear();
        foreach (var line in lines)
        {
            var (tension, way, span) = line.At(at);
            if (tension <= 0)
                continue;
            force += tension * way;
            largest = Math.Max(largest, tension);
            if (h.IsEmpty)
                continue;
            var (along, across) = (line.Stiffness / line.Length, tension / span);
            var turned = along - across;
            h[0] += across + turned * way.X * way.X;
            h[1] += turned * way.X * way.Y;
            h[2] += turned * way.X * way.Z;
            h[3] += across + turned * way.Y * way.Y;
            h[4] += turned * way.Y * way.Z;
            h[5] += across + turned * way.Z * way.Z;
        }
        return (force, largest);
    }

    private static Vec3 Solve(ReadOnlySpan<double> h, double damping, Vec3 f)
    {
        var (a, b, c, d, e, g) = (h[0] + damping, h[1], h[2], h[3] + damping, h[4], h[5] + damping);
        var (aa, bb, cc) = (d * g - e * e, c * e - b * g, b * e - c * d);
        var det = a * aa + b * bb + c * cc;
        return (1 / det) * new Vec3(aa * f.X + bb * f.Y + cc * f.Z, bb * f.X + (a * g - c * c) * f.Y + (b * c - a * e) * f.Z,
            cc * f.X + (b * c - a * e) * f.Y + (a * d - b * b) * f.Z);
    }
}
