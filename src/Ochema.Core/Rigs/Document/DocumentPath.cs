using System.Globalization;
using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Responses;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>
/// Places in rig documents as they are called everywhere: "run.speed", "at.0", "braces.[left].length". A number is a place in a list,
/// from 0; a name in brackets is the one of a list with that id, or of a joint's layers the one so called.
/// </summary>
public static partial class DocumentPath
{
    /// <summary>Where the kind of a spine row stands, and the kind; null for rows without one.</summary>
    internal static (string At, Kind Kind)? Of(RigDocument rig, StationId station)
    {
        if (rig.Braces.FirstOrDefault(x => StationId.Brace(x.Id) == station) is { } brace)
            return ($"braces.[{brace.Id}]", brace);
        if (StationId.Base == station)
            return ("base", rig.Base);
        if ((RigPath.Of(station).IsSecond ? rig.Second : rig.Paths[0]) is not { } path)
            return null;
        return station.Family switch
        {
            "reach" => (path.At + ".reach", path.Reach),
            "isolator" => (path.At + ".isolator", path.Isolator),
            "head" => (path.At + ".head", path.Head),
            _ => null,
        };
    }

    /// <summary>The number at a place, SI; null where there is none.</summary>
    public static double? ValueAt(RigDocument rig, string path)
    {
        JsonNode? at = JsonNode.Parse(StrictJson.Write(rig));
        foreach (var step in Steps().Matches(path).Select(m => m.Value))
            at = at switch
            {
                JsonArray list when step.StartsWith('[') => Entry(list, step),
                JsonArray list => Placed(list, step),
                JsonObject parent => parent[step],
                _ => null,
            };
        return at is JsonValue v && v.TryGetValue<double>(out var number) ? number : null;
    }

    /// <summary>The one of a list that a step in brackets names.</summary>
    private static JsonObject? Entry(JsonArray list, string step) =>
        list.OfType<JsonObject>().FirstOrDefault(e => (string?)e["id"] == step[1..^1] || (string?)e["layer"] == step[1..^1]);

    /// <summary>What stands at a place of a list; null where it is not that long.</summary>
    private static JsonNode? Placed(JsonArray list, string step) =>
        int.TryParse(step, NumberStyles.None, CultureInfo.InvariantCulture, out var n) && n < list.Count
        ? list[n] : null;

    /// <summary>A copy of the document with another value at a place; nothing there any more where the value is null.</summary>
    /// <exception cref="DocumentException">There is no such place, or the value does not go there.</exception>
    public static RigDocument With(RigDocument rig, Catalogue stock, string path, double? value)
    {
        var root = JsonNode.Parse(StrictJson.Write(rig))!.AsObject();
        var steps = Steps().Matches(path).Select(m => m.Value).ToList();
        if (steps.Count == 0)
            throw new DocumentException("path", "is empty");
        JsonNode at = root;
        for (var i = 0; i < steps.Count - 1; i++)
            at = Down(at, steps[i], i + 1 < steps.Count && steps[i + 1].StartsWith('['), path);
        if (at is not JsonObject parent)
            throw new DocumentException("path", $"there is nothing at '{path}'");
        if (value is { } v)
            parent[steps[^1]] = v;
        else
            parent.Remove(steps[^1]);
        var next = RigReader.Read(root.ToJsonString(StrictJson.Options), stock);
        return value is null ? Pruned(next) : next;
    }

    /// <summary>Joints and layers of which nothing is said any more are left out.</summary>
    private static RigDocument Pruned(RigDocument rig)
    {
        static JointChoice Said(JointChoice choice)
        {
            var layers = choice.Layers?.Where(l => l != new LayerChoice { Layer = l.Layer }).ToList();
            return choice with { Layers = layers is { Count: > 0 } ? layers : null };
        }
        return rig with
        {
            Joints = rig.Joints.Select(j => (j.Key, Choice: Said(j.Value))).Where(j => j.Choice != new JointChoice())
                .ToDictionary(j => j.Key, j => j.Choice),
        };
    }

    /// <summary>One step down; what may be left out is put there.</summary>
    private static JsonNode Down(JsonNode at, string step, bool listed, string path)
    {
        switch (at)
        {
            case JsonArray list when step.StartsWith('['):
                if (Entry(list, step) is { } entry)
                    return entry;
                // Layers are named only where something was said of them.
                if (!path.StartsWith("joints.", StringComparison.Ordinal))
                    break;
                var layer = new JsonObject { ["layer"] = step[1..^1] };
                list.Add((JsonNode)layer);
                return layer;
            case JsonArray list when Placed(list, step) is { } placed:
                return placed;
            case JsonObject parent when !step.StartsWith('['):
                if (parent[step] is { } there)
                    return there;
                JsonNode made = listed ? new JsonArray() : new JsonObject();
                parent[step] = made;
                return made;
        }
        throw new DocumentException("path", $"there is nothing at '{path}'");
    }

    [GeneratedRegex(@"\[[^\]]*\]|[^.]+")]
    private static partial Regex Steps();
}
