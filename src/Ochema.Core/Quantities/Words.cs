namespace Ochema.Core.Quantities;

/// <summary>Small help with wording.</summary>
internal static class Words
{
    public static string Capital(string s) => s.Length == 0 ? s : char.ToUpperInvariant(s[0]) + s[1..];

    /// <summary>A name inside a sentence: its first letter small, unless it is a name of letters and digits (M8, PVC, 6061-T6).</summary>
    public static string Inside(string s) => s.Length < 2 || !char.IsUpper(s[0]) || char.IsUpper(s[1])
        || char.IsDigit(s[1]) || s[1] == '-' ? s : char.ToLowerInvariant(s[0]) + s[1..];

    /// <summary>The name itself, or with a number behind it where it is taken: "tether", "tether-2" and so on.</summary>
    public static string Free(string name, Func<string, bool> taken)
    {
        var free = name;
        for (var n = 2; taken(free); n++)
            free = $"{name}-{n}";
        return free;
    }

    /// <summary>A part that the user calls by a name of their own, as "strut left ahead": marks between words of an id are no dashes in a
    /// sentence.</summary>
    public static string Named(string noun, string id) => $"{noun} {id.Replace('-', ' ')}";

    /// <summary>Where something goes, in a sentence: "to the bow eye", "round the trunk, above", "to the rig's own base".</summary>
    public static string To(string place) => Inside(place) switch
    {
        var p when p.StartsWith("round ", StringComparison.Ordinal) => p,
        var p when p.StartsWith("the ", StringComparison.Ordinal) => "to " + p,
        var p => "to the " + p,
    };

    /// <summary>A place with its article where it takes one: "the bonnet", "both hands".</summary>
    public static string The(string place) => Inside(place) is var p
        && (p.StartsWith("both ", StringComparison.Ordinal) || p.StartsWith("one ", StringComparison.Ordinal))
        ? p : "the " + Inside(place);
}
