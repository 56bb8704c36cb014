using Ochema.Core.Assessment;

namespace Ochema.Core.Tests.Assessment;

/// <summary>A verdict's headline has one owner: what it says in every case, and nothing beyond what was looked at.</summary>
public sealed class HeadlineTests
{
    private static VerdictReport V(Verdict word, double? tight, double? lets, Why why = Why.Loads) =>
        new(word, 0.5, lets, null, "", tight, why) { LookedTo = 70 };

    [Theory]
    [InlineData(Verdict.Holds, 29.0, 36.0, "Holds to {speed:29}, lets go at {speed:36}")]
    [InlineData(Verdict.Holds, 25.0, null, "Holds to {speed:25}, tight beyond")]
    [InlineData(Verdict.Holds, null, null, "Holds as far as looked at, {speed:70}")]
    [InlineData(Verdict.Tight, 25.0, 36.0, "Tight: holds to {speed:25}, lets go at {speed:36}")]
    [InlineData(Verdict.Tight, 25.0, null, "Tight: holds to {speed:25}, no further")]
    [InlineData(Verdict.Tight, 0.0, 36.0, "Tight, lets go at {speed:36}")]
    [InlineData(Verdict.Tight, 0.0, null, "Tight, looked at up to {speed:70}")]
    [InlineData(Verdict.LetsGo, 25.0, 30.0, "Lets go above {speed:30}, holds to {speed:25}")]
    [InlineData(Verdict.LetsGo, 0.0, 30.0, "Lets go above {speed:30}")]
    [InlineData(Verdict.LetsGo, 0.0, 0.0, "Lets go standing still")]
    public void TwoNumbersByTheirWord(Verdict word, double? tight, double? lets, string said) =>
        Assert.Equal(said, VerdictHeadline.Of(V(word, tight, lets)));

    [Theory]
    [InlineData(Verdict.LetsGo, Why.Refused, "Refused as it stands")]
    [InlineData(Verdict.LetsGo, Why.Moves, "Lets go: it moves freely")]
    [InlineData(Verdict.LetsGo, Why.Missing, "Lets go: too little keeps it")]
    [InlineData(Verdict.Tight, Why.Missing, "Tight until it is kept")]
    [InlineData(Verdict.Tight, Why.Unanswered, "Tight until you have answered")]
    public void WhatItWaitsForComesFirst(Verdict word, Why why, string said)
    {
        Assert.Equal(said, VerdictHeadline.Of(V(word, 10, 20, why)));
        Assert.Equal(said, VerdictHeadline.Word(V(word, 10, 20, why)) + V(word, 10, 20, why).Rest);
    }
}
