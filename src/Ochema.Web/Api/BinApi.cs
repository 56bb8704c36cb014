using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>The bin: rigs that were deleted, until it is emptied. What is emptied is gone, with all its versions.</summary>
internal static class BinApi
{
    private const int MostListed = 500;

    public static void Map(RouteGroupBuilder api)
    {
        var bin = api.MapGroup("/bin");
        bin.MapGet("/", List).Named("listBin", "Rigs in the bin, those put there last first.");
        bin.MapDelete("/", Empty).Named("emptyBin", "Empties the bin: its rigs are gone for good.");
        bin.MapDelete("/{id}", Take).Refuses(404).Named("deleteForGood", "Takes one rig out of the bin for good.");
    }

    private static async Task<Answer<IReadOnlyList<BinnedRig>>> List(OchemaContext db) => Answer.Of<IReadOnlyList<BinnedRig>>(
        await db.Rigs.AsNoTracking().Where(r => r.DeletedAt != null).OrderByDescending(r => r.DeletedAt).ThenBy(r => r.Id).Take(MostListed)
            .Select(r => new BinnedRig(r.Id, r.Name, r.Film!.Name, r.Version, r.DeletedAt!.Value)).ToListAsync());

    private static async Task<NoContent> Empty(OchemaContext db, OpenedFile file)
    {
        file.MustBeThere();
        await db.Rigs.Where(r => r.DeletedAt != null).ExecuteDeleteAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Take(string id, OchemaContext db, OpenedFile file)
    {
        file.MustBeThere();
        return await db.Rigs.Where(r => r.Id == id && r.DeletedAt != null).ExecuteDeleteAsync() > 0
            ? TypedResults.NoContent() : Problems.NotFound($"There is no rig '{id}' in the bin.");
    }
}
