using Ochema.Core.Assessment;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>Where no single change is enough the smallest set is found, and it does what it says; else what the rig allows is
/// said.</summary>
public sealed class GoalSearchTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    /// <summary>Whether a rig does what it asks of itself, told by its whole report.</summary>
    private static bool Does(RigDocument rig)
    {
        var report = Assessor.Assess(rig, Stock);
        return (report.Verdict.Word == Verdict.Holds || report.Verdict is { Why: Why.Unanswered, Use: <= 0.8 })
            && report.Sharpness.Word is Sharp.Sharp or Sharp.None;
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void WhatIsFoundDoesWhatWasAsked(string name)
    {
        var rig = RigFiles.Named(name);
        var goal = GoalSearch.Of(rig, Stock);
        Assert.Equal(Does(rig), goal.Reached);
        if (goal.With is { } with)
        {
            Assert.True(Does(with.Document));
            Assert.InRange(goal.Steps.Count, 1, 3);
            // The demand is not among the changes.
            Assert.Equal(rig.Run.Speed, with.Document.Run.Speed);
            Assert.Equal(rig.Camera.Lens, with.Document.Camera.Lens);
            Assert.NotEmpty(with.Gains);
        }
        else if (goal.Allows is { Speed: { } speed })
            Assert.True(Does(rig with { Run = rig.Run with { Speed = speed } }));
        Assert.Equal(goal.Reached ? 0 : 1, (goal.With is null ? 0 : 1) + (goal.Allows is null ? 0 : 1));
    }

    [Fact] // one change is not enough: two are found, and either alone does not reach it
    public void TwoThatReachItTogetherAreFound()
    {
        var rig = RigFiles.Named("roll-hoop");
        var goal = GoalSearch.Of(rig, Stock);
        Assert.True(goal.Steps.Count > 1);
        Assert.DoesNotContain(Adviser.Candidates(rig, Stock), c => c.Changed.Run.Speed == rig.Run.Speed && Does(c.Changed));
    }

    [Fact] // turning shifts the picture by the focal length: that lens is sharp, one a tenth longer is not
    public void TheLongestLensIsTheLongest()
    {
        var rig = RigFiles.Named("window-slot");
        var longest = GoalSearch.Of(rig, Stock).Allows!.FocalLength!.Value;
        RigDocument With(double f) => rig with { Camera = rig.Camera with { FocalLength = f } };
        Assert.True(Does(With(0.99 * longest)));
        Assert.False(Does(With(1.1 * longest)));
    }

    [Fact]
    public void WhoAsksForTheLoadsAloneGetsThem()
    {
        var rig = RigFiles.Named("bolted-roof");
        Assert.True(GoalSearch.Of(rig, Stock, sharp: false).Reached);
        Assert.False(GoalSearch.Of(rig, Stock).Reached);
    }

    [Fact]
    public void ItStopsWhenNobodyWaits() => Assert.ThrowsAny<OperationCanceledException>(() =>
        GoalSearch.Of(RigFiles.Named("wing-row"), Stock, stop: new(true)));
}
