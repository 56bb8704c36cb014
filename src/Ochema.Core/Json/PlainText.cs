using System.Globalization;
using System.Text;

namespace Ochema.Core.Json;

/// <summary>
/// Texts of the user's in documents and requests: names on one line, notes on several. What no file, list or drawing can carry is refused
/// where it is read: control characters, line and paragraph separators, noncharacters, halves of characters.
/// </summary>
public static class PlainText
{
    /// <summary>Longest name of a rig, film or version.</summary>
    public const int LongestName = 120;

    /// <summary>A name: one line.</summary>
    /// <exception cref="DocumentException">It is too short, too long, or has what a name may not have; names the path.</exception>
    public static void Name(string text, string path, int shortest = 1, int longest = LongestName) =>
        Check(text, path, shortest, longest, false);

    /// <summary>A note: line feeds and tabs may stand in it.</summary>
    /// <inheritdoc cref="Name"/>
    public static void Note(string text, string path, int longest) => Check(text, path, 0, longest, true);

    /// <summary>A text as a drawing or a list can carry it: what is refused in a name becomes a space, for texts that were kept before it
    /// was.</summary>
    public static string Printable(string text)
    {
        var plain = new StringBuilder(text.Length);
        // A half of a character comes as the replacement character.
        foreach (var rune in text.EnumerateRunes())
            plain.Append(Refused(rune) is null ? rune.ToString() : " ");
        return plain.ToString();
    }

    private static void Check(string text, string path, int shortest, int longest, bool lines)
    {
        if (text.Length < shortest)
            throw new DocumentException(path, "is empty");
        if (text.Length > longest)
            throw new DocumentException(path, $"is longer than {longest} characters");
        for (var at = 0; at < text.Length;)
        {
            if (Rune.DecodeFromUtf16(text.AsSpan(at), out var rune, out var taken) != System.Buffers.OperationStatus.Done)
                throw new DocumentException(path, "has half of a character");
            if (!(lines && rune.Value is ('\n' or '\t')) && Refused(rune) is { } what)
                throw new DocumentException(path, what);
            at += taken;
        }
    }

    /// <summary>Why a character is refused; null where it is none that is.</summary>
    private static string? Refused(Rune rune) => Rune.GetUnicodeCategory(rune) switch
    {
        UnicodeCategory.Control => "has control characters",
        UnicodeCategory.LineSeparator or UnicodeCategory.ParagraphSeparator => "has more than one line",
        // U+FFFE, U+FFFF and their like in every plane, U+FDD0 to U+FDEF (Unicode, ch. 23.7).
        _ when (rune.Value & 0xFFFE) == 0xFFFE || rune.Value is >= 0xFDD0 and <= 0xFDEF => "has characters that are none",
        // Marks that turn the direction of what follows, beyond the text itself (Unicode UAX #9).
        _ when rune.Value is >= 0x202A and <= 0x202E or >= 0x2066 and <= 0x2069 => "has marks that turn the direction of the text",
        _ => null,
    };
}
