using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// Something that is pressed on its place and slides or twists there: k·(N + (S + M_n/ρ)/μ) ≤ P + Q, the factor on the pull too; lifted
/// off, it has nothing.
/// </summary>
/// <param name="pressing">What presses it on by itself, N; 0 for what stands by its weight only.</param>
/// <param name="twistRadius">Radius at which friction acts against a twist, m.</param>
/// <param name="drawn">Where what presses it draws it along its place, N: a strap round what tapers, towards its thin end. It counts where
/// it adds.</param>
public sealed class HoldSlide(RigSetting b, HoldSpot spot, SpringIndex spring, string title, double pressing, double friction,
    double twistRadius, string source, Vec3 drawn = default)
    : Check(spot.Id + ".slide", spot.Station, spot.Id, title)
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var slide = drawn == Vec3.Zero ? load.Slide
            : Math.Max(load.Slide, (drawn - f.Spring(spring).Force.PerpendicularTo(spot.Normal)).Length);
        sheet?.Formula("{k} × ({N} + ({S} + {Mn} ÷ {ρ}) ÷ {μ}) ÷ ({P} + {Q})", "Coulomb friction, pull, slide and twist together",
            "Wet, dust and oil.")
            .Factor(b, FactorTable.Friction).Term("N", "pull", load.Off, Dimension.Force)
            .Term("S", drawn == Vec3.Zero ? "slide" : "slide, with what its strap draws it along the taper", slide, Dimension.Force)
            .Term("Mn", "twist", load.Twist, Dimension.Torque)
                .Term("ρ", "radius of its friction", twistRadius, Dimension.Length, "two thirds of half its width, even pressure")
            .Term("μ", "friction", friction, Dimension.Factor, "judgement by surface")
            .Term("P", "pressing force", pressing, Dimension.Force, source)
                .Term("Q", "weight and straps press it on by", load.On, Dimension.Force);
        return Ratio(factor * (load.Off + (slide + load.Twist / twistRadius) / friction), pressing + load.On);
    }
}
