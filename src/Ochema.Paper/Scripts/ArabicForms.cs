using System.Globalization;
using System.Text;

namespace Ochema.Paper.Scripts;

/// <summary>
/// Arabic letters joined to their neighbours, as the presentation forms that Unicode keeps for what draws one letter after the other
/// (Unicode, ch. 9.2, "Arabic Presentation Forms-A" and "-B"). Their order there is: alone, last, first, between.
/// </summary>
internal static class ArabicForms
{
    private const int Alone = 0;
    private const int Last = 1;
    private const int First = 2;
    private const int Between = 3;
    private const char Lam = '\u0644';

    /// <summary>A stroke that only joins.</summary>
    private const char Tatweel = '\u0640';

    /// <summary>A text in the order that it is read in, each letter in its form; what is no Arabic stays.</summary>
    public static string Joined(string text)
    {
        if (!text.Any(c => c is >= '\u0620' and <= '\u06D3'))
            return text;
        var shaped = new StringBuilder(text.Length);
        // Lam and alef are one letter.
        var letters = new List<string>();
        for (var i = 0; i < text.Length; i++)
            letters.Add(i + 1 < text.Length && text[i] == Lam && Forms.ContainsKey(text.Substring(i, 2)) ? text.Substring(i++, 2) : text[i]
                .ToString());
        for (var i = 0; i < letters.Count; i++)
        {
            if (!Forms.TryGetValue(letters[i], out var forms))
            {
                shaped.Append(letters[i]);
                continue;
            }
            var before = Neighbour(letters, i, -1) is { } b && JoinsOn(b) && forms.Count > Last;
            var after = Neighbour(letters, i, 1) is { } a && JoinsBack(a) && forms.Count > First;
            shaped.Append(forms[(before, after) switch
            {
                (true, true) => forms.Count > Between ? Between : Last,
                (true, false) => Last,
                (false, true) => First,
                _ => Alone,
            }]);
        }
        return shaped.ToString();
    }

    /// <summary>The letter before or after, marks left out; null at an end.</summary>
    private static string? Neighbour(List<string> letters, int from, int step)
    {
        for (var i = from + step; i >= 0 && i < letters.Count; i += step)
            if (CharUnicodeInfo.GetUnicodeCategory(letters[i][0]) != UnicodeCategory.NonSpacingMark)
                return letters[i];
        return null;
    }

    private static bool JoinsOn(string letter) => letter[0] == Tatweel || (Forms.TryGetValue(letter, out var forms) && forms.Count > First);

    private static bool JoinsBack(string letter) => letter[0] == Tatweel
        || (Forms.TryGetValue(letter, out var forms) && forms.Count > Last);

    /// <summary>The letters of Forms-B in their order there, from U+FE80, and how many forms each has.</summary>
    private const string FormsB = "\u06211\u06222\u06232\u06242\u06252\u06264\u06272\u06284\u06292\u062A4\u062B4\u062C4\u062D4\u062E4\u062F2\u06302"
        + "\u06312\u06322\u06334\u06344\u06354\u06364\u06374\u06384\u06394\u063A4\u06414\u06424\u06434\u06444\u06454\u06464\u06474\u06482\u06492\u064A4";

    /// <summary>Letters of Persian, Urdu and their neighbours: where their forms begin in Forms-A, and how many there are.</summary>
    private static readonly (char Letter, char From, int Count)[] FormsA =
    [
        ('\u067E', '\uFB56', 4), ('\u0679', '\uFB66', 4), ('\u0686', '\uFB7A', 4), ('\u0688', '\uFB88', 2), ('\u0698', '\uFB8A', 2),
        ('\u0691', '\uFB8C', 2), ('\u06A9', '\uFB8E', 4), ('\u06AF', '\uFB92', 4), ('\u06BA', '\uFB9E', 2), ('\u06C1', '\uFBA6', 4),
        ('\u06BE', '\uFBAA', 4), ('\u06D2', '\uFBAE', 2), ('\u06CC', '\uFBFC', 4),
    ];

    /// <summary>Alefs that are one with a lam before them, two forms each from U+FEF5.</summary>
    private const string LamAlefs = "\u0622\u0623\u0625\u0627";

    // After what it is made of.
    private static readonly Dictionary<string, List<char>> Forms = Found();

    private static Dictionary<string, List<char>> Found()
    {
        var found = new Dictionary<string, List<char>>();
        void Add(string letters, char from, int count) => found[letters] = [.. Enumerable.Range(from, count).Select(c => (char)c)];
        var at = '\uFE80';
        for (var i = 0; i < FormsB.Length; i += 2, at += (char)(FormsB[i - 1] - '0'))
            Add(FormsB[i].ToString(), at, FormsB[i + 1] - '0');
        for (var i = 0; i < LamAlefs.Length; i++)
            Add($"{Lam}{LamAlefs[i]}", (char)('\uFEF5' + 2 * i), 2);
        foreach (var (letter, from, count) in FormsA)
            Add(letter.ToString(), from, count);
        return found;
    }
}
