using Ochema.Core.Structure;

namespace Ochema.Core.Loads;

/// <summary>Drag coefficients on frontal area (Hoerner, "Fluid-Dynamic Drag", 1965, ch. 3).</summary>
public static class Drag
{
    /// <summary>A cube or box, flat face to the wind.</summary>
    public const double Cube = 1.05;

    /// <summary>A thin square plate across the wind.</summary>
    public const double SquarePlate = 1.17;

    /// <summary>A square tube across the wind.</summary>
    public const double SquareTube = 2.0;

    /// <summary>Below this Reynolds number a round member keeps its full drag.</summary>
    public const double CriticalReynolds = 2e5;

    /// <summary>A long cylinder: 1.2 up to Re = 2·10⁵, falling to 0.3 at 5·10⁵ (straight in log Re), then slowly rising to 0.6.</summary>
    public static double Cylinder(double reynolds)
    {
        if (reynolds <= CriticalReynolds)
            return 1.2;
        if (reynolds <= 5e5)
            return 1.2 - 0.9 * Math.Log(reynolds / CriticalReynolds) / Math.Log(5e5 / CriticalReynolds);
        return Math.Min(0.6, 0.3 + 0.3 * Math.Log10(reynolds / 5e5));
    }

    /// <summary>
    /// Force per length, N/m, on a straight member at dynamic pressure 1 Pa: the wind's part across it counts
    /// (cross-flow principle, Hoerner ch. 3 section 5).
    /// </summary>
    public static Vec3 OnMember(Vec3 windDirection, Vec3 axis, double width, double coefficient)
    {
        var across = windDirection.PerpendicularTo(axis);
        return coefficient * width * across.Length * across;
    }

    /// <summary>Shedding frequency, Hz, of a round member: f = 0.2·V/d (Strouhal number 0.2; Blevins, "Flow-Induced Vibration").</summary>
    public static double SheddingFrequency(double speed, double diameter) => 0.2 * speed / diameter;
}
