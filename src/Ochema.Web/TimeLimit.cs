using System.Globalization;
using Ochema.Core.Structure;
using Ochema.Web.Api;

namespace Ochema.Web;

/// <summary>
/// What is computed for a request ends when whoever asked has gone on, and after ten seconds at the latest: nothing that is sent keeps a
/// core busy for good.
/// </summary>
internal sealed class TimeLimit(RequestDelegate next)
{
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(10);

    /// <summary>So long is searched for what somebody looks at meanwhile; then what there is has to do.</summary>
    internal static readonly TimeSpan Patience = TimeSpan.FromSeconds(3);

    /// <summary>So long for what they pressed a key for, and can stop.</summary>
    internal static readonly TimeSpan Asking = TimeSpan.FromSeconds(7);

    /// <summary>Says of an answer how much was not tried for it.</summary>
    internal const string NotTried = "Ochema-Not-Tried";

    public async Task InvokeAsync(HttpContext context)
    {
        var gone = context.RequestAborted;
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(gone);
        // A log may be longer under way than a computation may take: it is read as it comes.
        if (!context.Request.Path.StartsWithSegments("/api/tap/read"))
            limit.CancelAfter(Longest);
        context.RequestAborted = limit.Token;
        Asked.By(limit.Token, Patience);
        var asked = ExecutionContext.Capture()!;
        context.Response.OnStarting(() =>
        {
            ExecutionContext.Run(asked, _ =>
            {
                if (Asked.NotTried is > 0 and var left)
                    context.Response.Headers[NotTried] = left.ToString(CultureInfo.InvariantCulture);
            }, null);
            return Task.CompletedTask;
        });
        try
        {
            await next(context);
        }
        catch (Exception e) when (Cancelled(e))
        {
            // Nobody waits for an answer, or it is said that there is none.
            if (!gone.IsCancellationRequested && !context.Response.HasStarted)
            {
                context.RequestAborted = gone;
                await Problems.Of(503, "Took too long",
                    $"This took more than {Longest.TotalSeconds:0} seconds and was given up. Nothing was changed.")
                    .ExecuteAsync(context);
            }
        }
        finally
        {
            context.RequestAborted = gone;
        }
    }

    private static bool Cancelled(Exception e) => e is OperationCanceledException
        || (e is AggregateException all && all.Flatten().InnerExceptions.All(i => i is OperationCanceledException));
}
