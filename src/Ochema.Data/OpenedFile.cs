using Microsoft.EntityFrameworkCore.Diagnostics;

namespace Ochema.Data;

/// <summary>
/// The file of the films as it was opened at the start. Deleted or moved while the server runs it takes what is written, and is read by
/// nobody ever again: so nothing is acknowledged that was written there.
/// </summary>
public sealed class OpenedFile : SaveChangesInterceptor, IDisposable
{
    private readonly string path;

    // Held open and never closed before the end: closing any handle of a file gives up the locks that SQLite has on it.
    private readonly FileStream witness;

    private OpenedFile(string path, FileStream witness) => (this.path, this.witness) = (path, witness);

    /// <summary>Remembers the file in a data folder, which is there.</summary>
    public static OpenedFile Of(string folder)
    {
        var path = Path.GetFullPath(Path.Combine(folder, Storage.FileName));
        return new(Real(path), new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite | FileShare.Delete));
    }

    /// <summary>Throws where another file, or none, is in its place now.</summary>
    /// <exception cref="FileGoneException">It was taken away.</exception>
    public void MustBeThere()
    {
        // What the system says of an open file: its present path, and whether anything leads to it still.
        var link = $"/proc/self/fd/{witness.SafeFileHandle.DangerousGetHandle()}";
        if (OperatingSystem.IsLinux() && new FileInfo(link).LinkTarget is { } now ? now != path : !File.Exists(path))
            throw new FileGoneException(path);
    }

    /// <summary>A path without links on the way.</summary>
    private static string Real(string path)
    {
        var folder = new DirectoryInfo(Path.GetDirectoryName(path)!);
        var parts = new Stack<string>();
        for (DirectoryInfo? at = folder; at is not null; at = at.Parent)
        {
            if (at.ResolveLinkTarget(returnFinalTarget: true) is DirectoryInfo target)
                return Real(Path.Combine([target.FullName, .. parts, Path.GetFileName(path)]));
            parts.Push(at.Name);
        }
        return File.ResolveLinkTarget(path, returnFinalTarget: true)?.FullName ?? path;
    }

    public override InterceptionResult<int> SavingChanges(DbContextEventData eventData, InterceptionResult<int> result)
    {
        MustBeThere();
        return result;
    }

    public override ValueTask<InterceptionResult<int>> SavingChangesAsync(DbContextEventData eventData, InterceptionResult<int> result,
        CancellationToken cancellationToken = default)
    {
        MustBeThere();
        return new(result);
    }

    public override int SavedChanges(SaveChangesCompletedEventData eventData, int result)
    {
        MustBeThere();
        return result;
    }

    public override ValueTask<int> SavedChangesAsync(SaveChangesCompletedEventData eventData, int result,
        CancellationToken cancellationToken = default)
    {
        MustBeThere();
        return new(result);
    }

    public void Dispose() => witness.Dispose();
}

/// <summary>The file of the films was deleted, moved or replaced under the running server.</summary>
/// <param name="file">Where it was.</param>
public sealed class FileGoneException(string file) : Exception($"{file} was deleted, moved or replaced while Ochema runs")
{
    /// <summary>Where it was.</summary>
    public string File { get; } = file;
}
