using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A pin through two cheeks and a tongue between them, which is forked round a bolt above it: it carries the force and, with the fork at a
/// distance, the moment about it. Sheared in two planes, bent between its cheeks as a beam under even loads, and bearing in the cheeks
/// (Shigley ch. 8 and 3).
/// </summary>
/// <param name="spring">Pin to block.</param>
/// <param name="diameter">m.</param>
/// <param name="fork">From the pin to the bolt in the fork, m.</param>
/// <param name="cheek">Thickness of one, m, and what it is of.</param>
/// <param name="tongue">Thickness, m, and what it is of.</param>
internal sealed class PinHolds(RigSetting b, SpringIndex spring, double diameter, double fork, (double Thick, Material Of) cheek,
    (double Thick, Material Of) tongue) : Check("pin.shear", StationId.Base, new("pin"), "Pin gives, or its holes")
{
    private readonly double factor = b.Factors[FactorTable.Metal];
    private readonly double cheekFactor = b.Factors[FactorTable.For(cheek.Of.Family)];

    /// <summary>Pins on sale are of stainless 304 and better.</summary>
    private readonly Material steel = b.Stock.Material("stainless-304");

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var load = force.Length + moment.Length / fork;
        var area = Math.PI / 4 * diameter * diameter;
        var bending = load * (tongue.Thick + 2 * cheek.Thick) / 8 * 32 / (Math.PI * diameter * diameter * diameter);
        var shear = load / 2 / area;
        var own = Ratio(factor * Math.Sqrt(bending * bending + 3 * shear * shear), steel.YieldStrength);
        var bears = Ratio(cheekFactor * load / (2 * cheek.Thick * diameter), cheek.Of.YieldStrength);
        var tears = Ratio(factor * load / (tongue.Thick * diameter), tongue.Of.YieldStrength);
        if (own >= Math.Max(bears, tears))
            sheet?.Formula("{k} × √({B}² + 3 × ({P} ÷ 2 ÷ {A})²) ÷ {S}", "bending and two planes of shear, von Mises (Shigley ch. 3, 8)",
                "A pin bent once; a hole worn wide.")
                .Factor(b, FactorTable.Metal).Term("P", "force, and moment over the way to the fork", load, Dimension.Force)
                .Term("B", "bending between its cheeks", bending, Dimension.Stress,
                    "P × (tongue + both cheeks) ÷ 8 over its section modulus")
                .Term("A", "section of the pin", area, Dimension.Area, Origin.Measures)
                .Term("S", "yield of the pin", steel.YieldStrength, Dimension.Stress, steel.Source);
        else
        {
            var (k, thick, of) = bears >= tears ? (FactorTable.For(cheek.Of.Family), 2 * cheek.Thick, cheek.Of)
                : (FactorTable.Metal, tongue.Thick,
                tongue.Of);
            sheet?.Formula("{k} × {P} ÷ ({t} × {d}) ÷ {S}", "bearing of a pin in its holes (Shigley ch. 8)",
                "A hole near the edge; sun on plastic.")
                .Factor(b, k).Term("P", "force, and moment over the way to the fork", load, Dimension.Force)
                .Term("t", "thickness that bears", thick, Dimension.Length, Origin.Measures)
                    .Term("d", "pin", diameter, Dimension.Length, Origin.Measures)
                .Term("S", "yield", of.YieldStrength, Dimension.Stress, of.Source);
        }
        return Math.Max(own, Math.Max(bears, tears));
    }
}
