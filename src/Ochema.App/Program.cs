return await Ochema.Web.CommandLine.RunAsync(args);
