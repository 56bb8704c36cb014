using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Infrastructure;
using Microsoft.EntityFrameworkCore.Migrations;
using Ochema.Data;

namespace Ochema.Web.Tests;

/// <summary>Verdicts that are kept with what they are of: lists compute nothing, and never show another rig's or another build's.</summary>
public sealed class KeptVerdictTests : IDisposable
{
    private readonly Host host = new();

    public void Dispose() => host.Dispose();

    private void Sql(string text)
    {
        using var c = new SqliteConnection(Storage.ConnectionString(host.Folder));
        c.Open();
        using var command = c.CreateCommand();
        command.CommandText = text;
        command.ExecuteNonQuery();
    }

    private async Task<JsonNode> Card(string id) => (await host.Films()).SelectMany(f => f!["rigs"]!.AsArray())
        .Single(r => (string)r!["id"]! == id)!["card"]!;

    [Fact]
    public async Task ACardSaysWhatTheAssessmentSays()
    {
        foreach (var (id, _) in DemoFilm.Rigs)
        {
            var card = await Card("demo-" + id);
            var stored = (await host.Get($"/api/rigs/demo-{id}"))["document"]!;
            var report = (await (await host.Client.PostAsync("/api/assess?advice=false",
                Host.Json(stored.ToJsonString()))).Content.ReadFromJsonAsync<JsonNode>())!;
            Assert.Equal(report["drive"]!["verdict"]!.ToJsonString(), card["verdict"]!.ToJsonString());
            Assert.Equal(report["drive"]!["sharpness"]!["word"]!.ToJsonString(), card["sharpness"]!["word"]!.ToJsonString());
            Assert.Equal((double)report["design"]!["mass"]!, (double)card["mass"]!);
        }
    }

    [Fact]
    public async Task AChangeBehindTheServersBackIsJudgedAnew()
    {
        var id = await host.Create();
        var before = (double)(await Card(id))["speed"]!;
        Sql($"""UPDATE "Rigs" SET "Document" = replace("Document", '"speed":{before.ToString("R")}', '"speed":3') WHERE "Id" = '{id}';""");
        Assert.Equal(3, (double)(await Card(id))["speed"]!);
        // As if another build had written it.
        Sql("""UPDATE "Rigs" SET "Judged" = 'of another build', "Card" = '{}'; UPDATE "Versions" SET "Judged" = 'of another build', "Word" = 'holds';""");
        Assert.NotNull((await Card(id))["verdict"]);
        var version = (await host.Get($"/api/rigs/{id}/versions"))[0]!;
        for (var i = 0; i < 50 && !(bool)version["judged"]!; i++)
            version = (await host.Get($"/api/rigs/{id}/versions"))[0]!;
        Assert.True((bool)version["judged"]!);
    }

    [Fact]
    public async Task VersionsSayWhatChanged()
    {
        var id = await host.Create();
        var rig = JsonNode.Parse(Host.DemoDocument())!;
        rig["run"]!["speed"] = 12.5;
        rig["paths"]![0]!["camera"]!["pan"] = 0.5;
        (await host.Put(id, rig.ToJsonString(), "\"1\"")).EnsureSuccessStatusCode();
        rig["paths"]![0]!["head"] = new JsonObject { ["kind"] = "ball-head" };
        rig["braces"] = new JsonArray();
        (await host.Put(id, rig.ToJsonString(), "\"2\"")).EnsureSuccessStatusCode();
        var versions = (await host.Get($"/api/rigs/{id}/versions")).AsArray();
        string Said(int i) => string.Join("; ", versions[i]!["changed"]!.AsArray().Select(c => (string)c!));
        Assert.Contains("head: ball head", Said(0), StringComparison.OrdinalIgnoreCase);
        Assert.Contains("design speed", Said(1));
        Assert.Contains("12.5}", Said(1));
        Assert.Contains("camera: turned to the left", Said(1));
        Assert.Equal("", Said(2));
    }

    [Fact]
    public async Task FiveHundredRigsAreListed()
    {
        var create = Enumerable.Range(0, 490)
            .Select(i => new JsonObject
            {
                ["document"] = JsonNode.Parse(Host.Renamed(Host.DemoDocument(i % DemoFilm.Rigs.Count),
                $"rig {i}"))
            }.ToJsonString());
        foreach (var body in create)
            (await host.Client.PostAsync("/api/rigs", Host.Json(body))).EnsureSuccessStatusCode();
        Assert.Equal(490 + DemoFilm.Rigs.Count, (await host.Films()).Sum(f => f!["rigs"]!.AsArray().Count));
    }

    [Fact]
    public async Task AFolderOfTheFirstVersionIsBroughtUpToDateWithACopyKept()
    {
        var folder = Directory.CreateTempSubdirectory("ochema-first-").FullName;
        try
        {
            var options = new DbContextOptionsBuilder<OchemaContext>().UseSqlite(Storage.ConnectionString(folder)).Options;
            await using (var db = new OchemaContext(options))
            {
                await db.GetService<IMigrator>().MigrateAsync("First");
                var json = Host.DemoDocument(3);
                await db.Database.ExecuteSqlAsync($"""INSERT INTO "Films" ("Id", "Name", "CreatedAt") VALUES ('old', 'Old film', '2026-11-01 10:00:00')""");
                await db.Database.ExecuteSqlAsync($"""
                    INSERT INTO "Rigs" ("Id", "FilmId", "Name", "Document", "Version", "UpdatedAt")
                    VALUES ('old-rig', 'old', 'Old rig', {json}, 1, '2026-11-01 10:00:00')
                    """);
                await db.Database.ExecuteSqlAsync($"""
                    INSERT INTO "Versions" ("RigId", "Number", "Document", "SavedAt", "Name")
                    VALUES ('old-rig', 1, {json}, '2026-11-01 10:00:00', 'as it was')
                    """);
            }
            SqliteConnection.ClearAllPools();
            await using var app = Server.Build(["--data", folder, "--port", "0"]);
            await app.StartAsync();
            using var client = new HttpClient { BaseAddress = new Uri(app.Urls.First()) };
            JsonNode? card = null;
            for (var i = 0; i < 100 && card is null; i++)
                card = (await client.GetFromJsonAsync<JsonNode>("/api/films"))![0]!["rigs"]![0]!["card"];
            Assert.NotNull(card!["verdict"]);
            Assert.Equal("as it was", (string)(await client.GetFromJsonAsync<JsonNode>("/api/rigs/old-rig/versions"))![0]!["name"]!);
            Assert.Single(Directory.GetFiles(folder, "ochema-before-*.db"));
            await app.StopAsync();
        }
        finally
        {
            SqliteConnection.ClearAllPools();
            Directory.Delete(folder, recursive: true);
        }
    }
}
