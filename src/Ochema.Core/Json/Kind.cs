using System.Collections.Frozen;
using System.Reflection;

namespace Ochema.Core.Json;

/// <summary>What a kind is called. To add a kind is to add a file with a record that carries this.</summary>
/// <param name="id">Name in documents.</param>
/// <param name="label">Name for people.</param>
/// <param name="about">What it is good and bad at, one sentence.</param>
[AttributeUsage(AttributeTargets.Class)]
public sealed class KindAttribute(string id, string label, string about) : Attribute
{
    public string Id { get; } = id;
    public string Label { get; } = label;
    public string About { get; } = about;

    /// <summary>A short caution shown where the kind is chosen; empty when there is none.</summary>
    public string Caution { get; init; } = "";

    /// <summary>
    /// A drawing of where to measure, in a box of 120 × 70: <c>host y; rect x y w h; circle x y r; line x1 y1 x2 y2; dim field x1 y1 x2
    /// y2</c>, the field named as in documents.
    /// </summary>
    public string Sketch { get; init; } = "";
}

/// <summary>The station that the kinds derived from this belong to.</summary>
/// <param name="station">Name in documents.</param>
/// <param name="order">Place among the families, in the order of the chain.</param>
[AttributeUsage(AttributeTargets.Class, Inherited = false)]
public sealed class FamilyAttribute(string station, int order) : Attribute
{
    public string Station { get; } = station;
    public int Order { get; } = order;
}

/// <summary>Any kind of any station.</summary>
public abstract record Kind
{
    // Read once: reading an attribute makes a new one, and costs more than most checks.
    private static readonly FrozenDictionary<Type, KindAttribute> Infos = KindAssemblies.Types
        .Select(t => (Type: t, Info: t.GetCustomAttribute<KindAttribute>())).Where(t => t.Info is not null)
            .ToFrozenDictionary(t => t.Type, t => t.Info!);

    /// <summary>The kind's attribute.</summary>
    public static KindAttribute InfoOf(Type type) => Infos.GetValueOrDefault(type)
        ?? throw new InvalidOperationException($"{type.Name} carries no [Kind]");
}
