using System.Reflection;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>A recipe's file: what people want to know before they choose it, and the rig to start from.</summary>
/// <param name="Good">What it is good at.</param>
/// <param name="Bad">What it is bad at.</param>
/// <param name="Minutes">Usual time to fit it on the host, made already (judgement).</param>
/// <param name="Measure">What has to be measured on the host, in order.</param>
/// <param name="Document">Sensible measurements for every station.</param>
public sealed record RecipeFile(string Good, string Bad, int Minutes, IReadOnlyList<string> Measure, RigDocument Document);

/// <summary>A ready choice for every station to start from.</summary>
/// <param name="Group">Where it is, with the others there: "On a car".</param>
public sealed record Recipe(string Id, string Name, string Group, string Good, string Bad, int Minutes, IReadOnlyList<string> Measure,
    RigDocument Document);

/// <summary>The recipes that ship, from embedded documents.</summary>
public static class RecipeLibrary
{
    public static IReadOnlyList<Recipe> All { get; } = Load();

    private static List<Recipe> Load()
    {
        const string prefix = "Ochema.Core.Rigs.Recipes.";
        var assembly = Assembly.GetExecutingAssembly();
        var list = new List<Recipe>();
        foreach (var name in assembly.GetManifestResourceNames().Where(n => n.StartsWith(prefix, StringComparison.Ordinal)).OrderBy(n => int.Parse(n[prefix.Length..n.IndexOf('-', prefix.Length)])))
        {
            using var reader = new StreamReader(assembly.GetManifestResourceStream(name)!);
            var file = StrictJson.Read<RecipeFile>(reader.ReadToEnd());
            RigReader.Check(file.Document, Catalogue.Shipped);
            var id = name[prefix.Length..^".json".Length];
            list.Add(new Recipe(id[(id.IndexOf('-', StringComparison.Ordinal) + 1)..], file.Document.Name,
                HostLibrary.Find(file.Document.Host)!.Whereabouts, file.Good, file.Bad, file.Minutes, file.Measure, file.Document));
        }
        return list;
    }
}
