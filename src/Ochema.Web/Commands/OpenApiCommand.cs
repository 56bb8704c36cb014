namespace Ochema.Web.Commands;

/// <summary><c>Ochema.Web openapi</c>: the API's description, which the client's types are made from. Needs no port.</summary>
internal static class OpenApiCommand
{
    public static async Task<int> RunAsync(TextWriter output)
    {
        var folder = Directory.CreateTempSubdirectory("ochema-openapi-");
        try
        {
            await using var app = Server.Build(["--data", folder.FullName, "--port", "0"]);
            await app.StartAsync();
            using var client = new HttpClient { BaseAddress = new Uri(app.Urls.First()) };
            output.WriteLine(await client.GetStringAsync(new Uri("/api/openapi.json", UriKind.Relative)));
            await app.StopAsync();
            return 0;
        }
        finally
        {
            Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
            folder.Delete(recursive: true);
        }
    }
}
