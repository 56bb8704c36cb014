namespace Ochema.Core.Loads;

/// <summary>
/// A regular wave at a host: linear (Airy) theory. Its own water moves, whatever the host does: at anchor that is all there is.
/// </summary>
/// <param name="Amplitude">Crest over still water, m; its trough is as deep.</param>
/// <param name="Depth">Of the water, m; infinite where nobody says.</param>
public sealed record Wave(double Amplitude, double Depth = double.PositiveInfinity)
{
    /// <summary>
    /// Lengths of a wind chop in heights (judgement, 10–30; at 7 it breaks: Michell 1893). With it the period follows from the height.
    /// </summary>
    public const double Lengths = 14;

    /// <summary>Crest over trough, m.</summary>
    public double Height => 2 * Amplitude;

    /// <summary>Crest to crest, m.</summary>
    public double Length => Lengths * Height;

    /// <summary>2π ÷ length, 1/m.</summary>
    public double Number => 2 * Math.PI / Length;

    /// <summary>Time from crest to crest, s: ω² = g·k·tanh(k·d) (linear dispersion; Dean and Dalrymple, Water Wave Mechanics, ch.
    /// 3).</summary>
    public double Period => 2 * Math.PI / Math.Sqrt(MotionProfile.Gravity * Number * Tanh);

    /// <summary>
    /// Speed of the water under the crest, along the wave, m/s: at the surface π·H/T in deep water, more in shallow, falling with depth as
    /// cosh(k·(z + d)) ÷ sinh(k·d); over still water as at its level (Dean and Dalrymple, ch. 4).
    /// </summary>
    /// <param name="z">Over still water, m; under it is negative.</param>
    public double Speed(double z) => Amplitude <= 0 ? 0 : Math.PI * Height / Period * Decay(Math.Min(0, z));

    private double Tanh => double.IsInfinity(Depth) ? 1 : Math.Tanh(Number * Depth);

    private double Decay(double z) => Number * Depth > Deep ? Math.Exp(Number * z)
        : Math.Cosh(Number * Math.Max(0, z + Depth)) / Math.Sinh(Number * Depth);

    /// <summary>k·d beyond which water is deep: tanh is 1 to five digits, and cosh has no bound.</summary>
    private const double Deep = 6;
}
