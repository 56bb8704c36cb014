namespace Ochema.Core.Quantities;

/// <summary>
/// A measurement of a kind: its label, unit, range and how to take it. Declared once on the property;
/// the API publishes it and the reader of documents enforces it. The default is the property's initial value.
/// </summary>
/// <param name="minimum">Smallest value accepted, SI.</param>
/// <param name="maximum">Largest value accepted, SI.</param>
[AttributeUsage(AttributeTargets.Property)]
public sealed class MeasureAttribute(string label, Dimension dimension, double minimum, double maximum) : Attribute
{
    public string Label { get; } = label;
    public Dimension Dimension { get; } = dimension;
    public double Minimum { get; } = minimum;
    public double Maximum { get; } = maximum;

    /// <summary>How to take it, a few words.</summary>
    public string HowTo { get; init; } = "";

    /// <summary>The question builders ask of it, as "Greatest height": more of it is wanted and costs strength; empty for all
    /// others.</summary>
    public string Greatest { get; init; } = "";

    /// <summary>True when leaving it empty means "use the catalogue value".</summary>
    public bool Measured { get; init; }

    /// <summary>True for what is optional and chosen, not read off something: no day of measuring belongs to it.</summary>
    public bool Chosen { get; init; }

    /// <summary>
    /// What it was measured of (fields beside it, comma-separated; <c>site</c> is the place): with another of that it does not count any
    /// more.
    /// </summary>
    public string Of { get; init; } = "";

    /// <summary>True for what a lamp or a recorder in a camera's place has not.</summary>
    public bool OfPictures { get; init; }

    /// <summary>Only asked on hosts that have this; every host has <see cref="HostTrait.None"/>.</summary>
    public HostTrait Trait { get; init; }

    /// <summary>Smaller values, SI, are asked about before they are taken.</summary>
    public double UsualFrom { get; init; } = double.NegativeInfinity;

    /// <summary>Larger values, SI, are asked about before they are taken.</summary>
    public double UsualTo { get; init; } = double.PositiveInfinity;
}

/// <summary>What some hosts have and others have not, so that it is not asked there.</summary>
public enum HostTrait
{
    /// <summary>Asked everywhere.</summary>
    None,

    /// <summary>An engine that runs.</summary>
    Engine,

    /// <summary>It turns round and round, and has to be balanced.</summary>
    Balanced,
}

/// <summary>A choice of a catalogue row.</summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class StockChoiceAttribute(string label, string list) : Attribute
{
    public string Label { get; } = label;

    /// <summary>Name of the catalogue list: <c>materials</c>, <c>sections</c>, <c>cups</c> and so on.</summary>
    public string List { get; } = list;

    public string HowTo { get; init; } = "";

    /// <summary>The field beside it whose row it has to fit, as a lens its body; empty for none.</summary>
    public string Beside { get; init; } = "";

    /// <summary>What is said for choosing none of them, as "nothing"; empty where one has to be chosen.</summary>
    public string None { get; init; } = "";

    /// <summary>Only rows of one of these sorts, or ids of lists that nobody has rows of (comma-separated).</summary>
    public string Only { get; init; } = "";
}

/// <summary>A choice between named values, given by an enumeration.</summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class OptionAttribute(string label) : Attribute
{
    public string Label { get; } = label;
    public string HowTo { get; init; } = "";

    /// <summary>Only for these kinds of host (comma-separated); empty for all.</summary>
    public string Hosts { get; init; } = "";
}

/// <summary>A part that is itself of a kind: the holds of a plate, the foot of a brace.</summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class PartAttribute(string label) : Attribute
{
    public string Label { get; } = label;

    /// <summary>Kinds that cannot be used here (comma-separated).</summary>
    public string Except { get; init; } = "";
}

/// <summary>A field that is about the picture: it says nothing of what takes none.</summary>
[AttributeUsage(AttributeTargets.Property)]
public sealed class OfPictureAttribute : Attribute;
