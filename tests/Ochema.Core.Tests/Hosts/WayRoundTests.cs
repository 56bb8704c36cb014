using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Hosts;

/// <summary>A line goes round the bodywork, and what it lets swing to a wheel, the road, a propeller or a control surface it does not
/// keep.</summary>
public sealed class WayRoundTests
{
    private static readonly Host Car = HostLibrary.Find("small-car")!;

    private static Vec3 End(string id, double t) => Car.Anchors.First(a => a.Id == id).At(t);

    [Fact] // over the edge of the bonnet and down the wing: longer than straight through the metal, and no longer than those two legs
    public void TheWayToTheWheelIsOverTheEdge()
    {
        var end = End("bonnet-gap", 0.5);
        var way = WayRound.From(Car, end, end + 0.5 * Vec3.UnitZ);
        var wheel = Car.Published.Wheels.First(w => w.Centre[0] > 0 && w.Centre[1] > 0);
        var straight = (Vec3.From(wheel.Centre) - end).Length - wheel.Radius;
        Assert.InRange(way.ToWheel(wheel, 0), straight + 0.15, 1.4);
        // From the bonnet's edge it is much nearer.
        var edge = End("bonnet-edge-left", 0.3);
        Assert.True(WayRound.From(Car, edge, edge + 0.5 * Vec3.UnitZ).ToWheel(wheel, 0) < way.ToWheel(wheel, 0) - 0.2);
    }

    [Fact] // with nothing between, the way is the distance
    public void ThroughTheAirItIsStraight()
    {
        Vec3 end = new(0, 0, 3);
        var way = WayRound.From(Car, end, end + Vec3.UnitZ);
        // To the cell: never said to be farther than it is.
        Assert.InRange(way.ToBox([0.95, -0.3, 2.7], [1.05, 0.3, 3.3], 0), 0.8, 0.95);
        Assert.InRange(way.ToGround(2.2, 0), 0.68, 0.8);
    }

    [Fact]
    public void ATetherThatReachesAWheelKeepsNothing()
    {
        var rig = RecipeLibrary.All.First(r => r.Id == "cup-and-arm").Document;
        var b = RigAssembly.Build(rig, Catalogue.Shipped);
        Assert.Null(Assert.Single(b.Tethers).KeepsNothing(b, b.Rig.Run.Speed));
        var edge = rig with { Tethers = [rig.Tethers[0] with { To = new("bonnet-edge-left", 0.3) }, .. rig.Tethers.Skip(1)] };
        var report = Assessor.Assess(edge, Catalogue.Shipped);
        Assert.Equal((Verdict.LetsGo, Why.Missing), (report.Verdict.Word, report.Verdict.Why));
        Assert.All(report.Retentions, r => Assert.DoesNotContain("tether", r.By));
        Assert.Contains(report.Retentions, r => r.NotCounted.Any(n => n.Contains("a wheel", StringComparison.Ordinal)));
        Assert.Contains(report.Findings, f => f.Text.Contains("keeps nothing", StringComparison.Ordinal));
        // And the one that is advised in its place counts.
        var built = RigAssembly.Build(edge, Catalogue.Shipped);
        var mended = TetherPlan.With(built, TetherPlan.For(built, RigPath.First.Camera, built.Rig.Run.Speed)!.Value.Tether);
        Assert.Equal(edge.Tethers.Select(t => t.Id), mended.Tethers.Select(t => t.Id));
        Assert.Equal(Verdict.Holds, Assessor.Assess(mended, Catalogue.Shipped).Verdict.Word);
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void NoRigIsShippedWithALineThatKeepsNothing(string name)
    {
        var b = RigAssembly.Build(RigFiles.Named(name), Catalogue.Shipped);
        Assert.All(b.Tethers, t => Assert.Null(t.KeepsNothing(b, b.Rig.Run.Speed)));
    }
}
