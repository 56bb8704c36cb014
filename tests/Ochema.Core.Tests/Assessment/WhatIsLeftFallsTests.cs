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
                Assert.All(r.Displacements.Values, d => Assert.InRange(Math.Sqrt(d[3] * d[3] + d[4] * d[4] + d[5] * d[5]), 0, RigModelDocument.Tips));
            else
                Assert.NotNull(c.Finding);
    }

    [Fact] // a bag in a window tips below 40 N by its own plan, on a sill that may grip better than is counted on: a shove of 40 N is not said to slide it
    public void WhatTipsBeforeItCertainlySlidesIsSaidToTip()
    {
        var bag = Assessor.Assess(RigFiles.Named("window-bag"), Catalogue.Shipped);
        Assert.InRange(bag.Tip!.Least.Force, 5, 39);
        Assert.Equal(Verdict.LetsGo, bag.Knock.Word);
        Assert.Contains("tips over", bag.Knock.Text, StringComparison.Ordinal);
    }
}
