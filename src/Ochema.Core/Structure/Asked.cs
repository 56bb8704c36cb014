namespace Ochema.Core.Structure;

/// <summary>
/// Whether whoever asked still waits for the answer. It goes along with the work that was asked for, into whatever runs beside it, so that no computation has
/// to be handed it and none can forget it; it changes no result.
/// </summary>
public static class Asked
{
    private static readonly AsyncLocal<CancellationToken> Stop = new();
    private static readonly AsyncLocal<TimeSpan?> Waits = new();

    /// <summary>From here on the work is for somebody who may go on, or whose time may be up.</summary>
    /// <param name="stop">They have gone on.</param>
    /// <param name="patience">So long something is tried for them in one go; then they take what there is. Null for as long as it takes.</param>
    public static void By(CancellationToken stop, TimeSpan? patience = null) => (Stop.Value, Waits.Value) = (stop, patience);

    /// <summary>So long something is tried in one go; null for as long as it takes.</summary>
    internal static TimeSpan? Patience => Waits.Value;

    /// <summary>Ends the work of somebody who has gone on. Asked between steps that take a millisecond or so.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    internal static void Still() => Stop.Value.ThrowIfCancellationRequested();
}
