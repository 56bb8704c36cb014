namespace Ochema.Core.Proving;

/// <summary>
/// Stand-ins for instruments that are not at hand: they make up readings from the model, with noise, offset and rounding. The same seed
/// reads the same. What they read is marked so wherever it is shown.
/// </summary>
public static class StandIns
{
    /// <summary>A cheap luggage scale: its division of fifty grams and what it is off by, N; its scatter as a share (judgement).</summary>
    private const double Division = 0.05 * Loads.MotionProfile.Gravity, Offset = 0.5, Scatter = 0.02;

    /// <summary>How much more than asked somebody pulls, as a share.</summary>
    private const double Over = 0.04;

    /// <summary>A gauge's division, Pa.</summary>
    private const double GaugeDivision = 1000;

    private static double Noise(Random random) =>
        Math.Sqrt(-2 * Math.Log(1 - random.NextDouble())) * Math.Cos(2 * Math.PI * random.NextDouble());

    /// <summary>What a scale, or a phone for "tap", reads; null where there is nothing to read.</summary>
    /// <returns>N at the scale, or Hz.</returns>
    public static double? Read(ProveReport report, string of, int seed)
    {
        var random = new Random(seed);
        if (report.Ladder.FirstOrDefault(r => r.Id == of) is { Sort: RungSort.Tap })
            return report.Frequency is { } f ? Math.Round(f * (1 + 0.02 * Noise(random)), 1) : null;
        return report.Pulls.Concat(report.Levers).FirstOrDefault(p => p.Id == of) is { } test ? Scale(test.Enough * (1 + Over), random) : null;
    }

    /// <summary>A luggage scale at a pull, N.</summary>
    public static double Scale(double newtons, Random random) =>
        Math.Max(0, Division * Math.Round((newtons * (1 + Scatter * Noise(random)) + Offset) / Division));

    /// <summary>A vacuum gauge some time after a cup was pumped up, Pa.</summary>
    /// <param name="pumped">Pa, right after.</param>
    /// <param name="later">s.</param>
    /// <param name="halfLife">s.</param>
    public static double Gauge(double pumped, double later, double halfLife, Random random) =>
        Math.Max(0, GaugeDivision * Math.Round((pumped * Math.Pow(2, -later / halfLife) * (1 + 0.01 * Noise(random))) / GaugeDivision));
}
