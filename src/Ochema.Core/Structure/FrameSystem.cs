namespace Ochema.Core.Structure;

/// <summary>The part that can move freely: a singular stiffness, told as a motion.</summary>
/// <param name="Node">The node that moves most.</param>
/// <param name="Motion">In words: "turn about the length axis", "slide sideways" and the like.</param>
public sealed record Mechanism(string Node, string Motion)
{
    public string Text => $"{Node} can {Motion} freely here";
}

/// <summary>
/// A model made ready for computing: degrees of freedom, element matrices, order of unknowns.
/// Linear algebra runs on the bodies of <see cref="RigidGroups"/>, six unknowns each.
/// </summary>
internal sealed class FrameSystem
{
    private const double SingularTolerance = 1e-11;
    private readonly RigidGroups groups;
    private readonly int[] base6;
    private readonly Dictionary<string, int> nodeIndex = [];

    public ModelDocument Model { get; }
    public int Size { get; }
    public BeamElement[] Beams { get; }
    public LineElement[] Lines { get; }
    private readonly (int From, int To)[] beamEnds;
    private readonly (int From, int To)[] springEnds;
    /// <summary>What its six stiffnesses are along and about; null for the host axes.</summary>
    private readonly (Vec3 X, Vec3 Y, Vec3 Z)?[] springAxes;
    private readonly int[] firstColumn;
    private readonly int[][] beamDofs;
    private readonly double[][,] beamStiffness;

    public FrameSystem(ModelDocument model)
    {
        Model = model;
        for (var i = 0; i < model.Nodes.Count; i++)
            nodeIndex.Add(model.Nodes[i].Id, i);
        groups = new RigidGroups(model.Nodes, model.RigidLinks.Select(r => (nodeIndex[r.From], nodeIndex[r.To])));
        Size = 6 * groups.Count;
        beamEnds = [.. model.Members.Select(m => (nodeIndex[m.From], nodeIndex[m.To]))];
        springEnds = [.. model.Springs.Select(s => (nodeIndex[s.From], s.To is null ? -1 : nodeIndex[s.To]))];
        springAxes = [.. model.Springs.Select(s => s.Axis is { } axis ? ((Vec3, Vec3, Vec3)?)axis.Frame() : null)];
        Beams = new BeamElement[model.Members.Count];
        for (var i = 0; i < Beams.Length; i++)
            Beams[i] = new BeamElement(model.Members[i], model.Nodes[beamEnds[i].From].Position, model.Nodes[beamEnds[i].To].Position);
        Lines = [.. model.Lines.Select(l => new LineElement(this, l))];

        var edges = beamEnds.Concat(springEnds.Where(e => e.To >= 0))
            .Concat(Lines.Where(l => l.To >= 0).Select(l => (l.From, l.To)))
            .Select(e => (groups.GroupOf[e.Item1], groups.GroupOf[e.Item2])).ToList();
        var order = groups.Order(edges);
        base6 = new int[groups.Count];
        for (var i = 0; i < order.Length; i++)
            base6[order[i]] = 6 * i;
        firstColumn = new int[Size];
        for (var i = 0; i < Size; i++)
            firstColumn[i] = i / 6 * 6;
        foreach (var (a, b) in edges)
        {
            var (lo, hi) = (Math.Min(base6[a], base6[b]), Math.Max(base6[a], base6[b]));
            for (var q = 0; q < 6; q++)
                firstColumn[hi + q] = Math.Min(firstColumn[hi + q], lo);
        }
        beamDofs = new int[Beams.Length][];
        beamStiffness = new double[Beams.Length][,];
        for (var i = 0; i < Beams.Length; i++)
        {
            beamDofs[i] = Dofs(beamEnds[i].From, beamEnds[i].To);
            beamStiffness[i] = ToBodies(Beams[i].Stiffness, beamEnds[i].From, beamEnds[i].To);
        }
        for (var l = 0; l < Lines.Length; l++)
            Lines[l] = Lines[l].Placed(this);
    }

    public int NodeIndex(string id) => nodeIndex[id];

    public (int From, int To) BeamEnds(int beam) => beamEnds[beam];

    /// <summary>Stiffness of what is present, with the lines given in <paramref name="taut"/> as springs along their length.</summary>
    public EnvelopeMatrix Stiffness(Func<string, bool> present, IEnumerable<int> taut)
    {
        var k = new EnvelopeMatrix(firstColumn);
        for (var i = 0; i < Beams.Length; i++)
            if (present(Beams[i].Member.Id))
                AddBlock(k, beamDofs[i], beamStiffness[i]);
        for (var s = 0; s < Model.Springs.Count; s++)
            if (present(Model.Springs[s].Id))
                AddSpring(k, s);
        foreach (var l in taut)
            AddLine(k, Lines[l]);
        return k;
    }

    /// <summary>Consistent mass of what is present.</summary>
    public EnvelopeMatrix Mass(Func<string, bool> present)
    {
        var m = new EnvelopeMatrix(firstColumn);
        for (var i = 0; i < Beams.Length; i++)
            if (present(Beams[i].Member.Id))
                AddBlock(m, beamDofs[i], ToBodies(Beams[i].Mass, beamEnds[i].From, beamEnds[i].To));
        foreach (var p in Model.Masses)
        {
            var n = nodeIndex[p.Node];
            var r = groups.Offset[n] + (p.Offset is null ? Vec3.Zero : Vec3.From(p.Offset));
            var b = new double[6, 6];
            for (var i = 0; i < 3; i++)
                b[i, i] = p.M;
            var s = OffsetMatrix(r);
            for (var i = 0; i < 3; i++)
                for (var j = 0; j < 3; j++)
                {
                    b[i, j + 3] = p.M * s[i, j];
                    b[j + 3, i] = p.M * s[i, j];
                    for (var q = 0; q < 3; q++)
                        b[i + 3, j + 3] += p.M * s[q, i] * s[q, j];
                }
            if (p.I is { } inertia)
            {
                for (var i = 0; i < 3; i++)
                    b[i + 3, i + 3] += inertia[i];
                if (inertia.Length == 6)
                    foreach (var (i, j, v) in new[] { (3, 4, inertia[3]), (3, 5, inertia[4]), (4, 5, inertia[5]) })
                    {
                        b[i, j] += v;
                        b[j, i] += v;
                    }
            }
            AddBlock(m, Dofs(n), b);
        }
        return m;
    }

    /// <summary>Factorises in place; a mechanism is told in words.</summary>
    public Mechanism? Factorise(EnvelopeMatrix k)
    {
        Effort.Factorisations.Add(1);
        var row = k.Factorise(SingularTolerance, indefinite: false, out _);
        return row < 0 ? null : Describe(k.NullVector(row));
    }

    /// <summary>Adds a force and a moment at a node to a load vector.</summary>
    public void AddLoad(Span<double> f, int node, Vec3 force, Vec3 moment)
    {
        var b = base6[groups.GroupOf[node]];
        var m = moment + groups.Offset[node].Cross(force);
        f[b] += force.X;
        f[b + 1] += force.Y;
        f[b + 2] += force.Z;
        f[b + 3] += m.X;
        f[b + 4] += m.Y;
        f[b + 5] += m.Z;
    }

    /// <summary>Adds a force per length (N/m, host axes) on a beam.</summary>
    public void AddMemberLoad(Span<double> f, int beam, Vec3 w)
    {
        var e = Beams[beam].EquivalentLoad(w);
        AddLoad(f, beamEnds[beam].From, new(e[0], e[1], e[2]), new(e[3], e[4], e[5]));
        AddLoad(f, beamEnds[beam].To, new(e[6], e[7], e[8]), new(e[9], e[10], e[11]));
    }

    /// <summary>Adds an acceleration field (m/s²) on all masses and present members.</summary>
    public void AddGravity(Span<double> f, Vec3 a, Func<string, bool> present)
    {
        for (var i = 0; i < Beams.Length; i++)
            if (present(Beams[i].Member.Id))
                AddMemberLoad(f, i, Beams[i].Member.Rho * Beams[i].Member.A * a);
        foreach (var p in Model.Masses)
        {
            var force = p.M * a;
            AddLoad(f, nodeIndex[p.Node], force, p.Offset is null ? Vec3.Zero : Vec3.From(p.Offset).Cross(force));
        }
    }

    /// <summary>Displacement (m) and rotation (rad) of a node.</summary>
    public (Vec3 U, Vec3 R) Displacement(ReadOnlySpan<double> u, int node)
    {
        var b = base6[groups.GroupOf[node]];
        var r = new Vec3(u[b + 3], u[b + 4], u[b + 5]);
        return (new Vec3(u[b], u[b + 1], u[b + 2]) + r.Cross(groups.Offset[node]), r);
    }

    /// <summary>Force and moment a spring puts on its from node (6, host axes).</summary>
    public void SpringForce(ReadOnlySpan<double> u, int spring, Span<double> into)
    {
        var (from, to) = springEnds[spring];
        var (du, dr) = Displacement(u, from);
        if (to >= 0)
        {
            var (tu, tr) = Displacement(u, to);
            (du, dr) = (du - tu, dr - tr);
        }
        var k = Model.Springs[spring].K;
        if (springAxes[spring] is var (x, y, z))
        {
            Vec3 Turned(Vec3 v, int at) => -k[at] * v.Dot(x) * x - k[at + 1] * v.Dot(y) * y - k[at + 2] * v.Dot(z) * z;
            var (force, moment) = (Turned(du, 0), Turned(dr, 3));
            (into[0], into[1], into[2], into[3], into[4], into[5]) = (force.X, force.Y, force.Z, moment.X, moment.Y, moment.Z);
            return;
        }
        (into[0], into[1], into[2]) = (-k[0] * du.X, -k[1] * du.Y, -k[2] * du.Z);
        (into[3], into[4], into[5]) = (-k[3] * dr.X, -k[4] * dr.Y, -k[5] * dr.Z);
    }

    /// <summary>End forces of a beam in its local axes (12), from stiffness alone; the caller subtracts the equivalent loads.</summary>
    public void BeamForces(ReadOnlySpan<double> u, int beam, Span<double> into)
    {
        Span<double> d = stackalloc double[12];
        var (from, to) = beamEnds[beam];
        var (u1, r1) = Displacement(u, from);
        var (u2, r2) = Displacement(u, to);
        (d[0], d[1], d[2], d[3], d[4], d[5]) = (u1.X, u1.Y, u1.Z, r1.X, r1.Y, r1.Z);
        (d[6], d[7], d[8], d[9], d[10], d[11]) = (u2.X, u2.Y, u2.Z, r2.X, r2.Y, r2.Z);
        var k = Beams[beam].LocalForceFromHost;
        for (var i = 0; i < 12; i++)
        {
            var s = 0.0;
            for (var j = 0; j < 12; j++)
                s += k[i, j] * d[j];
            into[i] = s;
        }
    }

    /// <summary>Strain energy of a spring, J: Σ F²/2k.</summary>
    public double SpringEnergy(ReadOnlySpan<double> u, int spring)
    {
        Span<double> force = stackalloc double[6];
        SpringForce(u, spring, force);
        if (springAxes[spring] is var (x, y, z))
        {
            Vec3 f = new(force[0], force[1], force[2]), m = new(force[3], force[4], force[5]);
            (force[0], force[1], force[2], force[3], force[4], force[5]) = (f.Dot(x), f.Dot(y), f.Dot(z), m.Dot(x), m.Dot(y), m.Dot(z));
        }
        var energy = 0.0;
        for (var i = 0; i < 6; i++)
            if (Model.Springs[spring].K[i] is > 0 and var k)
                energy += 0.5 * force[i] * force[i] / k;
        return energy;
    }

    /// <summary>
    /// The unit vectors, in body unknowns, along the six components of a spring's stretch: column i times k_i times
    /// columnᵀ is what component i adds to the stiffness.
    /// </summary>
    public double[][] SpringColumns(int spring)
    {
        var (from, to) = springEnds[spring];
        var columns = new double[6][];
        var (x, y, z) = springAxes[spring] ?? (Vec3.UnitX, Vec3.UnitY, Vec3.UnitZ);
        for (var i = 0; i < 6; i++)
        {
            columns[i] = new double[Size];
            var unit = (i % 3) switch { 0 => x, 1 => y, _ => z };
            AddLoad(columns[i], from, i < 3 ? unit : Vec3.Zero, i < 3 ? Vec3.Zero : unit);
            if (to >= 0)
                AddLoad(columns[i], to, i < 3 ? -unit : Vec3.Zero, i < 3 ? Vec3.Zero : -unit);
        }
        return columns;
    }

    private Mechanism Describe(double[] motion)
    {
        // A turn counts as the movement of a point a hand's breadth (0.1 m) away, to compare it with sliding.
        var (worst, size) = (0, -1.0);
        for (var n = 0; n < Model.Nodes.Count; n++)
        {
            var (u, r) = Displacement(motion, n);
            var s = Math.Max(u.Length, 0.1 * r.Length);
            if (s > size * (1 + 1e-9))
                (worst, size) = (n, s);
        }
        var (du, dr) = Displacement(motion, worst);
        var words = du.Length >= 0.1 * dr.Length
            ? Along(du, "slide forward and back", "slide sideways", "move up and down")
            : Along(dr, "roll about the length", "tip forward and back", "turn about the vertical");
        return new Mechanism(Model.Nodes[worst].Id, words);
    }

    private static string Along(Vec3 v, string x, string y, string z)
    {
        var (ax, ay, az) = (Math.Abs(v.X), Math.Abs(v.Y), Math.Abs(v.Z));
        return ax >= ay && ax >= az ? x : ay >= az ? y : z;
    }

    private void AddSpring(EnvelopeMatrix k, int spring)
    {
        var (from, to) = springEnds[spring];
        var block = new double[12, 12];
        var s = Model.Springs[spring].K;
        void Add(int i, int j, double k)
        {
            block[i, j] += k;
            if (to >= 0)
            {
                block[i + 6, j + 6] += k;
                block[i, j + 6] -= k;
                block[i + 6, j] -= k;
            }
        }
        if (springAxes[spring] is var (x, y, z))
            foreach (var (axis, at) in new[] { (x.ToArray(), 0), (y.ToArray(), 1), (z.ToArray(), 2) })
                for (var i = 0; i < 3; i++)
                    for (var j = 0; j < 3; j++)
                    {
                        Add(i, j, s[at] * axis[i] * axis[j]);
                        Add(i + 3, j + 3, s[at + 3] * axis[i] * axis[j]);
                    }
        else
            for (var i = 0; i < 6; i++)
                Add(i, i, s[i]);
        AddBlock(k, to >= 0 ? Dofs(from, to) : Dofs(from), ToBodies(block, from, to));
    }

    private static void AddLine(EnvelopeMatrix k, LineElement line)
    {
        foreach (var (i, vi) in line.Entries)
            foreach (var (j, vj) in line.Entries)
                k.Add(i, j, line.Stiffness * vi * vj);
    }

    private int[] Dofs(int a)
    {
        var b = base6[groups.GroupOf[a]];
        return [b, b + 1, b + 2, b + 3, b + 4, b + 5];
    }

    private int[] Dofs(int a, int c)
    {
        var (b, d) = (base6[groups.GroupOf[a]], base6[groups.GroupOf[c]]);
        return [b, b + 1, b + 2, b + 3, b + 4, b + 5, d, d + 1, d + 2, d + 3, d + 4, d + 5];
    }

    private static void AddBlock(EnvelopeMatrix k, int[] dofs, double[,] block)
    {
        for (var i = 0; i < dofs.Length; i++)
            for (var j = 0; j < dofs.Length; j++)
                if (block[i, j] != 0)
                    k.Add(dofs[i], dofs[j], block[i, j]);
    }

    /// <summary>Cross-product matrix S with θ × r = S·θ.</summary>
    private static double[,] OffsetMatrix(Vec3 r) => new[,] { { 0, r.Z, -r.Y }, { -r.Z, 0, r.X }, { r.Y, -r.X, 0 } };

    private double[,] ToBodies(double[,] k, int a, int b)
    {
        var ra = groups.Offset[a];
        var rb = b >= 0 ? groups.Offset[b] : Vec3.Zero;
        if (ra == Vec3.Zero && rb == Vec3.Zero)
            return k;
        var t = new double[12, 12];
        for (var i = 0; i < 12; i++)
            t[i, i] = 1;
        var (sa, sb) = (OffsetMatrix(ra), OffsetMatrix(rb));
        for (var i = 0; i < 3; i++)
            for (var j = 0; j < 3; j++)
            {
                t[i, j + 3] = sa[i, j];
                t[i + 6, j + 9] = sb[i, j];
            }
        var half = new double[12, 12];
        var full = new double[12, 12];
        for (var i = 0; i < 12; i++)
            for (var q = 0; q < 12; q++)
                if (k[i, q] != 0)
                    for (var j = 0; j < 12; j++)
                        half[i, j] += k[i, q] * t[q, j];
        for (var q = 0; q < 12; q++)
            for (var i = 0; i < 12; i++)
                if (t[q, i] != 0)
                    for (var j = 0; j < 12; j++)
                        full[i, j] += t[q, i] * half[q, j];
        return full;
    }
}

/// <summary>A line of the model with its direction and what it does to the unknowns.</summary>
internal sealed class LineElement
{
    public ModelLine Line { get; }
    public int From { get; }

    /// <summary>Second node, or −1 for the ground.</summary>
    public int To { get; }

    public double Length { get; }

    /// <summary>EA/L, N/m.</summary>
    public double Stiffness { get; }

    /// <summary>From the first end towards the second.</summary>
    public Vec3 Direction { get; }

    /// <summary>+1 for a line that pulls, −1 for a pad that pushes.</summary>
    public double Sign { get; }

    /// <summary>Lengthening per unit of each unknown, as a full vector and its nonzero entries.</summary>
    public double[] Vector { get; }

    public (int Dof, double Value)[] Entries { get; }

    public LineElement(FrameSystem system, ModelLine line)
    {
        Line = line;
        From = system.NodeIndex(line.From);
        To = line.To is null ? -1 : system.NodeIndex(line.To);
        var a = system.Model.Nodes[From].Position;
        var b = To >= 0 ? system.Model.Nodes[To].Position : Vec3.From(line.Anchor!);
        Length = (b - a).Length;
        Direction = (b - a).Normalized();
        Stiffness = line.EA / Length;
        Sign = line.Push == true ? -1 : 1;
        Vector = [];
        Entries = [];
    }

    private LineElement(LineElement other, double[] vector)
    {
        (Line, From, To, Length, Stiffness, Direction, Sign) = (other.Line, other.From, other.To, other.Length, other.Stiffness,
            other.Direction, other.Sign);
        Vector = vector;
        Entries = [.. vector.Select((v, i) => (i, v)).Where(e => e.v != 0)];
    }

    /// <summary>The same line once the order of unknowns is known.</summary>
    public LineElement Placed(FrameSystem system)
    {
        var v = new double[system.Size];
        system.AddLoad(v, From, -Direction, Vec3.Zero);
        if (To >= 0)
            system.AddLoad(v, To, Direction, Vec3.Zero);
        return new LineElement(this, v);
    }
}
