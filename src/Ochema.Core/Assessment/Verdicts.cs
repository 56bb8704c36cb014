using Ochema.Core.Analysis;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>
/// The verdict in words. What is refused by name comes first, then what is missing (a piece with fewer retentions than its drop asks for is
/// never said to hold), then what has not been answered, then the loads.
/// </summary>
internal static class Verdicts
{
    /// <summary>What every verdict ends with; rain and ice that it is judged in are no matter of course.</summary>
    private static string Estimate(BuiltRig b) =>
        $" Planning estimate{(b.Weather.Said is { Length: > 0 } weather ? " " + weather : "")}: prove it before the run.";

    /// <summary>The overall verdict with its text.</summary>
    public static VerdictReport Overall(BuiltRig b, IReadOnlyList<CheckReport> reports, IReadOnlyList<ReportFinding> findings,
        IReadOnlyList<RetentionReport> retentions, IReadOnlyList<LetGoReport> letGo, double? keptTo, double speed)
    {
        var rig = b.Rig;
        if (findings.FirstOrDefault(f => f.Blocks) is { } blocked)
            return new(Verdict.LetsGo, Check.MostUse, 0, reports.FirstOrDefault(r => r.LimitSpeed == 0)?.Id, blocked.Text,
                Why: reports.Count == 0 ? Why.Moves : Why.Refused);
        var worst = reports[0];
        var first = reports.Where(r => r.LimitSpeed is not null).MinBy(r => r.LimitSpeed);
        var loads = new VerdictReport(Judge.Of(worst.Counts), worst.Counts, first?.LimitSpeed, first?.Id ?? worst.Id,
            LoadText(b, worst, first, letGo, speed))
        {
            KeptTo = keptTo,
        };
        if (keptTo is { } few && few > speed && !(first?.LimitSpeed <= few))
            loads = loads with
            {
                Text = $"{loads.Text} From {QuantityText.Of(few, Dimension.Speed)} on too little keeps it.",
            };
        var (word, why, missing) = Missing(b, retentions);
        if (why == Why.Loads || word < loads.Word)
            return loads with { Text = loads.Text + Estimate(b), Missing = missing };
        return loads with
        {
            Word = word,
            Why = why,
            Missing = missing,
            Text = $"{missing[0]} "
                + (loads.Word == Verdict.Holds ? "As to the loads it holds. " : loads.Word == Verdict.Tight
                    ? "As to the loads it is tight. " : "")
                + loads.Text + Estimate(b)
        };
    }

    /// <summary>
    /// The verdict with its two numbers, which agree with its word at every speed: what keeps the pieces is part of them as the loads are.
    /// </summary>
    /// <param name="speed">Asked about, m/s.</param>
    /// <param name="tight">Speed at which the first use passes 80 %, m/s.</param>
    public static VerdictReport Bounded(BuiltRig b, VerdictReport verdict, double speed, double? tight)
    {
        static double? Lower(double? a, double? c) => a is null ? c : c is null ? a : Math.Min(a.Value, c.Value);
        if (verdict.Why is Why.Refused or Why.Moves)
            return verdict with { LimitSpeed = 0, TightSpeed = 0, LookedTo = b.Host.Drive.Top };
        var limit = Few(b) == Verdict.LetsGo ? Lower(verdict.LimitSpeed, verdict.KeptTo) : verdict.LimitSpeed;
        // What is not answered keeps the green away at every speed, whatever decides the word at the one that is asked about.
        var green = Unanswered(b) ? 0 : Lower(Lower(tight, verdict.KeptTo), limit);
        // What lets go on the way to a speed never gets there: some loads are largest standing still.
        var word = limit <= speed ? Verdict.LetsGo : green <= speed && verdict.Word == Verdict.Holds ? Verdict.Tight : verdict.Word;
        return verdict with
        {
            Word = word,
            Use = verdict.LimitSpeed <= speed ? Math.Max(verdict.Use, 1) : verdict.Use,
            LimitSpeed = limit,
            TightSpeed = green,
            LookedTo = b.Host.Drive.Top,
        };
    }

    /// <summary>True while a question waits for its answer.</summary>
    private static bool Unanswered(BuiltRig b) => b.Unmeasured.Count > 0
        || Questions.Of(b.Rig, b.Host).Any(q => q.Answer == Answer.NotAsked);

    /// <summary>The word for a piece that too little keeps, by who is below.</summary>
    private static Verdict Few(BuiltRig b) =>
        b.Rig.Run.Consequence is Consequence.PublicWay or Consequence.OnPeople or Consequence.DeepWater ? Verdict.LetsGo : Verdict.Tight;

    /// <summary>The best that can be said with what is missing: pieces kept by too little, questions not answered.</summary>
    public static (Verdict Word, Why Why, IReadOnlyList<string> Missing) Missing(BuiltRig b, IReadOnlyList<RetentionReport> retentions)
    {
        var said = new List<string>();
        var (word, why) = (Verdict.Holds, Why.Loads);
        foreach (var r in retentions.Where(r => r.Has < r.Needs))
        {
            var by = r.By.Count > 0 ? string.Join(", ", r.By) : "nothing that counts";
            said.Add($"{r.Piece}: {r.Has} of {r.Needs} things that have to keep it ({by}). {Words.Capital(r.Add)}.");
            (word, why) = (Few(b), Why.Missing);
        }
        foreach (var q in Questions.Of(b.Rig, b.Host).Where(q => q.Answer == Answer.NotAsked))
        {
            said.Add("Answer first: " + q.Ask);
            if (why == Why.Loads)
                (word, why) = (Verdict.Tight, Why.Unanswered);
        }
        foreach (var ask in b.Unmeasured)
        {
            said.Add("Answer first: " + ask);
            if (why == Why.Loads)
                (word, why) = (Verdict.Tight, Why.Unanswered);
        }
        return (word, why, said);
    }

    private static string LoadText(BuiltRig b, CheckReport worst, CheckReport? first, IReadOnlyList<LetGoReport> letGo, double speed)
    {
        var word = Judge.Of(worst.Counts);
        var says = word == Verdict.LetsGo
            ? $"{worst.Title}{(worst.Case.Length > 0 ? $", {worst.Case}" : "")}. You asked for {QuantityText.Of(speed, Dimension.Speed)}."
            : first is not null ? $"First to give: {Words.Inside(first.Title)}, at "
                + $"{QuantityText.Of(first.LimitSpeed!.Value, Dimension.Speed)}."
            : $"Nothing gives up to {QuantityText.Of(b.Host.Drive.Top, Dimension.Speed)}, as far as it was looked at.";
        if (word == Verdict.Tight && worst.Sort == CheckSort.Service)
            says += StationId.Tether.Is(worst.Station) ? worst.Use <= 1 ? ""
                : " The tether would not hold its catch: a shorter or softer one." : $" {worst.Title}: it holds, and is awkward.";
        var straps = letGo[^1];
        var bad = letGo.Where(l => l.Kind is "hold" or "brace" or "strap" or "link" && l.Verdict == Verdict.LetsGo).ToList();
        var alone = straps.Title == "Straps alone" && straps.Verdict != Verdict.LetsGo
            ? $" With all holds gone the straps still keep it on {b.Host.Called}."
            : letGo.Where(l => l.Kind == "hold").ToList() is { Count: > 1 } holds && holds.TrueForAll(bad.Contains)
                ? $" It lets go without any one of its {holds.Count} holds."
            : bad.Count > 0 ? $" It lets go {Words.Inside(bad[0].Title)}{(bad.Count > 1 ? $", and in {bad.Count - 1} more {(bad.Count == 2 ? "case" : "cases")}" : "")}." : "";
        return says + alone;
    }

    /// <summary>
    /// How much more than counted on a foot may grip (judgement, 2–3: rubber on a dry floor against dust on it): friction that is missing
    /// is never the good case.
    /// </summary>
    private const double Grippier = 2.5;

    /// <summary>A shove by hand, standing still: what turns or slides is aimed again, what comes off lets go.</summary>
    public static VerdictReport Knock(RigModel model, StateResponse state, IReadOnlyList<RigCase> cases)
    {
        if (state.Mechanism is not null)
            return new(Verdict.LetsGo, Check.MostUse, null, null, "not computed");
        var limits = new LimitSpeed(model, state, cases);
        var moving = model.Built.Checks.Where(c => !c.Fixed).ToList();
        var shove = $"A shove of {QuantityText.Of(model.Built.Host.Motion.Knock, Dimension.Force)} by hand at the camera, standing still: ";
        var lets = limits.At([.. moving.Where(c => !c.GivesWay)], 0);
        var turns = limits.At([.. moving.Where(c => c.GivesWay)], 0);
        // What turns or slides first carries no more than that, and so keeps what would let go from its full load.
        // What stands may grip better than is counted on, and then it tips before it slides.
        var spared = turns.Use > 1 && turns.Use / (lets.Check is StandsUp ? Grippier : 1) >= lets.Use;
        // A shove is what it is: with no factor on it, as the plan of its footprint says where it tips.
        if (lets is { Check: StandsUp, Use: > 1 and < Check.MostUse } && !spared && lets.Use / model.Built.Factors[FactorTable.Friction] is
            <= 1)
            return new(Verdict.Tight, 1, null, lets.Check.Id, shove + "it rocks and does not tip yet: there is little to spare.");
        if ((lets.Use > 1 && !spared) || turns.Use <= Judge.TightFrom)
            return new(Judge.Of(Math.Max(lets.Use, turns.Use)), Math.Max(lets.Use, turns.Use), null,
                (lets.Use >= turns.Use ? lets : turns).Check?.Id,
                shove + (lets.Use > 1 ? $"{Words.Inside(lets.Check?.Title ?? "it moves freely")}." : "nothing moves."));
        return new(Verdict.Tight, Math.Min(1, Math.Max(lets.Use, turns.Use)), null, turns.Check?.Id,
            shove + (turns.Use > 1 ? $"it turns or slides before it lets go ({Words.Inside(turns.Check!.Title)}): aim it again, then "
                + $"tighten."
                : $"{Words.Inside(turns.Check!.Title)}, nearly."));
    }

    /// <summary>What a jolt of the host does by itself; it is among the driving cases too.</summary>
    public static VerdictReport Jolt(RigModel model, StateResponse state, IReadOnlyList<RigCase> jolts, double speed)
    {
        if (state.Mechanism is not null)
            return new(Verdict.LetsGo, Check.MostUse, null, null, "not computed");
        var (motion, rig) = (model.Built.Host.Motion, model.Built.Rig);
        var pulse = motion.Pulse[motion.Index(rig.Run.Road)];
        var worst = new LimitSpeed(model, state, jolts).At([.. model.Built.Checks.Where(c => !c.Fixed)], speed);
        return new(Judge.Of(worst.Use), worst.Use, null, worst.Check?.Id,
            $"{Words.Capital(MotionProfile.A(motion.Names.Jolt))} of {pulse:0.#} g for {motion.PulseDuration * 1000:0} ms reaches the "
                + $"camera as {pulse * model.Dynamics!.CameraGain:0.0} g: "
                    + $"{(worst.Use > Judge.TightFrom ? Words.Inside(worst.Check?.Title ?? "no stable state") : "it is carried")}.");
    }
}
