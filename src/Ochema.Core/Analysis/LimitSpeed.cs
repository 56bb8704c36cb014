using Ochema.Core.Loads;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis;

/// <summary>The worst that a set of checks comes to at one speed.</summary>
internal readonly record struct Worst(double Use, Check? Check, RigCase? Case);

/// <summary>
/// Uses and limit speeds of one state of the rig. A limit speed is the lowest at which a use reaches 100 %: the check and case that will
/// get there first, as their uses at two speeds tell, is bracketed alone, and the result tried against all; should another be above there,
/// it is bracketed next.
/// </summary>
internal sealed class LimitSpeed(RigModel model, StateResponse state, IReadOnlyList<RigCase> cases)
{
    /// <summary>Fastest the host can do, m/s: speeds are not looked at beyond it.</summary>
    public double Highest { get; } = model.Built.Host.Drive.Top;

    private const double Tolerance = 1e-3;
    private const double Near = 0.6;

    /// <summary>The far end is this many times the speed to begin at before a speed between is looked at first.</summary>
    private const double Half = 1.5;
    private readonly Dictionary<double, Speed> speeds = [];

    /// <summary>What is known of one speed.</summary>
    private sealed class Speed(int cases)
    {
        public (CaseForces? Forces, bool Known)[] Forces { get; } = new (CaseForces?, bool)[cases];

        /// <summary>Uses of each check looked at, case by case; a check that does not change is looked at in the first alone.</summary>
        public Dictionary<Check, double[]> Uses { get; } = [];
    }

    /// <summary>Forgets all speeds but standing still and the highest, which every question looks at.</summary>
    public void Forget()
    {
        foreach (var speed in speeds.Keys.Where(v => v != 0 && v != Highest).ToList())
            speeds.Remove(speed);
    }

    /// <summary>True when some case at this speed has no equilibrium.</summary>
    public bool Unstable(double speed)
    {
        if (state.Mechanism is not null)
            return true;
        var known = Known(speed);
        for (var c = 0; c < cases.Count; c++)
            if (At(known, c, speed) is null)
                return true;
        return false;
    }

    /// <summary>The forces of a case at a speed, worked out when first asked for; null where it has no equilibrium.</summary>
    public CaseForces? At(int c, double speed) => At(Known(speed), c, speed);

    private Speed Known(double speed) => speeds.TryGetValue(speed, out var known) ? known : speeds[speed] = new(cases.Count);

    private CaseForces? At(Speed known, int c, double speed)
    {
        Asked.Still();
        if (!known.Forces[c].Known)
            known.Forces[c] = (model.Forces(state, cases[c], speed), true);
        return known.Forces[c].Forces;
    }

    /// <summary>
    /// Looks at checks at a speed all together, which is cheaper than one by one; what is asked of them there later is looked up.
    /// </summary>
    /// <returns>False where a case has no equilibrium: nothing is known there then.</returns>
    public bool Look(IReadOnlyList<Check> checks, double speed)
    {
        var known = Known(speed);
        if (Unstable(speed))
            return false;
        var unseen = checks.Where(c => !known.Uses.ContainsKey(c)).ToList();
        foreach (var check in unseen)
            known.Uses[check] = new double[check.Fixed ? 1 : cases.Count];
        var into = unseen.ConvertAll(c => known.Uses[c]);
        if (unseen.Count == 0)
            return true;
        var forces = new CaseForces[cases.Count];
        for (var c = 0; c < forces.Length; c++)
            forces[c] = At(known, c, speed)!;
        var lent = CaseForces.WorkOut(state, forces);
        for (var c = 0; c < forces.Length; c++)
            for (var i = 0; i < into.Count; i++)
                if (c < into[i].Length)
                    into[i][c] = unseen[i].Use(forces[c]);
        CaseForces.GiveBack(lent, forces);
        return true;
    }

    /// <summary>Looks at checks at several speeds side by side.</summary>
    public void LookAll(IReadOnlyList<Check> checks, params double[] at)
    {
        foreach (var v in at)
            Known(v);
        Parallel.ForEach(at.Distinct(), v => Look(checks, v));
    }

    /// <summary>Highest use of the checks over all cases at a speed, as it counts in a verdict; remembered with <see cref="Look"/>
    /// only.</summary>
    public Worst At(IReadOnlyList<Check> checks, double speed)
    {
        var known = Known(speed);
        var worst = new Worst(-1, null, null);
        if (checks.All(known.Uses.ContainsKey))
        {
            var at = 0;
            foreach (var check in checks)
                if (Most(known.Uses[check]) is var (use, c) && check.Counts(use) is var counts
                    && (Ties.Beats(counts, worst.Use) || (!Ties.Beats(worst.Use, counts) && c < at)))
                    (worst, at) = (new Worst(counts, check, cases[c]), c);
            return worst;
        }
        for (var c = 0; c < cases.Count; c++)
        {
            if (At(known, c, speed) is not { } f)
                return new Worst(Check.MostUse, null, cases[c]);
            foreach (var check in checks)
                if ((c == 0 || !check.Fixed) && check.Counts(check.Use(f)) is var use && Ties.Beats(use, worst.Use))
                    worst = new Worst(use, check, cases[c]);
            f.Release();
        }
        return worst;
    }

    /// <summary>Each check's highest use at a speed and the case it comes from; every case must have an equilibrium.</summary>
    public (double Use, int Case)[] Each(IReadOnlyList<Check> checks, double speed)
    {
        Look(checks, speed);
        var known = Known(speed);
        return [.. checks.Select(c => Most(known.Uses[c]))];
    }

    private static (double Use, int Case) Most(double[] uses)
    {
        var at = 0;
        for (var c = 1; c < uses.Length; c++)
            if (Ties.Beats(uses[c], uses[at]))
                at = c;
        return (uses[at], at);
    }

    /// <summary>Speeds beyond one to begin at that are looked at for what gets to its limit, m/s.</summary>
    public static IReadOnlyList<double> Ahead(double near, double far) => near > 0 && far > Half * near ? [Math.Sqrt(near * far), far]
        : [far];

    /// <summary>Lowest speed at which any of the checks reaches the target (100 % unless said), m/s; null when none does.</summary>
    /// <param name="near">A speed to begin at: the design speed.</param>
    /// <param name="upTo">Nothing beyond this speed, m/s, is of interest.</param>
    public (double Speed, Worst By)? Find(IReadOnlyList<Check> checks, double near, double target = 1, double? upTo = null)
    {
        if (checks.Count == 0)
            return null;
        var (low, high) = (0.0, near);
        var top = high;
        // Those that stand still already, and those that reach it by the speed to begin with, are told by two looks; the others by a third.
        var looked = Look(checks, 0);
        var worst = At(checks, 0);
        if (worst.Use >= target)
            return (0, worst);
        looked &= Look(checks, near);
        worst = At(checks, near);
        if (worst.Use < target)
        {
            // A look half-way keeps uses at the far end from being too large to tell anything of what lies between.
            var far = Math.Max(near, upTo ?? Highest);
            foreach (var next in Ahead(near, far))
            {
                (low, high) = (high, next);
                looked &= Look(checks, high);
                worst = At(checks, high);
                if (worst.Use >= target)
                    break;
            }
            if (worst.Use < target)
                return null;
        }
        top = high;
        for (var round = 0; round < 20; round++)
        {
            var by = round == 0 && looked ? First(checks, low, high, target) : worst;
            if (by.Check is null)
                return (BracketStability(high), by);
            var caseIndex = IndexOf(by.Case!);
            // One case at speeds nobody asks for again: nothing is kept of them.
            high = Bracket(v => model.Forces(state, cases[caseIndex], v) is { } f ? by.Check.Use(f) : Check.MostUse, high, target);
            worst = looked ? Between(checks, low, top, high, target) : At(checks, high);
            if (worst.Use <= target + Tolerance)
                return (high, by);
        }
        return (high, worst);
    }

    /// <summary>Of what has reached the target at the higher of two speeds looked at, what got there first: uses go near straight in
    /// V².</summary>
    private Worst First(IReadOnlyList<Check> checks, double low, double high, double target)
    {
        var (first, by) = (double.PositiveInfinity, new Worst(-1, null, null));
        var (below, above) = (Known(low), Known(high));
        foreach (var check in checks)
        {
            var (from, to) = (below.Uses[check], above.Uses[check]);
            for (var c = 0; c < to.Length; c++)
                if (check.Counts(to[c]) is var use && use >= target && (target - from[c]) / (use - from[c]) is var share
                    && Ties.Beats(first, share))
                    (first, by) = (share, new Worst(use, check, cases[c]));
        }
        return by;
    }

    /// <summary>
    /// The worst at a speed between two looked at, sought where a use can have come near the target: what grows by the square of the speed
    /// or faster lies on its chord in V² or below; on a road, what it shakes by the square root of the speed lies below the square root of
    /// its share of the way. What that puts under
    /// <see cref="Near"/> of the target is left out.
    /// </summary>
    private Worst Between(IReadOnlyList<Check> checks, double low, double high, double speed, double target)
    {
        var (below, above, known) = (Known(low), Known(high), Known(speed));
        var share = high <= low ? 1 : model.Built.Host.Motion.UsualSpeed is null ? (speed * speed - low * low) / (high * high - low * low)
            : Math.Sqrt((speed - low) / (high - low));
        var worst = new Worst(-1, null, null);
        // A bound needs less room than an estimate.
        var near = model.Built.Host.Motion.UsualSpeed is null ? Near : 0.9;
        var ends = new (double[] From, double[] To)[checks.Count];
        for (var i = 0; i < ends.Length; i++)
            ends[i] = (below.Uses[checks[i]], above.Uses[checks[i]]);
        for (var c = 0; c < cases.Count; c++)
        {
            if (At(known, c, speed) is not { } f)
                return new Worst(Check.MostUse, null, cases[c]);
            for (var i = 0; i < ends.Length; i++)
            {
                var (from, to) = ends[i];
                if (c < to.Length && (to[c] >= Check.MostUse || from[c] + (to[c] > from[c] ? share * (to[c] - from[c]) : 0) >= near
                    * target)
                    && checks[i].Counts(checks[i].Use(f)) is var use && Ties.Beats(use, worst.Use))
                    worst = new Worst(use, checks[i], cases[c]);
            }
            f.Release();
        }
        return worst;
    }

    private int IndexOf(RigCase c)
    {
        for (var i = 0; i < cases.Count; i++)
            if (cases[i] == c)
                return i;
        return -1;
    }

    /// <summary>Lowest speed up to <paramref name="high"/> at which a use has reached the target, from above. Uses are near straight in V²:
    /// secants in it, halved when they creep.</summary>
    private static double Bracket(Func<double, double> use, double high, double target)
    {
        var (lo, hi) = (0.0, high);
        var (ul, uh) = (use(lo), use(hi));
        for (var i = 0; i < 40 && hi - lo > 1e-4 * hi; i++)
        {
            var share = Math.Clamp((target - ul) / (uh - ul), 0.0, 1.0);
            // A little past the crossing, to either side in turn, so that both ends close in.
            share = Math.Clamp(share + (i % 2 == 0 ? 1e-5 : -1e-5), 0.002, 0.998);
            var mid = i % 3 == 2 ? 0.5 * (lo + hi) : Math.Sqrt(Math.Max(0, lo * lo + (hi * hi - lo * lo) * share));
            var at = use(mid);
            if (at >= target)
                (hi, uh) = (mid, at);
            else
                (lo, ul) = (mid, at);
        }
        return hi;
    }

    private double BracketStability(double high) => Bisection.Between(0, high, 20, Unstable).High;
}
