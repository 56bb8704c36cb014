using Ochema.Core.Checks;
using Ochema.Core.Rigs;

namespace Ochema.Core.Kinds.Cameras;

/// <summary>A camera that sees all round: what carries it hides only in line between its lenses.</summary>
internal static class AllRound
{
    public static void Judge(RigBuilder b, CameraBuild camera)
    {
        var path = b.SecondCamera == camera ? RigPath.Second : RigPath.First;
        var pieces = b.Pieces.Where(p => p.Station == path.Reach)
            .Select(p => (b.Position(b.StartOf(p.First)), b.Position(b.EndOf(p.Last)), p.Section.DragWidth)).ToList();
        if (pieces.Count == 0)
            return;
        var check = new ShowsAllRound(path.Camera, camera.Body.AllRound!.Value, camera, pieces);
        b.Checks.Add(check);
        var (stands, may) = check.Angle();
        string Fine(double v) => $"{v * 180 / Math.PI:0.0}°";
        b.Findings.Add(new ReportFinding(path.Camera, may is not { } most
            ? "What carries it is thicker than the camera from glass to glass: it shows as a strip however it is turned."
            : stands <= most + 1e-9
            ? $"What carries it hides between both lenses: {Fine(stands)} out of their plane, up to {Fine(most)} it stays hidden."
            : $"What carries it shows: it stands {Fine(stands)} out of the plane between both lenses, hidden up to {Fine(most)} only. "
                + $"Turn the camera until "
                + "both lenses look square to it."));
    }
}
