using System.Collections.Frozen;
using System.Reflection;
using System.Text.Json.Serialization;
using System.Text.Json.Serialization.Metadata;
using Ochema.Core.Hosts;

namespace Ochema.Core.Rigs;

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
    /// A drawing of where to measure, in a box of 120 × 70: <c>host y; rect x y w h; circle x y r; line x1 y1 x2 y2; dim field x1 y1 x2 y2</c>,
    /// the field named as in documents.
    /// </summary>
    public string Sketch { get; init; } = "";
}

/// <summary>Any kind of any station.</summary>
public abstract record Kind
{
    // Read once: reading an attribute makes a new one, and costs more than most checks.
    private static readonly FrozenDictionary<Type, KindAttribute> Infos = typeof(Kind).Assembly.GetTypes()
        .Select(t => (Type: t, Info: t.GetCustomAttribute<KindAttribute>())).Where(t => t.Info is not null).ToFrozenDictionary(t => t.Type, t => t.Info!);

    /// <summary>The kind's attribute.</summary>
    public static KindAttribute InfoOf(Type type) => Infos.GetValueOrDefault(type) ?? throw new InvalidOperationException($"{type.Name} carries no [Kind]");
}

/// <summary>How the rig holds on to the panel.</summary>
public abstract record BaseKind : Kind
{
    /// <summary>Builds holds and plate; returns where the reach attaches.</summary>
    public abstract Mount Build(RigBuilder b);

    /// <summary>What it asks of a place.</summary>
    [JsonIgnore]
    public abstract Grip Grip { get; }

    /// <summary>The same with its feet a third further apart, and what that is called; null for what stands on one.</summary>
    internal virtual (string Title, BaseKind Base)? Spread() => null;

    /// <summary>How much further <see cref="Spread"/> goes.</summary>
    internal const double Further = 4.0 / 3;
}

/// <summary>What carries the camera away from the base.</summary>
public abstract record ReachKind : Kind
{
    /// <summary>Builds from the base's mount; returns where the head attaches.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);

    /// <summary>True for what reaches so far that power lines have to be asked about.</summary>
    [JsonIgnore]
    public virtual bool MayTouchLines => false;
}

/// <summary>What keeps shakes from the camera.</summary>
public abstract record IsolatorKind : Kind
{
    /// <summary>Builds from the reach's mount; returns where the head attaches.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);
}

/// <summary>What turns a camera on its head, as shares of power.</summary>
/// <param name="Turning">Of its seat's turning.</param>
/// <param name="Shaking">Turning for its seat's acceleration across the axis, (rad ÷ (m/s²))².</param>
internal readonly record struct HeadPasses(double Turning, double Shaking);

/// <summary>What the camera stands on.</summary>
public abstract record HeadKind : Kind
{
    /// <summary>Builds from the reach's mount; returns the camera's seat.</summary>
    public abstract Mount Build(RigBuilder b, Mount from);

    /// <summary>What keeps the camera on it.</summary>
    [JsonIgnore]
    public virtual IReadOnlyList<string> Keeps => ["its screw"];

    /// <summary>True for one whose own screw goes into the camera.</summary>
    [JsonIgnore]
    public virtual bool ScrewsIn => true;

    /// <summary>Catalogue id of what it is.</summary>
    internal abstract string Row { get; }

    /// <summary>What of its seat's movement turns the camera at a frequency, Hz; rigid heads pass all turning on and add none.</summary>
    internal virtual HeadPasses Passes(double frequency) => new(1, 0);
}

/// <summary>A strut from the load path back to the host.</summary>
public abstract record BraceKind : Kind
{
    /// <summary>Unique within the rig.</summary>
    public required string Id { get; init; }

    public abstract void Build(RigBuilder b);

    /// <summary>Where on the host its foot stands; null for what stands on no site.</summary>
    [JsonIgnore]
    public virtual Footing? Footing => null;
}

/// <summary>The place of a foot.</summary>
/// <param name="Site">Id of the host's site.</param>
/// <param name="At">Place on it, m.</param>
/// <param name="Grip">What the foot asks of it.</param>
public sealed record Footing(string Site, double[] At, Grip Grip);

/// <summary>One hold on a panel: of a base, or the foot of a brace.</summary>
public abstract record HoldKind : Kind
{
    /// <summary>Adds the hold's spring, body and checks at a place.</summary>
    public abstract Hold Build(RigBuilder b, HoldSpot spot);

    /// <summary>What it asks of a place.</summary>
    [JsonIgnore]
    public abstract Grip Grip { get; }

    /// <summary>Outside diameter on the panel, m.</summary>
    public abstract double Diameter(Stock.Catalogue stock);

    /// <summary>The same hold in the next larger size on the shelf, or null.</summary>
    public abstract HoldKind? Larger(Stock.Catalogue stock);
}

/// <summary>All kinds, found by reflection once.</summary>
public static class KindRegistry
{
    /// <summary>The stations a kind can belong to, in the order of the chain.</summary>
    public static IReadOnlyList<(string Station, Type Type)> Families { get; } =
    [
        ("base", typeof(BaseKind)),
        ("reach", typeof(ReachKind)),
        ("isolator", typeof(IsolatorKind)),
        ("head", typeof(HeadKind)),
        ("brace", typeof(BraceKind)),
        ("hold", typeof(HoldKind)),
    ];

    private static readonly Dictionary<Type, IReadOnlyList<Type>> ByFamily = Families.ToDictionary(
        f => f.Type,
        f => (IReadOnlyList<Type>)[.. typeof(KindRegistry).Assembly.GetTypes().Where(t => !t.IsAbstract && t.IsSubclassOf(f.Type)).OrderBy(t => Kind.InfoOf(t).Id, StringComparer.Ordinal)]);

    /// <summary>The kinds of a family, by id.</summary>
    public static IReadOnlyList<Type> Of(Type family) => ByFamily[family];

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
