using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A plate between its screws with a ball pressing on the rim of its hole: a strip as wide as the plate less the hole, the force in its
/// middle, F·s ÷ 4 over b·t² ÷ 6 (Roark, beam on two supports).
/// </summary>
/// <param name="apart">Screws, middle to middle, m.</param>
/// <param name="net">Width beside the hole, m.</param>
internal sealed class BallPlateBends(RigSetting b, StationId station, PartId id, SpringIndex spring, double closing, double apart,
    double net, double thick,
    Material of) : Check(id + ".plate", station, id, "Plate over the ball bends or splits")
{
    private readonly double factor = b.Factors[FactorTable.For(of.Family)];
    private readonly double strength = of.YieldStrength > 0 ? of.YieldStrength : of.UltimateStrength;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var force = closing + f.Spring(spring).Force.Length;
        var stress = force * apart / 4 / (net * thick * thick / 6);
        sheet?.Formula("{k} × ({F} × {s} ÷ 4 ÷ ({b} × {t}² ÷ 6)) ÷ {S}", "a strip between two screws (Roark, beams)",
            "Knots and laps in plywood; holes drilled too near the edge.")
            .Factor(b, FactorTable.For(of.Family)).Term("F", "screws, and what pulls at the ball", force, Dimension.Force)
            .Term("s", "screws apart", apart, Dimension.Length, Origin.Measures)
                .Term("b", "width beside the hole", net, Dimension.Length, Origin.Measures)
            .Term("t", "thickness", thick, Dimension.Length, Origin.Measures).Term("S", "strength", strength, Dimension.Stress, of.Source);
        return Ratio(factor * stress, strength);
    }
}
