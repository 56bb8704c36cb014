using System.Globalization;
using System.Text.Json.Serialization;

namespace Ochema.Core.Rigs;

/// <summary>When and how a value was measured.</summary>
/// <param name="Value">What was read, SI. A value that is another by now was not measured then: the note does not count for it.</param>
/// <param name="On">Day as YYYY-MM-DD.</param>
/// <param name="How">With what, a few words.</param>
public sealed record Taken(double Value, string On, string How = "")
{
    /// <summary>What the drawing said, where this is how it came out at the bench; null for what was measured.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public BuiltFrom? Built { get; init; }

    private const string Form = "yyyy-MM-dd";

    /// <summary>A day as documents carry it.</summary>
    public static string DayOf(DateOnly day) => day.ToString(Form, CultureInfo.InvariantCulture);

    /// <summary>True for a day that there is.</summary>
    public static bool IsDay(string text) => DateOnly.TryParseExact(text, Form, CultureInfo.InvariantCulture, DateTimeStyles.None, out _);

    /// <summary>
    /// Where a measured value is from, in words: "your pull, 26 Nov 2026, luggage scale". Only "your pull" where no day is known; the
    /// earliest where two of the same name read the same.
    /// </summary>
    /// <param name="rig">Has the days.</param>
    /// <param name="words">What it is, as "your pull".</param>
    /// <param name="property">Last name of its path, as "measuredPull".</param>
    /// <param name="value">The value, SI.</param>
    public static string Origin(RigDocument rig, string words, string property, double value)
    {
        var known = rig.Measured?.Where(m => m.Value.Value == value && m.Key.EndsWith(property, StringComparison.Ordinal)
            && m.Key.Length > property.Length && m.Key[^(property.Length + 1)] == '.')
            .Select(m => m.Value).OrderBy(t => t.On, StringComparer.Ordinal).FirstOrDefault();
        if (known is null)
            return words;
        var day = DateOnly.ParseExact(known.On, Form, CultureInfo.InvariantCulture).ToString("d MMM yyyy", CultureInfo.InvariantCulture);
        return known.How.Length > 0 ? $"{words}, {day}, {known.How}" : $"{words}, {day}";
    }
}

/// <summary>What was drawn before it was built.</summary>
/// <param name="Planned">SI.</param>
/// <param name="Usual">True where the document said nothing and the usual was taken.</param>
public sealed record BuiltFrom(double Planned, bool Usual = false)
{
    /// <summary>Where the foot was drawn whose rod it is, m: a length is worked out from it, and back there it stands to the last
    /// digit.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double[]? At { get; init; }
}
