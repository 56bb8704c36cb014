using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A stub that is lifted out of its holder: what pulls along it, against what keeps it.</summary>
/// <param name="axis">Out of the holder.</param>
/// <param name="keeps">N.</param>
internal sealed class StubLifts(RigBuilder b, SpringIndex spring, Vec3 axis, double keeps, string source)
    : Check("base-hold.lifts", StationId.Base, new("base-hold"), "Stub lifts out of its holder")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var up = Math.Max(0, -f.Spring(spring).Force.Dot(axis));
        sheet?.Formula("{k} × {N} ÷ {F}", "pull along the holder", "Sand and salt jam it, then it is loose when dry.")
            .Factor(b, FactorTable.Friction).Term("N", "lifted by", up, Dimension.Force).Term("F", "comes out at", keeps, Dimension.Force, source);
        return Ratio(factor * up, keeps);
    }
}

/// <summary>A stub that turns in its holder by its tape.</summary>
/// <param name="holds">N·m.</param>
internal sealed class StubTurns(RigBuilder b, SpringIndex spring, Vec3 axis, double holds)
    : Check("base-hold.turns", StationId.Base, new("base-hold"), "Stub turns in its holder")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var twist = Math.Abs(f.Spring(spring).Moment.Dot(axis));
        sheet?.Formula("{k} × {M} ÷ {T}", "friction of its tape at the rim", "A slot over the cross-pin ends it.")
            .Factor(b, FactorTable.Friction).Term("M", "about the stub", twist, Dimension.Torque)
            .Term("T", "turns at", holds, Dimension.Torque, "what draws it out, at half its width");
        return Ratio(factor * twist, holds);
    }
}

/// <summary>The flange of a holder in a thin deck under what bends the stub.</summary>
/// <param name="takes">N·m.</param>
internal sealed class HolderTears(RigBuilder b, SpringIndex spring, Vec3 axis, double takes)
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
