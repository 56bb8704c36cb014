using System.Runtime.CompilerServices;
using System.Text.RegularExpressions;

namespace Ochema.Core.Tests.Practice;

/// <summary>
/// Nothing is decided by spelling: no beginning, end or part of an id or a display name says what a thing is. Read from the sources; what
/// takes texts apart because texts are its job is named here with the reason.
/// </summary>
public sealed partial class NothingBySpellingTests
{
    private static readonly Dictionary<string, string> Allowed = new()
    {
        ["Assessment/Design.cs"] = "a force in its parts, no text",
        ["Json/StrictJson.cs"] = "messages of the reader in words",
        ["Quantities/QuantityParser.cs"] = "quantities as typed",
        ["Quantities/Words.cs"] = "articles and prepositions",
        ["Quantities/Drills.cs"] = "names of drills as typed",
        ["Proving/AccelerometerLog.cs"] = "headers of foreign files",
        ["Loads/MotionProfile.cs"] = "articles",
        ["Making/TemplateFiles.cs"] = "names of files",
        ["Making/BuildPlan.cs"] = "a caution that begins like another is said once",
        ["Making/Wraps.cs"] = "a name without its sizes, as a title",
        ["Joints/LayerIds.cs"] = "makes ids of names, decides nothing",
        ["Rigs/Building/RigPart.cs"] = "a name without its sizes, as a title",
        ["Rigs/Document/DocumentPath.cs"] = "the grammar of paths",
        ["Rigs/Document/Taken.cs"] = "the last name of a path",
        ["Rigs/Document/RecipeLibrary.cs"] = "names of embedded files",
        ["Rigs/Document/OwnStockReader.cs"] = "own ids keep clear of shipped ones",
        ["Rigs/Document/KindDescriptors.cs"] = "lists that attributes carry",
        ["Rigs/Document/MeasureReader.cs"] = "lists that attributes carry",
        ["Rigs/Document/Relocation.cs"] = "lists that attributes carry",
        ["Rigs/Document/Upgrades.cs"] = "places as earlier schemas called them",
        ["Rigs/Document/RigReader.cs"] = "lists that attributes carry",
        ["Stock/Glue.cs"] = "pairs of a glue, a list of words",
    };

    [Fact]
    public void NoTextIsTakenApartToDecideWhatAThingIs()
    {
        var core = Path.GetFullPath(Path.Combine(Here(), "../../../src/Ochema.Core"));
        var found = new HashSet<string>();
        var wrong = new List<string>();
        foreach (var file in Directory.EnumerateFiles(core, "*.cs", SearchOption.AllDirectories))
        {
            var name = Path.GetRelativePath(core, file).Replace('\\', '/');
            if (name.StartsWith("obj/", StringComparison.Ordinal) || name.StartsWith("bin/", StringComparison.Ordinal))
                continue;
            foreach (var (line, n) in File.ReadLines(file).Select((l, n) => (l, n + 1)))
                if (Apart().IsMatch(line))
                {
                    found.Add(name);
                    if (!Allowed.ContainsKey(name))
                        wrong.Add($"{name}:{n}: {line.Trim()}");
                }
        }
        Assert.True(wrong.Count == 0, string.Join('\n', wrong));
        Assert.Equal([], Allowed.Keys.Except(found));
    }

    private static string Here([CallerFilePath] string here = "") => Path.GetDirectoryName(here)!;

    [GeneratedRegex(@"\.(StartsWith|EndsWith|Split)\(|\.Contains\(""")]
    private static partial Regex Apart();
}
