namespace Ochema.Core.Stock;

/// <summary>Helical springs (Shigley's Mechanical Engineering Design, ch. 10).</summary>
public static class HelicalSpring
{
    /// <summary>Rate, N/m: G·d⁴/(8·D³·N).</summary>
    public static double Rate(double shearModulus, double wire, double coilDiameter, double coils) => shearModulus * Math.Pow(wire, 4)
        / (8 * Math.Pow(coilDiameter, 3) * coils);

    /// <summary>Rate after cutting n of N active coils: k·N/(N − n).</summary>
    public static double Trimmed(double rate, double coils, double cut) => rate * coils / (coils - cut);

    /// <summary>Wahl's factor of a spring index C = D/d: (4C − 1)/(4C − 4) + 0.615/C.</summary>
    public static double Wahl(double index) => (4 * index - 1) / (4 * index - 4) + 0.615 / index;

    /// <summary>Shear stress, Pa, that hard-drawn wire of a diameter, m, takes: 0.45 of 1783/d^0.190 MPa with d in mm (ASTM A227, Shigley
    /// table 10-4; from memory).</summary>
    public static double ShearAllowed(double wire) => 0.45 * 1783e6 / Math.Pow(wire * 1000, 0.190);
}
