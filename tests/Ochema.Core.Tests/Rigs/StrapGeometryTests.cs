using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>Straps by geometry: chosen abeam and opposed, told when they drag, judged at their anchors, drawn along the body.</summary>
public class StrapGeometryTests
{
    private static RigDocument Recipe(string id) => RecipeLibrary.All.First(r => r.Id == id).Document;

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped);

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void ProposedStrapsPressAndOpposeEachOther(string name)
    {
        var rig = RigFiles.Named(name) with { Straps = [] };
        foreach (var (_, _, changed) in Instead.Straps(rig, Catalogue.Shipped))
        {
            var b = RigAssembly.Build(changed, Catalogue.Shipped);
            Assert.All(StrapPull.Runs(b), r => Assert.True(r.Presses > 0 && r.Length < 1.4, $"{name}: {r}"));
            Assert.Empty(StrapPull.Findings(b));
            // They never make a rig let go that held.
            Assert.True(Assessor.Quick(rig, Catalogue.Shipped, false).Use > 1 || Assessor.Quick(changed, Catalogue.Shipped, false).Use <= 1,
                name);
        }
    }

    [Fact]
    public void StrapsThatAllPullOneWayAreToldAndABetterEndIsNamed()
    {
        var rig = RigFiles.Plate(new Cup(), 2);
        var ahead = rig with
        {
            Straps = [new Strap { Id = "one", Stock = "ratchet-25", From = RigPoint.BaseFrontLeft, To = new("wheel-arch-left", 0),
            Pretension = 300 }, new Strap { Id = "two", Stock = "ratchet-25", From = RigPoint.BaseFrontRight,
                To = new("wheel-arch-right", 0),
            Pretension = 300 }, new Strap { Id = "three", Stock = "ratchet-25",
            From = RigPoint.BaseRearLeft, To = new("bonnet-edge-left", 0), Pretension = 300 }]
        };
        var finding = Assert.Single(Assess(ahead).Findings, f => f.Text.StartsWith("The straps drag", StringComparison.Ordinal));
        Assert.Contains("Move this end of strap", finding.Text);
        var one = Assess(rig with { Straps = [ahead.Straps[0]] });
        Assert.Contains(one.Findings, f => f.Text.Contains("nothing opposes"));
    }

    [Fact] // angle by the chord and the panel's plane
    public void AnglesAreThoseOfTheGeometry()
    {
        var rig = Recipe("rail-table");
        var b = RigAssembly.Build(rig, Catalogue.Shipped);
        var n = b.Surface.NormalAt(rig.At[0], rig.At[1]);
        foreach (var (run, strap) in Assess(rig).Straps.Zip(rig.Straps))
        {
            var d = b.Anchor(strap.To, "") - b.Position(b.At(strap.From));
            Near.Share(Math.Asin(-d.Dot(n) / d.Length), run.Angle, 1e-9);
            Near.Share(strap.Pretension * strap.Pretension, run.Presses * run.Presses + run.Drags * run.Drags, 1e-9);
        }
    }

    [Fact] // the rail table on its straps alone: all four abeam, so that they keep it
    public void TheRailTableStaysOnItsStraps()
    {
        var report = Assess(Recipe("rail-table"));
        Assert.NotEqual(Verdict.LetsGo, report.LetGo.Single(l => l.Kind == "straps-alone").Verdict);
        Assert.DoesNotContain(report.Findings, f => f.Text.StartsWith("The straps drag", StringComparison.Ordinal));
    }

    [Fact]
    public void AnAnchorGivesBeforeTheStrapBreaks()
    {
        var rig = Recipe("rail-table");
        var check = Assess(rig).Checks.Single(c => c.Id == "front-left.anchor");
        var measured = rig with { Straps = [.. rig.Straps.Select(s => s with { AnchorHolds = 250 })] };
        Assert.True(Assess(measured).Checks.Single(c => c.Id == "front-left.anchor").Use > 2 * check.Use);
        Assert.Equal(Verdict.LetsGo, Assess(measured).Verdict.Word);
        // Nobody knows what a bicycle's rack holds: asked, and tight at the most.
        var bicycle = Recipe("bicycle-bar") with
        {
            Straps = [new Strap { Id = "s", Stock = "cam-25",
            From = RigPoint.BaseTop, To = new("rack-left", 0.5), Pretension = 250 }]
        };
        var unknown = Assess(bicycle);
        Assert.DoesNotContain(unknown.Checks, c => c.Id == "s.anchor");
        Assert.Contains(unknown.Verdict.Missing!, m => m.Contains("strap s ends at", StringComparison.Ordinal));
        Assert.NotEqual(Verdict.Holds, unknown.Verdict.Word);
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void LinesAreDrawnOnTheBodyAndNotThroughIt(string name)
    {
        var rig = RigFiles.Named(name);
        var host = HostLibrary.Find(rig.Host)!;
        var panels = host.Sites.Where(s => s.Form == SiteForm.Panel).Select(host.Surface).ToList();
        foreach (var shape in RigAssembly.Build(rig, Catalogue.Shipped).Figure.Where(s => s.Type is "strap" or "tether"))
            foreach (var p in shape.Points.Skip(1).SkipLast(1).Select(p => Vec3.From(p.P)))
                foreach (var panel in panels)
                {
                    var d = p - panel.Origin;
                    var (s, t) = (d.Dot(panel.U), d.Dot(panel.V));
                    if (Math.Abs(s) > panel.HalfU || Math.Abs(t) > panel.HalfV)
                        continue;
                    var under = (panel.Point(s, t) - p).Dot(panel.Normal);
                    Assert.True(under is < 0.002 or > 0.14, $"{name}, {shape.Id}: {under * 1000:0} mm under the skin");
                }
    }

    [Fact] // a low camera on the rail ahead of the paddler clears blade and hands; one beside him does not
    public void AKayaksRailHasPlacesThatAreClear()
    {
        var kayak = HostLibrary.Find("kayak")!;
        var rig = Recipe("foredeck-cup") with
        {
            Site = kayak.Sites.First(s => s.Id == "gear-rail"),
            At = [0.33, 0],
            Base = new Core.Kinds.Bases.TubeClamp { Smallest = 0.018, Stud = "1-4-20" },
            Reach = new Core.Kinds.Reaches.NoReach()
        };
        Assert.DoesNotContain(Assess(rig).Findings, f => f.Text.Contains("paddle") && !f.Station.Is("tether"));
        var high = rig with { At = [-0.2, 0], Reach = new Core.Kinds.Reaches.Stud { Thread = "1-4-20", Length = 0.2 } };
        Assert.Contains(Assess(high).Findings, f => f.Text.Contains("paddle") && !f.Station.Is("tether"));
        // Paddled on the right only, the left is free.
        var right = high with { Survey = high.Survey with { Paddled = Sides.Right } };
        Assert.DoesNotContain(Assess(right).Findings, f => f.Text.Contains("paddle") && !f.Station.Is("tether"));
    }

    [Fact]
    public void TheDriversViewIsWhereTheDriverSits()
    {
        var rig = RigFiles.Plate(new Cup(), 2, 0.25) with { At = [-0.3, 0.35] };
        Assert.Contains(Assess(rig).Findings, f => f.Blocks && f.Text.Contains("driver's view"));
        Assert.DoesNotContain(Assess(rig with { Survey = new SiteSurvey { DriverSits = Side.Right } }).Findings, f => f.Blocks);
        Assert.Contains(Assess(rig with { At = [-0.3, -0.35], Survey = new SiteSurvey { DriverSits = Side.Right } }).Findings, f =>
            f.Blocks && f.Text.Contains("driver's view"));
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void LosingOneStrapIsNeverWorseThanHavingNone(string name)
    {
        var report = Assessor.Assess(RigFiles.Named(name), Catalogue.Shipped);
        if (report.LetGo.FirstOrDefault(l => l.Kind == "holds-alone") is not { Use: <= 1 })
            return;
        // Unless a piece breaks: that does not mend when the straps slacken.
        Assert.All(report.LetGo.Where(l => l.Kind == "strap" && l.Uses.All(u => u.Key == "base" || u.Value <= 1)),
            l => Assert.True(l.Use <= 1, $"{l.Title}: {l.Use:P0}"));
    }

    [Fact]
    public void APieceThatBreaksWithOneStrapGoneIsNotExcusedByTheStrapsThatSlacken()
    {
        // The remaining straps are pulled past their own strength: no base that slides first is to be counted on.
        var rig = RigFiles.Named("3-roof-road-ahead");
        var tight = rig with { Straps = [.. rig.Straps.Select(s => s with { Pretension = 3000 })] };
        var report = Assessor.Assess(tight, Catalogue.Shipped);
        Assert.Contains(report.LetGo, l => l.Kind == "strap" && l.Uses.Any(u => u.Key.StartsWith("strap", StringComparison.Ordinal)
            && u.Value > 1));
        Assert.All(report.LetGo.Where(l => l.Kind == "strap"), l => Assert.Equal(Verdict.LetsGo, l.Verdict));
    }
}
