using Ochema.Core.Quantities;

namespace Ochema.Core.Assessment;

/// <summary>A verdict as a headline: its word and its two numbers, or what it waits for.</summary>
public static class VerdictHeadline
{
    /// <summary>The word alone: refused, holds, tight, lets go.</summary>
    public static string Word(VerdictReport v) =>
        v.Why == Why.Refused ? "Refused" : v.Word switch { Verdict.Holds => "Holds", Verdict.Tight => "Tight", _ => "Lets go" };

    /// <summary>In words, speeds as {speed:12.5}.</summary>
    public static string Of(VerdictReport v) => Word(v) + Rest(v);

    /// <summary>
    /// What stands behind its word: its two numbers, the end of the green and the end of the amber, or what it waits for. Nothing is said
    /// beyond what was looked at. Every screen, card and page says this.
    /// </summary>
    public static string Rest(VerdictReport v)
    {
        string At(double speed) => QuantityText.Of(speed, Dimension.Speed);
        var lets = v.LimitSpeed is { } limit ? $", lets go at {At(limit)}" : null;
        return v switch
        {
            { Why: Why.Refused } => " as it stands",
            { Why: Why.Moves } => ": it moves freely",
            { Why: Why.Missing, Word: Verdict.LetsGo } => ": too little keeps it",
            { Why: Why.Missing } => " until it is kept",
            { Why: Why.Unanswered } => " until you have answered",
            { LimitSpeed: 0 } => " standing still",
            { Word: Verdict.LetsGo } => (v.LimitSpeed is { } from ? $" above {At(from)}" : "")
                + (v.TightSpeed is > 0 and var to ? $", holds to {At(to)}" : ""),
            { TightSpeed: null } => v.LookedTo is { } far ? $" as far as looked at, {At(far)}" : "",
            { Word: Verdict.Tight, TightSpeed: > 0 and var green } => $": holds to {At(green)}{lets ?? ", no further"}",
            { Word: Verdict.Tight } => lets ?? (v.LookedTo is { } far ? $", looked at up to {At(far)}" : ""),
            { TightSpeed: var green } => $" to {At(green.Value)}{lets ?? ", tight beyond"}",
        };
    }
}
