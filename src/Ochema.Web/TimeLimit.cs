using Ochema.Core.Structure;
using Ochema.Web.Api;

namespace Ochema.Web;

/// <summary>
/// What is computed for a request ends when whoever asked has gone on, and after ten seconds at the latest: nothing that is sent keeps a core busy for good.
/// </summary>
internal sealed class TimeLimit(RequestDelegate next)
{
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(10);

    /// <summary>A search tries, looks at what is best, and weighs that: three times this is well below the longest.</summary>
    private static readonly TimeSpan Patience = TimeSpan.FromSeconds(2);

    public async Task InvokeAsync(HttpContext context)
    {
        var gone = context.RequestAborted;
        using var limit = CancellationTokenSource.CreateLinkedTokenSource(gone);
        // A log may be longer under way than a computation may take: it is read as it comes.
        if (!context.Request.Path.StartsWithSegments("/api/tap/read"))
            limit.CancelAfter(Longest);
        context.RequestAborted = limit.Token;
        Asked.By(limit.Token, Patience);
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
                await Problems.Of(503, "Took too long", $"This took more than {Longest.TotalSeconds:0} seconds and was given up. Nothing was changed.")
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
