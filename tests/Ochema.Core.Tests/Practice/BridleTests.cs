using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>A bracket on a short line and two elastic legs: where it hangs, what one line less does, what brings it back.</summary>
public sealed class BridleTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;
    private static readonly RigCase Rest = new("rest", "", new(0, 0, -9.80665), -1, Vec3.Zero);

    private static RigDocument Rig => RigFiles.Named("bridle");

    private static RigDocument With(Func<BridleBracket, BridleBracket> change) => Rig with { Base = change((BridleBracket)Rig.Base) };

    private static AssessmentReport Assess(RigDocument rig) => Assessor.Assess(rig, Stock);

    private static double Use(RigDocument rig, string id) => Assess(rig).Checks.Single(c => c.Id == id).Use;

    private static double Tension(RigModel model, string line, params string[] gone)
    {
        var sheet = new Core.Responses.Worksheet();
        model.Built.Checks.Single(c => c.Id == line + ".parts").Use(model.Forces(model.State(gone), Rest, 0)!, sheet);
        return sheet.Done().Terms.Single(t => t.Symbol == "T").Value;
    }

    [Fact] // statics: legs pull ahead and down, the short line back and up; their upright parts carry the weight
    public void ThreeTensionsCarryTheWeight()
    {
        var model = new RigModel(Rig, Stock);
        var b = (BridleBracket)Rig.Base;
        var weight = model.Built.MassOf(_ => true).Mass * 9.80665;
        var at = model.Built.Position(model.Built.At(RigPoint.BaseTop));
        var upper = model.Built.Surface.Origin;
        Vec3 Way(Vec3 end, Vec3 eye) => (end - at - eye).Normalized();
        var sum = Tension(model, "short-line") * Way(upper, 0.02 * Vec3.UnitZ);
        foreach (var side in new[] { 1, -1 })
            sum += Tension(model, "leg-left") * Way(upper + new Vec3(b.Ahead, side * b.Apart / 2, -b.Below), side * b.Width / 2
                * Vec3.UnitY);
        // It was drawn where a guessed weight puts it: within a few per cent of where it hangs.
        Assert.True((sum - weight * Vec3.UnitZ).Length < 0.05 * Tension(model, "short-line"), $"{sum} against {weight}");
        // And Hooke: what a leg's stretch says.
        Assert.InRange(Tension(model, "leg-left"), 30, 120);
        Near.Share(Tension(model, "leg-left"), Tension(model, "leg-right"), 1e-6);
    }

    [Fact]
    public void WithOneLineLessItHangsSomewhereElse()
    {
        var model = new RigModel(Rig, Stock);
        double Depth(params string[] gone)
        {
            var sheet = new Core.Responses.Worksheet();
            model.Built.Checks.Single(c => c.Id == "base.droops").Use(model.Forces(model.State(gone), Rest, 0)!, sheet);
            return sheet.Done().Terms.Single(t => t.Symbol == "d").Value;
        }
        // On its legs alone it comes down to about the height of their shackles, by their stretch.
        Assert.True(Depth("short-line") > 3 * Depth());
        Assert.InRange(Depth("short-line"), 0.7, 1.6);
        // One leg gone, the other draws it towards its own side until both lines are in one plane with the weight.
        Assert.True(Tension(model, "leg-right", "leg-left") < Tension(model, "leg-right"));
        Assert.Contains(Assess(Rig).LetGo, l => l.Id == "leg-left" && l.Verdict == Verdict.Tight);
    }

    [Fact] // common practice: wide and tight is steady; too tight is drawn out
    public void WidthAndTensionSteadyIt()
    {
        Assert.True(Use(With(b => b with { Width = 0.3 }), "base.turns") < Use(Rig, "base.turns"));
        var tight = With(b => b with { Leg = 0.7 });
        Assert.True(Use(tight, "leg-left.range") > 1.5 * Use(Rig, "leg-left.range"));
        Assert.True(Use(tight, "leg-left.parts") > Use(Rig, "leg-left.parts"));
        Assert.True(Use(With(b => b with { Leg = 0.6 }), "leg-left.range") > 1);
        double Lowest(RigDocument rig) => new RigModel(rig, Stock).Modes[0].Frequency;
        Assert.True(Lowest(tight) > Lowest(Rig));
        // A wave at twice the speed is four times the force: the aim goes further, the legs are drawn further.
        var fast = Rig with { Run = Rig.Run with { Speed = 2 * Rig.Run.Speed } };
        Assert.True(Use(fast, "base.turns") > 2 * Use(Rig, "base.turns"));
    }

    [Fact]
    public void WhatCannotHangIsSaid()
    {
        string Said(RigDocument rig) => string.Join(' ', Assess(rig).Findings.Select(f => f.Text));
        Assert.Contains("slack", Said(With(b => b with { Leg = 2.5 })), StringComparison.Ordinal);
        Assert.Equal(Verdict.LetsGo, Assess(With(b => b with { Leg = 2.5 })).Verdict.Word);
        Assert.Contains("slips in elastic", Said(With(b => b with { End = "bowline" })), StringComparison.Ordinal);
        Assert.DoesNotContain("stabiliser", Said(Rig), StringComparison.Ordinal);
        Assert.Contains("no stabiliser", Said(Rig with
        {
            Camera = Rig.Camera with
            {
                Body = Stock.Cameras.First(c => c.Stabilisation
            == "none").Id
            }
        }),
            StringComparison.Ordinal);
    }

    [Fact]
    public void ElasticOrCordIsAskedAndComputed() =>
        Assert.Contains("Cord legs, drawn tight", Schools.Of(Rig, Stock).Single(s => s.Id == "hold").Sides.Select(s => s.Title));

    [Theory] // stiffer and let go of is no advice
    [InlineData("bridle")]
    [InlineData("cup-plate-riser")]
    public void NothingIsAdvisedThatLetsGoOfWhatHolds(string name)
    {
        var rig = RigFiles.Named(name);
        Assert.NotEqual(Verdict.LetsGo, Assess(rig).Verdict.Word);
        Assert.DoesNotContain(Adviser.Best(rig, Stock), a => a.Verdict == Verdict.LetsGo);
    }
}
