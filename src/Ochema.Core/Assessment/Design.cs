using System.Security.Cryptography;
using System.Text;
using Ochema.Core.Analysis;
using Ochema.Core.Json;
using Ochema.Core.Kinds;
using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Assessment;

/// <summary>
/// A rig factored once and kept: limit speeds, states with parts gone and modes do not hang on the speed that is asked about, so that
/// another speed is answered by looking at its uses alone. One question at a time.
/// </summary>
public sealed class Design
{
    private readonly Lock gate = new();
    private readonly Dictionary<Check, double?> found = [];
    private readonly IReadOnlyList<RigCase> cases;
    private readonly List<RigCase> driving;
    private readonly StateResponse state;
    private readonly LimitSpeed limits;
    private readonly LetGo letGo;
    private readonly double tremble;
    private (double? Speed, bool Known) tight;
    private bool prepared;

    internal RigModel Model { get; }

    /// <exception cref="DocumentException">The rig names something that does not exist on its host.</exception>
    public Design(RigDocument rig, Catalogue stock)
    {
        Id = IdOf(KeyOf(rig));
        var b = RigAssembly.Build(rig, stock);
        // The rig without its holds shares nothing with the whole one: made beside it, for it is asked for next.
        var alone = rig.Straps.Count == 0 ? null : Task.Run(() => RigModel.WithoutHolds(b));
        Model = new RigModel(b);
        cases = Model.Cases;
        driving = Assessor.Driving(Model);
        state = Model.State([]);
        limits = new LimitSpeed(Model, state, driving);
        letGo = new LetGo(Model, driving, alone);
        tremble = RigDynamics.Tremble(b, rig.Run.Speed);
    }

    /// <summary>What two documents have in common that differ in speed, name and notes only.</summary>
    public static string KeyOf(RigDocument rig) => StrictJson.Write(rig with
    {
        Name = "x",
        Notes = "",
        Made = null,
        Bench = null,
        Run = rig.Run with { Speed = 0 }
    });

    /// <summary>The id of a design by its <see cref="KeyOf"/>.</summary>
    public static string IdOf(string key) => Convert.ToHexStringLower(SHA256.HashData(Encoding.UTF8.GetBytes(key)).AsSpan(0, 16));

    /// <summary>Speed of the document it was made of, m/s.</summary>
    public double Speed => Model.Built.Rig.Run.Speed;

    /// <summary>
    /// By which it is known: the same for documents that differ in what no answer hangs on but the drive's. A hash of the document without
    /// its speed, name and notes.
    /// </summary>
    public string Id { get; }

    /// <summary>The rig as it is drawn.</summary>
    public IReadOnlyList<FigureShape> Figure => Model.Built.Figure;

    /// <summary>Fastest that its host goes, m/s.</summary>
    public double TopSpeed => Model.Built.Host.Drive.Top;

    /// <summary>All answers but advice, each part once, at a speed, m/s; null where the host trembles otherwise there (as for
    /// <see cref="At"/>).</summary>
    /// <param name="workings">False leaves the workings out: <see cref="WorkingOf"/> answers for one at a time.</param>
    /// <param name="letGo">The let-go case whose shape is wanted.</param>
    public RigAnswer? Answer(double speed, bool workings = true, string letGo = Intact)
    {
        lock (gate)
        {
            if (!Answers(speed))
                return null;
            Ask(speed);
            var (report, drive) = Assessor.Both(this, speed, workings, letGo);
            return new(DesignReport.Of(Id, report), drive);
        }
    }

    /// <summary>The same as one report, at the speed of the document it was made of.</summary>
    public AssessmentReport Whole(bool workings = true) => Report(Speed, workings)!;

    /// <summary>The same at a speed, m/s; null where the host trembles otherwise there.</summary>
    public AssessmentReport? Report(double speed, bool workings = true)
    {
        lock (gate)
        {
            if (!Answers(speed))
                return null;
            Ask(speed);
            return Assessor.Both(this, speed, workings, Intact).Report;
        }
    }

    /// <summary>What the whole rig is called among the let-go cases.</summary>
    public const string Intact = "intact";

    /// <summary>
    /// The working of one check at a speed, m/s; null where the rig has no such check, moves freely, or the design has to be made anew (as
    /// for
    /// <see cref="At"/>).
    /// </summary>
    public CheckWorking? WorkingOf(string id, double speed)
    {
        lock (gate)
        {
            if (!Answers(speed) || Model.Built.Checks.FirstOrDefault(c => c.Id == id) is not { } check)
                return null;
            Ask(speed);
            if (Instability(speed) is not null)
                return null;
            var (use, at) = limits.Each([check], speed)[0];
            var (working, loads) = Shown(check, limits.At(at, speed)!);
            return new(id, use, working, loads);
        }
    }

    /// <summary>True where this design answers for a speed, m/s: its host trembles the same there.</summary>
    public bool Answers(double speed) => RigDynamics.Tremble(Model.Built, speed) == tremble;

    /// <summary>The same rig made for another speed, m/s, at which its host trembles otherwise.</summary>
    public Design Otherwise(double speed) => new(Model.Built.Rig with { Run = Model.Built.Rig.Run with { Speed = speed } },
        Model.Built.Stock);

    /// <summary>What it does at a speed, m/s; null where the host trembles otherwise there and the design has to be made anew.</summary>
    /// <param name="letGo">The let-go case whose shape is wanted.</param>
    public DriveReport? At(double speed, string letGo = Intact)
    {
        lock (gate)
        {
            if (!Answers(speed))
                return null;
            Ask(speed);
            return Assessor.Drive(this, speed, workings: false, letGo).Drive;
        }
    }

    /// <summary>What is asked of the model itself, at a speed, m/s; null where its host trembles otherwise there.</summary>
    internal T? Asked<T>(double speed, Func<RigModel, StateResponse, T> ask)
        where T : class
    {
        lock (gate)
        {
            if (!Answers(speed))
                return null;
            Ask(speed);
            return ask(Model, state);
        }
    }

    /// <summary>Speed at which the first use passes 80 % as it counts in the word, m/s; null when none does.</summary>
    private double? TightSpeed(double near)
    {
        if (!tight.Known)
            tight = (limits.Find([.. Model.Built.Checks.Where(c => !c.Reserve)], near, Assessment.Judge.TightFrom)?.Speed, true);
        return tight.Speed;
    }

    /// <summary>Speed from which a line that only matters when something lets go is used by more than 80 %, m/s; null when none
    /// is.</summary>
    private double? CaughtTightly()
    {
        var b = Model.Built;
        return First(v => b.Tethers.Any(t => t.Catches(b, t.Keeps(b), v) > Assessment.Judge.TightFrom));
    }

    /// <summary>Lowest speed at which something is so that is so at all higher ones, m/s; null where it is not as far as is
    /// looked.</summary>
    private double? First(Func<double, bool> so)
    {
        if (!so(limits.Highest))
            return null;
        return so(0) ? 0 : Bisection.Between(0, limits.Highest, Halvings, so).High;
    }

    /// <summary>A ten-thousandth of a host's speeds is found.</summary>
    private const int Halvings = 14;

    /// <summary>
    /// Speed from which too little keeps a piece, m/s: holds that stand for each other do so only while what is left holds. 0 where too
    /// little keeps it at any speed, null where enough does as far as was looked at.
    /// </summary>
    private double? KeptTo(IReadOnlyList<LetGoReport> states, IReadOnlyList<RetentionReport> now, double speed)
    {
        // Tethers catch what falls at the speed that is asked about.
        bool Few(double v) => Retention.Of(Model.Built, [.. states.Select(l => l with
        {
            Verdict = l.LimitSpeed is { } limit && limit <= v ? Verdict.LetsGo : Verdict.Holds,
        })], v, advise: false).Any(r => r.Has < r.Needs);

        // Told by the verdict itself where it is asked about.
        return First(v => v == speed ? now.Any(r => r.Has < r.Needs) : Few(v));
    }

    private void Ask(double speed)
    {
        Model.Dynamics?.At(Model, speed);
    }

    /// <summary>The rig judged at a speed, m/s.</summary>
    /// <param name="forWord">Only what decides the word: of what may let go, the holds and the straps alone.</param>
    /// <param name="workings">False where nobody looks at the workings.</param>
    /// <param name="shown">The let-go case whose shape is wanted.</param>
    internal Judged Judge(double speed, bool forWord = false, bool workings = true, string shown = Intact)
    {
        var b = Model.Built;
        limits.Forget();
        var ahead = prepared || forWord ? Task.CompletedTask : Task.Run(letGo.Prepare);
        prepared = true;
        var moves = Instability(speed);
        var findings = b.FindingsAt(speed).ToList();
        if (moves is not null)
            findings.Insert(0, new ReportFinding(StationId.Base, moves, true));
        foreach (var v in moves is null ? [speed, 0, .. LimitSpeed.Ahead(speed, limits.Highest)] : (ReadOnlySpan<double>)[])
            limits.Look(b.Checks, v);
        List<CheckReport> reports = moves is not null ? []
            : [.. b.Checks.Select(c => Report(c, speed, workings)).OrderByDescending(r => Ties.Level(r.Counts))
            .ThenByDescending(r => r.Sort == CheckSort.Tightening ? -1 : Ties.Level(r.Use))];
        ahead.GetAwaiter().GetResult();
        // The last of the states is judged alone: this fills the time.
        var tightly = moves is null && !forWord ? Task.Run(() => TightSpeed(speed)) : Task.FromResult<double?>(null);
        var states = States(reports, speed, moves, forWord, shown);
        tightly.GetAwaiter().GetResult();
        var retentions = Retention.Of(b, states, speed);
        if (moves is null && Retention.Refused(b, states) is { } refused)
            findings.Add(new ReportFinding(StationId.Base, refused, true));
        findings.AddRange(Questions.Of(b.Rig, b.Host).Where(q => q.Answer == Hosts.Answer.No)
            .Select(q => new ReportFinding(StationId.Site, q.Refused, true)));
        findings.AddRange(Verdicts.Missing(b, retentions).Missing.Select(m => new ReportFinding(StationId.Rig, m)));
        var verdict = Verdicts.Overall(b, reports, findings, retentions, states, moves is not null ? null
            : KeptTo(states, retentions, speed), speed);
        verdict = Verdicts.Bounded(b, verdict, speed, moves is not null ? 0 : forWord ? null
            : (TightSpeed(speed), CaughtTightly()) switch { ({ } t, { } c) => Math.Min(t, c), (null, var c) => c, (var t, null) => t });
        // The whole rig among the chips is the verdict: what keeps its pieces counts there too.
        states = [states[0] with { Verdict = verdict.Word, LimitSpeed = verdict.LimitSpeed }, .. states.Skip(1)];
        return new(Model, state, limits, cases, driving, moves is not null, reports, states, retentions, findings, verdict,
            Shape(states, reports, speed, moves is not null, shown));
    }

    /// <summary>How a state stands: the whole rig where there is none of that name.</summary>
    private StateShape Shape(List<LetGoReport> states, IReadOnlyList<CheckReport> reports, double speed, bool moves, string shown)
    {
        var state = states.Find(s => s.Id == shown) ?? states[0];
        var shape = state.Id == Intact ? WholeShape(reports, speed, moves) : letGo.Shape ?? FigureBuilder.None(state.Id);
        return shape with { Uses = state.Uses, Goes = state.Goes };
    }

    private StateShape WholeShape(IReadOnlyList<CheckReport> reports, double speed, bool moves)
    {
        var at = Math.Max(0, driving.FindIndex(c => reports is [var worst, ..] && c.Label == worst.Case));
        return moves || limits.At(at, speed) is not { } f ? FigureBuilder.None(Intact) : FigureBuilder.Shape(Intact, Model, state, f);
    }

    private List<LetGoReport> States(List<CheckReport> intact, double speed, string? moves, bool forWord, string shown)
    {
        var worst = intact.FirstOrDefault();
        var strength = intact.FirstOrDefault(r => r.Sort == CheckSort.Strength);
        double? limit = moves is null ? intact.Where(r => r.LimitSpeed is not null).Min(r => r.LimitSpeed) : 0;
        var use = worst?.Counts ?? Check.MostUse;
        var whole = new LetGoReport(Intact, "intact", "Whole", [], use, Assessment.Judge.Of(use), limit, moves ?? worst!.Title, worst?.Case
            ?? "",
            intact.GroupBy(r => r.Station).ToDictionary(g => g.Key, g => g.Max(r => r.Counts)));
        return [whole, .. letGo.All(speed, strength?.Use ?? 0, limit, forWord, shown)];
    }

    private CheckReport Report(Check check, double speed, bool workings)
    {
        var (worst, at) = limits.Each([check], speed)[0];
        var (working, loads) = workings ? Shown(check, limits.At(at, speed)!) : ((Working?)null, (IReadOnlyList<LoadShare>)[]);
        var counts = check.Counts(worst);
        double? limit = check.Sort == CheckSort.Service || check.Reserve ? null : check.Fixed ? (counts >= 1 ? 0 : null)
            : LimitOf(check, speed);
        return new CheckReport(check.Id, check.Station.ToString(), check.Part, check.Title, worst, counts, check.Sort, Assessment.Judge.Of(counts),
            check.Fixed
            ? "" : driving[at].Label, limit, working, loads);
    }

    private static (Working Working, IReadOnlyList<LoadShare> Loads) Shown(Check check, CaseForces forces)
    {
        var sheet = new Worksheet();
        check.Use(forces, sheet);
        return (sheet.Done(), check.Joint is { } spring ? forces.Split(spring) : []);
    }

    private double? LimitOf(Check check, double near) =>
        found.TryGetValue(check, out var limit) ? limit : found[check] = limits.Find([check], near)?.Speed;

    private string? Instability(double speed) =>
        state.Mechanism is { } m ? $"The {LetGo.Readable(Model.Built, m.Node)} can {m.Motion} freely: something is missing there."
        : limits.Unstable(speed) ? "With its slack straps the rig is free to move at this speed: no stable state." : null;
}
