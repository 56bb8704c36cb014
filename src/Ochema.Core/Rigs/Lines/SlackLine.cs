using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>
/// A second rope beside the one that carries, hung slack from the same anchors: what comes off the carriage hangs on it. It holds what its
/// tension allows: as it is drawn down in its middle it stretches, T = EA·(2ℓ ÷ L₀ − 1), and each half carries F ÷ 2 = T·sin θ, with sin θ
/// = √(ℓ² − (a ÷ 2)²) ÷ ℓ and ℓ half
/// its stretched length (statics of a line pulled at its middle).
/// </summary>
/// <param name="Row">Its rope.</param>
/// <param name="Span">Anchor to anchor, a, m.</param>
/// <param name="Sag">As it hangs, in the middle, m.</param>
/// <param name="Knot">At its ends.</param>
/// <param name="Anchors">What each anchor holds along it, N; null for what nobody knows: then what is taken of an unknown one.</param>
/// <param name="Tail">Rope past either anchor, round the sling and back, m.</param>
public sealed record SlackLine(StrapRow Row, double Span, double Sag, Knot Knot, double? Anchors, double Tail)
{
    /// <summary>Rope that is cut for it, m.</summary>
    public double Cut => Length + 2 * (Tail + Knot.Allowance(Row.Thickness));

    /// <summary>Rope from anchor to anchor as it hangs, m: L₀ = a·(1 + 8/3·(s ÷ a)²) (shallow parabola).</summary>
    public double Length => Span * (1 + 8.0 / 3 * Math.Pow(Sag / Span, 2));

    /// <summary>Tension, N, at which its knot or an anchor gives.</summary>
    public double Bears => Math.Min(Row.BreakingStrength * Knot.Keeps, Anchors ?? TetherBuilt.Unknown);

    /// <summary>Pull across its middle, N, at a tension, N.</summary>
    public double Across(double tension)
    {
        var half = Length * (1 + tension / Row.AxialStiffness) / 2;
        return half <= Span / 2 ? 0 : 2 * tension * Math.Sqrt(half * half - Span * Span / 4) / half;
    }

    /// <summary>An anchor with what it holds: that of a line which the rig brings follows from it.</summary>
    internal static Hosts.Anchor Held(RigSetting b, Hosts.Anchor anchor) =>
        anchor.Hung && b.Rig.Base.HungBeside(b) is { } line ? anchor with { Holds = line.Holds } : anchor;

    /// <summary>Pull across its middle, N, that it holds.</summary>
    public double Holds => Across(Bears);
}
