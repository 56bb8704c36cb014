return await Ochema.Web.CommandLine.RunAsync(args);

/// <summary>Entry point; public for the test host.</summary>
public partial class Program;
