using Ochema.Core.Checks;
using Ochema.Core.Rigs;
using Ochema.Core.Rigs.Heads;

namespace Ochema.Core.Assessment;

/// <summary>
/// Every piece that can come off by itself: what independently holds it, what catches it, and how many its consequence class asks for.
/// A tether counts from the camera, not from the clip that may break.
/// </summary>
internal static class Retention
{
    public static IReadOnlyList<RetentionReport> Of(RigBuilder b, IReadOnlyList<LetGoReport> letGo)
    {
        var rig = b.Rig;
        var needs = FactorTable.Retentions(rig.Run.Consequence);
        var tether = rig.Tether is not null;
        var list = new List<RetentionReport>();
        void Piece(string piece, string station, List<string> by, string caught) => list.Add(new(piece, station, by.Count, needs, by, caught, by.Count == 1));
        foreach (var (head, camera, suffix) in new[] { (rig.Head, "Camera", "") }.Concat(rig.Second is { } s ? [(s.Head, "Second camera", RigBuilder.SecondSuffix)] : []))
        {
            var tied = tether && suffix.Length == 0;
            var by = new List<string> { head is ClipHead ? "its clip" : head is CradleHead ? "its cradle" : "its screw" };
            if (head is CradleHead)
                by.Add("the band");
            if (tied)
                by.Add("the tether");
            Piece(camera, "camera" + suffix, by, tied ? "the tether" : "nothing");
            if (head is QuickReleaseHead)
                Piece("Quick-release plate", "head" + suffix, tied ? ["its lever", "the tether"] : ["its lever"], tied ? "the tether, at the camera" : "nothing");
        }
        if (rig.Isolator is not Rigs.Isolators.NoIsolator)
            Piece("What hangs on the soft mount", "isolator", tether ? ["its mounts", "the tether"] : ["its mounts"], tether ? "the tether, at the camera" : "nothing");
        foreach (var brace in rig.Braces)
            Piece($"Brace {brace.Id}", "brace:" + brace.Id, ["its foot", "its clamp"], "its other end");
        var own = new List<string>();
        var holds = letGo.Where(l => l.Kind == "hold").ToList();
        own.Add(holds.Count == 1 ? "one hold" : "the holds");
        if (holds.Count > 1 && holds.All(h => h.Verdict != Verdict.LetsGo))
            own.Add("a spare hold");
        if (letGo.FirstOrDefault(l => l.Kind == "straps-alone") is { Verdict: not Verdict.LetsGo })
            own.Add("the straps");
        if (holds.Count == 1 && letGo.Any(l => l.Kind == "brace") && holds[0].Verdict != Verdict.LetsGo)
            own.Add("the braces");
        if (tether)
            own.Add("the tether at the camera");
        // On a head it must come off: a second retention there is a hazard.
        var worn = b.Host.BreakawayLimit is not null;
        list.Add(new(worn ? "The rig on the helmet (it must come off in a snag)" : "The rig on its place", "base", own.Count, worn ? 1 : needs, own, tether ? "the tether" : rig.Straps.Count > 0 ? "the straps" : "nothing", own.Count == 1));
        return list;
    }
}
