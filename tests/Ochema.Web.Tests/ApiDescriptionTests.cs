using System.Globalization;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Ochema.Web.Tests;

/// <summary>The API as others would use it: every resource has a name to call it by, says what it does, and is found under what it is
/// of.</summary>
public sealed partial class ApiDescriptionTests
{
    private static async Task<List<(string Path, string Method, JsonObject Of)>> AllAsync(Host host) =>
        [.. (await host.Get("/api/openapi.json"))["paths"]!.AsObject().SelectMany(p => p.Value!.AsObject().Select(m => (p.Key, m.Key, m.Value!.AsObject())))];

    [Fact]
    public async Task EachHasANameOfItsOwnASentenceAndATag()
    {
        using var host = new Host();
        var tags = (await host.Get("/api/openapi.json"))["tags"]!.AsArray()
            .ToDictionary(t => (string)t!["name"]!, t => (string?)t!["description"]);
        Assert.All(tags, t => Assert.EndsWith(".", t.Value));
        var names = new HashSet<string>();
        foreach (var (path, method, of) in await AllAsync(host))
        {
            var said = $"{method} {path}";
            Assert.True(names.Add((string?)of["operationId"] ?? ""), said + " is called like another");
            Assert.Matches("^[a-z]+([A-Z][a-z]*)*$", (string?)of["operationId"] ?? "");
            Assert.Matches(@"^[A-Z].+\.$", (string?)of["summary"] ?? "");
            Assert.Equal(path.Split('/')[2], (string)Assert.Single(of["tags"]!.AsArray())!);
            Assert.Contains(path.Split('/')[2], tags.Keys);
            Assert.Contains(of["responses"]!.AsObject(), r => r.Key.StartsWith('2'));
        }
        Assert.Equal(tags.Keys.Order(), (await AllAsync(host)).Select(a => a.Path.Split('/')[2]).Distinct().Order());
    }

    [Fact]
    public async Task WhatWantsAVersionSaysSo()
    {
        using var host = new Host();
        foreach (var (path, method, of) in await AllAsync(host))
            Assert.Equal(of["responses"]!.AsObject().ContainsKey("428"),
                (of["parameters"]?.AsArray() ?? []).Any(p => (string)p!["name"]! == "If-Match"));
    }

    [Theory] // each line is sent as it stands there, and answered with what it says
    [InlineData("docs/api.md", 20)]
    [InlineData("docs/formats.md", 20)]
    public async Task TheLinesOfTheDocumentationWork(string page, int atLeast)
    {
        using var host = new Host();
        var text = File.ReadAllText(Path.Combine(Root(), page));
        // Values and files that a line takes from the answers before, or from the page itself.
        var values = new Dictionary<string, string> { ["OCHEMA"] = "" };
        var files = Files().Matches(text).ToDictionary(m => m.Groups[1].Value, m => JsonNode.Parse(m.Groups[2].Value)!);
        var lines = Blocks().Matches(text).SelectMany(b => b.Groups[1].Value.Split('\n')).Where(l => l.Length > 0).ToList();
        Assert.True(lines.Count >= atLeast, $"only {lines.Count} lines");
        JsonNode At(string path, string file) =>
            path.Split('.').Aggregate(files[file], (at, step) => (int.TryParse(step, out var i) ? at[i] : at[step])!);
        foreach (var line in lines)
            if (Value().Match(line) is { Success: true } value)
                values[value.Groups[1].Value] = At(value.Groups[2].Value, value.Groups[3].Value).ToString();
            else if (Cut().Match(line) is { Success: true } cut)
                files[cut.Groups[3].Value] = At(cut.Groups[1].Value, cut.Groups[2].Value);
            else if (Command().Match(line) is { Success: true } command)
            {
                var (code, output, error) = CommandTests.Run(files[command.Groups[2].Value].ToJsonString(),
                    [command.Groups[1].Value, "-", .. command.Groups[3].Value.Split(' ', StringSplitOptions.RemoveEmptyEntries)]);
                Assert.True(code == 0, $"{line}: {error}");
                Assert.Contains(command.Groups[4].Value, output);
            }
            else
            {
                var said = Answered().Match(line);
                Assert.True(said.Success && line.StartsWith("curl -s ", StringComparison.Ordinal), line
                    + " does not say what it is answered with");
                using var request = new HttpRequestMessage();
                var into = Sent(request, Words().Matches(line[..said.Index]).Skip(2).Select(w => Word(w, values)).ToList(), files);
                using var answer = await host.Client.SendAsync(request);
                var body = await answer.Content.ReadAsStringAsync();
                Assert.True((int)answer.StatusCode == int.Parse(said.Groups[1].Value, CultureInfo.InvariantCulture),
                    $"{line}: {(int)answer.StatusCode} {body}");
                Assert.Contains(said.Groups[2].Value, body);
                if (into is not null)
                    files[into] = JsonNode.Parse(body)!;
            }
    }

    [Fact] // one heading a resource: none without an example
    public void EveryHeadingOfTheFormatsHasAnExample() =>
        Assert.Empty(File.ReadAllText(Path.Combine(Root(), "docs/formats.md")).Split("\n## ").Skip(1)
            .Where(part => !Blocks().IsMatch(part)).Select(part => part.Split('\n')[0]));

    /// <summary>A word as a shell reads it.</summary>
    private static string Word(Match word, Dictionary<string, string> values) => word.Groups[1].Success ? word.Groups[1].Value
        : values.Aggregate(word.Groups[2].Success ? word.Groups[2].Value.Replace("\\\"", "\"") : word.Value, (w, v) =>
            w.Replace("$" + v.Key, v.Value));

    /// <summary>Makes the request that a line would; answers the file it is kept in.</summary>
    private static string? Sent(HttpRequestMessage request, List<string> words, Dictionary<string, JsonNode> files)
    {
        string? into = null;
        for (var i = 0; i < words.Count; i++)
            switch (words[i])
            {
                case ">":
                    into = words[++i];
                    break;
                case "-o":
                    i++;
                    break;
                case "-X":
                    request.Method = new(words[++i]);
                    break;
                case "-H" when words[++i].Split(": ") is var header && header[0] != "Content-Type":
                    request.Headers.TryAddWithoutValidation(header[0], header[1]);
                    break;
                case "-H":
                    break;
                case "-d":
                    request.Content = Host.Json(Inside().Replace(words[++i], m => files[m.Groups[1].Value + m.Groups[2].Value].ToJsonString()));
                    request.Method = request.Method == HttpMethod.Get ? HttpMethod.Post : request.Method;
                    break;
                default:
                    request.RequestUri = new(words[i], UriKind.Relative);
                    break;
            }
        return into;
    }

    [GeneratedRegex(@"```sh\n(.*?)```", RegexOptions.Singleline)]
    private static partial Regex Blocks();

    /// <summary>A file that the page gives.</summary>
    [GeneratedRegex(@"```json ([\w.-]+)\n(.*?)```", RegexOptions.Singleline)]
    private static partial Regex Files();

    /// <summary>A file's text in what is sent.</summary>
    [GeneratedRegex(@"^@([\w.-]+)$|\$\(cat ([\w.-]+)\)")]
    private static partial Regex Inside();

    /// <summary>ochema command file --options, and a part of what it prints.</summary>
    [GeneratedRegex(@"^ochema (\w+) ([\w.-]+)((?: --\w+)*) +# (.+)$")]
    private static partial Regex Command();

    /// <summary>NAME=$(jq -r .step.step file).</summary>
    [GeneratedRegex(@"^([A-Z]+)=\$\(jq -r \.([\w.]+) ([\w.]+)\)$")]
    private static partial Regex Value();

    /// <summary>jq -c .step file > file.</summary>
    [GeneratedRegex(@"^jq -c \.([\w.]+) ([\w.]+) > ([\w.]+)$")]
    private static partial Regex Cut();

    /// <summary>What stands behind a line: its status, and a part of its text.</summary>
    [GeneratedRegex(@" +# (\d{3})(?:, (.+))?$")]
    private static partial Regex Answered();

    [GeneratedRegex(@"'([^']*)'|""((?:[^""\\]|\\.)*)""|[^\s'""]+")]
    private static partial Regex Words();

    private static string Root()
    {
        var at = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(at, "Ochema.slnx")))
            at = Path.GetDirectoryName(at)!;
        return at;
    }
}
