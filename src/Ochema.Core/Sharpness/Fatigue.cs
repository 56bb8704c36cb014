using Ochema.Core.Stock;

namespace Ochema.Core.Sharpness;

/// <summary>
/// Life under random vibration by the three-band method (Steinberg, "Vibration Analysis for Electronic Equipment"): the stress is at one
/// standard deviation for 68.3 % of the time, at two for 27.1 %, at three for 4.33 %; damages add (Miner).
/// </summary>
public static class Fatigue
{
    /// <summary>Shares of the time and multiples of the root mean square.</summary>
    public static IReadOnlyList<(double Share, double Multiple)> Bands { get; } = [(0.683, 1), (0.271, 2), (0.0433, 3)];

    /// <summary>Bends, holes and threads: stress concentration taken for what people make (judgement, 2–3).</summary>
    public const double Notch = 2.5;

    private const double LongestHours = 1e6;

    /// <summary>
    /// Cycles to a crack at a stress amplitude, Pa: from 0.9 of the tensile strength at 10³ to the endurance strength at 10⁶ (steel) or
    /// 5·10⁸ (aluminium), a straight line in logarithms (Shigley's Mechanical Engineering Design, ch. 6).
    /// </summary>
    public static double Cycles(Material m, double amplitude)
    {
        var steel = m.Family == MaterialFamily.Metal && m.YoungsModulus > 1.5e11;
        var (endurance, at) = m.Family == MaterialFamily.Metal ? steel ? (0.5 * m.UltimateStrength, 1e6) : (0.35 * m.UltimateStrength, 5e8)
            : (0.25 * m.UltimateStrength, 1e7);
        var high = 0.9 * m.UltimateStrength;
        if (amplitude >= high)
            return 1e3;
        var slope = Math.Log(high / endurance) / Math.Log(at / 1e3);
        // Steel below its endurance strength lasts; others go on along the line.
        if (steel && amplitude <= endurance)
            return double.PositiveInfinity;
        return 1e3 * Math.Pow(high / amplitude, 1 / slope);
    }

    /// <summary>Hours to a crack under a root mean square stress, Pa, at a frequency, Hz; the notch is counted in.</summary>
    public static double Hours(Material m, double rms, double frequency)
    {
        var damage = Bands.Sum(b => b.Share / Cycles(m, Notch * b.Multiple * rms)) * frequency * 3600;
        return damage > 0 ? Math.Min(LongestHours, 1 / damage) : LongestHours;
    }
}
