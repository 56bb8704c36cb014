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

/// <summary>A base held by a strap that lets go in a snag: through a helmet's vents, or round a tube.</summary>
[Kind("strap-base", "Strap base that releases", "No hole, no glue, comes off before it wrenches the neck; slips and rocks more than the others.",
    Caution = "Hook-and-loop or a clip that opens: not a knot, not a buckle, and no line from the camera to the body.",
    Sketch = "host 60; rect 36 50 48 8; rect 52 28 16 22; line 36 52 12 60; line 84 52 108 60; dim foot 36 64 84 64; dim height 76 28 76 "
        + "50; dim tension 90 44 112 52")]
public sealed record StrapBase : BaseKind
{
    [Measure("Strap pulled to", Dimension.Force, 5, 400, HowTo = "by hand {force:20} to {force:60}", UsualTo = 150)]
    public double Tension { get; init; } = 40;

    [Measure("Strap angle", Dimension.Angle, 0.1, 1.57, HowTo = "how steeply the strap pulls down at the base's edge: flat angles press little")]
    public double Angle { get; init; } = 0.9;

    [Measure("Lets go at", Dimension.Force, 10, 1000, HowTo = "pulled off with a luggage scale")]
    public double Releases { get; init; } = 120;

    [Measure("Foot", Dimension.Length, 0.02, 0.15, HowTo = "across the base's rubber sole")]
    public double Foot { get; init; } = 0.06;

    [Measure("Height", Dimension.Length, 0.004, 0.08, HowTo = "shell to the buckle's seat")]
    public double Height { get; init; } = 0.016;

    internal override bool GivesSlowly => true;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Shell, SiteForm.Tube, SiteForm.Branch]);

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) =>
        form == SiteForm.Tube ? [new(SchoolQuestion.Hold, 2, "Strap that releases", "Lets go before it breaks something.", this, own)]
        : form == SiteForm.Shell ? [new(SchoolQuestion.Hold, 1, "Strap that releases", "Comes off in a snag.", this, own)]
        : [];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, "Strap it round",
            "Round the helmet's shell, under the edge, never over vents that must release. Draw to "
                + $"{QuantityText.Of(Tension, Dimension.Force)}, fold the end back on itself. It must come away when it is caught: "
                + "pull it off by hand once.")
        {
            Tools = ["scale"],
            Minutes = 4,
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var row = b.Fitting("strap-base");
        var hold = ClampParts.Place(b, "base-hold", "strap base", 0.006, Foot / 2, 3e4, 3e4 * Foot * Foot / 8,
            ClampParts.Rubber(b), "pad");
        var spot = b.Spot("base-hold", StationId.Base, "strap base", b.Rig.At[0], b.Rig.At[1]);
        // Two ends pull down by the sine of their angle.
        var press = 2 * Tension * Math.Sin(Angle);
        b.WhileHeld(() =>
        {
            b.Checks.Add(new HoldPullOff(b, spot, hold.Spring, "Strap base lets go", FactorTable.Friction,
                Math.Min(press + 2 * Tension * Math.Cos(Angle), Releases), Foot / 2,
                    "strap tension and where it releases, as you set them"));
            b.Checks.Add(new HoldSlide(b, spot, hold.Spring, "Strap base slides or twists", press,
                ClampParts.Rubber(b), Foot / 3, "2 × tension × sine of the strap angle"));
        });
        HelmetRules.Add(b, spot.Id, Height + 0.02, true, Releases, "pulled off with a scale");
        b.Put(Piece.Bought(new(StationId.Base, "base"), row), hold.Body);
        return ClampParts.Stem(b, hold.Top, Height, 0.012, "stem", "buckle") with { Offers = new BucklePort("Buckle") };
    }
}
