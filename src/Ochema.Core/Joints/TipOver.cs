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
        var down = -force.Dot(up);
        var worst = 0.0;
        for (var i = 0; i < corners.Count; i++)
        {
            var (a, b) = (corners[i], corners[(i + 1) % corners.Count]);
            var edge = (b - a).Normalized();
            var outward = edge.Cross(up);
            if (outward.Dot(a) < 0)
                (edge, outward) = (-edge, -outward);
            var distance = a.Dot(outward);
            // Turning over the edge: outward force is at the ground and does nothing; the moment about the edge does.
            var overturning = moment.Dot(up.Cross(outward));
            if (overturning > 0)
                worst = Math.Max(worst, down > 0 ? overturning / (down * distance) : double.PositiveInfinity);
        }
        return worst;
    }
}
