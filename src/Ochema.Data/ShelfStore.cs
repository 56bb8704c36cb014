using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Core.Stock;

namespace Ochema.Data;

/// <summary>The user's own rows as they are kept.</summary>
public static class ShelfStore
{
    /// <summary>Every row, by list and id.</summary>
    public static Task<List<ShelfRecord>> AllAsync(OchemaContext db) =>
        db.Shelf.AsNoTracking().OrderBy(r => r.List).ThenBy(r => r.Id).Take(OwnStock.MostRows).ToListAsync();

    /// <summary>
    /// The rows for computing. One that cannot be read any more (written by another version) is left out here and shown on the shelf with
    /// its reason.
    /// </summary>
    public static OwnStock Of(IEnumerable<ShelfRecord> records, Func<ShelfRecord, bool> readable)
    {
        var lists = records.Where(readable).GroupBy(r => r.List).Select(g => $"\"{g.Key}\":[{string.Join(',', g.Select(r => r.Row))}]");
        return StrictJson.Read<OwnStock>($"{{{string.Join(',', lists)}}}");
    }

    /// <summary>
    /// Lays rows that came with a rig's file on the shelf, where none of that id lies yet. The rig keeps its own copy either way.
    /// </summary>
    /// <remarks>
    /// Saved together with what else was added to the context; as many as there is room for. Where the same file is opened twice at the
    /// same moment, the one that comes second finds the rows laid there.
    /// </remarks>
    public static async Task SaveWithAsync(OchemaContext db, OwnStock? own, DateTime now)
    {
        for (var again = Attempts; ; again--)
        {
            await AddMissingAsync(db, own, now);
            try
            {
                await db.SaveChangesAsync();
                return;
            }
            catch (DbUpdateException e) when (again > 0 && e.InnerException
                is Microsoft.Data.Sqlite.SqliteException { SqliteErrorCode: 19 })
            {
                foreach (var row in db.ChangeTracker.Entries<ShelfRecord>().Where(r => r.State == EntityState.Added).ToList())
                    row.State = EntityState.Detached;
                // The film of one's own may have been made at the same moment too.
                foreach (var film in db.ChangeTracker.Entries<FilmRecord>().Where(f => f.State == EntityState.Added).ToList())
                    if (await db.Films.AsNoTracking().AnyAsync(f => f.Id == film.Entity.Id))
                        film.State = EntityState.Unchanged;
            }
        }
    }

    private const int Attempts = 5;

    /// <summary>Added to the context and not yet saved.</summary>
    private static async Task AddMissingAsync(OchemaContext db, OwnStock? own, DateTime now)
    {
        if (own is null || own.IsEmpty)
            return;
        var have = await db.Shelf.Select(r => r.Id).ToListAsync();
        var room = OwnStock.MostRows - have.Count;
        foreach (var (list, rows) in own.Lists)
            foreach (var row in rows.Where(r => !have.Contains(r.Id)))
                if (room-- > 0)
                    db.Shelf.Add(new ShelfRecord
                    {
                        List = list,
                        Id = row.Id,
                        Row = StrictJson.Write<object>(row),
                        Version = 1,
                        UpdatedAt = now
                    });
    }
}
