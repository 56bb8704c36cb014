using MathNet.Numerics;

namespace Ochema.Core.Running;

/// <summary>A reading of a vacuum gauge.</summary>
/// <param name="At">s since the first.</param>
/// <param name="Vacuum">Pa below the air around.</param>
public sealed record GaugeReading(double At, double Vacuum);

/// <summary>
/// How a cup leaks: exponentially, as what flows in through a fixed leak goes with what is still missing. Two readings give the half-life,
/// more of them the best through all (least squares of the logarithm).
/// </summary>
public static class LeakDown
{
    /// <summary>No gauge tells readings nearer together than this share apart: the half-life is then no shorter than they say.</summary>
    private const double Division = 0.02;

    /// <summary>Half-life, s; null of fewer than two readings apart in time, or where nothing has leaked that a gauge shows.</summary>
    public static double? HalfLife(IReadOnlyList<GaugeReading> readings)
    {
        var told = readings.Where(r => r.Vacuum > 0).OrderBy(r => r.At).ToList();
        if (told.Count < 2 || told[^1].At - told[0].At <= 0)
            return null;
        var (_, slope) = Fit.Line([.. told.Select(r => r.At)], [.. told.Select(r => Math.Log(r.Vacuum))]);
        // Less than a division of the gauge is no leak that was seen.
        return slope < 0 && told[^1].Vacuum < told[0].Vacuum * (1 - Division) ? -Math.Log(2) / slope : null;
    }
}
