namespace Ochema.Core.Structure.Lines;

/// <summary>
/// A rope of a net with the pulleys it runs over, as part of an energy that is least at rest. Its unknowns are the positions of its nodes
/// and, where it is heavy, the unstretched lengths of all stretches but the last.
/// </summary>
internal abstract class NetRope
{
    /// <summary>Nodes from one end to the other, pulleys between them.</summary>
    public required int[] Nodes { get; init; }

    /// <summary>Unstretched, m.</summary>
    public required double Length { get; init; }

    /// <summary>EA, N; raised step by step to that of the rope.</summary>
    public double Stiffness { get; set; }

    public int Stretches => Nodes.Length - 1;

    /// <summary>Unknown lengths.</summary>
    public virtual int Lengths => 0;

    /// <summary>Tension at the start and at the end of each stretch, N, the way the rope runs.</summary>
    public (Vec3 Start, Vec3 End)[] Tensions { get; protected set; } = [];

    /// <summary>Works out tensions for nodes at these places and these lengths of the stretches.</summary>
    public abstract void Hang(IReadOnlyList<Vec3> at, ReadOnlySpan<double> lengths);

    /// <summary>How much more a stretch would gain by a metre of rope than the last, N: nought where tensions are equal on both sides of
    /// each pulley.</summary>
    public virtual double Gain(int stretch) => 0;

    /// <summary>Second derivatives of the energy: (unknown, unknown, value); unknowns are 3·place + axis of <see cref="Nodes"/>, then
    /// lengths.</summary>
    public abstract void Curvature(Action<int, int, double> add);

    /// <summary>Unstretched length of a stretch, m.</summary>
    public abstract double LengthOf(int stretch);

    /// <summary>Adds a symmetric 3 × 3 block for the span of a stretch to both of its nodes.</summary>
    protected static void AddSpan(Action<int, int, double> add, int from, int to, double[] k)
    {
        for (var i = 0; i < 3; i++)
            for (var j = 0; j < 3; j++)
            {
                var v = k[3 * i + j];
                add(3 * from + i, 3 * from + j, v);
                add(3 * to + i, 3 * to + j, v);
                add(3 * from + i, 3 * to + j, -v);
                add(3 * to + i, 3 * from + j, -v);
            }
    }
}

/// <summary>A rope that nothing pulls at along the way: straight between its nodes, one tension, slack where they are nearer than it is
/// long.</summary>
internal sealed class StraightRope : NetRope
{
    /// <summary>Share of the length below which two nodes are taken as touching, so that the direction between them stays
    /// defined.</summary>
    private const double Touching = 1e-9;

    private Vec3[] runs = [];
    private double[] spans = [];
    private double tension;

    public override void Hang(IReadOnlyList<Vec3> at, ReadOnlySpan<double> lengths)
    {
        var n = Stretches;
        (runs, spans) = (new Vec3[n], new double[n]);
        for (var i = 0; i < n; i++)
        {
            var d = at[Nodes[i + 1]] - at[Nodes[i]];
            spans[i] = Math.Sqrt(d.Dot(d) + Touching * Length * Touching * Length);
            runs[i] = (1 / spans[i]) * d;
        }
        tension = Math.Max(0, Stiffness * (spans.Sum() / Length - 1));
        Tensions = [.. runs.Select(r => (tension * r, tension * r))];
    }

    public override double LengthOf(int stretch) => Length * spans[stretch] / spans.Sum();

    public override void Curvature(Action<int, int, double> add)
    {
        if (tension <= 0)
            return;
        var (k, stiff) = (new double[9], Stiffness / Length);
        for (var s = 0; s < Stretches; s++)
        {
            for (var i = 0; i < 3; i++)
                for (var j = 0; j < 3; j++)
                    k[3 * i + j] = tension / spans[s] * ((i == j ? 1 : 0) - Catenary.At(runs[s], i) * Catenary.At(runs[s], j));
            AddSpan(add, s, s + 1, k);
        }
        // A movement of any node lengthens the whole rope.
        var along = new Vec3[Nodes.Length];
        for (var s = 0; s < Stretches; s++)
            (along[s], along[s + 1]) = (along[s] - runs[s], along[s + 1] + runs[s]);
        for (var a = 0; a < along.Length; a++)
            for (var b = 0; b < along.Length; b++)
                for (var i = 0; i < 3; i++)
                    for (var j = 0; j < 3; j++)
                        add(3 * a + i, 3 * b + j, stiff * Catenary.At(along[a], i) * Catenary.At(along[b], j));
    }
}

/// <summary>A rope with weight or wind on it: catenaries between its nodes, whose lengths adjust until tensions are equal on both sides of
/// each pulley.</summary>
/// <param name="near">As <see cref="Catenary"/> takes it.</param>
internal sealed class HeavyRope(Vec3 q, int stretches, double near = 2e-15) : NetRope
{
    private readonly Catenary[] hung = [.. Enumerable.Range(0, stretches).Select(_ => new Catenary(q, near))];
    private readonly double[] energies = new double[stretches];

    public override int Lengths => hung.Length - 1;

    public override void Hang(IReadOnlyList<Vec3> at, ReadOnlySpan<double> lengths)
    {
        var left = Length;
        for (var s = 0; s < hung.Length; s++)
        {
            var own = s < lengths.Length ? lengths[s] : left;
            left -= own;
            hung[s].Hang(at[Nodes[s + 1]] - at[Nodes[s]], Math.Max(own, 1e-12 * Length), Stiffness);
            var t = hung[s].End.Length;
            energies[s] = -t - t * t / (2 * Stiffness) - q.Dot(at[Nodes[s + 1]]);
        }
        Tensions = [.. hung.Select(h => (h.Start, h.End))];
    }

    public override double LengthOf(int stretch) => hung[stretch].Length;

    public override double Gain(int stretch) => energies[stretch] - energies[^1];

    public override void Curvature(Action<int, int, double> add)
    {
        var lengths = 3 * Nodes.Length;
        for (var s = 0; s < hung.Length; s++)
        {
            var (h, k) = (hung[s], hung[s].Stiffness);
            AddSpan(add, s, s + 1, k);
            if (Lengths == 0)
                continue;
            // K·g, and what a metre more of rope in this stretch does to its start and end.
            var g = h.Running;
            var kg = new Vec3(k[0] * g.X + k[1] * g.Y + k[2] * g.Z, k[3] * g.X + k[4] * g.Y + k[5] * g.Z, k[6] * g.X + k[7] * g.Y + k[8]
                * g.Z);
            var curve = g.Dot(kg) + g.Dot(q);
            // The last stretch gets what the others give.
            foreach (var (own, sign) in s < Lengths ? [(s, 1.0)] : Enumerable.Range(0, Lengths).Select(i => (i, -1.0)))
            {
                for (var i = 0; i < 3; i++)
                {
                    var (first, second) = (sign * Catenary.At(kg, i), -sign * (Catenary.At(kg, i) + Catenary.At(q, i)));
                    add(3 * s + i, lengths + own, first);
                    add(lengths + own, 3 * s + i, first);
                    add(3 * (s + 1) + i, lengths + own, second);
                    add(lengths + own, 3 * (s + 1) + i, second);
                }
                if (s < Lengths)
                    add(lengths + own, lengths + own, curve);
                else
                    for (var other = 0; other < Lengths; other++)
                        add(lengths + own, lengths + other, curve);
            }
        }
    }
}
