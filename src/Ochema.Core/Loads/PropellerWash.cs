using Ochema.Core.Structure;

namespace Ochema.Core.Loads;

/// <summary>
/// Air behind a propeller at full throttle, as behind an actuator disc: it adds its thrust over its disc, T ÷ A, to the dynamic pressure
/// far behind (Rankine and Froude; McCormick, "Aerodynamics, Aeronautics and Flight Mechanics", ch. 6, from memory).
/// </summary>
/// <param name="Hub">m, host axes; it blows backwards.</param>
/// <param name="Radius">m.</param>
/// <param name="Thrust">Standing still, N (judgement, 0.8–1.25 ×).</param>
/// <param name="Power">That it turns into thrust in flight, W (judgement, 0.8–1.2 ×).</param>
public sealed record PropellerWash(Vec3 Hub, double Radius, double Thrust, double Power)
{
    /// <summary>Pressure that it adds far behind, Pa, at a speed through the air, m/s: its thrust standing still, then as much as its power
    /// allows.</summary>
    public double Pressure(double speed) => Math.Min(Thrust, Power / Math.Max(speed, 0.1)) / (Math.PI * Radius * Radius);

    /// <summary>
    /// Share of it that reaches a place, m: none ahead of the disc and beside it. The air speeds up by 1 + x ÷ √(x² + R²) as it goes (a
    /// semi-infinite tube of vortices, on its axis). Standing still it draws together to 0.7 R, in flight hardly: the whole disc is
    /// counted, and no swirl decays.
    /// </summary>
    public double Share(Vec3 at)
    {
        var (behind, y, z) = (Hub.X - at.X, at.Y - Hub.Y, at.Z - Hub.Z);
        if (behind < 0 || y * y + z * z > Radius * Radius)
            return 0;
        var grown = 1 + behind / Math.Sqrt(behind * behind + Radius * Radius);
        return grown * grown / 4;
    }

    /// <summary>Unrest of the air in it, the wakes of its blades with it, as a share of its speed (judgement, 0.05–0.2).</summary>
    public const double Unrest = 0.10;

    /// <summary>Length of what whirls in it, m: between a blade's width and its radius (judgement, 0.1–1 of the radius).</summary>
    public double Whirls => 0.3 * Radius;

    /// <summary>Speed of the air far behind, m/s.</summary>
    /// <param name="speed">Through the air, m/s.</param>
    /// <param name="density">kg/m³.</param>
    public double Speed(double speed, double density) => Math.Sqrt(speed * speed + 2 * Pressure(speed) / density);

    /// <summary>
    /// It twists by some 10 to 15° (the engine's torque over the air's mass flow, at 0.7 R): from ahead, and as the yaw of
    /// <see cref="MotionProfile.Yaw"/> to either side.
    /// </summary>
    public static IReadOnlyList<RigCase> Cases { get; } =
    [
        .. new[] { "", ", twisting from the left", ", twisting from the right" }.Select((twist, i) =>
            new RigCase($"wash-{i}", $"full throttle, in the propeller's wash{twist}", new(0, 0, -MotionProfile.Gravity), i,
                Vec3.Zero) { Wash = true }),
    ];
}
