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

/// <summary>A length of plastic pipe slit along its side and drawn together round a pole by hose clamps: what is cemented to it hangs
/// below.</summary>
[Kind("slit-sleeve", "Slit sleeve on a pole", "On and off a pole with a wing nut, one hand, no tools; it slides and turns before it breaks.",
    Caution = "Tether first: it is fitted leaning over the side. No hand or line between pole and guide when the pole comes up.",
    Sketch = "line 56 2 56 70; line 66 2 66 70; rect 52 14 18 44; line 48 24 76 24; line 48 48 76 48; dim length 84 14 84 58; dim slit "
        + "60 64 63 64; dim "
        + "tension 18 24 48 24")]
public sealed record SlitSleeve : BaseKind
{
    [StockChoice("Sleeve from", "sections", Only = "pipe", HowTo = "the smallest that goes over the pole; its bore, not its name")]
    public string Pipe { get; init; } = "pvc-1";

    [Measure("Sleeve", Dimension.Length, 0.05, 0.5, HowTo = "along the pole; {length:0.15} holds an arm's length off it")]
    public double Length { get; init; } = 0.15;

    [Measure("Slit", Dimension.Length, 0.001, 0.03, HowTo = "sawn out along its side: what it closes by")]
    public double Slit { get; init; } = 0.006;

    [Measure("Hose clamps", Dimension.Count, 1, 3, HowTo = "stainless, with wing nuts")]
    public double Bands { get; init; } = 2;

    [Measure("Each drawn to", Dimension.Force, 50, 3000, HowTo = "a wing nut by wet fingers {force:300} to {force:600}", UsualTo = 1500)]
    public double Tension { get; init; } = 400;

    [Measure("Water is deep", Dimension.Length, 0.2, 30, HowTo = "at the shallowest place of the run: a pole with marks", UsualTo = 5)]
    public double Deep { get; init; } = 2.4;

    internal override double WaterDepth => Deep;

    [Measure("Pole comes up at", Dimension.Speed, 0.05, 5, HowTo = "when it is let go of by its motor or spring: a metre over the seconds", UsualTo = 2)]
    public double ComesUp { get; init; } = 0.5;

    [Measure("Its stop gives", Dimension.Length, 0.001, 0.2, HowTo = "rubber under the stop, squeezed; bare metal some {length:0.003}", UsualTo = 0.05)]
    public double StopGives { get; init; } = 0.01;

    [Option("Inside", HowTo = "a strip of bicycle tube grips a wet pole")]
    public ClampLining Lining { get; init; } = ClampLining.Rubber;

    /// <summary>Wet plastic and wet rubber on a smooth pole (judgement, 0.1–0.2 and 0.25–0.45).</summary>
    private const double Bare = 0.12;
    private const double Lined = 0.3;

    /// <summary>Rubber strip inside, m.</summary>
    private const double Strip = 0.001;

    internal override bool GivesSlowly => true;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Tube]);

    private double Thick => Lining == ClampLining.Rubber ? Strip : 0;

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Bands < 3)
            yield return new("another-band", "One hose clamp more", this with { Bands = Bands + 1 });
        if (Lining != ClampLining.Rubber)
            yield return new("lined", "Rubber strip inside", this with { Lining = ClampLining.Rubber });
        yield return new("longer-sleeve", "Sleeve a third longer", this with { Length = Math.Min(0.5, Length * Further) });
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Cut, "Cut and slit the sleeve",
            $"{QuantityText.Of(Length, Dimension.Length)} of pipe and what its coupler takes, ends square. Strip round it, both lines of "
                + $"the slit on "
                + $"the pipe; sawn along both from the open end, "
                + $"{QuantityText.Of(Slit, Dimension.Length)} out, stopping short of the coupler by a finger. Edges broken with the "
                    + $"knife: they cut the "
                    + $"pole and the hand.")
        {
            Piece = "sleeve",
            Reads = [nameof(Length), nameof(Slit)],
            Tools = ["rule", "marker", "hacksaw", "vice", "knife"],
            Minutes = 15,
            Wrong = "It splits on at the slit's end: drill a hole there first, as wide as the slit.",
        },
        new(Work.Place, "Sleeve on the pole",
            $"Tether on first. Sleeve pushed on over the side, to its mark, wing nuts by one hand, "
                + $"{QuantityText.Of(Tension, Dimension.Force)} each: as "
                + $"hard as wet fingers go. A pencil line on pole and "
                + "sleeve. Pole down and up once, empty: nothing moves.")
        {
            Reads = [nameof(Tension)],
            Tools = ["cloth", "marker"],
            Minutes = 3,
            Beware = "Over water, one hand on the boat: lifejacket on, tether on the sleeve too.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var row = b.Stock.Find<SectionRow>("sections", Pipe);
        var (section, plastic) = (b.Stock.Section(Pipe), b.Stock.MaterialOf(Pipe));
        var (d, bore, n) = (ClampParts.Diameter(b), PartFit.Bore(row), (int)Math.Round(Bands));
        var band = b.Fitting("wing-clamp");
        var closes = Math.PI * (bore - 2 * Thick - d);
        if (closes < -0.0005)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The sleeve does not go over the pole: {Holes.Size(bore - 2 * Thick)} inside{(Thick > 0 ? " with its rubber" : "")}, "
                    + $"the pole is "
                    + $"{Holes.Size(d)} across.", true));
        else if (closes > Slit)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The slit of {Holes.Size(Slit)} is closed before the sleeve grips: from {Holes.Size(bore - 2 * Thick)} to "
                    + $"{Holes.Size(d)} it closes by "
                    + $"{Holes.Size(closes)}. A wider slit, or rubber inside.", true));
        var friction = Lining == ClampLining.Rubber ? Lined : Bare;
        var hold = ClampParts.Place(b, "base-hold", "sleeve", row.Width / 2, d / 2, 1e6, 1e6 * Length * Length / 12, friction);
        b.WhileHeld(() =>
        {
            var (slide, torque) = FrictionGrip.Band(Tension, d, friction);
            var how = $"{n} clamps at your tension; wet friction {friction:0.00}, judgement";
            b.Checks.Add(GripTurn.Of(b, new("base-hold"), "Sleeve slides or turns on the pole", hold.Spring, b.Surface.U,
                (n * slide, n * torque),
                "a band presses with T ÷ r all round, Coulomb friction", how));
            b.Checks.Add(new GripPrise(b, new("base-hold"), "Sleeve is prised off the pole", hold.Spring, b.Surface.U, hold.Top.Axis,
                2 * Tension * n, Length / 3, how));
        });
        var surfaceOf = b.Position(hold.Node);
        // The unslit end stands out below the clamps, for the coupler.
        var down = -b.Surface.U;
        var lower = b.Node("sleeve-lower", b.Position(hold.Node) + Length / 2 * down);
        b.Rigid(hold.Node, lower);
        var end = b.Node("sleeve-end", b.Position(lower) + Neck * down);
        var neck = b.Beam(StationId.Base, "sleeve-neck", "sleeve's neck", lower, end, section, plastic, hold.Top.Axis);
        b.Put(Piece.Cut(new(StationId.Base, "sleeve"), row, plastic, Length + Neck, what: "Sleeve", by: nameof(Length))
            .Also(c => c with { Slit = new(Neck, c.Length, Slit) }), [neck], hold.Body);
        b.Put(Piece.Bought(new(StationId.Base, "bands"), band, n), hold.Body);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("sleeve-neck"), "Neck of the sleeve bends", neck));
        b.WhileHeld(() =>
        {
            var (slide, _) = FrictionGrip.Band(Tension, d, friction);
            b.Checks.Add(StationId.Base, new("bottom"), rig => new BottomClears(rig, Deep, Extent.Lowest(rig.Figure)));
            b.Checks.Add(StationId.Base, new("base-hold"),
                rig => new RetractStops(rig, ComesUp, StopGives, n * slide, section, plastic, Hung(rig, surfaceOf)));
        });
        if (Deep < Shown)
        {
            Vec3 bottom = new(b.Position(end).X, b.Position(end).Y, -Deep);
            b.Shape("bottom", StationId.Base, "strip", [new("", (bottom - Vec3.UnitX).ToArray()), new("", (bottom + Vec3.UnitX).ToArray())],
                [1.6]);
        }
        b.Shape("sleeve", StationId.Base, "tube", [b.Point(hold.Node, b.Position(hold.Node) - Length / 2 * down), b.Point(end)],
            [row.Width]);
        return new Mount(end, b.Position(end), down, new TubePort("Sleeve's end", row));
    }

    /// <summary>What hangs on the sleeve with the water that it carries along, kg, and how far beside the pole its middle is, m.</summary>
    private static (double Mass, double Beside) Hung(BuiltRig b, Vec3 pole)
    {
        var (mass, centre) = b.MassOf(_ => true);
        return (mass, (centre - pole).PerpendicularTo(b.Surface.U).Length);
    }

    /// <summary>A bottom deeper than this is out of sight, m.</summary>
    private const double Shown = 4;

    /// <summary>Unslit pipe past the sleeve for the coupler's socket, m.</summary>
    private const double Neck = 0.04;
}
