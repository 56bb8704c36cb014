using System.Globalization;
using System.Xml.Linq;
using Ochema.Core.Json;
using Ochema.Core.Running;

namespace Ochema.Core.Tests.Running;

/// <summary>Tracks of a phone: way and speed, and where it was too fast.</summary>
public class GpxTrackTests
{
    private static readonly DateTime Day = new(2026, 5, 1, 9, 0, 0, DateTimeKind.Utc);

    /// <summary>Up to a speed, along at it, and down again.</summary>
    private static double[] Drive(double speed) =>
        [.. Enumerable.Range(0, 300).Select(i => speed * Math.Clamp(Math.Min(i, 299 - i) / 20.0, 0, 1))];

    /// <summary>A degree of a meridian is π·R/180 = 111.195 km on the mean sphere (IUGG, 6371.0088 km).</summary>
    [Fact]
    public void ADegreeOfAMeridianIsAsLongAsItIs()
    {
        static double Rad(double d) => d * Math.PI / 180;
        Assert.Equal(111195.08, GpxTrack.Way(new(0, 0, 0), new(1, Rad(1), 0)), 0.5);
        // And one of the 60th parallel half of that, as near as a short arc is its chord along it.
        Assert.Equal(0.5 * 111195.08, GpxTrack.Way(new(0, Rad(60), 0), new(1, Rad(60), Rad(1))), 5.0);
    }

    [Theory]
    [InlineData(8.3)]
    [InlineData(25)]
    public void ASimulatedRunIsReadAsItWasDriven(double speed)
    {
        var report = GpxTrack.Of(GpxTrack.Simulate(Drive(speed), Day, seed: 3), speed * 1.2, speed * 1.2);
        Assert.Equal("2026-05-01T09:00:00Z", report.Started);
        Assert.Equal(299, report.Duration, 1e-9);
        Assert.Equal(Drive(speed).Sum(), report.Distance, 0.06 * report.Distance);
        Assert.Equal(speed, report.Fastest, 0.8);
        Assert.Empty(report.OverAllowed);
        Assert.Equal(report.Times.Count, report.Speeds.Count);
        Assert.Equal(report.Fastest, report.Speeds.Max(), 1e-9);
    }

    [Fact]
    public void WhereItWasTooFastIsSaid()
    {
        var report = GpxTrack.Of(GpxTrack.Simulate(Drive(20), Day), 15, 10);
        var (over, unproved) = (Assert.Single(report.OverAllowed), Assert.Single(report.OverProved));
        // Past 15 m/s from three quarters of the way up on, 15 s, and as long before the end.
        Assert.InRange(over.From, 13, 20);
        Assert.InRange(over.To, 279, 286);
        Assert.True(unproved.From < over.From);
        Assert.Contains("allowed", report.Says, StringComparison.Ordinal);
    }

    /// <summary>What the stand-in writes is read by a general reader of XML as the GPX 1.1 schema has it.</summary>
    [Fact]
    public void AGeneralReaderReadsWhatTheStandInWrites()
    {
        XNamespace gpx = "http://www.topografix.com/GPX/1/1";
        var points = XDocument.Parse(GpxTrack.Simulate(Drive(10), Day)).Root!.Elements(gpx + "trk").Elements(gpx + "trkseg")
            .Elements(gpx + "trkpt").ToList();
        Assert.Equal(300, points.Count);
        Assert.Equal(Day.AddSeconds(299), DateTime.Parse(points[^1].Element(gpx + "time")!.Value, CultureInfo.InvariantCulture,
            DateTimeStyles.AdjustToUniversal));
        Assert.All(points, p => Assert.InRange(double.Parse(p.Attribute("lat")!.Value, CultureInfo.InvariantCulture), 52, 53));
    }

    [Theory]
    [InlineData("")]
    [InlineData("no xml")]
    [InlineData("<gpx></gpx>")]
    [InlineData("<gpx><trk><trkseg><trkpt lat=\"1\" lon=\"2\"/></trkseg></trk></gpx>")]
    [InlineData("<gpx><trkpt lat=\"91\" lon=\"2\"><time>2026-05-01T09:00:00Z</time></trkpt></gpx>")]
    [InlineData("<gpx><trkpt lat=\"1\" lon=\"2\"><time>today</time></trkpt></gpx>")]
    [InlineData("<!DOCTYPE x [<!ENTITY a \"aaaa\">]><gpx>&a;</gpx>")]
    [InlineData("<gpx><trkpt lat=\"1\" lon=\"2\"><time>2026-05-01T09:00:00Z</time></trkpt><trkpt lat=\"1\" lon=\"2\"><time>2026-05-01T09:00:00Z</time></trkpt></gpx>")]
    public void WhatIsNoTrackIsRefusedByName(string text) =>
        Assert.StartsWith("track", Assert.Throws<DocumentException>(() => GpxTrack.Of(text, 10, 10)).Path, StringComparison.Ordinal);
}
