using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Heads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Sharpness;

/// <summary>A second camera has a picture of its own, and parts that fit it.</summary>
public sealed class SecondCameraTests
{
    private static RigDocument With(RigDocument rig, CameraPath second) => rig with { Second = second };

    [Fact]
    public void ATwinOnTheSamePlaceHasTheSamePicture()
    {
        var rig = RigFiles.Named("3-roof-road-ahead");
        var report = Assessor.Assess(With(rig, new CameraPath { Id = CameraPath.SecondId, Camera = rig.Camera, Head = rig.Head, Reach = rig.Reach }),
            Catalogue.Shipped);
        Assert.Equal(report.Sharpness.Word, report.SecondSharpness!.Word);
        foreach (var (a, b) in report.Sharpness.Numbers.Zip(report.SecondSharpness.Numbers))
            Near.Share(a.Pixels, b.Pixels, 0.02);
    }

    [Fact]
    public void ALongerLensBesideItSeesMore()
    {
        var rig = RigFiles.Named("3-roof-road-ahead");
        var report = Assessor.Assess(With(rig, new CameraPath
        {
            Id = CameraPath.SecondId,
            Camera = rig.Camera with { Lens = "prime-85" },
            Head = rig.Head,
            Reach = rig.Reach
        }), Catalogue.Shipped);
        foreach (var (a, b) in report.Sharpness.Numbers.Zip(report.SecondSharpness!.Numbers))
            Assert.True(b.Pixels > 1.5 * a.Pixels, $"{a.Id}: {a.Pixels} and {b.Pixels}");
    }

    [Fact]
    public void WithoutOneThereIsNoSecondPicture() => Assert.Null(Assessor.Assess(RigFiles.Named("3-roof-road-ahead"),
        Catalogue.Shipped).SecondSharpness);

    [Fact]
    public void ItsCradleIsBentToItsOwnSize()
    {
        var rig = RigFiles.Named("bar-magnets");
        var second = new CameraPath { Id = CameraPath.SecondId, Camera = rig.Camera with { Body = "phone" }, Head = new CradleHead(), Reach = rig.Reach };
        var parts = Assessor.Assess(With(rig, second), Catalogue.Shipped).Parts.Where(p => p.Sheet is not null
            && p.Name.StartsWith("Cradle", StringComparison.Ordinal)).ToList();
        Assert.Equal(2, parts.Count);
        var phone = Catalogue.Shipped.Find<CameraRow>("cameras", "phone");
        Assert.Equal(phone.Length, parts.Single(p => p.Station.Is("head-2")).Sheet!.Width, 1e-9);
        Assert.NotEqual(parts[0].Sheet!.Width, parts[1].Sheet!.Width);
    }
}
