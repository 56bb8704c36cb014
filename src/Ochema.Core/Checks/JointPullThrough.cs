using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// A head, nut or washer pulled through wood or thin sheet: k·N against punching, π·D·t·τ; of a tube its wall alone, and its face, which
/// gives first (<see cref="HollowWall.Yields"/>).
/// </summary>
/// <param name="under">Width of what presses on it, m.</param>
/// <param name="name">Last part of its id: the head's end or the nut's.</param>
internal sealed class JointPullThrough(RigSetting b, ScrewJoint joint, StackLayer sheet, double under, string name)
    : Check($"{joint.Id}.{name}", joint.Station, new(joint.Id),
        $"{Words.Capital(joint.Title)} pulls through the {Words.Inside(sheet.Name)}")
{
    private readonly Material material = b.Stock.Material(sheet.Material);
    private readonly double factor = b.Factors[FactorTable.For(b.Stock.Material(sheet.Material).Family)];
    private readonly double tau = Threads.SheetShear(b.Stock.Material(sheet.Material)) * b.Stock.Material(sheet.Material).UltimateStrength;

    public override double Use(CaseForces f, Worksheet? page = null)
    {
        var (pull, _) = joint.Share(f);
        var thickness = sheet.Hollow?.Wall ?? sheet.Thickness;
        var face = sheet.Hollow?.Yields(under, material.YieldStrength) ?? double.PositiveInfinity;
        page?.Formula(double.IsFinite(face) ? "{k} × {N} ÷ min(π × {D} × {t} × {τ}, {Y})" : "{k} × {N} ÷ (π × {D} × {t} × {τ})",
                "punching round the washer", "A hole near the edge; wood that is wet.")
            .Factor(b, FactorTable.For(material.Family)).Term("N", "pull on one screw", pull, Dimension.Force)
            .Term("D", "washer or head across", under, Dimension.Length, "washer or head as listed")
            .Term("t", sheet.Hollow is null ? "thickness" : "wall of the tube", thickness, Dimension.Length, Origin.Measures)
            .Term("τ", "strength in shear", tau, Dimension.Stress, material.Source);
        if (double.IsFinite(face))
            page?.Term("Y", "its face gives at", face, Dimension.Force, "yield lines, EN 1993-1-8 section 7 (from memory)");
        return Ratio(factor * pull, Math.Min(face, Math.PI * under * thickness * tau));
    }
}
