using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Ochema.Core.Analysis;
using Ochema.Core.Json;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Golden;

/// <summary>
/// Report and model of every recipe and demo rig as they were when they were last looked at, a text file each beside this one: a change of
/// the house must not move a number. A change that shall is a commit of its own, with the files written anew by <c>OCHEMA_GOLDEN=write</c>
/// and read in the diff.
/// </summary>
public sealed partial class GoldenTests
{
    /// <summary>Limit speeds are bracketed to a ten-thousandth.</summary>
    private const double Tolerance = 2e-4;

    /// <summary>Parts of a report that are long and follow from the others, or are the host's alone.</summary>
    private static readonly HashSet<string> Left = ["options", "places", "displacements", "arrows", "document", "formula",
        "method", "notCovered"];

    public static TheoryData<string> Rigs => RigFiles.Names;

    [Theory, MemberData(nameof(Rigs))]
    public void ReportAndModelAreAsTheyWere(string name)
    {
        var now = Written(RigFiles.Named(name));
        var file = Path.Combine(Folder(), name + ".txt");
        if (Environment.GetEnvironmentVariable("OCHEMA_GOLDEN") == "write")
            File.WriteAllLines(file, now);
        var then = File.ReadAllLines(file);
        var differ = then.Zip(now).Where(p => !Same(p.First, p.Second)).Select(p => $"- {p.First}\n+ {p.Second}").ToList();
        Assert.True(differ.Count == 0, $"{differ.Count} lines of {name} differ:\n{string.Join('\n', differ.Take(6))}");
        Assert.Equal(then.Length, now.Count);
    }

    private static string Folder([CallerFilePath] string here = "") => Path.GetDirectoryName(here)!;

    private static List<string> Written(Core.Rigs.RigDocument rig)
    {
        var lines = new List<string>();
        void Add(string section, object? value)
        {
            if (JsonNode.Parse(StrictJson.Write(value)) is not JsonObject all)
                return;
            foreach (var (key, node) in all)
                if (Left.Contains(key))
                    continue;
                else if (key == "figure")
                    lines.Add($"{section}.{key} {Sum(node)}");
                else if (key == "cases")
                    lines.AddRange(node!.AsArray().Select(n => $"{section}.{key} {n!["id"]} {Sum(n)}"));
                else if (node is JsonArray list && list.Any(n => n is JsonObject))
                    // By their names: equals of a symmetrical rig have no order of their own.
                    lines.AddRange(list.Select(n => $"{section}.{key} {Text(n)}").Order(StringComparer.Ordinal));
                else
                    lines.Add($"{section}.{key} {Text(node)}");
        }
        // Nothing but what was entered is written into a document.
        lines.Add("document " + Text(JsonNode.Parse(StrictJson.Write(rig))));
        Add("report", Adviser.Assess(rig, Catalogue.Shipped));
        // Parts of the model; its results are the report's.
        var model = RigModelDocument.Of(rig, Catalogue.Shipped);
        Add("model", model with { Cases = [.. model.Cases.Select(c => c with { Result = null })] });
        return lines;
    }

    /// <summary>A node on one line: names and rounded numbers.</summary>
    private static string Text(JsonNode? node) => node switch
    {
        JsonObject o when o["symbol"] is { } symbol => $"{symbol}={Text(o["value"])}",
        JsonObject o => "{" + string.Join(' ', o.Where(p => !Left.Contains(p.Key)).Select(p => $"{p.Key}={Text(p.Value)}")) + "}",
        JsonArray a => "[" + string.Join(' ', a.Select(Text)) + "]",
        JsonValue v when v.TryGetValue<double>(out var d) => Rounded(d),
        JsonValue v when v.TryGetValue<string>(out var s) => Quantity().Replace(s, m => "{" + m.Groups[1].Value + ":"
            + Rounded(double.Parse(m.Groups[2].Value, CultureInfo.InvariantCulture)) + "}"),
        null => "null",
        _ => node.ToJsonString(),
    };

    private static string Rounded(double d) => Math.Abs(d) < 1e-9 ? "0" : d.ToString("G6", CultureInfo.InvariantCulture);

    /// <summary>A drawing by how much there is of it and where.</summary>
    private static string Sum(JsonNode? node)
    {
        var (count, sum) = (0, 0.0);
        void Walk(JsonNode? n)
        {
            if (n is JsonObject o)
                foreach (var (_, v) in o)
                    Walk(v);
            else if (n is JsonArray a)
                foreach (var v in a)
                    Walk(v);
            else if (n is JsonValue v && v.TryGetValue<double>(out var d))
                (count, sum) = (count + 1, sum + Math.Abs(d));
        }
        Walk(node);
        return $"{count} numbers, {Rounded(sum)}";
    }

    /// <summary>The same words, and numbers that differ by rounding only.</summary>
    private static bool Same(string then, string now)
    {
        if (then == now)
            return true;
        var (a, b) = (Number().Matches(then), Number().Matches(now));
        return a.Count == b.Count && Number().Replace(then, "#") == Number().Replace(now, "#")
            && a.Zip(b).All(p => p.First.Value == p.Second.Value || Close(double.Parse(p.First.Value, CultureInfo.InvariantCulture),
                double.Parse(p.Second.Value, CultureInfo.InvariantCulture)));
        static bool Close(double x, double y) => Math.Abs(x - y) <= Tolerance * Math.Max(Math.Abs(x), Math.Abs(y)) + 1e-7;
    }

    [GeneratedRegex(@"-?\d+(\.\d+)?([eE][-+]?\d+)?")]
    private static partial Regex Number();

    [GeneratedRegex(@"\{([a-z]+):([-+0-9.eE]+)\}")]
    private static partial Regex Quantity();
}
