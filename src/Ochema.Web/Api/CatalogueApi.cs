using Ochema.Core.Hosts;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Web.Api;

/// <summary>What ships: recipes, kinds with their measurements, stock, hosts, factors, the document schema.</summary>
internal static class CatalogueApi
{
    private static readonly IReadOnlyList<KindDescriptor> AllKinds = KindDescriptors.All(Catalogue.Shipped);

    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/recipes", () => Results.Json(RecipeLibrary.All)).Produces<IReadOnlyList<Recipe>>();
        app.MapGet("/api/kinds", () => Results.Json(AllKinds)).Produces<IReadOnlyList<KindDescriptor>>();
        app.MapGet("/api/stock", () => Results.Json(Catalogue.Shipped)).Produces<Catalogue>();
        app.MapGet("/api/hosts", () => Results.Json(HostLibrary.All.Select(h => h.Published))).Produces<IReadOnlyList<HostPreset>>();
        app.MapGet("/api/factors", () => Results.Json(FactorTable.All)).Produces<IReadOnlyList<RequiredFactor>>();
        app.MapGet("/api/schema/rig.json", () => Results.Text(DocumentSchema.Create().ToJsonString(), "application/schema+json")).ExcludeFromDescription();
    }
}
