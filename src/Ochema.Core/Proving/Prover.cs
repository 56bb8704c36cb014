using Ochema.Core.Analysis;
using Ochema.Core.Assessment;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Search;
using Ochema.Core.Structure;

namespace Ochema.Core.Proving;

/// <summary>How a rig is proved: the pulls, the ladder, and how far what was read and driven has proved it.</summary>
public static class Prover
{
    /// <summary>A reading a hair below what is asked for is no less: a luggage scale shows tens of grams.</summary>
    private const double Hair = 0.01;

    /// <summary>Halvings between standing still and the host's top speed.</summary>
    private const int Halvings = 14;

    /// <summary>Most changes that are named where the ladder stops.</summary>
    private const int Changes = 2;

    /// <summary>The proofs of a design at a speed, m/s; null where the design has to be made anew for it.</summary>
    /// <param name="log">What was done; what belongs to other designs is passed over.</param>
    /// <param name="advise">False to leave out what to change where the ladder has stopped: that is a search.</param>
    public static ProveReport? Of(Design design, double speed, IReadOnlyList<Entry> log, bool advise = true)
    {
        if (design.At(speed) is not { } drive)
            return null;
        return design.Asked(speed, (model, state) => Of(design, model, state, speed, drive.Verdict, log, advise));
    }

    private static ProveReport Of(Design design, RigModel model, StateResponse state, double speed, VerdictReport verdict,
        IReadOnlyList<Entry> log, bool advise)
    {
        var b = model.Built;
        var pulls = new PullTests(model, state, speed);
        var tests = pulls.All.Select(p => p.Test).ToList();
        double? frequency = model.Modes.Count > 0 ? model.Modes[0].Frequency : null;
        var ladder = Ladder.Of(b, speed, HoldsTo(verdict), Why(verdict), frequency is not null);
        var own = log.Where(e => e.Design == design.Id).OrderBy(e => e.Time).ThenBy(e => e.Key, StringComparer.Ordinal).ToList();
        return new(design.Id, [.. tests.Where(t => t.Lever is null)], [.. tests.Where(t => t.Lever is not null)], [.. pulls.Asked.Select(p => p.Test.Id)],
            ladder, pulls.LeftOut, speed, design.TopSpeed, verdict, frequency)
        {
            HoldsTo = HoldsTo(verdict),
            Proof = Proved(model, pulls, ladder, own, speed, design.TopSpeed, frequency, advise),
            Cautions =
            [
                "Stand aside of the line: what lets go comes towards you.",
                "Nobody under it, no hands on it while anything moves; the driver drives.",
                .. b.Host.Cautions.Take(1),
            ],
        };
    }

    /// <summary>End of the green, m/s: nothing is tried beyond it.</summary>
    public static double HoldsTo(VerdictReport verdict) => verdict.Why is Assessment.Why.Refused or Assessment.Why.Moves
        || (verdict.Word == Verdict.LetsGo && verdict.TightSpeed is null) ? 0 : verdict.TightSpeed ?? verdict.LookedTo ?? 0;

    private static string Why(VerdictReport verdict) => HoldsTo(verdict) is > 0 and var to
        ? $"It holds to {QuantityText.Of(to, Dimension.Speed)}: nobody climbs higher."
        : $"{VerdictHeadline.Of(verdict)}: nothing is tried under way.";

    /// <summary>What was read against what is asked for, rung by rung.</summary>
    private static Proof Proved(RigModel model, PullTests pulls, IReadOnlyList<Rung> ladder, IReadOnlyList<Entry> log, double speed, double top,
        double? frequency, bool advise)
    {
        var states = pulls.Asked.Select(p => StateOf(p, pulls.Loads, log, speed, top)).ToList();
        var complete = states.Count > 0 && states.TrueForAll(s => s.State is ProofState.Passed or ProofState.Short && s.ProvesTo is not null);
        var rungs = new List<RungState>();
        string? next = null;
        Stopped? stopped = null;
        var driven = 0.0;
        foreach (var rung in ladder)
        {
            var state = rung.Sort switch
            {
                RungSort.Pulls => OfPulls(rung, states),
                RungSort.Tap => OfTap(rung, log, frequency),
                _ => OfRung(rung, log),
            };
            // A rung stands on those below it.
            if (state.State == ProofState.Passed && (next is not null || stopped is not null))
                state = state with { State = ProofState.Open, Says = "Passed before what is below it: it is climbed again." };
            rungs.Add(state);
            if (state.State == ProofState.Failed && stopped is null)
                stopped = StoppedBy(model, pulls, rung, states, top, advise);
            else if (state.State != ProofState.Passed && rung.Barred is null)
                next ??= rung.Id;
            else if (state.State == ProofState.Passed && stopped is null && rung.Speed is { } v)
                driven = Math.Max(driven, v);
        }
        return new([.. states.Where(s => s.State != ProofState.Open)], rungs, stopped is null ? next : null)
        {
            Passed = states.Count(s => s.State == ProofState.Passed),
            ByPulls = complete ? states.Min(s => s.ProvesTo) : null,
            Driven = driven,
            Simulated = log.Any(e => e.Simulated && e.Sort is EntrySort.Pull or EntrySort.Rung or EntrySort.Tap && e.Outcome is null or Outcome.Passed),
            Own = [.. log.Where(e => e.Sort == EntrySort.Own).Select(e => OwnTests.Of(e, model, pulls.Loads, speed, top))],
            Stopped = stopped,
        };
    }

    private static PullState StateOf(PullTests.Pull pull, CaseLoads loads, IReadOnlyList<Entry> log, double speed, double top)
    {
        var test = pull.Test;
        var tried = log.Where(e => e.Sort == EntrySort.Pull && e.Of == test.Id).ToList();
        if (tried is not [.., var last])
            return new(test.Id, ProofState.Open, null, null, "", "");
        if (last.Outcome == Outcome.Stop)
            return new(test.Id, ProofState.Failed, last.Value, null,
                $"It moved at {QuantityText.Of(last.Value ?? 0, Dimension.Scale)} of {QuantityText.Of(test.Enough, Dimension.Scale)}.", last.At);
        // What held after it last moved.
        var since = tried.AsEnumerable().Reverse().TakeWhile(e => e.Outcome != Outcome.Stop).ToList();
        var most = since.Where(e => e.Outcome == Outcome.Passed).Select(e => e.Value).Max();
        if (most is not { } reading)
            return new(test.Id, ProofState.Open, null, null, "To be repeated.", last.At);
        var to = ProvesTo(pull, loads, reading, top);
        var says = to is { } v ? Says(reading, v, speed, test) : "It proves no speed: standing still already asks for more.";
        return new(test.Id, reading >= test.Enough * (1 - Hair) ? ProofState.Passed : ProofState.Short, reading, to, says, last.At);
    }

    private static string Says(double reading, double to, double speed, PullTest test) => to >= speed
        ? $"{Share(reading, test)} the largest load at the design speed: it proves that speed."
        : $"{Share(reading, test)} the design load: with the factor of {PullTests.Factor:0.0} it proves up to "
            + $"{QuantityText.Of(to, Dimension.Speed)}.";

    private static string Share(double reading, PullTest test) => test.UnderWay > 0
        ? $"{QuantityText.Of(reading / test.AtScale(test.UnderWay), Dimension.Factor)}" : "More than";

    /// <summary>Speed up to which a reading is 1.5 × every load under way, m/s; null where it is less standing still.</summary>
    internal static double? ProvesTo(PullTests.Pull pull, CaseLoads loads, double reading, double top) =>
        Upto(v => PullTests.Factor * pull.Test.AtScale(loads.UnderWay(pull.Of, v).Load) <= reading * (1 + Hair), top);

    /// <summary>Speed up to which something is so, m/s; null where it is not even standing still.</summary>
    internal static double? Upto(Func<double, bool> so, double top)
    {
        if (!so(0))
            return null;
        return so(top) ? top : Bisection.Between(0, top, Halvings, v => !so(v)).Low;
    }

    private static RungState OfPulls(Rung rung, List<PullState> states)
    {
        if (states.FirstOrDefault(s => s.State == ProofState.Failed) is { } failed)
            return new(rung.Id, ProofState.Failed, failed.Says) { At = failed.At };
        var done = states.Count(s => s.State == ProofState.Passed);
        var said = $"{done} of {states.Count} pulls";
        return done == states.Count ? new(rung.Id, ProofState.Passed, said) { At = states.Count > 0 ? states.Max(s => s.At) : null }
            : new(rung.Id, ProofState.Open, said);
    }

    /// <summary>First frequency within a tenth; a drop by more says that a joint has let go (common practice, no source).</summary>
    private const double Band = 0.1;

    private static RungState OfTap(Rung rung, IReadOnlyList<Entry> log, double? frequency)
    {
        if (frequency is not { } predicted || log.LastOrDefault(e => e.Sort == EntrySort.Tap && e.Value is not null) is not { } tap)
            return frequency is { } f ? new(rung.Id, ProofState.Open, $"predicted {QuantityText.Of(f, Dimension.Frequency)}")
                : new(rung.Id, ProofState.Open, "");
        var (heard, said) = (tap.Value!.Value, $"{QuantityText.Of(tap.Value.Value, Dimension.Frequency)}, predicted "
            + QuantityText.Of(predicted, Dimension.Frequency));
        // The first of all is what it is as built: later ones are held against it.
        var first = log.First(e => e.Sort == EntrySort.Tap && e.Value is not null).Value!.Value;
        if (heard < first * (1 - Band))
            return new(rung.Id, ProofState.Failed, $"{said}: a tenth lower than it was. If neither payload nor aim changed, a joint has let go.")
            {
                At = tap.At,
            };
        return Math.Abs(heard - predicted) <= Band * predicted ? new(rung.Id, ProofState.Passed, said) { At = tap.At }
            : heard > predicted ? new(rung.Id, ProofState.Passed, $"{said}: stiffer than predicted") { At = tap.At }
            : new(rung.Id, ProofState.Short, $"{said}: softer than predicted. Enter it as measured in Shake, and look at the verdict again.")
            {
                At = tap.At,
            };
    }

    private static RungState OfRung(Rung rung, IReadOnlyList<Entry> log)
    {
        if (rung.Barred is { } barred)
            return new(rung.Id, ProofState.Open, barred);
        return log.LastOrDefault(e => e.Sort == EntrySort.Rung && e.Of == rung.Id) switch
        {
            // The rungs grow with the design speed: what was driven is the speed that was driven, whatever the rung is called.
            { Outcome: Outcome.Passed } slower when rung.Speed is { } asked && !(slower.Value >= asked * (1 - Hair)) =>
                new(rung.Id, ProofState.Open, slower.Value is { } drove ? $"driven at {QuantityText.Of(drove, Dimension.Speed)} only"
                    : "driven, and nobody noted how fast"),
            { Outcome: Outcome.Passed } passed => new(rung.Id, ProofState.Passed, passed.Note) { At = passed.At },
            { Outcome: Outcome.Stop } failed => new(rung.Id, ProofState.Failed, failed.Note.Length > 0 ? failed.Note : "It moved.")
            {
                At = failed.At,
            },
            _ => new(rung.Id, ProofState.Open, ""),
        };
    }

    private static Stopped StoppedBy(RigModel model, PullTests pulls, Rung rung, IReadOnlyList<PullState> states, double top,
        bool advise)
    {
        var failed = rung.Sort == RungSort.Pulls ? states.First(s => s.State == ProofState.Failed) : null;
        var test = failed is null ? null : pulls.All.First(p => p.Test.Id == failed.Id).Test;
        var slower = test is not null && failed!.Reading is { } held && ProvesTo(pulls.All.First(p => p.Test.Id == test.Id), pulls.Loads, held, top)
            is { } to ? $" At that it proves up to {QuantityText.Of(to, Dimension.Speed)}." : "";
        var says = test is null
            ? $"{rung.Title} has failed: the ladder stops. Find what moved, mend it, and begin again at the bench."
            : $"The {Words.Inside(test.Label)} gave at {QuantityText.Of(failed!.Reading ?? 0, Dimension.Scale)}; "
                + $"{QuantityText.Of(test.Limit, Dimension.Scale)} was computed. Enter what it holds as measured, or mend it, and look at the "
                + "verdict again." + slower;
        return new(test?.Id ?? rung.Id, says, advise ? Passing(model.Built, test, failed) : []);
    }

    /// <summary>
    /// What would pass: a part that gave early holds that much less in whatever stands in its place, so that changes count that leave room for
    /// it; else what the search finds best.
    /// </summary>
    private static List<string> Passing(BuiltRig b, PullTest? test, PullState? failed)
    {
        if (test is null || failed?.Reading is not > 0 || test.Limit <= 0)
            return [.. Adviser.Best(b.Rig, b.Stock).Take(Changes).Select(c => c.Title)];
        var early = Math.Max(1, test.Limit / failed.Reading.Value);
        double UseOf(RigDocument rig) => new Design(rig, b.Stock).At(rig.Run.Speed)!.Stations.FirstOrDefault(s => s.Id == test.Station)?.Use ?? 1;
        var now = UseOf(b.Rig);
        return
        [
            .. Adviser.Alternatives(b.Rig, test.Station, b.Stock)
                .Where(c => c.Verdict != Verdict.LetsGo && UseOf(c.Document) is var use && use < now && use * early <= 1)
                .OrderBy(c => c.Cost).ThenBy(c => c.Id, StringComparer.Ordinal).Take(Changes).Select(c => c.Title),
        ];
    }
}
