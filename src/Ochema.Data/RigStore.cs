using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Core.Rigs;

namespace Ochema.Data;

/// <summary>Saving with versions and optimistic concurrency.</summary>
public static class RigStore
{
    /// <summary>A first version, not yet added to a context.</summary>
    public static RigRecord New(string id, string filmId, RigDocument document, DateTime now, Judgement? judged = null)
    {
        var json = StrictJson.Write(document);
        var first = new VersionRecord { RigId = id, Number = 1, Document = json, SavedAt = now };
        var rig = new RigRecord
        {
            Id = id,
            FilmId = filmId,
            Name = document.Name,
            Document = json,
            Version = 1,
            UpdatedAt = now,
            Versions = [first],
        };
        Keep(rig, first, judged);
        return rig;
    }

    private static void Keep(RigRecord rig, VersionRecord version, Judgement? judged)
    {
        (rig.Card, rig.Judged) = (judged?.Card, judged?.Stamp);
        (version.Word, version.LimitSpeed, version.Mass, version.Judged) = (judged?.Word, judged?.LimitSpeed, judged?.Mass, judged?.Stamp);
    }

    /// <summary>Keeps what was computed later for a rig, if it is still the same version.</summary>
    public static Task<int> KeepAsync(OchemaContext db, RigRecord rig, Judgement judged) =>
        db.Rigs.Where(r => r.Id == rig.Id && r.Version == rig.Version).ExecuteUpdateAsync(s => s.SetProperty(r => r.Card, judged.Card)
            .SetProperty(r => r.Judged, judged.Stamp));

    /// <summary>Keeps what was computed later for a version.</summary>
    public static Task<int> KeepAsync(OchemaContext db, VersionRecord version, Judgement judged) =>
        db.Versions.Where(v => v.Id == version.Id).ExecuteUpdateAsync(s => s.SetProperty(v => v.Word, judged.Word)
            .SetProperty(v => v.LimitSpeed, judged.LimitSpeed).SetProperty(v => v.Mass, judged.Mass)
                .SetProperty(v => v.Judged, judged.Stamp));

    /// <summary>Saves a document as the next version. Returns false when somebody else saved in between.</summary>
    public static async Task<bool> SaveAsync(OchemaContext db, RigRecord rig, RigDocument document, DateTime now, Judgement? judged = null)
    {
        var json = StrictJson.Write(document);
        rig.Name = document.Name;
        rig.Document = json;
        rig.Version++;
        rig.UpdatedAt = now;
        var version = new VersionRecord { RigId = rig.Id, Number = rig.Version, Document = json, SavedAt = now };
        db.Versions.Add(version);
        Keep(rig, version, judged);
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
