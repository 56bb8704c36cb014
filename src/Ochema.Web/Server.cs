using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.StaticFiles;
using System.Globalization;
using System.Net;
using System.IO.Compression;
using System.Net.Sockets;
using Microsoft.AspNetCore.Connections;
using Microsoft.AspNetCore.ResponseCompression;
using Microsoft.AspNetCore.Routing.Template;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.FileProviders;
using Ochema.Core.Json;
using Ochema.Data;
using Ochema.Web.Api;
using Ochema.Web.Phone;

namespace Ochema.Web;

/// <summary>The web application: options, middleware, resources.</summary>
public static class Server
{
    internal const long LargestRequest = 4 * 1024 * 1024;

    /// <summary>Ten minutes of a phone's log at 400 samples a second.</summary>
    internal const long LargestLog = 32 * 1024 * 1024;

    /// <summary>Longest that the rest of a request is waited for.</summary>
    private static readonly TimeSpan HalfSent = TimeSpan.FromSeconds(20);

    /// <summary>Requests that are worked on side by side before the pool begins to ration threads.</summary>
    private const int MostAtOnce = 16;

    /// <summary>Runs until stopped. Options: <c>--port N</c>, <c>--data DIR</c>, <c>--ui DIR</c>, <c>--demo</c>, <c>--phone</c>,
    /// <c>--phone-port N</c>, <c>--tls</c>.</summary>
    public static async Task<int> RunAsync(string[] args)
    {
        try
        {
            var app = Build(args);
            if (app.Services.GetService<PhoneDoor>() is not null)
                app.Lifetime.ApplicationStarted.Register(() => PhoneNotice.Print(app.Services, Console.Out));
            if (Packed.Is)
                app.Lifetime.ApplicationStarted.Register(() => Open(app.Urls.First(), args));
            await app.RunAsync();
            return 0;
        }
        catch (StartException e)
        {
            await Console.Error.WriteLineAsync("ochema: " + e.Message);
            return e.Code;
        }
        catch (SocketException e)
        {
            await Console.Error.WriteLineAsync($"ochema: The port cannot be used: {e.Message}. Choose another with --port.");
            return StartException.Taken;
        }
        catch (IOException e) when (e.InnerException is AddressInUseException)
        {
            await Console.Error.WriteLineAsync("ochema: The port is taken by another program: stop that one, or choose another with --port.");
            return StartException.Taken;
        }
    }

    /// <summary>Says where it is, to whoever started it without a launcher, and opens the browser there.</summary>
    private static void Open(string address, string[] args)
    {
        Console.WriteLine($"Ochema is at {address}; Ctrl-C stops it.");
        if (!args.Contains(ServerSettings.NoBrowser) && !Packed.Browse(address))
            Console.WriteLine("Open that address in a browser.");
    }

    /// <summary>The application, ready to run.</summary>
    /// <exception cref="StartException">It cannot use its data folder.</exception>
    public static WebApplication Build(string[] args)
    {
        // It is set up once, from its arguments: no folder is watched for settings that change, least of all the one it was started in,
        // with all that lies
        // there.
        var builder = WebApplication.CreateBuilder(new WebApplicationOptions
        {
            Args = [.. args.Where(a => !ServerSettings.Switches.Contains(a)), "--hostBuilder:reloadConfigOnChange=false"],
            ContentRootPath = AppContext.BaseDirectory,
        });
        var settings = ServerSettings.From(builder.Configuration, args);
        settings.Check();
        builder.WebHost.ConfigureKestrel(k =>
        {
            k.Limits.MaxRequestBodySize = LargestRequest;
            k.Limits.RequestHeadersTimeout = HalfSent;
            k.Limits.MinRequestBodyDataRate = new(bytesPerSecond: 240, gracePeriod: HalfSent / 2);
        });
        // Searches keep both cores busy; an edit's request is not to wait until the pool thinks of another thread.
        ThreadPool.SetMinThreads(MostAtOnce, MostAtOnce);
        if (settings.PhoneAt is { } phoneAt)
        {
            var door = new PhoneDoor(phoneAt, settings.Tls ? OwnAuthority.In(settings.DataFolder, TimeProvider.System) : null);
            builder.Services.AddSingleton(door);
            builder.WebHost.ConfigureKestrel(k =>
            {
                k.Listen(IPAddress.Loopback, settings.OwnPort);
                door.Open(k);
            });
        }
        else if (settings.Port is { } port)
            builder.WebHost.UseUrls($"http://127.0.0.1:{port}");
        builder.Logging.AddFilter("Microsoft", LogLevel.Warning);
        // Why it does not start is one sentence, said by whoever called; not a stack of names.
        builder.Logging.AddFilter("Microsoft.Extensions.Hosting.Internal.Host", LogLevel.None);
        builder.Logging.AddFilter("Microsoft.EntityFrameworkCore", LogLevel.None);
        builder.Services.AddSingleton(settings);
        builder.Services.AddSingleton(_ => FolderLock.Take(settings.DataFolder));
        builder.Services.AddSingleton(TimeProvider.System);
        builder.Services.AddSingleton(_ => OpenedFile.Of(settings.DataFolder));
        // Once the file is made: until then there is nothing to remember.
        var prepared = false;
        builder.Services.AddDbContext<OchemaContext>((services, o) =>
        {
            o.UseSqlite(Storage.ConnectionString(settings.DataFolder));
            if (prepared)
                o.AddInterceptors(services.GetRequiredService<OpenedFile>());
        });
        builder.Services.AddProblemDetails();
        builder.Services.ConfigureHttpJsonOptions(o =>
        {
            o.SerializerOptions.TypeInfoResolverChain.Clear();
            o.SerializerOptions.TypeInfoResolverChain.Add(StrictJson.Options.TypeInfoResolver!);
            foreach (var c in StrictJson.Options.Converters)
                o.SerializerOptions.Converters.Add(c);
            o.SerializerOptions.DefaultIgnoreCondition = StrictJson.Options.DefaultIgnoreCondition;
            o.SerializerOptions.NumberHandling = StrictJson.Options.NumberHandling;
            o.SerializerOptions.Encoder = StrictJson.Options.Encoder;
        });
        // The level below "best": a third fewer bytes than the fastest, for a millisecond.
        builder.Services.AddResponseCompression(o => o.EnableForHttps = true)
            .Configure<BrotliCompressionProviderOptions>(o => o.Level = CompressionLevel.Optimal)
            .Configure<GzipCompressionProviderOptions>(o => o.Level = CompressionLevel.Optimal);
        builder.Services.AddSingleton<Designs>();
        builder.Services.AddSingleton<Judgements>().AddSingleton<Proofs>();
        builder.Services.AddSingleton<Logs>().AddSingleton<Pairings>();
        builder.Services.AddSingleton<OwnShelf>();
        builder.Services.AddOpenApi("v1", ApiDescription.Configure);
        var app = builder.Build();

        using (var scope = app.Services.CreateScope())
        {
            _ = app.Services.GetRequiredService<FolderLock>();
            var db = scope.ServiceProvider.GetRequiredService<OchemaContext>();
            Storage.Prepare(db, settings.DataFolder);
            if (settings.Demo)
                Storage.First(settings.DataFolder, () => DemoFilm.Seed(db, app.Services.GetRequiredService<TimeProvider>()
                    .GetUtcNow().UtcDateTime));
            prepared = true;
            _ = app.Services.GetRequiredService<OpenedFile>();
        }

        app.UseMiddleware<RequestGuard>();
        app.UseExceptionHandler(e => e.Run(Problems.Unexpected));
        app.UseMiddleware<PhoneGuard>();
        app.UseMiddleware<TimeLimit>();
        app.UseMiddleware<QueryCheck>();
        app.UseStatusCodePages();
        app.UseResponseCompression();
        Resources(app);
        PairPage.Map(app);
        app.MapOpenApi("/api/openapi.json").WithMetadata(Resource);
        Interface(app, settings);
        return app;
    }

    private static void Resources(WebApplication app)
    {
        app.MapGet("/healthz", () => Results.Text("ready")).ExcludeFromDescription();
        var api = app.MapGroup("/api").WithMetadata(Resource).AddEndpointFilter(Problems.Answering);
        FilmsApi.Map(api);
        RigsApi.Map(api);
        VersionsApi.Map(api);
        BinApi.Map(api);
        CatalogueApi.Map(api);
        ShelfApi.Map(api);
        ComputeApi.Map(api);
        ProveApi.Map(api);
        PhoneApi.Map(api);
        QuantitiesApi.Map(api);
    }

    /// <summary>What marks a resource of the API among all that the server answers.</summary>
    private static readonly object Resource = new();

    /// <summary>No such resource, or one that is used in another way.</summary>
    private static ProblemHttpResult Otherwise(HttpContext context, EndpointDataSource all)
    {
        var ways = all.Endpoints.OfType<RouteEndpoint>()
            .Where(e => e.Metadata.Contains(Resource)
                && new TemplateMatcher(new RouteTemplate(e.RoutePattern), []).TryMatch(context.Request.Path, []))
            .SelectMany(e => e.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods ?? []).Distinct().Order(StringComparer.Ordinal)
                .ToList();
        if (ways.Count == 0)
            return Problems.NotFound("There is no such resource.");
        if (ways.Contains(context.Request.Method))
            return Problems.NotJson();
        context.Response.Headers.Allow = string.Join(", ", ways);
        return Problems.Of(405, "Not in this way", $"This takes {string.Join(" or ", ways)}.");
    }

    /// <summary>The built front end, when there is one.</summary>
    private static void Interface(WebApplication app, ServerSettings settings)
    {
        app.Map("/api/{**rest}", Otherwise).ExcludeFromDescription();
        IFileProvider? files = settings.InterfaceFolder is { } folder && Directory.Exists(folder) ? new PhysicalFileProvider(Path.GetFullPath(folder))
            : Packed.Is ? Packed.Interface : null;
        if (files is null)
            return;
        app.UseStaticFiles(new StaticFileOptions
        {
            FileProvider = files,
            ContentTypeProvider = new FileExtensionContentTypeProvider { Mappings = { [".txt"] = "text/plain; charset=utf-8" } },
            OnPrepareResponse = c => c.Context.Response.Headers.CacheControl = c.Context.Request.Path.StartsWithSegments("/assets")
                ? "public, max-age=31536000, immutable" : "no-cache",
        });
        app.MapFallbackToFile("index.html", new StaticFileOptions
        {
            FileProvider = files,
            OnPrepareResponse = c =>
            c.Context.Response.Headers.CacheControl = "no-cache"
        }).OpenToPhones();
    }
}

/// <summary>What the server was started with.</summary>
/// <param name="Port">As it was said; null where nothing was.</param>
/// <param name="Phone">Phones are let in through a door of their own.</param>
/// <param name="PhonePort">As it was said; the next one to the port where nothing was.</param>
/// <param name="Tls">Phones come in under a certificate of one's own.</param>
public sealed record ServerSettings(string? Port, string DataFolder, string? InterfaceFolder, bool Demo, bool Phone = false,
    string? PhonePort = null, bool Tls = false)
{
    private const int LastPort = 65535;

    /// <summary>Where it listens when nobody says where.</summary>
    private const int UsualPort = 5080;

    /// <summary>Options that are there or not.</summary>
    internal static readonly string[] Switches = ["--demo", "--phone", "--tls", NoBrowser];

    /// <summary>Where the interface is inside, no browser is opened.</summary>
    internal const string NoBrowser = "--no-browser";

    /// <summary>Where it listens for the computer itself.</summary>
    internal int OwnPort => Port is { } said ? int.Parse(said, CultureInfo.InvariantCulture) : UsualPort;

    /// <summary>Where phones knock; null while there is no such door.</summary>
    internal int? PhoneAt => Phone ? PhonePort is { } said ? int.Parse(said, CultureInfo.InvariantCulture) : OwnPort + 1 : null;

    /// <summary>Port 0 is any that is free, as the system has it.</summary>
    /// <exception cref="StartException">What was said cannot be.</exception>
    public void Check()
    {
        CheckPort("--port", Port, 0, LastPort);
        if (Tls && !Phone)
            throw new StartException("--tls is for phones: say --phone too.", StartException.Said);
        if (Phone)
        {
            CheckPort("--phone-port", PhonePort, 1, LastPort);
            if (PhoneAt is 1 or > LastPort || PhoneAt == OwnPort)
                throw new StartException("--phone-port has to be another port than --port.", StartException.Said);
        }
        if (string.IsNullOrWhiteSpace(DataFolder))
            throw new StartException("--data names no folder.", StartException.Said);
    }

    private static void CheckPort(string option, string? said, int least, int most)
    {
        if (said is not null && !(int.TryParse(said, NumberStyles.None, CultureInfo.InvariantCulture, out var port) && port >= least && port <= most))
            throw new StartException($"{option} takes a number from 1 to {most}, not '{said}'.", StartException.Said);
    }

    public static ServerSettings From(IConfiguration c, IReadOnlyList<string> args) => new(
        c["port"] ?? (Packed.Is ? $"{Packed.FreePort(UsualPort)}" : null),
        c["data"] ?? Path.Combine(Environment.GetFolderPath(Environment.SpecialFolder.LocalApplicationData,
            // Where nobody kept anything yet there is no such folder: it is made then.
            Environment.SpecialFolderOption.DoNotVerify), "ochema"),
        c["ui"],
        args.Contains("--demo") || c["demo"] == "true", args.Contains("--phone") || c["phone"] == "true", c["phone-port"],
        args.Contains("--tls") || c["tls"] == "true");
}
