using Ochema.Core.Checks;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>What poles share: where they point, where hands hold them, how they bow, and where nobody stands under them.</summary>
internal static class Poles
{
    /// <summary>Longer than this a pole reaches where lines hang, m (judgement).</summary>
    public const double LineReach = 2;

    /// <summary>Shorter ones bow by no more than their bending says, m (judgement).</summary>
    private const double BowsFrom = 2;

    /// <summary>Hands keep off a lock and off the ends by this much, m (judgement).</summary>
    private const double Clear = 0.03;

    /// <summary>Shorter ones are not over anybody's head, m.</summary>
    private const double AboveHeads = 2.2;

    /// <summary>Up, or down where it hangs.</summary>
    public static Vec3 Up(Mount from) => from.Axis.Z < -0.5 ? -Vec3.UnitZ : Vec3.UnitZ;

    /// <summary>Along a pole that leans towards a heading.</summary>
    public static Vec3 Direction(Mount from, double lean, double heading) =>
        Math.Cos(lean) * Up(from) + Math.Sin(lean) * new Vec3(Math.Cos(heading), Math.Sin(heading), 0);

    /// <summary>
    /// True for one so steep that its weight keeps its tubes in each other, where nothing throws it up by more than its weight: a lock that
    /// opens lets it slide down, not off (judgement: 60°).
    /// </summary>
    public static bool SlidesIn(RigBuilder b, Vec3 direction)
    {
        var (motion, going) = (b.Host.Motion, b.Host.Motion.Index(b.Rig.Run.Road));
        return direction.Z > 0.5 && Math.Max(motion.Bumps[going], motion.Pulse[going]) < 1;
    }

    /// <summary>A tube that turns in its lock.</summary>
    /// <param name="torque">That the lock holds, N·m, as it was set.</param>
    public static void LockTurns(RigBuilder b, string id, string title, SpringIndex spring, Vec3 direction, double torque) =>
        b.Checks.Add(new TurnsByFriction(b, b.Path.Reach, new(id), title, spring, direction, torque,
            "as you set it; twist locks 3–8 N·m, judgement",
            "the pole", "Grit and water in the lock; a set screw through both tubes holds better."));

    /// <summary>
    /// The place of the hands on a tube of it, where they hold it besides its foot; null on the other tubes.
    /// </summary>
    /// <param name="begins">Of the tube, m over the foot of the pole.</param>
    /// <param name="ends">Of the tube, m over the foot of the pole.</param>
    public static NodeIndex? Hands(RigBuilder b, Mount from, Vec3 direction, double begins, double ends)
    {
        if (from.Held is not { } held || held.Above <= begins || held.Above > ends)
            return null;
        var at = Math.Min(Math.Max(held.Above, begins + Clear), ends - Clear);
        var node = b.Node(b.Own("pole-hands"), from.Position + at * direction);
        held.Grasp(node, direction);
        return node;
    }

    /// <summary>What is said of a pole once all that it carries is known: how its weight makes it bow further. Short ones bend as their own
    /// check says.</summary>
    /// <param name="id">Of its lowest tube.</param>
    /// <param name="pieces">From the foot up.</param>
    public static void Bows(RigBuilder b, Mount from, string id, IReadOnlyList<BeamPiece> pieces, Vec3 direction, double length)
    {
        var (reach, head, upright) = (b.Path.Reach, b.Path.Head, Math.Max(0, direction.Z));
        if (from.Held is { } held && held.Above > length - Clear)
            b.Findings.Add(new ReportFinding(reach, "The hands are higher up than the pole is long: a longer pole, or lower hands.", true));
        if (length < BowsFrom)
            return;
        // What hangs down is drawn straight by its weight. The path is another one by then.
        b.Later(() => b.Checks.Add(new PoleGrows(b, reach, new(id), pieces, upright, b.MassFrom(head), from.Held?.Above)));
    }

    /// <summary>Drawn on the ground: as far round whoever holds it as the pole reaches when it falls.</summary>
    /// <param name="from">Its foot.</param>
    /// <param name="length">m.</param>
    public static void KeepClear(RigBuilder b, Mount from, double length)
    {
        if (!b.Rig.Site.Form.IsHeld || b.Host.GroundHeight < -1 || from.Position.Z + length < AboveHeads)
            return;
        Vec3 middle = new(from.Position.X, from.Position.Y, b.Host.GroundHeight);
        var way = length * Vec3.UnitX;
        b.Shape(b.Own("keep-clear"), b.Path.Reach, "strip", [new("", (middle - way).ToArray()), new("", (middle + way).ToArray())],
            [2 * length]);
    }
}
