using System.Runtime.CompilerServices;

namespace Ochema.Core.Structure;

/// <summary>
/// Whether whoever asked still waits for the answer. It goes along with the work that was asked for, into whatever runs beside it, so that
/// no computation has to be handed it and none can forget it; it changes no result.
/// </summary>
public static class Asked
{
    private static readonly AsyncLocal<CancellationToken> Stop = new();
    private static readonly AsyncLocal<long?> Until = new();
    private static readonly AsyncLocal<TimeProvider?> Watch = new();
    private static readonly AsyncLocal<StrongBox<int>?> Left = new();

    /// <summary>One go is never shorter, s: something is always tried.</summary>
    private const double Least = 0.15;

    /// <summary>From here on the work is for somebody who may go on, or whose time may be up.</summary>
    /// <param name="stop">They have gone on.</param>
    /// <param name="patience">So long something is tried for them in all; then they take what there is. Null for as long as it
    /// takes.</param>
    /// <param name="clock">What their patience is measured by; null for the machine's own.</param>
    public static void By(CancellationToken stop, TimeSpan? patience = null, TimeProvider? clock = null)
    {
        (Stop.Value, Watch.Value) = (stop, clock);
        Until.Value = patience is { } p ? Clock.GetTimestamp() + (long)(p.TotalSeconds * Clock.TimestampFrequency) : null;
        Left.Value ??= new();
    }

    /// <summary>What their patience is measured by.</summary>
    internal static TimeProvider Clock => Watch.Value ?? TimeProvider.System;

    /// <summary>How much was not tried for them since they asked, for their patience was at its end.</summary>
    public static int NotTried => Left.Value?.Value ?? 0;

    /// <summary>Something was not tried.</summary>
    internal static void LeaveOut()
    {
        if (Left.Value is { } left)
            Interlocked.Increment(ref left.Value);
    }

    /// <summary>So long something is tried in the go that begins now; null for as long as it takes.</summary>
    /// <param name="after">How many goes of the same search come after it: what is left is for all of them alike.</param>
    internal static TimeSpan? Patience(int after) => Until.Value is not { } until ? null
        : TimeSpan.FromSeconds(Math.Max(Least, (until - Clock.GetTimestamp()) / (double)Clock.TimestampFrequency / (after + 1)));

    /// <summary>Ends the work of somebody who has gone on. Asked between steps that take a millisecond or so.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    internal static void Still() => Stop.Value.ThrowIfCancellationRequested();
}
