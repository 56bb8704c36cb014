using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>How deep the lowest part goes, in the trough of a wave, against the water that is there: (l + c) ÷ d.</summary>
/// <param name="deep">Water, m.</param>
/// <param name="lowest">Lowest part over still water, m; under it is negative.</param>
public sealed class BottomClears(RigSetting b, double deep, double lowest)
    : Check("base.bottom", StationId.Base, new("bottom"), "Strikes the bottom")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (down, crest) = (Math.Max(0, -lowest), b.Host.Motion.Crest(b.Rig.Run.Road));
        sheet?.Formula("({l} + {c}) ÷ {d}", "in the trough of a wave, which is as deep as its crest is high",
            "Stones, weed, wrecks; a bow that squats.")
            .Term("l", "lowest part under still water", down, Dimension.Length, "this rig's pieces, pole as lowered")
            .Term("c", "crest over still water", crest, Dimension.Length, "judgement, by the going")
                .Term("d", "water", deep, Dimension.Length, Origin.Measures);
        return Ratio(down + crest, deep);
    }
}
