using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using Ochema.Data;
using Ochema.Tests.Support;

namespace Ochema.Web.Tests;

/// <summary>The file of the films deleted, moved or locked while the server runs: nothing is acknowledged that is lost.</summary>
public sealed class FileTakenAwayTests : IDisposable
{
    private readonly Host host = new();

    private string File => Path.Combine(host.Folder, Storage.FileName);

    public void Dispose() => host.Dispose();

    private async Task<HttpResponseMessage> Save() => await host.Client.PostAsync("/api/rigs", Host.Json($$"""{"document":{{Host.DemoDocument()}}}"""));

    private static async Task SaysSo(HttpResponseMessage answer)
    {
        Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
        var problem = (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
        Assert.Equal("Not saved", (string)problem["title"]!);
        Assert.Contains("was deleted, moved or replaced", (string)problem["detail"]!);
    }

    [Fact]
    public async Task NoSaveIsAcknowledgedInAFileThatNobodyWillFind()
    {
        (await Save()).EnsureSuccessStatusCode();
        var id = await host.Create();
        // As a file manager does it, with what lies beside it.
        foreach (var part in Directory.GetFiles(host.Folder, Storage.FileName + "*"))
            System.IO.File.Delete(part);
        await SaysSo(await Save());
        await SaysSo(await host.Put(id, Host.Renamed(Host.DemoDocument(), "x"), "\"1\""));
        await SaysSo(await host.On(1, HttpMethod.Delete, $"/api/rigs/{id}"));
        await SaysSo(await host.Client.PostAsync("/api/films", Host.Json("""{"name":"x"}""")));
        await SaysSo(await host.Client.DeleteAsync("/api/bin"));
    }

    [Fact]
    public async Task AnotherFileInItsPlaceIsNotTheOneThatIsOpen()
    {
        await host.Create();
        var copy = File + ".copy";
        System.IO.File.Copy(File, copy);
        System.IO.File.Move(copy, File, overwrite: true);
        await SaysSo(await Save());
    }

    [Fact]
    public async Task MovedAwayAndPutBackItTakesSavesAgain()
    {
        await host.Create();
        System.IO.File.Move(File, File + ".away");
        await SaysSo(await Save());
        System.IO.File.Move(File + ".away", File);
        Assert.Equal(HttpStatusCode.Created, (await Save()).StatusCode);
    }

    [Fact]
    public async Task ASaveAgainstALockGivesUpInFiveSeconds()
    {
        await host.Create();
        using var other = new SqliteConnection($"Data Source={File};Pooling=False");
        other.Open();
        using var locking = other.CreateCommand();
        locking.CommandText = "BEGIN EXCLUSIVE;";
        locking.ExecuteNonQuery();
        var answer = await Soon.Within(TimeSpan.FromSeconds(6), Save, "a save against a lock");
        Assert.Equal(HttpStatusCode.ServiceUnavailable, answer.StatusCode);
        Assert.Contains("another program has it locked", await answer.Content.ReadAsStringAsync());
        locking.CommandText = "ROLLBACK;";
        locking.ExecuteNonQuery();
        Assert.Equal(HttpStatusCode.Created, (await Save()).StatusCode);
    }

    [Fact] // the same file dropped on the window from twenty sides
    public async Task TwentyOpensThatBringTheSameRowAllSucceed()
    {
        var lists = await host.Get("/api/shelf/lists");
        var row = lists.AsArray().First(l => (string)l!["id"]! == "cups")!["rows"]![0]!.DeepClone();
        (row["id"], row["name"]) = ("own-cup", "My cup");
        var document = JsonNode.Parse(Host.DemoDocument())!;
        document["stock"] = new JsonObject { ["cups"] = new JsonArray(row) };
        var body = new JsonObject { ["document"] = document }.ToJsonString();
        var answers = await Task.WhenAll(Enumerable.Range(0, 20).Select(_ => host.Client.PostAsync("/api/rigs", Host.Json(body))));
        Assert.All(answers, a => Assert.Equal(HttpStatusCode.Created, a.StatusCode));
        Assert.Single((await host.Get("/api/shelf")).AsArray());
    }

    [Fact] // a row that another program has spoilt stands there with its fault, and takes nothing else down
    public async Task ADamagedRowOfTheShelfIsShownAsSuch()
    {
        using (var other = new SqliteConnection($"Data Source={File};Pooling=False"))
        {
            other.Open();
            using var spoil = other.CreateCommand();
            spoil.CommandText = "INSERT INTO Shelf (List, Id, Row, Version, UpdatedAt) VALUES ('cups', 'own-spoilt', '{\"id\":', 1, "
                + "'2026-01-01');";
            spoil.ExecuteNonQuery();
        }
        var kept = (await host.Get("/api/shelf")).AsArray().Single()!;
        Assert.Equal("own-spoilt", (string)kept["id"]!);
        Assert.NotEmpty((string)kept["fault"]!);
        Assert.NotEmpty((await host.Get("/api/kinds")).AsArray());
    }
}
