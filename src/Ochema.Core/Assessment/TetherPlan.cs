using Ochema.Core.Responses;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Assessment;

/// <summary>The tether that would serve best: every line on the shelf to every closed point near enough, each tried.</summary>
internal static class TetherPlan
{
    /// <summary>As much slack as aiming needs, m (common practice, no source).</summary>
    private const double Slack = 0.06;

    /// <summary>Two lines round one tube or edge end so far from each other at least, m (judgement).</summary>
    private const double Apart = 0.15;

    /// <summary>Longer than this it lets the camera fall too far to be of use, m (judgement).</summary>
    private const double Longest = 1.5;

    /// <summary>Lines for straps by their ratchet, which nobody ties a camera with.</summary>
    private static bool Line(StrapRow row) => !row.HasBuckle && !row.IsElastic;

    /// <summary>The best tether for a piece of either path, from its camera; null when none on the shelf catches what hangs
    /// there.</summary>
    public static (Tether Tether, string Says)? For(BuiltRig b, StationId station, double speed) =>
        Best(b, RigPath.Of(station).CameraPoint, b.MassFrom(station), speed, station.Family is "head" or "camera");

    /// <summary>The best tether that catches a mass, kg, from a place; null when none on the shelf does.</summary>
    /// <param name="own">True where a knot on the pole itself, close to its end, keeps what comes off.</param>
    public static (Tether Tether, string Says)? Best(BuiltRig b, TetherPoint tied, double mass, double speed, bool own = false)
    {
        var node = tied switch
        {
            TetherPoint.Head => b.At(RigPoint.HeadTop),
            TetherPoint.Reach => b.At(RigPoint.ReachTop),
            TetherPoint.ReachFoot => b.At(RigPoint.BaseTop),
            TetherPoint.SecondCamera when b.SecondCamera is { } second => second.Node,
            _ => b.Camera.Node
        };
        var at = b.Position(node);
        // Where another tether ends already; the end of one that keeps nothing is free.
        var taken = b.Tethers.Where(t => t.KeepsNothing(b, speed) is null).ToList();
        List<(Hosts.Anchor Anchor, double T, Structure.Vec3 End)> ends = [.. StrapPull.Ends(b.Host)
            .Select(e => (SlackLine.Held(b, e.Anchor), e.T, e.End))];
        if (own && b.Rig.Reach.IsPole && tied != TetherPoint.SecondCamera)
        {
            var pole = b.Position(b.At(RigPoint.ReachTop));
            ends = [.. ends, (Hosts.HostDrawing.At(AnchorEnd.OnReach, "The pole, close to its end", pole), 0.0, pole)];
        }
        var id = Tether.FreeId(b.Rig.Tethers);
        var best = (
            from row in b.Stock.Straps.Where(Line)
            from end in ends
            where taken.TrueForAll(t => t.Anchor.Id != end.Anchor.Id || (t.End - end.End).Length > Apart)
            let length = (end.End - at).Length + Slack
            where length < Longest
            let tether = new Tether
            {
                Id = id,
                Stock = row.Id,
                Slack = Slack,
                From = tied,
                To = new AnchorEnd(end.Anchor.Id, end.T),
            }
            let built = new TetherBuilt("", "", tether, at, end.Anchor, end.End, length, row)
            // Judged as its own check will judge it: with all that hangs on it when its own piece comes off.
            where !built.IsTooLong(b, speed)
            let use = built.Catches(b, Math.Max(mass, built.Keeps(b)), speed)
            where use <= 0.9
            orderby Math.Max(use, 0.5) + 0.3 * length, row.Id, end.Anchor.Id, end.T
            select new { Tether = tether, row.Name, Anchor = end.Anchor.Name, Use = use, Built = built })
            .FirstOrDefault(x => !x.Built.SwingsTo(b).Any(s => s.Takes));
        return best is null ? null : (best.Tether,
            $"{Words.Inside(best.Name)} to {Words.Inside(best.Anchor)}, {QuantityText.Of(Slack, Dimension.Length)} of slack, "
                + $"{best.Use:P0} used");
    }

    /// <summary>The rig with a tether: in place of the first that keeps nothing, else one more.</summary>
    public static RigDocument With(BuiltRig b, Tether tether)
    {
        var rig = b.Rig;
        var idle = b.Tethers.FirstOrDefault(t => t.KeepsNothing(b, b.Rig.Run.Speed) is not null)?.Choice;
        return idle is not null
            ? rig with { Tethers = [.. rig.Tethers.Select(t => t.Id == idle.Id ? tether with { Id = t.Id } : t)] }
            : rig with { Tethers = [.. rig.Tethers, tether with { Id = Tether.FreeId(rig.Tethers) }] };
    }
}
