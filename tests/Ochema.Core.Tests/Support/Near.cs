namespace Ochema.Core.Tests.Support;

/// <summary>Comparisons by share.</summary>
internal static class Near
{
    public static void Share(double expected, double actual, double share, string? what = null) =>
        Assert.True(Math.Abs(actual - expected) <= share * Math.Abs(expected),
            $"{what} expected {expected:G6} within {share:P2}, was {actual:G6}");

    /// <summary>One of two numbers.</summary>
    public static void Either(double actual, double one, double other, double within, string? what = null) =>
        Assert.True(Math.Min(Math.Abs(actual - one), Math.Abs(actual - other)) <= within, $"{what} is {actual:G8}, neither {one:G8} nor {other:G8}");
}
