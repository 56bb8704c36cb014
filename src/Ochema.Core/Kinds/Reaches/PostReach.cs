using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A post of pipe, timber or dowel on a flange.</summary>
[Kind("post", "Post on a flange", "Pipe, dowel or tube from the drawer; its foot's screws are what gives.",
    Sketch = "rect 30 58 60 5; rect 54 12 12 46; dim height 78 12 78 58; dim flange 30 67 90 67")]
public sealed record PostReach : ReachKind
{
    [Measure("Height", Dimension.Length, 0.03, 1.5, HowTo = "flange to the underside of the head", Greatest = "Greatest height", UsualTo = 0.8)]
    public double Height { get; init; } = 0.25;

    [StockChoice("Post", "sections", Only = "round-tube,round,square-tube")]
    public string Section { get; init; } = "pvc-1";

    [Measure("Flange", Dimension.Length, 0.03, 0.2, HowTo = "screw circle across")]
    public double Flange { get; init; } = 0.06;

    [StockChoice("Flange screws", "fasteners")]
    public string Screw { get; init; } = "m6";

    internal override IEnumerable<Move> Moves(Catalogue stock) => [NoReach.Instead];

    public override Mount Build(RigBuilder b, Mount from)
    {
        b.Offers = null;
        var row = b.Stock.Find<SectionRow>("sections", Section);
        var top = Post.Build(b, from, Height, row, "post", "Post bends");
        var thread = b.Stock.Find<Fastener>("fasteners", Screw);
        var first = b.Pieces[^1].First;
        b.Joint(new ScrewJoint
        {
            Id = b.Own("flange-screw"),
            Station = b.Own("reach"),
            Title = "flange screws",
            Thread = thread,
            Means = Loosening.LockNut,
            Count = 4,
            Lever = Flange / 2,
            Axis = from.Axis,
            Layers = [new("Flange", LayerRole.Clearance, 0.004, "steel-s235", 0.04), new("Plate", LayerRole.Clearance, 0.006, "al-6061-t6", 0.05), new("Lock nut", LayerRole.Nut, thread.NutHeight, "steel-s235", thread.AcrossFlats)],
            Load = f => BeamEnd(b, f, first),
        });
        return top;
    }

    /// <summary>Force and moment at the first end of a beam element, host axes: the post stands upright, so its local axes turn into them.</summary>
    private static (Structure.Vec3, Structure.Vec3) BeamEnd(RigBuilder b, CaseForces f, int element)
    {
        Span<double> e = stackalloc double[12];
        f.Beam(element, e);
        var axis = (b.Position(b.EndOf(element)) - b.Position(b.StartOf(element))).Normalized();
        var z = Structure.Vec3.UnitX.PerpendicularTo(axis) is { Length: > 0.05 } x ? x.Normalized() : Structure.Vec3.UnitY;
        var y = z.Cross(axis);
        Structure.Vec3 Host(double n, double v, double w) => n * axis + v * y + w * z;
        return (Host(e[0], e[1], e[2]), Host(e[3], e[4], e[5]));
    }
}
