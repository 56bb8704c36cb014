using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Stock;
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
        foreach (var l in Assessor.Assess(rig, Catalogue.Shipped).LetGo)
        {
            // A state that is solved is drawn bent; one that is not has no bent shape, and an end.
            Assert.False(l.Goes is not null && l.Displacements.Count > 0, l.Id);
            if (l.Goes is not { } way)
                continue;
            Assert.True(b.Host.Motion.Wet || way[^1][2] >= Math.Min(b.Host.GroundHeight, way[0][2]) - 1e-9, $"{l.Id} ends under the ground");
            if (way.Count < 3)
                continue;
            // It hangs straight below, no farther than it was off.
            Assert.Equal((way[1][0], way[1][1]), (way[2][0], way[2][1]));
            Assert.True(way[2][2] <= way[1][2] + 1e-9, l.Id);
        }
    }

    [Fact]
    public void ACameraOnItsTetherHangsItsLengthBelowItsEnd()
    {
        var rig = RigFiles.Named("cup-and-arm");
        var b = RigAssembly.Build(rig, Catalogue.Shipped);
        var tether = b.Tethers.Single();
        var link = Assessor.Assess(rig, Catalogue.Shipped).LetGo.First(l => l.Kind == "link" && l.Goes is not null);
        Assert.Equal(Math.Max(b.Host.GroundHeight, tether.End.Z - tether.Length), link.Goes![^1][2], 9);
    }
}
