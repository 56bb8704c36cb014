using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A board hung by two pulleys near its ends and loaded in its middle: k·(P ÷ 2 + M ÷ d)·(d ÷ 2) ÷ W ≤ σ, less the bolt's hole in
/// its middle.</summary>
/// <param name="apart">Pulleys apart, m.</param>
public sealed class BoardBends(RigSetting b, HungRope rope, string title, double apart, Section net, Material wood)
    : Check(rope.Id + ".board", StationId.Base, rope.Id, title)
{
    private readonly double factor = b.Factors[FactorTable.For(wood.Family)];

    public override SpringIndex? Joint => rope.Spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = (rope.LoadOf(f).Length, f.Spring(rope.Spring).Moment);
        var bend = (force / 2 + Math.Abs(moment.Y) / apart) * apart / 2;
        sheet?.Formula("{k} × {S} ÷ {Y}", "a beam on two pulleys (Roark table 8.1)", "Knots in the timber.")
            .Factor(b, FactorTable.For(wood.Family)).Term("P", "carried by its rope", force, Dimension.Force)
            .Term("M", "nodding of the carriage", Math.Abs(moment.Y), Dimension.Torque)
                .Term("d", "pulleys apart", apart, Dimension.Length, Origin.Measures)
            .Term("S", "bends it, at its bolt's hole", bend / net.ModulusY, Dimension.Stress, Origin.Follows)
            .Term("Y", "strength", wood.YieldStrength, Dimension.Stress, wood.Source);
        return Ratio(factor * bend, net.ModulusY * wood.YieldStrength);
    }
}
