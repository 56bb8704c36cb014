using Ochema.Web.Commands;

namespace Ochema.Web;

/// <summary>What the first word on the command line asks for; the server where there is none.</summary>
public static class CommandLine
{
    /// <returns>The exit code.</returns>
    public static async Task<int> RunAsync(string[] args) => args switch
    {
        ["assess", .. var rest] => AssessCommand.Run(rest, Console.In, Console.Out, Console.Error),
        ["model", .. var rest] => ModelCommand.Run(rest, Console.In, Console.Out, Console.Error),
        ["solve", .. var rest] => SolveCommand.Run(rest, Console.In, Console.Out, Console.Error),
        ["cut", .. var rest] => CutCommand.Run(rest, Console.In, Console.Out, Console.Error),
        ["hang", .. var rest] => HangCommand.Run(rest, Console.In, Console.Out, Console.Error),
        ["make", .. var rest] => MakeCommand.Run(rest, Console.In, Console.Out, Console.Error),
        ["prove", .. var rest] => ProveCommand.Run(rest, Console.In, Console.Out, Console.Error),
        ["--version"] => Packed.Say(Console.Out),
        ["openapi"] => await OpenApiCommand.RunAsync(Console.Out),
        _ => await Server.RunAsync(args),
    };
}
