using Ochema.Core.Hosts;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>How a strap runs: how steeply it presses, and how far it drags.</summary>
/// <param name="Id">Of the strap.</param>
/// <param name="Length">m.</param>
/// <param name="Angle">Below the panel's plane at the rig, rad: steep presses, flat drags.</param>
/// <param name="Presses">Pretension that presses the rig on, N.</param>
/// <param name="Drags">Pretension that drags it along the panel, N.</param>
public sealed record StrapRun(string Id, double Length, double Angle, double Presses, double Drags);

/// <summary>Straps as they pull on the base: what opposes what, and where an end would be better.</summary>
public static class StrapPull
{
    /// <summary>Left over of what the straps drag, beyond this share they pull the base along (judgement).</summary>
    private const double Share = 0.35;

    /// <summary>Less than this does not matter, N (judgement).</summary>
    private const double Little = 40;

    /// <summary>Straps shorter or longer than this are not proposed, m (judgement).</summary>
    internal const double Shortest = 0.12;
    internal const double Longest = 2.2;

    /// <summary>How each strap runs.</summary>
    public static IReadOnlyList<StrapRun> Runs(BuiltRig b)
    {
        var n = b.Surface.NormalAt(b.Rig.At[0], b.Rig.At[1]);
        return [.. b.Rig.Straps.Select(s =>
        {
            var d = End(b, s.To) - b.Position(b.At(s.From));
            var down = d.Length < 1e-6 ? 0 : -d.Dot(n) / d.Length;
            return new StrapRun(s.Id, d.Length, Math.Asin(Math.Clamp(down, -1, 1)),
                s.Pretension * down, s.Pretension * Math.Sqrt(Math.Max(0, 1 - down * down)));
        })];
    }

    internal static IEnumerable<ReportFinding> Findings(BuiltRig b)
    {
        if (b.Rig.Straps.Count == 0)
            yield break;
        var n = b.Surface.NormalAt(b.Rig.At[0], b.Rig.At[1]);
        var pulls = b.Rig.Straps.Select(s => Along(b, n, s, End(b, s.To))).ToList();
        var net = pulls.Aggregate(Vec3.Zero, (sum, p) => sum + p);
        if (net.Length < Little || net.Length < Share * pulls.Sum(p => p.Length))
            yield break;
        var best = (Left: net.Length * 0.6, Strap: (Strap?)null, Anchor: (Anchor?)null, T: 0.0);
        for (var i = 0; i < pulls.Count; i++)
            foreach (var (anchor, t, end) in Ends(b.Host))
                if ((end - b.Position(b.At(b.Rig.Straps[i].From))).Length is > Shortest and < Longest
                    && (end - b.Position(b.At(b.Rig.Straps[i].From))).Dot(n) < 0
                    && (net - pulls[i] + Along(b, n, b.Rig.Straps[i], end)).Length is var left && left < best.Left)
                    best = (left, b.Rig.Straps[i], anchor, t);
        var way = Way(b, net);
        yield return best.Strap is { } strap
            ? new ReportFinding(StationId.Strap(strap.Id),
                $"The straps drag the rig {way} with {QuantityText.Of(net.Length, Dimension.Force)} that nothing opposes. "
                + $"Move this end of {Words.Named("strap", strap.Id)} to {Words.Inside(best.Anchor!.Name)}"
                + $"{(best.Anchor.A.SequenceEqual(best.Anchor.B) ? "" : $", {best.T:P0} along it")}: "
                    + $"{QuantityText.Of(best.Left, Dimension.Force)} are left.")
            : new ReportFinding(StationId.Strap(b.Rig.Straps[0].Id),
                $"The straps drag the rig {way} with {QuantityText.Of(net.Length, Dimension.Force)} that nothing opposes: put another "
                    + $"one opposite.");
    }

    /// <summary>Closed points of a host, edges in quarters.</summary>
    internal static IEnumerable<(Anchor Anchor, double T, Vec3 End)> Ends(Host host) =>
        from a in host.Anchors from t in a.A.SequenceEqual(a.B) ? [0.5] : (double[])[0, 0.25, 0.5, 0.75, 1] select (a, t, a.At(t));

    /// <summary>
    /// The same for straps, which are drawn and want what cannot give: no line that is only hung. With the place on each edge that lies
    /// straight abeam of a point of the rig.
    /// </summary>
    internal static IEnumerable<(Anchor Anchor, double T, Vec3 End)> Ends(Host host, Vec3 from, Vec3 along)
    {
        foreach (var end in Ends(host).Where(e => !e.Anchor.Hung))
            yield return end;
        foreach (var a in host.Anchors.Where(a => !a.Hung))
        {
            var (start, run) = ((a.At(0) - from).Dot(along), (a.At(1) - a.At(0)).Dot(along));
            if (Math.Abs(run) > 0.01 && -start / run is > 0.01 and < 0.99 and var t)
                yield return (a, t, a.At(t));
        }
    }

    private static Vec3 End(BuiltRig b, AnchorEnd to) => b.Host.Anchors.First(a => a.Id == to.Anchor).At(Math.Clamp(to.T, 0, 1));

    private static Vec3 Along(BuiltRig b, Vec3 n, Strap s, Vec3 end)
    {
        var d = end - b.Position(b.At(s.From));
        return d.Length < 1e-6 ? Vec3.Zero : s.Pretension * (1 / d.Length * d).PerpendicularTo(n);
    }

    private static string Way(BuiltRig b, Vec3 v)
    {
        var (u, w) = (v.Dot(b.Surface.U), v.Dot(b.Surface.V));
        var upright = b.Surface.V.Z > 0.5;
        return Math.Abs(u) >= Math.Abs(w) ? u > 0 ? "forward" : "back" : w > 0 ? upright ? "up" : "to the left" : upright ? "down"
            : "to the right";
    }
}
