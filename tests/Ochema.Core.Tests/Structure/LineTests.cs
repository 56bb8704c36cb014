using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

public class LineTests
{
    /// <summary>A post on a soft foot, stayed by n lines around it.</summary>
    private static ModelDocument Stayed(int n, double pretension, double[] force, double foot = 100) => new()
    {
        Nodes = [new("base", 0, 0, 0), new("top", 0, 0, 1)],
        Members = [Frames.Bar("post", "base", "top", 0.03, up: [1, 0, 0])],
        Springs = [new("foot", "base", [1e9, 1e9, 1e9, foot, foot, foot])],
        Lines = [.. Enumerable.Range(0, n).Select(i => new ModelLine($"l{i}", "top", 1e5,
            pretension) { Anchor = [Math.Cos(2 * Math.PI * i / n), Math.Sin(2 * Math.PI * i / n), 0] })],
        Cases = [Frames.Load("top", force)],
    };

    [Fact]
    public void OnlyTheWindwardLinePulls()
    {
        var t = ModelSolver.Solve(Stayed(4, 0, [200, 0, 0])).Cases[0].Result!.LineTensions;
        Assert.Equal(0, t["l0"]);
        Assert.True(t["l2"] > 200, $"{t["l2"]}");
        // Nearly all of the push goes into the one stay: T·cos 45° ≈ F.
        Near.Share(200 * Math.Sqrt(2), t["l2"], 0.02);
    }

    [Theory]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(7)]
    [InlineData(9)]
    public void ManyLinesSettleWithoutCycling(int n)
    {
        for (var a = 0; a < 24; a++)
        {
            var solved = ModelSolver.Solve(Stayed(n, 5 * (a % 3), [150 * Math.Cos(a), 150 * Math.Sin(a), 20])).Cases[0];
            Assert.NotNull(solved.Result);
            Assert.All(solved.Result.LineTensions.Values, t => Assert.True(t >= 0));
        }
    }

    [Fact]
    public void PretensionPressesTheFoot()
    {
        var r = ModelSolver.Solve(Stayed(4, 100, [0, 0, 0])).Cases[0].Result!;
        // Four lines of about 100 N at 45° press down with 4·100·cos 45°.
        Near.Share(4 * r.LineTensions["l0"] * Math.Sqrt(0.5), r.SpringForces["foot"][2], 1e-3);
    }

    [Fact]
    public void ALineThatWouldPushIsSlackAndSaysSoWhenNothingElseHolds()
    {
        // Hung from one line only: pulled down it holds, pushed up nothing does.
        ModelDocument Hung(double fz) => new()
        {
            Nodes = [new("a", 0, 0, 0)],
            Springs = [new("guide", "a", [1e6, 1e6, 0, 1e6, 1e6, 1e6])],
            Lines = [new ModelLine("l", "a", 1e5, 0) { Anchor = [0, 0, 1] }],
            Cases = [Frames.Load("a", [0, 0, fz])],
        };
        Near.Share(-50 / 1e5, ModelSolver.Solve(Hung(-50)).Displacement("a")[2], 1e-6);
        var up = ModelSolver.Solve(Hung(50)).Cases[0];
        Assert.Null(up.Result);
        Assert.Contains("stable", up.Finding);
    }

    [Fact]
    public void PadsPushOnly()
    {
        // A beam end resting on a pad: pressed it stands, lifted it leaves.
        ModelDocument Resting(double fz) => Frames.Cantilever(0.5, 0.01, 2, cases: Frames.Load("n2", [0, 0, fz])) with
        {
            Lines = [new ModelLine("pad", "n2", 1e4, 0) { Anchor = [0.5, 0, -0.01], Push = true }],
        };
        var pressed = ModelSolver.Solve(Resting(-20)).Cases[0].Result!;
        Assert.True(pressed.LineTensions["pad"] < -15);
        var lifted = ModelSolver.Solve(Resting(20)).Cases[0].Result!;
        Assert.Equal(0, lifted.LineTensions["pad"]);
        Near.Share(20 * Math.Pow(0.5, 3) / (3 * Frames.E * Math.PI * 1e-8 / 64), lifted.Displacements["n2"][2], 1e-4);
    }

    [Fact]
    public void ModesCountTautLinesOnly()
    {
        ModelDocument Mass(double pretension) => new()
        {
            Nodes = [new("a", 0, 0, 0)],
            Springs = [new("k", "a", [1000, 1e9, 1e9, 1e9, 1e9, 1e9])],
            Masses = [new("a", 1)],
            Lines = [new ModelLine("l", "a", 3000, pretension) { Anchor = [1, 0, 0] }],
        };
        Near.Share(Math.Sqrt(4000) / (2 * Math.PI), ModelSolver.Solve(Mass(100)).Modes![0].Frequency, 1e-6);
        Near.Share(Math.Sqrt(1000) / (2 * Math.PI), ModelSolver.Solve(Mass(0)).Modes![0].Frequency, 1e-6);
    }
}
