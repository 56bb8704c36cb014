using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Proving;

/// <summary>How a part is pulled.</summary>
public enum PullSort
{
    /// <summary>Away from what it holds on to.</summary>
    [Description("straight off")]
    Off,

    /// <summary>Along it.</summary>
    [Description("along it")]
    Along,

    /// <summary>With a lever, so that one edge lifts.</summary>
    [Description("peeled")]
    Peel,

    /// <summary>With a lever, about its own middle.</summary>
    [Description("twisted")]
    Twist,

    /// <summary>Along a strut's rod, through its clamp.</summary>
    [Description("along its rod")]
    Rod,

    /// <summary>In line with a strap, at what it ends at.</summary>
    [Description("in line")]
    Line,

    /// <summary>A joint of the load path, straight.</summary>
    [Description("pulled")]
    Joint,

    /// <summary>A joint of the load path, by a pull further out.</summary>
    [Description("turned")]
    Turn,
}

/// <summary>
/// A pull by hand with a luggage scale that shows what a part stands. SI, host axes.
/// </summary>
/// <param name="Id">Unique within the rig.</param>
/// <param name="Of">Spring or line of the model document that is pulled.</param>
/// <param name="Part">The part as checks and let-go cases call it.</param>
/// <param name="Point">Where the scale is hooked on, m.</param>
/// <param name="Direction">Unit vector, the way to pull.</param>
/// <param name="Load">
/// The largest over the intact cases of the model document, a knock by hand among them: of the force that a pull along
/// <paramref name="Direction"/> would put on the spring (what the spring puts on the rig, turned round), or of the line's tension, N.
/// With a lever the moment, N·m.
/// </param>
/// <param name="Reading">1.5 × the load, or what would be read at <paramref name="Limit"/> where that comes first, N at the scale.</param>
/// <param name="Limit">What host and part stand of this pull with no factor on it, N at the scale.</param>
/// <param name="Hold">How long it is held, s.</param>
public sealed record PullTest(string Id, string Of, string Part, double[] Point, double[] Direction, double Load, double Reading,
    double Limit, double Hold)
{
    public required PullSort Sort { get; init; }

    /// <summary>Row of the spine.</summary>
    public required string Station { get; init; }

    /// <summary>What is pulled, in words: "front left cup".</summary>
    public required string Label { get; init; }

    /// <summary>Part and way, for lists: "Front left cup, along it".</summary>
    public string Called => $"{Words.Capital(Label)}, {KindDescriptors.LabelOf(typeof(PullSort), Sort.ToString())}";

    /// <summary>What to do, as a headline without its number: "Pull the front left cup straight off".</summary>
    public required string Title { get; init; }

    /// <summary>Where the cord goes and what stands there meanwhile.</summary>
    public required string How { get; init; }

    /// <summary>What may be seen and what may not.</summary>
    public required string Look { get; init; }

    /// <summary>True where the part is pulled by itself, before what it carries is on.</summary>
    [JsonRequired]
    public bool Alone { get; init; }

    /// <summary>Largest load under way up to the design speed, jolts and shaking included, N or N·m; no knock.</summary>
    [JsonRequired]
    public double UnderWay { get; init; }

    /// <summary>The case of <see cref="UnderWay"/>, in words.</summary>
    [JsonRequired]
    public string Case { get; init; } = "";

    /// <summary>What to read: 1.5 × <see cref="UnderWay"/>, never above the limit, N at the scale.</summary>
    [JsonRequired]
    public double Enough { get; init; }

    /// <summary>Which factor on the largest load under way that proves: 1.5, or less where the limit stops it.</summary>
    [JsonRequired]
    public double Proves { get; init; }

    /// <summary>What gives at the limit, in words; empty where nothing that is looked at does.</summary>
    [JsonRequired]
    public string Gives { get; init; } = "";

    /// <summary>Distance of the scale from what is turned, m; null for a straight pull.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double? Lever { get; init; }

    /// <summary>With a lever: unit vector that the moment turns about.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public double[]? Axis { get; init; }

    /// <summary>Newtons at the scale for a load.</summary>
    internal double AtScale(double load) => Lever is { } lever ? load / lever : load;
}
