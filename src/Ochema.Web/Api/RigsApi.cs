using Microsoft.EntityFrameworkCore;
using Microsoft.Net.Http.Headers;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>Stored rigs. Updates carry If-Match; every save is a version; deleted rigs wait in a bin.</summary>
internal static class RigsApi
{
    private const int MostRigs = 2000;
    private const string OwnFilm = "my-rigs";

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/rigs", List).Produces<IReadOnlyList<RigSummary>>();
        app.MapPost("/api/rigs", Create).Accepts<NewRig>("application/json").Produces<StoredRig>(201).ProducesProblem(400);
        app.MapGet("/api/rigs/{id}", Get).Produces<StoredRig>().ProducesProblem(404);
        app.MapPut("/api/rigs/{id}", Update).Accepts<RigDocument>("application/json").Produces<StoredRig>().ProducesProblem(400).ProducesProblem(404).ProducesProblem(412).ProducesProblem(428);
        app.MapDelete("/api/rigs/{id}", Delete).Produces(204).ProducesProblem(404).ProducesProblem(412).ProducesProblem(428);
        app.MapPost("/api/rigs/{id}/undelete", Undelete).Produces<StoredRig>().ProducesProblem(404).ProducesProblem(412).ProducesProblem(428);
        app.MapPost("/api/rigs/{id}/duplicate", Duplicate).Produces<StoredRig>(201).ProducesProblem(404);
        app.MapGet("/api/rigs/{id}/file", Export).Produces<RigDocument>(contentType: "application/json").ProducesProblem(404);
    }

    /// <summary>A rig in a list.</summary>
    /// <exception cref="DocumentException">Its document cannot be read.</exception>
    public static KeptRig Summary(RigRecord r) => new(r.Id, r.FilmId, r.Name, r.Version, r.UpdatedAt, Judgements.Card(r));

    /// <summary>The stored rig with its ETag.</summary>
    public static IResult Stored(HttpContext context, RigRecord r, string filmName, int status = 200)
    {
        context.Response.Headers.ETag = ETag(r.Version);
        return Results.Json(new StoredRig(r.Id, r.FilmId, filmName, r.Name, r.Version, r.UpdatedAt, RigReader.Read(r.Document, Catalogue.Shipped)), statusCode: status);
    }

    public static Task<RigRecord?> FindAsync(OchemaContext db, string id) => db.Rigs.Include(r => r.Film).SingleOrDefaultAsync(r => r.Id == id && r.DeletedAt == null);

    /// <summary>Why a change may not go ahead: it does not say which version it was made on, or it was another than the newest.</summary>
    public static IResult? Unmatched(HttpRequest request, RigRecord rig) =>
        request.Headers.IfMatch.Count == 0 ? Problems.Of(428, "Say which version", "Send If-Match with the version this change was made on.")
        : request.Headers.IfMatch.ToString() != ETag(rig.Version) ? Changed() : null;

    private static string ETag(int version) => $"\"{version}\"";

    private static IResult Missing(string id) => Problems.NotFound($"There is no rig '{id}'.");

    private static async Task<IResult> List(OchemaContext db)
    {
        var rigs = await db.Rigs.AsNoTracking().Where(r => r.DeletedAt == null).OrderBy(r => r.Id).Take(MostRigs).ToListAsync();
        await Judgements.FillAsync(db, rigs);
        var list = new List<KeptRig>();
        foreach (var rig in rigs)
            try
            {
                list.Add(Summary(rig));
            }
            catch (DocumentException)
            {
                // Told with its film; here are those that can be drawn.
            }
        return Results.Json(list);
    }

    private static Task<IResult> Create(HttpRequest request, OchemaContext db, TimeProvider clock, OwnShelf own) => Problems.Reading(request, async body =>
    {
        var create = RigReader.Parse<NewRig>(body);
        var judged = Checked(create.Document, "document.");
        if (await db.Rigs.CountAsync() >= MostRigs)
            return Problems.Of(409, "Full", $"There are {MostRigs} rigs already.");
        var now = clock.GetUtcNow().UtcDateTime;
        var filmId = create.FilmId ?? OwnFilm;
        var film = await db.Films.FindAsync(filmId);
        if (film is null && create.FilmId is not null)
            throw new DocumentException("filmId", $"there is no film '{filmId}'");
        if (film is null)
            db.Films.Add(film = new FilmRecord { Id = OwnFilm, Name = "My rigs", CreatedAt = now });
        var rig = RigStore.New(Guid.NewGuid().ToString("N"), film.Id, create.Document, now, judged);
        db.Rigs.Add(rig);
        await ShelfStore.AddMissingAsync(db, create.Document.Stock, now);
        await db.SaveChangesAsync();
        own.Forget();
        request.HttpContext.Response.Headers.Location = $"/api/rigs/{rig.Id}";
        return Stored(request.HttpContext, rig, film.Name, 201);
    });

    private static async Task<IResult> Get(string id, OchemaContext db, HttpContext context) =>
        await FindAsync(db, id) is { } rig ? Stored(context, rig, rig.Film!.Name) : Missing(id);

    private static Task<IResult> Update(string id, HttpRequest request, OchemaContext db, TimeProvider clock) => Problems.Reading(request, async body =>
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        if (Unmatched(request, rig) is { } unmatched)
            return unmatched;
        var document = RigReader.Read(body, Catalogue.Shipped);
        var judged = Checked(document, "");
        return await RigStore.SaveAsync(db, rig, document, clock.GetUtcNow().UtcDateTime, judged)
            ? Stored(request.HttpContext, rig, rig.Film!.Name) : Changed();
    });

    /// <summary>Validates, and computes once: what is stored can always be judged again.</summary>
    private static Judgement Checked(RigDocument document, string prefix)
    {
        try
        {
            RigReader.Check(document, Catalogue.Shipped);
            return Judgements.Of(document);
        }
        catch (DocumentException e)
        {
            throw new DocumentException(prefix + e.Path, e.Reason);
        }
    }

    private static IResult Changed() => Problems.Of(412, "Changed elsewhere", "This rig was saved somewhere else in between. Load it again; your change is still here.");

    private static async Task<IResult> Delete(string id, HttpRequest request, OchemaContext db, TimeProvider clock)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        if (Unmatched(request, rig) is { } unmatched)
            return unmatched;
        rig.DeletedAt = clock.GetUtcNow().UtcDateTime;
        return await RigStore.KeepAsync(db) ? Results.NoContent() : Changed();
    }

    private static async Task<IResult> Undelete(string id, HttpContext context, OchemaContext db)
    {
        if (await db.Rigs.Include(r => r.Film).SingleOrDefaultAsync(r => r.Id == id && r.DeletedAt != null) is not { } rig)
            return Missing(id);
        if (Unmatched(context.Request, rig) is { } unmatched)
            return unmatched;
        rig.DeletedAt = null;
        return await RigStore.KeepAsync(db) ? Stored(context, rig, rig.Film!.Name) : Changed();
    }

    private static async Task<IResult> Duplicate(string id, OchemaContext db, TimeProvider clock, HttpContext context)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        var document = RigReader.Read(rig.Document, Catalogue.Shipped);
        var name = $"{document.Name}, copy";
        document = document with { Name = name.Length > 120 ? document.Name : name };
        var copy = RigStore.New(Guid.NewGuid().ToString("N"), rig.FilmId, document, clock.GetUtcNow().UtcDateTime, Judgements.Of(document));
        db.Rigs.Add(copy);
        await db.SaveChangesAsync();
        return Stored(context, copy, rig.Film!.Name, 201);
    }

    private static async Task<IResult> Export(string id, OchemaContext db, HttpContext context)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        var name = string.Concat(rig.Name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')).Trim('-');
        context.Response.Headers.ContentDisposition = new ContentDispositionHeaderValue("attachment") { FileName = $"{(name.Length > 0 ? name : "rig")}.ochema.json" }.ToString();
        return Results.Text(rig.Document, "application/json");
    }
}
