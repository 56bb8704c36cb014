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

/// <summary>A handle held by one hand or two: soft, damped, tired after a minute.</summary>
[Kind("hand-grip", "Handle in the hand", "Goes anywhere at once; follows every step, and arms tire.",
    Caution = "Poles and power lines: 3 m and the pole's own length away. Nobody under it.",
    Sketch = "line 20 62 100 10; circle 34 53 6; circle 58 37 6; dim apart 34 66 58 66; dim diameter 88 28 96 20")]
public sealed record HandGrip : BaseKind
{
    [Measure("Hands", Dimension.Count, 1, 2, HowTo = "two, apart along the handle, for anything long")]
    public double Hands { get; init; } = 2;

    [Measure("Hands apart", Dimension.Length, 0.1, 1.0, HowTo = "middle to middle; wide apart is what steadies a pole")]
    public double Apart { get; init; } = 0.45;

    [Measure("Handle", Dimension.Length, 0.02, 0.07, HowTo = "across the grip; {length:0.03} to {length:0.04} tires least")]
    public double Diameter { get; init; } = 0.034;

    /// <summary>A hand and arm along and across, N/m, and about the wrist, N·m/rad (judgement from arms held firm, 0.4–2.5 ×).</summary>
    private const double Arm = 1500;
    private const double Wrist = 15;

    /// <summary>Flesh damps well (judgement, 0.2–0.5).</summary>
    private const double Damping = 0.3;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Hand]);

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
        Hands < 2 ? [] : [new("spread", "Hands a third further apart", this with { Apart = Math.Min(1, Apart * Further) })];

    internal override IEnumerable<WorkStep> Steps(RigBuilder b) =>
    [
        new(Work.Place, "Two hands",
            $"Hands {QuantityText.Of(Apart, Dimension.Length)} apart, the rear one carries, the front one steers. A loop round the "
                + "wrist. Somebody looks where you walk.")
        {
            Minutes = 1,
            Crew = 2,
        },
    ];

    public override Mount Build(RigBuilder b)
    {
        var hands = (int)Math.Round(Hands);
        var spot = b.Spot("base-hold", StationId.Base, "handle", b.Rig.At[0], b.Rig.At[1]);
        var node = b.Node("base-hold", spot.Point);
        // Two hands resist turning as a couple, too.
        var turn = hands * Wrist + (hands == 2 ? Arm * Apart * Apart / 2 : 0);
        var give = b.HoldsGone ? 0 : hands * Arm;
        var spring = b.Spring("base-hold", node, null, [give, give, give, b.HoldsGone ? 0 : turn, b.HoldsGone ? 0 : turn, b.HoldsGone ? 0 : hands * Wrist], b.Rig.Site.Damping ?? Damping);
        var handle = b.Fitting("handle");
        b.PointMass(node, handle.Mass);
        var top = b.Node("base-hold-top", spot.Point + 0.02 * spot.Normal);
        b.Rigid(node, top);
        b.Shape("base-hold", StationId.Base, "pad", [b.Point(node)], [Diameter, 0.04], spot.Normal);
        b.Holds.Add(new Hold(new("base-hold"), StationId.Base, hands == 1 ? "hand" : "hands", spring, node, new Mount(top, b.Position(top), spot.Normal)));
        if (!b.HoldsGone)
            b.Checks.Add(new HandLoad(spring, hands, Apart));
        b.Parts.Bought(StationId.Base, handle);
        return new Mount(top, b.Position(top), spot.Normal, new GraspPort("Handle"));
    }
}
