namespace Ochema.Core.Loads;

/// <summary>A host whose shaking is known as a table: what a body carries, what rocks on its tyres, a skin in the air, a hull on
/// waves.</summary>
/// <param name="Label">In the user's words.</param>
/// <param name="Table">Vertical acceleration, (m/s²)²/Hz, over frequency, Hz, over average going at <see cref="Reference"/>.</param>
/// <param name="Along">Share of the vertical amplitude along and across the host.</param>
/// <param name="Most">Where it shakes most.</param>
/// <param name="Goings">Amplitude over smooth, average and rough going, as shares of the table.</param>
public sealed record TabulatedShake(string Label, IReadOnlyList<(double Frequency, double Value)> Table, double Along, double Across,
    ShakeBand Most, IReadOnlyList<double> Goings) : ShakeProfile
{
    public override ShakeBand Band => Most;

    /// <summary>Speed the table is for, m/s, and the power of the speed that amplitudes grow with; 0 for what does not depend on
    /// it.</summary>
    public double Reference { get; init; } = 1;

    public double Growth { get; init; }

    /// <summary>Published or judgement, with range.</summary>
    public string Source { get; init; } = "judgement, 0.3–3 ×";

    /// <summary>
    /// How far ahead lies what it turns about as it goes up and down, m: half a hull that rides on waves, where the eyes rest. Its vertical
    /// movement over this is its nodding, which no mount takes away; infinite where it does not turn.
    /// </summary>
    public double NodsAbout { get; init; } = double.PositiveInfinity;

    public Engine? Engine { get; init; }

    public Propeller? Propeller { get; init; }

    public override IReadOnlyList<RandomShake> Random(Going going, double speed)
    {
        var amplitude = Goings[Math.Min((int)going, Goings.Count - 1)] * (Growth > 0 ? Math.Pow(speed / Reference, Growth) : 1);
        double Carries(double f) => amplitude * amplitude * SpectrumTable.At(Table, f);
        return amplitude <= 0 ? []
            : [new("carried", Label, Carries, Along, Across, Source, Growth)
            {
                Nodding = f => Carries(f) / Math.Pow(2 * Math.PI * f, 4) / (NodsAbout * NodsAbout),
            }];
    }

    public override double? Revolutions(double speed) => Engine?.Rpm(speed);

    public override IReadOnlyList<SineShake> Steady(double speed, double? rpm) => Engine is not { } e ? []
        : [.. e.Orders(speed, rpm), .. Propeller?.Orders(rpm ?? e.Rpm(speed)) ?? []];
}
