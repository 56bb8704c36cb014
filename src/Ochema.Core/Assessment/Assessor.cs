using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Sharpness;
using Ochema.Core.Stock;

namespace Ochema.Core.Assessment;

/// <summary>Rig in, answers out. Pure: the same document gives the same bytes.</summary>
public static class Assessor
{
    private const int ModeCount = 6;

    /// <summary>A mount below twice the highest frequency of what shakes its host follows it; near it, it rocks (common practice, no source).</summary>
    private const double SteadyFrom = 2;
    private const double SoftBelow = 1.125;

    /// <summary>Below this share of the lowest a soft mount stands still while the host moves (common practice, no source).</summary>
    private const double FloatsBelow = 0.5;

    /// <summary>All answers. With <paramref name="advice"/> the best single changes are tried too.</summary>
    /// <exception cref="DocumentException">The rig names something that does not exist on its host.</exception>
    public static AssessmentReport Assess(RigDocument rig, Catalogue stock, bool advice = true)
    {
        var model = new RigModel(rig, stock);
        var b = model.Builder;
        var all = model.Builder.Host.Motion.Cases(rig.Run.Road);
        var driving = all.Where(c => !c.AtRest).ToList();
        var state = model.State([]);
        var checks = b.Checks.ToList();
        var limits = new LimitSpeed(model, state, driving);
        var intactFinding = Instability(model, state, limits, rig.Run.Speed);
        var reports = intactFinding is not null ? [] : checks.Select(c => Report(c, limits, driving, rig.Run.Speed)).OrderByDescending(r => r.Use).ToList();
        var findings = b.Findings.ToList();
        if (intactFinding is not null)
            findings.Insert(0, new ReportFinding("base", intactFinding, true));
        var letGo = LetGo(model, checks, driving, reports, limits, intactFinding).ToList();
        var frequencies = model.Modes.Take(ModeCount).Select(m => m.Frequency).ToList();
        findings.AddRange(Shedding(b, frequencies, rig.Run.Speed));
        var retentions = Retention.Of(b, letGo);
        findings.AddRange(retentions.Where(r => r.Has < r.Needs).Select(r => new ReportFinding(r.Station,
            $"{r.Piece} has {r.Has} of {r.Needs} independent retentions this drop needs{(r.By.Count > 0 ? ": " + string.Join(", ", r.By) : "")}. Add a strap or a tether.")));
        var verdict = Overall(reports, findings, rig);
        return new AssessmentReport
        {
            Verdict = verdict with
            {
                Text = VerdictText(verdict, reports, letGo, rig),
                TightSpeed = intactFinding is null ? limits.Find([.. checks.Where(c => !c.Fixed)], rig.Run.Speed, Judge.TightFrom)?.Speed : 0,
            },
            Knock = Knock(model, state, checks, [.. all.Where(c => c.AtRest)]),
            Shock = Shock(model, state, checks, [.. driving.Where(c => c.Jolt != 0)]),
            Stations = Stations(b, reports),
            Checks = reports,
            Flags = [.. reports.Where(r => r.LimitSpeed is not null).Select(r => new SpeedFlag(r.Id, r.Station, r.Title, r.LimitSpeed!.Value)).OrderBy(f => f.Speed).ThenBy(f => f.Check, StringComparer.Ordinal)],
            LetGo = letGo,
            Frequencies = frequencies,
            Picture = Picture(frequencies, rig),
            Sharpness = Shaker.Words(model),
            Retentions = retentions,
            Findings = [.. findings.DistinctBy(f => f.Text)],
            Cautions = Cautions(rig),
            Joints = [.. b.Joints.Select(j => j.Report())],
            Options = Survey.Options(rig),
            Places = Survey.Places(rig),
            Parts = b.Parts,
            Mass = b.Mass,
            Cost = b.Parts.Sum(p => p.Price * p.Quantity),
            Figure = FigureBuilder.Build(model, state, limits, driving, reports.FirstOrDefault(), rig.Run.Speed),
            Advice = advice ? Adviser.Best(rig, stock) : null,
        };
    }

    /// <summary>The essentials of a rig, for trying changes: limit speed, governing use, mass, cost, first frequency.</summary>
    internal static (double? LimitSpeed, double Use, double Mass, double Cost, double? Frequency) Quick(RigDocument rig, Catalogue stock, bool modes)
    {
        var model = new RigModel(rig, stock);
        var state = model.State([]);
        var (mass, cost) = (model.Builder.Mass, model.Builder.Parts.Sum(p => p.Price * p.Quantity));
        var driving = model.Builder.Host.Motion.Cases(rig.Run.Road).Where(c => !c.AtRest).ToList();
        if (state.Mechanism is not null || model.Builder.Findings.Any(f => f.Blocks))
            return (0, Check.MostUse, mass, cost, null);
        var limits = new LimitSpeed(model, state, driving);
        var limit = limits.Find(model.Builder.Checks, rig.Run.Speed);
        return (limit?.Speed, limits.At(model.Builder.Checks, rig.Run.Speed).Use, mass, cost, model.Modes.Count > 0 ? model.Modes[0].Frequency : null);
    }

    private static CheckReport Report(Check check, LimitSpeed limits, IReadOnlyList<RigCase> cases, double speed)
    {
        var (worst, at) = limits.Each([check], speed)[0];
        var sheet = new Worksheet();
        check.Use(limits.At(at, speed)!, sheet);
        double? limit = check.Fixed ? (worst >= 1 ? 0 : null) : limits.Find([check], speed, 1, new Worst(worst, check, cases[at]))?.Speed;
        return new CheckReport(check.Id, check.Station, check.Part, check.Title, worst, Judge.Of(worst), check.Fixed ? "" : cases[at].Label, limit, sheet.Done());
    }

    private static string? Instability(RigModel model, StateResponse state, LimitSpeed limits, double speed)
    {
        if (state.Mechanism is { } m)
            return $"The {Readable(model.Builder, m.Node)} can {m.Motion} freely: something is missing there.";
        return limits.Unstable(speed) ? "With its slack straps the rig is free to move at this speed: no stable state." : null;
    }

    private static string Readable(RigBuilder b, string node) =>
        b.Holds.FirstOrDefault(h => node.StartsWith(h.Id, StringComparison.Ordinal)) is { } hold ? hold.Label : node.Replace('-', ' ');

    private static IEnumerable<LetGoReport> LetGo(RigModel model, List<Check> checks, List<RigCase> cases, List<CheckReport> intact, LimitSpeed limits, string? intactFinding)
    {
        var rig = model.Builder.Rig;
        var speed = rig.Run.Speed;
        var worst = intact.FirstOrDefault();
        double? intactLimit = intact.Where(r => r.LimitSpeed is not null).Min(r => r.LimitSpeed);
        var intactUses = intact.GroupBy(r => r.Station).ToDictionary(g => g.Key, g => g.Max(r => r.Use));
        yield return new LetGoReport("intact", "intact", "Whole", [], worst?.Use ?? Check.MostUse, Judge.Of(worst?.Use ?? Check.MostUse), intactFinding is null ? intactLimit : 0,
            intactFinding ?? worst!.Title, worst?.Case ?? "", intactUses, new Dictionary<string, double[]>(), []);
        foreach (var c in LetGoCases.Of(model.Builder))
            yield return Judged(model, model.State(c.Gone), c, [.. checks.Where(x => !x.Reserve && !c.Gone.Contains(x.Part) && x.Station != "brace:" + c.Id)], cases, intactLimit, worst?.Use ?? 0);
        yield return StrapsAlone(model, cases, intactLimit, worst?.Use ?? 0);
    }

    private static LetGoReport Judged(RigModel model, StateResponse state, LetGoCase c, List<Check> checks, List<RigCase> cases, double? intactLimit, double intactUse)
    {
        var speed = model.Builder.Rig.Run.Speed;
        var empty = new Dictionary<string, double[]>();
        if (state.Mechanism is { } m)
            return new(c.Id, c.Kind, c.Title, c.Gone, Check.MostUse, Verdict.LetsGo, 0, $"nothing keeps it: the {Readable(model.Builder, m.Node)} can {m.Motion}", "", new Dictionary<string, double>(), empty, []);
        var limits = new LimitSpeed(model, state, cases);
        if (limits.Unstable(speed))
            return new(c.Id, c.Kind, c.Title, c.Gone, Check.MostUse, Verdict.LetsGo, limits.Find(checks, speed)?.Speed ?? 0, "no stable state with its slack straps", "", new Dictionary<string, double>(), empty, []);
        var uses = new Dictionary<string, double>();
        var each = limits.Each(checks, speed);
        foreach (var (check, use) in checks.Zip(each))
            uses[check.Station] = Math.Max(use.Use, uses.GetValueOrDefault(check.Station));
        var (worstCheck, (worst, worstCase)) = checks.Zip(each).MaxBy(p => p.Second.Use);
        // A rig with a part gone is never credited with more than the whole one.
        var moving = checks.FindAll(x => !x.Fixed);
        var most = checks.Zip(each).Where(p => !p.First.Fixed).MaxBy(p => p.Second.Use);
        var limit = Lower(limits.Find(moving, speed, 1, new Worst(most.Second.Use, most.First, cases[most.Second.Case]), Math.Clamp(intactLimit ?? LimitSpeed.Highest, speed, LimitSpeed.Highest))?.Speed, intactLimit);
        worst = Math.Max(worst, c.Kind is "straps-alone" ? 0 : Math.Min(intactUse, worst));
        var f = limits.At(worstCase, speed)!;
        return new(c.Id, c.Kind, c.Title, c.Gone, worst, Judge.Of(worst), limit, worstCheck.Title, cases[worstCase].Label, uses,
            FigureBuilder.Displacements(model, state, f), FigureBuilder.Arrows(model, f));
    }

    private static LetGoReport StrapsAlone(RigModel model, List<RigCase> cases, double? intactLimit, double intactUse)
    {
        var rig = model.Builder.Rig;
        var holds = model.Builder.Holds.Select(h => h.Id).ToList();
        var c = new LetGoCase("straps-alone", "straps-alone", "Straps alone", holds);
        if (rig.Straps.Count == 0)
            return new(c.Id, c.Kind, "All holds gone", holds, Check.MostUse, Verdict.LetsGo, 0, rig.Tether is null ? $"nothing keeps it on {model.Builder.Host.Called}" : "only the tether keeps the camera", "", new Dictionary<string, double>(), new Dictionary<string, double[]>(), []);
        var alone = new RigModel(rig, model.Builder.Stock, holdsGone: true);
        return Judged(alone, alone.State([]), c, [.. alone.Builder.Checks.Where(x => !x.Reserve)], cases.FindAll(x => !x.Dynamic), null, 0);
    }

    private static double? Lower(double? a, double? b) => a is null ? b : b is null ? a : Math.Min(a.Value, b.Value);

    private static VerdictReport Overall(List<CheckReport> reports, List<ReportFinding> findings, RigDocument rig)
    {
        if (findings.FirstOrDefault(f => f.Blocks) is { } blocked)
            return new(Verdict.LetsGo, Check.MostUse, 0, reports.FirstOrDefault(r => r.LimitSpeed == 0)?.Id, blocked.Text);
        var worst = reports[0];
        var first = reports.Where(r => r.LimitSpeed is not null).MinBy(r => r.LimitSpeed);
        return new(Judge.Of(worst.Use), worst.Use, first?.LimitSpeed, first?.Id ?? worst.Id, "");
    }

    private static string VerdictText(VerdictReport v, List<CheckReport> reports, List<LetGoReport> letGo, RigDocument rig)
    {
        if (v.Text.Length > 0)
            return v.Text;
        var worst = reports[0];
        var first = reports.FirstOrDefault(r => r.Id == v.Check) ?? worst;
        var says = v.Word == Verdict.LetsGo
            ? $"{worst.Title}{(worst.Case.Length > 0 ? $", {worst.Case}" : "")}. You asked for {QuantityText.Of(rig.Run.Speed, Dimension.Speed)}."
            : v.LimitSpeed is null ? "Nothing gives below {speed:70}, as computed." : $"First to give: {first.Title.ToLowerInvariant()}, at {QuantityText.Of(v.LimitSpeed.Value, Dimension.Speed)}.";
        var straps = letGo[^1];
        var bad = letGo.Where(l => l.Kind is "hold" or "brace" or "strap" && l.Verdict == Verdict.LetsGo).ToList();
        var alone = straps.Title == "Straps alone" && straps.Verdict != Verdict.LetsGo ? $" With all holds gone the straps still keep it on {Hosts.HostLibrary.Find(rig.Host)!.Called}."
            : bad.Count > 0 ? $" It lets go {bad[0].Title.ToLowerInvariant()}{(bad.Count > 1 ? $", and in {bad.Count - 1} more cases" : "")}." : "";
        return says + alone + " Planning estimate: prove it before the run.";
    }

    private static VerdictReport Knock(RigModel model, StateResponse state, List<Check> checks, List<RigCase> cases)
    {
        if (state.Mechanism is not null)
            return new(Verdict.LetsGo, Check.MostUse, null, null, "not computed");
        var worst = new LimitSpeed(model, state, cases).At([.. checks.Where(c => !c.Fixed)], 0);
        return new(Judge.Of(worst.Use), worst.Use, null, worst.Check?.Id, $"A shove of {QuantityText.Of(model.Builder.Host.Motion.Knock, Dimension.Force)} by hand at the camera, standing still: {worst.Check?.Title.ToLowerInvariant() ?? "it moves freely"}.");
    }

    /// <summary>What a jolt of the host does by itself; it is among the driving cases too.</summary>
    private static VerdictReport Shock(RigModel model, StateResponse state, List<Check> checks, List<RigCase> jolts)
    {
        if (state.Mechanism is not null)
            return new(Verdict.LetsGo, Check.MostUse, null, null, "not computed");
        var motion = model.Builder.Host.Motion;
        var pulse = motion.Pulse[(int)model.Builder.Rig.Run.Road];
        var worst = new LimitSpeed(model, state, jolts).At([.. checks.Where(c => !c.Fixed)], model.Builder.Rig.Run.Speed);
        return new(Judge.Of(worst.Use), worst.Use, null, worst.Check?.Id, $"A {motion.Names.Jolt} of {pulse:0.#} g for {motion.PulseDuration * 1000:0} ms reaches the camera as {pulse * model.Dynamics!.CameraGain:0.0} g: {worst.Check?.Title.ToLowerInvariant() ?? "no stable state"}.");
    }

    private static List<StationReport> Stations(RigBuilder b, List<CheckReport> reports)
    {
        StationReport Row(string id, string label, string part)
        {
            var own = reports.Where(r => r.Station == id).ToList();
            var worst = own.MaxBy(r => r.Use);
            var use = worst?.Use ?? 0;
            return new(id, label, part, use, Judge.Of(use), worst?.Id, worst is null ? "carries no load of its own" : worst.Title + (worst.Case.Length > 0 ? ", " + worst.Case : ""), b.Parts.Where(p => p.Station == id).Sum(p => p.Mass * p.Quantity));
        }
        string Part(string station) => b.Parts.FirstOrDefault(p => p.Station == station)?.Name ?? "";
        var rows = new List<StationReport>
        {
            Row("camera", "Camera", Part("camera")),
            Row("head", "Head", Part("head")),
        };
        if (b.Rig.Isolator is not Rigs.Isolators.NoIsolator)
            rows.Add(Row("isolator", "Isolator", Part("isolator")));
        rows.Add(Row("reach", "Reach", Part("reach") is { Length: > 0 } r ? r : Kind.InfoOf(b.Rig.Reach.GetType()).Label));
        if (b.Rig.Second is { } second)
        {
            rows.Add(Row("camera-2", "Second camera", Part("camera-2")));
            rows.Add(Row("head-2", "Its head", Part("head-2")));
            rows.Add(Row("reach-2", "Its reach", Part("reach-2") is { Length: > 0 } own ? own : Kind.InfoOf(second.Reach.GetType()).Label));
        }
        rows.AddRange(b.Rig.Braces.Select(x => Row("brace:" + x.Id, $"Brace {x.Id}", b.Parts.Last(p => p.Station == "brace:" + x.Id).Name)));
        var holds = b.Holds.Where(h => h.Station == "base").ToList();
        rows.Add(Row("base", "Base", b.Rig.Base is Rigs.Bases.HoldPlate ? $"Plate on {holds.Count} × {Part("base").ToLowerInvariant()}" : b.Rig.Base is Rigs.Bases.SingleCup or Rigs.Bases.SingleMagnet ? Part("base") : Kind.InfoOf(b.Rig.Base.GetType()).Label));
        rows.AddRange(b.Rig.Straps.Select(s => Row("strap:" + s.Id, $"Strap {s.Id}", Part("strap:" + s.Id))));
        if (b.Rig.Tether is not null)
            rows.Add(Row("tether", "Tether", Part("tether")));
        var site = b.Rig.Site;
        rows.Add(Row("site", "Site", $"{site.Name}, {b.Stock.Material(site.Material).Name.ToLowerInvariant()}, {QuantityText.Of(site.Thickness, Dimension.Length)}"));
        return rows;
    }

    private static IEnumerable<ReportFinding> Shedding(RigBuilder b, IReadOnlyList<double> frequencies, double speed)
    {
        foreach (var p in b.Pieces.Where(p => p.Section.Round && p.Length > 0.15).DistinctBy(p => (p.Station, p.Section.DragWidth)))
            foreach (var f in frequencies.Take(3))
            {
                var v = (f * p.Section.DragWidth / 0.2 - b.Rig.Run.HeadWind) / b.WindFactor;
                if (v > 3 && v < 1.2 * speed)
                {
                    yield return new ReportFinding(p.Station, $"The wind sheds off the {p.Label} at {QuantityText.Of(f, Dimension.Frequency)} when {b.Host.Called} does {QuantityText.Of(v, Dimension.Speed)}: expect a hum in the picture there (Strouhal 0.2).");
                    break;
                }
            }
    }

    private static PictureReport Picture(IReadOnlyList<double> frequencies, RigDocument rig)
    {
        if (frequencies.Count == 0)
            return new(Verdict.LetsGo, null, "It can move freely; there is no steady picture.");
        var f = frequencies[0];
        var band = HostLibrary.Find(rig.Host)!.Shake.Band;
        var most = $"{band.Label} at {band.Low:0} to {band.High:0} Hz";
        if (rig.Isolator is not Rigs.Isolators.NoIsolator && f < FloatsBelow * band.Low)
            return new(Verdict.Tight, f, $"It floats on its soft mount at {QuantityText.Of(f, Dimension.Frequency)}, below {most}{(frequencies.Count > 1 ? $"; what comes through at {QuantityText.Of(frequencies[1], Dimension.Frequency)} shows on a slow lap" : "")}.");
        var where = $"rocks first at {QuantityText.Of(f, Dimension.Frequency)}";
        return f < SoftBelow * band.High ? new(Verdict.LetsGo, f, $"The mount {where}, within reach of {most}: the picture wobbles. {(rig.Site.Form == SiteForm.Hand ? "A shorter one, hands wider apart." : "Brace it both ways.")}")
            : f < SteadyFrom * band.High ? new(Verdict.Tight, f, $"The mount {where}, above {most} but not clear of it: steady when it goes smoothly.")
            : new(Verdict.Holds, f, $"The mount {where}, clear of {most}.");
    }

    private static List<string> Cautions(RigDocument rig)
    {
        var list = new List<string>();
        foreach (var station in new object?[] { rig.Base, rig.Reach, rig.Isolator, rig.Head, rig.Second?.Reach, rig.Second?.Head }.OfType<object>().DistinctBy(k => k.GetType()))
            if (Kind.InfoOf(station.GetType()).Caution is { Length: > 0 } c)
                list.Add(c);
        if (rig.Base is Rigs.Bases.HoldPlate plate && Kind.InfoOf(plate.Hold.GetType()).Caution is { Length: > 0 } h)
            list.Add(h);
        list.AddRange(HostLibrary.Find(rig.Host)!.Cautions);
        return [.. list.Distinct()];
    }
}
