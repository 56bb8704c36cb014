using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>What belonged to the old place goes along, is put anew, or is named.</summary>
public sealed class MovedLinesTests
{
    [Theory]
    [InlineData("cup-and-arm", "small-car", "roof")]
    [InlineData("cup-plate-low-head", "van", "bonnet")]
    [InlineData("magnet-plate-straps", "estate", "bonnet")]
    [InlineData("rail-table", "estate", "roof")]
    [InlineData("cup-and-arm", "skiff", "")]
    [InlineData("sidecar-nose", "estate", "bonnet")]
    [InlineData("gear-rail-boom", "kayak", "")]
    public void LinesKeepSomethingThereOrAreNamed(string name, string host, string site)
    {
        var moved = Moved.To(RigFiles.Named(name), host, site, Catalogue.Shipped);
        var b = RigAssembly.Build(moved.Document, Catalogue.Shipped);
        Assert.All(b.Tethers.Where(t => t.KeepsNothing(b, b.Rig.Run.Speed) is not null), t =>
            Assert.Contains(moved.Lines, l => l.StartsWith(t.Name, StringComparison.Ordinal)));
        if (moved.Document.Straps.Count == 0)
            Assert.Equal(RigFiles.Named(name).Straps.Count > 0, moved.Lines.Any(l => l.StartsWith("Its strap", StringComparison.Ordinal)));
        else
            Assert.Contains(Assessor.Assess(moved.Document, Catalogue.Shipped).LetGo, l => l.Kind == "straps-alone" && l.Verdict
                != Verdict.LetsGo);
    }

    [Fact]
    public void WhereItStaysNothingIsTouched()
    {
        var rig = RigFiles.Named("rail-table");
        var same = Moved.To(rig, rig.Host, rig.Site.Id, Catalogue.Shipped);
        Assert.Empty(same.Lines);
        Assert.Equal(rig.Straps.Select(s => s.To), same.Document.Straps.Select(s => s.To));
    }

    [Fact]
    public void EveryHostTakesEveryRecipesLines() => Assert.All(HostLibrary.All, host =>
        Assert.NotNull(Moved.To(RigFiles.Named("cup-plate-low-head"), host.Id, "", Catalogue.Shipped).Document));
}
