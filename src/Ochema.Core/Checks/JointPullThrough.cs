using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>A head or washer pulled through wood or thin sheet: k·N against punching, π·D·t·τ.</summary>
internal sealed class JointPullThrough(RigBuilder b, ScrewJoint joint, StackLayer sheet, double under)
    : Check(joint.Id + ".through", joint.Station, new(joint.Id), $"{Words.Capital(joint.Title)} pulls through the {Words.Inside(sheet.Name)}")
{
    private readonly Material material = b.Stock.Material(sheet.Material);
    private readonly double factor = b.Factors[FactorTable.For(b.Stock.Material(sheet.Material).Family)];
    private readonly double tau = Threads.SheetShear(b.Stock.Material(sheet.Material)) * b.Stock.Material(sheet.Material).UltimateStrength;

    public override double Use(CaseForces f, Worksheet? page = null)
    {
        var (pull, _) = joint.Share(f);
        page?.Formula("{k} × {N} ÷ (π × {D} × {t} × {τ})", "punching round the washer", "A hole near the edge; wood that is wet.")
            .Factor(b, FactorTable.For(material.Family)).Term("N", "pull on one screw", pull, Dimension.Force)
            .Term("D", "washer or head across", under, Dimension.Length, "washer or head as listed")
            .Term("t", "thickness", sheet.Thickness, Dimension.Length, Origin.Measures).Term("τ", "strength in shear", tau, Dimension.Stress, material.Source);
        return Ratio(factor * pull, Math.PI * under * sheet.Thickness * tau);
    }
}
