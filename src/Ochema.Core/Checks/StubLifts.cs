using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>A stub that is lifted out of its holder: what pulls along it, against what keeps it.</summary>
/// <param name="axis">Out of the holder.</param>
/// <param name="keeps">N.</param>
internal sealed class StubLifts(RigSetting b, SpringIndex spring, Vec3 axis, double keeps, string source)
    : Check("base-hold.lifts", StationId.Base, new("base-hold"), "Stub lifts out of its holder")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var up = Math.Max(0, -f.Spring(spring).Force.Dot(axis));
        sheet?.Formula("{k} × {N} ÷ {F}", "pull along the holder", "Sand and salt jam it, then it is loose when dry.")
            .Factor(b, FactorTable.Friction).Term("N", "lifted by", up, Dimension.Force)
                .Term("F", "comes out at", keeps, Dimension.Force, source);
        return Ratio(factor * up, keeps);
    }
}
