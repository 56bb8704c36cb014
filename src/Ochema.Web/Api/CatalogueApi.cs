using Microsoft.AspNetCore.Http.HttpResults;
using Ochema.Core.Hosts;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;
using Ochema.Web.Phone;

namespace Ochema.Web.Api;

/// <summary>What ships: recipes, kinds with their measurements, stock, hosts, factors, the document schema.</summary>
internal static class CatalogueApi
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/recipes", () => Answer.Of(RecipeLibrary.All)).Named("listRecipes", "Whole rigs to start from.");
        api.MapGet("/recipes/{id}/card", Card).Refuses(404)
            .Named("getRecipeCard", "A recipe as a list shows it: verdict, mass, price, drawing.");
        // A phone asks how a day is described; the user's own shelf is nothing of its rigs.
        api.MapGet("/kinds", async (HttpContext context, OchemaContext db, OwnShelf own) =>
            Answer.Of(PhoneGuard.PhoneOf(context) is null ? await own.KindsAsync(db) : KindDescriptors.All(Catalogue.Shipped)))
            .OpenToPhones().Named("listKinds", "What may stand at each station, with its measurements: unit, range, label, how it is taken.");
        api.MapGet("/stock", () => Answer.Of(Catalogue.Shipped)).Named("getStock", "The shelf as it ships.");
        api.MapGet("/limits", () => Answer.Of(new Limits(TimeLimit.Patience.TotalSeconds)))
            .OpenToPhones().Named("getLimits", "How long searches take at the most.");
        api.MapGet("/factors", () => Answer.Of(FactorTable.All))
            .Named("listFactors", "Required factors by consequence, with their sources.");
        api.MapPost("/document", (Posted<RigDocument> rig) => Answer.Of(rig.Read())).Refuses(400)
            .Named("readDocument", "A rig document of any schema that is read, in the words of the present one.");
        api.MapGet("/schema/rig.json", () => Results.Text(DocumentSchema.Create().ToJsonString(), "application/schema+json"))
            .ExcludeFromDescription();
        var hosts = api.MapGroup("/hosts");
        hosts.MapGet("/", () => Answer.As<IReadOnlyList<HostPreset>>(HostLibrary.All.Select(h => h.Published)))
            .Named("listHosts", "All hosts, whole.");
        // A list of rigs names their hosts and no more; the rest of a host is asked for when a rig on it is opened.
        hosts.MapGet("/names", () => Answer.As<IReadOnlyList<HostName>>(HostLibrary.All.Select(HostName.Of)))
            .OpenToPhones().Named("listHostNames", "All hosts by name, for lists.");
        hosts.MapGet("/{id}", Host).Refuses(404).OpenToPhones().Named("getHost", "One host: its places, closed points, wheels and drive.");
    }

    /// <summary>What a list shows of a recipe: judged once.</summary>
    private static Results<Answer<RigCard>, ProblemHttpResult> Card(string id, Judgements judgements) =>
        RecipeLibrary.All.FirstOrDefault(r => r.Id == id) is { } recipe ? new Answer<RigCard>(judgements.Of(recipe.Document).Card!)
            : Problems.NotFound($"There is no recipe '{id}'.");

    private static Results<Answer<HostPreset>, ProblemHttpResult> Host(string id) => HostLibrary.Find(id) is { } host
        ? Answer.Of(host.Published) : Problems.NotFound($"There is no host '{id}'.");
}
