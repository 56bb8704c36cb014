using Ochema.Core.Loads;
using Ochema.Core.Rigs;

namespace Ochema.Core.Analysis.Sources;

/// <summary>The air that a rig meets: as dense and thick as on its day, as fast as its host, its place and the wind make it.</summary>
internal sealed class AirOfDay(BuiltRig b)
{
    /// <summary>kg/m³.</summary>
    public double Density { get; } = Atmosphere.Density(b.Rig.Run.Altitude, b.Rig.Run.Temperature);

    /// <summary>Kinematic, m²/s.</summary>
    public double Viscosity { get; } = Atmosphere.KinematicViscosity(b.Rig.Run.Altitude, b.Rig.Run.Temperature);

    /// <summary>Relative wind with its gust at a travel speed, m/s: V·z + head wind + gust.</summary>
    public double Meets(double speed) => b.ThroughAir(speed) * b.WindFactor + b.Rig.Run.HeadWind + b.Rig.Run.Gust;

    /// <summary>Dynamic pressure at a travel speed, Pa: ½ρ(V·z + head wind + gust)².</summary>
    public double Pressure(double speed)
    {
        var v = Meets(speed);
        return 0.5 * Density * v * v;
    }
}
