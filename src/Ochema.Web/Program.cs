using Ochema.Web;
using Ochema.Web.Commands;

return args switch
{
    ["assess", .. var rest] => AssessCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["model", .. var rest] => ModelCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["solve", .. var rest] => SolveCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["cut", .. var rest] => CutCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["hang", .. var rest] => HangCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["make", .. var rest] => MakeCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["prove", .. var rest] => ProveCommand.Run(rest, Console.In, Console.Out, Console.Error),
    ["openapi"] => await OpenApiCommand.RunAsync(Console.Out),
    _ => await Server.RunAsync(args),
};

/// <summary>Entry point; public for the test host.</summary>
public partial class Program;
