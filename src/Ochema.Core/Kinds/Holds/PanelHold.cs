using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Holds;

/// <summary>What all holds share: the spring on the panel, and the friction foot that is left when a hold has let go.</summary>
internal static class PanelHold
{
    /// <summary>Damping ratio by what sits on the panel (judgement, 0.5–2 ×).</summary>
    private static double Damping(string type) => type switch { "cup" => 0.05, "pad" => 0.08, _ => 0.03 };

    /// <summary>
    /// Puts a hold on its spot: a spring to the panel (its own give and the sheet's, one behind the other); when all holds are
    /// gone its foot pushes and rubs.
    /// </summary>
    /// <param name="normal">The hold's own stiffness along the normal, N/m.</param>
    /// <param name="shear">Along the panel, N/m.</param>
    /// <param name="rocking">Against rocking, N·m/rad.</param>
    /// <param name="radius">Effective radius b, m.</param>
    /// <param name="height">Panel to the screw face, m.</param>
    public static Hold Place(RigBuilder b, HoldSpot spot, double normal, double shear, double rocking, double radius, double height,
        double friction,
        string type)
    {
        var site = spot.Site;
        var node = b.Node(spot.Id, spot.Point);
        var host = SiteStiffness.Of(site, spot.Material, radius);
        var (kn, ks, kr) = (PanelStiffness.Series(normal, host.Normal), PanelStiffness.Series(shear, host.InPlane),
            PanelStiffness.Series(rocking, host.Rocking));
        var spin = Math.Max(ks * radius * radius, kr);
        var spring = b.SpringAlong(spot.Normal, spot.Id, node, null, kn, ks, spin, kr, site.Damping ?? Damping(type));
        b.Foot(spot, spring, node, radius, kn, friction);
        b.WhileHeld(() =>
        {
            if (spot.Station == StationId.Base && site.Form.Bar(site, spot.Point.Z - b.Host.GroundHeight) is { } bar && !b.HasHostBar)
            {
                b.HasHostBar = true;
                b.Checks.Add(StationId.Site, new("site"), rig => new HostBarBends(rig, spot, bar));
            }
            if (site.Form.IsSkin)
                b.Checks.Add(new PanelFlex(b, spot, spring, kn, kr, radius));
        });
        var top = b.Node(spot.Id + "-top", spot.Point + height * spot.Normal);
        b.Rigid(node, top);
        b.Shape(spot.Id, spot.Station, type, [b.Point(node)], [2 * radius, height], spot.Normal);
        var hold = new Hold(spot.Id, spot.Station, spot.Label, spring, node, new Mount(top, b.Position(top), spot.Normal))
        {
            Body = new(node) { Offset = 0.5 * height * spot.Normal },
        };
        b.Holds.Add(hold);
        return hold;
    }

    /// <summary>What a cup or a magnet can do wrong: tip, slide or twist with its group, come straight off.</summary>
    /// <param name="tips">What tipping is called.</param>
    public static void Grasps(RigBuilder b, HoldSpot spot, SpringIndex spring, HoldGrasp grasp, string tips)
    {
        var group = b.SlideGroup(spot.Station);
        var factor = b.Factors[grasp.PullFactor];
        group.Add(spot, spring, grasp.TwistRadius, load => grasp.Slide(load, factor));
        b.Checks.Add(new HoldSlides(b, spot, spring, grasp, group));
        b.Checks.Add(new HoldTip(b, spot, spring, grasp, tips));
        b.Checks.Add(new HoldStraightOff(b, spot, spring, grasp));
    }
}
