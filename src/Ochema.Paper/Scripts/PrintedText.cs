using System.Collections;
using System.Text;
using AnyAscii;

namespace Ochema.Paper.Scripts;

/// <summary>A piece of a line in one family of type.</summary>
internal readonly record struct TextRun(string Text, string Family);

/// <summary>
/// A line as it is printed: letters that no face has are written in Latin ones, Arabic is joined, what is read from the right stands from
/// the right, and each piece is in the first family that has its letters.
/// </summary>
internal static class PrintedText
{
    private static readonly Lazy<IReadOnlyList<(string Family, BitArray Has)>> Families =
        new(() => [.. PaperFonts.Families.Select(f => (f, Coverage.Of(PaperFonts.Face(f))))]);

    /// <summary>Latin letters and their accents end here.</summary>
    private const char LastLatin = '\u024F';

    /// <summary>True where some of a text has no type here and is written in Latin letters.</summary>
    public static bool IsTransliterated(string text) => text.EnumerateRunes().Any(r => !Has(r));

    /// <summary>The line in pieces, from the left.</summary>
    public static IReadOnlyList<TextRun> Of(string line)
    {
        var own = Families.Value[0];
        // Nearly all of it is of our own letters: nothing to do.
        if (line.All(c => own.Has[c]))
            return [new(line, own.Family)];
        var runs = new List<TextRun>();
        foreach (var rune in VisualOrder.Of(Joined(Known(line))).EnumerateRunes())
        {
            var c = (char)Math.Min(rune.Value, 0xFFFE);
            // What is no Latin letter goes with the piece before it, where that has it: spaces, marks, and a Greek letter that our own type
            // has too.
            var family = runs.Count > 0 && !(char.IsLetter(c) && c <= LastLatin) && Letters(runs[^1].Family)[c] ? runs[^1].Family
                : Families.Value.First(f => f.Has[c]).Family;
            if (runs.Count > 0 && runs[^1].Family == family)
                runs[^1] = new(runs[^1].Text + rune, family);
            else
                runs.Add(new(rune.ToString(), family));
        }
        return runs;
    }

    private static BitArray Letters(string family) => Families.Value.First(f => f.Family == family).Has;

    private static bool Has(Rune rune) => rune.IsBmp && Families.Value.Any(f => f.Has[rune.Value]);

    /// <summary>Letters that no face has in Latin ones; what is nothing there either is a question mark.</summary>
    private static string Known(string line)
    {
        var known = new StringBuilder(line.Length);
        foreach (var rune in line.EnumerateRunes())
            known.Append(Has(rune) ? rune.ToString() : rune.ToString().Transliterate() is { Length: > 0 } latin ? latin : "?");
        return known.ToString();
    }

    /// <summary>Joined where type for the joined forms is there.</summary>
    private static string Joined(string line) => ArabicForms.Joined(line) is var joined && joined.EnumerateRunes().All(Has) ? joined : line;
}
