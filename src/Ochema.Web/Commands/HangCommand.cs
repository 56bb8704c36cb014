using Ochema.Core.Json;
using Ochema.Core.Structure.Lines;

namespace Ochema.Web.Commands;

/// <summary><c>ochema hang FILE…</c>: nets of ropes as they hang, one JSON line a file; exit code 2 when one of them is no net.</summary>
internal static class HangCommand
{
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error) =>
        Files.Lines(args, output, error, "usage: ochema hang FILE [FILE …]",
            file => StrictJson.Write(HangingNet.Solve(HangTaskReader.Read(Files.Read(file, input)))));
}
