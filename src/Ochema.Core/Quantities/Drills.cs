namespace Ochema.Core.Quantities;

/// <summary>A drill as it is sold: its name and diameter, m.</summary>
public sealed record Drill(string Name, double Diameter);

/// <summary>
/// Drills by their names: inch ones by number (No. 7), letter (F) and fraction (17/64 in) as in ASME B94.11M, metric ones by tenths of a
/// millimetre. A drill size
/// is never rounded to a ruler's sixteenths.
/// </summary>
public static class Drills
{
    private const double Inch = 0.0254;

    /// <summary>Number drills 1 to 60, inches (ASME B94.11M).</summary>
    private static readonly double[] Numbers =
    [
        0.2280, 0.2210, 0.2130, 0.2090, 0.2055, 0.2040, 0.2010, 0.1990, 0.1960, 0.1935,
            0.1910, 0.1890, 0.1850, 0.1820, 0.1800, 0.1770, 0.1730, 0.1695, 0.1660, 0.1610,
        0.1590, 0.1570, 0.1540, 0.1520, 0.1495, 0.1470, 0.1440, 0.1405, 0.1360, 0.1285,
            0.1200, 0.1160, 0.1130, 0.1110, 0.1100, 0.1065, 0.1040, 0.1015, 0.0995, 0.0980,
        0.0960, 0.0935, 0.0890, 0.0860, 0.0820, 0.0810, 0.0785, 0.0760, 0.0730, 0.0700,
            0.0670, 0.0635, 0.0595, 0.0550, 0.0520, 0.0465, 0.0430, 0.0420, 0.0410, 0.0400,
    ];

    /// <summary>Letter drills A to Z, inches (ASME B94.11M).</summary>
    private static readonly double[] Letters =
    [
        0.2340, 0.2380, 0.2420, 0.2460, 0.2500, 0.2570, 0.2610, 0.2660, 0.2720, 0.2770,
            0.2810, 0.2900, 0.2950, 0.3020, 0.3160, 0.3230, 0.3320, 0.3390, 0.3480, 0.3580,
        0.3680, 0.3770, 0.3860, 0.3970, 0.4040, 0.4130,
    ];

    /// <summary>All inch drills, smallest first. Where a letter is a fraction too (E is 1/4 in), the fraction is named.</summary>
    public static IReadOnlyList<Drill> InchDrills { get; } =
    [
        .. Numbers.Select((d, i) => new Drill($"No. {i + 1}", d * Inch))
            .Concat(Letters.Select((d, i) => new Drill($"letter {(char)('A' + i)}", d * Inch))
                .Where(d => Math.Abs(d.Diameter - Inch / 4) > 1e-7))
            .Concat(Enumerable.Range(4, 61).Select(n => new Drill(Fraction(n), n * Inch / 64))).OrderBy(d => d.Diameter),
    ];

    /// <summary>The drill that a typed name means ("No. 7", "#7", "letter F", "F"), or null.</summary>
    public static Drill? Named(string text)
    {
        var t = text.Trim().ToLowerInvariant().Replace("#", "no. ", StringComparison.Ordinal)
            .Replace("no.", "no. ", StringComparison.Ordinal).Replace("  ", " ", StringComparison.Ordinal);
        return InchDrills.FirstOrDefault(d => !d.Name.EndsWith("in", StringComparison.Ordinal)
            && (d.Name.Equals(t, StringComparison.OrdinalIgnoreCase) || d.Name.Equals("letter " + t, StringComparison.OrdinalIgnoreCase)));
    }

    /// <summary>The inch drill nearest to a size, m.</summary>
    public static Drill NearestInch(double size) => InchDrills.MinBy(d => Math.Abs(d.Diameter - size))!;

    /// <summary>The smallest inch drill that is no smaller than a size, m: for what has to pass.</summary>
    public static Drill PassingInch(double size) => InchDrills.FirstOrDefault(d => d.Diameter >= size - 2e-5) ?? InchDrills[^1];

    /// <summary>The drill for a hole in the units asked for: metric to a tenth, inch by its name.</summary>
    /// <param name="passes">True for a clearance hole.</param>
    public static string Name(double size, UnitSystem system, bool passes = false) =>
        system == UnitSystem.Metric ? $"{size * 1000:0.0} mm" : (passes ? PassingInch(size) : NearestInch(size)).Name;

    private static string Fraction(int sixtyFourths)
    {
        var (n, d) = (sixtyFourths, 64);
        while (n % 2 == 0 && d > 1)
            (n, d) = (n / 2, d / 2);
        return d == 1 ? $"{n} in" : $"{n}/{d} in";
    }
}
