using Microsoft.EntityFrameworkCore;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>The bin: rigs that were deleted, until it is emptied. What is emptied is gone, with all its versions.</summary>
internal static class BinApi
{
    private const int MostListed = 500;

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/bin", List).Produces<IReadOnlyList<BinnedRig>>();
        app.MapDelete("/api/bin", Empty).Produces(204);
        app.MapDelete("/api/bin/{id}", Take).Produces(204).ProducesProblem(404);
    }

    private static async Task<IResult> List(OchemaContext db) => Results.Json(await db.Rigs.AsNoTracking().Where(r => r.DeletedAt != null)
        .OrderByDescending(r => r.DeletedAt).ThenBy(r => r.Id).Take(MostListed)
        .Select(r => new BinnedRig(r.Id, r.Name, r.Film!.Name, r.Version, r.DeletedAt!.Value)).ToListAsync());

    private static async Task<IResult> Empty(OchemaContext db)
    {
        await db.Rigs.Where(r => r.DeletedAt != null).ExecuteDeleteAsync();
        return Results.NoContent();
    }

    private static async Task<IResult> Take(string id, OchemaContext db) =>
        await db.Rigs.Where(r => r.Id == id && r.DeletedAt != null).ExecuteDeleteAsync() > 0
            ? Results.NoContent() : Problems.NotFound($"There is no rig '{id}' in the bin.");
}
