using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Mvc.Testing;
using Ochema.Core.Json;

namespace Ochema.Web.Tests;

/// <summary>The real application on a real SQLite file of its own, with the demo film.</summary>
public sealed class Host : IDisposable
{
    private readonly WebApplicationFactory<Program> factory;

    public Host()
    {
        Folder = Directory.CreateTempSubdirectory("ochema-test-").FullName;
        factory = new WebApplicationFactory<Program>().WithWebHostBuilder(b => b.UseSetting("data", Folder).UseSetting("demo", "true"));
        Client = factory.CreateClient(new WebApplicationFactoryClientOptions { BaseAddress = new Uri("http://localhost") });
    }

    public string Folder { get; }
    public HttpClient Client { get; }

    public static StringContent Json(string text) => new(text, Encoding.UTF8, "application/json");

    public static string DemoDocument(int i = 1) => StrictJson.Write(Ochema.Data.DemoFilm.Rigs[i].Document);

    public async Task<JsonNode> Get(string path) => (await Client.GetFromJsonAsync<JsonNode>(path))!;

    /// <summary>The films, asked for until every card is worked out.</summary>
    public async Task<JsonArray> Films()
    {
        for (var i = 0; i < 200; i++)
            if ((await Get("/api/films")).AsArray() is var films && films.All(f => f!["rigs"]!.AsArray().All(r => r!["card"] is not null)))
                return films;
        throw new TimeoutException("cards are missing still");
    }

    /// <summary>Stores a rig and returns its id.</summary>
    public async Task<string> Create(string? document = null)
    {
        var r = await Client.PostAsync("/api/rigs", Json($$"""{"document":{{document ?? DemoDocument()}}}"""));
        r.EnsureSuccessStatusCode();
        return (string)(await r.Content.ReadFromJsonAsync<JsonNode>())!["id"]!;
    }

    public Task<HttpResponseMessage> Put(string id, string document, string etag)
    {
        var m = new HttpRequestMessage(HttpMethod.Put, $"/api/rigs/{id}") { Content = Json(document) };
        m.Headers.TryAddWithoutValidation("If-Match", etag);
        return Client.SendAsync(m);
    }

    /// <summary>A request made on a version.</summary>
    public Task<HttpResponseMessage> On(int version, HttpMethod method, string path)
    {
        var m = new HttpRequestMessage(method, path);
        m.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
        return Client.SendAsync(m);
    }

    public static string Renamed(string document, string name)
    {
        var n = JsonNode.Parse(document)!;
        n["name"] = name;
        return n.ToJsonString();
    }

    /// <summary>A port that nobody listens on.</summary>
    public static int FreePort()
    {
        using var l = new TcpListener(IPAddress.Loopback, 0);
        l.Start();
        return ((IPEndPoint)l.LocalEndpoint).Port;
    }

    public void Dispose()
    {
        factory.Dispose();
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        Directory.Delete(Folder, recursive: true);
    }
}
