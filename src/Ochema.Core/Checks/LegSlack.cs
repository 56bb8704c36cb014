using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A leg that goes slack: the bracket is free to swing that way until it draws again.</summary>
/// <param name="line">Which of the three.</param>
/// <param name="atRest">Its tension at rest, N.</param>
public sealed class LegSlack(PartId part, string title, HeldByLines held, int line, double atRest)
    : Check(part + ".slack", StationId.Base, part, title)
{
    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (rest, now) = (atRest, held.In(f) is { } at ? held.Line(line, at).Tension : 0);
        sheet?.Formula("max({R} − {T}, {o}) ÷ {R}", "a point on elastic lines, hung anew in this case",
            "Flutter of a leg that is nearly slack.")
            .Term("R", "tension at rest", rest, Dimension.Force, "lines hung at rest")
                .Term("T", "tension", now, Dimension.Force, "lines hung in this case")
            .Term("o", "none", 0, Dimension.Force, Origin.Follows);
        return Ratio(Math.Max(rest - now, 0), rest);
    }
}
