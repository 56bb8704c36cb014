namespace Ochema.Core.Loads;

/// <summary>The standard atmosphere below 11 km (ISO 2533:1975), with the day's temperature.</summary>
public static class Atmosphere
{
    public const double SeaLevelPressure = 101325;
    public const double SeaLevelTemperature = 288.15;
    private const double LapseRate = 0.0065;
    private const double GasConstant = 287.05287;
    private const double Gravity = 9.80665;

    /// <summary>Standard temperature, K, at a geopotential altitude in m.</summary>
    public static double StandardTemperature(double altitude) => SeaLevelTemperature - LapseRate * altitude;

    /// <summary>Pressure, Pa, at a pressure altitude in m.</summary>
    public static double Pressure(double altitude) =>
        SeaLevelPressure * Math.Pow(StandardTemperature(altitude) / SeaLevelTemperature, Gravity / (GasConstant * LapseRate));

    /// <summary>Density, kg/m³, at a pressure altitude (m) and the day's temperature (K).</summary>
    public static double Density(double altitude, double temperature) => Pressure(altitude) / (GasConstant * temperature);

    /// <summary>
    /// True airspeed over indicated at a pressure altitude (m) and temperature (K): √(ρ₀ ÷ ρ), for q = ½·ρ₀·IAS² = ½·ρ·TAS² (ISO 2533;
    /// compressibility and the
    /// instrument's own error left out).
    /// </summary>
    public static double TrueOverIndicated(double altitude, double temperature) =>
        Math.Sqrt(Density(0, SeaLevelTemperature) / Density(altitude, temperature));

    /// <summary>Kinematic viscosity, m²/s (Sutherland, ISO 2533).</summary>
    public static double KinematicViscosity(double altitude, double temperature) =>
        1.458e-6 * Math.Pow(temperature, 1.5) / (temperature + 110.4) / Density(altitude, temperature);
}
