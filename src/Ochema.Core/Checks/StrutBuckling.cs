using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// A slender strut in compression, pinned at both ends: Euler π²EI/L² above the transition slenderness π√(2E/Y), Johnson's
/// parabola below (Shigley's Mechanical Engineering Design, ch. 4).
/// </summary>
public sealed class StrutBuckling(RigSetting b, StationId station, PartId id, BeamPiece piece)
    : Check(id + ".buckling", station, id, "Strut buckles")
{
    private readonly double factor = b.Factors[FactorTable.For(piece.Material.Family)];

    private readonly double critical = Critical(piece.Section, piece.Material, piece.Length);

    /// <summary>Critical load, N, of a pinned strut of length L, m.</summary>
    public static double Critical(Section s, Material m, double length)
    {
        var slenderness = length / s.RadiusOfGyration;
        return slenderness > Math.PI * Math.Sqrt(2 * m.YoungsModulus / m.YieldStrength)
            ? Math.PI * Math.PI * m.YoungsModulus * Math.Min(s.Iy, s.Iz) / (length * length)
            : s.Area * m.YieldStrength * (1 - m.YieldStrength * slenderness * slenderness / (4 * Math.PI * Math.PI * m.YoungsModulus));
    }

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var compression = 0.0;
        Span<double> room = stackalloc double[12];
        for (var i = piece.First.Value; i < piece.First.Value + piece.Count; i++)
        {
            var e = f.Beam(new(i), room);
            compression = Math.Max(compression, Math.Max(e[0], -e[6]));
        }
        var name = FactorTable.For(piece.Material.Family);
        sheet?.Formula("{k} × {C} ÷ {P}", "Euler or Johnson, pinned ends (Shigley ch. 4)", "A strut bent on the way there.")
            .Factor(b, name).Term("C", "compression", compression, Dimension.Force)
            .Term("P", "critical load", critical, Dimension.Force, $"{piece.Length * 1000:0} mm long; {piece.Material.Source}");
        return Ratio(factor * compression, critical);
    }
}
