using Ochema.Core.Json;
using Ochema.Core.Quantities;

namespace Ochema.Web.Api;

/// <summary>Units: how to print them, and reading what people type.</summary>
internal static class QuantitiesApi
{
    public static void Map(IEndpointRouteBuilder app)
    {
        app.MapGet("/api/units", () => Results.Json(new UnitsReport(Units.Display, Drills.InchDrills))).Produces<UnitsReport>();
        app.MapPost("/api/quantities", Parse).Accepts<QuantityRequest>("application/json").Produces<ParsedQuantity>().ProducesProblem(400);
    }

    private static Task<IResult> Parse(HttpRequest request) => Problems.Reading(request, body =>
    {
        var q = StrictJson.Read<QuantityRequest>(body);
        var parsed = q is { Minimum: { } lo, Maximum: { } hi }
            ? QuantityParser.ParseField(q.Text, q.Dimension, q.System, lo, hi, q.UsualFrom ?? double.NegativeInfinity, q.UsualTo ?? double.PositiveInfinity)
            : QuantityParser.Parse(q.Text, q.Dimension, q.System);
        return Task.FromResult(Results.Text(StrictJson.Write(parsed), "application/json"));
    });
}
