using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Cameras;

/// <summary>What water does to what is not made for it: under water it is refused, where waves come over it that is said.</summary>
internal static class UnderWater
{
    /// <summary>Says what of a camera, and of what is in its shoe, is not tight enough where it hangs.</summary>
    public static void Judge(RigBuilder b, CameraBuild camera, double? housing)
    {
        if (!b.Host.Motion.Wet)
            return;
        Judge(b, camera.Body, b.Position(camera.Node).Z, housing ?? camera.Body.UnderWater);
        if (camera.InShoe is { } shoe)
            Judge(b, shoe.Row, shoe.Centre.Z, housing ?? shoe.Row.UnderWater);
    }

    private static void Judge(RigBuilder b, CameraRow row, double z, double rated)
    {
        var crest = b.Host.Motion.Crest(b.Rig.Run.Road);
        var deep = crest - z;
        void Finding(string text, bool blocks) => b.Findings.Add(new ReportFinding(b.Path.Camera, text, blocks));
        string Size(double v) => QuantityText.Of(v, Dimension.Length);
        if (z >= 0 && rated <= 0)
            Finding($"Waves come over it, and the {Words.Inside(row.Name)} is not tight: a housing, or a bag over all but its lens.",
                false);
        else if (z < 0 && rated < deep)
            Finding(rated > 0
                ? $"The {Words.Inside(row.Name)} goes down to {Size(deep)} under a crest, and is rated to {Size(rated)}: a housing for "
                    + $"that depth, or less deep."
                : $"The {Words.Inside(row.Name)} is under water and not tight: a housing that is rated to {Size(Math.Ceiling(deep))} or "
                    + $"more.", true);
    }
}
