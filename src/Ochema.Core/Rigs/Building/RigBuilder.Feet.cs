using Ochema.Core.Structure;

namespace Ochema.Core.Rigs;

/// <content>What is left of the holds when all of them have let go: it is no rig of its own, but data of that case.</content>
public sealed partial class RigBuilder
{
    /// <summary>How far under the panel the line of a rim point ends, m; its EA goes with it, so that only its direction is said by it.</summary>
    private const double PadDepth = 0.02;

    /// <summary>A foot that only rubs gives about a millimetre before its friction is all there, N/m (judgement, 0.5–5 ×).</summary>
    private const double RubbingStiffness = 2e4;

    private readonly List<LooseFoot> loose = [];

    /// <param name="Rims">Names of four points of its rim, and of the lines that press there.</param>
    private sealed record LooseFoot(HoldSpot Spot, SpringIndex Spring, NodeIndex Node, double Radius, double Presses, double Friction,
        IReadOnlyList<(string Node, string Line)> Rims);

    /// <summary>
    /// A hold whose foot stands on its panel in friction when it has let go: four rim points that only push, and what rubs along the panel.
    /// Holds that are none of these leave nothing behind.
    /// </summary>
    /// <param name="spring">The hold's own.</param>
    /// <param name="radius">Of its foot, m.</param>
    /// <param name="node">Its foot.</param>
    /// <param name="presses">Stiffness of panel and foot along the normal, N/m.</param>
    /// <param name="friction">Of the foot on its panel.</param>
    public void Foot(HoldSpot spot, SpringIndex spring, NodeIndex node, double radius, double presses, double friction) =>
        loose.Add(new(spot, spring, node, radius, presses, friction,
            [.. Enumerable.Range(0, 4).Select(i => (Free(nodeNames, $"{spot.Id}-rim-{i}"), Free(elementNames, $"{spot.Id}-pad-{i}")))]));

    /// <summary>The frame with all holds gone, and the feet that are left.</summary>
    private (ModelDocument Model, IReadOnlyList<FrictionFoot> Feet) Loose(ModelDocument whole)
    {
        var (rims, rigid, rests, pads, feet) = (whole.Nodes.ToList(), whole.RigidLinks.ToList(), whole.Springs.ToList(),
            whole.Lines.ToList(), new List<FrictionFoot>());
        foreach (var hold in Holds)
            rests[hold.Spring.Value] = rests[hold.Spring.Value] with { K = new double[6] };
        foreach (var foot in loose)
        {
            var (spot, first) = (foot.Spot, pads.Count);
            var (k, axis) = Along(spot.Normal, 0, RubbingStiffness, RubbingStiffness * foot.Radius * foot.Radius, 0);
            rests[foot.Spring.Value] = rests[foot.Spring.Value] with { K = k, Axis = axis };
            var side = spot.Normal.Cross(Math.Abs(spot.Normal.X) < 0.9 ? Vec3.UnitX : Vec3.UnitY).Normalized();
            var other = spot.Normal.Cross(side);
            foreach (var (d, (rim, pad)) in new[] { side, -side, other, -other }.Zip(foot.Rims))
            {
                var at = spot.Point + foot.Radius * d;
                rims.Add(new(rim, at.X, at.Y, at.Z));
                rigid.Add(new(nodes[foot.Node.Value].Id, rim));
                pads.Add(new(pad, rim, foot.Presses / 4 * PadDepth, 0) { Anchor = (at - PadDepth * spot.Normal).ToArray(), Push = true });
            }
            feet.Add(new(spot, foot.Spring, [.. Enumerable.Range(first, 4).Select(i => new LineIndex(i))], foot.Friction));
        }
        return (whole with { Nodes = rims, RigidLinks = rigid, Springs = rests, Lines = pads }, feet);
    }
}
