using System.Diagnostics;

namespace Ochema.Tests.Support;

/// <summary>
/// Answers that must not be long in coming, on a machine that may stand still for a minute: what took too long is asked again, and only
/// what is late each time is
/// late. What never ends is late three times over as well.
/// </summary>
internal static class Soon
{
    private const int Tries = 3;

    /// <summary>What comes of it, within so long.</summary>
    /// <param name="longest">The longest that the quickest of three tries may take.</param>
    /// <param name="work">It changes nothing, so it can be asked again.</param>
    /// <param name="over">What it was over, for whoever reads that it was late.</param>
    public static T Within<T>(TimeSpan longest, Func<T> work, string over) => Within(longest, () => Task.FromResult(work()), over)
        .GetAwaiter().GetResult();

    /// <inheritdoc cref="Within{T}(TimeSpan, Func{T}, string)"/>
    public static async Task<T> Within<T>(TimeSpan longest, Func<Task<T>> work, string over)
    {
        var best = TimeSpan.MaxValue;
        for (var i = 0; i < Tries; i++)
        {
            var clock = Stopwatch.StartNew();
            var came = await work();
            if (clock.Elapsed <= longest)
                return came;
            best = clock.Elapsed < best ? clock.Elapsed : best;
        }
        throw new TimeoutException($"{best.TotalSeconds:0.0} s over {over}");
    }
}
