using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// What a pot magnet pulls on its spot: rated pull × share for the sheet's thickness × share for the gap of paint, rubber and pads.
/// Both shares are judgement until measured on the panel with a scale.
/// </summary>
public sealed class MagnetGrip
{
    /// <param name="skin">Temperature of what it sits on, K.</param>
    /// <param name="share">Share of its field that a small bolt head carries.</param>
    /// <param name="yours">Where a measured pull is from.</param>
    public MagnetGrip(MagnetRow row, HoldSpot spot, double pad, double? measured, double skin, double share = 1,
        string yours = "your pull on this panel")
    {
        Row = row;
        // A plate behind steel makes it thicker; behind anything else it is what the magnet holds to, the sheet's thickness away.
        var (plate, sheet) = (spot.Site.PlateBehind ?? 0, spot.Material.Magnetic);
        var sticks = sheet || plate > 0;
        Thickness = ThicknessShare(plate + (sheet ? spot.Site.Thickness : 0), row.FullThickness);
        Gap = GapShare(spot.Site.Coat + pad + (sheet ? 0 : spot.Site.Thickness), row.Diameter);
        Friction = spot.Site.Rubs(row.Friction);
        FrictionSource = "judgement: steel on paint 0.12–0.25, rubber 0.4–0.7" + spot.Site.RubsWhy;
        Warm = WarmShare(skin, row.TemperatureLimit);
        Pull = !sticks ? 0 : Warm * (measured ?? row.RatedPull * Thickness * Gap * share);
        Source = !sticks ? $"{spot.Material.Name} is not magnetic"
            : measured is not null ? Warm < 1 ? $"{yours} × {Warm:0.00} for the heat" : yours
            : $"rated {row.RatedPull:0} N × {Thickness:0.00} for the "
                + (plate > 0 ? sheet ? "sheet and the plate behind it" : "plate behind the sheet" : "sheet")
                + $" × {Gap:0.00} for the "
                    + $"{(sheet ? "coat" : "coat and the sheet")}{(share < 1 ? $" × {share:0.00} for the small head" : "")}{(Warm < 1 ? $" × {Warm:0.00} for the heat" : "")}; judgement until you pull it";
    }

    public MagnetRow Row { get; }
    public double Thickness { get; }
    public double Gap { get; }

    /// <summary>On its panel as that is today.</summary>
    public double Friction { get; }

    private string FrictionSource { get; }

    /// <summary>Share left in the heat.</summary>
    public double Warm { get; }

    /// <summary>What it can do: a disc, tipping about its edge and twisting on two thirds of its radius.</summary>
    public HoldGrasp Grasp => new(
        Pull, "pull left on this panel", Source, Friction, FrictionSource,
            Row.Diameter / 2, Row.Source, Row.Diameter / 3,
        FactorTable.Magnet, FactorTable.Magnet, "factor 3 after magnetic lifting (EN 13155)",
            "Grit, wax and water under the pot; heat above its limit.");

    /// <summary>Pull left, N.</summary>
    public double Pull { get; }

    public string Source { get; }

    /// <summary>Where a pull that was measured is from.</summary>
    public static string Yours(RigDocument rig, double? measured) =>
        measured is { } m ? Taken.Origin(rig, "your pull on this panel", "measuredPull", m) : "";

    /// <summary>Above this limit, K, the magnet is a ferrite; below it neodymium.</summary>
    private const double FerriteFrom = 420;

    /// <summary>
    /// Share of the pull at 20 °C that is left at a temperature, K: neodymium loses about 0.24 % a kelvin, ferrite 0.4 (the field falls by
    /// 0.12 and 0.2 %, the pull goes with its square; usual makers' data, from memory). Past its limit it loses half for good.
    /// </summary>
    public static double WarmShare(double temperature, double limit) =>
        Math.Clamp(1 - (limit > FerriteFrom ? 0.004 : 0.0024) * Math.Max(0, temperature - 293.15), 0, 1) * (temperature > limit ? 0.5 : 1);

    /// <summary>Saturating curve: 1 − exp(−2.3·t/t_full), nine tenths at the full thickness (judgement, 0.7–1.4 ×).</summary>
    public static double ThicknessShare(double thickness, double full) => 1 - Math.Exp(-2.3 * thickness / full);

    /// <summary>exp(−gap·60/d): a gap of a sixtieth of the diameter costs two thirds (judgement, 0.7–1.4 ×).</summary>
    public static double GapShare(double gap, double diameter) => Math.Exp(-gap * 60 / diameter);
}
