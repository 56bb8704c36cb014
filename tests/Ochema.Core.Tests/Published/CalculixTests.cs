using System.Text.Json;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Published;

/// <summary>
/// Frames solved by CalculiX (Debian's calculix-ccx 2.20); results stored by Published/Data/make-calculix.py. Within 1.5 %: CalculiX
/// expands its beams to solids, whose corners are a little stiffer than points.
/// </summary>
public class CalculixTests
{
    private static readonly JsonElement[] Frames = [.. JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory,
        "Published/Data/calculix.json"))).RootElement.EnumerateArray()];

    public static TheoryData<string> Names => [.. Frames.Select(f => f.GetProperty("name").GetString()!)];

    [Theory]
    [MemberData(nameof(Names))]
    public void DisplacementsAndFrequenciesAgree(string name)
    {
        var frame = Frames.First(f => f.GetProperty("name").GetString() == name);
        var solved = ModelSolver.Solve(ModelDocumentReader.Read(frame.GetProperty("model").GetRawText()));
        foreach (var node in frame.GetProperty("calculix").GetProperty("displacements").EnumerateObject())
        {
            var reference = node.Value.EnumerateArray().Select(v => v.GetDouble()).ToArray();
            var most = reference.Max(Math.Abs);
            for (var i = 0; i < 3; i++)
                Assert.True(Math.Abs(solved.Displacement(node.Name)[i] - reference[i]) < 0.015 * most,
                    $"{name}, {node.Name}[{i}]: {solved.Displacement(node.Name)[i]:G5} against {reference[i]:G5}");
        }
        foreach (var f in frame.GetProperty("calculix").GetProperty("frequencies").EnumerateObject())
            Near.Share(f.Value.GetDouble(), solved.Modes![int.Parse(f.Name)].Frequency, 0.01, $"{name}, mode {f.Name}");
    }

    private static readonly JsonElement[] Recipes = [.. JsonDocument.Parse(File.ReadAllText(Path.Combine(AppContext.BaseDirectory,
        "Published/Data/calculix-recipes.json"))).RootElement.EnumerateArray()];

    public static TheoryData<string> RecipeNames => [.. Recipes.Select(f => f.GetProperty("name").GetString()!)];

    [Theory] // Published/Data/make-calculix-recipes.py; half a percent for shear, which our slender beams leave out
    [MemberData(nameof(RecipeNames))]
    public void FrequenciesOfRecipesAgree(string name)
    {
        var recipe = Recipes.First(f => f.GetProperty("name").GetString() == name);
        var solved = ModelSolver.Solve(ModelDocumentReader.Read(recipe.GetProperty("model").GetRawText()));
        var reference = recipe.GetProperty("frequencies").EnumerateArray().Select(f => f.GetDouble()).ToList();
        Assert.Equal(6, reference.Count);
        foreach (var (f, i) in reference.Select((f, i) => (f, i)))
            Near.Share(f, solved.Modes![i].Frequency, 0.005, $"{name}, mode {i + 1}");
    }
}
