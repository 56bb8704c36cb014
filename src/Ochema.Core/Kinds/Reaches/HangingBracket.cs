using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>An arm out and down, the head hanging from it.</summary>
[Kind("hanging-bracket", "Hanging bracket", "Brings the camera below the base, upside down: for gimbals and low pictures.",
    Caution = "Something second on whatever hangs: a head that unscrews falls.",
    Sketch = "rect 12 14 14 40; line 26 20 88 20; line 88 20 88 50; dim out 26 12 88 12; dim down 98 20 98 50")]
public sealed record HangingBracket : ReachKind
{
    [Measure("Out", Dimension.Length, 0.02, 1, HowTo = "base to the drop", Greatest = "Greatest reach out", UsualTo = 0.6)]
    public double Out { get; init; } = 0.15;

    [Measure("Down", Dimension.Length, 0.02, 1, HowTo = "arm to the head's seat", Greatest = "Greatest drop", UsualTo = 0.6)]
    public double Down { get; init; } = 0.10;

    [Measure("Turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 ahead, 90 to the left")]
    public double Heading { get; init; }

    [StockChoice("Made of", "sections", Only = "flat,round-tube,square-tube")]
    public string Section { get; init; } = "square-steel-25x2";

    /// <summary>Arm past the middle of its bolt, m (judgement).</summary>
    private const double Past = 0.02;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Join, "Join arm and drop at the corner",
            "Both mitres on each other, square by a steel rule. Welding is a skill: a workshop does it in ten minutes, with your two "
                + "pieces and the angle "
                + "drawn on them. Without it: a gusset of 3 mm on each side, four bolts each.")
        {
            Tools = ["clamps", "rule"],
            Minutes = 15,
            Beware = "Paint and zinc off before welding: the fumes are poison. Gloves: it stays hot.",
            Wrong = "Out of square: the head's ball takes a few degrees; more is cut and joined anew.",
        },
    ];

    public override Mount Build(RigBuilder b, Mount from)
    {
        var row = b.Stock.Find<SectionRow>("sections", Section);
        var (section, metal) = (b.Stock.Section(Section), b.Stock.MaterialOf(Section));
        var reach = b.Path.Reach;
        var heading = new Vec3(Math.Cos(Heading), Math.Sin(Heading), 0);
        var corner = b.Node(b.Own("bracket-corner"), from.Position + Out * heading);
        var seat = b.Node(b.Own("bracket-end"), b.Position(corner) - Down * Vec3.UnitZ);
        var arm = b.Beam(reach, b.Own("bracket-arm"), "bracket arm", from.Node, corner, section, metal, Vec3.UnitZ);
        var drop = b.Beam(reach, b.Own("bracket-drop"), "bracket drop", corner, seat, section, metal, heading);
        b.Checks.Add(new SectionStrength(b, reach, new(b.Own("bracket-drop")), "Bracket drop bends", drop));
        var through = new ThroughPort("Bracket", [HollowWall.Through("Bracket", row)], row.Width);
        b.StandsOn(from, new(b.Own("bracket-bolt"), reach, "bolt of the bracket", through, b.EndLoad(arm.First), row.Width / 2));
        // Bent most where its bolt goes through.
        var hole = b.Joints.Find(j => j.Id == b.Own("bracket-bolt"))?.Thread.ClearanceMedium ?? 0;
        b.Checks.Add(new SectionStrength(b, reach, new(b.Own("bracket-arm")), "Bracket arm bends at its bolt", arm,
            Stock.Section.Drilled(row.Shape, row.Width, row.Height, row.Wall, hole)));
        b.Put(Piece.Cut(new(reach, "arm"), row, metal, Out + Past, what: "Arm of the bracket", mitres: [0, Math.PI / 4], by: nameof(Out))
            .Also(c => c with { Holes = [new(Past, "Bracket", b.Own("bracket-bolt"))] }), [arm], from.Node);
        b.Put(Piece.Cut(new(reach, "drop"), row, metal, Down, what: "Drop of the bracket", mitres: [Math.PI / 4, 0], by: nameof(Down)),
            [drop]);
        b.Shape(b.Own("bracket-arm"), reach, "tube", [b.Point(from.Node), b.Point(corner)], [row.Width]);
        b.Shape(b.Own("bracket-drop"), reach, "tube", [b.Point(corner), b.Point(seat)], [row.Width]);
        // A flat bar ends in a foot bent under the drop; a tube in a plug.
        return new Mount(seat, b.Position(seat), -Vec3.UnitZ, row.Shape == SectionShape.Flat ? through
            : new TubePort("Drop of the bracket", row));
    }
}
