using System.Diagnostics;

namespace Ochema.Web.Tests;

/// <summary>The real server as a process of its own, to be killed.</summary>
internal static class ServerProcess
{
    public static Process Start(string folder, int port) =>
        Process.Start(new ProcessStartInfo("dotnet", [typeof(Server).Assembly.Location, "--port", $"{port}", "--data", folder])
        {
            RedirectStandardOutput = true,
            RedirectStandardError = true,
        })!;

    /// <summary>Waits until it answers.</summary>
    public static async Task Ready(Process server, int port)
    {
        using var client = new HttpClient();
        for (var i = 0; i < 400; i++)
            try
            {
                if (await client.GetStringAsync($"http://127.0.0.1:{port}/healthz") == "ready")
                    return;
            }
            catch (HttpRequestException)
            {
                Assert.False(server.HasExited, server.HasExited ? await server.StandardError.ReadToEndAsync() : "");
                await Task.Delay(50);
            }
        server.Kill();
        throw new TimeoutException("The server did not start.");
    }
}
