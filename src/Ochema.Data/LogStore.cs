using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Core.Proving;

namespace Ochema.Data;

/// <summary>The log of a rig: what was proved, run, read and seen. Lines are added, none is changed.</summary>
public static class LogStore
{
    /// <summary>What became of a line that was sent.</summary>
    public enum Added
    {
        /// <summary>It is kept.</summary>
        New,

        /// <summary>It was here already, word for word.</summary>
        Again,

        /// <summary>Another line has its key.</summary>
        Conflict,

        /// <summary>The rig has as many as are kept.</summary>
        Full,
    }

    /// <summary>All lines of a rig, in the order in which they came.</summary>
    public static async Task<IReadOnlyList<(Entry Entry, int Version)>> OfAsync(OchemaContext db, string rig)
    {
        var lines = await db.Log.AsNoTracking().Where(l => l.RigId == rig).OrderBy(l => l.Id).ToListAsync();
        return [.. lines.Select(l => (StrictJson.Read<Entry>(l.Entry), l.Version))];
    }

    /// <summary>Adds a line. What is sent a second time, as after a break of the connection, is kept once.</summary>
    public static async Task<Added> AddAsync(OchemaContext db, RigRecord rig, Entry entry, DateTime now)
    {
        if (await AgainAsync(db, rig.Id, entry) is { } known)
            return known;
        if (await db.Log.CountAsync(l => l.RigId == rig.Id) >= Entry.Most)
            return Added.Full;
        db.Log.Add(Line(rig, entry, now));
        // Two at once with one key: the file keeps the first.
        return await RigStore.KeepAsync(db) ? Added.New : await AgainAsync(db, rig.Id, entry) ?? Added.Conflict;
    }

    /// <summary>A line as it is kept.</summary>
    internal static LogRecord Line(RigRecord rig, Entry entry, DateTime now) => new()
    {
        RigId = rig.Id,
        Key = entry.Key,
        Entry = StrictJson.Write(entry),
        Version = rig.Version,
        ReceivedAt = now,
    };

    private static async Task<Added?> AgainAsync(OchemaContext db, string rig, Entry entry)
    {
        var known = await db.Log.AsNoTracking().Where(l => l.RigId == rig && l.Key == entry.Key).Select(l => l.Entry).SingleOrDefaultAsync();
        return known is null ? null : known == StrictJson.Write(entry) ? Added.Again : Added.Conflict;
    }
}
