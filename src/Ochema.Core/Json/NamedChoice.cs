using System.Collections.Frozen;
using System.Text.Json;
using System.Text.Json.Serialization;

namespace Ochema.Core.Json;

/// <summary>One of several named things without values of their own, a file each; documents carry the name. Two of one type are
/// equal.</summary>
public abstract record NamedChoice
{
    /// <summary>Name in documents.</summary>
    public abstract string Id { get; }
}

/// <summary>All choices of a base type, found by reflection once.</summary>
public static class NamedChoices
{
    private static readonly FrozenDictionary<string, IReadOnlyList<NamedChoice>> ByType = KindAssemblies.Types
        .Where(t => t.IsSubclassOf(typeof(NamedChoice)) && !t.IsAbstract).GroupBy(t => Family(t).FullName!)
        .ToFrozenDictionary(g => g.Key, g => (IReadOnlyList<NamedChoice>)
            [.. g.Select(t => (NamedChoice)Activator.CreateInstance(t)!).OrderBy(c => c.Id, StringComparer.Ordinal)]);

    /// <summary>The type that its like are looked up by, however far it derives from it.</summary>
    private static Type Family(Type type) => type.BaseType == typeof(NamedChoice) ? type : Family(type.BaseType!);

    /// <summary>All of a base type, by name.</summary>
    public static IEnumerable<T> Of<T>() where T : NamedChoice => ByType[typeof(T).FullName!].Cast<T>();

    /// <summary>The names that a document may have where a type stands; null where that is none of these.</summary>
    public static IEnumerable<string>? Names(string typeName) => ByType.GetValueOrDefault(typeName)?.Select(c => c.Id);
}

/// <summary>Reads and writes a choice as its name.</summary>
public sealed class NamedChoiceConverter<T> : JsonConverter<T> where T : NamedChoice
{
    private static readonly FrozenDictionary<string, T> ById = NamedChoices.Of<T>().ToFrozenDictionary(c => c.Id, StringComparer.Ordinal);

    public override T Read(ref Utf8JsonReader reader, Type typeToConvert, JsonSerializerOptions options) =>
        reader.TokenType == JsonTokenType.String && ById.TryGetValue(reader.GetString()!, out var found) ? found
            : throw new JsonException();

    public override void Write(Utf8JsonWriter writer, T value, JsonSerializerOptions options) => writer.WriteStringValue(value.Id);
}
