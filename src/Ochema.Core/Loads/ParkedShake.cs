namespace Ochema.Core.Loads;

/// <summary>
/// A car that stands: those in it rock it, and gusts from the side roll it on its springs, which turns even the stiffest mount.
/// </summary>
/// <param name="People">What somebody moving in it does.</param>
/// <param name="Car">What the wind takes hold of.</param>
public sealed record ParkedShake(TabulatedShake People, ParkedShake.Body Car) : ShakeProfile
{
    /// <summary>
    /// Gusts near open ground, root mean square as a share of the wind: 1 ÷ ln(z ÷ z₀) at 1.5 m over grass of 30 mm (Holmes, "Wind Loading
    /// of Structures", ch. 3).
    /// </summary>
    public const double Unrest = 0.26;

    /// <summary>Length of those gusts, m (judgement, 10–60).</summary>
    public const double Gusts = 25;

    /// <summary>A car's side across the wind, on its area (judgement, 0.8–1.2).</summary>
    private const double SideDrag = 1.0;

    private static readonly double Density = Atmosphere.Density(0, Atmosphere.SeaLevelTemperature);

    /// <summary>Damping of its rolling (judgement, 0.15–0.35).</summary>
    private const double Damping = 0.25;

    /// <summary>What rolls in the wind.</summary>
    /// <param name="Length">Of its side, m.</param>
    /// <param name="Height">Of its side, m: the wind pulls at half of it over the axis that it rolls about.</param>
    /// <param name="Stiffness">Against rolling, N·m/rad.</param>
    /// <param name="Inertia">Of rolling, kg·m².</param>
    public sealed record Body(double Length, double Height, double Stiffness, double Inertia)
    {
        /// <summary>It rolls by itself at this, Hz.</summary>
        public double Frequency => Math.Sqrt(Stiffness / Inertia) / (2 * Math.PI);

        /// <summary>
        /// Rolling of a car on springs: four wheels' springs and tyres in series at half a track, k·T², a third more by its stabilisers;
        /// inertia of a body as wide as its track and its height (judgement, 0.7–1.4 ×).
        /// </summary>
        /// <param name="wheels">One wheel's share.</param>
        /// <param name="track">Wheel to wheel across, m.</param>
        public static Body On(QuarterCar wheels, double track, double length, double height)
        {
            var wheel = 1 / (1 / wheels.Spring + 1 / wheels.Tyre);
            return new(length, height, Stabilised * wheel * track * track, 4 * wheels.SprungMass * (track * track + height * height) / 12);
        }

        private const double Stabilised = 1.33;
    }

    public override ShakeBand Band => People.Band;

    public override IReadOnlyList<RandomShake> Random(Going going, double speed) =>
    [
        .. People.Random(going, speed),
        new("wind", "wind that rocks the car", _ => 0, 0, 0,
            "gusts on its side, quasi-steady (Holmes, ch. 5), through its rolling on its springs; judgement, 0.3–2 ×", Growth: 2)
        {
            Nodding = f => Rolling(f, speed),
        },
    ];

    /// <summary>
    /// Spectrum of its rolling in a wind, rad²/Hz: (ρ·V·C·A·½h ÷ k)² times that of the gusts, what of them covers the whole side, and its
    /// own resonance.
    /// </summary>
    public double Rolling(double frequency, double wind)
    {
        if (wind < 0.1)
            return 0;
        var moment = Density * wind * SideDrag * Car.Length * Car.Height * Car.Height / 2;
        var r = frequency / Car.Frequency;
        var resonance = 1 / (Math.Pow(1 - r * r, 2) + Math.Pow(2 * Damping * r, 2));
        return Math.Pow(moment / Car.Stiffness, 2) * resonance * Turbulence.Spectrum(Unrest * wind, wind, frequency, Gusts)
            * Turbulence.Admittance(frequency, Car.Length, wind);
    }
}
