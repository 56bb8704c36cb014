using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Bases;

/// <summary>A hose clamp or P-clamp round a tube with an L-bracket under it.</summary>
[Kind("hose-clamp-bracket", "Hose clamp or P-clamp with bracket", "Costs next to nothing and grips anything round; the bracket is the spring in it.",
    Caution = "Cut the band's tail and tape it: it opens skin. Rubber under the band, or it walks.",
    Sketch = "circle 34 48 14; rect 30 30 60 4; rect 86 6 4 26; dim foot 34 24 84 24; dim leg 100 6 100 34; dim bendRadius 70 44 84 36")]
public sealed record HoseClampBracket : BaseKind
{
    [Measure("Bands", Dimension.Count, 1, 2, HowTo = "two, one at each end of the bracket's foot")]
    public double Bands { get; init; } = 2;

    [Measure("Band pulled to", Dimension.Force, 100, 4000,
        HowTo = "a worm screw by hand {force:600} to {force:1200}, with a driver {force:2000}", UsualTo = 2500)]
    public double Tension { get; init; } = 1000;

    [Measure("Smallest it closes on", Dimension.Length, 0.005, 0.3, HowTo = "stamped on the band, its rubber counted; check against the real tube")]
    public double Smallest { get; init; } = 0.018;

    [Measure("Largest it closes on", Dimension.Length, 0.006, 0.4, HowTo = "stamped on the band")]
    public double Largest { get; init; } = 0.08;

    [StockChoice("Bracket of", "sections", Only = "flat")]
    public string Bar { get; init; } = "flat-steel-25x3";

    [Measure("Foot", Dimension.Length, 0.01, 0.15, HowTo = "band to the bend")]
    public double Foot { get; init; } = 0.03;

    [Measure("Leg", Dimension.Length, 0.01, 0.25, HowTo = "bend to the camera's screw")]
    public double Leg { get; init; } = 0.05;

    [Measure("Inside bend radius", Dimension.Length, 0.0002, 0.05, HowTo = "the rod or vice jaw it was bent round")]
    public double BendRadius { get; init; } = 0.003;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Tube, SiteForm.Branch]);

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) => form != SiteForm.Tube ? []
        : [new(SchoolQuestion.Hold, 1, "Hose clamp and bracket", "Costs next to nothing, stays on.", this, own)];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Drill, "Open the bracket's hole",
            "Brackets are sold with 6 mm holes, which 1/4-20 does not pass: open it to the size in the table, part clamped, slow.")
        {
            Joint = "head-screw",
            Tools = ["drill", "bits", "vice"],
            Minutes = 5,
        },
        new(Work.Place, "Band the bracket on",
            "Rubber under the bracket and under the bands, all the way round. Bands side by side, screws on different sides, drawn in "
                + "turn. Cut the ends and cover them with tape: they cut hands.")
        {
            Reads = [nameof(Tension)],
            Tools = ["cloth", "hex-keys", "pliers", "tapemark"],
            Minutes = 8,
            Beware = "Cut band ends are blades: cover them.",
            Wrong = "The screw of the band skips: a new band; do not double the old one.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        ClampParts.Range(b, Smallest, Largest);
        var d = ClampParts.Diameter(b);
        var screw = b.Stock.Find<Fastener>("fasteners", "1-4-20");
        var band = b.Fitting("hose-clamp");
        var hold = ClampParts.Place(b, "base-hold", "band", d / 2 + 0.002, 0.02, 2e6, 500 * Bands,
            ClampParts.Rubber(b));
        b.WhileHeld(() =>
        {
            var kept = Tension * FrictionGrip.SoftKeeps;
            var one = FrictionGrip.Band(kept, d, ClampParts.Rubber(b));
            b.Checks.Add(GripTurn.Of(b, new("base-hold"), "Band turns on the tube", hold.Spring, b.Surface.U,
                (one.Slide * Bands, one.Torque * Bands), "a band presses with T ÷ r all round, Coulomb friction",
                "half of the tension that you pulled once the rubber has relaxed; its friction 0.3–0.5, judgement" + b.Site.RubsWhy));
            b.Checks.Add(new GripPrise(b, new("base-hold"), "Band is prised off the tube", hold.Spring, b.Surface.U, hold.Top.Axis,
                2 * kept * Bands, Math.Max(0.006, Foot
                    / 2), "two ends of each band pull it on; half of the tension once the rubber has relaxed"));
        });
        b.Put(Piece.Bought(new(StationId.Base, "bands"), band, Math.Round(Bands), name: $"{band.Name}, for {Holes.Size(d)}"), hold.Body);
        return Bracket.Build(b, hold.Top, "bracket", Bar, Foot, Leg, BendRadius, screw, b.Surface.U,
            bentTo: [nameof(Foot), nameof(Leg), nameof(BendRadius)]);
    }
}
