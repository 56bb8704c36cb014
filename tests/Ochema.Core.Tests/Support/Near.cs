namespace Ochema.Core.Tests.Support;

/// <summary>Comparisons by share.</summary>
internal static class Near
{
    public static void Share(double expected, double actual, double share, string? what = null) =>
        Assert.True(Math.Abs(actual - expected) <= share * Math.Abs(expected),
            $"{what} expected {expected:G6} within {share:P2}, was {actual:G6}");
}
