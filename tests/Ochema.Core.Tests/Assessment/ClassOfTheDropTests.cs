using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>Where a drop lands decides what keeps a piece, and what does not count there.</summary>
public sealed class ClassOfTheDropTests
{
    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    [Fact] // common practice, no source: above people a thumb screw, a rubber washer and glue are no means
    public void AbovePeopleWhatAHandClosesDoesNotCount()
    {
        var rig = RigFiles.Named("strut-clamps");
        var camera = Assess(rig).Retentions.Single(r => r.Station.Is("camera"));
        Assert.Equal(["tether", "tether 2", "tether 3"], camera.By);
        Assert.Contains(camera.NotCounted, n => n.StartsWith("its clip: ", StringComparison.Ordinal));
        // On own ground the same clip does.
        var ground = rig with { Run = rig.Run with { Consequence = Consequence.OwnGround } };
        Assert.Contains("its clip", Assess(ground).Retentions.Single(r => r.Station.Is("camera")).By);
        var screwed = RigFiles.Named("bridle");
        Assert.Contains("its screw", Assess(screwed).Retentions.Single(r => r.Station.Is("camera")).By);
        Assert.DoesNotContain("its screw", Assess(screwed with { Run = screwed.Run with { Consequence = Consequence.OnPeople } })
            .Retentions.Single(r => r.Station.Is("camera")).By);
    }

    [Theory] // nothing rides over deep water on one hold
    [InlineData("gear-rail-boom")]
    [InlineData("foredeck-cup")]
    [InlineData("flush-holder")]
    public void OverDeepWaterOneHoldIsNotEnough(string name)
    {
        var rig = RigFiles.Named(name);
        Assert.Equal(Consequence.DeepWater, rig.Run.Consequence);
        Assert.NotEqual(Verdict.LetsGo, Assess(rig).Verdict.Word);
        var untied = Assess(rig with { Tethers = [] });
        Assert.Equal((Verdict.LetsGo, Why.Missing), (untied.Verdict.Word, untied.Verdict.Why));
    }

    [Fact]
    public void ARigThatGoesToABoatDropsIntoItsWater()
    {
        var there = Relocation.To(RigFiles.Named("cup-and-arm"), "skiff", "").Document;
        Assert.Equal(Consequence.DeepWater, there.Run.Consequence);
        Assert.Equal(Consequence.PublicWay, Relocation.To(there, "estate", "").Document.Run.Consequence);
        var shallow = RigFiles.Named("gear-rail-boom");
        Assert.Contains(Assess(shallow with { Run = shallow.Run with { Consequence = Consequence.OwnGround } }).Findings,
            f => f.Text.Contains("into the water", StringComparison.Ordinal));
    }

    [Fact]
    public void WhatStandsOutBeyondTheCarIsAskedAbout()
    {
        var rig = RigFiles.Named("door-plate");
        Assert.Equal((Verdict.Tight, Why.Unanswered), (Assess(rig).Verdict.Word, Assess(rig).Verdict.Why));
        Assert.Equal(Verdict.Holds, Assess(rig with { Survey = rig.Survey with { BeyondOutline = Answer.Yes } }).Verdict.Word);
        Assert.Equal(Verdict.LetsGo, Assess(rig with { Survey = rig.Survey with { BeyondOutline = Answer.No } }).Verdict.Word);
        // Where nobody else is, nobody asks.
        Assert.DoesNotContain(Assess(rig with { Run = rig.Run with { Consequence = Consequence.OwnGround } }).Verdict.Missing ?? [],
            m => m.Contains("stand out", StringComparison.Ordinal));
    }
}
