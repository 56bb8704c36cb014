using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ochema.Web.Tests;

/// <summary>Proving and running through the API, and a whole day that survives a kill.</summary>
public sealed class ProveApiTests(Host host) : IClassFixture<Host>
{
    private static string Entry(string key, string sort, string rest = "") =>
        $$"""{"key":"{{key}}","at":"2026-05-01T09:00:00Z","sort":"{{sort}}"{{rest}}}""";

    private Task<HttpResponseMessage> Log(string id, string entry) => host.Client.PostAsync($"/api/rigs/{id}/log", Host.Json(entry));

    private static async Task<JsonNode> Read(HttpResponseMessage answer) => (await answer.Content.ReadFromJsonAsync<JsonNode>())!;

    [Fact]
    public async Task APostedRigIsToldHowItIsProved()
    {
        var answer = await host.Client.PostAsync("/api/prove", Host.Json(Host.DemoDocument(2)));
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        var report = await Read(answer);
        foreach (var pull in report["pulls"]!.AsArray())
            foreach (var field in new[] { "id", "of", "part", "point", "direction", "load", "reading", "limit", "hold" })
                Assert.NotNull(pull![field]);
        foreach (var rung in report["ladder"]!.AsArray())
            Assert.NotEmpty(rung!["inspect"]!.AsArray());
    }

    [Fact]
    public async Task ADayIsAnsweredOrRefusedByName()
    {
        async Task<HttpResponseMessage> Ask(string conditions) => await host.Client.PostAsync("/api/today",
            Host.Json($$"""{"document":{{Host.DemoDocument(2)}},"conditions":{{conditions}}}"""));
        const string usual = """{"wind":4,"gust":6,"temperature":290,"altitude":200,"road":"average","surface":"clean-dry"}""";
        var calm = await Read(await Ask(usual));
        var storm = await Read(await Ask(usual.Replace("\"wind\":4", "\"wind\":30").Replace("\"gust\":6", "\"gust\":30")));
        Assert.True((double)storm["allowedSpeed"]! < (double)calm["allowedSpeed"]!);
        foreach (var field in new[] { "allowedSpeed", "limitedBy", "lookAgainIn", "text" })
            Assert.NotNull(calm[field]);
        foreach (var (wrong, where) in new[]
        {
            (usual.Replace("\"wind\":4", "\"wind\":-4"), "conditions.wind"), (usual.Replace("290", "29"), "conditions.temperature"),
            (usual.Replace("average", "bumpy"), "conditions.road"), (usual.Replace("\"wind\":4,", ""), "conditions"),
        })
        {
            var refused = await Ask(wrong);
            Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
            Assert.Equal(where, (string?)(await Read(refused))["path"]);
        }
    }

    [Fact]
    public async Task ALineIsKeptOnceHoweverOftenItIsSent()
    {
        var id = await host.Create();
        var line = Entry("key-00000001", "finding", ""","seen":"hummed","note":"left strut" """);
        Assert.Equal(HttpStatusCode.Created, (await Log(id, line)).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await Log(id, line)).StatusCode);
        // Sent by two phones at once it is one line as well.
        var both = await Task.WhenAll(Enumerable.Range(0, 6).Select(_ => Log(id, Entry("key-00000002", "note"))));
        Assert.All(both, b => Assert.True(b.IsSuccessStatusCode));
        Assert.Single(both, b => b.StatusCode == HttpStatusCode.Created);
        var conflict = await Log(id, Entry("key-00000001", "finding", ""","seen":"crept" """));
        Assert.Equal(HttpStatusCode.Conflict, conflict.StatusCode);
        Assert.Equal(2, (await host.Get($"/api/rigs/{id}/log")).AsArray().Count);
        // Another rig may have a line of that key.
        Assert.Equal(HttpStatusCode.Created, (await Log(await host.Create(), line)).StatusCode);
    }

    [Theory]
    [InlineData("""{"key":"short","at":"2026-05-01T09:00:00Z","sort":"note"}""", "key")]
    [InlineData("""{"key":"long-enough-1","at":"today","sort":"note"}""", "at")]
    [InlineData("""{"key":"long-enough-1","at":"2026-05-01T09:00:00Z","sort":"pull","of":"x"}""", "value")]
    [InlineData("""{"key":"long-enough-1","at":"2026-05-01T09:00:00Z","sort":"finding"}""", "seen")]
    [InlineData("""{"key":"long-enough-1","at":"2026-05-01T09:00:00Z","sort":"dance"}""", "sort")]
    [InlineData("""{"key":"long-enough-1","at":"2026-05-01T09:00:00Z","sort":"note","note":"a\u0007b"}""", "note")]
    public async Task AWrongLineIsRefusedByName(string line, string path)
    {
        var refused = await Log(await host.Create(), line);
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal(path, (string?)(await Read(refused))["path"]);
    }

    [Fact]
    public async Task WhatIsNotThereHasNoLog()
    {
        Assert.Equal(HttpStatusCode.NotFound, (await Log("nobody", Entry("key-00000001", "note"))).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.GetAsync("/api/rigs/nobody/proof")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.PostAsync("/api/rigs/nobody/today", Host.Json("{}"))).StatusCode);
    }

    [Fact]
    public async Task ADeletedRigTakesItsLogAlong()
    {
        var id = await host.Create();
        await Log(id, Entry("key-00000001", "note"));
        await host.On(1, HttpMethod.Delete, $"/api/rigs/{id}");
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.GetAsync($"/api/rigs/{id}/log")).StatusCode);
        // It comes back with it.
        await host.On(1, HttpMethod.Post, $"/api/rigs/{id}/undelete");
        Assert.Single((await host.Get($"/api/rigs/{id}/log")).AsArray());
    }

    /// <summary>Read back by a reader of its own: the verdict that stands everywhere, what was proved, and what the sheet is not.</summary>
    [Fact]
    public async Task TheSheetToHandOverSaysWhatItIsAndWhatItIsNot()
    {
        const string rig = "demo-2-bonnet-close-up-braced";
        foreach (var units in new[] { "metric", "inch" })
        {
            var file = await host.Client.GetByteArrayAsync($"/api/rigs/{rig}/sheet?units={units}");
            var pages = UglyToad.PdfPig.PdfDocument.Open(file).GetPages().ToList();
            Assert.Equal(2, pages.Count);
            var text = string.Join(' ', pages.SelectMany(p => p.GetWords()).Select(w => w.Text));
            Assert.Contains(units == "metric" ? "Holds to 127 km/h, lets go at 149 km/h" : "Holds to 79 mph, lets go at 92 mph", text,
                StringComparison.Ordinal);
            Assert.Contains(units == "metric" ? "kg asked for, passed" : "lb asked for, passed", text, StringComparison.Ordinal);
            Assert.Contains("It is no approval, no certificate", text, StringComparison.Ordinal);
            Assert.Contains("made up by a stand-in", text, StringComparison.Ordinal);
        }
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.GetAsync("/api/rigs/nobody/sheet")).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await host.Client.GetAsync($"/api/rigs/{rig}/sheet?paper=a5")).StatusCode);
        // Every rig has one, whatever was done with it.
        foreach (var film in await host.Films())
            foreach (var any in film!["rigs"]!.AsArray())
                Assert.Equal(HttpStatusCode.OK, (await host.Client.GetAsync($"/api/rigs/{any!["id"]}/sheet")).StatusCode);
    }

    [Fact]
    public async Task ATrackIsHeldAgainstWhatWasAllowed()
    {
        var made = await Read(await host.Client.PostAsync("/api/track/simulate", Host.Json("""{"speed":20}""")));
        async Task<HttpResponseMessage> Ask(string text, string limits) => await host.Client.PostAsync("/api/track",
            Host.Json($$"""{"text":{{System.Text.Json.JsonSerializer.Serialize(text)}}{{limits}}}"""));
        var over = await Read(await Ask((string)made["text"]!, ""","allowed":12,"proved":25"""));
        Assert.NotEmpty(over["overAllowed"]!.AsArray());
        Assert.Empty(over["overProved"]!.AsArray());
        var refused = await Ask("<gpx/>", "");
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal("track", (string?)(await Read(refused))["path"]);
    }

    /// <summary>What the yard says of each rig is what its own screen says.</summary>
    [Fact]
    public async Task TheListSaysWhatTheLadderSays()
    {
        var list = (await host.Get("/api/proved")).AsArray();
        Assert.Equal(3, list.Count(p => (bool)p!["tried"]!));
        foreach (var p in list)
        {
            var proof = (await host.Get($"/api/rigs/{p!["rig"]}/proof"))["report"]!["proof"]!;
            Assert.Equal((double)proof["driven"]!, (double)p["driven"]!);
            Assert.Equal(proof["stopped"] is not null, (bool)p["stopped"]!);
            Assert.Equal((double?)proof["byPulls"], (double?)p["byPulls"]);
        }
    }

    /// <summary>Steps ticked, pulls read by the stand-in, the ladder climbed, a rung that fails, version two that passes, a run, a finding that
    /// comes late; all of it is there after a kill.</summary>
    [Fact]
    public async Task ASimulatedDaySurvivesAKill()
    {
        var folder = Directory.CreateTempSubdirectory("ochema-day-").FullName;
        try
        {
            var (id, lines) = ("", 0);
            using (var server = new Running(folder))
            {
                await server.Ready();
                var rig = JsonNode.Parse(Host.DemoDocument(2))!;
                id = (string)(await server.Post("/api/rigs", $$"""{"document":{{rig.ToJsonString()}}}"""))["id"]!;
                var day = new Day(server, id);
                await day.Prove();
                var proof = await day.Proof();
                Assert.Equal("walk", (string)proof["next"]!);
                Assert.True((double)proof["byPulls"]! > 0);
                await day.Write("rung", "walk", ""","outcome":"passed","value":1.4""");
                // A hold gives early: the ladder stops and says what would pass.
                var weak = (string)(await day.Report())["order"]!.AsArray()[^1]!;
                await day.Write("pull", weak, ""","value":20,"outcome":"stop" """);
                var stopped = (await day.Proof())["stopped"]!;
                Assert.Equal(weak, (string)stopped["of"]!);
                var card = (await server.Post($"/api/rigs/{id}/today", "{}"))["card"]!;
                Assert.Equal(0, (double)card["allowed"]!);
                // Version two: six magnets. What was proved of the first counts for nothing here.
                rig["base"]!["count"] = 6;
                rig["name"] = "version two";
                await server.Put($"/api/rigs/{id}", rig.ToJsonString(), 1);
                Assert.Equal(0, (int)(await day.Proof())["passed"]!);
                await day.Prove();
                foreach (var rung in (await day.Report())["ladder"]!.AsArray().Where(r => (string)r!["sort"]! == "trial"))
                    await day.Write("rung", (string)rung!["id"]!,
                        FormattableString.Invariant($""","outcome":"passed","value":{(double)rung["speed"]!}"""));
                proof = await day.Proof();
                Assert.Null(proof["next"]);
                Assert.Null(proof["stopped"]);
                card = (await server.Post($"/api/rigs/{id}/today", "{}"))["card"]!;
                Assert.True((double)card["allowed"]! > 0);
                foreach (var tick in card["on"]!.AsArray())
                    await day.Write((string)tick!["asks"]! == "gauge" ? "gauge" : "tick", (string)tick["id"]!, ""","value":61000 """);
                await day.Write("run-start", "");
                Assert.NotNull((await server.Post($"/api/rigs/{id}/today", "{}"))["card"]!["since"]);
                await day.Write("run-end", "");
                lines = day.Lines;
                server.Kill();
            }
            using (var again = new Running(folder))
            {
                await again.Ready();
                var day = new Day(again, id);
                Assert.Equal(lines, (await again.Get($"/api/rigs/{id}/log")).AsArray().Count);
                // Written while the server was away, sent now, and once more after a break.
                var late = Entry("late-0000001", "finding", ""","seen":"hummed" """);
                Assert.NotNull(await again.Post($"/api/rigs/{id}/log", late));
                Assert.NotNull(await again.Post($"/api/rigs/{id}/log", late));
                Assert.Equal(lines + 1, (await again.Get($"/api/rigs/{id}/log")).AsArray().Count);
                var card = (await again.Post($"/api/rigs/{id}/today", "{}"))["card"]!;
                Assert.Equal(1, (int)card["runs"]!);
                Assert.Single(card["findings"]!.AsArray());
                Assert.Null((await day.Proof())["next"]);
            }
        }
        finally
        {
            Directory.Delete(folder, recursive: true);
        }
    }

    /// <summary>A server of its own.</summary>
    private sealed class Running(string folder) : IDisposable
    {
        private readonly int port = Host.FreePort();
        private System.Diagnostics.Process? process;
        private HttpClient? client;

        public async Task Ready()
        {
            process = ServerProcess.Start(folder, port);
            client = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
            await ServerProcess.Ready(process, port);
        }

        public void Kill()
        {
            process!.Kill();
            process.WaitForExit();
        }

        public async Task<JsonNode> Get(string path) => (await client!.GetFromJsonAsync<JsonNode>(path))!;

        public async Task<JsonNode> Post(string path, string body)
        {
            var answer = await client!.PostAsync(path, Host.Json(body));
            Assert.True(answer.IsSuccessStatusCode, $"{path}: {await answer.Content.ReadAsStringAsync()}");
            return await Read(answer);
        }

        public async Task Put(string path, string body, int version)
        {
            var put = new HttpRequestMessage(HttpMethod.Put, path) { Content = Host.Json(body) };
            put.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
            (await client!.SendAsync(put)).EnsureSuccessStatusCode();
        }

        public void Dispose()
        {
            client?.Dispose();
            if (process is { HasExited: false })
                Kill();
            process?.Dispose();
        }
    }

    /// <summary>What somebody does with a rig on a day, a minute apart.</summary>
    private sealed class Day(Running server, string id)
    {
        public int Lines { get; private set; }

        public async Task<JsonNode> Report() => (await server.Get($"/api/rigs/{id}/proof"))["report"]!;

        public async Task<JsonNode> Proof() => (await Report())["proof"]!;

        public async Task Write(string sort, string of, string rest = "")
        {
            var design = (string)(await Report())["design"]!;
            var at = new DateTime(2026, 5, 1, 9, 0, 0, DateTimeKind.Utc).AddMinutes(Lines);
            await server.Post($"/api/rigs/{id}/log",
                $$"""{"key":"day-{{Lines:000000}}","at":"{{at:yyyy-MM-ddTHH:mm:ssZ}}","sort":"{{sort}}","of":"{{of}}","design":"{{design}}"{{rest}}}""");
            Lines++;
        }

        /// <summary>Up to the first trial, with what the stand-ins read.</summary>
        public async Task Prove()
        {
            var report = await Report();
            foreach (var rung in report["ladder"]!.AsArray().Where(r => (string)r!["sort"]! is "bench" or "travel"))
                await Write("rung", (string)rung!["id"]!, ""","outcome":"passed" """);
            foreach (var pull in report["order"]!.AsArray())
            {
                var read = await server.Post($"/api/rigs/{id}/simulate", $$"""{"of":"{{(string)pull!}}","seed":{{Lines + 1}}}""");
                Assert.True((bool)read["simulated"]!);
                await Write("pull", (string)pull!,
                    FormattableString.Invariant($$""","value":{{1.1 * (double)read["value"]!}},"outcome":"passed","simulated":true"""));
            }
            await Write("tap", "tap", FormattableString.Invariant($$""","value":{{(double)report["frequency"]!}}"""));
        }
    }
}
