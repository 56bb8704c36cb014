using Ochema.Core.Quantities;
namespace Ochema.Core.Stock;

/// <summary>A knot or end: what it is for and what strength it leaves.</summary>
/// <param name="Keeps">Share of the line's strength left (Ashley and climbing tests vary; judgement, ±0.1).</param>
/// <param name="ForElastic">True when it holds in elastic cord.</param>
public sealed record Knot(
    string Id, string Name, [property: Measure("Strength left", Dimension.Ratio, 0, 1)] double Keeps, bool ForElastic, string Use,
        string Source) : IStockRow
{
    /// <summary>Line that it takes with its loop and tail, in thicknesses of the line (common practice, no source: tied and measured,
    /// 0.7–1.5 ×).</summary>
    public double Takes { get; init; }

    /// <summary>Line that it takes, m.</summary>
    /// <param name="thickness">Of the line, m.</param>
    public double Allowance(double thickness) => Takes * thickness;

    /// <inheritdoc/>
    public string? Range => "strength left ±0.1";
}

/// <summary>Knots, lashings and ends of lines.</summary>
public static class Lashing
{
    public static IReadOnlyList<Knot> Knots { get; } =
    [
        new("bowline", "Bowline", 0.65, false, "a loop that does not slip; tie its tail", "common practice, no source") { Takes = 45 },
        new("figure-eight", "Figure-eight loop", 0.75, false, "a loop that stays tied", "common practice, no source") { Takes = 60 },
        new("clove-hitch", "Clove hitch with two half hitches", 0.6, false, "round a tube", "common practice, no source") { Takes = 45 },
        new("double-overhand", "Double overhand stopper", 0.6, true, "the end of elastic cord",
            "common practice, no source") { Takes = 20 },
        new("crimp", "Crimped ferrule", 0.8, true, "wire and elastic, with a thimble", "common practice, no source") { Takes = 20 },
        new("sewn", "Sewn end or hook, as rated", 1, true, "webbing as sold", "common practice, no source"),
    ];

    /// <summary>Friction of a lashing: n turns round a bar at a tension hold n·2π·μ·T along it.</summary>
    public static double Slide(int turns, double tension, double friction) => turns * 2 * Math.PI * friction * tension;

    /// <summary>What is wrong with a knot in a line, or null.</summary>
    public static string? Fault(Knot knot, bool elastic) => elastic && !knot.ForElastic
        ? $"a {Words.Inside(knot.Name)} slips in elastic: "
            + $"{string.Join(" or ", Knots.Where(k => k.ForElastic).Select(k => Words.Inside(k.Name)))}" : null;
}
