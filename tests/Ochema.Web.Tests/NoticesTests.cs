using System.Text.Json.Nodes;
using System.Text.RegularExpressions;

namespace Ochema.Web.Tests;

/// <summary>What others made and runs with the application is named in the notices that ship with it.</summary>
public sealed partial class NoticesTests
{
    private static readonly string Root = FindRoot();
    private static readonly string[] Notices = File.ReadAllLines(Path.Combine(Root, "ui/public/notices.txt"));

    private static string FindRoot()
    {
        var at = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(at, "Ochema.slnx")))
            at = Path.GetDirectoryName(at)!;
        return at;
    }

    /// <summary>"name · licence · whose".</summary>
    private static string[]? Line(string name) => Notices.Select(l => l.Split(" · ")).FirstOrDefault(l => l.Length == 3 && l[0] == name);

    private static void IsNamed(string name)
    {
        var line = Line(name);
        Assert.True(line is not null, $"{name} is not in ui/public/notices.txt");
        Assert.True(line[2].Contains("opyright", StringComparison.Ordinal) || line[2].Contains('©'), $"{name}: whose is it?");
        // Its licence is there in full.
        Assert.Contains($"= {line[1]}", Notices);
    }

    [Fact]
    public void EveryPackageOfTheServerIsNamed()
    {
        var file = Path.Combine(Path.GetDirectoryName(typeof(Server).Assembly.Location)!, "Ochema.Web.deps.json");
        var document = JsonNode.Parse(File.ReadAllText(file))!;
        var packages = document["libraries"]!.AsObject().Where(l => (string)l.Value!["type"]! == "package").Select(l => l.Key)
            .Where(key => document["targets"]!.AsObject().First().Value![key] is JsonObject own
                && (own["runtime"] ?? own["runtimeTargets"] ?? own["native"]) is not null)
            .Select(key => key.Split('/')[0]).ToList();
        Assert.True(packages.Count > 10);
        Assert.All(packages, IsNamed);
    }

    [Fact] // what the interface's files name, styles and fonts included, and what that is made of
    public void EveryPackageOfTheInterfaceIsNamed()
    {
        var named = Directory.EnumerateFiles(Path.Combine(Root, "ui/src"), "*.*", SearchOption.AllDirectories)
            .Where(f => Path.GetExtension(f) is ".ts" or ".svelte" or ".css" && !f.EndsWith(".test.ts", StringComparison.Ordinal))
            .SelectMany(f => Imported().Matches(File.ReadAllText(f)).Select(m => m.Groups[1].Value)).ToHashSet();
        Assert.Contains("three", named);
        Assert.Contains("tailwindcss", named);
        var known = JsonNode.Parse(File.ReadAllText(Path.Combine(Root, "ui/package-lock.json")))!["packages"]!.AsObject();
        IEnumerable<string> Needs(string name) => (known[$"node_modules/{name}"]?["dependencies"]?.AsObject() ?? []).Select(d => d.Key);
        // Svelte compiles: what it needs for that does not run in the browser.
        foreach (var name in named)
            foreach (var one in name is "svelte" or "tailwindcss" ? [name] : Needs(name).Prepend(name))
                IsNamed(one);
    }

    [GeneratedRegex("(?:from|@import|@plugin|import)\\s*\\(?'((?:@[\\w.-]+/)?[\\w-]+)")]
    private static partial Regex Imported();
}
