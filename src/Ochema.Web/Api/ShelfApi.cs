using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>
/// The shelf: what ships, with sources, and the user's own rows. A rig carries the rows that it is made of; the shelf is where they are
/// kept.
/// </summary>
internal static class ShelfApi
{
    private static readonly IReadOnlyList<ShelfList> Lists = [.. StockList.All.Select(l => new ShelfList(l.Id, l.Label, l.One, l.Own,
        KindDescriptors.OfRows(l, Catalogue.Shipped), KindDescriptors.ColumnsOf(l), [.. Catalogue.Shipped.Lists[l.Id]
            .Select(r => JsonSerializer.SerializeToElement<object>(r, StrictJson.Options))]))];

    public static void Map(RouteGroupBuilder api)
    {
        var shelf = api.MapGroup("/shelf");
        shelf.MapGet("/lists", () => Answer.Of(Lists)).Named("listShelfLists", "Lists of the shelf: fields of their rows, and what ships.");
        shelf.MapGet("/", All).Named("listShelf", "Own rows.");
        shelf.MapPut("/{list}/{id}", Put).Refuses(400, 409, 412, 428).Named(PutRow, "Puts an own row on the shelf, or changes it.");
        shelf.MapDelete("/{list}/{id}", Delete).Refuses(404, 412, 428)
            .Named("deleteShelfRow", "Takes an own row from the shelf; rigs keep their copy.");
    }

    /// <summary>What puts a row on the shelf is called in the description.</summary>
    internal const string PutRow = "putShelfRow";

    /// <summary>Why a stored row cannot be used; null when it can.</summary>
    public static string? Fault(ShelfRecord r)
    {
        try
        {
            OwnStockReader.Read(r.List, r.Row, Catalogue.Shipped);
            return null;
        }
        catch (DocumentException e)
        {
            return e.Message;
        }
    }

    private static async Task<Answer<IReadOnlyList<ShelfRow>>> All(OchemaContext db) =>
        Answer.As<IReadOnlyList<ShelfRow>>((await ShelfStore.AllAsync(db)).Select(Shown));

    private static ShelfRow Shown(ShelfRecord r) => new(r.List, r.Id, r.Version, r.UpdatedAt, Row(r), Fault(r));

    /// <summary>The row, or its text where it is damaged: then it has a fault.</summary>
    private static JsonElement Row(ShelfRecord r)
    {
        try
        {
            return JsonSerializer.Deserialize<JsonElement>(r.Row);
        }
        catch (JsonException)
        {
            return JsonSerializer.SerializeToElement(new { id = r.Id, name = r.Id }, StrictJson.Options);
        }
    }

    private static async Task<Results<Answer<ShelfRow>, Made<ShelfRow>, ProblemHttpResult>> Put(
        string list, string id, Posted<string> posted, HttpContext context, OchemaContext db, TimeProvider clock, OwnShelf own)
    {
        var row = OwnStockReader.Read(list, posted.Text, Catalogue.Shipped);
        if (row.Id != id)
            throw new DocumentException("id", $"is '{row.Id}', not '{id}'");
        var known = await db.Shelf.FindAsync(list, id);
        if (Unmatched(context.Request, known) is { } unmatched)
            return unmatched;
        if (known is null && await db.Shelf.AnyAsync(r => r.Id == id))
            return Problems.Of(409, "The id is taken", $"Another list has a row '{id}'.");
        if (known is null && await db.Shelf.CountAsync() >= OwnStock.MostRows)
            return Problems.Of(409, "Full", $"There are {OwnStock.MostRows} rows of your own already.");
        var made = known is null;
        if (known is null)
            db.Shelf.Add(known = new ShelfRecord { List = list, Id = id, Row = "" });
        (known.Row, known.UpdatedAt) = (StrictJson.Write<object>(row), clock.GetUtcNow().UtcDateTime);
        known.Version++;
        if (!await RigStore.KeepAsync(db))
            return Changed();
        own.Forget();
        context.Response.Headers.ETag = ETag(known);
        return made ? Answer.MadeAs<ShelfRow>(Shown(known)) : Answer.Of(Shown(known));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> Delete(string list, string id, HttpRequest request, OchemaContext db,
        OwnShelf own)
    {
        if (await db.Shelf.FindAsync(list, id) is not { } row)
            return Problems.NotFound($"There is no row '{id}' of your own among the {list}.");
        if (Unmatched(request, row) is { } unmatched)
            return unmatched;
        db.Shelf.Remove(row);
        if (!await RigStore.KeepAsync(db))
            return Changed();
        own.Forget();
        return TypedResults.NoContent();
    }

    /// <summary>A new row says If-None-Match: *, a change which version it was made on.</summary>
    private static ProblemHttpResult? Unmatched(HttpRequest request, ShelfRecord? row)
    {
        if (request.Headers.IfNoneMatch.ToString() == "*")
            return row is null ? null : Problems.Of(412, "There is one", $"A row '{row.Id}' is there already.");
        if (request.Headers.IfMatch.Count == 0)
            return Problems.Of(428, "Say which version",
                "Send If-Match with the version this change was made on, or If-None-Match: * for a new row.");
        return row is not null && request.Headers.IfMatch.ToString() == ETag(row) ? null : Changed();
    }

    private static string ETag(ShelfRecord row) => $"\"{row.Version}\"";

    private static ProblemHttpResult Changed() => Problems.Of(412, "Changed elsewhere",
        "This row was changed somewhere else in between. Load it again.");
}
