using System.Globalization;
using System.Net;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Data;
using Ochema.Tests.Support;

namespace Ochema.Web.Tests;

/// <summary>
/// Documents bent at random, sent to every resource that computes: each gets an answer or a refusal that says where and why in the words of
/// whoever wrote it. OCHEMA_GENERATED sets how many; the same seed bends alike.
/// </summary>
public sealed partial class GeneratedDocumentsTests : IDisposable
{
    private const int Usual = 700;
    private const int Seed = 20261126;
    private static readonly TimeSpan Longest = TimeSpan.FromSeconds(5);
    private readonly Host host = new();

    private static readonly string[] Plain = ["assess", "assess?advice=false", "advice", "shake", "shake/advice", "shake/isolators",
        "schools", "model", "tap/simulate"];

    public void Dispose() => host.Dispose();

    [Fact]
    public async Task EachGetsAnAnswerOrARefusalInWords()
    {
        var count = int.TryParse(Environment.GetEnvironmentVariable("OCHEMA_GENERATED"), CultureInfo.InvariantCulture, out var n) ? n
            : Usual;
        var random = new Random(Seed);
        var documents = RecipeLibrary.All.Select(r => r.Document).Concat(DemoFilm.Rigs.Select(r => r.Document)).Select(StrictJson.Write)
            .ToList();
        var (answered, refused) = (0, 0);
        for (var i = 0; i < count; i++)
        {
            var document = JsonNode.Parse(documents[random.Next(documents.Count)])!;
            for (var bends = random.Next(1, 4); bends > 0; bends--)
                Bent.Bend(document, documents, random);
            var (path, body) = Request(document, random);
            using var answer = await Soon.Within(Longest, () => host.Client.PostAsync("/api/" + path, Host.Json(body)), $"{i}: {path} {body}");
            var text = await answer.Content.ReadAsStringAsync();
            Assert.True(answer.StatusCode is HttpStatusCode.OK or HttpStatusCode.BadRequest,
                $"{i}: {path} answers {(int)answer.StatusCode} to {body}\n{text}");
            if (answer.StatusCode == HttpStatusCode.OK)
            {
                answered++;
                Assert.DoesNotContain("NaN", text);
                continue;
            }
            refused++;
            var problem = JsonNode.Parse(text)!;
            var reason = (string?)problem["reason"];
            Assert.True(reason is { Length: > 3 } && problem["path"] is not null, $"{i}: {path} refuses {body} without a reason: {text}");
            Assert.False(Inside().IsMatch(reason!), $"{i}: “{reason}” is not in the user's words");
        }
        // Neither all good nor all bad: the test would not test.
        Assert.True(answered > count / 10 && refused > count / 10, $"{answered} answered, {refused} refused");
    }

    private static (string Path, string Body) Request(JsonNode document, Random random)
    {
        JsonObject With(string name, JsonNode value) => new() { ["document"] = document.DeepClone(), [name] = value };
        string[] stations = ["base", "reach", "head", "isolator", "camera", "braces", "straps", "tether", "nowhere", ""];
        return random.Next(6) switch
        {
            0 => ("alternatives", With("station", stations[random.Next(stations.Length)]).ToJsonString()),
            1 => ("inverse", With("atMost", random.Next(3) == 0 ? random.NextDouble() * 3 : 0.8).ToJsonString()),
            2 => ("straps", With("pretension", random.Next(3) == 0 ? -5 : 250).ToJsonString()),
            3 when random.Next(2) == 0 => ("tap/calibrate", With("frequency", random.NextDouble() * 80).ToJsonString()),
            _ => (Plain[random.Next(Plain.Length)], random.Next(25) == 0 ? Torn(document.ToJsonString(), random) : document.ToJsonString()),
        };
    }

    /// <summary>A text cut short, or with a character too many.</summary>
    private static string Torn(string text, Random random) => random.Next(2) == 0 ? text[..random.Next(text.Length)]
        : text.Insert(random.Next(text.Length), random.Next(2) == 0 ? "}" : ",");

    [GeneratedRegex(@"System\.|Ochema\.|`\d|Nullable|\bRecord\b|Exception|JsonElement|\bnull\b.*type")]
    private static partial Regex Inside();
}
