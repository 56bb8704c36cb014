using Ochema.Core.Checks;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Reaches;

/// <summary>A tall pole of tubes that slide into each other, with a threaded cap pressed on its end.</summary>
[Kind("stepped-pole", "Tall pole of several tubes", "Looks over roofs and crowns from the ground; sways, and each joint adds its play.",
    Caution = "No power line within its length, its reach and 3 m. Up and down by two people, nobody under it, and not in gusts.",
    Sketch = "line 20 66 50 46; line 46 48 76 28; line 72 30 100 12; rect 96 4 12 10; rect 45 44 6 6; rect 71 27 6 6; dim length 14 58 "
        + "90 6; dim "
        + "overlap 46 58 56 52; dim lean 20 66 20 36")]
public sealed record SteppedPole : ReachKind
{
    [Measure("Tubes", Dimension.Count, 2, 4, HowTo = "drawn out one from the other")]
    public double Tubes { get; init; } = 3;

    [Measure("Drawn out to", Dimension.Length, 0.6, 8, HowTo = "foot to head", Greatest = "Greatest draw-out", UsualTo = 7.3)]
    public double Length { get; init; } = 3.6;

    [Measure("Leans", Dimension.Angle, -1.5, 1.5, HowTo = "from upright, towards the heading below")]
    public double Lean { get; init; } = 0.1;

    [Measure("Towards, turned to the left", Dimension.Angle, -Math.PI, Math.PI, HowTo = "0 ahead, 90 out to the left")]
    public double Heading { get; init; }

    [StockChoice("Lowest tube", "sections", Only = "round-tube", HowTo = "each next one is the largest on the shelf that slides into it")]
    public string Lowest { get; init; } = "tube-al-30x2";

    [Measure("Tubes overlap by", Dimension.Length, 0.03, 0.5, HowTo = "three diameters at the least; less, and the play at the top doubles")]
    public double Overlap { get; init; } = 0.15;

    [Measure("Each lock holds", Dimension.Torque, 0.5, 80, HowTo = "scale × lever when the upper tube turns in the lower; twist locks {torque:3} to "
        + "{torque:8}")]
    public double LockTorque { get; init; } = 5;

    [StockChoice("Cap from a coupler for", "sections", Only = "pipe", HowTo = "the smallest that goes over the last tube")]
    public string Cap { get; init; } = "pvc-1-2";

    [Measure("Set screws in the cap", Dimension.Count, 0, 4, HowTo = "none: the tape alone holds it, and lets go of it one day")]
    public double SetScrews { get; init; } = 2;

    [Measure("Cap pulls off at", Dimension.Force, 1, 2000, HowTo = "scale along the pole, tape on, set screws out; leave empty for the usual", Measured = true)]
    public double? PullsOff { get; init; }

    /// <summary>A cap turned on over tape comes off at about this, N (judgement, 20–150).</summary>
    private const double UsualPull = 60;

    /// <summary>Plastic tape, m a layer (0.13 to 0.18 mm).</summary>
    private const double Tape = 0.00015;

    /// <summary>More play than this no tape fills, m: it rolls up (judgement, 2–4 mm across).</summary>
    private const double MostPlay = 0.0045;

    /// <summary>Bending stiffness of an overlap with its lock, N·m/rad, and of the plastic cap (judgement, 0.5–2 ×).</summary>
    private const double Locked = 2500;
    private const double CapRocks = 900;

    /// <summary>A set screw by a small key, N·m, and its tip on metal (judgement: more strips the plastic).</summary>
    private const double SetTorque = 0.3;
    private const double SetFriction = 0.15;

    private const string SetThread = "no10-24";
    private const string CapThread = "1-4-20";

    [System.Text.Json.Serialization.JsonIgnore]
    public override bool IsPole => true;

    [System.Text.Json.Serialization.JsonIgnore]
    public override double? TowardsLines => Length >= Poles.LineReach ? Length : null;

    private int Count => (int)Math.Round(Tubes);

    private PipeCap CapRow(Catalogue stock) => PipeCap.All.First(c => c.Pipe == stock.Find<SectionRow>("sections", Cap).Pipe);

    internal override string Called(string first) => $"Pole of {Count} tubes, {QuantityText.Of(Length, Dimension.Length)}";

    internal override IEnumerable<Move> Moves(Catalogue stock)
    {
        if (Length > 1.2)
            yield return new("shorter-pole", "Pole a quarter shorter", this with { Length = 0.75 * Length });
        if (stock.Sections.Where(s => s.Shape == SectionShape.RoundTube && s.Material == stock.Find<SectionRow>("sections", Lowest).Material
            && s.Width > stock.Find<SectionRow>("sections", Lowest).Width).MinBy(s => s.Width) is { } thicker)
            yield return new("thicker-pole", Words.Capital(thicker.Name) + " at the foot", this with { Lowest = thicker.Id });
        if (SetScrews < 2)
            yield return new("set-screws", "Two set screws in the cap", this with { SetScrews = 2 });
    }

    /// <summary>The tubes from the foot up: each the largest of the same metal that slides into the one below; as many as there
    /// are.</summary>
    private List<SectionRow> Nested(Catalogue stock)
    {
        List<SectionRow> rows = [stock.Find<SectionRow>("sections", Lowest)];
        while (rows.Count < Count && stock.Sections.Where(s => s.Shape == SectionShape.RoundTube && s.Material == rows[^1].Material
            && s.Width <= PartFit.Bore(rows[^1]) + 0.00005).OrderByDescending(s => s.Width).ThenByDescending(s => s.Wall).FirstOrDefault()
                is { } next)
            rows.Add(next);
        return rows;
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        var (cap, last) = (CapRow(b.Stock), Nested(b.Stock)[^1]);
        var layers = Math.Max(0, (int)Math.Ceiling((cap.Bore - last.Width) / 2 / Tape));
        yield return new(Work.Drill, "Drill the cap's plug",
            $"Its middle by the corners: lines from corner to corner of the octagon cross in it, or print its face. Clearance for the "
                + $"bolt right "
                + $"through; from below a counterbore "
                + $"of {QuantityText.Of(cap.Counterbore, Dimension.Length)}, so that more thread stands out on top.")
        {
            Joint = "cap-bolt",
            Tools = ["rule", "marker", "punch", "drill", "bits", "vice"],
            Minutes = 15,
            Wrong = "Off the middle: the camera swings round a circle as the pole is turned; a new plug costs less than a new idea.",
        };
        yield return new(Work.Glue, "Bolt through, plug into the coupler",
            "Bolt up through the plug, wide washer and lock nut on top, tight: a broad face for what is screwed on. What stands out is "
                + "cut to what that "
                + "takes. Then plug and coupler: cleaner on both, cement on both, pressed home with a quarter turn. A pin "
                + "through both beside: a plug that is only pressed drops the camera.")
        {
            // Once the plug is in its coupler, nobody gets at the bolt's head.
            Joint = "cap-bolt",
            Takes = [cap.Row, "pvc-coupler", "glue-pack"],
            Tools = ["spanners", "spirit"],
            Minutes = 10,
            Wait = 24 * 3600,
            Beware = "Fumes of the cement: outdoors, no flame.",
        };
        yield return new(Work.Pad, "Tape the last tube until the cap turns on hard",
            $"{QuantityText.Of(cap.Bore, Dimension.Drill)} inside, the tube is {QuantityText.Of(last.Width, Dimension.Drill)}: "
                + $"{(layers == 0 ? "no tape" : $"about {layers} layers of plastic tape")}, wound the way the cap is turned. "
                + "Pull it off with a scale once and note at what."
                + (SetScrews >= 1 ? " Then the set screws, until they just bite." : ""))
        {
            Reads = [nameof(PullsOff)],
            Tools = ["tapemark", "scale", "hex-keys"],
            Minutes = 10,
            Wrong = "The screws turn on and on: the plastic is stripped. Next size up, or a nut melted in.",
        };
        yield return new(Work.Set, "Draw out and lock, from the top down",
            $"Last tube first, each to its mark, {QuantityText.Of(Overlap, Dimension.Length)} still inside. Twist hard. One holds the "
                + $"foot, the other "
                + $"walks it up; look up before it goes "
                + "up. Down again in the same way.")
        {
            Reads = [nameof(Length), nameof(Overlap)],
            Tools = ["tapemark"],
            Minutes = 5,
            Crew = 2,
            Beware = "Power lines: its length, its reach and 3 m away. Nobody under it. A lock that opens lets the camera down by a "
                + "tube's length.",
        };
    }

    public override Mount Build(RigBuilder b, Mount from)
    {
        Poles.KeepClear(b, from, Length);
        var up = Poles.Up(from);
        var direction = Poles.Direction(from, Lean, Heading);
        var side = direction.Cross(Vec3.UnitZ) is var s && s.Length > 0.1 ? s.Normalized() : Vec3.UnitY;
        var (reach, rows) = (b.Path.Reach, Nested(b.Stock));
        if (rows.Count < Count)
            b.Findings.Add(new ReportFinding(reach,
                $"Nothing on the shelf slides into the {Words.Inside(rows[^1].Name)}: {rows.Count} tubes are "
                + $"computed.", true));
        if (Overlap < 3 * rows[0].Width)
            b.Findings.Add(new ReportFinding(reach, $"The tubes overlap by {Holes.Size(Overlap)}; three diameters of the widest are "
                + $"{Holes.Size(3 * rows[0].Width)}: shorter ones tilt in each other and split."));
        // Each shows as much as the others, and reaches down into the one below.
        var each = Length / rows.Count;
        var (node, tilt, tip) = (from.Node, 0.0, 0.0);
        var twist = b.Fitting("twist-lock");
        var pieces = new List<BeamPiece>();
        for (var i = 0; i < rows.Count; i++)
        {
            var (id, label, metal) = (b.Own($"pole-{i + 1}"), i == 0 ? "lowest tube" : i == rows.Count - 1 ? "last tube" : $"tube {i + 1}",
                b.Stock.MaterialOf(rows[i].Id));
            var foot = node;
            if (i > 0)
            {
                foot = b.Node(id + "-foot", b.Position(node));
                var spring = b.Spring(id + "-lock", node, foot, [2e7, 2e7, 2e7, Locked, Locked, Locked], 0.05);
                if (!Poles.SlidesIn(b, direction))
                    b.Links.Add((id + "-lock", reach, $"the {label}'s lock"));
                Poles.LockTurns(b, id, $"{Words.Capital(label)} turns in its lock", spring, direction, LockTorque);
                b.Put(Piece.Bought(new(reach, $"lock-{i}"), twist), node);
                tilt += Math.Max(0, PartFit.Bore(rows[i - 1]) - rows[i].Width) / Overlap;
            }
            tip += tilt * each;
            node = b.Node(id, from.Position + (i + 1) * each * direction);
            var piece = b.Beam(reach, id, label, foot, node, b.Stock.Section(rows[i].Id), metal, side,
                through: Poles.Hands(b, from, direction, i * each, (i + 1) * each));
            b.Checks.Add(new SectionStrength(b, reach, new(id), $"{Words.Capital(label)} bends", piece));
            b.Put(Piece.Cut(new(reach, $"tube-{i + 1}"), rows[i], metal, each + (i > 0 ? Overlap : 0), what: Words.Capital(label),
                by: i > 0 ? nameof(Overlap) : null), [piece], foot);
            b.Shape(id, reach, "tube", [b.Point(foot), b.Point(node)], [rows[i].Width]);
            pieces.Add(piece);
        }
        b.StandsOn(from, new(b.Own("reach-screw"), reach, "screw in the pole's foot", new TubePort("Lowest tube", rows[0]),
            b.EndLoad(pieces[0].First),
            rows[0].Width / 2, Axis: direction));
        if (tip > Length / 100)
            b.Findings.Add(new ReportFinding(reach,
                $"The joints' play lets its tip knock to and fro by {Holes.Size(tip)} before anything bends: tape "
                + $"under each lock, or more overlap."));
        Poles.Bows(b, from, b.Own("pole-1"), pieces, direction, Length);
        return WithCap(b, node, direction, up, rows[^1]);
    }

    /// <summary>Plug and coupler on the last tube, with the bolt that stands out.</summary>
    private Mount WithCap(RigBuilder b, NodeIndex tip, Vec3 direction, Vec3 up, SectionRow last)
    {
        var (cap, reach, pvc) = (CapRow(b.Stock), b.Path.Reach, b.Stock.Material("pvc"));
        var gap = cap.Bore - last.Width;
        if (gap < 0)
            b.Findings.Add(new ReportFinding(reach, $"The cap does not go over the last tube: {Holes.Size(cap.Bore)} inside, the tube is "
                + $"{Holes.Size(last.Width)} across.", true));
        else if (gap > MostPlay)
            b.Findings.Add(new ReportFinding(reach, $"The cap hangs loose on the last tube: {Holes.Size(cap.Bore)} inside, the tube is "
                + $"{Holes.Size(last.Width)} across; so much tape rolls up. A smaller coupler.", true));
        var height = cap.Socket + cap.Floor;
        var foot = b.Node(b.Own("cap-foot"), b.Position(tip));
        var top = b.Node(b.Own("cap"), b.Position(tip) + height * direction);
        b.Rigid(foot, top);
        var spring = b.Spring(b.Own("cap-spring"), tip, foot, [2e6, 2e6, 2e6, CapRocks, CapRocks, CapRocks], 0.06);
        // What comes off with it is the head; a line to the last tube keeps that.
        b.Links.Add((b.Own("cap-spring"), b.Path.Head, "the pole's cap"));
        var screws = (int)Math.Round(SetScrews);
        var set = b.Stock.Find<Fastener>("fasteners", SetThread);
        // Each tip is pressed on the tube, and the tube on the far side of the cap.
        var bite = 2 * SetFriction * screws * Threads.Preload(SetTorque, set.MajorDiameter);
        var own = PullsOff is { } p ? Taken.Origin(b.Rig, "your measurement", "pullsOff", p) : "judgement, 20–150 N over tape";
        b.Checks.Add(new CapHolds(b, reach, new(b.Own("cap")), spring, direction, PullsOff ?? UsualPull, own, bite,
            $"their tips at {QuantityText.Of(SetTorque, Dimension.Torque)} and a friction of {SetFriction:0.00} on both sides, judgement",
                last.Width));
        b.Checks.Add(new CapSplits(b, reach, new(b.Own("cap")), spring, direction, cap, pvc));
        b.Put(Piece.Bought(new(reach, "coupler"), b.Fitting("pvc-coupler"),
            name: $"Coupler for {Words.Inside(b.Stock.Find<SectionRow>("sections", Cap).Name)}"), foot);
        b.Put(Piece.Bought(new(reach, "cap-plug"), b.Fitting(cap.Row)), foot);
        b.Put(Piece.Bought(new(reach, "cement"), b.Fitting("glue-pack"), name: Glues.Find("pvc-cement").Name), foot);
        var bolt = b.Stock.Find<Fastener>("fasteners", CapThread);
        var layer = new StackLayer(PipeCap.Face, LayerRole.Clearance, cap.Floor - cap.Counterbore, "pvc",
            cap.Across)
        { Recess = cap.Counterbore };
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = b.Own("cap-bolt"),
            Station = reach,
            Title = "bolt of the cap",
            Thread = bolt,
            Means = Loosening.LockNut,
            Usual = 2,
            Layers = [Hardware.Washer(bolt), layer, Hardware.WideWasher(bolt), Hardware.LockNut(bolt)],
            Length = Hardware.Washer(bolt).Thickness + layer.Thickness + Hardware.WideWasher(bolt).Thickness
                + Hardware.LockNut(bolt).Thickness + StandsOut,
            Screw = "Bolt",
        }, top);
        if (screws > 0)
            b.Joint(new ScrewJoint
            {
                Stock = b.Stock,
                Id = b.Own("cap-set-screws"),
                Station = reach,
                Title = "set screws of the cap",
                Thread = set,
                Means = Loosening.HandTight,
                Usual = SetTorque,
                Headless = true,
                Screw = "Set screw",
                Screws = screws,
                Layers = [new("Wall of the coupler", LayerRole.Tapped, cap.Wall, "pvc", cap.Across)],
            }, foot);
        b.Shape(b.Own("cap"), reach, "tube", [b.Point(foot), b.Point(top)], [cap.Across]);
        return new Mount(top, b.Position(top), up, new StudPort("Cap's bolt", CapThread, null));
    }

    /// <summary>Thread that stands out of the cap, m: through a floor with its nut; cut to the 4.5 mm that a socket takes (ISO 1222) where
    /// it goes into one.</summary>
    private const double StandsOut = 0.02;
}
