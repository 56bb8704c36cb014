using Ochema.Core.Json;

namespace Ochema.Core.Making;

/// <summary>Reads cut tasks and names what is wrong with them, by path.</summary>
public static class CutTaskReader
{
    private const int MostRows = 200;
    private const int MostPieces = 2000;
    private const double Longest = 1000;

    /// <exception cref="DocumentException">Names the path and the reason.</exception>
    public static CutTask Read(string json)
    {
        var task = StrictJson.Read<CutTask>(json);
        Length(task.Kerf, "kerf", 0);
        Length(task.Squaring, "squaring", 0);
        Rows(task.Stock, "stock", s => s.Id, (s, path) =>
        {
            Length(s.Length, path + ".length", double.Epsilon);
            if (!(double.IsFinite(s.Price) && s.Price >= 0))
                throw new DocumentException(path + ".price", "is not a number of 0 or more");
            if (s.Count is < 0)
                throw new DocumentException(path + ".count", "is less than 0");
        });
        Rows(task.Pieces, "pieces", p => p.Id, (p, path) =>
        {
            Length(p.Length, path + ".length", double.Epsilon);
            if (p.Count < 0)
                throw new DocumentException(path + ".count", "is less than 0");
        });
        if (task.Pieces.Sum(p => (long)p.Count) > MostPieces)
            throw new DocumentException("pieces", $"are more than {MostPieces} together");
        return task;
    }

    private static void Rows<T>(IReadOnlyList<T> rows, string path, Func<T, string> id, Action<T, string> check)
        where T : class
    {
        if (rows.Count > MostRows)
            throw new DocumentException(path, $"has more than {MostRows} rows");
        var ids = new HashSet<string>();
        for (var i = 0; i < rows.Count; i++)
        {
            var row = rows[i] ?? throw new DocumentException($"{path}[{i}]", "is null");
            if (string.IsNullOrWhiteSpace(id(row)))
                throw new DocumentException($"{path}[{i}].id", "is empty");
            if (!ids.Add(id(row)))
                throw new DocumentException($"{path}[{i}].id", $"'{id(row)}' is used twice");
            check(row, $"{path}[{i}]");
        }
    }

    private static void Length(double length, string path, double least)
    {
        if (!double.IsFinite(length))
            throw new DocumentException(path, "is not a number");
        if (length < least)
            throw new DocumentException(path, least > 0 ? "is not more than 0" : "is less than 0");
        if (length > Longest)
            throw new DocumentException(path, $"is more than {Longest:0} m");
    }
}
