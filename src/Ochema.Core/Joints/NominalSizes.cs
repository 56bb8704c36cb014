namespace Ochema.Core.Joints;

/// <summary>Names that are not sizes: what is sold as a size and what a caliper finds.</summary>
/// <param name="Name">As sold.</param>
/// <param name="Across">Real outside size, m.</param>
/// <param name="Other">The other way, m (round: the same).</param>
public sealed record NominalSize(string Name, double Across, double Other, string Source);

/// <summary>Real sizes of pipe, conduit and timber.</summary>
public static class NominalSizes
{
    /// <summary>Rows by name.</summary>
    public static IReadOnlyList<NominalSize> All { get; } =
    [
        Pipe("1/2 in pipe", 21.3), Pipe("3/4 in pipe", 26.7), Pipe("1 in pipe", 33.4), Pipe("1-1/4 in pipe", 42.2),
            Pipe("1-1/2 in pipe", 48.3), Pipe("2 in pipe", 60.3),
        new("1/2 in steel conduit", 0.0179, 0.0179, "ANSI C80.3 (EMT)"), new("3/4 in steel conduit", 0.0234, 0.0234, "ANSI C80.3 (EMT)"),
            new("1 in steel conduit", 0.0295, 0.0295, "ANSI C80.3 (EMT)"),
        Timber("1×2", 19, 38), Timber("2×2", 38, 38), Timber("2×4", 38, 89), Timber("2×6", 38, 140), Timber("4×4", 89, 89),
    ];

    /// <summary>The row of a name, or null.</summary>
    public static NominalSize? Find(string name) => All.FirstOrDefault(n => n.Name == name);

    /// <summary>Whether a clamp of a range closes on it: clamps are checked against the real size.</summary>
    public static bool ClampFits(double smallest, double largest, double across) => across >= smallest - 1e-5 && across <= largest + 1e-5;

    private static NominalSize Pipe(string name, double mm) => new(name, mm / 1000, mm / 1000,
        "ASME B36.10M; ASTM D1785 has the same outside");

    private static NominalSize Timber(string name, double a, double b) => new(name, a / 1000, b / 1000, "ALSC PS 20 dressed sizes");
}
