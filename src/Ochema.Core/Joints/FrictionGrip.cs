namespace Ochema.Core.Joints;

/// <summary>What friction joints can carry: clamps, hose clamps, split blocks, spring clamps. Coulomb friction throughout.</summary>
public static class FrictionGrip
{
    /// <summary>
    /// Share of what drew it together that rubber keeps once it has relaxed, in a screw's stack, under a band or in a clamp (judgement,
    /// 0.3–0.8).
    /// </summary>
    public const double SoftKeeps = 0.5;

    /// <summary>Two halves closed round a bar with a force F: slide 2·μ·F along it, torque μ·F·d about it (contact taken at two
    /// lines).</summary>
    public static (double Slide, double Torque) Halves(double closing, double diameter, double friction) =>
        (2 * friction * closing, friction * closing * diameter);

    /// <summary>A band of tension T round a bar: it presses with T/r over its whole length, 2π·T in all; slide 2π·μ·T, torque
    /// π·μ·T·d.</summary>
    public static (double Slide, double Torque) Band(double tension, double diameter, double friction) =>
        (2 * Math.PI * friction * tension, Math.PI * friction * tension * diameter);

    /// <summary>A jaw with a force F on two pads of radius r: slide 2·μ·F, torque about the jaw 2·(2/3)·μ·F·r (even pressure).</summary>
    public static (double Slide, double Torque) Jaw(double force, double padRadius, double friction) =>
        (2 * friction * force, 4.0 / 3 * friction * force * padRadius);

    /// <summary>A flat line under tension over a turn of angle φ, rad: what holds on the slack side times e^(μφ)
    /// (Euler–Eytelwein).</summary>
    public static double Capstan(double slackTension, double friction, double angle) => slackTension * Math.Exp(friction * angle);
}
