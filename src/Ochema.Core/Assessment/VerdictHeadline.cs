using Ochema.Core.Quantities;

namespace Ochema.Core.Assessment;

/// <summary>A verdict as a headline: its word and its two numbers, or what it waits for.</summary>
public static class VerdictHeadline
{
    /// <summary>The word alone: refused, holds, tight, lets go.</summary>
    public static string Word(VerdictReport v) =>
        v.Why == Why.Refused ? "Refused" : v.Word switch { Verdict.Holds => "Holds", Verdict.Tight => "Tight", _ => "Lets go" };

    /// <summary>In words, speeds as {speed:12.5}.</summary>
    public static string Of(VerdictReport v)
    {
        string At(double speed) => QuantityText.Of(speed, Dimension.Speed);
        return Word(v) + v.Why switch
        {
            Why.Refused => " as it stands",
            Why.Moves => ": it moves freely",
            Why.Missing => v.Word == Verdict.LetsGo ? ": too little keeps it" : " until it is kept",
            Why.Unanswered => " until you have answered",
            _ when v.LimitSpeed == 0 => " standing still",
            _ when v.Word == Verdict.LetsGo => (v.LimitSpeed is { } l ? $" above {At(l)}" : "") + (v.TightSpeed is > 0 and var t ? $", holds to {At(t)}" : ""),
            _ when v.TightSpeed is null => v.LookedTo is { } far ? $" as far as looked at, {At(far)}" : "",
            _ => (v.TightSpeed > 0 ? $"{(v.Word == Verdict.Tight ? ": holds" : "")} to {At(v.TightSpeed.Value)}" : "")
                + (v.LimitSpeed is { } lets ? $", lets go at {At(lets)}" : ", no further looked at"),
        };
    }
}
