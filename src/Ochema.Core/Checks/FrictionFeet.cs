using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// All holds gone: the rig stays where its straps press it, k·|ΣS| ≤ Σμ·N over all feet together (one foot may creep while the others
/// stay).
/// </summary>
public sealed class FrictionFeet(RigSetting b, IReadOnlyList<FrictionFoot> feet)
    : Check("feet.friction", StationId.Base, new("feet"), "The rig slides under its straps")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var slide = Vec3.Zero;
        var (grip, press) = (0.0, 0.0);
        foreach (var foot in feet)
        {
            slide += f.Spring(foot.Spring).Force.PerpendicularTo(foot.Spot.Normal);
            var n = 0.0;
            foreach (var p in foot.Pads)
                n -= f.Tension(p);
            grip += foot.Friction * n;
            press += n;
        }
        sheet?.Formula("{k} × {S} ÷ {G}", "Coulomb friction over all feet", "Wet paint; a strap that works loose.")
            .Factor(b, FactorTable.Friction).Term("S", "slide left to friction", slide.Length, Dimension.Force)
            .Term("G", "friction of all feet", grip, Dimension.Force, "judgement by surface")
                .Term("N", "pressed on by straps and weight", press, Dimension.Force);
        return slide.Length < 1e-6 ? 0 : Ratio(factor * slide.Length, grip);
    }
}
