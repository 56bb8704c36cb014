using System.Collections.Concurrent;
using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Net.Sockets;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.Data.Sqlite;
using OpenQA.Selenium;
using OpenQA.Selenium.Chrome;

namespace Ochema.Ui.Tests;

/// <summary>The real server on a data folder of its own, with headless Chromium in front of it.</summary>
public sealed class Browser : IDisposable
{
    private readonly string data = Directory.CreateTempSubdirectory("ochema-ui-").FullName;
    private readonly int port = FreePort();
    private readonly string languages;
    private readonly string[] more = [];
    private Process server;

    /// <summary>The browsers that are open.</summary>
    private static readonly ConcurrentDictionary<Browser, bool> Live = new();

    /// <param name="languages">The reader's languages, the first preferred.</param>
    /// <param name="phone">With its door for phones: "http", or "https" under a certificate of its own.</param>
    public Browser(int width = 1280, int height = 800, string languages = "en-GB,en", string? phone = null)
    {
        this.languages = languages;
        if (phone is not null)
        {
            var door = FreePort();
            PhoneAddress = $"{phone}://127.0.0.1:{door}/";
            more = ["--phone", "--phone-port", $"{door}", .. phone == "https" ? ["--tls"] : Array.Empty<string>()];
        }
        Address = $"http://127.0.0.1:{port}/";
        server = Serve();
        try
        {
            Ready();
            Driver = Start(width, height);
            Live[this] = true;
        }
        catch
        {
            // What is not ready is not left running: it would slow down all that follows.
            End();
            throw;
        }
    }

    private ChromeDriver Start(int width, int height)
    {
        var options = new ChromeOptions { BinaryLocation = "/usr/bin/chromium" };
        options.AddArguments("--headless", "--no-sandbox", "--disable-quic", "--no-first-run", "--disable-background-networking",
            "--disable-component-update", "--disable-sync", "--force-prefers-reduced-motion",
            "--use-angle=swiftshader", "--enable-unsafe-swiftshader", "--hide-scrollbars", $"--window-size={width},{height}",
                "--user-data-dir=" + Path.Combine(data, "profile"));
        // Its own certificate is one that this browser was not given.
        options.AcceptInsecureCertificates = PhoneAddress is not null;
        options.AddUserProfilePreference("intl.accept_languages", languages);
        var service = ChromeDriverService.CreateDefaultService("/usr/bin", "chromedriver");
        try
        {
            return new ChromeDriver(service, options, TimeSpan.FromSeconds(120));
        }
        catch
        {
            service.Dispose();
            throw;
        }
    }

    /// <summary>The server dies, as by a cut of power.</summary>
    public void KillServer()
    {
        server.Kill();
        server.WaitForExit();
        server.Dispose();
    }

    /// <summary>It comes back, on the same port and folder.</summary>
    public void StartServer()
    {
        server = Serve();
        Ready();
    }

    private Process Serve() => Process.Start(new ProcessStartInfo("dotnet",
        [typeof(Web.Server).Assembly.Location, "--port", $"{port}", "--data", data, "--ui", Path.Combine(Root, "ui/dist"), "--demo", .. more])
    {
        RedirectStandardOutput = true,
        RedirectStandardError = true,
    })!;

    private void Ready()
    {
        using var client = new HttpClient();
        Until("the server", () => client.GetStringAsync(Address + "healthz").Result == "ready", seconds: 120);
    }

    public string Address { get; }

    /// <summary>The door for phones; null where it is shut.</summary>
    public string? PhoneAddress { get; }

    /// <summary>A window as a phone has it, touched and not pointed at.</summary>
    public void AsPhone()
    {
        Driver.ExecuteCdpCommand("Emulation.setDeviceMetricsOverride",
            new() { ["width"] = 390, ["height"] = 844, ["deviceScaleFactor"] = 2, ["mobile"] = true });
        Driver.ExecuteCdpCommand("Emulation.setTouchEmulationEnabled", new() { ["enabled"] = true });
    }

    /// <summary>Paired by typing a code, fresh from the computer, into the page that a stranger gets.</summary>
    public void Pair(params string[] rigs)
    {
        using var desk = new HttpClient { BaseAddress = new Uri(Address) };
        var code = desk.PostAsJsonAsync("api/phone/pairings", new { rigs }).Result.Content.ReadFromJsonAsync<JsonNode>().Result!["code"]!;
        Driver.Navigate().GoToUrl(PhoneAddress!);
        Until("the page that asks", () => new Uri(Driver.Url).AbsolutePath == "/pair");
        Find("#code").SendKeys((string)code!);
        Find("#name").SendKeys("Ground");
        Tap("button");
        Until("let in", () => Driver.FindElements(By.CssSelector("[data-phone-rig]")).Count == rigs.Length);
    }

    /// <summary>Touched by a finger, which it must be reached by.</summary>
    public void Tap(string css)
    {
        Script<object>("arguments[0].scrollIntoView({block: 'center'})", Find(css));
        Thread.Sleep(80);
        var at = Script<IReadOnlyCollection<object>>("""
            const r = arguments[0].getBoundingClientRect();
            const [x, y] = [r.x + r.width / 2, r.y + r.height / 2];
            return [x, y, arguments[0].contains(document.elementFromPoint(x, y))];
            """, Find(css)).ToList();
        Assert.True((bool)at[2], css + " lies under something");
        Driver.ExecuteCdpCommand("Input.dispatchTouchEvent", new()
        {
            ["type"] = "touchStart",
            ["touchPoints"] = new object[]
            {
                new Dictionary<string, object> { ["x"] = Convert.ToDouble(at[0]), ["y"] = Convert.ToDouble(at[1]) },
            },
        });
        Driver.ExecuteCdpCommand("Input.dispatchTouchEvent", new() { ["type"] = "touchEnd", ["touchPoints"] = Array.Empty<object>() });
    }

    /// <summary>Where the server keeps its file.</summary>
    public string DataFolder => data;

    public ChromeDriver Driver { get; }

    /// <summary>The repository's top folder.</summary>
    public static string Root { get; } = FindRoot();

    public void Open(string hash = "")
    {
        Driver.Navigate().GoToUrl(Address + hash);
        Until("the page", () => Driver.FindElements(By.CssSelector("header")).Count > 0
            && Driver.FindElements(By.CssSelector("[aria-busy=true]")).Count == 0);
    }

    /// <summary>Opens a rig on a page of its own: what stood there before cannot be taken for it.</summary>
    public void OpenRig(string id)
    {
        Driver.Navigate().GoToUrl("about:blank");
        Open("#/rig/" + id);
        Until("the scene", () => Driver.FindElements(By.CssSelector("[data-scene=ready]")).Count > 0);
    }

    public IWebElement Find(string css) => Until("element " + css, () => Driver.FindElements(By.CssSelector(css)).FirstOrDefault());

    public IWebElement Button(string text) => Until("button " + text, () =>
        Driver.FindElements(By.XPath($"//button[contains(normalize-space(.), \"{text}\")]")).FirstOrDefault());

    public string Body => Driver.FindElement(By.TagName("body")).Text;

    /// <summary>The rows of the load path with their uses; not the version beside them, which counts up at every save.</summary>
    public string Rows => string.Join('\n', Driver.FindElements(By.CssSelector("[data-row]")).Select(r => r.Text));

    public T Script<T>(string script, params object[] args) => (T)Driver.ExecuteScript(script, args)!;

    /// <summary>Serious and critical violations that axe-core finds on the page as it stands, a line each.</summary>
    public string Axe()
    {
        // Colours are judged where they come to rest, not half-way.
        Driver.ExecuteScript("document.head.append(Object.assign(document.createElement('style'), { textContent: '* { transition: none "
            + "!important }' }))");
        Driver.ExecuteScript(File.ReadAllText(Path.Combine(Root, "ui/node_modules/axe-core/axe.min.js")));
        return (string)Driver.ExecuteAsyncScript("const done = arguments[0]; axe.run().then(r => done(r.violations.filter(v => v.impact "
            + "=== 'serious' || v.impact === 'critical').map(v => v.id + ': ' + v.nodes.map(n => n.html.slice(0, 160)).join(' | "
                + "')).join('\\n')))")!;
    }

    /// <summary>As it was at the start: the demo film as it ships and nothing else, a page that remembers nothing. Cheaper than a server
    /// and a browser of one's own.</summary>
    public void Reset()
    {
        Driver.Navigate().GoToUrl("about:blank");
        Driver.ExecuteCdpCommand("Storage.clearDataForOrigin", new() { ["origin"] = Address.TrimEnd('/'), ["storageTypes"] = "all" });
        Driver.ExecuteCdpCommand("Emulation.clearDeviceMetricsOverride", []);
        Driver.ClearNetworkConditions();
        using var client = new HttpClient { BaseAddress = new Uri(Address) };
        foreach (var row in client.GetFromJsonAsync<JsonArray>("api/shelf").Result!)
        {
            using var take = new HttpRequestMessage(HttpMethod.Delete, $"api/shelf/{row!["list"]}/{row["id"]}");
            take.Headers.TryAddWithoutValidation("If-Match", $"\"{row["version"]}\"");
            client.Send(take).EnsureSuccessStatusCode();
        }
        using (var file = new SqliteConnection($"Data Source={Path.Combine(data, "ochema.db")};Pooling=False"))
        {
            file.Open();
            using var clear = file.CreateCommand();
            clear.CommandText = "DELETE FROM Log; DELETE FROM Versions; DELETE FROM Rigs; DELETE FROM Films;";
            clear.ExecuteNonQuery();
        }
        client.PostAsync("api/films/demo", null).Result.EnsureSuccessStatusCode();
    }

    /// <summary>What is there at last. It is late when it has not come in so many seconds and so many looks: a machine that stands still
    /// for a while looks at nothing.</summary>
    /// <exception cref="TimeoutException">It did not come.</exception>
    public static T Until<T>(string what, Func<T?> probe, int seconds = 20)
    {
        var watch = Stopwatch.StartNew();
        for (var looks = 0; ; looks++)
        {
            try
            {
                if (probe() is { } found && !(found is bool and false))
                    return found;
            }
            catch (Exception e) when (e is WebDriverException or AggregateException or HttpRequestException)
            {
                // Not there yet.
            }
            if (watch.Elapsed.TotalSeconds > seconds && looks > 5 * seconds)
                throw new TimeoutException($"Waited for {what}.{Seen()}");
            Thread.Sleep(50);
        }
    }

    /// <summary>What stands on the pages that are open: what to look at when something did not come.</summary>
    private static string Seen()
    {
        var all = new StringBuilder();
        foreach (var browser in Live.Keys)
            try
            {
                var body = browser.Body.ReplaceLineEndings(" | ");
                all.Append($" On {browser.Driver.Url}: {body[..Math.Min(body.Length, 400)]}");
            }
            catch (WebDriverException e)
            {
                all.Append($" A page that does not answer: {e.Message}");
            }
        return all.ToString();
    }

    public void Dispose()
    {
        Live.TryRemove(this, out _);
        Driver.Quit();
        End();
    }

    private void End()
    {
        server.Kill();
        server.WaitForExit();
        server.Dispose();
        Directory.Delete(data, recursive: true);
    }

    private static string FindRoot()
    {
        var at = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(at, "Ochema.slnx")))
            at = Path.GetDirectoryName(at)!;
        return at;
    }

    private static int FreePort()
    {
        using var l = new TcpListener(IPAddress.Loopback, 0);
        l.Start();
        return ((IPEndPoint)l.LocalEndpoint).Port;
    }
}

/// <summary>One server and one browser for all tests: to start them takes as long as three tests.</summary>
[CollectionDefinition(Name)]
public sealed class SharedBrowser : IDisposable, ICollectionFixture<SharedBrowser>
{
    /// <summary>What its users are marked with.</summary>
    public const string Name = "one browser";

    private Type? last;

    public Browser Browser { get; } = new();

    /// <summary>The browser as it was at the start, for a class whose tests keep to rigs of their own.</summary>
    /// <typeparam name="TTests">The class that asks.</typeparam>
    public Browser Fresh<TTests>()
    {
        if (last != typeof(TTests))
            Browser.Reset();
        last = typeof(TTests);
        return Browser;
    }

    public void Dispose() => Browser.Dispose();
}
