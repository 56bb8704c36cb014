using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Checks;

/// <summary>A hanging gimbal that leans in the wind: tan θ = q·Cd·A/(m·g), against what its motors level out.</summary>
public sealed class HangingLean(BuiltRig b, StationId station, HeadRow gimbal, double area)
    : Check(station + ".lean", station, new(station.ToString()), "Gimbal leans in the wind")
{
    /// <summary>Drag coefficient of a camera in a frame (judgement, 1–1.3).</summary>
    public const double Coefficient = 1.1;

    /// <summary>Lean that motors level out with something in hand, rad (judgement, 15–30°).</summary>
    private const double Allowed = 25 * Math.PI / 180;

    /// <summary>Lean, rad, of a hanging mass m, kg, with area A, m², at a dynamic pressure q, Pa.</summary>
    public static double Angle(double pressure, double area, double mass) =>
        Math.Atan(pressure * Coefficient * area / (mass * Loads.MotionProfile.Gravity));

    /// <summary>What the wind sees of a gimbal with a camera, m²: as measured, and no less than both without what lies between
    /// them.</summary>
    public static double Seen(double measured, HeadRow gimbal, CameraRow camera) =>
        Math.Max(measured, gimbal.FrontalArea + camera.Width * camera.Height);

    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var camera = b.CameraOf(Station);
        var (mass, seen) = (gimbal.Mass + camera.Mass, Seen(area, gimbal, camera.Body));
        var lean = Angle(f.Pressure, seen, mass);
        sheet?.Formula("atan({q} × {c} × {A} ÷ ({m} × g)) ÷ {a}", "balance of wind and weight on something that hangs",
            "Swinging in gusts: it overshoots.")
            .Term("q", "dynamic pressure", f.Pressure, Dimension.Pressure, "air of the day, speed, wind and gust")
            .Term("c", "drag coefficient", Coefficient, Dimension.Factor, "judgement, 1–1.3")
                .Term("A", "frontal area", seen, Dimension.Area,
                seen > area ? "gimbal and camera as listed: more than was measured" : Origin.Measures)
            .Term("m", "gimbal and camera", mass, Dimension.Mass, "parts as listed")
                .Term("θ", "lean", lean, Dimension.Angle, Origin.Follows)
            .Term("a", "what the motors level out", Allowed, Dimension.Angle, "judgement, 15–30°");
        return Ratio(lean, Allowed);
    }
}

/// <summary>Room for a gimbal to turn: half the camera's diagonal against what is there.</summary>
public sealed class GimbalRoom(BuiltRig b, StationId station, double room)
    : Check(station + ".room", station, new(station.ToString()), "Gimbal hits something as it turns")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var (body, lens) = (b.CameraOf(Station).Body, b.CameraOf(Station).Lens);
        var needs = Math.Sqrt(Math.Pow((body.Length + lens.Length) / 2 + 0.02, 2) + Math.Pow(body.Width / 2 + 0.02, 2));
        sheet?.Formula("{d} ÷ {r}", "half the diagonal of body and lens, with 20 mm", "Cables and matte boxes.")
            .Term("d", "radius it turns in", needs, Dimension.Length, body.Source)
                .Term("r", "room there is", room, Dimension.Length, Origin.Measures);
        return Ratio(needs, room);
    }
}
