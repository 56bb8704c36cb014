using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// A foot breaks into soft ground, on the side that it is pushed to: what presses it down over the part of the foot that the load stands in
/// the middle of, against what the ground bears (Meyerhof 1953).
/// </summary>
/// <param name="along">Of the footprint, unit vector.</param>
/// <param name="across">Of the footprint, unit vector.</param>
public sealed class GroundBears(RigSetting b, HoldSpot spot, SpringIndex spring, Footprint foot, Vec3 along, Vec3 across)
    : Check(spot.Id + ".bears", spot.Station, spot.Id, "Ground gives way under the foot")
{
    private readonly double factor = b.Factors[FactorTable.Ground];
    private readonly double bears = Today(b, spot.Site.Bears ?? Hosts.GroundForm.UsualBearing, nameof(Hosts.Site.Bears));

    /// <summary>Share of what dry ground bears and grips that wet ground does (judgement, 0.4–0.8).</summary>
    private const double WetShare = 0.6;

    /// <summary>What the ground bears or grips today: less when it is wet, unless it was tried there.</summary>
    /// <param name="dry">As listed.</param>
    /// <param name="property">Of the site.</param>
    internal static double Today(RigSetting b, double dry, string property)
    {
        var tried = b.Rig.Measured?.ContainsKey($"site.{char.ToLowerInvariant(property[0])}{property[1..]}") == true;
        // What was tried on a dry day says nothing of rain.
        return (b.Site.Rained || b.Site.Surface == Hosts.SurfaceState.Wet) && !(tried && b.Rig.Site.Surface == Hosts.SurfaceState.Wet)
            ? WetShare * dry : dry;
    }

    public override SpringIndex? Joint => spring;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (force, moment) = f.Spring(spring);
        // The spring pushes the rig up by what presses on the ground, and holds the moment that puts it off the middle.
        var down = force.Dot(spot.Normal);
        var off = down > 0 ? (1 / down) * spot.Normal.Cross(moment) : Vec3.Zero;
        var area = foot.Area(off.Dot(along), off.Dot(across));
        sheet?.Formula("{k} × ({N} ÷ {A}) ÷ {q}", "Meyerhof 1953: the load in the middle of what presses",
            "Rain, thaw, a mole's run under it.")
            .Factor(b, FactorTable.Ground).Term("N", "pressed down by", down, Dimension.Force)
            .Term("A", "part of the foot that presses", area, Dimension.Area, Origin.Follows)
            .Term("e", "load off the middle by", off.Length, Dimension.Length, Origin.Follows)
            .Term("q", "ground bears", bears, Dimension.Pressure,
                spot.Site.Bears is { } own ? Taken.Origin(b.Rig, "this place, judgement until you try it", "bears", own)
                : "common practice, no source: firm soil");
        return down <= 0 ? 0 : area <= 0 ? MostUse : Ratio(factor * down / area, bears);
    }
}
