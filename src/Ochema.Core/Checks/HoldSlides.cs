using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A cup or a magnet that slides or twists: pull, slide and twist act together and the factors are on all of it, k·N + k_s·S/μ ≤ P + Q,
/// with S its share of what its group has to take, twist over the friction's radius included (<see cref="SlideGroup"/>).
/// </summary>
public sealed class HoldSlides(RigSetting b, HoldSpot spot, SpringIndex spring, HoldGrasp grasp, SlideGroup group)
    : Check(spot.Id + ".slide", spot.Station, spot.Id, $"{Words.Capital(spot.Label)} slides or twists")
{
    private readonly (double Pull, double Slide) factor = (b.Factors[grasp.PullFactor], b.Factors[grasp.SlideFactor]);

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var load = f.Hold(spring, spot.Normal);
        var (total, all, twist) = group.Of(f);
        var own = grasp.Slide(load, factor.Pull);
        // With nothing left to any of them the pull is past its limit already; this one takes what comes.
        var share = all > 0 ? total * own / all : total;
        sheet?.Formula("({k} × {N} + {ks} × {S} ÷ {μ}) ÷ ({P} + {Q})", "pull, slide and twist together, Coulomb friction; "
            + grasp.Practice, grasp.LeavesOut)
            .Factor(b, grasp.PullFactor).Term("N", "pull", load.Off, Dimension.Force)
            .Term("ks", "required factor for sliding", factor.Slide, Dimension.Factor, b.Factors.Reason(grasp.SlideFactor))
            .Term("S", $"its share of the slide along the panel{(twist > 0 ? ", twist over the friction's radius included" : "")}", share,
                Dimension.Force)
            .Term("μ", "friction", grasp.Friction, Dimension.Factor, grasp.FrictionSource)
            .Term("P", grasp.Name, grasp.Holding, Dimension.Force, grasp.Source).Term("Q", "pressed on by", load.On, Dimension.Force)
            .Term("Mn", "twist of its group, or its own", twist, Dimension.Torque);
        return grasp.Holding <= 0 ? MostUse : Ratio(factor.Pull * load.Off + factor.Slide * share / grasp.Friction, grasp.Holding
            + load.On);
    }
}
