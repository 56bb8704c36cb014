using System.Globalization;
using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Data;

namespace Ochema.Web.Tests;

/// <summary>
/// Every resource that the server describes, asked for with what its description allows and with what it does not: it answers, or refuses
/// with where and why. OCHEMA_GENERATED sets how many; the same seed asks alike.
/// </summary>
public sealed class HostileRequestsTests : IDisposable
{
    private const int Usual = 1200;
    private const int Seed = 20261201;

    /// <summary>Beyond this a request has hung: the server itself gives up after ten seconds.</summary>
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(15);

    private static readonly HttpStatusCode[] Known =
    [
        HttpStatusCode.OK, HttpStatusCode.Created, HttpStatusCode.NoContent, HttpStatusCode.BadRequest, HttpStatusCode.NotFound,
            HttpStatusCode.Conflict,
        HttpStatusCode.PreconditionFailed, HttpStatusCode.RequestEntityTooLarge, HttpStatusCode.UnsupportedMediaType,
            HttpStatusCode.PreconditionRequired,
    ];

    private static readonly string[] Texts =
    [
        "", " ", "x", "demo-3-roof-road-ahead", "demo-1-bonnet-close-up", "a\nb", "a\ufffeb", "\ud800", "=1+1", "../../etc/passwd", "%00",
        "'; drop table Rigs; --",
        "<script>alert(1)</script>", new('x', 5000), "cup-115", "own-x", "base", "base-hold", "2026-01-01", "2026-01-01T00:00:00Z",
            "999 km/h", "1e309",
        "NaN", "\u202etxt",
        "metric", "inch", "plan", "svg", "dxf", "stl", "speed", "length",
    ];

    private static readonly double[] Numbers =
        [0, 1, -1, 2, 0.5, 1e-12, 1e9, -1e9, 1e154, 1e300, double.MaxValue, -double.MaxValue, double.Epsilon, int.MaxValue, int.MinValue, 3e9];

    private readonly Host host = new();
    private readonly Random random = new(Seed);
    private readonly List<string> documents =
        [.. RecipeLibrary.All.Select(r => r.Document).Concat(DemoFilm.Rigs.Select(r => r.Document)).Select(StrictJson.Write)];
    private JsonObject schemas = [];

    public void Dispose() => host.Dispose();

    [Fact]
    public async Task EveryResourceAnswersOrRefusesInWords()
    {
        var description = (await host.Get("/api/openapi.json")).AsObject();
        schemas = description["components"]!["schemas"]!.AsObject();
        var all = description["paths"]!.AsObject().SelectMany(p => p.Value!.AsObject()
            .Select(m => (Path: p.Key, Method: m.Key, Of: m.Value!.AsObject()))).ToList();
        var count = int.TryParse(Environment.GetEnvironmentVariable("OCHEMA_GENERATED"), CultureInfo.InvariantCulture, out var n) ? 2 * n
            : Usual;
        var (seen, told) = (new Dictionary<HttpStatusCode, int>(), new HashSet<string>());
        for (var i = 0; i < count; i++)
        {
            // Each in its turn, so that all have theirs however few are asked.
            var (path, method, of) = all[i % all.Count];
            using var request = Request(path, method, of);
            var sent = request.Content is { } content ? await content.ReadAsStringAsync() : "";
            var said = $"{i}: {request.Method} {request.RequestUri} with {sent[..Math.Min(sent.Length, 6000)]}";
            using var stop = new CancellationTokenSource(Longest);
            using var answer = await host.Client.SendAsync(request, stop.Token);
            var text = await answer.Content.ReadAsStringAsync(stop.Token);
            Assert.True(Known.Contains(answer.StatusCode), $"{said}\nanswers {(int)answer.StatusCode}: {text}");
            Assert.True(of["responses"]!.AsObject().ContainsKey(((int)answer.StatusCode).ToString(CultureInfo.InvariantCulture)),
                $"{said}\nanswers {(int)answer.StatusCode}, which its description does not list: {text}");
            seen[answer.StatusCode] = seen.GetValueOrDefault(answer.StatusCode) + 1;
            if (answer.StatusCode == HttpStatusCode.OK)
                told.Add(path);
            if (answer.StatusCode != HttpStatusCode.BadRequest)
                continue;
            var problem = JsonNode.Parse(text)!;
            Assert.True((string?)problem["reason"] is { Length: > 3 } && problem["path"] is not null,
                $"{said}\nis refused without where and why: {text}");
            Assert.True(text.Length < 3000, $"{said}\nis refused at great length: {text}");
        }
        // Good and bad both: else the test would not test.
        Assert.True(seen.GetValueOrDefault(HttpStatusCode.OK) > count / 10 && seen.GetValueOrDefault(HttpStatusCode.BadRequest) > count
            / 10,
            string.Join(", ", seen.Select(s => $"{s.Value} × {(int)s.Key}")));
        Assert.True(told.Count > all.Count / 3, $"only {told.Count} of {all.Count} resources answered anything");
        // And it is all there still.
        (await host.Client.PostAsync("/api/films/demo", null)).EnsureSuccessStatusCode();
        var there = (await host.Films()).Single(f => (string)f!["id"]! == DemoFilm.Id)!["rigs"]!.AsArray().Select(r => (string)r!["id"]!);
        Assert.Empty(DemoFilm.Rigs.Select(r => "demo-" + r.Id).Except(there));
    }

    private HttpRequestMessage Request(string path, string method, JsonObject of)
    {
        var query = new List<string>();
        foreach (var p in of["parameters"]?.AsArray() ?? [])
        {
            var (name, schema) = ((string)p!["name"]!, p["schema"]!.AsObject());
            if ((string)p["in"]! == "path")
                path = path.Replace("{" + name + "}", Uri.EscapeDataString(Whole(Segment(name))), StringComparison.Ordinal);
            else if ((string)p["in"]! == "query" && random.Next(3) > 0)
                query.Add($"{name}={Uri.EscapeDataString(Whole(Parameter(schema)))}");
        }
        if (random.Next(40) == 0)
            query.Add("nobody=knows");
        var request = new HttpRequestMessage(new HttpMethod(method.ToUpperInvariant()), path
            + (query.Count > 0 ? "?" + string.Join('&', query) : ""));
        if (of["requestBody"] is JsonObject body)
            request.Content = Body(body["content"]!["application/json"]!["schema"]!.AsObject());
        switch (random.Next(4))
        {
            case 0:
                request.Headers.TryAddWithoutValidation("If-Match", random.Next(2) == 0 ? "\"1\"" : "what");
                break;
            case 1:
                request.Headers.TryAddWithoutValidation("If-None-Match", "*");
                break;
        }
        return request;
    }

    /// <summary>A text that an address can carry.</summary>
    private static string Whole(string text) => text.Contains('\ud800') ? "x" : text;

    private string Segment(string name) => name == "number" ? Pick("1", "0", "-1", "2", "99999999999", "x")
        : name == "list" ? Pick("cups", "magnets", "nothing", "cameras")
        : Pick("demo-2-bonnet-close-up-braced", "hatchback", "own-x", Pick(Texts) is { Length: > 0 } t ? t : "x");

    private string Parameter(JsonObject schema) => random.Next(3) == 0 ? Pick(Texts) : Types(schema).FirstOrDefault() switch
    {
        "boolean" => Pick("true", "false"),
        "integer" => Pick("0", "1", "-5", "120", "99999999999"),
        "number" => Pick("0", "0.002", "-1", "1e300", "NaN"),
        _ => Pick(Texts),
    };

    private T Pick<T>(params T[] of) => of[random.Next(of.Length)];

    private HttpContent Body(JsonObject schema)
    {
        var body = random.Next(30) == 0 ? "not JSON" : Value(schema, 0, false)?.ToJsonString() ?? "null";
        if (random.Next(30) == 0)
            body = body[..random.Next(body.Length)];
        return random.Next(30) == 0 ? new StringContent(body, Encoding.UTF8, "text/plain")
            : new ByteArrayContent(Encoding.UTF8.GetBytes(body)) { Headers = { ContentType = new MediaTypeHeaderValue("application/json") } };
    }

    private static IEnumerable<string> Types(JsonObject schema) => schema["type"] switch
    {
        JsonArray several => several.Select(t => (string)t!).Where(t => t != "null"),
        JsonValue one => [(string)one!],
        _ => [],
    };

    /// <summary>Something that a schema describes; now and then something that it does not.</summary>
    private JsonNode? Value(JsonObject schema, int depth, bool mayBreak)
    {
        if (mayBreak && random.Next(25) == 0)
            return Pick<JsonNode?>(null, "x", -1, new JsonArray(), new JsonObject(), true, Pick(Texts));
        if ((string?)schema["$ref"] is { } reference)
        {
            var name = reference[(reference.LastIndexOf('/') + 1)..];
            return name == nameof(RigDocument) ? Rig() : Value(schemas[name]!.AsObject(), depth, true);
        }
        if (schema["enum"] is JsonArray choices)
            return random.Next(10) == 0 ? "nothing of it" : choices[random.Next(choices.Count)]?.DeepClone();
        if ((schema["oneOf"] ?? schema["anyOf"]) is JsonArray { Count: > 0 } several)
            return Value(several[random.Next(several.Count)]!.AsObject(), depth, true);
        return Types(schema).FirstOrDefault() switch
        {
            "object" => Object(schema, depth),
            "array" when depth < 6 => new JsonArray([.. Enumerable.Range(0, random.Next(4)).Select(_ =>
                Value(schema["items"]?.AsObject() ?? [], depth + 1, true))]),
            "array" => new JsonArray(),
            "string" => Pick(Texts),
            "boolean" => random.Next(2) == 0,
            "integer" => random.Next(-2, 9),
            "number" => Pick(Numbers),
            _ => Pick<JsonNode?>(new JsonObject { ["id"] = "own-x", ["name"] = "x" }, "x", 1),
        };
    }

    private JsonObject Object(JsonObject schema, int depth)
    {
        var made = new JsonObject();
        var required = (schema["required"] as JsonArray ?? []).Select(r => (string)r!).ToHashSet();
        foreach (var (name, of) in schema["properties"] as JsonObject ?? [])
            if (required.Contains(name) ? random.Next(60) > 0 : depth < 6 && random.Next(2) == 0)
                made[name] = Value(of!.AsObject(), depth + 1, true);
        if (schema["additionalProperties"] is JsonObject value)
            for (var i = random.Next(3); i > 0; i--)
                made[Pick(Texts)] = Value(value, depth + 1, true);
        return made;
    }

    private JsonNode Rig()
    {
        var rig = JsonNode.Parse(documents[random.Next(documents.Count)])!;
        for (var bends = random.Next(3); bends > 0; bends--)
            Bent.Bend(rig, documents, random);
        if (random.Next(8) == 0)
            rig["name"] = Pick(Texts);
        return rig;
    }
}
