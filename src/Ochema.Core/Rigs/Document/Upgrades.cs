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
    private static readonly Dictionary<int, Action<JsonObject>> Steps = new()
    {
        [1] = DaysOfMeasuring,
        [2] = PathsAndTethersAsLists,
    };

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
        catch (Exception e) when (e is JsonException or InvalidOperationException or FormatException or ArgumentException)
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

    /// <summary>Fields of the one path that documents had before there were lists.</summary>
    private static readonly string[] OfPath = ["reach", "isolator", "head", "camera"];

    /// <summary>
    /// 2 to 3: the ways to the cameras are a list, and so are all tethers; each has a name by which its measurements are called. Whatever
    /// is called by its place goes along: the days of measuring, and what the steps were made to.
    /// </summary>
    private static void PathsAndTethersAsLists(JsonObject rig)
    {
        // Words of today are none of then: they stay unknown, and are refused as such.
        if (rig.ContainsKey("paths"))
            throw new DocumentException("", "has a field 'paths' that is not known here");
        var first = new JsonObject { ["id"] = CameraPath.FirstId };
        foreach (var field in OfPath)
            Take(rig, field, first, field);
        var paths = new JsonArray(first);
        if (Cut(rig, "second") is { } second)
        {
            if (second is JsonObject path)
                foreach (var field in new[] { "id", "isolator" })
                    if (path.ContainsKey(field))
                        throw new DocumentException("paths[1]", $"has a field '{field}' that is not known here");
            (second as JsonObject)?.Insert(0, "id", CameraPath.SecondId);
            paths.Add(second);
        }
        var one = Cut(rig, "tether");
        var tethers = new List<JsonNode?>();
        if (one is not null)
            tethers.Add(one);
        var more = Cut(rig, "tethers");
        tethers.AddRange(more is JsonArray several ? several.Select(t => t?.DeepClone()) : []);
        for (var n = 1; n <= tethers.Count; n++)
            if (tethers[n - 1] is JsonObject tether)
            {
                if (tether.ContainsKey("id"))
                    throw new DocumentException($"tethers[{n - 1}]", "has a field 'id' that is not known here");
                tether.Insert(0, "id", TetherId(n));
            }
        rig["paths"] = paths;
        rig["tethers"] = more is null or JsonArray ? new JsonArray([.. tethers]) : more;
        string Now(string key) => Places(one is not null).Where(p => Leads(key, p.Was)).Select(p => p.Is + key[p.Was.Length..])
            .FirstOrDefault() ?? key;
        Rekey(rig["measured"], Now);
        foreach (var (_, made) in rig["made"] as JsonObject ?? [])
            Rekey((made as JsonObject)?["as"], Now);
    }

    /// <summary>What a tether is called that had no name: by its place, the first without a number.</summary>
    private static string TetherId(int n) => n == 1 ? "tether" : $"tether-{n}";

    /// <summary>True where a place is the other or in it.</summary>
    private static bool Leads(string path, string of) => path.StartsWith(of, StringComparison.Ordinal)
        && (path.Length == of.Length || path[of.Length] is '.' or '[');

    /// <summary>How places were called in schema 2, and how they are now.</summary>
    private static IEnumerable<(string Was, string Is)> Places(bool one) =>
    [
        .. OfPath.Select(f => (f, $"paths.[{CameraPath.FirstId}].{f}")), ("second", $"paths.[{CameraPath.SecondId}]"),
        .. one ? [("tether", $"tethers.[{TetherId(1)}]")] : (IEnumerable<(string, string)>)[],
        .. Enumerable.Range(0, RigReader.MostTethers).Select(i => ($"tethers.{i}", $"tethers.[{TetherId(i + (one ? 2 : 1))}]")),
    ];

    private static void Rekey(JsonNode? table, Func<string, string> now)
    {
        if (table is not JsonObject of)
            return;
        foreach (var key in of.Select(p => p.Key).Where(k => now(k) != k).ToList())
            Take(of, key, of, now(key));
    }

    private static JsonNode? Cut(JsonObject from, string field)
    {
        var node = from[field];
        from.Remove(field);
        return node;
    }

    private static void Take(JsonObject from, string field, JsonObject to, string called)
    {
        if (from.ContainsKey(field))
            to[called] = Cut(from, field);
    }

    /// <summary>
    /// What reads a document; where that fails, the place is said as the text has it, whatever it is called by now.
    /// </summary>
    /// <param name="json">As it was written.</param>
    /// <param name="within">Where the document is in it, with a dot: "document."; empty where it is all of it.</param>
    /// <exception cref="DocumentException">That of <paramref name="read"/>, with the path of the text's own schema.</exception>
    public static T AsWritten<T>(string json, string within, Func<T> read)
    {
        try
        {
            return read();
        }
        catch (DocumentException e) when (Rig(json, within) is { } rig && rig["schema"] is JsonValue v
            && v.TryGetValue<int>(out var schema) && schema != RigDocument.CurrentSchema)
        {
            throw Steps.ContainsKey(schema) ? new DocumentException(Then(rig, within, e.Path), e.Reason)
                : new DocumentException(within + "schema", Unread(schema));
        }
    }

    /// <summary>Why a document of a schema is refused that is none of <see cref="Read"/>.</summary>
    public static string Unread(int schema) => $"{schema} is not a schema this version reads (it reads {string.Join(", ", Read)})";

    /// <summary>What a place of the present schema was called in an earlier rig's own.</summary>
    private static string Then(JsonObject rig, string within, string path)
    {
        if (!path.StartsWith(within, StringComparison.Ordinal))
            return path;
        var one = rig["tether"] is not null;
        var at = path[within.Length..];
        const string measured = "measured.";
        if (at.StartsWith(measured, StringComparison.Ordinal))
            return within + measured + (Places(one).Where(p => Leads(at[measured.Length..], p.Is))
                .Select(p => p.Was + at[(measured.Length + p.Is.Length)..]).FirstOrDefault() ?? at[measured.Length..]);
        (string Is, string Was)[] places =
        [
            ("paths[0]", ""), ("paths[1]", "second"), .. one ? [("tethers[0]", "tether")] : ((string, string)[])[],
            .. Enumerable.Range(one ? 1 : 0, RigReader.MostTethers).Select(i => ($"tethers[{i}]", $"tethers[{i - (one ? 1 : 0)}]")),
        ];
        return within + (places.Where(p => Leads(at, p.Is)).Select(p => (p.Was + at[p.Is.Length..]).TrimStart('.')).FirstOrDefault() ?? at);
    }

    /// <summary>The rig of a text, not read yet; null where there is none.</summary>
    private static JsonObject? Rig(string json, string within)
    {
        try
        {
            var root = JsonNode.Parse(json) as JsonObject;
            return (within.Length > 0 ? root?["document"] : root) as JsonObject;
        }
        catch (Exception e) when (e is JsonException or ArgumentException)
        {
            return null;
        }
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

    private static readonly string[] Tied = ["straps", "tethers"];

    private static IEnumerable<JsonObject> Lines(JsonObject rig) =>
        Tied.SelectMany(list => rig[list] as JsonArray ?? []).OfType<JsonObject>();

    private static string? Text(JsonNode? node) => node is JsonValue v && v.TryGetValue<string>(out var text) ? text : null;

    /// <summary>Schemas before the present one, or a name of before, as a document has them.</summary>
    [GeneratedRegex("\"schema\"\\s*:\\s*[12]\\s*[,}]|\"form\"\\s*:\\s*\"edge\"|\"safety-rope\"")]
    private static partial Regex EarlierPattern();
}
