using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;

namespace Ochema.Core.Checks;

/// <summary>A screw that is drawn too tight: T ÷ (K·d) against proof load and stripping. Below that it is how tight it is, no
/// use.</summary>
internal sealed class JointTightening(ScrewJoint joint)
    : Check(joint.Id + ".tight", joint.Station, new(joint.Id), $"{Words.Capital(joint.Title)} is over-tightened")
{
    private readonly double strip = joint.StripLoad;
    private readonly double wall = joint.WallBears;

    public override bool Fixed => true;

    public override CheckSort Sort => CheckSort.Tightening;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var page = sheet?.Formula(double.IsFinite(wall) ? "{T} ÷ ({K} × {d}) ÷ min({W}, min({S}, {P}))"
            : "{T} ÷ ({K} × {d}) ÷ min({S}, {P})",
            "T = K·F·d (Shigley ch. 8)",
            "Oil on the thread: the same torque draws it half as tight again.")
            .Term("T", "tightened with", joint.TightenedWith, Dimension.Torque, joint.Torque is null ? "what goes with its means"
                : "as set for this joint")
            .Term("K", "nut factor, dry", Threads.NutFactor, Dimension.Factor, "Shigley ch. 8")
                .Term("d", "screw", joint.Thread.MajorDiameter, Dimension.Length, joint.Thread.Source)
            .Term("S", "thread strips at", strip, Dimension.Force,
                $"{joint.Engagement * 1000:0.0} mm engaged, shear areas of FED-STD-H28/2")
                .Term("P", "proof load", joint.Thread.ProofLoad, Dimension.Force, joint.Thread.Source);
        if (double.IsFinite(wall))
            page?.Term("W", "tube's wall dents at", wall, Dimension.Force, joint.Sleeved ? "sleeve round the screw, against yield"
                : "yield lines of its face, EN 1993-1-8 section 7 (from memory)");
        return Ratio(joint.Tightened, Math.Min(wall, Math.Min(strip, joint.Thread.ProofLoad)));
    }
}

