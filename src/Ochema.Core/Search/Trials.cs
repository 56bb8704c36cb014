using Ochema.Core.Structure;
using Ochema.Core.Json;

namespace Ochema.Core.Search;

/// <summary>
/// Candidates tried side by side, in their order: whoever asked can stop it, one that fails is left out and takes no other with it, and so
/// are those that are not begun when patience is at its end.
/// </summary>
internal static class Trials
{
    /// <summary>What came of each candidate that could be tried.</summary>
    /// <param name="after">How many goes of the same search come after this one, for which time is left.</param>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<TResult> Each<TCandidate, TResult>(
        IEnumerable<TCandidate> candidates, Func<TCandidate, TResult?> attempt, CancellationToken stop, int after = 0)
        where TResult : class
    {
        var (clock, patience) = (Asked.Clock, Asked.Patience(after));
        var begun = clock.GetTimestamp();
        return [.. candidates.AsParallel().AsOrdered().WithCancellation(stop).Select(c =>
        {
            if (!(clock.GetElapsedTime(begun) > patience))
                return Attempt(c, attempt);
            Asked.LeaveOut();
            return null;
        })
            .Where(r => r is not null).Select(r => r!)];
    }

    private static TResult? Attempt<TCandidate, TResult>(TCandidate candidate, Func<TCandidate, TResult?> attempt)
        where TResult : class
    {
        EditsFirst.MakeWay();
        Asked.Still();
        try
        {
            return attempt(candidate);
        }
        catch (Exception e) when (e is DocumentException or ArithmeticException or InvalidOperationException or ArgumentException or KeyNotFoundException)
        {
            return null; // It does not fit this rig: a strap that would have no length, say.
        }
    }
}
