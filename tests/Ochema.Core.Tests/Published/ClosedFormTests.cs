using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;
using static Ochema.Core.Tests.Support.Frames;

namespace Ochema.Core.Tests.Published;

/// <summary>Closed forms: Roark's Formulas for Stress and Strain, 7th ed., table 8.1; Timoshenko; Blevins, "Formulas for Natural Frequency
/// and Mode Shape" (1979), table 8-1.</summary>
public class ClosedFormTests
{
    private const double L = 0.8;
    private const double D = 0.012;
    private static readonly double I = Math.PI * Math.Pow(D, 4) / 64;
    private static readonly double A = Math.PI * D * D / 4;

    [Fact]
    public void CantileverTipUnderLoad() // P·L³/3EI, P·L²/2EI
    {
        var u = ModelSolver.Solve(Cantilever(L, D, cases: Load("n4", [0, 0, -10]))).Displacement("n4");
        Near.Share(-10 * L * L * L / (3 * E * I), u[2], 1e-6);
        Near.Share(10 * L * L / (2 * E * I), u[4], 1e-6);
        Assert.Equal(0, u[1], 1e-12);
    }

    [Fact]
    public void CantileverUnderItsWeight() // w·L⁴/8EI
    {
        var c = new ModelCase { Id = "weight", Gravity = [0, 0, -9.80665] };
        Near.Share(-Rho * A * 9.80665 * Math.Pow(L, 4) / (8 * E * I), ModelSolver.Solve(Cantilever(L, D, cases: c)).Displacement("n4")[2],
            1e-6);
    }

    [Fact]
    public void CantileverTwistAndStretch() // T·L/GJ, P·L/EA
    {
        var u = ModelSolver.Solve(Cantilever(L, D, cases: Load("n4", [1000, 0, 0], [5, 0, 0]))).Displacement("n4");
        Near.Share(5 * L / (G * 2 * I), u[3], 1e-6);
        Near.Share(1000 * L / (E * A), u[0], 1e-5);
    }

    [Fact]
    public void ShearFlexibilityAddsItsShare() // P·L³/3EI + P·L/(G·As)
    {
        var area = A * 0.9;
        var model = Cantilever(0.05, D, 1, cases: Load("n1", [0, 0, -10]));
        model = model with { Members = [model.Members[0] with { ShearAreaZ = area, ShearAreaY = area }] };
        Near.Share(-10 * Math.Pow(0.05, 3) / (3 * E * I) - 10 * 0.05 / (G * area), ModelSolver.Solve(model).Displacement("n1")[2], 1e-6);
    }

    [Fact]
    public void BothEndsFixedUnderLineLoad() // w·L⁴/384EI in the middle
    {
        var model = Cantilever(L, D, 4) with
        {
            Springs = [Fixed("n0"), Fixed("n4")],
            Cases = [new ModelCase { Id = "w", MemberLoads = [.. Enumerable.Range(0, 4)
                .Select(i => new ModelMemberLoad($"b{i}", [0, -100, 0]))] }],
        };
        Near.Share(-100 * Math.Pow(L, 4) / (384 * E * I), ModelSolver.Solve(model).Displacement("n2")[1], 1e-5);
    }

    [Fact]
    public void PinnedEndsByReleases() // 5w·L⁴/384EI
    {
        var model = Cantilever(L, D, 4);
        model = model with
        {
            Springs = [Fixed("n0"), Fixed("n4")],
            Members = [model.Members[0] with { ReleaseFrom = ["ry", "rz"] }, model.Members[1], model.Members[2],
                model.Members[3] with { ReleaseTo = ["ry", "rz"] }],
            Cases = [new ModelCase { Id = "w", MemberLoads = [.. Enumerable.Range(0, 4)
                .Select(i => new ModelMemberLoad($"b{i}", [0, 0, -100]))] }],
        };
        Near.Share(-5 * 100 * Math.Pow(L, 4) / (384 * E * I), ModelSolver.Solve(model).Displacement("n2")[2], 1e-5);
    }

    [Fact]
    public void ProppedCantileverReaction() // 3wL/8 at the prop
    {
        var model = Cantilever(L, D, 4) with
        {
            Springs = [Fixed("n0"), new ModelSpring("prop", "n4", [0, 0, 1e12, 0, 0, 0])],
            Cases = [new ModelCase { Id = "w", MemberLoads = [.. Enumerable.Range(0, 4)
                .Select(i => new ModelMemberLoad($"b{i}", [0, 0, -100]))] }],
        };
        Near.Share(3 * 100 * L / 8, ModelSolver.Solve(model).Cases[0].Result!.SpringForces["prop"][2], 1e-5);
    }

    [Fact]
    public void LocalAxesTurnTheStiffSide()
    {
        // A flat bar 30 × 3 along x with up = z: stiff sideways (about z), soft up and down; with up = y the other way round.
        double Tip(double[] up, int axis)
        {
            var s = Ochema.Core.Stock.Section.Rectangle(0.03, 0.003);
            var load = new double[3];
            load[axis] = 1;
            return Math.Abs(ModelSolver.Solve(new ModelDocument
            {
                Nodes = [new("a", 0, 0, 0), new("b", 0.5, 0, 0)],
                Members = [new("m", "a", "b", s.Area, s.Iy, s.Iz, s.J, E, G, Rho, up)],
                Springs = [Fixed("a")],
                Cases = [Load("b", load)],
            }).Displacement("b")[axis]);
        }
        Near.Share(100, Tip([0, 0, 1], 2) / Tip([0, 0, 1], 1), 1e-4);
        Near.Share(100, Tip([0, 1, 0], 1) / Tip([0, 1, 0], 2), 1e-4);
    }

    [Theory] // f = (1/2π)·√(3EI/((m + 0.2357·m_beam)·L³))
    [InlineData(0.5)]
    [InlineData(2.0)]
    public void TipMassFrequency(double mass)
    {
        var beam = Rho * A * L;
        var expected = Math.Sqrt(3 * E * I / ((mass + 0.2357 * beam) * L * L * L)) / (2 * Math.PI);
        Near.Share(expected, ModelSolver.Solve(Cantilever(L, D, 6, mass)).Modes![0].Frequency, 0.005);
    }

    [Theory] // Blevins table 8-1: λ = 1.87510407, 4.69409113, 7.85475744
    [InlineData(0, 1.87510407)]
    [InlineData(2, 4.69409113)]
    [InlineData(4, 7.85475744)]
    public void CantileverFrequencies(int mode, double lambda)
    {
        var f = lambda * lambda / (2 * Math.PI * L * L) * Math.Sqrt(E * I / (Rho * A));
        Near.Share(f, ModelSolver.Solve(Cantilever(L, D, 12)).Modes![mode].Frequency, 0.003);
    }

    [Fact] // Blevins: pinned-pinned λ = π, from releases of both ends
    public void PinnedBarHasItsOwnMode()
    {
        var model = Cantilever(L, D, 8);
        var members = model.Members.ToList();
        members[0] = members[0] with { ReleaseFrom = ["ry", "rz"] };
        members[7] = members[7] with { ReleaseTo = ["ry", "rz"] };
        var f = Math.PI / (2 * L * L) * Math.Sqrt(E * I / (Rho * A));
        Near.Share(f, ModelSolver.Solve(model with { Members = members, Springs = [Fixed("n0"), Fixed("n8")] }).Modes![0].Frequency, 0.003);
    }

    [Fact]
    public void RigidLinkCarriesItsLever()
    {
        // A clamped bar with a rigid bracket: a force at its end is a force and a moment at the bar's.
        var model = Cantilever(L, D, 4, cases: [Load("tip", [0, 0, -10]), Load("n4", [0, 0, -10], [0, 10 * 0.3, 0])]);
        model = model with { Nodes = [.. model.Nodes, new("tip", L + 0.3, 0, 0)], RigidLinks = [new("n4", "tip")] };
        var solved = ModelSolver.Solve(model);
        Near.Share(solved.Displacement("n4", 1)[2], solved.Displacement("n4")[2], 1e-9);
        var u = solved.Displacement("n4");
        Near.Share(u[2] - 0.3 * u[4], solved.Displacement("tip")[2], 1e-9);
    }

    [Fact]
    public void MassOffsetWeighsAndTurns()
    {
        // Pendulum-like: a mass m on an arm r beside a torsion bar k: f = (1/2π)√(k/(m·r² + I)).
        var model = new ModelDocument
        {
            Nodes = [new("a", 0, 0, 0)],
            Springs = [new("k", "a", [1e12, 1e12, 1e12, 1e12, 1e12, 40])],
            Masses = [new("a", 2) { Offset = [0.3, 0, 0], I = [0.01, 0.01, 0.05] }],
        };
        Near.Share(Math.Sqrt(40 / (2 * 0.09 + 0.05)) / (2 * Math.PI), ModelSolver.Solve(model).Modes![0].Frequency, 1e-6);
    }
}
