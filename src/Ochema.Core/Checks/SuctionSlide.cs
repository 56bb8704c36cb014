using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A cup that slides: pull and slide act together, k_p·N + k_s·S/μ ≤ F.</summary>
public sealed class SuctionSlide(RigBuilder b, HoldSpot spot, int spring, Suction suction, SlideGroup group)
    : Check(spot.Id + ".slide", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} slides")
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var n = Math.Max(0, load.Pull);
        var (total, grip) = group.Of(f);
        var share = grip > 0 ? total * suction.Force * suction.Friction / grip : 0;
        var (pull, slide) = (b.Factors[FactorTable.SuctionPull], b.Factors[FactorTable.SuctionSlide]);
        sheet?.Formula("({k} × {N} + {ks} × {S} ÷ {μ}) ÷ {F}", "pull and slide together; factors 2 and 4 after common vacuum-lifting practice (EN 13155)", "Leak-down after pumping; being pressed on is not counted in.")
            .Factor(b, FactorTable.SuctionPull).Term("N", "pull", n, Dimension.Force)
            .Term("ks", "required factor for sliding", slide, Dimension.Factor, b.Factors.Reason(FactorTable.SuctionSlide))
            .Term("S", "its share of the slide along the panel", share, Dimension.Force)
            .Term("μ", "friction under the lip", suction.Friction, Dimension.Factor, "judgement by surface, 0.15–0.6").Suction(suction);
        return Ratio(pull * n + slide * share / suction.Friction, suction.Force);
    }
}
