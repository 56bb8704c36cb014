using CsCheck;
using MathNet.Numerics.LinearAlgebra;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

/// <summary>The solver's parts, each against an independent computation of the same.</summary>
public class PartsOfTheSolverTests
{
    /// <summary>A symmetric positive definite matrix with a ragged envelope.</summary>
    private static readonly Gen<(int[] First, double[,] Full)> Matrices =
        from n in Gen.Int[1, 14]
        from reach in Gen.Int[0, 6].Array[n]
        from values in Gen.Double[-1, 1].Array[n * n]
        select Ragged(n, reach, values);

    private static (int[], double[,]) Ragged(int n, int[] reach, double[] values)
    {
        var first = Enumerable.Range(0, n).Select(i => Math.Max(0, i - reach[i])).ToArray();
        var a = new double[n, n];
        for (var i = 0; i < n; i++)
        {
            for (var j = first[i]; j < i; j++)
                a[i, j] = a[j, i] = values[i * n + j];
            a[i, i] = n + 1 + Math.Abs(values[i * n + i]); // dominant diagonal: positive definite
        }
        return (first, a);
    }

    private static EnvelopeMatrix Stored((int[] First, double[,] Full) m)
    {
        var e = new EnvelopeMatrix(m.First);
        for (var i = 0; i < m.First.Length; i++)
            for (var j = m.First[i]; j <= i; j++)
                e.Add(i, j, m.Full[i, j]);
        return e;
    }

    [Fact]
    public void ASkylineSolvesAsADenseMatrixDoes() => Gen.Select(Matrices, Gen.Double[-5, 5].Array[14]).Sample((m, load) =>
    {
        var n = m.First.Length;
        var (stored, x) = (Stored(m), load[..n]);
        var full = Matrix<double>.Build.DenseOfArray(m.Full);
        var expected = full.Solve(Vector<double>.Build.Dense(load[..n]));
        // What two ways of solving may differ by grows with how badly the matrix is conditioned.
        var close = 1e-13 * full.ConditionNumber() * (1 + expected.L2Norm()) + 1e-12;
        var factor = stored.Clone();
        Assert.Equal(-1, factor.Factorise(1e-12, false, out _));
        factor.Solve(x);
        for (var i = 0; i < n; i++)
            Assert.True(Math.Abs(expected[i] - x[i]) <= close, $"{expected[i]} against {x[i]}, {close}");
        // The product gives the load back.
        var back = new double[n];
        stored.Multiply(x, back);
        for (var i = 0; i < n; i++)
            Assert.True(Math.Abs(load[i] - back[i]) <= 1e-12 * (1 + full.L2Norm() * expected.L2Norm()), $"{load[i]} against {back[i]}");
    });

    [Fact]
    public void AMatrixReadsTheSameAcrossItsDiagonal() => Matrices.Sample(m =>
    {
        var e = Stored(m);
        for (var i = 0; i < e.Size; i++)
            for (var j = 0; j < e.Size; j++)
                Assert.Equal(m.Full[i, j], e[i, j]);
    });

    [Fact] // brute force: of all combinations of slack lines the one that satisfies every condition
    public void SlackLinesAreThoseThatEveryCombinationTriedWouldFind() =>
        Gen.Select(Gen.Int[1, 5], Gen.Double[-1, 1].Array[25], Gen.Double[-2, 2].Array[5]).Sample((n, values, load) =>
    {
        // M = 1/k − C is positive definite where the frame holds without the lines.
        var g = Matrix<double>.Build.Dense(n, n, (i, j) => values[5 * i + j]);
        var m = g * g.Transpose() + 0.2 * Matrix<double>.Build.DenseIdentity(n);
        var q = load[..n];
        var found = LineComplementarity.Solve(m.ToArray(), (double[])q.Clone(), [.. Enumerable.Repeat(1.0, n)])!;
        Assert.NotNull(found);
        var expected = Enumerable.Range(0, 1 << n).Select(mask => Tried(m, q, mask)).Single(s => s is not null)!;
        for (var i = 0; i < n; i++)
            Assert.Equal(expected[i], found[i], tolerance: 1e-6);
    });

    private static double[]? Tried(Matrix<double> m, double[] q, int mask)
    {
        var n = q.Length;
        var slack = Enumerable.Range(0, n).Where(i => (mask >> i & 1) == 1).ToArray();
        var s = new double[n];
        if (slack.Length > 0)
        {
            var part = Matrix<double>.Build.Dense(slack.Length, slack.Length, (i, j) => m[slack[i], slack[j]]);
            var solved = part.Solve(Vector<double>.Build.Dense(slack.Length, i => -q[slack[i]]));
            foreach (var (i, v) in slack.Zip(solved))
                s[i] = v;
        }
        var gap = m * Vector<double>.Build.Dense(s);
        return slack.All(i => s[i] > 0) && Enumerable.Range(0, n).Except(slack).All(i => gap[i] + q[i] >= 0) ? s : null;
    }

    private static readonly Gen<BeamElement> Beams =
        from to in Gen.Double[-1, 1].Array[3].Where(v => v.Sum(x => x * x) > 0.01)
        from up in Gen.Double[-1, 1].Array[3].Where(v => v.Sum(x => x * x) > 0.01)
        from a in Gen.Double[1e-5, 1e-3]
        from iy in Gen.Double[1e-10, 1e-7]
        from iz in Gen.Double[1e-10, 1e-7]
        where Vec3.From(to).Cross(Vec3.From(up)).Length > 0.05 * Vec3.From(to).Length * Vec3.From(up).Length
        select new BeamElement(new ModelMember("b", "p", "q", a, iy, iz, iy + iz, 70e9, 27e9, 2700, up), Vec3.Zero, Vec3.From(to));

    [Fact]
    public void ABeamThatMovesRigidlyIsNotStrained() => Gen.Select(Beams, Gen.Double[-1, 1].Array[3], Gen.Double[-1, 1].Array[3])
        .Sample((beam, shift, turn) =>
    {
        var (u, r) = (Vec3.From(shift), Vec3.From(turn));
        var end = beam.Length * beam.AxisX;
        double[] x = [.. u.ToArray(), .. r.ToArray(), .. (u + r.Cross(end)).ToArray(), .. r.ToArray()];
        var scale = beam.Stiffness[0, 0] + beam.Stiffness[1, 1] + beam.Stiffness[2, 2];
        for (var i = 0; i < 12; i++)
            Assert.True(Math.Abs(Enumerable.Range(0, 12).Sum(j => beam.Stiffness[i, j] * x[j])) < 1e-9 * scale);
    });

    [Fact] // kinetic energy of a rigid translation: ½·ρ·A·L·v²
    public void ABeamsMassIsItsOwn() => Gen.Select(Beams, Gen.Double[-1, 1].Array[3]).Sample((beam, way) =>
    {
        double[] v = [.. way, 0, 0, 0, .. way, 0, 0, 0];
        var twice = 0.0;
        for (var i = 0; i < 12; i++)
            for (var j = 0; j < 12; j++)
                twice += v[i] * beam.Mass[i, j] * v[j];
        Near.Share(2700 * beam.Member.A * beam.Length * way.Sum(x => x * x), twice, 1e-9);
    });

    [Fact]
    public void ABeamsMatricesAreSymmetricAndItsAxesSquare() => Beams.Sample(beam =>
    {
        for (var i = 0; i < 12; i++)
            for (var j = 0; j < i; j++)
            {
                Assert.Equal(beam.Stiffness[i, j], beam.Stiffness[j, i], 1e-9 * Math.Abs(beam.Stiffness[i, i]) + 1e-6);
                Assert.Equal(beam.Mass[i, j], beam.Mass[j, i], 1e-12);
            }
        Assert.Equal(0, beam.AxisX.Dot(beam.AxisZ), 1e-12);
        Assert.True((beam.AxisZ.Cross(beam.AxisX) - beam.AxisY).Length < 1e-12);
    });

    [Fact] // a uniform load's equivalents carry all of it
    public void AnEvenLoadArrivesAtTheEndsInFull() => Gen.Select(Beams, Gen.Double[-10, 10].Array[3]).Sample((beam, w) =>
    {
        var e = beam.EquivalentLoad(Vec3.From(w));
        for (var axis = 0; axis < 3; axis++)
            Assert.Equal(w[axis] * beam.Length, e[axis] + e[6 + axis], 1e-9);
    });

    [Fact]
    public void NodesJoinedRigidlyMakeOneGroupWithTheirArms()
    {
        ModelNode[] nodes = [new("a", 0, 0, 0), new("b", 1, 0, 0), new("c", 1, 2, 0), new("d", 5, 5, 5)];
        var groups = new RigidGroups(nodes, [(0, 1), (1, 2)]);
        Assert.Equal(2, groups.Count);
        Assert.Equal(groups.GroupOf[0], groups.GroupOf[2]);
        Assert.NotEqual(groups.GroupOf[0], groups.GroupOf[3]);
        Assert.True((groups.Offset[2] - groups.Offset[0] - new Vec3(1, 2, 0)).Length < 1e-12);
    }

    [Fact]
    public void SumsInLanesAgreeWithSumsOneByOne() => Gen.Select(Gen.Int[0, 40], Gen.Double[-3, 3].Array[40], Gen.Double[-3, 3].Array[40])
        .Sample((n, a, b) =>
    {
        Assert.Equal(Enumerable.Range(0, n).Sum(i => a[i] * b[i]), VectorMath.Dot(a.AsSpan(0, n), b.AsSpan(0, n)), 1e-9);
        var y = a[..n];
        VectorMath.AddScaled(y, 0.7, b.AsSpan(0, n));
        for (var i = 0; i < n; i++)
            Assert.Equal(a[i] + 0.7 * b[i], y[i], 1e-12);
    });

    [Theory] // lengths about the stretches that are taken together
    [InlineData(1)]
    [InlineData(15)]
    [InlineData(16)]
    [InlineData(33)]
    [InlineData(273)]
    public void RowsCombinedTogetherAreBitForBitTheirSumOneAfterTheOther(int n)
    {
        var random = new Random(7 * n);
        double[][] rows = [.. Enumerable.Range(0, 9).Select(_ => Enumerable.Range(0, n + 5).Select(_ => random.NextDouble() - 0.5)
            .ToArray())];
        int[] at = [0, 3, 4, 8];
        double[] c = [1.5, -0.3, 1e3, 7e-4];
        var (expected, sum) = (new double[n], new double[n]);
        for (var k = 0; k < at.Length; k++)
            VectorMath.AddScaled(expected, c[k], rows[at[k]].AsSpan(5, n));
        VectorMath.Combine(sum, c, rows, at, 5);
        Assert.Equal(expected, sum);
        Assert.Throws<ArgumentException>(() => VectorMath.Combine(new double[n + 1], c, rows, at, 5));
    }
}
