using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A foam pad: pull and shear over the area plus peel by moment, against derated strength.</summary>
public sealed class AdhesiveStrength(RigSetting b, HoldSpot spot, SpringIndex spring, AdhesivePadRow row, double cure)
    : Check(spot.Id + ".glue", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} tears off")
{
    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var area = row.Width * row.Height;
        var modulus = area * row.Width / 6;
        // Twisted on its face: stress at the corner by the polar moment of the rectangle.
        var polar = area * Math.Sqrt(row.Width * row.Width + row.Height * row.Height) / 6;
        var stress = (load.Off + load.Slide) / area + load.Moment / modulus + load.Twist / polar;
        // Half strength after a fifth of the cure time, all of it after 72 h; half again on a dirty or wet surface, none on texture.
        var cured = Math.Min(1, 0.25 + 0.75 * Math.Sqrt(cure / (72 * 3600)));
        var surface = spot.Site.Surface switch { Hosts.SurfaceState.CleanDry => 1.0, Hosts.SurfaceState.Textured => 0.3, _ => 0.4 };
        var warm = Warm(b.Rig.Run.Skin);
        sheet?.Formula("{k} × (({N} + {S}) ÷ {A} + {M} ÷ {W} + {Mn} ÷ {Wp}) ÷ ({τ} × {c} × {s} × {w})",
            "uniform stress plus bending over the pad and twist on it", "Creep under steady pull: never alone.")
            .Factor(b, FactorTable.Adhesive).Term("N", "pull", load.Off, Dimension.Force).Term("S", "slide", load.Slide, Dimension.Force)
            .Term("A", "area", area, Dimension.Area, row.Source).Term("M", "peel moment", load.Moment, Dimension.Torque)
            .Term("W", "section modulus of the pad, m³", modulus, Dimension.Factor, row.Source)
            .Term("Mn", "twist", load.Twist, Dimension.Torque).Term("Wp", "polar modulus of the pad, m³", polar, Dimension.Factor,
                row.Source)
            .Term("τ", "strength", row.Strength, Dimension.Stress, row.Source)
                .Term("c", "cured share", cured, Dimension.Ratio, "judgement from hours")
            .Term("s", "surface share", surface, Dimension.Ratio, "judgement")
                .Term("w", "temperature share", warm, Dimension.Ratio, $"judgement; {b.Rig.Run.SkinSource}");
        return Ratio(b.Factors[FactorTable.Adhesive] * stress, row.Strength * cured * surface * warm);
    }

    /// <summary>Share of its strength that foam tape keeps at a temperature, K: brittle in the cold, half at 40 °C, a quarter at 70 °C
    /// (judgement, 0.5–1.5 ×).</summary>
    public static double Warm(double temperature) =>
        temperature < 278 ? 0.6 : temperature <= 298 ? 1 : temperature <= 313
            ? 1 - 0.5 * (temperature - 298) / 15 : Math.Max(0.1, 0.5 - 0.25 * (temperature - 313) / 30);
}
