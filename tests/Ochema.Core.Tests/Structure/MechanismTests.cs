using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Structure;

public class MechanismTests
{
    [Fact]
    public void AFreeBodyIsAFindingNotAnError()
    {
        var solved = ModelSolver.Solve(Frames.Cantilever(0.5, 0.01, 2, cases: Frames.Load("n2", [0, 0, 1])) with { Springs = [] });
        Assert.Null(solved.Cases[0].Result);
        Assert.Contains("freely", solved.Cases[0].Finding);
        Assert.Null(solved.Modes);
        Assert.Contains(solved.Findings!, f => f.Where == "modes");
    }

    [Fact]
    public void TheMotionIsNamed()
    {
        // Held against everything but turning about the vertical.
        var model = Frames.Cantilever(0.5, 0.01, 2, cases: Frames.Load("n2",
            [0, 0, 1])) with
        { Springs = [new("foot", "n0", [1e9, 1e9, 1e9, 1e9, 1e9, 0])] };
        var finding = ModelSolver.Solve(model).Cases[0].Finding!;
        Assert.True(finding.Contains("n2") && (finding.Contains("sideways") || finding.Contains("vertical")), finding);
    }

    [Fact]
    public void WithoutTakesPartsOut()
    {
        var model = Frames.Cantilever(0.5, 0.01, 2) with
        {
            Springs = [Frames.Fixed("n0"), new("prop", "n2", [0, 0, 1e6, 0, 0, 0])],
            Cases = [Frames.Load("n2", [0, 0, -10]), Frames.Load("n2", [0, 0, -10]) with { Id = "gone", Without = ["prop"] },
                Frames.Load("n2", [0, 0, -10]) with { Id = "all gone", Without = ["prop", "fix-n0"] }],
        };
        var solved = ModelSolver.Solve(model);
        Assert.True(Math.Abs(solved.Displacement("n2", 1)[2]) > 10 * Math.Abs(solved.Displacement("n2")[2]));
        Assert.False(solved.Cases[1].Result!.SpringForces.ContainsKey("prop"));
        Assert.NotNull(solved.Cases[2].Finding);
    }

    [Fact]
    public void MemberReleasedAboutItsAxisAtBothEndsStillSolves()
    {
        var model = Frames.Cantilever(0.5, 0.01, 1, cases: Frames.Load("n1", [0, 0, -1])) with
        {
            Springs = [Frames.Fixed("n0"),
            new("turn", "n1", [0, 0, 0, 5, 0, 0])]
        };
        model = model with { Members = [model.Members[0] with { ReleaseFrom = ["rx"], ReleaseTo = ["rx"] }] };
        Assert.NotNull(ModelSolver.Solve(model).Cases[0].Result);
    }
}
