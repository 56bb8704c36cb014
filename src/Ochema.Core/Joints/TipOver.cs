using Ochema.Core.Structure;

namespace Ochema.Core.Joints;

/// <summary>Things that stand by their weight.</summary>
public static class TipOver
{
    /// <summary>
    /// The worst ratio of overturning to restoring moment about the edges of a footprint. The force and moment are those on the
    /// footprint's middle; the restoring part is the downward force times the distance to the edge.
    /// </summary>
    /// <param name="corners">Corners of the footprint about its middle, in order, m.</param>
    /// <param name="up">Upright unit vector.</param>
    /// <param name="force">Force of the rig on the ground, N.</param>
    /// <param name="moment">Its moment about the middle, N·m.</param>
    public static double Ratio(IReadOnlyList<Vec3> corners, Vec3 up, Vec3 force, Vec3 moment)
    {
        var (over, back) = Worst(corners, up, force, moment);
        return over <= 0 ? 0 : back > 0 ? over / back : double.PositiveInfinity;
    }

    /// <summary>
    /// Overturning and restoring moment, N·m, about the edge where their ratio is worst. What lifts it off the ground overturns about every
    /// edge and leaves nothing to restore.
    /// </summary>
    public static (double Overturning, double Restoring) Worst(IReadOnlyList<Vec3> corners, Vec3 up, Vec3 force, Vec3 moment)
    {
        var down = -force.Dot(up);
        var worst = (Overturning: 0.0, Restoring: double.MaxValue);
        for (var i = 0; i < corners.Count; i++)
        {
            var (a, b) = (corners[i], corners[(i + 1) % corners.Count]);
            var edge = (b - a).Normalized();
            var outward = edge.Cross(up);
            if (outward.Dot(a) < 0)
                (edge, outward) = (-edge, -outward);
            var distance = a.Dot(outward);
            // Turning over the edge: outward force is at the ground and does nothing; the moment about the edge does.
            var over = Math.Max(0, moment.Dot(up.Cross(outward))) + Math.Max(0, -down) * distance;
            var back = Math.Max(0, down) * distance;
            if (over * worst.Restoring > worst.Overturning * back || (over > 0 && back == 0 && over > worst.Overturning))
                worst = (over, back);
        }
        return worst.Restoring == double.MaxValue ? (0, Math.Max(0, down)) : worst;
    }
}
