using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>Axial force, bending, shear and torsion of a piece against yield (von Mises).</summary>
/// <param name="net">What is left of its section where it is drilled and bent most; null where it is whole there.</param>
public class SectionStrength(RigSetting b, StationId station, PartId id, string title, BeamPiece piece, Section? net = null)
    : Check(id + ".strength", station, id, title)
{
    private readonly string factorName = FactorTable.For(piece.Material.Family);
    private readonly double factor = b.Factors[FactorTable.For(piece.Material.Family)];
    private readonly (double Y, double Z, double Torsion, double Area) per =
        (1 / (net ?? piece.Section).ModulusY, 1 / (net ?? piece.Section).ModulusZ, 1 / (net ?? piece.Section).TorsionModulus, 1
            / (net ?? piece.Section).Area);

    private readonly double warm = Warm(piece.Material, b.Rig.Run.Skin);

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (squared, at) = (0.0, (N: 0.0, V: 0.0, T: 0.0, M: 0.0, Sigma: 0.0, Tau: 0.0));
        var s = net ?? piece.Section;
        Span<double> room = stackalloc double[12];
        for (var i = piece.First.Value; i < piece.First.Value + piece.Count; i++)
        {
            var e = f.Beam(new(i), room);
            for (var end = 0; end < 12; end += 6)
            {
                var (n, vy, vz, t, my, mz) = (Math.Abs(e[end]), e[end + 1], e[end + 2], Math.Abs(e[end + 3]), Math.Abs(e[end + 4]),
                    Math.Abs(e[end + 5]));
                var v = Math.Sqrt(vy * vy + vz * vz);
                // Round sections bend about one resultant; others add their corners.
                var bending = s.Round ? Math.Sqrt(my * my + mz * mz) * per.Y : my * per.Y + mz * per.Z;
                var sigma = n * per.Area + bending;
                var tau = t * per.Torsion + 2 * v * per.Area;
                var mises = sigma * sigma + 3 * tau * tau;
                if (mises > squared)
                {
                    squared = mises;
                    if (sheet is not null)
                        at = (n, v, t, Math.Sqrt(my * my + mz * mz), sigma, tau);
                }
            }
        }
        var strength = warm * piece.Material.YieldStrength;
        sheet?.Formula("{k} × √({σ}² + 3 × {τ}²) ÷ {Y}", "N/A + M/W with torsion and shear, von Mises (Roark's Formulas for Stress and "
            + "Strain)", net is null ? "Holes, threads and welds in the piece; fatigue." : "Threads and welds in the piece; fatigue.")
            .Factor(b, factorName).Term("σ", "stress along", at.Sigma, Dimension.Stress).Term("τ", "shear stress", at.Tau, Dimension.Stress)
            .Term("Y", "yield strength", strength, Dimension.Stress, warm < 1
                ? $"{piece.Material.Source}; {warm:0.00} of it in the heat, judgement" : piece.Material.Source)
            .Term("M", "bending moment there", at.M, Dimension.Torque).Term("N", "axial force there", at.N, Dimension.Force);
        return Ratio(factor * Math.Sqrt(squared), strength);
    }

    /// <summary>Share of its strength that a plastic keeps at a temperature, K: 1.2 % a kelvin lost above 23 °C, a fifth at the least
    /// (judgement, 0.8–1.6 %).</summary>
    public static double Warm(Material m, double temperature) =>
        m.Family == MaterialFamily.Plastic ? Math.Clamp(1 - 0.012 * (temperature - 296.15), 0.2, 1) : 1;
}
