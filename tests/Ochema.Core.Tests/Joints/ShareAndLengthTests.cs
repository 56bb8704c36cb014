using Ochema.Core.Analysis;
using Ochema.Core.Joints;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>How a joint's load is shared, and what is bought for it.</summary>
public class ShareAndLengthTests
{
    private static Fastener Thread(string id) => Catalogue.Shipped.Find<Fastener>("fasteners", id);

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))] // a moment across the axis is a couple of half the screws at their lever
    public void ScrewsShareTheirLoad(string name)
    {
        var rig = RigFiles.Named(name);
        var model = new RigModel(rig, Catalogue.Shipped);
        var state = model.State([]);
        foreach (var c in model.Built.Host.Motion.Cases(rig.Run.Road))
            foreach (var j in model.Built.Joints.Where(j => j.Load is not null))
            {
                var f = model.Forces(state, c, rig.Run.Speed)!;
                var (force, moment) = j.Load!(f);
                var pairs = Math.Max(1, j.Count / 2.0);
                var (pull, slide) = j.Share(f);
                Near.Share(Math.Abs(force.Dot(j.Axis)) + moment.PerpendicularTo(j.Axis).Length * j.Count / (pairs * j.Lever), pull
                    * j.Count, 1e-9);
                // One screw alone is turned on its face: Coulomb friction over a disc acts at two thirds of its radius.
                Near.Share(force.PerpendicularTo(j.Axis).Length + Math.Abs(moment.Dot(j.Axis)) / (j.Count > 1 ? j.Lever
                    : j.Lever * 2 / 3), slide * j.Count, 1e-9);
            }
    }

    [Theory]
    [InlineData("m6")]
    [InlineData("1-4-20")]
    public void ALengthOnSaleIsBoughtAsItIs(string id)
    {
        foreach (var length in StockLengths.For(Thread(id)))
        {
            Assert.Equal((length, 0), StockLengths.Nearest(Thread(id), length, length));
            Assert.True(StockLengths.Nearest(Thread(id), length + 0.0005, 1) is not { } next || next.Buy > length);
        }
    }

    [Fact] // common practice, no source: fingers 1.5 N·m at the most, a rubber washer 2.5; a small screw takes less than either
    public void HandTightIsWhatAHandDoes()
    {
        double Tool(string id) => LooseningGrade.Torque(Loosening.ThreadLock, Thread(id));
        Assert.Equal(1.5, LooseningGrade.Torque(Loosening.HandTight, Thread("m8")));
        Assert.Equal(2.5, LooseningGrade.Torque(Loosening.RubberWasher, Thread("m8")));
        Assert.True(Tool("m8") > 10);
        var small = Catalogue.Shipped.Fasteners.MinBy(f => f.ProofLoad * f.MajorDiameter)!;
        Assert.Equal(Math.Min(1.5, Tool(small.Id)), LooseningGrade.Torque(Loosening.HandTight, small));
    }
}
