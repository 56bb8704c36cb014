using System.Text.Json.Nodes;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Ochema.Core.Json;

namespace Ochema.Web.Api;

/// <summary>The OpenAPI document.</summary>
internal static class ApiDescription
{
    public static void Configure(OpenApiOptions options) => options.AddSchemaTransformer((schema, context, _) =>
    {
        // What documents carry as a name of a list.
        if (NamedChoices.Names(context.JsonTypeInfo.Type.FullName ?? "") is { } names)
            (schema.Type, schema.Enum) = (JsonSchemaType.String, [.. names.Select(n => (JsonNode)n)]);
        return Task.CompletedTask;
    }).AddDocumentTransformer((document, _, _) =>
    {
        document.Info.Title = "Ochema";
        document.Info.Version = "1";
        document.Info.Description = "Rig documents in, assessments out. All numbers SI; axes x forward, y left, z up.";
        document.Servers?.Clear();
        return Task.CompletedTask;
    });
}
