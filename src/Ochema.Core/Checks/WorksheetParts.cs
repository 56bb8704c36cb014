using Ochema.Core.Quantities;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>Lines that several workings share.</summary>
internal static class WorksheetParts
{
    public static Worksheet Factor(this Worksheet s, RigBuilder b, string name) =>
        s.Term("k", "required factor", b.Factors[name], Dimension.Factor, b.Factors.Reason(name));

    public static Worksheet Suction(this Worksheet s, Suction c) => s
        .Term("F", "vacuum force", c.Force, Dimension.Force, $"vacuum × lip area × seal {c.Seal:0.##}; {c.VacuumSource}");

    public static Worksheet Magnet(this Worksheet s, MagnetGrip g) => s.Term("P", "pull left on this panel", g.Pull, Dimension.Force, g.Source);
}

/// <summary>Small help with wording.</summary>
internal static class Words
{
    public static string Capital(string s) => s.Length == 0 ? s : char.ToUpperInvariant(s[0]) + s[1..];
}
