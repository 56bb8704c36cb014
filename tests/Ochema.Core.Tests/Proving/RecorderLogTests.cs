using System.Globalization;
using System.Text;
using Ochema.Core.Json;
using Ochema.Core.Proving;

namespace Ochema.Core.Tests.Proving;

/// <summary>The ways in which phones write what they measured (common practice, no source): all read to the same samples.</summary>
public class RecorderLogTests
{
    private const int Count = 200;
    private const double Step = 0.0025;

    /// <summary>A log of a sine on the second axis, 0.2 m/s² at 20 Hz, with weight on the third.</summary>
    private static string Log(string header, Func<double, double, string> row, string before = "", string after = "") =>
        before + header + "\n"
            + string.Concat(Enumerable.Range(0, Count).Select(i => row(i * Step, 0.2 * Math.Sin(2 * Math.PI * 20 * i * Step)) + "\n"))
                + after;

    private static string F(double v) => v.ToString("0.000000", CultureInfo.InvariantCulture);

    public static TheoryData<string, string> Logs() => new()
    {
        { "plain", Log("time (s),ax (m/s²),ay (m/s²),az (m/s²)", (t, y) => $"{F(t)},0.01,{F(y)},9.81") },
        { "quoted", Log("\"Time (s)\",\"Acceleration x (m/s^2)\",\"Acceleration y (m/s^2)\",\"Acceleration z (m/s^2)\"", (t, y) =>
            $"\"{F(t)}\",\"0.01\",\"{F(y)}\",\"9.81\"") },
        { "axes the other way, two times", Log("time,seconds_elapsed,z,y,x", (t, y) =>
            $"{1764140000000000000L + (long)(t * 1e9)},{F(t)},9.81,{F(y)},0.01") },
        { "clock times", Log("timestamp;x;y;z", (t, y) =>
            $"{new DateTime(2026, 5, 3, 10, 0, 0).AddSeconds(t):yyyy-MM-dd'T'HH:mm:ss.fffffff}Z;0,01;{F(y).Replace('.', ',')};9,81") },
        { "clock and since", Log("loggingTime,sampleSinceStart(s),accelerationX(G),accelerationY(G),accelerationZ(G)",
            (t, y) => $"2026-05-03 10:00:00.000 +0200,{F(t)},{F(0.01 / 9.80665)},{F(y / 9.80665)},1.0003") },
        { "milliseconds, tabs", Log("t (ms)\tx\ty\tz\taccuracy", (t, y) => $"{F(t * 1000)}\t0.01\t{F(y)}\t9.81\t3") },
        { "microseconds by their step", Log("t,x,y,z", (t, y) => $"{(long)(t * 1e6)},0.01,{F(y)},9.81") },
        { "comments round it",
            Log("time_ns,acc_x,acc_y,acc_z", (t, y) => $"{(long)(t * 1e9)},0.01,{F(y)},9.81", "# recorded by a phone\n\n",
                "\n# end\nstopped, 200 samples\n") },
        { "sensors beside each other", Log("time (s),gyro x,gyro y,gyro z,acc x (m/s²),acc y (m/s²),acc z (m/s²)", (t, y) =>
            $"{F(t)},5,6,7,0.01,{F(y)},9.81") },
        { "no header", Log("", (t, y) => $"{F(t)},0.01,{F(y)},9.81") },
    };

    [Theory]
    [MemberData(nameof(Logs))]
    public void AllAreReadToTheSame(string name, string text)
    {
        var log = AccelerometerLog.Read(text);
        Assert.Equal(Count, log.Time.Length);
        Assert.Equal((Count - 1) * Step, log.Time[^1], 5e-5);
        for (var i = 0; i < Count; i++)
        {
            Assert.True(Math.Abs(log.Axes[0][i] - 0.01) < 1e-4, name);
            Assert.True(Math.Abs(log.Axes[1][i] - 0.2 * Math.Sin(2 * Math.PI * 20 * i * Step)) < 1e-4, name);
            Assert.True(Math.Abs(log.Axes[2][i] - 9.81) < 2e-3, name);
        }
    }

    [Theory]
    [InlineData("0.1,0,abc,9.81", "log, line 42", "'abc' in column 3 (“ay”): no number")]
    [InlineData("0.1,0,,9.81", "log, line 42", "nothing in column 3 (“ay”)")]
    [InlineData("0.1,0,NaN,9.81", "log, line 42", "'NaN' in column 3")]
    [InlineData("0.1,0", "log, line 42", "nothing in column 3")]
    [InlineData("0.01,0,0,9.81", "log, line 42", "goes back in time")]
    public void WhatIsRefusedIsNamedWithItsLine(string bad, string path, string reason)
    {
        // Two lines above the header, and a blank one: lines are those of the file.
        var lines = Log("time (s),ax,ay,az", (t, y) => $"{F(t)},0.01,{F(y)},9.81", "# a phone\n\n").Split('\n').ToList();
        lines.Insert(41, bad);
        var e = Assert.Throws<DocumentException>(() => AccelerometerLog.Read(string.Join('\n', lines)));
        Assert.Equal(path, e.Path);
        Assert.Contains(reason, e.Reason, StringComparison.Ordinal);
    }

    [Theory]
    [InlineData("")]
    [InlineData("a,b,c\n1,2\n")]
    [InlineData("\"")]
    public void WhatIsNoLogIsSaid(string text) =>
        Assert.Equal("log", Assert.Throws<DocumentException>(() => AccelerometerLog.Read(text)).Path);

    [Fact]
    public void TenMinutesAtFourHundredASecondAreRead()
    {
        var text = new StringBuilder("time (s),ax,ay,az\n");
        for (var i = 0; i < 240_000; i++)
            text.Append(CultureInfo.InvariantCulture,
                $"{i * Step:0.0000},0.0{i % 10},{Math.Sin(2 * Math.PI * 8 * i * Step):0.00000},9.81\n");
        var report = TapTest.Read(text.ToString());
        Assert.Equal(599.9975, report.Duration, 0.0005);
        Assert.Equal(8, report.Peaks[0].Frequency, 0.05);
    }
}
