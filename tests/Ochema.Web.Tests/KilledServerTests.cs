using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;

namespace Ochema.Web.Tests;

/// <summary>Killing the process during saves loses nothing that was acknowledged.</summary>
public sealed class KilledServerTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("ochema-kill-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    [Fact]
    public async Task AcknowledgedSavesSurviveAKill()
    {
        var (id, acknowledged) = ("", 0);
        for (var round = 0; round < 3; round++)
        {
            var port = Host.FreePort();
            using var server = ServerProcess.Start(folder, port);
            using var client = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{port}") };
            await ServerProcess.Ready(server, port);
            if (id.Length == 0)
                id = (string)(await (await client.PostAsync("/api/rigs", Host.Json($$"""{"document":{{Host.DemoDocument()}}}"""))).Content.ReadFromJsonAsync<JsonNode>())!["id"]!;
            var stored = (await client.GetFromJsonAsync<JsonNode>($"/api/rigs/{id}"))!;
            var version = (int)stored["version"]!;
            if (round > 0)
                Assert.True(int.Parse(((string)stored["name"]!)["save ".Length..]) >= acknowledged,
                    $"{stored["name"]} after save {acknowledged}");
            var saving = Task.Run(async () =>
            {
                for (var n = acknowledged + 1; ; n++)
                {
                    var put = new HttpRequestMessage(HttpMethod.Put,
                        $"/api/rigs/{id}")
                    { Content = Host.Json(Host.Renamed(Host.DemoDocument(), $"save {n}")) };
                    put.Headers.TryAddWithoutValidation("If-Match", $"\"{version}\"");
                    var answer = await client.SendAsync(put);
                    Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
                    (acknowledged, version) = (n, version + 1);
                }
            });
            await Task.Delay(700 + 200 * round);
            server.Kill();
            await server.WaitForExitAsync();
            await Assert.ThrowsAnyAsync<HttpRequestException>(() => saving);
            Assert.True(acknowledged > 0);
        }
    }
}
