namespace Ochema.Core.Structure;

/// <summary>
/// Whether whoever asked still waits for the answer. It goes along with the work that was asked for, into whatever runs beside it, so that no computation has
/// to be handed it and none can forget it; it changes no result.
/// </summary>
public static class Asked
{
    private static readonly AsyncLocal<CancellationToken> Stop = new();

    /// <summary>From here on the work is for somebody who may go on, or whose time may be up.</summary>
    public static void By(CancellationToken stop) => Stop.Value = stop;

    /// <summary>Ends the work of somebody who has gone on. Asked between steps that take a millisecond or so.</summary>
    /// <exception cref="OperationCanceledException">Nobody waits for it any more.</exception>
    internal static void Still() => Stop.Value.ThrowIfCancellationRequested();
}
