namespace Ochema.Core.Joints;

/// <summary>Helical springs (Shigley's Mechanical Engineering Design, ch. 10).</summary>
public static class HelicalSpring
{
    /// <summary>Rate, N/m: G·d⁴/(8·D³·N).</summary>
    public static double Rate(double shearModulus, double wire, double coilDiameter, double coils) => shearModulus * Math.Pow(wire, 4) / (8 * Math.Pow(coilDiameter, 3) * coils);

    /// <summary>Rate after cutting n of N active coils: k·N/(N − n).</summary>
    public static double Trimmed(double rate, double coils, double cut) => rate * coils / (coils - cut);
}
