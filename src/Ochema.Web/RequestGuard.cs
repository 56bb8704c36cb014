using System.Net;

namespace Ochema.Web;

/// <summary>
/// Keeps strangers out of a server on the user's own machine: foreign Host headers (DNS rebinding) and writes from other
/// origins are refused; pages may load nothing from elsewhere.
/// </summary>
internal sealed class RequestGuard(RequestDelegate next)
{
    private const string Policy = "default-src 'self'; img-src 'self' data: blob:; style-src 'self' 'unsafe-inline'; connect-src 'self'; "
        + "frame-ancestors 'none'; base-uri 'none'; form-action 'self'";

    public Task InvokeAsync(HttpContext context)
    {
        var host = context.Request.Host.Host;
        if (!(host is "localhost" or "" || (IPAddress.TryParse(host.Trim('[', ']'), out var ip) && IPAddress.IsLoopback(ip))))
            return Refuse(context, "This server answers to its own address only.");
        var headers = context.Request.Headers;
        if (!HttpMethods.IsGet(context.Request.Method) && !HttpMethods.IsHead(context.Request.Method)
            && headers.Origin.FirstOrDefault() is { Length: > 0 } origin && origin != $"{context.Request.Scheme}://{context.Request.Host}")
            return Refuse(context, "Changes from other origins are refused.");
        var h = context.Response.Headers;
        h.ContentSecurityPolicy = Policy;
        h.XContentTypeOptions = "nosniff";
        h["Referrer-Policy"] = "no-referrer";
        if (context.Request.Path.StartsWithSegments("/api"))
            h.CacheControl = "no-store";
        return next(context);
    }

    private static Task Refuse(HttpContext context, string why)
    {
        context.Response.StatusCode = StatusCodes.Status403Forbidden;
        return Api.Problems.Of(403, "Refused", why).ExecuteAsync(context);
    }
}
