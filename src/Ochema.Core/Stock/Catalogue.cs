using System.Reflection;
using System.Text.Json;
using System.Text.Json.Serialization;
using Ochema.Core.Json;

namespace Ochema.Core.Stock;

/// <summary>What ships with the application: every list, read once from the embedded data files.</summary>
public sealed class Catalogue
{
    /// <summary>The shipped catalogue.</summary>
    public static Catalogue Shipped { get; } = new(new Files());

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
    public IReadOnlyList<ToolRow> Tools { get; }

    private Catalogue(Shelf shelf)
    {
        Materials = shelf.Load<Material>("materials");
        Sections = shelf.Load<SectionRow>("sections");
        Fasteners = shelf.Load<Fastener>("fasteners");
        Cups = shelf.Load<SuctionCupRow>("cups", "suction-cups");
        Magnets = shelf.Load<MagnetRow>("magnets");
        Adhesives = shelf.Load<AdhesivePadRow>("adhesives");
        Heads = shelf.Load<HeadRow>("heads");
        Cameras = shelf.Load<CameraRow>("cameras");
        Lenses = shelf.Load<LensRow>("lenses");
        Straps = shelf.Load<StrapRow>("straps");
        Arms = shelf.Load<ArmRow>("arms");
        Isolators = shelf.Load<IsolatorRow>("isolators");
        Goosenecks = shelf.Load<GooseneckRow>("goosenecks");
        Springs = shelf.Load<SpringRow>("springs");
        Fittings = shelf.Load<FittingRow>("fittings");
        Tools = shelf.Load<ToolRow>("tools");
        Lists = new Dictionary<string, IReadOnlyList<IStockRow>>
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
            ["tools"] = Tools,
        };
        foreach (var (list, rows) in Lists)
            foreach (var row in rows)
                byKey[list + "/" + row.Id] = row;
    }

    /// <summary>All lists by the name that kinds refer to them by.</summary>
    [JsonIgnore]
    public IReadOnlyDictionary<string, IReadOnlyList<IStockRow>> Lists { get; }

    /// <summary>What ships and, after it, rows of the user's own. Without any it is this one itself.</summary>
    public Catalogue With(OwnStock? own) => own is null || own.IsEmpty ? this : new(new Beside(this, own));

    /// <summary>True when a list has such a row.</summary>
    public bool Has(string list, string id) => byKey.ContainsKey(list + "/" + id);

    /// <summary>A row of a list.</summary>
    /// <exception cref="DocumentException">There is no such row.</exception>
    public T Find<T>(string list, string id)
        where T : IStockRow => byKey.TryGetValue(list + "/" + id, out var row) && row is T t ? t
            : throw new DocumentException("", $"there is no '{id}' among the {list}");

    public Material Material(string id) => Find<Material>("materials", id);

    /// <summary>A section with its computed properties.</summary>
    public Section Section(string id)
    {
        var row = Find<SectionRow>("sections", id);
        return Stock.Section.Of(row.Shape, row.Width, row.Height, row.Wall);
    }

    public Material MaterialOf(string sectionId) => Material(Find<SectionRow>("sections", sectionId).Material);

    /// <summary>Where the rows of a list come from.</summary>
    private abstract class Shelf
    {
        public abstract IReadOnlyList<T> Load<T>(string list, string? file = null)
            where T : IStockRow;
    }

    /// <summary>The embedded data files.</summary>
    private sealed class Files : Shelf
    {
        public override IReadOnlyList<T> Load<T>(string list, string? file = null)
        {
            using var stream = Assembly.GetExecutingAssembly().GetManifestResourceStream($"Ochema.Core.Stock.Data.{file ?? list}.json")
                ?? throw new InvalidOperationException($"catalogue file {list} is missing");
            return JsonSerializer.Deserialize<List<T>>(stream, StrictJson.Options)!;
        }
    }

    /// <summary>Another shelf with rows laid beside; a row of the same id takes the place of the one there.</summary>
    private sealed class Beside(Catalogue shelf, OwnStock own) : Shelf
    {
        public override IReadOnlyList<T> Load<T>(string list, string? file = null)
        {
            var rows = shelf.Lists[list];
            return own.Of(list) is { Count: > 0 } more
                ? [.. rows.Where(r => more.All(o => o.Id != r.Id)).Concat(more).Cast<T>()] : (IReadOnlyList<T>)rows;
        }
    }
}
