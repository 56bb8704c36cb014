using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Web.Commands;

/// <summary>Reading and reporting that the commands share.</summary>
internal static class Files
{
    /// <summary>A file's text, or standard input for "-".</summary>
    public static string Read(string file, TextReader input)
    {
        if (file == "-")
            return input.ReadToEnd();
        try
        {
            return File.ReadAllText(file);
        }
        catch (Exception e) when (e is IOException or UnauthorizedAccessException)
        {
            throw new DocumentException(file, "cannot be opened");
        }
    }

    /// <summary>What is computed of a file's rig, with what ships and its own rows.</summary>
    /// <exception cref="DocumentException">The file is no rig document.</exception>
    public static T Rig<T>(string file, TextReader input, Func<RigDocument, Catalogue, T> compute)
    {
        var rig = RigReader.Read(Read(file, input), Catalogue.Shipped);
        return compute(rig, Catalogue.Shipped.With(rig.Stock));
    }

    /// <summary>Runs a command on one file; a document that cannot be read is one line on standard error and exit code 1.</summary>
    public static int Each(IReadOnlyList<string> files, TextWriter error, string usage, Action<string> run)
    {
        if (files.Count == 0)
        {
            error.WriteLine(usage);
            return 2;
        }
        var code = 0;
        foreach (var f in files)
            try
            {
                run(f);
            }
            catch (DocumentException e)
            {
                error.WriteLine($"{f}: {e.Message}");
                code = 1;
            }
        return code;
    }

    /// <summary>Answers files one JSON line each; a document that cannot be read is a line with its error, and exit code 2 after the
    /// rest.</summary>
    public static int Lines(IReadOnlyList<string> files, TextWriter output, TextWriter error, string usage, Func<string, string> answer)
    {
        if (files.Count == 0)
        {
            error.WriteLine(usage);
            return 2;
        }
        var code = 0;
        foreach (var f in files)
            try
            {
                output.WriteLine(answer(f));
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
