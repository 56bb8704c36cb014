using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>What water does to cameras that are not made for it, and to round members in its stream.</summary>
public sealed class UnderWaterTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;
    private static readonly RigDocument Arm = RigFiles.Named("low-arm");

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Stock.With(rig.Stock));

    private static RigDocument Rated(double depth) => Arm with
    {
        Stock = new OwnStock { Cameras = [Stock.Find<CameraRow>("cameras", "action") with { Id = "own-camera", UnderWater = depth }] },
        Camera = Arm.Camera with { Body = "own-camera" },
    };

    [Fact] // both sides of the limit: its depth in the wave's crest
    public void ACameraIsRefusedWhereItIsDeeperThanItIsRated()
    {
        var model = new Core.Analysis.RigModel(Arm, Stock);
        var deep = HostLibrary.Find(Arm.Host)!.Motion.Crest(Arm.Run.Road) - model.Built.Position(model.Built.Camera.Node).Z;
        Assert.True(deep > 0.3);
        Assert.Equal(Why.Refused, Assess(Rated(deep - 0.01)).Verdict.Why);
        Assert.NotEqual(Why.Refused, Assess(Rated(deep + 0.01)).Verdict.Why);
        Assert.Equal(Why.Refused, Assess(Rated(0)).Verdict.Why);
        // A housing that is rated for it lets it down; one that is not, not.
        Assert.NotEqual(Why.Refused, Assess(Rated(0) with { Camera = Rated(0).Camera with { Housing = deep + 0.01 } }).Verdict.Why);
        Assert.Equal(Why.Refused, Assess(Rated(0) with { Camera = Rated(0).Camera with { Housing = deep - 0.01 } }).Verdict.Why);
    }

    [Fact] // over water it gets wet, which is said and refuses nothing; on land nothing is said
    public void OverWaterItIsSaid()
    {
        var boom = RigFiles.Named("gear-rail-boom");
        var own = Stock.Find<CameraRow>("cameras", "action") with { Id = "own-camera", UnderWater = 0 };
        RigDocument Dry(RigDocument rig) => rig with
        {
            Stock = new OwnStock { Cameras = [own] },
            Camera = rig.Camera with { Body = own.Id }
        };
        Assert.Contains(Assess(Dry(boom)).Findings, f => !f.Blocks && f.Text.Contains("Waves come over it", StringComparison.Ordinal));
        Assert.DoesNotContain(Assess(boom).Findings, f => f.Text.Contains("Waves come over it", StringComparison.Ordinal));
        Assert.DoesNotContain(Assess(Dry(RigFiles.Named("handlebar-clamp"))).Findings, f =>
            f.Text.Contains("Waves", StringComparison.Ordinal));
    }

    [Theory] // Griffin's curve, by hand: 1.29 d undamped, and what is left of it
    [InlineData(0, 1.29)]
    [InlineData(1, 0.3892)]
    [InlineData(5, 0.0276)]
    public void TheSwingFallsWithWhatDampsIt(double stability, double diameters) =>
        Assert.Equal(diameters, WaterShedding.Swing(stability), 0.0005);

    [Fact] // a long thin pipe in a faster stream swings, at the reduced speeds where shedding locks on; in air nothing is said of it
    public void ARoundMemberInAFastStreamSwings()
    {
        var pipe = (PipeArm)Arm.Reach;
        bool Swings(double speed) => Assess(Arm with { Reach = pipe with { Out = 1.2 }, Run = Arm.Run with { Speed = speed } }).Findings
            .Any(f => f.Text.Contains("swings by up to", StringComparison.Ordinal));
        Assert.Contains(Enumerable.Range(1, 30), i => Swings(0.1 * i));
        Assert.DoesNotContain(Assess(RigFiles.Named("hand-pole")).Findings, f => f.Text.Contains("sheds near", StringComparison.Ordinal));
    }
}
