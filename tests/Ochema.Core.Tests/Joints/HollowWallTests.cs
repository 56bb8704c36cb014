using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Making.Steps;
using Ochema.Core.Responses;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Joints;

/// <summary>A tube that a screw passes is two walls, no solid bar.</summary>
public sealed class HollowWallTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static ScrewJoint Made(string tube, string thread = "m8", double? torque = null) => new()
    {
        Stock = Stock,
        Id = "x",
        Station = StationId.Base,
        Title = "bolt of the tube",
        Thread = Stock.Find<Fastener>("fasteners", thread),
        Means = Loosening.LockNut,
        Torque = torque,
        Layers =
        [
            Hardware.Washer(Stock.Find<Fastener>("fasteners", thread)),
                HollowWall.Through("Tube", Stock.Find<SectionRow>("sections", tube)),
            new("Plate", LayerRole.Clearance, 0.006, "al-6061-t6"), Hardware.Washer(Stock.Find<Fastener>("fasteners", thread)),
            Hardware.LockNut(Stock.Find<Fastener>("fasteners", thread)),
        ],
    };

    [Fact] // EN 1993-1-8 table 7.11 (from memory) by hand: 30 × 2 mm, fy 110 MPa, β = 16.8/30 = 0.56: 440·(1.12 + 4·√0.44)/0.44
    public void AFlatFaceGivesAsTheStandardSays() =>
        Near.Share(3773, HollowWall.Of(Stock.Find<SectionRow>("sections", "square-al-30x2"))!.Yields(0.0168, 110e6), 0.002);

    [Fact] // table 7.3 (from memory) by hand: 25 × 2 mm, fy 240 MPa, washer 16.8 mm: 5·240e6·4e-6·(1 + 0.25·0.672)
    public void ARoundOneGivesAsTheStandardSays() =>
        Near.Share(5606, HollowWall.Of(Stock.Find<SectionRow>("sections", "tube-al-25x2"))!.Yields(0.0168, 240e6), 0.002);

    [Fact] // never more than a face that is pressed over all its width; monotonous in wall and washer
    public void ThickerWallsAndWiderWashersBearMore()
    {
        foreach (var shape in new[] { SectionShape.RoundTube, SectionShape.SquareTube })
            for (var i = 1; i < 10; i++)
            {
                Assert.True(new HollowWall(shape, 0.03, 0.001 + i * 1e-4).Yields(0.012, 1e8)
                    > new HollowWall(shape, 0.03, 0.001 + (i - 1) * 1e-4).Yields(0.012, 1e8));
                Assert.True(new HollowWall(shape, 0.03, 0.002).Yields(0.003 * i, 1e8) >= new HollowWall(shape, 0.03, 0.002)
                    .Yields(0.003 * (i - 1), 1e8));
            }
    }

    [Fact]
    public void WhatTheWallDoesNotBearIsNoPreload()
    {
        var joint = Made("square-al-30x2");
        Near.Share(3773 / HollowWall.DentsBefore, joint.WallBears, 0.002);
        // The usual torque stays below what the wall bears; set higher it is too tight and counts for no more than that.
        Assert.InRange(joint.Tightened / joint.WallBears, 0.7, 0.9);
        var tighter = Made("square-al-30x2", torque: 2 * joint.TightenedWith);
        Near.Share(joint.WallBears, tighter.Preload, 1e-9);
        Assert.True(new JointTightening(tighter).Use(null!) > 1 && new JointTightening(joint).Use(null!) < 1);
        Assert.Contains(joint.Report().Notes, n => n.Contains("sleeve", StringComparison.Ordinal));
    }

    [Fact]
    public void ASleeveInsideRestoresIt()
    {
        var joint = Made("square-al-30x2");
        var sleeved = joint.With(new() { Sleeve = Answer.Yes });
        Assert.Empty(sleeved.Unused);
        Near.Share(LooseningGrade.Torque(Loosening.LockNut, joint.Thread), sleeved.TightenedWith, 1e-9);
        Assert.True(sleeved.Preload > 2 * joint.Preload);
        Assert.Contains("{length:0.026}", PluggingSteps.Sleeved(sleeved with { Layers = LayerIds.Of(sleeved.Layers) })!.Step.How,
            StringComparison.Ordinal);
    }

    [Fact]
    public void ABarHasNoWall()
    {
        var bar = Made("flat-al-40x5");
        Assert.Equal(double.PositiveInfinity, bar.WallBears);
        Assert.Contains(bar.With(new() { Sleeve = Answer.Yes }).Unused, u => u.Contains("sleeve", StringComparison.Ordinal));
    }
}
