using Ochema.Core.Checks;
using Ochema.Core.Joints;
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

    /// <summary>Thread in the foot of a head: 3/8-16 for what carries more than 5 kg, 1/4-20 for the rest (common practice, no
    /// source).</summary>
    public static string FootThread(HeadRow row) => row.RatedLoad > 5 ? "3-8-16" : "1-4-20";

    /// <summary>The thread in a head's foot.</summary>
    public static SocketPort Socket(HeadRow row) => new("Head's socket", FootThread(row), SocketDepth(row.RatedLoad > 5), "al-6061-t6",
        Width: 0.04);

    /// <param name="turns">Title of the check of its joint.</param>
    /// <param name="underneath">What it stands on the reach with; null for the socket of a bought head.</param>
    /// <param name="made">The check of a joint that is made by hand, by its spring; null for a bought head, which has a torque and a load
    /// on its label.</param>
    /// <param name="pieces">What it is made of; null: bought as its row.</param>
    /// <param name="carried">What is on its seat.</param>
    public static Mount Build(RigBuilder b, Mount from, HeadRow row, double? measuredTorque, string turns, Port? underneath = null,
        Func<SpringIndex, Responses.Check>? made = null, IReadOnlyList<RigPart>? pieces = null, IReadOnlyList<RigPart>? carried = null)
    {
        var axis = from.Axis.Z > 0.5 ? Vec3.UnitZ : from.Axis.Z < -0.5 ? -Vec3.UnitZ : from.Axis;
        var head = b.Path.Head;
        var joint = from.Position + JointAt * row.Height * axis;
        var lower = b.Node(b.Own("head-lower"), joint);
        var upper = b.Node(b.Own("head-upper"), joint);
        var seat = b.Node(head.ToString(), from.Position + row.Height * axis);
        b.Rigid(from.Node, lower);
        b.Rigid(upper, seat);
        var k = row.RotationalStiffness;
        var t = k / (0.02 * 0.02);
        var spring = b.Spring(b.Own("head-joint"), lower, upper, [t, t, t, k, k, k]);
        b.Links.Add((b.Own("head-joint"), head, row.Type is "clip" ? "the clip" : "the head"));
        b.Body(head, lower, (Vec3.UnitX, 1.1 * row.FrontalArea), (Vec3.UnitY, 1.1 * row.FrontalArea));
        if (made is not null && measuredTorque is null)
            b.Checks.Add(made(spring));
        else
            b.Checks.Add(new JointTorque(b, head, new(b.Own("head-joint")), turns, spring, measuredTorque ?? row.HoldingTorque,
                measuredTorque is { } own ? Taken.Origin(b.Rig, "your measurement", "holdingTorque", own) : row.Source));
        if (made is null)
            b.Checks.Add(head, new(head.ToString()), rig => new HeadLoad(rig, head, row));
        b.StandsOn(from, new(head + "-screw", head, "screw under the head", underneath ?? Socket(row), f => f.Spring(spring),
            Math.Max(0.02, Math.Sqrt(row.FrontalArea) * 0.3), row.RatedLoad > 5 ? 8 : 4));
        foreach (var piece in carried ?? [])
            b.Put(piece, seat);
        foreach (var piece in pieces ?? [Piece.Bought(new(head, "head"), row)])
            b.Put(piece, new Hung(lower) { Offset = (0.5 - JointAt) * row.Height * axis });
        b.Shape(head.ToString(), head, "head", [b.Point(from.Node), b.Point(lower), b.Point(seat)], [Math.Sqrt(row.FrontalArea) * 0.8, row.Height],
            axis);
        return new Mount(seat, b.Position(seat), axis);
    }
}
