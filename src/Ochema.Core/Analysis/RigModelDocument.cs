using Ochema.Core.Kinds;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Analysis;

/// <summary>The structural model of a rig as a document, solved: every case of the whole rig, and each let-go in its governing
/// case.</summary>
public static class RigModelDocument
{
    /// <summary>
    /// The model of a rig, its springs along the host axes. With <paramref name="strapsAlone"/> the one in which all holds have let go and
    /// their feet only push and rub.
    /// </summary>
    public static ModelDocument Of(RigDocument rig, Catalogue stock, bool strapsAlone = false)
    {
        var built = RigAssembly.Build(rig, stock);
        var model = strapsAlone ? RigModel.WithoutHolds(built) : new RigModel(built);
        var speed = rig.Run.Speed;
        // A jolt and the shaking are sums of squares over modes, and so no loads that anybody could apply.
        var all = model.Cases.Where(c => !c.Dynamic).ToList();
        var cases = all.Select(c => model.Document(c, speed, c.Id, [])).ToList();
        if (!strapsAlone)
        {
            var driving = all.Where(c => !c.AtRest).ToList();
            foreach (var gone in LetGoCases.Of(model.Built))
            {
                var state = model.State(gone.Gone);
                var checks = model.Built.Checks.Where(x => !x.Fixed && !gone.Gone.Contains(x.Part)).ToList();
                var worst = state.Mechanism is null ? new LimitSpeed(model, state, driving).At(checks, speed).Case : driving[0];
                cases.Add(model.Document(worst ?? driving[0], speed, $"without {gone.Id}: {(worst ?? driving[0]).Id}", gone.Gone));
            }
        }
        var solved = ModelSolver.Solve(TurnedSprings.Plain(model.Built.Model with { Cases = cases }));
        return solved with { Cases = [.. solved.Cases.Select(Falls)] };
    }

    /// <summary>
    /// A turn, rad, from which on what is left is falling or swinging: nothing that was worked out for small ones counts there (judgement,
    /// 0.3–0.5).
    /// </summary>
    public const double Tips = 0.4;

    /// <summary>The case without its result where something turns by more than is small.</summary>
    private static ModelCase Falls(ModelCase c) => c is { Without: not null, Result: { } result }
        && result.Displacements.Values.Max(d => new Vec3(d[3], d[4], d[5]).Length) is > Tips
        ? c with { Result = null, Finding = "what is left falls or swings away: no result of a linear model holds" } : c;
}
