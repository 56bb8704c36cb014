using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// The corner of a wooden box: two screws into the edge of a board, drawn by the moment over half the board's thickness and by the force
/// along them. One screw draws out at 108·G²·D·L (N, mm; Wood Handbook FPL-GTR-190, eq. 8-6), three quarters of it in an edge. Glue is on
/// top of it and not counted.
/// </summary>
/// <param name="load">Force and moment at the corner.</param>
/// <param name="thick">Of the board, m.</param>
public sealed class CornerHolds(
    RigSetting b, StationId station, PartId id, string title, Func<CaseForces, (Vec3 Force, Vec3 Moment)> load, double thick, Material wood)
    : Check(id + ".corner", station, id, title)
{
    private const int Screws = 2;

    /// <summary>A wood screw 4 × 40 mm through a board of some 12 mm: its diameter and thread in the other board, mm.</summary>
    private const double Diameter = 4;
    private const double Depth = 28;

    /// <summary>Share that an edge holds of what a face does (Wood Handbook, from memory: end grain three quarters).</summary>
    private const double Edge = 0.75;

    private readonly double factor = b.Factors[FactorTable.Wood];

    /// <summary>A screw draws out at, N.</summary>
    /// <param name="density">Of the wood, kg/m³.</param>
    public static double Withdraws(double density) => 108.25 * Math.Pow(density / 1000, 2) * Diameter * Depth * Edge;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = load(f);
        var (holds, lever) = (Screws * Withdraws(wood.Density), thick / 2);
        sheet?.Formula("{k} × ({F} + {M} ÷ {l}) ÷ {H}", "Wood Handbook, FPL-GTR-190, withdrawal of wood screws",
            "Edges that split for want of a pilot hole; damp.")
            .Factor(b, FactorTable.Wood).Term("F", "force at the corner", force.Length, Dimension.Force)
            .Term("M", "moment at the corner", moment.Length, Dimension.Torque)
            .Term("l", "half the board", lever, Dimension.Length, Origin.Measures)
            .Term("H", "two screws hold", holds, Dimension.Force, $"4 × 40 mm in an edge of {Words.Inside(wood.Name)}");
        return Ratio(factor * (force.Length + moment.Length / lever), holds);
    }
}
