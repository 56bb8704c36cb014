using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>A brass insert with a coarse thread outside, for tapped wood and plastic.</summary>
public static class ThreadInsert
{
    /// <summary>Outside thread, hole and length over the inside thread (makers' sheets, from memory; judgement, 1.4–1.6, 1.3–1.45,
    /// 1.2–2).</summary>
    private const double Outside = 1.5;
    private const double HoleRatio = 1.4;
    private const double LengthRatio = 1.5;

    /// <summary>Hole that it is set in, m.</summary>
    public static double Hole(Fastener f) => HoleRatio * f.MajorDiameter;

    /// <summary>Pull, N, at which it comes out with its thread: half of the cylinder that its outside cuts, in shear, as for a tapped
    /// hole.</summary>
    /// <param name="depth">Of what it is set in, m.</param>
    /// <param name="around">What it is set in.</param>
    public static double PullOut(Fastener f, double depth, Material around) =>
        0.5 * Math.PI * Outside * f.MajorDiameter * Math.Min(depth, LengthRatio * f.MajorDiameter)
            * Threads.SheetShear(around) * around.UltimateStrength;
}
