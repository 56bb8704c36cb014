using Ochema.Core.Checks;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Cameras;

/// <summary>A lamp beside a camera: it is turned to where the subject is, and under water it lights what floats before the lens.</summary>
internal static class LampAim
{
    /// <summary>Air's view through a flat window into water: sines in the ratio 1.33 (Snell; the index of water from memory).</summary>
    private const double WaterIndex = 1.33;

    public static void Judge(RigBuilder b, CameraBuild lamp)
    {
        var (camera, path) = b.SecondCamera == lamp ? (b.Camera, RigPath.Second) : (b.SecondCamera, RigPath.First);
        if (camera is not { Body.Makes: Makes.Picture })
            return;
        string Angle(double v) => QuantityText.Of(Math.Abs(v), Dimension.Angle);
        string Length(double v) => QuantityText.Of(v, Dimension.Length);
        if (camera.Subject is not { } far)
        {
            b.Findings.Add(new ReportFinding(path.Camera,
                "How near the subject is decides where this lamp is turned: enter it at the camera."));
            return;
        }
        var subject = camera.Eye + far * camera.View;
        var check = new LampMisses(path.Camera, lamp, subject);
        b.Checks.Add(check);
        var (pan, tilt, _) = lamp.Aim(subject);
        const double level = 0.5 * Math.PI / 180;
        var to = $"to {Angle(pan)} {(pan >= 0 ? "left" : "right")}"
            + (Math.Abs(tilt) < level ? "" : $" and {Angle(tilt)} {(tilt > 0 ? "up" : "down")}");
        b.Findings.Add(new ReportFinding(path.Camera, check.Off < 2 * level ? $"The lamp looks at the subject, {Length(far)} from the lens."
            : $"The lamp's middle passes the subject, {Length(far)} from the lens, by {Angle(check.Off)}: turned {to} it meets it."));
        if (b.Host.Motion.Wet && Math.Max(camera.Eye.Z, lamp.Eye.Z) < 0 && Glows(camera, lamp) is { } from)
            b.Findings.Add(new ReportFinding(path.Camera, from < camera.Body.Length
                ? "Its light fills the water right before the lens: what floats there glows as snow. Further aside, or turned outwards."
                : $"Its light enters the picture {Length(from)} before the lens: what floats from there on glows; further aside, or "
                    + $"turned outwards, moves "
                    + $"that away."));
    }

    /// <summary>
    /// How far before the lens the inner edge of the beam crosses the edge of the picture on the lamp's side, m: (o + z·tan e) ÷ (tan φ +
    /// tan e), lamp o aside and z ahead, its inner edge at e to the camera's line, the picture's at φ; null where it never does.
    /// </summary>
    internal static double? Glows(CameraBuild camera, CameraBuild lamp)
    {
        var way = lamp.Eye - camera.Eye;
        var aside = way.PerpendicularTo(camera.View);
        if (aside.Length < 1e-6)
            return 0;
        var (o, z, side) = (aside.Length, way.Dot(camera.View), aside.Normalized());
        var picture = Math.Asin(Math.Sin(Math.Atan(camera.Body.SensorWidth / 2 / camera.Lens.FocalLength)) / WaterIndex);
        // Towards the camera's line is positive.
        var inner = Math.Atan2(-lamp.View.Dot(side), lamp.View.Dot(camera.View)) + (lamp.Body.Beam ?? Math.PI) / 2;
        if (inner >= Math.PI / 2)
            return Math.Max(0, z);
        var sum = Math.Tan(picture) + Math.Tan(inner);
        return sum <= 0 ? null : Math.Max(0, (o + z * Math.Tan(inner)) / sum);
    }
}
