using Ochema.Core.Json;

namespace Ochema.Core.Structure;

/// <summary>What documents of the solvers are held to: lists that are bounded, names that are there, numbers that can be used. Each names
/// the path.</summary>
internal static class DocumentNumbers
{
    /// <summary>Largest number that is read, unless a reader says less.</summary>
    private const double LargestNumber = 1e18;

    /// <summary>Most entries of a list, unless a reader says less.</summary>
    private const int MostParts = 2000;

    /// <summary>Checks each entry of a list.</summary>
    /// <exception cref="DocumentException">The list or an entry is null, or there are too many.</exception>
    public static void Each<T>(IReadOnlyList<T> list, string path, Action<T, string> check, int most = MostParts)
    {
        Bounded(list, path, most);
        for (var i = 0; i < list.Count; i++)
        {
            if (list[i] is null)
                throw new DocumentException($"{path}[{i}]", "is null");
            check(list[i], $"{path}[{i}]");
        }
    }

    /// <exception cref="DocumentException">There is no list, or it has too many entries.</exception>
    public static void Bounded<T>(IReadOnlyList<T>? list, string path, int most = MostParts)
    {
        if (list is null)
            throw new DocumentException(path, "is null");
        if (list.Count > most)
            throw new DocumentException(path, $"has {list.Count} entries; at most {most} are read");
    }

    /// <exception cref="DocumentException">There is no name.</exception>
    public static string Name(string? id, string path) => string.IsNullOrWhiteSpace(id) ? throw new DocumentException(path, "is empty")
        : id;

    /// <exception cref="DocumentException">It has another length, or a number that cannot be used.</exception>
    public static void Vector(double[]? v, int length, string path, double largest = LargestNumber)
    {
        if (v is null || v.Length != length)
            throw new DocumentException(path, $"needs {length} numbers");
        for (var i = 0; i < length; i++)
            Number(v[i], $"{path}[{i}]", largest);
    }

    /// <exception cref="DocumentException">It is not finite, or too large.</exception>
    public static void Number(double v, string path, double largest = LargestNumber)
    {
        if (!double.IsFinite(v) || Math.Abs(v) > largest)
            throw new DocumentException(path, "is not a number that can be used");
    }

    /// <exception cref="DocumentException">It cannot be used, or is not above zero.</exception>
    public static void Positive(double v, string path)
    {
        Number(v, path);
        if (v <= 0)
            throw new DocumentException(path, "must be above zero");
    }

    /// <exception cref="DocumentException">It cannot be used, or is below zero.</exception>
    public static void NotNegative(double v, string path, double largest = LargestNumber)
    {
        Number(v, path, largest);
        if (v < 0)
            throw new DocumentException(path, "must not be negative");
    }
}
