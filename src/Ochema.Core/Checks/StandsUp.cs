using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>Something that stands by its weight and tips over an edge of its footprint: k·overturning ≤ weight × distance to the
/// edge.</summary>
public sealed class StandsUp(RigSetting b, HoldSpot spot, SpringIndex spring, IReadOnlyList<Vec3> corners)
    : Check(spot.Id + ".tip", spot.Station, spot.Id, "It tips over or lifts off")
{
    private readonly double factor = b.Factors[FactorTable.Friction];

    public override SpringIndex? Joint => spring;

    /// <summary>Corners of its footprint about its middle, in order, m.</summary>
    internal IReadOnlyList<Vec3> Corners => corners;

    /// <summary>Upright on what it stands on.</summary>
    internal Vec3 Normal => spot.Normal;

    /// <summary>Middle of its footprint, m.</summary>
    internal Vec3 Foot => spot.Point;

    /// <summary>What the rig does to the ground, N, and its moment about the middle of the footprint, N·m.</summary>
    internal (Vec3 Force, Vec3 Moment) Ground(CaseForces f) => f.Spring(spring) is var (force, moment) ? (-force, -moment) : default;

    /// <summary>Where on the ground a force with a moment stands, from the middle of the footprint, m: up × M ÷ (F·up).</summary>
    internal static Vec3 Stands(Vec3 force, Vec3 moment, Vec3 up) => 1 / force.Dot(up) * up.Cross(moment);

    /// <summary>
    /// Newtons of a push that tip it: for each edge at a distance d outwards along o, (−F₀·up·d − M₀·(up × o)) ÷ (M₁·(up × o) + F₁·up·d),
    /// the least one; F₀ and
    /// M₀ as it stands, F₁ and M₁ what one newton adds. Infinite where the push tips it over no edge; 0 where it falls by itself.
    /// </summary>
    internal double Tips((Vec3 Force, Vec3 Moment) stands, (Vec3 Force, Vec3 Moment) newton)
    {
        var (up, least) = (Normal, double.PositiveInfinity);
        for (var i = 0; i < corners.Count; i++)
        {
            var (a, c) = (corners[i], corners[(i + 1) % corners.Count]);
            var outward = (c - a).Cross(up).Normalized();
            outward = outward.Dot(a) < 0 ? -outward : outward;
            var (about, distance) = (up.Cross(outward), a.Dot(outward));
            var (left, takes) = (-stands.Force.Dot(up) * distance - stands.Moment.Dot(about), newton.Moment.Dot(about)
                + newton.Force.Dot(up) * distance);
            if (takes > 1e-12)
                least = Math.Min(least, Math.Max(0, left / takes));
        }
        return least;
    }

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        // The spring's force on the rig turned round: the rig's on the ground.
        var (force, moment) = f.Spring(spring);
        var (over, back) = TipOver.Worst(corners, spot.Normal, -force, -moment);
        sheet?.Formula("{k} × {O} ÷ {R}", "moments about each edge of the footprint, the worst one; lifted off, nothing restores",
            "Ground that gives, somebody who leans on it.")
            .Factor(b, FactorTable.Friction).Term("O", "overturning moment", over, Dimension.Torque)
                .Term("R", "restoring moment", back, Dimension.Torque)
            .Term("N", "pressed down by (negative: lifted)", force.Dot(spot.Normal), Dimension.Force)
                .Term("M", "moment at the foot", moment.PerpendicularTo(spot.Normal).Length, Dimension.Torque);
        return Ratio(factor * over, back);
    }
}
