using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Rigs;

namespace Ochema.Core.Running;

/// <summary>A line of a list that is ticked off beside the vehicle.</summary>
/// <param name="Id">Stable within the rig.</param>
/// <param name="Title">What to do.</param>
/// <param name="Says">Why, or how, in a few words; may be empty.</param>
public sealed record Tick(string Id, string Title, string Says)
{
    /// <summary>Hands that are needed.</summary>
    [JsonRequired]
    public Hands Hands { get; init; } = Hands.One;

    /// <summary>The same in words.</summary>
    public string Takes => KindDescriptors.LabelOf(typeof(Hands), Hands.ToString());

    /// <summary>What is read and entered at it.</summary>
    [JsonRequired]
    public Asks Asks { get; init; }

    /// <summary>How many of it there are; 1 for one.</summary>
    [JsonRequired]
    public int Count { get; init; } = 1;

    /// <summary>When it was ticked, universal; null while it is open.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? At { get; init; }

    /// <summary>What was read, SI.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Value { get; init; }

    /// <summary>What was noted.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Note { get; init; }
}

/// <summary>Who it takes.</summary>
public enum Hands
{
    [Description("one hand")]
    One,

    [Description("two hands")]
    Two,

    [Description("2 people")]
    TwoPeople,
}

/// <summary>What is entered at a tick.</summary>
public enum Asks
{
    Nothing,

    /// <summary>A vacuum gauge, Pa.</summary>
    Gauge,

    /// <summary>Where the camera looks, in words.</summary>
    Aim,
}
