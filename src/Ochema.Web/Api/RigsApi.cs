using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Microsoft.Net.Http.Headers;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;
using Ochema.Web.Phone;

namespace Ochema.Web.Api;

/// <summary>Stored rigs. Updates carry If-Match; every save is a version; deleted rigs wait in a bin.</summary>
internal static class RigsApi
{
    private const int MostRigs = 2000;
    private const string OwnFilm = "my-rigs";

    public static void Map(RouteGroupBuilder api)
    {
        var rigs = api.MapGroup("/rigs");
        rigs.MapGet("/", List).Named("listRigs", "All rigs that are not in the bin.");
        rigs.MapPost("/", Create).Refuses(400, 409).Named("createRig", "Stores a new rig.");
        rigs.MapGet("/{id}", Get).Refuses(404, 409).Named("getRig", "A stored rig with its document.");
        rigs.MapGet("/{id}/card", Card).Refuses(404, 409).OpenToItsPhones().Named("getRigCard", "What a list shows of a stored rig.");
        rigs.MapPut("/{id}", Update).Refuses(400, 404, 412, 428).Named("saveRig", "Stores a change as the next version.");
        rigs.MapDelete("/{id}", Delete).Refuses(404, 412, 428).Named("deleteRig", "Puts a rig into the bin.");
        rigs.MapPost("/{id}/undelete", Undelete).Refuses(404, 412, 428).Named("undeleteRig", "Takes a rig out of the bin again.");
        rigs.MapPost("/{id}/duplicate", Duplicate).Refuses(404, 409).Named("duplicateRig", "Stores a copy.");
        rigs.MapGet("/{id}/file", Export).Refuses(404).Named("exportRig", "The document as a file, whether it can be read or not.");
    }

    private static async Task<Results<Answer<RigCard>, ProblemHttpResult>> Card(string id, OchemaContext db, Judgements judgements)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        await judgements.FillAsync(db, [rig]);
        return new Answer<RigCard>(Judgements.Card(rig)!);
    }

    /// <summary>A rig in a list.</summary>
    /// <exception cref="DocumentException">Its document cannot be read.</exception>
    public static KeptRig Summary(RigRecord r) => new(r.Id, r.FilmId, r.Name, r.Version, r.UpdatedAt, Judgements.Card(r));

    /// <summary>The stored rig with its ETag.</summary>
    public static Answer<StoredRig> Stored(HttpContext context, RigRecord r, string filmName) => Answer.Of(Tagged(context, r, filmName));

    private static StoredRig Tagged(HttpContext context, RigRecord r, string filmName)
    {
        context.Response.Headers.ETag = ETag(r.Version);
        return new(r.Id, r.FilmId, filmName, r.Name, r.Version, r.UpdatedAt, RigReader.Read(r.Document, Catalogue.Shipped));
    }

    public static Task<RigRecord?> FindAsync(OchemaContext db, string id) => db.Rigs.Include(r => r.Film)
        .SingleOrDefaultAsync(r => r.Id == id && r.DeletedAt == null);

    /// <summary>Why a change may not go ahead: it does not say which version it was made on, or it was another than the newest.</summary>
    public static ProblemHttpResult? Unmatched(HttpRequest request, RigRecord rig) =>
        request.Headers.IfMatch.Count == 0 ? Problems.Of(428, "Say which version",
            "Send If-Match with the version this change was made on.")
        : request.Headers.IfMatch.ToString() != ETag(rig.Version) ? Changed() : null;

    private static string ETag(int version) => $"\"{version}\"";

    private static ProblemHttpResult Missing(string id) => Problems.NotFound($"There is no rig '{id}'.");

    private static async Task<Answer<IReadOnlyList<RigSummary>>> List(OchemaContext db, Judgements judgements)
    {
        var rigs = await db.Rigs.AsNoTracking().Where(r => r.DeletedAt == null).OrderBy(r => r.Id).Take(MostRigs).ToListAsync();
        await judgements.FillAsync(db, rigs);
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
        return Answer.As<IReadOnlyList<RigSummary>>(list);
    }

    private static async Task<Results<Made<StoredRig>, ProblemHttpResult>> Create(
        Posted<NewRig> posted, HttpContext context, OchemaContext db, TimeProvider clock, OwnShelf own, Judgements judgements)
    {
        var create = posted.Read();
        var judged = Judged(judgements, create.Document, "document.");
        if (await db.Rigs.CountAsync() >= MostRigs)
            return Full();
        var now = clock.GetUtcNow().UtcDateTime;
        var filmId = create.FilmId ?? OwnFilm;
        var film = await db.Films.FindAsync(filmId);
        if (film is null && create.FilmId is not null)
            throw new DocumentException("filmId", $"there is no film '{filmId}'");
        if (film is null)
            db.Films.Add(film = new FilmRecord { Id = OwnFilm, Name = "My rigs", CreatedAt = now });
        var rig = RigStore.New(Guid.NewGuid().ToString("N"), film.Id, create.Document, now, judged);
        db.Rigs.Add(rig);
        await ShelfStore.SaveWithAsync(db, create.Document.Stock, now);
        own.Forget();
        context.Response.Headers.Location = $"/api/rigs/{rig.Id}";
        return Answer.MadeAs<StoredRig>(Tagged(context, rig, film.Name));
    }

    private static ProblemHttpResult Full() => Problems.Of(409, "Full",
        $"There are {MostRigs} rigs already, those in the bin among them: empty it first.");

    private static async Task<Results<Answer<StoredRig>, ProblemHttpResult>> Get(string id, OchemaContext db, HttpContext context) =>
        await FindAsync(db, id) is { } rig ? Stored(context, rig, rig.Film!.Name) : Missing(id);

    private static async Task<Results<Answer<StoredRig>, ProblemHttpResult>> Update(
        string id, Posted<RigDocument> posted, HttpContext context, OchemaContext db, TimeProvider clock, Judgements judgements)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        if (Unmatched(context.Request, rig) is { } unmatched)
            return unmatched;
        var document = posted.Read();
        return await RigStore.SaveAsync(db, rig, document, clock.GetUtcNow().UtcDateTime, Judged(judgements, document, ""))
            ? Stored(context, rig, rig.Film!.Name) : Changed();
    }

    /// <summary>Computes once: what is stored can always be judged again.</summary>
    private static Judgement Judged(Judgements judgements, RigDocument document, string prefix)
    {
        try
        {
            return judgements.Of(document);
        }
        catch (DocumentException e)
        {
            throw new DocumentException(prefix + e.Path, e.Reason);
        }
    }

    private static ProblemHttpResult Changed() => Problems.Of(412, "Changed elsewhere",
        "This rig was saved somewhere else in between. Load it again; your change is still here.");

    private static async Task<Results<NoContent, ProblemHttpResult>> Delete(string id, HttpRequest request, OchemaContext db,
        TimeProvider clock)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        if (Unmatched(request, rig) is { } unmatched)
            return unmatched;
        rig.DeletedAt = clock.GetUtcNow().UtcDateTime;
        return await RigStore.KeepAsync(db) ? TypedResults.NoContent() : Changed();
    }

    private static async Task<Results<Answer<StoredRig>, ProblemHttpResult>> Undelete(string id, HttpContext context, OchemaContext db)
    {
        if (await db.Rigs.Include(r => r.Film).SingleOrDefaultAsync(r => r.Id == id && r.DeletedAt != null) is not { } rig)
            return Missing(id);
        if (Unmatched(context.Request, rig) is { } unmatched)
            return unmatched;
        rig.DeletedAt = null;
        return await RigStore.KeepAsync(db) ? Stored(context, rig, rig.Film!.Name) : Changed();
    }

    private static async Task<Results<Made<StoredRig>, ProblemHttpResult>> Duplicate(
        string id, OchemaContext db, TimeProvider clock, HttpContext context, Judgements judgements)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        if (await db.Rigs.CountAsync() >= MostRigs)
            return Full();
        var document = RigReader.Read(rig.Document, Catalogue.Shipped);
        var name = $"{document.Name}, copy";
        document = document with { Name = name.Length > PlainText.LongestName ? document.Name : name };
        var copy = RigStore.New(Guid.NewGuid().ToString("N"), rig.FilmId, document, clock.GetUtcNow().UtcDateTime, judgements.Of(document));
        db.Rigs.Add(copy);
        await db.SaveChangesAsync();
        return Answer.MadeAs<StoredRig>(Tagged(context, copy, rig.Film!.Name));
    }

    private static async Task<Results<Answer<RigDocument>, ProblemHttpResult>> Export(string id, OchemaContext db, HttpContext context)
    {
        if (await FindAsync(db, id) is not { } rig)
            return Missing(id);
        var name = string.Concat(rig.Name.ToLowerInvariant().Select(c => char.IsAsciiLetterOrDigit(c) ? c : '-')).Trim('-');
        context.Response.Headers.ContentDisposition = new ContentDispositionHeaderValue("attachment") { FileName = $"{(name.Length > 0 ? name : "rig")}.ochema.json" }.ToString();
        return new Answer<RigDocument>(rig.Document);
    }
}
