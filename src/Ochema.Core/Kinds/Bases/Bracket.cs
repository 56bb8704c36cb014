using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>An L of flat bar: a foot along the host, a leg away from it.</summary>
internal static class Bracket
{
    /// <summary>Hole across the leg weakens it: net width taken as the width less one clearance hole.</summary>
    public static Mount Build(RigBuilder b, Mount foot, string id, Material m, double width, double thickness, double footLength, double leg, double bendRadius, Fastener screw, Vec3 along)
    {
        var direction = along.PerpendicularTo(foot.Axis).Normalized();
        var section = Section.Rectangle(width - screw.ClearanceClose, thickness);
        var corner = b.Node(id + "-corner", foot.Position + footLength * direction);
        var end = b.Node(id, b.Position(corner) + leg * foot.Axis);
        var flat = b.Beam("base", id + "-foot", "bracket foot", foot.Node, corner, section, m, foot.Axis, windy: false);
        var upright = b.Beam("base", id + "-leg", "bracket leg", corner, end, section, m, direction);
        b.Checks.Add(new SectionStrength(b, "base", id + "-foot", "Bracket bends at its bolt", flat));
        b.Checks.Add(new SectionStrength(b, "base", id + "-leg", "Bracket bends at its corner", upright));
        b.Checks.Add(new BendCracks("base", id, m, thickness, bendRadius));
        var flatLength = footLength + leg + Bend.Allowance(Math.PI / 2, bendRadius, thickness) + 0.03;
        var mass = width * thickness * flatLength * m.Density;
        // What is beyond the bolt and round the bend, at the bend.
        b.PointMass(corner, mass - flat.Mass - upright.Mass);
        b.Parts.Sheet("base", "L-bracket, flat", new(flatLength, width, thickness, m.Id, [new(footLength, Math.PI / 2, bendRadius)]), m);
        b.Shape(id + "-foot", "base", "tube", [b.Point(foot.Node), b.Point(corner)], [thickness * 2]);
        b.Shape(id + "-leg", "base", "tube", [b.Point(corner), b.Point(end)], [thickness * 2]);
        return new Mount(end, b.Position(end), foot.Axis,
            new ThroughPort("Bracket leg", [new("Bracket leg", LayerRole.Clearance, thickness, m.Id, width, Edge: width / 2)], width));
    }
}
