namespace Ochema.Core.Making;

/// <summary>
/// What lines of the list were called in documents before pieces had names: by display words, which nothing else goes by. Prices and
/// drawers that were said under these names still count, until something is said of the piece itself.
/// </summary>
internal static class EarlierKeys
{
    /// <summary>Of each line, numbered where two were called the same.</summary>
    public static IReadOnlyList<string> Of(IReadOnlyList<PartLine> lines)
    {
        var counts = new Dictionary<string, int>();
        return
        [
            .. lines.Select(line =>
            {
                var key = KeyOf(line);
                var n = counts[key] = counts.GetValueOrDefault(key) + 1;
                return n > 1 ? $"{key} {n}" : key;
            }),
        ];
    }

    /// <summary>Station, and what it was: the row with the joint that it belongs to, or its name up to its size.</summary>
    private static string KeyOf(PartLine line) =>
        string.Join(' ', new[]
        {
            line.Station.ToString(), line.Row ?? Before(line.Name, '{', ',').Trim(), line.Joint ?? "",
            line.Sort == Rigs.PieceSort.Bought ? "" : Before(line.Name, '{', ',', ':').Trim(),
        }.Where(w => w.Length > 0));

    private static string Before(string name, params char[] ends) => name.IndexOfAny(ends) is >= 0 and var at ? name[..at] : name;
}
