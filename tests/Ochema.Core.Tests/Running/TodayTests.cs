using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Running;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Running;

/// <summary>The same rig against the day.</summary>
public class TodayTests
{
    private static TodayReport Of(RigDocument rig, Conditions day) => Today.Of(rig, Catalogue.Shipped.With(rig.Stock), day.Checked());

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void OnTheDayThatItWasDesignedForItDoesWhatItsVerdictSays(string name)
    {
        var rig = RigFiles.Named(name);
        var today = Of(rig, Conditions.Of(rig));
        var verdict = new Design(rig, Catalogue.Shipped.With(rig.Stock)).At(rig.Run.Speed)!.Verdict;
        Assert.Equal(Math.Min(rig.Run.Speed, Prover.HoldsTo(verdict)), today.AllowedSpeed, 1e-6);
        Assert.NotEmpty(today.LimitedBy);
        Assert.Empty(today.Costs);
        if (today.AllowedSpeed > 0)
            Assert.InRange(today.LookAgainIn, 12, 1800);
    }

    [Theory]
    [MemberData(nameof(RigFiles.Names), MemberType = typeof(RigFiles))]
    public void AWorseDayNeverAllowsMore(string name)
    {
        var rig = RigFiles.Named(name);
        var day = Conditions.Of(rig);
        var usual = Of(rig, day).HoldsTo;
        // A little for what is found between two speeds.
        Assert.True(Of(rig, day with { Gust = day.Gust + 8 }).HoldsTo <= usual + 0.1);
        Assert.True(Of(rig, day with { Sun = Sun.DarkPanel }).HoldsTo <= usual + 0.1);
        Assert.True(Of(rig, day with { HoursSincePump = 10 }).HoldsTo <= usual + 0.1);
        foreach (var surface in new[] { SurfaceState.Wet, SurfaceState.Dusty })
            if (day.Surface == SurfaceState.CleanDry)
                Assert.True(Of(rig, day with { Surface = surface }).HoldsTo <= usual + 0.1, $"{surface}");
    }

    [Theory]
    [InlineData(60, 60, 333.15, 6000, Going.Field, SurfaceState.Textured, 48)]
    [InlineData(0, 0, 223.15, -400, Going.Smooth, SurfaceState.CleanDry, 0)]
    public void AnyDayGetsAnAnswer(double wind, double gust, double kelvin, double altitude, Going road, SurfaceState surface, double hours)
    {
        foreach (var (name, rig) in RigFiles.All)
        {
            var today = Of(rig, new Conditions
            {
                Wind = wind,
                Gust = gust,
                Temperature = kelvin,
                Altitude = altitude,
                Road = road,
                Surface = surface,
                HoursSincePump = hours,
            });
            Assert.True(today.AllowedSpeed >= 0 && today.AllowedSpeed <= rig.Run.Speed, name);
            Assert.True(double.IsFinite(today.LookAgainIn));
            Assert.NotEmpty(today.Text);
        }
    }

    [Fact]
    public void ThinAirTakesFromCupsByThePressureOfTheStandardAtmosphere()
    {
        // ISO 2533: 794.95 hPa at 2000 m, 1013.25 at sea level. On stiff ground a cup stands its vacuum and nothing else.
        var rig = RigFiles.CupAndArm();
        double Stands(double altitude)
        {
            var day = Conditions.Of(rig) with { Altitude = altitude };
            var there = day.On(rig with { Site = rig.Site with { Thickness = 0.02 } });
            return Prover.Of(new Design(there, Catalogue.Shipped), there.Run.Speed, [])!.Pulls.First(p => p.Sort == PullSort.Off).Limit;
        }
        Assert.Equal(79495.0 / 101325, Stands(2000) / Stands(0), 0.001);
        Assert.Equal(79495, Atmosphere.Pressure(2000), 30.0);
    }

    [Fact]
    public void ACupThatLeaksIsLookedAtSooner()
    {
        var rig = RigFiles.Tied(RigFiles.CupAndArm());
        var day = Conditions.Of(rig) with { Surface = SurfaceState.Dusty };
        var (slow, fast) = (Of(rig, day with { HalfLife = 40000 }), Of(rig, day with { HalfLife = 2000 }));
        Assert.True(fast.AllowedSpeed <= slow.AllowedSpeed);
        Assert.True(fast.LookAgainIn <= slow.LookAgainIn);
        Assert.True(fast.LookAgainRange[0] <= fast.LookAgainRange[1]);
    }

    [Theory]
    [InlineData(-1, 5, 288, 0, "conditions.wind")]
    [InlineData(5, double.NaN, 288, 0, "conditions.gust")]
    [InlineData(5, 5, 0, 0, "conditions.temperature")]
    [InlineData(5, 5, 288, 9000, "conditions.altitude")]
    public void ADayThatIsNoneIsRefusedByName(double wind, double gust, double kelvin, double altitude, string path) =>
        Assert.Equal(path, Assert.Throws<DocumentException>(() => new Conditions
        {
            Wind = wind,
            Gust = gust,
            Temperature = kelvin,
            Altitude = altitude,
            Road = Going.Average,
            Surface = SurfaceState.CleanDry,
        }.Checked()).Path);

    /// <summary>v = 0.836·B^1.5 m/s lies in each force (WMO; from memory).</summary>
    [Fact]
    public void TheBeaufortScaleFollowsItsFormula()
    {
        foreach (var b in Beaufort.All.Take(12))
        {
            var middle = 0.836 * Math.Pow(b.Force, 1.5);
            Assert.InRange(middle, b.Least - 0.05, b.Most + 0.05);
            Assert.Equal(b, Beaufort.Of(middle));
        }
        Assert.Equal((5, "Fresh breeze"), (Beaufort.Of(9).Force, Beaufort.Of(9).Name));
    }

    /// <summary>A cup that leaks through a fixed leak loses its vacuum exponentially: 60 kPa at first, 45 after an hour, so half in
    /// ln 2 ÷ ln(60/45) hours.</summary>
    [Fact]
    public void TwoReadingsGiveTheHalfLife()
    {
        var half = LeakDown.HalfLife([new(0, 60000), new(3600, 45000)])!.Value;
        Assert.Equal(3600 * Math.Log(2) / Math.Log(60.0 / 45), half, 1e-6 * half);
        // More of them: the best through all. The same twice, or less than a gauge shows: no leak.
        var read = Enumerable.Range(0, 6).Select(i => new GaugeReading(600 * i, 60000 * Math.Pow(2, -600.0 * i / 5000))).ToList();
        Assert.Equal(5000, LeakDown.HalfLife(read)!.Value, 1e-6 * 5000);
        Assert.Null(LeakDown.HalfLife([new(0, 60000), new(3600, 60000)]));
        Assert.Null(LeakDown.HalfLife([new(0, 60000), new(3600, 59500)]));
        Assert.Null(LeakDown.HalfLife([new(0, 60000)]));
    }
}
