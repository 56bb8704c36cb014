using Ochema.Core.Analysis;
using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;

namespace Ochema.Core.Assessment;

/// <summary>Rig in, answers out. Pure: the same document gives the same bytes.</summary>
public static class Assessor
{
    private const int ModeCount = 6;

    /// <summary>All answers but advice, which is sought by <c>Adviser</c>.</summary>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static AssessmentReport Assess(RigDocument rig, Catalogue stock)
    {
        var model = new RigModel(rig, stock);
        // The picture shares nothing with the verdict but the rig itself: one beside the other.
        var picture = Task.Run(() => Shaker.Words(model));
        var judged = Judged.Of(model);
        var (b, reports, driving) = (model.Builder, judged.Reports, judged.Driving);
        var frequencies = model.Modes.Take(ModeCount).Select(m => m.Frequency).ToList();
        var sharpness = picture.GetAwaiter().GetResult();
        return new AssessmentReport
        {
            Verdict = judged.Verdict with
            {
                TightSpeed = judged.Moves ? 0
                : judged.Limits.Find([.. b.Checks.Where(c => !c.Fixed && c.Sort == CheckSort.Strength)], rig.Run.Speed, Judge.TightFrom)?.Speed
            },
            TopSpeed = b.Host.TopSpeed,
            Knock = Verdicts.Knock(model, judged.State, [.. judged.Cases.Where(c => c.AtRest)]),
            Shock = Verdicts.Jolt(model, judged.State, [.. driving.Where(c => c.Jolt != 0)]),
            Stations = StationRows.Of(b, reports, judged.Findings),
            Checks = reports,
            Flags = [.. reports.Where(r => r.LimitSpeed is not null).Select(r => new SpeedFlag(r.Id, r.Station, r.Title, r.LimitSpeed!.Value)).OrderBy(f => f.Speed).ThenBy(f => f.Check, StringComparer.Ordinal)],
            LetGo = judged.LetGo,
            Frequencies = frequencies,
            Picture = Rocking.Of(frequencies, rig),
            Sharpness = sharpness,
            Retentions = judged.Retentions,
            Straps = StrapPull.Runs(b),
            Findings = [.. judged.Findings.Concat(Hum.Findings(model, sharpness)).DistinctBy(f => f.Text)],
            Cautions = Cautions.Of(rig),
            Joints = [.. b.Joints.Select(j => j.Report())],
            Options = Survey.Options(rig),
            Places = Survey.Places(rig),
            Parts = b.Parts,
            Joins = b.Joins,
            Mass = b.Mass,
            Cost = b.Parts.Cost,
            Figure = FigureBuilder.Build(model, judged.State, judged.Limits, driving, reports.FirstOrDefault(), rig.Run.Speed),
        };
    }

    /// <summary>The word of the verdict and why, as <see cref="Assess"/> gives them: for changes that are shown.</summary>
    internal static VerdictReport VerdictOf(RigDocument rig, Catalogue stock) => Judged.Of(new RigModel(rig, stock), forWord: true).Verdict;

    /// <summary>The essentials of a rig, for trying changes: limit speed, governing use, mass, cost, first frequency.</summary>
    internal static (double? LimitSpeed, double Use, double Mass, double Cost, double? Frequency) Quick(RigDocument rig, Catalogue stock, bool modes)
    {
        var model = new RigModel(rig, stock);
        var state = model.State([]);
        var (mass, cost) = (model.Builder.Mass, model.Builder.Parts.Cost);
        if (state.Mechanism is not null || model.Builder.Findings.Any(f => f.Blocks))
            return (0, Check.MostUse, mass, cost, null);
        var limits = new LimitSpeed(model, state, Driving(model));
        var checks = model.Builder.Checks.Where(c => c.Sort == CheckSort.Strength).ToList();
        var at = limits.At(model.Builder.Checks, rig.Run.Speed);
        var limit = limits.Find(checks, rig.Run.Speed);
        return (limit?.Speed, at.Use, mass, cost, modes && model.Modes.Count > 0 ? model.Modes[0].Frequency : null);
    }

    /// <summary>The cases of a rig under way.</summary>
    internal static List<RigCase> Driving(RigModel model) => [.. model.Builder.Host.Motion.Cases(model.Builder.Rig.Run.Road).Where(c => !c.AtRest)];
}

/// <summary>A rig judged: its checks, what happens when something lets go, what keeps each piece, and the verdict.</summary>
internal sealed record Judged(
    RigModel Model, StateResponse State, LimitSpeed Limits, IReadOnlyList<RigCase> Cases,
        IReadOnlyList<RigCase> Driving, bool Moves, IReadOnlyList<CheckReport> Reports,
    IReadOnlyList<LetGoReport> LetGo, IReadOnlyList<RetentionReport> Retentions, IReadOnlyList<ReportFinding> Findings, VerdictReport Verdict)
{
    public static Judged Of(RigDocument rig, Catalogue stock) => Of(new RigModel(rig, stock));

    /// <param name="model">The rig.</param>
    /// <param name="forWord">Only what decides the word: of what may let go, the holds and the straps alone.</param>
    public static Judged Of(RigModel model, bool forWord = false)
    {
        var b = model.Builder;
        var rig = b.Rig;
        var cases = b.Host.Motion.Cases(rig.Run.Road);
        var driving = Assessor.Driving(model);
        var state = model.State([]);
        var limits = new LimitSpeed(model, state, driving);
        var moves = Instability(model, state, limits);
        var findings = b.Findings.ToList();
        if (moves is not null)
            findings.Insert(0, new ReportFinding("base", moves, true));
        foreach (var speed in moves is null ? [rig.Run.Speed, 0, limits.Highest] : (ReadOnlySpan<double>)[])
            limits.Look(b.Checks, speed);
        List<CheckReport> reports = moves is not null ? []
            : [.. b.Checks.Select(c => Report(c, limits, driving, rig.Run.Speed)).OrderByDescending(r => r.Counts)
            .ThenByDescending(r => r.Sort == CheckSort.Tightening ? -1 : r.Use)];
        var letGo = States(model, reports, driving, moves, forWord);
        var retentions = Retention.Of(b, letGo);
        if (moves is null && Retention.Refused(b, letGo) is { } refused)
            findings.Add(new ReportFinding("base", refused, true));
        findings.AddRange(Questions.Of(rig, b.Host).Where(q => q.Answer == Answer.No).Select(q => new ReportFinding("site", q.Refused, true)));
        findings.AddRange(Verdicts.Missing(b, retentions).Missing.Select(m => new ReportFinding("rig", m)));
        return new(model, state, limits, cases, driving, moves is not null, reports, letGo,
            retentions, findings, Verdicts.Overall(b, reports, findings, retentions, letGo));
    }

    private static List<LetGoReport> States(RigModel model, List<CheckReport> intact, List<RigCase> driving, string? moves, bool forWord)
    {
        var worst = intact.FirstOrDefault();
        var strength = intact.FirstOrDefault(r => r.Sort == CheckSort.Strength);
        double? limit = moves is null ? intact.Where(r => r.LimitSpeed is not null).Min(r => r.LimitSpeed) : 0;
        var use = worst?.Counts ?? Check.MostUse;
        var whole = new LetGoReport("intact", "intact", "Whole", [], use, Judge.Of(use), limit, moves ?? worst!.Title, worst?.Case ?? "",
            intact.GroupBy(r => r.Station).ToDictionary(g => g.Key, g => g.Max(r => r.Counts)), new Dictionary<string, double[]>(), []);
        return [whole, .. new LetGo(model, driving, strength?.Use ?? 0, limit).All(forWord)];
    }

    private static CheckReport Report(Check check, LimitSpeed limits, IReadOnlyList<RigCase> cases, double speed)
    {
        var (worst, at) = limits.Each([check], speed)[0];
        var sheet = new Worksheet();
        var forces = limits.At(at, speed)!;
        check.Use(forces, sheet);
        var counts = check.Counts(worst);
        double? limit = check.Sort == CheckSort.Service || check.Reserve ? null : check.Fixed ? (counts >= 1 ? 0 : null)
            : limits.Find([check], speed)?.Speed;
        return new CheckReport(check.Id, check.Station, check.Part, check.Title, worst, counts, check.Sort, Judge.Of(counts), check.Fixed
            ? "" : cases[at].Label, limit, sheet.Done(), check.Joint is { } spring ? forces.Split(spring) : []);
    }

    private static string? Instability(RigModel model, StateResponse state, LimitSpeed limits)
    {
        if (state.Mechanism is { } m)
            return $"The {Assessment.LetGo.Readable(model.Builder, m.Node)} can {m.Motion} freely: something is missing there.";
        return limits.Unstable(model.Builder.Rig.Run.Speed) ? "With its slack straps the rig is free to move at this speed: no stable state." : null;
    }

}
