using System.Globalization;
using Ochema.Core.Quantities;

namespace Ochema.Core.Checks;

/// <summary>
/// One way in which one part can fail. It turns the forces of a case into a use (demand × required factor ÷ capacity) and can
/// show its working; the formula is written once, in <see cref="Use"/>.
/// </summary>
public abstract class Check(string id, string station, string part, string title)
{
    /// <summary>Use is reported no higher than this (999 %): beyond it the number says nothing more.</summary>
    public const double MostUse = 9.99;

    /// <summary>Unique within the rig.</summary>
    public string Id { get; } = id;

    /// <summary>Spine row.</summary>
    public string Station { get; } = station;

    /// <summary>The part that fails; checks of a part that has let go are left out.</summary>
    public string Part { get; } = part;

    /// <summary>What happens, a few words: "Front lip lifts".</summary>
    public string Title { get; } = title;

    /// <summary>True when the result does not depend on the forces.</summary>
    public virtual bool Fixed => false;

    /// <summary>True when the check counts only while the rig is whole (the tether is never loaded then).</summary>
    public virtual bool Reserve => false;

    /// <summary>Use (1 = at its allowed load); the working is written when a sheet is given.</summary>
    public abstract double Use(CaseForces f, Worksheet? sheet = null);

    /// <summary>demand ÷ capacity, kept finite.</summary>
    protected static double Ratio(double demand, double capacity) =>
        demand <= 0 ? 0 : capacity > 0 && demand / capacity < MostUse ? demand / capacity : MostUse;
}

/// <summary>A number of a working.</summary>
/// <param name="Symbol">As in the formula.</param>
/// <param name="Name">In words.</param>
/// <param name="Value">SI.</param>
/// <param name="Source">Where it came from; empty for what follows from the load case.</param>
public sealed record WorkingTerm(string Symbol, string Name, double Value, Dimension Dimension, string Source);

/// <summary>The working of a check: formula with symbols in braces, its numbers, and what it leaves out.</summary>
public sealed record Working(string Formula, IReadOnlyList<WorkingTerm> Terms, string Method, string NotCovered);

/// <summary>Where a check writes its working.</summary>
public sealed class Worksheet
{
    private readonly List<WorkingTerm> terms = [];
    private string formula = "";
    private string method = "";
    private string notCovered = "";

    /// <summary>States the formula, its source, and what it does not cover.</summary>
    public Worksheet Formula(string text, string source, string leavesOut = "")
    {
        (formula, method, notCovered) = (text, source, leavesOut);
        return this;
    }

    public Worksheet Term(string symbol, string name, double value, Dimension dimension, string source = "")
    {
        terms.Add(new(symbol, name, value, dimension, source));
        return this;
    }

    public Working Done() => new(formula, terms, method, notCovered);
}

/// <summary>Texts carry quantities as <c>{speed:12.5}</c> (dimension and SI value), printed in the reader's units.</summary>
public static partial class QuantityText
{
    /// <summary>A quantity inside a text.</summary>
    public static string Of(double value, Dimension d) => "{" + d.ToString().ToLowerInvariant() + ":" + value.ToString("R", CultureInfo.InvariantCulture) + "}";

    /// <summary>The text with its quantities printed.</summary>
    public static string Print(string text, UnitSystem system) => Token().Replace(text, m =>
        Enum.TryParse<Dimension>(m.Groups[1].Value, true, out var d) && double.TryParse(m.Groups[2].Value, CultureInfo.InvariantCulture, out var v)
            ? QuantityFormatter.Format(v, d, system) : m.Value);

    [System.Text.RegularExpressions.GeneratedRegex(@"\{([a-z]+):([-+0-9.eE]+)\}")]
    private static partial System.Text.RegularExpressions.Regex Token();
}
