using Ochema.Core.Checks;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>Things that stand by their weight: footprint, friction, tip-over.</summary>
internal static class Standing
{
    public static Hold Build(RigBuilder b, string label, double length, double width, double mass, double height, double stiffness, double rocking, double friction)
    {
        var hold = ClampParts.Place(b, "base-hold", label, height, mass, Math.Min(length, width) / 2, stiffness, rocking, friction, "pad");
        var spot = b.Spot("base-hold", StationId.Base, label, b.Rig.At[0], b.Rig.At[1]);
        if (!b.HoldsGone)
        {
            var (u, v) = (b.Surface.U, b.Surface.V);
            Vec3[] corners = [length / 2 * u + width / 2 * v, length / 2 * u - width / 2 * v, -length / 2 * u - width / 2 * v, -length / 2 * u + width / 2 * v];
            b.Checks.Add(new StandsUp(b, spot, hold.Spring, corners));
            b.Checks.Add(new HoldSlide(b, spot, hold.Spring, $"{Words.Capital(label)} slides or turns",
                0, friction, Math.Min(length, width) / 3, "weight only"));
        }
        return hold;
    }
}
