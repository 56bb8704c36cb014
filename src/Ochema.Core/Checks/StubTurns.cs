using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

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
