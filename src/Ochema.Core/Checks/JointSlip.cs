using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>A joint that slides or opens: k·S ≤ μ·(F − N).</summary>
internal sealed class JointSlip(RigSetting b, ScrewJoint joint) : Check(joint.Id + ".slip", joint.Station, new(joint.Id),
    $"{Words.Capital(joint.Title)} slips or opens")
{
    private readonly double factor = b.Factors[FactorTable.Friction];
    private readonly double preload = joint.Preload;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (pull, slide) = joint.Share(f);
        sheet?.Formula("({k} × {N} + {k} × {S} ÷ {μ}) ÷ {F}", "separation and Coulomb friction on the preload",
            "A hole that lets the screw bear on its side: counted as slipped.")
            .Factor(b, FactorTable.Friction).Term("N", "pull on one screw", pull, Dimension.Force)
                .Term("S", "slide on one screw", slide, Dimension.Force)
            .Term("μ", "friction of the faces", joint.Friction, Dimension.Factor, "judgement, 0.1–0.5")
                .Term("F", "preload", preload, Dimension.Force, joint.Torque is null ? "what goes with its means"
                    : "as set for this joint");
        return Ratio(factor * (pull + slide / joint.Friction), preload);
    }
}

