namespace Ochema.Core.Structure;

/// <summary>
/// Where something begins to be so, by halves. What is asked here is mostly yes or no (a verdict, a stable state) and has no slope, which
/// the root finders of the numerics library want.
/// </summary>
internal static class Bisection
{
    /// <summary>Narrows the place where something that is not so at the lower end begins to be so, which it is at the upper one.</summary>
    /// <param name="steps">How often it is halved.</param>
    /// <returns>Where it is not so yet, and where it is.</returns>
    public static (double Low, double High) Between(double low, double high, int steps, Func<double, bool> so)
    {
        for (var i = 0; i < steps; i++)
        {
            var middle = 0.5 * (low + high);
            (low, high) = so(middle) ? (low, middle) : (middle, high);
        }
        return (low, high);
    }
}
