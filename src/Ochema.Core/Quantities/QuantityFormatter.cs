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
        var text = Math.Abs(v) < d.SmallBelow ? Small(v, d.SmallDigits, d.Fraction) : d.Fraction && fractions ? Sixteenths(v)
            : Decimal(v, d.Digits);
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

    /// <summary>Fine sizes: inches keep their thousandths (0.75 mm is 0.030 in), millimetres only what says something.</summary>
    private static string Small(double v, int digits, bool inches)
    {
        var t = Decimal(v, digits);
        return inches && v != 0 ? t : t.Contains('.') ? t.TrimEnd('0').TrimEnd('.') : t;
    }

    /// <summary>From five digits on they stand in threes.</summary>
    private static string Grouped(string digits)
    {
        var whole = digits.TrimStart('−').IndexOf('.') is >= 0 and var dot ? dot : digits.TrimStart('−').Length;
        if (whole < 5)
            return digits;
        var at = digits.Length - digits.TrimStart('−').Length + whole;
        for (var i = at - 3; i > 0 && char.IsAsciiDigit(digits[i - 1]); i -= 3)
            digits = digits.Insert(i, "\u202f");
        return digits;
    }

    private static string Decimal(double v, int digits)
    {
        // Nothing has no sign.
        var r = Math.Round(v, digits, MidpointRounding.AwayFromZero) is var round && round == 0 ? 0 : round;
        return Grouped(r.ToString("F" + digits, CultureInfo.InvariantCulture).Replace('-', '−'));
    }
}
