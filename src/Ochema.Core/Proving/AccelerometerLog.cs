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
public sealed partial record AccelerometerLog(double[] Time, double[][] Axes, LogTime TimeUnit, LogAcceleration AccelerationUnit,
    string Guess)
{
    private const int MostSamples = 400_000;
    private const int FewestSamples = 64;

    /// <summary>Lines at the most, and before the first of numbers.</summary>
    private const int MostLines = 2 * MostSamples;
    private const int MostBefore = 1000;

    /// <summary>Columns of a line, and characters of a cell.</summary>
    private const int MostColumns = 200;
    private const int LongestCell = 1000;

    /// <summary>Characters that the separator is recognised from.</summary>
    private const int Beginning = 4000;

    /// <summary>Beyond what any phone says: nanoseconds of three hundred years, and ten thousand times gravity in m/s².</summary>
    private const double LatestTime = 1e19;
    private const double LargestAcceleration = 1e5;

    /// <summary>Values wanted of a row: time and three axes.</summary>
    private const int Wanted = 4;

    /// <summary>True where the time column has clock times: they are seconds, whatever is said.</summary>
    public bool HasClock { get; private init; }

    /// <summary>The same log with its numbers taken in other units.</summary>
    public AccelerometerLog In(LogTime? timeUnit, LogAcceleration? accelerationUnit)
    {
        var (t, a) = (HasClock ? LogTime.Seconds : timeUnit ?? TimeUnit, accelerationUnit ?? AccelerationUnit);
        var (second, metre) = (Second(t) / Second(TimeUnit), Metre(a) / Metre(AccelerationUnit));
        return this with
        {
            TimeUnit = t,
            AccelerationUnit = a,
            Time = t == TimeUnit ? Time : [.. Time.Select(v => v * second)],
            Axes = a == AccelerationUnit ? Axes : [.. Axes.Select(axis => axis.Select(v => v * metre).ToArray())],
        };
    }

    private static double Second(LogTime unit) => unit switch
    {
        LogTime.Seconds => 1,
        LogTime.Milliseconds => 1e-3,
        LogTime.Microseconds => 1e-6,
        _ => 1e-9,
    };

    private static double Metre(LogAcceleration unit) => unit == LogAcceleration.Gravity ? Loads.MotionProfile.Gravity : 1;

    /// <summary>Samples a second, in the middle.</summary>
    public double Rate => (Time.Length - 1) / Time[^1];

    /// <summary>Longest pause between two samples where the phone missed <see cref="Missed"/> or more, s; 0 where it missed none. Over a pause a
    /// ringing is drawn straight, which reads as something slow.</summary>
    public double Pause
    {
        get
        {
            var steps = Enumerable.Range(1, Time.Length - 1).Select(i => Time[i] - Time[i - 1]).Order().ToList();
            return steps[^1] > (Missed + 1) * steps[steps.Count / 2] ? steps[^1] : 0;
        }
    }

    /// <summary>Samples missed in a row that are a pause, and no unevenness as every phone has it (common practice, no source).</summary>
    private const int Missed = 4;

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
        using var reader = new StringReader(text);
        return Read(reader, timeUnit, accelerationUnit);
    }

    /// <summary>
    /// Reads a log line by line, as it comes: what is too much of it, or is no number, ends the reading there and then. Nothing but the
    /// numbers is kept.
    /// </summary>
    /// <param name="stop">Whoever asked has gone on.</param>
    /// <exception cref="DocumentException">The text is no such log; says the line and the reason.</exception>
    public static AccelerometerLog Read(TextReader text, LogTime? timeUnit = null, LogAcceleration? accelerationUnit = null,
        CancellationToken stop = default)
    {
        var beginning = new char[Beginning];
        var begun = text.ReadBlock(beginning);
        var separator = SeparatorOf(beginning.AsSpan(0, begun));
        using var whole = new PrefixedReader(new string(beginning, 0, begun), text);
        var rows = new LogRows(separator);
        foreach (var (line, cells) in Lines(whole, separator, stop))
            rows.Take(line, cells);
        return rows.Done(timeUnit, accelerationUnit);
    }

    /// <summary>Lines of a log as they are read.</summary>
    /// <param name="separator">Between its cells.</param>
    private sealed class LogRows(char separator)
    {
        private readonly List<double> time = [];
        private readonly List<double>[] axes = [[], [], []];
        private Columns? columns;
        private string[] header = [];
        private bool clock;
        private DateTimeOffset? midnight;
        private int lines;

        /// <summary>What is wrong with a line that may be the recorder's farewell: it is not, where numbers follow.</summary>
        private DocumentException? farewell;

        public void Take(int line, string[] cells)
        {
            if (++lines > MostLines)
                throw new DocumentException("log", $"has more than {MostLines} lines");
            if (cells.Length > MostColumns)
                throw new DocumentException($"log, line {line}", $"has more than {MostColumns} columns");
            if (columns is null)
            {
                Begin(cells);
                if (columns is null)
                {
                    header = cells;
                    if (lines > MostBefore)
                        throw new DocumentException("log",
                            $"has no line of four numbers among its first {MostBefore}: time and three axes are needed");
                    return;
                }
            }
            if (cells.Count(c => Number(c, separator) is not null) < Wanted - 1)
            {
                farewell ??= Wrong(line, cells) ?? new DocumentException($"log, line {line}", "has no numbers");
                return;
            }
            if ((farewell ?? Wrong(line, cells)) is { } wrong)
                throw wrong;
            var t = Time(cells[columns.At[0]])!.Value;
            if (time.Count > 0 && t < time[^1])
                throw new DocumentException($"log, line {line}", "goes back in time");
            if (time.Count > 0 && t <= time[^1])
                return;
            time.Add(t);
            for (var k = 1; k < Wanted; k++)
                axes[k - 1].Add(Number(cells[columns.At[k]], separator)!.Value);
            if (time.Count > MostSamples)
                throw new DocumentException("log", $"has more than {MostSamples} samples");
        }

        /// <summary>The first line of numbers says where they stand, with the line before it.</summary>
        private void Begin(string[] cells)
        {
            if (Guessed(cells, separator) is not { } guessed)
                return;
            columns = Named(header, cells, separator) ?? guessed;
            clock = Number(cells[columns.At[0]], separator) is null;
        }

        /// <summary>s from midnight of the first day where the column has clock times, else as it stands; null where it is none.</summary>
        private double? Time(string cell) => !clock ? Number(cell, separator)
            : Clock(cell) is { } moment ? (moment - (midnight ??= moment)).TotalSeconds : null;

        private DocumentException? Wrong(int line, string[] row)
        {
            for (var k = 0; k < Wanted; k++)
            {
                var cell = columns!.At[k] < row.Length ? row[columns.At[k]] : "";
                if (cell.Length == 0)
                    return new DocumentException($"log, line {line}", $"has nothing in column {columns.At[k] + 1}{Called(columns, k)}");
                if ((k == 0 ? Time(cell) : Number(cell, separator)) is not { } value)
                    return new DocumentException($"log, line {line}",
                        $"has '{Short(cell)}' in column {columns.At[k] + 1}{Called(columns, k)}: "
                            + $"{(k == 0 && clock ? "no time" : "no number")}");
                if (Math.Abs(value) > (k == 0 ? LatestTime : LargestAcceleration))
                    return new DocumentException($"log, line {line}",
                        $"has {Short(cell)} in column {columns.At[k] + 1}{Called(columns, k)}: no phone measures that");
            }
            return null;
        }

        public AccelerometerLog Done(LogTime? timeUnit, LogAcceleration? accelerationUnit)
        {
            if (columns is null)
                throw new DocumentException("log", "has no line of four numbers: time and three axes are needed");
            if (time.Count < FewestSamples)
                throw new DocumentException("log", $"has {time.Count} samples; at least {FewestSamples} are needed");
            var (recognised, by) = clock ? (LogTime.Seconds, "clock times")
                : TimeOf(columns.TimeName, (time[^1] - time[0]) / (time.Count - 1));
            var (acceleration, why) = AccelerationOf(columns.AxesName, axes);
            var (t, a) = (clock ? LogTime.Seconds : timeUnit ?? recognised, accelerationUnit ?? acceleration);
            var (second, metre) = (Second(t), Metre(a));
            var which = columns.TimeName.Length > 0 ? $"columns {string.Join(", ", columns.Names.Select(n => $"“{n}”"))}; " : "";
            return new([.. time.Select(v => (v - time[0]) * second)], [.. axes.Select(axis => axis.Select(v => v * metre).ToArray())], t, a,
                $"{which}time in {Words(recognised)} ({by}), acceleration in {(acceleration == LogAcceleration.Gravity ? "g" : "m/s²")} "
                    + $"({why})")
            {
                HasClock = clock,
            };
        }
    }

    /// <summary>What was read ahead of a text, then the rest of it.</summary>
    private sealed class PrefixedReader(string prefix, TextReader rest) : TextReader
    {
        private int at;

        public override int Peek() => at < prefix.Length ? prefix[at] : rest.Peek();

        public override int Read() => at < prefix.Length ? prefix[at++] : rest.Read();

        public override int Read(char[] buffer, int index, int count)
        {
            var own = Math.Min(count, prefix.Length - at);
            if (own <= 0)
                return rest.Read(buffer, index, count);
            prefix.CopyTo(at, buffer, index, own);
            at += own;
            return own;
        }
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
    private static char SeparatorOf(ReadOnlySpan<char> beginning)
    {
        foreach (var c in (ReadOnlySpan<char>)['\t', ';'])
            if (beginning.Count(c) >= 3 * Math.Max(1, beginning.Count('\n') / 2))
                return c;
        return ',';
    }

    private static IEnumerable<(int Line, string[] Cells)> Lines(TextReader text, char separator, CancellationToken stop)
    {
        var config = new CsvConfiguration(CultureInfo.InvariantCulture)
        {
            Delimiter = separator.ToString(),
            HasHeaderRecord = false,
            AllowComments = true,
            Comment = '#',
            TrimOptions = TrimOptions.Trim,
            BadDataFound = null,
            MaxFieldSize = LongestCell,
        };
        using var parser = new CsvParser(text, config, leaveOpen: true);
        while (Next(parser))
        {
            stop.ThrowIfCancellationRequested();
            yield return (parser.RawRow, parser.Record!);
        }
    }

    private static bool Next(CsvParser parser)
    {
        try
        {
            return parser.Read();
        }
        catch (MaxFieldSizeException)
        {
            throw new DocumentException($"log, line {parser.RawRow + 1}", $"has a cell of more than {LongestCell} characters");
        }
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
        var next = Enumerable.Range(first + 1, row.Length - first - 1).Where(i => Number(row[i], separator) is not null).Take(Wanted - 1)
            .ToArray();
        return next.Length < Wanted - 1 ? null : new([first, .. next], ["", "", "", ""]);
    }

    /// <summary>By the names of the header: x, y and z of the acceleration, and of several times the one that counts from the
    /// start.</summary>
    private static Columns? Named(string[] header, string[] row, char separator)
    {
        int Axis(char axis)
        {
            var named = header.Select((h, i) => (Name: h, At: i)).Where(h => h.At < row.Length && AxisName().Match(h.Name)
                is { Success: true } m
                && char.ToLowerInvariant(m.Groups[1].Value[0]) == axis && Number(row[h.At], separator) is not null).ToList();
            return named.Count == 0 ? -1 : (named.FirstOrDefault(h => h.Name.StartsWith("a", StringComparison.OrdinalIgnoreCase)
                || h.Name.Contains("acc", StringComparison.OrdinalIgnoreCase)) is { Name: not null } best ? best : named[0]).At;
        }
        var axes = new[] { Axis('x'), Axis('y'), Axis('z') };
        var times = header.Select((h, i) => (Name: h, At: i)).Where(h => h.At < row.Length && TimeColumn().IsMatch(h.Name)
            && (Number(row[h.At], separator) is not null || Clock(row[h.At]) is not null)).ToList();
        if (axes.Contains(-1) || times.Count == 0)
            return null;
        var time = times.OrderByDescending(h => ElapsedColumn().IsMatch(h.Name))
            .ThenByDescending(h => Number(row[h.At], separator) is not null).First().At;
        int[] at = [time, .. axes];
        return new(at, [.. at.Select(i => header[i])]);
    }

    private static (LogTime, string) TimeOf(string name, double step)
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
        return (step > 1e5 ? LogTime.Nanoseconds : step > 500 ? LogTime.Microseconds : step > 0.5 ? LogTime.Milliseconds
            : LogTime.Seconds, "by the step between samples");
    }

    private static (LogAcceleration, string) AccelerationOf(string names, IReadOnlyList<double>[] axes)
    {
        if (names.Contains("m/s", StringComparison.OrdinalIgnoreCase))
            return (LogAcceleration.MetresPerSecondSquared, "the header says so");
        if (GravityName().IsMatch(names))
            return (LogAcceleration.Gravity, "the header says so");
        // At rest a phone that counts weight shows 9.8 or 1.
        var mean = Math.Sqrt(axes.Sum(a => Math.Pow(a.Average(), 2)));
        return mean is > 0.8 and < 1.3 ? (LogAcceleration.Gravity, "its weight reads about one")
            : (LogAcceleration.MetresPerSecondSquared, "by the size of the numbers");
    }

    /// <summary>x, y or z as a word of its own, or behind an a or acceleration: "x", "ax", "acc_z", "Acceleration y (m/s²)",
    /// "accelerationX(G)".</summary>
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
