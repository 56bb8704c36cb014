namespace Ochema.Core.Loads;

/// <summary>An engine that shakes its host: four-stroke firing order rpm·cylinders/120, its half and double.</summary>
/// <param name="RpmPerSpeed">Revolutions a minute for each m/s of the host, by usual gearing (judgement).</param>
/// <param name="Idle">Fewest revolutions a minute.</param>
/// <param name="Amplitude">Acceleration of the skin at the firing order, m/s² (judgement, 0.3–3 ×).</param>
public sealed record Engine(int Cylinders, double RpmPerSpeed, double Idle, double Amplitude)
{
    private const string Source = "four-stroke firing, rpm × cylinders ÷ 120; amplitude judgement, 0.3–3 ×";

    /// <summary>Firing frequency, Hz, of a four-stroke.</summary>
    public static double Firing(double rpm, int cylinders) => rpm * cylinders / 120;

    /// <summary>Usual revolutions at a speed, m/s (judgement by usual gearing).</summary>
    public double Rpm(double speed) => Math.Max(Idle, RpmPerSpeed * speed);

    /// <summary>Its orders at a speed, m/s; none when it stands.</summary>
    public IReadOnlyList<SineShake> Orders(double speed, double? rpm)
    {
        var n = rpm ?? Rpm(speed);
        if (n <= 0)
            return [];
        var firing = Firing(n, Cylinders);
        return [new("engine-half", "engine, half order", firing / 2, 0.4 * Amplitude, Source),
            new("engine", "engine, firing", firing, Amplitude, Source),
                new("engine-double", "engine, second order", 2 * firing, 0.5 * Amplitude, Source)];
    }
}

/// <summary>A propeller in air or water: turning once, and its blades passing, rpm·blades/60.</summary>
/// <param name="Gear">Propeller turns for one of the engine.</param>
/// <param name="Amplitude">Acceleration of the skin as the blades pass, m/s² (judgement, 0.3–3 ×).</param>
public sealed record Propeller(int Blades, double Gear, double Amplitude)
{
    private const string Source = "blades passing, rpm × blades ÷ 60; amplitude judgement, 0.3–3 ×";

    /// <summary>Frequency, Hz, at which blades pass.</summary>
    public static double Passing(double rpm, int blades) => rpm * blades / 60;

    /// <summary>Its orders at engine revolutions a minute.</summary>
    public IReadOnlyList<SineShake> Orders(double rpm) => rpm <= 0 ? []
        : [new("propeller-turn", "propeller, turning", Gear * rpm / 60, 0.3 * Amplitude, Source),
            new("propeller-blades", "propeller, blades", Passing(Gear * rpm, Blades), Amplitude, Source)];
}
