using System.Text;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Data.Sqlite;
using Microsoft.Net.Http.Headers;
using Ochema.Core.Json;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>Errors as problem details (RFC 9457); bad documents carry the path and the reason.</summary>
internal static class Problems
{
    public static IResult Of(int status, string title, string detail, string? path = null) =>
        Results.Problem(detail, statusCode: status, title: title, extensions: path is null ? null : new Dictionary<string, object?> { ["path"] = path, ["reason"] = detail });

    public static IResult NotFound(string detail) => Of(404, "Not found", detail);

    public static IResult NotJson() => Of(415, "Not JSON", "This takes JSON in UTF-8: send it with Content-Type: application/json.");

    public static IResult BadDocument(DocumentException e) => Of(400, "The document cannot be read", e.Reason, e.Path);

    /// <summary>Reads the request's body and computes; what cannot be read is a 400 with its path. Whatever can be read is judged.</summary>
    public static async Task<IResult> Reading(HttpRequest request, Func<string, Task<IResult>> use)
    {
        if (request.ContentType is { Length: > 0 } type && !Json(type))
            return NotJson();
        try
        {
            using var memory = new MemoryStream();
            await request.Body.CopyToAsync(memory);
            var text = new UTF8Encoding(false, throwOnInvalidBytes: true).GetString(memory.GetBuffer(), 0, (int)memory.Length);
            return await use(text.TrimStart('\ufeff'));
        }
        catch (DocumentException e)
        {
            return BadDocument(e);
        }
        catch (ArgumentException e) when (e is DecoderFallbackException)
        {
            return BadDocument(new DocumentException("", "is not UTF-8 text"));
        }
        catch (BadHttpRequestException e)
        {
            return Of(e.StatusCode, "The request cannot be read", e.Message);
        }
    }

    private static bool Json(string type) => MediaTypeHeaderValue.TryParse(type, out var media)
        && (media.MediaType.Equals("application/json", StringComparison.OrdinalIgnoreCase) || media.Suffix.Equals("json", StringComparison.OrdinalIgnoreCase))
        && (!media.Charset.HasValue || media.Charset.Value.Trim('"').Equals("utf-8", StringComparison.OrdinalIgnoreCase));

    /// <summary>The file of the films does not take it: 507 for a full disk, 503 for what may pass. Whoever asked still has it, and asks again.</summary>
    private static IResult NotStored(SqliteException e) => e.SqliteErrorCode == 19
        ? Of(409, "At the same moment", "Another window did the same at the same moment. Ask again.")
        : Of(e.SqliteErrorCode == 13 ? 507 : 503, "Not saved", $"The file of your films cannot be used now: {Storage.Meaning(e)}. Nothing was changed.");

    private static IResult Unreadable(DocumentException e) =>
        Of(409, "The stored rig cannot be read", $"{e.Reason}. Save it as a file, mend it there, and open that.", e.Path);

    /// <summary>Last resort: a logged 500 without internals.</summary>
    public static Task Unexpected(HttpContext context)
    {
        var error = context.Features.Get<IExceptionHandlerFeature>()?.Error;
        return error is BadHttpRequestException bad ? Of(bad.StatusCode, "The request cannot be read", bad.Message).ExecuteAsync(context)
            // Not what was sent, which is read where it comes in, but what is stored.
            : error is DocumentException stored ? Unreadable(stored).ExecuteAsync(context)
            : (error as SqliteException ?? error?.InnerException as SqliteException) is { } storage ? NotStored(storage).ExecuteAsync(context)
            : Of(500, "Something went wrong", "The server could not do this. Nothing was changed.").ExecuteAsync(context);
    }
}
