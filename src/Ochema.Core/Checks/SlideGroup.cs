using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// Holds under one plate slide together or not at all: what straps press them against each other cancels, and friction, which yields
/// before it fails, shares the rest by what each can carry (limit analysis, as for bolt groups held by friction).
/// </summary>
public sealed class SlideGroup
{
    private readonly List<(HoldSpot Spot, int Spring, Func<HoldLoad, double> Grip)> holds = [];

    /// <param name="grip">Friction, N, that a hold can give under its load.</param>
    public void Add(HoldSpot spot, int spring, Func<HoldLoad, double> grip) => holds.Add((spot, spring, grip));

    /// <summary>
    /// Slide of the group, N: the resultant, plus the twist about the middle of the friction divided by its mean radius; and the
    /// friction of all that are still there, N.
    /// </summary>
    public (double Slide, double Grip) Of(CaseForces f) => f.Once(this, () => Compute(f));

    private (double Slide, double Grip) Compute(CaseForces f)
    {
        Vec3 slide = Vec3.Zero, middle = Vec3.Zero;
        var total = 0.0;
        foreach (var (spot, spring, grip) in holds)
        {
            if (f.IsGone(spot.Id))
                continue;
            slide += f.Spring(spring).Force.PerpendicularTo(spot.Normal);
            var g = Math.Max(1e-9, grip(f.Hold(spring, spot.Normal)));
            middle += g * spot.Point;
            total += g;
        }
        if (total == 0)
            return (slide.Length, 0);
        middle *= 1 / total;
        var (twist, radius) = (0.0, 0.0);
        foreach (var (spot, spring, grip) in holds)
        {
            if (f.IsGone(spot.Id))
                continue;
            var arm = spot.Point - middle;
            twist += arm.Cross(f.Spring(spring).Force).Dot(spot.Normal);
            radius += Math.Max(1e-9, grip(f.Hold(spring, spot.Normal))) / total * arm.Length;
        }
        return (slide.Length + (radius > 0.01 ? Math.Abs(twist) / radius : 0), total);
    }
}
