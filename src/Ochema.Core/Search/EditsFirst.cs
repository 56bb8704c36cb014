using Ochema.Core.Structure;

namespace Ochema.Core.Search;

/// <summary>Searches make way for the verdict of an edit: between two trials they wait while one is computed.</summary>
public static class EditsFirst
{
    /// <summary>Longest that a trial waits at a time: edits that come one after the other do not stop a search for good.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(1);

    private static int underWay;

    /// <summary>An edit is judged until what is returned is disposed.</summary>
    public static IDisposable Judged()
    {
        Interlocked.Increment(ref underWay);
        return new Done();
    }

    /// <summary>Waits until no edit is under way.</summary>
    internal static void MakeWay()
    {
        for (var since = Environment.TickCount64; Volatile.Read(ref underWay) > 0 && Environment.TickCount64 - since < Longest.TotalMilliseconds;)
        {
            Asked.Still();
            Thread.Sleep(2);
        }
    }

    private sealed class Done : IDisposable
    {
        private int done;

        public void Dispose()
        {
            if (Interlocked.Exchange(ref done, 1) == 0)
                Interlocked.Decrement(ref underWay);
        }
    }
}
