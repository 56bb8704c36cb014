namespace Ochema.Core.Structure;

/// <summary>
/// Numbers as if at random, the same ones each time: what starts from them gives the same bits for the same input (linear congruential
/// generator of Knuth and Lewis; Press and others, "Numerical Recipes", ch. 7).
/// </summary>
internal sealed class FixedNumbers
{
    private uint state = 12345;

    /// <summary>The next, 0 to 1.</summary>
    public double Next()
    {
        state = state * 1664525u + 1013904223u;
        return state / 4294967296.0;
    }
}
