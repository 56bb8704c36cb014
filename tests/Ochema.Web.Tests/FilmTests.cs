using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ochema.Web.Tests;

/// <summary>Films as named groups of rigs.</summary>
public sealed class FilmTests : IDisposable
{
    private readonly Host host = new();

    public void Dispose() => host.Dispose();

    private async Task<JsonNode> Film(string name)
    {
        var r = await host.Client.PostAsync("/api/films", Host.Json(new JsonObject { ["name"] = name }.ToJsonString()));
        Assert.Equal(HttpStatusCode.Created, r.StatusCode);
        return (await r.Content.ReadFromJsonAsync<JsonNode>())!;
    }

    [Fact]
    public async Task ARigIsPutInAFilmAndNotInAnother()
    {
        var (a, b) = (await Film("  First light "), await Film("Second"));
        Assert.Equal("First light", (string)a["name"]!);
        var created = await host.Client.PostAsync("/api/rigs", Host.Json($$"""{"filmId":"{{a["id"]}}","document":{{Host.DemoDocument(4)}}}"""));
        Assert.Equal(HttpStatusCode.Created, created.StatusCode);
        var films = (await host.Get("/api/films")).AsArray();
        Assert.Single(films.Single(f => (string)f!["id"]! == (string)a["id"]!)!["rigs"]!.AsArray());
        Assert.Empty(films.Single(f => (string)f!["id"]! == (string)b["id"]!)!["rigs"]!.AsArray());
        var card = films.Single(f => (string)f!["id"]! == (string)a["id"]!)!["rigs"]![0]!["card"]!;
        Assert.Equal("left side", (string)card["site"]!);
        Assert.Equal("helmet-cycling", (string)card["host"]!);
        Assert.NotNull(card["sharpness"]!["word"]);
        Assert.NotEmpty(card["figure"]!["shapes"]!.AsArray());
    }

    [Theory]
    [InlineData("""{"name":"   "}""", "name")]
    [InlineData("""{"title":"x"}""", "title")]
    [InlineData("not json", "")]
    public async Task BadNamesAreRefused(string body, string path)
    {
        var r = await host.Client.PostAsync("/api/films", Host.Json(body));
        Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
        Assert.Equal(path, (string?)(await r.Content.ReadFromJsonAsync<JsonNode>())!["path"] ?? "");
    }

    [Fact]
    public async Task AnUnknownFilmIsNamed()
    {
        var r = await host.Client.PostAsync("/api/rigs", Host.Json($$"""{"filmId":"nowhere","document":{{Host.DemoDocument()}}}"""));
        Assert.Equal(HttpStatusCode.BadRequest, r.StatusCode);
        Assert.Equal("filmId", (string)(await r.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
    }

    [Fact]
    public async Task TheDemoComesBackAsItWasAndABinnedRigStaysInTheBin()
    {
        Assert.Equal(HttpStatusCode.NoContent, (await host.On(1, HttpMethod.Delete, "/api/rigs/demo-1-bonnet-close-up")).StatusCode);
        var film = await (await host.Client.PostAsync("/api/films/demo", null)).Content.ReadFromJsonAsync<JsonNode>();
        Assert.Equal(Ochema.Data.DemoFilm.Rigs.Count - 1, film!["rigs"]!.AsArray().Count);
        (await host.On(1, HttpMethod.Post, "/api/rigs/demo-1-bonnet-close-up/undelete")).EnsureSuccessStatusCode();
        Assert.Equal(Ochema.Data.DemoFilm.Rigs.Count, (await (await host.Client.PostAsync("/api/films/demo",
            null)).Content.ReadFromJsonAsync<JsonNode>())!["rigs"]!.AsArray().Count);
    }

    [Theory]
    [InlineData("/api/rigs/none")]
    [InlineData("/api/rigs/none/versions")]
    [InlineData("/api/rigs/none/file")]
    public async Task WhatIsNotThereIsA404WithAProblem(string path)
    {
        var r = await host.Client.GetAsync(path);
        Assert.Equal(HttpStatusCode.NotFound, r.StatusCode);
        Assert.Equal("application/problem+json", r.Content.Headers.ContentType!.MediaType);
    }

    [Fact] // the file keeps them without a zone
    public async Task TimesSayThatTheyAreUtc()
    {
        var rig = (await host.Films()).SelectMany(f => f!["rigs"]!.AsArray()).First()!;
        var version = (await host.Get($"/api/rigs/{rig["id"]}/versions")).AsArray()[0]!;
        foreach (var time in new[] { (string)rig["updatedAt"]!, (string)version["savedAt"]! })
        {
            Assert.EndsWith("Z", time);
            Assert.InRange(DateTime.Parse(time, System.Globalization.CultureInfo.InvariantCulture).ToUniversalTime(),
                DateTime.UtcNow.AddDays(-2), DateTime.UtcNow.AddMinutes(1));
        }
    }
}
