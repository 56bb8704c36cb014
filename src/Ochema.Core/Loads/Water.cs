namespace Ochema.Core.Loads;

/// <summary>Water on what it meets: fresh water, calm or as a wave.</summary>
public static class Water
{
    /// <summary>Density of fresh water, kg/m³; the sea's 2.5 % more is within the doubt of a wave.</summary>
    public const double Density = 1000;

    /// <summary>
    /// A wave that slams into a member against the water's steady drag: 3.0 on round ones whose drag is 1.2 (DNV-RP-C205, smooth cylinders; from memory), flat
    /// ones likewise (judgement, 1–5).
    /// </summary>
    public const double Slam = 2.5;

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
