using System.Reflection;
using System.Text.Json;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Stock;

namespace Ochema.Core.Rigs;

/// <summary>One field of a kind or record, as published: the interface draws its fields from this.</summary>
/// <param name="Type">quantity, stock, option or part.</param>
/// <param name="Minimum">SI; quantities only.</param>
/// <param name="Default">SI number, row id or option; absent when required or when empty means "from the catalogue".</param>
/// <param name="Choices">Row or option ids with labels.</param>
/// <param name="UsualFrom">SI: smaller values are asked about.</param>
/// <param name="UsualTo">SI: larger values are asked about.</param>
/// <param name="Of">Fields beside it that it was measured of, and <c>site</c>: when one of them changes it falls away.</param>
/// <param name="Own">True where a row of the user's own may be chosen.</param>
/// <param name="Dated">True for what is read off something: the day of measuring belongs to it.</param>
/// <param name="List">The list of the shelf that it is chosen from.</param>
/// <param name="Beside">The field beside it whose choice its own has to fit.</param>
/// <param name="Trait">What a host has to have for it to be asked there.</param>
/// <param name="OfPictures">True for what a lamp or a recorder in a camera's place has not.</param>
/// <param name="None">What is said for choosing nothing; null where something has to be chosen.</param>
public sealed record FieldDescriptor(
    string Name, string Type, string Label, string HowTo, Dimension? Dimension, double? Minimum, double? Maximum, bool Measured,
    JsonElement? Default, IReadOnlyList<ChoiceDescriptor>? Choices, IReadOnlyList<string>? Kinds,
        IReadOnlyList<string>? Forms = null, IReadOnlyList<string>? Hosts = null, double? UsualFrom = null, double? UsualTo = null,
        IReadOnlyList<string>? Of = null, string? Beside = null, string? List = null,
        bool Dated = false, bool Own = false, string? None = null, HostTrait Trait = HostTrait.None, bool OfPictures = false);

/// <summary>A choice of a field.</summary>
/// <param name="With">Choices of the field <c>beside</c> that it fits; null where it fits all.</param>
/// <param name="Hides">Fields beside it that say nothing once it is chosen; null where all stand.</param>
public sealed record ChoiceDescriptor(string Id, string Label, string? Source = null, double? Price = null,
    IReadOnlyList<string>? With = null,
    IReadOnlyList<string>? Hides = null);

/// <summary>A kind, or a plain record of the document, with its fields.</summary>
public sealed record KindDescriptor(string Station, string Id, string Label, string About, string Caution, JsonElement? Fresh,
    IReadOnlyList<FieldDescriptor> Fields, string Sketch = "");

/// <summary>Publishes the measurements of all kinds and records, read from their attributes.</summary>
public static class KindDescriptors
{
    /// <summary>Every kind by station, then the records camera, site, strap, tether and run.</summary>
    public static IReadOnlyList<KindDescriptor> All(Catalogue stock) =>
    [
        .. KindRegistry.Families.SelectMany(f => KindRegistry.Of(f.Type).Select(t => Describe(f.Station, t, Kind.InfoOf(t), stock))),
        Plain("camera", "Camera", typeof(CameraChoice), stock),
        Plain("site", "Place", typeof(Site), stock),
        Plain("strap", "Strap", typeof(Strap), stock),
        Plain("tether", "Tether", typeof(Tether), stock),
        Plain("run", "Conditions", typeof(RunConditions), stock),
        Plain("survey", "Survey", typeof(SiteSurvey), stock),
        Plain("joint", "Joint", typeof(JointChoice), stock),
        Plain("layer", "Layer", typeof(LayerChoice), stock),
        Plain("added", "Put between", typeof(AddedLayer), stock),
        Plain("second", "Second camera", typeof(CameraPath), stock),
    ];

    /// <summary>The measurements of a list's rows.</summary>
    public static IReadOnlyList<FieldDescriptor> OfRows(StockList list, Catalogue stock) => Fields(list.Row, null, stock);

    /// <summary>Names of the fields that tell the rows of a list apart.</summary>
    public static IReadOnlyList<string> ColumnsOf(StockList list) =>
    [
        .. (list.Columns.Count > 0 ? list.Columns
            : MeasureReader.Declared(list.Row).Where(d => d.Measure is not null).Select(d => d.Property.Name).Take(MostColumns))
            .Select(JsonNamingPolicy.CamelCase.ConvertName),
    ];

    /// <summary>Columns that a list has room for.</summary>
    private const int MostColumns = 4;

    private static KindDescriptor Plain(string station, string label, Type type, Catalogue stock) =>
        new(station, station, label, "", "", null, Fields(type, null, stock));

    private static KindDescriptor Describe(string station, Type type, KindAttribute info, Catalogue stock)
    {
        var fresh = type.GetProperties().Any(p => p.GetCustomAttribute<System.Runtime.CompilerServices.RequiredMemberAttribute>()
            is not null) ? null : Activator.CreateInstance(type);
        JsonElement? document = fresh is null ? null : JsonSerializer.SerializeToElement(fresh, KindRegistry.Families.First(f =>
            f.Station == station).Type, StrictJson.Options);
        return new(station, info.Id, info.Label, info.About, info.Caution, document, Fields(type, fresh, stock), info.Sketch);
    }

    private static string[] Names(Type type) => Enum.GetNames(Nullable.GetUnderlyingType(type) ?? type);

    /// <summary>Its description, else its name as words.</summary>
    internal static string LabelOf(Type type, string name) =>
        (Nullable.GetUnderlyingType(type)
            ?? type).GetField(name)?.GetCustomAttribute<System.ComponentModel.DescriptionAttribute>()?.Description
                ?? JsonNamingPolicy.KebabCaseLower.ConvertName(name).Replace('-', ' ');

    private static List<string>? FitsWith(IStockRow row, StockChoiceAttribute choice, Type type, Catalogue stock) => choice.Beside.Length
        == 0 ? null
        : [.. type.GetProperties().Where(p => JsonNamingPolicy.CamelCase.ConvertName(p.Name) == choice.Beside)
            .SelectMany(p => MeasureReader.Rows(p.GetCustomAttribute<StockChoiceAttribute>()!, stock)).Where(r => MeasureReader.Fit(row, r))
                .Select(r => r.Id)];

    /// <summary>Fields of a record that are about the picture; null where none is.</summary>
    private static string[]? OfPictures(Type type) => type.GetProperties()
        .Where(p => p.GetCustomAttribute<OfPictureAttribute>() is not null)
        .Select(p => JsonNamingPolicy.CamelCase.ConvertName(p.Name)).ToArray() is { Length: > 0 } names ? names : null;

    private static string[]? Listed(string names) => names.Length == 0 ? null : names.Split(',');

    /// <summary>The forms of place that have a measure or question of the place; null where all do, and for what is of no place.</summary>
    private static string[]? FormsOf(PropertyInfo p) =>
        (p.DeclaringType == typeof(Site) || p.DeclaringType == typeof(SiteSurvey))
            && NamedChoices.Of<SiteForm>().Where(f => f.Has.Contains(p.Name)).Select(f => f.Id).ToArray() is { Length: > 0 } forms ? forms
                : null;

    /// <summary>True where a place of a form has this measure or question.</summary>
    internal static bool IsAsked(PropertyInfo p, SiteForm form) => FormsOf(p) is not { } forms || forms.Contains(form.Id);

    private static List<FieldDescriptor> Fields(Type type, object? fresh, Catalogue stock)
    {
        var list = new List<FieldDescriptor>();
        foreach (var p in type.GetProperties(BindingFlags.Public | BindingFlags.Instance))
        {
            var name = JsonNamingPolicy.CamelCase.ConvertName(p.Name);
            JsonElement? initial = fresh is null || p.GetIndexParameters().Length > 0 || p.GetValue(fresh) is not { } v ? null
                : JsonSerializer.SerializeToElement(v, p.PropertyType, StrictJson.Options);
            if (p.GetCustomAttribute<MeasureAttribute>() is { } m)
                list.Add(new(name, "quantity", m.Label, m.HowTo, m.Dimension, m.Minimum, m.Maximum, m.Measured, initial, null, null,
                    FormsOf(p), null,
                    double.IsFinite(m.UsualFrom) ? m.UsualFrom : null, double.IsFinite(m.UsualTo) ? m.UsualTo : null, Listed(m.Of),
                    Dated: m.Measured && !m.Chosen, Trait: m.Trait, OfPictures: m.OfPictures));
            else if (p.GetCustomAttribute<StockChoiceAttribute>() is { } c)
                list.Add(new(name, "stock", c.Label, c.HowTo, null, null, null, false, initial,
                    [.. MeasureReader.Rows(c, stock).Select(r => new ChoiceDescriptor(r.Id, r.Name, r.Source, With: FitsWith(r, c, type, stock),
                        Hides: c.None.Length == 0 && r is CameraRow { Makes: not Makes.Picture } ? OfPictures(type) : null))], null,
                    Beside: c.Beside.Length > 0 ? c.Beside : null, List: c.List,
                    Own: StockList.All.Any(l => l.Id == c.List && l.Own), None: c.None.Length > 0 ? c.None : null));
            else if (p.GetCustomAttribute<OptionAttribute>() is { } o)
                list.Add(new(name, "option", o.Label, o.HowTo, null, null, null, false, initial,
                    [.. Names(p.PropertyType).Select(n => new ChoiceDescriptor(JsonNamingPolicy.KebabCaseLower.ConvertName(n), LabelOf(p.PropertyType, n)))],
                        null, FormsOf(p), Listed(o.Hosts)));
            else if (p.GetCustomAttribute<PartAttribute>() is { } part)
            {
                var kinds = typeof(HoldKind).IsAssignableFrom(p.PropertyType) && p.PropertyType.IsAbstract
                    ? KindRegistry.Of(p.PropertyType).Select(t => Kind.InfoOf(t).Id).Except(part.Except.Split(','))
                    : [Kind.InfoOf(p.PropertyType).Id];
                list.Add(new(name, "part", part.Label, "", null, null, null, false, initial, null, [.. kinds]));
            }
        }
        return list;
    }
}
