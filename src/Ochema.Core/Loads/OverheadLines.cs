namespace Ochema.Core.Loads;

/// <summary>How far from an energised overhead line anything has to stay (29 CFR 1926.1408, table A; 29 CFR 1910.333(c)(3) is no
/// stricter).</summary>
public static class OverheadLines
{
    private const double Foot = 0.3048;

    /// <summary>Up to a voltage, V, so far, m.</summary>
    private static readonly (double UpTo, double Away)[] Table =
        [(50e3, 10 * Foot), (200e3, 15 * Foot), (350e3, 20 * Foot), (500e3, 25 * Foot), (750e3, 35 * Foot), (1000e3, 45 * Foot)];

    /// <summary>Of the lines along roads and to houses, m: 10 ft.</summary>
    public static double Usual => Table[0].Away;

    /// <summary>Of the highest that there are, on lattice towers, m: 45 ft.</summary>
    public static double Highest => Table[^1].Away;

    /// <summary>Distance to keep from a line, m.</summary>
    /// <param name="voltage">Between its wires, V.</param>
    /// <exception cref="ArgumentOutOfRangeException">Over a million volts, where whoever runs the line says how far.</exception>
    public static double Away(double voltage) => Table.FirstOrDefault(t => voltage <= t.UpTo) is { Away: > 0 } row ? row.Away
        : throw new ArgumentOutOfRangeException(nameof(voltage), voltage, "over 1,000 kV whoever runs the line says how far");
}
