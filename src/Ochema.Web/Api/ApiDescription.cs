using Microsoft.AspNetCore.OpenApi;

namespace Ochema.Web.Api;

/// <summary>The OpenAPI document.</summary>
internal static class ApiDescription
{
    public static void Configure(OpenApiOptions options) => options.AddDocumentTransformer((document, _, _) =>
    {
        document.Info.Title = "Ochema";
        document.Info.Version = "1";
        document.Info.Description = "Rig documents in, assessments out. All numbers SI; axes x forward, y left, z up.";
        document.Servers?.Clear();
        return Task.CompletedTask;
    });
}
