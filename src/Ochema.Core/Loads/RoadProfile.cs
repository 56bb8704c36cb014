namespace Ochema.Core.Loads;

/// <summary>
/// Road unevenness by class: displacement spectra G_d(n) = G_d(n₀)·(n/n₀)⁻² with n₀ = 0.1 cycles/m (ISO 8608:1995, geometric means of
/// the classes A to E: 16, 64, 256, 1024, 4096 · 10⁻⁶ m³).
/// </summary>
public static class RoadProfile
{
    /// <summary>Reference spatial frequency, cycles/m.</summary>
    public const double ReferenceFrequency = 0.1;

    private static readonly double[] Classes = [16e-6, 64e-6, 256e-6, 1024e-6, 4096e-6];

    /// <summary>G_d(n₀), m³, of a class 'A' to 'E'.</summary>
    public static double Unevenness(char roadClass) => Classes[char.ToUpperInvariant(roadClass) - 'A'];

    /// <summary>The class that a surface is taken as: smooth A, average B, rough C, gravel and cobbles D, a field E (judgement).</summary>
    public static char ClassOf(Going s) => s switch
    {
        Going.Smooth => 'A',
        Going.Average => 'B',
        Going.Rough => 'C',
        Going.Track => 'D',
        _ => 'E'
    };

    /// <summary>Displacement spectrum in time, m²/Hz, at a speed, m/s: G_d(n₀)·n₀²·V/f².</summary>
    public static double Displacement(double unevenness, double speed, double frequency) =>
        unevenness * ReferenceFrequency * ReferenceFrequency * speed / (frequency * frequency);
}

/// <summary>A quarter of a vehicle: sprung and unsprung mass, spring, damper, tyre (SI).</summary>
public sealed record QuarterCar(double SprungMass, double UnsprungMass, double Spring, double Damper, double Tyre)
{
    /// <summary>|acceleration of the body ÷ displacement of the road|², 1/s⁴, at a frequency, Hz.</summary>
    public double BodyGain(double frequency)
    {
        var w = 2 * Math.PI * frequency;
        System.Numerics.Complex s = new(0, w);
        var link = Spring + Damper * s;
        // Body: m_s·s²·z_s = link·(z_u − z_s); wheel: m_u·s²·z_u = −link·(z_u − z_s) + k_t·(z_r − z_u).
        var body = SprungMass * s * s + link;
        var wheel = UnsprungMass * s * s + link + Tyre;
        var gain = link * Tyre / (body * wheel - link * link) * (s * s);
        return gain.Real * gain.Real + gain.Imaginary * gain.Imaginary;
    }

    /// <summary>Vertical acceleration spectrum of the body, (m/s²)²/Hz.</summary>
    public double BodyAcceleration(double unevenness, double speed, double frequency) => BodyGain(frequency)
        * RoadProfile.Displacement(unevenness, speed, frequency);
}
