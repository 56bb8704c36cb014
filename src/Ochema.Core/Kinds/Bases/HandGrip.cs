using System.Text.Json.Serialization;
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
public sealed record HandGrip : HandHeld
{
    [Measure("Hands apart", Dimension.Length, 0.1, 1.0, HowTo = "middle to middle; wide apart is what steadies a pole")]
    public double Apart { get; init; } = 0.45;

    [Measure("Handle", Dimension.Length, 0.02, 0.07, HowTo = "across the grip; {length:0.03} to {length:0.04} tires least")]
    public double Diameter { get; init; } = 0.034;

    [JsonIgnore]
    public override Grip Grip => Needs;

    private static readonly Grip Needs = new([SiteForm.Hand]);

    internal override IEnumerable<Move> Moves(Catalogue stock) =>
        Hands < 2 ? [] : [new("spread", "Hands a third further apart", this with { Apart = Math.Min(1, Apart * Further) })];

    internal override IEnumerable<WorkStep> Steps(BuiltRig b, RigPath path) =>
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
        var spot = b.Spot("base-hold", StationId.Base, "handle", b.Rig.At[0], b.Rig.At[1]);
        var node = b.Node("base-hold", spot.Point);
        var handle = b.Fitting("handle");
        var top = b.Node("base-hold-top", spot.Point + 0.02 * spot.Normal);
        b.Rigid(node, top);
        b.Shape("base-hold", StationId.Base, "pad", [b.Point(node)], [Diameter, 0.04], spot.Normal);
        var mount = new Mount(top, b.Position(top), spot.Normal);
        Grasped(b, spot.Id, node, mount, Free, Apart, b.Rig.Site.Damping);
        b.Put(Piece.Bought(new(StationId.Base, "handle"), handle), node);
        return mount with { Offers = new GraspPort("Handle") };
    }
}
