using Ochema.Core.Assessment;
using Ochema.Core.Checks;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>A tilt box of boards: sized from the camera as the bent frame is, its corners screwed.</summary>
public sealed class TiltBoxTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;

    private static RigDocument Box => RigFiles.Named("rope-two");

    [Fact] // Wood Handbook FPL-GTR-190, eq. 8-6: 108·G²·D·L, from memory
    public void AScrewDrawsOutOfAnEdge() => Near.Share(108.25 * 0.48 * 0.48 * 4 * 28 * 0.75, CornerHolds.Withdraws(480), 1e-9);

    [Fact]
    public void ItsBoardsAreTheCamerasSizes()
    {
        var parts = Maker.Of(Box, Stock).Parts;
        var camera = Stock.Cameras.First(c => c.Id == Box.Camera.Body);
        double Long(string what) => parts.Single(p => p.Name.StartsWith(what, StringComparison.Ordinal)).Length!.Value;
        // Camera, a finger's room on both sides, both boards.
        Near.Share(camera.Width + 2 * 0.012 + 2 * 0.009, Long("Inner box, floor"), 1e-6);
        Near.Share(camera.Width + 2 * 0.012 + 2 * 0.009 + 2 * 0.006 + 2 * 0.009, Long("Outer box, floor"), 1e-6);
        Assert.Equal(2, parts.Single(p => p.Name.StartsWith("Inner box, side", StringComparison.Ordinal)).Quantity);
        // Wood is not bent, and metal is not screwed to a box.
        var checks = Assessor.Assess(Box, Stock).Checks;
        Assert.DoesNotContain(checks, c => c.Id.EndsWith(".bend", StringComparison.Ordinal));
        Assert.Equal(4, checks.Count(c => c.Id.EndsWith(".corner", StringComparison.Ordinal)));
        var bent = Assessor.Assess(Box with { Head = new TiltFrame() }, Stock).Checks;
        Assert.Contains(bent, c => c.Id.EndsWith(".bend", StringComparison.Ordinal));
        Assert.DoesNotContain(bent, c => c.Id.EndsWith(".corner", StringComparison.Ordinal));
    }

    [Fact] // a heavier camera opens them further
    public void CornersOpenUnderWeight()
    {
        double Use(RigDocument rig) => Assessor.Assess(rig, Stock).Checks.Where(c => c.Id.EndsWith(".corner", StringComparison.Ordinal))
            .Max(c => c.Use);
        Assert.True(Use(Box with { Camera = Box.Camera with { Mass = 4 } }) > 2 * Use(Box));
    }
}
