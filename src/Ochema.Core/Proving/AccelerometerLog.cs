using System.Globalization;
using System.Text.RegularExpressions;
using CsvHelper;
using CsvHelper.Configuration;
using Ochema.Core.Json;

namespace Ochema.Core.Proving;

/// <summary>Unit of a log's time column.</summary>
public enum LogTime
{
    Seconds,
    Milliseconds,
    Microseconds,
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
/// numbers, and are for the user to confirm. Quoted values, clock times, decimal commas, comments and further columns are understood.
/// </summary>
/// <param name="Time">s, from the first sample.</param>
/// <param name="Axes">Three rows of acceleration, m/s².</param>
/// <param name="Guess">In words: what was recognised and by what.</param>
public sealed partial record AccelerometerLog(double[] Time, double[][] Axes, LogTime TimeUnit, LogAcceleration AccelerationUnit, string Guess)
{
    private const int MostSamples = 400_000;
    private const int FewestSamples = 64;

    /// <summary>Values wanted of a row: time and three axes.</summary>
    private const int Wanted = 4;

    /// <summary>Samples a second, in the middle.</summary>
    public double Rate => (Time.Length - 1) / Time[^1];

    /// <summary>Where the four values of a row stand, and what their columns are called; empty names where there is no header.</summary>
    private sealed record Columns(int[] At, string[] Names)
    {
        public string TimeName => Names[0];
        public string AxesName => string.Join(' ', Names.Skip(1));
    }

    /// <summary>Reads a log; units that are given beat what is recognised.</summary>
    /// <exception cref="DocumentException">The text is no such log; says the line and the reason.</exception>
    public static AccelerometerLog Read(string text, LogTime? timeUnit = null, LogAcceleration? accelerationUnit = null)
    {
        var separator = SeparatorOf(text);
        var cells = Cells(text, separator);
        var start = cells.FindIndex(r => Guessed(r.Cells, separator) is not null);
        if (start < 0)
            throw new DocumentException("log", "has no line of four numbers: time and three axes are needed");
        // What follows the last line of numbers and has none is the recorder's farewell.
        var end = cells.FindLastIndex(r => r.Cells.Count(c => Number(c, separator) is not null) >= Wanted - 1);
        var columns = Named(start > 0 ? cells[start - 1].Cells : [], cells[start].Cells, separator) ?? Guessed(cells[start].Cells, separator)!;
        var clock = Number(cells[start].Cells[columns.At[0]], separator) is null;
        DateTimeOffset? midnight = null;
        var rows = new List<double[]>(end - start + 1);
        for (var i = start; i <= end; i++)
        {
            var (line, row) = cells[i];
            var at = $"log, line {line}";
            var v = new double[Wanted];
            for (var k = 0; k < Wanted; k++)
            {
                var cell = columns.At[k] < row.Length ? row[columns.At[k]] : "";
                if (cell.Length == 0)
                    throw new DocumentException(at, $"has nothing in column {columns.At[k] + 1}{Called(columns, k)}");
                var value = k > 0 || !clock ? Number(cell, separator)
                    : Clock(cell) is { } moment ? (moment - (midnight ??= moment)).TotalSeconds : null;
                v[k] = value ?? throw new DocumentException(at,
                    $"has '{Short(cell)}' in column {columns.At[k] + 1}{Called(columns, k)}: {(k == 0 && clock ? "no time" : "no number")}");
            }
            if (rows.Count > 0 && v[0] < rows[^1][0])
                throw new DocumentException(at, "goes back in time");
            if (rows.Count == 0 || v[0] > rows[^1][0])
                rows.Add(v);
            if (rows.Count > MostSamples)
                throw new DocumentException("log", $"has more than {MostSamples} samples");
        }
        if (rows.Count < FewestSamples)
            throw new DocumentException("log", $"has {rows.Count} samples; at least {FewestSamples} are needed");
        var (time, by) = clock ? (LogTime.Seconds, "clock times") : TimeOf(columns.TimeName, rows);
        var (acceleration, why) = AccelerationOf(columns.AxesName, rows);
        var (t, a) = (clock ? LogTime.Seconds : timeUnit ?? time, accelerationUnit ?? acceleration);
        var second = t switch { LogTime.Seconds => 1, LogTime.Milliseconds => 1e-3, LogTime.Microseconds => 1e-6, _ => 1e-9 };
        var metre = a == LogAcceleration.Gravity ? Loads.MotionProfile.Gravity : 1;
        var which = columns.TimeName.Length > 0 ? $"columns {string.Join(", ", columns.Names.Select(n => $"“{n}”"))}; " : "";
        return new([.. rows.Select(r => (r[0] - rows[0][0]) * second)], [.. Enumerable.Range(1, 3).Select(c => rows.Select(r => r[c] * metre).ToArray())], t, a,
            $"{which}time in {Words(time)} ({by}), acceleration in {(acceleration == LogAcceleration.Gravity ? "g" : "m/s²")} ({why})");
    }

    private static string Called(Columns columns, int k) => columns.Names[k].Length > 0 ? $" (“{Short(columns.Names[k])}”)" : "";

    private static string Short(string cell) => cell.Length > 24 ? cell[..24] + "…" : cell;

    private static string Words(LogTime t) => t switch
    {
        LogTime.Seconds => "seconds",
        LogTime.Milliseconds => "milliseconds",
        LogTime.Microseconds => "microseconds",
        _ => "nanoseconds",
    };

    /// <summary>The separator that the most lines of the beginning have; a comma may stand in numbers too.</summary>
    private static char SeparatorOf(string text)
    {
        var beginning = text[..Math.Min(text.Length, 4000)];
        return new[] { '\t', ';' }.FirstOrDefault(c => beginning.Count(x => x == c) >= 3 * Math.Max(1, beginning.Count(x => x == '\n') / 2), ',');
    }

    private static List<(int Line, string[] Cells)> Cells(string text, char separator)
    {
        var config = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = separator.ToString(),
            HasHeaderRecord = false,
            AllowComments = true,
            Comment = '#',
            TrimOptions = TrimOptions.Trim,
            BadDataFound = null,
        };
        using var parser = new CsvParser(new StringReader(text), config);
        var list = new List<(int, string[])>();
        while (parser.Read())
            list.Add((parser.RawRow, parser.Record!));
        return list;
    }

    private static double? Number(string cell, char separator) =>
        // A decimal comma where the separator is another.
        double.TryParse(separator == ',' ? cell : cell.Replace(',', '.'), NumberStyles.Float, CultureInfo.InvariantCulture, out var v)
            && double.IsFinite(v) ? v : null;

    private static DateTimeOffset? Clock(string cell) => cell.Contains(':')
        && DateTimeOffset.TryParse(cell, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var moment) ? moment : null;

    /// <summary>Without names: the first column that is a time or a number, and the next three numbers.</summary>
    private static Columns? Guessed(string[] row, char separator)
    {
        var first = Array.FindIndex(row, c => Number(c, separator) is not null || Clock(c) is not null);
        if (first < 0)
            return null;
        var next = Enumerable.Range(first + 1, row.Length - first - 1).Where(i => Number(row[i], separator) is not null).Take(Wanted - 1).ToArray();
        return next.Length < Wanted - 1 ? null : new([first, .. next], ["", "", "", ""]);
    }

    /// <summary>By the names of the header: x, y and z of the acceleration, and of several times the one that counts from the start.</summary>
    private static Columns? Named(string[] header, string[] row, char separator)
    {
        int Axis(char axis)
        {
            var named = header.Select((h, i) => (Name: h, At: i)).Where(h => h.At < row.Length && AxisName().Match(h.Name) is { Success: true } m
                && char.ToLowerInvariant(m.Groups[1].Value[0]) == axis && Number(row[h.At], separator) is not null).ToList();
            return named.Count == 0 ? -1 : (named.FirstOrDefault(h => h.Name.StartsWith("a", StringComparison.OrdinalIgnoreCase)
                || h.Name.Contains("acc", StringComparison.OrdinalIgnoreCase)) is { Name: not null } best ? best : named[0]).At;
        }
        var axes = new[] { Axis('x'), Axis('y'), Axis('z') };
        var times = header.Select((h, i) => (Name: h, At: i)).Where(h => h.At < row.Length && TimeColumn().IsMatch(h.Name)
            && (Number(row[h.At], separator) is not null || Clock(row[h.At]) is not null)).ToList();
        if (axes.Contains(-1) || times.Count == 0)
            return null;
        var time = times.OrderByDescending(h => ElapsedColumn().IsMatch(h.Name)).ThenByDescending(h => Number(row[h.At], separator) is not null).First().At;
        int[] at = [time, .. axes];
        return new(at, [.. at.Select(i => header[i])]);
    }

    private static (LogTime, string) TimeOf(string name, List<double[]> rows)
    {
        if (TimeUnitName().Match(name) is { Success: true } unit)
            return (unit.Value.ToLowerInvariant() switch
            {
                ['n', ..] => LogTime.Nanoseconds,
                "ms" or ['m', 'i', 'l', ..] => LogTime.Milliseconds,
                ['s', ..] => LogTime.Seconds,
                _ => LogTime.Microseconds,
            }, "the header says so");
        // Phones sample 20 to 1000 times a second.
        var step = (rows[^1][0] - rows[0][0]) / (rows.Count - 1);
        return (step > 1e5 ? LogTime.Nanoseconds : step > 500 ? LogTime.Microseconds : step > 0.5 ? LogTime.Milliseconds
            : LogTime.Seconds, "by the step between samples");
    }

    private static (LogAcceleration, string) AccelerationOf(string names, List<double[]> rows)
    {
        if (names.Contains("m/s", StringComparison.OrdinalIgnoreCase))
            return (LogAcceleration.MetresPerSecondSquared, "the header says so");
        if (GravityName().IsMatch(names))
            return (LogAcceleration.Gravity, "the header says so");
        // At rest a phone that counts weight shows 9.8 or 1.
        var mean = Math.Sqrt(Enumerable.Range(1, 3).Sum(c => Math.Pow(rows.Average(r => r[c]), 2)));
        return mean is > 0.8 and < 1.3 ? (LogAcceleration.Gravity, "its weight reads about one") : (LogAcceleration.MetresPerSecondSquared, "by the size of the numbers");
    }

    /// <summary>x, y or z as a word of its own, or behind an a or acceleration: "x", "ax", "acc_z", "Acceleration y (m/s²)", "accelerationX(G)".</summary>
    [GeneratedRegex(@"(?:^|[^a-z]|^a|acc|acceleration|accelerometer)[ _\-.]?([xyz])(?![a-z])", RegexOptions.IgnoreCase)]
    private static partial Regex AxisName();

    [GeneratedRegex(@"time|stamp|elapsed|since|seconds|^t\b", RegexOptions.IgnoreCase)]
    private static partial Regex TimeColumn();

    [GeneratedRegex("elapsed|since|relative", RegexOptions.IgnoreCase)]
    private static partial Regex ElapsedColumn();

    [GeneratedRegex(@"(?<![a-z])(ns|nano\w*|us|µs|micro\w*|ms|milli\w*|s|sec\w*)(?![a-z])", RegexOptions.IgnoreCase)]
    private static partial Regex TimeUnitName();

    [GeneratedRegex(@"[(\[]\s*g\s*[)\]]|\bin g\b", RegexOptions.IgnoreCase)]
    private static partial Regex GravityName();
}
