namespace Ochema.Core.Loads;

/// <summary>What a stabiliser leaves of a movement.</summary>
public static class StabiliserShare
{
    /// <summary>What a stabiliser leaves of a frequency: a second-order high-pass at its corner, squared gain (judgement by
    /// class).</summary>
    public static double Left(double frequency, double corner)
    {
        if (corner <= 0)
            return 1;
        var x = Math.Pow(frequency / corner, 4);
        return x / (1 + x);
    }
}
