using System.Text.Json;
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

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/rigs/{id}/versions", List).Produces<IReadOnlyList<VersionSummary>>().ProducesProblem(404);
        app.MapGet("/api/rigs/{id}/versions/{number:int}", Get).Produces<RigDocument>().ProducesProblem(404);
        app.MapPut("/api/rigs/{id}/versions/{number:int}/name", Name).Accepts<VersionName>("application/json").Produces(204).ProducesProblem(400).ProducesProblem(404);
        app.MapPost("/api/rigs/{id}/versions/{number:int}/restore", Restore).Produces<StoredRig>()
            .ProducesProblem(404).ProducesProblem(409).ProducesProblem(412).ProducesProblem(428);
    }

    private static async Task<IResult> List(string id, OchemaContext db)
    {
        if (await RigsApi.FindAsync(db, id) is null)
            return Problems.NotFound($"There is no rig '{id}'.");
        var named = await db.Versions.AsNoTracking().Where(v => v.RigId == id && v.Name != null).OrderByDescending(v => v.Number).Take(MostListed).ToListAsync();
        var newest = await db.Versions.AsNoTracking().Where(v => v.RigId == id).OrderByDescending(v => v.Number).Take(MostListed).ToListAsync();
        var versions = newest.UnionBy(named, v => v.Number).OrderByDescending(v => v.Number).ToList();
        await Judgements.FillAsync(db, versions);
        return Results.Json(versions.Select((v, i) => Summary(v, i + 1 < versions.Count ? versions[i + 1] : null)).ToList());
    }

    /// <summary>A version with what changed since the one listed before it.</summary>
    private static VersionSummary Summary(VersionRecord v, VersionRecord? before)
    {
        if (!Judgements.Counts(v))
            return new(v.Number, v.Name, v.SavedAt, false, null, null, null, []);
        if (v.Word is null)
            return new(v.Number, v.Name, v.SavedAt, true, null, null, null, []);
        return new(v.Number, v.Name, v.SavedAt, true, JsonSerializer.Deserialize<Verdict>($"\"{v.Word}\"", StrictJson.Options), v.LimitSpeed, v.Mass,
            before?.Word is null ? []
                : DocumentChanges.Of(RigReader.Parse<RigDocument>(before.Document), RigReader.Parse<RigDocument>(v.Document), Catalogue.Shipped));
    }

    private static Task<VersionRecord?> FindAsync(OchemaContext db, string id, int number) => db.Versions.SingleOrDefaultAsync(v => v.RigId == id && v.Number == number);

    private static IResult Missing(string id, int number) => Problems.NotFound($"Rig '{id}' has no version {number}.");

    private static async Task<IResult> Get(string id, int number, OchemaContext db) =>
        await FindAsync(db, id, number) is { } v ? Results.Text(v.Document, "application/json") : Missing(id, number);

    private static Task<IResult> Name(string id, int number, HttpRequest request, OchemaContext db) => Problems.Reading(request, async body =>
    {
        var name = StrictJson.Read<VersionName>(body).Name.Trim();
        if (name.Length > 120)
            throw new DocumentException("name", "is longer than 120 characters");
        if (await FindAsync(db, id, number) is not { } v)
            return Missing(id, number);
        v.Name = name.Length == 0 ? null : name;
        await db.SaveChangesAsync();
        return Results.NoContent();
    });

    private static async Task<IResult> Restore(string id, int number, OchemaContext db, TimeProvider clock, HttpContext context)
    {
        if (await RigsApi.FindAsync(db, id) is not { } rig || await FindAsync(db, id, number) is not { } v)
            return Missing(id, number);
        if (RigsApi.Unmatched(context.Request, rig) is { } unmatched)
            return unmatched;
        var document = RigReader.Read(v.Document, Catalogue.Shipped);
        return await RigStore.SaveAsync(db, rig, document, clock.GetUtcNow().UtcDateTime, Judgements.Of(document))
            ? RigsApi.Stored(context, rig, rig.Film!.Name)
            : Problems.Of(412, "Changed elsewhere", "This rig was saved somewhere else in between.");
    }
}
