using Ochema.Core.Analysis;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

/// <summary>Modes by Lanczos' method: each solves K·φ = ω²·M·φ, they are apart from each other, and none is missed.</summary>
public class LanczosTests
{
    private static (EnvelopeMatrix K, EnvelopeMatrix Factor, EnvelopeMatrix M) Matrices(FrameSystem system)
    {
        var k = system.Stiffness(_ => true, Enumerable.Range(0, system.Lines.Length));
        var factor = k.Clone();
        Assert.Null(system.Factorise(factor));
        return (k, factor, system.Mass(_ => true));
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void EveryModeOfEveryRecipeSolvesItsEquationAndStandsByItself(string recipe)
    {
        var (k, factor, m) = Matrices(new RigModel(RigFiles.Named(recipe), Catalogue.Shipped).System);
        var (omega2, shapes) = NaturalModes.Lowest(k, factor, m, 10);
        Assert.NotEmpty(omega2);
        Assert.Equal(omega2.Order(), omega2);
        var inertia = shapes.Select(s => Times(m, s)).ToList();
        for (var i = 0; i < shapes.Length; i++)
        {
            // K⁻¹·(K·φ − ω²·M·φ) is what is left over, as movement; its size is measured as that of the shape is.
            var left = Times(k, shapes[i]);
            VectorMath.AddScaled(left, -omega2[i], inertia[i]);
            factor.Solve(left);
            // A carriage on ropes is ten million times stiffer along itself than it swings: a few millionths are rounding.
            Assert.InRange(Math.Sqrt(Math.Max(0, VectorMath.Dot(left, Times(m, left)))), 0, 4e-6);
            for (var j = 0; j <= i; j++)
                Assert.Equal(i == j ? 1 : 0, VectorMath.Dot(shapes[i], inertia[j]), 1e-8);
        }
    }

    [Fact]
    public void ModesThatCoincideAreFoundBoth()
    {
        // A round rod bends alike both ways: Lanczos by itself finds one of each pair, the count misses the other.
        var (k, factor, m) = Matrices(new FrameSystem(Frames.Cantilever(0.8, 0.012, 20, 0.4)));
        var (omega2, _) = NaturalModes.Lowest(k, factor, m, 6);
        for (var i = 0; i < 4; i += 2)
            Near.Share(omega2[i], omega2[i + 1], 1e-9);
        Assert.True(omega2[2] > 2 * omega2[0]);
    }

    [Fact]
    public void FewerThanWantedIsNoAnswer()
    {
        // More than it takes steps for: subspace iteration or the dense solver has to answer.
        var (_, factor, m) = Matrices(new FrameSystem(Frames.Cantilever(0.8, 0.012, 20, 0.4)));
        Assert.Null(Lanczos.Lowest(factor, m, 100));
    }

    private static double[] Times(EnvelopeMatrix a, double[] x)
    {
        var y = new double[x.Length];
        a.Multiply(x, y);
        return y;
    }
}
