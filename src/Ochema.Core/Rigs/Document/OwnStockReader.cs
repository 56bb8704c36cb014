using System.Reflection;
using System.Text.Json;
using Ochema.Core.Json;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>Checks rows of the user's own: as many and as sound as the shipped ones, of sorts that ship.</summary>
public static class OwnStockReader
{
    private const int LongestName = 80;
    private const int LongestSource = 300;

    /// <summary>Reads one row of a list, as the shelf stores it.</summary>
    /// <exception cref="DocumentException">There is no such list, or the row is none of it; names the path and the reason.</exception>
    public static IStockRow Read(string list, string json, Catalogue stock)
    {
        if (RowType(list) is not { } type)
            throw new DocumentException("list",
                $"takes no rows of your own; known: {string.Join(", ", new OwnStock().Lists.Select(l => l.List))}");
        var own = StrictJson.Read<OwnStock>($"{{\"{list}\":[{json}]}}");
        if (own.Of(list) is not [{ } row])
            throw new DocumentException("", "is not one row");
        Check(own, "", stock);
        return row;
    }

    /// <summary>What the rows of a list are; null for a list that nobody has rows of.</summary>
    public static Type? RowType(string list) => Property(list)?.PropertyType.GetGenericArguments()[0];

    /// <summary>Checks all rows.</summary>
    /// <param name="own">The rows.</param>
    /// <param name="path">Where they stand, for messages.</param>
    /// <param name="stock">What ships.</param>
    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static void Check(OwnStock own, string path, Catalogue stock)
    {
        var ids = new HashSet<string>();
        if (own.Lists.Sum(l => l.Rows.Count) > OwnStock.MostRows)
            throw new DocumentException(path, $"has more than {OwnStock.MostRows} rows");
        foreach (var (list, rows) in own.Lists)
            for (var i = 0; i < rows.Count; i++)
            {
                var at = path.Length == 0 ? "" : $"{path}.{list}[{i}]";
                string In(string field) => at.Length == 0 ? field : $"{at}.{field}";
                var row = rows[i] ?? throw new DocumentException(at, "is null");
                if (!row.Id.StartsWith(OwnStock.IdPrefix, StringComparison.Ordinal) || row.Id.Length is < 5 or > 60
                    || !row.Id.All(c => char.IsAsciiLetterLower(c) || char.IsAsciiDigit(c) || c == '-'))
                    throw new DocumentException(In("id"),
                        $"begins with '{OwnStock.IdPrefix}' and takes small letters, digits and dashes, 60 at the most");
                if (!ids.Add(row.Id))
                    throw new DocumentException(In("id"), $"'{row.Id}' is used twice");
                PlainText.Name(row.Name, In("name"), 1, LongestName);
                PlainText.Name(row.Source, In("source"), 1, LongestSource);
                PlainText.Name(row.Range ?? "", In("range"), 0, LongestSource);
                RigReader.Record(row, at, stock);
                Sorts(row, stock.Lists[list], In);
                if (row.Wrong is { } wrong)
                    throw new DocumentException(In(wrong.Field), wrong.Reason);
            }
    }

    /// <summary>Sorts, sockets, kinds of stabiliser: names that the computation knows, so they must be some that ship.</summary>
    private static void Sorts(IStockRow row, IReadOnlyList<IStockRow> shipped, Func<string, string> at)
    {
        foreach (var p in Named(row.GetType()))
        {
            var known = shipped.Select(r => (string)p.GetValue(r)!).Distinct().Order(StringComparer.Ordinal).ToList();
            if (!known.Contains((string)p.GetValue(row)!))
                throw new DocumentException(at(JsonNamingPolicy.CamelCase.ConvertName(p.Name)), $"is none of {string.Join(", ", known)}");
        }
    }

    /// <summary>Names of a row that are no text of its owner's.</summary>
    private static IEnumerable<PropertyInfo> Named(Type row) => row.GetProperties()
        .Where(p => p.PropertyType == typeof(string) && p.CanWrite
        && p.Name is not (nameof(IStockRow.Id) or nameof(IStockRow.Name) or nameof(IStockRow.Source) or nameof(IStockRow.Range))
        && p.GetCustomAttribute<Quantities.StockChoiceAttribute>() is null);

    private static PropertyInfo? Property(string list) => typeof(OwnStock).GetProperties()
        .FirstOrDefault(p => JsonNamingPolicy.CamelCase.ConvertName(p.Name) == list && p.PropertyType.IsGenericType && p.CanWrite);
}
