using Ochema.Core.Kinds;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Making;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Rigs;

/// <summary>A second rope that keeps what falls is bought, hung and as strong as its own statics says.</summary>
public sealed class SlackLineTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static SlackLine Line(double sag, double? anchors = 4000) => new(Stock.Find<StrapRow>("straps", "rope-10"), 12, sag,
        Lashing.Knots.First(k => k.Id == "bowline"), anchors, 0.5);

    [Fact] // two halves pulled apart by a weight in the middle: each carries F ÷ (2·sin θ); their stretch is T·ℓ ÷ EA
    public void ItHoldsWhatItsTensionAllows()
    {
        var line = Line(0.5);
        const double tension = 3000;
        // By hand: half a length stretched, Pythagoras for how deep it hangs, F from the triangle.
        var half = line.Length / 2 * (1 + tension / line.Row.AxialStiffness);
        var deep = Math.Sqrt(half * half - 36);
        Near.Share(2 * tension * deep / half, line.Across(tension), 1e-12);
        Near.Share(12 * (1 + 8.0 / 3 * 0.25 / 144), line.Length, 1e-12);
    }

    [Fact]
    public void DeeperItHoldsMoreAndWeakAnchorsLess()
    {
        Assert.True(Line(1.0).Holds > Line(0.3).Holds);
        Assert.True(Line(0.5, 1000).Holds < 0.5 * Line(0.5, 4000).Holds);
        // What nobody asked about is worth little.
        Assert.True(Line(0.5, null).Holds < Line(0.5, 1000).Holds);
        // Never more than both halves hanging straight down.
        Assert.All(new[] { 0.1, 0.5, 3 }, sag => Assert.True(Line(sag).Holds < 2 * Line(sag).Bears));
    }

    [Fact]
    public void ItIsAPartAndAStepWhereATetherRunsAlongIt()
    {
        var rig = RigFiles.Named("rope-one");
        var b = RigAssembly.Build(rig, Stock);
        var tether = Assert.Single(b.Tethers, t => t.Anchor.Hung);
        Near.Share(((RopeCarriage)rig.Base).HungBeside(b)!.Holds, tether.Anchor.Holds!.Value, 1e-12);
        Assert.Contains(b.Parts, p => p.Id == new PieceId(StationId.Tether, "second-rope"));
        Assert.Contains(Maker.Of(rig, Stock).Steps, s => s.Id.EndsWith("second-rope", StringComparison.Ordinal));
        var without = rig with { Tethers = [] };
        Assert.DoesNotContain(RigAssembly.Build(without, Stock).Parts, p => p.Id.Name == "second-rope");
        Assert.DoesNotContain(Maker.Of(without, Stock).Steps, s => s.Id.EndsWith("second-rope", StringComparison.Ordinal));
    }
}
