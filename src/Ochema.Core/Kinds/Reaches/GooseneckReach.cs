using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A gooseneck, 1/4-20 set between nuts at both ends.</summary>
[Kind("gooseneck", "Gooseneck", "Bends to any place and droops from there; for small cameras standing still.",
    Sketch = "rect 20 60 24 6; line 32 60 40 34; line 40 34 76 16; rect 76 10 10 10; dim length 28 58 72 10; dim lean 50 58 50 36")]
public sealed record GooseneckReach : ReachKind
{
    [StockChoice("Gooseneck", "goosenecks")]
    public string Neck { get; init; } = "neck-16";

    [Measure("Length", Dimension.Length, 0.08, 0.9, HowTo = "nut to nut, stretched", Greatest = "Greatest length", UsualTo = 0.6)]
    public double Length { get; init; } = 0.3;

    [Measure("Leans", Dimension.Angle, -Math.PI, Math.PI, HowTo = "forward from upright, foot to head")]
    public double Lean { get; init; } = 0.4;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Strip, "Free the gooseneck",
            "From an old lamp: unplug it, cut the cord and take it out for good; it is never to be plugged in again. Two nuts jammed "
                + "over a lock washer at the root.")
        {
            Tools = ["pliers", "spanners"],
            Minutes = 15,
            Beware = "Cut the plug off first of all.",
        },
        new(Work.Set, "Bend it once",
            "Bend it to its place slowly and leave it there: each bend takes some of its holding. Wait until it stands.")
        {
            Minutes = 2,
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<GooseneckRow>("goosenecks", Neck);
        var steel = b.Stock.Material("steel-s235");
        var i = row.BendingStiffness / steel.YoungsModulus;
        // Coils: bending only counts; axial and torsion as a thin tube of that size would have (judgement).
        var section = new Section(2e-5, i, i, 1.5 * i, row.Diameter / 2, row.Diameter / 2, 3 * i / row.Diameter, row.Diameter, true);
        var upright = from.Axis.Z < -0.5 ? -Vec3.UnitZ : Vec3.UnitZ;
        var direction = Math.Cos(Lean) * upright + Math.Sin(Lean) * Vec3.UnitX;
        var reach = b.Path.Reach;
        var root = b.Node(b.Own("neck-root"), from.Position);
        var spring = b.Spring(b.Own("neck-root-spring"), from.Node, root, [2e7, 2e7, 2e7, 5000, 5000, 5000]);
        b.Links.Add((b.Own("neck-root-spring"), reach, "the gooseneck's root"));
        var top = b.Node(b.Own("neck"), from.Position + Length * direction);
        var neck = b.Beam(reach, b.Own("neck"), "gooseneck", root, top, section, steel, Vec3.UnitY, density: row.MassPerMetre
            / section.Area);
        b.Checks.Add(new JointTorque(b, reach, new(b.Own("neck-root")), "Gooseneck gives way", spring, row.HoldingMoment, row.Source
            + ", 0.6–1.4 ×"));
        var mass = row.MassPerMetre * Length;
        var head = b.Path.Head;
        b.Later(() =>
        {
            var load = b.MassFrom(head);
            b.Findings.Add(new ReportFinding(reach,
                $"Held level, this gooseneck carries "
                    + $"{QuantityText.Of(Gooseneck.LimitMass(row.HoldingMoment, Length, mass), Dimension.Mass)} at the most; "
                + $"with {QuantityText.Of(load, Dimension.Mass)} on it, "
                + $"it droops {QuantityText.Of(Gooseneck.Droop(row.BendingStiffness, Length, load, mass), Dimension.Length)}."));
        });
        b.Put(Piece.Length(new(reach, "gooseneck"), row, Length, row.MassPerMetre, row.PricePerMetre, Aisle.Rigging, by: nameof(Length)),
            [neck]);
        b.Shape(b.Own("neck"), reach, "tube", [b.Point(root), b.Point(top)], [row.Diameter]);
        var stud = new StudPort("Gooseneck's stud", "1-4-20", null);
        b.StandsOn(from, new(b.Own("reach-screw"), reach, "stud at the gooseneck's root", stud, f => f.Spring(spring), 0.008));
        return new Mount(top, b.Position(top), upright, stud);
    }
}
