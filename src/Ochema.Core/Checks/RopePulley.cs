using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>The pulley that carries most: half of what its rope carries, and the couple of the two, against what it is stamped
/// with.</summary>
/// <param name="apart">Two pulleys of one rope, axle to axle, m.</param>
/// <param name="stamped">Working load of one, N.</param>
public sealed class RopePulley(HungRope rope, string title, double apart, double stamped)
    : Check(rope.Id + ".pulley", StationId.Base, rope.Id, title)
{
    public override SpringIndex? Joint => rope.Spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = (rope.LoadOf(f), f.Spring(rope.Spring).Moment);
        var most = force.Length / 2 + Math.Abs(moment.Y) / apart;
        sheet?.Formula("({P} ÷ 2 + {M} ÷ {d}) ÷ {W}", "two pulleys on one rope; a working load has its factor in it",
            "A pulley drawn askew; sand in its bearing.")
            .Term("P", "carried by its rope", force.Length, Dimension.Force)
                .Term("M", "nodding of the carriage", Math.Abs(moment.Y), Dimension.Torque)
            .Term("d", "pulleys apart", apart, Dimension.Length, Origin.Measures)
                .Term("W", "working load of one", stamped, Dimension.Force, Origin.Measures);
        return Ratio(most, stamped);
    }
}
