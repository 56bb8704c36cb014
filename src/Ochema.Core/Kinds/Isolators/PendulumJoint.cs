using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;
namespace Ochema.Core.Kinds.Isolators;

/// <summary>A joint that lets the head swing, brought back to the middle by springs.</summary>
[Kind("pendulum-joint", "Soft pendulum joint", "Keeps the head level while the boom nods; swings on in bends when its springs are soft.",
    Caution = "Lock it before you drive to the set, and before you take the camera off.",
    Sketch = "rect 40 6 40 5; circle 60 18 5; line 60 18 60 46; rect 50 46 20 10; dim height 76 18 76 46; dim stop 60 60 84 54; dim "
        + "centring 36 14 52 18")]
public sealed record PendulumJoint : IsolatorKind
{
    [Measure("Centring stiffness", Dimension.RotationalStiffness, 1, 800, HowTo = "scale × lever over the angle, or spring rate × its arm²")]
    public double Centring { get; init; } = 60;

    [Measure("Swing to the stop", Dimension.Angle, 0.05, 1.2, HowTo = "from the middle")]
    public double Stop { get; init; } = 0.35;

    [Measure("Damping ratio", Dimension.Ratio, 0.01, 1, HowTo = "5 % without a damper; count the swings until half is left: 11 % divided by their number")]
    public double Damping { get; init; } = 0.08;

    [Measure("Height", Dimension.Length, 0.02, 0.2, HowTo = "pivot to the head's seat")]
    public double Height { get; init; } = 0.05;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Set, "Balance the pendulum",
            "Hang it, let it come to rest, move the weight until the horizon is level. Centring springs equal. Push it: it comes back "
                + "without a second swing.")
        {
            Tools = ["level"],
            Minutes = 10,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var joint = b.Fitting("soft-joint");
        var pivot = b.Node("pendulum", from.Position);
        var spring = b.Spring("pendulum-spring", from.Node, pivot, [1e7, 1e7, 1e7, Centring, Centring, 20 * Centring], Damping);
        b.Links.Add(("pendulum-spring", StationId.Isolator, "the soft joint"));
        var seat = b.Node("isolator", from.Position + Height * from.Axis);
        b.Rigid(pivot, seat);
        b.Checks.Add(new PendulumStop(spring, Centring, Stop));
        b.Soft = rig =>
        {
            var load = rig.Isolated;
            var arm = Math.Abs((rig.Position(rig.Camera.Node) - from.Position).Z);
            // A hanging load is brought back by its weight too, a standing one pushed over by it.
            var turning = Math.Max(1e-3, Centring + (from.Axis.Z < 0 ? 1 : -1) * load * Loads.MotionProfile.Gravity * arm);
            return new SoftState(load, 0, Stop * arm, Math.Sqrt(turning / Math.Max(1e-4, load * arm * arm)) / (2 * Math.PI));
        };
        b.Put(Piece.Bought(new(StationId.Isolator, "joint"), joint), pivot);
        b.Shape("isolator", StationId.Isolator, "joint", [b.Point(pivot)], [0.05], Vec3.UnitX);
        ThroughPort Of(string half) => new(half, [new(half, LayerRole.Clearance, 0.006, "al-6061-t6", 0.05)], 0.05);
        b.StandsOn(from, new("soft-mount-screw", StationId.Isolator, "screw of the soft joint", Of("Joint's upper half"), f =>
            f.Spring(spring), 0.025));
        return new Mount(seat, b.Position(seat), from.Axis, Of("Joint's lower half"));
    }
}

/// <summary>A pendulum joint that swings to its stop.</summary>
internal sealed class PendulumStop(SpringIndex spring, double centring, double stop)
    : Check("isolator.stop", StationId.Isolator, new("isolator"), "Joint swings to its stop")
{
    public override CheckSort Sort => CheckSort.Service;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var m = f.Spring(spring).Moment;
        var swing = Math.Sqrt(m.X * m.X + m.Y * m.Y) / centring;
        sheet?.Formula("{M} ÷ {c} ÷ {s}", "linear centring springs", "The load's own weight helps when it hangs and hurts when it stands.")
            .Term("M", "moment at the joint", Math.Sqrt(m.X * m.X + m.Y * m.Y), Dimension.Torque)
            .Term("c", "centring stiffness", centring, Dimension.RotationalStiffness, Origin.Measures)
            .Term("s", "swing to the stop", stop, Dimension.Angle, Origin.Measures);
        return Ratio(swing, stop);
    }
}
