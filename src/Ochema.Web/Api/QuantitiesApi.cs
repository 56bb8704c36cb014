using Ochema.Core.Quantities;
using Ochema.Web.Phone;

namespace Ochema.Web.Api;

/// <summary>Units: how to print them, and reading what people type.</summary>
internal static class QuantitiesApi
{
    public static void Map(RouteGroupBuilder api)
    {
        api.MapGet("/units", () => Answer.Of(new UnitsReport(Units.Display, Drills.InchDrills)))
            .OpenToPhones().Named("getUnits", "Units and drills as they are shown.");
        api.MapPost("/quantities", Parse).Refuses(400).OpenToPhones().Named("parseQuantity", "Reads a typed quantity, and says whether it may be.");
    }

    private static Answer<ParsedQuantity> Parse(Posted<QuantityRequest> posted)
    {
        var q = posted.Read();
        return Answer.Of(q is { Minimum: { } lo, Maximum: { } hi }
            ? QuantityParser.ParseField(q.Text, q.Dimension, q.System, lo, hi, q.UsualFrom ?? double.NegativeInfinity, q.UsualTo
                ?? double.PositiveInfinity)
            : QuantityParser.Parse(q.Text, q.Dimension, q.System));
    }
}
