using System.Reflection;
using System.Text.Json.Serialization.Metadata;

namespace Ochema.Core.Json;

/// <summary>All kinds, found by reflection once.</summary>
public static class KindRegistry
{
    /// <summary>The stations a kind can belong to, in the order of the chain.</summary>
    public static IReadOnlyList<(string Station, Type Type)> Families { get; } =
        [.. KindAssemblies.Types.Select(t => (Type: t, Family: t.GetCustomAttribute<FamilyAttribute>(inherit: false)))
            .Where(t => t.Family is not null).OrderBy(t => t.Family!.Order).Select(t => (t.Family!.Station, t.Type))];

    private static readonly Dictionary<Type, IReadOnlyList<Type>> ByFamily = Families.ToDictionary(
        f => f.Type,
        f => (IReadOnlyList<Type>)[.. KindAssemblies.Types.Where(t => !t.IsAbstract
            && t.IsSubclassOf(f.Type)).OrderBy(t => Kind.InfoOf(t).Id, StringComparer.Ordinal)]);

    /// <summary>The kinds of a family, by id.</summary>
    public static IReadOnlyList<Type> Of(Type family) => ByFamily[family];

    /// <summary>One of each kind of a family as it is before anything is chosen, by id.</summary>
    public static IEnumerable<T> Fresh<T>() where T : Kind => Of(typeof(T)).Select(t => (T)Activator.CreateInstance(t)!);

    /// <summary>Lets documents name kinds by id.</summary>
    public static void AddToJson(JsonTypeInfo type)
    {
        if (!ByFamily.TryGetValue(type.Type, out var kinds))
            return;
        var options = new JsonPolymorphismOptions
        {
            TypeDiscriminatorPropertyName = "kind",
            UnknownDerivedTypeHandling = System.Text.Json.Serialization.JsonUnknownDerivedTypeHandling.FailSerialization,
        };
        foreach (var k in kinds)
            options.DerivedTypes.Add(new(k, Kind.InfoOf(k).Id));
        type.PolymorphismOptions = options;
    }
}
