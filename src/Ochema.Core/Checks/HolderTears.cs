using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>The flange of a holder in a thin deck under what bends the stub.</summary>
/// <param name="takes">N·m.</param>
internal sealed class HolderTears(RigSetting b, SpringIndex spring, Vec3 axis, double takes)
    : Check("holder.flange", StationId.Site, new("base-hold"), "Holder tears in the deck")
{
    private readonly double factor = b.Factors[FactorTable.Plastic];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var bends = f.Spring(spring).Moment.PerpendicularTo(axis).Length;
        sheet?.Formula("{k} × {M} ÷ {C}", "moment at the rim", "Screws in thin deck, no backing; sun on the moulding.")
            .Factor(b, FactorTable.Plastic).Term("M", "bends at the rim", bends, Dimension.Torque)
            .Term("C", "flange takes", takes, Dimension.Torque, "judgement, 30–80 N·m");
        return Ratio(factor * bends, takes);
    }
}
