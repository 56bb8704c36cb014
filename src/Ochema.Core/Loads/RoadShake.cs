namespace Ochema.Core.Loads;

/// <summary>A host on wheels: the road's unevenness (ISO 8608) through a quarter model, and its engine.</summary>
/// <param name="Base">Wheelbase, m: turns unequal axles into nodding.</param>
/// <param name="Engine">Null where none runs.</param>
public sealed record RoadShake(QuarterCar Wheels, double Base, Engine? Engine) : ShakeProfile
{
    /// <summary>Body shake along and across, as shares of the vertical amplitude (judgement, 0.3–0.8).</summary>
    private const double Along = 0.4;
    private const double Across = 0.5;

    /// <summary>Wheels hop at √((tyre + spring) ÷ wheel's mass), 0.7 to 1.4 times of it (common practice, no source: 8 to 16 Hz for
    /// cars).</summary>
    public override ShakeBand Band
    {
        get
        {
            var hop = Math.Sqrt((Wheels.Tyre + Wheels.Spring) / Wheels.UnsprungMass) / (2 * Math.PI);
            return new("wheel hop", Math.Round(0.7 * hop), Math.Round(1.4 * hop));
        }
    }

    public override IReadOnlyList<RandomShake> Random(Going going, double speed)
    {
        if (speed < 0.1)
            return [];
        var road = RoadProfile.ClassOf(going);
        var g = RoadProfile.Unevenness(road);
        double Body(double f) => Wheels.BodyAcceleration(g, speed, f);
        return
        [
            new("road", $"road, class {road}", Body, Along, Across,
                $"ISO 8608 class {road} through a quarter model; masses and springs judgement, 0.7–1.4 ×", Growth: 0.5)
            {
                // Axles that follow the road apart: 2·S_z/L².
                Nodding = f => 2 * Body(f) / Math.Pow(2 * Math.PI * f, 4) / (Base * Base),
            },
        ];
    }

    public override double? Revolutions(double speed) => Engine?.Rpm(speed);

    public override IReadOnlyList<SineShake> Steady(double speed, double? rpm) => Engine?.Orders(speed, rpm) ?? [];
}
