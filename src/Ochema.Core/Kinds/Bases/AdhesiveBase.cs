using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Kinds.Holds;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
namespace Ochema.Core.Kinds.Bases;

/// <summary>A stuck-on base, flat or curved to the shell.</summary>
[Kind("adhesive-base", "Adhesive base, flat or curved", "Small, light, goes on a helmet or a fairing without a hole; needs three days, and a tether.",
    Caution = "72 h before it holds what it says; never alone; warm it to take it off.",
    Sketch = "host 60; rect 36 54 48 6; rect 50 30 20 24; dim height 80 30 80 54; dim radius 20 50 36 58")]
public sealed record AdhesiveBase : BaseKind
{
    [Part("Pad")]
    public Pad Pad { get; init; } = new();

    [Measure("Base moulded to a radius of", Dimension.Length, 0.03, 30, HowTo = "flat: {length:30}; curved ones are made for helmets, about {length:0.13}")]
    public double Radius { get; init; } = 30;

    [Measure("Height", Dimension.Length, 0.004, 0.08, HowTo = "shell to the buckle's seat")]
    public double Height { get; init; } = 0.014;

    internal override bool GivesSlowly => true;

    [JsonIgnore]
    public override Grip Grip => Pad.Grip;

    /// <summary>A pad ground to a shell's curve, m (judgement, 100–160 mm).</summary>
    private const double OnAShell = 0.13;

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) => form != SiteForm.Shell ? []
        : [new(SchoolQuestion.Hold, 0, "Stuck on", "No hole; three days to cure.", own ? this : this with { Radius = OnAShell }, own)];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.TryOn, "Try the curve dry",
            "Set it down without peeling: it must lie on all of its face. A base that bridges holds half. Mark its outline in tape.")
        {
            Tools = ["tapemark"],
            Minutes = 3,
        },
        .. Pad.Steps(b, path).Select(s =>
            s with { Beware = "Never alone, and never on a helmet that has to protect without its maker's leave." }),
    ];

    public override Mount Build(RigBuilder b)
    {
        var spot = b.Spot("base-hold", StationId.Base, "pad", b.Rig.At[0], b.Rig.At[1]);
        var hold = Pad.Build(b, spot);
        var width = Pad.Diameter(b.Stock);
        b.Checks.Add(new PadCurve(spot, width, Radius));
        // Worn, it has to come off; anywhere else glue is never the only thing.
        if (b.Host.BreakawayLimit is null && b.Rig.Straps.Count == 0 && b.Rig.Tethers.Count == 0)
            b.Findings.Add(new ReportFinding(StationId.Base, "Glue alone is refused: a strap, or a tether from the camera, goes with it.",
                true));
        HelmetRules.Add(b, spot.Id, Height + 0.02, true, Holding(b), "the pad torn off, strength × area");
        return ClampParts.Stem(b, hold.Top, Height, 0.012, "stem", "buckle",
            b.Fitting("buckle-stem")) with
        { Offers = new BucklePort("Buckle") };
    }

    private double Holding(RigBuilder b)
    {
        var row = b.Stock.Find<Stock.AdhesivePadRow>("adhesives", Pad.Stock);
        // Torn off by peel, at the edge: a third of the straight pull (judgement, 0.2–0.5).
        return row.Strength * row.Width * row.Height / 3;
    }
}

/// <summary>What a helmet asks of whatever is fitted to it.</summary>
internal static class HelmetRules
{
    public static void Add(RigBuilder b, string id, double outside, bool breaksAway, double holds, string source)
    {
        if (b.Host.BreakawayLimit is not { } limit)
            return;
        b.Checks.Add(StationId.Site, new("neck"), rig => new NeckLoad(rig));
        if (b.Rig.Survey.FilmingProp == Hosts.Answer.Yes)
        {
            b.Findings.Add(new ReportFinding(StationId.Base,
                "Filming prop: judged for holding only. It protects nobody; mark it so inside, and keep it apart from helmets that do."));
            return;
        }
        if (breaksAway)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"It stands {Joints.Holes.Size(outside)} out past the shell; "
                + $"{Joints.Holes.Size(HelmetProtrusion.Allowed)} is what 49 CFR 571.218 S5.5 allows for rigid projections. "
                + $"This one has to come off in a snag: pull it off once and see."));
        else
            b.Checks.Add(new HelmetProtrusion(new(id), outside));
        b.Checks.Add(new BreaksAway(new(id), holds, limit, source));
    }
}

/// <summary>A pad on a base of another curve: the gap at its edge against what the foam follows.</summary>
internal sealed class PadCurve(HoldSpot spot, double width, double radius)
    : Check(spot.Id + ".curve", spot.Station, spot.Id, "Pad does not follow the curve")
{
    /// <summary>What 1.1 mm of foam takes up, m (judgement, 0.3–0.6 mm).</summary>
    private const double Follows = 0.0005;

    public override bool Fixed => true;

    public override double Use(CaseForces f, Worksheet? sheet = null)
    {
        var crown = spot.Site.CrownRadius;
        var gap = width * width / 8 * Math.Abs(1 / crown - 1 / radius);
        sheet?.Formula("{w}² ÷ 8 × |1 ÷ {R} − 1 ÷ {r}| ÷ {s}", "sag of two arcs", "Vents and stickers under it.")
            .Term("w", "pad width", width, Dimension.Length, "the pad's row")
                .Term("R", "the host's radius", crown, Dimension.Length, "place as entered")
            .Term("r", "base moulded to", radius, Dimension.Length, Origin.Measures)
            .Term("s", "what the foam follows", Follows, Dimension.Length, "judgement, 0.3–0.6 mm");
        return Ratio(gap, Follows);
    }
}
