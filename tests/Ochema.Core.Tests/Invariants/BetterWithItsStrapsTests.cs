using Ochema.Core.Assessment;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>Straps are worth their pull: a rig that ships with them is no worse by them, and stays on by them alone.</summary>
public sealed class BetterWithItsStrapsTests
{
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void StrapsThatShipHelp(string name)
    {
        var rig = RigFiles.Named(name);
        if (rig.Straps.Count == 0)
            return;
        var with = Assessor.Assess(rig, Catalogue.Shipped);
        var without = Assessor.Assess(rig with { Straps = [] }, Catalogue.Shipped);
        Assert.True(with.Verdict.Word <= without.Verdict.Word, $"{with.Verdict.Word}, without straps {without.Verdict.Word}");
        Assert.InRange(with.Verdict.Use, 0, without.Verdict.Use + 0.02);
        // What was survived without them is survived with them.
        Assert.All(with.LetGo.Where(l => l.Verdict == Verdict.LetsGo && l.Kind is "hold" or "link" or "brace"),
            l => Assert.Equal(Verdict.LetsGo, without.LetGo.Single(o => o.Id == l.Id).Verdict));
        Assert.NotEqual(Verdict.LetsGo, with.LetGo.Single(l => l.Kind == "straps-alone").Verdict);
        Assert.Contains(with.Retentions, r => r.By.Contains("the straps"));
    }

    [Fact] // pulled back by two with nothing opposite, a nose is told what they cost
    public void StrapsThatCostMoreThanTheyKeepAreAdvisedAgainst()
    {
        var rig = RigFiles.Named("sidecar-nose");
        var back = rig with
        {
            Straps = [.. rig.Straps.Where(s => s.To.Anchor != "sidecar-chassis")
            .Select(s => s with { Pretension = 120 })]
        };
        var (use, advice) = (Assessor.Assess(back, Catalogue.Shipped).Verdict.Use, Core.Search.Adviser.Best(back, Catalogue.Shipped));
        var off = Assert.Single(advice, a => a.Id == "no-straps");
        Assert.True(off.Use < use - 0.05, $"{use} with, {off.Use} without");
    }
}
