namespace Ochema.Data;

/// <summary>One server to a data folder: held while it runs, given back by the system however it ends.</summary>
public sealed class FolderLock : IDisposable
{
    public const string FileName = "ochema.lock";

    private readonly FileStream file;

    private FolderLock(FileStream file) => this.file = file;

    /// <summary>Makes the folder where it is missing, for its owner alone, and takes it.</summary>
    /// <exception cref="StartException">It cannot be made or written, or another server has it.</exception>
    public static FolderLock Take(string folder)
    {
        try
        {
            if (OperatingSystem.IsWindows())
                Directory.CreateDirectory(folder);
            else if (!Directory.Exists(folder))
                Directory.CreateDirectory(folder, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new StartException($"The data folder {folder} cannot be made: {Reason(e)}.", StartException.Folder, e);
        }
        try
        {
            return new(new FileStream(Path.Combine(folder, FileName), FileMode.OpenOrCreate, FileAccess.ReadWrite, FileShare.None));
        }
        catch (UnauthorizedAccessException e)
        {
            throw new StartException($"The data folder {folder} cannot be written: give yourself the right to, or choose another with --data.", StartException.Folder, e);
        }
        catch (IOException e) when (File.Exists(Path.Combine(folder, FileName)) && !e.Message.Contains("Read-only", StringComparison.OrdinalIgnoreCase)
            && !e.Message.Contains("No space", StringComparison.OrdinalIgnoreCase))
        {
            throw new StartException($"Another Ochema is running on the data folder {folder}: use that one, or choose another folder with --data.", StartException.Taken, e);
        }
        catch (IOException e)
        {
            throw new StartException($"The data folder {folder} cannot be written: {Reason(e)}.", StartException.Folder, e);
        }
    }

    /// <summary>What the system says, without the path that the sentence names already.</summary>
    private static string Reason(Exception e) =>
        e is UnauthorizedAccessException ? "you have no right to" : e.Message.Contains("No space", StringComparison.OrdinalIgnoreCase) ? "the disk is full"
        : e.Message.Contains("Read-only", StringComparison.OrdinalIgnoreCase) ? "the disk is read-only" : "something else is in its place";

    public void Dispose() => file.Dispose();
}
