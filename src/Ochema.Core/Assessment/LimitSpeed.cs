using Ochema.Core.Checks;
using Ochema.Core.Loads;

namespace Ochema.Core.Assessment;

/// <summary>The worst that a set of checks comes to at one speed.</summary>
internal readonly record struct Worst(double Use, Check? Check, RigCase? Case);

/// <summary>
/// Uses and limit speeds of one state of the rig. A limit speed is the lowest at which a use reaches 100 %: the governing check and
/// case are bracketed alone, the result is tried against all, and the next governing pair taken until none is above.
/// </summary>
internal sealed class LimitSpeed(RigModel model, StateResponse state, IReadOnlyList<RigCase> cases)
{
    /// <summary>Fastest the host can do, m/s: speeds are not looked at beyond it.</summary>
    public double Highest { get; } = model.Builder.Host.TopSpeed;

    private const double Tolerance = 1e-3;
    private readonly Dictionary<double, (CaseForces? Forces, bool Known)[]> forces = [];

    /// <summary>True when some case at this speed has no equilibrium.</summary>
    public bool Unstable(double speed) => state.Mechanism is not null || Enumerable.Range(0, cases.Count).Any(i => At(i, speed) is null);

    /// <summary>The forces of a case at a speed, worked out when first asked for; null where it has no equilibrium.</summary>
    public CaseForces? At(int c, double speed) => At(Known(speed), c, speed);

    private (CaseForces? Forces, bool Known)[] Known(double speed) => forces.TryGetValue(speed, out var known)
        ? known : forces[speed] = new (CaseForces?, bool)[cases.Count];

    private CaseForces? At((CaseForces? Forces, bool Known)[] known, int c, double speed)
    {
        if (!known[c].Known)
            known[c] = (model.Forces(state, cases[c], speed), true);
        return known[c].Forces;
    }

    /// <summary>Highest use of the checks over all cases at a speed, as it counts in a verdict.</summary>
    public Worst At(IReadOnlyList<Check> checks, double speed)
    {
        var worst = new Worst(-1, null, null);
        var known = Known(speed);
        for (var c = 0; c < cases.Count; c++)
        {
            if (At(known, c, speed) is not { } f)
                return new Worst(Check.MostUse, null, cases[c]);
            foreach (var check in checks)
                if ((c == 0 || !check.Fixed) && check.Counts(check.Use(f)) is var use && use > worst.Use)
                    worst = new Worst(use, check, cases[c]);
            f.Release();
        }
        return worst;
    }

    /// <summary>Each check's highest use at a speed and the case it comes from; every case must have an equilibrium.</summary>
    public (double Use, int Case)[] Each(IReadOnlyList<Check> checks, double speed)
    {
        var known = Known(speed);
        var worst = new (double Use, int Case)[checks.Count];
        Array.Fill(worst, (-1, 0));
        for (var c = 0; c < cases.Count; c++)
        {
            var f = At(known, c, speed)!;
            for (var i = 0; i < worst.Length; i++)
                if ((c == 0 || !checks[i].Fixed) && checks[i].Use(f) is var use && use > worst[i].Use)
                    worst[i] = (use, c);
            f.Release();
        }
        return worst;
    }

    /// <summary>Lowest speed at which any of the checks reaches the target (100 % unless said), m/s; null when none does.</summary>
    /// <param name="near">A speed to begin at: the design speed.</param>
    /// <param name="atNear">The highest use there, where it is known already.</param>
    /// <param name="upTo">Nothing beyond this speed, m/s, is of interest.</param>
    public (double Speed, Worst By)? Find(IReadOnlyList<Check> checks, double near, double target = 1, Worst? atNear = null, double? upTo = null)
    {
        var highest = Math.Max(near, upTo ?? Highest);
        if (checks.Count == 0)
            return null;
        var standing = At(checks, 0);
        if (standing.Use >= target)
            return (0, standing);
        var high = near;
        var worst = atNear ?? At(checks, near);
        if (worst.Use < target)
        {
            // What governs is looked at first: where it gets there by itself, nothing beyond has to be looked at.
            high = highest;
            worst = Again(worst, highest) is { } alone && alone.Use >= target ? alone : At(checks, highest);
            if (worst.Use < target)
                return null;
        }
        for (var round = 0; round < 20; round++)
        {
            var pair = worst;
            if (pair.Check is null)
                return (BracketStability(high), pair);
            var caseIndex = IndexOf(pair.Case!);
            high = Bracket(v => At(caseIndex, v) is { } f ? pair.Check.Use(f) : Check.MostUse, high, target);
            worst = At(checks, high);
            if (worst.Use <= target + Tolerance)
                return (high, pair);
        }
        return (high, worst);
    }

    /// <summary>The same check in the same case at another speed; null where there is none, or no equilibrium.</summary>
    private Worst? Again(Worst worst, double speed) =>
        worst is { Check: { } check, Case: { } c } && At(IndexOf(c), speed) is { } f ? worst with { Use = check.Counts(check.Use(f)) } : null;

    private int IndexOf(RigCase c)
    {
        for (var i = 0; i < cases.Count; i++)
            if (cases[i] == c)
                return i;
        return -1;
    }

    /// <summary>Lowest speed up to <paramref name="high"/> at which a use has reached the target, from above. Uses are near straight in V²: secants in it,
    /// halved when they creep.</summary>
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

    private double BracketStability(double high)
    {
        var (lo, hi) = (0.0, high);
        for (var i = 0; i < 20; i++)
        {
            var mid = 0.5 * (lo + hi);
            if (Unstable(mid))
                hi = mid;
            else
                lo = mid;
        }
        return hi;
    }
}
