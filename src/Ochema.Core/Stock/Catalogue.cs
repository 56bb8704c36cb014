using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ochema.Core.Json;

namespace Ochema.Core.Stock;

/// <summary>What ships with the application: every list, read once from the embedded data files.</summary>
public sealed class Catalogue
{
    /// <summary>The shipped catalogue.</summary>
    public static Catalogue Shipped { get; } = new();

    private readonly Dictionary<string, IStockRow> byKey = [];

    public IReadOnlyList<Material> Materials { get; }
    public IReadOnlyList<SectionRow> Sections { get; }
    public IReadOnlyList<Fastener> Fasteners { get; }
    public IReadOnlyList<SuctionCupRow> Cups { get; }
    public IReadOnlyList<MagnetRow> Magnets { get; }
    public IReadOnlyList<AdhesivePadRow> Adhesives { get; }
    public IReadOnlyList<HeadRow> Heads { get; }
    public IReadOnlyList<CameraRow> Cameras { get; }
    public IReadOnlyList<LensRow> Lenses { get; }
    public IReadOnlyList<StrapRow> Straps { get; }
    public IReadOnlyList<ArmRow> Arms { get; }
    public IReadOnlyList<IsolatorRow> Isolators { get; }
    public IReadOnlyList<GooseneckRow> Goosenecks { get; }
    public IReadOnlyList<SpringRow> Springs { get; }
    public IReadOnlyList<FittingRow> Fittings { get; }

    private Catalogue()
    {
        Materials = Load<Material>("materials");
        Sections = Load<SectionRow>("sections");
        Fasteners = Load<Fastener>("fasteners");
        Cups = Load<SuctionCupRow>("cups", "suction-cups");
        Magnets = Load<MagnetRow>("magnets");
        Adhesives = Load<AdhesivePadRow>("adhesives");
        Heads = Load<HeadRow>("heads");
        Cameras = Load<CameraRow>("cameras");
        Lenses = Load<LensRow>("lenses");
        Straps = Load<StrapRow>("straps");
        Arms = Load<ArmRow>("arms");
        Isolators = Load<IsolatorRow>("isolators");
        Goosenecks = Load<GooseneckRow>("goosenecks");
        Springs = Load<SpringRow>("springs");
        Fittings = Load<FittingRow>("fittings");
    }

    /// <summary>All lists by the name that kinds refer to them by.</summary>
    [JsonIgnore]
    public IReadOnlyDictionary<string, IReadOnlyList<IStockRow>> Lists => new Dictionary<string, IReadOnlyList<IStockRow>>
    {
        ["materials"] = Materials,
        ["sections"] = Sections,
        ["fasteners"] = Fasteners,
        ["cups"] = Cups,
        ["magnets"] = Magnets,
        ["adhesives"] = Adhesives,
        ["heads"] = Heads,
        ["cameras"] = Cameras,
        ["lenses"] = Lenses,
        ["straps"] = Straps,
        ["arms"] = Arms,
        ["glues"] = Glues.All,
        ["knots"] = Lashing.Knots,
        ["isolators"] = Isolators,
        ["goosenecks"] = Goosenecks,
        ["springs"] = Springs,
        ["fittings"] = Fittings,
    };

    /// <summary>True when a list has such a row.</summary>
    public bool Has(string list, string id) => byKey.ContainsKey(list + "/" + id);

    /// <summary>A row of a list.</summary>
    /// <exception cref="DocumentException">There is no such row.</exception>
    public T Find<T>(string list, string id)
        where T : IStockRow => byKey.TryGetValue(list + "/" + id, out var row) && row is T t ? t : throw new DocumentException("", $"there is no '{id}' among the {list}");

    public Material Material(string id) => Find<Material>("materials", id);

    /// <summary>A section with its computed properties.</summary>
    public Section Section(string id)
    {
        var row = Find<SectionRow>("sections", id);
        return Stock.Section.Of(row.Shape, row.Width, row.Height, row.Wall);
    }

    public Material MaterialOf(string sectionId) => Material(Find<SectionRow>("sections", sectionId).Material);

    private List<T> Load<T>(string list, string? file = null)
        where T : IStockRow
    {
        using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"Ochema.Core.Stock.Data.{file ?? list}.json")
            ?? throw new InvalidOperationException($"catalogue file {list} is missing");
        var rows = JsonSerializer.Deserialize<List<T>>(stream, StrictJson.Options)!;
        foreach (var r in rows)
            byKey.Add(list + "/" + r.Id, r);
        return rows;
    }
}
