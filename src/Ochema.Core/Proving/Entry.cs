using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Json;
using Ochema.Core.Rigs;

namespace Ochema.Core.Proving;

/// <summary>
/// Something that was done with a rig, or read, or seen: a line of its log. It is written once and never changed; a mistake is a line more.
/// </summary>
/// <param name="Key">Made by whoever writes it, so that what is sent twice is kept once.</param>
/// <param name="At">When, universal: 2026-05-01T14:30:00Z.</param>
/// <param name="Sort">What it is.</param>
public sealed record Entry(string Key, string At, EntrySort Sort)
{
    /// <summary>Id of the design that it was done with; empty for what no design matters to.</summary>
    public string Design { get; init; } = "";

    /// <summary>The pull, rung, tick, hold or piece that it is of.</summary>
    public string Of { get; init; } = "";

    /// <summary>What came of it; null where nothing is judged.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Outcome? Outcome { get; init; }

    /// <summary>What was read, SI: N at the scale, Pa on the gauge, Hz, m/s; of a rung under way the speed that was driven, m/s.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Value { get; init; }

    /// <summary>What was read before, in the same unit, for what is a pair.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Before { get; init; }

    /// <summary>How it was done, for a test of one's own.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public OwnTest? Test { get; init; }

    /// <summary>What was seen, for a finding.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Seen? Seen { get; init; }

    public string Note { get; init; } = "";

    /// <summary>True for what a stand-in has made up: it is shown as such.</summary>
    public bool Simulated { get; init; }

    /// <summary>When, as a time.</summary>
    [JsonIgnore]
    public DateTime Time => Made.TimeOf(At) ?? default;

    /// <summary>Longest texts.</summary>
    internal const int LongestNote = 2000, LongestName = 120;

    /// <summary>Most that one rig's log is asked about.</summary>
    public const int Most = 5000;

    /// <summary>Refuses what says nothing.</summary>
    /// <param name="path">Where it stands, for the message.</param>
    /// <exception cref="DocumentException">Names place and reason.</exception>
    public Entry Checked(string path)
    {
        void Refuse(string field, string why) => throw new DocumentException(path.Length > 0 ? $"{path}.{field}" : field, why);
        if (Key is null || Key.Length is < 8 or > 64 || !Key.All(c => char.IsAsciiLetterOrDigit(c) || c == '-'))
            Refuse("key", "must be 8 to 64 letters, digits and dashes");
        if (At is null || Made.TimeOf(At) is null)
            Refuse("at", "must be a universal time like 2026-05-01T14:30:00Z");
        if (Of is null || Of.Length > LongestName)
            Refuse("of", $"must be a text of at most {LongestName} letters");
        if (Design is null || Design.Length > LongestName)
            Refuse("design", $"must be a text of at most {LongestName} letters");
        if (Note is null)
            Refuse("note", "is null, and must be something");
        PlainText.Note(Note!, path.Length > 0 ? path + ".note" : "note", LongestNote);
        foreach (var (field, value) in new[] { ("value", Value), ("before", Before) })
            if (value is { } v && !(double.IsFinite(v) && Math.Abs(v) <= 1e7))
                Refuse(field, "must be a number no larger than 10000000");
        if (Sort is EntrySort.Pull or EntrySort.Own or EntrySort.Gauge && Value is not >= 0)
            Refuse("value", "is missing: what was read, no less than 0");
        if (Sort is EntrySort.Pull or EntrySort.Rung && Outcome is null)
            Refuse("outcome", "is missing: passed, repeat or stop");
        if (Sort is EntrySort.Own && Test is null)
            Refuse("test", "is missing: how it was done");
        if (Sort is EntrySort.Finding && Seen is null)
            Refuse("seen", "is missing: what was seen");
        if (Sort is EntrySort.Pull or EntrySort.Rung or EntrySort.Tick or EntrySort.Gauge && Of!.Length == 0)
            Refuse("of", "is missing: what it is of");
        return this;
    }
}

/// <summary>What a line of the log is.</summary>
public enum EntrySort
{
    /// <summary>A pull test, N at the scale.</summary>
    Pull,

    /// <summary>A rung of the ladder.</summary>
    Rung,

    /// <summary>A tap test's first frequency, Hz.</summary>
    Tap,

    /// <summary>A test of one's own, N or m/s.</summary>
    Own,

    /// <summary>A vacuum gauge, Pa.</summary>
    Gauge,

    /// <summary>A step of fitting or striking that was ticked.</summary>
    Tick,

    /// <summary>A tick that was taken back.</summary>
    Untick,

    RunStart,
    RunEnd,

    /// <summary>A track that was read: the fastest, m/s, and before it what was allowed.</summary>
    Track,
    Finding,
    Note,

    /// <summary>Tightened, padded, a strap or cord replaced.</summary>
    Service,

    /// <summary>Looked at, all of it, between two stretches of a run.</summary>
    Look,
}

/// <summary>What came of a proof.</summary>
public enum Outcome
{
    [Description("passed")]
    Passed,

    [Description("repeat")]
    Repeat,

    /// <summary>It moved or let go.</summary>
    [Description("it moved: stop")]
    Stop,
}

/// <summary>Tests as people do them. Usual forces: common practice, no source; the lower end counts.</summary>
public enum OwnTest
{
    [Description("shoved with one hand")]
    OneHand,

    [Description("shoved low with two hands")]
    TwoHands,

    [Description("shoved until the vehicle rolled")]
    Rolled,

    [Description("shoved until the vehicle rocked")]
    Rocked,

    [Description("pulled with a scale")]
    Pulled,

    [Description("hung a bag on it")]
    HungBag,

    [Description("driven on a road")]
    Driven,

    [Description("swung through its travel")]
    Swung,

    [Description("up and down once")]
    UpAndDown,
}

/// <summary>What was seen on a rig.</summary>
public enum Seen
{
    [Description("it crept")]
    Crept,

    [Description("it hums")]
    Hummed,

    [Description("it loosened")]
    Loosened,

    [Description("it marked the host")]
    Marked,

    [Description("the picture is soft")]
    Soft,

    [Description("something else")]
    Other,
}
