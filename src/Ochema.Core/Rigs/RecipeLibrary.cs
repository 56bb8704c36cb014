using System.Reflection;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>A ready choice for every station to start from.</summary>
public sealed record Recipe(string Id, string Name, RigDocument Document);

/// <summary>The recipes that ship, from embedded documents.</summary>
public static class RecipeLibrary
{
    public static IReadOnlyList<Recipe> All { get; } = Load();

    private static List<Recipe> Load()
    {
        const string prefix = "Ochema.Core.Rigs.Recipes.";
        var assembly = Assembly.GetExecutingAssembly();
        var list = new List<Recipe>();
        foreach (var name in assembly.GetManifestResourceNames().Where(n => n.StartsWith(prefix, StringComparison.Ordinal)).Order(StringComparer.Ordinal))
        {
            using var reader = new StreamReader(assembly.GetManifestResourceStream(name)!);
            var rig = RigReader.Read(reader.ReadToEnd(), Catalogue.Shipped);
            var id = name[prefix.Length..^".json".Length];
            list.Add(new Recipe(id[(id.IndexOf('-', StringComparison.Ordinal) + 1)..], rig.Name, rig));
        }
        return list;
    }
}
