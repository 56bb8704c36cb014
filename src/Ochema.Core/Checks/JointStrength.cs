using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>
/// The screw and its thread: what is left above its preload for the part of the pull that a closed joint passes on, and all of the pull
/// once it has opened, against proof load and stripping, the smaller of the two (Shigley's Mechanical Engineering Design, ch. 8). Its
/// preload is its tightening, not a use (<see cref="JointTightening"/>).
/// </summary>
internal sealed class JointStrength(RigSetting b, ScrewJoint joint) : Check(joint.Id + ".strength", joint.Station, new(joint.Id),
    $"{Words.Capital(joint.Title)} tears its thread")
{
    /// <summary>Share of the pull that the screw of a closed joint sees (judgement, 0.1–0.3).</summary>
    private const double LoadShare = 0.2;
    private readonly double strip = joint.StripLoad;

    private readonly string factorName = FactorNameOf(joint);
    private readonly double factor = b.Factors[FactorNameOf(joint)];
    private readonly double preload = joint.Preload;
    private readonly double holds = Math.Min(joint.StripLoad, joint.Thread.ProofLoad);

    /// <summary>A screw's own; where its thread tears out of wood or plastic first, that material's.</summary>
    private static string FactorNameOf(ScrewJoint joint) =>
        joint.StripLoad < joint.Thread.ProofLoad && joint.ThreadIn is { Family: not MaterialFamily.Metal } soft
            ? FactorTable.For(soft.Family) : FactorTable.Bolt;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (pull, _) = joint.Share(f);
        sheet?.Formula("max({k} × {C} × {N} ÷ ({H} − {F}), {k} × {N} ÷ {H})", "joint closed, then opened (Shigley ch. 8)",
            "A worn or crossed thread.")
            .Factor(b, factorName).Term("C", "share of the pull that reaches the screw", LoadShare, Dimension.Ratio, "judgement, 0.1–0.3")
            .Term("N", "pull on one screw", pull, Dimension.Force)
                .Term("H", strip < joint.Thread.ProofLoad ? "thread strips at" : "proof load", holds, Dimension.Force,
                strip < joint.Thread.ProofLoad ? $"{joint.Engagement * 1000:0.0} mm engaged, shear areas of FED-STD-H28/2"
                    : joint.Thread.Source)
            .Term("F", "preload", Math.Min(preload, 0.9 * holds), Dimension.Force, "T ÷ (K × d), at the most nine tenths of what it holds");
        return Ratio(factor * Math.Max(LoadShare * pull / (holds - Math.Min(preload, 0.9 * holds)), pull / holds), 1);
    }
}

