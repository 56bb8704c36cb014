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
        var keys = new Dictionary<string, int>();
        return
        [
            .. lines.Select(line =>
            {
                var key = KeyOf(line);
                var n = keys[key] = keys.GetValueOrDefault(key) + 1;
                return Told(n > 1 ? $"{key} {n}" : key, line, bench, stock);
            }),
        ];
    }

    /// <summary>Station, and what it is: the row with the joint that it belongs to, or its name up to its size.</summary>
    private static string KeyOf(PartLine line) =>
        string.Join(' ', new[]
        {
            line.Station, line.Row ?? line.Name.Split('{', ',')[0].Trim(), line.Joint ?? "", line.Sort == PieceSort.Bought ? "" : Short(line),
        }.Where(w => w.Length > 0));

    private static string Short(PartLine line) => line.Name.Split('{', ',', ':')[0].Trim();

    private static PartLine Told(string key, PartLine line, Bench? bench, Catalogue stock)
    {
        var said = bench?.Lines?.GetValueOrDefault(key) ?? new BenchLine();
        var have = said.Is is PartIs.InDrawer or PartIs.Donor ? said.Have ?? line.Quantity : said.Have ?? 0;
        have = Math.Min(have, line.Quantity);
        var pack = said.Pack ?? 1;
        var each = line.Quantity > 0 ? line.Cost / line.Quantity : 0;
        var price = said.Price ?? each * pack;
        var barred = said.Is != PartIs.MadeForMe && line is { Sort: PieceSort.Cut, Length: > 0, Row: { } row } && stock.Has("sections", row);
        return line with
        {
            Key = key,
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
