using Ochema.Core.Assessment;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Making;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Practice;

/// <summary>Tubes that slide into each other overlap: what is cut is more than what is drawn out.</summary>
public sealed class TelescopeTests
{
    private static readonly Catalogue Stock = Catalogue.Shipped;
    private static readonly RigDocument Pole = RigFiles.Named("hand-pole");

    private static RigDocument With(double? overlap, double length = 2.4) =>
        Pole with
        {
            Reach = (TelescopingPole)Pole.Reach with
            {
                Length = length,
                Overlap = overlap,
                Upper = "tube-al-25x2",
                Lower = "tube-al-30x2"
            }
        };

    private static double[] Cuts(RigDocument rig) =>
        [.. Maker.Of(rig, Stock).Parts.Where(p => p.Station.Is("reach") && p.Sort == PieceSort.Cut).SelectMany(p => Enumerable.Repeat(p.Length!.Value, (int)p.Quantity))];

    [Theory] // two of 1.2 m are no pole of 2.4 m: together they are as much longer as they are in each other, three diameters of the inner one
    [InlineData(null, 0.075)]
    [InlineData(0.2, 0.2)]
    public void TwoTubesAreAsMuchLongerAsTheyOverlap(double? overlap, double counts)
    {
        var cuts = Cuts(With(overlap));
        Assert.Equal(2, cuts.Length);
        Assert.Equal(2.4 + counts, cuts.Sum(), 1e-9);
        Assert.Equal(cuts[0], cuts[1], 1e-9);
    }

    [Fact] // what is in the other tube weighs, and is no length
    public void TheOverlapWeighsAndReachesNowhere()
    {
        var (less, more) = (Assessor.Assess(With(0.075), Stock), Assessor.Assess(With(0.3), Stock));
        var tube = Stock.Section("tube-al-25x2").Area * 0.5 * 0.225 + Stock.Section("tube-al-30x2").Area * 0.5 * 0.225;
        Assert.Equal(tube * Stock.MaterialOf("tube-al-25x2").Density, more.Mass - less.Mass, 5e-7);
        Assert.True(more.Checks.Max(c => c.Use) >= 0.99 * less.Checks.Max(c => c.Use));
    }

    [Theory] // both sides of the limit
    [InlineData(0.074, true)]
    [InlineData(0.076, false)]
    public void LessThanThreeDiametersIsSaid(double overlap, bool said) => Assert.Equal(said,
        Assessor.Assess(With(overlap), Stock).Findings.Any(f => f.Text.Contains("three diameters; less", StringComparison.Ordinal)));

    [Fact]
    public void TubesThatLieAllInOneAnotherAreNoPole() => Assert.Equal(Why.Refused, Assessor.Assess(With(0.4, 0.35), Stock).Verdict.Why);
}
