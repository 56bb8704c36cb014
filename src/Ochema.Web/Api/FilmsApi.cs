using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>Films: named groups of rigs.</summary>
internal static class FilmsApi
{
    private const int MostFilms = 200;

    public static void Map(RouteGroupBuilder api)
    {
        var films = api.MapGroup("/films");
        films.MapGet("/", List).Named("listFilms", "Films with their rigs, what was worked on last first.");
        films.MapPost("/", Create).Refuses(400, 409).Named("createFilm", "A new film.");
        films.MapPost("/demo", OpenDemo).Named("openDemo", "Brings the demo film back.");
        films.MapDelete("/demo", TakeDemo).Named("closeDemo", "Takes the demo film away; what was changed of it goes to the bin.");
    }

    private static async Task<Answer<IReadOnlyList<FilmSummary>>> List(OchemaContext db, Judgements judgements)
    {
        var films = await db.Films.AsNoTracking().Include(f => f.Rigs.Where(r => r.DeletedAt == null)).OrderBy(f => f.CreatedAt)
            .ThenBy(f => f.Id).Take(MostFilms).ToListAsync();
        await judgements.FillAsync(db, [.. films.SelectMany(f => f.Rigs)]);
        // What was worked on last comes first; a demo film that was taken away is not there.
        return Answer.As<IReadOnlyList<FilmSummary>>(films.Where(f => f.Id != DemoFilm.Id || f.Rigs.Count > 0)
            .OrderByDescending(f => f.Rigs.Select(r => r.UpdatedAt).Append(f.CreatedAt).Max()).ThenBy(f => f.Id, StringComparer.Ordinal)
            .Select(Summary).ToList());
    }

    /// <summary>Takes the demo film away: rigs that were changed go to the bin, the others come back with it when it is opened
    /// again.</summary>
    private static async Task<NoContent> TakeDemo(OchemaContext db, TimeProvider clock)
    {
        var now = clock.GetUtcNow().UtcDateTime;
        foreach (var rig in await db.Rigs.Where(r => r.FilmId == DemoFilm.Id && r.DeletedAt == null).ToListAsync())
            if (rig.Version == 1)
                db.Rigs.Remove(rig);
            else
                rig.DeletedAt = now;
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<Results<Made<FilmSummary>, ProblemHttpResult>> Create(Posted<NewFilm> posted, OchemaContext db,
        TimeProvider clock)
    {
        var name = posted.Read().Name.Trim();
        PlainText.Name(name, "name");
        if (await db.Films.CountAsync() >= MostFilms)
            return Problems.Of(409, "Full", $"There are {MostFilms} films already.");
        var film = new FilmRecord { Id = Guid.NewGuid().ToString("N"), Name = name, CreatedAt = clock.GetUtcNow().UtcDateTime };
        db.Films.Add(film);
        await db.SaveChangesAsync();
        return Answer.MadeAs<FilmSummary>(Summary(film));
    }

    private static async Task<Answer<FilmSummary>> OpenDemo(OchemaContext db, TimeProvider clock, Judgements judgements)
    {
        DemoFilm.Seed(db, clock.GetUtcNow().UtcDateTime);
        var film = await db.Films.AsNoTracking().Include(f => f.Rigs.Where(r => r.DeletedAt == null)).SingleAsync(f => f.Id == DemoFilm.Id);
        await judgements.FillAsync(db, film.Rigs);
        return Answer.As<FilmSummary>(Summary(film));
    }

    /// <summary>The demo's rigs in the order that they are numbered in, then the user's own.</summary>
    private static int Shown(RigRecord rig) => rig.Id.Split('-') is ["demo", var number, ..]
        && int.TryParse(number, System.Globalization.CultureInfo.InvariantCulture, out var place) ? place : int.MaxValue;

    /// <summary>The film with its rigs; one that cannot be read stands apart and takes nothing else down.</summary>
    private static KeptFilm Summary(FilmRecord film)
    {
        var (rigs, unreadable) = (new List<KeptRig>(), new List<UnreadableRig>());
        foreach (var rig in film.Rigs.OrderBy(Shown).ThenBy(r => r.UpdatedAt))
            try
            {
                rigs.Add(RigsApi.Summary(rig));
            }
            catch (DocumentException e)
            {
                unreadable.Add(new(rig.Id, rig.Name, rig.Version, rig.UpdatedAt, e.Path, e.Reason));
            }
        return new(film.Id, film.Name, film.Id == DemoFilm.Id, rigs, unreadable);
    }
}
