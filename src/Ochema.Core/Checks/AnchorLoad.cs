using Ochema.Core.Hosts;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>What a strap ends at: k·T ≤ what it holds, usual or pulled on; where nobody knows, it is asked.</summary>
public sealed class AnchorLoad(RigBuilder b, PartId part, Strap strap, StationId station, LineIndex line, Anchor anchor)
    : Check(part + ".anchor", station, part, $"{anchor.Name} gives")
{
    private readonly double factor = b.Factors[FactorTable.Bolt];

    /// <summary>Taken where nothing is known, N: what a hand pulls with (judgement).</summary>
    internal const double Unknown = 200;

    public override CheckSort Sort => strap.AnchorHolds is null && anchor.Holds is null ? CheckSort.Service : CheckSort.Strength;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (t, holds) = (f.Tension(line), strap.AnchorHolds ?? anchor.Holds ?? Unknown);
        sheet?.Formula("{k} × {T} ÷ {H}", "force balance", "Rust, a clip instead of a fold.")
            .Factor(b, FactorTable.Bolt).Term("T", "tension", t, Dimension.Force)
            .Term("H", "it holds", holds, Dimension.Force, strap.AnchorHolds is { } own ? Taken.Origin(b.Rig, "your pull", "anchorHolds", own)
                : anchor.Holds is null ? "not known: pull on it with a scale, or ask" : "judgement, 0.5–2 ×");
        return Ratio(factor * t, holds);
    }
}
