using System.Diagnostics;
using System.Net;
using System.Net.Http.Json;
using System.Text.Json.Nodes;
using Microsoft.Extensions.Time.Testing;
using Ochema.Web.Phone;
using Xunit.Abstractions;
using ZXing;
using ZXing.Common;

namespace Ochema.Web.Tests;

/// <summary>The real server with its door for phones open, and another device on its network.</summary>
public sealed class PhoneHost : IAsyncLifetime
{
    private readonly string folder = Directory.CreateTempSubdirectory("ochema-phone-").FullName;
    private Process? server;

    internal OtherDevice Phone { get; } = new();
    public int Port { get; } = Host.FreePort();
    public int Door { get; } = Host.FreePort();
    public HttpClient Desk { get; }

    public PhoneHost()
    {
        Desk = new HttpClient { BaseAddress = new Uri($"http://127.0.0.1:{Port}") };
        // An interface of two files stands for the real one.
        Directory.CreateDirectory(Path.Combine(folder, "ui/assets"));
        File.WriteAllText(Path.Combine(folder, "ui/index.html"), "<!doctype html><title>Ochema</title>");
        File.WriteAllText(Path.Combine(folder, "ui/assets/x.js"), "1");
    }

    public Task InitializeAsync() => Start("--demo", "--phone", "--phone-port", $"{Door}", "--ui", Path.Combine(folder, "ui"));

    /// <summary>Starts it, again where it runs.</summary>
    public async Task Start(params string[] options)
    {
        await Stop();
        server = ServerProcess.Start(Path.Combine(folder, "data"), Port, null, options);
        await ServerProcess.Ready(server, Port);
    }

    private async Task Stop()
    {
        if (server is null)
            return;
        server.Kill();
        await server.WaitForExitAsync();
        server.Dispose();
        server = null;
    }

    public async Task DisposeAsync()
    {
        await Stop();
        Desk.Dispose();
        Phone.Dispose();
        Directory.Delete(folder, recursive: true);
    }
}

/// <summary>The door for phones, from another device: a stranger gets nothing, a paired phone Prove and Run of its rigs, and no more.</summary>
public sealed class PhoneTests : IClassFixture<PhoneHost>
{
    private const string Own = "demo-3-roof-road-ahead", Other = "demo-1-bonnet-close-up";

    private readonly PhoneHost host;
    private readonly OtherDevice phone;
    private readonly HttpClient desk;
    private readonly ITestOutputHelper output;

    public PhoneTests(PhoneHost host, ITestOutputHelper output)
    {
        (this.host, phone, desk, this.output) = (host, host.Phone, host.Desk, output);
        output.WriteLine(phone.IsOther ? "from a network namespace" : "from this machine: no namespace may be made here");
    }

    private string Door(string path) => $"http://{phone.Address}:{host.Door}{path}";

    /// <summary>All resources as the API describes them, those of a rig with an id in their place.</summary>
    private async Task<IReadOnlyList<(string Method, string Path, string Id)>> Resources(string rig) =>
        [.. (await desk.GetFromJsonAsync<JsonNode>("/api/openapi.json"))!["paths"]!.AsObject().SelectMany(p => p.Value!.AsObject()
            .Select(m => (m.Key.ToUpperInvariant(), p.Key.StartsWith("/api/rigs/", StringComparison.Ordinal)
                ? p.Key.Replace("{id}", rig, StringComparison.Ordinal)
                : p.Key.Replace("{id}", "estate", StringComparison.Ordinal), (string)m.Value!["operationId"]!)))];

    private async Task<JsonNode> Code(params string[] rigs)
    {
        var answer = await desk.PostAsJsonAsync("/api/phone/pairings", new { rigs });
        Assert.Equal(HttpStatusCode.OK, answer.StatusCode);
        return (await answer.Content.ReadFromJsonAsync<JsonNode>())!;
    }

    /// <summary>The device has the token of this code and of none before.</summary>
    private void Paired(string code) => Assert.Equal(302, phone.Answer(new(Door("/pair"), "POST", $"code={code}&name=Tall")).Status);

    [Fact]
    public async Task AStrangerGetsNothing()
    {
        var asked = (await Resources(Own)).Select(r => new OtherDevice.Ask(Door(r.Path), r.Method, r.Method == "GET" ? null : "{}"))
            .Concat(new[] { "/index.html", "/assets/x.js", "/icon.svg", "/healthz", "/api/openapi.json", "/api/nothing", "/rig" }
                .Select(p => new OtherDevice.Ask(Door(p)))).ToList();
        Assert.True(asked.Count > 70);
        Assert.All(phone.Statuses(asked).Zip(asked), a => Assert.True(a.First == 401, $"{a.Second.Method} {a.Second.Url}: {a.First}"));
        // A token that nobody gave is none.
        Assert.Equal(401, phone.Answer(new(Door("/api/door"), "GET", null, false, "Cookie: ochema-phone=" + new string('0', 64))).Status);
        // Nor is it reached under a name, which could be anybody's.
        Assert.Equal(403, phone.Answer(new(Door("/pair"), "GET", null, false, "Host: localhost")).Status);
        // What it gets is a page that asks for the code, and says nothing of any rig.
        var (status, page) = phone.Answer(new(Door("/pair")));
        Assert.Equal(200, status);
        Assert.DoesNotContain("script", page, StringComparison.OrdinalIgnoreCase);
        Assert.DoesNotContain("demo-", page, StringComparison.Ordinal);
        if (phone.IsOther)
            Assert.Equal(0, phone.Statuses([new($"http://{phone.Address}:{host.Port}/")])[0]); // The computer's own door is not reached from there.
    }

    [Fact]
    public async Task AWrongCodeOpensNothingAndTheRightOneOnce()
    {
        var code = (string)(await Code(Own))["code"]!;
        Assert.Equal(403, phone.Answer(new(Door("/pair"), "POST", "code=AAAAAAAA")).Status);
        Assert.Equal(403, phone.Answer(new(Door("/pair"), "POST", $"code={code}", false, "Origin: http://elsewhere.example")).Status);
        // As it is shown, or as somebody types it.
        Paired($"{code[..4]} {code[4..]}".ToLowerInvariant().Replace(" ", "%20", StringComparison.Ordinal));
        Assert.Equal(200, phone.Answer(new(Door("/api/door"), Token: true)).Status);
        Assert.Equal(403, phone.Answer(new(Door("/pair"), "POST", $"code={code}")).Status);
        // Whoever guesses loses the codes that are open.
        code = (string)(await Code(Own))["code"]!;
        for (var i = 0; i < 10; i++)
            Assert.Equal(403, phone.Answer(new(Door("/pair"), "POST", "code=BBBBBBBB")).Status);
        Assert.Equal(403, phone.Answer(new(Door("/pair"), "POST", $"code={code}")).Status);
    }

    [Fact]
    public async Task ATokenOpensProveAndRunOfItsRigsOnly()
    {
        Paired((string)(await Code(Own))["code"]!);
        string[] ofItsRig = ["getProved", "getProof", "printSheet", "getRunCard", "getLog", "addToLog", "simulateReading", "getRigCard"];
        string[] ofNone = ["getDoor", "getUnits", "parseQuantity", "getLimits", "listHostNames", "getHost", "listKinds", "listBeaufort", "readTrack",
            "simulateTrack", "readLog"];
        foreach (var (rig, its) in new[] { (Own, true), (Other, false) })
        {
            var all = await Resources(rig);
            var asked = all.Select(r => new OtherDevice.Ask(Door(r.Path), r.Method, r.Method is "GET" or "DELETE" ? null : "{}", true,
                "Content-Type: application/json")).ToList();
            foreach (var (status, (method, path, id)) in phone.Statuses(asked).Zip(all))
            {
                var open = ofNone.Contains(id) || (its && ofItsRig.Contains(id));
                Assert.True(open ? status is 200 or 400 : status == 403, $"{method} {path} ({id}): {status}");
            }
        }
        Assert.Equal([200, 200, 404], phone.Statuses([.. new[] { "/", "/assets/x.js", "/assets/y.js" }
            .Select(p => new OtherDevice.Ask(Door(p), Token: true))]));
        Assert.Equal(403, phone.Answer(new(Door("/api/openapi.json"), Token: true)).Status);
        var (_, said) = phone.Answer(new(Door("/api/door"), Token: true));
        Assert.Equal([Own], JsonNode.Parse(said)!["phone"]!["rigs"]!.AsArray().Select(r => (string)r!["id"]!));
        // What it writes is in the log, once.
        var line = """{"key":"0123456789abcdef","at":"2026-05-01T14:30:00Z","sort":"finding","seen":"crept"}""";
        OtherDevice.Ask write = new(Door($"/api/rigs/{Own}/log"), "POST", line, true, "Content-Type: application/json");
        Assert.Equal([201, 200], phone.Statuses([write, write]));
        Assert.Contains((await desk.GetFromJsonAsync<JsonNode>($"/api/rigs/{Own}/log"))!.AsArray(), l => (string)l!["entry"]!["key"]! == "0123456789abcdef");
        // Another site may not write with its token.
        Assert.Equal(403, phone.Answer(write with { Headers = ["Content-Type: application/json", "Origin: http://elsewhere.example"] }).Status);
    }

    [Fact]
    public async Task APhoneOutlivesARestartIsTakenAwayAtOnceAndNoDoorIsOpenUnasked()
    {
        Paired((string)(await Code(Own, Other))["code"]!);
        Assert.Equal(200, phone.Answer(new(Door($"/api/rigs/{Other}/proved"), Token: true)).Status);
        var paired = (await desk.GetFromJsonAsync<JsonNode>("/api/phone"))!["phones"]!.AsArray()[0]!;
        Assert.Equal("Tall", (string)paired["name"]!);
        Assert.Equal(2, paired["rigs"]!.AsArray().Count);
        Assert.NotNull(paired["seenAt"]);
        await host.Start("--phone", "--phone-port", $"{host.Door}");
        Assert.Equal(200, phone.Answer(new(Door("/api/door"), Token: true)).Status);
        // A rig in the bin is nobody's to run.
        var of = (await desk.GetFromJsonAsync<JsonNode>($"/api/rigs/{Other}"))!;
        using var bin = new HttpRequestMessage(HttpMethod.Delete, $"/api/rigs/{Other}");
        bin.Headers.TryAddWithoutValidation("If-Match", $"\"{of["version"]}\"");
        Assert.True((await desk.SendAsync(bin)).IsSuccessStatusCode);
        Assert.Equal(404, phone.Answer(new(Door($"/api/rigs/{Other}/proof"), Token: true)).Status);
        Assert.Equal(HttpStatusCode.NoContent, (await desk.DeleteAsync($"/api/phone/phones/{(string)paired["id"]!}")).StatusCode);
        Assert.Equal(401, phone.Answer(new(Door("/api/door"), Token: true)).Status);
        Assert.Equal(HttpStatusCode.NotFound, (await desk.DeleteAsync($"/api/phone/phones/{(string)paired["id"]!}")).StatusCode);
        // Without the word for it there is no such door.
        await host.Start();
        Assert.Equal(0, phone.Statuses([new(Door("/pair"))])[0]);
        Assert.Null((await desk.GetFromJsonAsync<JsonNode>("/api/phone"))!["addresses"]);
        Assert.Equal(HttpStatusCode.Conflict, (await desk.PostAsJsonAsync("/api/phone/pairings", new { rigs = new[] { Own } })).StatusCode);
        await host.InitializeAsync();
    }

    [Fact]
    public async Task TheSquareIsReadByAGeneralReader()
    {
        var code = await Code(Own);
        if (!phone.IsOther)
            output.WriteLine("this machine may be on no local network: then there is no square");
        foreach (var link in code["links"]!.AsArray())
            Assert.Equal($"{(string)link!["address"]!}pair?code={(string)code["code"]!}",
                Read((int)link["square"]!["side"]!, (string)link["square"]!["path"]!));
        Assert.True(!phone.IsOther || code["links"]!.AsArray().Any(l => (string)l!["address"]! == Door("/")), code.ToJsonString());
        Assert.Equal("http://192.168.178.20:65535/pair?code=ABCD2345", Read(QrSquare.Of("http://192.168.178.20:65535/pair?code=ABCD2345")));
    }

    [Fact]
    public async Task APairingNamesRigsThatAreThere()
    {
        foreach (var (rigs, path) in new[] { (new[] { Own, "nope" }, "rigs[1]"), ([], "rigs") })
        {
            var answer = await desk.PostAsJsonAsync("/api/phone/pairings", new { rigs });
            Assert.Equal(HttpStatusCode.BadRequest, answer.StatusCode);
            Assert.Equal(path, (string)(await answer.Content.ReadFromJsonAsync<JsonNode>())!["path"]!);
        }
    }

    private static string Read(QrSquare square) => Read(square.Side, square.Path);

    private static string Read(int side, string path)
    {
        const int module = 4;
        var grey = new byte[side * module * side * module];
        Array.Fill(grey, (byte)255);
        foreach (var at in path.Split('M', StringSplitOptions.RemoveEmptyEntries).Select(p => p.Split('h')[0].Split(' ')))
            for (var y = 0; y < module; y++)
                Array.Fill(grey, (byte)0, (((int.Parse(at[1]) * module) + y) * side * module) + (int.Parse(at[0]) * module), module);
        var source = new RGBLuminanceSource(grey, side * module, side * module, RGBLuminanceSource.BitmapFormat.Gray8);
        return new MultiFormatReader().decode(new BinaryBitmap(new HybridBinarizer(source)), new Dictionary<DecodeHintType, object>
        {
            [DecodeHintType.POSSIBLE_FORMATS] = new[] { BarcodeFormat.QR_CODE },
        }).Text;
    }
}

/// <summary>Codes are void when their time is over, and there are not many at once.</summary>
public sealed class PairingsTests
{
    private readonly FakeTimeProvider clock = new(new DateTimeOffset(2026, 5, 1, 9, 0, 0, TimeSpan.Zero));

    [Fact]
    public void ACodeIsVoidAfterItsTerm()
    {
        var pairings = new Pairings(clock);
        var (first, second) = (pairings.New(["a"]), pairings.New(["b"]));
        clock.Advance(Pairings.Term - TimeSpan.FromSeconds(1));
        Assert.Equal(["a"], pairings.Take(first.Code)!.Rigs);
        clock.Advance(TimeSpan.FromSeconds(2));
        Assert.Null(pairings.Take(second.Code));
    }

    [Fact]
    public void TheOldestGoesWhenThereAreMany()
    {
        var pairings = new Pairings(clock);
        var codes = Enumerable.Range(0, 6).Select(_ => pairings.New(["a"]).Code).ToList();
        Assert.Equal(6, codes.Distinct().Count());
        Assert.Null(pairings.Take(codes[0]));
        Assert.All(codes.Skip(1), c => Assert.NotNull(pairings.Take(c)));
    }

    [Theory]
    [InlineData("10.1.2.3", true)]
    [InlineData("172.31.255.1", true)]
    [InlineData("192.168.178.20", true)]
    [InlineData("::ffff:192.168.1.2", true)]
    [InlineData("127.0.0.1", true)]
    [InlineData("172.32.0.1", false)]
    [InlineData("8.8.8.8", false)]
    [InlineData("::ffff:8.8.8.8", false)]
    [InlineData("2001:db8::1", false)]
    public void OnlyTheLocalNetworkIsLocal(string address, bool local) => Assert.Equal(local, PhoneDoor.IsLocal(IPAddress.Parse(address)));
}
