using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>Lengths that screws are sold in (ISO 888; ASME B18.2.1 and usual hardware-shop inch lengths), m.</summary>
public static class StockLengths
{
    private static readonly double[] Metric = [6, 8, 10, 12, 16, 20, 25, 30, 35, 40, 45, 50, 55, 60, 65, 70, 75, 80, 90, 100, 110, 120, 130,
        140, 150];
    private static readonly double[] InchEighths = [2, 3, 4, 5, 6, 7, 8, 10, 12, 14, 16, 18, 20, 22, 24, 28, 32, 36, 40, 44, 48];

    /// <summary>Lengths for a thread, shortest first, m.</summary>
    public static IReadOnlyList<double> For(Fastener f) => Threads.Inch(f) ? [.. InchEighths.Select(e => e / 8 * 0.0254)]
        : [.. Metric.Select(l => l / 1000)];

    /// <summary>Nobody saws less than this off a screw, m: it stands so much deeper (half a turn of its thread is kept free at a
    /// bottom).</summary>
    private const double Spare = 0.00025;

    /// <summary>The length to buy for a needed range, m, and how much to cut off (0 when one fits as sold); null when none is long
    /// enough.</summary>
    public static (double Buy, double CutOff)? Nearest(Fastener f, double least, double most)
    {
        var lengths = For(f);
        foreach (var l in lengths)
            if (l >= least - 1e-6)
                return (l, l <= most + Spare ? 0 : l - most);
        return null;
    }
}
