using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;
using Ochema.Core.Tests.Support;

namespace Ochema.Core.Tests.Loads;

/// <summary>What carries a mount turns by itself, however stiff the mount is: parked cars in the wind, hulls on waves, heads.</summary>
public sealed class HostNodsTests
{
    private static readonly QuarterCar Wheels = new(350, 42, 22000, 1500, 190000);

    [Fact] // slow gusts are a static load: moment ÷ stiffness
    public void SlowGustsRollAParkedCarAsAStaticMomentDoes()
    {
        var car = ParkedShake.Body.On(Wheels, 1.5, 4.5, 1.2);
        var shake = new ParkedShake(HideHost.Rocking, car);
        const double wind = 10, slow = 1e-3;
        var density = Atmosphere.Density(0, Atmosphere.SeaLevelTemperature);
        // F = ½ρ(V + u)²·A: dF = ρ·V·A·u.
        var turnPerGust = density * wind * 4.5 * 1.2 * 0.6 / car.Stiffness;
        Near.Share(turnPerGust * turnPerGust * Turbulence.Spectrum(0.26 * wind, wind, slow, ParkedShake.Gusts), shake.Rolling(slow, wind),
            0.01);
        // Four wheels' springs at half a track, in series with their tyres, a third more by stabilisers.
        Near.Share(1.33 * 4 * (22000.0 * 190000 / 212000) * 0.75 * 0.75, car.Stiffness, 1e-9);
        Assert.InRange(car.Frequency, 1.0, 3.0);
    }

    [Fact] // Holmes, ch. 3: 1 ÷ ln(1.5 ÷ 0.03)
    public void GustsAreAQuarterOfTheWindNearGround() => Near.Share(1 / Math.Log(1.5 / 0.03), ParkedShake.Unrest, 0.02);

    [Fact]
    public void NoWindRollsNothing() => Assert.Equal(0, new ParkedShake(HideHost.Rocking, ParkedShake.Body.On(Wheels, 1.5, 4.5, 1.2))
        .Rolling(1, 0));

    [Theory]
    [InlineData("window-slot")]
    [InlineData("window-bag")]
    [InlineData("window-foam")]
    [InlineData("foredeck-cup")]
    [InlineData("bridle")]
    [InlineData("helmet-stuck")]
    public void NoMountTakesItsHostsOwnTurningAway(string name)
    {
        var rig = RigFiles.Named(name);
        double Floor(double speed) => Shaker.Of(rig with { Run = rig.Run with { Speed = speed } },
            Catalogue.Shipped).Picture.Numbers.Max(n => n.Floor);
        Assert.True(Floor(rig.Run.Speed) > 0.01);
        if (HostLibrary.Find(rig.Host)!.Shake.Random(rig.Run.Road, 2).Any(s => s.Growth > 0))
            Assert.True(Floor(1.5 * rig.Run.Speed) > Floor(rig.Run.Speed));
    }
}
