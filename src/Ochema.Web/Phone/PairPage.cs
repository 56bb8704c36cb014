using System.Net;
using System.Text.Encodings.Web;
using Ochema.Data;
using Ochema.Web.Api;

namespace Ochema.Web.Phone;

/// <summary>The one page that a phone without a token gets: it asks for the code. No script, no file, nothing of any rig.</summary>
internal static class PairPage
{
    public const string Path = "/pair";

    /// <summary>Where a phone gets the authority that vouches for this door.</summary>
    public const string CertificatePath = "/pair/certificate";

    private const int LongestName = 40;

    /// <summary>Marks the resources that need no token.</summary>
    internal sealed record Asks;

    public static void Map(WebApplication app)
    {
        app.MapGet(Path, (HttpContext context, string code = "") => PhoneDoor.Through(context) ? Page(context, code, "") : AtTheComputer())
            .WithMetadata(new Asks()).ExcludeFromDescription();
        app.MapGet(CertificatePath, (IServiceProvider services) => services.GetService<PhoneDoor>()?.Authority is { } authority
            ? Results.File(authority.Certificate, "application/x-x509-ca-cert", "ochema.crt") : Problems.NotFound("There is no certificate here."))
            .WithMetadata(new Asks()).ExcludeFromDescription();
        app.MapPost(Path, Pair).WithMetadata(new Asks(), new Microsoft.AspNetCore.Mvc.RequestSizeLimitAttribute(4096)).ExcludeFromDescription();
    }

    /// <summary>The page with its code filled in.</summary>
    /// <param name="address">Of the computer, with its closing stroke.</param>
    public static string Link(string address, string code) => $"{address.TrimEnd('/')}{Path}?code={code}";

    private static async Task<IResult> Pair(HttpContext context, OchemaContext db, Pairings pairings, TimeProvider clock)
    {
        if (!PhoneDoor.Through(context))
            return AtTheComputer();
        if (!context.Request.HasFormContentType)
            return Page(context, "", "Type the code that is shown on the computer.");
        var form = await context.Request.ReadFormAsync(context.RequestAborted);
        var name = form["name"].ToString().Trim();
        if (pairings.Take(form["code"].ToString()) is not { } pairing)
            return Page(context, "", "This code opens nothing: it may be older than ten minutes, used already, or typed wrong. "
                + "Ask for a new one on the computer.");
        if (await PhoneStore.PairAsync(db, name.Length == 0 ? "Phone" : name[..Math.Min(name.Length, LongestName)], pairing.Rigs,
            clock.GetUtcNow().UtcDateTime) is not { } token)
            return Page(context, "", $"There are {PhoneStore.Most} phones already: take one away on the computer first.");
        context.Response.Cookies.Append(PhoneGuard.Cookie, token, new CookieOptions
        {
            HttpOnly = true,
            SameSite = SameSiteMode.Strict,
            Secure = context.Request.IsHttps,
            MaxAge = PhoneStore.Term,
            Path = "/",
        });
        return Results.Redirect("/");
    }

    private static Microsoft.AspNetCore.Http.HttpResults.ProblemHttpResult AtTheComputer() => Problems.NotFound("Phones are paired through their own door.");

    private static IResult Page(HttpContext context, string code, string problem)
    {
        // A page that says nothing of where it comes from sends its form from nowhere, which is refused as a stranger's.
        context.Response.Headers["Referrer-Policy"] = "same-origin";
        var words = new Dictionary<string, string>
        {
            ["days"] = $"{PhoneStore.Term.Days}",
            ["path"] = Path,
            ["longest"] = $"{LongestName}",
            ["problem"] = problem.Length > 0 ? $"<p role=\"alert\">{HtmlEncoder.Default.Encode(problem)}</p>" : "",
            ["network"] = context.Request.IsHttps ? UnderCertificate : InTheClear,
            // Last: what a stranger wrote is not filled in any more.
            ["code"] = HtmlEncoder.Default.Encode(code),
        };
        return Results.Text(words.Aggregate(Form.Value, (page, w) => page.Replace("{{" + w.Key + "}}", w.Value, StringComparison.Ordinal)),
            "text/html; charset=utf-8", statusCode: problem.Length > 0 ? (int)HttpStatusCode.Forbidden : (int)HttpStatusCode.OK);
    }

    private const string InTheClear = "Pair on a network of your own: without a certificate, who listens on the network can read along.";

    private const string UnderCertificate = $"First time here: <a href=\"{CertificatePath}\">put the certificate on this phone</a>, in its settings "
        + "as an authority, and compare its fingerprint with the one on the computer. Then it works without a warning, through breaks of the "
        + "network, and with its own sensors.";

    /// <summary>The page with places for its words in double braces.</summary>
    private static readonly Lazy<string> Form = new(() =>
    {
        using var file = new StreamReader(typeof(PairPage).Assembly.GetManifestResourceStream("pair.html")!);
        return file.ReadToEnd();
    });
}
