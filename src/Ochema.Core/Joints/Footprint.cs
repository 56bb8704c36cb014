using Ochema.Core.Structure;

namespace Ochema.Core.Joints;

/// <summary>What a foot stands on, in plan.</summary>
/// <param name="Corners">Along and across, m, in order round it.</param>
/// <param name="Friction">Radius at which friction acts against a twist, m.</param>
/// <param name="Area">What still presses when the load stands so far off its middle along and across, m²; 0 where it is past the
/// edge.</param>
public sealed record Footprint(IReadOnlyList<(double Along, double Across)> Corners, double Friction, Func<double, double, double> Area)
{
    private const int Sides = 24;

    /// <summary>
    /// A round foot: a polygon in its circle, which is on the low side. What presses is the part of it that the load stands in the middle
    /// of: twice the segment, 2·(r²·acos(e/r) − e·√(r² − e²)) (Meyerhof 1953 for circles, as in API RP 2A). Friction at two thirds of the
    /// radius, even pressure.
    /// </summary>
    /// <param name="diameter">m.</param>
    public static Footprint Round(double diameter)
    {
        var r = diameter / 2;
        return new([.. Enumerable.Range(0, Sides).Select(i => Math.SinCos(2 * Math.PI * i / Sides)).Select(a => (r * a.Cos, r * a.Sin))], 2
            * r / 3,
            (x, y) => Math.Sqrt(x * x + y * y) is var e && e < r ? 2 * (r * r * Math.Acos(e / r) - e * Math.Sqrt(r * r - e * e)) : 0);
    }

    /// <summary>A rectangle; what presses is (L − 2·e)·(W − 2·e′) (Meyerhof 1953). Friction at a third of its smaller side
    /// (judgement).</summary>
    /// <param name="length">m.</param>
    /// <param name="width">m.</param>
    public static Footprint Rectangle(double length, double width) => new(
        [(length / 2, width / 2), (length / 2, -width / 2), (-length / 2, -width / 2), (-length / 2, width / 2)], Math.Min(length, width) / 3,
        (x, y) => Math.Max(0, length - 2 * Math.Abs(x)) * Math.Max(0, width - 2 * Math.Abs(y)));

    /// <summary>Its corners on a surface.</summary>
    public IReadOnlyList<Vec3> On(Vec3 along, Vec3 across) => [.. Corners.Select(c => c.Along * along + c.Across * across)];
}
