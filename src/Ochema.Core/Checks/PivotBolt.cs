using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// The bolt of a friction pivot in tension: what draws the faces together, and what bends them apart over half their width, whichever
/// closes it: k·(F + N + 2M/w) ≤ proof.
/// </summary>
/// <param name="drawn">Force that closes the pivot, N.</param>
/// <param name="width">Of the faces, m.</param>
public sealed class PivotBolt(RigSetting b, StationId station, PartId id, string title, SpringIndex spring, Vec3 axis, Fastener thread,
    double drawn, double width)
    : Check(id + ".bolt", station, id, title)
{
    private readonly double factor = b.Factors[FactorTable.Bolt];

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        var (pull, bend) = (Math.Abs(force.Dot(axis)), moment.PerpendicularTo(axis).Length);
        sheet?.Formula("{k} × ({F} + {N} + 2 × {M} ÷ {w}) ÷ ({Rp} × {As})", "faces bent apart hang on the bolt over half their width",
            "Bending of the bolt itself where washers are thick.")
            .Factor(b, FactorTable.Bolt).Term("F", "drawn together by", drawn, Dimension.Force,
                "friction torque over the washers' friction and radius")
            .Term("N", "along the bolt", pull, Dimension.Force).Term("M", "bends the pivot", bend, Dimension.Torque)
            .Term("w", "width of the faces", width, Dimension.Length, Origin.Measures).Term("Rp", "proof stress", thread.ProofStress,
                Dimension.Stress, thread.Source)
            .Term("As", "stress area", thread.StressArea, Dimension.Area, thread.Source);
        return Ratio(factor * (drawn + pull + 2 * bend / width), thread.ProofStress * thread.StressArea);
    }
}
