using System.Net;
using Microsoft.Data.Sqlite;
using Ochema.Data;

namespace Ochema.Web.Tests;

/// <summary>Deleting, bringing back, emptying; several at once; and what happens when a stored document cannot be read.</summary>
public sealed class BinTests(Host host) : IClassFixture<Host>
{
    [Fact]
    public async Task TheBinListsBringsBackAndEmpties()
    {
        var (kept, gone) = (await host.Create(), await host.Create());
        foreach (var id in new[] { kept, gone })
            Assert.Equal(HttpStatusCode.NoContent, (await host.On(1, HttpMethod.Delete, $"/api/rigs/{id}")).StatusCode);
        var binned = (await host.Get("/api/bin")).AsArray().Select(r => (string)r!["id"]!);
        Assert.Equal(new[] { kept, gone }.Order(), binned.Where(i => i == kept || i == gone).Order());
        (await host.On(1, HttpMethod.Post, $"/api/rigs/{kept}/undelete")).EnsureSuccessStatusCode();
        Assert.Equal(HttpStatusCode.NotFound, (await host.Client.DeleteAsync($"/api/bin/{kept}")).StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await host.Client.DeleteAsync("/api/bin")).StatusCode);
        Assert.Empty((await host.Get("/api/bin")).AsArray());
        Assert.Equal(HttpStatusCode.NotFound, (await host.On(1, HttpMethod.Post, $"/api/rigs/{gone}/undelete")).StatusCode);
        Assert.Equal(HttpStatusCode.OK, (await host.Client.GetAsync($"/api/rigs/{kept}")).StatusCode);
    }

    [Theory]
    [InlineData("DELETE", "")]
    [InlineData("POST", "/versions/1/restore")]
    public async Task AChangeSaysWhichVersionItWasMadeOn(string method, string path)
    {
        var id = await host.Create();
        var m = new HttpMethod(method);
        Assert.Equal((HttpStatusCode)428, (await host.Client.SendAsync(new HttpRequestMessage(m, $"/api/rigs/{id}{path}"))).StatusCode);
        Assert.Equal(HttpStatusCode.PreconditionFailed, (await host.On(7, m, $"/api/rigs/{id}{path}")).StatusCode);
        Assert.True((await host.On(1, m, $"/api/rigs/{id}{path}")).IsSuccessStatusCode);
    }

    [Fact]
    public async Task AllAtOnceIsSettledNotBroken()
    {
        var id = await host.Create();
        var answers = await Task.WhenAll(Enumerable.Range(0, 24).Select(i => (i % 4) switch
        {
            0 => host.Put(id, Host.Renamed(Host.DemoDocument(), $"save {i}"), "\"1\""),
            1 => host.On(1, HttpMethod.Delete, $"/api/rigs/{id}"),
            2 => host.On(1, HttpMethod.Post, $"/api/rigs/{id}/undelete"),
            _ => host.On(1, HttpMethod.Post, $"/api/rigs/{id}/versions/1/restore"),
        }));
        HttpStatusCode[] settled =
            [HttpStatusCode.OK, HttpStatusCode.NoContent, HttpStatusCode.NotFound, HttpStatusCode.Conflict, HttpStatusCode.PreconditionFailed];
        Assert.All(answers, a => Assert.Contains(a.StatusCode, settled));
    }

    [Fact]
    public async Task OneUnreadableRigTakesNothingElseDown()
    {
        var id = await host.Create();
        using (var c = new SqliteConnection(Storage.ConnectionString(host.Folder)))
        {
            c.Open();
            using var command = c.CreateCommand();
            command.CommandText = """UPDATE "Rigs" SET "Document" = replace("Document", '"schema":3', '"schema":3,"wheels":5') WHERE "Id" = $id;""";
            command.Parameters.AddWithValue("$id", id);
            Assert.Equal(1, command.ExecuteNonQuery());
        }
        var films = await host.Films();
        var unreadable = Assert.Single(films.SelectMany(f => f!["unreadable"]!.AsArray()));
        Assert.Equal(id, (string)unreadable!["id"]!);
        Assert.Contains("wheels", (string)unreadable["path"]! + (string)unreadable["reason"]!);
        Assert.True(films.Sum(f => f!["rigs"]!.AsArray().Count) >= DemoFilm.Rigs.Count);
        Assert.NotEmpty((await host.Get("/api/rigs")).AsArray());
        var opened = await host.Client.GetAsync($"/api/rigs/{id}");
        Assert.Equal(HttpStatusCode.Conflict, opened.StatusCode);
        Assert.Contains("Save it as a file", await opened.Content.ReadAsStringAsync());
        // Nothing of it is lost, and it can be put away.
        Assert.Contains("\"wheels\":5", await host.Client.GetStringAsync($"/api/rigs/{id}/file"));
        Assert.NotEmpty((await host.Get($"/api/rigs/{id}/versions")).AsArray());
        Assert.Equal(HttpStatusCode.NoContent, (await host.On(1, HttpMethod.Delete, $"/api/rigs/{id}")).StatusCode);
        Assert.Equal(HttpStatusCode.NoContent, (await host.Client.DeleteAsync($"/api/bin/{id}")).StatusCode);
    }
}
