using System.Text.Json.Serialization;
using Ochema.Core.Checks;
using Ochema.Core.Hosts;
using Ochema.Core.Joints;
using Ochema.Core.Json;
using Ochema.Core.Quantities;
using Ochema.Core.Responses;
using Ochema.Core.Rigs;
using Ochema.Core.Structure;

namespace Ochema.Core.Kinds.Bases;

/// <summary>The butt of a pole on the ground between somebody's feet, their hands on the pole above it.</summary>
[Kind("pole-butt", "Butt on the ground, hands on the pole",
    "The ground carries, hands only steady: higher, and for longer, than a pole held free. Nobody walks with it.",
    Caution = "Poles and power lines: 3 m and the pole's own length away. Nobody under it; two people to put it up and to take it down.",
    Sketch = "host 58; line 56 58 66 4; circle 60 35 5; circle 62 23 5; rect 40 52 14 6; rect 60 52 14 6; dim up 20 58 20 35; dim apart "
        + "86 35 86 23; "
        + "dim foot 50 63 60 63")]
public sealed record PoleButt : HandHeld
{
    [Measure("Lower hand above the butt", Dimension.Length, 0.4, 1.8, HowTo = "along the pole, where an arm hangs easily: {length:1} to {length:1.3}")]
    public double Up { get; init; } = 1.1;

    [Measure("Hands apart", Dimension.Length, 0.05, 1.0, HowTo = "middle to middle along the pole")]
    public double Apart { get; init; } = 0.4;

    [Measure("Foot of the pole, across", Dimension.Length, 0.015, 0.4, HowTo = "rubber foot or cap; on soft ground a lid or a board under it")]
    public double Foot { get; init; } = 0.045;

    [Option("Between your boots", HowTo = "a boot on either side of the butt, so that it cannot run away")]
    public Answer Boots { get; init; } = Answer.Yes;

    /// <summary>Boots keep a butt from running away sideways with about this, N (judgement, 60–200).</summary>
    private const double BootsKeep = 100;

    /// <summary>A rubber foot under load, N/m, and N·m/rad: it stands on a point and turns (judgement, 0.3–3 ×).</summary>
    private const double Rubber = 2e5;
    private const double Turns = 4;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Butt]);

    internal override IEnumerable<Move> Moves(Stock.Catalogue stock)
    {
        if (Boots != Answer.Yes)
            yield return new("boots", "The butt between your boots", this with { Boots = Answer.Yes });
        if (Up < 1.3)
            yield return new("hands-up", "Hands a quarter higher up the pole", this with { Up = 1.25 * Up });
        yield return new("wider-foot", "A foot twice as wide under the butt", this with { Foot = Math.Min(0.4, 2 * Foot) });
    }

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
    [
        new(Work.Place, "Foot on the butt, the hands' places marked",
            $"Rubber foot pressed home. Tape round the pole at {QuantityText.Of(Up, Dimension.Length)} and "
                + $"{QuantityText.Of(Up + Apart, Dimension.Length)} "
                + $"from the butt: there the hands go. Stand where it will stand, "
                    + $"{(Boots == Answer.Yes ? "a boot on either side" : "nothing beside it")}, "
                + "and press a heel in: ground that gives wants a lid or a board under the butt.")
        {
            Reads = [nameof(Up), nameof(Apart), nameof(Foot)],
            Tools = ["tape", "tapemark"],
            Minutes = 3,
            Beware = "Up only once all is gone over: butt first, one stands on it, the other walks it up hand over hand. Never let it fall.",
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var grips = GroundBears.Today(b, b.Rig.Site.Friction ?? UsualFriction, nameof(Site.Friction));
        var hold = ClampParts.Place(b, "base-hold", "butt", 0, Foot / 2, Rubber, Turns, grips, "pad");
        var spot = b.Spot("base-hold", StationId.Base, "butt", b.Rig.At[0], b.Rig.At[1]);
        b.Put(Piece.Bought(new(StationId.Base, "foot"), b.Fitting("rubber-foot")), hold.Body);
        b.WhileHeld(() =>
        {
            var boots = Boots == Answer.Yes ? BootsKeep : 0;
            b.Checks.Add(new HoldSlide(b, spot, hold.Spring, "Butt runs away", boots / grips, grips, Foot / 3, boots > 0
                ? $"your boots on either side, {QuantityText.Of(boots, Dimension.Force)} (judgement, 60–200 N), over the friction"
                : "nothing but its weight"));
            b.Checks.Add(new GroundBears(b, spot, hold.Spring, Footprint.Round(Foot), b.Surface.U, b.Surface.V));
        });
        void Grasp(NodeIndex node, Vec3 along)
        {
            Grasped(b, new("hands"), node, new Mount(node, b.Position(node), along), Free, Apart, steadied: along);
            b.Shape("hands", StationId.Base, "tube", [b.Point(node, b.Position(node) - 0.05 * along),
                b.Point(node, b.Position(node) + 0.05 * along)], [0.05]);
        }
        if (!b.Rig.Reach.IsPole)
        {
            b.Findings.Add(new ReportFinding(StationId.Base, "Hands hold a pole here: choose a pole as the reach.", true));
            Grasp(hold.Top.Node, Vec3.UnitZ);
        }
        return hold.Top with { Offers = new GraspPort("Foot of the pole"), Held = new(Up, Grasp) };
    }

    /// <summary>Rubber on ground that nobody tried (judgement).</summary>
    private const double UsualFriction = 0.4;
}
