using System.Globalization;
using System.Text.Json.Serialization;

namespace Ochema.Core.Rigs;

/// <summary>A step of the build plan that was done.</summary>
/// <param name="At">When, as 2026-05-01T14:30:00Z; what cures counts from there.</param>
/// <param name="Note">What to do otherwise next time; stays with the version.</param>
public sealed record Made(string? At = null, string Note = "")
{
    /// <summary>What it was made to, SI, by the plan's name of each measure; null where nobody kept it: then it is asked whether it
    /// still is as drawn.</summary>
    public IReadOnlyDictionary<string, double>? As { get; init; }

    /// <summary>Most measures that a step is made to.</summary>
    internal const int MostMeasures = 100;

    /// <summary><see cref="At"/> as a time, universal; null where it was not done.</summary>
    [JsonIgnore]
    public DateTime? Time => At is null ? null : TimeOf(At);

    private const string Form = "yyyy-MM-dd'T'HH:mm:ss'Z'";

    /// <summary>A universal time as documents carry it.</summary>
    public static string TextOf(DateTime time) => time.ToString(Form, CultureInfo.InvariantCulture);

    /// <summary>A text as a universal time, or null.</summary>
    public static DateTime? TimeOf(string text) => DateTime.TryParseExact(text, Form, CultureInfo.InvariantCulture,
        DateTimeStyles.AdjustToUniversal | DateTimeStyles.AssumeUniversal, out var time) ? time : null;
}
