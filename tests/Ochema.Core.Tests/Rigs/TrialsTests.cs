using System.Diagnostics;
using Ochema.Core.Search;
using Ochema.Core.Structure;

namespace Ochema.Core.Tests.Rigs;

/// <summary>Whoever asked waits so long in all, has what there is then, and is told how much is not in it.</summary>
public sealed class TrialsTests
{
    private static readonly int[] Candidates = [.. Enumerable.Range(0, 400)];

    private static string Slow(int i)
    {
        Thread.Sleep(20);
        return $"{i}";
    }

    [Fact]
    public void WhatIsNotTriedIsCountedAndNothingElseIsMissing() => On(() =>
    {
        Asked.By(default, TimeSpan.FromSeconds(0.6));
        var clock = Stopwatch.StartNew();
        var first = Trials.Each(Candidates, Slow, default, after: 2);
        var second = Trials.Each(Candidates, Slow, default, after: 1);
        var third = Trials.Each(Candidates, Slow, default);
        // Three goes one after the other are no longer than three of the shortest beyond it.
        Assert.InRange(clock.Elapsed.TotalSeconds, 0.3, 1.6);
        Assert.All([first, second, third], some => Assert.InRange(some.Count, 1, Candidates.Length - 1));
        Assert.Equal(3 * Candidates.Length - first.Count - second.Count - third.Count, Asked.NotTried);
    });

    [Fact]
    public void WithAllTheTimeThereIsNothingIsLeftOut() => On(() =>
    {
        Asked.By(default);
        Assert.Equal(40, Trials.Each(Candidates.Take(40), Slow, default).Count);
        Assert.Equal(0, Asked.NotTried);
    });

    /// <summary>On a flow of its own: who asked goes along with it.</summary>
    private static void On(Action work) => Task.Run(work).GetAwaiter().GetResult();
}
