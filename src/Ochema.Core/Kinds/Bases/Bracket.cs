using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>An L of flat bar: a foot along the host, a leg away from it.</summary>
internal static class Bracket
{
    /// <summary>From a hole's middle to the end of the bar, m (common practice, no source).</summary>
    private const double Beyond = 0.015;

    /// <summary>Left between a screw's head and the bend, m.</summary>
    private const double Clear = 0.001;

    /// <summary>Least length of a foot from the middle of its screws to where the bend begins, m: the last head lies flat.</summary>
    /// <param name="row">From that middle to the last screw's, m.</param>
    public static double LeastFoot(double row, Fastener screw) => row + Hardware.Washer(screw).Width / 2 + Clear;

    /// <summary>Hole across the leg weakens it: net width taken as the width less one clearance hole.</summary>
    /// <param name="footLength">From the middle of what holds the foot to where the bend begins, m.</param>
    /// <param name="leg">From where the bend ends to the hole in the leg, m.</param>
    /// <param name="row">From the middle of what holds the foot to the last of its screws, m.</param>
    /// <param name="joint">Id of the joint that those screws make.</param>
    /// <param name="screws">How many there are.</param>
    /// <param name="bentTo">Measurements of the kind that come out when it is bent.</param>
    public static Mount Build(RigBuilder b, Mount foot, string id, Material m, double width, double thickness, double footLength, double leg,
        double bendRadius, Fastener screw, Vec3 along, double row = 0, string? joint = null, int screws = 0,
        IReadOnlyList<string>? bentTo = null)
    {
        var direction = along.PerpendicularTo(foot.Axis).Normalized();
        var section = Section.Rectangle(width - screw.ClearanceClose, thickness);
        var corner = b.Node(id + "-corner", foot.Position + footLength * direction);
        var end = b.Node(id, b.Position(corner) + leg * foot.Axis);
        var flat = b.Beam(StationId.Base, id + "-foot", "bracket foot", foot.Node, corner, section, m, foot.Axis, windy: false);
        var upright = b.Beam(StationId.Base, id + "-leg", "bracket leg", corner, end, section, m, direction);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new(id + "-foot"), "Bracket bends at its bolt", flat));
        b.Checks.Add(new SectionStrength(b, StationId.Base, new(id + "-leg"), "Bracket bends at its corner", upright));
        b.Checks.Add(new BendCracks(StationId.Base, new(id), m, thickness, bendRadius));
        var bend = Bend.Allowance(Math.PI / 2, bendRadius, thickness);
        var flatLength = Beyond + row + footLength + bend + leg + Beyond;
        var mass = width * thickness * flatLength * m.Density;
        // What is beyond the bolt and round the bend, at the bend.
        b.PointMass(corner, mass - flat.Mass - upright.Mass);
        b.Parts.Sheet(StationId.Base, "L-bracket, flat", new(flatLength, width, thickness, m.Id,
            [new(Beyond + row + footLength + bend / 2, Math.PI / 2, bendRadius)])
        {
            BentTo = bentTo ?? [],
            Holes =
            [
                .. Enumerable.Range(0, screws).Select(i =>
                    new SheetHole(Beyond + row + (screws == 1 ? 0 : (2.0 * i / (screws - 1) - 1) * row), width / 2, "Bracket", joint)),
                new(flatLength - Beyond, width / 2, "Bracket leg"),
            ],
        }, m);
        b.Shape(id + "-foot", StationId.Base, "tube", [b.Point(foot.Node), b.Point(corner)], [thickness * 2]);
        b.Shape(id + "-leg", StationId.Base, "tube", [b.Point(corner), b.Point(end)], [thickness * 2]);
        return new Mount(end, b.Position(end), foot.Axis,
            new ThroughPort("Bracket leg", [new("Bracket leg", LayerRole.Clearance, thickness, m.Id, width, Edge: width / 2)], width));
    }
}
