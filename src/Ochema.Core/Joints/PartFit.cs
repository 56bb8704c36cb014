using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>Parts that go into parts: a magnet or plug in a bore, a tube in a tube.</summary>
public static class PartFit
{
    /// <summary>Play below which a part does not go in, and above which glue or a lock does not bridge it, m (common practice, no
    /// source).</summary>
    private const double Tightest = -0.00005;
    private const double Loosest = 0.0015;

    /// <summary>Inside of a tube, m; 0 for a bar.</summary>
    public static double Bore(SectionRow row) => row.Wall > 0 ? row.Width - 2 * row.Wall : 0;

    /// <summary>What is wrong with a part in a bore, or null.</summary>
    /// <param name="part">"a 25 mm magnet".</param>
    /// <param name="across">Of the part, m.</param>
    /// <param name="into">"the bar's end".</param>
    public static string? Fault(string part, double across, double bore, string into) =>
        across > bore - Tightest ? $"{part} does not go into {into}: {Holes.Size(across)} across, the bore is {Holes.Size(bore)}"
        : across < bore - Loosest ? $"{part} rattles in {into}: {Holes.Size(across)} across, the bore is {Holes.Size(bore)}; a sleeve, "
            + $"or another size"
        : null;
}
