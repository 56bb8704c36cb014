namespace Ochema.Core.Joints;

/// <summary>
/// A ball between two plates, each with a hole that it sits in. The rim of a hole touches it on a circle: from the closing axis that lies
/// at φ, sin φ = h ÷ d.
/// A closing force F presses the ball there with F ÷ cos φ, on a radius of (d ÷ 2)·sin φ about the closing axis (statics; derived).
/// </summary>
/// <param name="Closing">What draws the plates together, N.</param>
/// <param name="Ball">Across, m.</param>
/// <param name="Hole">Across, m; smaller than the ball.</param>
/// <param name="Friction">Between ball and rim.</param>
public readonly record struct PlateGrip(double Closing, double Ball, double Hole, double Friction)
{
    private const int Round = 48;

    /// <summary>Angle from the closing axis to where it is touched, rad.</summary>
    public double Angle => Math.Asin(Math.Clamp(Hole / Ball, 0, 0.999));

    /// <summary>Torque that turns it about the closing axis, N·m: both rims, 2·μ·(F ÷ cos φ)·(d ÷ 2)·sin φ = μ·F·d·tan φ.</summary>
    public double Twist => Friction * Closing * Ball * Math.Tan(Angle);

    /// <summary>Torque that tips it about an axis across, N·m: each bit of the rims at its own distance from that axis.</summary>
    public double Tip
    {
        get
        {
            var (sin, mean) = (Math.Sin(Angle), 0.0);
            for (var i = 0; i < Round; i++)
                mean += Math.Sqrt(1 - Math.Pow(sin * Math.Cos(2 * Math.PI * (i + 0.5) / Round), 2)) / Round;
            return Friction * Closing / Math.Cos(Angle) * Ball * mean;
        }
    }

    /// <summary>The lesser of both, N·m.</summary>
    public double Torque => Math.Min(Twist, Tip);

    /// <summary>Between the plates, m: twice what the rims lie from the ball's middle.</summary>
    public double Gap => Ball * Math.Cos(Angle);
}
