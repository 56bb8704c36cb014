using System.Collections.Concurrent;
using Ochema.Core.Analysis;
using Ochema.Core.Checks;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Assessment;

/// <summary>What happens when something lets go: each hold, any two of them, each link of the path, each brace and strap, all straps, all
/// holds.</summary>
/// <param name="alone">The rig of which all holds are gone, being made; null where no strap would keep it.</param>
internal sealed class LetGo(RigModel model, IReadOnlyList<RigCase> driving, Task<RigModel>? alone)
{
    private readonly BuiltRig b = model.Built;
    private readonly ConcurrentDictionary<int, bool> governing = [];

    /// <summary>What is kept of each state from speed to speed: its uses where it was looked at, and its limit speed, which no other speed
    /// changes.</summary>
    private readonly ConcurrentDictionary<string, Kept> kept = [];
    private double speed;
    private double intactUse;
    private double? intactLimit;

    private sealed class Kept(LimitSpeed limits)
    {
        public LimitSpeed Limits { get; } = limits;
        public (double? Speed, string? By, bool Known) Found { get; set; }
    }

    /// <summary>Cases in which nothing is overcome but the grip of holds along their panel: what breaks does not mend when straps
    /// slacken.</summary>
    private readonly ConcurrentDictionary<string, bool> onlySlides = [];

    /// <summary>What was asked to be drawn.</summary>
    private string shows = "";

    /// <summary>How the state that was asked for stands; null where it does not, or is not one of these.</summary>
    public StateShape? Shape { get; private set; }

    /// <summary>Works out the responses of the states that any speed asks for: the whole rig is looked at meanwhile.</summary>
    public void Prepare()
    {
        foreach (var c in LetGoCases.Of(b))
            model.State(c.Gone);
    }

    /// <summary>All states with something gone, the whole rig left out. They share nothing but the factored rig, so they are worked out
    /// side by side.</summary>
    /// <param name="at">Speed that is asked about, m/s.</param>
    /// <param name="use">Highest use of the whole rig there.</param>
    /// <param name="limit">Its limit speed, m/s.</param>
    /// <param name="forWord">Only those that decide the word of the verdict: each hold of the base, and the straps alone.</param>
    /// <param name="shown">The case whose shape is wanted.</param>
    public IEnumerable<LetGoReport> All(double at, double use, double? limit, bool forWord, string shown)
    {
        (speed, intactUse, intactLimit, shows, Shape) = (at, use, limit, shown, null);
        governing.Clear();
        onlySlides.Clear();
        // Where three things have to keep a piece, a second spare hold is one of them.
        var spares = FactorTable.Retentions(b.Rig.Run.Consequence) > 2;
        var first = LetGoCases.Of(b).Where(c => !forWord || c.Kind == "hold").ToList();
        var tasks = first.Select(c => (Func<LetGoReport>)(() =>
                Judged(model, model.State(c.Gone), c, Carrying(b, x => !c.Gone.Contains(x.Part) && x.Station != c.Station),
                    Caught(c), intactLimit, intactUse)))
            .Concat(forWord ? [] : LetGoCases.Links(b).Select(c => (Func<LetGoReport>)(() => Link(c))))
            .Prepend(StrapsAlone).ToList();
        var reports = SideBySide(tasks.Count, i => tasks[i]());
        var after = first.TakeWhile(c => c.Kind == "hold").Count();
        if (first.Select((c, i) => (c, i)).FirstOrDefault(p => p.c.Kind == "holds-alone") is ({ }, var i0) && reports[1 + i0]
            is { Use: <= 1 } holds)
            for (var i = 0; i < first.Count; i++)
                if (first[i].Kind == "strap" && reports[1 + i].Use > 1 && onlySlides.ContainsKey(first[i].Id))
                    reports[1 + i] = Shifted(reports[1 + i], holds);
        var pairs = (!forWord || spares) && Pairs() is { } pair ? [pair] : (LetGoReport[])[];
        return [.. reports[1..(1 + after)], .. pairs, .. reports[(1 + after)..], reports[0]];
    }

    /// <summary>The cases of a state: heavier by as much as what is left catches, where the rig drops onto it.</summary>
    private IReadOnlyList<RigCase> Caught(LetGoCase c)
    {
        var times = b.Holds.FirstOrDefault(h => h.Id == c.Id)?.Catches() ?? 1;
        return times <= 1 ? driving : [.. driving.Select(x => x with { Field = times * x.Field, Bumped = times * x.Bumped,
            Caught = times })];
    }

    /// <summary>
    /// One strap gone, the others drag the base: what drags is their own pretension, which is gone once the base has slid a few
    /// millimetres. Where the holds alone carry the run, it shifts and does not fall.
    /// </summary>
    private static LetGoReport Shifted(LetGoReport dragged, LetGoReport alone) => dragged with
    {
        Use = 1,
        Verdict = Judge.Of(1),
        LimitSpeed = alone.LimitSpeed,
        Says = "it shifts until the other straps have slackened; then the holds alone carry it",
        Uses = alone.Uses.ToDictionary(u => u.Key, u => Math.Min(1, Math.Max(u.Value, dragged.Uses.GetValueOrDefault(u.Key)))),
    };

    private LetGoReport Judged(RigModel of, StateResponse state, LetGoCase c, List<Check> checks,
        IReadOnlyList<RigCase> cases, double? noFaster, double noBetter, bool last = false)
    {
        if (state.Mechanism is { } m)
            return new(c.Id, c.Kind, c.Title, c.Gone, Check.MostUse, Verdict.LetsGo,
                0, $"nothing keeps it: the {Readable(b, m.Node)} can {m.Motion}", "", new Dictionary<string, double>())
            { Goes = EndsUp.Fallen(b, speed) };
        var own = kept.GetOrAdd(c.Id + string.Join(',', c.Gone), _ => new Kept(new LimitSpeed(of, state, cases)));
        var limits = own.Limits;
        limits.Forget();
        if (limits.Unstable(speed))
            return new(c.Id, c.Kind, c.Title, c.Gone, Check.MostUse, Verdict.LetsGo,
                limits.Find(checks, speed)?.Speed ?? 0, "no stable state with its slack straps", "", new Dictionary<string, double>());
        var uses = new Dictionary<string, double>();
        var upTo = Math.Clamp(noFaster ?? limits.Highest, speed, Math.Max(speed, limits.Highest));
        // Nothing else is under way when the last one is judged.
        if (last && !own.Found.Known)
            limits.LookAll(checks, speed, 0, upTo);
        var each = limits.Each(checks, speed);
        foreach (var (check, use) in checks.Zip(each))
        {
            var row = check.Station.ToString();
            uses[row] = Math.Max(use.Use, uses.GetValueOrDefault(row));
            if (c.Kind == "hold" && check.Station == StationId.Base)
                governing[use.Case] = true;
        }
        if (checks.Zip(each).All(p => p.Second.Use <= 1 || p.First is HoldSlides))
            onlySlides[c.Id] = true;
        var (worstCheck, (worst, worstCase)) = checks.Zip(each).ElementAt(Ties.Highest([.. each.Select(e => e.Use)]));
        // A rig with a part gone is never credited with more than the whole one.
        if (!own.Found.Known)
            own.Found = limits.Find(checks.FindAll(x => !x.Fixed), speed, upTo: upTo) is { } found
                ? (found.Speed, found.By.Check?.Title, true)
                : (null, null, true);
        worst = Math.Max(worst, noBetter);
        var f = limits.At(worstCase, speed)!;
        if (c.Kind != "intact" && Math.Max(of.Turned(state, f), of.Turned(state, limits.At(0, speed)!)) is
            > RigModelDocument.Tips and var turned)
            return c.Kind is "hold" or "two-holds" && b.Rig.Base.Hangs && worst <= 1
                // It is kept, and how it hangs then is nothing that was worked out for small turns.
                ? new(c.Id, c.Kind, c.Title, c.Gone, 1, Judge.Of(1), Lower(own.Found.Speed, noFaster),
                    "it swings over and hangs on what is left: the picture is lost, and nothing may be under it or beside it", "", uses)
                { Goes = EndsUp.On(b, c.Gone) }
                : new(c.Id, c.Kind, c.Title, c.Gone, Check.MostUse, Verdict.LetsGo, 0,
                    turned > 1 ? "what is left does not stand: it falls or swings away"
                        : $"what is left tips over by {QuantityText.Of(turned, Dimension.Angle)} and more", "",
                    uses)
                { Goes = EndsUp.Fallen(b, speed) };
        if (c.Id == shows)
            Shape = FigureBuilder.Shape(c.Id, of, state, f);
        return new(c.Id, c.Kind, c.Title, c.Gone, worst, Judge.Of(worst), Lower(own.Found.Speed, noFaster), worstCheck.Title,
            cases[worstCase].Label, uses)
        {
            Gives = own.Found.Speed is { } at && !(at > noFaster) ? own.Found.By : null,
        };
    }

    /// <summary>Any two holds gone: every pair in the cases that govern with one gone, and the worst pair in all of them.</summary>
    private LetGoReport? Pairs()
    {
        var holds = b.Holds.Where(h => h.Station == StationId.Base).ToList();
        if (holds.Count < 3)
            return null;
        var pairs = holds.SelectMany((h, i) => holds.Skip(i + 1).Select(o => (A: h, B: o))).ToList();
        var checks = b.Checks.Where(c => c.Station == StationId.Base && c is { Fixed: false, Reserve: false, Sort: CheckSort.Strength })
            .ToList();
        int[] cases = [.. governing.Keys.Order()];
        var uses = SideBySide(pairs.Count, i =>
        {
            string[] gone = [pairs[i].A.Id, pairs[i].B.Id];
            var state = model.State(gone);
            if (state.Mechanism is not null)
                return Check.MostUse;
            var limits = kept.GetOrAdd("pair " + string.Join(',', gone), _ => new Kept(new LimitSpeed(model, state, driving))).Limits;
            limits.Forget();
            return Hardest(limits, cases, checks, gone);
        });
        var worst = pairs[Ties.Highest(uses)];
        var pair = new LetGoCase("two-holds", "two-holds", $"Without any two holds ({worst.A.Label} and {worst.B.Label} are the worst)",
            [worst.A.Id, worst.B.Id]);
        return Judged(model, model.State(pair.Gone), pair,
            Carrying(b, x => !pair.Gone.Contains(x.Part)), driving, intactLimit, intactUse, last: true);
    }

    private double Hardest(LimitSpeed limits, int[] cases, List<Check> checks, string[] gone)
    {
        var use = 0.0;
        foreach (var c in cases)
        {
            if (limits.At(c, speed) is not { } f)
                return Check.MostUse;
            foreach (var check in checks)
                if (!gone.Contains(check.Part.Name))
                    use = Math.Max(use, check.Use(f));
            // A wing's row has hundreds of pairs.
            f.Release();
        }
        return use;
    }

    /// <summary>A link of the path gone: braces and straps beyond it may keep it, else a tether catches what comes off, or nothing
    /// does.</summary>
    private LetGoReport Link(LetGoCase c)
    {
        var helpers = b.Rig.Braces.Count + b.Rig.Straps.Count;
        if (helpers > 0 && model.State(c.Gone) is { Mechanism: null } state)
        {
            var joint = SpringOf(c.Id);
            return Judged(model, state, c, Carrying(b, x => x.Joint != joint), driving, intactLimit, intactUse);
        }
        var mass = b.MassFrom(c.Station);
        var best = Retention.Catching(b, c.Station, speed).OrderBy(t => t.Use).FirstOrDefault();
        if (best.Tether is null)
            return new(c.Id, c.Kind, c.Title, [], Check.MostUse, Verdict.LetsGo,
                0, $"nothing catches what is beyond, {QuantityText.Of(mass, Dimension.Mass)}", "", new Dictionary<string, double>())
            { Goes = EndsUp.Loose(b) };
        var fall = best.Tether.Hardest(b, mass, speed);
        var says = $"{Words.Inside(best.Tether.Name)} {(best.Use > 1 ? "breaks as it catches" : "catches")} "
            + $"{QuantityText.Of(mass, Dimension.Mass)}"
            + $" after {QuantityText.Of(fall.Drop, Dimension.Length)}, {QuantityText.Of(fall.Peak, Dimension.Force)}";
        return new(c.Id, c.Kind, c.Title, [], best.Use, Judge.Of(best.Use), null, says, "",
            new Dictionary<string, double> { ["tether"] = best.Use })
        { Goes = best.Use > 1 ? EndsUp.Loose(b) : EndsUp.On(b, best.Tether) };
    }

    private SpringIndex SpringOf(string id) => new(b.Model.Springs.ToList().FindIndex(s => s.Id == id));

    private LetGoReport StrapsAlone()
    {
        var rig = b.Rig;
        var holds = b.Holds.Select(h => h.Id.Name).ToList();
        var c = new LetGoCase("straps-alone", "straps-alone", "Straps alone", holds);
        if (rig.Straps.Count == 0)
            return new(c.Id, c.Kind, "All holds gone", holds, Check.MostUse, Verdict.LetsGo, 0, rig.Tethers.Count > 0
                ? "only the tether keeps the camera" : $"nothing keeps it on {b.Host.Called}", "", new Dictionary<string, double>());
        var rest = alone!.GetAwaiter().GetResult();
        return Judged(rest, rest.State([]), c, Carrying(rest.Built),
            [.. driving.Where(x => !x.Dynamic)], null, 0);
    }

    /// <summary>The checks that decide whether what is left lets go.</summary>
    private static List<Check> Carrying(BuiltRig of, Func<Check, bool>? also = null) =>
        [.. of.Checks.Where(x => !x.Reserve && x.Sort == CheckSort.Strength && (also is null || also(x)))];

    private static T[] SideBySide<T>(int count, Func<int, T> of)
    {
        var all = new T[count];
        Parallel.For(0, count, i => all[i] = of(i));
        return all;
    }

    /// <summary>A node in the user's words.</summary>
    public static string Readable(BuiltRig b, string node) =>
        b.Holds.FirstOrDefault(h => node == h.Id || (h.Node != h.Top.Node && node == b.NodeId(h.Top.Node))) is { } hold ? hold.Label
            : node.Replace('-', ' ');

    private static double? Lower(double? a, double? b) => a is null ? b : b is null ? a : Math.Min(a.Value, b.Value);
}
