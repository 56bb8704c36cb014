using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
namespace Ochema.Core.Kinds.Reaches;

/// <summary>Two links with a joint at the foot and one at the elbow, all locked by one knob.</summary>
[Kind("articulated-arm", "Articulated arm", "Goes anywhere; its joints turn before its links bend.",
    Caution = "Tighten with the camera's weight taken off, then push on the camera: nothing may creep.",
    Sketch = "rect 44 60 30 6; line 58 60 44 36; line 44 36 64 12; circle 58 58 4; circle 44 36 4; circle 64 12 4; dim length 84 12 84 "
        + "58; dim lowerLean 30 60 44 44; dim upperLean 30 26 50 26")]
public sealed record ArticulatedArm : ReachKind
{
    [StockChoice("Arm", "arms")]
    public string Arm { get; init; } = "arm-11in";

    [Measure("Length", Dimension.Length, 0.1, 0.8, HowTo = "foot joint to head, stretched", Greatest = "Greatest length", UsualTo = 0.5)]
    public double Length { get; init; } = 0.28;

    [Measure("Lower link leans", Dimension.Angle, -1.4, 1.4, HowTo = "forward from upright")]
    public double LowerLean { get; init; } = -0.3;

    [Measure("Upper link leans", Dimension.Angle, -1.4, 1.4, HowTo = "forward from upright")]
    public double UpperLean { get; init; } = 0.3;

    [Measure("Turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0: the arm leans ahead")]
    public double Heading { get; init; }

    [Measure("Joint torque measured", Dimension.Torque, 0.2, 100,
        HowTo = "scale reading × arm length when it slips; leave empty for the usual", Measured = true, Of = "arm")]
    public double? JointTorque { get; init; }

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Length > 0.13)
            yield return new("shorter-arm", "An arm a quarter shorter", this with { Length = Math.Max(0.1, Length * 0.75) });
        if (stock.Arms.Where(x => x.JointTorque > stock.Find<ArmRow>("arms", Arm).JointTorque).MinBy(x => x.JointTorque) is { } stronger)
            yield return new("stronger-arm", stronger.Name, this with { Arm = stronger.Id });
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Set, "Lock the arm at its shortest",
            "Loosen, put the camera where the lens wants it, shortest way, then lock hard: all joints at once. Wiggle it: note how "
                + "fast it rocks, for the tap test.")
        {
            Minutes = 4,
            Wrong = "It sags: lock again, drier; else a strut.",
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<ArmRow>("arms", Arm);
        var section = Section.Of(SectionShape.Round, row.LinkDiameter, row.LinkDiameter, 0);
        var material = b.Stock.Material(row.Material);
        var density = row.MassPerMetre / section.Area;
        var upright = from.Axis.Z > 0.5 ? Vec3.UnitZ : from.Axis;
        // On a pole the arm may point along it: what lies ahead stands at right angles to that.
        var ahead = (from.Axis.Z > 0.5 ? Vec3.UnitX : Math.Abs(b.Surface.U.Dot(upright)) < 0.9 ? b.Surface.U : b.Surface.V)
            .RotatedAbout(upright, Heading);
        Vec3 Link(double lean) => Math.Cos(lean) * upright + Math.Sin(lean) * ahead;
        var torque = JointTorque ?? row.JointTorque;
        var node = from.Node;
        var at = from.Position;
        var foot = default(SpringIndex);
        var links = new List<BeamPiece>();
        foreach (var (name, joint, lean) in new[] { ("lower", "Arm's foot joint", LowerLean), ("upper", "Elbow", UpperLean) })
        {
            var turned = b.Node(b.Own($"{name}-joint"), at);
            var spring = b.Spring(b.Own($"{name}-joint-spring"), node, turned, Joint(row));
            b.Checks.Add(new JointTorque(b, b.Path.Reach, new(b.Own($"{name}-joint")), $"{joint} turns", spring, torque,
                JointTorque is { } t ? Taken.Origin(b.Rig, "your measurement", "jointTorque", t) : row.Source));
            if (name == "lower")
            {
                foot = spring;
                b.Links.Add((b.Own("lower-joint-spring"), b.Path.Reach, "the arm's foot"));
            }
            at += Length / 2 * Link(lean);
            node = b.Node(b.Own($"{name}-link"), at);
            var piece = b.Beam(b.Path.Reach, b.Own($"{name}-arm"), $"{name} link", turned, node, section, material, ahead,
                density: density);
            links.Add(piece);
            b.Checks.Add(new SectionStrength(b, b.Path.Reach, new(b.Own($"{name}-arm")),
                $"{char.ToUpperInvariant(name[0])}{name[1..]} link bends", piece));
            b.Shape(b.Own($"{name}-arm"), b.Path.Reach, "tube", [b.Point(turned), b.Point(node)], [row.LinkDiameter]);
            b.Shape(b.Own($"{name}-joint"), b.Path.Reach, "joint", [b.Point(turned)], [row.LinkDiameter * 1.7], upright.Cross(ahead));
        }
        b.Put(Piece.Bought(new(b.Path.Reach, "arm"), row, mass: row.MassPerMetre * Length), [.. links]);
        var stud = new StudPort("Arm's stud", row.Thread, null, true);
        b.StandsOn(from, new(b.Own("reach-screw"), b.Path.Reach, "stud at the arm's foot", stud, f => f.Spring(foot),
            Math.Max(0.01, 0.7 * row.LinkDiameter)));
        return new Mount(node, at, upright, stud);
    }

    private static double[] Joint(ArmRow row)
    {
        var translation = row.JointStiffness / (row.LinkDiameter * row.LinkDiameter);
        return [translation, translation, translation, row.JointStiffness, row.JointStiffness, row.JointStiffness];
    }
}
