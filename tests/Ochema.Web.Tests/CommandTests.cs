using System.Diagnostics;
using System.Text.Json.Nodes;
using Ochema.Core.Analysis;
using Ochema.Core.Json;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Tests;

/// <summary>The commands that need no server: assess, model, solve.</summary>
public sealed class CommandTests : IDisposable
{
    private readonly string folder = Directory.CreateTempSubdirectory("ochema-command-").FullName;

    public void Dispose() => Directory.Delete(folder, recursive: true);

    private string Save(string name, string text)
    {
        var path = Path.Combine(folder, name);
        File.WriteAllText(path, text);
        return path;
    }

    internal static (int Code, string Output, string Error) Run(string? input, params string[] args)
    {
        using var p = Process.Start(new ProcessStartInfo("dotnet", [typeof(Server).Assembly.Location, .. args]) { RedirectStandardInput = true, RedirectStandardOutput = true, RedirectStandardError = true })!;
        var (output, error) = (p.StandardOutput.ReadToEndAsync(), p.StandardError.ReadToEndAsync());
        if (input is not null)
            p.StandardInput.Write(input);
        p.StandardInput.Close();
        p.WaitForExit();
        return (p.ExitCode, output.Result, error.Result);
    }

    [Fact]
    public void AssessPrintsTheVerdictAndTheWholeReportAsJson()
    {
        var file = Save("rig.ochema.json", Host.DemoDocument(0));
        var (code, text, _) = Run(null, "assess", file);
        Assert.Equal(0, code);
        Assert.StartsWith("TIGHT, limit speed 108 km/h", text);
        Assert.Contains("Arm's foot joint turns", text);
        Assert.DoesNotContain("{", text);
        var report = JsonNode.Parse(Run(null, "assess", file, "--json").Output)!;
        Assert.Equal("tight", (string)report["verdict"]!["word"]!);
        Assert.Equal(StrictJson.Write(Adviser.Assess(DemoFilm.Rigs[0].Document, Catalogue.Shipped)),
            report.ToJsonString(StrictJson.Options));
    }

    [Fact]
    public void ListsOntoAFileAreRefusedInASentence()
    {
        var (file, taken) = (Save("rig.ochema.json", Host.DemoDocument(0)), Save("taken", "x"));
        var (code, _, error) = Run(null, "make", file, "--out", taken);
        Assert.Equal(1, code);
        Assert.Contains("is a file, not a folder", error);
        Assert.Single(error.TrimEnd().Split('\n'));
        Assert.Equal("x", File.ReadAllText(taken));
    }

    [Theory] // a table takes a cell that begins so for a formula
    [InlineData("=1+1")]
    [InlineData("+1")]
    [InlineData("-1")]
    [InlineData("@SUM(A1)")]
    public void NoCellOfAListIsAFormula(string name)
    {
        var rig = JsonNode.Parse(Host.DemoDocument(0))!;
        var cup = JsonNode.Parse(StrictJson.Write<object>(Catalogue.Shipped.Lists["cups"]
            .First(r => r.Id == (string)rig["base"]!["cup"]!["stock"]!)))!;
        (cup["id"], cup["name"]) = ("own-cup", name);
        (rig["stock"], rig["base"]!["cup"]!["stock"]) = (new JsonObject { ["cups"] = new JsonArray(cup) }, "own-cup");
        var outputs = Path.Combine(folder, "out");
        Assert.Equal(0, Run(null, "make", Save("rig.ochema.json", rig.ToJsonString()), "--out", outputs).Code);
        var text = string.Join('\n', Directory.GetFiles(outputs, "*.csv").Select(File.ReadAllText));
        Assert.Contains("'" + name, text);
        foreach (var line in text.Split('\n'))
            Assert.DoesNotMatch(@"(^|,)""?[=+@\t-][^,]*" + System.Text.RegularExpressions.Regex.Escape(name[1..]), line);
    }

    [Fact]
    public void CutPrintsALineAFileAndGoesOnAfterABadOne()
    {
        const string bar = "\"stock\":[{\"id\":\"2 m\",\"length\":2,\"price\":9}]";
        var good = Save("good.json", $$"""{"kerf":0.002,"squaring":0.005,{{bar}},"pieces":[{"id":"link","length":0.33,"count":3}]}""");
        var bad = Save("bad.json", """{"kerf":-1,"squaring":0,"stock":[],"pieces":[]}""");
        var impossible = Save("long.json", $$"""{"kerf":0,"squaring":0,{{bar}},"pieces":[{"id":"boom","length":2.5,"count":1}]}""");
        var (code, text, _) = Run(null, "cut", good, bad, impossible, Path.Combine(folder, "none.json"));
        Assert.Equal(2, code);
        var lines = text.Trim().Split('\n').Select(l => JsonNode.Parse(l)!).ToList();
        Assert.Equal(["link", "link", "link"], lines[0]["bars"]![0]!["pieces"]!.AsArray().Select(p => (string)p!));
        Assert.Equal((9, 9, true), ((double)lines[0]["cost"]!, (double)lines[0]["bound"]!, (bool)lines[0]["optimal"]!));
        Assert.Equal(2 - 0.005 - 0.99 - 3 * 0.002, (double)lines[0]["bars"]![0]!["offcut"]!, 1e-9);
        Assert.StartsWith("kerf", (string)lines[1]["error"]!);
        Assert.Contains("'boom' is 500 mm too long", (string)lines[2]["finding"]!);
        Assert.Contains("cannot be opened", (string)lines[3]["error"]!);
        Assert.Equal(0, Run(null, "cut", good, impossible).Code);
    }

    [Fact]
    public void HangPrintsALineAFileAndGoesOnAfterABadOne()
    {
        const string nodes = """ "nodes":[{"id":"a","x":0,"y":0,"z":3,"fixed":true},{"id":"m","x":1,"y":0,"z":0}] """;
        var good = Save("good.json", $$"""{ {{nodes}},"ropes":[{"id":"r","from":"a","to":"m","length":2,"EA":1000,"mass":0.1}],"loads":[{"node":"m","m":1}]}""");
        var bad = Save("bad.json", $$"""{ {{nodes}},"ropes":[{"id":"r","from":"a","to":"z","length":2,"EA":1000}]}""");
        var adrift = Save("adrift.json", $$"""{ {{nodes}},"ropes":[],"loads":[{"node":"m","m":1}]}""");
        var (code, text, _) = Run(null, "hang", good, bad, adrift);
        Assert.Equal(2, code);
        var lines = text.Trim().Split('\n').Select(l => JsonNode.Parse(l)!).ToList();
        Assert.Equal(1.2 * 9.80665, (double)lines[0]["tensions"]!["r"]!["from"]!, 5e-7);
        Assert.Equal(1.2 * 9.80665, (double)lines[0]["reactions"]!["a"]![2]!, 5e-7);
        Assert.True((bool)lines[0]["stable"]!);
        Assert.StartsWith("ropes[0].to", (string)lines[1]["error"]!);
        Assert.False((bool)lines[2]["stable"]!);
        Assert.Contains("'m'", (string)lines[2]["finding"]!);
        Assert.Equal(0, Run(null, "hang", good, adrift).Code);
        Assert.Equal(lines[0].ToJsonString(), JsonNode.Parse(Run(File.ReadAllText(good), "hang", "-").Output)!.ToJsonString());
    }

    [Fact] // the lists are read back by a general reader of CSV, and add up to the report
    public void MakeSaysAndWritesWhatThereIsToDo()
    {
        var rig = Save("rig.json", Host.DemoDocument(3));
        var lists = Path.Combine(folder, "lists");
        var (code, text, _) = Run(null, "make", rig, "--out", lists);
        Assert.Equal(0, code);
        Assert.Contains("HOLD", text);
        Assert.Contains("it can be proved after", text);
        var report = JsonNode.Parse(Run(null, "make", rig, "--json").Output)!;
        List<dynamic> Rows(string name)
        {
            using var csv = new CsvHelper.CsvReader(File.OpenText(Path.Combine(lists, name)), System.Globalization.CultureInfo.InvariantCulture);
            return [.. csv.GetRecords<dynamic>()];
        }
        var parts = Rows("parts.csv");
        Assert.Equal(report["parts"]!.AsArray().Count, parts.Count);
        Assert.Equal((double)report["mass"]!, parts.Sum(p => double.Parse((string)p.mass_kg,
            System.Globalization.CultureInfo.InvariantCulture)), 2);
        Assert.Equal(report["holes"]!.AsArray().Count, Rows("holes.csv").Count);
        Assert.Equal(report["steps"]!.AsArray().Count, Rows("steps.csv").Count);
        Assert.Equal(report["cuts"]!.AsArray().Sum(c => c!["plan"]!["bars"]!.AsArray().Sum(b => b!["pieces"]!.AsArray().Count)),
            Rows("cuts.csv").Count);
        Assert.Contains("<svg", File.ReadAllText(Directory.GetFiles(lists, "base-plate.svg").Single()));
        Assert.StartsWith("0\r\nSECTION", File.ReadAllText(Directory.GetFiles(lists, "base-plate.dxf").Single()));
        foreach (var printed in new[] { "plan.pdf", "templates.pdf", "measuring.pdf" })
            Assert.StartsWith("%PDF", File.ReadAllText(Path.Combine(lists, printed)));
        Assert.Equal(84 + 50 * BitConverter.ToInt32(File.ReadAllBytes(Directory.GetFiles(lists, "base-plate.stl").Single()), 80),
            new FileInfo(Directory.GetFiles(lists, "base-plate.stl").Single()).Length);
        Assert.Equal(0, Run(null, "make", rig, "--out", lists, "--paper", "letter", "--units", "inch").Code);
        Assert.Equal(2, Run(null, "make", rig, "--out", lists, "--paper", "a9").Code);
        Assert.Equal(2, Run(null, "make", rig, "--units", "furlongs").Code);
        Assert.Equal(2, Run(null, "make").Code);
        Assert.Equal(2, Run(null, "make", rig, rig, "--out", lists).Code);
        Assert.Equal(2, Run(null, "make", rig, "--out").Code);
        Assert.Equal(1, Run(null, "make", Save("no.json", "{}")).Code);
    }

    [Fact]
    public void ModelAndSolveGoRound()
    {
        var model = Run(Host.DemoDocument(1), "model", "-").Output;
        var solved = Run(model, "solve", "-");
        Assert.Equal(0, solved.Code);
        var (a, b) = (JsonNode.Parse(model)!, JsonNode.Parse(solved.Output)!);
        for (var i = 0; i < 4; i++)
            Assert.Equal((double)a["modes"]![i]!["frequency"]!, (double)b["modes"]![i]!["frequency"]!, 5e-7);
        // Edited outside: half the stiffness of everything that bends sinks further.
        foreach (var m in a["members"]!.AsArray())
            m!["E"] = (double)m["E"]! / 2;
        var softer = JsonNode.Parse(Run(a.ToJsonString(), "solve", "-").Output)!;
        Assert.True((double)softer["modes"]![0]!["frequency"]! < (double)b["modes"]![0]!["frequency"]!);
    }

    [Fact]
    public void SeveralFilesAreSolvedInOneStartALineEach()
    {
        var model = Save("m.json", StrictJson.Write(RigModelDocument.Of(DemoFilm.Rigs[0].Document, Catalogue.Shipped)));
        var (code, output, error) = Run(null, "solve", model, Save("bad.json", """{"nodes":[{"id":"a","x":0,"y":0}]}"""), model);
        Assert.Equal(1, code);
        var lines = output.Split('\n', StringSplitOptions.RemoveEmptyEntries);
        Assert.Equal(2, lines.Length);
        Assert.Equal(lines[0], lines[1]);
        Assert.Contains("bad.json", error);
        Assert.Single(error.Split('\n', StringSplitOptions.RemoveEmptyEntries));
    }

    [Theory]
    [InlineData("assess", "usage")]
    [InlineData("model", "usage")]
    [InlineData("solve", "usage")]
    [InlineData("hang", "usage")]
    public void WithoutAFileTheUsageIsPrinted(string command, string says)
    {
        var (code, _, error) = Run(null, command);
        Assert.Equal(2, code);
        Assert.Contains(says, error);
    }

    [Theory]
    [InlineData("no-such-file.json", "cannot be opened")]
    [InlineData("-", "tethers[0].slack")]
    public void WhatCannotBeReadIsOneLine(string file, string says)
    {
        var (code, output, error) = Run(System.Text.RegularExpressions.Regex.Replace(Host.DemoDocument(0), "\"slack\":[0-9.]+",
            "\"slack\":\"long\""), "assess", file);
        Assert.Equal(1, code);
        Assert.Equal("", output);
        Assert.Contains(says, Assert.Single(error.Split('\n', StringSplitOptions.RemoveEmptyEntries)));
    }
}
