using System.Globalization;
using System.Text.RegularExpressions;

namespace Ochema.Core.Quantities;

/// <summary>What became of a typed quantity.</summary>
/// <param name="Value">SI; absent when the text was not understood.</param>
/// <param name="Error">What was not understood.</param>
/// <param name="Question">Understood, but hardly meant: what to ask.</param>
/// <param name="Suggestions">Readings that would be in range, as text to take over.</param>
public sealed record ParsedQuantity(double? Value, string? Error = null, string? Question = null,
    IReadOnlyList<string>? Suggestions = null);

/// <summary>
/// Reads what people type: <c>1 200 mm</c>, <c>1/50</c> (an exposure), <c>11 in</c>, <c>1 1/2"</c>, <c>3/8</c>, <c>5'6"</c>, <c>60 mph</c>,
/// <c>2 lb 4 oz</c>, decimal comma.
/// </summary>
public static partial class QuantityParser
{
    private const int LongestText = 60;

    /// <summary>Reads a text. A bare number is in the unit the field shows.</summary>
    public static ParsedQuantity Parse(string text, Dimension dimension, UnitSystem system)
    {
        var t = (text ?? "").Trim().Replace('\u00a0', ' ').Replace('\u202f', ' ').Replace('\u2009', ' ')
            .Replace("½", " 1/2").Replace("¼", " 1/4").Replace("¾", " 3/4").Trim();
        if (t.Length == 0)
            return new(null, "Nothing was typed.");
        if (t.Length > LongestText)
            return new(null, "That is too long to be a measurement.");
        if (dimension == Dimension.Drill && Drills.Named(t) is { } drill)
            return new(drill.Diameter);
        var sign = 1.0;
        if (t[0] is '-' or '−' or '+')
        {
            sign = t[0] == '+' ? 1 : -1;
            t = t[1..].TrimStart();
        }
        var total = 0.0;
        Unit? unit = null;
        var pieces = 0;
        var previousFactor = double.PositiveInfinity;
        while (t.Length > 0)
        {
            var n = NumberPattern().Match(t);
            if (!n.Success)
                return new(null, pieces == 0 ? $"'{t}' does not begin with a number." : $"'{t}' was not understood.");
            if (Number(n, out var problem) is not { } value)
                return new(null, problem);
            t = t[n.Length..].TrimStart();
            var name = UnitPattern().Match(t).Value;
            t = t[name.Length..].TrimStart();
            name = name.Trim();
            if (name.Length == 0)
            {
                if (pieces > 0)
                {
                    // 5'6 means five foot six.
                    unit = unit!.Symbol == "ft" ? Units.Find("in", dimension) : null;
                    if (unit is null || t.Length > 0)
                        return new(null, $"The last number has no unit: {text!.Trim()}.");
                }
                else
                {
                    // 1/50 is an exposure in seconds, whatever the field shows.
                    var d = Units.For(dimension, system);
                    unit = dimension == Dimension.Time && n.Groups["den"].Success ? Units.Find("s", dimension)!
                        : new Unit(d.Symbol, dimension, d.Factor, d.Offset);
                }
            }
            else if ((unit = Units.Find(name, dimension)) is null)
            {
                var known = string.Join(", ", Units.All.Where(u => u.Dimension == dimension && u.Symbol.Length > 0).Select(u => u.Symbol));
                var other = Units.All.FirstOrDefault(u => u.Names.Contains(name.ToLowerInvariant()));
                return new(null, other is null
                    ? $"'{name}' is no unit known here. Use {known}."
                    : $"'{name}' measures {Words(other.Dimension)}; here it takes {known}.");
            }
            if (pieces > 0 && (unit.Offset != 0 || unit.Factor >= previousFactor))
                return new(null, $"'{text!.Trim()}' does not add up: write the larger unit first.");
            previousFactor = unit.Factor;
            total += pieces == 0 ? ((sign * value) + unit.Offset) * unit.Factor : sign * value * unit.Factor;
            pieces++;
        }
        return double.IsFinite(total) ? new(total) : new(null, "That number is too large.");
    }

    /// <summary>
    /// Reads a text for a field. Past a real limit the limit is said; a value that is possible but unusual is asked about and may be kept.
    /// Both come with readings that would be usual (a forgotten fraction, a slipped decimal point, the other unit).
    /// </summary>
    /// <param name="minimum">Smallest value accepted, SI.</param>
    /// <param name="maximum">Largest value accepted, SI.</param>
    /// <param name="usualFrom">Smaller ones are asked about, SI.</param>
    /// <param name="usualTo">Larger ones are asked about, SI.</param>
    public static ParsedQuantity ParseField(string text, Dimension dimension, UnitSystem system, double minimum, double maximum,
        double usualFrom = double.NegativeInfinity, double usualTo = double.PositiveInfinity)
    {
        var p = Parse(text, dimension, system);
        if (p.Value is not { } v)
            return p;
        var (low, high) = (Math.Max(minimum, usualFrom), Math.Min(maximum, usualTo));
        static bool Within(double v, double low, double high) => v >= low * (1 - 1e-9 * Math.Sign(low)) - 1e-12
            && v <= high * (1 + 1e-9 * Math.Sign(high)) + 1e-12;
        if (Within(v, low, high))
            return p;
        // A drill is told as it was typed: by its number, letter or fraction.
        string Said(double si) => dimension == Dimension.Drill && si == v ? text.Trim() : QuantityFormatter.Format(si, dimension, system);
        var suggestions = Readings(text.Trim(), dimension, system)
            .Where(s => Parse(s, dimension, system).Value is { } r && r >= low && r <= high).Distinct().Take(3).ToList();
        var perhaps = suggestions.Count > 0 ? " Did you mean " + string.Join(" or ", suggestions) + "?" : "";
        return Within(v, minimum, maximum)
            ? new(v, null, $"{Said(v)}, really? Usual are {Said(low)} to {Said(high)}.{perhaps}", suggestions)
            : new(null, $"{Said(v)} cannot be here: it goes from {Said(minimum)} to {Said(maximum)}.{perhaps}", null, suggestions);
    }

    private static IEnumerable<string> Readings(string text, Dimension dimension, UnitSystem system)
    {
        var mixed = MixedPattern().Match(text);
        if (mixed.Success)
        {
            yield return mixed.Groups[2].Value + mixed.Groups[3].Value;
            yield return mixed.Groups[1].Value + "/" + mixed.Groups[2].Value.Split('/')[1] + mixed.Groups[3].Value;
        }
        var m = NumberPattern().Match(text);
        if (!m.Success || Number(m, out _) is not { } n)
            yield break;
        foreach (var u in Units.All.Where(u => u.Dimension == dimension).Select(u => u.Symbol).Distinct())
            yield return FormattableString.Invariant($"{n:0.######} {u}");
        var unit = text[m.Length..].Trim();
        foreach (var s in new[] { 0.1, 10, 0.01, 100, 0.001, 1000 })
            yield return FormattableString.Invariant($"{n * s:0.######} {(unit.Length > 0 ? unit : Units.For(dimension, system).Symbol)}");
    }

    private static double? Number(Match m, out string? problem)
    {
        problem = null;
        if (m.Groups["den"].Success)
        {
            var whole = m.Groups["whole"].Success ? double.Parse(m.Groups["whole"].Value, CultureInfo.InvariantCulture) : 0;
            var den = double.Parse(m.Groups["den"].Value, CultureInfo.InvariantCulture);
            if (den == 0)
            {
                problem = "A fraction cannot have a zero below the line.";
                return null;
            }
            return whole + double.Parse(m.Groups["num"].Value, CultureInfo.InvariantCulture) / den;
        }
        var t = m.Groups["plain"].Success ? m.Groups["plain"].Value : SpacePattern().Replace(m.Groups["grouped"].Value, "");
        var (comma, dot) = (t.Contains(','), t.Contains('.'));
        if (comma && dot)
            t = t.LastIndexOf(',') > t.LastIndexOf('.') ? t.Replace(".", "").Replace(',', '.') : t.Replace(",", "");
        else if (comma)
        {
            var parts = t.Split(',');
            if (parts.Length > 2)
                t = t.Replace(",", "");
            else if (parts[1].Length == 3 && parts[0].TrimStart('0').Length > 0)
            {
                problem = $"'{t}' can be read two ways: write {parts[0]}{parts[1]} or "
                    + $"{parts[0]}.{parts[1].TrimEnd('0')}{(parts[1].TrimEnd('0').Length == 0 ? "0" : "")}.";
                return null;
            }
            else
                t = t.Replace(',', '.');
        }
        if (double.TryParse(t, NumberStyles.AllowDecimalPoint | NumberStyles.AllowExponent | NumberStyles.AllowLeadingSign,
            CultureInfo.InvariantCulture, out var v) && double.IsFinite(v))
            return v;
        problem = $"'{t}' is not a number.";
        return null;
    }

    private static string Words(Dimension d) => MeasureWordPattern().Replace(d.ToString(), " $1").Trim().ToLowerInvariant();

    [GeneratedRegex(@"\s")]
    private static partial Regex SpacePattern();

    /// <summary>Digits in threes, a fraction with or without a whole, or a plain number.</summary>
    [GeneratedRegex(@"^(?:(?<grouped>\d{1,3}(?:\s\d{3})+(?:[.,]\d+)?)(?!\s*/)(?!\d)|(?:(?<whole>\d{1,6})(?:\s+|\s*-\s*))?(?<num>\d{1,6})\s*/\s*(?<den>\d{1,6})"
        + @"|(?<plain>(?:\d[\d.,]*|[.,]\d+)(?:[eE][+-]?\d{1,3})?))")]
    private static partial Regex NumberPattern();

    [GeneratedRegex(@"^(?:''|['′’""″”]|[^\d\s.,]+[23]?(?:\s(?:lb|ft|m)\b)?)?")]
    private static partial Regex UnitPattern();

    [GeneratedRegex(@"^(\d+)[\s-]+(\d+/\d+)(.*)$")]
    private static partial Regex MixedPattern();

    [GeneratedRegex("([A-Z])")]
    private static partial Regex MeasureWordPattern();
}
