using Ochema.Core.Json;
using Ochema.Core.Structure;

namespace Ochema.Web.Commands;

/// <summary><c>ochema solve FILE…</c>: model documents with results filled in, one JSON document a line.</summary>
internal static class SolveCommand
{
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error) =>
        Files.Each(args, error, "usage: ochema solve FILE [FILE …]", file =>
            output.WriteLine(StrictJson.Write(ModelSolver.Solve(ModelDocumentReader.Read(Files.Read(file, input))))));
}
