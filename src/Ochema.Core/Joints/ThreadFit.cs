using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Joints;

/// <summary>Which threads go into each other, and what goes between where they do not.</summary>
public static class ThreadFit
{
    /// <summary>The bush on sale between two threads, or null: cameras and heads know one, 3/8-16 outside and 1/4-20 inside (ISO
    /// 1222).</summary>
    public static string? Bush(string a, string b) => (a, b) is ("1-4-20", "3-8-16") or ("3-8-16", "1-4-20")
        ? "bush 3/8-16 outside, 1/4-20 inside" : null;

    /// <summary>What is wrong, and what fits.</summary>
    /// <param name="screw">Thread of the screw or stud.</param>
    /// <param name="socket">Thread of what it goes into.</param>
    public static string Mismatch(Fastener screw, Fastener socket, string into) =>
        $"a {screw.Name} screw does not go into the {socket.Name} thread of the {Words.Inside(into)}: "
            + $"{(Bush(screw.Id, socket.Id) is { } bush ? $"put a {bush} between" : $"take {socket.Name}")}";
}
