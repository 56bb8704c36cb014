namespace Ochema.Core.Loads;

/// <summary>Water on what it meets: fresh water, calm or as a wave.</summary>
public static class Water
{
    /// <summary>Density of fresh water, kg/m³; the sea's 2.5 % more is within the doubt of a wave.</summary>
    public const double Density = 1000;

    /// <summary>
    /// Slam of a wave on a round member, on its width: 3.0 (DNV-RP-C205, smooth cylinders, not less; from memory) against a steady drag of
    /// 1.2.
    /// </summary>
    public const double RoundSlam = 3.0;

    /// <summary>Slam of a wave on a flat face, on its area: 2π (DNV-RP-C205, flat bottoms, not less; von Kármán 1929; from
    /// memory).</summary>
    public const double FlatSlam = 2 * Math.PI;

    /// <summary>
    /// What a mount sways at that a wave hits, rad/s: 40 Hz (judgement, 10–80). A camera is covered in some milliseconds, long before its
    /// mount has given way, so that not the force of the slam counts but its push.
    /// </summary>
    public const double Sways = 2 * Math.PI * 40;

    /// <summary>
    /// Water that a small flat face has to push aside as it goes in, m³: half of a disc's added mass, 4/3·R³ (Lamb, "Hydrodynamics", art.
    /// 102), of a disc as large as the face.
    /// </summary>
    /// <param name="area">Of the face, m².</param>
    public static double PushedAside(double area) => 4.0 / 3 * Math.Pow(area / Math.PI, 1.5);

    /// <summary>
    /// Force, N, that holds as much as a wave's slam on a small flat face: its push ρ·v·(water pushed aside), times what the mount sways at
    /// (response to a push, m·v = F ÷ ω).
    /// </summary>
    /// <param name="area">Of the face, m².</param>
    /// <param name="speed">Of the water against it, m/s.</param>
    public static double Hit(double area, double speed) => Density * PushedAside(area) * speed * Sways;

    /// <summary>Dynamic pressure, Pa, at a speed, m/s.</summary>
    public static double Pressure(double speed) => 0.5 * Density * speed * speed;

    /// <summary>Added mass of a round member that moves across in water, kg/m: that of the water it displaces (potential flow).</summary>
    public static double AddedMass(double diameter) => Density * Math.PI / 4 * diameter * diameter;

    /// <summary>Share of a straight member, 0…1, that lies lower than a height; its ends' heights, m.</summary>
    public static double Share(double from, double to, double height)
    {
        var (low, high) = (Math.Min(from, to), Math.Max(from, to));
        return high <= height ? 1 : low >= height ? 0 : (height - low) / (high - low);
    }
}
