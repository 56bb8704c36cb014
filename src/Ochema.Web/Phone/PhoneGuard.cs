using Ochema.Data;
using Ochema.Web.Api;

namespace Ochema.Web.Phone;

/// <summary>Marks a resource that a paired phone may use.</summary>
/// <param name="Rig">Name of the part of its path that is the id of a rig, which must be one of the phone's; null where it is of no
/// rig.</param>
internal sealed record OpenToPhones(string? Rig);

/// <summary>Opens resources to phones.</summary>
internal static class Opening
{
    /// <summary>It says nothing of anybody's rigs.</summary>
    public static T OpenToPhones<T>(this T route) where T : IEndpointConventionBuilder => route.WithMetadata(new OpenToPhones(null));

    /// <summary>It is of the rig whose id is in its path.</summary>
    public static T OpenToItsPhones<T>(this T route, string rig = "id") where T : IEndpointConventionBuilder =>
        route.WithMetadata(new OpenToPhones(rig));
}

/// <summary>
/// Stands at the door that is open to the local network: without a token nothing but the page that asks for a code, with one what is marked
/// as <see cref="OpenToPhones"/> and the interface's files. What is not marked is refused, so that a new resource is closed until somebody
/// opens it.
/// </summary>
internal sealed class PhoneGuard(RequestDelegate next)
{
    /// <summary>Where the token is kept on the phone: sent by the browser, not to be read by scripts.</summary>
    public const string Cookie = "ochema-phone";

    public async Task InvokeAsync(HttpContext context, OchemaContext db, TimeProvider clock)
    {
        if (!PhoneDoor.Through(context))
        {
            await next(context);
            return;
        }
        if (context.Connection.RemoteIpAddress is not { } from || !PhoneDoor.IsLocal(from))
        {
            await Refuse(context, 403, "This door is for phones on the local network.");
            return;
        }
        var endpoint = context.GetEndpoint();
        if (endpoint?.Metadata.GetMetadata<PairPage.Asks>() is not null)
        {
            await next(context);
            return;
        }
        var phone = context.Request.Cookies[Cookie] is { Length: > 0 and < 200 } token
            ? await PhoneStore.FindAsync(db, token, clock.GetUtcNow().UtcDateTime) : null;
        if (phone is null)
        {
            // Who opens the address by hand is asked for the code; scripts and strangers get nothing.
            if (HttpMethods.IsGet(context.Request.Method) && context.Request.Path == "/")
                context.Response.Redirect(PairPage.Path);
            else
                await Refuse(context, 401, "This phone is not let in: pair it with the code that is shown on the computer.");
            return;
        }
        // Files of the interface belong to no resource; there is nothing else outside of them.
        var open = endpoint?.Metadata.GetMetadata<OpenToPhones>();
        if (endpoint is not null && open is null)
            await Refuse(context, 403, "A phone proves and runs its rigs; this is done at the computer.");
        else if (open?.Rig is { } part && !phone.Rigs.Exists(r => r.RigId == context.GetRouteValue(part) as string))
            await Refuse(context, 403, "This phone was not paired for that rig.");
        else
        {
            context.Features.Set(new Let(phone));
            await next(context);
        }
    }

    /// <summary>The phone that a request comes from; null at the computer.</summary>
    public static PhoneRecord? PhoneOf(HttpContext context) => context.Features.Get<Let>()?.Phone;

    private static Task Refuse(HttpContext context, int status, string why)
    {
        context.Response.StatusCode = status;
        return Problems.Of(status, status == 401 ? "Not let in" : "Refused", why).ExecuteAsync(context);
    }

    private sealed record Let(PhoneRecord Phone);
}
