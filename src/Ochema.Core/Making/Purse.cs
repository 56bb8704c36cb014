using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>What the lines of a list cost the builder, by what lies in the drawer and how things are sold.</summary>
internal static class Purse
{
    /// <summary>The lines with what is said of each.</summary>
    /// <param name="stock">Tells what is cut from bars, which are paid whole.</param>
    public static IReadOnlyList<PartLine> Of(Bench? bench, Catalogue stock, IReadOnlyList<PartLine> lines)
    {
        var earlier = EarlierKeys.Of(lines);
        return [.. lines.Select((line, i) => Told(line, Said(bench, line, earlier[i]), stock))];
    }

    /// <summary>What the builder said of a line: of any of its pieces.</summary>
    private static BenchLine Said(Bench? bench, PartLine line, string earlier) => bench?.Lines is not { } lines ? new()
        : line.Pieces.Select(p => lines.GetValueOrDefault(p.ToString())).FirstOrDefault(said => said is not null)
            ?? lines.GetValueOrDefault(earlier) ?? new();

    private static PartLine Told(PartLine line, BenchLine said, Catalogue stock)
    {
        var have = said.Is is PartIs.InDrawer or PartIs.Donor ? said.Have ?? line.Quantity : said.Have ?? 0;
        have = Math.Min(have, line.Quantity);
        var pack = said.Pack ?? 1;
        var each = line.Quantity > 0 ? line.Cost / line.Quantity : 0;
        var price = said.Price ?? each * pack;
        var barred = said.Is != PartIs.MadeForMe && line is { Sort: PieceSort.Cut, Length: > 0, Row: { } row } && stock.Has("sections", row);
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
