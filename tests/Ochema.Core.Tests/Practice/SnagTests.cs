using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Search;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>Booms over water: caught at their tip, and pushed in against drawn right out.</summary>
public sealed class SnagTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    [Theory]
    [InlineData("gear-rail-boom")]
    [InlineData("ball-arm")]
    public void TheFirstPartIsAtItsLimitAtThatPullAndNotBefore(string name)
    {
        var model = new RigModel(RigFiles.Named(name), Stock);
        foreach (var way in new[] { -Vec3.UnitX, Vec3.UnitY })
        {
            var (pull, by) = Snag.First(model, way)!.Value;
            double Worst(double at)
            {
                var f = model.Forces(model.State([]), new RigCase("snag", "", new(0, 0, -9.80665), -1, at * way), 0)!;
                return model.Built.Checks.Where(c => !c.Fixed && !c.Reserve && c.Sort == CheckSort.Strength).Max(c => c.Use(f));
            }
            Assert.InRange(Worst(pull), 0.999, 1.01);
            Assert.True(Worst(0.9 * pull) < 1);
            Assert.InRange(pull, 5, 1000);
            Assert.NotEmpty(by.Title);
        }
        Assert.Contains(Assessor.Assess(RigFiles.Named(name), Stock).Findings, f =>
            f.Text.StartsWith("Caught and held back", StringComparison.Ordinal));
        Assert.DoesNotContain(Assessor.Assess(RigFiles.Named("foredeck-cup"), Stock).Findings, f =>
            f.Text.StartsWith("Caught", StringComparison.Ordinal));
    }

    [Fact]
    public void DrawnOutItIsCaughtSoonerAndTurnsSooner()
    {
        var rig = RigFiles.Named("ball-arm");
        var pole = (TelescopingPole)rig.Reach;
        double Pull(double length) => Snag.First(new RigModel(rig with { Reach = pole with { Length = length } }, Stock),
            -Vec3.UnitX)!.Value.Pull;
        Assert.True(Pull(1.2) < 0.7 * Pull(0.4));
        var sides = Schools.Of(rig, Stock).Single(s => s.Id == "reach").Sides;
        Assert.Equal(["Pushed in", "Drawn right out"], sides.Select(s => s.Title));
        Assert.True(sides[1].Change.Use > sides[0].Change.Use);
        Assert.DoesNotContain(Schools.Of(rig with { Reach = pole with { Longest = null } }, Stock), s => s.Id == "reach");
    }
}
