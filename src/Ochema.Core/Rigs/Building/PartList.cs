using System.Collections;

namespace Ochema.Core.Rigs;

/// <summary>The pieces of a rig as its stations put them in, each once.</summary>
public sealed class PartList : IReadOnlyList<RigPart>
{
    private readonly List<RigPart> own = [];
    private readonly List<RigPart> hardware = [];

    /// <inheritdoc/>
    public RigPart this[int index] => index < own.Count ? own[index] : hardware[index - own.Count];

    /// <inheritdoc/>
    public int Count => own.Count + hardware.Count;

    /// <inheritdoc/>
    public IEnumerator<RigPart> GetEnumerator() => own.Concat(hardware).GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();

    /// <summary>Mass of all, kg.</summary>
    public double Mass => this.Sum(p => p.Mass * p.Quantity);

    /// <summary>Price of all, in the user's currency.</summary>
    public double Cost => this.Sum(p => p.Price * p.Quantity);

    /// <summary>Puts a piece on the list.</summary>
    /// <param name="last">True for what comes after all else: screws, nuts, washers and what is used up with them.</param>
    /// <returns>The piece under its own id.</returns>
    internal RigPart Add(RigPart part, bool last)
    {
        var list = last ? hardware : own;
        list.Add(Free(part));
        return list[^1];
    }

    /// <summary>Puts on the list what clings to a station, or more of it.</summary>
    /// <param name="part">All that the call adds of it.</param>
    internal void Cling(RigPart part)
    {
        var at = hardware.FindIndex(p => p.Sort == PieceSort.Caught && p.Station == part.Station);
        if (at < 0)
            Add(part, last: true);
        else
            hardware[at] = hardware[at] with { Mass = hardware[at].Mass + part.Mass };
    }

    private readonly HashSet<PieceId> known = [];

    /// <summary>Pieces that are called the same (washers under a head and a nut) are told apart.</summary>
    private RigPart Free(RigPart part)
    {
        var id = part.Id;
        for (var n = 2; !known.Add(id); n++)
            id = part.Id with { Name = $"{part.Id.Name}-{n}" };
        return part with { Id = id };
    }
}
