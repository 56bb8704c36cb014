using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Kinds.Braces;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Tests.Rigs;

/// <summary>A rig taken to another place is read there, and takes nothing along that was measured of the old one.</summary>
public class RelocationTests
{
    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static RigDocument Measured()
    {
        var rig = Recipe("magnet-plate-straps");
        var plate = Assert.IsType<HoldPlate>(rig.Base);
        return rig with
        {
            Base = plate with { Hold = Assert.IsType<Magnet>(plate.Hold) with { MeasuredPull = 120 } },
            Straps = [.. rig.Straps.Select(s => s with { AnchorHolds = 900 })],
            Survey = rig.Survey with { },
        };
    }

    [Fact]
    public void EveryRecipeCanGoToEveryHostAndIsReadAndJudgedThere()
    {
        foreach (var recipe in RecipeLibrary.All)
            foreach (var host in HostLibrary.All)
            {
                var moved = Relocation.To(recipe.Document, host.Id, "").Document;
                var back = RigReader.Read(StrictJson.Write(moved), Catalogue.Shipped);
                Assert.Equal(host.Id, back.Host);
                Assert.Contains(host.Sites, s => s.Id == back.Site.Id);
                Assert.All(back.Straps, s => Assert.Contains(host.Anchors, a => a.Id == s.To.Anchor));
                Assert.All(back.Tethers.Where(t => t.To.Anchor is not (AnchorEnd.OnRig or AnchorEnd.OnReach)),
                    t => Assert.Contains(host.Anchors, a => a.Id == t.To.Anchor));
                Assert.All(back.Braces, b => Assert.Contains(host.Sites, s => s.Id == b.Footing!.Site));
                Assert.True(back.Run.Speed <= host.Drive.Top);
                var verdict = new Design(back, Catalogue.Shipped).Whole().Verdict;
                Assert.True(double.IsFinite(verdict.Use) && verdict.Text.Length > 10, recipe.Id + " on " + host.Id);
            }
    }

    [Fact]
    public void WhatWasMeasuredOfThePlaceFallsAwayAndIsNamed()
    {
        var rig = Measured();
        var other = HostLibrary.Find(rig.Host)!.Sites.First(s => s.Id != rig.Site.Id);
        var (moved, again, _) = Relocation.To(rig, rig.Host, other.Id);
        Assert.Null(((Magnet)((HoldPlate)moved.Base).Hold).MeasuredPull);
        Assert.Contains("Pull measured on this panel", again);
        Assert.Equal(other, moved.Site);
        // The straps still end at the same points: what was pulled on there holds.
        Assert.All(moved.Straps, s => Assert.Equal(900, s.AnchorHolds));
        Assert.Equal(rig.Straps.Select(s => s.To), moved.Straps.Select(s => s.To));
    }

    [Fact]
    public void APointOfTheSameNameOnAnotherHostHasNotBeenPulledOn()
    {
        var rig = Measured();
        var other = HostLibrary.All.First(h => h.Id != rig.Host && h.Kind == HostLibrary.Find(rig.Host)!.Kind
            && h.Anchors.Any(a => a.Id == rig.Straps[0].To.Anchor));
        var (moved, again, _) = Relocation.To(rig, other.Id, "");
        Assert.All(moved.Straps, s => Assert.Null(s.AnchorHolds));
        Assert.Contains("What it ends at holds", again);
        Assert.Equal(rig.Site.Id, moved.Site.Id);
    }

    [Fact]
    public void FeetGoAlongStayOrAreLeftAndNamed()
    {
        var rig = Recipe("cup-and-arm-braced");
        var strut = Assert.IsType<Strut>(rig.Braces[0]);
        var car = HostLibrary.Find(rig.Host)!;
        var (mine, elsewhere) = (rig.Site.Id, car.Sites.First(s => s.Id != rig.Site.Id && s.Form == SiteForm.Panel));
        rig = rig with { Braces = [strut with { Id = "along", Site = mine }, strut with { Id = "stays", Site = elsewhere.Id }] };
        var to = car.Sites.First(s => s.Id != mine && s.Id != elsewhere.Id);
        var (moved, _, left) = Relocation.To(rig, rig.Host, to.Id);
        Assert.Equal([("along", to.Id), ("stays", elsewhere.Id)], moved.Braces.Select(b => (b.Id, b.Footing!.Site)));
        Assert.Empty(left);
        var far = HostLibrary.All.First(h => h.Sites.All(s => s.Id != elsewhere.Id));
        (moved, _, left) = Relocation.To(rig, far.Id, "");
        Assert.Equal(["along"], moved.Braces.Select(b => b.Id));
        Assert.Equal(["stays"], left);
    }

    [Fact]
    public void AWrongHostOrPlaceIsRefusedByName()
    {
        var rig = Recipe("cup-and-arm");
        Assert.Equal("host", Assert.Throws<DocumentException>(() => Relocation.To(rig, "barge", "")).Path);
        Assert.Contains("no place 'wing'", Assert.Throws<DocumentException>(() => Relocation.To(rig, rig.Host, "wing")).Message);
    }

    [Fact]
    public void ToItsOwnPlaceOnlyTheMiddleAndTheMeasuresChange()
    {
        foreach (var recipe in RecipeLibrary.All)
        {
            var rig = recipe.Document;
            var moved = Relocation.To(rig, rig.Host, rig.Site.Id).Document;
            Assert.Equal(StrictJson.Write(rig with
            {
                At = [0, 0],
                Survey = new(),
                Site = moved.Site,
                Base = moved.Base,
                Braces = moved.Braces
            }), StrictJson.Write(moved));
        }
    }
}
