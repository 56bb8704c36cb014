using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>
/// Links that lie on each other when an arm is folded: each pivots at the far end of the one below it. What stands in the way are the nut
/// of the pivot behind, which the end of the upper link meets, and the head of the pivot ahead, which lies on the lower one. Common
/// practice, no source.
/// </summary>
public static class FoldedLinks
{
    /// <summary>Air that moving metal wants, m (judgement, 1–3 mm).</summary>
    private const double Air = 0.002;

    /// <summary>Least that a link must be shorter than the one below it, pivot to pivot, m: its end beside half a nut across its
    /// corners.</summary>
    /// <param name="past">Link past its pivot, m.</param>
    public static double Shorter(Fastener thread, double past) => past + Holes.AcrossCorners(thread) / 2 + Air;

    /// <summary>Least between two links, m, for the head of the next pivot to pass over the lower one.</summary>
    public static double Apart(Fastener thread) => thread.HeadHeight + Air / 2;

    /// <summary>Angle from lying on each other at which a link stops, rad: 0 where it folds flat.</summary>
    /// <param name="lower">Pivot to pivot of the lower link, m.</param>
    /// <param name="upper">Of the upper one, m.</param>
    /// <param name="width">Of both, m.</param>
    /// <param name="apart">Between their faces, m.</param>
    /// <param name="last">True where the upper link carries no other: no head stands out below its end.</param>
    public static double Stops(Fastener thread, double lower, double upper, double width, double past, double apart, bool last)
    {
        var corner = Holes.AcrossCorners(thread) / 2 + Air / 2;
        // Its end sweeps past the nut behind; a longer one does so beyond it.
        var end = Math.Abs(lower - upper) < Shorter(thread, past) ? Math.Asin(Math.Min(1, (width / 2 + corner) / upper)) : 0;
        var head = !last && apart < Apart(thread) ? Math.Asin(Math.Min(1, (width / 2 + corner) / upper)) : 0;
        return Math.Max(end, head);
    }
}
