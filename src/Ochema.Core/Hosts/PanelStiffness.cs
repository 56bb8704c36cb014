using Ochema.Core.Stock;

namespace Ochema.Core.Hosts;

/// <summary>What sheet metal under a hold gives way: a spring against push-pull, one against rocking.</summary>
public static class PanelStiffness
{
    /// <summary>Bending stiffness of a plate, N·m: D = E·t³/(12(1−ν²)).</summary>
    public static double Plate(double youngsModulus, double thickness, double poisson) =>
        youngsModulus * thickness * thickness * thickness / (12 * (1 - poisson * poisson));

    /// <summary>
    /// Push-pull, N/m: a clamped circular plate under a central load, 16πD/a² (Timoshenko and Woinowsky-Krieger, "Theory of Plates
    /// and Shells", art. 19), plus a shallow spherical shell under a point load, 4·E·t²/(R·√(3(1−ν²))) (Reissner 1946).
    /// </summary>
    /// <param name="a">Clear radius, m.</param>
    /// <param name="crown">Crown radius R, m.</param>
    public static double Normal(Material m, double thickness, double a, double crown)
    {
        var d = Plate(m.YoungsModulus, thickness, m.PoissonRatio);
        var shell = 4 * m.YoungsModulus * thickness * thickness / (crown * Math.Sqrt(3 * (1 - m.PoissonRatio * m.PoissonRatio)));
        return 16 * Math.PI * d / (a * a) + shell;
    }

    /// <summary>
    /// Rocking of a rigid disc of radius b, N·m/rad: 4πD/[ln(a/b) − (a²−b²)/(a²+b²)] (clamped plate with a rigid disc under a moment,
    /// from the plate equation).
    /// </summary>
    public static double Rocking(Material m, double thickness, double a, double b)
    {
        // A disc as wide as the clear field would be infinitely stiff; the formula is kept where a plate is left to bend.
        var ratio = Math.Max(a / b, 1.3);
        var square = ratio * ratio;
        return 4 * Math.PI * Plate(m.YoungsModulus, thickness, m.PoissonRatio) / (Math.Log(ratio) - (square - 1) / (square + 1));
    }

    /// <summary>In-plane, N/m: a rigid disc pushing a wide sheet, about 2π·E·t/((1+ν)·ln(a/b)·2); stiff beside all else (order of
    /// magnitude, derived for a fixed rim).</summary>
    public static double InPlane(Material m, double thickness, double a, double b) =>
        2 * Math.PI * m.YoungsModulus * thickness / ((1 + m.PoissonRatio) * 2 * Math.Log(Math.Max(a / b, 1.3)));

    /// <summary>Two stiffnesses one behind the other.</summary>
    public static double Series(double k1, double k2) => k1 * k2 / (k1 + k2);
}
