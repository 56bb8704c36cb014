using Ochema.Core.Json;
using Ochema.Core.Making;

namespace Ochema.Web.Commands;

/// <summary><c>ochema cut FILE…</c>: pieces cut from bars at the least cost, one JSON line a file; exit code 2 when one of them is no cut
/// task.</summary>
internal static class CutCommand
{
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error) =>
        Files.Lines(args, output, error, "usage: ochema cut FILE [FILE …]",
            file => StrictJson.Write(CutSolver.Solve(CutTaskReader.Read(Files.Read(file, input)))));
}
