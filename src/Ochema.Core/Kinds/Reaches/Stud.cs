using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
namespace Ochema.Core.Kinds.Reaches;

/// <summary>A threaded rod between the base and the head.</summary>
[Kind("stud", "Threaded stud", "Cheap and short; bends at the thread root when long.",
    Sketch = "rect 40 56 40 8; line 60 14 60 56; rect 52 48 16 8; rect 52 14 16 8; dim length 76 22 76 48")]
public sealed record Stud : ReachKind
{
    [StockChoice("Thread", "fasteners")]
    public string Thread { get; init; } = "3-8-16";

    [Measure("Free length", Dimension.Length, 0.005, 0.3, HowTo = "nut to nut", Greatest = "Greatest free length", UsualTo = 0.12)]
    public double Length { get; init; } = 0.05;

    /// <summary>Rod at each end that goes through nuts and into threads, m (judgement, 10–25 mm).</summary>
    private const double End = 0.015;

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Length > 0.03)
            yield return new("shorter-stud", "A stud half as long", this with { Length = Length / 2 });
        yield return NoReach.Instead;
    }

    public override Mount Build(RigBuilder b, Mount from)
    {
        var thread = b.Stock.Find<Fastener>("fasteners", Thread);
        // The load-carrying core: a round bar of the stress area (ASME B1.1, ISO 898-1).
        var d = Math.Sqrt(4 * thread.StressArea / Math.PI);
        var section = Ochema.Core.Stock.Section.Of(SectionShape.Round, d, d, 0);
        var steel = b.Stock.Material("steel-s235");
        var top = b.Node(b.Own("stud"), from.Position + Length * from.Axis);
        var piece = b.Beam(b.Path.Reach, b.Own("stud"), "stud", from.Node, top, section, steel, Vec3.UnitX);
        b.Checks.Add(new SectionStrength(b, b.Path.Reach, new(b.Own("stud")), "Stud bends at its thread", piece));
        b.Put(Piece.Length(new(b.Path.Reach, "stud"), thread, Length + 2 * End, piece.Mass / Length, 6, Aisle.Screws, "Threaded rod",
            by: nameof(Length)),
            [piece], from.Node, top);
        b.Shape(b.Own("stud"), b.Path.Reach, "tube", [b.Point(from.Node), b.Point(top)], [thread.MajorDiameter]);
        var rod = new StudPort("Stud", thread.Id, null);
        b.StandsOn(from, new(b.Own("reach-screw"), b.Path.Reach, "foot of the stud", rod, b.EndLoad(piece.First), thread.AcrossFlats / 2));
        return new Mount(top, b.Position(top), from.Axis, rod);
    }
}
