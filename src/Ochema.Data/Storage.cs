using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ochema.Data;

/// <summary>Opens the database file: write-ahead log, migrations with a copy kept before one runs.</summary>
public static class Storage
{
    public const string FileName = "ochema.db";

    /// <summary>Connection string of the file in a data folder.</summary>
    public static string ConnectionString(string folder) => new SqliteConnectionStringBuilder
    {
        DataSource = Path.Combine(folder, FileName),
        ForeignKeys = true,
        DefaultTimeout = 10,
    }.ToString();

    /// <summary>Brings the file up to date. Before a migration runs on an existing file, a copy is kept beside it.</summary>
    public static void Prepare(OchemaContext db, string folder)
    {
        Directory.CreateDirectory(folder);
        var file = Path.Combine(folder, FileName);
        var pending = db.Database.GetPendingMigrations().ToList();
        if (pending.Count > 0 && File.Exists(file) && db.Database.GetAppliedMigrations().Any())
        {
            var copy = Path.Combine(folder, $"ochema-before-{pending[^1]}.db");
            using var source = new SqliteConnection(ConnectionString(folder));
            using var target = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = copy, Pooling = false }.ToString());
            source.Open();
            target.Open();
            source.BackupDatabase(target);
        }
        db.Database.Migrate();
        db.Database.ExecuteSqlRaw("PRAGMA journal_mode=WAL;");
    }
}
