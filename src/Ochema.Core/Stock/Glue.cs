using Ochema.Core.Json;
using Ochema.Core.Quantities;

namespace Ochema.Core.Stock;

/// <summary>A glue or cement for a pair of materials.</summary>
/// <param name="Pairs">Material families or ids that it joins, as "a+b".</param>
/// <param name="Shear">Shear strength cured on a prepared face, Pa.</param>
/// <param name="Peel">Peel strength, N/m of width.</param>
/// <param name="OpenTime">Time to put it together, s.</param>
/// <param name="Cure">Time to full strength at 20 °C, s.</param>
/// <param name="SoftensAt">Temperature at which it is down to half, K.</param>
public sealed record Glue(
    string Id, string Name, IReadOnlyList<string> Pairs, [property: Measure("Shear strength", Dimension.Stress, 0, 1e9)] double Shear,
        double Peel,
    [property: Measure("Open time", Dimension.Duration, 0, 1e6)] double OpenTime, [property: Measure("Cures in", Dimension.Duration, 0, 1e7)] double Cure,
    [property: Measure("Half as strong at", Dimension.Temperature, 250, 600)] double SoftensAt,
    string Preparation, string Source, bool CarriesLoad = true) : IStockRow
{
    /// <inheritdoc/>
    public string? Range => "strengths 0.5–1.5 ×";

    /// <summary>Share of the strength at an age, s, and a temperature, K (straight rise to full cure; judgement).</summary>
    public double Share(double age, double temperature)
    {
        var cured = Math.Clamp(age / Cure, 0, 1);
        var warm = temperature <= SoftensAt - 20 ? 1 : Math.Clamp((SoftensAt + 20 - temperature) / 40, 0, 1);
        return CarriesLoad ? cured * warm : 0;
    }

    /// <summary>What is wrong with it for a pair at a temperature, or null.</summary>
    public string? Fault(string a, string b, double temperature)
    {
        if (!CarriesLoad)
            return $"{Words.Inside(Name)} carries nothing: it softens in the sun and lets go in the cold; it may hold a wire";
        if (!Pairs.Contains($"{a}+{b}") && !Pairs.Contains($"{b}+{a}") && !Pairs.Contains("any+any"))
            return $"{Words.Inside(Name)} does not join {a} to {b}";
        return temperature > SoftensAt ? $"{Words.Inside(Name)} is soft at this temperature" : null;
    }
}

/// <summary>Glues that people use on mounts; figures from memory of makers' sheets, derated by half.</summary>
public static class Glues
{
    /// <summary>A dashboard, a screen or a dark panel behind glass in the sun, K (judgement, 60–85 °C).</summary>
    public const double BehindSunlitGlass = 343;

    private const double Hour = 3600;

    public static IReadOnlyList<Glue> All { get; } =
    [
        new("epoxy-24h", "Two-part epoxy, 24 h", ["metal+metal", "metal+wood", "wood+wood", "metal+composite"], 8e6, 2000, 45 * 60, 24
            * Hour, 343, "both faces sanded to bright metal, wiped with solvent", "from memory, derated by half"),
        new("epoxy-5min", "Two-part epoxy, 5 min", ["metal+metal", "metal+wood", "wood+wood"], 4e6, 1000, 4 * 60, 12 * Hour, 328,
            "both faces sanded and wiped", "from memory, derated by half"),
        new("pvc-cement", "PVC cement", ["pvc+pvc"], 3e6, 1500, 60, 24 * Hour, 333, "primer, push home with a quarter turn, hold",
            "ASTM D2564, from memory"),
        new("acrylic-foam", "Acrylic foam tape", ["metal+metal", "metal+composite", "metal+plastic", "plastic+plastic"], 0.2e6, 1500, 10
            * 60, 72 * Hour, 353, "degreased, warm, pressed on", "from memory, derated by half"),
        new("polyurethane", "Polyurethane sealant-adhesive", ["any+any"], 0.8e6, 3000, 15 * 60, 7 * 24 * Hour, 353, "degreased, roughened",
            "from memory, derated by half"),
        new("wood-glue", "Wood glue", ["wood+wood"], 5e6, 800, 10 * 60, 24 * Hour, 333, "fitted joint, clamped",
            "from memory, derated by half"),
        new("hot-glue", "Hot glue", ["any+any"], 0, 0, 20, 300, 333, "none helps", "common practice, no source", CarriesLoad: false),
    ];

    /// <summary>What a material is to a glue: PVC is joined by its own cement only.</summary>
    public static string Family(Stock.Material m) => m.Grade == MaterialGrade.Pvc ? "pvc" : m.Family.ToString().ToLowerInvariant();

    /// <exception cref="DocumentException">There is none of that name.</exception>
    public static Glue Find(string id) => All.FirstOrDefault(g => g.Id == id)
        ?? throw new DocumentException("", $"there is no glue '{id}'");
}
