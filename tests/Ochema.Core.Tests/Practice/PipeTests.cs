using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>Pipe and fittings: what is cut follows from the middles of the fittings, their sockets and what lies between.</summary>
public sealed class PipeTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument With(PipeArm arm) => RigFiles.Named("cup-plate-riser") with { Reach = arm };

    [Theory] // ASTM D2466: least socket depth of schedule 40 fittings, in; from memory
    [InlineData("pvc-1-2", 0.688)]
    [InlineData("pvc-3-4", 0.719)]
    [InlineData("pvc-1", 0.875)]
    public void SocketDepths(string pipe, double inches) =>
        Assert.Equal(inches * 0.0254, PipeFitting.Elbows.Single(e => e.Pipe
            == Catalogue.Shipped.Find<SectionRow>("sections", pipe).Pipe).Socket, 1e-5);

    [Fact] // common practice, no source: 8 in between the middles of two half-inch elbows is a pipe of 7 in; they meet over a nipple of some 32 mm
    public void APipeIsShorterThanItsMiddlesByBothElbows()
    {
        var half = PipeFitting.Elbows.Single(e => e.Pipe == PipeSize.Half);
        Assert.Equal(7 * 0.0254, PipeFitting.Cut(8 * 0.0254, half, half), 1e-9);
        Assert.Equal(7.5 * 0.0254, PipeFitting.Cut(8 * 0.0254, null, half), 1e-9);
        var least = PipeFitting.Least(half, half);
        Assert.Equal(2 * half.Socket, PipeFitting.Cut(least, half, half), 1e-12);
        Assert.Equal(0.032, 2 * half.Socket, 0.004);
    }

    [Fact]
    public void TheListHasItsPiecesElbowsAndCement()
    {
        var arm = new PipeArm();
        var plan = Maker.Of(With(arm), Stock);
        var elbow = PipeFitting.Elbows.Single(e => e.Pipe == Catalogue.Shipped.Find<SectionRow>("sections", arm.Pipe).Pipe);
        double Length(string what) => plan.Parts.Single(p => p.Name.StartsWith(what, StringComparison.Ordinal)).Length!.Value;
        Assert.Equal([arm.Rise - elbow.TakeOff, arm.Out - 2 * elbow.TakeOff, arm.Up - elbow.TakeOff],
            [Length("Rise"), Length("Way out"), Length("Upper end")],
            (a, b) => Math.Abs(a - b) < 1e-9);
        Assert.Equal(2, plan.Parts.Single(p => p.Row == elbow.Row).Quantity);
        Assert.Single(plan.Parts, p => p.Name == "PVC cement");
        Assert.Contains(plan.Cuts, c => c.Row == arm.Pipe && c.Pieces.Sum(p => p.Count) == 3);
        // Pencil lines before cement, a day before anything goes on.
        var (dry, glue) = (plan.Steps.Single(s => s.Title.StartsWith("Push the arm", StringComparison.Ordinal)),
            plan.Steps.Single(s => s.Work == Work.Glue && s.Station == "reach"));
        Assert.True(dry.Number < glue.Number);
        Assert.Equal(24 * 3600, glue.Wait);
        Assert.Contains(glue.Built, r => r.Path == "paths.[first].reach.out");
    }

    [Fact] // what is no pipe any more is said by name, not built
    public void FittingsThatMeetAreRefused()
    {
        var elbow = PipeFitting.Elbows.Single(e => e.Pipe == PipeSize.One);
        var least = PipeFitting.Least(elbow, elbow);
        string Says(double distance) => Assessor.Assess(With(new() { Out = distance }), Stock).Verdict.Text;
        Assert.Contains("Way out", Says(least - 0.001), StringComparison.Ordinal);
        Assert.DoesNotContain("Way out", Says(least + 0.001), StringComparison.Ordinal);
        Assert.DoesNotContain(RigAssembly.Build(With(new() { Out = least - 0.001 }), Stock).Parts, p =>
            p.Name.StartsWith("Way out", StringComparison.Ordinal));
    }

    [Fact] // farther out it bends and turns its sockets more; thinner pipe more again; in the sun it is a quarter as good
    public void ALongerThinnerOrWarmerArmIsWorse()
    {
        double Use(PipeArm arm, string check, Sun sun = Sun.Shade) =>
            Assessor.Assess(With(arm) with { Run = With(arm).Run with { Sun = sun } }, Stock)
            .Checks.Single(c => c.Id == check).Use;
        foreach (var check in new[] { "pipe-rise.strength", "pipe-out.cement" })
        {
            // What turns the way out is what stands up at its end.
            Assert.True(Use(new() { Out = 0.3, Up = 0.3 }, check) > 1.3 * Use(new(), check), check);
            Assert.True(Use(new() { Pipe = "pvc-1-2" }, check) > 1.3 * Use(new(), check), check);
            Assert.True(Use(new(), check, Sun.LightPanel) > 1.3 * Use(new(), check), check);
        }
    }

    [Fact] // by hand: 10 N·m about a pipe of 33.4 mm in a socket of 22.2 mm: 599 N over 2332 mm², 0.26 MPa
    public void TheCementCarriesWhatTurnsThePipe()
    {
        var (d, depth) = (0.033401, PipeFitting.Elbows.Single(e => e.Pipe == PipeSize.One).Socket);
        Near.Share(0.2568e6, 10 / (d / 2) / (Math.PI * d * depth), 0.002);
        // The working says the same of the worst case.
        var check = Assessor.Assess(With(new()), Stock).Checks.Single(c => c.Id == "pipe-out.cement");
        double Term(string s) => check.Working!.Terms.Single(t => t.Symbol == s).Value;
        Near.Share(Term("k") * Math.Sqrt(Math.Pow(Term("N"), 2) + Math.Pow(Term("T") / Term("r"), 2)) / Term("A") / (Term("τ") * Term("s")),
            check.Use, 1e-9);
    }
}
