using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Quantities;

namespace Ochema.Core.Stock;

/// <summary>Nominal pipes that fittings are sold for (ASTM D1785).</summary>
public enum PipeSize
{
    [Description("1/2 in")]
    Half,

    [Description("3/4 in")]
    ThreeQuarters,

    [Description("1 in")]
    One,
}

/// <summary>A bar, tube or strip. Lengths in m, price per m.</summary>
/// <param name="Width">Across (diameter of round ones).</param>
/// <param name="Height">The other way (thickness of flat bar and sheet).</param>
/// <param name="Wall">Wall thickness; 0 for solid round bar.</param>
public sealed record SectionRow(
    string Id, string Name, SectionShape Shape, [property: StockChoice("Made of", "materials")] string Material,
    [property: Measure("Across", Dimension.Length, 0.002, 0.3, HowTo = "calipers: the name is not the size")] double Width,
    [property: Measure("The other way", Dimension.Length, 0.0005, 0.3, HowTo = "thickness of flat bar, diameter of round ones")] double Height,
    [property: Measure("Wall", Dimension.Length, 0, 0.05, HowTo = "0 for a solid bar; thickness of flat bar")] double Wall,
    [property: Measure("Price a metre", Dimension.Money, 0, 1000)] double PricePerMetre, string Source, string? Range = null) : IStockRow
{
    /// <summary>The pipe that it is to fittings and couplers; null for what goes into none.</summary>
    [Option("As a pipe", HowTo = "the size that its fittings are sold by; leave empty for what goes into none")]
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public PipeSize? Pipe { get; init; }

    /// <inheritdoc/>
    [JsonIgnore]
    public (string Field, string Reason)? Wrong => Shape switch
    {
        SectionShape.RoundTube or SectionShape.SquareTube when !(Wall > 0 && 2 * Wall < Width) =>
            ("wall", "is not between 0 and half of what it is across"),
        SectionShape.Angle when !(Wall > 0 && Wall < Width) => ("wall", "is not between 0 and the leg"),
        SectionShape.Round or SectionShape.RoundTube or SectionShape.SquareTube when Height != Width =>
            ("height", "is not what it is across"),
        _ => null,
    };
}
