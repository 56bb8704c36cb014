namespace Ochema.Core.Joints;

/// <summary>
/// A parallelogram arm held up by an extension spring from a point above its lower pivot to a point along the link. All angles from
/// level, up positive; statics from the moment about the pivot.
/// </summary>
/// <param name="Link">Pivot to pivot, m.</param>
/// <param name="Along">Spring's point along the link from the pivot, m.</param>
/// <param name="Above">Spring's other point above the pivot, m.</param>
/// <param name="Rate">Rate of all springs together, N/m.</param>
/// <param name="FreeLength">Length at which the coils begin to open, m.</param>
/// <param name="InitialTension">Tension there, all together, N.</param>
public sealed record ParallelogramArm(double Link, double Along, double Above, double Rate, double FreeLength, double InitialTension)
{
    /// <summary>Spring length, m, at an angle: √(a² + c² − 2ac·sin θ).</summary>
    public double SpringLength(double angle) => Math.Sqrt(Along * Along + Above * Above - 2 * Along * Above * Math.Sin(angle));

    /// <summary>Spring tension, N, at an angle.</summary>
    public double Tension(double angle) => Math.Max(0, InitialTension + Rate * (SpringLength(angle) - FreeLength));

    /// <summary>Moment that lifts, N·m, at an angle: T·a·c·cos θ/s.</summary>
    public double Lift(double angle) => Tension(angle) * Along * Above * Math.Cos(angle) / SpringLength(angle);

    /// <summary>
    /// The angle it comes to rest at with a mass at its end, kg (links included at their half), rad: m·g·L·cos θ = lift. The cosine
    /// cancels, so the spring's length is m·g·L·s = a·c·(T₀ + k·(s − s₀)). Null when no length does: it goes to a stop.
    /// </summary>
    public double? Rest(double mass)
    {
        var (w, ac) = (mass * Loads.MotionProfile.Gravity * Link, Along * Above);
        var divisor = w - ac * Rate;
        if (Math.Abs(divisor) < 1e-9)
            return null;
        var s = ac * (InitialTension - Rate * FreeLength) / divisor;
        var sine = (Along * Along + Above * Above - s * s) / (2 * ac);
        return s > 0 && Math.Abs(sine) < 0.97 ? Math.Asin(sine) : null;
    }

    /// <summary>Vertical stiffness at its end, N/m, about an angle: −dM/dθ ÷ L², with M the lift less the weight.</summary>
    public double VerticalRate(double angle)
    {
        var s = SpringLength(angle);
        var g = Along * Above * Math.Cos(angle);
        return g * g * (Rate * s - Tension(angle)) / (s * s * s) / (Link * Link);
    }

    /// <summary>Rate that would hold a mass level, N/m, with the same free length and initial tension.</summary>
    public double LevelRate(double mass)
    {
        var s = SpringLength(0);
        return (mass * Loads.MotionProfile.Gravity * Link * s / (Along * Above) - InitialTension) / (s - FreeLength);
    }

    /// <summary>Mass that it holds level, kg.</summary>
    public double LevelMass => Lift(0) / (Loads.MotionProfile.Gravity * Link);
}
