using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>The pieces of a rig that are cut from bars and tubes, and from which lengths on sale.</summary>
public static class BarCuts
{
    /// <summary>Width of a hacksaw's cut, m (judgement, 1–2 mm; mitre saws 2.5–3).</summary>
    public const double Hacksaw = 0.0015;

    /// <summary>Cut off to square a bar's end, m (judgement, 3–10 mm).</summary>
    public const double Squared = 0.005;

    /// <summary>Saws cut no wider, m, and nobody squares off more, m.</summary>
    public const double WidestKerf = 0.010;
    public const double LongestSquaring = 0.100;

    /// <summary>Lengths of bar and tube in shops, m, at the row's price a metre (common practice, no source; ask your shop).</summary>
    private static readonly double[] OnSale = [1, 2, 3];

    /// <summary>One group a row, in the order that the rig uses them.</summary>
    /// <param name="lines">The list.</param>
    /// <param name="stock">The shelf.</param>
    /// <param name="kerf">Width of the saw's cut, m.</param>
    /// <param name="squaring">Cut off once from every bar, m.</param>
    /// <param name="offcuts">What lies about: it goes first.</param>
    public static IReadOnlyList<CutGroup> Of(
        IReadOnlyList<PartLine> lines, Catalogue stock, double kerf, double squaring, IReadOnlyList<Offcut>? offcuts = null)
    {
        var wanted = lines.Where(l => l is { Length: > 0, Row: not null, Is: not PartIs.MadeForMe } && stock.Has("sections", l.Row))
            .Select(l => (Row: stock.Find<SectionRow>("sections", l.Row!),
                Piece: new CutPieceWanted(l.Id, l.Length!.Value, (int)Math.Ceiling(l.Quantity - l.Have - 1e-9))))
            .Where(w => w.Piece.Count > 0);
        return [.. wanted.GroupBy(w => w.Row.Id).Select(g =>
        {
            var row = g.First().Row;
            IReadOnlyList<CutStock> bars =
            [
                .. (offcuts ?? []).Where(o => o.Row == row.Id).Select((o, i) => new CutStock($"offcut {i + 1}", o.Length, 0, (int)o.Count)),
                .. OnSale.Select(l => new CutStock($"{l:0} m", l, l * row.PricePerMetre)),
            ];
            IReadOnlyList<CutPieceWanted> pieces = [.. g.Select(w => w.Piece)];
            return new CutGroup(row.Id, row.Name, kerf, squaring, bars, pieces, CutSolver.Solve(new(kerf, squaring, bars, pieces)));
        })];
    }
}
