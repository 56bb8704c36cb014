using System.Globalization;
using System.Text.Json.Nodes;

namespace Ochema.Web.Tests;

/// <summary>Documents bent at random.</summary>
internal static class Bent
{
    /// <summary>Changes one place of a document: takes it away, puts something else there, or what another rig has there.</summary>
    public static void Bend(JsonNode document, List<string> documents, Random random)
    {
        var all = new List<(JsonNode Parent, object Key, JsonNode? Value)>();
        void Walk(JsonNode? node)
        {
            if (node is JsonObject o)
                foreach (var (k, v) in o)
                {
                    all.Add((o, k, v));
                    Walk(v);
                }
            else if (node is JsonArray a)
                for (var i = 0; i < a.Count; i++)
                {
                    all.Add((a, i, a[i]));
                    Walk(a[i]);
                }
        }
        Walk(document);
        var (parent, key, value) = all[random.Next(all.Count)];
        void Set(JsonNode? v)
        {
            if (parent is JsonObject o)
                o[(string)key] = v;
            else
                ((JsonArray)parent)[(int)key] = v;
        }
        switch (random.Next(value is JsonValue number && number.TryGetValue<double>(out _) ? 14 : 8))
        {
            case 0:
                Set(null);
                break;
            case 1:
                Set(random.Next(2) == 0 ? "something" : random.NextDouble());
                break;
            case 2 when parent is JsonObject o:
                o.Remove((string)key);
                break;
            case 3 when parent is JsonObject o:
                o["wheels"] = 4;
                break;
            case 4:
                Set(new JsonArray(1, 2, 3));
                break;
            case 5 or 6 or 7:
                // The same place of another rig: other kinds, other hosts, other sites.
                var other = JsonNode.Parse(documents[random.Next(documents.Count)])!;
                if (parent == document && other[(string)key] is { } theirs)
                    Set(theirs.DeepClone());
                else if (other["base"] is { } b)
                    document["base"] = b.DeepClone();
                break;
            default:
                if (value is not JsonValue || !double.TryParse(value.ToJsonString(), CultureInfo.InvariantCulture, out var v))
                    break;
                double[] numbers = [0, -v, v * 1.7, v * 0.3, v * 10, v / 10, 1e-9, 1e9, double.MaxValue, Math.Round(v, 1)];
                // Ten times the largest number is none that JSON has.
                var next = numbers[random.Next(numbers.Length)];
                Set(double.IsFinite(next) ? next : double.MaxValue);
                break;
        }
    }
}
