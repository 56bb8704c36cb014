namespace Ochema.Core.Loads;

/// <summary>What clings to a rig: a film of rain, ice all round.</summary>
/// <param name="Ice">Thickness of the ice, m.</param>
/// <param name="Film">Thickness of the water that hangs on it, m.</param>
public readonly record struct Coat(double Ice, double Film)
{
    /// <summary>Of glaze, kg/m³ (ISO 12494 and ASCE 7 ch. 10; from memory).</summary>
    public const double IceDensity = 900;

    /// <summary>Water that hangs on what rain has met all over, m (judgement, 0.1–0.5 mm).</summary>
    public const double Hangs = 0.0003;

    /// <summary>Mass on a length, kg/m: π·t·(d + t)·ρ on what is d across (ASCE 7 ch. 10, the circumscribing circle; from
    /// memory).</summary>
    /// <param name="across">m.</param>
    public double Along(double across) => Math.PI * (Ice * (across + Ice) * IceDensity + Film * (across + 2 * Ice) * Water.Density);

    /// <summary>Mass on a surface, kg.</summary>
    /// <param name="area">m².</param>
    public double On(double area) => area * (Ice * IceDensity + Film * Water.Density);

    /// <summary>Surface of a body, m², by its three silhouettes (or two of them): what stands out of a box is twice their sum.</summary>
    /// <param name="silhouettes">m².</param>
    public static double Surface(IReadOnlyCollection<double> silhouettes) => silhouettes.Count == 0 ? 0 : 6 * silhouettes.Average();

    /// <summary>A silhouette with the ice round it, m²: of a square as large.</summary>
    /// <param name="area">m².</param>
    public double Grown(double area) => Math.Pow(Math.Sqrt(area) + 2 * Ice, 2);

    /// <summary>True where nothing clings.</summary>
    public bool IsNone => Ice == 0 && Film == 0;
}
