using Microsoft.Extensions.Caching.Memory;
using Ochema.Core.Proving;

namespace Ochema.Web.Api;

/// <summary>Logs that were sent, kept while somebody looks at them: they are sent once, and read in any units afterwards.</summary>
internal sealed class Logs : IDisposable
{
    /// <summary>Samples of all together: four numbers each, some sixty megabytes.</summary>
    private const long Most = 2_000_000;

    /// <summary>Longest that nobody asks for one that is kept.</summary>
    private static readonly TimeSpan Idle = TimeSpan.FromMinutes(30);

    private readonly MemoryCache kept = new(new MemoryCacheOptions { SizeLimit = Most });

    /// <summary>Keeps a log.</summary>
    public KeptLog Keep(AccelerometerLog log)
    {
        var report = TapTest.Of(log);
        var id = Guid.NewGuid().ToString("N");
        kept.Set(id, log, new MemoryCacheEntryOptions { Size = log.Time.Length, SlidingExpiration = Idle });
        return new(id, report);
    }

    /// <summary>A kept log with its numbers taken in other units; null where it is not kept any more.</summary>
    public KeptLog? Read(string id, LogTime? time, LogAcceleration? acceleration) =>
        kept.TryGetValue(id, out AccelerometerLog? log) ? new(id, TapTest.Of(log!.In(time, acceleration))) : null;

    /// <inheritdoc/>
    public void Dispose() => kept.Dispose();
}
