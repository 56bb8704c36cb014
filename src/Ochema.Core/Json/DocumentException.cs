using System.Text.RegularExpressions;

namespace Ochema.Core.Json;

/// <summary>A document that cannot be read: where, and why.</summary>
public sealed partial class DocumentException : Exception
{
    /// <summary>Characters of a path that are said.</summary>
    private const int LongestPath = 160;

    /// <summary>The place in the document, like <c>braces[1].foot.at</c>; empty for the whole.</summary>
    public string Path { get; }

    /// <summary>The reason without the path.</summary>
    public string Reason { get; }

    /// <param name="path">Where.</param>
    /// <param name="reason">Why. What it quotes of the document is said in short.</param>
    public DocumentException(string path, string reason)
        : base(Said(path, reason)) => (Path, Reason) = (Short(path), Quoted().Replace(reason, "'$1…'"));

    private static string Said(string path, string reason) =>
        (path.Length > 0 ? Short(path) + ": " : "") + Quoted().Replace(reason, "'$1…'");

    private static string Short(string path) => path.Length > LongestPath ? path[..LongestPath] + "…" : path;

    /// <summary>Somebody else's words, longer than anyone reads.</summary>
    [GeneratedRegex(@"(?<=^|[\s(])'([^']{60})[^']{10,}'(?=$|[\s,;:.)])", RegexOptions.Singleline)]
    private static partial Regex Quoted();

    public DocumentException()
        : this("", "cannot be read")
    {
    }

    public DocumentException(string message)
        : this("", message)
    {
    }

    public DocumentException(string message, Exception inner)
        : base(message, inner) => (Path, Reason) = ("", message);
}
