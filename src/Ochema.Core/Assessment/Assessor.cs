using Ochema.Core.Analysis;
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
        return new Design(rig, stock).Whole();
    }

    /// <summary>What a design does at a speed, m/s, and what it was judged by.</summary>
    /// <param name="letGo">The let-go case whose shape is wanted.</param>
    internal static (DriveReport Drive, Judged Judged, IReadOnlyList<StationReport> Stations) Drive(Design design, double speed,
        bool workings, string letGo)
    {
        var model = design.Model;
        // The picture shares nothing with the verdict but the rig itself: one beside the other.
        var pictures = Task.Run(() => (Shaker.Words(model), Shaker.SecondWords(model)));
        var judged = design.Judge(speed, workings: workings, shown: letGo);
        var (b, driving) = (model.Built, judged.Driving);
        var stations = StationRows.Of(b, judged.Reports, judged.Findings);
        var (sharpness, second) = pictures.GetAwaiter().GetResult();
        var drive = new DriveReport(design.Id, speed, judged.Verdict,
            Verdicts.Jolt(model, judged.State, [.. driving.Where(c => c.Jolt != 0)], speed),
            [.. stations.Select(s => new StationUse(s.Id, s.Use, s.Verdict, s.Check, s.Says, s.Refused))],
            [.. judged.Reports.Select(c => new CheckUse(c.Id, c.Use, c.Counts, c.Verdict, c.Case, c.Working, c.Working is null ? null : c.Loads))],
            [.. judged.LetGo.Select(l => new LetGoUse(l.Id, l.Kind, l.Title, l.Gone, l.Use, l.Verdict, l.LimitSpeed, l.Gives, l.Says, l.Case))],
            sharpness, second, judged.Retentions,
            [.. judged.Findings.Concat(Hum.Findings(model, sharpness, speed)).Concat(WaterShedding.Findings(model, speed))
                .Concat(Settling.Findings(model)).Concat(Snag.Findings(model)).DistinctBy(f => f.Text)],
            judged.Shape, TipPlan.Of(model, judged.State, judged.Limits, driving, speed));
        return (drive, judged, stations);
    }

    /// <summary>The whole report of a design at a speed, m/s, and the part of it that hangs on the speed.</summary>
    internal static (AssessmentReport Report, DriveReport Drive) Both(Design design, double speed, bool workings, string letGo)
    {
        var (drive, judged, stations) = Drive(design, speed, workings, letGo);
        var model = design.Model;
        var (b, rig, reports) = (model.Built, model.Built.Rig, judged.Reports);
        var frequencies = model.Modes.Take(ModeCount).Select(m => m.Frequency).ToList();
        return (new AssessmentReport
        {
            Verdict = drive.Verdict,
            TopSpeed = b.Host.Drive.Top,
            Knock = Verdicts.Knock(model, judged.State, [.. judged.Cases.Where(c => c.AtRest)]),
            Shock = drive.Shock,
            Stations = stations,
            Checks = reports,
            Flags =
            [
                .. reports.Where(r => r.LimitSpeed is not null).Select(r => new SpeedFlag(r.Id, r.Station, r.Title, r.LimitSpeed!.Value))
                    .OrderBy(f => f.Speed).ThenBy(f => f.Check, StringComparer.Ordinal),
            ],
            LetGo = judged.LetGo,
            Frequencies = frequencies,
            Picture = Rocking.Of(frequencies, rig),
            Sharpness = drive.Sharpness,
            SecondSharpness = drive.SecondSharpness,
            Retentions = drive.Retentions,
            Straps = StrapPull.Runs(b),
            Rods = RodLength.All(b),
            Findings = drive.Findings,
            Cautions = Cautions.Of(rig),
            Joints = [.. b.Joints.Select(j => j.Report())],
            Options = Survey.Options(rig, b.Stock),
            Places = Survey.Places(rig, b.Stock),
            Parts = b.Parts,
            Joins = b.Joins,
            Mass = b.Mass,
            Cost = b.Cost,
            Tip = drive.Tip,
            Figure = FigureBuilder.Build(b),
            Shape = drive.Shape,
        }, drive);
    }

    /// <summary>The word of the verdict and why, as <see cref="Assess"/> gives them: for changes that are shown.</summary>
    internal static VerdictReport VerdictOf(RigDocument rig, Catalogue stock) => new Design(rig, stock)
        .Judge(rig.Run.Speed, forWord: true).Verdict;

    /// <summary>The essentials of a rig, for trying changes: limit speed, governing use, mass, cost, first frequency.</summary>
    internal static (double? LimitSpeed, double Use, double Mass, double Cost, double? Frequency) Quick(RigDocument rig, Catalogue stock,
        bool modes)
    {
        var model = new RigModel(rig, stock);
        var state = model.State([]);
        var (mass, cost) = (model.Built.Mass, model.Built.Cost);
        if (state.Mechanism is not null || model.Built.Findings.Any(f => f.Blocks))
            return (0, Check.MostUse, mass, cost, null);
        var limits = new LimitSpeed(model, state, Driving(model));
        var checks = model.Built.Checks.Where(c => c.Sort == CheckSort.Strength).ToList();
        var at = limits.At(model.Built.Checks, rig.Run.Speed);
        var limit = limits.Find(checks, rig.Run.Speed);
        return (limit?.Speed, at.Use, mass, cost, modes && model.Modes.Count > 0 ? model.Modes[0].Frequency : null);
    }

    /// <summary>The cases of a rig under way.</summary>
    internal static List<RigCase> Driving(RigModel model) => [.. model.Cases.Where(c => !c.AtRest)];
}
