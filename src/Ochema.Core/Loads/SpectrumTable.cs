namespace Ochema.Core.Loads;

/// <summary>A spectrum given at a few frequencies.</summary>
internal static class SpectrumTable
{
    /// <summary>Straight between points in logarithms of both; level beyond the ends.</summary>
    public static double At(IReadOnlyList<(double Frequency, double Value)> table, double f)
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
