using Ochema.Core.Analysis;
using Ochema.Core.Checks;
using Ochema.Core.Kinds;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>With all holds gone nothing of a hold holds on: its spring pulls no more, and only feet that stand on their panel push and rub.</summary>
public sealed class HoldsGoneTests
{
    public static TheoryData<string> Names => RigFiles.Names;

    [Theory, MemberData(nameof(Names))]
    public void NoHoldPullsAnyMoreWhateverItsKind(string name)
    {
        var whole = RigAssembly.Build(RigFiles.Named(name), Catalogue.Shipped);
        var left = RigModel.WithoutHolds(whole).Built;
        foreach (var hold in whole.Holds)
        {
            var spring = left.Model.Springs[hold.Spring.Value];
            var foot = whole.Feet.FirstOrDefault(f => f.Spring == hold.Spring);
            if (foot is null)
                Assert.All(spring.K, k => Assert.Equal(0, k));
            else
            {
                // Along its normal it neither pulls nor presses by itself: four points of its rim do, and only press.
                var n = foot.Spot.Normal;
                var along = spring.Axis is null ? n.X * n.X * spring.K[0] + n.Y * n.Y * spring.K[1] + n.Z * n.Z * spring.K[2] : spring.K[0];
                Assert.Equal(0, along, 1e-2);
                Assert.Equal(4, foot.Pads.Count);
                Assert.All(foot.Pads, p => Assert.True(left.Model.Lines[p.Value].Push));
            }
        }
        // What the holds' grip could do wrong is not asked any more; all else is, and the feet are.
        Assert.DoesNotContain(left.Checks, c => c is HoldSlides or HoldTip or HoldStraightOff or HoldSlide or PanelFlex or AdhesiveStrength
            or SuctionSeal or GripTurn or GripPrise or StandsUp or PressedTip);
        Assert.Single(left.Checks, c => c.Id == "feet.friction");
        // The rig as a whole is none the less what it was.
        Assert.Equal(RigAssembly.Build(RigFiles.Named(name), Catalogue.Shipped).Model.Springs.Select(s => s.K), whole.Model.Springs.Select(s => s.K));
        Assert.Equal(whole.Model.Nodes, left.Model.Nodes.Take(whole.Model.Nodes.Count));
    }
}
