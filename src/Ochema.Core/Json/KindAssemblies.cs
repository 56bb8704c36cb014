using System.Reflection;

namespace Ochema.Core.Json;

/// <summary>Marks an assembly of its own that brings kinds and hosts along: to add one is to add a file there too.</summary>
[AttributeUsage(AttributeTargets.Assembly)]
public sealed class BringsKindsAttribute : Attribute;

/// <summary>Where kinds and hosts are found: this assembly, and those loaded that say that they bring some.</summary>
internal static class KindAssemblies
{
    /// <summary>Every type in them; looked up once, when the first kind is asked for.</summary>
    public static IReadOnlyList<Type> Types { get; } =
        [.. AppDomain.CurrentDomain.GetAssemblies().Where(a => a.IsDefined(typeof(BringsKindsAttribute)))
            .Prepend(typeof(KindAssemblies).Assembly).SelectMany(a => a.GetTypes())];
}
