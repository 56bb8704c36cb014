using System.ComponentModel;
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

/// <summary>What keeps a pin from walking out.</summary>
public enum PinKeeper
{
    [Description("an elastic loop that draws it home")]
    Elastic,

    [Description("a spring clip through its end")]
    Clip,

    [Description("its own ball")]
    Ball,

    [Description("nothing")]
    Nothing,
}

/// <summary>
/// Two cheeks bolted on the fitting in which a bridle's wires meet; below it they leave a slot for a tongue, which a quick pin holds. The
/// fitting itself stands
/// on its three wires, drawn tight.
/// </summary>
[Kind("pin-block", "Block with a quick pin", "Points where it is aimed, comes off in a second; takes every slam and trembles with the rig.",
    Caution = "The camera's own lanyard to the shackle first. Pin in its elastic before the hand leaves it.",
    Sketch = "line 60 2 60 14; rect 46 10 28 34; circle 60 17 2; circle 60 27 2; rect 57 30 6 28; circle 60 37 3; line 60 58 78 58; dim "
        + "boltsApart 36 17 36 "
        + "27; "
        + "dim depth 84 31 84 44; dim drop 92 44 92 58; dim width 46 64 74 64")]
public sealed record PinBlock : OnBridle
{
    [StockChoice("Cheeks of", "materials", Only = "hdpe,pvc,birch-ply,al-6061-t6")]
    public string Cheeks { get; init; } = "hdpe";

    [Measure("Each cheek thick", Dimension.Length, 0.005, 0.05, HowTo = "a kitchen board is {length:0.015} and more")]
    public double Cheek { get; init; } = 0.015;

    [Measure("Block wide", Dimension.Length, 0.03, 0.15, HowTo = "across the slot, seen from the side")]
    public double Width { get; init; } = 0.06;

    [Measure("Holes of the fitting apart", Dimension.Length, 0.012, 0.12, HowTo = "two free ones, one above the other, middle to middle")]
    public double BoltsApart { get; init; } = 0.03;

    [StockChoice("Bolts", "fasteners")]
    public string Bolt { get; init; } = "m6";

    [Measure("Tongue in the block", Dimension.Length, 0.02, 0.12, HowTo = "below the lower bolt, which its forked end embraces")]
    public double Depth { get; init; } = 0.045;

    [Measure("Shim in the slot", Dimension.Length, 0, 0.003, HowTo = "what holds the cheeks wider apart than the fitting: paper, a washer")]
    public double Shim { get; init; } = 0.0003;

    [Measure("Pin", Dimension.Length, 0.004, 0.013, HowTo = "its shank, calipers")]
    public double Pin { get; init; } = 0.006;

    [Option("Pin kept by")]
    public PinKeeper Keeper { get; init; }

    [Measure("Elastic draws it with", Dimension.Force, 1, 100, HowTo = "luggage scale on the ring")]
    public double Draws { get; init; } = 15;

    [StockChoice("Tongue", "sections", Only = "flat")]
    public string Tongue { get; init; } = "flat-al-40x5";

    [Measure("Tongue below the block", Dimension.Length, 0.02, 0.3, HowTo = "block to where the bend begins")]
    public double Drop { get; init; } = 0.03;

    [Measure("Bend radius, inside", Dimension.Length, 0.001, 0.04, HowTo = "of the rod it is bent round")]
    public double BendRadius { get; init; } = 0.02;

    [StockChoice("Wires of the bridle", "straps", Only = "wire")]
    public string Wires { get; init; } = "wire-3";

    [Measure("Pull in the forestay", Dimension.Force, 50, 8000, HowTo = "sail up; pushed aside in its middle: push × length ÷ (4 × way)")]
    public double Pull { get; init; } = 1000;

    [Measure("Forestay long", Dimension.Length, 0.5, 12, HowTo = "upper shackle to the mast")]
    public double Stay { get; init; } = 4.5;

    [Measure("Forestay leans back", Dimension.Angle, 0, 1.2, HowTo = "from upright, phone on it")]
    public double Leans { get; init; } = 0.34;

    /// <summary>Cheek past a bolt, and from the lower bolt to the slot's upper end, m (common practice: twice the bolt).</summary>
    private const double Edge = 0.014;

    /// <summary>Where the wires take hold of the fitting, over and under its middle and aside, m (judgement: holes of a common
    /// fitting).</summary>
    private const double Eye = 0.02;
    private const double Aside = 0.008;

    /// <summary>From the hole in the tongue's foot to its end, m.</summary>
    private const double Past = 0.015;

    /// <summary>Give of plastic cheeks round a pin, N/m, and of a tongue between them, N·m/rad (judgement, 0.3–3 ×).</summary>
    private const double PinGives = 1.5e6;
    private const double SlotGives = 400;

    /// <summary>Bolted cheeks on a metal fitting, N/m and N·m/rad (judgement, 0.3–3 ×).</summary>
    private const double BoltsGive = 8e6;
    private const double BoltsRock = 1500;

    private const double Damping = 0.04;

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
    [
        new("shorter-tongue", "Half the tongue below the block", this with { Drop = Math.Max(0.02, Drop / 2) }),
        new("deeper", "Half as deep again in the block", this with { Depth = Math.Min(0.12, 1.5 * Depth) }),
        new("clip", "A spring clip through the pin's end", this with { Keeper = PinKeeper.Clip }),
    ];

    internal override IEnumerable<Stance> Stances(SiteForm form, bool own, Catalogue stock)
    {
        if (form == SiteForm.Bridle)
            yield return new(SchoolQuestion.Hold, 2, "Rigid block with a pin", "Points where it is aimed; off in a second.", this, own);
    }

    private double Height => Edge + BoltsApart + Edge + Depth;

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        string Size(double v) => QuantityText.Of(v, Dimension.Length);
        yield return new(Work.Measure, "Measure fitting and wires",
            "Two free holes of the fitting, one above the other; its thickness by calipers. Sail up and drawn tight: the forestay pushed "
                + "aside in its "
                + "middle with a "
                + "luggage scale gives its pull.")
        {
            Reads = [nameof(BoltsApart), nameof(Pull)],
            Tools = ["calipers", "tape", "scale"],
            Minutes = 10,
        };
        yield return new(Work.Cut, "Cut two cheeks",
            $"{Size(Width)} × {Size(Height)}, both alike, edges broken: sails and hands pass here.")
        {
            Piece = "cheeks",
            Tools = ["hacksaw", "file", "rule"],
            Minutes = 15,
        };
        yield return new(Work.Drill, "Drill the bolts' holes through the fitting's own",
            "One cheek clamped to the fitting and marked through it; both cheeks together in the vice, drilled as a pair.")
        {
            Joint = "block-bolts",
            Tools = ["vice", "drill", "bits", "clamps", "marker"],
            Minutes = 12,
        };
        yield return new(Work.Drill, "Fork and pin hole of the tongue",
            $"Slot sawn into the tongue's end so that it embraces the lower bolt. Tongue home between the cheeks, then one hole of "
                + $"{QuantityText.Of(Pin, Dimension.Drill)} "
                + $"through all three at once, {Size(Depth / 2)} above the block's lower edge.")
        {
            Piece = "tongue",
            Reads = [nameof(Depth)],
            Tools = ["vice", "hacksaw", "file", "drill", "bits"],
            Minutes = 20,
            Wrong = "The pin binds: the hole was drilled in two goes; a reamer, or the next size of pin.",
        };
        yield return new(Work.Bend, "Bend the tongue's foot",
            $"Square, round a rod of {Size(BendRadius)} radius; fingernail over the outside: no crack.")
        {
            Piece = "tongue",
            Reads = [nameof(Drop), nameof(BendRadius)],
            Tools = ["vice", "bending-block", "mallet"],
            Minutes = 10,
        };
        yield return new(Work.Place, "Bolt the block on, try the pin",
            "Cheeks on the fitting, lock nuts. Tongue up until it meets the bolt, pin through, "
                + Keeper switch
                {
                    PinKeeper.Elastic => "its elastic round the block and back onto the ring. What is left of the elastic goes through "
                        + "the camera's loop "
                        + "and back onto the pin.",
                    PinKeeper.Clip => "its clip through the hole in its end, closed.",
                    PinKeeper.Ball => "pulled: its ball clicks and it stays.",
                    _ => "and something that keeps it, before it is used.",
                })
        {
            Joint = "block-bolts",
            Takes = ["quick-pin"],
            Tools = ["spanners"],
            Minutes = 6,
            Wrong = "It rattles: a strip of tape on the tongue, or less shim.",
        };
    }

    public override Mount Build(RigBuilder b)
    {
        var upper = b.Surface.Origin;
        var (bar, metal, plastic) = (b.Stock.Find<SectionRow>("sections", Tongue), b.Stock.MaterialOf(Tongue), b.Stock.Material(Cheeks));
        var (bolt, wire) = (b.Stock.Find<Fastener>("fasteners", Bolt), b.Stock.Find<StrapRow>("straps", Wires));
        var fitting = b.Node("fitting", upper);
        // Upright the two lower wires carry what the stay pulls.
        var lower = Pull * Math.Cos(Leans) / (2 * Below / Side.Length);
        foreach (var (id, eye, end, pull) in new[]
        {
            ("wire-stay", Eye * Vec3.UnitZ, Stay * new Vec3(-Math.Sin(Leans), 0, Math.Cos(Leans)), Pull),
            ("wire-left", new Vec3(0, Aside, -Eye), Side, lower),
            ("wire-right", new Vec3(0, -Aside, -Eye), Side with { Y = -Side.Y }, lower),
        })
        {
            var node = b.Node(id, upper + eye);
            b.Rigid(fitting, node);
            var (way, length) = ((end - eye).Normalized(), (end - eye).Length);
            b.SpringAlong(way, id, node, null, wire.AxialStiffness / length, pull / length, 1e-3, pull * Math.Max(1e-4, eye.Dot(way)),
                Damping);
        }
        var head = b.Node("block", upper);
        var bolts = b.Spring("block-bolts", fitting, head, [BoltsGive, BoltsGive, BoltsGive, BoltsRock, BoltsRock, BoltsRock], Damping);
        var slot = upper - (BoltsApart / 2 + Edge) * Vec3.UnitZ;
        var pinAt = b.Node("pin-hole", slot - Depth / 2 * Vec3.UnitZ);
        b.Rigid(head, pinAt);
        var top = b.Node("tongue", b.Position(pinAt));
        var pin = b.Spring("pin", top, pinAt, [PinGives, PinGives, PinGives, SlotGives, SlotGives, SlotGives], Damping);
        b.Holds.Add(new Hold(new("pin"), StationId.Base, "pin", pin, top, new Mount(top, b.Position(top), -Vec3.UnitZ)));
        // Down to the bend, then aside to the hole: as if round a sharp corner between both legs' middles.
        var foot = BendRadius + bar.Height / 2 + Past;
        var corner = b.Node("tongue-corner", b.Position(top) - (Depth / 2 + Drop + BendRadius + bar.Height / 2) * Vec3.UnitZ);
        var seat = b.Node("tongue-foot", b.Position(corner) + foot * Vec3.UnitY);
        var section = Section.Rectangle(bar.Width, bar.Height);
        var down = b.Beam(StationId.Base, "tongue-down", "tongue", top, corner, section, metal, Vec3.UnitY);
        var out_ = b.Beam(StationId.Base, "tongue-out", "tongue's foot", corner, seat, section, metal, Vec3.UnitZ);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("tongue-down"), "Tongue bends at its pin", down,
            Section.Drilled(bar.Shape, bar.Width, bar.Height, bar.Wall, Pin)));
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("tongue-out"), "Tongue bends at its foot", out_));
        b.Checks.Add(new BendCracks(StationId.Base, new("tongue"), metal, bar.Height, BendRadius));
        var allowance = Bend.Allowance(Math.PI / 2, BendRadius, bar.Height);
        // Its forked end reaches past the slot's upper end, round the bolt.
        var flat = Edge + Depth + Drop + allowance + 2 * Past;
        // Through cheeks and tongue at once: marked on each all the same, for the first is drilled first.
        var pinned = new OwnHole("pin", "Pin through cheeks and tongue", Pin);
        b.Put(Piece.Cut(new(StationId.Base, "tongue"), bar, metal, flat, what: "Tongue, flat").Also(c => c with
        {
            Bends = [new(Edge + Depth + Drop + allowance / 2, Math.PI / 2, BendRadius)],
            Holes = [new(Edge + Depth / 2, "Tongue") { Own = pinned }, new(flat - Past, "Tongue")],
        }), [down, out_], corner);
        var cheek = new SheetPiece(Height, Width, Cheek, Cheeks, [])
        {
            WidthBy = nameof(Width),
            ThicknessBy = nameof(Cheek),
            Holes = [new(Edge + BoltsApart / 2, Width / 2, "Cheek", "block-bolts"),
                new(Height - Depth / 2, Width / 2, "Cheek") { Own = pinned }],
        };
        b.Put(Piece.Sheet(new(StationId.Base, "cheeks"), "Cheek", cheek, plastic, 2), pinAt);
        b.Put(Piece.Bought(new(StationId.Base, "pin"), b.Fitting("quick-pin")), pinAt);
        b.Joint(new ScrewJoint
        {
            Stock = b.Stock,
            Id = "block-bolts",
            Station = StationId.Base,
            Title = "bolts through block and fitting",
            Thread = bolt,
            Means = Loosening.LockNut,
            Layers =
            [
                Hardware.Washer(bolt), new("Cheek", LayerRole.Clearance, Cheek, Cheeks, Width, Edge: Edge),
                new("Fitting", LayerRole.Clearance, b.Rig.Site.Thickness, b.Rig.Site.Material, 0.04) { Ready = true },
                new("Other cheek", LayerRole.Clearance, Cheek, Cheeks, Width, Edge: Edge), Hardware.Washer(bolt), Hardware.LockNut(bolt),
            ],
            Load = f => f.Spring(bolts),
            Axis = Vec3.UnitY,
            Count = 2,
            Screws = 2,
            Places = [(-BoltsApart / 2, 0), (BoltsApart / 2, 0)],
            Lever = BoltsApart / 2,
        }, head);
        b.WhileHeld(() =>
        {
            var fork = Depth / 2 + Edge;
            b.Checks.Add(new PinHolds(b, pin, Pin, fork, (Cheek, plastic), (bar.Height, metal)));
            var (keeps, kept, source) = Keeper switch
            {
                PinKeeper.Elastic => (Draws, "its elastic draws", Taken.Origin(b.Rig, "you measured it", "draws", Draws)),
                PinKeeper.Clip => (ClipKeeps, "its clip keeps", "judgement, 50–300 N"),
                PinKeeper.Ball => (BallKeeps, "its ball keeps", "judgement, 5–20 N; salt and sand jam it"),
                _ => (0, "nothing keeps it", Origin.Measures),
            };
            b.Checks.Add(new PinStays(b, b.Fitting("quick-pin").Mass, keeps, kept, source));
            b.Checks.Add(new PlayInSocket(b.Rig.Site.Thickness + Shim - bar.Height, Depth));
        });
        if (b.Rig.Site.Thickness + Shim < bar.Height)
            b.Findings.Add(new ReportFinding(StationId.Base, $"The tongue is {Holes.Size(bar.Height)} thick and the slot "
                + $"{Holes.Size(b.Rig.Site.Thickness + Shim)}: "
                + $"a shim of {Holes.Size(bar.Height - b.Rig.Site.Thickness + 0.0003)} between cheeks and fitting, or a thinner bar.",
                    true));
        if (bar.Width > Width)
            b.Findings.Add(new ReportFinding(StationId.Base, "The tongue is wider than the block: it catches sails and fingers."));
        if (lower < Slackest)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The wires are all but slack ({QuantityText.Of(lower, Dimension.Force)} in each of the lower "
                + $"two): "
                + "the block swings with the fitting. Draw the rig tight first."));
        b.Shape("block", StationId.Base, "plate", [b.Point(head, 0.5 * (b.Position(head) + b.Position(pinAt)))],
            [Width, 2 * Cheek + b.Rig.Site.Thickness, Height], Vec3.UnitZ, Vec3.UnitY);
        b.Shape("tongue-down", StationId.Base, "tube", [b.Point(top), b.Point(corner)], [bar.Width * 0.5]);
        b.Shape("tongue-out", StationId.Base, "tube", [b.Point(corner), b.Point(seat)], [bar.Width * 0.5]);
        b.Shape("pin", StationId.Base, "tube", [b.Point(top, b.Position(top) - 0.03 * Vec3.UnitY),
            b.Point(top, b.Position(top) + 0.03 * Vec3.UnitY)], [Pin]);
        return new Mount(seat, b.Position(seat), -Vec3.UnitZ,
            new ThroughPort("Tongue", [new("Tongue", LayerRole.Clearance, bar.Height, bar.Material, bar.Width, Edge: Past)], bar.Width)
            { Underside = Underside.OutOfReach });
    }

    /// <summary>What a clip and a ball keep, N (judgement, 50–300 and 5–20).</summary>
    private const double ClipKeeps = 100;
    private const double BallKeeps = 8;

    /// <summary>Wires that pull less do not hold a fitting still, N (judgement).</summary>
    private const double Slackest = 100;
}
