namespace Ochema.Core.Structure;

/// <summary>
/// A 12-degree-of-freedom Euler–Bernoulli beam with optional shear flexibility, end releases and consistent mass,
/// in host axes. Degrees of freedom: ux uy uz rx ry rz at the first end, then at the second.
/// Stiffness and mass after Przemieniecki, "Theory of Matrix Structural Analysis" (1968), ch. 5 and 11.
/// </summary>
internal sealed class BeamElement
{
    private const int N = 12;
    private readonly double[,] condensedLocal;
    private readonly double[,] recovery;

    /// <summary>Rows are the local unit axes in host coordinates.</summary>
    public Vec3 AxisX { get; }

    public Vec3 AxisY { get; }
    public Vec3 AxisZ { get; }
    public double Length { get; }
    public ModelMember Member { get; }

    /// <summary>Stiffness 12×12, host axes.</summary>
    public double[,] Stiffness { get; }

    /// <summary>Consistent mass 12×12, host axes.</summary>
    public double[,] Mass { get; }

    /// <summary>End forces in local axes from end displacements in host axes, 12×12.</summary>
    public double[,] LocalForceFromHost { get; }

    public BeamElement(ModelMember m, Vec3 from, Vec3 to)
    {
        Member = m;
        var d = to - from;
        Length = d.Length;
        AxisX = d.Normalized();
        AxisZ = Vec3.From(m.Up).PerpendicularTo(AxisX).Normalized();
        AxisY = AxisZ.Cross(AxisX);

        condensedLocal = LocalStiffness(m, Length);
        recovery = Condense(condensedLocal, ReleasedDofs(m));
        var mass = Congruence(recovery, LocalMass(m, Length));
        Stiffness = ToHost(condensedLocal);
        Mass = ToHost(mass);
        LocalForceFromHost = RotateColumns(condensedLocal);
    }

    /// <summary>Nodal loads (host axes, 12) that stand for a force per length <paramref name="w"/> (N/m, host axes), releases
    /// condensed.</summary>
    public double[] EquivalentLoad(Vec3 w)
    {
        var local = LocalEquivalentLoad(w);
        var host = new double[N];
        for (var b = 0; b < N; b += 3)
        {
            var v = local[b] * AxisX + local[b + 1] * AxisY + local[b + 2] * AxisZ;
            (host[b], host[b + 1], host[b + 2]) = (v.X, v.Y, v.Z);
        }
        return host;
    }

    /// <summary>The same in local axes: what is subtracted from K·d to get the member's own end forces.</summary>
    public double[] LocalEquivalentLoad(Vec3 w)
    {
        var (wx, wy, wz) = (w.Dot(AxisX), w.Dot(AxisY), w.Dot(AxisZ));
        var (h, q) = (Length / 2, Length * Length / 12);
        double[] f = [wx * h, wy * h, wz * h, 0, -wz * q, wy * q, wx * h, wy * h, wz * h, 0, wz * q, -wy * q];
        // Work-equivalent through the released rotations: f' = Tᵀ f.
        var r = new double[N];
        for (var i = 0; i < N; i++)
            for (var j = 0; j < N; j++)
                r[j] += recovery[i, j] * f[i];
        return r;
    }

    private static List<int> ReleasedDofs(ModelMember m)
    {
        static int Index(string r) => r switch { "rx" => 3, "ry" => 4, _ => 5 };
        return [.. (m.ReleaseFrom ?? []).Select(Index), .. (m.ReleaseTo ?? []).Select(r => 6 + Index(r))];
    }

    private static double[,] LocalStiffness(ModelMember m, double l)
    {
        var k = new double[N, N];
        void Pair(int i, int j, double v)
        {
            k[i, i] += v;
            k[j, j] += v;
            k[i, j] -= v;
            k[j, i] -= v;
        }
        Pair(0, 6, m.E * m.A / l);
        Pair(3, 9, m.G * m.J / l);
        Bending(k, 1, 5, 1, m.E * m.Iz, ShearRatio(m.E * m.Iz, m.G, m.ShearAreaY, l), l);
        Bending(k, 2, 4, -1, m.E * m.Iy, ShearRatio(m.E * m.Iy, m.G, m.ShearAreaZ, l), l);
        return k;
    }

    private static double ShearRatio(double ei, double g, double? area, double l) => area is > 0 and var a ? 12 * ei / (g * a * l * l) : 0;

    private static void Bending(double[,] k, int v, int r, int sign, double ei, double phi, double l)
    {
        var c = ei / ((1 + phi) * l * l * l);
        int[] dof = [v, r, v + 6, r + 6];
        double[] s = [1, sign, 1, sign];
        double[,] b =
        {
            { 12, 6 * l, -12, 6 * l },
            { 6 * l, (4 + phi) * l * l, -6 * l, (2 - phi) * l * l },
            { -12, -6 * l, 12, -6 * l },
            { 6 * l, (2 - phi) * l * l, -6 * l, (4 + phi) * l * l },
        };
        Scatter(k, dof, s, b, c);
    }

    private static double[,] LocalMass(ModelMember m, double l)
    {
        var mass = new double[N, N];
        void Pair(int i, int j, double total)
        {
            mass[i, i] += total / 3;
            mass[j, j] += total / 3;
            mass[i, j] += total / 6;
            mass[j, i] += total / 6;
        }
        var ml = m.Rho * m.A * l;
        Pair(0, 6, ml);
        Pair(3, 9, m.Rho * (m.Iy + m.Iz) * l);
        double[,] b =
        {
            { 156, 22 * l, 54, -13 * l },
            { 22 * l, 4 * l * l, 13 * l, -3 * l * l },
            { 54, 13 * l, 156, -22 * l },
            { -13 * l, -3 * l * l, -22 * l, 4 * l * l },
        };
        Scatter(mass, [1, 5, 7, 11], [1, 1, 1, 1], b, ml / 420);
        Scatter(mass, [2, 4, 8, 10], [1, -1, 1, -1], b, ml / 420);
        return mass;
    }

    private static void Scatter(double[,] into, int[] dof, double[] sign, double[,] block, double scale)
    {
        for (var i = 0; i < 4; i++)
            for (var j = 0; j < 4; j++)
                into[dof[i], dof[j]] += scale * sign[i] * sign[j] * block[i, j];
    }

    /// <summary>Condenses released rotations out of <paramref name="k"/> and returns T (12×12) with u = T·u_kept.</summary>
    private static double[,] Condense(double[,] k, List<int> released)
    {
        var steps = new List<(int Dof, double[] Row)>();
        foreach (var c in released)
        {
            var pivot = k[c, c];
            var row = new double[N];
            // A member released about its axis at both ends has no torsion left to condense: its own spin is free and carries nothing.
            if (pivot > 1e-12 * (k[0, 0] + k[5, 5] + k[4, 4] + k[11, 11] + k[10, 10]) * 1e-6)
            {
                for (var j = 0; j < N; j++)
                    row[j] = j == c ? 0 : -k[c, j] / pivot;
                for (var i = 0; i < N; i++)
                    if (i != c)
                        for (var j = 0; j < N; j++)
                            if (j != c)
                                k[i, j] += k[i, c] * row[j];
            }
            for (var j = 0; j < N; j++)
                k[c, j] = k[j, c] = 0;
            steps.Add((c, row));
        }
        var t = new double[N, N];
        for (var i = 0; i < N; i++)
            t[i, i] = 1;
        // A rotation condensed early may lean on one condensed later: substitute from the last to the first.
        for (var s = steps.Count - 1; s >= 0; s--)
        {
            var (c, row) = steps[s];
            var full = new double[N];
            for (var j = 0; j < N; j++)
                if (row[j] != 0)
                    for (var q = 0; q < N; q++)
                        full[q] += row[j] * t[j, q];
            for (var q = 0; q < N; q++)
                t[c, q] = full[q];
        }
        return t;
    }

    private static double[,] Congruence(double[,] t, double[,] m)
    {
        var r = new double[N, N];
        var mt = new double[N, N];
        for (var i = 0; i < N; i++)
            for (var q = 0; q < N; q++)
                if (m[i, q] != 0)
                    for (var j = 0; j < N; j++)
                        mt[i, j] += m[i, q] * t[q, j];
        for (var q = 0; q < N; q++)
            for (var i = 0; i < N; i++)
                if (t[q, i] != 0)
                    for (var j = 0; j < N; j++)
                        r[i, j] += t[q, i] * mt[q, j];
        return r;
    }

    /// <summary>K·R: columns turned so that host displacements can be put in.</summary>
    private double[,] RotateColumns(double[,] local)
    {
        var r = new double[N, N];
        Span<Vec3> axes = [AxisX, AxisY, AxisZ];
        for (var i = 0; i < N; i++)
            for (var b = 0; b < N; b += 3)
            {
                var v = Vec3.Zero;
                for (var j = 0; j < 3; j++)
                    v += local[i, b + j] * axes[j];
                (r[i, b], r[i, b + 1], r[i, b + 2]) = (v.X, v.Y, v.Z);
            }
        return r;
    }

    private double[,] ToHost(double[,] local)
    {
        var half = RotateColumns(local);
        var r = new double[N, N];
        Span<Vec3> axes = [AxisX, AxisY, AxisZ];
        for (var j = 0; j < N; j++)
            for (var b = 0; b < N; b += 3)
            {
                var v = Vec3.Zero;
                for (var i = 0; i < 3; i++)
                    v += half[b + i, j] * axes[i];
                (r[b, j], r[b + 1, j], r[b + 2, j]) = (v.X, v.Y, v.Z);
            }
        return r;
    }
}
