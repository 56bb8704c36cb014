using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A hold that slides on its face: k·S ≤ μ·(pressing force − pull).</summary>
public sealed class HoldSlide(RigBuilder b, HoldSpot spot, int spring, string title, double pressing, double friction, string source)
    : Check(spot.Id + ".slide", spot.Station, spot.Id, title)
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        sheet?.Formula("{k} × {S} ÷ ({μ} × ({P} − {N}))", "Coulomb friction", "Wet, dust and oil.")
            .Factor(b, FactorTable.Friction).Term("S", "slide", load.Slide, Dimension.Force).Term("μ", "friction", friction, Dimension.Factor, "judgement by surface")
            .Term("P", "pressing force", pressing, Dimension.Force, source).Term("N", load.Pull < 0 ? "pull (negative: pressed on)" : "pull", load.Pull, Dimension.Force);
        return Ratio(b.Factors[FactorTable.Friction] * load.Slide, friction * (pressing - load.Pull));
    }
}
