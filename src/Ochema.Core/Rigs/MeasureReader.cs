using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>Reads the measurements that records declare by attributes.</summary>
public static class MeasureReader
{
    /// <summary>Measured properties with their present values (empty ones left out), in document names.</summary>
    public static IEnumerable<(string Property, MeasureAttribute Measure, double Value)> Of(object record) =>
        from p in record.GetType().GetProperties()
        let a = p.GetCustomAttribute<MeasureAttribute>()
        where a is not null && p.GetValue(record) is double
        select (JsonNamingPolicy.CamelCase.ConvertName(p.Name), a, (double)p.GetValue(record)!);

    /// <summary>Catalogue choices of a record.</summary>
    public static IEnumerable<(PropertyInfo? Property, StockChoiceAttribute Attribute)> Choices(object record) =>
        from p in record.GetType().GetProperties()
        let a = p.GetCustomAttribute<StockChoiceAttribute>()
        where a is not null
        select ((PropertyInfo?)p, a);

    /// <summary>The rows a choice may take.</summary>
    public static IEnumerable<IStockRow> Rows(StockChoiceAttribute a, Catalogue stock)
    {
        var only = a.Only.Split(',', StringSplitOptions.RemoveEmptyEntries);
        return stock.Lists[a.List].Where(r => only.Length == 0 || only.Contains(r.Id) || only.Contains(TypeOf(r)));
    }

    /// <summary>A copy of a kind with another catalogue row.</summary>
    public static Kind WithChoice(Kind kind, PropertyInfo property, string id) => With(kind, property, id);

    /// <summary>A copy of a kind with another measurement, SI.</summary>
    public static Kind WithMeasure(Kind kind, PropertyInfo property, double value) => With(kind, property, value);

    private static Kind With(Kind kind, PropertyInfo property, JsonNode value)
    {
        var copy = JsonSerializer.SerializeToNode(kind, kind.GetType(), StrictJson.Options)!.AsObject();
        var name = JsonNamingPolicy.CamelCase.ConvertName(property.Name);
        copy[name] = value;
        // What was measured of the other one does not count for this.
        foreach (var (measured, measure, _) in Of(kind))
            if (measure.Of.Split(',').Contains(name))
                copy.Remove(measured);
        return (Kind)copy.Deserialize(kind.GetType(), StrictJson.Options)!;
    }

    /// <summary>Whether two rows go together: a lens that is built in goes with a body that has one, and with no other.</summary>
    public static bool Fit(IStockRow a, IStockRow b) => (a, b) switch
    {
        (LensRow lens, CameraRow body) => lens.BuiltIn == body.BuiltIn,
        (CameraRow, LensRow) => Fit(b, a),
        _ => true,
    };

    private static string? TypeOf(IStockRow row) => row switch
    {
        HeadRow h => h.Type,
        IsolatorRow i => i.Type,
        SectionRow s => JsonNamingPolicy.KebabCaseLower.ConvertName(s.Shape.ToString()),
        _ => null,
    };
}
