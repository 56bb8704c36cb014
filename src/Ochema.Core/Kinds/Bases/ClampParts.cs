using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>What bases that grip something share.</summary>
internal static class ClampParts
{
    /// <summary>Own stiffness of a metal clamp, N/m and N·m/rad (judgement, 0.3–3 ×).</summary>
    public const double Stiffness = 4e6;
    public const double Rocking = 1500;

    /// <summary>Friction of painted or bare metal under a clamp, and with a rubber lining (judgement, 0.12–0.2 and 0.3–0.6).</summary>
    public const double MetalFriction = 0.15;
    public const double RubberFriction = 0.4;

    /// <summary>Metal on the place of the rig, as that is today.</summary>
    public static double Metal(RigBuilder b) => b.Site.Rubs(MetalFriction);

    /// <summary>A rubber lining on it.</summary>
    public static double Rubber(RigBuilder b) => b.Site.Rubs(RubberFriction);

    /// <summary>Tube past the middle of a clamp or bolt that it ends in, m (judgement: half a jaw and a finger).</summary>
    public const double Past = 0.03;

    /// <summary>The real diameter of the rig's tube or bar, m.</summary>
    public static double Diameter(RigBuilder b) => b.Rig.Site.Diameter ?? 0.025;

    /// <summary>
    /// A hold at the rig's place with given stiffness: returns it as built. <paramref name="height"/> is from the host's axis to the
    /// screw face, <paramref name="radius"/> half the footprint, m.
    /// </summary>
    public static Hold Place(RigBuilder b, string id, string label, double height, double radius,
        double stiffness = Stiffness, double rocking = Rocking, double? friction = null, string type = "clamp", double s = 0,
            double t = 0) =>
        PanelHold.Place(b, b.Spot(id, StationId.Base, label, b.Rig.At[0] + s, b.Rig.At[1] + t), stiffness, stiffness, rocking, radius,
            height, friction ?? Metal(b), type);

    /// <summary>Refuses a clamp range that the real size is outside of; a nominal name fools many.</summary>
    public static void Range(RigBuilder b, double smallest, double largest)
    {
        var d = Diameter(b);
        if (!NominalSizes.ClampFits(smallest, largest, d))
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The clamp closes on {Holes.Size(smallest)} to {Holes.Size(largest)}, the tube is {Holes.Size(d)} across: "
                + "nominal sizes are names, not measures.", true));
    }

    /// <summary>A plain steel stud as reach foot: a short round beam.</summary>
    /// <param name="row">What is bought for it; null for one that its base comes with and weighs with.</param>
    public static Mount Stem(RigBuilder b, Mount from, double height, double diameter, string id, string label, FittingRow? row = null)
    {
        var top = b.Node(id, from.Position + height * from.Axis);
        var steel = b.Stock.Material("steel-1018");
        var section = Section.Of(SectionShape.Round, diameter, diameter, 0);
        var piece = b.Beam(StationId.Base, id, label, from.Node, top, section, steel, Vec3.UnitX, density: row is null ? 0 : null);
        if (row is not null)
            b.Put(Piece.Bought(new(StationId.Base, id), row, mass: piece.Mass,
                name: $"{Words.Capital(label)}, {QuantityText.Of(height, Dimension.Length)}"),
                [piece]);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new(id), $"{Words.Capital(label)} bends", piece));
        b.Shape(id, StationId.Base, "tube", [b.Point(from.Node), b.Point(top)], [diameter]);
        return new Mount(top, b.Position(top), from.Axis);
    }

    /// <summary>A bolt through two parts with a washer and a lock nut: clamps on tubes, brackets on bars.</summary>
    public static ScrewJoint Through(RigBuilder b, string id, StationId station, string title, string thread, StackLayer first,
        StackLayer second)
    {
        var f = b.Stock.Find<Fastener>("fasteners", thread);
        return new ScrewJoint
        {
            Stock = b.Stock,
            Id = b.Own(id),
            Station = station,
            Title = title,
            Thread = f,
            Means = Loosening.LockNut,
            Layers = [first, second, Hardware.Washer(f), Hardware.LockNut(f)]
        };
    }
}
