using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ochema.Data;

/// <summary>Opens the database file: looked at before it is touched, write-ahead log, migrations with a copy kept before one
/// runs.</summary>
public static class Storage
{
    public const string FileName = "ochema.db";

    /// <summary>Table in which a migration under way marks the file; only whoever holds the <see cref="FolderLock"/> may be at
    /// it.</summary>
    private const string MigrationMark = "__EFMigrationsLock";

    private const string History = "__EFMigrationsHistory";

    /// <summary>The least that a file of the films grows by, bytes: the index of its log.</summary>
    private const long Page = 32768;

    /// <summary>Longest that a save waits for another program's lock, s.</summary>
    private const int Waits = 4;

    /// <summary>Connection string of the file in a data folder.</summary>
    public static string ConnectionString(string folder) => new SqliteConnectionStringBuilder
    {
        DataSource = Path.Combine(folder, FileName),
        ForeignKeys = true,
        DefaultTimeout = Waits,
    }.ToString();

    /// <summary>
    /// Brings the file up to date. Before a migration runs on an existing file, a copy is kept beside it. The folder's lock must be held: a
    /// mark that a killed migration left is taken away.
    /// </summary>
    /// <exception cref="StartException">The file is damaged, another program's, a newer version's, locked, not to be written, or the disk
    /// is full.</exception>
    public static void Prepare(OchemaContext db, string folder)
    {
        var file = Path.Combine(folder, FileName);
        try
        {
            if (File.Exists(file) && new FileInfo(file).Length > 0)
                Examine(db, folder);
            var pending = db.Database.GetPendingMigrations().ToList();
            if (pending.Count > 0 && File.Exists(file) && db.Database.GetAppliedMigrations().Any())
                KeepCopy(folder, pending[^1]);
            db.Database.Migrate();
            db.Database.ExecuteSqlRaw("PRAGMA journal_mode=WAL;");
        }
        catch (SqliteException e)
        {
            throw Refused(file, e);
        }
        catch (IOException e)
        {
            throw new StartException($"A copy of {file} cannot be kept before it is brought up to date: {e.Message}", StartException.Folder,
                e);
        }
    }

    /// <summary>Writes what the first start writes into a file that is there.</summary>
    /// <exception cref="StartException">It does not take it.</exception>
    public static void First(string folder, Action write)
    {
        try
        {
            write();
        }
        catch (Exception e) when ((e as SqliteException ?? e.InnerException as SqliteException) is { } refused)
        {
            throw Refused(Path.Combine(folder, FileName), refused);
        }
    }

    /// <summary>Looks before anything is changed, then takes away what a killed start left.</summary>
    private static void Examine(OchemaContext db, string folder)
    {
        var file = Path.Combine(folder, FileName);
        var soon = new SqliteConnectionStringBuilder(ConnectionString(folder)) { Pooling = false, DefaultTimeout = 2 };
        using var connection = new SqliteConnection(soon.ToString());
        connection.Open();
        List<string> Rows(string sql)
        {
            using var command = connection.CreateCommand();
            command.CommandText = sql;
            using var reader = command.ExecuteReader();
            var rows = new List<string>();
            while (reader.Read())
                rows.Add(reader.GetString(0));
            return rows;
        }
        if (Rows("PRAGMA quick_check(1);") is not ["ok"])
            throw Damaged(file);
        var tables = Rows("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%';");
        if (tables.Exists(t => t is not (History or MigrationMark)) && !tables.Contains(History))
            throw new StartException($"{file} belongs to another program: move it away, or choose another folder with --data.",
                StartException.File);
        if (tables.Contains(History)
            && Rows($"SELECT \"MigrationId\" FROM \"{History}\";").Except(db.Database.GetMigrations()).Order().LastOrDefault()
                is { } unknown)
            throw new StartException($"{file} was written by a newer Ochema ({unknown}): start that one. Nothing was changed.",
                StartException.File);
        // Can it be written? Asked now, not at the first save.
        Rows("BEGIN IMMEDIATE;");
        if (tables.Contains(MigrationMark))
            Rows($"DELETE FROM \"{MigrationMark}\";");
        Rows("COMMIT;");
    }

    private static void KeepCopy(string folder, string migration)
    {
        var copy = Path.Combine(folder, $"ochema-before-{migration}.db");
        var part = copy + ".part";
        File.Delete(part);
        using (var source = new SqliteConnection(ConnectionString(folder)))
        using (var target = new SqliteConnection(new SqliteConnectionStringBuilder { DataSource = part, Pooling = false }.ToString()))
        {
            source.Open();
            target.Open();
            source.BackupDatabase(target);
        }
        // Whole or not at all: a kill on the way leaves no half copy under the name of a whole one.
        File.Move(part, copy, overwrite: true);
    }

    /// <summary>What a failure of the file means, in a sentence; also for a save that fails later.</summary>
    /// <param name="folder">Where it is: a disk without room does not always say so.</param>
    public static string Meaning(SqliteException e, string? folder = null) => e.SqliteErrorCode switch
    {
        10 when folder is not null && new DriveInfo(Path.GetFullPath(folder)).AvailableFreeSpace < Page => "the disk is full",
        13 => "the disk is full",
        5 or 6 => "another program has it locked",
        8 => "it is read-only",
        14 => "it cannot be opened",
        11 or 26 => "it is damaged",
        10 => "the disk does not answer",
        _ => $"it refuses with {e.SqliteErrorCode}",
    };

    private static StartException Refused(string file, SqliteException e)
    {
        var meaning = Meaning(e, Path.GetDirectoryName(file));
        return e.SqliteErrorCode switch
        {
            11 or 26 => Damaged(file, e),
            5 or 6 => new($"{file} cannot be used: {meaning}. Close that program, then start again.", StartException.Taken, e),
            10 or 13 => new($"{file} cannot be used: {meaning}. Make room, or look at the disk, then start again.", StartException.Folder,
                e),
            8 or 14 => new($"{file} cannot be written: {meaning}. Give yourself the right to, or choose another folder with --data.",
                StartException.Folder,
                e),
            _ => new($"{file} cannot be used: {meaning}.", StartException.Folder, e),
        };
    }

    private static StartException Damaged(string file, Exception? inner = null) =>
        new($"{file} is damaged or no database at all: put a copy back in its place (ochema-before-*.db beside it, or your own). Nothing "
            + $"was changed.",
            StartException.File, inner);
}
