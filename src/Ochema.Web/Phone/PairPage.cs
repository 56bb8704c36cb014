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
            return Page(context, "", "This code opens nothing: it may be older than ten minutes, used already, or typed wrong. Ask for a new one on the computer.");
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
        return Results.Text($$"""
        <!doctype html>
        <html lang="en">
        <head>
          <meta charset="utf-8">
          <meta name="viewport" content="width=device-width, initial-scale=1">
          <link rel="icon" href="data:,">
          <title>Pair this phone · Ochema</title>
          <style>
            :root { color-scheme: light dark; font: 18px/1.4 system-ui, sans-serif; --ink: #17231f; --paper: #f3eee3; --rule: #7b8078; --do: #17231f; --on: #fbf8f1; }
            @media (prefers-color-scheme: dark) { :root { --ink: #ece7da; --paper: #141c18; --rule: #8b9891; --do: #ece7da; --on: #141c18; } }
            body { margin: 0; background: var(--paper); color: var(--ink); }
            main { max-width: 26rem; margin: 0 auto; padding: 2rem 1rem; }
            h1 { font-size: 1.6rem; line-height: 1.15; margin: 0 0 .5rem; }
            label { display: block; margin-top: 1.1rem; }
            input { box-sizing: border-box; width: 100%; min-height: 3.2rem; margin-top: .3rem; padding: 0 .8rem; font: inherit; color: inherit; background: transparent; border: 1px solid var(--rule); border-radius: .4rem; }
            #code { font-size: 1.7rem; letter-spacing: .12em; text-transform: uppercase; font-variant-numeric: tabular-nums; }
            button { width: 100%; min-height: 3.6rem; margin-top: 1.4rem; font: inherit; font-weight: 700; font-size: 1.15rem; border: 0; border-radius: .4rem; background: var(--do); color: var(--on); }
            [role=alert] { border-left: 4px solid; padding-left: .7rem; font-weight: 600; }
            a { color: inherit; }
            small { display: block; margin-top: 1rem; }
          </style>
        </head>
        <body>
          <main>
            <h1>Pair this phone</h1>
            <p>It then proves and runs the rigs that were chosen on the computer, for {{PhoneStore.Term.Days}} days, and nothing else.</p>
            {{(problem.Length > 0 ? $"<p role=\"alert\">{HtmlEncoder.Default.Encode(problem)}</p>" : "")}}
            <form method="post" action="{{Path}}">
              <label for="code">Code on the computer's screen</label>
              <input id="code" name="code" required maxlength="20" autocomplete="off" autocapitalize="characters" spellcheck="false" value="{{HtmlEncoder.Default.Encode(code)}}">
              <label for="name">What this phone is called</label>
              <input id="name" name="name" maxlength="{{LongestName}}" autocomplete="off" placeholder="Phone">
              <button>Pair</button>
            </form>
            <small>{{(context.Request.IsHttps
                ? $"First time here: <a href=\"{CertificatePath}\">put the certificate on this phone</a>, in its settings as an authority, and compare its "
                    + "fingerprint with the one on the computer. Then it works without a warning, through breaks of the network, and with its own sensors."
                : "Pair on a network of your own: without a certificate, who listens on the network can read along.")}}</small>
          </main>
        </body>
        </html>
        """, "text/html; charset=utf-8", statusCode: problem.Length > 0 ? (int)HttpStatusCode.Forbidden : (int)HttpStatusCode.OK);
    }
}
