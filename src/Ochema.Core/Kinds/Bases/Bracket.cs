using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>An L of flat bar: a foot along the host, a leg away from it.</summary>
internal static class Bracket
{
    /// <summary>From a hole's middle to the end of the bar, m (common practice, no source).</summary>
    public const double Beyond = 0.015;

    /// <summary>Left between a screw's head and the bend, m.</summary>
    private const double Clear = 0.001;

    /// <summary>Least length of a foot from the middle of its screws to where the bend begins, m: the last head lies flat.</summary>
    /// <param name="row">From that middle to the last screw's, m.</param>
    public static double LeastFoot(double row, Fastener screw) => row + Hardware.Washer(screw).Width / 2 + Clear;

    /// <param name="barId">Row of the flat bar that it is cut from.</param>
    /// <param name="footLength">From the middle of what holds the foot to where the bend begins, m.</param>
    /// <param name="leg">From where the bend ends to the hole in the leg, m.</param>
    /// <param name="row">From the middle of what holds the foot to the last of its screws, m.</param>
    /// <param name="joint">Id of the joint that those screws make.</param>
    /// <param name="screws">How many there are.</param>
    /// <param name="bentTo">Measurements of the kind that come out when it is bent.</param>
    public static Mount Build(RigBuilder b, Mount foot, string id, string barId, double footLength, double leg,
        double bendRadius, Fastener screw, Vec3 along, double row = 0, string? joint = null, int screws = 0,
        IReadOnlyList<string>? bentTo = null)
    {
        var (bar, m) = (b.Stock.Find<SectionRow>("sections", barId), b.Stock.MaterialOf(barId));
        var (width, thickness) = (bar.Width, bar.Height);
        var strip = new Strip(m, width, thickness, row, footLength, leg, bendRadius);
        var stood = Stand(b, foot, id, "Bracket", strip, screw, along.PerpendicularTo(foot.Axis).Normalized());
        b.Checks.Add(new BendCracks(StationId.Base, new(id), m, thickness, bendRadius));
        // What is beyond the bolt and round the bend, at the bend.
        b.Put(Piece.Strip(new(StationId.Base, "bracket"), Name, strip.Blank(bentTo ?? [], joint, screws, null), bar, m, spare: Spare),
            stood.Beams,
            stood.Corner);
        return new Mount(stood.End, b.Position(stood.End), foot.Axis,
            new ThroughPort("Bracket leg", [new("Bracket leg", LayerRole.Clearance, thickness, m.Id, width, Edge: width / 2)], width));
    }

    /// <summary>What it is called on the list.</summary>
    public const string Name = "L-bracket, flat";

    /// <summary>Left on the leg until it has been held up, m (common practice, no source).</summary>
    public const double Spare = 0.01;

    /// <summary>Foot and leg in the frame. A hole across them weakens both: net width taken as the width less one clearance hole.</summary>
    /// <param name="called">"Bracket".</param>
    /// <param name="direction">The way the foot goes, unit vector.</param>
    public static Stood Stand(RigBuilder b, Mount foot, string id, string called, Strip strip, Fastener screw, Vec3 direction)
    {
        var section = Section.Rectangle(strip.Width - screw.ClearanceClose, strip.Thickness);
        var corner = b.Node(id + "-corner", foot.Position + (strip.Foot + strip.Corner) * direction);
        var end = b.Node(id, b.Position(corner) + (strip.Leg + strip.Corner) * foot.Axis);
        var flat = b.Beam(StationId.Base, id + "-foot", $"{Words.Inside(called)} foot", foot.Node, corner, section, strip.Material,
            foot.Axis, windy: false);
        var upright = b.Beam(StationId.Base, id + "-leg", $"{Words.Inside(called)} leg", corner, end, section, strip.Material, direction);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new(id + "-foot"), $"{called} bends at its bolt", flat));
        b.Checks.Add(new SectionStrength(b, StationId.Base, new(id + "-leg"), $"{called} bends at its corner", upright));
        b.Shape(id + "-foot", StationId.Base, "tube", [b.Point(foot.Node), b.Point(corner)], [strip.Thickness * 2]);
        b.Shape(id + "-leg", StationId.Base, "tube", [b.Point(corner), b.Point(end)], [strip.Thickness * 2]);
        return new(end, corner, [flat, upright]);
    }

    /// <summary>A bracket in the frame.</summary>
    /// <param name="End">The middle of the hole in its leg.</param>
    /// <param name="Corner">Its bend.</param>
    /// <param name="Beams">Foot and leg.</param>
    internal sealed record Stood(NodeIndex End, NodeIndex Corner, BeamPiece[] Beams);

    /// <summary>The strip that it is bent of.</summary>
    /// <param name="Width">m.</param>
    /// <param name="Thickness">m.</param>
    /// <param name="Row">From the middle of what holds the foot to the last of its screws, m.</param>
    /// <param name="Foot">From that middle to where the bend begins, m.</param>
    /// <param name="Leg">From where the bend ends to the hole in the leg, m.</param>
    /// <param name="Radius">Inside, m.</param>
    internal sealed record Strip(Material Material, double Width, double Thickness, double Row, double Foot, double Leg, double Radius)
    {
        /// <summary>From where the bend begins to where the middle lines of foot and leg would meet, m: a bend has room, a sharp corner has
        /// none.</summary>
        public double Corner => Radius + Thickness / 2;

        private double Bent => Bend.Allowance(Math.PI / 2, Radius, Thickness);

        private double Length => Beyond + Row + Foot + Bent + Leg + Beyond;

        /// <summary>Laid flat, with its holes.</summary>
        /// <param name="bentTo">Measurements of the kind that come out when it is bent.</param>
        /// <param name="joint">Of the foot's screws.</param>
        /// <param name="screws">How many.</param>
        /// <param name="legJoint">Of the screw in the leg; null for what stands on it, whatever that is.</param>
        public SheetPiece Blank(IReadOnlyList<string> bentTo, string? joint, int screws, string? legJoint) =>
            new(Length, Width, Thickness, Material.Id, [new(Beyond + Row + Foot + Bent / 2, Math.PI / 2, Radius)])
            {
                BentTo = bentTo,
                Holes =
                [
                    .. Enumerable.Range(0, screws).Select(i =>
                        new SheetHole(Beyond + Row + (screws == 1 ? 0 : (2.0 * i / (screws - 1) - 1) * Row), Width / 2, "Bracket", joint)),
                    new(Length - Beyond, Width / 2, "Bracket leg", legJoint),
                ],
            };
    }
}
