using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <summary>The camera on its seat.</summary>
/// <param name="Node">Node at the centre of mass.</param>
/// <param name="Mass">kg, with lens and what is in its shoe.</param>
/// <param name="View">Viewing direction.</param>
/// <param name="Eye">Front of the lens, m.</param>
/// <param name="Pivot">Middle of the body, about which it is aimed, m.</param>
/// <param name="Subject">How near the subject on the host is, m; null for one far away.</param>
/// <param name="InShoe">What is in its shoe; null for nothing.</param>
public sealed record CameraBuild(NodeIndex Node, NodeIndex Seat, double Mass, Vec3 View, Vec3 Up, Vec3 Eye, Vec3 Pivot, double? Subject,
    CameraRow Body, LensRow Lens, bool Weighed, InShoe? InShoe = null)
{
    /// <summary>Middle between the lenses of a camera that sees all round, m; of any other its lens.</summary>
    public Vec3 Sees => Body.AllRound is null ? Eye : Pivot;

    /// <summary>Where to turn it to look at a point: to the left and up, rad, and how far the lens is from it then, m.</summary>
    public (double Pan, double Tilt, double Distance) Aim(Vec3 at)
    {
        var to = at - Pivot;
        return (Math.Atan2(to.Y, to.X), Math.Asin(Math.Clamp(to.Z / Math.Max(1e-9, to.Length), -1, 1)),
            Math.Max(0, to.Length - (Eye - Pivot).Length));
    }
}

/// <summary>A thing in the shoe on top of a camera.</summary>
/// <param name="Row">What it is.</param>
/// <param name="Mass">kg, with what clings to it.</param>
/// <param name="Foot">The shoe, m.</param>
/// <param name="Centre">Its centre of mass, m.</param>
/// <param name="Face">What the wind sees of it.</param>
public sealed record InShoe(CameraRow Row, double Mass, Vec3 Foot, Vec3 Centre, WindFace Face);
