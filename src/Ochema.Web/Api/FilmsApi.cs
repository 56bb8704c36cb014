using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>Films: named groups of rigs.</summary>
internal static class FilmsApi
{
    private const int MostFilms = 200;

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/films", List).Produces<IReadOnlyList<FilmSummary>>();
        app.MapPost("/api/films", Create).Accepts<NewFilm>("application/json").Produces<FilmSummary>(201).ProducesProblem(400);
        app.MapPost("/api/films/demo", OpenDemo).Produces<FilmSummary>();
    }

    private static async Task<IResult> List(OchemaContext db)
    {
        var films = await db.Films.AsNoTracking().Include(f => f.Rigs.Where(r => r.DeletedAt == null)).OrderBy(f => f.CreatedAt).ThenBy(f => f.Id).Take(MostFilms).ToListAsync();
        await Judgements.FillAsync(db, [.. films.SelectMany(f => f.Rigs)]);
        return Results.Json(films.Select(Summary).ToList());
    }

    private static Task<IResult> Create(HttpRequest request, OchemaContext db, TimeProvider clock) => Problems.Reading(request, async body =>
    {
        var name = StrictJson.Read<NewFilm>(body).Name.Trim();
        if (name.Length is 0 or > 120)
            throw new DocumentException("name", "needs 1 to 120 characters");
        if (await db.Films.CountAsync() >= MostFilms)
            return Problems.Of(409, "Full", $"There are {MostFilms} films already.");
        var film = new FilmRecord { Id = Guid.NewGuid().ToString("N"), Name = name, CreatedAt = clock.GetUtcNow().UtcDateTime };
        db.Films.Add(film);
        await db.SaveChangesAsync();
        return Results.Json(Summary(film), statusCode: 201);
    });

    private static async Task<IResult> OpenDemo(OchemaContext db, TimeProvider clock)
    {
        DemoFilm.Seed(db, clock.GetUtcNow().UtcDateTime);
        var film = await db.Films.AsNoTracking().Include(f => f.Rigs.Where(r => r.DeletedAt == null)).SingleAsync(f => f.Id == DemoFilm.Id);
        await Judgements.FillAsync(db, film.Rigs);
        return Results.Json(Summary(film));
    }

    /// <summary>The film with its rigs; one that cannot be read stands apart and takes nothing else down.</summary>
    private static KeptFilm Summary(FilmRecord film)
    {
        var (rigs, unreadable) = (new List<KeptRig>(), new List<UnreadableRig>());
        foreach (var rig in film.Rigs.OrderBy(r => r.Id.StartsWith("demo-", StringComparison.Ordinal) ? 0 : 1)
            .ThenBy(r => r.Id.StartsWith("demo-", StringComparison.Ordinal) ? r.Id : "").ThenBy(r => r.UpdatedAt))
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
