using Ochema.Core.Structure;

namespace Ochema.Core.Loads;

/// <summary>
/// A host that turns about an axis: what sits on it is pulled outwards by ω²·r, each bit by its own distance from the axis. The speed that
/// is asked about is that of the place, ω·R.
/// </summary>
/// <param name="Axis">Unit vector.</param>
/// <param name="Through">A point of the axis, m.</param>
/// <param name="Radius">Of the place that the speed is said of, m.</param>
/// <param name="Tumbles">True where the weight goes round in its axes as it turns: a wheel on edge.</param>
/// <param name="Swings">True where it goes to and fro: the speed is that at its lowest.</param>
public sealed record Spin(Vec3 Axis, Vec3 Through, double Radius, bool Tumbles = false, bool Swings = false)
{
    /// <summary>Turning rate at a speed of the place, rad/s.</summary>
    /// <param name="speed">m/s.</param>
    public double Rate(double speed) => speed / Radius;

    /// <summary>Turns a minute at a speed of the place, m/s.</summary>
    public double Rpm(double speed) => Rate(speed) * 30 / Math.PI;

    /// <summary>Way out from the axis to a point, m: times ω² it is what pulls there, m/s².</summary>
    public Vec3 Outward(Vec3 point) => (point - Through).PerpendicularTo(Axis);
}
