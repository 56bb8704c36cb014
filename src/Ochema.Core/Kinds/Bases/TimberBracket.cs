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

/// <summary>Two battens bolted at right angles: the upright strapped to a trunk, a levelling screw below the strap, the nose out from
/// it.</summary>
[Kind("timber-bracket", "Timber bracket, strapped to a trunk",
    "Holds on any trunk or post for the price of a strap; creeps a little, and is levelled by one screw.",
    Caution = "Nobody under it. Look at strap and level again after a quarter of an hour, and each time before you let go of it.",
    Sketch = "line 12 4 12 68; line 26 4 26 68; rect 34 14 10 50; rect 44 14 56 10; line 8 28 44 28; line 26 56 48 56; dim height 54 14 "
        + "54 64; dim nose "
        + "44 8 100 8; dim lever 66 28 66 56; dim screw 26 67 34 67")]
public sealed record TimberBracket : BaseKind
{
    [StockChoice("Timber", "sections", Only = "batten")]
    public string Timber { get; init; } = "batten-38x89";

    [Measure("Upright", Dimension.Length, 0.12, 0.9, HowTo = "along the trunk")]
    public double Height { get; init; } = 0.30;

    [Measure("Nose", Dimension.Length, 0.05, 0.4, HowTo = "trunk side of the upright's face to the bolt of what it carries")]
    public double Nose { get; init; } = 0.12;

    [StockChoice("Strap", "straps", Only = "ratchet,cam-buckle")]
    public string Strap { get; init; } = "ratchet-25";

    [Measure("Strap pulled to", Dimension.Force, 50, 4000, HowTo = "a ratchet by hand {force:500} to {force:1000}, a cam buckle {force:200} to "
        + "{force:400}", UsualTo = 2000)]
    public double Tension { get; init; } = 700;

    [Measure("Strap to levelling screw", Dimension.Length, 0.05, 0.6, HowTo = "along the upright, strap above, screw below")]
    public double Lever { get; init; } = 0.20;

    [Measure("Levelling screw stands out by", Dimension.Length, 0, 0.08, HowTo = "behind the upright, towards the trunk; none: the upright lies on it")]
    public double Screw { get; init; } = 0.01;

    [Measure("Turned against a lean to the left", Dimension.Angle, -0.8, 0.8,
        HowTo = "how far the bracket is turned to the right in its strap, as its trunk leans to the left; the other way is negative")]
    public double SetOver { get; init; }

    /// <summary>Timber on bark (judgement: smooth 0.3, furrowed 0.6).</summary>
    private const double BarkFriction = 0.4;

    /// <summary>Bark and wood under the edges of a notch, N/m (judgement, 0.3–3 ×).</summary>
    private const double Bark = 4e5;

    /// <summary>Out of plumb by more than this, an arm on it drifts and is worth a turn of the screw, rad (judgement: half a
    /// bubble).</summary>
    private const double Level = 0.01;

    private const string LevellingThread = "m8";
    private const string Bolts = "m6";
    private const string Bolted = "bracket-bolts";
    private const string BoltedBelow = "bracket-bolts-below";

    /// <summary>Holes in the legs of a shop's corner bracket of 75 mm, from its corner, m (judgement).</summary>
    private const double CornerNear = 0.022;
    private const double CornerFar = 0.058;

    internal override bool GivesSlowly => true;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Trunk]);

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Creeps(stock))
            yield return new("ratchet", "A ratchet strap in place of the cam buckle", this with { Strap = "ratchet-25", Tension = 700 });
        if (Tension < 900)
            yield return new("tighter", "Strap a third tighter", this with { Tension = Tension * Further });
        yield return new("longer-lever", "Levelling screw a third further down",
            this with { Lever = Math.Min(0.6, Lever * Further), Height = Math.Min(0.9, Height + Lever / 3) });
    }

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) =>
        form == SiteForm.Trunk ? [new(SchoolQuestion.Hold, 0, "Timber bracket and strap", "No trace on the tree, level by a screw.", this,
            own)] : [];

    /// <summary>A strap that keeps less of its pull than this creeps and is drawn again: cam buckles (judgement).</summary>
    private const double Settles = 0.85;

    private bool Creeps(Catalogue stock) => stock.Find<StrapRow>("straps", Strap).Keeps < Settles;

    /// <summary>
    /// Half the width that it touches a trunk by, m: the edges of its notch, or on a trunk thinner than the timber where a notch of 45°
    /// meets the round.
    /// </summary>
    private static double Touches(double radius, SectionRow timber) => Math.Min(timber.Width / 2, radius * Math.Sqrt(0.5));

    /// <summary>Angle of the pivot from plumb, forward and to the left, rad.</summary>
    private (double Forward, double Left) OffPlumb(Site site) => (Face(site) - Math.Atan(Screw / Lever), site.SideLean - SetOver);

    /// <summary>How far the bark under the upright leans forward, rad: the trunk's own lean less half its taper.</summary>
    private static double Face(Site site) => site.Slope - TrunkForm.Flare(site);

    /// <summary>
    /// Share of the strap's pull on each side that presses: it leaves the upright's corners for the round of the trunk at γ from straight
    /// inwards.
    /// </summary>
    /// <param name="radius">Of the trunk, m.</param>
    private static double Presses(double radius, SectionRow timber)
    {
        var (out_, half) = (radius + timber.Height, timber.Width / 2);
        var away = Math.Sqrt(out_ * out_ + half * half);
        return Math.Cos(Math.Max(0, Math.Asin(Math.Min(1, radius / away)) - Math.Atan(half / out_)));
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        var site = b.Site;
        var thread = b.Stock.Find<Fastener>("fasteners", LevellingThread);
        var turns = Face(site) > 0 ? Lever * Math.Tan(Face(site)) / thread.Pitch : 0;
        yield return new(Work.Measure, "Measure trunk and lean",
            "A cord round the trunk where the strap goes: its length over 3.14 is the diameter; again half a metre higher, for the "
                + "taper. Phone "
                + "against the bark ahead and behind, left and right: the lean is the middle of each pair. Loose bark, ivy and ants: "
                    + "another place.")
        {
            Tools = ["tape", "level"],
            Minutes = 5,
        };
        yield return new(Work.Cut, "Saw upright and nose",
            "Ends square. Down the back of the upright a shallow V, a saw's depth in its middle: it sits on the round of the trunk by "
                + "its two edges and "
                + "does not rock.")
        {
            Piece = "upright",
            Reads = [nameof(Height)],
            Tools = ["rule", "marker", "fine-saw", "vice"],
            Minutes = 15,
        };
        yield return new(Work.Drill, "Drill for the corner bracket",
            "Nose flat on the upright's head, corner bracket in the angle below it, held by a clamp: all its holes marked through, those "
                + "in the nose "
                + "drilled now, a hair "
                + "towards the corner, so that "
                + "the bolts pull the faces together as they are tightened.")
        {
            Joint = "bracket-bolts",
            Tools = ["drill", "bits", "clamps", "marker"],
            Minutes = 15,
            Wrong = "The faces gape: turn the bracket round and drill beside the first holes.",
        };
        yield return new(Work.Pad, "Sink the levelling screw's nut",
            $"{QuantityText.Of(Lever, Dimension.Length)} below the strap's line: a hole for the screw, on the back a recess for its nut, "
                + $"pressed in "
                + $"with the vice. A cap or a "
                + "wooden disc under the screw's tip: it must not drill into the bark.")
        {
            Reads = [nameof(Lever)],
            Tools = ["drill", "bits", "vice"],
            Minutes = 10,
        };
        yield return new(Work.Place, "Strap the bracket to the trunk",
            $"Pad under the strap all round. Upright against the trunk, strap once round above the screw, drawn to "
                + $"{QuantityText.Of(Tension, Dimension.Force)}: "
                + $"{(Creeps(b.Stock) ? "pull the tail hard and lean back; a cam creeps, so again after ten minutes" : "three or four clicks once it is hand-tight, no more")}. "
                + "Tail wound and tied. Pull at the nose sideways: it does not walk round the trunk.")
        {
            Takes = [Supplies.StrapPad],
            Reads = [nameof(Tension), nameof(SetOver)],
            Tools = ["cloth", "scale"],
            Minutes = 6,
            Crew = 2,
            Beware = "Fingers between strap and timber.",
            Wrong = "It turns round the trunk: wetter bark needs a rubber mat under the upright, not more ratchet.",
        };
        yield return new(Work.Set, "Bring the pivot upright",
            turns > 0 ? $"Level on the nose along it: the trunk leans forward, so screw out, about {turns:0} turns from lying flat. "
                + $"Across: turn the "
                + $"bracket in the strap. An arm swung "
                + "to either side and let go must stay."
                : "Level on the nose along it and across; the screw tips it back, the strap lets it be turned. An arm swung to either "
                    + "side and let go "
                    + "must stay.")
        {
            Reads = [nameof(Screw)],
            Tools = ["level"],
            Minutes = 4,
        };
    }

    public override Mount Build(RigBuilder b)
    {
        var (site, surface) = (b.Rig.Site, b.Surface);
        var timber = b.Stock.Find<SectionRow>("sections", Timber);
        var (section, wood) = (b.Stock.Section(Timber), b.Stock.MaterialOf(Timber));
        var strap = b.Stock.Find<StrapRow>("straps", Strap);
        var radius = (site.Diameter ?? 0.2) / 2;
        var round = 2 * Math.PI * (radius + timber.Height / 2) + StrapTail;
        var screw = b.Fitting("levelling-screw");
        var friction = site.Friction is { } own ? GroundBears.Today(b, own, nameof(Site.Friction)) : site.Rubs(BarkFriction);
        var hold = ClampParts.Place(b, "base-hold", "bracket", timber.Height, timber.Width / 2,
            Bark, Bark * Lever * Lever / 4, friction, "pad");
        var spot = b.Spot("base-hold", StationId.Base, "bracket", b.Rig.At[0], b.Rig.At[1]);
        var steep = Presses(radius, timber);
        var press = 2 * Tension * strap.Keeps * steep;
        b.WhileHeld(() =>
        {
            var source = $"2 × {QuantityText.Of(Tension, Dimension.Force)}, {strap.Keeps:P0} of it after an hour ({strap.Source}), "
                + $"{steep:P0} of it inwards";
            // Above the strap the ends of the notch, below it the screw.
            var (up, side) = (surface.U, surface.V);
            var (head, half) = ((Height - Lever) / 2 * up, Touches(radius, timber));
            Vec3[] corners = [head + half * side, head - half * side, -Lever * up];
            b.Checks.Add(new PressedTip(b, spot, hold.Spring, "Bracket tips off the trunk", corners, press, source));
            b.Checks.Add(new HoldSlide(b, spot, hold.Spring, "Bracket slides down or turns on the bark", press, friction, Lever / 2, source,
                press * Math.Tan(TrunkForm.Flare(site)) * surface.U));
            b.Checks.Add(new StrapHoop(b, spot, hold.Spring, strap, Tension, steep));
        });
        if (Height < Lever + 0.04)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The upright is {Holes.Size(Height)} long and the screw sits {Holes.Size(Lever)} below the strap: "
                    + $"{Holes.Size(Lever + 0.04)} at "
                    + $"least.", true));
        var (forward, left) = OffPlumb(site);
        if (Math.Abs(forward) > Level || Math.Abs(left) > Level)
            b.Findings.Add(new ReportFinding(StationId.Base, "The pivot is out of plumb and what turns on it drifts: "
                + string.Join("; ", Corrections(b, forward, left)) + "."));
        b.Put(Piece.Cut(new(StationId.Base, "upright"), timber, wood, Height, what: "Upright", by: nameof(Height))
            .Also(c => c with { Holes = [new((CornerNear + CornerFar) / 2, "Upright", BoltedBelow)] }), hold.Body);
        b.Put(Piece.Bought(new(StationId.Base, "levelling-screw"), screw), hold.Body);
        b.Beside(Piece.Used(new(StationId.Base, "strap-pad"), b.Fitting(Supplies.StrapPad)));
        b.Put(Piece.Length(new(StationId.Base, "strap"), strap, round, strap.MassPerMetre, strap.PricePerMetre, Aisle.Rigging), hold.Body);
        var axis = new Vec3(Math.Tan(forward), Math.Tan(left), 1).Normalized();
        var away = surface.Normal.PerpendicularTo(axis).Normalized();
        var corner = b.Node("bracket-corner", hold.Top.Position + (Height - Lever) / 2 * surface.U);
        b.Rigid(hold.Top.Node, corner);
        var end = b.Node("bracket-nose", b.Position(corner) + Nose * away);
        var nose = b.Beam(StationId.Base, "bracket-nose", "nose", corner, end, section, wood, axis);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("bracket-nose"), "Nose of the bracket breaks", nose));
        b.Put(Piece.Cut(new(StationId.Base, "nose"), timber, wood, Nose + timber.Height + ClampParts.Past, what: "Nose", by: nameof(Nose))
            .Also(c => c with
            {
                Holes =
            [
                new(timber.Height + (CornerNear + CornerFar) / 2, "Nose", Bolted), new(c.Length - ClampParts.Past, "Nose"),
            ],
            }), [nose], new Hung(corner) { Share = timber.Height }, new Hung(end) { Share = ClampParts.Past });
        b.Put(Piece.Bought(new(StationId.Base, "corner-bracket"), b.Fitting("corner-bracket")), corner);
        if (Nose < CornerFar + FacePlate / 2 + 0.005)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The nose of {Holes.Size(Nose)} has no room for the corner bracket and the face plates: "
                    + $"{Holes.Size(CornerFar + FacePlate / 2 + 0.005)} at least.", true));
        var bolt = b.Stock.Find<Fastener>("fasteners", Bolts);
        foreach (var (id, leg) in new[] { (Bolted, "Nose"), (BoltedBelow, "Upright") })
            b.Joint(new ScrewJoint
            {
                Stock = b.Stock,
                Id = id,
                Station = StationId.Base,
                Title = $"corner bracket on the {Words.Inside(leg)}",
                Thread = bolt,
                Means = Loosening.LockNut,
                Layers =
                [
                    new("Corner bracket", LayerRole.Clearance, 0.003, "steel-s235", 0.04) { Ready = true },
                    new(leg, LayerRole.Clearance, timber.Height, timber.Material, timber.Width), Hardware.WideWasher(bolt),
                        Hardware.LockNut(bolt),
                ],
                Count = 2,
                Places = [((CornerNear - CornerFar) / 2, 0), ((CornerFar - CornerNear) / 2, 0)],
                Load = b.EndLoad(nose.First),
                Axis = leg == "Nose" ? axis : away,
                Lever = CornerFar,
            }, corner);
        b.Shape("bracket-upright", StationId.Base, "plate",
            [b.Point(hold.Node, spot.Point + timber.Height / 2 * spot.Normal - ((Lever - (Height - Lever) / 2) / 2) * surface.U)],
            [Height, timber.Width, timber.Height], spot.Normal, surface.V);
        var heart = spot.Point - radius * spot.Normal;
        b.Shape("bracket-strap", StationId.Base, "strap",
            [
                .. new[] { -1.0, 1 }.SelectMany(way => Enumerable.Range(0, 6).Select(i =>
                    way < 0 ? (radius + 0.003) * spot.Normal.RotatedAbout(surface.U, Math.PI * (0.25 + 0.15 * i))
                        : (radius + 0.003) * spot.Normal.RotatedAbout(surface.U, Math.PI * (1 + 0.15 * i))))
                            .Select(p => b.Point(hold.Node, heart + p)),
                .. new[] { -1.0, 1, 1 }.Select((side, i) => b.Point(hold.Node, i == 2
                    ? heart + (radius + 0.003) * spot.Normal.RotatedAbout(surface.U, Math.PI * 0.25)
                    : spot.Point + timber.Height * spot.Normal + side * timber.Width / 2 * surface.V)),
            ],
            [strap.Width]);
        b.Shape("bracket-nose", StationId.Base, "tube", [b.Point(corner), b.Point(end)], [timber.Height]);
        var top = b.Node("bracket-top", b.Position(end) + (timber.Height / 2 + FaceThickness) * axis);
        b.Rigid(end, top);
        StackLayer Plate(string name) => new(name, LayerRole.Clearance, FaceThickness, "steel-s235", FacePlate);
        foreach (var name in new[] { Upper, Lower })
            b.Put(Piece.Sheet(new(StationId.Base, name == Upper ? "upper-plate" : "lower-plate"), name,
                new(FacePlate, FacePlate, FaceThickness, "steel-s235", [])
                {
                    Holes = [new(FacePlate / 2, FacePlate / 2, name)],
                }, b.Stock.Material("steel-s235")), end);
        return new Mount(top, b.Position(top), axis, new ThroughPort("Nose",
            [Plate(Lower), new("Nose", LayerRole.Clearance, timber.Height, timber.Material, timber.Width), Plate(Upper)], timber.Width));
    }

    private IEnumerable<string> Corrections(RigBuilder b, double forward, double left)
    {
        var pitch = b.Stock.Find<Fastener>("fasteners", LevellingThread).Pitch;
        if (Math.Abs(forward) > Level)
        {
            var turns = Lever * (Math.Tan(Face(b.Rig.Site)) - Screw / Lever) / pitch;
            yield return turns < 0 && Screw + turns * pitch < 0 ? "the bark leans back: screw right in and a wedge above the strap"
                : $"levelling screw {(turns > 0 ? "out" : "in")} by {Math.Abs(turns):0.#} turns";
        }
        if (Math.Abs(left) > Level)
            yield return $"bracket {QuantityText.Of(Math.Abs(left), Dimension.Angle)} further to the {(left > 0 ? "right" : "left")} in "
                + $"its strap";
    }

    /// <summary>
    /// Steel on both faces of the nose, m: what a pivot's bolt presses with, up to its own proof load, would sink washers into softwood,
    /// which crushes across the grain at 2.5 to 5 N/mm² (EN 338, from memory).
    /// </summary>
    private const double FacePlate = 0.05;
    private const double FaceThickness = 0.003;
    private const string Upper = "Upper face plate";
    private const string Lower = "Lower face plate";

    /// <summary>Strap past its own ring: buckle, overlap and a tail to pull at, m (judgement, 0.4–0.8).</summary>
    private const double StrapTail = 0.6;
}
