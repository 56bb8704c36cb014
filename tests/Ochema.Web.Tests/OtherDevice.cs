using System.Diagnostics;
using System.Globalization;
using System.Text;

namespace Ochema.Web.Tests;

/// <summary>
/// Another device on the local network: a network namespace with a cable to this machine. Where nobody may make one, the machine itself through
/// the same door, which asks by the door and not by who comes.
/// </summary>
internal sealed class OtherDevice : IDisposable
{
    private readonly string name = $"ochema{Environment.ProcessId}";
    private readonly string jar = Path.GetTempFileName();

    public OtherDevice()
    {
        var third = Environment.ProcessId % 250;
        IsOther = Run("ip", "netns", "add", name) && Run("ip", "link", "add", Near, "type", "veth", "peer", "name", "phone0", "netns", name)
            && Run("ip", "addr", "add", $"10.207.{third}.1/24", "dev", Near) && Run("ip", "link", "set", Near, "up")
            && Run("ip", "-n", name, "addr", "add", $"10.207.{third}.2/24", "dev", "phone0") && Run("ip", "-n", name, "link", "set", "phone0", "up");
        Address = IsOther ? $"10.207.{third}.1" : "127.0.0.1";
    }

    /// <summary>This machine's end of the cable.</summary>
    private static readonly string Near = "o" + Environment.ProcessId.ToString(CultureInfo.InvariantCulture);

    /// <summary>False where it is this machine after all.</summary>
    public bool IsOther { get; }

    /// <summary>Under which it sees this machine.</summary>
    public string Address { get; }

    public void Dispose()
    {
        Run("ip", "link", "del", Near);
        Run("ip", "netns", "del", name);
        File.Delete(jar);
    }

    /// <summary>A request from there.</summary>
    /// <param name="Token">The device sends the token that it was given.</param>
    public sealed record Ask(string Url, string Method = "GET", string? Body = null, bool Token = false, params string[] Headers);

    /// <summary>Asks all, over one connection; the status of each answer, 0 where there is none.</summary>
    public IReadOnlyList<int> Statuses(IReadOnlyList<Ask> asks) =>
        [.. Answers(asks, "%{http_code}\n", "/dev/null").Trim().Split('\n').Select(s => int.Parse(s, CultureInfo.InvariantCulture))];

    /// <summary>What comes back, status first.</summary>
    public (int Status, string Text) Answer(Ask ask)
    {
        var all = Answers([ask], "\n%{http_code}", null);
        var cut = all.LastIndexOf('\n');
        return (int.Parse(all[(cut + 1)..], CultureInfo.InvariantCulture), all[..cut]);
    }

    private string Answers(IReadOnlyList<Ask> asks, string write, string? output)
    {
        var config = new StringBuilder();
        foreach (var (url, method, body, token, headers) in asks)
        {
            config.Append(config.Length > 0 ? "next\n" : "").Append($"url = \"{url}\"\nrequest = \"{method}\"\nwrite-out = {Quoted(write)}\n")
                .Append("silent\ninsecure\nmax-time = 20\ncookie-jar = \"" + jar + "\"\n");
            if (output is not null)
                config.Append($"output = \"{output}\"\n");
            if (token)
                config.Append($"cookie = \"{jar}\"\n");
            if (body is not null)
                config.Append($"data = {Quoted(body)}\n");
            foreach (var h in headers)
                config.Append($"header = \"{h}\"\n");
        }
        string[] command = ["curl", "-K", "-"];
        var start = IsOther ? new ProcessStartInfo("ip", ["netns", "exec", name, .. command]) : new ProcessStartInfo(command[0], command[1..]);
        (start.RedirectStandardInput, start.RedirectStandardOutput) = (true, true);
        using var curl = Process.Start(start)!;
        curl.StandardInput.Write(config);
        curl.StandardInput.Close();
        var said = curl.StandardOutput.ReadToEnd();
        curl.WaitForExit();
        return said;
    }

    private static string Quoted(string text) => '"' + text.Replace("\\", "\\\\", StringComparison.Ordinal).Replace("\"", "\\\"", StringComparison.Ordinal)
        .Replace("\n", "\\n", StringComparison.Ordinal) + '"';

    private static bool Run(string command, params string[] arguments)
    {
        try
        {
            using var run = Process.Start(new ProcessStartInfo(command, arguments) { RedirectStandardError = true })!;
            run.WaitForExit();
            return run.ExitCode == 0;
        }
        catch (System.ComponentModel.Win32Exception)
        {
            return false;
        }
    }
}
