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

/// <summary>A short L-bracket on two small screws tapped into a helmet's shell, flush inside.</summary>
[Kind("shell-screws", "Screws tapped in the shell", "Stiff and small; the helmet is a filming prop from then on.",
    Caution = "A drilled helmet has lost its protective life: never for riding, skiing or climbing at risk. Nothing may enter the liner.",
    Sketch = "host 44; rect 30 36 60 6; rect 86 8 5 30; rect 42 30 5 18; rect 66 30 5 18; dim apart 44 26 68 26; dim leg 102 8 102 42; "
        + "dim bendRadius 74 34 88 34")]
public sealed record ShellScrews : BaseKind
{
    [StockChoice("Screws", "fasteners")]
    public string Screw { get; init; } = "m4";

    [Measure("Apart", Dimension.Length, 0.01, 0.08, HowTo = "middle to middle")]
    public double Apart { get; init; } = 0.025;

    [StockChoice("Bracket of", "sections", Only = "flat")]
    public string Bar { get; init; } = "flat-al-25x3";

    [Measure("Leg", Dimension.Length, 0.008, 0.1, HowTo = "bend to the camera's screw")]
    public double Leg { get; init; } = 0.025;

    [Measure("Inside bend radius", Dimension.Length, 0.0002, 0.03, HowTo = "the rod or vice jaw it was bent round")]
    public double BendRadius { get; init; } = 0.0095;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Shell], Drills: true);

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock) => form != SiteForm.Shell ? []
        : [new(SchoolQuestion.Hold, 2, "Drilled: prop only", "Stiff; the helmet protects nobody any more.", this, own,
            survey => survey with { FilmingProp = Answer.Yes })];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.LookOver, "Declare the helmet a prop",
            "Write on it, inside and out, that it protects nobody any more. From now on it is worn for the picture and for nothing else.")
        {
            Tools = ["marker"],
            Minutes = 2,
            Beware = "A drilled helmet must never be ridden, skied or climbed in again.",
        },
        new(Work.Drill, "Mark and drill the shell",
            $"Bracket drilled first. Hold it up with the camera on, mark two holes {QuantityText.Of(Apart, Dimension.Length)} apart, "
                + "all off again. Tape stop on the drill at the shell's thickness. Tap size, then tap by hand, straight, clearing often.")
        {
            Joint = "shell-screw",
            Reads = [nameof(Apart)],
            Tools = ["drill", "bits", "tap", "tapemark", "marker"],
            Minutes = 20,
            Beware = "Nothing enters the liner: a stop on the drill.",
            Wrong = "Through into the liner: the hole is lost and filled, a new one beside it.",
        },
        new(Work.Place, "Screw the bracket to the shell",
            "Screws cut so that they end flush inside: shell plus bracket. File them flat, feel with a finger. Thread lock, by hand. "
                + "Tapped plastic stands a handful of refits: count them, or set inserts.")
        {
            Joint = "shell-screw",
            Tools = ["hex-keys", "file"],
            Minutes = 10,
            Wrong = "A screw turns without end: the thread is out. An insert, or the next size up.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var thread = b.Stock.Find<Fastener>("fasteners", Screw);
        var row = b.Stock.Find<SectionRow>("sections", Bar);
        var site = b.Rig.Site;
        var (holds, foot) = ScrewRow.Place(b, 2, Apart, row.Height / 2, 2.5e6, 200);
        var joint = b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "shell-screw",
            Station = StationId.Base,
            Title = "screws in the shell",
            Thread = thread,
            Means = Loosening.ThreadLock,
            Usual = 0.6,
            AllowedProtrusion = 0,
            Layers =
            [
                new("Bracket", LayerRole.Clearance, row.Height, row.Material, row.Width, Edge: row.Width / 2),
                    new("Shell", LayerRole.Tapped, site.Thickness, site.Material, 0.05),
                new("Liner", LayerRole.KeepOut, Math.Max(0.005, site.Liner), "", 0.05),
            ],
            Load = f => ScrewRow.Worst(f, holds),
            Axis = foot.Axis,
            Lever = row.Width / 2,
            Screws = 2,
            Friction = 0.25,
        }, [.. holds.Select(h => h.Node)]);
        HelmetRules.Add(b, "base-hold", Leg + 0.02, false, 2 * joint.StripLoad, "both threads stripped");
        return Bracket.Build(b, foot, "bracket", Bar,
            Bracket.LeastFoot(Apart / 2, thread), Leg, BendRadius, thread, b.Surface.U, Apart / 2, "shell-screw", 2,
            [nameof(Leg), nameof(BendRadius)]);
    }
}
