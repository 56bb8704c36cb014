using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>An elastic leg drawn as far as it goes: beyond it the cover carries, the leg is hard and its tension is not what its stretch
/// says.</summary>
/// <param name="line">Which of the three.</param>
public sealed class LegRange(PartId part, string title, HeldByLines held, int line) : Check(part + ".range", StationId.Base, part, title)
{
    /// <summary>Elastic cord doubles its length before its cover is drawn tight (judgement, 0.8–1.2).</summary>
    public const double Most = 1.0;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        if (held.In(f) is not { } at)
            return MostUse;
        var stretch = Math.Max(0, held.Stretch(line, at));
        sheet?.Formula("{s} ÷ {m}", "a point on elastic lines, hung anew in this case", "Old elastic goes less far.")
            .Term("s", "stretched by", stretch, Dimension.Ratio, "lines hung in this case")
            .Term("m", "goes as far as", Most, Dimension.Ratio, "judgement, 0.8–1.2");
        return Ratio(stretch, Most);
    }
}
