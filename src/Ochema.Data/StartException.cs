namespace Ochema.Data;

/// <summary>Why the application cannot start, in one sentence for whoever started it. Nothing has been changed.</summary>
/// <param name="sentence">What is wrong, where, and what to do.</param>
/// <param name="code">Exit code of the process.</param>
public sealed class StartException(string sentence, int code, Exception? inner = null) : Exception(sentence, inner)
{
    /// <summary>It was started with something that cannot be.</summary>
    public const int Said = 2;

    /// <summary>The folder cannot be made, read or written.</summary>
    public const int Folder = 3;

    /// <summary>The file in it is not one that this version can use.</summary>
    public const int File = 4;

    /// <summary>Another server, or another program, has it.</summary>
    public const int Taken = 5;

    /// <summary>Exit code of the process.</summary>
    public int Code { get; } = code;
}
