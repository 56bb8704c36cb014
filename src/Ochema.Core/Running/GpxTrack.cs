using System.Globalization;
using System.Text;
using System.Xml;
using Ochema.Core.Json;
using Ochema.Core.Rigs;

namespace Ochema.Core.Running;

/// <summary>A point of a track.</summary>
/// <param name="At">s from the first.</param>
/// <param name="Latitude">rad.</param>
/// <param name="Longitude">rad.</param>
public readonly record struct TrackPoint(double At, double Latitude, double Longitude);

/// <summary>A stretch on which it went faster than a limit.</summary>
/// <param name="From">s from the beginning.</param>
/// <param name="To">s.</param>
/// <param name="Fastest">m/s.</param>
public sealed record Exceeded(double From, double To, double Fastest);

/// <summary>A run as a track has it. SI.</summary>
/// <param name="Started">Universal time of its first point.</param>
/// <param name="Duration">s.</param>
/// <param name="Distance">m.</param>
/// <param name="Fastest">m/s, held for some seconds.</param>
/// <param name="Times">s, at most some hundreds, for a chart.</param>
/// <param name="Speeds">m/s at those times, the fastest of what lies between.</param>
public sealed record TrackReport(string Started, double Duration, double Distance, double Fastest, IReadOnlyList<double> Times,
    IReadOnlyList<double> Speeds)
{
    /// <summary>Where it went faster than was allowed.</summary>
    public required IReadOnlyList<Exceeded> OverAllowed { get; init; }

    /// <summary>Where it went faster than was proved.</summary>
    public required IReadOnlyList<Exceeded> OverProved { get; init; }

    /// <summary>In a sentence.</summary>
    public required string Says { get; init; }
}

/// <summary>GPX 1.1 tracks (Topografix schema): time and place of each track point; speed from one to the next.</summary>
public static class GpxTrack
{
    /// <summary>Most points, and letters, of one track.</summary>
    private const int MostPoints = 200000;
    private const long MostLetters = 40_000_000;

    /// <summary>Mean radius of the earth, m (IUGG).</summary>
    private const double Earth = 6371008.8;

    /// <summary>Speed is taken over so many seconds: a fix is off by metres, and off alike for a while (judgement, 3–10 s).</summary>
    private const double Over = 4;

    /// <summary>A limit is exceeded by more than what a fix is off by, m/s (judgement).</summary>
    private const double Slack = 0.6;

    /// <summary>Points of the chart.</summary>
    private const int Charted = 400;

    /// <summary>The points of a track, in their order of time.</summary>
    /// <exception cref="DocumentException">It is no track; says where and why.</exception>
    public static (DateTime Started, IReadOnlyList<TrackPoint> Points) Read(string text)
    {
        var points = new List<(DateTime At, double Latitude, double Longitude)>();
        var settings = new XmlReaderSettings { DtdProcessing = DtdProcessing.Prohibit, XmlResolver = null, MaxCharactersInDocument = MostLetters };
        try
        {
            using var reader = XmlReader.Create(new StringReader(text), settings);
            (double Latitude, double Longitude)? place = null;
            while (!reader.EOF)
            {
                if (reader.NodeType == XmlNodeType.Element && reader.LocalName == "trkpt")
                    place = (Angle(reader, "lat", 90), Angle(reader, "lon", 180));
                if (reader.NodeType == XmlNodeType.Element && reader.LocalName == "time" && place is { } here)
                {
                    var said = reader.ReadElementContentAsString();
                    if (!DateTime.TryParse(said, CultureInfo.InvariantCulture, DateTimeStyles.AdjustToUniversal | DateTimeStyles.AssumeUniversal,
                        out var at))
                        throw new DocumentException($"track, point {points.Count + 1}, time", $"'{said[..Math.Min(said.Length, 40)]}' is no time");
                    points.Add((at, here.Latitude, here.Longitude));
                    place = null;
                    if (points.Count > MostPoints)
                        throw new DocumentException("track", $"has more than {MostPoints} points");
                    continue;
                }
                reader.Read();
            }
        }
        catch (XmlException e)
        {
            throw new DocumentException("track", $"is no GPX: line {e.LineNumber}, column {e.LinePosition}");
        }
        if (points.Count < 2)
            throw new DocumentException("track", "has no two points with a time: a GPX track with times is wanted");
        var sorted = points.OrderBy(p => p.At).DistinctBy(p => p.At).ToList();
        if (sorted.Count < 2)
            throw new DocumentException("track", "has all its points at one time");
        return (sorted[0].At, [.. sorted.Select(p => new TrackPoint((p.At - sorted[0].At).TotalSeconds, p.Latitude, p.Longitude))]);
    }

    private static double Angle(XmlReader reader, string name, double most) =>
        double.TryParse(reader.GetAttribute(name), NumberStyles.Float, CultureInfo.InvariantCulture, out var degrees)
            && Math.Abs(degrees) <= most ? degrees * Math.PI / 180
            : throw new DocumentException($"track, line {((IXmlLineInfo)reader).LineNumber}, {name}", $"is no angle between ±{most} degrees");

    /// <summary>Way between two points, m (haversine on the mean sphere).</summary>
    public static double Way(TrackPoint a, TrackPoint b)
    {
        var (dp, dl) = ((b.Latitude - a.Latitude) / 2, (b.Longitude - a.Longitude) / 2);
        var h = Math.Sin(dp) * Math.Sin(dp) + Math.Cos(a.Latitude) * Math.Cos(b.Latitude) * Math.Sin(dl) * Math.Sin(dl);
        return 2 * Earth * Math.Asin(Math.Sqrt(Math.Min(1, h)));
    }

    /// <summary>A run against what was allowed and what was proved, m/s; null where nobody said.</summary>
    /// <exception cref="DocumentException">It is no track.</exception>
    public static TrackReport Of(string text, double? allowed, double? proved)
    {
        var (started, points) = Read(text);
        var along = new double[points.Count];
        for (var i = 1; i < points.Count; i++)
            along[i] = along[i - 1] + Way(points[i - 1], points[i]);
        var speeds = new double[points.Count];
        int from = 0, to = 0;
        for (var i = 0; i < points.Count; i++)
        {
            while (from < i && points[i].At - points[from].At > Over / 2)
                from++;
            while (to < points.Count - 1 && points[to].At - points[i].At < Over / 2)
                to++;
            var (a, b) = (from > 0 ? from - 1 : from, to);
            speeds[i] = points[b].At > points[a].At ? (along[b] - along[a]) / (points[b].At - points[a].At) : 0;
        }
        var fastest = speeds.Max();
        var (over, unproved) = (Past(points, speeds, allowed), Past(points, speeds, proved));
        var step = Math.Max(1, points.Count / Charted);
        var chart = Enumerable.Range(0, (points.Count + step - 1) / step).Select(k => k * step).ToList();
        return new(Made.TextOf(started), points[^1].At, along[^1], fastest, [.. chart.Select(i => points[i].At)],
            [.. chart.Select(i => speeds[i..Math.Min(speeds.Length, i + step)].Max())])
        {
            OverAllowed = over,
            OverProved = unproved,
            Says = (over.Count, unproved.Count) switch
            {
                (0, 0) => allowed is null && proved is null ? "Nothing was said to hold it against." : "Never faster than it was allowed and proved.",
                ( > 0, _) => $"Faster than it was allowed in {Times(over.Count)}. What was not proved is looked at now, joint by joint.",
                _ => $"Faster than it was proved in {Times(unproved.Count)}. Look at all of it, joint by joint.",
            },
        };
    }

    private static string Times(int n) => n == 1 ? "one place" : $"{n} places";

    private static List<Exceeded> Past(IReadOnlyList<TrackPoint> points, double[] speeds, double? limit)
    {
        var list = new List<Exceeded>();
        if (limit is not { } most)
            return list;
        Exceeded? now = null;
        for (var i = 0; i < speeds.Length; i++)
            if (speeds[i] > most + Slack)
                now = now is null ? new(points[i].At, points[i].At, speeds[i])
                    : now with { To = points[i].At, Fastest = Math.Max(now.Fastest, speeds[i]) };
            else if (now is not null)
            {
                list.Add(now);
                now = null;
            }
        if (now is not null)
            list.Add(now);
        return list;
    }

    /// <summary>A stand-in for a phone's track: a straight road to the north-east, once a second, each fix off by metres that wander. The same
    /// seed gives the same track.</summary>
    /// <param name="speeds">m/s, one a second.</param>
    public static string Simulate(IReadOnlyList<double> speeds, DateTime started, int seed = 1)
    {
        var random = new Random(seed);
        double Noise() => Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());
        var text = new StringBuilder("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n<gpx version=\"1.1\" creator=\"stand-in\" "
            + "xmlns=\"http://www.topografix.com/GPX/1/1\"><trk><name>made up</name><trkseg>\n");
        var (way, east, north) = (0.0, 0.0, 0.0);
        for (var i = 0; i < speeds.Count; i++)
        {
            way += speeds[i];
            // Wanders: nine tenths of what it was off by before.
            (east, north) = (0.9 * east + 0.4 * Noise(), 0.9 * north + 0.4 * Noise());
            var latitude = 52.1 + (way * Math.Sqrt(0.5) + north) / Earth * 180 / Math.PI;
            var longitude = 11.2 + (way * Math.Sqrt(0.5) + east) / (Earth * Math.Cos(52.1 * Math.PI / 180)) * 180 / Math.PI;
            text.Append(CultureInfo.InvariantCulture, $"<trkpt lat=\"{latitude:0.0000000}\" lon=\"{longitude:0.0000000}\"><time>"
                + $"{Made.TextOf(started.AddSeconds(i))}</time></trkpt>\n");
        }
        return text.Append("</trkseg></trk></gpx>\n").ToString();
    }
}
