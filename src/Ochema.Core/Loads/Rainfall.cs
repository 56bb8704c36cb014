using System.ComponentModel;

namespace Ochema.Core.Loads;

/// <summary>How hard it rains.</summary>
public enum Rain
{
    [Description("none")]
    None,

    /// <summary>10 mm an hour.</summary>
    [Description("steady rain")]
    Steady,

    /// <summary>50 mm an hour: from there on meteorologists call it violent.</summary>
    [Description("downpour")]
    Downpour,
}

/// <summary>Rain as loads and as what is seen through it, by its rate in mm an hour.</summary>
public static class Rainfall
{
    /// <summary>Rate, mm/h (common practice of weather services: heavy from some 10, violent from 50; from memory).</summary>
    public static double Rate(Rain rain) => rain switch
    {
        Rain.None => 0,
        Rain.Steady => 10,
        _ => 50,
    };

    /// <summary>Water in the air, kg/m³: 72·R^0.88 mg/m³ (Marshall and Palmer, J. Meteorology 5, 1948; from memory).</summary>
    public static double WaterInAir(Rain rain) => 72e-6 * Math.Pow(Rate(rain), 0.88);

    /// <summary>
    /// Drops in a cubic metre: N₀/Λ, N₀ = 8000 per m³ and mm, Λ = 4.1·R^−0.21 per mm (the same; from memory). Most are smaller than a
    /// millimetre.
    /// </summary>
    public static double Drops(Rain rain) => rain == Rain.None ? 0 : 8000 / 4.1 * Math.Pow(Rate(rain), 0.21);

    /// <summary>How fast drops of a millimetre and a half fall, m/s: 9.65 − 10.3·e^(−0.6·D), D in mm (Atlas, Srivastava and Sekhon, 1973;
    /// from memory).</summary>
    public static double Falls { get; } = 9.65 - 10.3 * Math.Exp(-0.6 * 1.5);

    /// <summary>
    /// How far one sees, m: 3.91 ÷ σ, σ = 0.25·R^0.63 per km (Koschmieder; Atlas, 1953; from memory); null where it does not rain.
    /// </summary>
    public static double? Seen(Rain rain) => rain == Rain.None ? null : 1000 * 3.912 / (0.25 * Math.Pow(Rate(rain), 0.63));

    /// <summary>Push of drops that meet a face at a speed, Pa: their water is stopped there, so M·v².</summary>
    /// <param name="meets">m/s.</param>
    public static double Push(Rain rain, double meets) => WaterInAir(rain) * meets * meets;
}
