using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// What a pot magnet pulls on its spot: rated pull × share for the sheet's thickness × share for the gap of paint, rubber and pads.
/// Both shares are judgement until measured on the panel with a scale.
/// </summary>
public sealed class MagnetGrip
{
    public MagnetGrip(MagnetRow row, HoldSpot spot, double pad, double? measured, FactorTable factors, double share = 1)
    {
        (Row, Factor) = (row, factors[FactorTable.Magnet]);
        Thickness = ThicknessShare(spot.Site.Thickness, row.FullThickness);
        Gap = GapShare(spot.Site.Coat + pad, row.Diameter);
        Pull = !spot.Material.Magnetic ? 0 : measured ?? row.RatedPull * Thickness * Gap * share;
        Source = !spot.Material.Magnetic ? $"{spot.Material.Name} is not magnetic"
            : measured is not null ? "your pull on this panel"
            : $"rated {row.RatedPull:0} N × {Thickness:0.00} for the sheet × {Gap:0.00} for the coat; judgement until you pull it";
    }

    public MagnetRow Row { get; }
    public double Factor { get; }
    public double Thickness { get; }
    public double Gap { get; }

    /// <summary>Pull left, N.</summary>
    public double Pull { get; }

    public string Source { get; }

    /// <summary>Saturating curve: 1 − exp(−2.3·t/t_full), nine tenths at the full thickness (judgement, 0.7–1.4 ×).</summary>
    public static double ThicknessShare(double thickness, double full) => 1 - Math.Exp(-2.3 * thickness / full);

    /// <summary>exp(−gap·60/d): a gap of a sixtieth of the diameter costs two thirds (judgement, 0.7–1.4 ×).</summary>
    public static double GapShare(double gap, double diameter) => Math.Exp(-gap * 60 / diameter);
}
