using System.Text.Json.Serialization;

namespace Ochema.Core.Stock;

/// <summary>
/// Rows of the user's own, by list: a cup, a magnet, a camera as they measured it. They travel in the rig's document, so that whoever opens
/// the file has them. What nobody measures at a bench (materials, threads, glue) is not among them.
/// </summary>
public sealed record OwnStock
{
    /// <summary>What ids of own rows begin with, so that no later shipped row takes one's place.</summary>
    public const string IdPrefix = "own-";

    /// <summary>Most rows that a document or a shelf has.</summary>
    public const int MostRows = 200;

    public IReadOnlyList<SectionRow>? Sections { get; init; }
    public IReadOnlyList<SuctionCupRow>? Cups { get; init; }
    public IReadOnlyList<MagnetRow>? Magnets { get; init; }
    public IReadOnlyList<AdhesivePadRow>? Adhesives { get; init; }
    public IReadOnlyList<HeadRow>? Heads { get; init; }
    public IReadOnlyList<CameraRow>? Cameras { get; init; }
    public IReadOnlyList<LensRow>? Lenses { get; init; }
    public IReadOnlyList<StrapRow>? Straps { get; init; }
    public IReadOnlyList<ArmRow>? Arms { get; init; }
    public IReadOnlyList<IsolatorRow>? Isolators { get; init; }
    public IReadOnlyList<GooseneckRow>? Goosenecks { get; init; }
    public IReadOnlyList<SpringRow>? Springs { get; init; }

    /// <summary>Every list with its name and its rows.</summary>
    [JsonIgnore]
    public IReadOnlyList<(string List, IReadOnlyList<IStockRow> Rows)> Lists =>
    [
        ("sections", Sections ?? []), ("cups", Cups ?? []), ("magnets", Magnets ?? []), ("adhesives", Adhesives ?? []),
            ("heads", Heads ?? []),
        ("cameras", Cameras ?? []), ("lenses", Lenses ?? []), ("straps", Straps ?? []), ("arms", Arms ?? []),
            ("isolators", Isolators ?? []),
        ("goosenecks", Goosenecks ?? []), ("springs", Springs ?? []),
    ];

    /// <summary>Rows of a list; none for a list that nobody has rows of.</summary>
    public IReadOnlyList<IStockRow> Of(string list) => Lists.FirstOrDefault(l => l.List == list).Rows ?? [];

    /// <summary>True when there is no row at all.</summary>
    [JsonIgnore]
    public bool IsEmpty => Lists.All(l => l.Rows.Count == 0);
}
