using Ochema.Core.Kinds.Heads;
using Ochema.Core.Kinds.Reaches;
using Ochema.Core.Rigs;

namespace Ochema.Core.Kinds;

/// <summary>A second, small camera or a lamp on the same base, to be changed from there.</summary>
public static class SecondCamera
{
    /// <summary>Where it may go: beside the first on a bar, or on the far side of the same bolt; a lamp looks where the camera
    /// does.</summary>
    public static IEnumerable<(string Id, string Title, CameraPath Path)> Proposed(CameraChoice first)
    {
        var small = new CameraChoice { Body = "action", Lens = "built-in-wide" };
        var clip = new ClipHead { Stock = "clip-steel" };
        yield return ("second beside", "A second, small camera beside it, on a bar", new CameraPath
        {
            Id = CameraPath.SecondId,
            Reach = new CrossBar { Offset = -0.12, Height = 0.02, Section = "square-al-20x2" },
            Head = clip,
            Camera = small,
        });
        yield return ("second underneath", "A second, small camera underneath", new CameraPath
        {
            Id = CameraPath.SecondId,
            Reach = new NoReach(),
            Head = clip,
            Camera = small,
            Where = SecondPlace.Underneath,
        });
        yield return ("lamp beside", "A lamp beside it, on a bar", new CameraPath
        {
            Id = CameraPath.SecondId,
            Reach = new CrossBar { Offset = -0.2, Height = 0.02, Section = "square-al-20x2" },
            Head = new BallHead(),
            Camera = new CameraChoice { Body = "lamp-dive", Lens = "no-lens", Pan = first.Pan, Tilt = first.Tilt },
        });
    }
}
