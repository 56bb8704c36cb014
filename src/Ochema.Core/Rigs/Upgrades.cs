using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Ochema.Core.Json;

namespace Ochema.Core.Rigs;

/// <summary>
/// Brings documents of earlier schemas to the present one, step by step, before they are read. A step says the same in the new words; it
/// never guesses, and the verdict stays what it was.
/// </summary>
public static partial class Upgrades
{
    /// <summary>What each schema's documents go through to become the next one's.</summary>
    private static readonly Dictionary<int, Action<JsonObject>> Steps = new() { [1] = DaysOfMeasuring };

    /// <summary>Schemas that are read.</summary>
    public static IEnumerable<int> Read => Steps.Keys.Append(RigDocument.CurrentSchema);

    /// <summary>What a place of a host, or a closed point of it, was called within a schema before it got its name of today.</summary>
    private static readonly (string Host, string? Site, string Was, string Is)[] Renamed =
    [
        ("open-field", "table", "edge", "standing-edge"), ("open-field", "thin-edge", "edge", "standing-edge"),
        ("rope-way", null, "safety-rope", "slack-rope"),
    ];

    /// <summary>
    /// The text with its document, or the document in its field <c>document</c>, brought to the present schema; the text itself when it is
    /// of that already.
    /// </summary>
    public static string Present(string json)
    {
        if (!EarlierPattern().IsMatch(json))
            return json;
        try
        {
            var root = JsonNode.Parse(json, documentOptions: new JsonDocumentOptions { AllowDuplicateProperties = false }) as JsonObject;
            if ((root?["schema"] is null ? root?["document"] : root) is not JsonObject rig)
                return json;
            while (rig["schema"] is JsonValue v && v.TryGetValue<int>(out var schema) && Steps.TryGetValue(schema, out var step))
            {
                step(rig);
                rig["schema"] = schema + 1;
            }
            Rename(rig);
            return root!.ToJsonString(StrictJson.Options);
        }
        catch (Exception e) when (e is JsonException or InvalidOperationException or FormatException)
        {
            return json; // What is wrong with it is said when it is read.
        }
    }

    /// <summary>1 to 2: the day of a tap test stands with the days of all that was measured.</summary>
    private static void DaysOfMeasuring(JsonObject rig)
    {
        if (rig["site"] is not JsonObject site || site["calibratedOn"] is not JsonValue day)
            return;
        site.Remove("calibratedOn");
        if (rig["measured"] is not JsonObject measured)
            rig["measured"] = measured = [];
        foreach (var name in new[] { "stiffnessFactor", "damping" })
            if (site[name] is JsonValue value)
                measured[$"site.{name}"] = new JsonObject { ["value"] = value.DeepClone(), ["on"] = day.DeepClone() };
    }

    private static void Rename(JsonObject rig)
    {
        var host = Text(rig["host"]);
        foreach (var (_, site, was, now) in Renamed.Where(r => r.Host == host))
            if (site is not null)
                Rename(rig["site"] is JsonObject own && Text(own["id"]) == site ? own : null, "form", was, now);
            else
                foreach (var line in Lines(rig))
                    Rename(line["to"] as JsonObject, "anchor", was, now);
    }

    private static void Rename(JsonObject? of, string field, string was, string now)
    {
        if (of is not null && Text(of[field]) == was)
            of[field] = now;
    }

    private static IEnumerable<JsonObject> Lines(JsonObject rig) =>
        new[] { "straps", "tethers" }.SelectMany(list => rig[list] as JsonArray ?? []).Append(rig["tether"]).OfType<JsonObject>();

    private static string? Text(JsonNode? node) => node is JsonValue v && v.TryGetValue<string>(out var text) ? text : null;

    /// <summary>Schemas before the present one, or a name of before, as a document has them.</summary>
    [GeneratedRegex("\"schema\"\\s*:\\s*1\\s*[,}]|\"form\"\\s*:\\s*\"edge\"|\"safety-rope\"")]
    private static partial Regex EarlierPattern();
}
