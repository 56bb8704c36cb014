using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ochema.Core.Assessment;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>Saved states of a rig: list, look, name, return to.</summary>
internal static class VersionsApi
{
    private const int MostListed = 100;

    public static void Map(RouteGroupBuilder api)
    {
        var versions = api.MapGroup("/rigs/{id}/versions");
        versions.MapGet("/", List).Refuses(404).Named("listVersions", "Saved states, the newest first, without their documents.");
        versions.MapGet("/{number:int}", Get).Refuses(404).Named("getVersion", "The document of a saved state.");
        versions.MapPut("/{number:int}/name", Name).Refuses(400, 404)
            .Named("nameVersion", "Names a saved state; an empty name takes it away.");
        versions.MapPost("/{number:int}/restore", Restore).Refuses(404, 409, 412, 428)
            .Named("restoreVersion", "Goes back to a saved state, as a new version.");
    }

    private static async Task<Results<Answer<IReadOnlyList<VersionSummary>>,
        ProblemHttpResult>> List(string id, OchemaContext db, Judgements judgements)
    {
        if (await RigsApi.FindAsync(db, id) is null)
            return Problems.NotFound($"There is no rig '{id}'.");
        var named = await db.Versions.AsNoTracking().Where(v => v.RigId == id && v.Name != null).OrderByDescending(v => v.Number)
            .Take(MostListed).ToListAsync();
        var newest = await db.Versions.AsNoTracking().Where(v => v.RigId == id).OrderByDescending(v => v.Number).Take(MostListed)
            .ToListAsync();
        var versions = newest.UnionBy(named, v => v.Number).OrderByDescending(v => v.Number).ToList();
        await judgements.FillAsync(db, versions);
        return Answer.As<IReadOnlyList<VersionSummary>>(versions.Select((v, i) =>
            Summary(v, i + 1 < versions.Count ? versions[i + 1] : null)).ToList());
    }

    /// <summary>A version with what changed since the one listed before it.</summary>
    private static VersionSummary Summary(VersionRecord v, VersionRecord? before)
    {
        if (!Judgements.Counts(v))
            return new(v.Number, v.Name, v.SavedAt, false, null, null, null, []);
        if (v.Word is null)
            return new(v.Number, v.Name, v.SavedAt, true, null, null, null, []);
        return new(v.Number, v.Name, v.SavedAt, true, JsonSerializer.Deserialize<Verdict>($"\"{v.Word}\"", StrictJson.Options),
            v.LimitSpeed, v.Mass,
            before?.Word is null ? []
                : DocumentChanges.Of(RigReader.Parse<RigDocument>(before.Document), RigReader.Parse<RigDocument>(v.Document),
                    Catalogue.Shipped));
    }

    private static Task<VersionRecord?> FindAsync(OchemaContext db, string id, int number) =>
        db.Versions.SingleOrDefaultAsync(v => v.RigId == id && v.Number == number);

    private static ProblemHttpResult Missing(string id, int number) => Problems.NotFound($"Rig '{id}' has no version {number}.");

    private static async Task<Results<Answer<RigDocument>, ProblemHttpResult>> Get(string id, int number, OchemaContext db) =>
        await FindAsync(db, id, number) is { } v ? new Answer<RigDocument>(v.Document) : Missing(id, number);

    private static async Task<Results<NoContent, ProblemHttpResult>> Name(string id, int number, Posted<VersionName> posted,
        OchemaContext db)
    {
        var name = posted.Read().Name.Trim();
        PlainText.Name(name, "name", 0);
        if (await FindAsync(db, id, number) is not { } v)
            return Missing(id, number);
        v.Name = name.Length == 0 ? null : name;
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Results<Answer<StoredRig>, ProblemHttpResult>> Restore(
        string id, int number, OchemaContext db, TimeProvider clock, HttpContext context, Judgements judgements)
    {
        if (await RigsApi.FindAsync(db, id) is not { } rig || await FindAsync(db, id, number) is not { } v)
            return Missing(id, number);
        if (RigsApi.Unmatched(context.Request, rig) is { } unmatched)
            return unmatched;
        var document = RigReader.Read(v.Document, Catalogue.Shipped);
        return await RigStore.SaveAsync(db, rig, document, clock.GetUtcNow().UtcDateTime, judgements.Of(document))
            ? RigsApi.Stored(context, rig, rig.Film!.Name)
            : Problems.Of(412, "Changed elsewhere", "This rig was saved somewhere else in between.");
    }
}
