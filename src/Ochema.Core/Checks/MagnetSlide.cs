using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A magnet that slides: k·S ≤ μ·(P − N). Being pressed on by straps counts in.</summary>
public sealed class MagnetSlide(RigBuilder b, HoldSpot spot, int spring, MagnetGrip grip, SlideGroup group)
    : Check(spot.Id + ".slide", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} slides")
{
    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var mu = grip.Row.Friction;
        var (total, all) = group.Of(f);
        var own = mu * (grip.Pull - load.Pull);
        var share = all > 0 ? total * Math.Max(0, own) / all : total;
        sheet?.Formula("{k} × {S} ÷ ({μ} × ({P} − {N}))", "Coulomb friction on what pull is left", "Grit, wax and water under the pot.")
            .Factor(b, FactorTable.Magnet).Term("S", "its share of the slide along the panel", share, Dimension.Force)
            .Term("μ", "friction", mu, Dimension.Factor, "judgement: steel on paint 0.12–0.25, rubber 0.4–0.7").Magnet(grip)
            .Term("N", load.Pull < 0 ? "pull (negative: pressed on)" : "pull", load.Pull, Dimension.Force);
        return grip.Pull <= 0 ? MostUse : own <= 0 ? (total > 0 && all <= 1e-6 ? MostUse : 0) : Ratio(grip.Factor * share, own);
    }
}
