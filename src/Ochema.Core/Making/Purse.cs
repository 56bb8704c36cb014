using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>What the lines of a list cost the builder, by what lies in the drawer and how things are sold.</summary>
internal static class Purse
{
    /// <summary>The lines with what is said of each; screws, nuts and washers that are the same are one line, whichever joints they are
    /// of.</summary>
    /// <param name="stock">Tells what is cut from bars, which are paid whole.</param>
    public static IReadOnlyList<PartLine> Of(Bench? bench, Catalogue stock, IReadOnlyList<PartLine> lines)
    {
        var earlier = EarlierKeys.Of(lines);
        return
        [
            .. lines.Select((line, i) => (Line: line, Earlier: earlier[i])).GroupBy(l => IsSmall(l.Line, stock)
                    ? (l.Line.Name, l.Line.Row, Math.Round(l.Line.Cost / l.Line.Quantity, 6), "") : (l.Line.Name, l.Line.Row, 0, l.Line.Id))
                .Select(g => Told(Sum([.. g.Select(l => l.Line)]), Said(bench, [.. g.SelectMany(l => l.Line.Pieces)],
                    [.. g.Select(l => l.Earlier)]), stock)),
        ];
    }

    /// <summary>Lies in one drawer of the shop, whatever it is for.</summary>
    private static bool IsSmall(PartLine line, Catalogue stock) => line
        is { Sort: PieceSort.Bought, Aisle: Aisle.Screws, Row: { } row, Quantity: > 0 }
        && (row == Supplies.RubberWasher || stock.Has("fasteners", row));

    private static PartLine Sum(IReadOnlyList<PartLine> same) => same.Count == 1 ? same[0] : same[0] with
    {
        Quantity = same.Sum(l => l.Quantity),
        Mass = same.Sum(l => l.Mass),
        Cost = same.Sum(l => l.Cost),
        Joint = same.All(l => l.Joint == same[0].Joint) ? same[0].Joint : null,
        Steps = [.. same.SelectMany(l => l.Steps).GroupBy(s => s.Step).Select(g => new PartShare(g.Key, g.Sum(s => s.Quantity)))],
        Pieces = [.. same.SelectMany(l => l.Pieces)],
    };

    /// <summary>What the builder said of a line: of any of its pieces.</summary>
    private static BenchLine Said(Bench? bench, IReadOnlyList<PieceId> pieces, IReadOnlyList<string> earlier) => bench?.Lines
        is not { } lines ? new()
        : pieces.Select(p => p.ToString()).Concat(earlier).Select(key => lines.GetValueOrDefault(key))
            .FirstOrDefault(said => said is not null) ?? new();

    private static PartLine Told(PartLine line, BenchLine said, Catalogue stock)
    {
        var have = said.Is is PartIs.InDrawer or PartIs.Donor ? said.Have ?? line.Quantity : said.Have ?? 0;
        have = Math.Min(have, line.Quantity);
        var pack = said.Pack ?? 1;
        var each = line.Quantity > 0 ? line.Cost / line.Quantity : 0;
        var price = said.Price ?? each * pack;
        var barred = said.Is != PartIs.MadeForMe && line is { Sort: PieceSort.Cut, Length: > 0, Row: { } row }
            && stock.Has("sections", row);
        return line with
        {
            Key = line.Pieces[0].ToString(),
            ByTheBar = barred,
            Is = said.Is,
            Have = have,
            Pack = pack,
            Price = barred ? each : price,
            OwnPrice = !barred && said.Price is not null,
            Cost = barred ? line.Cost : line.Quantity * price / pack,
            Pay = barred ? 0 : Math.Ceiling((line.Quantity - have) / pack - 1e-9) * price,
        };
    }
}
