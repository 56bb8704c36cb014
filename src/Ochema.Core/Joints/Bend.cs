using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>Bends in flat bar and sheet.</summary>
public static class Bend
{
    /// <summary>Strain of the outer fibre: t/(2R + t), middle of the sheet unstretched.</summary>
    public static double OuterFibreStrain(double thickness, double insideRadius) => thickness / (2 * insideRadius + thickness);

    /// <summary>
    /// Smallest inside radius, m: the handbook multiple of the thickness where there is one (a bend strains locally more than a tensile
    /// test says), else where the outer fibre reaches the elongation.
    /// </summary>
    public static double LeastRadius(Material m, double thickness) =>
        m.BendRatio is { } ratio ? ratio * thickness : Math.Max(0, thickness * (1 - m.Elongation) / (2 * m.Elongation));

    /// <summary>Length of flat stock in a bend, m: angle·(R + K·t), K 0.33 for tight and 0.5 for wide bends (usual shop rule).</summary>
    public static double Allowance(double angle, double insideRadius, double thickness) => angle
        * (insideRadius + (insideRadius < thickness ? 0.33 : insideRadius < 3 * thickness ? 0.4 : 0.5) * thickness);
}
