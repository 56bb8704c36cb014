using System.Collections.Concurrent;
using Ochema.Core.Assessment;
using Ochema.Core.Proving;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Data;

/// <summary>
/// What was done with some rigs of the demo film: ladders half climbed, one stopped, runs with their readings. All of it is made up by the
/// stand-ins, and marked so.
/// </summary>
internal sealed class DemoHistory
{
    private readonly string id;
    private readonly DateTime from;
    private readonly ProveReport report;
    private readonly Random random;
    private readonly List<Entry> entries = [];

    private DemoHistory(string id, RigDocument rig, DateTime from)
    {
        (this.id, this.from) = (id, from);
        report = Known.GetOrAdd(id, _ => new(() => Prover.Of(new Design(rig, Catalogue.Shipped), rig.Run.Speed, [], advise: false)!)).Value;
        random = new Random(id.Length);
    }

    /// <summary>What ships is worked out once, however often the film is put back.</summary>
    private static readonly ConcurrentDictionary<string, Lazy<ProveReport>> Known = [];

    /// <summary>The log of a rig, by the stem of its file; empty for one that nothing was done with.</summary>
    public static IReadOnlyList<Entry> Of(string id, RigDocument rig, DateTime now) =>
        Told.TryGetValue(id, out var told) ? told(new DemoHistory(id, rig, now.AddHours(-Ago))).entries : [];

    /// <summary>Hours ago that it began.</summary>
    private const double Ago = 52;

    private static readonly Dictionary<string, Func<DemoHistory, DemoHistory>> Told = new()
    {
        ["1-bonnet-close-up"] = Stopped,
        ["2-bonnet-close-up-braced"] = Run,
        ["3-roof-road-ahead"] = HalfWay,
    };

    /// <summary>Everything up to a third, where the arm crept: the braced one came of it.</summary>
    private static DemoHistory Stopped(DemoHistory h) => h.Bench().Pulled().Tapped().Climbed("walk", 3, Outcome.Passed, "")
        .Climbed("third", 3.4, Outcome.Stop, "The arm crept by a finger's width when braking. Two struts: see the braced one.")
        .Seen(3.5, Core.Proving.Seen.Crept, "elbow, down");

    /// <summary>The whole ladder, then two runs.</summary>
    private static DemoHistory Run(DemoHistory h)
    {
        h.Bench().Pulled().Tapped();
        var hours = 3.0;
        foreach (var rung in h.report.Ladder.Where(r => r.Sort == RungSort.Trial && r.Barred is null))
            h.Climbed(rung.Id, hours += 0.3, Outcome.Passed, "");
        foreach (var (start, minutes) in new[] { (24.0, 38), (25.2, 22) })
        {
            h.Gauge(start - 0.3).Gauge(start - 0.1);
            h.Add(start, EntrySort.RunStart).Add(start + minutes / 60.0, EntrySort.RunEnd);
        }
        return h.Seen(25.7, Core.Proving.Seen.Hummed, "left strut, from 70 on; went away with the rubber turned")
            .Own(26, OwnTest.TwoHands, 300);
    }

    /// <summary>Pulls and two rungs; the rest waits for a dry road.</summary>
    private static DemoHistory HalfWay(DemoHistory h) => h.Bench().Pulled().Tapped().Climbed("walk", 3, Outcome.Passed, "")
        .Climbed("third", 3.4, Outcome.Passed, "all marks in line");

    private DemoHistory Add(double hours, EntrySort sort, string of = "", double? value = null, Outcome? outcome = null, string note = "",
        Seen? seen = null, OwnTest? test = null)
    {
        entries.Add(new Entry($"demo-{id}-{entries.Count:000}", Made.TextOf(from.AddHours(hours)), sort)
        {
            Of = of,
            Design = report.Design,
            Value = value,
            Outcome = outcome,
            Note = note,
            Seen = seen,
            Test = test,
            Simulated = true,
        }.Checked(""));
        return this;
    }

    private DemoHistory Bench()
    {
        foreach (var (rung, n) in report.Ladder.Where(r => r.Sort is RungSort.Bench or RungSort.Travel).Select((r, n) => (r, n)))
            Add(0.2 * n, EntrySort.Rung, rung.Id, outcome: Outcome.Passed);
        return this;
    }

    private DemoHistory Pulled()
    {
        var n = 0;
        foreach (var pull in report.Order)
            Add(0.6 + 0.08 * n++, EntrySort.Pull, pull, StandIns.Read(report, pull, n), Outcome.Passed);
        return this;
    }

    private DemoHistory Tapped()
    {
        foreach (var rung in report.Ladder.Where(r => r.Sort == RungSort.Tap))
            Add(2.2, EntrySort.Tap, rung.Id, report.Frequency is { } f ? Math.Round(0.985 * f, 1) : null);
        return this;
    }

    private DemoHistory Climbed(string rung, double hours, Outcome outcome, string note) =>
        report.Ladder.FirstOrDefault(r => r.Id == rung) is { } there ? Add(hours, EntrySort.Rung, rung, there.Speed, outcome, note) : this;

    private DemoHistory Seen(double hours, Seen seen, string note) => Add(hours, EntrySort.Finding, seen: seen, note: note);

    private DemoHistory Own(double hours, OwnTest test, double newtons) => Add(hours, EntrySort.Own, "own", newtons, test: test);

    /// <summary>Of the base's one cup: 62 kPa after pumping, half of it gone in nine hours.</summary>
    private DemoHistory Gauge(double hours) => Add(hours, EntrySort.Gauge, "gauge-base-hold",
        StandIns.Gauge(62000, 3600 * (hours - 23), 9 * 3600, random));
}
