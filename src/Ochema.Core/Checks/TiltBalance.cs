using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Checks;

/// <summary>
/// A camera out of balance on its tilt pivots: k·m·g·(|a|·cos θ + |h|·sin θ) ≤ T at the worst tilt θ of its swing: a ahead of the pivots, h
/// off them in height.
/// </summary>
/// <param name="mass">Of camera and lens, kg.</param>
/// <param name="ahead">Its centre ahead of the pivots, level, m.</param>
/// <param name="off">Pivots above its centre, m.</param>
/// <param name="swing">Each way from level, rad.</param>
/// <param name="torque">That the pivots or the servo hold, N·m.</param>
public sealed class TiltBalance(RigSetting b, StationId station, double mass, double ahead, double off, double swing, double torque)
    : Check(station + ".balance", station, new(station + "-tilt"), "Camera out of balance tilts the frame")
{
    private const double G = Loads.MotionProfile.Gravity;

    private readonly double factor = b.Factors[FactorTable.Friction];

    public override bool Fixed => true;

    public override bool GivesWay => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        // a·cos θ + h·sin θ is largest at tan θ = h/a.
        var (a, h) = (Math.Abs(ahead), Math.Abs(off));
        var worst = Math.Min(swing, Math.Atan2(h, a));
        var lever = a * Math.Cos(worst) + h * Math.Sin(worst);
        sheet?.Formula("{k} × {m} × {g} × {r} ÷ {T}", "moment of its weight at the worst tilt", "Cables that pull, a zoom that runs out.")
            .Factor(b, FactorTable.Friction).Term("m", "camera and lens", mass, Dimension.Mass, Origin.Measures)
            .Term("g", "gravity", G, Dimension.Acceleration, "ISO 80000-3, standard value")
            .Term("r", "its centre off the pivots, level, at the worst tilt", lever, Dimension.Length,
                "from the camera's record and where the pivots are")
            .Term("T", "it holds", torque, Dimension.Torque, Origin.Measures);
        return Ratio(factor * mass * G * lever, torque);
    }
}
