using System.Text.RegularExpressions;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Tests.Rigs;

/// <summary>Kinds are whole: measurements, drawing, words, and a place that each can stand on.</summary>
public partial class KindTests
{
    public static TheoryData<string, string> Kinds
    {
        get
        {
            var data = new TheoryData<string, string>();
            foreach (var k in KindDescriptors.All(Catalogue.Shipped).Where(k => k.About.Length > 0))
                data.Add(k.Station, k.Id);
            return data;
        }
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void EveryKindIsPublishedWhole(string station, string id)
    {
        var kind = KindDescriptors.All(Catalogue.Shipped).Single(k => k.Station == station && k.Id == id);
        Assert.InRange(kind.About.Length, 10, 200);
        foreach (var f in kind.Fields)
        {
            Assert.NotEmpty(f.Label);
            if (f.Type == "quantity")
                Assert.True(f.Minimum < f.Maximum, f.Name);
            if (f.Type is "stock" or "option")
                Assert.NotEmpty(f.Choices!);
            if (f.Default is { ValueKind: System.Text.Json.JsonValueKind.Number } d)
                Assert.InRange(d.GetDouble(), f.Minimum!.Value, f.Maximum!.Value);
        }
        // A drawing of where to measure wherever something is measured, its dimensions named as the fields are.
        var dimensions = Dimension().Matches(kind.Sketch).Select(m => m.Groups[1].Value).ToList();
        Assert.All(dimensions, d => Assert.Contains(kind.Fields, f => f.Name == d));
        if (station is "base" or "reach" && kind.Fields.Any(f => f.Type == "quantity" && !f.Measured))
            Assert.NotEmpty(dimensions);
        foreach (var part in kind.Sketch.Split(';', StringSplitOptions.RemoveEmptyEntries))
            Assert.Matches(@"^\s*(host( \d+){1}|rect( \d+){4}|line( \d+){4}|circle( \d+){3}|dim \w+( \d+){4})\s*$", part);
    }

    [Fact]
    public void EveryBaseHasASiteThatCanTakeIt()
    {
        foreach (var type in KindRegistry.Of(typeof(BaseKind)))
        {
            var grip = ((BaseKind)Activator.CreateInstance(type)!).Grip;
            var survey = new SiteSurvey { FilmingProp = Answer.Yes };
            Assert.Contains(HostLibrary.All.SelectMany(h => h.Sites.Select(s => (h, s))),
                p => Survey.Refusal(grip, p.s, survey, p.h, Catalogue.Shipped) is null);
        }
    }

    [Fact]
    public void EverySiteTakesSomething()
    {
        foreach (var host in HostLibrary.All)
            foreach (var site in host.Sites)
                Assert.Contains(KindRegistry.Of(typeof(BaseKind)), t => Survey.Refusal(((BaseKind)Activator.CreateInstance(t)!).Grip,
                    site, new SiteSurvey(), host, Catalogue.Shipped) is null);
    }

    [Fact]
    public void EveryRowOfTheCatalogueHasASource()
    {
        foreach (var (list, rows) in Catalogue.Shipped.Lists)
        {
            Assert.Equal(rows.Count, rows.Select(r => r.Id).Distinct().Count());
            foreach (var r in rows)
            {
                Assert.True(r.Source.Length > 3, $"{list}/{r.Id}");
                // A value that is only judged says how far it may be off.
                Assert.True(!r.Source.StartsWith("judgement", StringComparison.Ordinal) || r.Range is { Length: > 3 }, $"{list}/{r.Id}");
            }
        }
    }

    [Fact]
    public void KindsAreComparedByTheirMeasurements()
    {
        foreach (var type in KindRegistry.Of(typeof(BaseKind)).Concat(KindRegistry.Of(typeof(IsolatorKind))).Concat(KindRegistry.Of(typeof(HoldKind))))
            Assert.Equal(Activator.CreateInstance(type), Activator.CreateInstance(type));
    }

    [GeneratedRegex(@"dim (\w+)")]
    private static partial Regex Dimension();
}
