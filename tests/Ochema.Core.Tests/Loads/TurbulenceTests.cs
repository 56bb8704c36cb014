using Ochema.Core.Loads;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>Gusts and shedding against what their sources state.</summary>
public class TurbulenceTests
{
    private static double Integral(Func<double, double> f, double from, double to, int steps = 200_000)
    {
        // Even in logarithms: spectra span decades.
        var (sum, ratio) = (0.0, Math.Pow(to / from, 1.0 / steps));
        for (var i = 0; i < steps; i++)
        {
            var (a, b) = (from * Math.Pow(ratio, i), from * Math.Pow(ratio, i + 1));
            sum += 0.5 * (f(a) + f(b)) * (b - a);
        }
        return sum;
    }

    [Theory] // ESDU 85020: the spectrum's integral is the variance
    [InlineData(1, 10)]
    [InlineData(2.5, 30)]
    public void GustsKeepTheirVariance(double sigma, double mean) =>
        Near.Share(sigma * sigma, Integral(f => Turbulence.Spectrum(sigma, mean, f), 1e-6, 1e6), 0.005);

    [Fact] // the inertial subrange falls with f^(−5/3) (Kolmogorov)
    public void FastGustsFallByFiveThirds() =>
        Near.Share(Math.Pow(10, -5.0 / 3), Turbulence.Spectrum(1, 20, 10_000) / Turbulence.Spectrum(1, 20, 1000), 1e-3);

    [Fact] // Vickery and Clark 1972: unit variance, peak 1/(√π·B·f_s) at the shedding frequency
    public void SheddingHasUnitVarianceAboutItsFrequency()
    {
        Near.Share(1, Integral(f => Turbulence.Shedding(f, 40), 1, 400), 1e-3);
        Near.Share(1 / (Math.Sqrt(Math.PI) * 0.1 * 40), Turbulence.Shedding(40, 40), 1e-12);
        Assert.True(Turbulence.Shedding(40, 40) > 100 * Turbulence.Shedding(60, 40));
    }

    [Fact] // quasi-steady for gusts much larger than the body; Strouhal number 0.2 (Blevins)
    public void LargeGustsPushInFullAndRodsSingAtTheirStrouhalFrequency()
    {
        Near.Share(1, Turbulence.Admittance(1e-5, 0.1, 20), 1e-6);
        Assert.True(Turbulence.Admittance(200, 0.1, 20) < 0.2);
        Near.Share(0.2 * 20 / 0.016, Drag.SheddingFrequency(20, 0.016), 1e-12);
    }
}
