namespace Ochema.Core.Loads;

/// <summary>Unsteady air about a rig: gusts as a spectrum, what they do to a body, and what a body sheds.</summary>
public static class Turbulence
{
    /// <summary>Length of the gusts that a camera meets near the ground, m (judgement, 1–10).</summary>
    public const double Length = 3;

    /// <summary>Unrest of the air behind others and off the host itself, as a share of the speed (judgement, 0.02–0.08).</summary>
    public const double OwnShare = 0.03;

    /// <summary>Fluctuating lift of a round member, root mean square coefficient (Blevins, "Flow-Induced Vibration": 0.1–0.6; from
    /// memory).</summary>
    public const double Lift = 0.35;

    /// <summary>Bandwidth of shedding, share of its frequency (Vickery and Clark 1972; from memory).</summary>
    public const double SheddingBandwidth = 0.10;

    /// <summary>Diameters over which shedding keeps step (Blevins: 3–6; from memory).</summary>
    public const double InStep = 4;

    /// <summary>
    /// Spectrum of the speed, (m/s)²/Hz: 4σ²·(L/V)/(1 + 70.8·(f·L/V)²)^(5/6) (von Kármán, as in ESDU 85020). Its integral over all
    /// frequencies is σ².
    /// </summary>
    /// <param name="sigma">Root mean square of the speed, m/s.</param>
    /// <param name="mean">Mean relative wind, m/s.</param>
    /// <param name="length">L, m.</param>
    public static double Spectrum(double sigma, double mean, double frequency, double length = Length)
    {
        var n = frequency * length / mean;
        return 4 * sigma * sigma * length / mean / Math.Pow(1 + 70.8 * n * n, 5.0 / 6);
    }

    /// <summary>Share of the quasi-steady force, squared, that small gusts keep on a body of size b, m: 1/(1 + (2·f·b/V)^(4/3))² (Vickery;
    /// from memory).</summary>
    public static double Admittance(double frequency, double size, double mean) => 1
        / Math.Pow(1 + Math.Pow(2 * frequency * size / mean, 4.0 / 3), 2);

    /// <summary>
    /// Spectrum, 1/Hz, of shedding of unit variance about its frequency f_s: exp(−((1 − f/f_s)/B)²)/(√π·B·f_s) (Vickery and Clark 1972).
    /// Its integral is 1.
    /// </summary>
    public static double Shedding(double frequency, double at)
    {
        var x = (1 - frequency / at) / SheddingBandwidth;
        return Math.Exp(-x * x) / (Math.Sqrt(Math.PI) * SheddingBandwidth * at);
    }
}
