using System.Diagnostics;

namespace Ochema.Web.Tests;

/// <summary>The real server as a process of its own, to be killed.</summary>
internal static class ServerProcess
{
    /// <param name="folder">Where it keeps its file.</param>
    /// <param name="port">Where it listens.</param>
    /// <param name="mount">Commands that give it another disk, run in a mount namespace of its own, which ends with it.</param>
    /// <param name="more">Further options.</param>
    public static Process Start(string folder, int port, string? mount = null, params string[] more)
    {
        string[] server = [typeof(Server).Assembly.Location, "--port", $"{port}", "--data", folder, .. more];
        var start = mount is null
            ? new ProcessStartInfo("dotnet", server)
            : new ProcessStartInfo("unshare", ["--map-root-user", "--mount", "bash", "-c", mount + " && exec dotnet \"$@\"", "bash",
                .. server]);
        start.RedirectStandardOutput = start.RedirectStandardError = true;
        return Process.Start(start)!;
    }

    /// <summary>False on a machine that lets nobody mount a disk: what a full or read-only one does cannot be shown there.</summary>
    public static bool CanMount { get; } = Mounts();

    private static bool Mounts()
    {
        try
        {
            using var probe = Process.Start("unshare", ["--map-root-user", "--mount", "mount", "-t", "tmpfs", "-o", "size=64k", "none", "/tmp"]);
            probe.WaitForExit();
            return probe.ExitCode == 0;
        }
        catch (System.ComponentModel.Win32Exception)
        {
            return false;
        }
    }

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
