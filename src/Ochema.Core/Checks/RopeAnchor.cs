using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>What both ropes together pull an anchor with, against what it holds: k·R ≤ H.</summary>
/// <param name="holds">N.</param>
public sealed class RopeAnchor(RigSetting b, IReadOnlyList<HungRope> ropes, double holds)
    : Check("base.ends", StationId.Base, new("anchors"), "An anchor gives")
{
    private readonly double factor = b.Factors[FactorTable.Bolt];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (near, far) = (Vec3.Zero, Vec3.Zero);
        foreach (var rope in ropes)
        {
            if (f.IsGone(rope.Id))
                continue;
            if (rope.In(f) is not { } hung)
                return MostUse;
            (near, far) = (near + hung.Start, far + hung.End);
        }
        var pull = Math.Max(near.Length, far.Length);
        sheet?.Formula("{k} × {R} ÷ {H}", "what the ropes put on their ends, hung in this case",
            "A dead trunk, wet ground round a post, a sling that slides down.")
            .Factor(b, FactorTable.Bolt).Term("R", "pull of the ropes", pull, Dimension.Force, "ropes hung in this case")
            .Term("H", "it holds", holds, Dimension.Force, Taken.Origin(b.Rig, "your pull, or known", "endsHold", holds));
        return Ratio(factor * pull, holds);
    }
}
