using System.Text.Json.Nodes;
using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>To add a base, a reach, a head, a host is to add a file: nothing else knows of those of <see cref="ThrowAwayBase"/> and its
/// neighbours.</summary>
public sealed class OneFileIsEnoughTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Rig()
    {
        var host = HostLibrary.Find("throw-away-table")!;
        var rig = RigFiles.Named("dashboard-pan");
        return rig with
        {
            Name = "Thrown together",
            Host = host.Id,
            Site = host.Sites[0],
            At = [0, 0],
            Base = new ThrowAwayBase(),
            Reach = new ThrowAwayReach(),
            Head = new ThrowAwayHead(),
            Survey = new SiteSurvey(),
            Straps = [],
            Braces = [],
            Tethers = [],
            Run = rig.Run with { Speed = 1 },
        };
    }

    [Fact]
    public void ItIsPublishedWithItsFields()
    {
        var all = KindDescriptors.All(Stock);
        Assert.Equal("Brick", all.Single(k => k.Id == "throw-away-base").Fields.Single().Label);
        Assert.Contains(all.Single(k => k.Id == "throw-away-reach").Fields, f => f.Name == "length" && f.Maximum == 1.5);
        Assert.Contains(all, k => k.Id == "throw-away-head");
    }

    [Fact]
    public void ItIsWrittenAndReadBack()
    {
        var text = StrictJson.Write(Rig());
        Assert.Equal("throw-away-base", (string?)JsonNode.Parse(text)!["base"]!["kind"]);
        Assert.Equal(text, StrictJson.Write(RigReader.Read(text, Stock)));
    }

    [Fact]
    public void ItIsDrawnJoinedListedAndJudged()
    {
        var report = Assessor.Assess(RigReader.Read(StrictJson.Write(Rig()), Stock), Stock);
        Assert.Contains(report.Figure.Shapes, s => s.Id == "broom");
        Assert.Contains(report.Parts, p => p.Name == "Brick");
        // A dowel is tapped in its end: a plug is for tubes.
        Assert.DoesNotContain(report.Parts, p => p.Row == "end-plug");
        Assert.Contains(report.Joins, j => j.Station.Is("reach") && j.Joint == "broom-screw");
        Assert.Contains(report.Joints, j => j.Id == "head-screw" && j.Layers[0].Name.StartsWith("End of the broomstick",
            StringComparison.Ordinal));
        Assert.Contains(report.Checks, c => c.Id == "broom.strength");
        Assert.Contains("Mind the toes.", report.Cautions);
        Assert.Contains("It whips.", report.Cautions);
        Assert.Contains("The tea is hot.", report.Cautions);
        Assert.Equal(5, report.TopSpeed);
        Assert.NotEqual("", report.Verdict.Text);
    }

    [Fact]
    public void ItIsMade()
    {
        var plan = Core.Making.Maker.Of(Rig(), Stock);
        Assert.Contains(plan.Steps, s => s is { Work: Work.Cut, Station: "reach" });
        Assert.Contains(plan.Holes, h => h.Joint == "head-screw");
        Assert.All(plan.Parts, p => Assert.Contains(plan.Steps, s => s.Id == p.Step));
        Assert.NotEmpty(plan.Cuts);
    }

    [Fact]
    public void APlaceOfItsOwnFormIsReadPublishedAndGivesWay()
    {
        var cushion = HostLibrary.Find("throw-away-table")!.Sites[1];
        var text = StrictJson.Write(Rig() with { Site = cushion });
        Assert.Equal("throw-away-cushion", (string?)JsonNode.Parse(text)!["site"]!["form"]);
        var rig = RigReader.Read(text, Stock);
        Assert.Equal(cushion, rig.Site);
        Assert.Contains("throw-away-cushion", KindDescriptors.All(Stock)
            .Single(k => k.Station == "site").Fields.Single(f => f.Name == "coat").Forms!);
        Assert.Contains("throw-away-cushion", DocumentSchema.Create().ToJsonString());
        var (hard, soft) = (Assessor.Assess(Rig(), Stock), Assessor.Assess(rig, Stock));
        Assert.True(soft.Picture.FirstFrequency < 0.5 * hard.Picture.FirstFrequency);
        Assert.EndsWith("take the cushion away.", Assessor.Assess(rig with { Run = rig.Run with { Road = Core.Loads.Going.Rough } },
            Stock).Picture.Text);
        Assert.Contains(soft.Options, o => o.Reason?.Contains("a cushion; this needs", StringComparison.Ordinal) == true);
        Assert.Contains(Relocation.To(Rig(), rig.Host, "cushion").Document.Site.Form.Words, cushion.Form.Words);
        var wrong = Assert.Throws<DocumentException>(() => RigReader.Read(text.Replace("throw-away-cushion", "pillow",
            StringComparison.Ordinal), Stock));
        Assert.Equal("site.form", wrong.Path);
        Assert.Contains("panel", wrong.Reason);
    }

    [Fact]
    public void ItIsTriedInAdviceAndOfferedInstead()
    {
        var rig = Rig() with { Reach = new ThrowAwayReach { Length = 1.2 } };
        Assert.Contains(Adviser.Best(rig, Stock), c => c.Id == "half-a-broomstick");
        Assert.Contains(Adviser.Alternatives(RigFiles.Named("dashboard-pan"), "reach", Stock), c => c.Document.Reach is ThrowAwayReach);
    }

    [Fact]
    public void AHostBringsItsPlacesAndItsDrawing()
    {
        var published = HostLibrary.Find("throw-away-table")!.Published;
        Assert.Equal("Top", published.Sites[0].Name);
        Assert.NotEmpty(published.Surfaces);
        Assert.Contains(HostLibrary.All, h => h.Id == "throw-away-table");
    }
}
