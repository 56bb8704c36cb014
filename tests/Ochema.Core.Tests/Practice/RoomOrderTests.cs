using System.Text.RegularExpressions;
using Mono.Cecil;

namespace Ochema.Core.Tests.Practice;

/// <summary>
/// A room of Core uses only rooms that stand below it (docs/contributing.md). Who uses whom is read from the compiled assembly.
/// </summary>
public sealed partial class RoomOrderTests
{
    /// <summary>From the bottom up.</summary>
    private static readonly string[] Order =
    [
        "Json", "Quantities", "Stock", "Structure", "Loads", "Responses", "Hosts", "Joints",
        "Rigs", "Checks", "Kinds", "Analysis", "Sharpness", "Assessment", "Search", "Making", "Proving", "Running",
    ];

    [Fact]
    public void RoomsUseOnlyWhatStandsBelowThem()
    {
        using var core = Compiled();
        var rooms = core.MainModule.Types.Select(RoomOf).OfType<string>().Distinct().Order();
        Assert.Equal(Order.Order(), rooms);
        Assert.Empty(
            from type in core.MainModule.GetTypes()
            let room = RoomOf(type)
            where room is not null
            from used in NamedBy(type).Select(RoomOf).OfType<string>().Distinct()
            where Array.IndexOf(Order, used) > Array.IndexOf(Order, room)
            select $"{room} uses {used}: {type.FullName}");
    }

    [Fact] // described, built, judged: what looks at a rig sees it as built
    public void ARigIsCollectedWhereItIsBuiltAndLookedAtAsBuilt()
    {
        using var core = Compiled();
        Assert.Empty(
            from type in core.MainModule.GetTypes()
            where RoomOf(type) is "Analysis" or "Sharpness" or "Assessment" or "Search" or "Making" or "Proving" or "Running"
            where NamedBy(type).Any(t => t.Name == nameof(Core.Rigs.RigBuilder))
            select type.FullName);
        // Nothing can be set on it.
        Assert.Empty(typeof(Core.Rigs.BuiltRig).GetProperties(All).Where(p => p.SetMethod is not null).Select(p => p.Name));
        Assert.Empty(typeof(Core.Rigs.BuiltRig).GetFields(All).Where(f => !f.IsInitOnly).Select(f => f.Name));
    }

    private const System.Reflection.BindingFlags All =
        System.Reflection.BindingFlags.Instance | System.Reflection.BindingFlags.Public | System.Reflection.BindingFlags.NonPublic;

    private static AssemblyDefinition Compiled() => AssemblyDefinition.ReadAssembly(typeof(Core.Rigs.BuiltRig).Assembly.Location);

    /// <summary>The room of a type; null for what is none of Core's. Nested types are in the room of what they are in.</summary>
    private static string? RoomOf(TypeReference type)
    {
        while (type.DeclaringType is { } outer)
            type = outer;
        const string core = "Ochema.Core.";
        return type.Namespace.StartsWith(core, StringComparison.Ordinal) ? type.Namespace[core.Length..].Split('.')[0] : null;
    }

    /// <summary>All types that a type names: what it is, has, takes and gives, and what its code does.</summary>
    private static IEnumerable<TypeReference> NamedBy(TypeDefinition type)
    {
        var named = new List<TypeReference?> { type.BaseType };
        named.AddRange(type.Interfaces.Select(i => i.InterfaceType));
        named.AddRange(type.CustomAttributes.Select(a => a.AttributeType));
        named.AddRange(type.Fields.Select(f => f.FieldType));
        named.AddRange(type.GenericParameters.SelectMany(g => g.Constraints).Select(c => c.ConstraintType));
        foreach (var method in type.Methods)
        {
            named.Add(method.ReturnType);
            named.AddRange(method.Parameters.Select(p => p.ParameterType));
            if (!method.HasBody)
                continue;
            named.AddRange(method.Body.Variables.Select(v => v.VariableType));
            foreach (var operand in method.Body.Instructions.Select(i => i.Operand))
                switch (operand)
                {
                    case TypeReference of:
                        named.Add(of);
                        break;
                    case MethodReference call:
                        named.Add(call.DeclaringType);
                        named.Add(call.ReturnType);
                        named.AddRange(call.Parameters.Select(p => p.ParameterType));
                        named.AddRange((call as GenericInstanceMethod)?.GenericArguments ?? []);
                        break;
                    case FieldReference field:
                        named.Add(field.DeclaringType);
                        named.Add(field.FieldType);
                        break;
                }
        }
        return named.OfType<TypeReference>().SelectMany(Parts);
    }

    /// <summary>A list of a type names that type as well.</summary>
    private static IEnumerable<TypeReference> Parts(TypeReference type) => type switch
    {
        GenericInstanceType of => [of.ElementType, .. of.GenericArguments.SelectMany(Parts)],
        TypeSpecification of => Parts(of.ElementType),
        _ => [type],
    };

    [Fact]
    public void KindsAreNamedInTheirOwnRoomOnly()
    {
        var top = Path.Combine(Root(), "src");
        var naming = Directory.GetFiles(top, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal) && !f.Contains("/Ochema.Core/Kinds/", StringComparison.Ordinal))
            .Where(f => KindNamed().IsMatch(Comment().Replace(File.ReadAllText(f), ""))).Select(f =>
                Path.GetFileNameWithoutExtension(f)).Order(StringComparer.Ordinal);
        Assert.Empty(naming);
    }

    [Fact] // an own row counts wherever a shipped one does: whoever computes is given the shelf
    public void TheShippedCatalogueIsReachedFromOutsideOnly()
    {
        var core = Path.Combine(Root(), "src/Ochema.Core");
        Assert.Equal(["RecipeLibrary"], Directory.GetFiles(core, "*.cs", SearchOption.AllDirectories)
            .Where(f => !f.Contains("/obj/", StringComparison.Ordinal)
                && Comment().Replace(File.ReadAllText(f), "").Contains("Catalogue.Shipped", StringComparison.Ordinal))
            .Select(f => Path.GetFileNameWithoutExtension(f)));
    }

    private static string Root()
    {
        var at = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(at, "Ochema.slnx")))
            at = Path.GetDirectoryName(at)!;
        return at;
    }

    [GeneratedRegex(@"//[^\n]*")]
    private static partial Regex Comment();

    [GeneratedRegex(@"\bKinds\.(Bases|Reaches|Isolators|Heads|Holds|Braces|Cameras|Lines)\b")]
    private static partial Regex KindNamed();
}
