namespace Ochema.Core.Loads;

/// <summary>Largest response of an undamped mass on a spring to a half-sine pulse of its base, over the pulse's amplitude (Harris' Shock
/// and Vibration Handbook, ch. 8).</summary>
public static class HalfSine
{
    /// <param name="x">Natural frequency × duration of the pulse.</param>
    public static double Spectrum(double x)
    {
        if (x <= 0)
            return 0;
        // Near x = ½ both forms tend to π/2.
        if (Math.Abs(x - 0.5) < 1e-6)
            return Math.PI / 2;
        var after = Math.Abs(4 * x * Math.Cos(Math.PI * x) / (1 - 4 * x * x));
        var during = 0.0;
        if (x > 0.5)
            for (var k = 1; k < (2 * x + 1) / 2 + 1; k++)
                if (2 * Math.PI * k / (2 * x + 1) < Math.PI)
                    during = Math.Max(during, 2 * x / (2 * x - 1) * Math.Sin(2 * Math.PI * k / (2 * x + 1)));
        return Math.Max(after, during);
    }

    /// <summary>
    /// Share of a mode's answer that goes along with the pulse, and so adds to others as it is: the pulse over the answer for stiff modes
    /// (Lindley and Yow 1980), none for slow ones, which answer when the pulse is over.
    /// </summary>
    /// <param name="x">Natural frequency × duration of the pulse.</param>
    public static double InPhase(double x) => x <= Slow ? 0 : Math.Min(1, 1 / Spectrum(x)) * Math.Min(1, (x - Slow) / (Along - Slow));

    /// <summary>Modes below follow after the pulse, above with it (between: judgement, checked against time histories).</summary>
    private const double Slow = 0.3;
    private const double Along = 0.7;
}
