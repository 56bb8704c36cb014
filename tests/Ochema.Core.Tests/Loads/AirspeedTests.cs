using Ochema.Core.Analysis;
using Ochema.Core.Loads;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>Aircraft read indicated airspeed: what presses at a reading is the same at any altitude.</summary>
public sealed class AirspeedTests
{
    private static double Pressure(string name, double altitude, Airspeed airspeed)
    {
        var rig = RigFiles.Named(name);
        rig = rig with
        {
            Run = rig.Run with
            {
                Altitude = altitude,
                Airspeed = airspeed,
                Gust = 0,
                HeadWind = 0,
                Temperature = Atmosphere.StandardTemperature(altitude)
            },
        };
        return new RigModel(rig, Catalogue.Shipped).Pressure(50);
    }

    [Fact] // ISO 2533: 0.9091 kg/m³ at 3,000 m; 1.225 there is 35 % more
    public void IndicatedPressesTheSameAtAnyAltitudeAndTrueLess()
    {
        Near.Share(Pressure("strut-clamps", 0, Airspeed.Indicated), Pressure("strut-clamps", 3000, Airspeed.Indicated), 1e-9);
        Near.Share(1.225 / 0.9091, Pressure("strut-clamps", 3000, Airspeed.Indicated) / Pressure("strut-clamps", 3000, Airspeed.True),
            1e-3);
        Near.Share(Pressure("strut-clamps", 0, Airspeed.Indicated), Pressure("strut-clamps", 0, Airspeed.True), 1e-9);
    }

    [Fact] // cars read their wheels
    public void OnTheRoadSpeedIsSpeed() =>
        Assert.Equal(Pressure("split-block", 3000, Airspeed.True), Pressure("split-block", 3000, Airspeed.Indicated), 1e-9);

    [Theory] // √(ρ₀ ÷ ρ): 1.0 and, at 3,000 m and 10,000 ft in the standard atmosphere, the known 1.16
    [InlineData(0, 1.0)]
    [InlineData(3048, 1.1635)]
    public void TheFactorIsThatOfTheTables(double altitude, double factor) =>
        Assert.Equal(factor, Atmosphere.TrueOverIndicated(altitude, Atmosphere.StandardTemperature(altitude)), 0.0005);
}
