using System.Collections.Concurrent;
using System.Diagnostics.Metrics;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Data;

namespace Ochema.Web.Tests;

/// <summary>
/// What a change of speed, a save, a plan and a log do, one after the other (docs/computing.md): each does its work once. Counted, so that
/// a machine that is busy changes nothing.
/// </summary>
[Collection(Alone.Name)]
public sealed class EffortTests : IDisposable
{
    private readonly Host host = new();
    private readonly MeterListener listener = new();
    private readonly ConcurrentDictionary<string, int> counted = new();

    public EffortTests()
    {
        listener.InstrumentPublished = (instrument, l) =>
        {
            if (instrument.Meter.Name == Effort.Meter)
                l.EnableMeasurementEvents(instrument);
        };
        listener.SetMeasurementEventCallback<int>((instrument, n, _, _) =>
            counted.AddOrUpdate(instrument.Name, n, (_, known) => known + n));
        listener.Start();
    }

    public void Dispose()
    {
        listener.Dispose();
        host.Dispose();
    }

    private async Task<(int Parses, int Builds, int Factorisations)> Of(Func<Task<HttpResponseMessage>> ask)
    {
        counted.Clear();
        (await ask()).EnsureSuccessStatusCode();
        return (counted.GetValueOrDefault("parses"), counted.GetValueOrDefault("builds"), counted.GetValueOrDefault("factorisations"));
    }

    [Theory] // as often as the computation by itself: the frame, its modes, states that want one of their own
    [InlineData(2)]
    [InlineData(0)]
    public async Task AnAnswerBuildsOnceAndAnotherSpeedNothing(int demo)
    {
        var rig = Host.DemoDocument(demo);
        const string path = "/api/assess?advice=false&workings=false";
        counted.Clear();
        new Design(DemoFilm.Rigs[demo].Document, Catalogue.Shipped).Whole(workings: false);
        Assert.Equal((1, 1, counted["factorisations"]), await Of(() => host.Client.PostAsync(path, Host.Json(rig))));
        // The same again, another let-go case, another speed, a working: the design is kept.
        Assert.Equal((1, 0, 0), await Of(() => host.Client.PostAsync(path + "&letGo=holds-alone", Host.Json(rig))));
        var answer = (await (await host.Client.PostAsync(path, Host.Json(rig))).Content.ReadFromJsonAsync<JsonNode>())!;
        var (id, check) = ((string)answer["design"]!["id"]!, (string)answer["drive"]!["checks"]![0]!["id"]!);
        Assert.Equal((0, 0, 0), await Of(() => host.Client.PostAsync("/api/assess/drive", Host.Json($$"""{"design":"{{id}}","speed":7}"""))));
        Assert.Equal((1, 0, 0), await Of(() => host.Client.PostAsync($"/api/assess/working?check={check}", Host.Json(rig))));
    }

    [Fact]
    public async Task ASaveOfWhatWasAnsweredJudgesNothingAnew()
    {
        await host.Films();
        var id = await host.Create(Host.DemoDocument(2));
        var rig = JsonNode.Parse(Host.DemoDocument(2))!;
        rig["run"]!["speed"] = 12.5;
        (await host.Client.PostAsync("/api/assess?advice=false&workings=false", Host.Json(rig.ToJsonString()))).EnsureSuccessStatusCode();
        // Read as sent, and once more as it stands stored, for the answer.
        var (parses, builds, frames) = await Of(() => host.Put(id, rig.ToJsonString(), "\"1\""));
        Assert.True(parses <= 2, $"{parses} readings");
        Assert.Equal((0, 0), (builds, frames));
        // Dragged along the tape since: the design is the same.
        rig["run"]!["speed"] = 13.5;
        Assert.Equal((0, 0), await Of(() => host.Put(id, rig.ToJsonString(), "\"2\"")) is var later ? (later.Builds, later.Factorisations) : default);
        // And the list shows what was judged then.
        Assert.Equal((0, 0, 0), await Of(() => host.Client.GetAsync("/api/films")));
    }

    [Fact]
    public async Task APlanBuildsOnceAndItsPaperTakesTheWordThatIsThere()
    {
        var rig = Host.DemoDocument(2);
        Assert.Equal((1, 1, 0), await Of(() => host.Client.PostAsync("/api/make", Host.Json(rig))));
        (await host.Client.PostAsync("/api/assess?advice=false&workings=false", Host.Json(rig))).EnsureSuccessStatusCode();
        Assert.Equal((1, 1, 0), await Of(() => host.Client.PostAsync("/api/make/paper?what=plan", Host.Json(rig))));
    }
}

/// <summary>Tests that count what the whole process does run by themselves.</summary>
[CollectionDefinition(Name, DisableParallelization = true)]
public sealed class Alone
{
    public const string Name = "alone";
}
