using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>What turns by more than a little falls or swings: no share of a load is said of it, and no result is published.</summary>
public sealed class WhatIsLeftFallsTests
{
    [Fact] // on two lines of three it hangs, and swings; a hand that is gone from a pole lets it fall
    public void ABracketOnOneLineSwingsAndAPoleWithoutHandsFalls()
    {
        var bridle = Assessor.Assess(RigFiles.Named("bridle"), Catalogue.Shipped);
        var one = bridle.LetGo.Single(l => l.Kind == "two-holds");
        Assert.Equal(Verdict.Tight, one.Verdict);
        Assert.Contains("swings over", one.Says, StringComparison.Ordinal);
        var pole = Assessor.Assess(RigFiles.Named("pole-on-its-butt"), Catalogue.Shipped);
        var hands = pole.LetGo.Single(l => l.Id == "hands");
        Assert.Equal(Verdict.LetsGo, hands.Verdict);
        Assert.Contains("falls", hands.Says, StringComparison.Ordinal);
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NoPublishedResultTurnsByMoreThanALittle(string name)
    {
        var model = RigModelDocument.Of(RigFiles.Named(name), Catalogue.Shipped);
        foreach (var c in model.Cases.Where(c => c.Without is not null))
            if (c.Result is { } r)
                Assert.All(r.Displacements.Values, d => Assert.InRange(Math.Sqrt(d[3] * d[3] + d[4] * d[4] + d[5] * d[5]), 0,
                    RigModelDocument.Tips));
            else
                Assert.NotNull(c.Finding);
    }

    [Theory] // the plan of a footprint and the shove say the same: what tips at more than a hand's shove is not said to tip by it
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void TheShoveAndThePlanAgree(string name)
    {
        var rig = RigFiles.Named(name);
        var report = Assessor.Assess(rig, Catalogue.Shipped);
        if (report.Tip is not { } tip)
            return;
        var knock = Core.Hosts.HostLibrary.Find(rig.Host)!.Motion.Knock;
        var text = report.Knock.Text;
        Assert.True(tip.Least.Force <= knock || !text.Contains("tips over", StringComparison.Ordinal),
            $"{text}; tips at {tip.Least.Force:0} N");
        Assert.True(tip.Least.Force >= 0.9 * knock || !text.Contains("does not tip", StringComparison.Ordinal),
            $"{text}; tips at {tip.Least.Force:0} N");
    }
}
