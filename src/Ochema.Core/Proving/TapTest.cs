using System.Globalization;
using System.Text;
using Ochema.Core.Analysis;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Proving;

/// <summary>What a log says of a rig: spectrum and peaks of its strongest axis.</summary>
/// <param name="Frequencies">Hz.</param>
/// <param name="Density">(m/s²)²/Hz.</param>
public sealed record LogReport(
    string Guess, LogTime TimeUnit, LogAcceleration AccelerationUnit, double Duration, double Rate, int Axis,
        IReadOnlyList<double> Frequencies, IReadOnlyList<double> Density, IReadOnlyList<SpectrumPeak> Peaks)
{
    /// <summary>Longest pause in it, s; 0 where it has none: what it says that is slower than such a pause may be the pause itself.</summary>
    public required double Pause { get; init; }
}

/// <summary>A rig made to agree with its tap test, and what changed.</summary>
public sealed record Calibration(RigDocument Document, double Before, double After, double Factor, double Damping);

/// <summary>Tap tests: a push at the camera and what rings after it.</summary>
public static class TapTest
{
    private const double Lowest = 0.4;
    private const double Highest = 90;

    /// <summary>Spectrum and peaks of a log.</summary>
    /// <exception cref="DocumentException">It is no log; says where and why.</exception>
    public static LogReport Read(string text, LogTime? time = null, LogAcceleration? acceleration = null)
    {
        using var reader = new StringReader(text);
        return Read(reader, time, acceleration);
    }

    /// <summary>Spectrum and peaks of a log that is read as it comes.</summary>
    /// <inheritdoc cref="Read(string, LogTime?, LogAcceleration?)"/>
    public static LogReport Read(TextReader text, LogTime? time = null, LogAcceleration? acceleration = null,
        CancellationToken stop = default) =>
        Of(AccelerometerLog.Read(text, time, acceleration, stop));

    /// <summary>Spectrum and peaks of a log that was read.</summary>
    /// <exception cref="DocumentException">With its units it is none of a phone.</exception>
    public static LogReport Of(AccelerometerLog log)
    {
        if (log.Rate is < 15 or > 20000)
            throw new DocumentException("log", $"has {log.Rate:0.##} samples a second with these units; a phone gives 20 to 1000");
        var rate = Math.Min(log.Rate, 1000);
        var even = log.Axes.Select(a => Spectra.Even(log.Time, a, rate)).ToArray();
        var axis = Enumerable.Range(0, 3).MaxBy(i => even[i].Sum(v => v * v));
        var (f, s) = Spectra.Welch(even[axis], rate, Math.Min(even[axis].Length, (int)(rate * 8)));
        var keep = Enumerable.Range(0, f.Length).Where(k => f[k] is >= 0.5 and <= 200).ToList();
        return new(log.Guess, log.TimeUnit, log.AccelerationUnit, log.Time[^1], log.Rate, axis, [.. keep.Select(k => f[k])],
            [.. keep.Select(k => s[k])], Spectra.Peaks(even[axis], rate, Lowest, Math.Min(Highest, rate / 2.2)))
        {
            Pause = log.Pause,
        };
    }

    /// <summary>
    /// A stand-in for a phone on the camera: what it would log after a push the way it is softest, from the rig's own modes, with noise,
    /// drift and uneven sampling. The same seed gives the same log.
    /// </summary>
    public static string Simulate(RigDocument rig, Catalogue stock, int seed = 1)
    {
        var modes = new RigModel(rig, stock).Modes;
        if (modes.Count == 0)
            throw new DocumentException("", "nothing of this rig rings: it moves freely or is refused as it stands");
        var random = new Random(seed);
        double Noise() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var push = Axis(AxisOf(modes[0].Move));
        var text = new StringBuilder("time (s),ax (m/s²),ay (m/s²),az (m/s²)\n");
        const double rate = 200, before = 0.5;
        // What is slow rings long.
        var length = Math.Clamp(14 / modes[0].Frequency, 8, 40);
        // A push of 1 N·s: each mode starts with the speed it takes from it.
        for (var t = 0.0; t < length; t += 1 / rate * (1 + 0.15 * (random.NextDouble() - 0.5)))
        {
            var a = Vec3.Zero;
            var since = t - before;
            if (since > 0)
                foreach (var m in modes.Where(m => m.Frequency < 95))
                {
                    var w = 2 * Math.PI * m.Frequency;
                    var wd = w * Math.Sqrt(1 - m.Damping * m.Damping);
                    var speed = m.Move.Dot(push);
                    // Second derivative of e^(−ζωt)·sin(ω_d·t)/ω_d.
                    var q = Math.Exp(-m.Damping * w * since) / wd * ((m.Damping * m.Damping * w * w - wd * wd) * Math.Sin(wd * since) - 2
                        * m.Damping * w * wd * Math.Cos(wd * since));
                    a += speed * q * m.Move;
                }
            var drift = 0.05 * t + 0.02;
            text.Append(CultureInfo.InvariantCulture,
                $"{t:0.00000},{a.X + drift + 0.02 * Noise():0.00000},{a.Y - drift + 0.02 * Noise():0.00000},{9.81 + a.Z + 0.02 * Noise():0.00000}\n");
        }
        return text.ToString();
    }

    private static int AxisOf(Vec3 move) => Math.Abs(move.X) >= Math.Abs(move.Y) ? Math.Abs(move.X) >= Math.Abs(move.Z) ? 0 : 2
        : Math.Abs(move.Y) >= Math.Abs(move.Z) ? 1 : 2;

    private static Vec3 Axis(int i) => i switch { 0 => Vec3.UnitX, 1 => Vec3.UnitY, _ => Vec3.UnitZ };

    /// <summary>
    /// Makes the site as stiff and as damped as a tap test says: one factor on its stiffness that brings the frequency that was heard to
    /// the measured one, kept with its date; from then on it beats the estimate.
    /// </summary>
    /// <param name="frequency">Measured, Hz.</param>
    /// <param name="damping">Measured ratio, or null to leave it.</param>
    /// <param name="date">Day of the test, as YYYY-MM-DD.</param>
    /// <exception cref="DocumentException">No site stiffness gives that frequency.</exception>
    /// <param name="axis">Axis that rang, 0 along, 1 across, 2 up: the lowest mode that goes that way is the one that was heard.</param>
    public static Calibration Calibrate(RigDocument rig, Catalogue stock, double frequency, double? damping, string date, int? axis = null)
    {
        RigDocument With(double factor)
        {
            var site = rig.Site with
            {
                StiffnessFactor = factor,
                Damping = damping is { } d ? Math.Clamp(d, 0.005, 0.5)
                : rig.Site.Damping
            };
            var taken = new Dictionary<string, Taken>(rig.Measured ?? new Dictionary<string,
                Taken>())
            { ["site.stiffnessFactor"] = new(factor, date) };
            if (damping is not null)
                taken["site.damping"] = new(site.Damping!.Value, date);
            return rig with { Site = site, Measured = taken };
        }
        double Heard(RigDocument r)
        {
            var modes = new RigModel(r, stock).Modes;
            return (modes.FirstOrDefault(m => axis is null || AxisOf(m.Move) == axis) ?? (modes is [var first, ..] ? first : null))?.Frequency ?? 0;
        }
        double First(double factor) => Heard(With(factor));
        var before = Heard(rig);
        var (low, high) = (0.02, 50.0);
        if (!(frequency > First(low) && frequency < First(high)))
            throw new DocumentException("frequency",
                $"{frequency:0.#} Hz cannot be: with any stiffness of this site the rig rocks between {First(low):0.#} and "
                    + $"{First(high):0.#} Hz. Another mode, or something else gives");
        for (var i = 0; i < 40; i++)
        {
            var middle = Math.Sqrt(low * high);
            if (First(middle) < frequency)
                low = middle;
            else
                high = middle;
        }
        var factor = Math.Round(Math.Sqrt(low * high), 4);
        return new(With(factor), before, First(factor), factor, damping ?? 0);
    }
}
