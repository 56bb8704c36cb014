using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A strut's rod that slips through the clamp at its end: k·N ≤ what the clamp holds along the rod.</summary>
public sealed class RodSlip(RigSetting b, StationId station, PartId id, BeamPiece piece, double holds)
    : Check(id + ".slips", station, id, "Rod slips through its clamp")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var n = Math.Abs(f.Beam(piece.Last, stackalloc double[12])[6]);
        sheet?.Formula("{k} × {N} ÷ {H}", "friction of the clamp along the rod", "Paint, oil, a tie instead of a clamp.")
            .Factor(b, FactorTable.Friction).Term("N", "force along the rod", n, Dimension.Force)
                .Term("H", "clamp holds", holds, Dimension.Force, "as you set it; 200–600 N, judgement");
        return Ratio(factor * n, holds);
    }
}
