using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>A lens on pipe foam over a raised pane, a hand behind it.</summary>
public sealed class FoamRestTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Rest(Func<FoamRest, FoamRest>? change = null) => RigFiles.Named("window-foam") is var rig
        ? rig with { Base = (change ?? (b => b))((FoamRest)rig.Base) } : throw new InvalidOperationException();

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Stock);

    [Fact]
    public void TheHandsCarryAndTheGlassOnlySteadies()
    {
        var report = Assess(Rest());
        Assert.NotEqual(Verdict.LetsGo, report.Verdict.Word);
        Assert.Equal(Verdict.LetsGo, report.LetGo.Single(l => l.Id == "hands").Verdict);
        Assert.NotEqual(Verdict.LetsGo, report.LetGo.Single(l => l.Id == "base-hold").Verdict);
    }

    [Fact] // judgement, 15–40 N: a heavy lens leans on the pane too hard
    public void AHeavyLensLeansOnThePane()
    {
        double Pane(string lens) => Assess(Rest() is var r ? r with
        {
            Camera = r.Camera with
            {
                Lens = lens,
                Body = "mirrorless-full",
                Foot = CameraFoot.Body
            }
        } : r)
            .Checks.Single(c => c.Id == "glass.rests").Use;
        Assert.True(Pane("prime-400") > 1.5 * Pane("prime-200"));
        Assert.True(Pane("prime-600") > 1);
    }

    [Fact] // E·A ÷ t
    public void TheFoamIsASpringByItsBed()
    {
        double Give(double lies, double wall) => RigAssembly.Build(Rest(f => f with { Lies = lies, Wall = wall }), Stock).Model.Springs
            .Single(s => s.Id == "base-hold").K.Max();
        Near.Share(2, Give(0.1, 0.013) / Give(0.05, 0.013), 0.05);
        Near.Share(0.5, Give(0.05, 0.026) / Give(0.05, 0.013), 0.05);
    }

    [Fact] // nobody under a pole: as far round as it falls
    public void UnderATallPoleTheGroundIsKeptClear()
    {
        foreach (var recipe in new[] { "tall-pole", "hand-pole" })
        {
            var b = RigAssembly.Build(RigFiles.Named(recipe), Stock);
            var strip = b.Figure.Where(s => s.Id == "keep-clear").ToList();
            var high = b.Position(b.Camera.Node).Z > b.Host.GroundHeight + 2.5;
            Assert.True(high == (strip.Count == 1), recipe);
            if (high)
                Assert.Equal(b.Host.GroundHeight, strip[0].Points[0].P[2], 1e-9);
        }
    }
}
