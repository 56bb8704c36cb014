using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>A bent flat bar hooked into the slot beside a lowered window, levelled by a wedge.</summary>
[Kind("window-slot-plate", "Window-slot plate", "No tool, no trace, level in a minute; stays by its weight, so steel stays put where aluminium travels well.",
    Caution = "Window down and its switch off. Glass is never loaded. Off before you drive away.",
    Sketch = "rect 40 40 10 28; line 30 20 30 48; line 30 20 92 20; line 92 20 92 62; dim hook 22 20 22 48; dim shelf 30 12 92 12; dim "
        + "leg 104 20 104 62; dim slot 30 54 40 54")]
public sealed record WindowSlotPlate : BaseKind
{
    [StockChoice("Bar", "sections", Only = "flat")]
    public string Bar { get; init; } = "flat-steel-50x6";

    [Measure("Hook into the slot", Dimension.Length, 0.01, 0.12, HowTo = "how deep the bent end goes down beside the glass")]
    public double Hook { get; init; } = 0.04;

    [Measure("Slot width", Dimension.Length, 0.002, 0.03, HowTo = "rubber to sheet, with the window down")]
    public double Slot { get; init; } = 0.008;

    [Measure("Shelf", Dimension.Length, 0.05, 0.3, HowTo = "slot to the far end", UsualTo = 0.25)]
    public double Shelf { get; init; } = 0.14;

    [Measure("Leg down the door", Dimension.Length, 0.03, 0.4, HowTo = "second bend to the pad that rests on the door")]
    public double Leg { get; init; } = 0.15;

    [Measure("Inside bend radius", Dimension.Length, 0.0002, 0.05, HowTo = "the rod or vice jaw it was bent round")]
    public double BendRadius { get; init; } = 0.008;

    [Measure("Weight hung on it", Dimension.Mass, 0, 15, HowTo = "a bag of husks or sand on the shelf", UsualTo = 8)]
    public double Weight { get; init; }

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Slot]);

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock)
    {
        if (!own)
            yield break;
        bool Of(MaterialGrade metal) => stock.MaterialOf(Bar).Grade == metal;
        yield return new(SchoolQuestion.Weight, 0, "Aluminium", "Travels well.", this with { Bar = "flat-al-40x5" },
            Of(MaterialGrade.Aluminium));
        yield return new(SchoolQuestion.Weight, 1, "Steel", "Stays put.", this with { Bar = "flat-steel-50x6" }, Of(MaterialGrade.Steel));
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Measure, "Paper pattern of sill and slot",
            "Card pushed into the slot and folded over the sill: it gives width, both angles and where the shelf must lie to see over "
                + "the frame. Note the slot's width with feeler or coins.")
        {
            Tools = ["scissors", "marker", "calipers"],
            Minutes = 12,
        },
        new(Work.Bend, "Bend the bar to the pattern",
            $"Hook first, then the shelf, round a rod of {QuantityText.Of(BendRadius, Dimension.Length)}. Mild steel bends cold in "
                + "this size, easier warm; tempered aluminium does not. Fingernail over the outside: no crack.")
        {
            Piece = "bar",
            Reads = [nameof(Hook), nameof(Shelf), nameof(Leg), nameof(BendRadius)],
            Tools = ["vice", "bending-block", "mallet", "rule"],
            Minutes = 20,
            Wrong = "A degree off: wedge and block level it. A crack: a new bar, a larger radius.",
            Beware = "A bar that slips out of the vice swings: gloves, stand aside.",
        },
        new(Work.Pad, "Felt where it touches",
            "Both sides of the hook, under the shelf. No metal on glass or paint.")
        {
            Takes = ["felt"],
            Tools = ["scissors"],
            Minutes = 5,
        },
        new(Work.Place, "Hang it in the slot and level it",
            "Hook in the slot beside the glass, not on it. Wedge and block until both bubbles agree. The bag hangs under the shelf. "
                + "Engine off.")
        {
            Tools = ["level"],
            Minutes = 5,
            Beware = "Off the door before driving.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var row = b.Stock.Find<SectionRow>("sections", Bar);
        var (section, metal) = (Section.Rectangle(row.Width, row.Height), b.Stock.MaterialOf(Bar));
        var hold = ClampParts.Place(b, "base-hold", "slot hook", 0.004, row.Width / 2, 3e5, 3e5 * row.Width * Leg / 4, 0.5, "pad");
        var spot = b.Spot("base-hold", StationId.Base, "slot hook", b.Rig.At[0], b.Rig.At[1]);
        var outward = Vec3.UnitY.PerpendicularTo(hold.Top.Axis).Normalized();
        var seat = b.Node("shelf", hold.Top.Position + Shelf / 2 * outward);
        var shelf = b.Beam(StationId.Base, "shelf", "shelf", hold.Top.Node, seat, section, metal, hold.Top.Axis);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("shelf"), "Shelf bends at the slot", shelf));
        b.Checks.Add(new BendCracks(StationId.Base, new("plate"), metal, row.Height, BendRadius));
        if (row.Height > Slot)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The bar is {Holes.Size(row.Height)} thick and the slot {Holes.Size(Slot)} wide: it does not go in without forcing the "
                    + $"glass.", true));
        var flat = Hook + Shelf + Leg + 2 * Bend.Allowance(Math.PI / 2, BendRadius, row.Height);
        // It leans on the slot's edge and, by its leg, on the door: outwards the leg
        // braces it, inwards only the hook; along the car the wedge doubles the bar's width.
        b.WhileHeld(() =>
        {
            var corners = new[] { (1, 1), (1, -1), (-1, -1), (-1, 1) }.Select(c => c.Item1 * row.Width * b.Surface.U
                + (c.Item2 > 0 ? Shelf + Leg : Hook * 0.5) * c.Item2 * outward).ToList();
            b.Checks.Add(new StandsUp(b, spot, hold.Spring, corners));
            b.Checks.Add(new HoldSlide(b, spot, hold.Spring, "Plate slides along the door", 40, b.Site.Rubs(0.5),
                Math.Max(row.Width, Shelf) / 2, "wedge pushed in by hand, about 40 N; judgement"));
        });
        var bend = Bend.Allowance(Math.PI / 2, BendRadius, row.Height);
        b.Put(Piece.Cut(new(StationId.Base, "bar"), row, metal, flat, what: "Bent bar, flat").Also(c => c with
        {
            // Hook and leg both hang down from the shelf.
            Bends = [new(Hook + bend / 2, Math.PI / 2, BendRadius), new(Hook + Shelf + 1.5 * bend, Math.PI / 2, BendRadius)],
            Holes = [new(Hook + bend + Shelf / 2, "Shelf")],
        }), [shelf], seat);
        b.Put(Piece.Bought(new(StationId.Base, "felt"), b.Fitting("felt")), seat);
        if (Weight > 0)
            b.Put(Piece.Bought(new(StationId.Base, "weight"), b.Fitting("small-bag"), mass: Weight), seat);
        b.Shape("shelf", StationId.Base, "plate", [b.Point(seat)], [row.Width, Shelf, row.Height], hold.Top.Axis, outward);
        b.Shape("leg", StationId.Base, "tube", [b.Point(seat, b.Position(seat) + Shelf / 2 * outward),
            b.Point(seat, b.Position(seat) + Shelf / 2 * outward - Leg * hold.Top.Axis)], [row.Height * 2]);
        return new Mount(seat, b.Position(seat), hold.Top.Axis,
            new ThroughPort("Shelf", [new("Shelf", LayerRole.Clearance, row.Height, row.Material, row.Width, Edge: row.Width / 2)],
                row.Width));
    }
}
