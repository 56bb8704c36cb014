using Ochema.Core.Proving;
using Ochema.Core.Rigs;

namespace Ochema.Core.Running;

/// <summary>What a rig has been through, and what is due at it: by use, not by memory. Intervals are common practice, no source, where
/// nothing else is said.</summary>
internal static class ServiceLife
{
    /// <summary>Webbing and cord are replaced after so long in use, days (makers of webbing say three to five years at occasional use;
    /// from memory).</summary>
    private const double Webbing = 3 * 365;

    /// <summary>Said so many fittings ahead.</summary>
    private const int Soon = 2;

    /// <summary>Said some days ahead.</summary>
    private const double Ahead = 60;

    /// <param name="log">All of the rig.</param>
    /// <param name="own">Of this design, in order of time.</param>
    public static IReadOnlyList<Due> Of(BuiltRig b, IReadOnlyList<Entry> log, IReadOnlyList<Entry> own, DateTime now)
    {
        var due = new List<Due>();
        var runs = own.Where(e => e.Sort == EntrySort.RunEnd).ToList();
        Entry? Done(string of) => log.Where(e => e.Sort == EntrySort.Service && e.Of == of).MaxBy(e => e.Time);
        if (b.Rig.Base.GivesSlowly && runs.Count > 0 && !(Done("tighten")?.Time > runs[0].Time))
            due.Add(new("tighten", "Tighten again", "soft layers have settled in the first run", true));
        if (b.StrapsBuilt.Count + b.Tethers.Count > 0)
        {
            var first = Done("webbing")?.Time ?? log.Select(e => e.Time).DefaultIfEmpty(now).Min();
            var left = Webbing - (now - first).TotalDays;
            if (left < Ahead)
                due.Add(new("webbing", "Straps and tethers: replace", left < 0 ? "older than three years in use" : "three years in use soon", left < 0));
        }
        if (b.Joints.Select(j => j.Report().Reassemblies).Min() is { } bears)
        {
            var fitted = log.Count(e => e.Sort == EntrySort.RunStart && !(Done("insert")?.Time > e.Time));
            if (fitted >= bears - Soon)
                due.Add(new("insert", "Tapped plastic: an insert", $"{fitted} of {bears} fittings that such a thread bears", fitted >= bears));
        }
        return due;
    }
}
