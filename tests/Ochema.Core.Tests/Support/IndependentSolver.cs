using System.Text.Json.Nodes;
using MathNet.Numerics.LinearAlgebra;
using MathNet.Numerics.LinearAlgebra.Double;
using MathNet.Numerics.LinearAlgebra.Factorization;

namespace Ochema.Core.Tests.Support;

/// <summary>
/// Solves a model document from its JSON alone, by other means than the product: all nodes keep their six unknowns, rigid links are
/// Lagrange multipliers, released rotations are unknowns of their own, lines are switched by their sign until nothing changes, the
/// eigenproblem is dense on the null space of the constraints. Shares no code with src.
/// </summary>
internal sealed class IndependentSolver
{
    private readonly JsonNode doc;
    private readonly Dictionary<string, int> node = [];
    private readonly List<double[]> at = [];
    private readonly int size;
    private readonly Dictionary<(string Member, int End, int Axis), int> hinge = [];
    private readonly Matrix<double> constraints;

    public IndependentSolver(string json)
    {
        doc = JsonNode.Parse(json)!;
        foreach (var n in List("nodes"))
        {
            node[(string)n["id"]!] = at.Count;
            at.Add([D(n, "x"), D(n, "y"), D(n, "z")]);
        }
        size = 6 * at.Count;
        foreach (var m in List("members"))
            foreach (var (end, name) in new[] { (0, "releaseFrom"), (1, "releaseTo") })
                foreach (var r in m[name]?.AsArray() ?? [])
                    hinge[((string)m["id"]!, end, (string)r! switch { "rx" => 0, "ry" => 1, _ => 2 })] = size++;
        var rows = new List<double[]>();
        foreach (var l in List("rigidLinks"))
        {
            var (a, b) = (node[(string)l["from"]!], node[(string)l["to"]!]);
            double[] r = [at[b][0] - at[a][0], at[b][1] - at[a][1], at[b][2] - at[a][2]];
            for (var i = 0; i < 6; i++)
            {
                var row = new double[size];
                row[6 * b + i] = 1;
                row[6 * a + i] = -1;
                if (i < 3)
                {
                    // u_b = u_a + θ × r
                    row[6 * a + 3 + (i + 1) % 3] -= r[(i + 2) % 3];
                    row[6 * a + 3 + (i + 2) % 3] += r[(i + 1) % 3];
                }
                rows.Add(row);
            }
        }
        constraints = rows.Count > 0 ? DenseMatrix.OfRowArrays(rows) : DenseMatrix.Create(1, size, 0);
    }

    private IEnumerable<JsonNode> List(string name) => (doc[name]?.AsArray() ?? []).Select(n => n!);

    private static double D(JsonNode n, string name) => (double)n[name]!;

    private static double[] Vector(JsonNode? n) => n is null ? [0, 0, 0] : [.. n.AsArray().Select(v => (double)v!)];

    private static double[] Cross(double[] a, double[] b) => [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1]
        * b[0]];

    /// <summary>12×size map from the unknowns to a member's local end movements, with hinges in place of released rotations.</summary>
    private (Matrix<double> T, double L) Local(JsonNode m)
    {
        var (a, b) = (node[(string)m["from"]!], node[(string)m["to"]!]);
        var x = at[b].Zip(at[a], (p, q) => p - q).ToArray();
        var l = Math.Sqrt(x.Sum(v => v * v));
        x = [.. x.Select(v => v / l)];
        var up = Vector(m["up"]);
        var dot = up.Zip(x, (p, q) => p * q).Sum();
        var z = up.Zip(x, (p, q) => p - dot * q).ToArray();
        var n = Math.Sqrt(z.Sum(v => v * v));
        z = [.. z.Select(v => v / n)];
        double[][] axes = [x, Cross(z, x), z];
        var t = DenseMatrix.Create(12, size, 0);
        for (var end = 0; end < 2; end++)
            for (var part = 0; part < 2; part++)
                for (var i = 0; i < 3; i++)
                {
                    var row = 6 * end + 3 * part + i;
                    if (part == 1 && hinge.TryGetValue(((string)m["id"]!, end, i), out var free))
                        t[row, free] = 1;
                    else
                        for (var j = 0; j < 3; j++)
                            t[row, 6 * (end == 0 ? a : b) + 3 * part + j] = axes[i][j];
                }
        return (t, l);
    }

    private static void Hermite(Matrix<double> k, double[,] block, double scale, bool vertical)
    {
        // Deflection along z couples with −ry.
        var dof = vertical ? new[] { 2, 4, 8, 10 } : [1, 5, 7, 11];
        var s = vertical ? new double[] { 1, -1, 1, -1 } : [1, 1, 1, 1];
        for (var i = 0; i < 4; i++)
            for (var j = 0; j < 4; j++)
                k[dof[i], dof[j]] += scale * s[i] * s[j] * block[i, j];
    }

    private static void TwoNode(Matrix<double> k, int i, int j, double own, double cross)
    {
        k[i, i] += own;
        k[j, j] += own;
        k[i, j] += cross;
        k[j, i] += cross;
    }

    /// <summary>Adds tᵀ·own·t, where few columns of t are anything.</summary>
    private static void Add(Matrix<double> all, Matrix<double> t, Matrix<double> own)
    {
        int[] used = [.. Enumerable.Range(0, t.ColumnCount).Where(j => Enumerable.Range(0, t.RowCount).Any(i => t[i, j] != 0))];
        var narrow = DenseMatrix.Create(t.RowCount, used.Length, (i, j) => t[i, used[j]]);
        var block = narrow.TransposeThisAndMultiply(own * narrow);
        for (var i = 0; i < used.Length; i++)
            for (var j = 0; j < used.Length; j++)
                all[used[i], used[j]] += block[i, j];
    }

    private (Matrix<double> K, Matrix<double> M) Assemble(HashSet<string> gone, Func<JsonNode, bool> taut)
    {
        var k = DenseMatrix.Create(size, size, 0);
        var mass = DenseMatrix.Create(size, size, 0);
        foreach (var m in List("members").Where(m => !gone.Contains((string)m["id"]!)))
        {
            var (t, l) = Local(m);
            double e = D(m, "E"), rho = D(m, "rho"), area = D(m, "A");
            var ke = DenseMatrix.Create(12, 12, 0);
            var me = DenseMatrix.Create(12, 12, 0);
            TwoNode(ke, 0, 6, e * area / l, -e * area / l);
            TwoNode(ke, 3, 9, D(m, "G") * D(m, "J") / l, -D(m, "G") * D(m, "J") / l);
            double[,] b = { { 12, 6 * l, -12, 6 * l }, { 6 * l, 4 * l * l, -6 * l, 2 * l * l }, { -12, -6 * l, 12, -6 * l },
                { 6 * l, 2 * l * l, -6 * l, 4 * l * l } };
            Hermite(ke, b, e * D(m, "Iz") / (l * l * l), false);
            Hermite(ke, b, e * D(m, "Iy") / (l * l * l), true);
            TwoNode(me, 0, 6, rho * area * l / 3, rho * area * l / 6);
            var spin = rho * (D(m, "Iy") + D(m, "Iz")) * l;
            TwoNode(me, 3, 9, spin / 3, spin / 6);
            double[,] c = { { 156, 22 * l, 54, -13 * l }, { 22 * l, 4 * l * l, 13 * l, -3 * l * l }, { 54, 13 * l, 156, -22 * l },
                { -13 * l, -3 * l * l, -22 * l, 4 * l * l } };
            Hermite(me, c, rho * area * l / 420, false);
            Hermite(me, c, rho * area * l / 420, true);
            Add(k, t, ke);
            Add(mass, t, me);
        }
        foreach (var s in List("springs").Where(s => !gone.Contains((string)s["id"]!)))
        {
            var stiff = Vector(s["k"]);
            for (var i = 0; i < 6; i++)
            {
                var f = 6 * node[(string)s["from"]!] + i;
                k[f, f] += stiff[i];
                if (s["to"] is { } to)
                {
                    var g = 6 * node[(string)to!] + i;
                    k[g, g] += stiff[i];
                    k[f, g] -= stiff[i];
                    k[g, f] -= stiff[i];
                }
            }
        }
        foreach (var line in List("lines").Where(l => !gone.Contains((string)l["id"]!) && taut(l)))
        {
            var (v, length) = Line(line);
            Add(k, v.ToRowMatrix(), DenseMatrix.Create(1, 1, D(line, "EA") / length));
        }
        foreach (var p in List("masses"))
        {
            var n = 6 * node[(string)p["node"]!];
            var o = Vector(p["offset"]);
            // Three unit velocities of the centre of mass in terms of the node's six.
            var j = DenseMatrix.Create(6, size, 0);
            for (var i = 0; i < 3; i++)
            {
                j[i, n + i] = 1;
                j[i, n + 3 + (i + 1) % 3] += o[(i + 2) % 3];
                j[i, n + 3 + (i + 2) % 3] -= o[(i + 1) % 3];
                j[i + 3, n + 3 + i] = 1;
            }
            var inertia = DenseMatrix.Create(6, 6, 0);
            var tensor = p["I"] is null ? [] : Vector(p["I"]);
            for (var i = 0; i < 3; i++)
            {
                inertia[i, i] = D(p, "m");
                inertia[i + 3, i + 3] = tensor.Length > 0 ? tensor[i] : 0;
            }
            if (tensor.Length == 6)
                foreach (var (a, b, v) in new[] { (3, 4, tensor[3]), (3, 5, tensor[4]), (4, 5, tensor[5]) })
                    inertia[a, b] = inertia[b, a] = v;
            Add(mass, j, inertia);
        }
        return (k, mass);
    }

    private (Vector<double> V, double Length) Line(JsonNode line)
    {
        var a = node[(string)line["from"]!];
        var end = line["to"] is { } to ? at[node[(string)to!]] : Vector(line["anchor"]);
        var d = end.Zip(at[a], (p, q) => p - q).ToArray();
        var l = Math.Sqrt(d.Sum(v => v * v));
        var v = DenseVector.Create(size, 0);
        for (var i = 0; i < 3; i++)
        {
            v[6 * a + i] = -d[i] / l;
            if (line["to"] is { } t)
                v[6 * node[(string)t!] + i] = d[i] / l;
        }
        return (v, l);
    }

    private Vector<double> Load(JsonNode c, HashSet<string> gone)
    {
        var f = DenseVector.Create(size, 0);
        void Node(int n, double[] force, double[] moment)
        {
            for (var i = 0; i < 3; i++)
            {
                f[6 * n + i] += force[i];
                f[6 * n + 3 + i] += moment[i];
            }
        }
        foreach (var l in c["loads"]?.AsArray() ?? [])
            Node(node[(string)l!["node"]!], Vector(l["f"]), Vector(l["m"]));
        var g = Vector(c["gravity"]);
        foreach (var p in List("masses"))
        {
            var weight = g.Select(v => v * D(p, "m")).ToArray();
            Node(node[(string)p["node"]!], weight, Cross(Vector(p["offset"]), weight));
        }
        foreach (var m in List("members").Where(m => !gone.Contains((string)m["id"]!)))
        {
            var w = g.Select(v => v * D(m, "rho") * D(m, "A")).ToArray();
            foreach (var l in (c["memberLoads"]?.AsArray() ?? []).Where(l => (string)l!["member"]! == (string)m["id"]!))
                w = [.. w.Zip(Vector(l!["w"]), (p, q) => p + q)];
            var (t, length) = Local(m);
            // Local components of w from the rows of T that carry the axes.
            var a = 6 * node[(string)m["from"]!];
            double Along(int i) => Enumerable.Range(0, 3).Sum(j => t[i, a + j] * w[j]);
            var (x, y, z) = (Along(0), Along(1), Along(2));
            var (h, q) = (length / 2, length * length / 12);
            f += (DenseVector)t.TransposeThisAndMultiply(DenseVector.OfArray([x * h, y * h, z * h, 0, -z * q, y * q, x * h, y * h, z * h, 0,
                z * q, -y * q]));
        }
        return f;
    }

    /// <summary>Displacements (6 a node), spring forces and line tensions of a case.</summary>
    public (Dictionary<string, double[]> U, Dictionary<string, double[]> Springs, Dictionary<string, double> Lines) Case(JsonNode c)
    {
        var gone = (c["without"]?.AsArray() ?? []).Select(w => (string)w!).ToHashSet();
        var lines = List("lines").Where(l => !gone.Contains((string)l["id"]!)).ToList();
        var taut = lines.Select(l => (string)l["id"]!).ToHashSet();
        var load = Load(c, gone);
        for (var round = 0; ; round++)
        {
            var f = load.Clone();
            foreach (var l in lines.Where(l => taut.Contains((string)l["id"]!)))
                f -= D(l, "pretension") * Line(l).V;
            var u = Constrained(gone, taut, f);
            var tension = lines.ToDictionary(l => (string)l["id"]!, l => D(l, "pretension") + D(l, "EA") / Line(l).Length
                * Line(l).V.DotProduct(u));
            bool Carries(JsonNode l) => (l["push"] is not null ? -1 : 1) * tension[(string)l["id"]!] > 0;
            var next = lines.Where(Carries).Select(l => (string)l["id"]!).ToHashSet();
            if (next.SetEquals(taut) || round > 40)
            {
                var springs = List("springs").Where(s => !gone.Contains((string)s["id"]!)).ToDictionary(s => (string)s["id"]!, s =>
                    Enumerable.Range(0, 6).Select(i => -Vector(s["k"])[i] * (u[6 * node[(string)s["from"]!] + i]
                        - (s["to"] is { } to ? u[6 * node[(string)to!] + i] : 0))).ToArray());
                return (node.ToDictionary(n => n.Key, n => u.SubVector(6 * n.Value, 6).ToArray()), springs,
                    tension.ToDictionary(t => t.Key, t => taut.Contains(t.Key) ? t.Value : 0));
            }
            taut = next;
        }
    }

    /// <summary>Frequencies, Hz, lowest first.</summary>
    public double[] Modes(int count)
    {
        var rest = Case(new JsonObject { ["id"] = "rest" }).Lines;
        var (k, m) = Assemble([], l => (l["push"] is not null ? -1 : 1) * rest[(string)l["id"]!] > 0);
        var (kr, mr) = (Reduced(k), Reduced(m));
        var s = kr.Diagonal().Map(v => 1 / Math.Sqrt(v));
        var scale = DenseMatrix.OfDiagonalVector(s);
        (kr, mr) = (scale * kr * scale, scale * mr * scale);
        var l = kr.Cholesky().Factor.Inverse();
        var a = l * mr * l.Transpose();
        var mu = ((a + a.Transpose()) * 0.5).Evd(Symmetricity.Symmetric).EigenValues.Select(v => v.Real).OrderDescending().Take(count);
        return [.. mu.Where(v => v > 1e-14).Select(v => Math.Sqrt(1 / v) / (2 * Math.PI))];
    }

    private readonly Dictionary<string, LU<double>> factored = [];

    private Vector<double> Constrained(HashSet<string> gone, HashSet<string> taut, Vector<double> f)
    {
        var key = string.Join('\n', gone.Order(StringComparer.Ordinal).Append("").Concat(taut.Order(StringComparer.Ordinal)));
        if (!factored.TryGetValue(key, out var lu))
            factored[key] = lu = Reduced(Assemble(gone, l => taut.Contains((string)l["id"]!)).K).LU();
        var n = NullSpace();
        return n * lu.Solve(n.TransposeThisAndMultiply(f));
    }

    /// <summary>What is left of a matrix on the null space, entry by entry: most of it is nothing.</summary>
    private Matrix<double> Reduced(Matrix<double> all)
    {
        var n = NullSpace();
        (int At, double By)[][] rows = [.. Enumerable.Range(0, size).Select(i =>
            Enumerable.Range(0, n.ColumnCount).Where(j => n[i, j] != 0).Select(j => (j, n[i, j])).ToArray())];
        var reduced = DenseMatrix.Create(n.ColumnCount, n.ColumnCount, 0);
        for (var i = 0; i < size; i++)
            for (var j = 0; j < size; j++)
                if (all[i, j] is not 0 and var v)
                    foreach (var (a, one) in rows[i])
                        foreach (var (b, other) in rows[j])
                            reduced[a, b] += v * one * other;
        return reduced;
    }

    private Matrix<double>? nullSpace;

    /// <summary>A basis of what the constraints leave free, by Gauss–Jordan elimination.</summary>
    private Matrix<double> NullSpace()
    {
        if (nullSpace is not null)
            return nullSpace;
        var c = constraints.Clone();
        var pivots = new List<int>();
        var row = 0;
        for (var col = size - 1; col >= 0 && row < c.RowCount; col--)
        {
            var best = Enumerable.Range(row, c.RowCount - row).MaxBy(r => Math.Abs(c[r, col]));
            if (Math.Abs(c[best, col]) < 1e-9)
                continue;
            var (p, q) = (c.Row(best), c.Row(row));
            c.SetRow(row, p / p[col]);
            if (best != row)
                c.SetRow(best, q);
            for (var r = 0; r < c.RowCount; r++)
                if (r != row && c[r, col] != 0)
                    c.SetRow(r, c.Row(r) - c[r, col] * c.Row(row));
            pivots.Add(col);
            row++;
        }
        var free = Enumerable.Range(0, size).Except(pivots).ToList();
        var basis = DenseMatrix.Create(size, free.Count, 0);
        for (var j = 0; j < free.Count; j++)
        {
            basis[free[j], j] = 1;
            for (var i = 0; i < pivots.Count; i++)
                basis[pivots[i], j] = -c[i, free[j]];
        }
        return nullSpace = basis;
    }
}
