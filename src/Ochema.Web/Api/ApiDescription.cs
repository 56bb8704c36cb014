using System.Text.Json.Nodes;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Ochema.Core.Json;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Web.Api;

/// <summary>The OpenAPI document.</summary>
internal static class ApiDescription
{
    /// <summary>Resources by the first step of their path.</summary>
    private static readonly Dictionary<string, string> Tags = new()
    {
        ["films"] = "Named groups of rigs.",
        ["rigs"] = "Stored rigs and their versions. A change carries If-Match with the version it was made on.",
        ["bin"] = "Rigs that were deleted.",
        ["shelf"] = "The user's own rows beside those that ship.",
        ["recipes"] = "Whole rigs to start from.",
        ["document"] = "Rig documents of earlier schemas in the words of the present one.",
        ["kinds"] = "What may stand at each station of a rig.",
        ["stock"] = "Rows that ship.",
        ["hosts"] = "What a rig is mounted on.",
        ["factors"] = "Required factors.",
        ["limits"] = "How long answers may take.",
        ["units"] = "Units as they are shown.",
        ["quantities"] = "Typed quantities.",
        ["assess"] = "A rig document in, all answers out: what it is and what it does at its speed.",
        ["advice"] = "Searches: changes that were tried.",
        ["goal"] = "Searches: what reaches a speed.",
        ["schools"] = "Searches: two ways to build it.",
        ["alternatives"] = "Searches: what else may stand somewhere.",
        ["straps"] = "Searches: one more strap.",
        ["inverse"] = "Searches: what stays within a use.",
        ["relocate"] = "A rig at another place.",
        ["rod"] = "Lengths of rods.",
        ["model"] = "The frame of a rig, solved.",
        ["hang"] = "Nets of ropes.",
        ["make"] = "Plans, templates and papers of a rig.",
        ["shake"] = "The picture of a rig.",
        ["prove"] = "Pull tests and the ladder of a rig.",
        ["proved"] = "How far the proofs of stored rigs have come.",
        ["today"] = "What a day allows a rig.",
        ["track"] = "Tracks of a run.",
        ["door"] = "Who asks: the computer itself, or a phone that was paired.",
        ["phone"] = "Phones beside the vehicle.",
        ["beaufort"] = "Forces of the wind.",
        ["tap"] = "Logs of a phone, and what they say of a rig.",
    };

    /// <summary>Resources that are kept in the file of the films.</summary>
    private static readonly string[] Kept = ["films", "rigs", "bin", "shelf", "kinds"];

    public static void Configure(OpenApiOptions options) => options.AddSchemaTransformer((schema, context, _) =>
    {
        // What documents carry as a name of a list.
        if (NamedChoices.Names(context.JsonTypeInfo.Type.FullName ?? "") is { } names)
            (schema.Type, schema.Enum) = (JsonSchemaType.String, [.. names.Select(n => (JsonNode)n)]);
        // What is published as its text.
        if (context.JsonTypeInfo.Type == typeof(StationId) || context.JsonTypeInfo.Type == typeof(PieceId))
            schema.Type = JsonSchemaType.String;
        return Task.CompletedTask;
    }).AddOperationTransformer((operation, context, _) =>
    {
        var resource = context.Description.RelativePath!.Split('/')[1];
        operation.Tags = new HashSet<OpenApiTagReference> { new(resource, context.Document) };
        Refusals(operation, resource);
        return Task.CompletedTask;
    }).AddDocumentTransformer((document, _, _) =>
    {
        document.Info.Title = "Ochema";
        document.Info.Version = "1";
        document.Info.Description = "Rig documents in, assessments out. All numbers SI; axes x forward, y left, z up.";
        document.Servers?.Clear();
        Rows(document);
        document.Tags = Tags.Select(t => new OpenApiTag { Name = t.Key, Description = t.Value }).ToHashSet();
        return Task.CompletedTask;
    });

    /// <summary>A row of the user's own is a row of one of the lists that take one.</summary>
    private static void Rows(OpenApiDocument document)
    {
        var schemas = document.Components?.Schemas ?? throw new InvalidOperationException("nothing is described");
        OpenApiSchema Any(string says) => new()
        {
            Description = says,
            AnyOf = [.. StockList.All.Where(l => l.Own).Select(l => l.Row.Name).Distinct().Where(schemas.ContainsKey)
                .Select(n => new OpenApiSchemaReference(n, document))],
        };
        ((OpenApiSchema)schemas[nameof(ShelfRow)]).Properties!["row"] = Any("As documents carry it; where it has a fault, its text.");
        foreach (var operation in document.Paths.Values.SelectMany(item => item.Operations?.Values.ToArray() ?? []))
            if (operation.OperationId == ShelfApi.PutRow && operation.RequestBody is OpenApiRequestBody body)
                body.Content!["application/json"] = new OpenApiMediaType { Schema = Any("A row of that list.") };
    }

    /// <summary>What any resource of its sort refuses besides what it says itself, and the version that a change has to name.</summary>
    private static void Refusals(OpenApiOperation operation, string resource)
    {
        void May(int status, string why)
        {
            operation.Responses ??= [];
            operation.Responses.TryAdd(status.ToString(System.Globalization.CultureInfo.InvariantCulture), new OpenApiResponse
            {
                Description = why,
                Content = new Dictionary<string, OpenApiMediaType> { ["application/problem+json"] = new() },
            });
        }
        May(400, "An unknown name in the query, or a value that cannot be read.");
        May(413, "Too large.");
        May(415, "What was sent is not JSON in UTF-8.");
        May(503, Kept.Contains(resource) ? "The file of the films cannot be used now, or it took more than ten seconds."
            : "It took more than ten seconds.");
        if (Kept.Contains(resource))
        {
            May(409, "Another window did the same at the same moment, or what is stored cannot be read.");
            May(507, "The disk is full.");
        }
        if (operation.Responses?.ContainsKey("428") != true)
            return;
        operation.Parameters ??= [];
        operation.Parameters.Add(new OpenApiParameter
        {
            Name = "If-Match",
            In = ParameterLocation.Header,
            Required = false,
            Description = "The version that the change was made on, as \"3\"; 428 where nothing is said.",
            Schema = new OpenApiSchema { Type = JsonSchemaType.String },
        });
    }
}
