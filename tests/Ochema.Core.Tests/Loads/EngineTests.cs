using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>Engines, propellers, and tables that stand for hosts without wheels.</summary>
public class EngineTests
{
    [Theory] // four-stroke: each cylinder fires every second turn
    [InlineData(3000, 4, 100)]
    [InlineData(1800, 2, 30)]
    [InlineData(2400, 6, 120)]
    public void FiringFrequency(double rpm, int cylinders, double hertz) => Near.Share(hertz, Engine.Firing(rpm, cylinders), 1e-12);

    [Theory] // rpm·blades/60
    [InlineData(2400, 2, 80)]
    [InlineData(2700, 3, 135)]
    public void BladePassing(double rpm, int blades, double hertz) => Near.Share(hertz, Propeller.Passing(rpm, blades), 1e-12);

    [Fact]
    public void AGearedPropellerTurnsSlower()
    {
        var orders = new Propeller(3, 0.5, 1).Orders(4800);
        Assert.Equal([40.0, 120], orders.Select(o => o.Frequency));
        Assert.Empty(new Propeller(3, 0.5, 1).Orders(0));
    }

    [Fact]
    public void RevolutionsAsSetBeatTheGearing()
    {
        var engine = new Engine(4, 85, 800, 1);
        Assert.Equal(800, engine.Rpm(1));
        Near.Share(1700, engine.Rpm(20), 1e-12);
        Assert.Equal(100, engine.Orders(20, 3000).Single(o => o.Id == "engine").Frequency);
        Assert.Empty(engine.Orders(20, 0));
    }

    [Theory] // from the one to the other, whichever is more; from standing still everything up to it
    [InlineData(3000.0, 5000.0, 100, 166.6667)]
    [InlineData(5000.0, 3000.0, 100, 166.6667)]
    [InlineData(0.0, 3000.0, 1, 100)]
    [InlineData(3000.0, 0.0, 1, 100)]
    [InlineData(3000.0, null, 100, 100)]
    [InlineData(null, 1.0, 0.03333, 26.6667)] // idle at 800, and down to one turn a minute
    public void ARangeOfRevolutionsIsOneWhicheverEndIsNamedFirst(double? rpm, double? rpmTo, double from, double to)
    {
        var (shake, highest) = RoadHost.Steady(0, rpm, rpmTo).Single(s => s.Shake.Id == "engine");
        Near.Share(from, shake.Frequency, 1e-3);
        Near.Share(to, highest, 1e-3);
    }

    [Fact] // it can never be less than at either end of the range, nor than at a mode between
    public void TheWorstOfARangeIsAtLeastThatOfItsEnds()
    {
        foreach (var (one, other) in new[] { (2000.0, 6000.0), (6000.0, 2000.0), (0, 6000), (1, 700) })
            foreach (var frequency in new[] { 5.0, 50, 90, 180, 400 })
            {
                var whole = RoadHost.Worst(frequency, 0.03, one, other);
                Assert.True(double.IsFinite(whole));
                Assert.True(whole >= RoadHost.Worst(frequency, 0.03, one) - 1e-15 && whole >= RoadHost.Worst(frequency, 0.03, other)
                    - 1e-15);
                Near.Share(whole, RoadHost.Worst(frequency, 0.03, other, one), 1e-12);
            }
    }

    /// <summary>Four cylinders, idling at 800.</summary>
    private static ShakeProfile RoadHost => HostLibrary.Find("estate")!.Shake;

    [Fact] // at resonance a steady tremble moves a mode by A/(2ζω²); far below it by A/ω²
    public void TheWorstTrembleIsAtResonanceWhereTheRevolutionsReachIt()
    {
        var profile = new RoadShake(new QuarterCar(350, 42, 22000, 1500, 190000), 2.7, new Engine(4, 85, 800, 2));
        var w = 2 * Math.PI * 60;
        Near.Share(2 / (2 * 0.03 * w * w), profile.Worst(60, 0.03, null), 0.01);
        // As set far above, the mode hardly follows.
        Assert.True(profile.Worst(60, 0.03, 12000) < 0.1 * profile.Worst(60, 0.03, null));
        // Nothing reaches far below idle, but what is stiff moves with its seat.
        var stiff = 2 * Math.PI * 4000;
        Near.Share(2 / (stiff * stiff), profile.Worst(4000, 0.03, 3000), 0.02);
        Assert.Equal(0, (profile with { Engine = null }).Worst(60, 0.03, null));
    }

    [Fact]
    public void TablesAreMetAtTheirPointsAndGrowAsSaid()
    {
        var boat = (TabulatedShake)HostLibrary.Find("skiff")!.Shake;
        var shake = Assert.Single(boat.Random(Going.Average, boat.Reference));
        foreach (var (f, v) in boat.Table)
            Near.Share(v, shake.Spectrum(f), 1e-12);
        // Straight in logarithms between points; amplitude with the speed, so power with its square.
        Near.Share(Math.Sqrt(boat.Table[2].Value * boat.Table[3].Value),
            shake.Spectrum(Math.Sqrt(boat.Table[2].Frequency * boat.Table[3].Frequency)), 1e-9);
        Near.Share(4 * shake.Spectrum(2), boat.Random(Going.Average, 2 * boat.Reference)[0].Spectrum(2), 1e-12);
        Near.Share(Math.Pow(boat.Goings[2], 2) * shake.Spectrum(2), boat.Random(Going.Rough, boat.Reference)[0].Spectrum(2), 1e-12);
        Assert.Empty(boat.Random(Going.Average, 0));
    }

    [Fact] // common practice, no source: cars' wheels hop at 8 to 16 Hz
    public void WheelsHopWhereTheirMassAndTyreSay()
    {
        Assert.Equal(new ShakeBand("wheel hop", 8, 16), CarHost.Rolling.Band);
        Assert.True(Bicycle.Rolling.Band.Low > CarHost.Rolling.Band.High, "light wheels on hard tyres hop faster");
    }
}
