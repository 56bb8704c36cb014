using System.Net;
using Ochema.Web.Phone;

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
        var ip = IPAddress.TryParse(host.Trim('[', ']'), out var said) ? said : null;
        // A phone came to an address of this machine, and says that one and no name.
        if (PhoneDoor.Through(context) ? ip is null || !ip.Equals(context.Connection.LocalIpAddress)
            : !(host is "localhost" or "" || (ip is not null && IPAddress.IsLoopback(ip))))
            return Refuse(context, "This server answers to its own address only.");
        // The computer's own door is on its own address: what came in from the network came through the other, or not at all.
        if (!PhoneDoor.Through(context) && context.Connection.LocalIpAddress is { } at && !IPAddress.IsLoopback(at))
            return Refuse(context, "This door is the computer's own.");
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
