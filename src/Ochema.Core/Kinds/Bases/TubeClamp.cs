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

/// <summary>One or two clamps with jaws round a tube.</summary>
[Kind("tube-clamp", "Tube clamp", "Grips bars, racks and roll hoops without traces; turns on the tube before it bends.",
    Caution = "A clamp that turns drops the camera into the wind: mark it against the tube, and look at the mark.",
    Sketch = "circle 40 44 14; rect 22 26 36 36; rect 34 12 12 14; circle 92 44 14; dim height 66 12 66 30; dim apart 40 66 92 66; dim "
        + "largest 78 32 106 32")]
public sealed record TubeClamp : BaseKind
{
    [Measure("Clamps side by side", Dimension.Count, 1, 2, HowTo = "two, apart along the tube, for anything tall")]
    public double Count { get; init; } = 1;

    [Measure("Apart", Dimension.Length, 0.04, 0.8, HowTo = "middle to middle, when there are two")]
    public double Apart { get; init; } = 0.15;

    [Measure("Smallest tube it closes on", Dimension.Length, 0.005, 0.15, HowTo = "stamped on it; check against the real tube")]
    public double Smallest { get; init; } = 0.018;

    [Measure("Largest tube it closes on", Dimension.Length, 0.01, 0.2, HowTo = "stamped on it; check against the real tube")]
    public double Largest { get; init; } = 0.052;

    [Measure("Screw tightened with", Dimension.Torque, 0.3, 40, HowTo = "by hand on a knob {torque:2} to {torque:4}", UsualTo = 25)]
    public double Torque { get; init; } = 4;

    [Measure("Jaw along the tube", Dimension.Length, 0.008, 0.15, HowTo = "how much of the tube's length the jaws grip: what keeps it from pitching")]
    public double Jaw { get; init; } = 0.032;

    [StockChoice("Stud on top", "fasteners", HowTo = "the thread it offers to the head or the reach")]
    public string Stud { get; init; } = "3-8-16";

    [Option("Lining", HowTo = "rubber holds better and spares the finish")]
    public ClampLining Lining { get; init; } = ClampLining.Rubber;

    [Measure("Socket height", Dimension.Length, 0.01, 0.1, HowTo = "tube's surface to the screw face")]
    public double Height { get; init; } = 0.025;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Tube, SiteForm.Edge, SiteForm.StandingEdge, SiteForm.Branch]);

    /// <summary>What joins two clamps.</summary>
    private const string Rail = "square-al-30x2";

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
        Count < 2 ? [] : [new("spread", "Clamps a third further apart", this with { Apart = Math.Min(0.8, Apart * Further) })];

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) => form != SiteForm.Tube ? []
        : [new(SchoolQuestion.Hold, 0, "Tube clamp", "Off in a second, marks nothing.", this, own)];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Measure, "Measure the bar with calipers",
            "The name of a pipe is not its size: measure it where the clamp will sit, twice, across each other. Look for paint that "
                + "peels, cables and brake lines underneath.")
        {
            Tools = ["calipers"],
            Minutes = 3,
        },
        new(Work.Place, "Clamp it on the bar",
            $"Wipe the bar dry. {(Lining == ClampLining.Rubber ? "Rubber all the way round, clamp" : "Clamp bare on the bar,")} closed "
                + $"evenly, "
                + $"{QuantityText.Of(Torque, Dimension.Torque)}{(Lining == ClampLining.Rubber ? ", again after the first minutes" : "")}. Mark a line over "
                + "clamp and bar: it tells whether it has turned.")
        {
            Takes = [Supplies.RubberStrip],
            Reads = [nameof(Torque), nameof(Lining)],
            Tools = ["cloth", "spanners", "marker"],
            Minutes = 5,
            Beware = "No cable, hose or brake line between clamp and bar.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        ClampParts.Range(b, Smallest, Largest);
        var d = ClampParts.Diameter(b);
        var thread = b.Stock.Find<Fastener>("fasteners", "m8");
        var soft = Lining == ClampLining.Rubber;
        var friction = soft ? ClampParts.Rubber(b) : ClampParts.Metal(b);
        var closing = Threads.Preload(Torque, thread.MajorDiameter) * (soft ? FrictionGrip.SoftKeeps : 1);
        var capacity = FrictionGrip.Halves(closing, d, friction);
        var n = (int)Math.Round(Count);
        var clamp = b.Fitting("tube-clamp");
        var holds = Enumerable.Range(0, n).Select(i => ClampParts.Place(b, n == 1 ? "base-hold" : $"hold-{i + 1}",
            n == 1 ? "clamp" : i == 0 ? "first clamp" : "second clamp", d / 2 + Height, 0.02,
            rocking: soft ? 900 : ClampParts.Rocking, friction: friction, s: n == 1 ? 0 : (i - 0.5) * Apart)).ToList();
        foreach (var h in holds)
        {
            b.WhileHeld(() =>
            {
                var how = $"closed by an M8 screw at your torque, K = {Threads.NutFactor}"
                    + (soft ? ", half of it once the rubber has relaxed" : "");
                b.Checks.Add(GripTurn.Of(b, h.Id, $"{Words.Capital(h.Label)} turns on the tube", h.Spring, b.Surface.U,
                    capacity, "two jaws on a tube, Coulomb friction", $"{how}; friction {friction:0.00}, judgement{b.Site.RubsWhy}"));
                b.Checks.Add(new GripPrise(b, h.Id, $"{Words.Capital(h.Label)} is prised open", h.Spring, b.Surface.U, h.Top.Axis, closing,
                    Jaw / 3, how));
            });
            b.Put(Piece.Bought(new(StationId.Base, h.Id), clamp, name: $"{clamp.Name}, for {Holes.Size(d)}"), h.Body);
            if (soft)
                b.Beside(Piece.Used(new(StationId.Base, h.Id + "-lining"), b.Fitting(Supplies.RubberStrip)));
        }
        var stud = b.Stock.Find<Fastener>("fasteners", Stud);
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "clamp-stud",
            Station = StationId.Base,
            Title = "stud in the clamp",
            Thread = stud,
            Means = Loosening.JamNuts,
            Layers = [Hardware.JamNut(stud),
                new("Clamp body", LayerRole.Tapped, 0.014, "al-6061-t6", 0.03) { Ready = true }],
            Headless = true,
            Included = true,
        });
        if (n == 1)
            return holds[0].Top with { Offers = new StudPort("Clamp's stud", stud.Id, null) };
        var middle = b.Node("clamp-rail", 0.5 * (holds[0].Top.Position + holds[1].Top.Position));
        var rail = b.Stock.Find<SectionRow>("sections", Rail);
        var metal = b.Stock.MaterialOf(Rail);
        // It is bent most in its middle, where what stands on it goes through.
        var net = Section.Drilled(rail.Shape, rail.Width, rail.Height, rail.Wall, stud.ClearanceMedium);
        var beams = new List<BeamPiece>();
        foreach (var h in holds)
        {
            var piece = b.Beam(StationId.Base, h.Id + "-rail", "rail between the clamps", h.Top.Node, middle, b.Stock.Section(Rail), metal,
                h.Top.Axis);
            beams.Add(piece);
            b.Checks.Add(new SectionStrength(b, StationId.Base, new(h.Id + "-rail"), "Rail bends", piece, net));
            b.Shape(h.Id + "-rail", StationId.Base, "tube", [b.Point(h.Top.Node), b.Point(middle)], [rail.Width]);
        }
        var length = Apart + 2 * ClampParts.Past;
        b.Put(Piece.Cut(new(StationId.Base, "rail"), rail, metal, length, what: "Rail between the clamps", by: nameof(Apart))
            .Also(c => c with
            {
                Holes =
            [
                new(ClampParts.Past, "Rail", holds[0].Id + "-rail-nut"), new(length / 2, "Rail"),
                new(length - ClampParts.Past, "Rail", holds[1].Id + "-rail-nut"),
            ],
            }), [.. beams], holds[0].Top.Node, holds[1].Top.Node);
        // Each end of the rail stands on a clamp's stud, with a nut.
        foreach (var h in holds)
            b.StandsOn(h.Top with { Offers = new StudPort("Clamp's stud", stud.Id, null) },
                new(h.Id + "-rail-nut", StationId.Base, $"rail on the {h.Label}",
                new ThroughPort("Rail", [Wall(rail)], rail.Width), f => f.Spring(h.Spring), rail.Width / 2));
        return new Mount(middle, b.Position(middle), holds[0].Top.Axis, new ThroughPort("Rail", [Wall(rail)], rail.Width));
    }

    /// <summary>A hole right through a tube.</summary>
    private static StackLayer Wall(SectionRow tube) => HollowWall.Through("Rail", tube);
}

/// <summary>What a clamp is lined with.</summary>
public enum ClampLining
{
    Rubber,
    Bare,
}
