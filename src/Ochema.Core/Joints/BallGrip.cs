namespace Ochema.Core.Joints;

/// <summary>
/// Two half shells closed on a ball. Contact is taken on a ring halfway between the pole of each shell and its rim, 45° from the closing
/// axis, where spherical shells that do not quite fit touch: there a force F presses each shell on with F·√2 normal to the ball, on a
/// radius of r·√½ about the closing axis.
/// </summary>
/// <param name="Closing">Force that draws the two shells together at this ball, N.</param>
/// <param name="Diameter">Of the ball, m.</param>
/// <param name="Friction">Between shell and ball.</param>
public readonly record struct BallGrip(double Closing, double Diameter, double Friction)
{
    /// <summary>Balls and sockets of one nominal size differ by no more than this, m (judgement, 0.2–0.6 mm).</summary>
    public const double Fits = 0.0005;

    /// <summary>
    /// Torque that turns the ball, N·m, about the axis where it turns most easily, the closing axis: 2·μ·(F·√2)·(r·√½) = μ·F·d.
    /// </summary>
    public double Torque => Friction * Closing * Diameter;

    /// <summary>
    /// Pull that draws the ball out, N: it spreads the shells over a slope of 45°, each with half of it; friction, which helps, is left
    /// out.
    /// </summary>
    public double Pull => 2 * Closing;

    /// <summary>
    /// A double socket arm: one screw between two balls closes both, each with half its force.
    /// </summary>
    /// <param name="preload">Of the screw, N.</param>
    public static BallGrip OfDoubleSocket(double preload, double diameter, double friction) => new(preload / 2, diameter, friction);

    /// <summary>Why a ball does not go into a socket made for another, in words; null where it does.</summary>
    public string? Misfit(double ball) => Math.Abs(ball - Diameter) <= Fits ? null
        : $"the socket is made for a ball of {Holes.Size(Diameter)}, this one is {Holes.Size(ball)} across";
}
