using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>Water on what is in it, and shaking tables at their ends.</summary>
public class WaterTests
{
    [Fact] // potential flow: a cylinder carries its own volume of water with it (Newman, Marine Hydrodynamics)
    public void ARoundMemberCarriesTheWaterItDisplaces() =>
        Near.Share(Water.Density * Math.PI * 0.05 * 0.05, Water.AddedMass(0.1), 1e-12);

    [Fact] // 8 m/s into water: 32 kPa, against 40 Pa of air
    public void WaterPressesAThousandTimesHarderThanAir() =>
        Near.Share(0.5 * Water.Density * 64, Water.Pressure(8), 1e-12);

    [Theory]
    [InlineData(0.2, 1.0, 0.6, 0.5)]
    [InlineData(1.0, 0.2, 0.4, 0.25)]
    [InlineData(0.2, 1.0, 1.5, 1)]
    [InlineData(0.2, 1.0, 0.1, 0)]
    public void AMemberIsWetAsFarAsItGoesUnder(double from, double to, double height, double share) =>
        Assert.Equal(share, Water.Share(from, to, height), 1e-12);

    [Fact]
    public void RougherThanATableKnowsCountsAsItsRoughest()
    {
        foreach (var table in HostLibrary.All.Select(h => h.Shake).OfType<TabulatedShake>())
        {
            var last = (Going)(table.Goings.Count - 1);
            double Density(Going g) => table.Random(g, 5).Sum(s => s.Spectrum(8));
            foreach (var beyond in Enum.GetValues<Going>().Where(g => g >= last))
                Assert.Equal(Density(last), Density(beyond));
        }
    }
}
