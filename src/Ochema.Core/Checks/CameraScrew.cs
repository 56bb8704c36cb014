using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Checks;

/// <summary>
/// The screw in the camera's socket (ISO 1222): what tips the camera on its seat pulls at the screw over half the seat's width.
/// </summary>
/// <param name="b">The rig.</param>
/// <param name="station">The camera's row.</param>
/// <param name="seat">Middle of the screw, m.</param>
/// <param name="centre">Centre of all that stands on it, m.</param>
/// <param name="mass">All that stands on it, kg.</param>
/// <param name="face">What the wind sees of the camera, as if at <paramref name="centre"/>.</param>
/// <param name="screw">In its socket.</param>
/// <param name="above">What is in its shoe; null for nothing.</param>
public sealed class CameraScrew(BuiltRig b, StationId station, Vec3 seat, Vec3 centre, double mass, WindFace face, Fastener screw,
    InShoe? above = null)
    : Check(station + ".screw", station, new(station + "-screw"), "Camera screw pulls")
{
    private readonly double factor = b.Factors[FactorTable.Bolt];

    /// <summary>Force of what meets it from ahead at 1 Pa, N.</summary>
    private readonly Vec3 ahead = face.BoxForce(Loads.MotionProfile.WindDirection(0));

    private readonly Vec3 up = (centre - seat).Normalized();

    /// <summary>Middle of the screw to the edge of the seat, m (a 40 mm plate; judgement).</summary>
    private const double SeatRadius = 0.02;

    /// <summary>Screws in light-alloy sockets carry a third of what the screw could (judgement; some 4.5 mm of thread).</summary>
    private const double SocketShare = 1.0 / 3;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var force = mass * (f.Field + Flung.Beyond(b, f, centre)) + f.Pressure * face.BoxForce(f.Wind) + f.Splash * ahead + f.Case.Knock;
        var moment = (centre - seat).Cross(force);
        if (above is not null)
        {
            var wind = f.Pressure * above.Face.BoxForce(f.Wind) + f.Splash * above.Face.BoxForce(Loads.MotionProfile.WindDirection(0));
            force += wind;
            moment += (above.Centre - seat).Cross(wind);
        }
        var tension = Math.Max(0, force.Dot(up)) + moment.Length / SeatRadius;
        var capacity = SocketShare * screw.ProofLoad;
        sheet?.Formula("{k} × ({N} + {M} ÷ {r}) ÷ ({s} × {P})",
            "moment about the edge of the seat; proof load of the screw (SAE J429, ISO 898-1)",
                "A screw that is only hand-tight, a cracked socket.")
            .Factor(b, FactorTable.Bolt).Term("N", "straight pull", Math.Max(0, force.Dot(up)), Dimension.Force)
            .Term("M", "tipping moment on the seat", moment.Length, Dimension.Torque)
                .Term("r", "half the seat", SeatRadius, Dimension.Length, "judgement")
            .Term("s", "share a short socket carries", SocketShare, Dimension.Ratio, "judgement, ISO 1222 depth")
            .Term("P", "proof load", screw.ProofLoad, Dimension.Force, screw.Source);
        return Ratio(factor * tension, capacity);
    }
}
