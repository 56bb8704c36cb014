using System.Text.Json;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Making.Steps;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Making;

/// <summary>
/// The order of work: what kinds say of themselves and what the house says of pieces and joints, each after what must precede it. What a
/// later part covers is fitted first: the load path is put together from the host upwards.
/// </summary>
internal static class BuildPlan
{
    /// <summary>A step before it has a time.</summary>
    /// <param name="Earlier">What documents called it before steps were called by their piece.</param>
    internal sealed record Placed(string Id, string Earlier, StationStep Of, List<int> After);

    /// <summary>All steps, in an order that none of them breaks.</summary>
    public static IReadOnlyList<Placed> Of(BuiltRig b, IReadOnlyList<HoleRow> holes)
    {
        var own = OfKinds(b).ToList();
        // What a kind says of one of its pieces, in place of the house.
        StationStep? Own(StationStep house, RigPart piece) => own.Find(s => s.Step.Work == house.Step.Work && s.Step.Piece.Length > 0
            && new PieceId(s.Station, s.Step.Piece) == piece.Id);
        // A joint that a kind speaks of, at whatever work of that sort, is the kind's.
        bool Fits(ScrewJoint j) => own.Exists(s => s.Step.Joint == j.Id && s.Step.Work is Work.Fit or Work.Place or Work.Glue);
        var all = new List<StationStep>();
        if (PlaceSteps.Isolated(b) is { } isolated)
            all.Add(isolated);
        all.Add(PlaceSteps.LookOver(b));
        all.AddRange(Sorted(own, Work.LookOver, Work.Strip));
        if (MeasuringSteps.Measured(b.Rig) is { } measured)
            all.Add(measured);
        all.AddRange(Sorted(own, Work.Measure));
        var metal = 0;
        for (var i = 0; i < b.Parts.Count; i++)
            if (CuttingSteps.Cut(b.Parts[i], i, b.Stock) is { } cut)
            {
                metal += b.Parts[i].Aisle == Aisle.Rigging ? 0 : 1;
                all.Add(Own(cut, b.Parts[i]) is { } mine ? mine with { Part = i } : cut);
            }
        all.AddRange(own.Where(s => s.Step.Work == Work.Cut && !all.Exists(a => a.Step == s.Step)));
        all.AddRange(b.Joints.Select(JoiningSteps.Shortened).OfType<StationStep>());
        if (metal > 0)
            all.Add(CuttingSteps.Deburr(metal));
        for (var i = 0; i < b.Parts.Count; i++)
            if (BendingSteps.Bent(b.Parts[i], i) is { } bent && Own(bent, b.Parts[i]) is null)
                all.Add(bent);
        all.AddRange(Sorted(own, Work.Bend, Work.Join));
        foreach (var joint in b.Joints)
        {
            var rows = holes.Where(h => h.Joint == joint.Id).ToList();
            var drilled = DrillingSteps.Drilled(joint, rows).ToList();
            var mine = own.Where(s => s.Step.Work == Work.Drill && s.Step.Joint == joint.Id).ToList();
            // A kind's own drilling takes the place of the house's, and of its tapping where it taps; the sizes stand in the table all the
            // same.
            all.AddRange(mine.Select(s => s with
            {
                Joints = [joint.Id],
                Step = s.Step with { How = $"{s.Step.How} {DrillingSteps.Sizes(rows)}".TrimEnd() }
            }));
            all.AddRange(mine.Count > 0 ? drilled.Where(s => s.Step.Work == Work.Tap && !mine.Exists(m => m.Step.Tools.Contains("tap")))
                : drilled);
            if (PluggingSteps.Sleeved(joint) is { } sleeved)
                all.Add(sleeved);
            if (PluggingSteps.Plugged(joint) is { Step.Work: not Work.Glue } plugged)
                all.Add(plugged);
        }
        all.AddRange(holes.Where(h => h.Joint.Length == 0 && h.Sort == HoleSort.Clearance).Select(DrillingSteps.DrilledApart));
        all.AddRange(own.Where(s => s.Step.Work is Work.Drill && !b.Joints.Any(j => j.Id == s.Step.Joint)));
        all.AddRange(Sorted(own, Work.Tap, Work.Pad));
        if (all.Exists(s => s.Step.Work is >= Work.Cut and <= Work.Pad))
            all.Add(new(StationId.Rig, JoiningSteps.DryFit));
        if (PlaceSteps.Behind(b) is { } behind)
            all.Add(behind);
        all.AddRange(own.Exists(s => s.Step.Work == Work.TryOn) ? Sorted(own, Work.TryOn) : [PlaceSteps.TryOn(b)]);
        for (var i = 0; i < b.Parts.Count; i++)
            if (CuttingSteps.Trimmed(b.Parts[i], i) is { } trim)
                all.Add(trim);
        all.AddRange(b.Joints.Select(PluggingSteps.Plugged).OfType<StationStep>().Where(s => s.Step.Work == Work.Glue));
        // A screw that glue covers goes in with it.
        all.AddRange(Sorted(own, Work.Glue).Select(s => b.Joints.Any(j => j.Id == s.Step.Joint) ? s with { Joints = [s.Step.Joint] } : s));
        all.AddRange(Chain(b, own, Fits));
        var placed = Linked(b, all);
        return b.Rig.Bench?.Lines?.Values.Any(l => l.Is is PartIs.Donor or PartIs.MadeForMe) == true
            ? Linked(b, AsComeBy(b, all, Lines(b, placed), holes)) : placed;
    }

    /// <summary>The steps by how parts are come by: donors are stripped first, and nobody cuts, bends or drills what is made for
    /// them.</summary>
    private static List<StationStep> AsComeBy(BuiltRig b, List<StationStep> all, IReadOnlyList<PartLine> lines,
        IReadOnlyList<HoleRow> holes)
    {
        bool Is(int part, PartIs how) => part >= 0 && lines.Any(l => l.Is == how && l.Pieces.Contains(b.Parts[part].Id));
        var finished = Enumerable.Range(0, b.Parts.Count).Where(i => Is(i, PartIs.MadeForMe)).ToList();
        // Layers of joints that are drilled in what comes finished.
        var drilled = finished.SelectMany(i => (b.Parts[i].Sheet?.Holes.Select(h => h.Layer) ?? [])
            .Concat(b.Parts[i].Cut?.Holes.Select(h => h.Layer) ?? [])
            .Select(layer => (b.Parts[i].Station, layer))).ToHashSet();
        bool Spared(StationStep s) => s.Step.Work switch
        {
            Work.Cut or Work.Bend or Work.Trim => finished.Contains(s.Part),
            Work.Drill or Work.Tap => s.Joints.Count > 0 && holes.Where(h => s.Joints.Contains(h.Joint)).All(h =>
                drilled.Any(d => d.layer == h.Layer && (d.Station == h.Station || RigPath.Of(d.Station) == RigPath.Of(h.Station)))),
            _ => false,
        };
        var kept = all.FindAll(s => !Spared(s));
        var donors = lines.Where(l => l.Is == PartIs.Donor).Select(CuttingSteps.Stripped).ToList();
        kept.InsertRange(kept.FindLastIndex(s => s.Step.Work <= Work.Strip) + 1, donors);
        return kept;
    }

    /// <summary>What goes on each other, from the host upwards, then what helps and what is set.</summary>
    private static IEnumerable<StationStep> Chain(BuiltRig b, List<StationStep> own, Func<ScrewJoint, bool> fits)
    {
        // What a later part covers, or nobody gets at any more, goes in first.
        foreach (var joint in b.Joints.Where(j => j.First && !j.Included && !fits(j)))
            yield return JoiningSteps.Fitted(joint);
        foreach (var joint in b.Joints.Where(j => j.Station == StationId.Base && !j.First && !fits(j)))
            yield return JoiningSteps.Fitted(joint);
        foreach (var step in own.Where(s => s.Station == StationId.Base && s.Step.Work is Work.Place or Work.Fit))
            yield return step.Step.Joint.Length > 0 ? step with { Joints = [step.Step.Joint] } : step;
        // Lines to the host are made fast before anything stands on the base; those that end on the reach once it is there.
        foreach (var tether in b.Tethers.Where(t => t.Choice.To.Anchor != AnchorEnd.OnReach))
            yield return TyingSteps.Tethered(tether);
        foreach (var path in b.Rig.Second is null ? [RigPath.First] : (RigPath[])[RigPath.First, RigPath.Second])
            foreach (var station in path.Stations.Reverse())
            {
                foreach (var joint in b.Joints.Where(j => j.Station == station && !j.Included && !j.First && !fits(j)))
                    yield return JoiningSteps.Fitted(joint);
                foreach (var join in b.Joins.Where(j => j.Station == station && j.Joint is null && !IsCamera(station)))
                    yield return JoiningSteps.Snapped(join);
                foreach (var step in own.Where(s => s.Station == station && s.Step.Work is Work.Place or Work.Fit))
                    yield return step.Step.Joint.Length > 0 ? step with { Joints = [step.Step.Joint] } : step;
                if (!path.IsSecond && station.Family == "reach")
                    foreach (var tether in b.Tethers.Where(t => t.Choice.To.Anchor == AnchorEnd.OnReach))
                        yield return TyingSteps.Tethered(tether);
            }
        foreach (var step in own.Where(s => s.Step.Work == Work.Brace))
            yield return step;
        foreach (var strap in b.Rig.Straps)
            yield return TyingSteps.Strapped(b, strap, StationId.Strap(strap.Id));
        // Its screw and washers go on with it.
        foreach (var part in b.Parts.Where(p => IsCamera(p.Station) && p.Sort == PieceSort.Own).DistinctBy(p => p.Station))
        {
            var (screws, camera) = (b.Joints.Where(j => j.Station == part.Station).ToList(), b.CameraOf(part.Station));
            yield return CameraSteps.Camera(part.Station, part.Name, screws.FirstOrDefault(), camera.Body,
                b.Tethers.Any(t => t.Choice.From == RigPath.Of(part.Station).CameraPoint)) with
            { Joints = [.. screws.Select(j => j.Id)] };
            if (camera.InShoe is { } shoe)
                yield return CameraSteps.InShoe(part.Station, shoe.Row, RigPath.Of(part.Station).IsSecond ? b.Rig.Second!.Camera
                    : b.Rig.Camera);
        }
        if (PlaceSteps.Balanced(b) is { } balanced)
            yield return balanced;
        foreach (var step in own.Where(s => s.Step.Work == Work.Set))
            yield return step;
        yield return new(StationId.Rig, CameraSteps.Level);
        yield return new(StationId.Rig, LastSteps.Check(b));
        if (Supplies.IsPainted(b.Parts))
            yield return new(StationId.Rig, LastSteps.Paint);
    }

    /// <summary>What the rig's kinds say of themselves.</summary>
    private static IEnumerable<StationStep> OfKinds(BuiltRig b)
    {
        IEnumerable<StationStep> Of(StationId station, StationKind kind) => kind.Steps(b, RigPath.Of(station))
            .Select(s => new StationStep(station, s));
        var rig = b.Rig;
        return
        [
            .. Of(StationId.Base, rig.Base), .. Of(RigPath.First.Reach, rig.Reach),
            .. Of(StationId.Isolator, rig.Isolator), .. Of(RigPath.First.Head, rig.Head),
            .. rig.Second is not { } second ? (StationStep[])[]
                : [.. Of(RigPath.Second.Reach, second.Reach), .. Of(RigPath.Second.Head, second.Head)],
            .. rig.Braces.SelectMany(x => Of(StationId.Brace(x.Id), x)),
        ];
    }

    private static IEnumerable<StationStep> Sorted(List<StationStep> own, params Work[] works) =>
        works.SelectMany(w => own.Where(s => s.Step.Work == w));

    private static bool IsCamera(StationId station) => station.Family == "camera";

    /// <summary>Nothing goes on before these are right.</summary>
    private static bool IsHoldPoint(Work w) => w is Work.DryFit or Work.TryOn or Work.Check;

    /// <summary>Each once, and none that another begins with.</summary>
    private static List<string> Cautions(IEnumerable<string> said)
    {
        var all = said.Where(t => t.Length > 0).Distinct().ToList();
        return all.FindAll(t => !all.Exists(o => o != t && o.StartsWith(t.TrimEnd('.'), StringComparison.Ordinal)));
    }

    private static bool IsBench(Work w) => w is >= Work.Cut and <= Work.Pad;

    /// <summary>
    /// What a step is called: its work, the row, the kind that stands there and what it works on, so that what was done on one plate is
    /// not taken for another's.
    /// </summary>
    private static string NameOf(BuiltRig b, StationStep s)
    {
        var kind = DocumentPath.Of(b.Rig, s.Station)?.Kind is { } of ? Kind.InfoOf(of.GetType()).Id : "";
        var what = s.Part >= 0 ? b.Parts[s.Part].Id.Name : s.Tether?.Id ?? (s.Step.Piece.Length > 0 ? s.Step.Piece : s.Step.Joint);
        return string.Join('.', new[] { JsonNamingPolicy.KebabCaseLower.ConvertName(s.Step.Work.ToString()), s.Station.ToString().Replace(':', '.'),
            kind, what }
            .Where(w => w.Length > 0));
    }

    /// <summary>Gives each its id and what must be done before it.</summary>
    private static List<Placed> Linked(BuiltRig b, List<StationStep> all)
    {
        var (counts, before) = (new Dictionary<string, int>(), new Dictionary<string, int>());
        var placed = new List<Placed>();
        for (var i = 0; i < all.Count; i++)
        {
            var s = all[i];
            var name = NameOf(b, s);
            var earlier = $"{JsonNamingPolicy.KebabCaseLower.ConvertName(s.Step.Work.ToString())}.{s.Station.ToString().Replace(':', '.')}";
            placed.Add(new(Counted(counts, name), Counted(before, earlier), s, Before(all, i)));
        }
        return placed;
    }

    private static string Counted(Dictionary<string, int> counts, string name) =>
        (counts[name] = counts.GetValueOrDefault(name) + 1) is > 1 and var n ? $"{name}.{n}" : name;

    private static List<int> Before(List<StationStep> all, int at)
    {
        var (step, work) = (all[at], all[at].Step.Work);
        bool Precedes(int i)
        {
            var (other, w) = (all[i], all[i].Step.Work);
            var same = other.Station == step.Station || step.Station == StationId.Rig || other.Station == StationId.Rig
                || other.Joints.Any(step.Joints.Contains);
            return work switch
            {
                Work.LookOver or Work.Strip => false,
                Work.Measure => w == Work.LookOver,
                Work.Cut => w is Work.Measure or Work.LookOver || (w == Work.Strip && same),
                Work.Deburr => w == Work.Cut,
                Work.Bend => w is Work.Cut or Work.Deburr && same,
                Work.Join => (w is Work.Cut or Work.Bend && same) || w == Work.Deburr,
                Work.Drill => (w is Work.Cut or Work.Bend or Work.Join && same) || w == Work.Deburr,
                Work.Tap => w == Work.Drill && same,
                Work.Pad => w is Work.Cut or Work.Drill or Work.Tap or Work.Bend && same,
                Work.DryFit => IsBench(w) || w == Work.Strip,
                Work.TryOn => w is Work.DryFit or Work.LookOver or Work.Measure or Work.Strip,
                Work.Trim => w is Work.TryOn or Work.DryFit,
                Work.Glue => w is Work.TryOn or Work.DryFit || (w == Work.Trim && same),
                // Fitting goes on one after the other, for each stands on the one before.
                Work.Place or Work.Fit => w is Work.TryOn or Work.DryFit or Work.Glue or Work.Place or Work.Fit || (w == Work.Trim && same),
                Work.Brace or Work.Strap or Work.Tether => w is Work.Place or Work.Fit || (w == Work.Trim && same),
                Work.Camera => w is Work.Tether or Work.Place or Work.Fit or Work.Brace or Work.Strap,
                Work.Set => w is Work.Camera or Work.Set,
                Work.Check => w is Work.Set or Work.Camera,
                _ => w == Work.Check,
            };
        }
        return [.. Enumerable.Range(0, at).Where(Precedes)];
    }

    /// <summary>What is put together before the base goes on the host is put together at the bench.</summary>
    private static bool OnHost(IReadOnlyList<Placed> steps, Placed p) => p.Of.Step.Work switch
    {
        Work.LookOver or Work.Measure or Work.TryOn => true,
        Work.Finish or Work.Trim => false,
        Work.Fit => steps.TakeWhile(s => s != p).Any(s => s.Of.Step.Work == Work.Place),
        var w => w >= Work.Place,
    };

    /// <summary>The list, each line with the step that it goes in at.</summary>
    public static IReadOnlyList<PartLine> Lines(BuiltRig b, IReadOnlyList<Placed> steps) => Purse.Of(b.Rig.Bench, b.Stock,
    [
        // Four magnets are one line: the same thing, put in at the same step.
        .. b.Parts.Select((p, i) => (Part: p, Step: GoesInAt(b, p, i, steps))).Where(x => x.Part.Sort != PieceSort.Caught)
            .GroupBy(x => (x.Part.Station, x.Part.Name, x.Part.Sort, x.Part.Row, x.Part.Joint, x.Part.Mass, x.Part.Price, x.Step))
                .Select(g =>
            {
                var (p, quantity) = (g.First().Part, g.Sum(x => x.Part.Quantity));
                return new PartLine(p.Id.ToString(), p.Station, p.Name, p.Sort, p.Aisle, quantity, p.Mass * quantity, p.Price * quantity,
                    p.Row, p.Joint,
                    g.Key.Step)
                { Length = p.Sort == PieceSort.Cut ? p.Cut?.Length + p.Cut?.Long : null, Pieces = [.. g.Select(x => x.Part.Id)] };
            }),
    ]);

    private static string GoesInAt(BuiltRig b, RigPart part, int index, IReadOnlyList<Placed> steps)
    {
        Placed? First(Func<StationStep, bool> is_) => steps.FirstOrDefault(s => is_(s.Of));
        var joined = b.Joins.FirstOrDefault(j => j.Station == part.Station)?.Joint;
        var at = First(s => s.Part == index)
            ?? First(s => s.Station == part.Station && part.Row is { } row && s.Step.Takes.Contains(row))
            // A plug is drilled before it is pinned, and pinned before it is screwed to anything.
            ?? (part.Row != Maker.PlugRow ? null : First(s => part.Joint is { } own && s.Joints.Contains(own) && s.Step.Work != Work.Cut))
            ?? (part.Joint is not { } joint ? null
                : First(s => s.Joints.Contains(joint) && s.Step.Work is Work.Fit or Work.Place) ?? First(s => s.Joints.Contains(joint)))
            ?? First(s => s.Station == part.Station && s.Step.Work is Work.Place)
            ?? First(s => s.Station == part.Station && s.Step.Work is Work.Fit or Work.Brace or Work.Strap or Work.Tether or Work.Camera)
            ?? (joined is null ? null : First(s => s.Joints.Contains(joined) && s.Step.Work is Work.Fit or Work.Place))
            ?? First(s => s.Station == part.Station)
            ?? First(s => s.Step.Work == Work.Place) ?? steps[^1];
        return at.Id;
    }

    /// <summary>The steps with their times and all that belongs to them.</summary>
    public static IReadOnlyList<PlanStep> Timed(
        IReadOnlyList<Placed> steps, IReadOnlyList<PartLine> lines, BuiltRig b, IReadOnlyList<CutGroup> cuts, IReadOnlyList<HoleRow> holes,
        DateTime? now, WorkingHours hours)
    {
        var asked = steps.ToDictionary(s => s.Id, s => AsBuilt.At(b, s.Of, holes));
        var made = steps.ToDictionary(s => s.Id, s => MadeMeasures.Of(b, s.Of, holes, asked[s.Id], b.Rig.Made?.GetValueOrDefault(s.Id)));
        double? DoneAt(Placed p) => now is { } clock && IsDone(p) && b.Rig.Made?.GetValueOrDefault(p.Id)?.Time is { } at
            ? Math.Min(0, (at - clock).TotalSeconds) : null;
        (double Start, double End, double Done)[] When(IEnumerable<double?> done) =>
            Schedule.Of([.. steps.Select(s => 60 * s.Of.Step.Minutes)],
            [.. steps.Select(s => s.Of.Step.Wait)], [.. steps.Select(s => (IReadOnlyList<int>)s.After)], [.. done], hours);
        var times = When(steps.Select(DoneAt));
        // Numbered as one would do them from the beginning, whatever is done by now.
        var first = When(new double?[steps.Count]);
        var order = new int[steps.Count];
        foreach (var (i, n) in Enumerable.Range(0, steps.Count).OrderBy(i => first[i].Start).ThenBy(i => first[i].End).Select((i, n) => (i, n)))
            order[i] = n + 1;
        return [.. steps.Select((s, i) => Plan(s, i, times[i], [.. lines.Where(l => l.Steps.Any(at => at.Step == s.Id))]))
            .OrderBy(s => s.Number)];

        // Nothing goes on an aircraft, under a line or over people before it is answered.
        IEnumerable<string> Unanswered(Work work) => work is not (Work.Place or Work.TryOn) ? []
            : Questions.Of(b.Rig, b.Host).Where(q => q.Answer != Hosts.Answer.Yes)
                .Select(q => $"Not before this is answered with yes: {q.Ask}");

        // Done is what was done to the measures that are drawn now; what nobody kept the measures of is asked about.
        bool WasDone(Placed p) => b.Rig.Made is { } all && (all.GetValueOrDefault(p.Id) ?? all.GetValueOrDefault(p.Earlier))?.At
            is not null;
        bool AsDrawn(Placed p) => b.Rig.Made?.GetValueOrDefault(p.Id) is { At: not null } done
            && (made[p.Id].Count == 0 || done.As is not null) && !made[p.Id].Any(m => m.Differs);
        // What was drilled or bent in a piece that is cut anew was done to the old one.
        bool IsDone(Placed p) => AsDrawn(p) && (p.Of.Step.Work is not (Work.Drill or Work.Tap or Work.Bend)
            || steps.Where(c => c.Of.Step.Work == Work.Cut && c.Of.Part >= 0 && WorksOn(p.Of, b.Parts[c.Of.Part])).All(AsDrawn));
        bool WorksOn(StationStep step, RigPart piece) => (step.Part >= 0 && b.Parts[step.Part].Id == piece.Id)
            || (piece.Sheet?.Holes.Select(h => (h.Layer, h.Joint)) ?? piece.Cut?.Holes.Select(h => (h.Layer, h.Joint)) ?? []).Any(h =>
                h.Joint is { } own ? step.Joints.Contains(own)
                    : holes.Any(r => step.Joints.Contains(r.Joint) && r.Layer == h.Layer && r.Station == piece.Station));

        // All that precedes it, near and far.
        HashSet<int> Before(int index)
        {
            var all = new HashSet<int>();
            var open = new Stack<int>(steps[index].After);
            while (open.TryPop(out var at))
                if (all.Add(at))
                    foreach (var earlier in steps[at].After)
                        open.Push(earlier);
            return all;
        }

        PlanStep Plan(Placed p, int index, (double Start, double End, double Done) time, List<PartLine> parts)
        {
            var (step, work) = (p.Of.Step, p.Of.Step.Work);
            var tools = step.Tools.Distinct().Select(t => b.Stock.Find<ToolRow>("tools", t)).ToList();
            string[] bars = p.Of.Part >= 0 && b.Parts[p.Of.Part].Row is { } row && cuts.Any(c => c.Row == row) && work == Work.Cut ? [row]
                : [];
            return new(p.Id, p.Of.Station.ToString(), work, KindDescriptors.LabelOf(typeof(Work), work.ToString()), step.Title, step.How,
                OnHost(steps, p) ? WorkPlace.Host : WorkPlace.Bench,
                work is Work.TryOn or Work.Camera or Work.Set or Work.Check, IsHoldPoint(work), step.Crew, step.Minutes, step.Wait,
                [.. tools.Select(t => new ToolUse(t.Id, t.Name, b.Rig.Bench?.Tools?.GetValueOrDefault(t.Id) ?? ToolFrom.Own))],
                Cautions([.. Unanswered(work), step.Beware, .. tools.Select(t => t.Beware)]), step.Wrong,
                [.. p.After.Select(a => steps[a].Id)], time.Start, time.End, time.Done, [.. parts.Select(l => l.Id)], p.Of.Joints, bars, p.Of.Readings)
            {
                Number = order[index],
                Built = asked[p.Id],
                IsDone = IsDone(p),
                MadeAs = made[p.Id],
                IsOutdated = WasDone(p) && !IsDone(p),
                Earlier = p.Earlier,
                HeldBy = IsDone(p) ? null : Before(index).Order().Select(a => steps[a])
                    .FirstOrDefault(a => IsHoldPoint(a.Of.Step.Work) && !IsDone(a))?.Id,
            };
        }
    }
}
