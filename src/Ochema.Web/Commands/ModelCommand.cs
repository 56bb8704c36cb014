using Ochema.Core.Analysis;
using Ochema.Core.Json;

namespace Ochema.Web.Commands;

/// <summary><c>ochema model FILE</c>: the structural model of a rig document with its results.</summary>
internal static class ModelCommand
{
    public static int Run(string[] args, TextReader input, TextWriter output, TextWriter error) =>
        Files.Each([.. args.Where(a => a != "--straps-alone")], error, "usage: ochema model FILE [--straps-alone]", file =>
            output.WriteLine(StrictJson.Write(Files.Rig(file, input, (rig, stock) =>
                RigModelDocument.Of(rig, stock, args.Contains("--straps-alone"))))));
}
