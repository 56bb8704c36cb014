using Ochema.Core.Assessment;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Invariants;

/// <summary>What is offered helps, and whatever it makes worse stands beside it.</summary>
public sealed class AdviceIsWorthTakingTests
{
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NothingIsMadeWorseUntold(string name)
    {
        var rig = RigFiles.Named(name);
        var now = Assessor.Assess(rig, Catalogue.Shipped);
        foreach (var change in Adviser.Best(rig, Catalogue.Shipped))
        {
            Assert.NotEmpty(change.Gains);
            var with = Assessor.Assess(change.Document, Catalogue.Shipped);
            Assert.Equal(with.Verdict.LimitSpeed, change.LimitSpeed);
            Assert.True(with.Verdict.Why is not (Why.Refused or Why.Moves) || with.Verdict.Why == now.Verdict.Why,
                $"{change.Id}: {with.Verdict.Text}");
            // Use, speeds, mass and cost: worse by more than nothing is told.
            bool Told(string part) => change.Trades.Any(t => t.Contains(part, StringComparison.Ordinal));
            Assert.True(with.Verdict.Use <= now.Verdict.Use + 0.021 || Told("% used"),
                $"{change.Id}: used {with.Verdict.Use} instead of {now.Verdict.Use}");
            Assert.True((with.Verdict.LimitSpeed ?? 999) >= (now.Verdict.LimitSpeed ?? 999) - 0.31 || Told("lets go at"), change.Id);
            Assert.True((with.Verdict.TightSpeed ?? 999) >= (now.Verdict.TightSpeed ?? 999) - 0.31 || Told("holds to"), change.Id);
            Assert.True(with.Mass <= now.Mass + 0.051 || Told("heavier"), change.Id);
            Assert.True(with.Cost <= now.Cost + 0.51 || Told("dearer"), change.Id);
            var lost = now.LetGo.Where(l => l.Verdict == Verdict.LetsGo).Select(l => l.Id).ToHashSet();
            var more = with.LetGo.Where(l => l.Kind != "intact" && l.Verdict == Verdict.LetsGo && !lost.Contains(l.Id)).ToList();
            Assert.True(more.Count == 0 || change.Trades.Any(t => t.StartsWith("lets go ", StringComparison.Ordinal)
                || t.Contains("nothing keeps it", StringComparison.Ordinal)),
                $"{change.Id} lets go {string.Join(", ", more.Select(m => m.Title))}: {string.Join("; ", change.Trades)}");
            // A piece that lets go where it did not is offered only where the whole gets a better word.
            Assert.True(more.Count == 0 || with.Verdict.Word < now.Verdict.Word || with.Verdict.Why != now.Verdict.Why,
                $"{change.Id} lets go {more.FirstOrDefault()?.Title}");
            Assert.All(with.Retentions.Where(r => r.Has < r.Needs), r =>
                Assert.Contains(now.Retentions, o => o.Piece == r.Piece && o.Has < o.Needs));
        }
    }

    [Fact] // nothing is changed: nothing is gained and nothing traded
    public void TheSameRigIsWorthNothing()
    {
        var report = Assessor.Assess(RigFiles.Named("cup-and-arm"), Catalogue.Shipped);
        var worth = Worth.Of(report, report);
        Assert.False(worth.Helps || worth.Harms);
        Assert.Empty(worth.Trades);
    }

    [Fact] // an arm where hands pass is refused there; a hand's breadth or three along the rail it is not
    public void WhatIsInTheWayIsMovedAside()
    {
        var rig = Core.Rigs.Relocation.To(RigFiles.Named("ball-arm"), "kayak", "").Document;
        var refused = Assessor.Assess(rig, Catalogue.Shipped).Verdict;
        Assert.Equal(Why.Refused, refused.Why);
        var moved = Adviser.Best(rig, Catalogue.Shipped).Where(c => c.Station == "site").ToList();
        Assert.NotEmpty(moved);
        Assert.All(moved, m => Assert.NotEqual(Why.Refused, Assessor.Assess(m.Document, Catalogue.Shipped).Verdict.Why));
    }

    [Theory] // the quick verdict that changes are shown with is the whole one's, whoever is below
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void TheQuickVerdictIsTheWholeOne(string name)
    {
        foreach (var c in new[] { RigFiles.Named(name).Run.Consequence, Core.Rigs.Consequence.OnPeople, Core.Rigs.Consequence.OwnGround }.Distinct())
        {
            var rig = RigFiles.Named(name) is var r ? r with { Run = r.Run with { Consequence = c } } : null!;
            var (quick, whole) = (Assessor.VerdictOf(rig, Catalogue.Shipped), Assessor.Assess(rig, Catalogue.Shipped).Verdict);
            Assert.True((quick.Word, quick.Why) == (whole.Word, whole.Why), $"{c}: {quick.Word} {quick.Why}, {whole.Word} {whole.Why}");
        }
    }
}
