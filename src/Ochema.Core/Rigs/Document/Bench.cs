using System.ComponentModel;
using Ochema.Core.Quantities;

namespace Ochema.Core.Rigs;

/// <summary>What the builder has, pays and saws with. It changes what is to buy and how bars are cut, never a verdict.</summary>
public sealed record Bench
{
    /// <summary>m; null: as a hacksaw does.</summary>
    [Measure("Saw cuts away", Dimension.Length, 0, 0.010, HowTo = "a trial cut, calipers; hacksaw {length:0.0015}, mitre saw {length:0.003}")]
    public double? Kerf { get; init; }

    /// <summary>m; null: the usual.</summary>
    [Measure("Off to square a bar's end", Dimension.Length, 0, 0.100, HowTo = "once from every bar; {length:0} where the shop cut it square")]
    public double? Squaring { get; init; }

    /// <summary>s from midnight; null: nine in the morning.</summary>
    [Measure("Work begins at", Dimension.Duration, 0, 86400, HowTo = "hour of the day; drills wake neighbours")]
    public double? WorkFrom { get; init; }

    /// <summary>s from midnight; null: nine in the evening. As early as it begins, or earlier: somebody works round the clock.</summary>
    [Measure("Work ends at", Dimension.Duration, 0, 86400, HowTo = "hour of the day; what cures goes on by itself")]
    public double? WorkTo { get; init; }

    [Measure("A shop asks for one ready-made", Dimension.Money, 0, 100000, HowTo = "a price you were told")]
    public double? ReadyMade { get; init; }

    [Measure("Hiring one costs", Dimension.Money, 0, 100000, HowTo = "for the days of the shoot")]
    public double? Hire { get; init; }

    /// <summary>By the key of the line on the list.</summary>
    public IReadOnlyDictionary<string, BenchLine>? Lines { get; init; }

    /// <summary>Pieces of bar and tube that lie about: they go first and cost nothing.</summary>
    public IReadOnlyList<Offcut>? Offcuts { get; init; }

    /// <summary>Tools that are not the builder's own, by their row.</summary>
    public IReadOnlyDictionary<string, ToolFrom>? Tools { get; init; }
}

/// <summary>What the builder says of a line of the list.</summary>
public sealed record BenchLine
{
    /// <summary>Where it is by now.</summary>
    public PartIs Is { get; init; }

    /// <summary>How many of them lie in the drawer; null with what costs nothing: all.</summary>
    [Measure("In the drawer", Dimension.Count, 0, 10000)]
    public double? Have { get; init; }

    /// <summary>Of one, or of a pack where it is sold by packs; null: the shelf's.</summary>
    [Measure("Price", Dimension.Money, 0, 100000)]
    public double? Price { get; init; }

    /// <summary>How many come in a pack; null: sold one by one.</summary>
    [Measure("Sold by", Dimension.Count, 1, 10000)]
    public double? Pack { get; init; }
}

/// <summary>Where a part is.</summary>
public enum PartIs
{
    [Description("to buy")]
    ToBuy,

    /// <summary>It lies there already: it costs nothing.</summary>
    [Description("in the drawer")]
    InDrawer,

    /// <summary>It comes off something that is taken apart for it.</summary>
    [Description("off a donor")]
    Donor,

    /// <summary>A workshop or a shop makes it: bought finished, at the price that was asked.</summary>
    [Description("made for me")]
    MadeForMe,

    [Description("bought")]
    Bought,
}

/// <summary>A piece of bar or tube that is left over.</summary>
/// <param name="Row">Section of the shelf.</param>
public sealed record Offcut(string Row, [property: Measure("Length", Dimension.Length, 0.005, 20)] double Length,
    [property: Measure("Pieces", Dimension.Count, 1, 1000)] double Count = 1);

/// <summary>Where a tool comes from.</summary>
public enum ToolFrom
{
    [Description("have")]
    Own,

    [Description("borrow")]
    Borrow,

    [Description("buy")]
    Buy,
}
