using System.Numerics;
using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Sharpness;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Published;

/// <summary>Roads, pulses and random response against published values and closed forms.</summary>
public class ShakeTests
{
    [Theory] // ISO 8608:1995, geometric means at n₀ = 0.1 cycles/m
    [InlineData('A', 16e-6)]
    [InlineData('B', 64e-6)]
    [InlineData('C', 256e-6)]
    [InlineData('D', 1024e-6)]
    [InlineData('E', 4096e-6)]
    public void RoadClasses(char road, double g) => Near.Share(g, RoadProfile.Unevenness(road), 1e-12);

    [Fact] // velocity spectrum of a w = 2 road is flat: (2πf)²·S = (2π)²·G·n₀²·V
    public void ARoadsVelocitySpectrumIsFlat()
    {
        foreach (var f in new[] { 0.5, 2, 9, 40.0 })
            Near.Share(4 * Math.PI * Math.PI * 64e-6 * 0.01 * 25, Math.Pow(2 * Math.PI * f, 2) * RoadProfile.Displacement(64e-6, 25, f),
                1e-12);
    }

    [Fact] // at rest on the tyre the body follows the road: |z̈/z|→ω² well below its own frequency
    public void ABodyFollowsSlowRoads()
    {
        var q = Ochema.Core.Hosts.CarHost.Rolling.Wheels;
        Near.Share(Math.Pow(2 * Math.PI * 0.05, 4), q.BodyGain(0.05), 0.03);
        // Body near 1.2 Hz, wheels near 11 Hz (common practice, no source: wheel hop at 8 to 16 Hz).
        var body = Math.Sqrt(1 / (1 / q.Spring + 1 / q.Tyre) / q.SprungMass) / (2 * Math.PI);
        var wheel = Math.Sqrt((q.Spring + q.Tyre) / q.UnsprungMass) / (2 * Math.PI);
        Assert.InRange(body, 1, 1.6);
        Assert.InRange(wheel, 8, 16);
    }

    [Fact] // a quarter car driven by white velocity: E[z̈_s²] = ½·S₀·[…]; independent: integrated against a time-domain covariance (Lyapunov) solution
    public void TheBodysAccelerationAgreesWithACovarianceSolution()
    {
        var q = new QuarterCar(300, 40, 20000, 1200, 180000);
        const double s0 = 1e-4; // one-sided road velocity spectrum, (m/s)²/Hz
        var sum = 0.0;
        const double df = 0.005;
        for (var f = df / 2; f < 400; f += df)
            sum += q.BodyGain(f) / Math.Pow(2 * Math.PI * f, 2) * s0 * df;
        // States: tyre squeeze, wheel speed, spring squeeze, body speed; white velocity of intensity s0/2 on the tyre.
        double[,] a =
        {
            { 0, 1, 0, 0 },
            { -q.Tyre / q.UnsprungMass, -q.Damper / q.UnsprungMass, q.Spring / q.UnsprungMass, q.Damper / q.UnsprungMass },
            { 0, -1, 0, 1 },
            { 0, q.Damper / q.SprungMass, -q.Spring / q.SprungMass, -q.Damper / q.SprungMass },
        };
        var p = new double[4, 4];
        const double h = 1e-4;
        for (var step = 0; step < 120000; step++)
        {
            var next = (double[,])p.Clone();
            for (var i = 0; i < 4; i++)
                for (var j = 0; j < 4; j++)
                {
                    var d = i == 0 && j == 0 ? s0 / 2 : 0.0;
                    for (var k = 0; k < 4; k++)
                        d += a[i, k] * p[k, j] + p[i, k] * a[j, k];
                    next[i, j] += h * d;
                }
            p = next;
        }
        var expected = 0.0;
        for (var i = 0; i < 4; i++)
            for (var j = 0; j < 4; j++)
                expected += a[3, i] * p[i, j] * a[3, j];
        Near.Share(expected, sum, 0.02);
    }

    [Theory] // four-stroke firing: rpm × cylinders ÷ 120
    [InlineData(3000, 4, 100)]
    [InlineData(6000, 2, 100)]
    [InlineData(900, 6, 45)]
    public void FiringOrders(double rpm, int cylinders, double hz) => Near.Share(hz, Engine.Firing(rpm, cylinders), 1e-12);

    [Theory] // Harris: half-sine shock spectrum, largest 1.77 near f·τ = 0.8, 1 when the pulse is long
    [InlineData(0.8, 1.77, 0.005)]
    [InlineData(0.5, 1.571, 0.002)]
    [InlineData(0.25, 0.943, 0.002)]
    [InlineData(20, 1.0, 0.06)]
    public void HalfSineSpectrum(double x, double value, double share) => Near.Share(value, HalfSine.Spectrum(x), share);

    [Fact]
    public void HalfSineSpectrumAgreesWithIntegrationInTime()
    {
        foreach (var x in new[] { 0.15, 0.4, 0.7, 0.8, 1.3, 2.6 })
        {
            double f = x, w = 2 * Math.PI * f, u = 0, v = 0, most = 0; // pulse of 1 s
            const double h = 1e-4;
            for (var t = 0.0; t < 1 + 2 / f; t += h)
            {
                var ground = t < 1 ? Math.Sin(Math.PI * t) : 0;
                v += h * (-w * w * u - ground);
                u += h * v;
                most = Math.Max(most, Math.Abs(w * w * u));
            }
            Near.Share(most, HalfSine.Spectrum(x), 0.01, $"f·τ = {x}");
        }
        Assert.Equal(1.768, Enumerable.Range(1, 400).Max(i => HalfSine.Spectrum(i / 100.0)), 0.005);
    }

    [Fact] // ∫|H|² df = 1/(8·ζ·ω³), which is Miles' equation for a relative movement
    public void MilesEquation()
    {
        var m = new RigMode(12, 0.05, [1, 0, 0], Vec3.UnitY, Vec3.UnitX, []);
        var sum = 0.0;
        const double df = 0.001;
        for (var f = df / 2; f < 400; f += df)
        {
            var h = m.Transfer(2 * Math.PI * f);
            sum += (h.Real * h.Real + h.Imaginary * h.Imaginary) * df;
        }
        Near.Share(1 / (8 * 0.05 * Math.Pow(2 * Math.PI * 12, 3)), sum, 1e-3);
    }

    [Fact] // transmissibility of a damped mass on a spring (Harris ch. 2): 1 at r = √2 without damping, √(1 + 4ζ²)/(2ζ) at r = 1
    public void Transmissibility()
    {
        Complex Gain(double r, double zeta)
        {
            var m = new RigMode(10, zeta, [1, 0, 0], Vec3.Zero, Vec3.UnitX, []);
            var w = 2 * Math.PI * 10 * r;
            return 1 + w * w * m.Transfer(w);
        }
        Near.Share(1, Gain(Math.Sqrt(2), 1e-6).Magnitude, 1e-4);
        // Base acceleration enters the mode alone here: relative response, at resonance 1/(2ζ) beside the base's own one.
        Near.Share(Math.Sqrt(1 + 0.25 / (0.1 * 0.1)), Gain(1, 0.1).Magnitude, 1e-6);
        Assert.True(Gain(5, 0.05).Magnitude < 0.06);
    }

    [Fact]
    public void PixelsFromRotation()
    {
        // 24 mm on 36 mm delivered at 3840: 2560 px a radian.
        Near.Share(2560, PictureSpread.FocalPixels(0.024, 0.036, 3840), 1e-12);
        // A sine of rotation, 1 mrad at 5 Hz, within 1/50 s: amplitude of the difference 2·sin(π·f·t).
        Near.Share(4 * Math.Pow(Math.Sin(Math.PI * 0.1), 2), PictureSpread.Weight(5, 0.02), 1e-12);
        Assert.Equal(4, PictureSpread.Weight(100, 0.02));
        Assert.Equal(4, PictureSpread.Weight(25, 0.02), 1e-9);
        double[] f = [1, 2, 3];
        Near.Share(10 * Math.Sqrt(2 * 7.0), PictureSpread.Rms(f, _ => 7, 10), 1e-12);
        Near.Share(0.5, StabiliserShare.Left(3, 3), 1e-12);
        Assert.Equal(1, StabiliserShare.Left(3, 0));
    }
}
