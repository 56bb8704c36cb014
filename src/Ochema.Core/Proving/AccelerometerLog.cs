using System.Globalization;

namespace Ochema.Core.Proving;

/// <summary>Unit of a log's time column.</summary>
public enum LogTime
{
    Seconds,
    Milliseconds,
    Nanoseconds,
}

/// <summary>Unit of a log's acceleration columns.</summary>
public enum LogAcceleration
{
    MetresPerSecondSquared,
    Gravity,
}

/// <summary>
/// A phone's accelerometer log: time and three axes from CSV. Separator, columns and units are recognised from the header and the
/// numbers, and are for the user to confirm.
/// </summary>
/// <param name="Time">s, from the first sample.</param>
/// <param name="Axes">Three rows of acceleration, m/s².</param>
/// <param name="Guess">In words: what was recognised and by what.</param>
public sealed record AccelerometerLog(double[] Time, double[][] Axes, LogTime TimeUnit, LogAcceleration AccelerationUnit, string Guess)
{
    private const int MostSamples = 400_000;
    private const int FewestSamples = 64;

    /// <summary>Samples a second, in the middle.</summary>
    public double Rate => (Time.Length - 1) / Time[^1];

    /// <summary>Reads a log; units that are given beat what is recognised.</summary>
    /// <exception cref="DocumentException">The text is no such log; says the line and the reason.</exception>
    public static AccelerometerLog Read(string text, LogTime? timeUnit = null, LogAcceleration? accelerationUnit = null)
    {
        var lines = text.Split('\n', StringSplitOptions.RemoveEmptyEntries | StringSplitOptions.TrimEntries);
        if (lines.Length < FewestSamples)
            throw new DocumentException("log", $"has {lines.Length} lines; at least {FewestSamples} are needed");
        var separator = lines[Math.Min(5, lines.Length - 1)].Contains('\t') ? '\t' : lines[Math.Min(5, lines.Length - 1)].Contains(';') ? ';' : ',';
        var start = Array.FindIndex(lines, l => Numbers(l, separator) is { Length: >= 4 });
        if (start < 0)
            throw new DocumentException("log", "has no line of four numbers: time and three axes are needed");
        var header = start > 0 ? lines[start - 1].ToLowerInvariant() : "";
        var rows = new List<double[]>();
        for (var i = start; i < lines.Length; i++)
        {
            if (Numbers(lines[i], separator) is not { Length: >= 4 } row)
                throw new DocumentException($"log, line {i + 1}", "has no four numbers");
            if (rows.Count > 0 && row[0] < rows[^1][0])
                throw new DocumentException($"log, line {i + 1}", "goes back in time");
            if (rows.Count == 0 || row[0] > rows[^1][0])
                rows.Add(row);
            if (rows.Count > MostSamples)
                throw new DocumentException("log", $"has more than {MostSamples} samples");
        }
        if (rows.Count < FewestSamples)
            throw new DocumentException("log", $"has {rows.Count} samples; at least {FewestSamples} are needed");
        var (time, by) = TimeOf(header, rows);
        var (acceleration, why) = AccelerationOf(header, rows);
        var (t, a) = (timeUnit ?? time, accelerationUnit ?? acceleration);
        var second = t switch { LogTime.Seconds => 1, LogTime.Milliseconds => 1e-3, _ => 1e-9 };
        var metre = a == LogAcceleration.Gravity ? Loads.MotionProfile.Gravity : 1;
        return new([.. rows.Select(r => (r[0] - rows[0][0]) * second)], [.. Enumerable.Range(1, 3).Select(c => rows.Select(r => r[c] * metre).ToArray())], t, a, $"time in {Words(time)} ({by}), acceleration in {(acceleration == LogAcceleration.Gravity ? "g" : "m/s²")} ({why})");
    }

    private static string Words(LogTime t) => t switch { LogTime.Seconds => "seconds", LogTime.Milliseconds => "milliseconds", _ => "nanoseconds" };

    private static (LogTime, string) TimeOf(string header, List<double[]> rows)
    {
        if (header.Contains("ns", StringComparison.Ordinal) || header.Contains("nano", StringComparison.Ordinal))
            return (LogTime.Nanoseconds, "the header says so");
        if (header.Contains("ms", StringComparison.Ordinal) || header.Contains("milli", StringComparison.Ordinal))
            return (LogTime.Milliseconds, "the header says so");
        if (header.Contains("(s)", StringComparison.Ordinal) || header.Contains("sec", StringComparison.Ordinal))
            return (LogTime.Seconds, "the header says so");
        // Phones sample 20 to 1000 times a second.
        var step = (rows[^1][0] - rows[0][0]) / (rows.Count - 1);
        return step > 1e4 ? (LogTime.Nanoseconds, "by the step between samples") : step > 0.5 ? (LogTime.Milliseconds, "by the step between samples") : (LogTime.Seconds, "by the step between samples");
    }

    private static (LogAcceleration, string) AccelerationOf(string header, List<double[]> rows)
    {
        if (header.Contains("m/s", StringComparison.Ordinal))
            return (LogAcceleration.MetresPerSecondSquared, "the header says so");
        if (header.Contains("(g)", StringComparison.Ordinal) || header.Contains("[g]", StringComparison.Ordinal))
            return (LogAcceleration.Gravity, "the header says so");
        // At rest a phone that counts weight shows 9.8 or 1.
        var mean = Math.Sqrt(Enumerable.Range(1, 3).Sum(c => Math.Pow(rows.Average(r => r[c]), 2)));
        return mean is > 0.8 and < 1.3 ? (LogAcceleration.Gravity, "its weight reads about one") : (LogAcceleration.MetresPerSecondSquared, "by the size of the numbers");
    }

    private static double[]? Numbers(string line, char separator)
    {
        var parts = line.Split(separator, StringSplitOptions.TrimEntries);
        var list = new List<double>();
        foreach (var p in parts.Take(8))
        {
            // A decimal comma where the separator is another.
            if (!double.TryParse(separator == ',' ? p : p.Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var v) || !double.IsFinite(v))
                break;
            list.Add(v);
        }
        return list.Count >= 4 ? [.. list] : null;
    }
}
