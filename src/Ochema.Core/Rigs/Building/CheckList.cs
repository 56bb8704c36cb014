using Ochema.Core.Responses;

namespace Ochema.Core.Rigs;

/// <summary>What can fail, in the order it was thought of while a rig is built.</summary>
public sealed class CheckList
{
    private readonly List<Entry> all = [];

    /// <param name="Made">The check; null for one that is made once all is built.</param>
    private sealed record Entry(StationId Station, PartId Part, Check? Made, Func<BuiltRig, Check>? Make, bool OfHolds);

    /// <summary>True while what is added counts only as long as the holds hold.</summary>
    internal bool OfHolds { get; set; }

    /// <summary>Adds a check that needs to know no more than is known now.</summary>
    public void Add(Check check) => all.Add(new(check.Station, check.Part, check, null, OfHolds));

    /// <summary>Adds several.</summary>
    public void AddRange(IEnumerable<Check> checks)
    {
        foreach (var check in checks)
            Add(check);
    }

    /// <summary>Adds a check that looks at the whole rig: it is made once that is built, and stands where it was added.</summary>
    /// <param name="station">Its spine row.</param>
    /// <param name="part">The part that fails.</param>
    public void Add(StationId station, PartId part, Func<BuiltRig, Check> make) => all.Add(new(station, part, null, make, OfHolds));

    /// <summary>True where a part or row is called so.</summary>
    internal bool Names(string id) => all.Exists(e => e.Part == id || e.Station.Is(id));

    /// <summary>The checks of a rig as built, and those that count only as long as its holds hold.</summary>
    internal (IReadOnlyList<Check> All, IReadOnlySet<Check> OfHolds) Of(BuiltRig rig)
    {
        var (made, held) = (new List<Check>(all.Count), new HashSet<Check>(ReferenceEqualityComparer.Instance));
        foreach (var entry in all)
        {
            made.Add(entry.Made ?? entry.Make!(rig));
            if (entry.OfHolds)
                held.Add(made[^1]);
        }
        return (made, held);
    }
}
