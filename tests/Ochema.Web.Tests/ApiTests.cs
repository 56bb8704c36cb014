using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Ochema.Tests.Support;

namespace Ochema.Web.Tests;

public sealed class ApiTests : IDisposable
{
    private readonly Host host = new();

    public void Dispose() => host.Dispose();

    [Fact]
    public async Task ReadyAndDescribed()
    {
        Assert.Equal("ready", await host.Client.GetStringAsync("/healthz"));
        var api = await host.Get("/api/openapi.json");
        foreach (var path in new[] { "/api/rigs", "/api/rigs/{id}", "/api/recipes", "/api/kinds", "/api/stock", "/api/assess", "/api/model" })
            Assert.NotNull(api["paths"]![path]);
        Assert.Contains("hold-plate", await host.Client.GetStringAsync("/api/schema/rig.json"));
    }

    [Fact]
    public async Task TheDemoFilmIsThereAlreadyJudged()
    {
        var demo = (await host.Films()).Single()!;
        Assert.Equal(Ochema.Data.DemoFilm.Rigs.Count, demo["rigs"]!.AsArray().Count);
        Assert.Equal("tight", (string)demo["rigs"]![0]!["card"]!["verdict"]!["word"]!);
        Assert.Equal("unusable", (string)demo["rigs"]![0]!["card"]!["sharpness"]!["word"]!);
        Assert.Equal(Ochema.Data.DemoFilm.Rigs.Count, (await host.Get("/api/rigs")).AsArray().Count);
    }

    [Fact]
    public async Task EveryRecipeAndDemoRigIsAssessedAndModelled()
    {
        var documents = (await host.Get("/api/recipes")).AsArray().Select(r => r!["document"]!.ToJsonString())
            .Concat([Host.DemoDocument(0), Host.DemoDocument(2)]);
        foreach (var d in documents)
        {
            var report = await (await host.Client.PostAsync("/api/assess", Host.Json(d))).Content.ReadFromJsonAsync<JsonNode>();
            Assert.NotEmpty(report!["drive"]!["checks"]!.AsArray());
            Assert.NotNull(report["advice"]);
            var model = await (await host.Client.PostAsync("/api/model", Host.Json(d))).Content.ReadFromJsonAsync<JsonNode>();
            Assert.NotEmpty(model!["modes"]!.AsArray());
            Assert.All(model["cases"]!.AsArray(), c => Assert.True(c!["result"] is not null || c["finding"] is not null));
        }
    }

    [Fact]
    public async Task SavingIsVersionedAndGuardedByETags()
    {
        var id = await host.Create();
        var first = await host.Client.GetAsync($"/api/rigs/{id}");
        Assert.Equal("\"1\"", first.Headers.ETag!.Tag);
        var document = (await first.Content.ReadFromJsonAsync<JsonNode>())!["document"]!.ToJsonString();
        Assert.Equal(HttpStatusCode.OK, (await host.Put(id, Host.Renamed(document, "second"), "\"1\"")).StatusCode);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await host.Put(id, Host.Renamed(document, "late"), "\"1\"")).StatusCode);
        Assert.Equal((HttpStatusCode)428, (await host.Client.PutAsync($"/api/rigs/{id}", Host.Json(document))).StatusCode);
        var versions = (await host.Get($"/api/rigs/{id}/versions")).AsArray();
        Assert.Equal([2, 1], versions.Select(v => (int)v!["number"]!));

        (await host.Client.PutAsync($"/api/rigs/{id}/versions/1/name", Host.Json("""{"name":"as first drawn"}"""))).EnsureSuccessStatusCode();
        Assert.Equal("as first drawn", (string)(await host.Get($"/api/rigs/{id}/versions"))[1]!["name"]!);
        var restored = await (await host.On(2, HttpMethod.Post,
            $"/api/rigs/{id}/versions/1/restore")).Content.ReadFromJsonAsync<JsonNode>();
        Assert.Equal(3, (int)restored!["version"]!);
        Assert.Equal(document, restored["document"]!.ToJsonString());
    }

    [Fact]
    public async Task DeletedRigsComeBackAndCopiesAreTheirOwn()
    {
        var id = await host.Create();
        Assert.Equal(HttpStatusCode.NoContent, (await host.On(1, HttpMethod.Delete, $"/api/rigs/{id}")).StatusCode);
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.GetAsync($"/api/rigs/{id}")).StatusCode);
        (await host.On(1, HttpMethod.Post, $"/api/rigs/{id}/undelete")).EnsureSuccessStatusCode();
        var copy = await (await host.Client.PostAsync($"/api/rigs/{id}/duplicate", null)).Content.ReadFromJsonAsync<JsonNode>();
        Assert.NotEqual(id, (string)copy!["id"]!);
        Assert.EndsWith(", copy", (string)copy["name"]!);
        var file = await host.Client.GetAsync($"/api/rigs/{id}/file");
        Assert.EndsWith(".ochema.json", file.Content.Headers.ContentDisposition?.FileName?.Trim('"') ?? file.Headers.ToString()
            + file.Content.Headers);
        // What was exported can be opened again.
        Assert.NotEmpty(await host.Create(await file.Content.ReadAsStringAsync()));
    }

    [Fact]
    public async Task BadDocumentsAreNamedByPath()
    {
        var r = await host.Client.PostAsync("/api/assess",
            Host.Json(System.Text.RegularExpressions.Regex.Replace(Host.DemoDocument(), "\"slack\":[0-9.]+", "\"slack\":-3")));
        Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
        Assert.Equal("application/problem+json", r.Content.Headers.ContentType!.MediaType);
        var problem = await r.Content.ReadFromJsonAsync<JsonNode>();
        Assert.Equal("tethers[0].slack", (string)problem!["path"]!);
        var created = await host.Client.PostAsync("/api/rigs", Host.Json("""{"document":{"schema":1}}"""));
        Assert.Equal(HttpStatusCode.BadRequest, created.StatusCode);
    }

    [Fact]
    public async Task NoRunIsFasterThanItsHost()
    {
        var car = (await host.Get("/api/hosts")).AsArray().First(h => (string)h!["kind"]! == "car")!;
        var fast = System.Text.RegularExpressions.Regex.Replace(Host.DemoDocument(), "\"speed\":[0-9.]+",
            $"\"speed\":{(double)car["drive"]!["top"]! + 1}");
        var r = await host.Client.PostAsync("/api/assess", Host.Json(fast));
        Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
        Assert.Equal("run.speed", (string)(await r.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
    }

    [Fact] // architecture.md: first screen with at most 60 kB of data
    public async Task TheYardsFirstAnswerIsSmall()
    {
        await host.Get("/api/films");
        long bytes = 0;
        foreach (var part in new[] { "/api/units", "/api/hosts/names", "/api/films" })
        {
            var ask = new HttpRequestMessage(HttpMethod.Get, part) { Headers = { { "Accept-Encoding", "br" } } };
            bytes += (await (await host.Client.SendAsync(ask)).Content.ReadAsByteArrayAsync()).LongLength;
        }
        Assert.InRange(bytes, 4_000, 60_000);
        var names = (await host.Get("/api/hosts/names")).AsArray();
        Assert.Equal((await host.Get("/api/hosts")).AsArray().Select(h => (string)h!["id"]!), names.Select(n => (string)n!["id"]!));
        var one = await host.Get("/api/hosts/" + (string)names[0]!["id"]!);
        Assert.NotEmpty(one["surfaces"]!.AsArray());
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.GetAsync("/api/hosts/barge")).StatusCode);
    }

    [Fact]
    public async Task ARigIsTakenToAnotherHost()
    {
        Task<HttpResponseMessage> To(string to, string site) => host.Client.PostAsync("/api/relocate",
            Host.Json($$"""{"document":{{Host.DemoDocument(3)}},"host":"{{to}}","site":"{{site}}"}"""));
        var there = (string)(await host.Get("/api/hosts")).AsArray().First(h => (string)h!["kind"]! == "bicycle")!["id"]!;
        var moved = await (await To(there, "")).Content.ReadFromJsonAsync<JsonNode>();
        Assert.Equal(there, (string)moved!["document"]!["host"]!);
        var judged = await host.Client.PostAsync("/api/assess", Host.Json(moved["document"]!.ToJsonString()));
        Assert.Equal(HttpStatusCode.OK, judged.StatusCode);
        var wrong = await To(there, "wing");
        Assert.Equal(HttpStatusCode.BadRequest, wrong.StatusCode);
        Assert.Equal("site", (string)(await wrong.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
    }

    [Fact]
    public async Task WhatBuildersAskTheOtherWayRoundIsAnswered()
    {
        var answers = await (await host.Client.PostAsync("/api/inverse",
            Host.Json($$"""{"document":{{Host.DemoDocument(1)}},"atMost":1}"""))).Content.ReadFromJsonAsync<JsonNode>();
        Assert.Contains(answers!.AsArray(), a => (string)a!["title"]! == "Greatest payload" && (double)a["value"]! > (double)a["now"]!);
        Assert.Contains(answers!.AsArray(), a => (string)a!["station"]! == "reach" && (string)a["dimension"]! == "length");
        var bad = await host.Client.PostAsync("/api/inverse", Host.Json($$"""{"document":{{Host.DemoDocument(1)}},"atMost":3}"""));
        Assert.Equal("atMost", (string)(await bad.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        Assert.Equal(HttpStatusCode.BadRequest, bad.StatusCode);
    }

    [Fact]
    public async Task HostsKindsAndSchoolsArePublished()
    {
        var hosts = (await host.Get("/api/hosts")).AsArray();
        foreach (var kind in new[] { "car", "motorcycle", "sidecar", "bicycle", "helmet", "hide", "aeroplane", "boat", "person" })
            Assert.Contains(hosts, h => (string)h!["kind"]! == kind);
        Assert.All(hosts, h => Assert.All(new[] { "label", "smooth", "average", "rough" }, w => Assert.NotEmpty((string)h!["going"]![w]!)));
        Assert.All(hosts, h => Assert.NotEmpty(h!["sites"]!.AsArray()));
        var kinds = (await host.Get("/api/kinds")).AsArray();
        Assert.True(kinds.Count(k => (string)k!["station"]! == "base") >= 17);
        Assert.True(kinds.Count(k => (string)k!["station"]! == "isolator") >= 6);
        var recipes = (await host.Get("/api/recipes")).AsArray();
        Assert.True(recipes.Count >= 24);
        Assert.All(recipes, r => Assert.True(r!["good"]!.ToString().Length > 5 && r["bad"]!.ToString().Length > 5
            && r["measure"]!.AsArray().Count > 0));
        var schools = await (await host.Client.PostAsync("/api/schools",
            Host.Json(Host.DemoDocument(4)))).Content.ReadFromJsonAsync<JsonNode>();
        Assert.Contains(schools!.AsArray(), s => (string)s!["id"]! == "hold");
    }

    [Theory]
    [InlineData(0)]
    [InlineData(7)]
    [InlineData(8)]
    public async Task ShakeIsPublishedWholeSourceBySource(int demo)
    {
        var response = await host.Client.PostAsync("/api/shake", Host.Json(Host.DemoDocument(demo)));
        response.EnsureSuccessStatusCode();
        var shake = (await response.Content.ReadFromJsonAsync<JsonNode>())!;
        double[] Numbers(JsonNode? n) => [.. n!.AsArray().Select(v => (double)v!)];
        var (frequencies, rotation) = (Numbers(shake["frequencies"]), Numbers(shake["rotation"]));
        Assert.Equal(frequencies.Order(), frequencies);
        // The sources' lines add up to the whole.
        var sources = shake["sources"]!.AsArray();
        for (var i = 0; i < frequencies.Length; i++)
            Assert.Equal(rotation[i], sources.Sum(s => (double)s!["rotation"]![i]!), 1e-9 * rotation[i] + 1e-30);
        Assert.All(sources, s => Assert.NotEmpty((string)s!["source"]!));
        Assert.Equal(["along", "across", "up and down"], shake["acceleration"]!.AsArray().Select(a => (string)a!["axis"]!));
        Assert.All(shake["acceleration"]!.AsArray(), a => Assert.True((double)a!["peak"]! > (double)a["rms"]!));
        Assert.True((double)shake["band"]!["low"]! < (double)shake["band"]!["high"]!);
    }

    [Fact]
    public async Task ASizeOutOfRangeIsAnErrorOnShakeToo()
    {
        var document = JsonNode.Parse(Host.DemoDocument())!;
        document["site"]!["clearRadius"] = 0.001;
        var refused = await host.Client.PostAsync("/api/shake", Host.Json(document.ToJsonString()));
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal("site.clearRadius", (string)(await refused.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
    }

    [Fact]
    public async Task AdviceAndSoftMountsForThePictureCanBeTakenAsTheyCome()
    {
        foreach (var path in new[] { "/api/shake/advice", "/api/shake/isolators" })
        {
            var response = await host.Client.PostAsync(path, Host.Json(Host.DemoDocument(5)));
            response.EnsureSuccessStatusCode();
            var list = (await response.Content.ReadFromJsonAsync<JsonNode>())!.AsArray();
            Assert.NotEmpty(list);
            foreach (var change in list)
            {
                // The document that comes with a change gives the numbers that were promised.
                var again = await (await host.Client.PostAsync("/api/shake",
                    Host.Json(change!["document"]!.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>();
                var smear = again!["picture"]!["numbers"]!.AsArray().Single(n => (string)n!["id"]! == "smear")!["pixels"]!;
                Assert.Equal((double)change["smear"]!, (double)smear, 1e-9);
            }
        }
    }

    [Fact]
    public async Task ShakeAnswersWithThreeNumbersAndNamedModes()
    {
        foreach (var i in new[] { 1, 2, 5 })
        {
            var report = await (await host.Client.PostAsync("/api/shake",
                Host.Json(Host.DemoDocument(i)))).Content.ReadFromJsonAsync<JsonNode>();
            Assert.Equal(3, report!["picture"]!["numbers"]!.AsArray().Count);
            Assert.All(report["modes"]!.AsArray(), m => Assert.StartsWith("camera", (string)m!["name"]!));
        }
        var advice = await (await host.Client.PostAsync("/api/shake/advice",
            Host.Json(Host.DemoDocument(0)))).Content.ReadFromJsonAsync<JsonNode>();
        Assert.True(advice!.AsArray().Count >= 3);
    }

    [Fact]
    public async Task ATapTestGoesRoundThroughTheApi()
    {
        var text = (string)(await (await host.Client.PostAsync("/api/tap/simulate",
            Host.Json(Host.DemoDocument(0)))).Content.ReadFromJsonAsync<JsonNode>())!["text"]!;
        var read = await (await host.Client.PostAsync("/api/tap/read",
            Host.Json(new JsonObject { ["text"] = text }.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>();
        read = read!["log"];
        Assert.Equal("seconds", (string)read!["timeUnit"]!);
        var peak = read["peaks"]![0]!;
        var ask = new JsonObject
        {
            ["document"] = JsonNode.Parse(Host.DemoDocument(0)),
            ["frequency"] = (double)peak["frequency"]! * 1.1,
            ["damping"] = 0.05,
            ["axis"] = (int)read["axis"]!
        };
        var c = await (await host.Client.PostAsync("/api/tap/calibrate",
            Host.Json(ask.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>();
        Assert.InRange((double)c!["after"]! / ((double)peak["frequency"]! * 1.1), 0.99, 1.01);
        Assert.Matches(@"^\d{4}-\d{2}-\d{2}$", (string)c["document"]!["measured"]!["site.stiffnessFactor"]!["on"]!);
        var bad = await host.Client.PostAsync("/api/tap/read", Host.Json("""{"text":"no log"}"""));
        Assert.Equal(HttpStatusCode.BadRequest, bad.StatusCode);
        Assert.Equal("log", (string)(await bad.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        ask["frequency"] = 900;
        Assert.Equal(HttpStatusCode.BadRequest, (await host.Client.PostAsync("/api/tap/calibrate",
            Host.Json(ask.ToJsonString()))).StatusCode);
    }

    /// <summary>As long a log as is read, of 400 samples a second.</summary>
    private static string LongLog(int samples, Func<int, string> acceleration) =>
        "time (s),ax (m/s²),ay (m/s²),az (m/s²)\n" + string.Join('\n', Enumerable.Range(0, samples).Select(i =>
            string.Create(System.Globalization.CultureInfo.InvariantCulture, $"{i / 400.0:0.0000},{acceleration(i)},0.1234567,9.8100000")));

    [Fact]
    public async Task ALogIsSentAsItIsWithItsUnitsInTheQuery()
    {
        var text = LongLog(4000, i => $"{Math.Sin(2 * Math.PI * 17 * i / 400):0.0000}");
        async Task<HttpResponseMessage> Read(string query, string type = "text/csv") =>
            await host.Client.PostAsync("/api/tap/read" + query, new StringContent(text, System.Text.Encoding.UTF8, type));
        var read = (await (await Read("")).Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal(17, (double)read["log"]!["peaks"]![0]!["frequency"]!, 0.2);
        // Sent once: in other units it is read again by its id, as if it had been sent with them.
        var sent = (await (await Read("?accelerationUnit=gravity")).Content.ReadFromJsonAsync<JsonNode>())!["log"]!;
        var again = (await host.Get($"/api/tap/logs/{read["id"]}?accelerationUnit=gravity"))["log"]!;
        Assert.Equal("gravity", (string)sent["accelerationUnit"]!);
        Assert.Equal(sent.ToJsonString(), again.ToJsonString());
        Assert.Equal(read.ToJsonString(), (await host.Get($"/api/tap/logs/{read["id"]}")).ToJsonString());
        foreach (var (query, path) in new[] { ("timeUnit=milliseconds", "log"), ("accelerationUnit=furlongs", "accelerationUnit") })
        {
            var refused = await host.Client.GetAsync($"/api/tap/logs/{read["id"]}?{query}");
            Assert.Equal((HttpStatusCode.BadRequest, path),
                (refused.StatusCode, (string)(await refused.Content.ReadFromJsonAsync<JsonNode>())!["path"]!));
        }
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.GetAsync("/api/tap/logs/none")).StatusCode);
        var wrong = await Read("?timeUnit=years");
        Assert.Equal(HttpStatusCode.BadRequest, wrong.StatusCode);
        Assert.Equal("timeUnit", (string)(await wrong.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, (await Read("", "image/png")).StatusCode);
    }

    [Fact] // 31 MB whose first wrong number is far down, and 31 MB that are right
    public async Task ALongLogIsReadAsItComes()
    {
        var wrong = LongLog(390_000, i => i == 5000 ? "1e155" : $"{i % 7}.{i:000000000000000000000000000000000000}");
        Assert.True(wrong.Length > 24_000_000);
        var refused = await Soon.Within(TimeSpan.FromSeconds(3),
            () => host.Client.PostAsync("/api/tap/read", new StringContent(wrong, System.Text.Encoding.UTF8, "text/csv")),
                "a log that is wrong far down");
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal("log, line 5002", (string)(await refused.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        var within = await host.Client.PostAsync("/api/tap/read", Host.Json(new JsonObject { ["text"] = wrong }.ToJsonString()));
        Assert.Equal(HttpStatusCode.RequestEntityTooLarge, within.StatusCode);
    }

    [Theory]
    [InlineData("make?offset=soon", "offset")]
    [InlineData("make?kerf=1e400", "kerf")]
    [InlineData("make?wheels=4", "wheels")]
    [InlineData("make/template", "part")]
    [InlineData("assess?advice=perhaps", "advice")]
    [InlineData("assess?advice=true&advice=false", "advice")]
    [InlineData("assess?Advice=true", "Advice")]
    public async Task AMistakeInTheQueryIsToldByItsName(string query, string path)
    {
        var answer = await host.Client.PostAsync("/api/" + query, Host.Json(Host.DemoDocument()));
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        Assert.Equal(path, (string)(await answer.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
    }

    [Fact]
    public async Task APlanIsMadeForTheSawAndTheHour()
    {
        using var host = new Host();
        var rig = JsonNode.Parse(Host.DemoDocument(6))!;
        async Task<JsonNode> Make(string query) =>
            (await (await host.Client.PostAsync("/api/make" + query, Host.Json(rig.ToJsonString()))).EnsureSuccessStatusCode()
                .Content.ReadFromJsonAsync<JsonNode>())!;
        var plain = await Make("");
        Assert.Equal(0.0015, (double)plain["cuts"]![0]!["kerf"]!);
        Assert.Equal(0.003, (double)(await Make("?kerf=0.003"))["cuts"]![0]!["kerf"]!);
        // Done an hour ago: its hands-on time falls away.
        var first = (string)plain["steps"]![0]!["id"]!;
        rig["made"] = new JsonObject { [first] = new JsonObject { ["at"] = "2026-05-01T09:00:00Z", ["note"] = "" } };
        var later = await Make("?now=2026-05-01T10:00:00Z");
        Assert.True((bool)later["steps"]![0]!["isDone"]!);
        Assert.Equal(-3600, (double)later["steps"]![0]!["end"]!);
        Assert.Equal((double)plain["handsOn"]! - 60 * (double)plain["steps"]![0]!["minutes"]!, (double)later["handsOn"]!, 5e-7);
        foreach (var (wrong, path) in new[] { ("?kerf=0.5", "kerf"), ("?squaring=-1", "squaring"), ("?now=soon", "now") })
        {
            var r = await host.Client.PostAsync("/api/make" + wrong, Host.Json(rig.ToJsonString()));
            Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
            Assert.Equal(path, (string)(await r.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        }
        var plate = JsonNode.Parse(Host.DemoDocument(3))!.ToJsonString();
        var flat = (await (await host.Client.PostAsync("/api/make",
            Host.Json(plate))).Content.ReadFromJsonAsync<JsonNode>())!["templates"]![0]!;
        var svg = await host.Client.PostAsync($"/api/make/template?part={(string)flat["part"]!}&format=svg", Host.Json(plate));
        Assert.Equal("image/svg+xml", svg.Content.Headers.ContentType!.MediaType);
        Assert.EndsWith(".svg", svg.Content.Headers.ContentDisposition!.FileName);
        var dxf = await host.Client.PostAsync($"/api/make/template?part={(string)flat["part"]!}&format=dxf", Host.Json(plate));
        Assert.StartsWith("0\r\nSECTION", await dxf.Content.ReadAsStringAsync());
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.PostAsync("/api/make/template?part=none", Host.Json(plate))).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await host.Client.PostAsync("/api/make/template?part=none&format=png",
            Host.Json(plate))).StatusCode);
        var body = await host.Client.PostAsync($"/api/make/template?part={(string)flat["part"]!}&format=stl", Host.Json(plate));
        Assert.Equal("model/stl", body.Content.Headers.ContentType!.MediaType);
        foreach (var query in new[] { "", "?what=templates&paper=letter&units=inch", "?what=sheet", $"?what=templates&part={(string)flat["part"]!}" })
        {
            var pdf = (await host.Client.PostAsync("/api/make/paper" + query, Host.Json(plate))).EnsureSuccessStatusCode();
            Assert.Equal("application/pdf", pdf.Content.Headers.ContentType!.MediaType);
            Assert.StartsWith("%PDF", await pdf.Content.ReadAsStringAsync());
        }
        foreach (var (query, path) in new[] { ("?what=poem", "what"), ("?paper=a9", "paper"), ("?units=furlongs", "units") })
        {
            var r = await host.Client.PostAsync("/api/make/paper" + query, Host.Json(plate));
            Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
            Assert.Equal(path, (string)(await r.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        }
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.PostAsync("/api/make/paper?what=templates&part=none",
            Host.Json(plate))).StatusCode);
        // Nothing flat is made for a pad that is stuck on.
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.PostAsync("/api/make/paper?what=templates",
            Host.Json(Host.DemoDocument(4)))).StatusCode);
        rig["made"]![first]!["at"] = "noon";
        Assert.Contains($"made.{first}.at", await (await host.Client.PostAsync("/api/make",
            Host.Json(rig.ToJsonString()))).Content.ReadAsStringAsync());
    }

    [Fact]
    public async Task WhatCameOutGoesIntoTheDocumentAndWhatItDidIsSaid()
    {
        using var host = new Host();
        var rig = JsonNode.Parse(Host.DemoDocument(3))!;
        async Task<HttpResponseMessage> Built(JsonNode document, string path, double? value, string on = "2026-05-01") =>
            await host.Client.PostAsync("/api/make/built", Host.Json(new JsonObject
            {
                ["document"] = document.DeepClone(),
                ["path"] = path,
                ["value"] = value,
                ["on"] = on,
            }.ToJsonString()));
        async Task<JsonNode?> Did(JsonNode document) => (await (await host.Client.PostAsync("/api/make/did",
            Host.Json(new JsonObject { ["document"] = document.DeepClone() }.ToJsonString()))).EnsureSuccessStatusCode().Content
            .ReadFromJsonAsync<JsonNode>())!["effect"];
        var built = (await (await Built(rig, "base.length",
            0.318)).EnsureSuccessStatusCode().Content.ReadFromJsonAsync<JsonNode>())!["document"]!;
        Assert.Equal(0.318, (double)built["base"]!["length"]!);
        Assert.Equal(0.3, (double)built["measured"]!["base.length"]!["built"]!["planned"]!);
        Assert.Null(await Did(rig));
        Assert.Equal("base.length", (string)(await Did(built))!["paths"]![0]!);
        foreach (var (path, value, on, wrong) in new[] { ("base.length", 99, "2026-05-01", "value"), ("run.speed", 9, "2026-05-01", "path"),
            ("base.length", 0.3, "today", "on") })
        {
            var r = await Built(rig, path, value, on);
            Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
            Assert.Equal(wrong, (string)(await r.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        }
    }

    [Theory] // /api/assess/working: one working at a time, the same as in the whole report, kept design or not, at another speed too
    [InlineData(3.5)]
    [InlineData(6)]
    public async Task AWorkingIsAskedForByItself(double speed)
    {
        using var host = new Host();
        var rig = JsonNode.Parse(Host.DemoDocument())!;
        async Task<JsonNode> Ask(string path, double at)
        {
            rig["run"]!["speed"] = at;
            return (await (await host.Client.PostAsync(path, Host.Json(rig.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>())!;
        }
        var whole = (await Ask("/api/assess?advice=false", speed))["drive"]!;
        var bare = (await Ask("/api/assess?advice=false&workings=false", 3.5))["drive"]!;
        Assert.All(bare["checks"]!.AsArray(), c => Assert.Null(c!["working"]));
        Assert.True(bare.ToJsonString().Length < 0.7 * whole.ToJsonString().Length, "workings are most of it");
        foreach (var check in whole["checks"]!.AsArray())
        {
            var alone = await Ask($"/api/assess/working?check={Uri.EscapeDataString((string)check!["id"]!)}", speed);
            Assert.Equal(check["working"]!.ToJsonString(), alone["working"]!.ToJsonString());
            Assert.Equal(check["loads"]!.ToJsonString(), alone["loads"]!.ToJsonString());
            Assert.Equal((double)check["use"]!, (double)alone["use"]!, 1e-9);
        }
        var none = await host.Client.PostAsync("/api/assess/working?check=nothing", Host.Json(rig.ToJsonString()));
        Assert.Equal(HttpStatusCode.NotFound, none.StatusCode);
        Assert.Contains("nothing", await none.Content.ReadAsStringAsync());
    }

    [Theory] // /api/assess/drive: another speed of a design that is kept, small, and the same as in the whole answer
    [InlineData(2)]
    [InlineData(3)]
    [InlineData(8)]
    public async Task AChangeOfSpeedIsAnsweredInLittle(int demo)
    {
        async Task<JsonNode> Whole(double speed, string letGo = "intact")
        {
            var rig = JsonNode.Parse(Host.DemoDocument(demo))!.AsObject();
            rig["run"]!["speed"] = speed;
            var answer = await host.Client.PostAsync($"/api/assess?advice=false&workings=false&letGo={letGo}",
                Host.Json(rig.ToJsonString()));
            return (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
        }
        async Task<HttpResponseMessage> Drive(string design, double speed, string letGo = "intact") =>
            await host.Client.PostAsync("/api/assess/drive",
            Host.Json(new JsonObject { ["design"] = design, ["speed"] = speed, ["letGo"] = letGo }.ToJsonString()));

        var first = await Whole(4.5);
        var id = (string)first["design"]!["id"]!;
        // Whichever was asked before, whichever let-go case is looked at.
        foreach (var letGo in first["drive"]!["letGo"]!.AsArray().Select(l => (string)l!["id"]!))
        {
            var text = await (await Drive(id, 3.5, letGo)).Content.ReadAsStringAsync();
            var whole = await Whole(3.5, letGo);
            Assert.Equal(whole["drive"]!.ToJsonString(), JsonNode.Parse(text)!.ToJsonString());
            Assert.Equal(first["design"]!.ToJsonString(), whole["design"]!.ToJsonString());
            Assert.Equal(letGo, (string)whole["drive"]!["shape"]!["letGo"]!);
            Assert.True(text.Length < 20_000, $"{text.Length} bytes");
        }
        var none = await (await Drive(id, 3.5, "what is not there")).Content.ReadFromJsonAsync<JsonNode>();
        Assert.Equal("intact", (string)none!["shape"]!["letGo"]!);
        var fast = await Drive(id, 1e4);
        Assert.Equal((HttpStatusCode.BadRequest, "speed"), (fast.StatusCode,
            (string)(await fast.Content.ReadFromJsonAsync<JsonNode>())!["path"]!));
        Assert.Equal(HttpStatusCode.NotFound, (await Drive("0123", 3.5)).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await host.Client.PostAsync("/api/assess/drive", Host.Json("""{"schema":1}"""))).StatusCode);
    }

    [Fact]
    public async Task ChoicesForJointsAreReadAndCheckedByPath()
    {
        var rig = JsonNode.Parse(Host.DemoDocument(5))!.AsObject();
        rig["joints"] = JsonNode.Parse("""{"clamp-stud":{"length":0.012,"means":"hand-tight"}}""");
        var report = await (await host.Client.PostAsync("/api/assess?advice=false",
            Host.Json(rig.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>();
        var joint = report!["design"]!["joints"]!.AsArray().Single(j => (string)j!["id"]! == "clamp-stud")!;
        Assert.Equal(0.012, (double)joint["length"]!, 1e-9);
        Assert.Equal(0, (int)joint["looseningGrade"]!);
        Assert.NotEmpty(joint["findings"]!.AsArray());
        rig["joints"] = JsonNode.Parse("""{"clamp-stud":{"thread":"m7"}}""");
        var refused = await host.Client.PostAsync("/api/assess", Host.Json(rig.ToJsonString()));
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal("joints.clamp-stud.thread", (string)(await refused.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
    }

    [Theory]
    [InlineData("\"form\":\"panel\"", "\"form\":\"tube\"", "site.form")]
    [InlineData("\"survey\":{", "\"survey\":{\"even\":\"perhaps\",\"x\":{", "survey")]
    [InlineData("\"host\":\"sidecar\"", "\"host\":\"airship\"", "host")]
    public async Task WrongPlacesAndAnswersAreNamed(string part, string instead, string path)
    {
        var text = Host.DemoDocument(3);
        Assert.Contains(part, text);
        var r = await host.Client.PostAsync("/api/assess", Host.Json(text.Replace(part, instead)));
        Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
        Assert.StartsWith(path, (string?)(await r.Content.ReadFromJsonAsync<JsonNode>())!["path"] ?? path);
    }

    [Fact]
    public async Task ARigSavedBeforeIsolatorsAndSurveysStillOpens()
    {
        var rig = JsonNode.Parse(Host.DemoDocument(0))!.AsObject();
        rig["paths"]![0]!.AsObject().Remove("isolator");
        foreach (var name in new[] { "survey", "joints" })
            rig.Remove(name);
        rig["site"]!.AsObject().Remove("form");
        rig["site"]!.AsObject().Remove("liner");
        var id = await host.Create(rig.ToJsonString());
        Assert.NotEmpty(id);
    }

    [Theory]
    [InlineData("60 mph", "speed", 26.8224)]
    [InlineData("3/8", "length", 0.009525)]
    public async Task QuantitiesAreRead(string text, string dimension, double si)
    {
        var body = new JsonObject { ["text"] = text, ["dimension"] = dimension, ["system"] = "inch" }.ToJsonString();
        var p = await (await host.Client.PostAsync("/api/quantities", Host.Json(body))).Content.ReadFromJsonAsync<JsonNode>();
        Assert.Equal(si, (double)p!["value"]!, 5e-7);
    }

    [Fact]
    public async Task StrangersAreRefused()
    {
        var foreign = new HttpRequestMessage(HttpMethod.Get, "/api/rigs");
        foreign.Headers.Host = "evil.example";
        Assert.Equal(HttpStatusCode.Forbidden, (await host.Client.SendAsync(foreign)).StatusCode);
        var crossing = new HttpRequestMessage(HttpMethod.Post, "/api/assess") { Content = Host.Json(Host.DemoDocument()) };
        crossing.Headers.Add("Origin", "http://evil.example");
        Assert.Equal(HttpStatusCode.Forbidden, (await host.Client.SendAsync(crossing)).StatusCode);
        Assert.Contains("default-src 'self'", (await host.Client.GetAsync("/healthz")).Headers.GetValues("Content-Security-Policy")
            .Single());
    }

    /// <summary>2,000 documents damaged in every way a file can be: no 5xx, no NaN, no hang.</summary>
    [Fact]
    public async Task DamagedDocumentsGiveNoServerError()
    {
        var random = new Random(20261124);
        string[] junk = ["null", "-1", "1e308", "1e999", "\"\"", "\"x\"", "[]", "{}", "true", "0", "[1,2]", "1e-320", "\"\\u0000\"",
            "99999999999999999999", "NaN"];
        var sources = Enumerable.Range(0, 7).Select(Host.DemoDocument).ToArray();
        for (var i = 0; i < 2000; i++)
        {
            var text = sources[i % 7];
            switch (random.Next(4))
            {
                case 0:
                    text = text[..random.Next(text.Length)];
                    break;
                case 1:
                    var at = random.Next(text.Length);
                    text = text[..at] + (char)random.Next(1, 256) + text[(at + 1)..];
                    break;
                default:
                    // One value replaced by another: mostly still JSON.
                    var colons = Enumerable.Range(0, text.Length).Where(p => text[p] == ':').ToArray();
                    for (var n = random.Next(1, 3); n > 0; n--)
                    {
                        var c = colons[random.Next(colons.Length)] + 1;
                        if (c >= text.Length)
                            continue;
                        var end = c;
                        while (end < text.Length && text[end] is not (',' or '}' or ']'))
                            end++;
                        text = text[..c] + junk[random.Next(junk.Length)] + text[end..];
                        break;
                    }
                    break;
            }
            var path = (i % 5) switch { 0 => "/api/model", 1 => "/api/rigs", 2 => "/api/shake", _ => "/api/assess?advice=false" };
            var answer = await host.Client.PostAsync(path, Host.Json(path == "/api/rigs" ? $$"""{"document":{{text}}}""" : text));
            var body = await answer.Content.ReadAsStringAsync();
            Assert.True((int)answer.StatusCode < 500, $"{answer.StatusCode}: {text}");
            Assert.False(body.Contains("NaN", StringComparison.Ordinal) && answer.IsSuccessStatusCode, text);
        }
    }
}
