using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>How deep the lowest part hangs in a case, against the height that it hangs at over the crests: (d + h) ÷ (z − c).</summary>
/// <param name="high">Upper shackle over still water, m.</param>
/// <param name="hangs">Lowest part below the bracket, m.</param>
public sealed class BridleDroops(RigSetting b, HeldByLines held, double high, double hangs)
    : Check("base.droops", StationId.Base, new("bracket"), "Droops into the waves")
{
    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        if (held.In(f) is not { } at)
            return MostUse;
        var (crest, below) = (b.Host.Motion.Crest(b.Rig.Run.Road), hangs);
        sheet?.Formula("({d} + {h}) ÷ ({z} − {c})", "a point on elastic lines, hung anew in this case", "Spray reaches it long before.")
            .Term("d", "below the upper shackle", high - at.Z, Dimension.Length, "lines hung in this case")
            .Term("h", "hangs below the bracket", below, Dimension.Length, "this rig's pieces")
            .Term("z", "shackle over the water", high, Dimension.Length, Origin.Measures)
            .Term("c", "crest of a wave", crest, Dimension.Length, "judgement, by the going");
        return Ratio(high - at.Z + below, high - crest);
    }
}
