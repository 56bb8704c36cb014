using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Heads;

/// <summary>What all heads are: two halves and a locked joint between them.</summary>
internal static class HeadParts
{
    /// <summary>Share of the height at which the joint sits.</summary>
    private const double JointAt = 0.6;

    /// <summary>Depth of thread in the foot of a head, m (judgement: 3/8-16 sockets 8–12 mm, 1/4-20 5–7 mm).</summary>
    private static double SocketDepth(bool large) => large ? 0.010 : 0.0058;

    /// <summary>Thread in the foot of a head: 3/8-16 for what carries more than 5 kg, 1/4-20 for the rest (common practice, no source).</summary>
    public static string FootThread(HeadRow row) => row.RatedLoad > 5 ? "3-8-16" : "1-4-20";

    /// <summary>The screw that holds the head down, from below through what it stands on.</summary>
    private static ScrewJoint HeadScrew(RigBuilder b, string head, HeadRow row, int spring, Vec3 axis)
    {
        var large = row.RatedLoad > 5;
        var thread = b.Stock.Find<Fastener>("fasteners", b.Offers ?? FootThread(row));
        var (seat, material) = b.Rig.Base is Bases.HoldPlate { } plate && b.Rig.Reach is Reaches.NoReach ? (plate.Thickness, plate.Material) : (0.006, "al-6061-t6");
        return new ScrewJoint
        {
            Id = head + "-screw",
            Station = head,
            Title = "screw under the head",
            Thread = thread,
            Means = Loosening.ToolTightMarked,
            Torque = large ? 8 : 4,
            Layers = [Bases.ClampParts.Washer(thread), new("Part below it", LayerRole.Clearance, seat, material, 0.05),
                new("Head's socket", LayerRole.Blind, SocketDepth(large), "al-6061-t6", 0.04, Thread: FootThread(row))],
            Load = f => f.Spring(spring),
            Axis = axis,
            Lever = Math.Max(0.02, Math.Sqrt(row.FrontalArea) * 0.3),
        };
    }

    public static Mount Build(RigBuilder b, Mount from, HeadRow row, double? measuredTorque, string turns)
    {
        var axis = from.Axis.Z > 0.5 ? Vec3.UnitZ : from.Axis.Z < -0.5 ? -Vec3.UnitZ : from.Axis;
        var head = b.Own("head");
        var joint = from.Position + JointAt * row.Height * axis;
        var lower = b.Node(b.Own("head-lower"), joint);
        var upper = b.Node(b.Own("head-upper"), joint);
        var seat = b.Node(head, from.Position + row.Height * axis);
        b.Rigid(from.Node, lower);
        b.Rigid(upper, seat);
        var k = row.RotationalStiffness;
        var t = k / (0.02 * 0.02);
        var spring = b.Spring(b.Own("head-joint"), lower, upper, [t, t, t, k, k, k]);
        b.Links.Add((b.Own("head-joint"), head, row.Type is "clip" ? "the clip" : "the head"));
        b.PointMass(lower, row.Mass, (0.5 - JointAt) * row.Height * axis);
        b.Faces.Add(WindFace.OnNode(lower, (Vec3.UnitX, 1.1 * row.FrontalArea), (Vec3.UnitY, 1.1 * row.FrontalArea)));
        b.Checks.Add(new JointTorque(b, head, b.Own("head-joint"), turns, spring, measuredTorque ?? row.HoldingTorque, measuredTorque is null ? row.Source : "your measurement"));
        b.Checks.Add(new HeadLoad(b, head, row));
        if (row.Type is not ("clip" or "cradle"))
            b.Joint(HeadScrew(b, head, row, spring, axis));
        else if (b.Offers is { } offered && offered != "1-4-20")
            b.Findings.Add(new ReportFinding(head,
                Words.Capital(ThreadFit.Mismatch(b.Stock.Find<Fastener>("fasteners", offered),
                b.Stock.Find<Fastener>("fasteners", "1-4-20"), row.Name)) + ".", true));
        b.Offers = null;
        b.Parts.Bought(head, row);
        b.Shape(head, head, "head", [b.Point(from.Node), b.Point(lower), b.Point(seat)], [Math.Sqrt(row.FrontalArea) * 0.8, row.Height], axis);
        return new Mount(seat, b.Position(seat), axis);
    }
}
