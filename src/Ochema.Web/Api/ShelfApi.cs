using System.Text.Json;
using Microsoft.EntityFrameworkCore;
using Ochema.Core.Json;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Data;

namespace Ochema.Web.Api;

/// <summary>
/// The shelf: what ships, with sources, and the user's own rows. A rig carries the rows that it is made of; the shelf is where they are kept.
/// </summary>
internal static class ShelfApi
{
    private static readonly IReadOnlyList<ShelfList> Lists = [.. StockList.All.Select(l => new ShelfList(l.Id, l.Label, l.One, l.Own,
        KindDescriptors.OfRows(l, Catalogue.Shipped), [.. Catalogue.Shipped.Lists[l.Id]
            .Select(r => JsonSerializer.SerializeToElement<object>(r, StrictJson.Options))]))];

    public static void Map(IEndpointRouteBuilder app)
    {
        var shelf = app.MapGroup("/api/shelf");
        shelf.MapGet("/lists", () => Results.Json(Lists)).Produces<IReadOnlyList<ShelfList>>();
        shelf.MapGet("/", All).Produces<IReadOnlyList<ShelfRow>>();
        shelf.MapPut("/{list}/{id}", Put).Accepts<object>("application/json").Produces<ShelfRow>().Produces<ShelfRow>(201)
            .ProducesProblem(400).ProducesProblem(409).ProducesProblem(412).ProducesProblem(428);
        shelf.MapDelete("/{list}/{id}", Delete).Produces(204).ProducesProblem(404).ProducesProblem(412).ProducesProblem(428);
    }

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

    private static async Task<IResult> All(OchemaContext db) => Results.Json((await ShelfStore.AllAsync(db)).Select(Shown));

    private static ShelfRow Shown(ShelfRecord r) => new(r.List, r.Id, r.Version, r.UpdatedAt, JsonSerializer.Deserialize<JsonElement>(r.Row), Fault(r));

    private static Task<IResult> Put(string list, string id, HttpRequest request, OchemaContext db, TimeProvider clock, OwnShelf own) =>
        Problems.Reading(request, async body =>
        {
            var row = OwnStockReader.Read(list, body, Catalogue.Shipped);
            if (row.Id != id)
                throw new DocumentException("id", $"is '{row.Id}', not '{id}'");
            var known = await db.Shelf.FindAsync(list, id);
            if (Unmatched(request, known) is { } unmatched)
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
            request.HttpContext.Response.Headers.ETag = ETag(known);
            return Results.Json(Shown(known), statusCode: made ? 201 : 200);
        });

    private static async Task<IResult> Delete(string list, string id, HttpRequest request, OchemaContext db, OwnShelf own)
    {
        if (await db.Shelf.FindAsync(list, id) is not { } row)
            return Problems.NotFound($"There is no row '{id}' of your own among the {list}.");
        if (Unmatched(request, row) is { } unmatched)
            return unmatched;
        db.Shelf.Remove(row);
        if (!await RigStore.KeepAsync(db))
            return Changed();
        own.Forget();
        return Results.NoContent();
    }

    /// <summary>A new row says If-None-Match: *, a change which version it was made on.</summary>
    private static IResult? Unmatched(HttpRequest request, ShelfRecord? row)
    {
        if (request.Headers.IfNoneMatch.ToString() == "*")
            return row is null ? null : Problems.Of(412, "There is one", $"A row '{row.Id}' is there already.");
        if (request.Headers.IfMatch.Count == 0)
            return Problems.Of(428, "Say which version", "Send If-Match with the version this change was made on, or If-None-Match: * for a new row.");
        return row is not null && request.Headers.IfMatch.ToString() == ETag(row) ? null : Changed();
    }

    private static string ETag(ShelfRecord row) => $"\"{row.Version}\"";

    private static IResult Changed() => Problems.Of(412, "Changed elsewhere", "This row was changed somewhere else in between. Load it again.");
}
