using Ochema.Core.Analysis;
using Ochema.Core.Responses;
using Ochema.Core.Structure;

namespace Ochema.Core.Proving;

/// <summary>The forces of a whole rig's cases at a speed, solved once a speed.</summary>
internal sealed class CaseLoads(RigModel model, StateResponse state)
{
    private readonly Dictionary<double, IReadOnlyList<CaseForces>> known = [];

    /// <summary>Speeds that are kept: a search looks at a few hundred.</summary>
    private const int Kept = 64;

    private IReadOnlyList<CaseForces> At(double speed)
    {
        if (known.TryGetValue(speed, out var forces))
            return forces;
        if (known.Count >= Kept)
            known.Clear();
        Asked.Still();
        return known[speed] = [.. model.Cases.Select(c => model.Forces(state, c, speed)).OfType<CaseForces>()];
    }

    /// <summary>The largest over the cases that a model document has: no jolt and no shaking, which are sums over modes.</summary>
    public double Model(Func<CaseForces, double> of, double speed) =>
        At(speed).Where(f => !f.Case.Dynamic).Select(of).DefaultIfEmpty(0).Max() is > 0 and var most ? most : 0;

    /// <summary>
    /// The largest on the way up to a speed, jolts and shaking with it, and its case in words: wind relieves some parts, which carry most
    /// standing still.
    /// </summary>
    public (double Load, string Case) UnderWay(Func<CaseForces, double> of, double speed)
    {
        var (most, by) = (0.0, "");
        foreach (var v in (double[])[speed, 0.5 * speed, 0])
            foreach (var f in At(v).Where(f => !f.Case.AtRest))
                if (of(f) is var load && Ties.Beats(load, most))
                    (most, by) = (load, f.Case.Label);
        return (most, by);
    }

    /// <summary>The largest of a vector over the static cases under way: which way a part is drawn most.</summary>
    public Vec3 Worst(Func<CaseForces, Vec3> of, double speed)
    {
        var worst = Vec3.Zero;
        foreach (var f in At(speed).Where(f => f.Case is { AtRest: false, Dynamic: false }))
            if (of(f) is var v && Ties.Beats(v.Length, worst.Length))
                worst = v;
        return worst;
    }
}
