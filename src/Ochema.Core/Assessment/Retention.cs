using Ochema.Core.Checks;
using Ochema.Core.Rigs;

namespace Ochema.Core.Assessment;

/// <summary>Counts what independently keeps each separable piece, against what the consequence class asks for.</summary>
internal static class Retention
{
    public static IReadOnlyList<RetentionReport> Of(RigBuilder b, IReadOnlyList<LetGoReport> letGo)
    {
        var needs = FactorTable.Retentions(b.Rig.Run.Consequence);
        var camera = new List<string> { "its screw" };
        var rig = new List<string>();
        var holds = letGo.Where(l => l.Kind == "hold").ToList();
        rig.Add(holds.Count == 1 ? "one hold" : "the holds");
        if (holds.Count > 1 && holds.All(h => h.Verdict != Verdict.LetsGo))
            rig.Add("a spare hold");
        if (letGo.FirstOrDefault(l => l.Kind == "straps-alone") is { Verdict: not Verdict.LetsGo })
            rig.Add("the straps");
        var feet = letGo.Where(l => l.Kind == "brace").ToList();
        if (holds.Count == 1 && feet.Count > 0 && holds[0].Verdict != Verdict.LetsGo)
            rig.Add("the braces");
        if (b.Rig.Tether is not null)
        {
            camera.Add("the tether");
            rig.Add("the tether at the camera");
        }
        return [new("Camera", camera.Count, needs, camera), new("The rig on the panel", rig.Count, needs, rig)];
    }
}
