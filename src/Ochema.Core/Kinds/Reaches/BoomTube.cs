using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Bases;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A mast and a boom out from it, clamped where they cross.</summary>
[Kind("boom-tube", "Mast and boom", "Reaches over two lanes or out to the side; every hand's breadth of stick-out is paid for at the clamp.",
    Caution = "Nobody beside it while it moves, nothing under it. What sticks out needs a lookout and the road's permission.",
    Sketch = "rect 20 62 30 5; rect 32 18 6 44; rect 32 18 74 6; dim height 22 18 22 62; dim stickOut 36 10 106 10")]
public sealed record BoomTube : ReachKind
{
    [Measure("Mast height", Dimension.Length, 0.03, 2, HowTo = "base to the boom", Greatest = "Greatest mast height", UsualTo = 1.2)]
    public double Height { get; init; } = 0.3;

    [Measure("Stick-out", Dimension.Length, 0.03, 2.5, HowTo = "mast to the head", Greatest = "Greatest stick-out", UsualTo = 1.6)]
    public double StickOut { get; init; } = 0.6;

    [Measure("Boom turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 ahead, 90 out to the left")]
    public double Heading { get; init; } = Math.PI / 2;

    [StockChoice("Mast and boom", "sections", Only = "round-tube,square-tube")]
    public string Section { get; init; } = "tube-steel-33-7x2-6";

    [Measure("Crossing clamp holds", Dimension.Torque, 5, 400,
        HowTo = "scale × lever when the boom turns on the mast; a scaffold clamp {torque:60} to {torque:120}", UsualTo = 200)]
    public double ClampTorque { get; init; } = 80;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Fit, "Mast and boom in the crossing clamp",
            "Mast in its flange, crossing clamp on, boom through it. Mark height and swing on both tubes with tape. Both bolts again "
                + "after every change.")
        {
            Joint = "crossing-bolt",
            Reads = [nameof(Height), nameof(StickOut), nameof(Heading)],
            Tools = ["spanners", "torque-wrench", "tapemark"],
            Minutes = 15,
            Crew = 2,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Section);
        var (section, metal) = (b.Stock.Section(Section), b.Stock.MaterialOf(Section));
        var up = from.Axis.Z < -0.5 ? -Vec3.UnitZ : Vec3.UnitZ;
        var heading = new Vec3(Math.Cos(Heading), Math.Sin(Heading), 0);
        var reach = b.Path.Reach;
        var mastTop = b.Node(b.Own("mast"), from.Position + Height * up);
        var mast = b.Beam(reach, b.Own("mast"), "mast", from.Node, mastTop, section, metal, Vec3.UnitX);
        var crossing = b.Node(b.Own("crossing"), b.Position(mastTop));
        var spring = b.Spring(b.Own("crossing-spring"), mastTop, crossing, [2e7, 2e7, 2e7, 6000, 6000, 6000]);
        b.Links.Add((b.Own("crossing-spring"), reach, "the crossing clamp"));
        var end = b.Node(b.Own("boom"), b.Position(mastTop) + StickOut * heading);
        var boom = b.Beam(reach, b.Own("boom"), "boom", crossing, end, section, metal, up);
        b.Checks.Add(new SectionStrength(b, reach, new(b.Own("mast")), "Mast bends", mast));
        b.Checks.Add(new SectionStrength(b, reach, new(b.Own("boom")), "Boom bends", boom));
        b.Checks.Add(new JointTorque(b, reach, new(b.Own("crossing")), "Boom turns on the mast", spring, ClampTorque,
            "as you set it; scaffold clamps 60–120 N·m, judgement"));
        b.Joint(ClampParts.Through(b, "crossing-bolt", reach, "bolt of the crossing clamp", "m10",
            new("Clamp half", LayerRole.Clearance, 0.010, "steel-s235", 0.04) { Ready = true },
            new("Other half", LayerRole.Clearance, 0.010, "steel-s235", 0.04) { Ready = true }) with
        { Included = true });
        b.StandsOn(from, new(b.Own("reach-screw"), reach, "plate under the mast",
            new FlangePort("Mast's flange", 0.005, 0.07, 4, "m8", "flange-screw", "screws of the mast's flange"),
            b.EndLoad(mast.First), 0.035));
        // Both tubes stand out past the clamp that they cross in.
        b.Put(Piece.Cut(new(reach, "mast"), row, metal, Height + ClampParts.Past, what: "Mast", by: nameof(Height)), [mast], mastTop);
        b.Put(Piece.Cut(new(reach, "boom"), row, metal, StickOut + ClampParts.Past, what: "Boom", by: nameof(StickOut)), [boom], mastTop);
        b.Put(Piece.Bought(new(reach, "flange"), b.Fitting("foot-flange")), from.Node);
        b.Put(Piece.Bought(new(reach, "crossing-clamp"), b.Fitting("crossing-clamp")), mastTop);
        b.Shape(b.Own("mast"), reach, "tube", [b.Point(from.Node), b.Point(mastTop)], [row.Width]);
        b.Shape(b.Own("boom"), reach, "tube", [b.Point(crossing), b.Point(end)], [row.Width]);
        return new Mount(end, b.Position(end), up, new ThroughPort("Boom", [HollowWall.Through("Boom", row)], row.Width));
    }
}
