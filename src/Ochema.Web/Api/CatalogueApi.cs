using Ochema.Core.Hosts;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>What ships: recipes, kinds with their measurements, stock, hosts, factors, the document schema.</summary>
internal static class CatalogueApi
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/recipes", () => Results.Json(RecipeLibrary.All)).Produces<IReadOnlyList<Recipe>>();
        app.MapGet("/api/kinds", async (OchemaContext db, OwnShelf own) => Results.Json(await own.KindsAsync(db))).Produces<IReadOnlyList<KindDescriptor>>();
        app.MapGet("/api/stock", () => Results.Json(Catalogue.Shipped)).Produces<Catalogue>();
        app.MapGet("/api/hosts", () => Results.Json(HostLibrary.All.Select(h => h.Published))).Produces<IReadOnlyList<HostPreset>>();
        // A list of rigs names their hosts and no more; the rest of a host is asked for when a rig on it is opened.
        app.MapGet("/api/hosts/names", () => Results.Json(HostLibrary.All.Select(HostName.Of))).Produces<IReadOnlyList<HostName>>();
        app.MapGet("/api/hosts/{id}", (string id) => HostLibrary.Find(id) is { } host ? Results.Json(host.Published)
            : Problems.NotFound($"There is no host '{id}'.")).Produces<HostPreset>().ProducesProblem(404);
        app.MapGet("/api/factors", () => Results.Json(FactorTable.All)).Produces<IReadOnlyList<RequiredFactor>>();
        app.MapGet("/api/schema/rig.json", () => Results.Text(DocumentSchema.Create().ToJsonString(), "application/schema+json")).ExcludeFromDescription();
    }
}
