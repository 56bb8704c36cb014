namespace Ochema.Core.Stock;

/// <summary>Shapes of cross-sections.</summary>
public enum SectionShape
{
    Flat,
    Sheet,
    Angle,
    Round,
    RoundTube,
    SquareTube,

    /// <summary>Solid timber.</summary>
    Batten,
}

/// <summary>
/// A cross-section's properties, SI. y is across (along the width), z the other way; Iy bends about y (over the height).
/// Formulas: Roark's Formulas for Stress and Strain, 7th ed., tables A.1 (areas) and 10.1 (torsion).
/// </summary>
/// <param name="Area">m².</param>
/// <param name="Iy">Second moment of area about y, m⁴.</param>
/// <param name="Iz">Second moment of area about z, m⁴.</param>
/// <param name="J">Torsion constant, m⁴.</param>
/// <param name="Cy">Farthest fibre from the y axis (along z), m.</param>
/// <param name="Cz">Farthest fibre from the z axis (along y), m.</param>
/// <param name="TorsionModulus">Torque over largest shear stress, m³.</param>
/// <param name="DragWidth">Width that meets the air, m.</param>
/// <param name="Round">True for round outsides.</param>
public sealed record Section(double Area, double Iy, double Iz, double J, double Cy, double Cz, double TorsionModulus, double DragWidth,
    bool Round)
{
    public double ModulusY => Iy / Cy;
    public double ModulusZ => Iz / Cz;

    /// <summary>Smallest radius of gyration, m.</summary>
    public double RadiusOfGyration => Math.Sqrt(Math.Min(Iy, Iz) / Area);

    /// <summary>Properties of a shape from its measures, m.</summary>
    public static Section Of(SectionShape shape, double width, double height, double wall) => shape switch
    {
        SectionShape.Round => Tube(width, 0),
        SectionShape.RoundTube => Tube(width, Math.Max(0, width - 2 * wall)),
        SectionShape.SquareTube => Box(width, wall),
        SectionShape.Angle => EqualAngle(width, wall),
        _ => Rectangle(width, height),
    };

    /// <summary>
    /// What is left of a section with a hole right through it along z, in the middle of its width. An angle is drilled through one leg: its
    /// moduli shrink as its area does (judgement).
    /// </summary>
    /// <param name="hole">Diameter of the hole, m; 0 for none.</param>
    public static Section Drilled(SectionShape shape, double width, double height, double wall, double hole)
    {
        var whole = Of(shape, width, height, wall);
        if (hole <= 0)
            return whole;
        // What is drilled wider than it is, is all but gone.
        hole = Math.Min(hole, 0.95 * width);
        switch (shape)
        {
            case SectionShape.Flat or SectionShape.Batten:
                return Rectangle(width - hole, height) with { DragWidth = whole.DragWidth };
            case SectionShape.Angle:
                var share = 1 - hole * wall / whole.Area;
                return whole with
                {
                    Area = share * whole.Area,
                    Iy = share * whole.Iy,
                    Iz = share * whole.Iz,
                    TorsionModulus = share
                    * whole.TorsionModulus
                };
            case SectionShape.SquareTube:
                var arm = (width - wall) / 2;
                var flat = 2 * hole * wall;
                return Left(whole, flat, flat * arm * arm + flat * wall * wall / 12, flat * hole * hole / 12);
            default:
                // Strips across the hole, from the inside of the wall to its outside, by the midpoint rule.
                var (outside, inside, strips) = (width / 2, shape == SectionShape.RoundTube ? Math.Max(0, width / 2 - wall) : 0, 64);
                var (area, about, along) = (0.0, 0.0, 0.0);
                for (var i = 0; i < strips; i++)
                {
                    var y = hole * ((i + 0.5) / strips - 0.5);
                    var (far, near) = (Math.Sqrt(outside * outside - y * y), Math.Sqrt(Math.Max(0, inside * inside - y * y)));
                    var wide = hole / strips;
                    area += 2 * wide * (far - near);
                    about += 2.0 / 3 * wide * (far * far * far - near * near * near);
                    along += 2 * wide * (far - near) * y * y;
                }
                return Left(whole, area, about, along) with { Round = false };
        }
    }

    /// <summary>Less what is drilled out; torsion shrinks as the area does (judgement).</summary>
    private static Section Left(Section whole, double area, double iy, double iz) => whole with
    {
        Area = whole.Area - area,
        Iy = whole.Iy - iy,
        Iz = whole.Iz - iz,
        TorsionModulus = whole.TorsionModulus * (1 - area / whole.Area),
    };

    /// <summary>A solid rectangle: width along y, height along z.</summary>
    public static Section Rectangle(double b, double h)
    {
        var (a, t) = (Math.Max(b, h), Math.Min(b, h));
        // Roark table 10.1 case 4, written for full sides a ≥ t.
        var j = a * t * t * t * (1.0 / 3 - 0.21 * t / a * (1 - Math.Pow(t / a, 4) / 12));
        // Largest shear stress T/(α·a·t²): Timoshenko and Goodier, "Theory of Elasticity", art. 109; fitted within 0.5 % by 1/(3 +
        // 1.8·t/a).
        return new(b * h, b * h * h * h / 12, h * b * b * b / 12, j, h / 2, b / 2, a * t * t / (3 + 1.8 * t / a), Math.Max(b, h), false);
    }

    private static Section Tube(double d, double inside)
    {
        var i = Math.PI / 64 * (Math.Pow(d, 4) - Math.Pow(inside, 4));
        return new(Math.PI / 4 * (d * d - inside * inside), i, i, 2 * i, d / 2, d / 2, 2 * i / (d / 2), d, true);
    }

    private static Section Box(double b, double t)
    {
        var c = b - 2 * t;
        var i = (Math.Pow(b, 4) - Math.Pow(c, 4)) / 12;
        var m = b - t;
        // Closed thin wall: J = 4·A_m²·t/s = t·m³, torque over stress 2·A_m·t (Bredt).
        return new(b * b - c * c, i, i, t * m * m * m, b / 2, b / 2, 2 * m * m * t, b, false);
    }

    private static Section EqualAngle(double b, double t)
    {
        var area = t * (2 * b - t);
        var centre = (b * b + (b - t) * t) / (2 * (2 * b - t));
        // About the leg axes through the centroid, then the smaller principal value: the angle bends about its weak axis.
        var leg = (t * b * b * b + (b - t) * t * t * t) / 3 - area * centre * centre;
        var product = b * t * (b / 2 - centre) * (t / 2 - centre) + (b - t) * t * (t / 2 - centre) * (t + (b - t) / 2 - centre);
        var weak = leg - Math.Abs(product);
        var strong = leg + Math.Abs(product);
        var j = (2 * b - t) * t * t * t / 3;
        var far = b / Math.Sqrt(2);
        return new(area, weak, strong, j, centre * Math.Sqrt(2), far, j / t, b, false);
    }
}
