using Ochema.Core.Rigs;

namespace Ochema.Core.Making;

/// <summary>
/// In which order a strip is bent: from its ends inwards, so that what is gripped for each bend is still flat on one side of it (common
/// practice, no source).
/// </summary>
internal static class BendOrder
{
    /// <summary>
    /// All bends of a piece, each with its turn: those across it first; the walls along it are bent over a block that stands between what
    /// is up already.
    /// </summary>
    public static (IReadOnlyList<BendLine> Across, IReadOnlyList<BendLine> Along) Of(SheetPiece sheet)
    {
        var across = Of(sheet.Length, sheet.Bends);
        return (across, [.. Of(sheet.Width, sheet.Walls).Select(w => w with { Turn = across.Count + w.Turn })]);
    }

    /// <summary>The bends along the strip, each with its turn.</summary>
    /// <param name="length">Of the strip, flat, m.</param>
    public static IReadOnlyList<BendLine> Of(double length, IReadOnlyList<BendLine> bends)
    {
        var turns = bends.OrderBy(b => Math.Round(Math.Min(b.At, length - b.At), 6)).ThenBy(b => b.At).ToList();
        return [.. bends.Select(b => b with { Turn = turns.IndexOf(b) + 1 })];
    }

    /// <summary>Room between the flanges of neighbouring bends, m: what the second is bent over goes in there; null with one
    /// bend.</summary>
    /// <param name="thickness">Of the strip, m.</param>
    public static double? Between(IReadOnlyList<BendLine> bends, double thickness) => bends.Count < 2 ? null
        : bends.OrderBy(b => b.At).Zip(bends.OrderBy(b => b.At).Skip(1), (a, b) => b.At - a.At
            - (Joints.Bend.Allowance(a.Angle, a.Radius, thickness) + Joints.Bend.Allowance(b.Angle, b.Radius, thickness)) / 2 + a.Radius
                + b.Radius).Min();
}
