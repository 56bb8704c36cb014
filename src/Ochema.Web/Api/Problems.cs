using Microsoft.AspNetCore.Diagnostics;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Data.Sqlite;
using Ochema.Core.Json;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>Errors as problem details (RFC 9457); bad documents carry the path and the reason.</summary>
internal static class Problems
{
    public static ProblemHttpResult Of(int status, string title, string detail, string? path = null) =>
        TypedResults.Problem(detail, statusCode: status, title: title, extensions: path is null ? null : new Dictionary<string,
            object?>
        { ["path"] = path, ["reason"] = detail });

    public static ProblemHttpResult NotFound(string detail) => Of(404, "Not found", detail);

    public static ProblemHttpResult NotJson() => Of(415, "Not JSON",
        "This takes JSON in UTF-8: send it with Content-Type: application/json.");

    public static ProblemHttpResult BadDocument(DocumentException e) => Of(400, "The document cannot be read", e.Reason, e.Path);

    /// <summary>
    /// The filter of all resources. What was sent and cannot be read is a 400 with its path; what is stored and cannot be read a 409; a
    /// file of the films that cannot be used 507 or 503. Whatever can be read is judged.
    /// </summary>
    public static async ValueTask<object?> Answering(EndpointFilterInvocationContext context, EndpointFilterDelegate next)
    {
        var posted = context.Arguments.OfType<IPosted>().FirstOrDefault();
        if (posted?.Refusal is { } refusal)
            return refusal;
        try
        {
            return await next(context);
        }
        catch (DocumentException e)
        {
            return posted is null ? Unreadable(e) : BadDocument(e);
        }
        catch (FileGoneException e)
        {
            return Gone(e);
        }
        catch (Exception e) when ((e as SqliteException ?? e.InnerException as SqliteException) is { } storage)
        {
            return NotStored(storage);
        }
    }

    /// <summary>Says which refusals a resource knows.</summary>
    public static RouteHandlerBuilder Refuses(this RouteHandlerBuilder route, params int[] statuses)
    {
        foreach (var status in statuses)
            route.ProducesProblem(status);
        return route;
    }

    /// <summary>What a resource is called by those who use it, and what it does in a sentence.</summary>
    public static RouteHandlerBuilder Named(this RouteHandlerBuilder route, string id, string summary) => route.WithName(id)
        .WithSummary(summary);

    /// <summary>The file of the films does not take it: 507 for a full disk, 503 for what may pass. Whoever asked still has it, and asks
    /// again.</summary>
    private static ProblemHttpResult NotStored(SqliteException e) => e.SqliteErrorCode == 19
        ? Of(409, "At the same moment", "Another window did the same at the same moment. Ask again.")
        : Of(e.SqliteErrorCode == 13 ? 507 : 503, "Not saved",
            $"The file of your films cannot be used now: {Storage.Meaning(e)}. Nothing was changed.");

    /// <summary>What is written there would be found by nobody: whoever asked still has it.</summary>
    private static ProblemHttpResult Gone(FileGoneException e) => Of(503, "Not saved",
        $"{e.Message}: nothing is saved there any more. Put it back in its place, or stop Ochema and start it again. What is on your "
            + $"screen is kept in "
        + "this browser until then.");

    public static ProblemHttpResult Unreadable(DocumentException e) =>
        Of(409, "The stored rig cannot be read", $"{e.Reason}. Save it as a file, mend it there, and open that.", e.Path);

    /// <summary>Last resort: a logged 500 without internals.</summary>
    public static Task Unexpected(HttpContext context) => context.Features.Get<IExceptionHandlerFeature>()?.Error
        is BadHttpRequestException bad
        ? Of(bad.StatusCode, "The request cannot be read", bad.Message).ExecuteAsync(context)
        : Of(500, "Something went wrong", "The server could not do this. Nothing was changed.").ExecuteAsync(context);
}
