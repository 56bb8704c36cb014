using System.Text.RegularExpressions;

namespace Ochema.Core.Tests.Practice;

/// <summary>
/// A room of Core uses only rooms that stand below it (docs/contributing.md). Who uses whom is read from the sources.
/// </summary>
public sealed partial class RoomOrderTests
{
    /// <summary>From the bottom up.</summary>
    private static readonly string[] Order =
    [
        "Json", "Quantities", "Stock", "Structure", "Loads", "Responses", "Hosts", "Joints",
        "Rigs", "Checks", "Kinds", "Analysis", "Sharpness", "Assessment", "Search", "Making", "Proving",
    ];

    [Fact]
    public void RoomsUseOnlyWhatStandsBelowThem()
    {
        var top = Path.Combine(Root(), "src/Ochema.Core");
        var wrong = new List<string>();
        var rooms = Directory.GetDirectories(top).Select(d => Path.GetFileName(d)!).Where(d => d is not ("bin" or "obj")).ToList();
        Assert.Equal(rooms.Order(), Order.Order());
        // Nothing lies outside the rooms.
        Assert.Empty(Directory.GetFiles(top, "*.cs"));
        foreach (var room in rooms)
            foreach (var file in Directory.GetFiles(Path.Combine(top, room), "*.cs", SearchOption.AllDirectories))
            {
                // Usings are needed ones (the build says so else); names may also be reached by their room.
                var text = Comment().Replace(File.ReadAllText(file), "");
                foreach (var used in Using().Matches(text).Select(m => m.Groups[1].Value).Concat(Reached().Matches(text).Select(m =>
                    m.Groups[1].Value)).Distinct())
                    if (Array.IndexOf(Order, used) > Array.IndexOf(Order, room))
                        wrong.Add($"{room} uses {used}: {Path.GetFileNameWithoutExtension(file)}");
            }
        Assert.Empty(wrong);
    }

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

    [GeneratedRegex(@"^using (?:static )?Ochema\.Core\.(\w+)", RegexOptions.Multiline)]
    private static partial Regex Using();

    [GeneratedRegex(@"\bKinds\.(Bases|Reaches|Isolators|Heads|Holds|Braces|Cameras|Lines)\b")]
    private static partial Regex KindNamed();

    [GeneratedRegex(@"(?<![\w.])(Json|Quantities|Stock|Structure|Loads|Responses|Hosts|Joints|"
        + "Rigs|Checks|Kinds|Analysis|Sharpness|Assessment|Search|Making|Proving)" + @"\.(?:[A-Z]\w*\.)?[A-Z]\w*")]
    private static partial Regex Reached();
}
