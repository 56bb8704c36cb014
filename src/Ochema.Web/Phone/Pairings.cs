using System.Security.Cryptography;

namespace Ochema.Web.Phone;

/// <summary>A code that lets one phone in.</summary>
/// <param name="Code">As it is shown and typed.</param>
/// <param name="Rigs">What it is let in to.</param>
/// <param name="Until">When it is void.</param>
public sealed record Pairing(string Code, IReadOnlyList<string> Rigs, DateTime Until);

/// <summary>The codes that are open. A code serves once, for <see cref="Term"/>; whoever guesses loses them all.</summary>
public sealed class Pairings(TimeProvider clock)
{
    public static readonly TimeSpan Term = TimeSpan.FromMinutes(10);

    /// <summary>Letters and digits that nobody takes for another: 31 of them, eight to a code, 8.5 × 10¹¹ codes.</summary>
    private const string Letters = "ABCDEFGHJKLMNPQRSTUVWXYZ2345678";

    private const int Length = 8;

    /// <summary>Codes that are open at the most, and wrong ones that are heard before all of them are void.</summary>
    private const int Most = 5, Guesses = 10;

    private readonly Lock only = new();
    private List<Pairing> open = [];
    private int guesses;

    /// <summary>A new code.</summary>
    public Pairing New(IReadOnlyList<string> rigs)
    {
        var pairing = new Pairing(RandomNumberGenerator.GetString(Letters, Length), rigs, Now + Term);
        lock (only)
        {
            guesses = 0;
            open = [.. open.Where(p => p.Until > Now).TakeLast(Most - 1), pairing];
        }
        return pairing;
    }

    /// <summary>What a code stands for, which it does no more afterwards; null where it stands for nothing.</summary>
    public Pairing? Take(string code)
    {
        var typed = string.Concat(code.Where(char.IsAsciiLetterOrDigit)).ToUpperInvariant();
        lock (only)
        {
            var found = open.Find(p => p.Until > Now && p.Code == typed);
            if (found is not null)
                open.Remove(found);
            else if (++guesses >= Guesses)
                open.Clear();
            return found;
        }
    }

    private DateTime Now => clock.GetUtcNow().UtcDateTime;
}
