using Ochema.Core.Json;
using Ochema.Core.Making;

namespace Ochema.Web.Commands;

/// <summary><c>ochema cut FILE…</c>: pieces cut from bars at the least cost, one JSON line a file; exit code 2 when one of them is no cut task.</summary>
internal static class CutCommand
{
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error)
    {
        if (args.Length == 0)
        {
            error.WriteLine("usage: ochema cut FILE [FILE …]");
            return 2;
        }
        var code = 0;
        foreach (var file in args)
            try
            {
                output.WriteLine(StrictJson.Write(CutSolver.Solve(CutTaskReader.Read(Files.Read(file, input)))));
            }
            catch (DocumentException e)
            {
                output.WriteLine(StrictJson.Write(new Refused(e.Message)));
                code = 2;
            }
        return code;
    }

    private sealed record Refused(string Error);
}
