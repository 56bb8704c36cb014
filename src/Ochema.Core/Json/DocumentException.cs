namespace Ochema.Core.Json;

/// <summary>A document that cannot be read: where, and why.</summary>
public sealed class DocumentException : Exception
{
    /// <summary>The place in the document, like <c>braces[1].foot.at</c>; empty for the whole.</summary>
    public string Path { get; }

    /// <summary>The reason without the path.</summary>
    public string Reason { get; }

    public DocumentException(string path, string reason)
        : base(path.Length > 0 ? $"{path}: {reason}" : reason) => (Path, Reason) = (path, reason);

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
