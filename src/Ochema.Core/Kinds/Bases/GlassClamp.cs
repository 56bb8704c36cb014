using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
namespace Ochema.Core.Kinds.Bases;

/// <summary>A padded clamp on the top edge of a raised pane.</summary>
[Kind("glass-clamp", "Clamp on raised glass", "For a light camera in a parked car; glass carries little and breaks without a word.",
    Caution = "Parked only, a hand's breadth of glass showing, padded jaws, finger-tight. Toughened glass bursts from one scratch.",
    Sketch = "rect 57 28 6 40; rect 42 24 14 24; rect 64 24 14 24; rect 56 8 8 16; dim height 84 8 84 28; dim padRadius 36 36 36 48; dim "
        + "force 20 36 40 36")]
public sealed record GlassClamp : BaseKind
{
    [Measure("Jaw force", Dimension.Force, 5, 300, HowTo = "finger-tight {force:30} to {force:60}", UsualTo = 120)]
    public double Force { get; init; } = 50;

    [Measure("Pad radius", Dimension.Length, 0.008, 0.06, HowTo = "half across the jaw's pad")]
    public double PadRadius { get; init; } = 0.02;

    [Measure("Height", Dimension.Length, 0.01, 0.1, HowTo = "glass edge to the head's seat")]
    public double Height { get; init; } = 0.03;

    /// <summary>Moment that a pane's edge takes from a padded clamp, N·m, and the weight (judgement: 2–5 N·m, 10–25 N; glass carries no
    /// designed load).</summary>
    private const double EdgeMoment = 3;
    private const double EdgeWeight = 15;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.PaneEdge]);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, "Clamp it on the raised pane",
            "Pane down until a hand's breadth of it shows above the door: short, it is stiff. Both pads clean, closed by fingers only: "
                + "glass is never loaded "
                + "hard. Engine off; off the door before driving.")
        {
            Tools = ["cloth"],
            Minutes = 2,
            Beware = "Glass that is clamped hard breaks: fingers, no tool.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var row = b.Fitting("window-clamp");
        var hold = ClampParts.Place(b, "base-hold", "jaw", 0.006, PadRadius, 8e4, 60, ClampParts.Rubber(b));
        var spot = b.Spot("base-hold", StationId.Base, "jaw", b.Rig.At[0], b.Rig.At[1]);
        b.WhileHeld(() =>
        {
            b.Checks.Add(new HoldPullOff(b, spot with { Id = new("glass") }, hold.Spring, "Glass is loaded", FactorTable.Friction,
                EdgeMoment / 0.15, 0.15, "judgement; glass carries no designed load"));
            JawGrip.Add(b, hold, b.Surface.U, b.Surface.V, Force, PadRadius, ClampParts.Rubber(b),
                null, "Jaw on the glass", "jaw force as you set it; rubber on glass 0.3–0.6, judgement" + b.Site.RubsWhy);
        });
        if (b.Host.Kind != "hide")
            b.Findings.Add(new ReportFinding(StationId.Base, "A clamp on glass is for a parked car only: choose the car parked as a hide.",
                true));
        b.Put(Piece.Bought(new(StationId.Base, "clamp"), row), hold.Body);
        var top = ClampParts.Stem(b, hold.Top, Height, 0.014, "stem", "clamp neck");
        b.Checks.Add(StationId.Site, new("glass"), rig => new GlassWeight(rig, EdgeWeight));
        return top with { Offers = new StudPort("Clamp's stud", "1-4-20", null, true) };
    }
}

/// <summary>Weight on a pane.</summary>
internal sealed class GlassWeight(BuiltRig b, double allowed) : Check("glass.weight", StationId.Site, new("glass"), "Weight on the pane")
{
    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var w = b.Mass * Loads.MotionProfile.Gravity;
        sheet?.Formula("{W} ÷ {a}", "what a window's lift and edge are not hurt by (judgement)",
            "Slammed doors; a window that is not quite up.")
            .Term("W", "weight of all of it", w, Dimension.Force, "parts as listed")
                .Term("a", "allowed", allowed, Dimension.Force, "judgement, 10–25 N");
        return Ratio(w, allowed);
    }
}
