namespace Ochema.Data;

/// <summary>One server to a data folder: held while it runs, given back by the system however it ends.</summary>
public sealed class FolderLock : IDisposable
{
    public const string FileName = "ochema.lock";

    /// <summary>ENOSPC and EROFS of POSIX, as the runtime hands them on.</summary>
    private const int Full = 28;
    private const int ReadOnly = 30;

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
        catch (IOException e) when (e.HResult is not (Full or ReadOnly) && File.Exists(Path.Combine(folder, FileName)))
        {
            throw new StartException($"Another Ochema is running on the data folder {folder}: use that one, or choose another folder "
                + $"with --data.",
                StartException.Taken, e);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new StartException($"The data folder {folder} cannot be written: {Reason(e)}.", StartException.Folder, e);
        }
    }

    /// <summary>What the system says, without the path that the sentence names already.</summary>
    private static string Reason(Exception e) => (e, e.HResult) switch
    {
        (UnauthorizedAccessException, _) => "you have no right to; get it, or choose another with --data",
        (_, Full) => "the disk is full",
        (_, ReadOnly) => "the disk is read-only; choose another with --data",
        _ => "something else is in its place",
    };

    public void Dispose() => file.Dispose();
}
