using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace Ochema.Web.Tests;

/// <summary>What is refused is refused with where and why, and with the right number.</summary>
public sealed class RefusalTests : IDisposable
{
    private readonly Host host = new();

    public void Dispose() => host.Dispose();

    [Theory]
    [InlineData("", "", "line 1, column 1: it ends too early")]
    [InlineData("{\n  \"schema\": 1,\n  \"name\": \"x\",\n}", "", "line 4, column 1")]
    [InlineData("{\"schema\": 1 \"name\": \"x\"}", "", "a comma or the closing bracket is missing")]
    [InlineData("{\"schema\":\"1\"}", "schema", "is not a whole number")]
    [InlineData("{\"name\":null}", "name", "is null")]
    [InlineData("{\"at\":5}", "at", "is not a list")]
    [InlineData("{\"run\":5}", "run", "is not an object with fields")]
    [InlineData("{\"base\":{\"kind\":\"nope\"}}", "base", "known: adhesive-base")]
    [InlineData("{\"base\":{}}", "base", "names no kind; known: adhesive-base")]
    [InlineData("{\"run\":{\"speed\":1,\"road\":\"bad\"}}", "run.road", "is none of smooth, average, rough")]
    [InlineData("{\"survey\":{\"wheels\":1}}", "survey.wheels", "is not known here")]
    public async Task ABrokenDocumentIsToldWhereAndWhy(string body, string path, string says)
    {
        var answer = await host.Client.PostAsync("/api/assess", Host.Json(body));
        Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Contains(says, (string)problem["reason"]!);
        if (path.Length > 0)
            Assert.Equal(path, (string)problem["path"]!);
    }

    [Theory]
    [InlineData("focalLength", 0.05, "mirrorless-small", "prime-24", "is no zoom")]
    [InlineData("focalLength", 0.3, "mirrorless-full", "zoom-70-200", "goes from 70 mm to 200 mm")]
    public async Task AFocalLengthIsOfAZoom(string field, double value, string body, string lens, string says)
    {
        var rig = JsonNode.Parse(Host.DemoDocument())!;
        (rig["paths"]![0]!["camera"]!["body"], rig["paths"]![0]!["camera"]!["lens"], rig["paths"]![0]!["camera"]![field]) = (body, lens, value);
        var problem = (await (await host.Client.PostAsync("/api/assess",
            Host.Json(rig.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal("paths[0].camera.focalLength", (string)problem["path"]!);
        Assert.Contains(says, (string)problem["reason"]!);
    }

    [Fact]
    public async Task ALensThatDoesNotGoOnABodyIsAVerdictThatSaysSo()
    {
        var rig = JsonNode.Parse(Host.DemoDocument())!;
        (rig["paths"]![0]!["camera"]!["body"], rig["paths"]![0]!["camera"]!["lens"]) = ("action", "prime-24");
        var report = (await (await host.Client.PostAsync("/api/assess?advice=false",
            Host.Json(rig.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal(("lets-go", "refused"), ((string)report["drive"]!["verdict"]!["word"]!, (string)report["drive"]!["verdict"]!["why"]!));
        Assert.Contains("does not go on the action camera", (string)report["drive"]!["verdict"]!["text"]!);
        Assert.Contains("does not go on", (string)report["drive"]!["stations"]!.AsArray()
            .Single(s => (string)s!["id"]! == "camera")!["refused"]!);
    }

    [Fact]
    public async Task AChoiceForAJointThatIsNotThereIsTold()
    {
        var rig = JsonNode.Parse(Host.DemoDocument())!;
        rig["joints"] = new JsonObject { ["wing-root"] = new JsonObject() };
        var report = (await (await host.Client.PostAsync("/api/assess?advice=false",
            Host.Json(rig.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Contains(report["drive"]!["findings"]!.AsArray(), f => ((string)f!["text"]!)
            .Contains("“wing-root” is not used", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData("DELETE", "/api/assess", 405, "POST")]
    [InlineData("PATCH", "/api/rigs/x", 405, "DELETE, GET, PUT")]
    [InlineData("POST", "/api/kinds", 405, "GET")]
    [InlineData("GET", "/api/nothing", 404, null)]
    public async Task TheWrongWayIsToldFromTheWrongPlace(string method, string path, int status, string? allow)
    {
        var answer = await host.Client.SendAsync(new HttpRequestMessage(new HttpMethod(method), path));
        Assert.Equal(status, (int)answer.StatusCode);
        Assert.Equal(allow, answer.Content.Headers.Allow.Count > 0 ? string.Join(", ",
            answer.Content.Headers.Allow.Order(StringComparer.Ordinal)) : null);
        Assert.Equal("application/problem+json", answer.Content.Headers.ContentType!.MediaType);
    }

    [Theory]
    [InlineData("text/plain", "utf-8")]
    [InlineData("application/x-www-form-urlencoded", "utf-8")]
    [InlineData("application/json", "utf-16")]
    public async Task WhatIsNotJsonInUtf8IsA415(string type, string charset)
    {
        using var content = new StringContent(Host.DemoDocument(), Encoding.GetEncoding(charset), type);
        Assert.Equal(HttpStatusCode.UnsupportedMediaType, (await host.Client.PostAsync("/api/assess", content)).StatusCode);
    }
}
