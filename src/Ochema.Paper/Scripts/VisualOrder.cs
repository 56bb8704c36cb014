using System.Globalization;

namespace Ochema.Paper.Scripts;

/// <summary>
/// A line in the order that it stands on paper, from the left: the Unicode bidirectional algorithm (UAX #9) without embeddings, whose marks
/// are refused in documents. Classes are told by range, for what names are made of.
/// </summary>
internal static class VisualOrder
{
    private enum Way
    {
        Left,
        Right,
        Arabic,
        Digit,
        ArabicDigit,
        Sign,
        Terminator,
        Separator,
        Mark,
        Neutral,
    }

    private const string Mirrored = "()[]{}<>«»‹›";

    /// <summary>True where anything is read from the right.</summary>
    public static bool Concerns(string text) => text.Any(c => Of(c) is Way.Right or Way.Arabic or Way.ArabicDigit);

    /// <summary>The line from left to right.</summary>
    public static string Of(string line)
    {
        if (!Concerns(line))
            return line;
        // What belongs together stays so: a letter and its marks.
        var elements = new List<string>();
        for (var e = StringInfo.GetTextElementEnumerator(line); e.MoveNext();)
            elements.Add(e.GetTextElement());
        var kinds = elements.ConvertAll(e => Of(e[0]));
        var start = kinds.Find(k => k is Way.Left or Way.Right or Way.Arabic) is Way.Right or Way.Arabic ? 1 : 0;
        Weak(kinds, start);
        Neutrals(kinds, start);
        // I1, I2.
        var levels = kinds.ConvertAll(k => (start & 1) == 0
            ? k switch { Way.Right => start + 1, Way.Digit or Way.ArabicDigit => start + 2, _ => start }
            : k == Way.Right ? start : start + 1);
        // L1: white space at the end of a line stands as the line does.
        for (var i = levels.Count - 1; i >= 0 && string.IsNullOrWhiteSpace(elements[i]); i--)
            levels[i] = start;
        // L4: brackets of what is read from the right look the other way.
        for (var i = 0; i < elements.Count; i++)
            if ((levels[i] & 1) == 1 && elements[i].Length == 1 && Mirrored.IndexOf(elements[i][0], StringComparison.Ordinal) is
                >= 0 and var at)
                elements[i] = Mirrored[at ^ 1].ToString();
        // L2: from the highest level down each run of that level or more is turned round.
        for (var level = levels.Max(); level > 0; level--)
            for (var i = 0; i < levels.Count; i++)
                if (levels[i] >= level)
                {
                    var end = i;
                    while (end < levels.Count && levels[end] >= level)
                        end++;
                    elements.Reverse(i, end - i);
                    levels.Reverse(i, end - i);
                    i = end;
                }
        return string.Concat(elements);
    }

    /// <summary>W1 to W7.</summary>
    private static void Weak(List<Way> kinds, int start)
    {
        var strong = start == 1 ? Way.Right : Way.Left;
        for (var i = 0; i < kinds.Count; i++)
        {
            if (kinds[i] == Way.Mark)
                kinds[i] = i == 0 ? strong : kinds[i - 1];
            if (kinds[i] == Way.Digit && strong == Way.Arabic)
                kinds[i] = Way.ArabicDigit;
            if (kinds[i] is Way.Left or Way.Right or Way.Arabic)
                strong = kinds[i];
        }
        for (var i = 0; i < kinds.Count; i++)
            if (kinds[i] == Way.Arabic)
                kinds[i] = Way.Right;
        for (var i = 1; i + 1 < kinds.Count; i++)
            if (kinds[i] is Way.Sign or Way.Separator && kinds[i - 1] == kinds[i + 1]
                && (kinds[i - 1] == Way.Digit || (kinds[i - 1] == Way.ArabicDigit && kinds[i] == Way.Separator)))
                kinds[i] = kinds[i - 1];
        for (var i = 0; i < kinds.Count; i++)
            if (kinds[i] == Way.Terminator)
            {
                var end = i;
                while (end < kinds.Count && kinds[end] == Way.Terminator)
                    end++;
                var beside = (i > 0 && kinds[i - 1] == Way.Digit) || (end < kinds.Count && kinds[end] == Way.Digit);
                for (; i < end; i++)
                    kinds[i] = beside ? Way.Digit : Way.Neutral;
                i--;
            }
        strong = start == 1 ? Way.Right : Way.Left;
        for (var i = 0; i < kinds.Count; i++)
        {
            if (kinds[i] is Way.Sign or Way.Separator)
                kinds[i] = Way.Neutral;
            if (kinds[i] is Way.Left or Way.Right)
                strong = kinds[i];
            else if (kinds[i] == Way.Digit && strong == Way.Left)
                kinds[i] = Way.Left;
        }
    }

    /// <summary>N1 and N2: what is neither goes with what is on both sides of it, else with the line.</summary>
    private static void Neutrals(List<Way> kinds, int start)
    {
        var whole = start == 1 ? Way.Right : Way.Left;
        Way Side(int i) => i < 0 || i >= kinds.Count ? whole : kinds[i] == Way.Left ? Way.Left : Way.Right;
        for (var i = 0; i < kinds.Count; i++)
            if (kinds[i] == Way.Neutral)
            {
                var end = i;
                while (end < kinds.Count && kinds[end] == Way.Neutral)
                    end++;
                var (before, after) = (Side(i - 1), Side(end));
                for (; i < end; i++)
                    kinds[i] = before == after ? before : whole;
                i--;
            }
    }

    private static Way Of(char c) => c switch
    {
        >= '0' and <= '9' or >= '\u06F0' and <= '\u06F9' => Way.Digit,
        >= '\u0660' and <= '\u0669' or '\u066B' or '\u066C' => Way.ArabicDigit,
        '+' or '-' or '\u2212' => Way.Sign,
        '#' or '$' or '%' or '°' or '€' or '£' or '′' or '″' => Way.Terminator,
        ',' or '.' or ':' or '/' or '\u00A0' => Way.Separator,
        _ when CharUnicodeInfo.GetUnicodeCategory(c) is UnicodeCategory.NonSpacingMark or UnicodeCategory.EnclosingMark => Way.Mark,
        >= '\u0590' and <= '\u05FF' or >= '\u07C0' and <= '\u085F' or >= '\uFB1D' and <= '\uFB4F' => Way.Right,
        >= '\u0600' and <= '\u07BF' or >= '\u0860' and <= '\u08FF' or >= '\uFB50' and <= '\uFDFF' or >= '\uFE70' and <= '\uFEFC' =>
            Way.Arabic,
        _ => char.IsLetter(c) || char.IsSurrogate(c) ? Way.Left : Way.Neutral,
    };
}
