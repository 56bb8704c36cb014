using System.ComponentModel;
using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Stock;

namespace Ochema.Core.Kinds.Bases;

/// <summary>What keeps a stub in its holder.</summary>
public enum StubKept
{
    [Description("a slot over the holder's cross-pin")]
    CrossPin,

    [Description("its tape alone")]
    Tape,
}

/// <summary>A tube that stands in a holder let into the deck, its play taken up with tape.</summary>
[Kind("holder-stub", "Stub in a flush holder", "No tool, no hole, in and out in a second; turns and lifts unless it is pinned.",
    Caution = "It floats or it is tied: what lifts out is gone. Clear of the paddle on both sides.",
    Sketch = "host 40; rect 48 40 24 30; rect 52 12 16 54; line 44 40 76 40; line 54 62 66 62; dim deep 88 40 88 66; "
        + "dim rise 100 12 100 40; dim tape 48 8 52 8")]
public sealed record HolderStub : BaseKind
{
    [StockChoice("Tube", "sections", Only = "round-tube")]
    public string Tube { get; init; } = "tube-al-40x2";

    [Measure("In the holder", Dimension.Length, 0.04, 0.4, HowTo = "a stick down to its cross-pin")]
    public double Deep { get; init; } = 0.2;

    [Measure("Above the rim", Dimension.Length, 0.03, 0.6, HowTo = "rim to the head", Greatest = "Greatest rise", UsualTo = 0.35)]
    public double Rise { get; init; } = 0.12;

    [Measure("Tape built up", Dimension.Length, 0, 0.006, HowTo = "on each side, at the rim and at the foot; layers × {length:0.00013}")]
    public double Tape { get; init; } = 0.0009;

    [Option("Kept by")]
    public StubKept Kept { get; init; }

    [Measure("Comes out at", Dimension.Force, 1, 500, HowTo = "luggage scale, pulled straight up, wet; leave empty for the usual", Measured = true, Of = "tape")]
    public double? ComesOut { get; init; }

    /// <summary>What wet tape pressed in by hand holds, N (judgement, 10–60), a slot turned under a cross-pin of 6 mm, N (judgement,
    /// 300–800).</summary>
    private const double TapeHolds = 25;
    private const double PinKeeps = 400;

    /// <summary>A moulded holder in a thin deck, N/m and N·m/rad (judgement, 0.3–3 ×), and what its flange takes, N·m (judgement,
    /// 30–80).</summary>
    private const double Gives = 2e5;
    private const double Rocks = 900;
    private const double FlangeTakes = 40;

    private const double Damping = 0.05;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Bore]);

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
    [
        new("lower", "Half as high above the rim", this with { Rise = Math.Max(0.03, Rise / 2) }),
        new("pinned", "A slot over the cross-pin", this with { Kept = StubKept.CrossPin }),
    ];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path)
    {
        string Size(double v) => QuantityText.Of(v, Dimension.Length);
        yield return new(Work.Cut, "Slot the foot of the stub",
            Kept == StubKept.CrossPin ? "A slot across its foot, 7 mm wide and a finger deep, that drops over the holder's cross-pin: "
                + "it cannot turn; a hook filed into one side of it, so that a twist keeps it down."
                    : "Its foot filed round: it goes in without catching.")
        {
            Piece = "stub",
            Reads = [nameof(Deep)],
            Tools = ["hacksaw", "file", "vice"],
            Minutes = 15,
        };
        yield return new(Work.Pad, "Tape it up to the bore",
            $"{Size(Tape)} a side in two bands, one at the rim and one at the foot: it slides in with a twist and does not rock. No "
                + $"metal on the moulding.")
        {
            Reads = [nameof(Tape)],
            Tools = ["tape"],
            Minutes = 6,
            Wrong = "It rocks: a layer more. It jams wet: a layer less.",
        };
        yield return new(Work.Place, "Push it home", "Twisted in to its stop, lanyard first. Shake it every way with the boat dry.")
        {
            Minutes = 1,
        };
    }

    public override Mount Build(RigBuilder b)
    {
        var (row, section, metal) = (b.Stock.Find<SectionRow>("sections", Tube), b.Stock.Section(Tube), b.Stock.MaterialOf(Tube));
        var bore = ClampParts.Diameter(b);
        var spot = b.Spot("base-hold", StationId.Base, "stub", b.Rig.At[0], b.Rig.At[1]);
        var node = b.Node("base-hold", spot.Point);
        var spring = b.Spring("base-hold", node, null,
            [Gives, Gives, Gives, Rocks, Rocks, Rocks], b.Rig.Site.Damping ?? Damping);
        var top = b.Node("stub-top", spot.Point + Rise * spot.Normal);
        var piece = b.Beam(StationId.Base, "stub", "stub", node, top, section, metal, b.Surface.U);
        b.Checks.Add(new SectionStrength(b, StationId.Base, new("stub"), "Stub bends at the rim", piece));
        b.Put(Piece.Cut(new(StationId.Base, "stub"), row, metal, Deep + Rise, what: "Stub"), [piece], node);
        b.Holds.Add(new Hold(new("base-hold"), StationId.Base, "stub", spring, node, new Mount(node, spot.Point, spot.Normal)));
        b.Shape("stub", StationId.Base, "tube", [b.Point(node), b.Point(top)], [row.Width]);
        var play = bore - row.Width - 2 * Tape;
        b.WhileHeld(() =>
        {
            var (keeps, source) = (ComesOut, Kept) switch
            {
                ({ } own, _) => (own, Taken.Origin(b.Rig, "you pulled it", "comesOut", own)),
                (_, StubKept.CrossPin) => (PinKeeps, "judgement, 300–800 N"),
                _ => (TapeHolds, "judgement, 10–60 N; wet tape"),
            };
            b.Checks.Add(new StubLifts(b, spring, spot.Normal, keeps, source));
            b.Checks.Add(new HolderTears(b, spring, spot.Normal, FlangeTakes));
            b.Checks.Add(new PlayInSocket(Math.Max(0, play), Deep, "stub", "Stub rattles in its holder"));
            if (Kept == StubKept.Tape)
                b.Checks.Add(new TurnsByFriction(b, StationId.Base, new("base-hold"), "Stub turns in its holder", spring, spot.Normal,
                    keeps * TapeFriction * row.Width / 2, "what draws it out, at half its width", "the stub",
                        "A slot over the cross-pin ends it.", "turns"));
        });
        if (play < 0)
            b.Findings.Add(new ReportFinding(StationId.Base,
                $"The stub with its tape is {QuantityText.Of(row.Width + 2 * Tape, Dimension.Length)} across, "
                + $"the bore {QuantityText.Of(bore, Dimension.Length)}: it does not go in.", true));
        return new Mount(top, b.Position(top), spot.Normal, new Joints.TubePort("Stub", row));
    }

    /// <summary>Share of what it takes to draw it out that it takes to turn it, at its rim (judgement, 0.7–1.2).</summary>
    private const double TapeFriction = 1;
}
