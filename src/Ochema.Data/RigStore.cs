using Microsoft.EntityFrameworkCore;
using Ochema.Core;
using Ochema.Core.Rigs;

namespace Ochema.Data;

/// <summary>Saving with versions and optimistic concurrency.</summary>
public static class RigStore
{
    /// <summary>A first version, not yet added to a context.</summary>
    public static RigRecord New(string id, string filmId, RigDocument document, DateTime now)
    {
        var json = StrictJson.Write(document);
        return new RigRecord
        {
            Id = id,
            FilmId = filmId,
            Name = document.Name,
            Document = json,
            Version = 1,
            UpdatedAt = now,
            Versions = [new VersionRecord { RigId = id, Number = 1, Document = json, SavedAt = now }],
        };
    }

    /// <summary>Saves a document as the next version. Returns false when somebody else saved in between.</summary>
    public static async Task<bool> SaveAsync(OchemaContext db, RigRecord rig, RigDocument document, DateTime now, string? versionName = null)
    {
        var json = StrictJson.Write(document);
        rig.Name = document.Name;
        rig.Document = json;
        rig.Version++;
        rig.UpdatedAt = now;
        db.Versions.Add(new VersionRecord { RigId = rig.Id, Number = rig.Version, Document = json, SavedAt = now, Name = versionName });
        return await KeepAsync(db);
    }

    /// <summary>Writes what was changed. Returns false when somebody else changed or took away the same in between.</summary>
    public static async Task<bool> KeepAsync(OchemaContext db)
    {
        try
        {
            await db.SaveChangesAsync();
            return true;
        }
        catch (DbUpdateConcurrencyException)
        {
            return false;
        }
        catch (DbUpdateException e) when (e.InnerException is Microsoft.Data.Sqlite.SqliteException { SqliteErrorCode: 19 })
        {
            return false; // The same version number was taken in between.
        }
    }
}
