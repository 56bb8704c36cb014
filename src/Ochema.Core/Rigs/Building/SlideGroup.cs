using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>
/// Holds under one plate slide together or not at all: what straps press them against each other cancels, and friction, which yields
/// before it fails, shares the rest by what each can carry (limit analysis, as for bolt groups held by friction).
/// </summary>
public sealed class SlideGroup
{
    private readonly List<(HoldSpot Spot, SpringIndex Spring, double Radius, Func<HoldLoad, double> Grip)> holds = [];

    /// <param name="radius">Radius at which the hold's own friction acts against a twist, m.</param>
    /// <param name="grip">Friction, N, that a hold can give under its load.</param>
    public void Add(HoldSpot spot, SpringIndex spring, double radius, Func<HoldLoad, double> grip) =>
        holds.Add((spot, spring, radius, grip));

    /// <summary>
    /// Slide of the group, N: the resultant, plus the twist about the middle of the friction (the holds' own twist moments included)
    /// divided by its mean radius; the friction of all that are still there, N; and the twist, N·m.
    /// </summary>
    public (double Slide, double Grip, double Twist) Of(CaseForces f) => f.Once(this, static (group, forces) => group.Compute(forces));

    private (double Slide, double Grip, double Twist) Compute(CaseForces f)
    {
        Vec3 slide = Vec3.Zero, middle = Vec3.Zero;
        var total = 0.0;
        Span<double> grips = stackalloc double[holds.Count];
        Span<(Vec3 Force, Vec3 Moment)> on = stackalloc (Vec3, Vec3)[holds.Count];
        for (var i = 0; i < holds.Count; i++)
        {
            var (spot, spring, _, grip) = holds[i];
            if (f.IsGone(spot.Id))
                continue;
            on[i] = f.Spring(spring);
            slide += on[i].Force.PerpendicularTo(spot.Normal);
            grips[i] = Math.Max(1e-9, grip(HoldLoad.Of(on[i].Force, on[i].Moment, spot.Normal)));
            middle += grips[i] * spot.Point;
            total += grips[i];
        }
        if (total == 0)
            return (slide.Length, 0, 0);
        middle *= 1 / total;
        var (twist, radius) = (0.0, 0.0);
        for (var i = 0; i < holds.Count; i++)
        {
            var (spot, _, own, _) = holds[i];
            if (f.IsGone(spot.Id))
                continue;
            var arm = spot.Point - middle;
            var (force, moment) = on[i];
            twist += (arm.Cross(force) + moment).Dot(spot.Normal);
            // A ring or disc off the middle turns about it with a mean radius no smaller than either its distance or its own.
            radius += grips[i] / total * Math.Max(arm.Length, own);
        }
        twist = Math.Abs(twist);
        return (slide.Length + twist / radius, total < 1e-6 ? 0 : total, twist);
    }
}
