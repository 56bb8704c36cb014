using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>Pieces by what they are of: mass and price follow from that. <see cref="RigBuilder.Put(RigPart, ReadOnlySpan{Hung})"/> builds
/// them in.</summary>
public static class Piece
{
    /// <summary>Bought by the piece.</summary>
    /// <param name="id">What its kind calls it.</param>
    /// <param name="mass">Weighed, kg; null: as listed.</param>
    /// <param name="name">Where its row's name does not say which.</param>
    public static RigPart Bought(PieceId id, IBoughtRow row, double quantity = 1, double? mass = null, string? name = null) =>
        new(id, name ?? row.Name, quantity, mass ?? row.Mass, row.Price, PieceSort.Bought, row.Aisle, row.Id);

    /// <summary>Cut from a bar or tube: weighed and paid by its length.</summary>
    /// <param name="length">Of its middle line, m.</param>
    /// <param name="what">What it is; null: the bar's name.</param>
    /// <param name="mitres">Angle of each end's cut from square, rad.</param>
    /// <param name="by">Measurement of its kind that its length follows, one to one.</param>
    public static RigPart Cut(PieceId id, SectionRow row, Material material, double length, double quantity = 1, string? what = null,
        double[]? mitres = null, string? by = null)
    {
        var long_ = CutPiece.LongSide(length, row.Width, mitres ?? []);
        return new(id, $"{(what is null ? row.Name : $"{what}: {Words.Inside(row.Name)}")}, {QuantityText.Of(long_, Dimension.Length)}",
            quantity,
            Section.Of(row.Shape, row.Width, row.Height, row.Wall).Area * length * material.Density, row.PricePerMetre * length,
                PieceSort.Cut, Aisle.Metal,
            row.Id, Cut: new(long_, mitres ?? [0, 0]) { By = by });
    }

    /// <summary>Cut from what is sold by the length and is no bar: a line, a gooseneck.</summary>
    /// <param name="length">m.</param>
    /// <param name="what">What it is where the row's name does not say.</param>
    /// <param name="by">Measurement of its kind that its length follows, one to one.</param>
    public static RigPart Length(PieceId id, IStockRow row, double length, double massPerMetre, double pricePerMetre, Aisle aisle,
        string? what = null, string? by = null, double quantity = 1) =>
        new(id, $"{(what is null ? row.Name : $"{what} {Words.Inside(row.Name)}")}, {QuantityText.Of(length, Dimension.Length)}", quantity,
            massPerMetre * length, pricePerMetre * length, PieceSort.Cut, aisle,
            row.Id, Cut: new(length, [0, 0]) { By = by });

    /// <summary>Cut from sheet, plate or block: weighed by its size, paid by its mass.</summary>
    /// <param name="what">What it is.</param>
    public static RigPart Sheet(PieceId id, string what, SheetPiece piece, Material material, double quantity = 1)
    {
        var mass = piece.Area * piece.Thickness * material.Density;
        return new(id, $"{what} {QuantityText.Of(piece.Length, Dimension.Length)} × {QuantityText.Of(piece.Width, Dimension.Length)} × "
            + $"{QuantityText.Of(piece.Thickness, Dimension.Length)}, {material.Name}", quantity, mass, mass * material.PricePerKilogram,
                PieceSort.Sheet,
            material.Family is MaterialFamily.Metal ? Aisle.Metal : Aisle.Rigging, material.Id, Sheet: piece);
    }

    /// <summary>Cut from a flat bar and worked as a flat piece: drilled, bent. Weighed and paid as what is cut, drawn as what is
    /// flat.</summary>
    /// <param name="piece">As wide and thick as the bar.</param>
    /// <param name="spare">Left on until it has been tried, m.</param>
    public static RigPart Strip(PieceId id, string what, SheetPiece piece, SectionRow row, Material material, double quantity = 1,
        double spare = 0)
    {
        var part = Cut(id, row, material, piece.Length, quantity, what);
        return part with { Cut = part.Cut! with { Long = spare }, Sheet = piece };
    }

    /// <summary>Something of one's own, weighed; it costs nothing.</summary>
    /// <param name="mass">kg.</param>
    public static RigPart Own(PieceId id, string name, double mass) => new(id, name, 1, mass, 0, PieceSort.Own, Aisle.Camera);

    /// <summary>What the day puts on it.</summary>
    /// <param name="mass">kg.</param>
    internal static RigPart Caught(StationId station, string name, double mass) =>
        new(new(station, "caught"), name, 1, mass, 0, PieceSort.Caught, Aisle.Camera);

    /// <summary>The piece with more said of how it is cut.</summary>
    /// <param name="cut">The cut with what is to be said.</param>
    public static RigPart Also(this RigPart part, Func<CutPiece, CutPiece> cut) => part with { Cut = cut(part.Cut!) };

    /// <summary>What is used up in the making: it is bought, and weighs nothing that counts.</summary>
    public static RigPart Used(PieceId id, IBoughtRow row, double quantity = 1) =>
        new(id, row.Name, quantity, 0, row.Price, PieceSort.Bought, row.Aisle, row.Id);
}
