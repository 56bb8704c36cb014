using System.Text.Json.Serialization;
using Ochema.Core.Assessment;
using Ochema.Core.Making;
using Ochema.Core.Proving;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Running;

/// <summary>The card of a day: how fast, why, until when; what to do in which order; how the run stands. SI, times universal.</summary>
/// <param name="Design">Id of the design that its entries belong to.</param>
/// <param name="Today">The rig against the day.</param>
/// <param name="Allowed">m/s: what the day allows and what is proved, the lesser; 0 where it does not run.</param>
/// <param name="Says">Why, in a sentence.</param>
/// <param name="On">In the order of fitting.</param>
/// <param name="Off">In the order of striking.</param>
public sealed record RunCard(string Design, TodayReport Today, double Allowed, string Says, IReadOnlyList<Tick> On, IReadOnlyList<Tick> Off)
{
    /// <summary>How long a card stands: wind, road and vacuum of the morning are not those of the night (common practice, no source).</summary>
    public static readonly TimeSpan Stands = TimeSpan.FromHours(12);

    /// <summary>When it was made.</summary>
    public required string At { get; init; }

    /// <summary>Until when it stands: after that nobody starts by it.</summary>
    public required string Until { get; init; }

    /// <summary>The proof as it stands.</summary>
    public required Proof Proof { get; init; }

    /// <summary>The rung that is run next, where not all are climbed.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public Rung? Rung { get; init; }

    /// <summary>When the run that goes on began; null while none does.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? Since { get; init; }

    /// <summary>When it has to be looked at again; null before anything is fitted.</summary>
    [JsonIgnore(Condition = JsonIgnoreCondition.WhenWritingNull)]
    public string? LookAgainAt { get; init; }

    /// <summary>Runs so far.</summary>
    [JsonRequired]
    public int Runs { get; init; }

    /// <summary>How long they were in all, s.</summary>
    [JsonRequired]
    public double Ran { get; init; }

    /// <summary>What was seen, newest first.</summary>
    [JsonRequired]
    public IReadOnlyList<SeenLine> Findings { get; init; } = [];

    /// <summary>What has to be done at it, most urgent first.</summary>
    [JsonRequired]
    public IReadOnlyList<Due> Due { get; init; } = [];

    /// <summary>How its cups leak, as the gauge has it.</summary>
    [JsonRequired]
    public IReadOnlyList<CupLeak> Leaks { get; init; } = [];

    /// <summary>Who does what.</summary>
    [JsonRequired]
    public IReadOnlyList<string> Roles { get; init; } = [];

    /// <summary>What may be seen, in words.</summary>
    [JsonRequired]
    public IReadOnlyList<Choice> Seen { get; init; } = Choice.Of<Seen>();

    /// <summary>If this, then that.</summary>
    [JsonRequired]
    public IReadOnlyList<string> Ifs { get; init; } = [];
}

/// <summary>Something that was seen.</summary>
public sealed record SeenLine(string At, Seen Seen, string Note, bool Simulated);

/// <summary>Something that is due.</summary>
/// <param name="Of">What the service entry that ends it is of.</param>
/// <param name="Now">True where it is due before the next run.</param>
public sealed record Due(string Of, string Title, string Says, bool Now);

/// <summary>A cup as its gauge has it.</summary>
/// <param name="HalfLife">s; null while it is not known.</param>
/// <param name="Vacuum">Last reading, Pa.</param>
/// <param name="PumpedAt">When it was last pumped up: the first reading since.</param>
public sealed record CupLeak(string Of, string Label, double Vacuum, string PumpedAt, double? HalfLife);

/// <summary>Makes the card.</summary>
public static class RunCards
{
    /// <summary>A gauge that reads this much more than before was pumped up in between, as a share.</summary>
    private const double Pumped = 1.02;

    /// <summary>Findings that are shown.</summary>
    private const int Shown = 20;

    /// <summary>The card of a rig on a day, with what was done with it.</summary>
    /// <param name="now">Universal.</param>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static RunCard Of(RigDocument rig, Catalogue stock, Conditions day, IReadOnlyList<Entry> log, DateTime now)
    {
        var design = new Design(rig, stock);
        var b = design.Model.Built;
        var own = log.Where(e => e.Design == design.Id).OrderBy(e => e.Time).ThenBy(e => e.Key, StringComparer.Ordinal).ToList();
        var leaks = Leaks(b, own);
        // Measured beats the usual; the shortest of several counts.
        var known = leaks.Select(l => l.HalfLife).Where(h => h is not null).Min();
        var ended = own.LastOrDefault(e => e.Sort == EntrySort.RunEnd)?.Time ?? DateTime.MinValue;
        // What was pumped for an earlier run is off by now, and pumped anew for this one.
        var pumped = leaks.Select(l => Made.TimeOf(l.PumpedAt)!.Value).Where(t => t > ended).ToList();
        if (pumped.Count > 0 && day.HoursSincePump is null)
            day = day with { HoursSincePump = Math.Clamp((now - pumped.Min()).TotalHours, 0, 48) };
        var today = Today.Of(rig, stock, known is { } half ? day with { HalfLife = Math.Clamp(half, 60, 1e6) } : day);
        var proved = Prover.Of(design, rig.Run.Speed, log)!;
        var (allowed, says, rung) = Allowed(today, proved);
        var since = own.LastOrDefault(e => e.Sort is EntrySort.RunStart or EntrySort.RunEnd) is { Sort: EntrySort.RunStart } start ? start : null;
        var on = Ticked(Fitting.On(b), own, ended);
        if (allowed > 0 && proved.Proof.Simulated)
            says = $"With made-up readings, for a look round: prove a real rig with a real scale. {says}";
        return new(design.Id, today, allowed, says, on, Ticked(Fitting.Off(b), own, since?.Time ?? ended))
        {
            At = Made.TextOf(now),
            Until = Made.TextOf(now + RunCard.Stands),
            Proof = proved.Proof,
            Rung = rung,
            Since = since?.At,
            LookAgainAt = LookAt(own, ended, today, on),
            Runs = own.Count(e => e.Sort == EntrySort.RunEnd),
            Ran = Spans(own).Sum(s => s.TotalSeconds),
            Findings = [.. log.Where(e => e.Sort == EntrySort.Finding).OrderByDescending(e => e.Time).Take(Shown)
                .Select(e => new SeenLine(e.At, e.Seen!.Value, e.Note, e.Simulated))],
            Due = ServiceLife.Of(b, log, own, now),
            Leaks = leaks,
            Roles = Roles(b),
            Ifs = Ifs(b),
        };
    }

    /// <summary>The lesser of what the day allows and what is proved: nothing runs unproved.</summary>
    private static (double, string, Rung?) Allowed(TodayReport today, ProveReport proved)
    {
        string At(double speed) => QuantityText.Of(speed, Dimension.Speed);
        var proof = proved.Proof;
        if (today.AllowedSpeed <= 0)
            return (0, today.Why, null);
        if (proof.Stopped is { } stopped)
            return (0, $"A proof has failed. {stopped.Says}", null);
        var next = proved.Ladder.FirstOrDefault(r => r.Id == proof.Next);
        // Where a rung is barred the ladder ends below it: what was not driven is not run.
        if (next is null && proved.Ladder.Any(r => r.Speed is not null))
            return (Math.Min(today.AllowedSpeed, proof.Driven), $"Proved to {At(proof.Driven)}. {today.Why}", null);
        if (next is null)
            return (today.AllowedSpeed, $"The whole ladder is climbed. {today.Why}", null);
        if (next.Sort != RungSort.Trial)
            return (0, $"Prove it first: {Words.Inside(next.Title)} is the next rung.", next);
        var goes = Math.Min(today.AllowedSpeed, Math.Max(proof.Driven, next.Speed ?? proof.Driven));
        return (goes, proof.Driven > 0 || next.Speed is null
            ? $"Proved to {At(proof.Driven)}. Next rung: {Words.Inside(next.Title)}{(next.Speed is { } v ? $", {At(v)}" : "")}. The day allows {At(today.AllowedSpeed)}."
            : $"First rung under way: {Words.Inside(next.Title)}. The day allows {At(today.AllowedSpeed)}.", next);
    }

    private static List<Tick> Ticked(IReadOnlyList<Tick> ticks, IReadOnlyList<Entry> own, DateTime from) =>
    [
        .. ticks.Select(t => own.LastOrDefault(e => e.Of == t.Id && e.Time > from
            && e.Sort is EntrySort.Tick or EntrySort.Untick or EntrySort.Gauge) is { Sort: not EntrySort.Untick } done
            ? t with { At = done.At, Value = done.Value, Note = done.Note.Length > 0 ? done.Note : null } : t),
    ];

    /// <summary>From the last look, or from the beginning of the run.</summary>
    private static string? LookAt(IReadOnlyList<Entry> own, DateTime ended, TodayReport today, IReadOnlyList<Tick> on)
    {
        if (today.AllowedSpeed <= 0)
            return null;
        // One gauge that is read, or one strap that is replaced, is no look at all of it.
        var looks = own.Where(e => e.Time > ended
            && (e.Sort is EntrySort.RunStart or EntrySort.Look || (e.Sort == EntrySort.Tick && on.Any(t => t.Id == e.Of)))).ToList();
        return looks.Count == 0 ? null : Made.TextOf(looks.Max(e => e.Time).AddSeconds(today.LookAgainIn));
    }

    internal static IEnumerable<TimeSpan> Spans(IReadOnlyList<Entry> own)
    {
        DateTime? start = null;
        foreach (var e in own)
            if (e.Sort == EntrySort.RunStart)
                start = e.Time;
            else if (e.Sort == EntrySort.RunEnd && start is { } begun)
            {
                yield return e.Time - begun;
                start = null;
            }
    }

    private static List<CupLeak> Leaks(BuiltRig b, IReadOnlyList<Entry> own)
    {
        var leaks = new List<CupLeak>();
        foreach (var hold in b.Holds.Where(h => Fitting.Leaks(b, h)))
        {
            var read = own.Where(e => e.Sort == EntrySort.Gauge && e.Of == "gauge-" + hold.Id.Name && e.Value is > 0).ToList();
            if (read.Count == 0)
                continue;
            var first = read.Count - 1;
            while (first > 0 && read[first - 1].Value >= read[first].Value / Pumped)
                first--;
            var since = read[first..];
            leaks.Add(new(hold.Id.Name, hold.Label, read[^1].Value!.Value, since[0].At,
                LeakDown.HalfLife([.. since.Select(e => new GaugeReading((e.Time - since[0].Time).TotalSeconds, e.Value!.Value))])));
        }
        return leaks;
    }

    private static IReadOnlyList<string> Roles(BuiltRig b) => b.Host.Drive.StandsStill
        ? ["Operator: camera and remote, never both hands off what is held.", "Ground: keeps people away, watches wind and lines."]
        : ["Driver: drives, and touches nothing else.", "Operator: remote and monitor, seat belt on.",
            "Ground: starts, stops, looks at the rig at every stop; nobody under it."];

    private static List<string> Ifs(BuiltRig b)
    {
        List<string> ifs = ["If the picture begins to shake otherwise than before: stop, look, then go on."];
        if (!b.Host.Drive.StandsStill)
            ifs.Add("If stones or dust come from ahead: slower at once, camera off within half a minute.");
        if (b.Rig.Base.Grip.Suction)
            ifs.Add("If a ring shows on a cup's gauge: stop, camera off, then pump.");
        if (b.Host.Motion.Wet)
            ifs.Add("If it goes under: hand line first, then the boat.");
        return ifs;
    }
}
