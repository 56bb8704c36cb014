using Ochema.Core.Structure;

namespace Ochema.Core.Hosts;

/// <summary>
/// A panel's outside: P(s, t) = O + s·U + t·V − n·(s²/2R_u + t²/2R_v), s and t in m from its middle.
/// </summary>
public sealed record PanelSurface(Vec3 Origin, Vec3 U, Vec3 V, Vec3 Normal, double RadiusU, double RadiusV, double HalfU, double HalfV)
{
    /// <summary>The point at (s, t), m.</summary>
    public Vec3 Point(double s, double t) => Origin + s * U + t * V - (s * s / (2 * RadiusU) + t * t / (2 * RadiusV)) * Normal;

    /// <summary>The outward normal at (s, t).</summary>
    public Vec3 NormalAt(double s, double t) => (Normal + s / RadiusU * U + t / RadiusV * V).Normalized();

    /// <summary>The same place kept on the panel.</summary>
    public (double S, double T) Clamp(double s, double t) => (Math.Clamp(s, -HalfU, HalfU), Math.Clamp(t, -HalfV, HalfV));

    /// <summary>A grid of points, rows along U, for drawing.</summary>
    public double[][][] Grid(int rows = 9, int columns = 9) =>
        [.. Enumerable.Range(0, rows).Select(i => Enumerable.Range(0, columns)
            .Select(j => Point((2.0 * i / (rows - 1) - 1) * HalfU, (2.0 * j / (columns - 1) - 1) * HalfV).ToArray()).ToArray())];
}
