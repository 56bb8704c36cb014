using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;

namespace Ochema.Core.Kinds.Bases;

/// <summary>A padded spring clamp on an edge, rail or branch.</summary>
[Kind("spring-clamp", "Padded spring clamp", "Goes on anything in a second; holds a light camera, turns under a heavy one.",
    Caution = "Not over anybody's head without a tether.",
    Sketch = "circle 60 46 10; line 44 30 44 62; line 76 30 76 62; rect 57 10 6 20; dim opens 44 66 76 66; dim height 86 10 86 36; dim "
        + "force 22 46 42 46; dim padRadius 34 46 34 56")]
public sealed record SpringClamp : BaseKind
{
    [Measure("Jaw force", Dimension.Force, 5, 400, HowTo = "luggage scale on one jaw until it opens; {force:40} to {force:90} are usual", UsualTo = 150)]
    public double Force { get; init; } = 70;

    [Measure("Opens to", Dimension.Length, 0.01, 0.15, HowTo = "between the pads")]
    public double Opens { get; init; } = 0.055;

    [Measure("Pad radius", Dimension.Length, 0.004, 0.04, HowTo = "half across a jaw's pad")]
    public double PadRadius { get; init; } = 0.012;

    [Measure("Height", Dimension.Length, 0.01, 0.1, HowTo = "rail to the stud's seat")]
    public double Height { get; init; } = 0.03;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Edge, SiteForm.StandingEdge, SiteForm.Tube, SiteForm.PaneEdge, SiteForm.Branch]);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Pad, "Pad the jaws",
            "Hole opened to a snug fit, rib chiselled so that the nut seats, rubber on both jaws in two layers.")
        {
            Takes = [Supplies.RubberStrip],
            Tools = ["drill", "bits", "knife"],
            Minutes = 15,
        },
        new(Work.Place, "Clamp it on",
            "Open it wide, set both pads flat, let it close slowly. A spring that is left open gets weaker: it is stored closed.")
        {
            Tools = ["cloth"],
            Minutes = 2,
            Beware = "Fingers out of the jaws.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        if (b.Rig.Site.Diameter is { } d && d > Opens)
            b.Findings.Add(new ReportFinding(StationId.Base, $"The jaw opens to {Holes.Size(Opens)}; the rail is {Holes.Size(d)} across.",
                true));
        var row = b.Fitting("spring-clamp");
        var hold = ClampParts.Place(b, "base-hold", "jaw", 0.01, PadRadius, 6e4, 25, ClampParts.Rubber(b));
        b.WhileHeld(() => JawGrip.Add(b, hold, b.Surface.U, b.Surface.V, Force, PadRadius, ClampParts.Rubber(b), b.Rig.Site.Form
            == SiteForm.Tube
                ? ClampParts.Diameter(b) : null, "Jaw", "jaw force as you set it; rubber 0.3–0.5, judgement" + b.Site.RubsWhy));
        b.Put(Piece.Bought(new(StationId.Base, "clamp"), row), hold.Body);
        b.Beside(Piece.Used(new(StationId.Base, "jaw-rubber"), b.Fitting(Supplies.RubberStrip)));
        return ClampParts.Stem(b, hold.Top, Height, 0.0055, "stem",
            "stud") with
        { Offers = new StudPort("Clamp's stud", "1-4-20", null, true) };
    }
}
