namespace Ochema.Core.Responses;

/// <summary>
/// Uses that differ in their last digits only are alike: of a rig's two mirrored sides the one that is thought of first is named, whatever
/// the order of sums.
/// </summary>
internal static class Ties
{
    /// <summary>Differences below this share are rounding.</summary>
    private const double Rounding = 1e-9;

    /// <summary>True where a use is higher than another by more than rounding.</summary>
    public static bool Beats(double use, double other) => use > other + Rounding * Math.Abs(other);

    /// <summary>The use to nine figures, to put in order by.</summary>
    public static double Level(double use)
    {
        if (use is 0 || !double.IsFinite(use))
            return use;
        var digits = 8 - (int)Math.Floor(Math.Log10(Math.Abs(use)));
        return digits is >= 0 and <= 15 ? Math.Round(use, digits) : use;
    }

    /// <summary>Index of the first of the highest; −1 where there is none.</summary>
    public static int Highest(IReadOnlyList<double> uses)
    {
        var at = uses.Count > 0 ? 0 : -1;
        for (var i = 1; i < uses.Count; i++)
            if (Beats(uses[i], uses[at]))
                at = i;
        return at;
    }
}
