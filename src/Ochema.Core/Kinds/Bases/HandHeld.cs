using Ochema.Core.Checks;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>What hands hold: soft, damped, tired after a minute.</summary>
public abstract record HandHeld : BaseKind
{
    [Measure("Hands", Dimension.Count, 1, 2, HowTo = "two wherever you can: apart along a handle or pole, or one over the lens")]
    public double Hands { get; init; } = 2;

    /// <summary>A hand and arm along and across, N/m, and about the wrist, N·m/rad (judgement from arms held firm, 0.4–2.5 ×).</summary>
    internal static readonly (double Arm, double Wrist) Free = (1500, 15);

    /// <summary>The same with the elbow on something.</summary>
    internal static readonly (double Arm, double Wrist) Propped = (2500, 20);

    /// <summary>Flesh damps well (judgement, 0.2–0.5).</summary>
    internal const double Flesh = 0.3;

    /// <summary>Share of an arm's stiffness that hands have along a pole that they only steady (judgement, 0.03–0.3).</summary>
    private const double Slides = 0.1;

    internal int Count => (int)Math.Round(Hands);

    /// <summary>Hands as springs, with the couple of two of them apart, and what they hold for a moment.</summary>
    /// <param name="apart">Hands apart along the host's vertical or what they hold, m; 0 for side by side.</param>
    /// <param name="steadied">Along a pole that its butt carries: hands slide on it before they lift it; null where hands carry.</param>
    internal Hold Grasped(RigBuilder b, PartId id, NodeIndex node, Mount top, (double Arm, double Wrist) hand, double apart,
        double? damping = null,
        Vec3? steadied = null)
    {
        var here = Count;
        var turn = hand.Wrist + (Count == 2 ? hand.Arm * apart * apart / 4 : 0);
        var spring = b.SpringAlong(steadied ?? Vec3.UnitZ, id, node, null, here * (steadied is null ? 1 : Slides) * hand.Arm, here
            * hand.Arm,
            here * hand.Wrist, here * turn, damping ?? Flesh);
        var hold = new Hold(id, StationId.Base, Count == 1 ? "hand" : "hands", spring, node, top) { ByHand = true };
        b.Holds.Add(hold);
        b.WhileHeld(() => b.Checks.Add(new HandLoad(id, spring, Count, apart)));
        return hold;
    }
}
