using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Checks;

/// <summary>Steel behind the sheet counts in a magnet's pull: with steel it is thicker, with anything else the sheet is a gap.</summary>
public sealed class PlateBehindTests
{
    private static RigDocument On(string material, double? plate)
    {
        var rig = RigFiles.Named("magnet-and-stud");
        return rig with { Site = rig.Site with { Material = material, Thickness = 0.0012, PlateBehind = plate } };
    }

    private static double Slides(RigDocument rig) => Assessor.Assess(rig, Catalogue.Shipped).Checks.Single(c => c.Id
        == "base-hold.pull").Use;

    [Fact] // the same shares as without a plate: saturating with thickness, falling with the gap
    public void BehindAluminiumItIsWhatTheMagnetHoldsTo()
    {
        var rig = On("al-body", 0.003);
        var row = Catalogue.Shipped.Find<MagnetRow>("magnets", "magnet-88-rubber");
        var spot = RigAssembly.Collect(rig, Catalogue.Shipped).Spot("x", Core.Responses.StationId.Base, "x", 0, 0);
        var grip = new Core.Checks.MagnetGrip(row, spot, 0, null, 288.15);
        Near.Share(row.RatedPull * (1 - Math.Exp(-2.3 * 0.003 / row.FullThickness))
            * Math.Exp(-60 * (rig.Site.Coat + 0.0012) / row.Diameter), grip.Pull, 1e-9);
        Assert.NotEqual(Why.Refused, Assessor.Assess(rig, Catalogue.Shipped).Verdict.Why);
        Assert.Equal(Why.Refused, Assessor.Assess(On("al-body", null), Catalogue.Shipped).Verdict.Why);
        // It is bought, cut, and put there.
        Assert.Contains(Maker.Of(rig, Catalogue.Shipped).Steps, s => s.Title.StartsWith("Plates behind", StringComparison.Ordinal));
        Assert.Contains(RigAssembly.Build(rig, Catalogue.Shipped).Parts, p => p.Station.Is("site") && p.Sheet is not null);
    }

    [Fact]
    public void BehindSteelItHoldsMore() => Assert.True(Slides(On("steel-body", 0.003)) < 0.9 * Slides(On("steel-body", null)));

    [Fact] // through the sheet it is weaker than on steel as thick
    public void ASheetBetweenCosts() => Assert.True(Slides(On("al-body", 0.003)) > Slides(On("steel-body", 0.003)));
}
