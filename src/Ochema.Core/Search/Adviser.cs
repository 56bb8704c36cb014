using Ochema.Core.Assessment;
using Ochema.Core.Hosts;
using Ochema.Core.Kinds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Search;

/// <summary>Tries single changes on the rig and says what each would give. Nothing here is canned: every line was computed.</summary>
public static class Adviser
{
    private const int Most = 5;

    /// <summary>So many of those that gain most are looked at in full.</summary>
    private const int Tried = 8;

    /// <summary>Longest list that is read to its end.</summary>
    private const int MostShown = 16;

    /// <summary>Uses that differ by less are the same.</summary>
    private const double Same = 0.01;

    /// <summary>The whole report of a rig, with the best single changes tried.</summary>
    /// <exception cref="Json.DocumentException">The rig names something that does not exist on its host.</exception>
    public static AssessmentReport Assess(RigDocument rig, Catalogue stock) =>
        Assessor.Assess(rig, stock) with { Advice = Best(rig, stock) };

    /// <summary>The best single changes: what is missing first, then by limit speed gained, then by use.</summary>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<Change> Best(RigDocument rig, Catalogue stock, CancellationToken stop = default) =>
        [.. Kept(rig, stock, stop), .. Loads(rig, stock, stop)];

    /// <summary>Each change with what it gains and what it costs against the rig as it is.</summary>
    /// <param name="offered">True to leave out what gains nothing, or lets go where the rig does not.</param>
    private static IReadOnlyList<Change> Weighed(RigDocument rig, IEnumerable<Change> changes, bool offered, Catalogue stock,
        CancellationToken stop)
    {
        var list = changes.ToList();
        if (list.Count == 0)
            return [];
        var now = Assessor.Assess(rig, stock);
        return Trials.Each(list, c =>
        {
            var with = Assessor.Assess(c.Document, stock);
            var worth = Worth.Of(now, with);
            // Its limit is the one that it will have: what keeps its pieces is part of it as the loads are.
            return offered && (!worth.Helps || worth.Harms) ? null
                : c with { Gains = worth.Gains, Trades = worth.Trades, LimitSpeed = with.Verdict.LimitSpeed };
        }, stop);
    }

    /// <summary>A tether where a piece is kept by too little, when that mends the verdict.</summary>
    private static IEnumerable<Change> Kept(RigDocument rig, Catalogue stock, CancellationToken stop)
    {
        var now = Judged.Of(rig, stock);
        if (now.Moves || now.Verdict.Why != Why.Missing)
            yield break;
        var b = now.Model.Built;
        foreach (var few in now.Retentions.Where(r => r.Has < r.Needs && rig.Braces.All(x => Responses.StationId.Brace(x.Id) != r.Station))
            .OrderByDescending(r => b.MassFrom(r.Station)).Take(1))
            if (TetherPlan.For(b, few.Station, rig.Run.Speed) is { } plan
                && Compare(rig, TetherPlan.With(b, plan.Tether), "tether", "tether", $"A tether: {plan.Says}", stock, stop) is { } change)
                foreach (var weighed in Weighed(rig, [change], false, stock, stop))
                    yield return weighed;
    }

    private static IReadOnlyList<Change> Loads(RigDocument rig, Catalogue stock, CancellationToken stop)
    {
        var now = Assessor.Quick(rig, stock, modes: true);
        return [.. Weighed(rig, Judge(stock, Try(stock, Candidates(rig, stock), now, stop)
            // What is stiffer and lets go for it is no help.
            .Where(c => Gain(c, now) || ((c.FirstFrequency ?? 0) > 1.3 * (now.Frequency ?? double.MaxValue)
                && (c.Use <= 1 || c.Use <= now.Use + Same)))
            .OrderByDescending(c => c.LimitSpeed ?? double.MaxValue).ThenBy(c => c.Use)
                .ThenByDescending(c => c.FirstFrequency).ThenBy(c => c.Id, StringComparer.Ordinal).Take(Tried), stop), true, stock, stop)
                    .Take(Most)];
    }

    /// <summary>The other kinds and sizes for a station, each computed.</summary>
    /// <exception cref="OperationCanceledException">Whoever asked has gone on.</exception>
    public static IReadOnlyList<Change> Alternatives(RigDocument rig, string station, Catalogue stock, CancellationToken stop = default)
    {
        if (station == "tether")
            return [.. Tethers(rig, stock, stop)];
        var now = Assessor.Quick(rig, stock, modes: false);
        return Weighed(rig, Judge(stock, Try(stock, Instead.Of(rig, station, stock), now, stop)
            .OrderByDescending(c => c.LimitSpeed ?? double.MaxValue)
            .ThenBy(c => c.Use).ThenBy(c => c.Id, StringComparer.Ordinal).Take(MostShown), stop), false, stock, stop);
    }

    /// <summary>The best tether for each place that one can be tied to.</summary>
    private static IEnumerable<Change> Tethers(RigDocument rig, Catalogue stock, CancellationToken stop)
    {
        var b = RigAssembly.Build(rig, stock);
        foreach (var (point, station, name) in new[] { (TetherPoint.Camera, RigPath.First.Camera, "the camera"),
            (TetherPoint.SecondCamera, RigPath.Second.Camera, "the second camera"), (TetherPoint.Head, RigPath.First.Head, "the head"),
                (TetherPoint.Reach, RigPath.First.Reach, "the reach") })
            if ((point != TetherPoint.SecondCamera || rig.Second is not null)
                && TetherPlan.Best(b, point, b.MassFrom(station), rig.Run.Speed) is { } plan
                && Compare(rig, TetherPlan.With(b, plan.Tether), $"tether-{station}", "tether", $"From {name}: {plan.Says}", stock, stop)
                    is { } change)
                yield return change;
    }

    /// <summary>What another document would give against this one; null when it does not fit.</summary>
    internal static Change? Compare(
        RigDocument rig, RigDocument changed, string id, string station, string title, Catalogue stock, CancellationToken stop = default) =>
        Judge(stock, Try(stock, [(id, station, title, changed)], Assessor.Quick(rig, stock, modes: false), stop), stop).FirstOrDefault();

    /// <summary>The changes that are shown, each with the verdict that taking it would give: what is missing or refused counts there
    /// too.</summary>
    private static IEnumerable<Change> Judge(Catalogue stock, IEnumerable<Change> changes, CancellationToken stop) =>
        Trials.Each(changes, c => Assessor.VerdictOf(c.Document, stock) is var v
            ? c with { Verdict = v.Word, LimitSpeed = v.LimitSpeed, Why = v.Why, Because = v.Why is Why.Refused or Why.Moves ? v.Text : "" }
                : c, stop,
                after: 1);

    private static bool Gain(Change c, (double? LimitSpeed, double Use, double Mass, double Cost, double? Frequency) now) =>
        (c.LimitSpeed ?? double.MaxValue) > (now.LimitSpeed ?? double.MaxValue) + 0.3 || c.Use < now.Use - 0.02;

    private static IReadOnlyList<Change> Try(Catalogue stock, IEnumerable<(string Id, string Station, string Title,
        RigDocument Changed)> candidates,
        (double? LimitSpeed, double Use, double Mass, double Cost, double? Frequency) now, CancellationToken stop) =>
        Trials.Each(candidates, c => Assessor.Quick(c.Changed, stock, modes: true) is var q
            ? new Change(c.Id, c.Station, c.Title, q.LimitSpeed, q.Use, Assessment.Judge.Of(q.Use),
                q.Mass - now.Mass, q.Cost - now.Cost, q.Frequency, c.Changed) : null, stop, after: 2);

    /// <summary>What is laid on the feet of something that tips, kg (common practice, no source).</summary>
    private const double Bag = 10;

    /// <summary>Beyond this in all a bag more is not thought of, kg (judgement).</summary>
    private const double MostWeighs = 100;

    private static readonly bool[] Both = [true, false];
    private static readonly int[] Signs = [1, -1];

    /// <summary>How far it is tried to be moved on its place, m.</summary>
    private static readonly double[] Shifts = [0.1, 0.2, 0.3, 0.45];

    private static string Towards(Vec3 way) => Math.Abs(way.X) >= Math.Max(Math.Abs(way.Y), Math.Abs(way.Z)) ? way.X > 0 ? "forward"
        : "back"
        : Math.Abs(way.Y) >= Math.Abs(way.Z) ? way.Y > 0 ? "to the left" : "to the right" : way.Z > 0 ? "up" : "down";

    internal static IEnumerable<(string Id, string Station, string Title, RigDocument Changed)> Candidates(RigDocument rig, Catalogue stock)
    {
        foreach (var (move, station, changed) in Moves.Of(rig, stock))
            yield return (move.Id, station, move.Title, changed);
        var built = RigAssembly.Build(rig, stock);
        // What is refused where it stands may go a little further along.
        if (built.Findings.Any(f => f.Blocks))
            foreach (var (along, by) in from far in Shifts from along in Both from sign in Signs select (along, sign * far))
            {
                double[] at = [rig.At[0] + (along ? by : 0), rig.At[1] + (along ? 0 : by)];
                if (Math.Abs(at[0]) > built.Surface.HalfU || Math.Abs(at[1]) > built.Surface.HalfV)
                    continue;
                var way = (along ? built.Surface.U : built.Surface.V) * Math.Sign(by);
                yield return ($"moved-{(along ? "along" : "across")}-{by * 100:0}", "site",
                    $"Moved {QuantityText.Of(Math.Abs(by), Dimension.Length)} {Towards(way)}",
                    rig with { At = at });
            }
        if (built.Joints.Where(j => !j.Sleeved && j.Layers.Any(l => l.Hollow is not null)).Select(j => j.Id).ToHashSet()
            is { Count: > 0 } hollow)
            yield return ("sleeves", "rig", hollow.Count == 1 ? "A sleeve round the bolt inside the tube"
                : "Sleeves round the bolts inside the tubes", rig with
                {
                    Joints = rig.Joints.Keys.Union(hollow).ToDictionary(id => id, id => (rig.Joints.TryGetValue(id, out var own) ? own : new())
                        is var choice
                        && hollow.Contains(id) ? choice with { Sleeve = Answer.Yes } : choice),
                });
        if (HostLibrary.Find(rig.Host)?.StandingAt(rig.Site) is { } carrier && (rig.Site.Weighs ?? carrier.Mass) + Bag is var heavier and
            <= MostWeighs)
            yield return ("ballast", "site", $"A bag of {QuantityText.Of(Bag, Dimension.Mass)} on the {carrier.Noun}'s feet",
                rig with { Site = rig.Site with { Weighs = heavier } });
        foreach (var (id, title, changed) in Instead.Braces(rig, stock))
            yield return (id, "braces", title, changed);
        foreach (var (id, title, changed) in Instead.Straps(rig, stock))
            yield return (id, "straps", title, changed);
        foreach (var c in Instead.Of(rig, "head", stock).Where(c => c.Changed.Head.GetType() == rig.Head.GetType()).Take(2))
            yield return c;
    }
}
