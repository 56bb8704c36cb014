using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ochema.Web.Tests;

public sealed class ShelfTests : IDisposable
{
    private readonly Host host = new();

    public void Dispose() => host.Dispose();

    private async Task<JsonObject> Row(string list, string like, string id)
    {
        var lists = await host.Get("/api/shelf/lists");
        var row = lists.AsArray().First(l => (string)l!["id"]! == list)!["rows"]!.AsArray()
            .First(r => (string)r!["id"]! == like)!.DeepClone().AsObject();
        (row["id"], row["name"], row["source"]) = (id, "My magnet", "pulled off my bonnet, 12 May");
        return row;
    }

    private Task<HttpResponseMessage> Put(string list, string id, JsonObject row, string header, string value)
    {
        var m = new HttpRequestMessage(HttpMethod.Put, $"/api/shelf/{list}/{id}") { Content = Host.Json(row.ToJsonString()) };
        m.Headers.TryAddWithoutValidation(header, value);
        return host.Client.SendAsync(m);
    }

    [Fact]
    public async Task ARowIsKeptChangedAndTakenAwayWithoutLosingAnotherWindowsChange()
    {
        var row = await Row("magnets", "magnet-90", "own-mine");
        Assert.Equal((HttpStatusCode)428, (await Put("magnets", "own-mine", row, "X-Nothing", "1")).StatusCode);
        Assert.Equal(HttpStatusCode.Created, (await Put("magnets", "own-mine", row, "If-None-Match", "*")).StatusCode);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await Put("magnets", "own-mine", row, "If-None-Match", "*")).StatusCode);
        row["ratedPull"] = 900;
        Assert.Equal(HttpStatusCode.OK, (await Put("magnets", "own-mine", row, "If-Match", "\"1\"")).StatusCode);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await Put("magnets", "own-mine", row, "If-Match", "\"1\"")).StatusCode);
        var kept = (await host.Get("/api/shelf")).AsArray().Single()!;
        Assert.Equal(900, (double)kept["row"]!["ratedPull"]!);
        Assert.Null(kept["fault"]);
        Assert.Contains("own-mine", (await host.Get("/api/kinds")).ToJsonString());
        Assert.Equal(HttpStatusCode.NoContent, (await host.On(2, HttpMethod.Delete, "/api/shelf/magnets/own-mine")).StatusCode);
        Assert.Empty((await host.Get("/api/shelf")).AsArray());
        Assert.DoesNotContain("own-mine", (await host.Get("/api/kinds")).ToJsonString());
    }

    [Fact]
    public async Task WhatCannotBeIsRefusedByPath()
    {
        var row = await Row("magnets", "magnet-90", "own-mine");
        row["friction"] = 9;
        var refused = await Put("magnets", "own-mine", row, "If-None-Match", "*");
        Assert.Equal(HttpStatusCode.BadRequest, refused.StatusCode);
        Assert.Equal("friction", (string)(await refused.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        row["friction"] = 0.2;
        Assert.Equal(HttpStatusCode.BadRequest, (await Put("cups", "own-mine", row, "If-None-Match", "*")).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await Put("threads", "own-mine", row, "If-None-Match", "*")).StatusCode);
        Assert.Equal(HttpStatusCode.BadRequest, (await Put("magnets", "own-other", row, "If-None-Match", "*")).StatusCode);
    }

    /// <summary>The roof rig on four magnets of one's own.</summary>
    private async Task<JsonNode> Rig(double pull)
    {
        var rig = JsonNode.Parse(Host.DemoDocument(2))!;
        rig["base"]!["hold"] = new JsonObject { ["kind"] = "magnet", ["stock"] = "own-mine" };
        var row = await Row("magnets", "magnet-88-rubber", "own-mine");
        row["ratedPull"] = pull;
        rig["stock"] = new JsonObject { ["magnets"] = new JsonArray(row) };
        return rig;
    }

    [Fact]
    public async Task ARigBringsItsRowsAlongToEveryQuestion()
    {
        var rig = await Rig(400);
        var asked = new Dictionary<string, JsonNode>
        {
            ["/api/assess"] = rig,
            ["/api/assess?advice=false"] = rig,
            ["/api/advice"] = rig,
            ["/api/shake"] = rig,
            ["/api/shake/advice"] = rig,
            ["/api/shake/isolators"] = rig,
            ["/api/schools"] = rig,
            ["/api/model"] = rig,
            ["/api/tap/simulate"] = rig,
            ["/api/alternatives"] = new JsonObject { ["document"] = rig.DeepClone(), ["station"] = "base" },
            ["/api/straps"] = new JsonObject { ["document"] = rig.DeepClone() },
            ["/api/inverse"] = new JsonObject { ["document"] = rig.DeepClone() },
            ["/api/relocate"] = new JsonObject { ["document"] = rig.DeepClone(), ["host"] = "estate", ["site"] = "bonnet" },
            ["/api/tap/calibrate"] = new JsonObject { ["document"] = rig.DeepClone(), ["frequency"] = 14 },
        };
        foreach (var (path, body) in asked)
        {
            var answer = await host.Client.PostAsync(path, Host.Json(body.ToJsonString()));
            Assert.True(answer.IsSuccessStatusCode, $"{path}: {await answer.Content.ReadAsStringAsync()}");
        }
        // What is tried keeps the row: the change can be taken.
        var changes = (await (await host.Client.PostAsync("/api/alternatives", Host.Json(asked["/api/alternatives"].ToJsonString())))
            .Content.ReadFromJsonAsync<JsonNode>())!.AsArray();
        Assert.All(changes, c => Assert.NotNull(c!["document"]!["stock"]));
    }

    [Fact]
    public async Task AFileLaysItsRowsOnAShelfThatHasThemNot()
    {
        var rig = await Rig(400);
        var id = await host.Create(rig.ToJsonString());
        Assert.Equal("own-mine", (string)(await host.Get("/api/shelf")).AsArray().Single()!["id"]!);
        // The shelf's own is not overwritten by another file, and that rig keeps what it brought.
        var other = await host.Create((await Rig(150)).ToJsonString());
        Assert.Equal(400, (double)(await host.Get("/api/shelf")).AsArray().Single()!["row"]!["ratedPull"]!);
        Assert.Equal(150, (double)(await host.Get($"/api/rigs/{other}"))["document"]!["stock"]!["magnets"]![0]!["ratedPull"]!);
        // Off the shelf it still stands in the rigs.
        await host.On(1, HttpMethod.Delete, "/api/shelf/magnets/own-mine");
        Assert.NotNull((await host.Get($"/api/rigs/{id}/file"))["stock"]);
        Assert.Contains((await host.Get("/api/rigs")).AsArray(), r => (string)r!["id"]! == id && r["card"] is not null);
    }
}
