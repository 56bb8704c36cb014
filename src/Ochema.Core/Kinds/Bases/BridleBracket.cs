using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Loads;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;
using Ochema.Core.Structure.Lines;

namespace Ochema.Core.Kinds.Bases;

/// <summary>
/// A short bracket hung between three shackles by a short line and two elastic legs. It is hung anew in each case; the frame stands on the
/// tangent of its lines: along each its own stretch, across it tension over length.
/// </summary>
[Kind("bridle-bracket", "Bracket on three lines", "Hangs where nothing can be screwed; gives way to a wave instead of breaking.",
    Caution = "The camera's own lanyard to the shackle first. No loop or line long enough to go round a hand or a foot in a capsize.",
    Sketch = "line 60 4 60 30; line 8 62 48 36; line 112 62 72 36; rect 46 30 28 8; circle 60 50 8; dim short 70 4 70 30; dim leg 8 70 "
        + "48 44; dim width 46 "
        + "22 74 22")]
public sealed record BridleBracket : OnBridle
{
    [Measure("Short line", Dimension.Length, 0.03, 0.6, HowTo = "upper shackle to the bracket, between its knots")]
    public double Short { get; init; } = 0.15;

    [StockChoice("Short line of", "straps", Only = "cord,stretch-cord,webbing,wire")]
    public string ShortStock { get; init; } = "cord-4";

    [Measure("Elastic legs, slack", Dimension.Length, 0.1, 3, HowTo = "knot to knot, before they are stretched to their shackles")]
    public double Leg { get; init; } = 1.0;

    [StockChoice("Legs of", "straps", Only = "elastic,stretch-cord,cord")]
    public string LegStock { get; init; } = "elastic-8";

    [StockChoice("Legs end in", "knots", HowTo = "a rope's knot slips in elastic")]
    public string End { get; init; } = "double-overhand";

    [Measure("Bracket", Dimension.Length, 0.05, 0.5, HowTo = "eye to eye of the legs: wide steadies it")]
    public double Width { get; init; } = 0.16;

    [StockChoice("Bracket of", "sections", Only = "flat")]
    public string Strip { get; init; } = "flat-al-25x3";

    private const string Hook = "snap-hook";

    /// <summary>The short line's eye above the bracket's middle, m (judgement: a bow shackle).</summary>
    private const double Eye = 0.02;

    /// <summary>Its eyes, m.</summary>
    private const double EyeDrill = 0.008;

    /// <summary>Strip beyond its eyes, m (common practice, no source).</summary>
    private const double Past = 0.012;

    /// <summary>Knots and elastic damp (judgement, 0.05–0.15).</summary>
    private const double Damping = 0.08;

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
    [
        new("tighter", "Legs a quarter shorter", this with { Leg = Math.Max(0.1, 0.8 * Leg) }),
        new("wider", "A bracket half as wide again", this with { Width = Math.Min(0.5, 1.5 * Width) }),
        new("shorter-line", "Short line half as long", this with { Short = Math.Max(0.03, Short / 2) }),
    ];

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock)
    {
        if (form != SiteForm.Bridle)
            yield break;
        yield return new(SchoolQuestion.Hold, 0, "Elastic legs", "Gives to a wave; the stabiliser works.", this with
        {
            LegStock = "elastic-8",
            Leg = own ? Leg : 1
        },
            own && IsElastic(stock));
        yield return new(SchoolQuestion.Hold, 1, "Cord legs, drawn tight", "Points where it is aimed; takes every slam.",
            this with { LegStock = "cord-4", Leg = Taut }, own && !IsElastic(stock));
    }

    private bool IsElastic(Catalogue stock) => stock.Find<StrapRow>("straps", LegStock).IsElastic;

    /// <summary>Length of a leg that is just taut with the short line upright, m.</summary>
    private double Taut => 0.99 * Math.Sqrt(Math.Pow(Apart / 2 - Width / 2, 2) + Math.Pow(Below - Short - Eye, 2) + Ahead * Ahead);

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        string Size(double v) => QuantityText.Of(v, Dimension.Length);
        var elastic = IsElastic(b.Stock);
        yield return new(Work.Measure, "Measure the three shackles",
            "Upper to left, upper to right, left to right: three lengths by tape make the triangle. Sail up, sheeted in both ways: what "
                + "the foresail sweeps "
                + "stays clear.")
        {
            Reads = [nameof(Apart), nameof(Below), nameof(Ahead)],
            Tools = ["tape"],
            Minutes = 10,
        };
        yield return new(Work.Cut, "Tie the legs",
            $"{(elastic ? "Elastic" : "Cord")} {Size(Leg)} from knot to knot, both alike, hooks in the loops. "
                + $"{(elastic ? "A reef knot joins nothing and a bowline slips in elastic: a stopper with its tail taped, or clamps." : "Drawn over a post with your weight once, then measured again.")}")
        {
            Piece = "legs",
            Reads = [nameof(Leg)],
            Tools = ["tape", "knife", "lighter"],
            Minutes = 15,
        };
        yield return new(Work.Cut, "Tie the short line", $"{Size(Short)} from shackle to bracket, loop at both ends.")
        {
            Piece = "short-line",
            Reads = [nameof(Short)],
            Tools = ["tape", "knife", "lighter"],
            Minutes = 5,
        };
        yield return new(Work.Drill, "Drill the eyes",
            $"{QuantityText.Of(EyeDrill, Dimension.Drill)}, {Size(Past)} from either end for the hooks of the legs, and a third "
                + $"{Size(Eye)} beside the middle, "
                + "clear of the head's screw, for the short line's shackle. Edges rounded: they cut line.")
        {
            Tools = ["punch", "drill", "bits", "file"],
            Minutes = 10,
        };
        yield return new(Work.Place, "Hook it in",
            "Lanyard first. Middle hook to the upper shackle, then one side, then the other, one hand on the camera all the time. "
                + "Keepers shut. Push it "
                + "every way and let go: "
                + "it comes back and does not spin.")
        {
            Minutes = 4,
            Beware = "A leg that slips out of the fingers hits an eye: face away.",
            Wrong = "It spins: legs of two lengths, or the bracket is too narrow.",
        };
    }

    internal override bool Hangs => true;

    public override Mount Build(RigBuilder b)
    {
        var upper = b.Surface.Origin;
        var (shortRow, legRow) = (b.Stock.Find<StrapRow>("straps", ShortStock), b.Stock.Find<StrapRow>("straps", LegStock));
        var (bar, section, metal) = (b.Stock.Find<SectionRow>("sections", Strip), b.Stock.Section(Strip), b.Stock.MaterialOf(Strip));
        var knot = Lashing.Knots.First(k => k.Id == End);
        var own = Lashing.Knots.First(k => k.Id == "bowline");
        var hook = b.Fitting(Hook);
        var side = Side;
        // The lines as if they met in the bracket's middle: their ends moved in by their eyes.
        string[] ids = ["short-line", "leg-left", "leg-right"];
        Vec3[] eyes = [Eye * Vec3.UnitZ, Width / 2 * Vec3.UnitY, -Width / 2 * Vec3.UnitY];
        Vec3[] ends = [upper, upper + side, upper + side with { Y = -side.Y }];
        StrapRow[] rows = [shortRow, legRow, legRow];
        var held = new HeldByLines([.. ids.Select((_, i) => new HeldBy(ends[i] - eyes[i], i == 0 ? Short : Leg, rows[i].AxialStiffness))],
            rows, ids);
        // What hangs there is known once all is built; camera, head and bracket are about this much.
        var about = b.Rig.Camera.OnScale(b.Stock) + 0.15;
        var guess = held.AtRest(about * MotionProfile.Gravity, upper - (Short + Eye) * Vec3.UnitZ) ?? upper - (Short + Eye) * Vec3.UnitZ;
        var middle = b.Node("bracket", guess);
        var springs = new SpringIndex[3];
        var (hooks, halves) = (new List<NodeIndex>(), new List<BeamPiece>());
        var names = new[] { "short line", "left leg", "right leg" };
        for (var i = 0; i < 3; i++)
        {
            var eye = b.Node(ids[i], guess + eyes[i]);
            springs[i] = b.SpringAlong((ends[i] - b.Position(eye)).Normalized(), ids[i], eye, null, 1, 1, 0, 0,
                b.Rig.Site.Damping ?? Damping);
            hooks.Add(eye);
            b.Holds.Add(new Hold(new(ids[i]), StationId.Base, names[i], springs[i], eye, new Mount(eye, b.Position(eye), -Vec3.UnitZ)) { IsLine = true });
            b.Shape(ids[i], StationId.Base, "strap", [b.Point(i == 0 ? middle : eye), new FigurePoint("", ends[i].ToArray())],
                [rows[i].Width]);
            if (i == 0)
                b.Rigid(middle, eye);
            else
            {
                var half = b.Beam(StationId.Base, ids[i] + "-half", $"{(i == 1 ? "left" : "right")} half of the bracket", middle, eye,
                    section, metal,
                    Vec3.UnitZ);
                b.Checks.Add(new SectionStrength(b, StationId.Base, new(ids[i] + "-half"), $"Bracket bends, {(i == 1 ? "left" : "right")}",
                    half,
                    Section.Drilled(bar.Shape, bar.Width, bar.Height, bar.Wall,
                        b.Stock.Find<Fastener>("fasteners", "1-4-20").ClearanceMedium)));
                halves.Add(half);
                b.Shape(ids[i] + "-half", StationId.Base, "tube", [b.Point(middle), b.Point(eye)], [bar.Width * 0.6]);
            }
        }
        held.On(springs);
        b.Put(Piece.Bought(new(StationId.Base, "hooks"), hook, 3), [.. hooks.Select(n => (Hung)n)]);
        var eyed = new OwnHole("hook or shackle", "Eyes of the bracket", EyeDrill);
        b.Put(Piece.Cut(new(StationId.Base, "bracket"), bar, metal, Width + 2 * Past, what: "Bracket", by: nameof(Width)).Also(c => c with
        {
            Holes =
            [
                new(Past, "Bracket") { Own = eyed }, new(c.Length / 2, "Bracket"), new(c.Length / 2 + Eye, "Bracket") { Own = eyed },
                new(c.Length - Past, "Bracket") { Own = eyed },
            ],
        }), [.. halves], hooks[1], hooks[2]);
        b.Put(Piece.Length(new(StationId.Base, "short-line"), shortRow, Short + 2 * own.Allowance(shortRow.Thickness),
            shortRow.MassPerMetre,
            shortRow.PricePerMetre,
            Aisle.Rigging, "Short line:", by: nameof(Short)), middle);
        b.Put(Piece.Length(new(StationId.Base, "legs"), legRow, Leg + 2 * knot.Allowance(legRow.Thickness), legRow.MassPerMetre,
            legRow.PricePerMetre,
            Aisle.Rigging,
            "Leg:", by: nameof(Leg), quantity: 2), middle);
        var (rest, turns) = (guess, new Vec3(1, 1, 1));
        double Rests(int i) => held.Line(i, rest).Tension;
        b.WhileHeld(() =>
        {
            for (var i = 0; i < 3; i++)
            {
                var line = i;
                b.Checks.Add(new LegParts(b, new(ids[i]), $"{Words.Capital(names[i])} parts", held, i, i == 0 ? own : knot));
                if (i > 0 && rows[i].IsElastic)
                    b.Checks.Add(new LegRange(new(ids[i]), $"{Words.Capital(names[i])} is drawn as far as it goes", held, i));
                if (i > 0)
                    b.Checks.Add(StationId.Base, new(ids[i]), _ => new LegSlack(new(ids[line]), $"{Words.Capital(names[line])} goes slack",
                        held, line, Rests(line)));
            }
            b.Checks.Add(StationId.Base, new("bracket"), rig => new BridleDroops(rig, held, upper.Z, guess.Z - Extent.Lowest(rig.Figure)));
            b.Checks.Add(StationId.Base, new("bracket"), _ => new BridleTurns([.. springs.Select((s, i) => (s, eyes[i]))], turns));
            b.Later(() =>
            {
                var (mass, centre) = b.MassOf(_ => true);
                if (held.AtRest(mass * MotionProfile.Gravity, guess) is not { } at)
                {
                    b.Findings.Add(new ReportFinding(StationId.Base, "No line holds it up: the legs reach past their shackles.", true));
                    return;
                }
                rest = at;
                // A weight below its lines brings it back; so does each line that pulls outwards at its eye.
                var back = Math.Max(0.01, mass * MotionProfile.Gravity * (guess.Z - centre.Z)) / 3;
                var sum = Vec3.Zero;
                for (var i = 0; i < 3; i++)
                {
                    var (tension, way, span) = held.Line(i, at);
                    var (along, across) = (tension > 0 ? rows[i].AxialStiffness / (i == 0 ? Short : Leg) : 1e-3, tension / span);
                    var eye = Math.Max(0, tension * eyes[i].Dot(way));
                    b.Restate(springs[i], way, along, Math.Max(1e-3, across), 1e-4, eye + back);
                    sum += new Vec3(About(Vec3.UnitX, eyes[i]), About(Vec3.UnitY, eyes[i]), About(Vec3.UnitZ, eyes[i]));

                    // About an axis through the bracket's middle: what the spring's end does by itself, and at its lever.
                    double About(Vec3 axis, Vec3 lever)
                    {
                        var moves = axis.Cross(lever);
                        var drawn = moves.Dot(way);
                        return (eye + back) * axis.PerpendicularTo(way).Dot(axis) + along * drawn * drawn + across
                            * (moves.Dot(moves) - drawn * drawn);
                    }
                }
                turns = sum;
                Say(b, held, at);
            });
        });
        return new Mount(middle, guess, -Vec3.UnitZ, new ThroughPort("Bracket",
            [new("Bracket", LayerRole.Clearance, bar.Height, bar.Material, bar.Width)], bar.Width)
        { Underside = Underside.OutOfReach });
    }

    private void Say(RigBuilder b, HeldByLines held, Vec3 at)
    {
        string Force(double v) => QuantityText.Of(v, Dimension.Force);
        var (one, leg) = (held.Line(0, at).Tension, held.Line(1, at).Tension);
        b.Findings.Add(new ReportFinding(StationId.Base, one <= 0
            ? $"It hangs on its legs alone, {Force(leg)} in each: the short line is slack."
            : $"It hangs with {Force(one)} in the short line and {Force(leg)} in each leg, stretched by "
                + $"{QuantityText.Of(Math.Max(0, held.Stretch(1, at)), Dimension.Ratio)}."));
        if (leg <= 0)
            b.Findings.Add(new ReportFinding(StationId.Base, "The legs are slack: it swings like a bell. Shorter legs.", true));
        var camera = b.Stock.Find<CameraRow>("cameras", b.Rig.Camera.Body);
        if (camera.Stabilisation is "none")
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The {Words.Inside(camera.Name)} has no stabiliser and this mount needs a strong one: another camera, or a block bolted "
                    + $"to the wire."));
        if (Lashing.Fault(Lashing.Knots.First(k => k.Id == End), IsElastic(b.Stock)) is { } fault)
            b.Findings.Add(new ReportFinding(StationId.Base, $"Legs: {fault}.", true));
    }
}
