using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Kinds.Bases;

/// <summary>Things that stand by their weight: footprint, friction, tip-over, ground that gives.</summary>
internal static class Standing
{
    /// <param name="radius">Effective, of its hold, m.</param>
    /// <param name="friction">On a floor; ground has its own.</param>
    public static Hold Build(RigBuilder b, string label, Footprint foot, double radius, double height, double stiffness, double rocking,
        double friction)
    {
        var grips = b.Rig.Site.Form == SiteForm.Ground && b.Rig.Site.Friction is { } own
            ? GroundBears.Today(b, own, nameof(Site.Friction)) : b.Site.Rubs(friction);
        var hold = ClampParts.Place(b, "base-hold", label, height, radius, stiffness, rocking, grips, "pad");
        var spot = b.Spot("base-hold", StationId.Base, label, b.Rig.At[0], b.Rig.At[1]);
        b.WhileHeld(() =>
        {
            var (u, v) = (b.Surface.U, b.Surface.V);
            b.Checks.Add(new StandsUp(b, spot, hold.Spring, foot.On(u, v)));
            b.Checks.Add(new HoldSlide(b, spot, hold.Spring, $"{Words.Capital(label)} slides or turns", 0, grips, foot.Friction,
                "weight only"));
            if (b.Rig.Site.Form == SiteForm.Ground)
                b.Checks.Add(new GroundBears(b, spot, hold.Spring, foot, u, v));
        });
        return hold;
    }
}
