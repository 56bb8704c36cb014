using Ochema.Core.Assessment;
using Ochema.Core.Kinds;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Search;

/// <summary>
/// A rig at another place with its lines put anew: a tether ends where it keeps something there, straps that would cost more than they keep
/// are taken off, and each is said.
/// </summary>
public static class Moved
{
    /// <inheritdoc cref="Relocation.To"/>
    public static RelocatedRig To(RigDocument rig, string host, string site, Catalogue stock)
    {
        var moved = Relocation.To(rig, host, site);
        if (host == rig.Host && moved.Document.Site.Id == rig.Site.Id)
            return moved;
        var said = new List<string>();
        var there = Tethered(Strapped(moved.Document, stock, said), stock, said);
        return moved with { Document = there, Lines = said };
    }

    private static RigDocument Strapped(RigDocument rig, Catalogue stock, List<string> said)
    {
        if (rig.Straps.Count == 0)
            return rig;
        var bare = rig with { Straps = [] };
        // A strap that would have no length there cannot be computed: it is off too.
        if (Trials.Each([rig], r => Better(Assessor.Assess(r, stock), Assessor.Assess(bare, stock)) ? r : null, default).Count > 0)
            return rig;
        said.Add(rig.Straps.Count == 1 ? "Its strap is off: from where it could end it would cost more than it keeps."
            : "Its straps are off: from where they could end they would cost more than they keep.");
        return bare;
    }

    /// <summary>True where straps make nothing worse and keep the rig by themselves.</summary>
    private static bool Better(AssessmentReport with, AssessmentReport without) =>
        with.Verdict.Word <= without.Verdict.Word && with.Verdict.Use <= without.Verdict.Use + 0.05
            && with.LetGo.Any(l => l.Kind == "straps-alone" && l.Verdict != Verdict.LetsGo);

    private static RigDocument Tethered(RigDocument rig, Catalogue stock, List<string> said)
    {
        // As many as there were, each that keeps nothing there put where one does.
        for (var n = rig.Tethers.Count; n > 0; n--)
        {
            var now = rig;
            var b = Trials.Each([now], r => RigAssembly.Build(r, stock), default) is [var one, ..] ? one : null;
            if (b?.Tethers.FirstOrDefault(t => t.KeepsNothing(b, rig.Run.Speed) is not null) is not { } idle)
                return rig;
            if (TetherPlan.For(b, RigPath.First.Camera, rig.Run.Speed) is { } plan)
            {
                rig = TetherPlan.With(b, plan.Tether);
                var end = b.Host.Anchors.FirstOrDefault(a => a.Id == plan.Tether.To.Anchor)?.Name ?? "the rig itself";
                said.Add($"{idle.Name} goes {Words.To(end)}: where it was tied it would keep nothing.");
            }
            else
            {
                said.Add($"{idle.Name} keeps nothing there, and no line on the shelf does: look for a point of your own.");
                return rig;
            }
        }
        return rig;
    }
}
