using Ochema.Core.Hosts;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>What a strap ends at: k·T ≤ what it holds, usual or pulled on. Where nobody knows, it is asked
/// (<see cref="RigBuilder.Unmeasured"/>).</summary>
public sealed class AnchorLoad(RigSetting b, PartId part, Strap strap, StationId station, LineIndex line, Anchor anchor, double holds)
    : Check(part + ".anchor", station, part, $"{anchor.Name} gives")
{
    private readonly double factor = b.Factors[FactorTable.Bolt];

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var t = f.Tension(line);
        sheet?.Formula("{k} × {T} ÷ {H}", "force balance", "Rust, a clip instead of a fold.")
            .Factor(b, FactorTable.Bolt).Term("T", "tension", t, Dimension.Force)
            .Term("H", "it holds", holds, Dimension.Force, strap.AnchorHolds is { } own
                ? Taken.Origin(b.Rig, "your pull", "anchorHolds", own)
                : "judgement, 0.5–2 ×");
        return Ratio(factor * t, holds);
    }
}
