namespace Ochema.Core.Loads;

/// <summary>A random shaking of the host's skin: spectrum of its acceleration along each axis, (m/s²)²/Hz.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Label">In the user's words.</param>
/// <param name="Spectrum">Vertical acceleration spectrum over frequency, Hz.</param>
/// <param name="Along">Share of the vertical amplitude along and across the host.</param>
/// <param name="Source">Published or judgement, with range.</param>
public sealed record RandomShake(string Id, string Label, Func<double, double> Spectrum, double Along, double Across, string Source);

/// <summary>A steady tremble: amplitude of acceleration, m/s², on each axis at a frequency, Hz.</summary>
public sealed record SineShake(string Id, string Label, double Frequency, double Amplitude, string Source);

/// <summary>An engine that shakes its host: four-stroke firing order rpm·cylinders/120, its half and double.</summary>
/// <param name="Amplitude">Acceleration of the skin at the firing order, m/s² (judgement, 0.3–3 ×).</param>
public sealed record Engine(int Cylinders, double RpmPerSpeed, double Idle, double Amplitude)
{
    /// <summary>Firing frequency, Hz, of a four-stroke.</summary>
    public static double Firing(double rpm, int cylinders) => rpm * cylinders / 120;

    /// <summary>Usual revolutions at a speed, m/s (judgement by usual gearing).</summary>
    public double Rpm(double speed) => Math.Max(Idle, RpmPerSpeed * speed);
}

/// <summary>What shakes a host, as a whole.</summary>
/// <param name="Wheels">Its quarter model; null where no wheels carry it.</param>
/// <param name="Base">Wheelbase, m: turns unequal axles into pitch.</param>
/// <param name="Engine">Null where none runs.</param>
/// <param name="Carried">A tabulated vertical spectrum for what is carried by a body: frequency, Hz, and (m/s²)²/Hz.</param>
public sealed record ShakeProfile(QuarterCar? Wheels, double Base, Engine? Engine, IReadOnlyList<(double Frequency, double Value)> Carried)
{
    /// <summary>Body shake along and across, as shares of the vertical amplitude (judgement, 0.3–0.8).</summary>
    private const double Along = 0.4;
    private const double Across = 0.5;

    public static ShakeProfile Car { get; } = new(new QuarterCar(350, 42, 22000, 1500, 190000), 2.7, new Engine(4, 85, 800, 0.15), []);

    public static ShakeProfile Motorcycle { get; } = new(new QuarterCar(105, 16, 17000, 900, 150000), 1.45, new Engine(2, 140, 1100, 2.5), []);

    /// <summary>No springs: the rider's body is what is sprung.</summary>
    public static ShakeProfile Bicycle { get; } = new(new QuarterCar(40, 3, 60000, 700, 90000), 1.02, null, []);

    /// <summary>A head on a riding or walking body: what the spine lets through (judgement, 0.3–3 ×).</summary>
    public static ShakeProfile Head { get; } = new(null, 1, null, [(0.3, 0.02), (1, 0.2), (2, 0.8), (4, 0.5), (8, 0.08), (16, 0.01), (40, 0.001), (200, 0.00005)]);

    /// <summary>A parked car: wind and people rock it on its tyres (judgement, 0.2–5 ×).</summary>
    public static ShakeProfile Parked { get; } = new(null, 2.7, null, [(0.3, 0.0002), (1, 0.002), (2, 0.004), (4, 0.001), (10, 0.00008), (40, 0.00001), (200, 0.000001)]);

    /// <summary>Random shakes at a speed on a surface.</summary>
    public IReadOnlyList<RandomShake> Random(RoadSurface surface, double speed)
    {
        if (Carried.Count > 0)
            return [new("carried", Wheels is null && Base > 1.5 ? "rocking on its tyres" : "the body it rides on", f => At(Carried, f), 0.7, 0.7, "judgement, 0.3–3 ×")];
        if (Wheels is not { } q || speed < 0.1)
            return [];
        var road = RoadProfile.ClassOf(surface);
        var g = RoadProfile.Unevenness(road);
        return [new("road", $"road, class {road}", f => q.BodyAcceleration(g, speed, f), Along, Across, $"ISO 8608 class {road} through a quarter model; masses and springs judgement, 0.7–1.4 ×")];
    }

    /// <summary>Steady trembles at a speed; <paramref name="rpm"/> as set, else usual.</summary>
    public IReadOnlyList<SineShake> Steady(double speed, double? rpm)
    {
        if (Engine is not { } e)
            return [];
        var n = rpm ?? e.Rpm(speed);
        if (n <= 0)
            return [];
        var firing = Engine.Firing(n, e.Cylinders);
        const string source = "four-stroke firing, rpm × cylinders ÷ 120; amplitude judgement, 0.3–3 ×";
        return [new("engine-half", "engine, half order", firing / 2, 0.4 * e.Amplitude, source), new("engine", "engine, firing", firing, e.Amplitude, source), new("engine-double", "engine, second order", 2 * firing, 0.5 * e.Amplitude, source)];
    }

    /// <summary>Rotation spectrum of the host itself, rad²/Hz, from axles that follow the road apart: 2·S_z/L².</summary>
    public double Pitch(RandomShake shake, double frequency) =>
        Wheels is null ? 0 : 2 * shake.Spectrum(frequency) / Math.Pow(2 * Math.PI * frequency, 4) / (Base * Base);

    /// <summary>Straight between points in logarithms of both.</summary>
    private static double At(IReadOnlyList<(double Frequency, double Value)> table, double f)
    {
        if (f <= table[0].Frequency)
            return table[0].Value;
        for (var i = 1; i < table.Count; i++)
            if (f <= table[i].Frequency)
            {
                var t = Math.Log(f / table[i - 1].Frequency) / Math.Log(table[i].Frequency / table[i - 1].Frequency);
                return table[i - 1].Value * Math.Pow(table[i].Value / table[i - 1].Value, t);
            }
        return table[^1].Value;
    }
}
