using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Assessment;

/// <summary>What falls or swings away has a place where it comes to rest, and that is drawn.</summary>
public sealed class EndsUpTests
{
    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void WhatFallsOrSwingsHasAPlaceBelowWhatHoldsIt(string name)
    {
        var rig = RigFiles.Named(name);
        var b = RigAssembly.Build(rig, Catalogue.Shipped);
        var design = new Design(rig, Catalogue.Shipped);
        foreach (var l in design.Whole(workings: false).LetGo)
        {
            if (l.Goes is not { } way)
                continue;
            // A state that is solved is drawn bent; one that is not has no bent shape, and an end.
            Assert.Equal((l.Id, 0), (design.At(rig.Run.Speed, l.Id)!.Shape.LetGo,
                design.At(rig.Run.Speed, l.Id)!.Shape.Displacements.Count));
            Assert.True(b.Host.Motion.Wet || way[^1][2] >= Math.Min(b.Host.GroundHeight, way[0][2]) - 1e-9,
                $"{l.Id} ends under the ground");
            if (way.Count < 3)
                continue;
            // It comes to rest no higher than a cell over what it hangs on.
            Assert.True(way[2][2] <= way[1][2] + 0.1, l.Id);
        }
    }

    [Fact] // a line that breaks as it catches keeps nothing: it is drawn on the ground
    public void WhatALineBreaksUnderIsOnTheGround()
    {
        var rig = RigFiles.Named("cup-and-arm");
        var weak = rig with { Tethers = [rig.Tethers[0] with { AnchorHolds = 5 }, .. rig.Tethers.Skip(1)] };
        var b = RigAssembly.Build(weak, Catalogue.Shipped);
        foreach (var l in Assessor.Assess(weak, Catalogue.Shipped).LetGo.Where(l => l.Goes is not null))
            Assert.Equal(b.Host.GroundHeight, l.Goes![^1][2], 1e-9);
    }

    [Fact]
    public void ACameraOnItsTetherComesToRestWithinItsLength()
    {
        var rig = RigFiles.Named("cup-and-arm");
        var tether = RigAssembly.Build(rig, Catalogue.Shipped).Tethers.Single();
        var way = Assessor.Assess(rig, Catalogue.Shipped).LetGo.First(l => l.Kind == "link" && l.Goes is not null).Goes!;
        var apart = Math.Sqrt(way[1].Zip(way[2], (a, c) => (a - c) * (a - c)).Sum());
        // A cell of the way is 80 mm: its middle may be half a diagonal off.
        Assert.InRange(apart, 0, tether.Length + 0.07);
    }

    [Fact] // free in the air it hangs its length below
    public void WithNothingInTheWayItHangsStraightDown()
    {
        var host = HostLibrary.Find("hand-held")!;
        Vec3 end = new(0, 0, 5);
        var low = WayRound.From(host, end, end + Vec3.UnitZ).Lowest(1.0)!.Value;
        Assert.InRange((low - (end - Vec3.UnitZ)).Length, 0, 0.15);
    }
}
