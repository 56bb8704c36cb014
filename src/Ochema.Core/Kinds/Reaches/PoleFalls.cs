using Ochema.Core.Hosts;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>Where nobody stands under a pole.</summary>
internal static class PoleFalls
{
    /// <summary>Drawn on the ground: as far round whoever holds it as the pole reaches when it falls.</summary>
    /// <param name="from">Its foot.</param>
    /// <param name="length">m.</param>
    public static void KeepClear(RigBuilder b, Mount from, double length)
    {
        if (b.Rig.Site.Form != SiteForm.Hand || b.Host.GroundHeight < -1 || from.Position.Z + length < AboveHeads)
            return;
        Vec3 middle = new(from.Position.X, from.Position.Y, b.Host.GroundHeight);
        var way = length * Vec3.UnitX;
        b.Shape(b.Own("keep-clear"), b.Path.Reach, "strip", [new("", (middle - way).ToArray()), new("", (middle + way).ToArray())], [2 * length]);
    }

    /// <summary>Shorter ones are not over anybody's head, m.</summary>
    private const double AboveHeads = 2.2;
}
