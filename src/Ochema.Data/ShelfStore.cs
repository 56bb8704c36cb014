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
    /// The rows for computing. One that cannot be read any more (written by another version) is left out here and shown on the shelf with its reason.
    /// </summary>
    public static OwnStock Of(IEnumerable<ShelfRecord> records, Func<ShelfRecord, bool> readable)
    {
        var lists = records.Where(readable).GroupBy(r => r.List).Select(g => $"\"{g.Key}\":[{string.Join(',', g.Select(r => r.Row))}]");
        return StrictJson.Read<OwnStock>($"{{{string.Join(',', lists)}}}");
    }

    /// <summary>
    /// Lays rows that came with a rig's file on the shelf, where none of that id lies yet. The rig keeps its own copy either way.
    /// </summary>
    /// <remarks>Added to the context and not yet saved; as many as there is room for.</remarks>
    public static async Task AddMissingAsync(OchemaContext db, OwnStock? own, DateTime now)
    {
        if (own is null || own.IsEmpty)
            return;
        var have = await db.Shelf.Select(r => r.Id).ToListAsync();
        var room = OwnStock.MostRows - have.Count;
        foreach (var (list, rows) in own.Lists)
            foreach (var row in rows.Where(r => !have.Contains(r.Id)))
                if (room-- > 0)
                    db.Shelf.Add(new ShelfRecord { List = list, Id = row.Id, Row = StrictJson.Write<object>(row), Version = 1, UpdatedAt = now });
    }
}
