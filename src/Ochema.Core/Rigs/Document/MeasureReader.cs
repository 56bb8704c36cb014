using System.Collections.Frozen;
using System.Reflection;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>A property with what it declares.</summary>
/// <param name="Name">As in documents.</param>
internal sealed record DeclaredField(PropertyInfo Property, string Name, MeasureAttribute? Measure, StockChoiceAttribute? Choice,
    PartAttribute? Part)
{
    public static DeclaredField Of(PropertyInfo p) => new(p, JsonNamingPolicy.CamelCase.ConvertName(p.Name),
        p.GetCustomAttribute<MeasureAttribute>(),
        p.GetCustomAttribute<StockChoiceAttribute>(), p.GetCustomAttribute<PartAttribute>());
}

/// <summary>Reads the measurements that records declare by attributes.</summary>
public static class MeasureReader
{
    // Read once: reading an attribute makes a new one, and documents are read at every keystroke.
    private static readonly FrozenDictionary<Type, IReadOnlyList<DeclaredField>> Types = typeof(MeasureReader).Assembly.GetTypes()
        .Where(t => !t.IsAbstract && t.IsClass)
        .Select(t => (Type: t, Fields: (IReadOnlyList<DeclaredField>)[.. t.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Where(p => p.GetIndexParameters().Length == 0).Select(DeclaredField.Of)
            .Where(d => d is { Measure: not null } or { Choice: not null } or { Part: not null })]))
        .Where(t => t.Fields.Count > 0).ToFrozenDictionary(t => t.Type, t => t.Fields);

    /// <summary>What a type's properties declare: measurements, choices of the catalogue, parts; empty where none does.</summary>
    internal static IReadOnlyList<DeclaredField> Declared(Type type) => Types.GetValueOrDefault(type) ?? [];

    /// <summary>Measured properties with their present values (empty ones left out), in document names.</summary>
    public static IEnumerable<(string Property, MeasureAttribute Measure, double Value)> Of(object record) =>
        from d in Declared(record.GetType())
        where d.Measure is not null && d.Property.GetValue(record) is double
        select (d.Name, d.Measure, (double)d.Property.GetValue(record)!);

    /// <summary>Catalogue choices of a record.</summary>
    public static IEnumerable<(PropertyInfo? Property, StockChoiceAttribute Attribute)> Choices(object record) =>
        from d in Declared(record.GetType())
        where d.Choice is not null
        select ((PropertyInfo?)d.Property, d.Choice);

    /// <summary>The rows a choice may take.</summary>
    public static IEnumerable<IStockRow> Rows(StockChoiceAttribute a, Catalogue stock)
    {
        var only = a.Only.Split(',', StringSplitOptions.RemoveEmptyEntries);
        return stock.Lists[a.List].Where(r => only.Length == 0 || only.Contains(r.Id) || TypesOf(r).Any(only.Contains));
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

    /// <summary>Whether two rows go together: a lens that is built in goes with a body that has one, and with no other; with a lamp goes
    /// none.</summary>
    public static bool Fit(IStockRow a, IStockRow b) => (a, b) switch
    {
        (LensRow lens, CameraRow body) => lens.BuiltIn == body.BuiltIn && lens.None == (body.Makes != Makes.Picture),
        (CameraRow, LensRow) => Fit(b, a),
        _ => true,
    };

    /// <summary>Type of what fits a camera's shoe, for <see cref="StockChoiceAttribute.Only"/>.</summary>
    internal const string InShoe = "in-shoe";

    /// <summary>What a row is, by its sort and never by its name, for <see cref="StockChoiceAttribute.Only"/>.</summary>
    private static IEnumerable<string> TypesOf(IStockRow row) => row switch
    {
        HeadRow h => [h.Type],
        CameraRow { InShoe: true } => [InShoe],
        IsolatorRow i => [i.Type],
        SectionRow s => s.Pipe is null ? [Named(s.Shape)] : [Named(s.Shape), Pipe],
        StrapRow s => [Named(s.Sort)],
        _ => [],
    };

    /// <summary>Type of a tube that fittings are sold for.</summary>
    private const string Pipe = "pipe";

    private static string Named(Enum sort) => JsonNamingPolicy.KebabCaseLower.ConvertName(sort.ToString());
}
