using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Proving;

/// <summary>Logs, spectra, damping, calibration.</summary>
public class TapTests
{
    public static TheoryData<string> Demo => [.. Ochema.Data.DemoFilm.Rigs.Select(d => d.Id)];

    private static double[] Noise(int n, int seed = 3)
    {
        var random = new Random(seed);
        return [.. Enumerable.Range(0, n).Select(_ => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble()))
            * Math.Cos(2 * Math.PI * random.NextDouble()))];
    }

    [Fact] // Welch 1967: the integral of the density is the variance
    public void WelchKeepsTheVariance()
    {
        var x = Noise(40000);
        var (f, s) = Spectra.Welch(x, 200, 1024);
        Near.Share(x.Sum(v => v * v) / x.Length, s.Sum() * (f[1] - f[0]), 0.02);
        // White noise of unit variance at 200 samples a second: 1/100 a Hz.
        Near.Share(0.01, s.Skip(20).Take(400).Average(), 0.03);
    }

    [Fact]
    public void ASineStandsAtItsPlaceWithItsPower()
    {
        var x = Enumerable.Range(0, 8000).Select(i => 3 * Math.Sin(2 * Math.PI * 12.3 * i / 200.0)).ToArray();
        var (f, s) = Spectra.Welch(x, 200, 1600);
        Near.Share(4.5, s.Sum() * (f[1] - f[0]), 0.01);
        Near.Share(12.3, Spectra.Peaks(x, 200, 2, 80)[0].Frequency, 0.003);
    }

    [Theory] // logarithmic decrement of a known decay
    [InlineData(8, 0.02)]
    [InlineData(12, 0.05)]
    [InlineData(25, 0.08)]
    public void DampingByRingDown(double f, double zeta)
    {
        var w = 2 * Math.PI * f;
        var x = Enumerable.Range(0, 1600).Select(i => i < 100 ? 0 : Math.Exp(-zeta * w * (i - 100) / 200.0)
            * Math.Sin(w * Math.Sqrt(1 - zeta * zeta) * (i - 100) / 200.0)).ToArray();
        Near.Share(zeta, Spectra.RingDown(x, 200, f), 0.12, $"{f} Hz");
    }

    [Fact] // half-power width of a random response: 2·ζ·f
    public void DampingByHalfPower()
    {
        const double f = 20, zeta = 0.04, rate = 400;
        var w = 2 * Math.PI * f;
        var (u, v) = (0.0, 0.0);
        var x = Noise(200000, 5).Select(a =>
        {
            for (var k = 0; k < 4; k++)
            {
                v += (a - 2 * zeta * w * v - w * w * u) / (4 * rate);
                u += v / (4 * rate);
            }
            return u;
        }).ToArray();
        Near.Share(zeta, Spectra.Peaks(x, rate, 5, 100)[0].HalfPower, 0.25);
    }

    [Fact]
    public void DriftAndUnevenSamplesAreTakenOut()
    {
        var random = new Random(4);
        var t = Enumerable.Range(0, 2000).Select(i => (i + 0.3 * random.NextDouble()) / 200).ToArray();
        var even = Spectra.Even(t, [.. t.Select(s => 5 + 0.7 * s + Math.Sin(2 * Math.PI * 9 * s))], 200);
        Assert.True(Math.Abs(even.Average()) < 1e-6);
        Near.Share(9, Spectra.Peaks(even, 200, 2, 80)[0].Frequency, 0.003);
    }

    [Theory]
    [InlineData("time (s),ax,ay,az", 1, ',', 9.81, LogTime.Seconds, LogAcceleration.MetresPerSecondSquared)]
    [InlineData("t (ms);x (g);y (g);z (g)", 1000, ';', 1, LogTime.Milliseconds, LogAcceleration.Gravity)]
    [InlineData("stamp\tx\ty\tz", 1e9, '\t', 1, LogTime.Nanoseconds, LogAcceleration.Gravity)]
    public void UnitsAndColumnsAreRecognised(string header, double second, char separator, double weight, LogTime time,
        LogAcceleration acceleration)
    {
        var lines = Enumerable.Range(0, 400).Select(i => string.Join(separator,
            new[] { i / 100.0 * second, 0.01 * Math.Sin(i), 0.0, weight }.Select(v => v.ToString("0.######"))));
        var text = header + "\n" + string.Join('\n', separator == ';' ? lines.Select(l => l.Replace('.', ',')) : lines);
        var log = AccelerometerLog.Read(text);
        Assert.Equal((time, acceleration), (log.TimeUnit, log.AccelerationUnit));
        Near.Share(100, log.Rate, 0.01);
        Near.Share(weight == 1 ? 9.80665 : 9.81, log.Axes[2].Average(), 0.001);
        // What the user says beats what was recognised.
        Assert.Equal(LogAcceleration.MetresPerSecondSquared, AccelerometerLog.Read(text, null,
            LogAcceleration.MetresPerSecondSquared).AccelerationUnit);
    }

    [Theory]
    [InlineData("", "four numbers")]
    [InlineData("a,b,c,d\n", "four numbers")]
    [InlineData("WORDS", "four numbers")]
    [InlineData("BACK", "goes back in time")]
    [InlineData("HOLE", "line 40")]
    [InlineData("SLOW", "samples a second")]
    public void WrongLogsAreNamedByLineAndReason(string text, string says)
    {
        string Rows(Func<int, string> row) => string.Join('\n', Enumerable.Range(0, 100).Select(row));
        var log = text switch
        {
            "WORDS" => Rows(_ => "one,two,three,four"),
            "BACK" => Rows(i => $"{(i == 50 ? 0 : i) / 100.0},0,0,9.8"),
            "HOLE" => Rows(i => i == 39 ? "0.39,oops,0,0" : $"{i / 100.0},0,0,9.8"),
            "SLOW" => Rows(i => $"{i / 2.0 - (i > 0 ? 0.1 : 0)},0,0,9.8"),
            _ => text,
        };
        var e = Assert.Throws<DocumentException>(() => TapTest.Read(log, text == "SLOW" ? LogTime.Seconds : null));
        Assert.Contains(says, e.Message);
    }

    [Theory]
    [MemberData(nameof(Demo))]
    public void ASimulatedTapFindsTheFirstModeAndItsDamping(string id)
    {
        var rig = Ochema.Data.DemoFilm.Rigs.First(d => d.Id == id).Document;
        var report = TapTest.Read(TapTest.Simulate(rig, Catalogue.Shipped));
        Assert.Equal(LogTime.Seconds, report.TimeUnit);
        var modes = new RigModel(rig, Catalogue.Shipped).Modes;
        // A phone that samples 200 times a second hears nothing near 100 Hz: such a mount needs no tap test.
        if (modes[0].Frequency > 80)
        {
            Assert.DoesNotContain(report.Peaks, p => p.Frequency > 90);
            return;
        }
        var (peak, mode) = (report.Peaks[0], modes[0]);
        Near.Share(mode.Frequency, peak.Frequency, 0.03, id);
        // Two modes within a tenth of each other beat: what rings down is both of them, and its decrement is neither's.
        var beats = modes.Count > 1 && modes[1].Frequency < 1.1 * mode.Frequency;
        Near.Share(mode.Damping, peak.RingDown, beats ? 0.30 : 0.20, $"{id}, damping of {mode.Frequency:0.0} Hz");
    }

    [Fact]
    public void CalibrationBringsAWrongPanelBack()
    {
        var truth = RigFiles.CupAndArm();
        truth = truth with { Site = truth.Site with { Thickness = 0.00095, ClearRadius = 0.15 } };
        var wrong = RigFiles.CupAndArm();
        var real = new RigModel(truth, Catalogue.Shipped).Modes[0].Frequency;
        Assert.True(Math.Abs(new RigModel(wrong, Catalogue.Shipped).Modes[0].Frequency / real - 1) > 0.1);
        var log = TapTest.Read(TapTest.Simulate(truth, Catalogue.Shipped));
        var peak = log.Peaks[0];
        var c = TapTest.Calibrate(wrong, Catalogue.Shipped, peak.Frequency, peak.RingDown, "2026-03-14", log.Axis);
        Near.Share(real, c.After, 0.03);
        Assert.Equal(new(c.Document.Site.StiffnessFactor!.Value, "2026-03-14"), c.Document.Measured!["site.stiffnessFactor"]);
        // From then on it beats the estimate, and says so.
        RigReader.Check(c.Document, Catalogue.Shipped);
        var flex = Assessor.Assess(c.Document, Catalogue.Shipped).Checks.First(x => x.Id.EndsWith(".flex", StringComparison.Ordinal));
        Assert.Contains(flex.Working!.Terms, t => t.Source == "your tap test, 14 Mar 2026");
        Assert.Throws<DocumentException>(() => TapTest.Calibrate(wrong, Catalogue.Shipped, 400, null, "2026-03-14"));
    }

    [Fact]
    public void TheSameSeedGivesTheSameLog()
    {
        var rig = RigFiles.CupAndArm();
        Assert.Equal(TapTest.Simulate(rig, Catalogue.Shipped, 7), TapTest.Simulate(rig, Catalogue.Shipped, 7));
        Assert.NotEqual(TapTest.Simulate(rig, Catalogue.Shipped, 7), TapTest.Simulate(rig, Catalogue.Shipped, 8));
    }

    [Fact] // a phone that stood still for a moment: what it draws straight is no slow mode
    public void APauseInALogIsSaid()
    {
        var log = TapTest.Simulate(RigFiles.CupAndArm(), Catalogue.Shipped);
        Assert.Equal(0, TapTest.Read(log).Pause);
        var lines = log.Split('\n');
        // From half a second after the push on, 0.6 s at 200 samples a second.
        var torn = string.Join('\n', [.. lines[..201], .. lines[321..]]);
        Assert.Equal(0.605, TapTest.Read(torn).Pause, 0.01);
    }
}
