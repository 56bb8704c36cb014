using Ochema.Core.Rigs;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>The tether that is advised reaches, catches, and is judged as it was promised.</summary>
public class TetherPlanTests
{
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void WhatIsAdvisedReachesItsEndAndCatches(string name)
    {
        var rig = RigFiles.Named(name) with { Tethers = [] };
        if (TetherPlan.For(RigAssembly.Build(rig, Catalogue.Shipped), RigPath.First.Camera, rig.Run.Speed) is not { } plan)
            return;
        var tied = TetherPlan.With(RigAssembly.Build(rig, Catalogue.Shipped), plan.Tether);
        var built = Assert.Single(RigAssembly.Build(tied, Catalogue.Shipped).Tethers);
        // A line is never shorter than the way it has to go, and has the slack that aiming needs on top.
        var straight = (built.End - built.From).Length;
        Assert.InRange(built.Length, straight + 0.05, straight + 0.07);
        Assert.InRange(built.Length, 0, 1.5);
        var use = Assessor.Assess(tied, Catalogue.Shipped).Checks.Single(c => c.Id.EndsWith(".catch", StringComparison.Ordinal)).Use;
        Assert.InRange(use, 0, 0.9);
        Assert.Contains($"{use:P0} used", plan.Says);
    }
}
