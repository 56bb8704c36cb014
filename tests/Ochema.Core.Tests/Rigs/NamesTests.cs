using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Braces;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>Names that a user gives: what goes by one in the model is theirs alone, or the name is refused where it stands.</summary>
public sealed class NamesTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void AStrapByAnyNameOfTheModelIsItsOwnOrRefused(string name)
    {
        var rig = RigFiles.Named(name);
        var before = RigAssembly.Build(rig, Stock);
        var anchor = before.Host.Anchors[0].Id;
        // Names that stand in a document: letters, digits, dashes.
        foreach (var id in before.Model.Springs.Select(s => s.Id).Concat(before.Model.Members.Select(m => m.Id)).Concat(before.Model.Nodes.Select(n => n.Id))
            .Where(i => i.All(c => char.IsAsciiLetterOrDigit(c) || c == '-') && i.Length <= 40).Distinct().Except(rig.Straps.Select(s => s.Id)))
        {
            var more = rig with { Straps = [.. rig.Straps, new Strap { Id = id, Stock = "cam-25", From = RigPoint.BaseTop, To = new AnchorEnd(anchor, 0.5) }] };
            try
            {
                RigReader.Check(more, Stock);
                var b = RigAssembly.Build(more, Stock);
                Assert.True(b.Model.Lines.Count(l => l.Id == id) == 1 || b.Findings.Any(f => f.Station == "strap:" + id), $"{name}: {id}");
                Assert.DoesNotContain(b.Model.Springs, s => s.Id == id);
            }
            catch (DocumentException e)
            {
                Assert.Contains("straps", e.Path);
            }
        }
    }

    [Fact] // a foot must not go by the name of a magnet of the base: taken away, it would be the magnet that goes
    public void AStrutIsNotCalledAsAMagnetOfTheBase()
    {
        var rig = RigFiles.Named("bar-magnets");
        var strut = new Strut { Id = "left-magnet", Site = rig.Site.Id, At = [0.02, 0] };
        var e = Assert.Throws<DocumentException>(() => RigAssembly.Build(rig with { Braces = [strut] }, Stock));
        Assert.Equal("braces[0].id", e.Path);
    }
}
