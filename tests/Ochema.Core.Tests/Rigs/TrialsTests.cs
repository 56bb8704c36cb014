using Microsoft.Extensions.Time.Testing;
using Ochema.Core.Search;
using Ochema.Core.Structure;

namespace Ochema.Core.Tests.Rigs;

/// <summary>Whoever asked waits so long in all, has what there is then, and is told how much is not in it.</summary>
public sealed class TrialsTests
{
    private static readonly int[] Candidates = [.. Enumerable.Range(0, 400)];

    private static readonly TimeSpan OneTakes = TimeSpan.FromSeconds(0.02);

    [Fact]
    public void WhatIsNotTriedIsCountedAndNothingElseIsMissing() => On(() =>
    {
        // By a clock that goes on by a candidate's time for each of them, and stands still otherwise.
        var clock = new FakeTimeProvider();
        Asked.By(default, TimeSpan.FromSeconds(0.6), clock);
        var begun = clock.GetTimestamp();
        var first = Trials.Each(Candidates, i => Slow(i, clock), default, after: 2);
        var second = Trials.Each(Candidates, i => Slow(i, clock), default, after: 1);
        var third = Trials.Each(Candidates, i => Slow(i, clock), default);
        // Each go has its third of it: ten candidates, and those that were begun beside the last of them.
        var beside = Environment.ProcessorCount + 1;
        Assert.All([first, second, third], some => Assert.InRange(some.Count, 10 - 2 * beside, 10 + beside));
        Assert.InRange(clock.GetElapsedTime(begun), TimeSpan.FromSeconds(0.55), TimeSpan.FromSeconds(0.6) + beside * OneTakes);
        Assert.Equal(3 * Candidates.Length - first.Count - second.Count - third.Count, Asked.NotTried);
    });

    [Fact]
    public void WithAllTheTimeThereIsNothingIsLeftOut() => On(() =>
    {
        Asked.By(default);
        Assert.Equal(40, Trials.Each(Candidates.Take(40), i => $"{i}", default).Count);
        Assert.Equal(0, Asked.NotTried);
    });

    private static string Slow(int i, FakeTimeProvider clock)
    {
        clock.Advance(OneTakes);
        return $"{i}";
    }

    /// <summary>On a flow of its own: who asked goes along with it.</summary>
    private static void On(Action work) => Task.Run(work).GetAwaiter().GetResult();
}
