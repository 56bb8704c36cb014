using Ochema.Core.Structure;

namespace Ochema.Core.Loads;

/// <summary>
/// Something that comes off and falls until its line is taut: under its weight, and swept back by the wind at speed. It falls as far as the
/// line lets it: its height over the anchor and the line's arc, not the slack alone.
/// </summary>
/// <param name="Drop">Way it falls freely, m.</param>
/// <param name="Pull">Weight and drag together, as an acceleration, m/s².</param>
/// <param name="Peak">Largest force in the line, N.</param>
/// <param name="At">Where the line is taut, m, host axes.</param>
public sealed record TetherFall(double Drop, double Pull, double Peak, Vec3 At)
{
    /// <summary>A fall from a point on a line.</summary>
    /// <param name="from">Where it comes off, m.</param>
    /// <param name="anchor">Where the line ends, m.</param>
    /// <param name="length">Of the line, m, no less than the way between them.</param>
    /// <param name="mass">kg that falls.</param>
    /// <param name="drag">Acceleration by the wind, and outwards on a host that turns, m/s².</param>
    /// <param name="axialStiffness">EA of the line, N.</param>
    public static TetherFall Of(Vec3 from, Vec3 anchor, double length, double mass, Vec3 drag, double axialStiffness)
    {
        var field = drag - MotionProfile.Gravity * Vec3.UnitZ;
        var way = field.Normalized();
        var p = from - anchor;
        // |p + s·way| = length.
        var along = p.Dot(way);
        var s = Math.Max(0, -along + Math.Sqrt(Math.Max(0, along * along + length * length - p.Dot(p))));
        return new(s, field.Length, PeakForce(mass * field.Length, axialStiffness / length, s), from + s * way);
    }

    /// <summary>
    /// Peak force, N, of a weight that falls freely on a line: W·(1 + √(1 + 2·k·h/W)) (energy balance; Timoshenko, "Strength of
    /// Materials").
    /// </summary>
    /// <param name="weight">W, N.</param>
    /// <param name="stiffness">k, N/m.</param>
    /// <param name="drop">h, m.</param>
    public static double PeakForce(double weight, double stiffness, double drop) => weight
        * (1 + Math.Sqrt(1 + 2 * stiffness * drop / weight));
}
