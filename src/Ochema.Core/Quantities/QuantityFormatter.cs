using System.Globalization;

namespace Ochema.Core.Quantities;

/// <summary>Prints SI values in the user's units.</summary>
public static class QuantityFormatter
{
    /// <summary>Number and unit. Inches as the nearest sixteenth when <paramref name="fractions"/>, decimal otherwise.</summary>
    public static string Format(double si, Dimension dimension, UnitSystem system, bool fractions = true)
    {
        if (dimension == Dimension.Drill)
            return Drills.Name(si, system);
        var d = Units.For(dimension, system);
        var v = si / d.Factor - d.Offset;
        var text = Math.Abs(v) < d.SmallBelow ? Trimmed(v, d.SmallDigits) : d.Fraction && fractions ? Sixteenths(v) : Decimal(v, d.Digits);
        return d.Symbol.Length == 0 ? text : $"{text} {d.Symbol}";
    }

    /// <summary>Nearest 1/16, reduced: 1.5 → "1 1/2".</summary>
    public static string Sixteenths(double inches)
    {
        var n = (long)Math.Round(Math.Abs(inches) * 16, MidpointRounding.AwayFromZero);
        var (whole, part) = (n / 16, n % 16);
        var den = 16L;
        while (part > 0 && part % 2 == 0)
            (part, den) = (part / 2, den / 2);
        var sign = inches < 0 && n > 0 ? "−" : "";
        return sign + (part == 0 ? whole.ToString(CultureInfo.InvariantCulture) : whole == 0 ? $"{part}/{den}" : $"{whole} {part}/{den}");
    }

    private static string Trimmed(double v, int digits)
    {
        var t = Decimal(v, digits);
        return t.Contains('.') ? t.TrimEnd('0').TrimEnd('.') : t;
    }

    private static string Decimal(double v, int digits)
    {
        var r = Math.Round(v, digits, MidpointRounding.AwayFromZero);
        return r.ToString("F" + digits, CultureInfo.InvariantCulture).Replace('-', '−');
    }
}
