using Ochema.Core.Analysis;
using Ochema.Core.Checks;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Assessment;

/// <summary>
/// What stands by its weight, seen from above: its footprint, where its weight stands in it, where wind and motion push that to, and how
/// hard a push at the camera tips it in each direction. Statics of a rigid body on an edge, no factor on it; the plan lies as the lens
/// looks.
/// </summary>
internal static class TipPlan
{
    /// <summary>Directions that are published, evenly round.</summary>
    private const int Published = 8;

    /// <summary>Directions between two that are published, looked at for the least.</summary>
    private const int Between = 9;

    /// <summary>Names of the published directions, as the lens looks, turning to the left.</summary>
    private static readonly string[] Ways =
        ["ahead", "ahead and left", "to the left", "back and left", "back", "back and right", "to the right", "ahead and right"];

    /// <summary>The plan; null for what does not stand by its weight, or can move freely.</summary>
    public static TipReport? Of(RigModel model, StateResponse state, LimitSpeed limits, IReadOnlyList<RigCase> driving, double speed)
    {
        var b = model.Built;
        if (state.Mechanism is not null || b.Checks.OfType<StandsUp>().FirstOrDefault() is not { } stands)
            return null;
        var up = stands.Normal;
        var ahead = b.Camera.View.PerpendicularTo(up) is { Length: > 0.05 } view ? view.Normalized() : b.Surface.U.PerpendicularTo(up)
            .Normalized();
        var left = up.Cross(ahead);
        double[] Plan(Vec3 p) => [p.Dot(ahead), p.Dot(left)];
        (Vec3 Force, Vec3 Moment) Ground(CaseForces f) => stands.Ground(f);
        CaseForces? At(Vec3 push) => model.Forces(state, new RigCase("push", "pushed", -MotionProfile.Gravity * Vec3.UnitZ, -1, push), 0);
        if (At(Vec3.Zero) is not { } weight || Ground(weight) is var (f0, m0) && f0.Dot(up) >= 0)
            return null;
        (Vec3 Force, Vec3 Moment) Adds(Vec3 push) => Ground(At(push)!) is var (force, moment) ? (force - f0, moment - m0) : default;
        // Pushes add up, but where straps and pads may fall slack.
        var (forward, aside) = (Adds(ahead), Adds(left));
        double Tips(double angle)
        {
            var (sin, cos) = Math.SinCos(angle);
            return stands.Tips((f0, m0), model.System.Lines.Length > 0 ? Adds(cos * ahead + sin * left)
                : (cos * forward.Force + sin * aside.Force, cos * forward.Moment + sin * aside.Moment));
        }
        var all = Enumerable.Range(0, Published * Between).Select(i => 2 * Math.PI * i / (Published * Between)).Select(a => (Angle: a,
            Force: Tips(a))).ToList();
        var least = all.MinBy(p => p.Force);
        var stand = new List<TipPoint>();
        for (var i = 0; i < driving.Count; i++)
            if (limits.At(i, speed) is { } f && Ground(f) is var (force, moment) && force.Dot(up) < 0)
                stand.Add(new(Plan(StandsUp.Stands(force, moment, up)), driving[i].Label));
        var height = (b.Position(b.Camera.Node) - stands.Foot).Dot(up);
        var way = Ways[(int)Math.Round(least.Angle / (2 * Math.PI) * Published) % Published];
        return new TipReport([.. stands.Corners.Select(Plan)], Plan(StandsUp.Stands(f0, m0, up)), -f0.Dot(up), height,
            [.. all.Where((_, i) => i % Between == 0).Select((p, i) => new TipPush(Ways[i], p.Angle, Finite(p.Force)))], new(way, least.Angle,
                Finite(least.Force)),
            stand, $"Pushed at the camera it tips first {way}, at {QuantityText.Of(least.Force, Dimension.Force)}; it may slide before.");
    }

    /// <summary>What never tips is published as what nobody pushes with.</summary>
    private static double Finite(double force) => Math.Min(force, 1e6);
}
