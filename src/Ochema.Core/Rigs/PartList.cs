using System.Collections;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>The parts of a rig as its stations state them, each once: mass and price follow from what a piece is.</summary>
public sealed class PartList : IReadOnlyList<RigPart>
{
    private readonly List<RigPart> own = [];
    private readonly List<RigPart> hardware = [];

    /// <inheritdoc/>
    public RigPart this[int index] => index < own.Count ? own[index] : hardware[index - own.Count];

    /// <inheritdoc/>
    public int Count => own.Count + hardware.Count;

    /// <inheritdoc/>
    public IEnumerator<RigPart> GetEnumerator() => own.Concat(hardware).GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();

    /// <summary>Mass of all, kg.</summary>
    public double Mass => this.Sum(p => p.Mass * p.Quantity);

    /// <summary>Price of all, in the user's currency.</summary>
    public double Cost => this.Sum(p => p.Price * p.Quantity);

    /// <summary>Bought by the piece.</summary>
    /// <param name="id">What its kind calls it.</param>
    /// <param name="mass">Weighed, kg; null: as listed.</param>
    /// <param name="name">Where its row's name does not say which.</param>
    public RigPart Bought(PieceId id, IBoughtRow row, double quantity = 1, double? mass = null, string? name = null) =>
        Add(new(id, name ?? row.Name, quantity, mass ?? row.Mass, row.Price, PieceSort.Bought, row.Aisle, row.Id));

    /// <summary>Cut from a bar or tube: weighed and paid by its length.</summary>
    /// <param name="length">Of its middle line, m.</param>
    /// <param name="what">What it is; null: the bar's name.</param>
    /// <param name="mitres">Angle of each end's cut from square, rad.</param>
    /// <param name="by">Measurement of its kind that its length follows, one to one.</param>
    public RigPart Cut(PieceId id, SectionRow row, Material material, double length, double quantity = 1, string? what = null,
        double[]? mitres = null, string? by = null)
    {
        var long_ = CutPiece.LongSide(length, row.Width, mitres ?? []);
        return Add(new(id, $"{(what is null ? row.Name : $"{what}: {Words.Inside(row.Name)}")}, {QuantityText.Of(long_, Dimension.Length)}", quantity,
            Section.Of(row.Shape, row.Width, row.Height, row.Wall).Area * length * material.Density, row.PricePerMetre * length,
                PieceSort.Cut, Aisle.Metal,
            row.Id, Cut: new(long_, mitres ?? [0, 0]) { By = by }));
    }

    /// <summary>Cut from what is sold by the length and is no bar: a line, a gooseneck.</summary>
    /// <param name="length">m.</param>
    /// <param name="what">What it is where the row's name does not say.</param>
    /// <param name="by">Measurement of its kind that its length follows, one to one.</param>
    public RigPart Length(PieceId id, IStockRow row, double length, double massPerMetre, double pricePerMetre, Aisle aisle,
        string? what = null, string? by = null, double quantity = 1) =>
        Add(new(id, $"{(what is null ? row.Name : $"{what} {Words.Inside(row.Name)}")}, {QuantityText.Of(length, Dimension.Length)}", quantity,
            massPerMetre * length, pricePerMetre * length, PieceSort.Cut, aisle,
            row.Id, Cut: new(length, [0, 0]) { By = by }));

    /// <summary>Cut from sheet, plate or block: weighed by its size, paid by its mass.</summary>
    /// <param name="what">What it is.</param>
    public RigPart Sheet(PieceId id, string what, SheetPiece piece, Material material, double quantity = 1)
    {
        var mass = piece.Area * piece.Thickness * material.Density;
        return Add(new(id, $"{what} {QuantityText.Of(piece.Length, Dimension.Length)} × {QuantityText.Of(piece.Width, Dimension.Length)} × "
            + $"{QuantityText.Of(piece.Thickness, Dimension.Length)}, {material.Name}", quantity, mass, mass * material.PricePerKilogram,
                PieceSort.Sheet,
            material.Family is MaterialFamily.Metal ? Aisle.Metal : Aisle.Rigging, material.Id, Sheet: piece));
    }

    /// <summary>Cut from a flat bar and worked as a flat piece: drilled, bent. Weighed and paid as what is cut, drawn as what is flat.</summary>
    /// <param name="piece">As wide and thick as the bar.</param>
    /// <param name="spare">Left on until it has been tried, m.</param>
    public RigPart Strip(PieceId id, string what, SheetPiece piece, SectionRow row, Material material, double quantity = 1, double spare = 0)
    {
        var part = Cut(id, row, material, piece.Length, quantity, what);
        return own[^1] = part with { Cut = part.Cut! with { Long = spare }, Sheet = piece };
    }

    /// <summary>Something of one's own, weighed; it costs nothing.</summary>
    /// <param name="mass">kg.</param>
    public RigPart Own(PieceId id, string name, double mass) => Add(new(id, name, 1, mass, 0, PieceSort.Own, Aisle.Camera));

    /// <summary>Says more of how the part stated last is cut.</summary>
    /// <param name="cut">The cut with what is to be said.</param>
    public RigPart Also(Func<CutPiece, CutPiece> cut) => own[^1] = own[^1] with { Cut = cut(own[^1].Cut!) };

    /// <summary>What is used up in the making: it is bought, and weighs nothing that counts. Not in the list yet.</summary>
    internal RigPart Supply(PieceId id, IBoughtRow row, double quantity) => new(id, row.Name, quantity, 0, row.Price, PieceSort.Bought, row.Aisle, row.Id);

    /// <summary>A supply that a kind's own step takes.</summary>
    public RigPart Used(PieceId id, IBoughtRow row, double quantity = 1) => Add(Supply(id, row, quantity));

    /// <summary>A screw, nut or washer of a joint, after all else.</summary>
    internal RigPart Hardware(RigPart part)
    {
        hardware.Add(Free(part));
        return hardware[^1];
    }

    private readonly HashSet<PieceId> known = [];

    private RigPart Add(RigPart part)
    {
        own.Add(Free(part));
        return own[^1];
    }

    /// <summary>Pieces that are called the same (washers under a head and a nut) are told apart.</summary>
    private RigPart Free(RigPart part)
    {
        var id = part.Id;
        for (var n = 2; !known.Add(id); n++)
            id = part.Id with { Name = $"{part.Id.Name}-{n}" };
        return part with { Id = id };
    }
}
