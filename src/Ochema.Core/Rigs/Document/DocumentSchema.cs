using System.Text.Json.Nodes;
using System.Text.Json.Schema;
using Ochema.Core.Json;
using Ochema.Core.Quantities;

namespace Ochema.Core.Rigs;

/// <summary>The JSON Schema (draft 2020-12) of <c>*.ochema.json</c>, made from the types and their attributes.</summary>
public static class DocumentSchema
{
    /// <summary>The schema document.</summary>
    public static JsonNode Create()
    {
        var options = new JsonSchemaExporterOptions
        {
            TreatNullObliviousAsNonNullable = true,
            TransformSchemaNode = (context, node) =>
            {
                if (NamedChoices.Names(context.TypeInfo.Type.FullName ?? "") is { } names)
                    node = new JsonObject { ["type"] = "string", ["enum"] = new JsonArray([.. names.Select(n => (JsonNode)n)]) };
                if (node is JsonObject o && context.PropertyInfo?.AttributeProvider is { } attributes)
                    foreach (var a in attributes.GetCustomAttributes(inherit: false))
                        if (a is MeasureAttribute m)
                        {
                            o["minimum"] = m.Minimum;
                            o["maximum"] = m.Maximum;
                            o["title"] = m.Label;
                            o["description"] = $"{m.Dimension}, SI. {QuantityText.Print(m.HowTo, UnitSystem.Metric)}".Trim();
                        }
                        else if (a is StockChoiceAttribute c)
                            o["description"] = $"Id of a row of {c.List}. {QuantityText.Print(c.HowTo, UnitSystem.Metric)}".Trim();
                return node;
            },
        };
        var schema = StrictJson.Options.GetJsonSchemaAsNode(typeof(RigDocument), options).AsObject();
        schema.Insert(0, "$schema", "https://json-schema.org/draft/2020-12/schema");
        schema.Insert(1, "title", "Ochema rig document");
        schema["$comment"] = "All numbers SI; axes x forward, y left, z up. Factors: "
            + string.Join(", ", FactorTable.All.Select(f => f.Name)) + ".";
        return schema;
    }
}
