namespace Ochema.Core.Loads;

/// <summary>A random shaking of the host's skin: spectrum of its acceleration along each axis, (m/s²)²/Hz.</summary>
/// <param name="Id">Stable name.</param>
/// <param name="Label">In the user's words.</param>
/// <param name="Spectrum">Vertical acceleration spectrum over frequency, Hz.</param>
/// <param name="Along">Share of the vertical amplitude along and across the host.</param>
/// <param name="Source">Published or judgement, with range.</param>
/// <param name="Growth">Amplitude grows with this power of the speed.</param>
public sealed record RandomShake(string Id, string Label, Func<double, double> Spectrum, double Along, double Across, string Source,
    double Growth = 0)
{
    /// <summary>Rotation spectrum of the host itself about its cross axis, rad²/Hz, over frequency, Hz.</summary>
    public Func<double, double> Nodding { get; init; } = _ => 0;
}

/// <summary>A steady tremble: amplitude of acceleration, m/s², on each axis at a frequency, Hz.</summary>
public sealed record SineShake(string Id, string Label, double Frequency, double Amplitude, string Source);

/// <summary>Where a host shakes most: a mount with a frequency there goes along.</summary>
/// <param name="Label">What does it, a few words: "wheel hop".</param>
/// <param name="Low">Hz.</param>
/// <param name="High">Hz.</param>
public sealed record ShakeBand(string Label, double Low, double High);

/// <summary>What shakes a host. One file per way of being shaken; the numbers of a host stand in the host's own file.</summary>
public abstract record ShakeProfile
{
    /// <summary>Where it shakes most.</summary>
    public abstract ShakeBand Band { get; }

    /// <summary>Revolutions a minute that its engine usually does at a speed, m/s; null where none runs.</summary>
    public virtual double? Revolutions(double speed) => null;

    /// <summary>Random shakes at a speed, m/s, over a going.</summary>
    public abstract IReadOnlyList<RandomShake> Random(Going going, double speed);

    /// <summary>Steady trembles at a speed, m/s; <paramref name="rpm"/> as set, else usual.</summary>
    public virtual IReadOnlyList<SineShake> Steady(double speed, double? rpm) => [];

    /// <summary>
    /// Largest movement, per m/s² of participation, that a mode gets from a steady tremble as the engine runs through its revolutions, or
    /// from
    /// <paramref name="rpm"/> to <paramref name="rpmTo"/> where they are set: A·|1/(ω_n² − ω² + 2iζω_nω)|, m.
    /// </summary>
    /// <param name="frequency">Of the mode, Hz.</param>
    /// <param name="damping">Of the mode, ratio.</param>
    public double Worst(double frequency, double damping, double? rpm, double? rpmTo = null)
    {
        double Moves(SineShake s, double at)
        {
            var (n, w) = (2 * Math.PI * frequency, 2 * Math.PI * at);
            return s.Amplitude / Math.Sqrt(Math.Pow(n * n - w * w, 2) + Math.Pow(2 * damping * n * w, 2));
        }
        var runs = rpm is null && rpmTo is null
            ? Between(Steady(0, null), Steady(Fastest, null)) : Steady(0, rpm, rpmTo);
        return runs.Select(o => Moves(o.Shake, Math.Clamp(frequency, o.Shake.Frequency, o.To))).DefaultIfEmpty(0).Max();
    }

    /// <summary>
    /// Steady trembles at a speed, m/s, as the engine runs from <paramref name="rpm"/> to <paramref name="rpmTo"/>, whichever is more: each
    /// at the lowest frequency it has, and the highest, Hz. One that stands still at one end passes everything up to the other.
    /// </summary>
    public IReadOnlyList<(SineShake Shake, double To)> Steady(double speed, double? rpm, double? rpmTo) =>
        rpmTo is null ? [.. Steady(speed, rpm).Select(s => (s, s.Frequency))] : Between(Steady(speed, rpm), Steady(speed, rpmTo));

    private static IReadOnlyList<(SineShake Shake, double To)> Between(IReadOnlyList<SineShake> one, IReadOnlyList<SineShake> other) =>
        one.Count == 0 || other.Count == 0 ? [.. one.Concat(other).Select(s =>
            (s with { Frequency = Math.Min(Turning, s.Frequency) }, s.Frequency))]
            : [.. one.Zip(other, (a, b) => a.Frequency <= b.Frequency ? (a, b.Frequency) : (b, a.Frequency))];

    /// <summary>An engine that starts turns over at this, Hz: below it nothing rings (judgement).</summary>
    private const double Turning = 1;

    /// <summary>Speed whose usual revolutions are the most that are looked at, m/s.</summary>
    private const double Fastest = 70;
}
