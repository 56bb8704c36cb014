namespace Ochema.Core.Structure;

/// <summary>A vector in host axes: x forward, y left, z up (ISO 8855). Unit: that of the quantity it carries.</summary>
public readonly record struct Vec3(double X, double Y, double Z)
{
    public static readonly Vec3 Zero = new(0, 0, 0);
    public static readonly Vec3 UnitX = new(1, 0, 0);
    public static readonly Vec3 UnitY = new(0, 1, 0);
    public static readonly Vec3 UnitZ = new(0, 0, 1);

    public double Length => Math.Sqrt(X * X + Y * Y + Z * Z);

    public static Vec3 operator +(Vec3 a, Vec3 b) => new(a.X + b.X, a.Y + b.Y, a.Z + b.Z);

    public static Vec3 operator -(Vec3 a, Vec3 b) => new(a.X - b.X, a.Y - b.Y, a.Z - b.Z);

    public static Vec3 operator -(Vec3 a) => new(-a.X, -a.Y, -a.Z);

    public static Vec3 operator *(double s, Vec3 a) => new(s * a.X, s * a.Y, s * a.Z);

    public static Vec3 operator *(Vec3 a, double s) => s * a;

    public double Dot(Vec3 b) => X * b.X + Y * b.Y + Z * b.Z;

    public Vec3 Cross(Vec3 b) => new(Y * b.Z - Z * b.Y, Z * b.X - X * b.Z, X * b.Y - Y * b.X);

    /// <summary>The same direction with length one. The zero vector stays zero.</summary>
    public Vec3 Normalized() => Length is > 0 and var n ? (1 / n) * this : Zero;

    /// <summary>The part of this vector at right angles to the unit vector <paramref name="n"/>.</summary>
    public Vec3 PerpendicularTo(Vec3 n) => this - Dot(n) * n;

    /// <summary>Turned by <paramref name="angle"/> radians about the unit vector <paramref name="axis"/> (Rodrigues).</summary>
    public Vec3 RotatedAbout(Vec3 axis, double angle)
    {
        var (s, c) = Math.SinCos(angle);
        return c * this + s * axis.Cross(this) + (1 - c) * axis.Dot(this) * axis;
    }

    /// <summary>This unit vector with two that stand at right angles to it and to each other.</summary>
    public (Vec3 X, Vec3 Y, Vec3 Z) Frame()
    {
        var side = Cross(Math.Abs(X) < 0.9 ? UnitX : UnitY).Normalized();
        return (this, side, Cross(side));
    }

    public double[] ToArray() => [X, Y, Z];

    public static Vec3 From(IReadOnlyList<double> a) => new(a[0], a[1], a[2]);
}
