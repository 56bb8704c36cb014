using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Rigs;

/// <summary>Lines that several workings share.</summary>
internal static class WorksheetParts
{
    public static Worksheet Factor(this Worksheet s, RigSetting b, string name) =>
        s.Term("k", "required factor", b.Factors[name], Dimension.Factor, b.Factors.Reason(name));
}
