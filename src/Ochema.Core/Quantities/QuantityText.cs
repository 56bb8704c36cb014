using System.Globalization;
using System.Text.RegularExpressions;

namespace Ochema.Core.Quantities;

/// <summary>Texts carry quantities as <c>{speed:12.5}</c> (dimension and SI value), printed in the reader's units.</summary>
public static partial class QuantityText
{
    /// <summary>A quantity inside a text.</summary>
    public static string Of(double value, Dimension d) => "{" + d.ToString().ToLowerInvariant() + ":"
        + value.ToString("R", CultureInfo.InvariantCulture) + "}";

    /// <summary>The text with its quantities printed.</summary>
    public static string Print(string text, UnitSystem system) => Token().Replace(text, m =>
        Enum.TryParse<Dimension>(m.Groups[1].Value, true, out var d)
            && double.TryParse(m.Groups[2].Value, CultureInfo.InvariantCulture, out var v)
            ? QuantityFormatter.Format(v, d, system) : m.Value);

    [GeneratedRegex(@"\{([a-z]+):([-+0-9.eE]+)\}")]
    private static partial Regex Token();
}
