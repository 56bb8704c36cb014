using System.Numerics;
using MathNet.Numerics.IntegralTransforms;

namespace Ochema.Core.Proving;

/// <summary>A peak of a spectrum with its damping.</summary>
/// <param name="Frequency">Hz.</param>
/// <param name="HalfPower">Damping ratio by the width at half power; 0 when the spectrum is too coarse for it.</param>
/// <param name="RingDown">Damping ratio by the decay of the filtered signal; 0 when it does not decay.</param>
public sealed record SpectrumPeak(double Frequency, double Level, double HalfPower, double RingDown);

/// <summary>Signals: even sampling, spectra, decay.</summary>
public static class Spectra
{
    /// <summary>Even samples by straight lines between the given ones, without mean and drift.</summary>
    public static double[] Even(double[] time, double[] values, double rate)
    {
        var n = (int)(time[^1] * rate) + 1;
        var even = new double[n];
        for (int i = 0, j = 0; i < n; i++)
        {
            var t = i / rate;
            while (j < time.Length - 2 && time[j + 1] < t)
                j++;
            var share = (t - time[j]) / (time[j + 1] - time[j]);
            even[i] = values[j] + share * (values[j + 1] - values[j]);
        }
        return Detrended(even);
    }

    /// <summary>Without its best straight line.</summary>
    public static double[] Detrended(double[] x)
    {
        var n = x.Length;
        var (middle, mean) = ((n - 1) / 2.0, x.Average());
        var slope = Enumerable.Range(0, n).Sum(i => (i - middle) * (x[i] - mean)) / Enumerable.Range(0, n)
            .Sum(i => (i - middle) * (i - middle));
        return [.. x.Select((v, i) => v - mean - slope * (i - middle))];
    }

    /// <summary>
    /// One-sided power spectral density by averaged, half overlapping Hann windows (Welch 1967): its integral is the variance.
    /// </summary>
    /// <returns>Frequencies, Hz, and density, unit²/Hz.</returns>
    public static (double[] Frequencies, double[] Density) Welch(double[] x, double rate, int segment)
    {
        segment = Math.Min(segment, x.Length);
        var window = Enumerable.Range(0, segment).Select(i => 0.5 - 0.5 * Math.Cos(2 * Math.PI * i / segment)).ToArray();
        var power = window.Sum(w => w * w);
        var sum = new double[segment / 2 + 1];
        var count = 0;
        for (var start = 0; start + segment <= x.Length; start += Math.Max(1, segment / 2), count++)
        {
            var f = new Complex[segment];
            for (var i = 0; i < segment; i++)
                f[i] = x[start + i] * window[i];
            Fourier.Forward(f, FourierOptions.Matlab);
            for (var k = 0; k < sum.Length; k++)
                sum[k] += (k == 0 || 2 * k == segment ? 1 : 2) * (f[k].Real * f[k].Real + f[k].Imaginary * f[k].Imaginary) / (rate * power);
        }
        return ([.. Enumerable.Range(0, sum.Length).Select(k => k * rate / segment)], [.. sum.Select(s => s / count)]);
    }

    /// <summary>The strongest peaks of an acceleration by their speed (density ÷ f², so that slow ones count), strongest first, each at
    /// least an octave's third from the others.</summary>
    public static IReadOnlyList<SpectrumPeak> Peaks(double[] x, double rate, double low, double high, int most = 4)
    {
        var segment = Math.Min(x.Length, (int)(rate * 20));
        var (f, s) = Welch(x, rate, segment);
        // A peak stands well above what the phone hums by itself: chance alone reaches some ten times the middle.
        var floor = 30 * s.Order().ElementAt(s.Length / 2);
        var list = new List<SpectrumPeak>();
        foreach (var k in Enumerable.Range(1, Math.Max(0, f.Length - 2)).Where(k =>
            f[k] >= low && f[k] <= high && s[k] > floor && s[k] > s[k - 1] && s[k] >= s[k + 1]
            && StandsOut(s, k)).OrderByDescending(k => s[k] / (f[k] * f[k])))
        {
            if (list.Count >= most || (list.Count > 0 && s[k] / (f[k] * f[k]) < 0.01 * list[0].Level
                / (list[0].Frequency * list[0].Frequency)))
                break;
            // A parabola through the logarithms places it between the lines.
            var (a, b, c) = (Math.Log(s[k - 1]), Math.Log(s[k]), Math.Log(s[k + 1]));
            var at = f[k] + 0.5 * (a - c) / (a - 2 * b + c) * (f[1] - f[0]);
            if (list.Any(p => Math.Abs(Math.Log(p.Frequency / at)) < 0.23))
                continue;
            list.Add(new(at, s[k], HalfPower(f, s, k, at), RingDown(x, rate, at)));
        }
        return list;
    }

    /// <summary>
    /// True where it falls to a fifth before it rises higher, on both sides: what rings down has a level ground of its own below its
    /// frequency, whose ripples are no modes.
    /// </summary>
    private static bool StandsOut(double[] s, int k)
    {
        bool Falls(int step)
        {
            for (var i = k + step; i >= 0 && i < s.Length && s[i] <= s[k]; i += step)
                if (s[i] < s[k] / 5)
                    return true;
            return false;
        }
        return Falls(-1) && Falls(+1);
    }

    /// <summary>ζ = Δf/(2f) between the points at half of the peak; 0 when fewer than four lines lie between.</summary>
    private static double HalfPower(double[] f, double[] s, int k, double at)
    {
        var (i, j) = (k, k);
        while (i > 0 && s[i] > s[k] / 2)
            i--;
        while (j < s.Length - 1 && s[j] > s[k] / 2)
            j++;
        if (j - i < 5)
            return 0;
        double Cross(int inside, int outside) => f[inside] + (s[inside] - s[k] / 2) / (s[inside] - s[outside]) * (f[outside] - f[inside]);
        return (Cross(j - 1, j) - Cross(i + 1, i)) / (2 * at);
    }

    /// <summary>Damping from the decay: the signal is kept round its peak, and a straight line laid through the logarithm of its envelope
    /// (logarithmic decrement).</summary>
    public static double RingDown(double[] x, double rate, double frequency)
    {
        var n = x.Length;
        var f = x.Select(v => new Complex(v, 0)).ToArray();
        Fourier.Forward(f, FourierOptions.Matlab);
        // Only the positive frequencies round the peak: what comes back is the signal with its envelope as magnitude.
        for (var k = 0; k < n; k++)
        {
            var at = k * rate / n;
            var away = Math.Abs(Math.Log(Math.Max(at, 1e-9) / frequency)) / 0.35;
            f[k] = k > n / 2 || away > 1 ? Complex.Zero : f[k] * (2 * Math.Cos(Math.PI / 2 * away));
        }
        Fourier.Inverse(f, FourierOptions.Matlab);
        var envelope = f.Select(c => c.Magnitude).ToArray();
        var top = Array.IndexOf(envelope, envelope.Max());
        var first = top + (int)(0.6 * rate / frequency);
        var (su, sv, suu, suv, m) = (0.0, 0.0, 0.0, 0.0, 0);
        for (var i = first; i < n && envelope[i] > 0.12 * envelope[top]; i++, m++)
        {
            var (u, v) = ((i - first) / rate, Math.Log(envelope[i]));
            (su, sv, suu, suv) = (su + u, sv + v, suu + u * u, suv + u * v);
        }
        if (m < 8)
            return 0;
        var slope = (m * suv - su * sv) / (m * suu - su * su);
        return Math.Max(0, -slope / (2 * Math.PI * frequency));
    }
}
