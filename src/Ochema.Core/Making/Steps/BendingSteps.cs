using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Making.Steps;

/// <summary>Pieces bent: steps that follow from pieces and joints, whatever kinds they are of (common practice, no source).</summary>
internal static class BendingSteps
{
    /// <summary>Bends of a flat piece.</summary>
    public static StationStep? Bent(RigPart part, int index) => part.Sheet is not { Bends: { Count: > 0 } } sheet ? null
        : new(part.Station, new(Work.Bend, $"Bend {CuttingSteps.Named(part)}", Bends(sheet))
        {
            Tools = ["marker", "vice", "bending-block", "mallet"],
            Minutes = 8 * (sheet.Bends.Count + sheet.Walls.Count),
            Wrong = "A crack: a new piece and a larger radius; it is not straightened and bent again.",
        })
        { Part = index };

    /// <summary>Bends in their order, and how.</summary>
    internal static string Bends(SheetPiece sheet)
    {
        var (across, along) = BendOrder.Of(sheet);
        string Room(IReadOnlyList<BendLine> bends, string between) => BendOrder.Between(bends, sheet.Thickness) is { } room
            ? $" The next over a block no wider than {QuantityText.Of(room, Dimension.Length)}: it has to go between {between}." : "";
        string Each(IReadOnlyList<BendLine> bends, string from, bool counted) => string.Join("; ", bends.OrderBy(x => x.Turn).Select(x =>
            $"{(counted ? $"{x.Turn}: " : "")}{QuantityText.Of(x.Angle, Dimension.Angle)} at {QuantityText.Of(x.At, Dimension.Mark)} "
                + $"from the {from}, "
                + $"inside radius {QuantityText.Of(x.Radius, Dimension.Length)}"));
        var walls = along.Count == 0 ? ""
            : $" Then the other way: {Each(along, "first edge", true)}.{Room(along, "the walls that are up")}";
        return $"{(across.Count == 1 ? "One bend" : $"{across.Count} bends, from the ends inwards")}: "
            + $"{Each(across, "first end", across.Count + along.Count > 1)}. Round a rod or block of that radius, "
                + $"slowly.{Room(across, "the flanges")}{walls}"
            + " Fingernail over the outside: no crack.";
    }
}
